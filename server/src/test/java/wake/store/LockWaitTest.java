package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.sql.Connection;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;
import wake.ServerAt.Answer;

/** Somebody holds what another wants to change, longer than anybody waits: that is no fault of the database, and hurts nobody else. */
class LockWaitTest {
    @TempDir
    Path data;

    @Test
    void whoWaitsTooLongIsToldToTryAgainAndEverybodyElseGoesOn() throws Exception {
        try (ServerAt wake = impatient()) {
            UUID attempt = wake.attempt("# A\nfor time\n  50 burpee\n");
            UUID other = wake.attempt("# B\nfor time\n  50 burpee\n");
            UUID mark = UUID.randomUUID();
            try (Connection slow = holding(wake, attempt)) {
                CompletableFuture<Answer> waiting =
                        CompletableFuture.supplyAsync(() -> wake.mark(attempt, mark, "REP", 1000));
                assertThat(wake.mark(other, UUID.randomUUID(), "REP", 1000).status())
                        .isEqualTo(200);
                Answer busy = waiting.get();
                assertThat(busy.status()).as(busy.json().toString()).isEqualTo(503);
                assertThat(busy.text("/detail")).contains("busy").contains("again");
                assertThat(busy.raw().headers().firstValue("retry-after")).hasValue("1");
                assertThat(wake.bean(DatabaseHealth.class).trouble()).isEmpty();
                assertThat(wake.get("/api/athletes").status()).isEqualTo(200);
                assertThat(wake.mark(other, UUID.randomUUID(), "REP", 2000).status())
                        .isEqualTo(200);
                slow.rollback();
            }
            assertThat(wake.mark(attempt, mark, "REP", 1000).status()).isEqualTo(200);
        }
    }

    @Test
    void aRestoreWaitsForWhoIsStillAtWork() throws Exception {
        try (ServerAt wake = impatient()) {
            UUID attempt = wake.attempt("# A\nfor time\n  50 burpee\n");
            byte[] backup = wake.get("/api/data/backup").raw().body();
            wake.attempt("# B\nfor time\n  50 burpee\n");
            String offered = wake.post("/api/data/restore", backup).text("/id");
            Connection slow = holding(wake, attempt);
            CompletableFuture<Answer> restoring =
                    CompletableFuture.supplyAsync(() -> wake.post("/api/data/restore/" + offered, ""));
            Thread.sleep(1500);
            assertThat(restoring).isNotDone();
            slow.rollback();
            slow.close();
            Answer restored = restoring.get();
            assertThat(restored.status()).as(restored.json().toString()).isEqualTo(200);
            assertThat(wake.get("/api/workouts").json()).hasSize(1);
        }
    }

    /** Waits half a second for a lock, as the application does for some. */
    private ServerAt impatient() {
        return ServerAt.folder(
                data,
                "--spring.datasource.url=jdbc:h2:file:" + data.toAbsolutePath()
                        + "/wake;WRITE_DELAY=0;LOCK_TIMEOUT=500");
    }

    private static Connection holding(ServerAt wake, UUID attempt) throws Exception {
        Connection slow = wake.bean(HikariDataSource.class).getConnection();
        slow.setAutoCommit(false);
        try (var update = slow.prepareStatement("update attempt set log_version = log_version + 1 where id = ?")) {
            update.setObject(1, attempt);
            update.executeUpdate();
        }
        return slow;
    }
}
