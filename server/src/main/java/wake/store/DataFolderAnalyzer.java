package wake.store;

import java.nio.file.Path;
import java.sql.SQLException;
import org.h2.mvstore.MVStoreException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.diagnostics.FailureAnalyzer;
import org.springframework.core.env.Environment;
import wake.store.backups.DataFolder;

/** Says plainly what is wrong with the data folder, instead of a stack trace: another Wake has it open, or the database is damaged. */
public class DataFolderAnalyzer implements FailureAnalyzer {
    private static final int DATABASE_ALREADY_OPEN = 90020;
    private static final int FILE_CORRUPTED = 90030;
    private static final int UNSUPPORTED_FORMAT = 90048;

    private final Path data;

    DataFolderAnalyzer(Environment environment) {
        this.data = Path.of(environment.getProperty("wake.data", "data"));
    }

    @Override
    public @Nullable FailureAnalysis analyze(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof DataFolder.InUse || isSql(cause, DATABASE_ALREADY_OPEN)) {
                return new FailureAnalysis(
                        "Another Wake is running on the same data folder.",
                        "Use the one that is running, or stop it first. A second one needs a data folder and a port of its own.",
                        failure);
            }
            if (cause instanceof DataFolder.Unusable) {
                return new FailureAnalysis(String.valueOf(cause.getMessage()), null, failure);
            }
            if (DatabaseHealth.saysFull(cause)) {
                return new FailureAnalysis(
                        "The disk is full: the database in " + data.toAbsolutePath() + " could not be opened.",
                        "Make room there and start again. Your saved data is safe.",
                        failure);
            }
            if (isSql(cause, FILE_CORRUPTED) || isSql(cause, UNSUPPORTED_FORMAT) || cause instanceof MVStoreException) {
                return new FailureAnalysis(DataFolder.damaged(data), null, failure);
            }
        }
        return null;
    }

    private static boolean isSql(Throwable cause, int code) {
        return cause instanceof SQLException sql && sql.getErrorCode() == code;
    }
}
