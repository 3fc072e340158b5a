package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;

/** Somebody fetches everything and stops reading half-way: nobody else waits for that. */
class StalledDownloadsTest {
    private static final int STALLED = 4;

    @TempDir
    Path data;

    @Test
    void whoStopsReadingHoldsNoConnectionAndNothingStaysBehind() throws Exception {
        try (ServerAt wake = ServerAt.folder(data)) {
            UUID attempt = wake.attempt("# A\namrap 60:00\n  2000 burpee\n");
            byte[] video = new byte[20 << 20];
            new Random(3).nextBytes(video);
            Files.createDirectories(data.resolve("media"));
            Files.write(data.resolve("media").resolve(new UUID(1, 2).toString()), video);
            List<Socket> stalled = new ArrayList<>();
            try {
                for (int i = 0; i < STALLED; i++) {
                    Socket socket = new Socket();
                    socket.setReceiveBufferSize(8 << 10);
                    socket.connect(new java.net.InetSocketAddress("127.0.0.1", wake.port()));
                    socket.getOutputStream()
                            .write("GET /api/data/backup?recordings=true HTTP/1.1\r\nHost: localhost\r\n\r\n"
                                    .getBytes(StandardCharsets.US_ASCII));
                    InputStream in = socket.getInputStream();
                    assertThat(new String(in.readNBytes(12), StandardCharsets.US_ASCII))
                            .isEqualTo("HTTP/1.1 200");
                    stalled.add(socket);
                }
                for (int i = 1; i <= 20; i++) {
                    Instant before = Instant.now();
                    assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 1000L * i)
                                    .status())
                            .isEqualTo(200);
                    assertThat(Duration.between(before, Instant.now())).isLessThan(Duration.ofSeconds(4));
                }
                assertThat(wake.get("/api/data/everything.json").status()).isEqualTo(200);
            } finally {
                for (Socket socket : stalled) {
                    socket.close();
                }
            }
            Instant late = Instant.now().plus(Duration.ofSeconds(60));
            while (files() > 0 && Instant.now().isBefore(late)) {
                Thread.sleep(100);
            }
            assertThat(files()).as("files left to go out").isZero();
        }
    }

    private long files() throws Exception {
        try (var files = Files.list(data.resolve("outgoing"))) {
            return files.count();
        }
    }
}
