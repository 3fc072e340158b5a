package wake.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** The demo gym: filled once for all tests, and copied for each that wants one of its own. */
final class Demo {
    private static @Nullable Path filled;

    private Demo() {}

    static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("breakwater barn " + name).getBytes(StandardCharsets.UTF_8));
    }

    /** Puts the demo gym into a folder that is not there yet. */
    static synchronized void into(Path data) {
        try {
            Path from = filled == null ? fill() : filled;
            filled = from;
            try (Stream<Path> files = Files.walk(from)) {
                for (Path file : files.toList()) {
                    Files.copy(file, data.resolve(from.relativize(file)));
                }
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private static Path fill() throws IOException, InterruptedException {
        Path data = Files.createTempDirectory("wake-demo").resolve("data");
        WakeProcess wake = WakeProcess.of(data, "-Dwake.demo=true");
        wake.start();
        while (new JsonMapper().readTree(wake.get("/api/today")).at("/filling").asBoolean()) {
            Thread.sleep(100);
        }
        wake.end();
        return data;
    }
}
