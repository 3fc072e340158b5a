package wake.workout;

import java.util.List;
import java.util.OptionalLong;
import wake.workout.Workout.Part;
import wake.workout.Workout.Pause;
import wake.workout.Workout.Section;
import wake.workout.Workout.Start;

/** The one clock that runs through all parts of a workout, from the start of the first. */
public final class RunningClock {
    private RunningClock() {}

    /**
     * When a part starts, where that is fixed: by {@code from 7:00}, or because all that stands before it has an end; in milliseconds from the
     * start of the first part, which starts at 0. Empty where it starts when the one above is done.
     *
     * @param part its place among the parts, from 0
     */
    public static OptionalLong startOf(Workout workout, int part) {
        int seen = 0;
        for (int i = 0; i < workout.sections().size(); i++) {
            if (workout.sections().get(i) instanceof Part && seen++ == part) {
                return endOf(workout.sections().subList(0, i));
            }
        }
        throw new IllegalArgumentException("No part " + part + " in " + workout.title());
    }

    /** When some sections are over; empty where that is not fixed. */
    private static OptionalLong endOf(List<Section> sections) {
        long at = 0;
        boolean known = true;
        for (Section section : sections) {
            switch (section) {
                case Start start -> {
                    at = start.ms();
                    known = true;
                }
                case Pause pause -> at += pause.ms();
                case Part part -> {
                    known &= ends(part.format());
                    at += part.format().bellMs().orElse(0);
                }
            }
        }
        return known ? OptionalLong.of(at) : OptionalLong.empty();
    }

    /** Whether a part is over at its bell, neither sooner nor later. */
    private static boolean ends(Format format) {
        return !(format instanceof Format.ForTime);
    }

    /** When the last of some sections, a part, starts at the latest; 0 where nothing fixes it. */
    static long startOfLast(List<Section> sections) {
        return endOf(sections.subList(0, sections.size() - 1)).orElse(0);
    }
}
