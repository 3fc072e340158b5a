package wake.store.copies;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The folder that holds the database, the recordings and the copies. One Wake at a time has it open. A renewal of the database (a migration)
 * that was cut short is taken back when the folder is opened next: from the copy made before it, or, where there was nothing yet, by starting
 * anew.
 */
public final class DataFolder implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);
    /** The file that holds the word by which a command on this machine is let in. */
    public static final String TOKEN = "local word";

    private static final String DATABASE = "wake";
    private static final String FILE = DATABASE + ".mv.db";
    private static final String COPIES = "copies";
    private static final String RENEWING = "renewing";
    private static final String NOTHING_YET = "nothing yet";
    private static final int DAYS_KEPT = 7;
    private static final long FRESH_MS = 3 * 3_600_000L;
    private static final String DAILY = "day ";
    private static final byte[] HEADER = "H:2".getBytes(UTF_8);

    private final Path folder;
    private final FileChannel lockFile;
    private final FileLock lock;
    private @Nullable String said;

    /** Another Wake has the folder open. */
    public static final class InUse extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** The database cannot be used as it is: damaged, or renewed by a newer Wake. The message says what to do. */
    public static final class Unusable extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Unusable(String message) {
            super(message);
        }
    }

    private DataFolder(Path folder, FileChannel lockFile, FileLock lock) {
        this.folder = folder;
        this.lockFile = lockFile;
        this.lock = lock;
    }

    /**
     * Opens the folder, makes it where there is none, and takes back what was cut short.
     *
     * @throws InUse when another Wake has it open
     * @throws Unusable when there is a database file that cannot be one
     */
    public static DataFolder open(Path folder) {
        DataFolder opened = hold(folder);
        try {
            opened.prepare();
            return opened;
        } catch (IOException | SQLException failed) {
            opened.close();
            throw new IllegalStateException("The data folder " + folder + " cannot be prepared", failed);
        } catch (RuntimeException refused) {
            opened.close();
            throw refused;
        }
    }

    /** Takes hold of the folder and leaves everything in it as it is. */
    public static DataFolder hold(Path folder) {
        try {
            Files.createDirectories(folder);
            Durable.ownerOnly(folder);
            FileChannel file =
                    FileChannel.open(folder.resolve("in use"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
            FileLock lock = null;
            try {
                lock = file.tryLock();
            } catch (OverlappingFileLockException same) {
                LOG.debug("Held by this process", same);
            }
            if (lock == null) {
                file.close();
                throw new InUse();
            }
            return new DataFolder(folder, file, lock);
        } catch (IOException failed) {
            throw new UncheckedIOException("The data folder " + folder + " cannot be opened", failed);
        }
    }

    /** Whether no Wake has a folder open. */
    public static boolean isFree(Path folder) {
        try (DataFolder free = hold(folder)) {
            return free.lock.isValid();
        } catch (InUse open) {
            return false;
        }
    }

    private void prepare() throws IOException, SQLException {
        ownersOnly();
        Restore.empty(scratch());
        Restore.empty(offered());
        Path marker = folder.resolve(RENEWING);
        if (Files.exists(marker)) {
            takeBack(Files.readString(marker).strip());
        } else if (!Files.exists(database())) {
            Durable.write(marker, NOTHING_YET.getBytes(UTF_8));
        } else {
            checkFile();
        }
    }

    private void takeBack(String copy) throws IOException, SQLException {
        if (copy.equals(NOTHING_YET)) {
            Files.deleteIfExists(database());
            return;
        }
        Path file = copies().resolve(copy);
        if (Files.exists(database())) {
            Files.move(database(), folder.resolve("wake.cut-short.mv.db"), StandardCopyOption.REPLACE_EXISTING);
        }
        Restore.asNewDatabase(file, folder.resolve(DATABASE), folder.resolve("media"), scratch());
        said =
                "Renewing the database was cut short the last time. It was put back from the copy made before it; nothing is lost.";
        LOG.warn("{}", said);
    }

    private void checkFile() throws IOException {
        byte[] head = new byte[HEADER.length];
        try (var in = Files.newInputStream(database())) {
            int read = in.readNBytes(head, 0, head.length);
            if (read < head.length || !java.util.Arrays.equals(head, HEADER)) {
                throw new Unusable(damaged(folder));
            }
        }
    }

    /** What to do about a folder whose database file is damaged. */
    public static String damaged(Path folder) {
        Path copies = folder.resolve(COPIES);
        String start = "The database file " + folder.resolve(FILE) + " is damaged or empty. Nothing was changed. ";
        String into = " --into \"" + folder + "\"";
        return newest(copies)
                .map(copy -> start + "The newest copy is \"" + copy.getFileName()
                        + "\"; put it back with:  ./wake restore \"" + copy + "\"" + into
                        + "   The damaged file is kept beside it.")
                .orElse(start + "There is no copy in " + copies
                        + "; put a backup of your own back with:  ./wake restore FILE" + into);
    }

    /** Where the database is, for the driver. */
    public Path database() {
        return folder.resolve(FILE);
    }

    /** Where a backup is taken in before it is put back. */
    public Path offered() {
        return folder.resolve("offered");
    }

    public Path scratch() {
        return folder.resolve("restoring");
    }

    public Path copies() {
        return folder.resolve(COPIES);
    }

    /** What was put right when the folder was opened; empty when nothing had to be. */
    public Optional<String> said() {
        return Optional.ofNullable(said);
    }

    /** Before the database is renewed: a copy, and a note of it, so that a kill half-way can be taken back. */
    public void renewing(Connection db, int from, int to) throws IOException, SQLException {
        Path marker = folder.resolve(RENEWING);
        if (Files.exists(marker) && Files.readString(marker).strip().equals(NOTHING_YET)) {
            return;
        }
        String name = now() + " before " + from + " became " + to + ".zip";
        Backup.write(db, copies().resolve(name), java.time.Instant.now());
        Durable.write(marker, name.getBytes(UTF_8));
    }

    /** A folder that stands further than this Wake knows is left alone. */
    public static Unusable newer(int from, int to) {
        return new Unusable("This data folder was renewed by a newer Wake: it stands at " + from + ", this one knows "
                + to + ". Nothing was changed. Start the newer Wake, or put a backup from before back.");
    }

    /** The database stands where it should. */
    public void renewed() throws IOException {
        Durable.delete(folder.resolve(RENEWING));
        ownersOnly();
    }

    /** Makes today's copy, and makes it anew when it is some hours old, so that the day's work is in it; keeps the last seven days. */
    public synchronized void daily(Connection db, LocalDate today) throws IOException, SQLException {
        Path copy = copies().resolve(DAILY + today + ".zip");
        boolean fresh = Files.exists(copy) && System.currentTimeMillis() - modified(copy) < FRESH_MS;
        if (!fresh) {
            Backup.write(db, copy, java.time.Instant.now());
        }
        List<Path> days = list().stream()
                .filter(file -> file.getFileName().toString().startsWith(DAILY))
                .sorted(Comparator.comparing(file -> file.getFileName().toString()))
                .toList();
        for (Path old : days.subList(0, Math.max(0, days.size() - DAYS_KEPT))) {
            Durable.delete(old);
        }
    }

    /** Makes a copy before everything is replaced. */
    public void beforeRestore(Connection db) throws IOException, SQLException {
        Backup.write(db, copies().resolve(now() + " before restoring.zip"), java.time.Instant.now());
    }

    /** All copies, the newest first. */
    public List<Path> list() throws IOException {
        return list(copies());
    }

    private static List<Path> list(Path copies) throws IOException {
        if (!Files.isDirectory(copies)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(copies)) {
            return files.filter(file -> file.getFileName().toString().endsWith(".zip"))
                    .sorted(Comparator.comparing(DataFolder::modified).reversed())
                    .toList();
        }
    }

    private static Optional<Path> newest(Path copies) {
        try {
            return list(copies).stream().findFirst();
        } catch (IOException unreadable) {
            return Optional.empty();
        }
    }

    /** Puts a backup in place of what is there; the database file as it was is kept beside it. */
    public BackupFile.Contents restoreOffline(Path file) throws IOException, SQLException {
        if (Files.exists(database())) {
            Path aside = folder.resolve("wake.before restoring " + now() + ".mv.db");
            Files.copy(database(), aside);
            Durable.ownerOnly(aside);
        }
        // What was half renewed is not to be taken back over what is put here now.
        Durable.delete(folder.resolve(RENEWING));
        BackupFile.Contents contents =
                Restore.asNewDatabase(file, folder.resolve(DATABASE), folder.resolve("media"), scratch());
        ownersOnly();
        return contents;
    }

    /** Backs up what is there while no Wake has it open. */
    public void backupOffline(java.io.OutputStream out) throws IOException, SQLException {
        if (!Files.exists(database())) {
            throw new NotABackup("There is nothing in " + folder + " to back up.");
        }
        checkFile();
        try (Connection db = Schema.source(
                        "jdbc:h2:file:" + folder.resolve(DATABASE).toAbsolutePath() + ";IFEXISTS=TRUE")
                .getConnection()) {
            Backup.write(db, List.of(folder.resolve("media")), java.time.Instant.now(), out);
        }
    }

    private static long modified(Path file) {
        try {
            return Files.getLastModifiedTime(file).toMillis();
        } catch (IOException gone) {
            return 0;
        }
    }

    private static String now() {
        return DateTimeFormatter.ofPattern("yyyy-MM-dd HHmmss").format(LocalDateTime.now());
    }

    /** Others on this machine have no business in here. */
    private void ownersOnly() throws IOException {
        try (Stream<Path> all = Files.walk(folder, 2)) {
            for (Path path : all.filter(one -> !Files.isSymbolicLink(one)).toList()) {
                if (Files.exists(path, LinkOption.NOFOLLOW_LINKS)) {
                    Durable.ownerOnly(path);
                }
            }
        }
    }

    @Override
    public void close() {
        try (FileChannel closing = lockFile) {
            lock.release();
        } catch (IOException gone) {
            LOG.debug("The folder was let go of already", gone);
        }
    }
}
