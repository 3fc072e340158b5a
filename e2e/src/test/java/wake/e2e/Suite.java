package wake.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;

/** One application with the demo gym for all tests that do not kill anything, and a browser for each thread that tests. */
final class Suite {
    private static WakeProcess wake;
    private static final ThreadLocal<Chromium> CHROMIUM = ThreadLocal.withInitial(Chromium::new);

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

    /** Not to be handed to another thread. */
    static Chromium chromium() {
        return CHROMIUM.get();
    }
}
