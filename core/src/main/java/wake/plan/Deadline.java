package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;

/**
 * So much of a expanded workout that has to be done by a clock: for a cut-off, an interval, the cap, or a goal.
 *
 * @param kind what asks for it
 * @param words how it is called in a sentence: "the cut-off of 6:00 after round 1"
 * @param whole how many segments have to be complete, from the first
 * @param extraSteps steps of the next segment on top; 0 for none
 * @param byMs the clock
 */
public record Deadline(Kind kind, String words, int whole, int extraSteps, long byMs) {
    /** What asks for something by a clock. */
    public enum Kind {
        GATE,
        INTERVAL,
        CAP,
        GOAL
    }

    /** What the expanded workout itself asks for, in the order it comes due: its cut-offs, its intervals, and of all its work the cap. */
    public static List<Deadline> of(ExpandedWorkout expanded) {
        List<Deadline> due = new ArrayList<>();
        for (ExpandedWorkout.CutOff cutOff : expanded.cutOffs()) {
            due.add(new Deadline(
                    Kind.GATE,
                    "the cut-off at " + seconds(cutOff.byMs()) + " after " + cutOff.words(),
                    cutOff.lastIndex() + 1,
                    0,
                    cutOff.byMs()));
        }
        if (expanded.isOpen()) {
            return due;
        }
        int all = expanded.segments().size();
        for (int i = 0; i < all; i++) {
            int place = i;
            expanded.intervalEndsMs(i)
                    .ifPresent(end -> due.add(new Deadline(
                            Kind.INTERVAL,
                            "the end of interval "
                                    + expanded.segment(place).lap().number(),
                            place + 1,
                            0,
                            end)));
        }
        if (all > 0 && expanded.format() instanceof Format.ForTime) {
            expanded.capMs()
                    .ifPresent(cap -> due.add(new Deadline(Kind.CAP, "the time cap of " + seconds(cap), all, 0, cap)));
        }
        return due;
    }

    /** A goal of the whole attempt; empty for one that is asked of each interval. */
    public static Optional<Deadline> of(Goal goal, ExpandedWorkout expanded) {
        return expanded.format() instanceof Format.Every
                ? Optional.empty()
                : Optional.of(new Deadline(
                        Kind.GOAL, "the goal of " + goal.words(), goal.whole(), goal.extraSteps(), goal.ms()));
    }

    private static String seconds(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
