package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Format;

/**
 * So much of a course that has to be done by a clock: for a gate, an interval, the cap, or a goal.
 *
 * @param kind what asks for it
 * @param words how it is called in a sentence: "the gate of 6:00 after round 1"
 * @param whole how many segments have to be complete, from the first
 * @param extraSteps steps of the next segment on top; 0 for none
 * @param byMs the clock
 */
public record Due(Kind kind, String words, int whole, int extraSteps, long byMs) {
    /** What asks for something by a clock. */
    public enum Kind {
        GATE,
        INTERVAL,
        CAP,
        GOAL
    }

    /** What the course itself asks for, in the order it comes due: its gates, its intervals, and of all its work the cap. */
    public static List<Due> of(Course course) {
        List<Due> due = new ArrayList<>();
        for (Course.Stage stage : course.stages()) {
            due.add(new Due(
                    Kind.GATE,
                    "the cut-off at " + seconds(stage.byMs()) + " after " + stage.words(),
                    stage.lastIndex() + 1,
                    0,
                    stage.byMs()));
        }
        if (course.isOpen()) {
            return due;
        }
        int all = course.segments().size();
        for (int i = 0; i < all; i++) {
            int place = i;
            course.intervalEndsMs(i)
                    .ifPresent(end -> due.add(new Due(
                            Kind.INTERVAL,
                            "the end of interval " + course.segment(place).lap().number(),
                            place + 1,
                            0,
                            end)));
        }
        if (all > 0 && course.format() instanceof Format.ForTime) {
            course.capMs().ifPresent(cap -> due.add(new Due(Kind.CAP, "the time cap of " + seconds(cap), all, 0, cap)));
        }
        return due;
    }

    /** A goal of the whole attempt; empty for one that is asked of each interval. */
    public static Optional<Due> of(Goal goal, Course course) {
        return course.format() instanceof Format.Every
                ? Optional.empty()
                : Optional.of(
                        new Due(Kind.GOAL, "the goal of " + goal.words(), goal.whole(), goal.extraSteps(), goal.ms()));
    }

    private static String seconds(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
