package wake.projection;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.log.Score;

/**
 * The retest call: what an attempt would score with chosen things changed.
 *
 * @param before the attempt's own score
 * @param calls each change on its own
 * @param together the score with all of them; its gain is not the sum of theirs
 * @param onEvidence the score when each saving counts only as far as it is backed
 */
public record Projection(Score before, List<Call> calls, Score together, Score onEvidence) {
    public Projection {
        calls = List.copyOf(calls);
    }

    /**
     * One change on its own.
     *
     * @param change the change
     * @param gain what it is worth alone
     * @param fromMs the slowest figure it would change: milliseconds of pause, or per unit
     * @param touched how many pauses or sets it would shorten
     * @param evidence how well it is backed, for most of what it would save
     */
    public record Call(Change change, Gain gain, long fromMs, int touched, Evidence evidence) {}

    public static Projection of(AttemptLog log, List<Change> changes) {
        Replay replay = Replay.of(log);
        Score before = log.score();
        Map<Change, Map<Integer, Evidence>> shown = new HashMap<>();
        changes.forEach(change -> shown.computeIfAbsent(change, each -> evidenceByLine(log, replay, each)));
        List<Call> calls = new ArrayList<>();
        for (Change change : changes) {
            calls.add(call(replay, change, shown.getOrDefault(change, Map.of()), before));
        }
        return new Projection(
                before,
                calls,
                replay.score(changes),
                replay.score(
                        changes,
                        (change, piece) -> evidence(shown.getOrDefault(change, Map.of()), piece)
                                .credit()));
    }

    public Gain gain() {
        return Gain.between(before, together);
    }

    private static Call call(Replay replay, Change change, Map<Integer, Evidence> shown, Score before) {
        long slowest = 0;
        int touched = 0;
        Map<Evidence, Long> savings = new EnumMap<>(Evidence.class);
        for (Piece piece : replay.pieces()) {
            if (!change.touches(piece)) {
                continue;
            }
            slowest = Math.max(slowest, figureMs(change, piece));
            long saving = piece.ms() - change.newMs(piece);
            if (saving > 0) {
                touched++;
                savings.merge(evidence(shown, piece), saving, Long::sum);
            }
        }
        Evidence most = savings.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(Evidence.SHOWN_LATE);
        return new Call(change, Gain.between(before, replay.score(List.of(change))), slowest, touched, most);
    }

    private static long figureMs(Change change, Piece piece) {
        return change instanceof Change.HoldCadence ? Math.round(1000 * piece.secondsPerUnit()) : piece.ms();
    }

    private static Evidence evidence(Map<Integer, Evidence> shown, Piece piece) {
        return shown.getOrDefault(piece.segment().lineIndex(), Evidence.NOT_YET_SHOWN);
    }

    /** The lines of which some piece has reached the target, and when; one walk for a change. */
    private static Map<Integer, Evidence> evidenceByLine(AttemptLog log, Replay replay, Change change) {
        long lastThird = log.clockMs() - log.clockMs() / 3;
        Map<Integer, Evidence> shown = new HashMap<>();
        long clock = 0;
        for (Piece piece : replay.pieces()) {
            boolean seen = clock + piece.ms() <= log.clockMs();
            if (seen && change.touches(piece) && change.newMs(piece) == piece.ms()) {
                Evidence when = clock >= lastThird ? Evidence.SHOWN_LATE : Evidence.SHOWN;
                shown.merge(piece.segment().lineIndex(), when, (a, b) -> a == Evidence.SHOWN_LATE ? a : b);
            }
            clock += piece.ms();
        }
        return shown;
    }
}
