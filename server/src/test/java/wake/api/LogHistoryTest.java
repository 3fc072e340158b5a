package wake.api;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.RunningServer.markJson;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class LogHistoryTest {
    private final RunningServer wake;
    private final UUID attempt;
    private final String marks;

    LogHistoryTest(RunningServer wake) {
        this.wake = wake;
        this.attempt = wake.attempt("# Ripple\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        this.marks = "/api/attempts/" + attempt + "/marks/";
    }

    private Answer undo() {
        return wake.post(marks + "undo/" + UUID.randomUUID(), "");
    }

    private Answer redo() {
        return wake.post(marks + "redo/" + UUID.randomUUID(), "");
    }

    @Test
    void everythingIsUndoneAndRedoneInItsOrder() {
        UUID begin = UUID.randomUUID();
        UUID done = UUID.randomUUID();
        wake.mark(attempt, begin, "BEGIN", 1000);
        wake.mark(attempt, done, "DONE", 20_000);
        Answer corrected = wake.mark(attempt, done, "DONE", 19_500);
        assertThat(corrected.text("/undo")).isEqualTo("done at 0:19.5 edited");
        wake.delete(marks + begin);
        assertThat(undo().json().at("/marks").size()).isEqualTo(2);
        assertThat(undo().number("/clockMs")).isEqualTo(20_000);
        Answer bare = undo();
        assertThat(bare.json().at("/marks").size()).isEqualTo(1);
        assertThat(bare.text("/redo")).startsWith("done at");
        assertThat(redo().number("/clockMs")).isEqualTo(20_000);
        assertThat(redo().number("/clockMs")).isEqualTo(19_500);
        assertThat(redo().json().at("/marks").size()).isEqualTo(1);
        assertThat(redo().json().at("/redo").isMissingNode()).isTrue();
    }

    private static String together(String... marks) {
        return "{\"marks\":[" + String.join(",", marks) + "]}";
    }

    private static String made(UUID id, String kind, long atMs) {
        return "{\"id\":\"" + id + "\",\"mark\":" + markJson(kind, atMs, "") + "}";
    }

    @Test
    void marksSentTogetherAreUndoneOneByOneAndSentTwiceAreOne() {
        String all = together(
                made(UUID.randomUUID(), "BEGIN", 1000),
                made(UUID.randomUUID(), "OFF", 9000),
                made(UUID.randomUUID(), "ON", 12_000));
        Answer sent = wake.put(marks.replaceAll("/$", ""), all);
        assertThat(sent.json().at("/marks").size()).isEqualTo(3);
        assertThat(wake.put(marks.replaceAll("/$", ""), all).json()).isEqualTo(sent.json());
        assertThat(undo().json().at("/marks").size()).isEqualTo(2);
        assertThat(undo().json().at("/marks").size()).isEqualTo(1);
        assertThat(redo().number("/clockMs")).isEqualTo(9000);
    }

    @Test
    void ofMarksSentTogetherNoneIsSavedWhenOneMakesNoSense() {
        Answer refused = wake.put(
                marks.replaceAll("/$", ""),
                together(made(UUID.randomUUID(), "BEGIN", 1000), made(UUID.randomUUID(), "BEGIN", 2000)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("already started");
        assertThat(wake.get("/api/attempts/" + attempt).json().at("/log/marks").size())
                .isZero();
        assertThat(wake.put(marks.replaceAll("/$", ""), together()).status()).isEqualTo(422);
    }

    @Test
    void theRepsOfASetAreUndoneWithItsBreak() {
        UUID off = UUID.randomUUID();
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        wake.mark(attempt, off, "OFF", 9000);
        wake.put(marks + off, markJson("OFF", 9000, "").replace("\"reps\":0", "\"reps\":4"));
        assertThat(undo().json().at("/marks").size()).isEqualTo(1);
        assertThat(redo().number("/marks/1/reps")).isEqualTo(4);
    }

    @Test
    void aNewChangeEndsWhatCouldBeRedone() {
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        undo();
        Answer other = wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1500);
        assertThat(other.json().at("/redo").isMissingNode()).isTrue();
        assertThat(redo().number("/clockMs")).isEqualTo(1500);
    }

    @Test
    void theSameMoveSentTwiceMovesOnce() {
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 20_000);
        UUID move = UUID.randomUUID();
        wake.post(marks + "undo/" + move, "");
        assertThat(wake.post(marks + "undo/" + move, "").json().at("/marks").size())
                .isEqualTo(1);
        assertThat(undo().json().at("/marks").size()).isZero();
        assertThat(undo().json().at("/marks").size()).as("nothing left to undo").isZero();
    }

    @Test
    void goIsPartOfTheHistoryAndMayLieBeforeTheRecording() {
        UUID camera = UUID.randomUUID();
        String recording = "/api/attempts/" + attempt + "/recordings/" + camera;
        wake.put(recording + "/simulated", "{\"seed\":5}");
        wake.put(recording + "/go", "{\"atMs\":-2500,\"made\":\"TYPED\",\"step\":1}");
        Answer log =
                wake.put(marks + UUID.randomUUID(), markJson("BEGIN", 1000, ",\"recordingId\":\"" + camera + "\""));
        assertThat(log.number("/clockMs")).isEqualTo(3500);
        undo();
        Answer back = undo();
        assertThat(back.text("/redo")).isEqualTo("the start");
        assertThat(wake.get("/api/attempts/" + attempt)
                        .json()
                        .at("/recordings/0/goMs")
                        .isMissingNode())
                .isTrue();
        redo();
        assertThat(wake.get("/api/attempts/" + attempt).number("/recordings/0/goMs"))
                .isEqualTo(-2500);
    }

    @Test
    void aCorrectionFromAnOlderStateIsRefused() {
        UUID done = UUID.randomUUID();
        wake.mark(attempt, done, "DONE", 20_000);
        wake.put(marks + done, markJson("DONE", 21_000, ",\"wasAtMs\":20000"));
        Answer late = wake.put(marks + done, markJson("DONE", 19_000, ",\"wasAtMs\":20000"));
        assertThat(late.status()).isEqualTo(422);
        assertThat(late.text("/detail")).contains("moved in another window");
        wake.delete(marks + done);
        assertThat(wake.put(marks + done, markJson("DONE", 19_000, ",\"wasAtMs\":21000"))
                        .text("/detail"))
                .contains("deleted in another window");
    }

    @Test
    void keysAndPhrasesAreKept() {
        Answer kept = wake.put(
                "/api/settings/log", "{\"keys\":{\"rep\":\"j\"},\"phrases\":[\"hips shoot up\",\"long stare\"]}");
        assertThat(kept.text("/keys/rep")).isEqualTo("j");
        assertThat(wake.get("/api/settings/log").json()).isEqualTo(kept.json());
        assertThat(wake.put("/api/settings/log", "{\"keys\":{\"rep\":\"j\",\"done\":\"j\"},\"phrases\":[]}")
                        .text("/detail"))
                .contains("j is used twice");
        wake.put("/api/settings/log", "{\"keys\":{},\"phrases\":[]}");
    }
}
