package wake.projection;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.hipparchus.stat.StatUtils;
import wake.log.Cause;
import wake.log.SegmentSplit;

/**
 * A rest taken on purpose before a movement: no shorter than so many seconds from the work before it. It costs what it costs; what it must bring is said beside
 * it.
 *
 * @param scope before which movement, and where
 * @param seconds the shortest transition to it, by place
 */
public record RestBefore(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "REST_BEFORE",
            written -> new RestBefore(written.scope(), written.aims()),
            RestBefore::possible,
            observed -> List.of());

    /** To start from: so much more than the longest there was; an assumption. */
    private static final long MORE_MS = 5000;

    private static final double MOST_S = 60;
    private static final double MS_PER_S = 1000;

    public RestBefore {
        Change.requirePauses(seconds);
    }

    /** Before the movements that were broken, the one with most rests first. */
    private static List<Change> possible(Observed observed) {
        return observed.movements().stream()
                .filter(movement -> observed.pauses(TimeSlice.Kind.TRANSITION, Scope.of(movement)).length > 0)
                .sorted(Comparator.comparingInt(
                                (String movement) -> observed.pauses(TimeSlice.Kind.REST, Scope.of(movement)).length)
                        .reversed())
                .<Change>map(movement -> new RestBefore(
                        Scope.of(movement),
                        Targets.ofMs(MORE_MS
                                + Observed.halfSeconds(StatUtils.max(
                                        observed.pauses(TimeSlice.Kind.TRANSITION, Scope.of(movement)))))))
                .toList();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, seconds);
    }

    private boolean touches(TimeSlice slice) {
        return slice.kind() == TimeSlice.Kind.TRANSITION && slice.segment().index() > 0 && scope.has(slice);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.slices().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No transition" + scope.movement("to") + " was logged.");
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        var targets = seconds.bySegment(replay, scope, this::touches);
        return slice -> {
            Double target = touches(slice) ? targets.get(slice.segment().index()) : null;
            double more = target == null ? 0 : MS_PER_S * target - slice.coreMs();
            return more > 0 ? Effect.less(-more) : Effect.NONE;
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.TRANSITION && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.of(0, Math.max(MOST_S, seconds.first()), 1, 0, "s"));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.slower(this).orElse(List.of());
    }
}
