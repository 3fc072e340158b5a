package wake.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/**
 * Renders the demo's video clip from the simulated recording it stands for: frame by frame through the real interface into
 * ffmpeg. Run by {@code e2e/render-clip.sh} while the clip is absent; needs ffmpeg.
 */
class RenderClip {
    private static final int FRAMES_PER_SECOND = 30;
    private static final int LONGEST_FRAMES = 90 * FRAMES_PER_SECOND;

    @Test
    @EnabledIfSystemProperty(named = "wake.clip", matches = ".+")
    void renderClip(@TempDir Path folder) throws IOException, InterruptedException {
        Path clip = Path.of(System.getProperty("wake.clip"));
        Path data = folder.resolve("data");
        try (WakeProcess wake = WakeProcess.start(data, true);
                Chromium chromium = new Chromium()) {
            Page page = chromium.page();
            page.navigate(wake.url("/attempts/" + Demo.id("attempt jory skiff sprint") + "/log"));
            Locator canvas = page.getByLabel("Simulated recording");
            canvas.waitFor();
            Process ffmpeg = ffmpeg(clip);
            try (OutputStream frames = ffmpeg.getOutputStream()) {
                String before = "";
                for (int frame = 0; frame < LONGEST_FRAMES; frame++) {
                    String image = (String) canvas.evaluate(
                            "c => new Promise(r => requestAnimationFrame(() => requestAnimationFrame(() =>"
                                    + " r(c.toDataURL('image/png')))))");
                    frames.write(Base64.getDecoder().decode(image.substring(image.indexOf(',') + 1)));
                    page.keyboard().press("Shift+ArrowRight");
                    boolean ended = frame % FRAMES_PER_SECOND == 0 && image.equals(before);
                    if (ended) {
                        break;
                    }
                    before = image;
                }
            }
            ffmpeg.waitFor();
        }
    }

    /** VP9 with a key frame every half second, and the countdown's beeps as sound. */
    private static Process ffmpeg(Path clip) throws IOException {
        String beeps = "sine=f=784:d=0.15,adelay=2000[a];sine=f=784:d=0.15,adelay=3000[b];"
                + "sine=f=784:d=0.15,adelay=4000[c];sine=f=1175:d=0.7,adelay=5000[d];[a][b][c][d]amix=4:duration=longest,apad[s]";
        return new ProcessBuilder(
                        "ffmpeg",
                        "-y",
                        "-loglevel",
                        "error",
                        "-f",
                        "image2pipe",
                        "-c:v",
                        "png",
                        "-framerate",
                        Integer.toString(FRAMES_PER_SECOND),
                        "-i",
                        "-",
                        "-filter_complex",
                        beeps,
                        "-map",
                        "0:v",
                        "-map",
                        "[s]",
                        "-shortest",
                        "-c:v",
                        "libvpx-vp9",
                        "-pix_fmt",
                        "yuv420p",
                        "-g",
                        "15",
                        "-crf",
                        "36",
                        "-b:v",
                        "0",
                        "-cpu-used",
                        "4",
                        "-row-mt",
                        "1",
                        "-c:a",
                        "libopus",
                        "-b:a",
                        "48k",
                        clip.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.INHERIT)
                .start();
    }
}
