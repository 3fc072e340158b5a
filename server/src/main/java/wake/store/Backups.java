package wake.store;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.util.function.LongConsumer;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.stereotype.Component;
import wake.WakeProperties;
import wake.store.backups.Backup;
import wake.store.backups.BackupFile.Contents;
import wake.store.backups.DataFolder;
import wake.store.backups.Restore;

/** Copies of the database in use: written, made each day, and put back. */
@Component
public class Backups {
    private final DataSource database;
    private final DataFolder folder;
    private final WakeProperties properties;
    private final Clock clock;

    Backups(DataSource database, DataFolder folder, WakeProperties properties, Clock clock) {
        this.database = database;
        this.folder = folder;
        this.properties = properties;
        this.clock = clock;
    }

    /** Something done with a connection of its own. */
    private interface Work<T> {
        T with(Connection db) throws IOException, SQLException;
    }

    private <T> T connected(Work<T> work) throws IOException {
        try (Connection db = database.getConnection()) {
            return work.with(db);
        } catch (SQLException failed) {
            throw new DataAccessResourceFailureException("The database could not be used", failed);
        }
    }

    /** Writes all tables as they stand now to a file. */
    public void write(Path file) throws IOException {
        connected(db -> {
            Backup.write(db, file, clock.instant());
            return true;
        });
    }

    /** Writes such a file once more with the recordings' files; the database is not needed for it. */
    public void withRecordings(Path tables, OutputStream out) throws IOException {
        Backup.withRecordings(tables, properties.media(), out);
    }

    /**
     * To be called before something is removed for good, so that a kill leaves it noted, and once more when it has been, since the file may have
     * been written anew in between: no copy that holds it is kept for long, and the file is written anew soon.
     */
    public void removing() throws IOException {
        folder.copies().somethingWasRemoved();
    }

    /** Makes today's copy, unless there is one. */
    public void daily() throws IOException {
        connected(db -> {
            folder.copies().daily(db);
            return true;
        });
    }

    /**
     * Puts a backup in place of everything, after a copy of that has been made.
     *
     * @param rows told how many rows are done, now and then
     */
    public Contents putBack(Path file, LongConsumer rows) throws IOException {
        return connected(db -> {
            return Restore.into(
                    db,
                    properties.media(),
                    file,
                    folder.scratch(),
                    () -> folder.copies().beforeRestore(db),
                    rows);
        });
    }
}
