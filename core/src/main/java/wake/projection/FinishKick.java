package wake.projection;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import wake.units.ClockTime;

/**
 * From a moment on, all work by so much quicker.
 *
 * @param fromMs the clock of this attempt from which on it counts
 * @param percent by how much less time each rep or metre takes, above 0 and up to 30
 */
public record FinishKick(long fromMs, double percent) implements Change {
    private static final double MOST = 30;

    public FinishKick {
        if (!(percent > 0) || percent > MOST) {
            throw new IllegalArgumentException("Expected above 0 and up to 30 %, got " + percent);
        }
        if (fromMs < 0) {
            throw new IllegalArgumentException("Expected a clock time after \"go\", got " + fromMs + " ms");
        }
    }

    @Override
    public String words() {
        return String.format(
                Locale.ROOT,
                "From %s on, work %.1f %% quicker",
                ClockTime.of(fromMs).toSeconds(),
                percent);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No work that could be told apart begins after "
                        + ClockTime.of(fromMs).toSeconds() + ".");
    }

    private boolean touches(Piece piece) {
        return piece.isWork() && piece.startMs() >= fromMs;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect quicker = Effect.times(1 - percent / 100);
        return piece -> touches(piece) ? quicker : Effect.NONE;
    }
}
