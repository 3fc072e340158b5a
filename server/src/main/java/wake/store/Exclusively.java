package wake.store;

import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Something done in one transaction while nobody else changes the attempt, or another of its athlete. What takes long (reading a text, replays, a
 * goal) is done before: others wait for as long as this does.
 */
@Component
public class Exclusively {
    /** Whoever comes to wait in a circle with others is taken back by the database, and goes again. */
    private static final int TRIES = 5;

    private final TransactionTemplate transaction;
    private final AttemptStore attempts;

    Exclusively(TransactionTemplate transaction, AttemptStore attempts) {
        this.transaction = transaction;
        this.attempts = attempts;
    }

    /** What the work gives; whatever it throws takes back all it did. */
    public <T> T on(UUID attemptId, Supplier<T> work) {
        return on(List.of(attemptId), work);
    }

    /** The same with several attempts; work that was taken back for another's sake is done again. */
    public <T> T on(Collection<UUID> attemptIds, Supplier<T> work) {
        for (int tries = 1; tries < TRIES; tries++) {
            try {
                return once(attemptIds, work);
            } catch (RuntimeException failed) {
                if (!DatabaseHealth.isTakenBack(failed)) {
                    throw failed;
                }
            }
        }
        return once(attemptIds, work);
    }

    private <T> T once(Collection<UUID> attemptIds, Supplier<T> work) {
        return Objects.requireNonNull(transaction.execute(status -> {
            attempts.lock(attemptIds);
            return work.get();
        }));
    }
}
