package wake.workout;

import java.util.List;
import java.util.OptionalLong;
import wake.units.ClockTime;
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
        return endOf(workout.sections().subList(0, place(workout, part)));
    }

    /**
     * How much later one part starts than another, where one running clock is written between the two ({@code from 7:00}); below zero where it
     * starts sooner, empty where each has its own "go".
     */
    public static OptionalLong between(Workout workout, int part, int other) {
        if (part > other) {
            OptionalLong ahead = between(workout, other, part);
            return ahead.isPresent() ? OptionalLong.of(-ahead.getAsLong()) : ahead;
        }
        OptionalLong from = startOf(workout, part);
        OptionalLong to = startOf(workout, other);
        boolean written = workout.sections().subList(place(workout, part), place(workout, other)).stream()
                .anyMatch(Start.class::isInstance);
        return written && from.isPresent() && to.isPresent()
                ? OptionalLong.of(to.getAsLong() - from.getAsLong())
                : OptionalLong.empty();
    }

    /** The rest between the buzzer of a part and the start of the next; 0 where they follow at once, empty after the last part. */
    public static OptionalLong restAfter(Workout workout, Part part) {
        List<Section> sections = workout.sections();
        int next = sections.indexOf(part) + 1;
        if (next >= sections.size()) {
            return OptionalLong.empty();
        }
        return OptionalLong.of(
                switch (sections.get(next)) {
                    case Pause pause -> pause.ms();
                    case Start start -> {
                        long over = startOfLast(sections.subList(0, next))
                                + part.format().buzzerMs().orElse(0);
                        yield Math.max(0, start.ms() - over);
                    }
                    case Part following -> 0;
                });
    }

    /** What is said of a part's start: "from 7:00 on the running clock", "after a rest of 2:00"; empty where nothing is. */
    public static String words(Workout workout, Part part) {
        int at = workout.sections().indexOf(part);
        if (at == 0) {
            return "";
        }
        return switch (workout.sections().get(at - 1)) {
            case Start start -> "from " + ClockTime.of(start.ms()).toSeconds() + " on the running clock";
            case Pause pause -> "after a rest of " + ClockTime.of(pause.ms()).toSeconds();
            case Part before -> "";
        };
    }

    /** The place of a part among the sections. */
    private static int place(Workout workout, int part) {
        int seen = 0;
        for (int i = 0; i < workout.sections().size(); i++) {
            if (workout.sections().get(i) instanceof Part && seen++ == part) {
                return i;
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
                    at += part.format().buzzerMs().orElse(0);
                }
            }
        }
        return known ? OptionalLong.of(at) : OptionalLong.empty();
    }

    /** Whether a part is over at its buzzer, neither sooner nor later. */
    private static boolean ends(Format format) {
        return !(format instanceof Format.ForTime);
    }

    /** When the last of some sections, a part, starts at the latest; 0 where nothing fixes it. */
    static long startOfLast(List<Section> sections) {
        return endOf(sections.subList(0, sections.size() - 1)).orElse(0);
    }
}
