package wake.projection;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Outlying;
import wake.statistics.Statistics;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.Comparability;

/**
 * One pause that stood out does not happen again: the drink, the tangle.
 *
 * @param atMs the clock at which it began
 * @param targetMs what a pause like it takes otherwise
 */
public record SkipPause(long atMs, long targetMs) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "SKIP_PAUSE",
            written -> new SkipPause(written.at(), written.targetMs()),
            observed -> standingOut(observed).stream().map(Suggestion::change).toList(),
            SkipPause::standingOut);

    private static final int MOST_PROPOSED = 3;

    /** @throws InvalidInput where it is at or before the start */
    public SkipPause {
        Change.requirePauses(Targets.ofMs(targetMs));
        if (atMs < 0) {
            throw new InvalidInput("A stop is after the start, not at " + atMs + " ms");
        }
    }

    /** Pauses far beyond the others of their line at their load. */
    private static List<Suggestion> standingOut(Observed observed) {
        return observed.replay().slices().stream()
                .filter(TimeSlice::isSeenPause)
                .filter(slice -> Outlying.among(like(slice, observed))
                        .filter(rule -> rule.is(slice.ms()))
                        .isPresent())
                .sorted(Comparator.comparingLong(TimeSlice::ms).reversed())
                .limit(MOST_PROPOSED)
                .map(slice ->
                        new SkipPause(slice.startMs(), Observed.halfSeconds(Statistics.median(like(slice, observed)))))
                .map(change -> new Suggestion(change, true))
                .toList();
    }

    private static double[] like(TimeSlice slice, Observed observed) {
        return observed.replay().slices().stream()
                .filter(other -> other.observed()
                        && other.kind() == slice.kind()
                        && other.segment().lineIndex() == slice.segment().lineIndex()
                        && Comparability.comparable(other.segment(), slice.segment()))
                .mapToDouble(TimeSlice::ms)
                .toArray();
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
        return 0;
    }

    @Override
    public StoredChange written() {
        return new StoredChange(
                KIND.code(), Scope.EVERYWHERE, Targets.ofMs(targetMs).each(), "", OptionalLong.of(atMs));
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.slices().stream().anyMatch(this::is)
                ? Optional.empty()
                : Optional.of("There is no rest or transition at "
                        + ClockTime.of(atMs).toTenths() + " any more.");
    }

    private boolean is(TimeSlice slice) {
        return slice.isPause() && slice.observed() && slice.startMs() == atMs;
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Effect cap = Effect.atMost(targetMs);
        return slice -> is(slice) ? cap : Effect.NONE;
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return atMs >= split.arrivalMs()
                && atMs < split.endMs()
                && cause == (atMs == split.arrivalMs() ? Cause.TRANSITION : Cause.REST);
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Optional.of(SliderRange.pause(targetMs / 1000.0, slowestMs));
    }
}
