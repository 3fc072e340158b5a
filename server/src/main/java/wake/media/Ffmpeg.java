package wake.media;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** ffmpeg and ffprobe, where they are installed. */
final class Ffmpeg {
    private static final int ANSWERS_WITHIN_S = 10;

    private Ffmpeg() {}

    /** Whether both answer. */
    static boolean isInstalled() {
        return answers("ffmpeg") && answers("ffprobe");
    }

    private static boolean answers(String program) {
        try {
            Process process = new ProcessBuilder(program, "-version")
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return process.waitFor(ANSWERS_WITHIN_S, TimeUnit.SECONDS) && process.exitValue() == 0;
        } catch (IOException missing) {
            return false;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /**
     * What ffprobe says about a file, as comma-separated lines.
     *
     * @throws IOException when it is not there
     */
    static List<String> probe(String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("ffprobe", "-v", "error", "-of", "csv"));
        command.addAll(List.of(arguments));
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try (var lines = process.inputReader(StandardCharsets.US_ASCII)) {
            List<String> all = lines.lines().toList();
            process.waitFor();
            return all;
        }
    }
}
