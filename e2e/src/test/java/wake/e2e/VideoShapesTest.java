package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Videos of every shape are shown whole, and none makes its frame grow: upright as most phones video, square, as cameras of old, wide and very
 * wide. On the log at every size of window, in the corner of a review, and side by side.
 */
class VideoShapesTest {
    private static final Map<String, String> SHAPES =
            Map.of("9:16", "540x960", "1:1", "600x600", "4:3", "640x480", "16:9", "1280x720", "21:9", "1260x540");

    private static final List<int[]> WINDOWS =
            List.of(new int[] {1280, 800}, new int[] {768, 1024}, new int[] {390, 844});

    /** How far a picture sticks out of what clips it or out of the window; as much as is left for it is at least a hand high. */
    private static final String LIES = """
            () => Math.max(...[...document.querySelectorAll('video')].map((video) => {
              const box = video.getBoundingClientRect();
              let clip = video.parentElement;
              while (getComputedStyle(clip).overflow === 'visible') clip = clip.parentElement;
              const frame = clip.getBoundingClientRect();
              const scale = Math.min(box.width / video.videoWidth, box.height / video.videoHeight);
              const [w, h] = [video.videoWidth * scale, video.videoHeight * scale];
              const [x, y] = [box.x + (box.width - w) / 2, box.y + (box.height - h) / 2];
              return Math.max(
                frame.x - x, frame.y - y, x + w - frame.right, y + h - frame.bottom, frame.bottom - innerHeight,
                110 - frame.height);
            }))
            """;

    @TempDir
    private Path folder;

    private final Page page = Suite.chromium().page();

    @Test
    void areShownWhole() throws Exception {
        assumeThat(Files.isExecutable(Path.of("/usr/bin/ffmpeg"))).isTrue();
        for (Map.Entry<String, String> shape : SHAPES.entrySet()) {
            shownWhole(shape.getKey(), video(shape.getValue()));
        }
    }

    /** As phones video: lying, with a turn for the player to make. */
    @Test
    void oneToBeTurnedIsShownWhole() throws Exception {
        assumeThat(Files.isExecutable(Path.of("/usr/bin/ffmpeg"))).isTrue();
        video("640x360");
        Path turned = folder.resolve("turned.mp4");
        made(
                "-i",
                folder.resolve("640x360.mp4").toString(),
                "-c",
                "copy",
                "-metadata:s:v",
                "rotate=90",
                turned.toString());
        shownWhole("turned", Files.readAllBytes(turned));
        assertThat(page.evaluate("(one => one.videoWidth < one.videoHeight)(document.querySelector('video'))"))
                .as("it stands")
                .isEqualTo(true);
    }

    private void shownWhole(String shape, byte[] video) {
        Enter enter = new Enter(page.request());
        UUID workout = UUID.randomUUID();
        enter.put("/api/workouts/" + workout, Map.of("notation", "# Ebb\nfor time\n  6 burpee\n"));
        UUID attempt = enter.attempt("Sunna Ebb", workout);
        UUID other = enter.attempt("Runa Skerry", workout);
        enter.video(attempt, "film.mp4", video);
        enter.video(other, "film.mp4", video);
        for (UUID one : List.of(other, attempt)) {
            LogDesk desk = LogDesk.open(page, Suite.wake(), one);
            desk.press("g", "ArrowRight", "a", "ArrowRight", "d");
            desk.expectSaved();
        }
        atEverySize(shape + " on the log");
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/reading"));
        page.locator("main button[aria-label^='Play']").first().click();
        whole(shape + " in the corner");
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/versus"));
        page.getByText("Play side by side from").first().click();
        Chromium.until(page, "document.querySelectorAll('video').length === 2");
        atEverySize(shape + " in step");
    }

    private void atEverySize(String what) {
        for (int[] window : WINDOWS) {
            page.setViewportSize(window[0], window[1]);
            // On a phone one picture in step lies under the other.
            page.evaluate("[...document.querySelectorAll('video')].at(-1).scrollIntoView({block: 'end'})");
            whole(what + " at " + window[0]);
        }
        page.setViewportSize(1280, 800);
    }

    private void whole(String where) {
        Chromium.until(page, "document.querySelector('video') !== null");
        Chromium.until(page, "[...document.querySelectorAll('video')].every(one => one.readyState >= 1)");
        double beyond = ((Number) page.evaluate(LIES)).doubleValue();
        assertThat(beyond).as(where).isLessThanOrEqualTo(1);
    }

    private byte[] video(String size) throws IOException, InterruptedException {
        Path file = folder.resolve(size + ".mp4");
        String source = "testsrc=size=" + size + ":rate=10:duration=4";
        made("-f", "lavfi", "-i", source, "-c:v", "libx264", "-pix_fmt", "yuv420p", file.toString());
        return Files.readAllBytes(file);
    }

    private static void made(String... how) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-y"));
        command.addAll(List.of(how));
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
    }
}
