package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Films of every shape are shown whole, and none makes its frame grow: upright as most phones film, square, as cameras of old, wide and very
 * wide. On the log at every size of window, in the corner of a review, and side by side.
 */
class FilmShapesTest {
    private static final Map<String, String> SHAPES =
            Map.of("9:16", "540x960", "1:1", "600x600", "4:3", "640x480", "16:9", "1280x720", "21:9", "1260x540");

    private static final List<int[]> WINDOWS =
            List.of(new int[] {1280, 800}, new int[] {768, 1024}, new int[] {390, 844});

    /** How the picture lies in what clips it: all four edges, and how much of the window the page takes beyond its height. */
    private static final String LIES = """
            () => {
              const video = document.querySelector('video');
              const box = video.getBoundingClientRect();
              let clip = video.parentElement;
              while (getComputedStyle(clip).overflow === 'visible') clip = clip.parentElement;
              const frame = clip.getBoundingClientRect();
              const scale = Math.min(box.width / video.videoWidth, box.height / video.videoHeight);
              const [w, h] = [video.videoWidth * scale, video.videoHeight * scale];
              const [x, y] = [box.x + (box.width - w) / 2, box.y + (box.height - h) / 2];
              return Math.max(frame.x - x, frame.y - y, x + w - frame.right, y + h - frame.bottom, frame.bottom - innerHeight);
            }
            """;

    @TempDir
    private Path folder;

    private final Page page = Suite.chromium().page();

    @Test
    void areShownWhole() throws Exception {
        assumeThat(Files.isExecutable(Path.of("/usr/bin/ffmpeg"))).isTrue();
        for (Map.Entry<String, String> shape : SHAPES.entrySet()) {
            Enter enter = new Enter(page.request());
            UUID attempt = enter.attempt("Sunna Ebb", "# Ebb\nfor time\n  6 burpee\n");
            enter.video(attempt, "film.mp4", film(shape.getValue()));
            for (int[] window : WINDOWS) {
                page.setViewportSize(window[0], window[1]);
                LogDesk desk = LogDesk.open(page, Suite.wake(), attempt);
                whole(shape.getKey() + " on the log at " + window[0]);
                if (window[0] == 1280) {
                    desk.press("g", "ArrowRight", "a", "ArrowRight", "d");
                    desk.expectSaved();
                }
            }
            page.setViewportSize(1280, 800);
            page.navigate(Suite.wake().url("/attempts/" + attempt + "/reading"));
            page.locator("main button[aria-label^='Play']").first().click();
            whole(shape.getKey() + " in the corner");
        }
    }

    private void whole(String where) {
        Chromium.until(page, "document.querySelector('video')?.readyState >= 1");
        double beyond = ((Number) page.evaluate(LIES)).doubleValue();
        assertThat(beyond).as(where).isLessThanOrEqualTo(1);
    }

    private byte[] film(String size) throws IOException, InterruptedException {
        Path file = folder.resolve(size + ".mp4");
        Process made = new ProcessBuilder(
                        "ffmpeg",
                        "-v",
                        "error",
                        "-y",
                        "-f",
                        "lavfi",
                        "-i",
                        "testsrc=size=" + size + ":rate=10:duration=4",
                        "-c:v",
                        "libx264",
                        "-pix_fmt",
                        "yuv420p",
                        file.toString())
                .inheritIO()
                .start();
        assertThat(made.waitFor()).isZero();
        return Files.readAllBytes(file);
    }
}
