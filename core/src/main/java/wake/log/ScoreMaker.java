package wake.log;

import java.util.Comparator;
import java.util.Optional;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/** Scores a log as its format scores. */
final class ScoreMaker {
    private ScoreMaker() {}

    static Score score(AttemptLog log) {
        ExpandedWorkout expanded = log.expanded();
        int done = done(log);
        return switch (expanded.format()) {
            case Format.ForTime time when !expanded.isOpen() -> forTime(log, done);
            case Format.ForTime time -> rounds(log, done);
            case Format.Amrap amrap -> rounds(log, done);
            case Format.Every every -> new Score.Reps(log.clockMs(), done);
            case Format.Lift lift -> new Score.Load(best(log), log.clockMs());
        };
    }

    private static Score forTime(AttemptLog log, int done) {
        ExpandedWorkout expanded = log.expanded();
        int missing = expanded.totalScore() - done;
        if (log.phase() == Phase.FINISHED) {
            return new Score.Finished(log.clockMs(), done);
        }
        boolean atTheBuzzer = log.phase() == Phase.STOPPED
                && expanded.buzzerMs(log.splits().size() - 1).orElse(Long.MAX_VALUE) <= log.clockMs();
        return atTheBuzzer
                ? new Score.Capped(log.clockMs(), done, missing)
                : new Score.Partial(log.clockMs(), done, missing);
    }

    private static Score rounds(AttemptLog log, int done) {
        int complete =
                (int) log.splits().stream().filter(SegmentSplit::complete).count();
        int extra = log.splits().stream()
                .skip(log.expanded().currentRoundStart(complete))
                .mapToInt(ScoreMaker::points)
                .sum();
        return new Score.Rounds(
                log.clockMs(),
                log.expanded().wholeRounds(complete),
                extra,
                done,
                log.expanded().scoresReps());
    }

    private static Optional<Quantity> best(AttemptLog log) {
        return log.lifts().stream()
                .filter(lift -> lift.made() && lift.scores())
                .flatMap(lift -> lift.load().stream())
                .max(Comparator.comparingDouble(load -> load.in(Unit.KILOGRAM)));
    }

    private static int done(AttemptLog log) {
        return log.splits().stream().mapToInt(ScoreMaker::points).sum();
    }

    private static int points(SegmentSplit split) {
        return split.complete() ? split.segment().score() : split.segment().points(split.counted());
    }
}
