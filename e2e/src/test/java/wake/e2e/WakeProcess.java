package wake.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** The application in a process of its own, so that a test can kill it. */
final class WakeProcess implements AutoCloseable {
    /** Compiles quickly rather than well: most of these processes live for seconds. */
    static final List<String> COMPILER = List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC");

    private static final Duration PATIENCE = Duration.ofSeconds(90);

    private final Path data;
    private final boolean demo;
    private final int port;
    private final List<String> options;
    private final HttpClient http = HttpClient.newHttpClient();
    private Process process;

    private WakeProcess(Path data, boolean demo, int port, List<String> options) {
        this.options = options;
        this.data = data;
        this.demo = demo;
        this.port = port;
    }

    static WakeProcess start(Path data, boolean demo, String... options) {
        WakeProcess wake = new WakeProcess(data, demo, freePort(), List.of(options));
        wake.start();
        return wake;
    }

    /** One that has yet to be started. */
    static WakeProcess of(Path data, String... options) {
        return new WakeProcess(data, false, freePort(), List.of(options));
    }

    Path data() {
        return data;
    }

    int port() {
        return port;
    }

    String url(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** Starts it (again) on the same data and port, and waits until it answers. */
    void start() {
        begin();
        expectReady();
    }

    /** Starts the process, and does not wait for it. */
    void begin() {
        if (demo && !Files.exists(data)) {
            Demo.into(data);
        }
        try {
            List<String> command = new ArrayList<>(List.of(Application.java()));
            command.addAll(COMPILER);
            command.addAll(List.of("-Dwake.data=" + data, "-Dwake.demo=" + demo, "-Dserver.port=" + port));
            command.addAll(options);
            command.addAll(Application.command());
            process = new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(log().toFile()))
                    .start();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    /** Waits until it answers. */
    void expectReady() {
        Instant deadline = Instant.now().plus(PATIENCE);
        while (!answers()) {
            if (Instant.now().isAfter(deadline) || !process.isAlive()) {
                throw new IllegalStateException("Wake did not start: " + said());
            }
            pause();
        }
    }

    long pid() {
        return process.pid();
    }

    /** What it has had of the processors so far. */
    Duration processorTime() {
        return process.info().totalCpuDuration().orElse(Duration.ZERO);
    }

    /** Ends it as a power cut would: no shutdown, nothing flushed. */
    void kill() {
        try {
            new ProcessBuilder("kill", "-9", Long.toString(process.pid()))
                    .start()
                    .waitFor();
            process.waitFor();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private Path log() {
        return data.resolveSibling(data.getFileName() + ".log");
    }

    String said() {
        try {
            return Files.readString(log());
        } catch (IOException silent) {
            return "it said nothing";
        }
    }

    String get(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(url(path))).build(), HttpResponse.BodyHandlers.ofString())
                    .body();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    boolean answers() {
        try {
            HttpRequest request =
                    HttpRequest.newBuilder(URI.create(url("/api/ready"))).build();
            int status =
                    http.send(request, HttpResponse.BodyHandlers.discarding()).statusCode();
            // 401: opened to a network, it asks for its passphrase.
            return status == 200 || status == 401;
        } catch (IOException notYet) {
            return false;
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    @Override
    public void close() {
        // Waits: what still writes would be written into a folder that is being deleted.
        try {
            end();
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** Ends it in peace, and waits until it has ended. */
    void end() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }

    private static void pause() {
        try {
            Thread.sleep(100);
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException none) {
            throw new UncheckedIOException(none);
        }
    }
}
