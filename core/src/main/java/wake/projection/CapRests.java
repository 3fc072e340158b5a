package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.units.Digits;

/**
 * No rest between the sets of a segment longer than this.
 *
 * @param scope which rests
 * @param seconds the longest, by place
 */
public record CapRests(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CAP_RESTS",
            written -> new CapRests(written.scope(), written.aims()),
            observed -> PauseLimits.possible(observed, TimeSlice.Kind.REST, CapRests::new),
            observed -> PauseLimits.proposed(observed, TimeSlice.Kind.REST, CapRests::new));

    public CapRests {
        Change.requirePauses(seconds);
    }

    public CapRests(String movement, long targetMs) {
        this(Scope.of(movement), Targets.ofMs(targetMs));
    }

    public CapRests(long targetMs) {
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
        return slice.kind() == TimeSlice.Kind.REST;
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        return PauseLimits.capped(replay, scope, seconds, CapRests::touches);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.REST && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.pause(seconds.first(), slowestMs));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, true);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return "longest " + Digits.TENTHS.span(figureMs);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
