package wake.projection;

import java.util.List;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.workout.Course;

/** Walks replayed pieces along the clock and scores what gets done before the bell. */
final class Rescore {
    private final AttemptLog log;
    private final Course course;
    private final List<Piece> pieces;
    private final int[] stepsDone;
    private long clock;

    Rescore(AttemptLog log, List<Piece> pieces) {
        this.log = log;
        this.course = log.course();
        this.pieces = pieces;
        int last = pieces.isEmpty() ? -1 : pieces.getLast().segment().index();
        this.stepsDone = new int[last + 1];
    }

    Score score(boolean untilTheBell) {
        return untilTheBell ? untilTheBell() : wholly();
    }

    /** Everything that was done, however long it takes now. */
    private Score wholly() {
        pieces.forEach(this::advance);
        OptionalLong cap = course.capMs();
        boolean finished = log.phase() == Phase.FINISHED && (cap.isEmpty() || clock <= cap.getAsLong());
        return switch (log.score()) {
            case Score.Rounds rounds -> new Score.Rounds(clock, rounds.rounds(), rounds.extra(), rounds.done());
            case Score.Reps reps -> new Score.Reps(clock, reps.done());
            case Score.Load load -> load;
            case Score.Finished all when finished -> new Score.Finished(clock, all.done());
            case Score.Finished all -> new Score.Partial(clock, all.done(), 0);
            case Score.Capped capped -> new Score.Partial(clock, capped.done(), capped.missing());
            case Score.Partial partial -> new Score.Partial(clock, partial.done(), partial.missing());
        };
    }

    private Score untilTheBell() {
        for (Piece piece : pieces) {
            int index = piece.segment().index();
            long bell = course.bellMs(index).orElse(Long.MAX_VALUE);
            long start = clock;
            long done = piece.unitEndsMs().stream()
                    .filter(end -> start + end <= bell)
                    .count();
            stepsDone[index] += (int) done;
            advance(piece);
            if (clock > bell) {
                return at(bell, false);
            }
        }
        return at(course.capMs().orElse(clock), true);
    }

    private void advance(Piece piece) {
        clock = piece.kind() == Piece.Kind.WAIT ? Math.max(clock, piece.opensAtMs()) : clock + piece.ms();
    }

    /** The score when the bell goes, or when all is done before it. */
    private Score at(long bell, boolean all) {
        int done = points(0);
        return switch (log.score()) {
            case Score.Reps reps -> new Score.Reps(bell, done);
            case Score.Rounds rounds -> rounds(bell, done);
            default -> all ? new Score.Finished(clock, done) : new Score.Capped(bell, done, course.totalScore() - done);
        };
    }

    private Score rounds(long bell, int done) {
        int complete = 0;
        while (complete < stepsDone.length
                && stepsDone[complete] >= course.segment(complete).steps()) {
            complete++;
        }
        return new Score.Rounds(bell, course.wholeRounds(complete), points(course.currentRoundStart(complete)), done);
    }

    private int points(int from) {
        int sum = 0;
        for (int i = from; i < stepsDone.length; i++) {
            sum += course.segment(i).points(stepsDone[i]);
        }
        return sum;
    }
}
