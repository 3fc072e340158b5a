package wake.store.backups;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipFile;

/** Writes a backup while the database is in use: all tables as they stand at one moment, and the recordings' files if wanted. */
public final class Backup {
    private static final int ROWS_AT_ONCE = 1000;

    private Backup() {}

    /**
     * Writes the tables to a stream.
     *
     * @param db a connection of its own; its transaction is left as it was found
     */
    private static void write(Connection db, OutputStream out, Instant madeAt) throws IOException, SQLException {
        boolean auto = db.getAutoCommit();
        int isolation = db.getTransactionIsolation();
        db.setAutoCommit(false);
        // H2's snapshot isolation: what others commit meanwhile is not seen.
        Sql.run(db, "set session characteristics as transaction isolation level snapshot");
        try (BackupFile.Writer writer = new BackupFile.Writer(new BufferedOutputStream(out, 1 << 16))) {
            for (Table table : Table.all(db)) {
                List<String> names =
                        table.columns().stream().map(Table.Column::name).toList();
                writer.table(table.name(), names, lines -> rows(db, table, lines));
            }
            writer.finish(Schema.of(db), madeAt, false);
        } finally {
            db.rollback();
            db.setTransactionIsolation(isolation);
            db.setAutoCommit(auto);
        }
    }

    /** Writes a backup of the tables alone to a file, which appears whole or not at all. */
    public static void write(Connection db, Path file, Instant madeAt) throws IOException, SQLException {
        Path part = file.resolveSibling(file.getFileName() + ".part");
        Files.createDirectories(file.resolveSibling("."));
        try (OutputStream out = Files.newOutputStream(part)) {
            write(db, out, madeAt);
        }
        Durable.move(part, file);
    }

    /**
     * Writes a backup of the tables alone once more, with the recordings' files.
     *
     * @param tables the backup of the tables
     * @param media the folder with the files
     */
    public static void withRecordings(Path tables, Path media, OutputStream out) throws IOException {
        BackupFile.Contents contents = BackupFile.contents(tables);
        try (ZipFile zip = new ZipFile(tables.toFile());
                BackupFile.Writer writer = new BackupFile.Writer(new BufferedOutputStream(out, 1 << 16))) {
            for (BackupFile.TableEntry table : contents.tables()) {
                try (InputStream rows = BackupFile.entry(zip, table)) {
                    writer.table(table.name(), table.columns(), lines -> {
                        rows.transferTo(lines);
                        return table.rows();
                    });
                }
            }
            for (Path file : recordings(media)) {
                try (InputStream in = Files.newInputStream(file, LinkOption.NOFOLLOW_LINKS)) {
                    writer.media(file.getFileName().toString(), in);
                } catch (java.nio.file.NoSuchFileException gone) {
                    // Deleted for good while the backup was written: its row says so in the next one.
                    continue;
                }
            }
            writer.finish(contents.schema(), contents.madeAt(), true);
        }
    }

    /** Files of recordings: named by an id, and the times of their frames; not what is still coming in. */
    private static List<Path> recordings(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS))
                    .filter(file -> isRecording(file.getFileName().toString()))
                    .sorted()
                    .toList();
        }
    }

    /** Whether a name is that of a recording's file. */
    static boolean isRecording(String name) {
        return name.matches("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}([.]frames)?");
    }

    private static long rows(Connection db, Table table, OutputStream out) throws IOException {
        long count = 0;
        try (PreparedStatement query = db.prepareStatement(table.select())) {
            query.setFetchSize(ROWS_AT_ONCE);
            try (ResultSet rows = query.executeQuery()) {
                int columns = table.columns().size();
                String[] values = new String[columns];
                while (rows.next()) {
                    for (int i = 0; i < columns; i++) {
                        values[i] = rows.getString(i + 1);
                    }
                    out.write(BackupFile.JSON
                            .writeValueAsString(new ArrayList<>(Arrays.asList(values)))
                            .getBytes(UTF_8));
                    out.write('\n');
                    count++;
                }
            }
        } catch (SQLException broken) {
            throw new UncheckedIOException(new IOException("The table " + table.name() + " cannot be read", broken));
        }
        return count;
    }
}
