package wake.exchange;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import wake.log.Mark;
import wake.plan.Plan;
import wake.workout.Course;

/**
 * Times as a coach jots them beside a workout, without a recording: a line for each movement, round or set, in workout order, with
 * its split, the clock at its end, or both. Where both are given, the seconds that neither accounts for are shown: they are the
 * way there.
 *
 * @param rows what each line was taken as
 * @param marks the marks they make; none while a line has a problem
 * @param unaccountedMs seconds between the clocks that no split accounts for, all together
 */
public record TimeSheet(List<Row> rows, List<Mark> marks, long unaccountedMs) {
    public TimeSheet {
        rows = List.copyOf(rows);
        marks = List.copyOf(marks);
    }

    /** What a line stands for. */
    public enum Each {
        MOVEMENT,
        ROUND,
        SET
    }

    /** What a single time on a line is; with two, the first is the split and the second the clock. */
    public enum Times {
        SPLITS,
        CLOCK
    }

    /**
     * A line.
     *
     * @param line its number in the text, from 1
     * @param place what it was taken as: "round 2 · 12 toes-to-bar"; empty when nothing is left for it
     * @param splitMs its split, given or worked out
     * @param clockMs the clock at its end, given or worked out
     * @param gapMs what lies between the clock before and its split
     * @param problem what is wrong with it
     */
    public record Row(
            int line, String place, OptionalLong splitMs, OptionalLong clockMs, long gapMs, Optional<String> problem) {}

    /**
     * Reads jotted times. Nothing throws: each line says what is wrong with it, and the others are read all the same.
     *
     * @param plan how a round is shared among its movements, whose ends a line for a round does not tell; they are placed by it with
     *     an uncertainty of the whole round
     */
    public static TimeSheet read(String text, Each each, Times times, Course course, Plan plan) {
        return new TimeSheetReader(each, times, course, plan).read(text);
    }

    /** Whether every line could be read. */
    public boolean isSound() {
        return rows.stream().allMatch(row -> row.problem().isEmpty());
    }
}
