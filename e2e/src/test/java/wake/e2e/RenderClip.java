package wake.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/**
 * Renders the demo's video clips from the simulated recordings they stand for: frame by frame through the real interface into
 * ffmpeg. Run by {@code e2e/render-clip.sh} while a clip is absent; needs ffmpeg.
 */
class RenderClip {
    private static final int FRAMES_PER_SECOND = 30;
    private static final int LONGEST_FRAMES = 100 * FRAMES_PER_SECOND;

    /** The countdown of every simulated recording: three beeps, and a long one at "go". */
    private static final String BEEPS = "sine=f=784:d=0.15,adelay=2000[a];sine=f=784:d=0.15,adelay=3000[b];"
            + "sine=f=784:d=0.15,adelay=4000[c];sine=f=1175:d=0.7,adelay=5000[d];[a][b][c][d]amix=4:duration=longest,apad=whole_dur=100[s]";

    /** The first lane without its wall, beside the whole of the second; whoever is through first stands still. */
    private static final String BESIDE =
            ";[0:v]crop=640:540:0:0,tpad=stop_duration=20:stop_mode=clone[left];[left][1:v]hstack=shortest=1,"
                    + "scale=1120:378[v]";

    @Test
    @EnabledIfSystemProperty(named = "wake.clip", matches = ".+")
    void renderClip(@TempDir Path folder) throws IOException, InterruptedException {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), true);
                Chromium chromium = new Chromium()) {
            Path frames = video(chromium.page(), wake, "jory skiff sprint", folder);
            encode(List.of(frames), BEEPS, "0:v", "15", "36", System.getProperty("wake.clip"));
        }
    }

    /** Both lanes of the heat in one video. */
    @Test
    @EnabledIfSystemProperty(named = "wake.heat", matches = ".+")
    void renderHeat(@TempDir Path folder) throws IOException, InterruptedException {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), true);
                Chromium chromium = new Chromium()) {
            Page page = chromium.page();
            List<Path> lanes =
                    List.of(video(page, wake, "pia weir race", folder), video(page, wake, "maren weir race", folder));
            encode(lanes, BEEPS + BESIDE, "[v]", "30", "38", System.getProperty("wake.heat"));
        }
    }

    /** Every frame of a simulated recording, without loss. */
    private static Path video(Page page, WakeProcess wake, String attempt, Path folder)
            throws IOException, InterruptedException {
        Path video = folder.resolve(attempt.replace(' ', '-') + ".mkv");
        page.navigate(wake.url("/attempts/" + Demo.id("attempt " + attempt) + "/log?at=-5000"));
        Locator canvas = page.getByLabel("Practice video");
        canvas.waitFor();
        Process ffmpeg = ffmpeg(List.of(
                "-f",
                "image2pipe",
                "-c:v",
                "png",
                "-framerate",
                "" + FRAMES_PER_SECOND,
                "-i",
                "-",
                "-c:v",
                "ffv1",
                video.toString()));
        try (OutputStream frames = ffmpeg.getOutputStream()) {
            String before = "";
            for (int frame = 0; frame < LONGEST_FRAMES; frame++) {
                String image = (String)
                        canvas.evaluate("c => new Promise(r => requestAnimationFrame(() => requestAnimationFrame(() =>"
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
        return video;
    }

    /** VP9 as long as the last of the videos, and the countdown's beeps as sound. */
    private static void encode(
            List<Path> videos, String filter, String picture, String keyEvery, String crf, String clip)
            throws IOException, InterruptedException {
        List<String> words = new ArrayList<>();
        videos.forEach(video -> words.addAll(List.of("-i", video.toString())));
        words.addAll(
                List.of("-filter_complex", filter, "-map", picture, "-map", "[s]", "-t", seconds(videos.getLast())));
        words.addAll(List.of("-c:v", "libvpx-vp9", "-pix_fmt", "yuv420p", "-g", keyEvery, "-crf", crf, "-b:v", "0"));
        words.addAll(List.of("-cpu-used", "4", "-row-mt", "1", "-c:a", "libopus", "-b:a", "32k", clip));
        ffmpeg(words).waitFor();
    }

    private static String seconds(Path video) throws IOException {
        Process asked = new ProcessBuilder(
                        "ffprobe",
                        "-v",
                        "error",
                        "-show_entries",
                        "format=duration",
                        "-of",
                        "csv=p=0",
                        video.toString())
                .start();
        return new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
    }

    private static Process ffmpeg(List<String> words) throws IOException {
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-y", "-loglevel", "error"));
        command.addAll(words);
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.INHERIT)
                .start();
    }
}
