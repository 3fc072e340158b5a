package wake.store;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermission;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.h2.api.ErrorCode;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import wake.WakeProperties;
import wake.store.backups.BackupRetention;
import wake.store.backups.DataFolder;

/**
 * Keeps the database file small while it is in use. With every commit on disk at once H2 writes a chunk for each, and the writer that
 * would take back what is no longer needed of them does not run: a mark of a hundred bytes leaves some thirty thousand behind. H2 writes
 * its chunks together when it closes; so it is closed now and then, when the file has grown, with nobody on it. Whoever comes meanwhile
 * waits, for a fraction of a second, or for some seconds where a gym of many years is written anew. (Asking H2 to do it beside others at work is not safe: its store then loses chunks that are in use.)
 */
@Component
class Compaction {
    private static final Logger LOG = LoggerFactory.getLogger(Compaction.class);
    /** A file up to this size is left alone, bytes. */
    private static final long SMALL = 12L << 20;

    private static final long STEP_MS = 10;
    /** Others wait so long at most. */
    private static final long WAIT_MS = 600;
    /** The same where it cannot be put off: the file is far too large, or holds what was removed for good. */
    private static final long LONG_WAIT_MS = 3000;
    /** After a long wait for nothing, so that not everybody waits again at once. */
    private static final Duration NOT_AGAIN_FOR = Duration.ofSeconds(30);
    /** So often in a row somebody may be at something long before that is worth a word. */
    private static final int MISSES = 12;
    /** A file is looked at again once it has grown so many times. */
    private static final int TIMES = 2;
    /** From here on writing it all anew takes seconds: it is done when nobody has written for a while. */
    private static final long LARGE = 100L << 20;

    private static final Duration QUIET = Duration.ofSeconds(60);
    /** Who removes one thing for good may remove another: what is large is written anew once for all of them. */
    private static final Duration SETTLED = Duration.ofSeconds(15);
    /** Unless it has grown so many times. */
    private static final int FAR_TOO_LARGE = 5;

    private final HikariDataSource pool;
    private final DatabaseHealth health;
    private final BackupRetention copies;
    private final Path file;
    private final boolean rehearsing;
    private final long small;
    private long sizeAfter;
    private int misses;
    private Instant longWaitFrom = Instant.MIN;

    Compaction(
            HikariDataSource pool,
            DatabaseHealth health,
            DataFolder folder,
            WakeProperties properties,
            @Value("${wake.compact-above:" + SMALL + "}") long small) {
        this.pool = pool;
        this.health = health;
        this.copies = folder.copies();
        this.file = properties.data().resolve("wake.mv.db");
        this.rehearsing = properties.rehearse();
        this.small = small;
    }

    @Scheduled(initialDelayString = "${wake.compact-every:PT5S}", fixedDelayString = "${wake.compact-every:PT5S}")
    synchronized void whenGrown() {
        try {
            long size = Files.size(file);
            if (rehearsing) {
                return;
            }
            if (copies.removedIsInTheFile(size > LARGE ? SETTLED : Duration.ZERO)) {
                close(size, LONG_WAIT_MS);
                return;
            }
            if (size < Math.max(small, TIMES * sizeAfter)) {
                return;
            }
            if (sizeAfter == 0 && size > LARGE) {
                sizeAfter = inUse(size);
                return;
            }
            if (itsTime(size)) {
                close(size, size > FAR_TOO_LARGE * Math.max(small, sizeAfter) ? LONG_WAIT_MS : WAIT_MS);
            }
        } catch (IOException | SQLException failed) {
            health.failed(failed);
            LOG.warn("The database file could not be made smaller: {}", failed.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void close(long size, long waitMs) throws InterruptedException, SQLException, IOException {
        boolean waitsLong = waitMs > WAIT_MS;
        if (health.beforeWriting().isPresent() || waitsLong && Instant.now().isBefore(longWaitFrom)) {
            return;
        }
        if (closeOnce(waitMs)) {
            misses = 0;
            sizeAfter = Files.size(file);
            LOG.debug("The database file went from {} to {} bytes.", size, sizeAfter);
            return;
        }
        misses++;
        if (waitsLong) {
            longWaitFrom = Instant.now().plus(NOT_AGAIN_FOR);
        }
        if (waitsLong || misses % MISSES == 0) {
            LOG.warn(
                    "The database file ({} MB) could not be written anew: something long was under way, {} times in a row now.",
                    size >> 20,
                    misses);
        }
    }

    /** What is large is written anew when nobody has written to it for a while, or at last when it is far too large. */
    private boolean itsTime(long size) throws IOException {
        if (sizeAfter <= LARGE || size > FAR_TOO_LARGE * sizeAfter) {
            return true;
        }
        Instant written = Files.getLastModifiedTime(file).toInstant();
        return written.plus(QUIET).isBefore(Instant.now());
    }

    /** How much of a file that was there already is in use, bytes. */
    private long inUse(long size) throws SQLException {
        double share = 1;
        try (Connection connection = pool.getConnection();
                Statement statement = connection.createStatement();
                ResultSet rates = statement.executeQuery("""
                        select setting_value from information_schema.settings
                        where setting_name in ('info.FILL_RATE', 'info.CHUNKS_FILL_RATE')""")) {
            while (rates.next()) {
                share *= Math.max(1, rates.getInt(1)) / 100.0;
            }
        }
        return Math.max(1, Math.round(share * size));
    }

    /** Lets everybody end what they are at, and H2 close behind the last; the next to come opens it again. */
    private boolean closeOnce(long waitMs) throws InterruptedException, SQLException, IOException {
        HikariPoolMXBean connections = pool.getHikariPoolMXBean();
        connections.suspendPool();
        try {
            for (long waited = 0; waited < waitMs; waited += STEP_MS) {
                connections.softEvictConnections();
                if (connections.getTotalConnections() == 0) {
                    // Nobody removes anything while nobody has a connection: what was removed is removed from this
                    // file.
                    boolean forRemoved = copies.removedIsInTheFile(Duration.ZERO);
                    shutDown();
                    if (forRemoved) {
                        copies.writtenAnew();
                    }
                    return true;
                }
                Thread.sleep(STEP_MS);
            }
            // Something long is under way, as a backup: another time.
            return false;
        } finally {
            connections.resumePool();
        }
    }

    /** Closes the database, all of its chunks written together. */
    private void shutDown() throws SQLException, IOException {
        PosixFileAttributeView rights = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        Set<PosixFilePermission> own =
                rights == null ? Set.of() : rights.readAttributes().permissions();
        try (Connection alone = DriverManager.getConnection(pool.getJdbcUrl(), pool.getUsername(), pool.getPassword());
                Statement statement = alone.createStatement()) {
            statement.execute("shutdown compact");
        } catch (SQLException closed) {
            if (closed.getErrorCode() != ErrorCode.DATABASE_IS_CLOSED) {
                throw closed;
            }
        }
        // Written anew, the file would be anybody's to read.
        if (!own.isEmpty()) {
            Files.setPosixFilePermissions(file, own);
        }
    }
}
