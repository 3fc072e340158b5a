package wake.store;

import java.sql.SQLException;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says plainly that another Wake has the data folder open, instead of a stack trace. */
public class FolderInUseAnalyzer extends AbstractFailureAnalyzer<SQLException> {
    private static final int DATABASE_ALREADY_OPEN = 90020;

    @Override
    protected @Nullable FailureAnalysis analyze(Throwable rootFailure, SQLException cause) {
        if (cause.getErrorCode() != DATABASE_ALREADY_OPEN) {
            return null;
        }
        return new FailureAnalysis(
                "Another Wake is running on the same data folder.",
                "Use the one that is running, or stop it first. A second one needs a data folder and a port of its own.",
                cause);
    }
}
