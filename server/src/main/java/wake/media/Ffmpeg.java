package wake.media;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/** ffmpeg and ffprobe, where they are installed. */
final class Ffmpeg {
    private static final int ANSWERS_WITHIN_S = 10;
    private static final String WATCH =
            "exec 3<&0; \"$@\" </dev/null & job=$!; { read -r end <&3; kill -9 $job; } >/dev/null 2>&1 & watch=$!; "
                    + "wait $job; code=$?; kill $watch 2>/dev/null; exit $code";

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
     * Starts a program that ends with Wake: on Linux a shell of its own watches for the end of its input, which a killed Wake closes too.
     *
     * @throws IOException when it is not there
     */
    static Process start(List<String> command) throws IOException {
        return new ProcessBuilder(watched(command))
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    /** The shell runs the program beside it and ends it when its input ends, as it does when Wake is killed. */
    private static List<String> watched(List<String> command) {
        if (!Files.isExecutable(Path.of("/bin/sh"))) {
            return command;
        }
        List<String> watched = new ArrayList<>(List.of("/bin/sh", "-c", WATCH, "watched"));
        watched.addAll(command);
        return watched;
    }

    /**
     * What ffprobe says about a file, as comma-separated lines.
     *
     * @throws IOException when it is not there
     */
    static List<String> probe(String... arguments) throws IOException, InterruptedException {
        return probe(process -> {}, arguments);
    }

    /** The same, with the process told to whoever may want to end it. */
    static List<String> probe(Consumer<Process> started, String... arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("ffprobe", "-v", "error", "-of", "csv"));
        command.addAll(List.of(arguments));
        Process process = start(command);
        started.accept(process);
        try (var lines = process.inputReader(StandardCharsets.US_ASCII)) {
            List<String> all = lines.lines().toList();
            process.waitFor();
            return all;
        }
    }
}
