package wake.store.backups;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.sql.Connection;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Which copies are made, and how long each stays. */
class BackupRetentionTest {
    @TempDir
    Path folder;

    private final Hands clock = new Hands();
    private Connection db;
    private BackupRetention copies;

    /** A clock that is set by hand. */
    private static final class Hands extends Clock {
        private Instant now = Instant.parse("2026-11-01T08:00:00Z");

        void pass(Duration time) {
            now = now.plus(time);
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    @BeforeEach
    void opened() throws Exception {
        Schema.bring("jdbc:h2:file:" + folder.resolve("wake"), Schema.newest());
        db = Rows.connect(folder);
        copies = new BackupRetention(folder, clock);
    }

    @AfterEach
    void close() throws Exception {
        db.close();
    }

    private List<String> kept() throws Exception {
        return copies.list().stream().map(file -> file.getFileName().toString()).toList();
    }

    private void days(int days) throws Exception {
        for (int day = 0; day < days; day++) {
            copies.daily(db);
            clock.pass(Duration.ofDays(1));
        }
    }

    @Test
    void theLastSevenDaysItRanAreKept() throws Exception {
        days(9);
        assertThat(kept())
                .containsExactlyInAnyOrderElementsOf(IntStream.rangeClosed(3, 9)
                        .mapToObj(day -> "day 2026-11-0" + day + ".zip")
                        .toList());
    }

    @Test
    void todaysCopyIsMadeAnewSomeHoursLaterAndWhenTheClockWasSetBack() throws Exception {
        copies.daily(db);
        Instant first = made();
        clock.pass(Duration.ofHours(1));
        copies.daily(db);
        assertThat(made()).isEqualTo(first);
        clock.pass(Duration.ofHours(3));
        copies.daily(db);
        assertThat(made()).isEqualTo(clock.instant());
        clock.pass(Duration.ofHours(-2));
        copies.daily(db);
        assertThat(made()).isEqualTo(clock.instant());
    }

    private Instant made() throws Exception {
        return Files.getLastModifiedTime(copies.list().getFirst()).toInstant();
    }

    @Test
    void whatWasBeforeARestoreIsKeptThirtyDays() throws Exception {
        copies.beforeRestore(db);
        Path aside = folder.resolve("wake.before restoring 2026-11-01 080000.mv.db");
        Files.writeString(aside, "as it was");
        Files.setLastModifiedTime(aside, FileTime.from(clock.instant()));
        clock.pass(Duration.ofDays(30));
        copies.daily(db);
        assertThat(kept()).contains("2026-11-01 080000 before restoring.zip");
        assertThat(aside).exists();
        clock.pass(Duration.ofMinutes(1));
        copies.daily(db);
        assertThat(kept()).containsExactly("day 2026-12-01.zip");
        assertThat(aside).doesNotExist();
        assertThat(folder.resolve("wake.mv.db")).exists();
    }

    @Test
    void sevenDaysAfterSomethingWasRemovedNoCopyHoldsIt() throws Exception {
        days(3);
        copies.beforeRestore(db);
        copies.somethingWasRemoved();
        // The day's copy is made anew at once, though it is fresh.
        copies.daily(db);
        clock.pass(Duration.ofMinutes(1));
        copies.daily(db);
        assertThat(made()).isAfterOrEqualTo(clock.instant().minusSeconds(61));
        clock.pass(Duration.ofDays(7));
        copies.daily(db);
        assertThat(kept()).containsExactlyInAnyOrder("day 2026-11-04.zip", "day 2026-11-11.zip");
    }

    @Test
    void theNewestStaysHoweverOldItIs() throws Exception {
        copies.beforeRestore(db);
        clock.pass(Duration.ofDays(400));
        assertThat(copies.newest()).isPresent();
        copies.daily(db);
        assertThat(kept()).hasSize(1);
    }
}
