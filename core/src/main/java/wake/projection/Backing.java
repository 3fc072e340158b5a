package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.workout.Likeness;
import wake.workout.Segment;

/**
 * What this attempt and the athlete's other ones have shown, so that a target can be held against it: a pause of the same line as
 * short, work of the same line as quick in a stretch at least half as long; elsewhere the same movement. What was done with a bar
 * is asked of no heavier one.
 */
final class Backing {
    private static final double CLOSE = 1.001;
    private static final double LONG_ENOUGH = 0.5;
    private static final double LATE_FROM = 2 / 3.0;

    private final Map<String, List<Piece>> here = new HashMap<>();
    private final Map<String, List<Piece>> elsewhere = new HashMap<>();

    private Backing() {}

    static Backing of(Replay replay, Collection<AttemptLog> others) {
        Backing backing = new Backing();
        for (Piece piece : replay.pieces()) {
            if (tells(piece)) {
                backing.here
                        .computeIfAbsent(line(piece), key -> new ArrayList<>())
                        .add(piece);
            }
        }
        for (AttemptLog other : others) {
            for (Piece piece : Replay.of(other).pieces()) {
                if (tells(piece)) {
                    backing.elsewhere
                            .computeIfAbsent(movement(piece), key -> new ArrayList<>())
                            .add(piece);
                }
            }
        }
        return backing;
    }

    private static boolean tells(Piece piece) {
        return piece.seen()
                && (piece.isWork() || (piece.isPause() && piece.segment().index() > 0));
    }

    private static String line(Piece piece) {
        return piece.kind() + " " + piece.segment().lineIndex();
    }

    private static String movement(Piece piece) {
        return piece.kind() + " " + piece.segment().movement().name() + " "
                + piece.segment().amount().unit();
    }

    /** Whether a piece lies in the last third of those of its line: how late it was on the clock tells nothing of how tired it found one. */
    private static boolean isLate(int place, int of) {
        return (place + 0.5) / of >= LATE_FROM;
    }

    /** How well a piece's new time is backed. */
    Evidence of(Piece piece, Effect effect) {
        double core = effect.onCore(piece.coreMs());
        boolean onlyFaults = core >= piece.coreMs();
        if (onlyFaults && !(effect.dropsFaults() && piece.fixedMs() > 0)) {
            return Evidence.SHOWN_LATE;
        }
        double target = piece.figure(core) * CLOSE + 0.5;
        List<Piece> line = here.getOrDefault(line(piece), List.of());
        // From the last one back: the first that shows it is the strongest evidence.
        for (int i = line.size() - 1; i >= 0; i--) {
            if (shows(line.get(i), piece, target, onlyFaults)) {
                return isLate(i, line.size()) ? Evidence.SHOWN_LATE : Evidence.SHOWN;
            }
        }
        for (Piece other : elsewhere.getOrDefault(movement(piece), List.of())) {
            if (shows(other, piece, target, onlyFaults)) {
                return Evidence.ELSEWHERE;
            }
        }
        return Evidence.NOT_YET_SHOWN;
    }

    private static boolean shows(Piece other, Piece piece, double target, boolean withoutFaults) {
        return (withoutFaults ? other.fixedMs() == 0 : shows(other, piece, target))
                && Likeness.mayBeAskedOf(other.segment(), piece.segment());
    }

    private static boolean shows(Piece other, Piece piece, double target) {
        return other.figure(other.coreMs()) <= target
                && (!piece.isWork() || other.amount() >= LONG_ENOUGH * piece.amount());
    }

    private static Evidence stronger(Evidence one, Evidence other) {
        return one.compareTo(other) <= 0 ? one : other;
    }

    /** Whether sets as large as this were done: late, earlier, elsewhere, or never. */
    Evidence ofSet(Segment segment, int reps) {
        Evidence best = Evidence.NOT_YET_SHOWN;
        for (List<Piece> pieces : here.values()) {
            for (int i = 0; i < pieces.size(); i++) {
                if (isSuchSet(pieces.get(i), segment, reps)) {
                    best = stronger(best, isLate(i, pieces.size()) ? Evidence.SHOWN_LATE : Evidence.SHOWN);
                }
            }
        }
        boolean other =
                elsewhere.values().stream().flatMap(List::stream).anyMatch(piece -> isSuchSet(piece, segment, reps));
        return best == Evidence.NOT_YET_SHOWN && other ? Evidence.ELSEWHERE : best;
    }

    private static boolean isSuchSet(Piece piece, Segment asked, int reps) {
        return piece.isWork() && Likeness.mayBeAskedOf(piece.segment(), asked) && piece.units() >= reps;
    }
}
