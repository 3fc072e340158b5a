package wake.store.copies;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;

/** What a start finds in the folder, and what it makes of it. */
class DataFolderTest {
    private static final int OLD = 8;

    @TempDir
    Path folder;

    private String url() {
        return "jdbc:h2:file:" + folder.resolve("wake").toAbsolutePath();
    }

    /** A folder of an older Wake, with an athlete and a workout in it. */
    private Map<String, List<String>> old() throws SQLException {
        Schema.bring(url(), OLD);
        try (Connection db = Rows.connect(folder)) {
            db.createStatement().execute("""
                    insert into athlete (id, name, note, created_at)
                    values (random_uuid(), 'Ina Sandbar', 'says "ow"; \\ ü 🌊', current_timestamp)""");
            db.createStatement().execute("""
                    insert into workout (id, title, notation, created_at, changed_at)
                    values (random_uuid(), 'Ebb', '# Ebb', current_timestamp, current_timestamp)""");
            db.createStatement().execute("""
                    insert into attempt (id, athlete_id, workout_id, division, done_on, notation, created_at)
                    select random_uuid(), athlete.id, workout.id, '', date '2026-11-20', '# Ebb', current_timestamp from athlete, workout""");
            db.createStatement().execute("""
                    insert into recording (id, attempt_id, kind, label, media_type, size_bytes, created_at)
                    select random_uuid(), id, 'video', 'a', 'video/webm', 1, current_timestamp from attempt""");
            db.createStatement().execute("""
                    insert into log_change (attempt_id, what, target, before_it, after_it, moved_by)
                    select id, 'mark', random_uuid(), null, '{}', random_uuid() from attempt""");
            return Rows.of(db);
        }
    }

    /** Half of a renewal: a copy, the note of it, and some of the new tables. */
    private void killedWhileRenewing() throws Exception {
        try (DataFolder opened = DataFolder.open(folder);
                Connection db = Rows.connect(folder)) {
            opened.renewing(db, OLD, Schema.newest());
            db.createStatement().execute("alter table recording add column kind_of enum('video', 'simulated')");
            db.createStatement().execute("alter table recording drop column kind");
        }
    }

    @Test
    void aRenewalThatWasCutShortIsTakenBackAndThenDoneWhole() throws Exception {
        Map<String, List<String>> before = old();
        killedWhileRenewing();
        try (DataFolder opened = DataFolder.open(folder)) {
            assertThat(opened.said())
                    .hasValueSatisfying(words -> assertThat(words).contains("nothing is lost"));
            assertThat(Rows.of(folder)).isEqualTo(before);
            Schema.bring(url(), Schema.newest());
            opened.renewed();
        }
        Map<String, List<String>> after = Rows.of(folder);
        assertThat(after.keySet()).contains("REQUEST_DONE");
        assertThat(after.get("ATHLETE")).singleElement().asString().contains("says \"ow\"; \\ ü 🌊");
        assertThat(after.get("RECORDING")).singleElement().asString().contains("KIND=video");
        assertThat(after.get("REQUEST_DONE")).hasSize(1);
        try (DataFolder again = DataFolder.open(folder)) {
            assertThat(again.said()).isEmpty();
        }
    }

    @Test
    void takingBackCanItselfBeCutShortAnyNumberOfTimes() throws Exception {
        Map<String, List<String>> before = old();
        killedWhileRenewing();
        for (int start = 0; start < 3; start++) {
            try (DataFolder opened = DataFolder.open(folder)) {
                assertThat(opened.said()).isPresent();
            }
        }
        assertThat(Rows.of(folder)).isEqualTo(before);
    }

    @Test
    void aFirstStartThatWasCutShortBeginsAnew() throws Exception {
        DataFolder.open(folder).close();
        Schema.bring(url(), 3);
        try (DataFolder opened = DataFolder.open(folder)) {
            assertThat(opened.database()).doesNotExist();
        }
    }

    @Test
    void anEmptyOrForeignDatabaseFileIsNotTakenForAnEmptyGym() throws Exception {
        old();
        try (DataFolder opened = DataFolder.open(folder);
                Connection db = Rows.connect(folder)) {
            opened.daily(db, LocalDate.of(2026, 11, 26));
        }
        Path file = folder.resolve("wake.mv.db");
        Files.write(file, new byte[0]);
        assertThatThrownBy(() -> DataFolder.open(folder))
                .isInstanceOf(DataFolder.Unusable.class)
                .hasMessageContaining("is damaged or empty. Nothing was changed.")
                .hasMessageContaining("day 2026-11-26.zip")
                .hasMessageContaining("./wake restore");
        Files.write(file, "no database".repeat(1000).getBytes(StandardCharsets.UTF_8));
        assertThatThrownBy(() -> DataFolder.open(folder)).isInstanceOf(DataFolder.Unusable.class);
    }

    @Test
    void aRestoreMendsADamagedFolderAndKeepsTheDamagedFile() throws Exception {
        Map<String, List<String>> before = old();
        Path copy = folder.resolve("copies/day 2026-11-26.zip");
        try (DataFolder opened = DataFolder.open(folder);
                Connection db = Rows.connect(folder)) {
            opened.daily(db, LocalDate.of(2026, 11, 26));
        }
        try (RandomAccessFile file =
                new RandomAccessFile(folder.resolve("wake.mv.db").toFile(), "rw")) {
            file.write(new byte[20_000]);
        }
        try (DataFolder held = DataFolder.hold(folder)) {
            held.restoreOffline(copy);
        }
        assertThat(Rows.of(folder)).isEqualTo(before);
        try (var files = Files.list(folder)) {
            assertThat(files.map(file -> file.getFileName().toString()))
                    .anyMatch(name -> name.startsWith("wake.before restoring"));
        }
    }

    @Test
    void aFolderOfANewerWakeIsLeftAlone() throws Exception {
        try (ServerAt wake = ServerAt.folder(folder)) {
            assertThat(wake.get("/api/ready").status()).isEqualTo(200);
        }
        try (Connection db = Rows.connect(folder)) {
            db.createStatement().execute("""
                    insert into "flyway_schema_history" ("installed_rank", "version", "description", "type", "script", "installed_by",
                        "execution_time", "success") values (99, '99', 'later', 'SQL', 'V99__later.sql', 'sa', 1, true)""");
        }
        assertThatThrownBy(() -> ServerAt.folder(folder))
                .hasStackTraceContaining("renewed by a newer Wake: it stands at 99");
    }

    @Test
    void theLastSevenDaysAreKept() throws Exception {
        old();
        try (DataFolder opened = DataFolder.open(folder);
                Connection db = Rows.connect(folder)) {
            for (int day = 1; day <= 9; day++) {
                opened.daily(db, LocalDate.of(2026, 11, day));
                opened.daily(db, LocalDate.of(2026, 11, day));
            }
            assertThat(opened.list())
                    .extracting(file -> file.getFileName().toString())
                    .containsExactlyInAnyOrderElementsOf(java.util.stream.IntStream.rangeClosed(3, 9)
                            .mapToObj(day -> "day 2026-11-0" + day + ".zip")
                            .toList());
        }
    }

    @Test
    void todaysCopyIsMadeAnewSomeHoursLater() throws Exception {
        old();
        try (DataFolder opened = DataFolder.open(folder);
                Connection db = Rows.connect(folder)) {
            LocalDate today = LocalDate.of(2026, 11, 26);
            opened.daily(db, today);
            Path copy = opened.copies().resolve("day 2026-11-26.zip");
            db.createStatement().execute("delete from log_change");
            opened.daily(db, today);
            assertThat(BackupFile.contents(copy).rows("LOG_CHANGE")).isEqualTo(1);
            Files.setLastModifiedTime(
                    copy,
                    java.nio.file.attribute.FileTime.from(
                            java.time.Instant.now().minusSeconds(4 * 3600)));
            opened.daily(db, today);
            assertThat(BackupFile.contents(copy).rows("LOG_CHANGE")).isZero();
        }
    }

    @Test
    void oneWakeAtATimeHasTheFolderAndOthersOnTheMachineNone() throws Exception {
        try (DataFolder first = DataFolder.open(folder)) {
            assertThat(first.said()).isEmpty();
            assertThatThrownBy(() -> DataFolder.open(folder)).isInstanceOf(DataFolder.InUse.class);
            assertThat(DataFolder.isFree(folder)).isFalse();
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(folder)))
                    .isEqualTo("rwx------");
        }
        assertThat(DataFolder.isFree(folder)).isTrue();
    }

    /** Ends that an older Wake had placed inside a round of which only the end was jotted: they are known by their uncertainty. */
    @Test
    void endsThatNobodySawAreMarkedSo() throws Exception {
        old();
        Schema.bring(url(), 10);
        try (Connection db = Rows.connect(folder)) {
            for (String u : List.of("17.3", "0.29")) {
                db.createStatement().execute("""
                        insert into mark (id, attempt_id, kind, at_ms, reps, depth, tag, note, uncertainty_s)
                        select random_uuid(), id, 'DONE', 1000, 0, 'SEGMENT', '', '', %s from attempt""".formatted(u));
            }
        }
        Schema.bring(url(), Schema.newest());
        try (Connection db = Rows.connect(folder)) {
            assertThat(Rows.of(db).get("MARK"))
                    .anyMatch(row -> row.contains("DEPTH=ROUND") && row.contains("17.3"))
                    .anyMatch(row -> row.contains("DEPTH=SEGMENT") && row.contains("0.29"));
            assertThat(Rows.of(db).get("ATTEMPT")).singleElement().asString().contains("NOTE=");
        }
    }
}
