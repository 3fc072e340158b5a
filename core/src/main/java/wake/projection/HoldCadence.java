package wake.projection;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/** A movement never slower than so many seconds per rep or unit; the cost of faults stays, and what is quicker already too. */
public record HoldCadence(String movement, double secondsPerUnit) implements Change {
    public HoldCadence {
        Change.requireCadence(secondsPerUnit);
    }

    @Override
    public String words() {
        return String.format(Locale.ROOT, "%s never slower than %.2f s", movement, secondsPerUnit);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return Change.noCadence(replay, movement, secondsPerUnit);
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return piece -> piece.isWork() && piece.isOf(movement)
                ? Effect.atMost(1000 * secondsPerUnit * piece.amount())
                : Effect.NONE;
    }
}
