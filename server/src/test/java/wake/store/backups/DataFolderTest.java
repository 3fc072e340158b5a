package wake.store.backups;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;

/** What a start finds in the folder, and what it makes of it. */
class DataFolderTest {
    private static final int OLD = 8;

    /** A November afternoon. */
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-26T15:00:00Z"), ZoneOffset.UTC);

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
        try (DataFolder opened = DataFolder.open(folder, CLOCK);
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
        try (DataFolder opened = DataFolder.open(folder, CLOCK)) {
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
        try (DataFolder again = DataFolder.open(folder, CLOCK)) {
            assertThat(again.said()).isEmpty();
        }
    }

    @Test
    void takingBackCanItselfBeCutShortAnyNumberOfTimes() throws Exception {
        Map<String, List<String>> before = old();
        killedWhileRenewing();
        for (int start = 0; start < 3; start++) {
            try (DataFolder opened = DataFolder.open(folder, CLOCK)) {
                assertThat(opened.said()).isPresent();
            }
        }
        assertThat(Rows.of(folder)).isEqualTo(before);
    }

    @Test
    void aFirstStartThatWasCutShortBeginsAnew() throws Exception {
        DataFolder.open(folder, CLOCK).close();
        Schema.bring(url(), 3);
        try (DataFolder opened = DataFolder.open(folder, CLOCK)) {
            assertThat(opened.database()).doesNotExist();
        }
    }

    @Test
    void anEmptyOrForeignDatabaseFileIsNotTakenForAnEmptyGym() throws Exception {
        old();
        try (DataFolder opened = DataFolder.open(folder, CLOCK);
                Connection db = Rows.connect(folder)) {
            opened.copies().daily(db);
        }
        Path file = folder.resolve("wake.mv.db");
        Files.write(file, new byte[0]);
        assertThatThrownBy(() -> DataFolder.open(folder, CLOCK))
                .isInstanceOf(DataFolder.Unusable.class)
                .hasMessageContaining("is damaged or empty. Nothing was changed.")
                .hasMessageContaining("day 2026-11-26.zip")
                .hasMessageContaining("./wake restore");
        Files.write(file, "no database".repeat(1000).getBytes(StandardCharsets.UTF_8));
        assertThatThrownBy(() -> DataFolder.open(folder, CLOCK)).isInstanceOf(DataFolder.Unusable.class);
    }

    @Test
    void aRestoreMendsADamagedFolderAndKeepsTheDamagedFile() throws Exception {
        Map<String, List<String>> before = old();
        Path copy = folder.resolve("copies/day 2026-11-26.zip");
        try (DataFolder opened = DataFolder.open(folder, CLOCK);
                Connection db = Rows.connect(folder)) {
            opened.copies().daily(db);
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
        byte[] before = Files.readAllBytes(folder.resolve("wake.mv.db"));
        assertThatThrownBy(() -> ServerAt.folder(folder))
                .hasStackTraceContaining("upgraded by a newer Wake: it is at 99");
        assertThat(Files.readAllBytes(folder.resolve("wake.mv.db"))).isEqualTo(before);
        try (var copies = Files.list(folder)) {
            assertThat(copies.map(file -> file.getFileName().toString()))
                    .doesNotContain("renewing", "removed for good");
        }
    }

    /** Nobody, root neither, makes a folder among the processes: as on a disk that is write protected. */
    @Test
    void aFolderThatCannotBeWrittenIsSaidToBe() {
        for (Path unwritable : List.of(Path.of("/proc/wake"), Path.of("/proc/self/wake/data"))) {
            assertThatThrownBy(() -> DataFolder.open(unwritable, CLOCK))
                    .isInstanceOf(DataFolder.Unusable.class)
                    .hasMessageStartingWith("Nothing can be written in the data folder " + unwritable)
                    .hasMessageContaining("WAKE_DATA")
                    .hasMessageNotContaining("null")
                    .hasMessageEndingWith("Nothing was changed.");
        }
    }

    @Test
    void aFileWhereTheFolderShouldBeIsSaidToBeInTheWay() throws Exception {
        Path file = Files.writeString(folder.resolve("data"), "no folder");
        assertThatThrownBy(() -> DataFolder.open(file, CLOCK))
                .isInstanceOf(DataFolder.Unusable.class)
                .hasMessageContaining(": a file of that name is in the way");
        assertThat(file).hasContent("no folder");
    }

    @Test
    void oneWakeAtATimeHasTheFolderAndOthersOnTheMachineNone() throws Exception {
        try (DataFolder first = DataFolder.open(folder, CLOCK)) {
            assertThat(first.said()).isEmpty();
            assertThatThrownBy(() -> DataFolder.open(folder, CLOCK)).isInstanceOf(DataFolder.InUse.class);
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
