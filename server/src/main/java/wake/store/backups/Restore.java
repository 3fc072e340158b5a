package wake.store.backups;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipFile;
import org.flywaydb.core.api.FlywayException;
import tools.jackson.core.JacksonException;
import wake.store.DatabaseHealth;
import wake.store.backups.BackupFile.Contents;
import wake.store.backups.BackupFile.MediaEntry;
import wake.store.backups.BackupFile.TableEntry;

/**
 * Puts back what a backup holds. The backup is checked whole and read into a database beside the one in use before anything is touched; then
 * all rows are replaced in one transaction, so that a kill at any moment leaves all of the old or all of the new.
 */
public final class Restore {
    private static final int ROWS_AT_ONCE = 500;
    private static final int PATIENCE_MS = 60_000;
    private static final String NO_ROOM = "No space left for a working copy of the backup";

    private Restore() {}

    /**
     * Puts back a backup into a database that stands at the newest migration.
     *
     * @param media where the recordings' files go; those that are there already stay
     * @param scratch a folder to work in; emptied before and after
     * @param before done when the backup has turned out to be whole and fitting, before anything is replaced
     * @param row told how many rows are done, now and then
     * @throws NotABackup when the file cannot be used; nothing was changed then
     */
    public static Contents into(Connection db, Path media, Path file, Path scratch, Before before, LongConsumer row)
            throws IOException, SQLException {
        Contents contents = BackupFile.contents(file, Schema.newest());
        empty(scratch);
        Files.createDirectories(scratch);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            BackupFile.check(zip, contents);
            Path beside = scratch.resolve("beside");
            fill(zip, contents, beside);
            renew(beside);
            files(zip, contents, media, scratch);
            before.replacing();
            try (Connection from = Schema.source(url(beside)).getConnection()) {
                replace(from, db, row);
            }
        } finally {
            empty(scratch);
        }
        return contents;
    }

    /** What is done before what is there is replaced. */
    public interface Before {
        void replacing() throws IOException, SQLException;
    }

    /** Brings a database made from an older backup to where this Wake stands. */
    private static void renew(Path beside) throws IOException {
        try {
            Schema.bring(url(beside), Schema.newest());
        } catch (FlywayException unfit) {
            if (DatabaseHealth.saysFull(unfit)) {
                throw new IOException(NO_ROOM, unfit);
            }
            throw new NotABackup("This backup is damaged: its contents cannot be upgraded. Nothing was changed.");
        }
    }

    /**
     * Makes a database file from a backup, at the migration the backup stands at.
     *
     * @param database where the file is to be, without its ending; one that is there is replaced in one move
     * @param media where the recordings' files go; those that are there already stay
     * @param before done when the backup has turned out to be whole, before the file is put in its place
     */
    public static Contents asNewDatabase(Path file, Path database, Path media, Path scratch, Before before)
            throws IOException, SQLException {
        Contents contents = BackupFile.contents(file, Schema.newest());
        empty(scratch);
        Files.createDirectories(scratch);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            BackupFile.check(zip, contents);
            Path beside = scratch.resolve("beside");
            fill(zip, contents, beside);
            files(zip, contents, media, scratch);
            before.replacing();
            Durable.move(
                    beside.resolveSibling("beside.mv.db"), database.resolveSibling(database.getFileName() + ".mv.db"));
        } finally {
            empty(scratch);
        }
        return contents;
    }

    private static String url(Path database) {
        return "jdbc:h2:file:" + database.toAbsolutePath();
    }

    private static void fill(ZipFile zip, Contents contents, Path database) throws IOException, SQLException {
        Schema.bring(url(database), contents.schema());
        try (Connection db = Schema.source(url(database)).getConnection()) {
            db.setAutoCommit(false);
            if (Schema.of(db) != contents.schema()) {
                // Its tables were made a moment ago; a disk that ran full under them has lost them without a word.
                throw new IOException(NO_ROOM);
            }
            Map<String, TableEntry> entries =
                    contents.tables().stream().collect(Collectors.toMap(TableEntry::name, Function.identity()));
            List<Table> tables = Table.all(db);
            // Migrations may have put rows of their own there.
            for (Table table : tables.reversed()) {
                Sql.run(db, table.deleteAll());
            }
            for (Table table : tables) {
                TableEntry entry = entries.get(table.name());
                if (entry == null
                        || !entry.columns()
                                .equals(table.columns().stream()
                                        .map(Table.Column::name)
                                        .toList())) {
                    throw new NotABackup(
                            "This backup is damaged: the table " + table.name().toLowerCase(Locale.ROOT)
                                    + " is not as Wake writes it. Nothing was changed.");
                }
                rows(db, zip, table, entry);
            }
            db.commit();
            for (Table table : tables) {
                countOn(db, table, highest(db, table));
            }
        }
    }

    private static void rows(Connection db, ZipFile zip, Table table, TableEntry entry)
            throws IOException, SQLException {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(BackupFile.entry(zip, entry), UTF_8))) {
            insert(db, table, lines.lines().map(Restore::values)::iterator, done -> {});
        } catch (SQLException unfit) {
            // What a value is refused for (SQL: data exception, integrity); all else is the database's own trouble.
            String state = String.valueOf(unfit.getSQLState());
            if (state.startsWith("22") || state.startsWith("23")) {
                throw damaged(table);
            }
            throw unfit;
        } catch (JacksonException unfit) {
            throw damaged(table);
        }
    }

    private static NotABackup damaged(Table table) {
        return new NotABackup("This backup is damaged: a row of the table "
                + table.name().toLowerCase(Locale.ROOT) + " is not one that Wake writes. Nothing was changed.");
    }

    private static String[] values(String line) {
        String[] values = BackupFile.JSON.readValue(line, String[].class);
        if (values == null) {
            throw new NotABackup("This backup is damaged: a row is missing. Nothing was changed.");
        }
        return values;
    }

    private static void insert(Connection db, Table table, Iterable<String[]> rows, LongConsumer done)
            throws SQLException {
        List<String> plain = table.columns().stream()
                .map(Table.Column::name)
                .filter(name -> !table.toItself().contains(name))
                .toList();
        long count = 0;
        java.util.List<String[]> later = new java.util.ArrayList<>();
        try (PreparedStatement insert = db.prepareStatement(table.insert())) {
            for (String[] row : rows) {
                if (row.length != table.columns().size()) {
                    throw new NotABackup("This backup is damaged: a row of " + table.name() + " has " + row.length
                            + " values. Nothing was changed.");
                }
                for (int i = 0; i < plain.size(); i++) {
                    insert.setString(i + 1, row[table.indexOf(plain.get(i))]);
                }
                insert.addBatch();
                if (++count % ROWS_AT_ONCE == 0) {
                    insert.executeBatch();
                    done.accept(ROWS_AT_ONCE);
                }
                if (table.toItself().stream().anyMatch(name -> row[table.indexOf(name)] != null)) {
                    later.add(row);
                }
            }
            insert.executeBatch();
            done.accept(count % ROWS_AT_ONCE);
        }
        for (String column : table.toItself()) {
            try (PreparedStatement update = db.prepareStatement(table.fillIn(column))) {
                for (String[] row : later) {
                    update.setString(1, row[table.indexOf(column)]);
                    update.setString(2, row[table.indexOf("ID")]);
                    update.addBatch();
                }
                update.executeBatch();
            }
        }
    }

    /**
     * Replaces all rows of one database by those of another at the same migration, in one transaction. Who is still at work when it begins is
     * waited for.
     */
    private static void replace(Connection from, Connection to, LongConsumer row) throws SQLException {
        int usual = Sql.first(to, "select lock_timeout()", wait -> wait.getInt(1));
        Sql.run(to, "set lock_timeout " + PATIENCE_MS);
        try {
            replaceRows(from, to, row);
        } finally {
            Sql.run(to, "set lock_timeout " + usual);
        }
    }

    private static void replaceRows(Connection from, Connection to, LongConsumer row) throws SQLException {
        List<Table> tables = Table.all(to);
        for (Table table : tables) {
            countOn(to, table, Math.max(highest(from, table), highest(to, table)));
        }
        boolean auto = to.getAutoCommit();
        to.setAutoCommit(false);
        try {
            for (Table table : tables.reversed()) {
                Sql.run(to, table.deleteAll());
            }
            for (Table table : tables) {
                try (Statement all = from.createStatement();
                        ResultSet rows = all.executeQuery(table.select())) {
                    insert(to, table, () -> new Rows(rows, table.columns().size()), row);
                }
            }
            to.commit();
        } finally {
            to.rollback();
            to.setAutoCommit(auto);
        }
    }

    private static long highest(Connection db, Table table) throws SQLException {
        if (table.counted().isEmpty()) {
            return 0;
        }
        return Sql.first(db, table.highest(), row -> row.getLong(1));
    }

    private static void countOn(Connection db, Table table, long highest) throws SQLException {
        if (!table.counted().isEmpty()) {
            Sql.run(db, table.countFrom(highest + 1));
        }
    }

    private static final class Rows implements java.util.Iterator<String[]> {
        private final ResultSet rows;
        private final int columns;
        private boolean more;

        Rows(ResultSet rows, int columns) {
            this.rows = rows;
            this.columns = columns;
            advance();
        }

        private void advance() {
            try {
                more = rows.next();
            } catch (SQLException broken) {
                throw new IllegalStateException(broken);
            }
        }

        @Override
        public boolean hasNext() {
            return more;
        }

        @Override
        public String[] next() {
            try {
                String[] values = new String[columns];
                for (int i = 0; i < columns; i++) {
                    values[i] = rows.getString(i + 1);
                }
                advance();
                return values;
            } catch (SQLException broken) {
                throw new IllegalStateException(broken);
            }
        }
    }

    /** Files first, then rows: a file without a row is swept later, a row without a file would be a recording lost. */
    private static void files(ZipFile zip, Contents contents, Path media, Path scratch) throws IOException {
        Files.createDirectories(media);
        for (MediaEntry entry : contents.media()) {
            if (!Backup.isRecording(entry.name())) {
                throw new NotABackup(
                        "This backup is damaged: " + entry.name() + " is not a video. Nothing was changed.");
            }
            Path place = media.resolve(entry.name());
            if (Files.isRegularFile(place, LinkOption.NOFOLLOW_LINKS)
                    && sum(place).equals(entry.sha256())) {
                continue;
            }
            Path part = scratch.resolve(entry.name());
            try (InputStream in = BackupFile.entry(zip, "media/" + entry.name())) {
                Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
            }
            Durable.move(part, place);
        }
    }

    private static String sum(Path file) throws IOException {
        var sum = BackupFile.sha256();
        try (InputStream in = new java.security.DigestInputStream(Files.newInputStream(file), sum)) {
            in.transferTo(java.io.OutputStream.nullOutputStream());
        }
        return HexFormat.of().formatHex(sum.digest());
    }

    /** Deletes a folder with all that is in it; links are deleted, not followed. */
    static void empty(Path folder) throws IOException {
        if (!Files.exists(folder, LinkOption.NOFOLLOW_LINKS)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(path);
            }
        }
    }
}
