package wake.projection;

import java.util.Optional;
import java.util.function.Function;
import wake.units.Digits;

/**
 * The last break before the next movement comes one rep earlier, so that the last rep is also the way up to it: the pick-up
 * that nobody counts goes away.
 *
 * @param movement the one whose last rep hands over to the next
 * @param pickUpMs what a pick-up takes
 */
public record BreakOneEarly(String movement, long pickUpMs) implements Change {
    public BreakOneEarly {
        Change.requirePause(pickUpMs);
    }

    @Override
    public String words() {
        return "Break the " + movement + " one rep earlier: no pick-up of " + Digits.TENTHS.span(pickUpMs)
                + " before what follows";
    }

    @Override
    public Optional<String> reason(Replay replay) {
        Function<Piece, Effect> on = on(replay);
        return replay.pieces().stream().anyMatch(piece -> on.apply(piece) != Effect.NONE)
                ? Optional.empty()
                : Optional.of("Nothing after the " + movement + " starts with the same load where it ends.");
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect less = Effect.less(pickUpMs);
        return piece -> {
            int index = piece.segment().index();
            if (piece.kind() != Piece.Kind.TRANSITION || index == 0) {
                return Effect.NONE;
            }
            var before = replay.log().course().segment(index - 1);
            boolean here = before.movement().name().equals(movement) && before.handsOverTo(piece.segment());
            return here ? less : Effect.NONE;
        };
    }
}
