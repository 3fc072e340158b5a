package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
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
        boolean capped = log.score() instanceof Score.Capped;
        return new Replay(log, Pieces.of(log, capped));
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
        return log.score() instanceof Score.Capped capped ? cappedScore(changed, capped.capMs()) : wholeScore(changed);
    }

    private Score wholeScore(List<Piece> changed) {
        long clock = changed.stream().mapToLong(Piece::ms).sum();
        int done = log.score().done();
        OptionalLong cap = log.course().capMs();
        boolean finished = log.phase() == Phase.FINISHED && (cap.isEmpty() || clock <= cap.getAsLong());
        return finished
                ? new Score.Finished(clock, done)
                : new Score.Partial(clock, done, log.course().totalScore() - done);
    }

    private Score cappedScore(List<Piece> changed, long capMs) {
        long clock = 0;
        int done = 0;
        int total = log.course().totalScore();
        for (Piece piece : changed) {
            for (long end : piece.unitEndsMs()) {
                if (clock + end <= capMs) {
                    done++;
                }
            }
            clock += piece.ms();
            if (clock > capMs) {
                break;
            }
        }
        return done >= total && clock <= capMs
                ? new Score.Finished(clock, total)
                : new Score.Capped(capMs, done, total - done);
    }
}
