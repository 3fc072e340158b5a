package wake.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;

/** One application with the demo gym and one browser for all tests that do not kill anything. */
final class Suite {
    private static WakeProcess wake;
    private static Chromium chromium;

    private Suite() {}

    static synchronized WakeProcess wake() {
        if (wake == null) {
            try {
                wake = WakeProcess.start(Files.createTempDirectory("wake-e2e").resolve("data"), true);
            } catch (IOException broken) {
                throw new UncheckedIOException(broken);
            }
            Runtime.getRuntime().addShutdownHook(new Thread(wake::close));
        }
        return wake;
    }

    static synchronized Chromium chromium() {
        if (chromium == null) {
            chromium = new Chromium();
        }
        return chromium;
    }
}
