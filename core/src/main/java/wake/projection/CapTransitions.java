package wake.projection;

import java.util.function.Function;
import wake.units.Digits;

/**
 * No transition longer than this; the way to the first movement is left alone.
 *
 * @param movement the one that is gone to; empty for all
 */
public record CapTransitions(String movement, long targetMs) implements Change {
    public CapTransitions {
        Change.requirePause(targetMs);
    }

    public CapTransitions(long targetMs) {
        this("", targetMs);
    }

    @Override
    public String words() {
        return "No transition" + Change.of("to", movement) + " over " + Digits.TENTHS.span(targetMs);
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect cap = Effect.atMost(targetMs);
        return piece ->
                piece.kind() == Piece.Kind.TRANSITION && piece.segment().index() > 0 && Change.concerns(movement, piece)
                        ? cap
                        : Effect.NONE;
    }
}
