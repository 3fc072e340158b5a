package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.units.Digits;

/**
 * No transition longer than this; the transition to the first movement is left alone.
 *
 * @param scope which transitions: those to a movement
 * @param seconds the longest, by place
 */
public record CapTransitions(Scope scope, Targets seconds) implements Change {
    /** One that was quick, and one that may be as quick. */
    private static final int FEWEST_OF_A_KIND = 2;

    static final ChangeKind KIND = new ChangeKind(
            "CAP_TRANSITIONS",
            written -> new CapTransitions(written.scope(), written.aims()),
            CapTransitions::possible,
            CapTransitions::proposed);

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

    /** To each movement at what was shown of each kind; to all of them one figure, which was shown of every kind. */
    private static List<Change> possible(Observed observed) {
        List<Change> changes = new ArrayList<>();
        TransitionKinds all = TransitionKinds.of(observed.replay(), Scope.EVERYWHERE);
        all.slowestTarget(1).ifPresent(ms -> changes.add(new CapTransitions(Observed.halfSeconds(ms))));
        for (String movement : observed.movements()) {
            Scope scope = Scope.of(movement);
            TransitionKinds.of(observed.replay(), scope)
                    .targets(1)
                    .ifPresent(targets -> changes.add(new CapTransitions(scope, targets)));
        }
        return changes;
    }

    private static List<Suggestion> proposed(Observed observed) {
        return observed.movements().stream()
                .flatMap(movement -> observed.like(movement).stream())
                .flatMap(scope -> TransitionKinds.of(observed.replay(), scope)
                        .targets(FEWEST_OF_A_KIND)
                        .map(targets -> new Suggestion(new CapTransitions(scope, targets), true))
                        .stream())
                .toList();
    }

    private static boolean touches(TimeSlice slice) {
        return slice.kind() == TimeSlice.Kind.TRANSITION && slice.segment().index() > 0;
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        return PauseLimits.capped(replay, scope, seconds, CapTransitions::touches);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.TRANSITION && split.segment().index() > 0 && scope.has(split.segment());
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
