package wake.projection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.workout.Segment;

/**
 * The last break before the next movement comes one rep earlier, so that the last rep is also the way up to it: the pick-up
 * that nobody counts goes away.
 *
 * @param movement the one whose last rep hands over to the next
 * @param pickUpMs what a pick-up takes
 */
public record BreakOneEarly(String movement, long pickUpMs) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "BREAK_ONE_EARLY",
            written -> new BreakOneEarly(written.scope().movement(), written.targetMs()),
            BreakOneEarly::possible,
            seen -> possible(seen).stream()
                    .filter(change -> change.reason(seen.replay()).isEmpty())
                    .map(change -> new Suggestion(change, false))
                    .toList());

    private static final double LONGEST_S = 5;

    public BreakOneEarly {
        Change.requirePauses(Targets.ofMs(pickUpMs));
    }

    private static List<Change> possible(Seen seen) {
        return seen.movements().stream()
                .flatMap(movement -> seen.meanCadence(movement).stream()
                        .<Change>mapToObj(rep -> new BreakOneEarly(movement, Seen.halfSeconds(1000 * rep))))
                .toList();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Scope scope() {
        return Scope.of(movement);
    }

    @Override
    public int breadth() {
        return 1;
    }

    @Override
    public Written written() {
        return Written.of(KIND, scope(), Targets.ofMs(pickUpMs));
    }

    @Override
    public Optional<Dial> dial(Replay replay, long slowestMs) {
        return Optional.of(Dial.of(0, Math.max(LONGEST_S, pickUpMs / 1000.0), 0.1, 1, "s"));
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return List.of(new Condition.ShorterThanPickUp());
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.TRANSITION && follows(split.segment(), replay);
    }

    private boolean follows(Segment segment, Replay replay) {
        if (segment.index() == 0) {
            return false;
        }
        Segment before = replay.log().course().segment(segment.index() - 1);
        return before.movement().name().equals(movement) && before.handsOverTo(segment);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        Function<Piece, Effect> on = on(replay);
        if (replay.pieces().stream().anyMatch(piece -> on.apply(piece) != Effect.NONE)) {
            return Optional.empty();
        }
        return Optional.of(
                replay.pieces().stream().anyMatch(piece -> follows(piece.segment(), replay))
                        ? "The last rep was already done on its own, so there is no pick-up to save."
                        : "No movement after " + movement + " starts where it ends, with the same load.");
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect less = Effect.less(pickUpMs);
        Set<Integer> done = doneAlready(replay);
        return piece -> piece.kind() == Piece.Kind.TRANSITION
                        && follows(piece.segment(), replay)
                        && !done.contains(piece.segment().index() - 1)
                ? less
                : Effect.NONE;
    }

    /** The segments of which the last rep was a set by itself: broken one rep before the end. */
    private static Set<Integer> doneAlready(Replay replay) {
        Map<Integer, Piece> last = new HashMap<>();
        replay.pieces().stream()
                .filter(Piece::isWork)
                .forEach(piece -> last.put(piece.segment().index(), piece));
        return last.values().stream()
                .filter(piece -> piece.set() > 1 && piece.units() == 1)
                .map(piece -> piece.segment().index())
                .collect(Collectors.toSet());
    }
}
