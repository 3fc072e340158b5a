package wake.store.backups;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.api.FlywayException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Job;
import wake.ServerAt;

/** Out and in again: every row and every byte. */
class BackupTest {
    @TempDir
    Path folder;

    private Path used() throws Exception {
        Path data = folder.resolve("used");
        try (ServerAt wake = ServerAt.folder(data, "--wake.demo=true")) {
            new Job(wake, () -> {}).doIt();
        }
        byte[] video = new byte[300_000];
        new Random(7).nextBytes(video);
        Files.createDirectories(data.resolve("media"));
        Files.write(data.resolve("media").resolve(new UUID(1, 2).toString()), video);
        return data;
    }

    private Path backup(Path data) throws Exception {
        Path file = folder.resolve("gym.zip");
        try (OutputStream out = Files.newOutputStream(file);
                DataFolder held = DataFolder.hold(data)) {
            held.backupOffline(out);
        }
        return file;
    }

    private static Map<String, List<Byte>> media(Path data) throws Exception {
        Map<String, List<Byte>> all = new java.util.TreeMap<>();
        try (var files = Files.list(data.resolve("media"))) {
            for (Path file : files.toList()) {
                byte[] bytes = Files.readAllBytes(file);
                List<Byte> boxed = new java.util.ArrayList<>(bytes.length);
                for (byte one : bytes) {
                    boxed.add(one);
                }
                all.put(file.getFileName().toString(), boxed);
            }
        }
        return all;
    }

    @Test
    void everyRowAndByteComesBackIntoAnEmptyFolderAndIntoOneInUse() throws Exception {
        Path used = used();
        Path file = backup(used);
        var rows = Rows.of(used);
        assertThat(rows.get("MARK")).hasSizeGreaterThan(100);

        Path empty = folder.resolve("empty");
        try (DataFolder held = DataFolder.hold(empty)) {
            held.restoreOffline(file);
        }
        assertThat(Rows.of(empty)).isEqualTo(rows);
        assertThat(media(empty)).isEqualTo(media(used));
        // What is counted goes on from where it was: new marks and changes take no place that is taken.
        try (ServerAt wake = ServerAt.folder(empty)) {
            new Job(wake, () -> {}).doIt();
        }

        try (Connection db = Rows.connect(empty)) {
            assertThat(Rows.of(db)).isNotEqualTo(rows);
            Restore.into(db, empty.resolve("media"), file, folder.resolve("scratch"), () -> {}, done -> {});
            assertThat(Rows.of(db)).isEqualTo(rows);
        }
        try (ServerAt wake = ServerAt.folder(empty)) {
            new Job(wake, () -> {}).doIt();
        }
    }

    @Test
    void aBackupOfAnOlderWakeIsRenewedAsItComesIn() throws Exception {
        Path old = folder.resolve("old");
        Schema.bring("jdbc:h2:file:" + old.resolve("wake"), 8);
        try (Connection db = Rows.connect(old)) {
            db.createStatement().execute("""
                    insert into athlete (id, name, note, created_at) values (random_uuid(), 'Ina Sandbar', '', current_timestamp)""");
        }
        Path file = backup(old);
        Path now = folder.resolve("now");
        Schema.bring("jdbc:h2:file:" + now.resolve("wake"), Schema.newest());
        try (Connection db = Rows.connect(now)) {
            Restore.into(db, now.resolve("media"), file, folder.resolve("scratch"), () -> {}, done -> {});
            assertThat(Rows.of(db).get("ATHLETE"))
                    .singleElement()
                    .asString()
                    .contains("Ina Sandbar", "DELETED_AT=null");
        }
    }

    @Test
    void whatIsDamagedForeignOrNewerIsRefusedAndNothingIsChanged() throws Exception {
        Path used = used();
        byte[] whole = Files.readAllBytes(backup(used));
        var rows = Rows.of(used);
        Path bad = folder.resolve("bad.zip");

        Files.write(bad, java.util.Arrays.copyOf(whole, whole.length / 2));
        refused(used, bad, "not a Wake backup, or only part of one");
        Files.write(bad, "hello".getBytes(java.nio.charset.StandardCharsets.UTF_8));
        refused(used, bad, "not a Wake backup");
        Files.write(
                bad,
                changed(whole, "backup.json", text -> text.replace("\"schema\":" + Schema.newest(), "\"schema\":99")));
        refused(used, bad, "made by a newer Wake");
        Files.write(bad, changed(whole, "tables/ATHLETE.ndjson", text -> text.replace("Brack", "Block")));
        refused(used, bad, "tables/ATHLETE.ndjson is not as it was written");
        Files.write(bad, changed(whole, "media/" + new UUID(1, 2), text -> text + "x"));
        refused(used, bad, "is not as it was written");
        assertThat(Rows.of(used)).isEqualTo(rows);
    }

    /** A list that Wake never wrote: with holes, with something twice, of a time before the first; and rows of other kinds. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            quoteCharacter = '`',
            value = {
                "\"tables\":[; \"tables\":[null,; (its list of contents)",
                "\"media\":[; \"media\":[null,; (its list of contents)",
                "\"schema\":; \"schema\":-; (its list of contents)",
                "\"rows\":; \"rows\":-; (its list of contents)",
                "\"madeAt\":; \"made\":; (its list of contents)",
                "{\"kind\"; null//; not a Wake backup",
                "\"name\":\"ATHLETE\"; \"name\":\"WORKOUT\"; (its list of contents)",
                "\"columns\":[; \"columns\":[null,; (its list of contents)",
                "\"columns\":[; \"columns\":[7,; is not as Wake writes it"
            })
    void aListThatIsBrokenIsSaidToBe(String find, String put, String why) throws Exception {
        Path used = plain();
        byte[] whole = Files.readAllBytes(backup(used));
        Path bad = folder.resolve("bad.zip");
        Files.write(bad, changed(whole, "backup.json", text -> text.replaceFirst(Pattern.quote(find), put)));
        refused(used, bad, why);
    }

    /** Rows that fit their sums and no table. */
    @ParameterizedTest
    @ValueSource(strings = {"null", "7", "[]", "[\"x\"]", "{}", "[[", "nonsense"})
    void aRowThatIsNoneIsSaidToBeAndNamesNoClass(String row) throws Exception {
        Path used = plain();
        byte[] whole = Files.readAllBytes(backup(used));
        String rows = row + "\n";
        String sum = HexFormat.of()
                .formatHex(BackupFile.sha256().digest(rows.getBytes(java.nio.charset.StandardCharsets.ISO_8859_1)));
        byte[] other = changed(whole, "tables/ATHLETE.ndjson", text -> rows);
        Path bad = folder.resolve("bad.zip");
        Files.write(
                bad,
                changed(
                        other,
                        "backup.json",
                        text -> text.replaceFirst("(\"name\":\"ATHLETE\".*?\"sha256\":\")[0-9a-f]{64}", "$1" + sum)));
        try (Connection db = Rows.connect(used)) {
            assertThatThrownBy(() -> Restore.into(
                            db, used.resolve("media"), bad, folder.resolve("scratch"), () -> {}, done -> {}))
                    .isInstanceOf(NotABackup.class)
                    .hasMessageStartingWith("This backup is damaged: a row")
                    .message()
                    .doesNotContainPattern("java[.]|jackson|Exception");
        }
    }

    /** A gym with one athlete, and nothing of it lost by a restore that is refused. */
    private Path plain() throws Exception {
        Path data = folder.resolve("plain");
        Schema.bring("jdbc:h2:file:" + data.resolve("wake"), Schema.newest());
        try (Connection db = Rows.connect(data)) {
            db.createStatement().execute("""
                    insert into athlete (id, name, note, created_at) values (random_uuid(), 'Ina Sandbar', '', current_timestamp)""");
        }
        byte[] video = {1, 2, 3};
        Files.createDirectories(data.resolve("media"));
        Files.write(data.resolve("media").resolve(new UUID(1, 2).toString()), video);
        return data;
    }

    private void refused(Path used, Path bad, String why) throws Exception {
        try (Connection db = Rows.connect(used)) {
            assertThatThrownBy(() -> Restore.into(
                            db, used.resolve("media"), bad, folder.resolve("scratch"), () -> {}, done -> {}))
                    .isInstanceOf(NotABackup.class)
                    .hasMessageContaining(why);
        }
    }

    private byte[] changed(byte[] whole, String name, java.util.function.UnaryOperator<String> change)
            throws Exception {
        Path file = folder.resolve("whole.zip");
        Files.write(file, whole);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipFile zip = new ZipFile(file.toFile());
                ZipOutputStream to = new ZipOutputStream(out)) {
            for (ZipEntry entry : java.util.Collections.list(zip.entries())) {
                to.putNextEntry(new ZipEntry(entry.getName()));
                byte[] bytes = zip.getInputStream(entry).readAllBytes();
                var latin = java.nio.charset.StandardCharsets.ISO_8859_1;
                to.write(
                        entry.getName().equals(name)
                                ? change.apply(new String(bytes, latin)).getBytes(latin)
                                : bytes);
                to.closeEntry();
            }
        }
        return out.toByteArray();
    }

    /** However little room there is where it works: the disk is to blame then, not the backup. */
    @Test
    void aBackupIsNotDamagedBecauseTheDiskIsFull() throws Exception {
        Path used = used();
        Path file = backup(used);
        Path disk = Files.createDirectories(folder.resolve("disk"));
        for (int kilobytes : new int[] {40, 120, 200, 280, 400, 700}) {
            assumeTrue(run("mount", "-t", "tmpfs", "-o", "size=" + kilobytes + "k", "tmpfs", disk.toString()) == 0);
            try (Connection db = Rows.connect(used)) {
                Restore.into(db, used.resolve("media"), file, disk.resolve("scratch"), () -> {}, done -> {});
            } catch (NotABackup blamed) {
                throw new AssertionError("With " + kilobytes + " kB", blamed);
            } catch (IOException | SQLException | FlywayException full) {
                assertThat(full).isNotNull();
            } finally {
                run("umount", "-l", disk.toString());
            }
        }
    }

    private static int run(String... command) throws Exception {
        return new ProcessBuilder(command).redirectErrorStream(true).start().waitFor();
    }

    @Test
    void itIsWrittenWhileOthersWriteAndStandsAtOneMoment() throws Exception {
        Path data = folder.resolve("busy");
        try (ServerAt wake = ServerAt.folder(data)) {
            UUID attempt = wake.attempt("# A\namrap 20:00\n  1000 burpee\n");
            wake.mark(attempt, UUID.randomUUID(), "REP", 500);
            var stop = new java.util.concurrent.atomic.AtomicBoolean();
            Thread writer = Thread.ofVirtual().start(() -> {
                for (int i = 0; !stop.get(); i++) {
                    wake.mark(attempt, UUID.randomUUID(), "REP", 1000L + i);
                }
            });
            for (int i = 0; i < 3; i++) {
                var answer = wake.get("/api/data/backup?recordings=true");
                Path file = folder.resolve("busy" + i + ".zip");
                Files.write(file, answer.raw().body());
                var contents = BackupFile.checked(file);
                // Each mark and the change that made it are written in one transaction: a backup has both or neither.
                assertThat(contents.rows("MARK")).isPositive().isEqualTo(contents.rows("LOG_CHANGE"));
                assertThat(contents.madeAt()).isBefore(Instant.now().plusSeconds(1));
            }
            stop.set(true);
            writer.join();
        }
    }
}
