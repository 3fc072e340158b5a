package wake.store;

import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Something done in one transaction while nobody else changes the attempt, or another of its athlete: a change of one raises the versions of its
 * retests and of the other parts of its day. Who comes first goes first, and who waits holds no connection meanwhile. What takes long (reading a
 * text, replays, a goal) is done before: others wait for as long as this does.
 */
@Component
public class Exclusively {
    private static final Duration PATIENCE = Duration.ofSeconds(4);
    /** Whoever comes to wait in a circle with others in the database is taken back there, and goes again. */
    private static final int TRIES = 5;
    /** So many queues: athletes that share one wait for each other, which harms nobody. */
    private static final int QUEUES = 64;

    private final TransactionTemplate transaction;
    private final AttemptStore attempts;
    private final List<ReentrantLock> queues =
            Stream.generate(() -> new ReentrantLock(true)).limit(QUEUES).toList();

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
        List<UUID> athletes = attempts.athletesOf(attemptIds);
        Deque<ReentrantLock> held = inTurn(athletes);
        try {
            for (int tries = 1; tries < TRIES; tries++) {
                try {
                    return once(athletes, work);
                } catch (RuntimeException failed) {
                    if (!DatabaseHealth.isTakenBack(failed)) {
                        throw failed;
                    }
                }
            }
            return once(athletes, work);
        } finally {
            held.forEach(ReentrantLock::unlock);
        }
    }

    private <T> T once(List<UUID> athletes, Supplier<T> work) {
        return Objects.requireNonNull(transaction.execute(status -> {
            attempts.hold(athletes);
            return work.get();
        }));
    }

    /** Waits for all of its turns, always in one order. */
    private Deque<ReentrantLock> inTurn(List<UUID> athletes) {
        Deque<ReentrantLock> held = new ArrayDeque<>();
        int[] places = athletes.stream()
                .mapToInt(athlete -> Math.floorMod(athlete.hashCode(), QUEUES))
                .distinct()
                .sorted()
                .toArray();
        for (int place : places) {
            if (!comes(queues.get(place))) {
                held.forEach(ReentrantLock::unlock);
                throw new CannotAcquireLockException("Others were at it for longer than anybody waits");
            }
            held.push(queues.get(place));
        }
        return held;
    }

    private static boolean comes(ReentrantLock turn) {
        try {
            return turn.tryLock(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
