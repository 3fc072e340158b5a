package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A recording as phones make them: frames at an unsteady rate, the picture turned by a note in the file. Made by ffmpeg; each frame is
 * a shade of grey brighter than the one before, so that what is on screen can be told from the picture itself.
 */
class PhoneVideoTest {
    private static final int FRAMES = 12;
    private static final int DARKEST = 30;
    private static final int BRIGHTER = 16;
    private static final String SHADE = """
            () => {
              const video = document.querySelector('video');
              const canvas = document.createElement('canvas');
              canvas.width = canvas.height = 1;
              const context = canvas.getContext('2d');
              context.drawImage(video, 0, 0, 1, 1);
              return context.getImageData(0, 0, 1, 1).data[1];
            }
            """;

    @TempDir
    private Path folder;

    private final Page page = Suite.chromium().page();

    @Test
    void framesAreSteppedAtTheirOwnTimesAndThePictureStandsUpright() throws Exception {
        assumeThat(Files.isExecutable(Path.of("/usr/bin/ffmpeg"))).isTrue();
        Enter enter = new Enter(page.request());
        UUID attempt = enter.attempt("Sunna Ebb", "# Ebb\nfor time\n  6 burpee\n");
        enter.video(attempt, "phone.mp4", video());
        LogDesk[] opened = new LogDesk[1];
        page.waitForResponse(
                answer -> answer.url().endsWith("/frames"),
                () -> opened[0] = LogDesk.open(page, Suite.wake(), attempt));
        LogDesk desk = opened[0];
        Chromium.until(page, "document.querySelector('video').readyState >= 2");
        assertThat(((Number) page.evaluate("document.querySelector('video').videoHeight")).intValue())
                .as("turned upright")
                .isEqualTo(96);
        desk.press("g");
        assertThat(desk.clock()).hasText("0:00.0");
        double[] shades = new double[FRAMES];
        for (int frame = 0; frame < FRAMES; frame++) {
            assertThat(desk.clock()).hasText(clock(frame));
            Chromium.until(page, "document.querySelector('video').seeking === false");
            page.waitForTimeout(60);
            shades[frame] = ((Number) page.evaluate(SHADE)).doubleValue();
            if (frame % 4 == 3) {
                desk.press("q");
            }
            desk.press("Shift+ArrowRight");
        }
        for (int frame = 1; frame < FRAMES; frame++) {
            assertThat(shades[frame] - shades[frame - 1])
                    .as("brighter at frame %d of %s", frame, Arrays.toString(shades))
                    .isCloseTo(BRIGHTER * 255.0 / 219, within(6.0));
        }
        desk.press("Shift+ArrowLeft");
        assertThat(desk.clock()).hasText(clock(FRAMES - 2));
        desk.expectSaved();
        assertThat(blockedTimes(attempt)).containsExactly(timeMs(3), timeMs(7), timeMs(11));
    }

    private static String clock(int frame) {
        return "0:00." + Math.round(timeMs(frame) / 100.0);
    }

    /** Forty milliseconds, eighty, forty, eighty. */
    private static long timeMs(int frame) {
        return 60L * frame - 20L * (frame % 2);
    }

    private byte[] video() throws IOException, InterruptedException {
        Path file = folder.resolve("phone.mp4");
        String shades = "geq=lum='%d+%d*N':cb=128:cr=128".formatted(DARKEST, BRIGHTER);
        String times = "settb=1/1000,setpts=60*N-20*mod(N\\,2)";
        run(
                "-f",
                "lavfi",
                "-i",
                "color=size=96x64:rate=25",
                "-vf",
                shades + "," + times,
                "-fps_mode",
                "passthrough",
                "-frames:v",
                "" + FRAMES,
                "-c:v",
                "libx264",
                "-crf",
                "10",
                "-pix_fmt",
                "yuv420p",
                file.toString());
        return turned(Files.readAllBytes(file));
    }

    /** Writes a quarter turn into the matrix of the track's header (ISO/IEC 14496-12, 8.3.2), as phones held upright do. */
    private static byte[] turned(byte[] mp4) {
        int header = new String(mp4, StandardCharsets.ISO_8859_1).indexOf("tkhd");
        int one = 1 << 16;
        int[] quarter = {0, one, 0, -one, 0, 0, 64 * one, 0, 1 << 30};
        ByteBuffer matrix = ByteBuffer.wrap(mp4, header + 44, 36);
        for (int value : quarter) {
            matrix.putInt(value);
        }
        return mp4;
    }

    private static void run(String... arguments) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(
                        Stream.concat(Stream.of("ffmpeg", "-v", "error", "-y"), Stream.of(arguments))
                                .toList())
                .inheritIO()
                .start();
        assertThat(process.waitFor()).isZero();
    }

    private static List<Long> blockedTimes(UUID attempt) {
        JsonNode marks = new JsonMapper()
                .readTree(Suite.wake().get("/api/attempts/" + attempt))
                .at("/log/marks");
        return marks.valueStream().map(mark -> mark.at("/atMs").asLong()).toList();
    }
}
