package wake.projection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.Cause;
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
            observed -> possible(observed).stream()
                    .filter(change -> change.reason(observed.replay()).isEmpty())
                    .map(change -> new Suggestion(change, false))
                    .toList());

    private static final double LONGEST_S = 5;

    public BreakOneEarly {
        Change.requirePauses(Targets.ofMs(pickUpMs));
    }

    private static List<Change> possible(Observed observed) {
        return observed.movements().stream()
                .flatMap(movement -> observed.meanCadence(movement).stream()
                        .<Change>mapToObj(rep -> new BreakOneEarly(movement, Observed.halfSeconds(1000 * rep))))
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
    public StoredChange written() {
        return StoredChange.of(KIND, scope(), Targets.ofMs(pickUpMs));
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.of(0, Math.max(LONGEST_S, pickUpMs / 1000.0), 0.1, 1, "s"));
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
        Segment before = replay.log().expanded().segment(segment.index() - 1);
        return before.movement().name().equals(movement) && before.handsOverTo(segment);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        Function<TimeSlice, Effect> on = on(replay);
        if (replay.slices().stream().anyMatch(slice -> on.apply(slice) != Effect.NONE)) {
            return Optional.empty();
        }
        return Optional.of(
                replay.slices().stream().anyMatch(slice -> follows(slice.segment(), replay))
                        ? "The last rep was already done on its own, so there is no pick-up to save."
                        : "No movement after " + movement + " starts where it ends, with the same load.");
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Effect less = Effect.less(pickUpMs);
        Set<Integer> done = doneAlready(replay);
        return slice -> slice.kind() == TimeSlice.Kind.TRANSITION
                        && follows(slice.segment(), replay)
                        && !done.contains(slice.segment().index() - 1)
                ? less
                : Effect.NONE;
    }

    /** The segments of which the last rep was a set by itself: broken one rep before the end. */
    private static Set<Integer> doneAlready(Replay replay) {
        Map<Integer, TimeSlice> last = new HashMap<>();
        replay.slices().stream()
                .filter(TimeSlice::isWork)
                .forEach(slice -> last.put(slice.segment().index(), slice));
        return last.values().stream()
                .filter(slice -> slice.set() > 1 && slice.units() == 1)
                .map(slice -> slice.segment().index())
                .collect(Collectors.toSet());
    }
}
