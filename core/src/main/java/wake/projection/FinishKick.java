package wake.projection;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import wake.log.AttemptLog;
import wake.units.ClockTime;

/**
 * From a moment on, all work by so much quicker.
 *
 * @param fromMs the clock of this attempt from which on it counts
 * @param percent by how much less time each rep or metre takes, above 0 and up to 30
 */
public record FinishKick(long fromMs, double percent) implements Change {
    private static final double MOST = 30;
    /** The last share of the clock, and by how much quicker: assumptions to start from. */
    private static final double USUAL_SHARE = 0.15;

    private static final double USUAL_PERCENT = 3;

    public FinishKick {
        if (!(percent > 0) || percent > MOST) {
            throw new IllegalArgumentException("Expected above 0 and up to 30 %, got " + percent);
        }
        if (fromMs < 0) {
            throw new IllegalArgumentException("Expected a clock time after \"go\", got " + fromMs + " ms");
        }
    }

    /** A kick to start from, over the last of an attempt. */
    static FinishKick usual(AttemptLog log) {
        return new FinishKick(Math.round(log.clockMs() * (1 - USUAL_SHARE)), USUAL_PERCENT);
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
