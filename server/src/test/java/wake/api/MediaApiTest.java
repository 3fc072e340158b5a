package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Arrays;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.core.io.ClassPathResource;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class MediaApiTest {
    private final RunningServer wake;

    MediaApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private static byte[] clip() throws IOException {
        return new ClassPathResource("demo/skiff-sprint.webm").getContentAsByteArray();
    }

    private String place(UUID recording) {
        return "/api/attempts/" + wake.attempt("# A\nfor time\n  6 burpee\n") + "/recordings/" + recording + "/upload";
    }

    /** Announces a file, sends it in two pieces and asks for it to be taken. */
    private Answer upload(UUID recording, byte[] bytes) {
        String place = place(recording);
        Answer announced = wake.put(place, "{\"label\":\"clip.webm\",\"sizeBytes\":" + bytes.length + "}");
        if (announced.status() != 200) {
            return announced;
        }
        int half = bytes.length / 2;
        assertThat(wake.post(place + "?offset=0", Arrays.copyOf(bytes, half)).number("/receivedBytes"))
                .isEqualTo(half);
        assertThat(wake.post(place + "/finish", "").status()).as("half a file").isEqualTo(422);
        wake.post(place + "?offset=" + half, Arrays.copyOfRange(bytes, half, bytes.length));
        return wake.post(place + "/finish", "");
    }

    /** RFC 9110, 14: a range request is answered with 206 and just those bytes, one beyond the end with 416. */
    @Test
    void aVideoIsTakenInWholeAndServedByRanges() throws IOException {
        UUID recording = UUID.randomUUID();
        Answer stored = upload(recording, clip());
        assertThat(stored.status()).isEqualTo(200);
        assertThat(stored.text("/stage")).isEqualTo("STORED");
        assertThat(stored.number("/sizeBytes")).isEqualTo(clip().length);
        String media = "/api/recordings/" + recording + "/media";
        Answer whole = wake.get(media);
        assertThat(whole.type()).isEqualTo("video/webm");
        assertThat(whole.raw().body()).isEqualTo(clip());
        Answer part = wake.send(wake.request(media).header("range", "bytes=100-199"));
        assertThat(part.status()).isEqualTo(206);
        assertThat(part.raw().body()).hasSize(100).isEqualTo(Arrays.copyOfRange(clip(), 100, 200));
        assertThat(wake.send(wake.request(media).header("range", "bytes=99999999-"))
                        .status())
                .isEqualTo(416);
    }

    /** The clip that ships has thirty frames a second, the first at 7 ms. */
    @Test
    void theTimesOfAVideosFramesAreKnown() throws IOException {
        UUID recording = UUID.randomUUID();
        upload(recording, clip());
        Answer frames = wake.get("/api/recordings/" + recording + "/frames");
        assertThat(frames.status()).isEqualTo(200);
        assertThat(frames.json().at("/timesMs").isArray()).isTrue();
        if (frames.json().at("/timesMs").size() > 0) {
            assertThat(frames.number("/timesMs/30")).isBetween(1006L, 1008L);
        }
    }

    @Test
    void anEmptyFileIsRefused() {
        Answer refused = upload(UUID.randomUUID(), new byte[0]);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("empty");
    }

    @Test
    void aFileThatIsNoVideoIsRefusedWhateverItIsCalled() {
        UUID recording = UUID.randomUUID();
        Answer refused = upload(recording, "splits: 1:32, 2:11".repeat(20).getBytes());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("MP4, MOV or WebM");
        assertThat(wake.get("/api/recordings/" + recording + "/media").status()).isEqualTo(404);
    }

    @Test
    void aSimulatedRecordingIsTheSameEachTimeItIsAskedFor() {
        UUID attempt = wake.attempt("# A\nfor time\n  6 burpee\n");
        UUID recording = UUID.randomUUID();
        wake.put("/api/attempts/" + attempt + "/recordings/" + recording + "/simulated", "{\"seed\":11}");
        Answer script = wake.get("/api/recordings/" + recording + "/script");
        assertThat(script.json())
                .isEqualTo(wake.get("/api/recordings/" + recording + "/script").json());
        assertThat(script.number("/goMs")).isEqualTo(5000);
        assertThat(script.json().at("/scenes").size()).isGreaterThan(3);
    }
}
