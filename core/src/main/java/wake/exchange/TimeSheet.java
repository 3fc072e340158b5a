package wake.exchange;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.RejectedMark;
import wake.plan.Plan;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/**
 * Times as a coach jots them beside a workout, without a recording: a line for each movement, round or set, in workout order, with
 * its split, the clock at its end, or both. Where both are given, the seconds that neither accounts for are shown: they are the
 * way there.
 *
 * @param rows what each line was taken as
 * @param marks the marks they make; none while a line has a problem
 * @param unaccountedMs seconds between the clocks that no split accounts for, all together
 * @param taken what single times were taken as
 * @param unsure whether they could as well be taken as the other
 */
public record TimeSheet(List<Row> rows, List<Mark> marks, long unaccountedMs, Times taken, boolean unsure) {
    public TimeSheet {
        rows = List.copyOf(rows);
        marks = rows.stream().allMatch(row -> row.problem().isEmpty()) ? List.copyOf(marks) : List.of();
    }

    /** More sets than anybody notes of one attempt. */
    private static final int MOST_LINES = 2000;

    /** What a line stands for. */
    public enum Each {
        MOVEMENT,
        ROUND,
        SET,
        /** One line with what the attempt scored, and nothing else known of it. */
        SCORE
    }

    /** What a single time on a line is; with two, the first is the split and the second the clock. */
    public enum Times {
        /** Whichever makes sense: all of them, or where neither does, each by itself. */
        EITHER,
        SPLITS,
        CLOCK
    }

    /**
     * A line.
     *
     * @param line its number in the text, from 1
     * @param place what it was taken as: "round 2, 12 toes-to-bar"; empty when nothing is left for it
     * @param taken what its single time was taken as; empty where it had none, or two
     * @param splitMs its split, given or worked out
     * @param clockMs the clock at its end, given or worked out
     * @param gapMs what lies between the clock before and its split
     * @param problem what is wrong with it
     * @param unused what of it says nothing and was left out, in words; empty when all of it was read
     */
    public record Row(
            int line,
            String place,
            Optional<Times> taken,
            OptionalLong splitMs,
            OptionalLong clockMs,
            long gapMs,
            Optional<String> problem,
            String unused) {
        Row saying(String leftOut) {
            return new Row(line, place, taken, splitMs, clockMs, gapMs, problem, leftOut);
        }
    }

    /**
     * Reads jotted times. Nothing throws: each line says what is wrong with it, and the others are read all the same.
     *
     * @param plan how a round is shared among its movements, whose ends a line for a round does not show; they are placed by it with
     *     an uncertainty of the whole round
     */
    public static TimeSheet read(String text, Each each, Times times, ExpandedWorkout expanded, Plan plan) {
        List<Integer> numbers = List.copyOf(lines(text).keySet());
        if (numbers.size() > MOST_LINES) {
            Row tooMany = wrong(numbers.get(MOST_LINES), "", "At most " + MOST_LINES + " lines, not " + numbers.size());
            return new TimeSheet(List.of(tooMany), List.of(), 0, times, false);
        }
        if (expanded.format() instanceof Format.Lift) {
            return LiftSheet.read(text, expanded).checked(expanded);
        }
        if (each == Each.SCORE) {
            return ScoreSheet.read(text, expanded, plan).checked(expanded);
        }
        TimeSheet sheet = times == Times.EITHER
                ? SplitsOrClocks.read(text, each, expanded, plan)
                : new TimeSheetReader(each, times, expanded, plan).read(text);
        return sheet.checked(expanded);
    }

    /** The same, a line with a problem where a mark of it would find no place in the log: nothing that was typed is left out in silence. */
    private TimeSheet checked(ExpandedWorkout expanded) {
        Map<Long, String> reasons = new HashMap<>();
        for (RejectedMark odd : AttemptLog.of(expanded, marks).rejected()) {
            reasons.putIfAbsent(odd.mark().id().getMostSignificantBits(), odd.reason());
        }
        return reasons.isEmpty()
                ? this
                : new TimeSheet(
                        rows.stream()
                                .map(row -> Optional.ofNullable(reasons.get((long) row.line()))
                                        .map(reason -> wrong(row.line(), row.place(), reason))
                                        .orElse(row))
                                .toList(),
                        marks,
                        unaccountedMs,
                        taken,
                        unsure);
    }

    /** A row with something wrong with it. */
    static Row wrong(int line, String place, String problem) {
        return new Row(
                line, place, Optional.empty(), OptionalLong.empty(), OptionalLong.empty(), 0, Optional.of(problem), "");
    }

    /** The lines of a text that say something: no remarks behind a #, no heading without figures; by their numbers from 1. */
    static Map<Integer, String> lines(String text) {
        Map<Integer, String> lines = new LinkedHashMap<>();
        String[] all = text.split("\\R", -1);
        for (int i = 0; i < all.length; i++) {
            String line = all[i].strip();
            boolean heading = i == 0 && line.chars().noneMatch(Character::isDigit);
            if (!line.isEmpty() && !line.startsWith("#") && !heading) {
                lines.put(i + 1, line);
            }
        }
        return lines;
    }

    /** Whether every line could be read. */
    public boolean isSound() {
        return problems() == 0;
    }

    /** How many lines have a problem. */
    public long problems() {
        return rows.stream().filter(row -> row.problem().isPresent()).count();
    }
}
