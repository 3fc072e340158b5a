package wake.projection;

import java.util.function.Function;
import wake.units.Digits;

/**
 * No rest between the sets of a segment longer than this.
 *
 * @param movement whose rests; empty for all
 */
public record CapRests(String movement, long targetMs) implements Change {
    public CapRests {
        Change.requirePause(targetMs);
    }

    public CapRests(long targetMs) {
        this("", targetMs);
    }

    @Override
    public String words() {
        return "No rest" + Change.of("in", movement) + " over " + Digits.TENTHS.span(targetMs);
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect cap = Effect.atMost(targetMs);
        return piece -> piece.kind() == Piece.Kind.REST && Change.concerns(movement, piece) ? cap : Effect.NONE;
    }
}
