package wake.store.backups;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * The form of a backup: one zip with {@code tables/NAME.ndjson} (a row a line, an array of the values as text), {@code media/NAME} for
 * each file of a recording, and last {@code backup.json}, which names all of them with their SHA-256.
 */
public final class BackupFile {
    static final String KIND = "wake-backup";
    static final int VERSION = 1;
    private static final String LIST = "backup.json";
    static final JsonMapper JSON = new JsonMapper();

    private BackupFile() {}

    /**
     * What is in a backup.
     *
     * @param schema the migration the tables stand at
     * @param recordings whether it holds the recordings' files
     */
    public record Contents(
            String kind,
            int version,
            int schema,
            Instant madeAt,
            boolean recordings,
            List<TableEntry> tables,
            List<MediaEntry> media) {
        /** Whether the list is one that Wake could have written: nothing missing, nothing twice, no number below zero. */
        boolean isSound() {
            if (tables == null || media == null || madeAt == null || schema < 1) {
                return false;
            }
            return tables.stream().allMatch(one -> one != null && one.isSound())
                    && media.stream().allMatch(one -> one != null && one.isSound())
                    && tables.stream().map(TableEntry::name).distinct().count() == tables.size()
                    && media.stream().map(MediaEntry::name).distinct().count() == media.size();
        }

        public long rows(String table) {
            return tables.stream()
                    .filter(one -> one.name().equalsIgnoreCase(table))
                    .mapToLong(TableEntry::rows)
                    .sum();
        }

        public long mediaBytes() {
            return media.stream().mapToLong(MediaEntry::bytes).sum();
        }
    }

    /** A table: its columns in the order of the values, how many rows, and the checksum of its lines. */
    public record TableEntry(String name, List<String> columns, long rows, String sha256) {
        boolean isSound() {
            return name != null && sha256 != null && rows >= 0 && columns != null && !columns.contains(null);
        }

        String place() {
            return "tables/" + name + ".ndjson";
        }
    }

    /** A file of a recording. */
    public record MediaEntry(String name, long bytes, String sha256) {
        boolean isSound() {
            return name != null && sha256 != null && bytes >= 0;
        }
    }

    /** Writes one entry after the other, taking their checksums. */
    static final class Writer implements AutoCloseable {
        private final ZipOutputStream zip;
        private final List<TableEntry> tables = new ArrayList<>();
        private final List<MediaEntry> media = new ArrayList<>();

        Writer(OutputStream out) {
            this.zip = new ZipOutputStream(out);
        }

        /** Something that writes lines of a table; gives how many. */
        interface Rows {
            long write(OutputStream out) throws IOException;
        }

        void table(String name, List<String> columns, Rows rows) throws IOException {
            MessageDigest sum = sha256();
            zip.setLevel(Deflater.DEFAULT_COMPRESSION);
            zip.putNextEntry(new ZipEntry("tables/" + name + ".ndjson"));
            long count = rows.write(new DigestOutputStream(zip, sum));
            zip.closeEntry();
            tables.add(new TableEntry(name, columns, count, HexFormat.of().formatHex(sum.digest())));
        }

        void media(String name, InputStream in) throws IOException {
            MessageDigest sum = sha256();
            zip.setLevel(Deflater.NO_COMPRESSION);
            zip.putNextEntry(new ZipEntry("media/" + name));
            long bytes = in.transferTo(new DigestOutputStream(zip, sum));
            zip.closeEntry();
            media.add(new MediaEntry(name, bytes, HexFormat.of().formatHex(sum.digest())));
        }

        void finish(int schema, Instant madeAt, boolean recordings) throws IOException {
            zip.setLevel(Deflater.DEFAULT_COMPRESSION);
            zip.putNextEntry(new ZipEntry(LIST));
            zip.write(JSON.writeValueAsBytes(new Contents(KIND, VERSION, schema, madeAt, recordings, tables, media)));
            zip.closeEntry();
            zip.finish();
        }

        @Override
        public void close() throws IOException {
            zip.close();
        }
    }

    /**
     * What a file says is in it.
     *
     * @throws NotABackup when it is none, is cut short, or was made by a newer Wake
     */
    public static Contents contents(Path file) throws IOException {
        return contents(file, Schema.newest());
    }

    static Contents contents(Path file, int newestSchema) throws IOException {
        try (ZipFile zip = new ZipFile(file.toFile())) {
            ZipEntry list = zip.getEntry(LIST);
            if (list == null) {
                throw new NotABackup("This file is not a Wake backup: it has no list of its contents.");
            }
            Contents contents;
            try (InputStream in = zip.getInputStream(list)) {
                contents = JSON.readValue(in, Contents.class);
            }
            if (contents == null || !KIND.equals(contents.kind())) {
                throw new NotABackup("This file is not a Wake backup.");
            }
            if (!contents.isSound()) {
                throw new NotABackup("This backup is damaged (its list of contents). " + "Nothing was changed.");
            }
            if (contents.version() != VERSION || contents.schema() > newestSchema) {
                throw new NotABackup(
                        "This backup was made by a newer Wake. Update this one first. Nothing was changed.");
            }
            return contents;
        } catch (java.util.zip.ZipException | JacksonException broken) {
            throw new NotABackup("This file is not a Wake backup, or only part of one. Nothing was changed.");
        }
    }

    /**
     * What is in a file, all of it read once and compared with its checksums.
     *
     * @throws NotABackup when it is none, or damaged
     */
    public static Contents checked(Path file) throws IOException {
        Contents contents = contents(file);
        try (ZipFile zip = new ZipFile(file.toFile())) {
            check(zip, contents);
        }
        return contents;
    }

    /**
     * Reads every entry once and compares the checksums.
     *
     * @throws NotABackup naming the first entry that is missing or not as it was written
     */
    static void check(ZipFile zip, Contents contents) throws IOException {
        for (TableEntry table : contents.tables()) {
            check(zip, table.place(), table.sha256());
        }
        for (MediaEntry media : contents.media()) {
            check(zip, "media/" + media.name(), media.sha256());
        }
    }

    private static void check(ZipFile zip, String name, String sha256) throws IOException {
        MessageDigest sum = sha256();
        try (InputStream in = new DigestInputStream(entry(zip, name), sum)) {
            in.transferTo(OutputStream.nullOutputStream());
        } catch (java.util.zip.ZipException broken) {
            throw new NotABackup("This backup is damaged: " + name + " cannot be read. Nothing was changed.");
        }
        if (!HexFormat.of().formatHex(sum.digest()).equals(sha256)) {
            throw new NotABackup("This backup is damaged: " + name + " is not as it was written. Nothing was changed.");
        }
    }

    static InputStream entry(ZipFile zip, TableEntry table) throws IOException {
        return entry(zip, table.place());
    }

    static InputStream entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new NotABackup("This backup is damaged: " + name + " is missing. Nothing was changed.");
        }
        return zip.getInputStream(entry);
    }

    static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException absent) {
            throw new IllegalStateException(absent);
        }
    }
}
