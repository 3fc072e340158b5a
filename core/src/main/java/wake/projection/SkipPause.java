package wake.projection;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Outlying;
import wake.statistics.Statistics;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.Likeness;

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
            seen -> standingOut(seen).stream().map(Suggestion::change).toList(),
            SkipPause::standingOut);

    private static final int MOST_PROPOSED = 3;

    public SkipPause {
        Change.requirePauses(Targets.ofMs(targetMs));
        if (atMs < 0) {
            throw new InvalidInput("A stop is after the start, not at " + atMs + " ms");
        }
    }

    /** Pauses far beyond the others of their line at their load. */
    private static List<Suggestion> standingOut(Seen seen) {
        return seen.replay().pieces().stream()
                .filter(Piece::isSeenPause)
                .filter(piece -> Outlying.among(like(piece, seen))
                        .filter(rule -> rule.is(piece.ms()))
                        .isPresent())
                .sorted(Comparator.comparingLong(Piece::ms).reversed())
                .limit(MOST_PROPOSED)
                .map(piece -> new SkipPause(piece.startMs(), Seen.halfSeconds(Statistics.median(like(piece, seen)))))
                .map(change -> new Suggestion(change, true))
                .toList();
    }

    private static double[] like(Piece piece, Seen seen) {
        return seen.replay().pieces().stream()
                .filter(other -> other.seen()
                        && other.kind() == piece.kind()
                        && other.segment().lineIndex() == piece.segment().lineIndex()
                        && Likeness.alike(other.segment(), piece.segment()))
                .mapToDouble(Piece::ms)
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
    public Written written() {
        return new Written(KIND.code(), Scope.EVERYWHERE, Targets.ofMs(targetMs).each(), "", OptionalLong.of(atMs));
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::is)
                ? Optional.empty()
                : Optional.of("There is no rest or transition at "
                        + ClockTime.of(atMs).toTenths() + " any more.");
    }

    private boolean is(Piece piece) {
        return piece.isPause() && piece.seen() && piece.startMs() == atMs;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Effect cap = Effect.atMost(targetMs);
        return piece -> is(piece) ? cap : Effect.NONE;
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return atMs >= split.arrivalMs()
                && atMs < split.endMs()
                && cause == (atMs == split.arrivalMs() ? Cause.TRANSITION : Cause.REST);
    }

    @Override
    public Optional<Dial> dial(Replay replay, long slowestMs) {
        return Optional.of(Dial.pause(targetMs / 1000.0, slowestMs));
    }
}
