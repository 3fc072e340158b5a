package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.units.ClockTime;
import wake.units.InvalidInput;

/**
 * From a moment on, all work by so much faster.
 *
 * @param fromMs the clock of this attempt from which on it counts
 * @param percent by how much less time each rep or metre takes, above 0 and up to 30
 */
public record FinishKick(long fromMs, double percent) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "FINISH_KICK",
            written -> new FinishKick(written.at(), written.target()),
            FinishKick::possible,
            FinishKick::proposed);

    /** Nobody finishes more than 30% faster; an assumption. */
    private static final double MOST = 30;
    /** The last share of the clock, and by how much faster: assumptions to start from. */
    private static final double USUAL_SHARE = 0.15;

    private static final double USUAL_PERCENT = 3;
    private static final List<Long> MINUTES_TO_GO = List.of(5L, 3L, 2L);

    /** @throws InvalidInput where the percentage is not above 0 and up to 30, or the kick begins at or before the start */
    public FinishKick {
        if (!(percent > 0) || percent > MOST) {
            throw new InvalidInput("A kick is above 0 and up to 30%, not " + percent);
        }
        if (fromMs < 0) {
            throw new InvalidInput("A kick starts after the start, not at " + fromMs + " ms");
        }
    }

    private static List<Suggestion> proposed(Observed observed) {
        AttemptLog log = observed.replay().log();
        // A push that was made is moved, not made twice.
        boolean pushed = observed.push().isPresent();
        return log.clockMs() > 0 && !pushed ? List.of(new Suggestion(usual(log), false)) : List.of();
    }

    /** Over the last of an attempt, and from as many minutes to go as coaches call out. */
    private static List<Change> possible(Observed observed) {
        AttemptLog log = observed.replay().log();
        List<Change> changes = new ArrayList<>(List.of(usual(log)));
        for (long minutes : MINUTES_TO_GO) {
            long from = log.clockMs() - minutes * 60_000;
            if (from > 0) {
                changes.add(new FinishKick(from, USUAL_PERCENT));
            }
        }
        return changes;
    }

    private static FinishKick usual(AttemptLog log) {
        return new FinishKick(Math.round(log.clockMs() * (1 - USUAL_SHARE)), USUAL_PERCENT);
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Scope scope() {
        return Scope.EVERYWHERE;
    }

    @Override
    public int breadth() {
        return 1;
    }

    @Override
    public StoredChange written() {
        return new StoredChange(KIND.code(), Scope.EVERYWHERE, List.of(percent), "", OptionalLong.of(fromMs));
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.of(0.5, Math.max(10, percent), 0.5, 1, "%"));
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && split.arrivalMs() >= fromMs;
    }

    @Override
    public boolean isBounded() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.slices().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of(
                        "No logged work starts after " + ClockTime.of(fromMs).toSeconds() + ".");
    }

    private boolean touches(TimeSlice slice) {
        return slice.isWork() && slice.startMs() >= fromMs;
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Effect quicker = Effect.times(1 - percent / 100);
        return slice -> touches(slice) ? quicker : Effect.NONE;
    }
}
