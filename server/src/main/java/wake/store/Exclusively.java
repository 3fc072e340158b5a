package wake.store;

import java.util.Objects;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Something done in one transaction while nobody else changes the attempt. What takes long (reading a text, replays, a goal) is done before:
 * others wait for as long as this does.
 */
@Component
public class Exclusively {
    private final TransactionTemplate transaction;
    private final AttemptStore attempts;

    Exclusively(TransactionTemplate transaction, AttemptStore attempts) {
        this.transaction = transaction;
        this.attempts = attempts;
    }

    /** What the work gives; whatever it throws takes back all it did. */
    public <T> T on(UUID attemptId, Supplier<T> work) {
        return Objects.requireNonNull(transaction.execute(status -> {
            attempts.lock(attemptId);
            return work.get();
        }));
    }
}
