package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.workout.ExpandedWorkout;

/**
 * An attempt of which nothing is known but its score: {@code 6:48}, {@code 5 + 12}, {@code 10:00 + 17}, {@code 172 reps}. Its marks say what was
 * done and when it ended; where the borders lie in between nobody saw, and nothing is said of them.
 */
final class ScoreSheet {
    private ScoreSheet() {}

    static TimeSheet read(String text, ExpandedWorkout expanded, Plan plan) {
        List<Row> rows = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        for (Map.Entry<Integer, String> line : TimeSheet.lines(text).entrySet()) {
            try {
                if (!rows.isEmpty()) {
                    throw new InvalidInput("Write one line with the score");
                }
                Score score = ScoreReader.read(Lengths.line(line.getValue()), expanded);
                marks.addAll(marks(line.getKey(), score, ofTyped(line.getValue()), expanded, plan));
                rows.add(new Row(
                        line.getKey(),
                        score.words(Digits.WHOLE),
                        Optional.empty(),
                        OptionalLong.empty(),
                        OptionalLong.of(score.clockMs()),
                        0,
                        Optional.empty(),
                        ""));
            } catch (InvalidInput unfit) {
                rows.add(TimeSheet.wrong(line.getKey(), "", String.valueOf(unfit.getMessage())));
            }
        }
        return new TimeSheet(rows, marks, 0, Times.CLOCK, false);
    }

    private static double ofTyped(String text) {
        return Resolution.ofTyped(text.contains(".") ? 0.1 : 1);
    }

    private static List<Mark> marks(int line, Score score, double u, ExpandedWorkout expanded, Plan plan) {
        long end = score.clockMs();
        boolean finished =
                score instanceof Score.Finished || !expanded.isOpen() && score.done() == expanded.totalScore();
        CountedOn beyond =
                finished ? new CountedOn(expanded.segments().size(), 0) : CountedOn.of(expanded, 0, 0, score.done());
        long[] clocks = somewhere(expanded, plan, beyond.at(), end, finished);
        double somewhere = Resolution.ofTyped(end / 1000.0);
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < clocks.length; i++) {
            boolean last = finished && i + 1 == clocks.length;
            Granularity depth = last ? Granularity.SEGMENT : Granularity.ROUND;
            marks.add(mark(line, MarkKind.DONE, clocks[i], 0, depth, last ? u : somewhere, marks));
        }
        if (!finished) {
            marks.add(mark(line, MarkKind.STOP, end, beyond.steps(), Granularity.SET, u, marks));
        }
        return marks;
    }

    /**
     * Ends that nobody saw, as the plan has them, its work made as long as there was time for beside the rests that the workout sets; each
     * after the one before, and before its buzzer.
     *
     * @param finished whether the last of them is the end
     */
    private static long[] somewhere(ExpandedWorkout expanded, Plan plan, int count, long end, boolean finished) {
        List<PlannedSegment> planned = Forecast.of(expanded, plan, count + 1).segments();
        int through = Math.min(planned.size(), finished ? count : count + 1);
        double work = 0;
        long rests = 0;
        for (PlannedSegment segment : planned.subList(0, through)) {
            work += segment.activeMs();
            rests += segment.waitMs();
        }
        double stretch = (end - rests) / Math.max(1, work);
        if (stretch <= 0) {
            throw new InvalidInput(ClockTime.of(end).toSeconds()
                    + " leaves no time for work: the programmed rest alone takes "
                    + ClockTime.of(rests).toSeconds() + ". Check the score.");
        }
        long[] latest = new long[count];
        for (int i = count - 1; i >= 0; i--) {
            long next = i + 1 < count ? latest[i + 1] - 1 : end;
            latest[i] = Math.min(next, expanded.buzzerMs(i).orElse(end));
        }
        long[] clocks = new long[count];
        double at = 0;
        long before = 0;
        for (int i = 0; i < count; i++) {
            at += planned.get(i).waitMs() + stretch * planned.get(i).activeMs();
            long opens = expanded.opensMs(i, before).orElse(before);
            boolean last = finished && i + 1 == count;
            clocks[i] = last ? end : Math.min(latest[i], Math.max(opens + 1, Math.round(at)));
            before = clocks[i];
        }
        return clocks;
    }

    private static Mark mark(
            int line, MarkKind kind, long at, int reps, Granularity depth, double u, List<Mark> before) {
        return new Mark(new UUID(line, before.size()), kind, at, reps, depth, "", "", u);
    }
}
