package wake.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Videos to be taken in. */
final class Clips {
    /** The first bytes of a WebM file (RFC 8794, 11.2.1), with its type written in. */
    private static final byte[] WEBM =
            HexFormat.of().parseHex("1a45dfa39f4286810142f7810142f2810442f381084282847765626d");

    private static byte @Nullable [] video;

    private Clips() {}

    /** What calls itself a WebM, and noise. */
    static byte[] noise(Random random) {
        byte[] clip = new byte[200_000 + random.nextInt(200_000)];
        random.nextBytes(clip);
        System.arraycopy(WEBM, 0, clip, 0, WEBM.length);
        return clip;
    }

    /** A short video that has to be converted; none where ffmpeg is not installed. */
    static byte @Nullable [] video(Path folder) {
        if (video == null) {
            try {
                Path file = folder.resolve("film.avi");
                Process made = new ProcessBuilder(
                                "ffmpeg",
                                "-v",
                                "error",
                                "-f",
                                "lavfi",
                                "-i",
                                "testsrc=size=320x240:rate=25:duration=4",
                                "-c:v",
                                "mpeg4",
                                file.toString())
                        .start();
                video = made.waitFor() == 0 ? Files.readAllBytes(file) : new byte[0];
            } catch (IOException notInstalled) {
                video = new byte[0];
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                video = new byte[0];
            }
        }
        return video.length == 0 ? null : video;
    }
}
