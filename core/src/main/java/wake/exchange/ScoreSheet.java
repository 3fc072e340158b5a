package wake.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
 * An attempt of which nothing is known but its score: {@code 6:48}, {@code 5 + 12}, {@code 10:00 + 17}, {@code 172 reps}, and the clock at a
 * tie-break where one was noted: {@code 6:48 tb 3:10}. Its marks say what was done and when it ended; where the other borders lie in between
 * nobody saw, and nothing is said of them.
 */
final class ScoreSheet {
    private static final Pattern TIE_BREAKS =
            Pattern.compile("(?i)(?<score>.*?)[\\s,;]+(?:tb|tie-?break)[\\s:]+(?<clocks>.+)");

    private ScoreSheet() {}

    static TimeSheet read(String text, ExpandedWorkout expanded, Plan plan) {
        List<Row> rows = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        for (Map.Entry<Integer, String> line : TimeSheet.lines(text).entrySet()) {
            try {
                if (!rows.isEmpty()) {
                    throw new InvalidInput("Write one line with the score");
                }
                String written = Lengths.line(line.getValue());
                Matcher tied = TIE_BREAKS.matcher(written);
                boolean isTied = tied.matches();
                Score score = ScoreReader.read(isTied ? tied.group("score") : written, expanded);
                SortedMap<Integer, Long> ties =
                        isTied ? ties(tied.group("clocks"), score, expanded) : Collections.emptySortedMap();
                marks.addAll(marks(line.getKey(), score, ties, ofTyped(written), expanded, plan));
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

    /** The segments after which a tie-break was noted, each with its clock. */
    private static SortedMap<Integer, Long> ties(String written, Score score, ExpandedWorkout expanded) {
        if (expanded.tieBreaks().isEmpty()) {
            throw new InvalidInput("This workout has no tie-break");
        }
        int done = beyond(score, expanded).at();
        List<Integer> reached = expanded.tieBreaks(done).stream()
                .map(ExpandedWorkout.TieBreak::lastIndex)
                .filter(last -> last < done)
                .toList();
        List<Long> clocks = Arrays.stream(written.strip().split("[\\s,;]+"))
                .map(clock -> ScoreReader.time(clock, "the clock at the tie-break, like tb 3:10"))
                .toList();
        if (reached.isEmpty()) {
            throw new InvalidInput("That score does not reach the tie-break");
        }
        if (clocks.size() > 1 && clocks.size() != reached.size()) {
            throw new InvalidInput("Write the last tie-break, or all " + reached.size() + ", not " + clocks.size());
        }
        SortedMap<Integer, Long> ties = new TreeMap<>();
        long before = 0;
        for (int i = 0; i < clocks.size(); i++) {
            long clock = clocks.get(i);
            if (clock <= before || clock > score.clockMs()) {
                throw new InvalidInput("The tie-break has to be between "
                        + ClockTime.of(before).toSeconds() + " and "
                        + ClockTime.of(score.clockMs()).toSeconds() + ", not at "
                        + ClockTime.of(clock).toSeconds());
            }
            ties.put(reached.get(reached.size() - clocks.size() + i), clock);
            before = clock;
        }
        return ties;
    }

    private static boolean isFinished(Score score, ExpandedWorkout expanded) {
        return score instanceof Score.Finished || !expanded.isOpen() && score.done() == expanded.totalScore();
    }

    /** How far a score reaches. */
    private static CountedOn beyond(Score score, ExpandedWorkout expanded) {
        return isFinished(score, expanded)
                ? new CountedOn(expanded.segments().size(), 0)
                : CountedOn.of(expanded, 0, 0, score.done());
    }

    private static List<Mark> marks(
            int line, Score score, SortedMap<Integer, Long> ties, double u, ExpandedWorkout expanded, Plan plan) {
        long end = score.clockMs();
        boolean finished = isFinished(score, expanded);
        CountedOn beyond = beyond(score, expanded);
        SortedMap<Integer, Long> seen = new TreeMap<>(ties);
        if (finished) {
            seen.put(beyond.at() - 1, end);
        }
        long[] clocks = somewhere(expanded, plan, beyond.at(), end, seen);
        double somewhere = Resolution.ofTyped(end / 1000.0);
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < clocks.length; i++) {
            boolean known = seen.containsKey(i);
            Granularity depth = known ? Granularity.SEGMENT : Granularity.ROUND;
            marks.add(mark(line, MarkKind.DONE, clocks[i], 0, depth, known ? u : somewhere, marks));
        }
        if (!finished) {
            marks.add(mark(line, MarkKind.STOP, end, beyond.steps(), Granularity.SET, u, marks));
        }
        return marks;
    }

    /**
     * Ends of segments as the plan has them between those that were seen, its work made as long as there was time for beside the rests that the
     * workout sets; each after the one before, and before its buzzer.
     *
     * @param count how many were completed
     * @param seen clocks that are known
     */
    private static long[] somewhere(
            ExpandedWorkout expanded, Plan plan, int count, long end, SortedMap<Integer, Long> seen) {
        List<PlannedSegment> planned = Forecast.of(expanded, plan, count + 1).segments();
        SortedMap<Integer, Long> fixed = new TreeMap<>(seen);
        if (!seen.containsKey(count - 1)) {
            fixed.put(count, end);
        }
        long[] clocks = new long[count];
        int from = 0;
        long before = 0;
        for (Map.Entry<Integer, Long> one : fixed.entrySet()) {
            between(expanded, planned, from, one.getKey(), before, one.getValue(), clocks);
            from = one.getKey() + 1;
            before = one.getValue();
        }
        return clocks;
    }

    /** Fills in the ends from one segment through another, whose clock, or the end within it, is known. */
    private static void between(
            ExpandedWorkout expanded,
            List<PlannedSegment> planned,
            int first,
            int last,
            long start,
            long end,
            long[] clocks) {
        double work = 0;
        long rests = 0;
        for (PlannedSegment segment : planned.subList(first, Math.min(planned.size(), last + 1))) {
            work += segment.activeMs();
            rests += segment.waitMs();
        }
        double stretch = (end - start - rests) / Math.max(1, work);
        if (stretch <= 0) {
            throw new InvalidInput(ClockTime.of(end).toSeconds()
                    + " leaves no time for work: the programmed rest alone takes "
                    + ClockTime.of(rests).toSeconds() + ". Check the score.");
        }
        int unseen = Math.min(last, clocks.length);
        long[] latest = new long[clocks.length];
        for (int i = unseen - 1; i >= first; i--) {
            long next = i + 1 < unseen ? latest[i + 1] - 1 : last < clocks.length ? end - 1 : end;
            latest[i] = Math.min(next, expanded.buzzerMs(i).orElse(end));
        }
        double at = start;
        long before = start;
        for (int i = first; i < unseen; i++) {
            at += planned.get(i).waitMs() + stretch * planned.get(i).activeMs();
            long opens = expanded.opensMs(i, before).orElse(before);
            clocks[i] = Math.min(latest[i], Math.max(opens + 1, Math.round(at)));
            before = clocks[i];
        }
        if (last < clocks.length) {
            clocks[last] = end;
        }
    }

    private static Mark mark(
            int line, MarkKind kind, long at, int reps, Granularity depth, double u, List<Mark> before) {
        return new Mark(new UUID(line, before.size()), kind, at, reps, depth, "", "", u);
    }
}
