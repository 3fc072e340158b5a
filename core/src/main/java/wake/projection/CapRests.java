package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;
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
            CapRests::possible,
            CapRests::proposed);

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

    private static List<Change> possible(Observed observed) {
        return Stream.concat(Stream.of(""), observed.movements().stream())
                .<Change>mapMulti((movement, changes) -> {
                    double[] ms = observed.pauses(TimeSlice.Kind.REST, Scope.of(movement));
                    if (ms.length > 0) {
                        changes.accept(new CapRests(movement, Math.round(Statistics.lowerQuartile(ms) / 100) * 100));
                    }
                })
                .toList();
    }

    private static List<Suggestion> proposed(Observed observed) {
        return observed.like().stream()
                .<Suggestion>mapMulti((scope, suggestions) -> Observed.target(
                                observed.pauses(TimeSlice.Kind.REST, scope))
                        .ifPresent(ms -> suggestions.accept(
                                new Suggestion(new CapRests(scope, Targets.ofMs(Observed.halfSeconds(ms))), true))))
                .toList();
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
