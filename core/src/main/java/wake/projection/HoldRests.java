package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * Rests stay as short as they were in the first rounds: in each line the mean rest of its first two segments that had one.
 *
 * @param scope whose rests
 */
public record HoldRests(Scope scope) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "HOLD_RESTS",
            written -> new HoldRests(written.scope()),
            HoldRests::possible,
            observed -> List.of(new Suggestion(new HoldRests(Scope.EVERYWHERE), false)));

    /** The first two rests are what an athlete starts out with; an assumption. */
    private static final int FIRST = 2;

    public HoldRests(String movement) {
        this(Scope.of(movement));
    }

    private static List<Change> possible(Observed observed) {
        List<Change> changes = new ArrayList<>();
        changes.add(new HoldRests(Scope.EVERYWHERE));
        observed.movements().forEach(movement -> changes.add(new HoldRests(movement)));
        return changes;
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope);
    }

    /** It looks back at others, and gives way to what names its own target. */
    @Override
    public int breadth() {
        return scope.movement().isEmpty() ? 5 : 2;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        boolean rests = replay.slices().stream()
                .anyMatch(slice -> slice.observed() && slice.kind() == TimeSlice.Kind.REST && scope.has(slice));
        return rests ? Optional.empty() : Optional.of("No rests were logged" + scope.movement("on") + ".");
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        List<TimeSlice> rests = replay.slices().stream()
                .filter(slice -> slice.observed() && slice.kind() == TimeSlice.Kind.REST)
                .toList();
        Map<Segment, OptionalDouble> caps = new HashMap<>();
        return slice -> {
            OptionalDouble cap = slice.kind() == TimeSlice.Kind.REST && scope.has(slice)
                    ? caps.computeIfAbsent(slice.segment(), segment -> first(rests, segment))
                    : OptionalDouble.empty();
            return cap.isEmpty() ? Effect.NONE : Effect.atMost(cap.getAsDouble());
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.REST && scope.has(split.segment());
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }

    /** The mean rest of the first two segments of a line that had one, at this load or a heavier one. */
    private static OptionalDouble first(List<TimeSlice> rests, Segment asked) {
        return rests.stream()
                .filter(slice -> slice.segment().lineIndex() == asked.lineIndex()
                        && Comparability.mayBeAskedOf(slice.segment(), asked))
                .collect(Collectors.groupingBy(
                        slice -> slice.segment().index(), TreeMap::new, Collectors.averagingDouble(TimeSlice::ms)))
                .values()
                .stream()
                .limit(FIRST)
                .mapToDouble(Double::doubleValue)
                .average();
    }
}
