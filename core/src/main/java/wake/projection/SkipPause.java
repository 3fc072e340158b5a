package wake.projection;

import java.util.Optional;
import java.util.function.Function;
import wake.units.ClockTime;
import wake.units.Digits;

/**
 * One pause that stood out does not happen again: the drink, the tangle.
 *
 * @param atMs the clock at which it began
 * @param targetMs what a pause like it takes otherwise
 */
public record SkipPause(long atMs, long targetMs) implements Change {
    public SkipPause {
        Change.requirePause(targetMs);
        if (atMs < 0) {
            throw new IllegalArgumentException("Expected a clock time after \"go\", got " + atMs + " ms");
        }
    }

    @Override
    public String words() {
        return "The long pause at " + ClockTime.of(atMs).toSeconds() + " in " + Digits.TENTHS.span(targetMs);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::is)
                ? Optional.empty()
                : Optional.of("No pause begins at " + ClockTime.of(atMs).toTenths() + " any more.");
    }

    private boolean is(Piece piece) {
        return piece.isPause() && piece.seen() && piece.startMs() == atMs;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect cap = Effect.atMost(targetMs);
        return piece -> is(piece) ? cap : Effect.NONE;
    }
}
