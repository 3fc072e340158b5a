package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;

/** The file is made smaller under the hands of who is marking, and no mark is lost by it. */
class CompactionTest {
    private static final int ENOUGH = 600_000;

    @TempDir
    Path data;

    @Test
    void theFileStaysSmallWhileMarksComeIn() throws Exception {
        Path file = data.resolve("wake.mv.db");
        try (ServerAt wake = ServerAt.folder(data, "--wake.compact-above=" + ENOUGH, "--wake.compact-every=PT0.2S")) {
            UUID attempt = wake.attempt("# A\namrap 60:00\n  900 burpee\n");
            Set<UUID> kept = new HashSet<>();
            long largest = 0;
            boolean shrunk = false;
            Instant end = Instant.now().plus(Duration.ofSeconds(60));
            for (int rep = 1;
                    rep < 800 && !(shrunk && rep > 120) && Instant.now().isBefore(end);
                    rep++) {
                UUID mark = UUID.randomUUID();
                assertThat(wake.mark(attempt, mark, "REP", 1000L * rep).status())
                        .isEqualTo(200);
                kept.add(mark);
                long size = Files.size(file);
                shrunk |= size < largest / 2;
                largest = Math.max(largest, size);
            }
            assertThat(shrunk).as("made smaller while marks came in").isTrue();
            Set<UUID> there = new HashSet<>();
            wake.get("/api/attempts/" + attempt)
                    .json()
                    .at("/log/marks")
                    .forEach(one -> there.add(UUID.fromString(one.at("/id").asString())));
            assertThat(there).isEqualTo(kept);
        }
    }

    /** Somebody is always at something that takes longer than anybody is made to wait for an ordinary writing anew. */
    @Test
    void aFileThatIsFarTooLargeIsMadeSmallerOnABusyMachineToo() throws Exception {
        Path file = data.resolve("wake.mv.db");
        try (ServerAt wake = ServerAt.folder(data, "--wake.compact-above=100000", "--wake.compact-every=PT0.2S")) {
            HikariDataSource pool = wake.bean(HikariDataSource.class);
            AtomicBoolean stop = new AtomicBoolean();
            Thread busy = Thread.ofVirtual().start(() -> {
                while (!stop.get()) {
                    try (Connection one = pool.getConnection()) {
                        Thread.sleep(1500);
                    } catch (SQLException | InterruptedException ended) {
                        return;
                    }
                }
            });
            UUID attempt = wake.attempt("# A\namrap 60:00\n  900 burpee\n");
            long largest = 0;
            boolean shrunk = false;
            Instant end = Instant.now().plus(Duration.ofSeconds(60));
            for (int rep = 1; rep < 800 && !shrunk && Instant.now().isBefore(end); rep++) {
                assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 1000L * rep)
                                .status())
                        .isEqualTo(200);
                long size = Files.size(file);
                shrunk = size < largest / 2;
                largest = Math.max(largest, size);
            }
            stop.set(true);
            busy.join();
            assertThat(shrunk).isTrue();
        }
    }
}
