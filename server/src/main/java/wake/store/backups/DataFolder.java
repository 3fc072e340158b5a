package wake.store.backups;

import static java.nio.charset.StandardCharsets.UTF_8;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
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
    static final String FILE = DATABASE + ".mv.db";
    private static final String RENEWING = "renewing";
    private static final String NOTHING_YET = "nothing yet";
    /** With less room than this H2 cannot open its file. */
    private static final long LEAST_ROOM = 1L << 20;

    private static final byte[] HEADER = "H:2".getBytes(UTF_8);

    private final Path folder;
    private final FileChannel lockFile;
    private final FileLock lock;
    private final BackupRetention copies;
    private final Clock clock;
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

    private DataFolder(Path folder, FileChannel lockFile, FileLock lock, Clock clock) {
        this.clock = clock;
        this.copies = new BackupRetention(folder, clock);
        this.folder = folder;
        this.lockFile = lockFile;
        this.lock = lock;
    }

    /**
     * Opens the folder, makes it where there is none, and takes back what was cut short.
     *
     * @throws InUse when another Wake has it open
     * @throws Unusable when nothing can be written there, or there is a database file that cannot be one
     */
    public static DataFolder open(Path folder, Clock clock) {
        DataFolder opened = hold(folder, clock);
        try {
            opened.prepare();
            return opened;
        } catch (IOException failed) {
            opened.close();
            throw unwritable(folder, failed);
        } catch (SQLException failed) {
            opened.close();
            throw new IllegalStateException("The data folder " + folder + " cannot be prepared", failed);
        } catch (RuntimeException refused) {
            opened.close();
            throw refused;
        }
    }

    /** Takes hold of the folder and leaves everything in it as it is. */
    public static DataFolder hold(Path folder) {
        return hold(folder, Clock.systemDefaultZone());
    }

    private static DataFolder hold(Path folder, Clock clock) {
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
            return new DataFolder(folder, file, lock, clock);
        } catch (IOException failed) {
            throw unwritable(folder, failed);
        }
    }

    private static Unusable unwritable(Path folder, IOException failed) {
        return new Unusable("Nothing can be written in the data folder " + folder.toAbsolutePath() + reason(failed)
                + ". Make room there, or remove its write protection, or name another folder with"
                + " WAKE_DATA. Nothing was changed.");
    }

    private static String reason(IOException failed) {
        if (failed instanceof AccessDeniedException) {
            return ": permission denied";
        }
        if (failed instanceof FileAlreadyExistsException) {
            return ": a file of that name is in the way";
        }
        // The operating system's own words.
        String said = failed instanceof FileSystemException file ? file.getReason() : failed.getMessage();
        return said == null ? "" : ": " + said;
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
        if (folder.toFile().getUsableSpace() < LEAST_ROOM) {
            throw new FileSystemException(folder.toString(), null, "the disk is full");
        }
        if (Files.exists(database()) && !Files.isWritable(database())) {
            throw new AccessDeniedException(database().toString());
        }
        ownersOnly();
        Restore.empty(scratch());
        Restore.empty(offered());
        Restore.empty(outgoing());
        Path marker = folder.resolve(RENEWING);
        if (Files.exists(marker)) {
            takeBack(Files.readString(marker).strip());
        } else if (!Files.exists(database())) {
            Durable.write(marker, NOTHING_YET.getBytes(UTF_8));
        } else {
            checkFile();
            checkNotNewer();
        }
    }

    /** Looked at without a word being written to it, which opening it as usual would. */
    private void checkNotNewer() {
        int stands;
        try (Connection db = Schema.source("jdbc:h2:file:"
                        + folder.resolve(DATABASE).toAbsolutePath() + ";IFEXISTS=TRUE;ACCESS_MODE_DATA=r")
                .getConnection()) {
            stands = Schema.of(db);
        } catch (SQLException notSo) {
            LOG.debug("Cannot be read without a repair: it is opened as usual, which says what is wrong", notSo);
            return;
        }
        if (stands > Schema.newest()) {
            throw newer(stands, Schema.newest());
        }
    }

    private void takeBack(String copy) throws IOException, SQLException {
        if (copy.equals(NOTHING_YET)) {
            Files.deleteIfExists(database());
            return;
        }
        Path file = copies.place().resolve(copy);
        if (Files.exists(database())) {
            Files.move(database(), folder.resolve("wake.cut-short.mv.db"), StandardCopyOption.REPLACE_EXISTING);
        }
        Restore.asNewDatabase(file, folder.resolve(DATABASE), folder.resolve("media"), scratch(), () -> {});
        said =
                "Upgrading the database was interrupted the last time. It was restored from the copy made before; nothing is lost.";
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
        BackupRetention copies = new BackupRetention(folder, Clock.systemDefaultZone());
        String start = "The database file " + folder.resolve(FILE) + " is damaged or empty. Nothing was changed. ";
        String into = " --into \"" + folder + "\"";
        return copies.newest()
                .map(copy -> start + "The newest copy is \"" + copy.getFileName()
                        + "\"; restore it with:  ./wake restore \"" + copy + "\"" + into
                        + "   The damaged file stays beside it.")
                .orElse(start + "There is no copy in " + copies.place()
                        + "; restore a backup of your own with:  ./wake restore FILE" + into);
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

    /** Where what is fetched is written before it goes out. */
    public Path outgoing() {
        return folder.resolve("outgoing");
    }

    /** The copies made of it. */
    public BackupRetention copies() {
        return copies;
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
        Durable.write(marker, copies.beforeRenewal(db, from, to).getBytes(UTF_8));
    }

    /** A folder that stands further than this Wake knows is left alone. */
    public static Unusable newer(int from, int to) {
        return new Unusable("This data folder was upgraded by a newer Wake: it is at " + from + ", this one knows " + to
                + ". Nothing was changed. Start the newer Wake, or restore a backup from before.");
    }

    /** The database stands where it should. */
    public void renewed() throws IOException {
        Durable.delete(folder.resolve(RENEWING));
        ownersOnly();
    }

    /** Puts a backup in place of what is there; the database file as it was is kept beside it. */
    public BackupFile.Contents restoreOffline(Path file) throws IOException, SQLException {
        BackupFile.Contents contents =
                Restore.asNewDatabase(file, folder.resolve(DATABASE), folder.resolve("media"), scratch(), () -> {
                    if (Files.exists(database())) {
                        copies.putAside(database());
                    }
                    // What was half renewed is not to be taken back over what is put here now.
                    Durable.delete(folder.resolve(RENEWING));
                });
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
            Path tables = outgoing().resolve("backup.zip");
            Backup.write(db, tables, clock.instant());
            Backup.withRecordings(tables, folder.resolve("media"), out);
        } finally {
            Restore.empty(outgoing());
        }
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
