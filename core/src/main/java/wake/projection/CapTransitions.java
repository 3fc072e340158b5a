package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.SegmentSplit;
import wake.units.Digits;

/**
 * No transition longer than this; the transition to the first movement is left alone.
 *
 * @param scope which transitions: those to a movement
 * @param seconds the longest, by place
 */
public record CapTransitions(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CAP_TRANSITIONS",
            written -> new CapTransitions(written.scope(), written.aims()),
            observed -> PauseLimits.possible(observed, TimeSlice.Kind.TRANSITION, CapTransitions::new),
            observed -> PauseLimits.proposed(observed, TimeSlice.Kind.TRANSITION, CapTransitions::new));

    public CapTransitions {
        Change.requirePauses(seconds);
    }

    public CapTransitions(String movement, long targetMs) {
        this(Scope.of(movement), Targets.ofMs(targetMs));
    }

    public CapTransitions(long targetMs) {
        this("", targetMs);
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, seconds);
    }

    private static boolean touches(TimeSlice slice) {
        return slice.kind() == TimeSlice.Kind.TRANSITION && slice.segment().index() > 0;
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        return PauseLimits.capped(replay, scope, seconds, CapTransitions::touches);
    }

    @Override
    public boolean claims(TimeUse cause, SegmentSplit split, Replay replay) {
        return cause == TimeUse.TRANSITION && split.segment().index() > 0 && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.pause(seconds.first(), slowestMs));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return "longest " + Digits.TENTHS.span(figureMs);
    }
}
