package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Depth;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.units.Digits;
import wake.workout.Course;

/**
 * An attempt of which nothing is known but its score: {@code 6:48}, {@code 5 + 12}, {@code 10:00 + 17}, {@code 172 reps}. Its marks say what was
 * done and when it ended; where the borders lie in between nobody saw, and nothing is said of them.
 */
final class ScoreSheet {
    private ScoreSheet() {}

    static TimeSheet read(String text, Course course, Plan plan) {
        List<Row> rows = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        for (Map.Entry<Integer, String> line : TimeSheet.lines(text).entrySet()) {
            try {
                if (!rows.isEmpty()) {
                    throw new IllegalArgumentException("Expected one line, with the score");
                }
                Score score = ScoreReader.read(line.getValue(), course);
                marks.addAll(marks(score, ofTyped(line.getValue()), course, plan));
                rows.add(new Row(
                        line.getKey(),
                        score.words(Digits.WHOLE),
                        Optional.empty(),
                        OptionalLong.empty(),
                        OptionalLong.of(score.clockMs()),
                        0,
                        Optional.empty()));
            } catch (IllegalArgumentException unfit) {
                rows.add(TimeSheet.wrong(line.getKey(), "", String.valueOf(unfit.getMessage())));
            }
        }
        return new TimeSheet(rows, marks, 0, Times.CLOCK, false);
    }

    private static double ofTyped(String text) {
        return Resolution.ofTyped(text.contains(".") ? 0.1 : 1);
    }

    private static List<Mark> marks(Score score, double u, Course course, Plan plan) {
        long end = score.clockMs();
        boolean finished = score instanceof Score.Finished || !course.isOpen() && score.done() == course.totalScore();
        Beyond beyond = finished ? new Beyond(course.segments().size(), 0) : Beyond.of(course, 0, 0, score.done());
        List<Long> planned = Forecast.of(course, plan, beyond.at() + 1).endsMs();
        double stretch = end / (double) Math.max(1, planned.get(Math.min(planned.size(), beyond.at() + 1) - 1));
        double somewhere = Resolution.ofTyped(end / 1000.0);
        List<Mark> marks = new ArrayList<>();
        long before = 0;
        for (int i = 0; i < beyond.at(); i++) {
            boolean last = finished && i + 1 == beyond.at();
            long due = course.bellMs(i).orElse(end);
            long opens = course.opensMs(i, before).orElse(0);
            long at = last
                    ? end
                    : Math.min(Math.min(due, end), Math.max(opens + 1, Math.round(planned.get(i) * stretch)));
            before = Math.max(before + 1, at);
            marks.add(mark(MarkKind.DONE, before, 0, last ? Depth.SEGMENT : Depth.ROUND, last ? u : somewhere, marks));
        }
        if (!finished) {
            marks.add(mark(MarkKind.STOP, end, beyond.steps(), Depth.SET, u, marks));
        }
        return marks;
    }

    private static Mark mark(MarkKind kind, long at, int reps, Depth depth, double u, List<Mark> before) {
        return new Mark(new UUID(1, before.size()), kind, at, reps, depth, "", "", u);
    }
}
