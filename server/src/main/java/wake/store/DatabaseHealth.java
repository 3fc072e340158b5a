package wake.store;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.h2.api.ErrorCode;
import org.h2.mvstore.DataUtils;
import org.h2.mvstore.MVStoreException;
import org.jooq.exception.DataAccessException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.stereotype.Component;
import wake.WakeProperties;

/**
 * Whether the database can be used. H2 closes itself when a write fails, as on a full disk, and stays closed as long as a connection to it is
 * kept; so the pool is emptied and the database opened anew as soon as there is room.
 */
@Component
public class DatabaseHealth {
    private static final Logger LOG = LoggerFactory.getLogger(DatabaseHealth.class);
    /** Room that is left for the database to end what it began. */
    private static final long SPARE_BYTES = 8L << 20;

    private static final long TRIES_EVERY_MS = 500;
    private static final int WAITS = 40;
    /** What H2 says when its file could not be read or written, or it has closed itself. */
    private static final Set<Integer> CLOSED = Set.of(
            ErrorCode.IO_EXCEPTION_1,
            ErrorCode.IO_EXCEPTION_2,
            ErrorCode.DATABASE_CALLED_AT_SHUTDOWN,
            ErrorCode.DATABASE_IS_CLOSED);
    /** The same of the store below it. */
    private static final Set<Integer> STORE_CLOSED = Set.of(
            DataUtils.ERROR_READING_FAILED,
            DataUtils.ERROR_WRITING_FAILED,
            DataUtils.ERROR_INTERNAL,
            DataUtils.ERROR_CLOSED,
            DataUtils.ERROR_FILE_CORRUPT,
            DataUtils.ERROR_CHUNK_NOT_FOUND);
    /** What H2 says when another transaction holds what this one wants: nothing is wrong with either. */
    private static final Set<Integer> HELD =
            Set.of(ErrorCode.LOCK_TIMEOUT_1, ErrorCode.DEADLOCK_1, ErrorCode.CONCURRENT_UPDATE_1);

    private final HikariDataSource pool;
    private final Path folder;
    private final AtomicReference<@Nullable Trouble> trouble = new AtomicReference<>();

    /** Why nothing can be kept at present. */
    public enum Trouble {
        DISK_FULL("The disk is full. Your saved data is safe. Make room, and Wake goes on by itself."),
        CLOSED("The database is being reopened. This takes a moment.");

        private final String words;

        Trouble(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    DatabaseHealth(HikariDataSource pool, WakeProperties properties) {
        this.pool = pool;
        this.folder = properties.data();
    }

    /** What is the matter, if anything. */
    public Optional<Trouble> trouble() {
        return Optional.ofNullable(trouble.get());
    }

    /** What would keep something new from being kept. */
    public Optional<Trouble> beforeWriting() {
        return isFull() ? Optional.of(Trouble.DISK_FULL) : trouble();
    }

    private boolean isFull() {
        return folder.toFile().getUsableSpace() < SPARE_BYTES;
    }

    /** Looks whether a failure was the database's own, and if so sets about opening it again. */
    public Optional<Trouble> failed(Throwable failure) {
        if (!anyCause(failure, DatabaseHealth::isClosed)) {
            return Optional.empty();
        }
        Trouble what = isFull() || saysFull(failure) ? Trouble.DISK_FULL : Trouble.CLOSED;
        if (trouble.compareAndSet(null, what)) {
            LOG.warn("{}", what.words());
            Thread.ofVirtual().name("reopen database").start(this::reopen);
        }
        return Optional.of(what);
    }

    private static boolean isClosed(Throwable cause) {
        return cause instanceof MVStoreException store && STORE_CLOSED.contains(store.getErrorCode())
                || cause instanceof SQLException sql && CLOSED.contains(sql.getErrorCode());
    }

    /** Whether others hold what was wanted, or all connections: the same may go right in a moment, and nothing is wrong. */
    public static boolean isBusy(Throwable failure) {
        return anyCause(
                failure,
                cause -> cause instanceof SQLTransientConnectionException
                        || cause instanceof PessimisticLockingFailureException
                        || cause instanceof SQLException sql && HELD.contains(sql.getErrorCode()));
    }

    /** Whether the database took a transaction back since it and another waited for each other; the other went on. */
    static boolean isTakenBack(Throwable failure) {
        return anyCause(
                failure,
                cause -> cause instanceof SQLException sql
                        && (sql.getErrorCode() == ErrorCode.DEADLOCK_1
                                || sql.getErrorCode() == ErrorCode.CONCURRENT_UPDATE_1));
    }

    /** Whether something failed at the database, which may go right the next time. */
    public static boolean isItsFailure(Throwable failure) {
        return anyCause(
                failure,
                cause -> cause instanceof SQLException
                        || cause instanceof DataAccessException
                        || cause instanceof MVStoreException);
    }

    /** Whether a failure says that the disk is full, in the words of the operating system. */
    public static boolean saysFull(Throwable failure) {
        return anyCause(failure, cause -> {
            String message = cause.getMessage();
            return message != null && (message.contains("No space left") || message.contains("Disk quota exceeded"));
        });
    }

    private static boolean anyCause(Throwable failure, Predicate<Throwable> which) {
        return Stream.iterate(failure, Objects::nonNull, Throwable::getCause).anyMatch(which);
    }

    private void reopen() {
        try {
            while (isFull() || !opensAgain()) {
                Thread.sleep(TRIES_EVERY_MS);
            }
            trouble.set(null);
            LOG.warn("The database is open again.");
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private boolean opensAgain() throws InterruptedException {
        HikariPoolMXBean connections = pool.getHikariPoolMXBean();
        connections.suspendPool();
        try {
            for (int i = 0; i < WAITS && connections.getTotalConnections() > 0; i++) {
                connections.softEvictConnections();
                Thread.sleep(TRIES_EVERY_MS / 10);
            }
        } finally {
            connections.resumePool();
        }
        try (Connection db = pool.getConnection();
                var statement = db.createStatement()) {
            statement.execute("select count(*) from setting");
            return true;
        } catch (SQLException notYet) {
            LOG.debug("Not yet", notYet);
            return false;
        }
    }
}
