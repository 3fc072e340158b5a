package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;

/**
 * Replays an attempt with changes. With none it returns the attempt's own score, to the millisecond and the rep.
 *
 * <p>Freed seconds run on along the workout and land where they land, maybe inside a transition for no rep at all.
 */
public final class Replay {
    private final AttemptLog log;
    private final List<Piece> pieces;

    private Replay(AttemptLog log, List<Piece> pieces) {
        this.log = log;
        this.pieces = pieces;
    }

    public static Replay of(AttemptLog log) {
        return new Replay(log, Pieces.of(log, endsAtTheBell(log)));
    }

    /** Whether the attempt was ended by a bell, so that time won goes into more work. */
    private static boolean endsAtTheBell(AttemptLog log) {
        return switch (log.score()) {
            case Score.Capped capped -> true;
            case Score.Rounds rounds -> atTheBell(log);
            case Score.Reps reps -> atTheBell(log);
            case Score.Finished finished -> false;
            case Score.Partial partial -> false;
            case Score.Load load -> false;
        };
    }

    private static boolean atTheBell(AttemptLog log) {
        return log.phase() == Phase.STOPPED
                && log.clockMs() >= log.course().capMs().orElse(Long.MAX_VALUE);
    }

    List<Piece> pieces() {
        return pieces;
    }

    public Score score(List<? extends Change> changes) {
        return score(changes, (change, piece) -> 1);
    }

    /** The score when of each saving only a share comes in: the credit of change and piece, from 0 to 1. */
    Score score(List<? extends Change> changes, ToDoubleBiFunction<Change, Piece> credit) {
        List<Piece> changed = new ArrayList<>();
        for (Piece piece : pieces) {
            Piece now = piece;
            for (Change change : changes) {
                if (change.touches(now)) {
                    long saving = now.ms() - change.newMs(now);
                    now = now.in(now.ms() - Math.round(saving * credit.applyAsDouble(change, piece)));
                }
            }
            changed.add(now);
        }
        return new Rescore(log, changed).score(endsAtTheBell(log));
    }
}
