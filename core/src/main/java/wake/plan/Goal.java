package wake.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Section;
import wake.workout.Segment;

/**
 * A score to plan for, as work that has to be done in some time.
 *
 * @param words the score as a coach says it
 * @param from place of the first segment it asks for
 * @param whole how many segments have to be complete, from there
 * @param extraSteps steps of the next segment on top; 0 for none
 * @param ms in how much time
 * @param sectionsMs where each section of the workout has a time of its own, those times, in order; else empty
 */
public record Goal(String words, int from, int whole, int extraSteps, long ms, List<Long> sectionsMs) {
    private static final Pattern BY_SECTION = Pattern.compile("[\\d:.]*:[\\d.]+(?:\\s*\\+\\s*[\\d:.]*:[\\d.]+)+");

    /** Reps, said to be reps where they could be a time. */
    private static final Pattern COUNTED = Pattern.compile("(?i)\\d{1,6}(?:\\s*reps?)?");

    private static final Pattern BY_THE_CAP = Pattern.compile("(?i)\\d{1,6}\\s*reps?|(?:cap|\\d+:\\d{2})\\s*\\+.*");

    public Goal {
        sectionsMs = List.copyOf(sectionsMs);
    }

    /** A goal for all of what it asks for together. */
    public Goal(String words, int from, int whole, int extraSteps, long ms) {
        this(words, from, whole, extraSteps, ms, List.of());
    }

    /**
     * Reads a goal for a expanded workout: a finish as {@code 8:45}, a time for each section as {@code 8:00 + 24:00 + 8:00}, what is to be done by the cap as
     * {@code 160 reps} or {@code cap+12}, rounds as {@code 7+12} or {@code 7}, for interval work the time the longest interval may take, as
     * {@code 0:48}, or the reps that are to be done within their intervals, as {@code 96 reps}.
     *
     * @throws InvalidInput when the text is no such score, or the expanded workout has none
     */
    public static Goal parse(String text, ExpandedWorkout expanded, Plan plan) {
        String plain = text.strip();
        if (expanded.format() instanceof Format.Lift) {
            throw new InvalidInput("A max-lift window is planned by its lifts, not by a goal time");
        }
        if (expanded.format() instanceof Format.Every every) {
            return COUNTED.matcher(plain).matches()
                    ? intervals(plain, ((Score.Reps) ScoreReader.read(plain, expanded)).done(), every, expanded, plan)
                    : interval(
                            ScoreReader.time(plain, "the work time of an interval, like 0:48, or reps"),
                            every,
                            expanded,
                            plan);
        }
        if (expanded.isOpen()) {
            return rounds(plain, expanded);
        }
        if (BY_SECTION.matcher(plain).matches()) {
            return bySection(plain, expanded);
        }
        if (expanded.capMs().isPresent()
                && BY_THE_CAP.matcher(plain).matches()
                && ScoreReader.read(plain, expanded) instanceof Score.Capped capped) {
            return reaching(plain, capped.done(), capped.clockMs(), expanded);
        }
        long ms = ScoreReader.time(plain, "a finishing time, like 8:45");
        return new Goal(plain, 0, expanded.segments().size(), 0, beforeTheCap(ms, expanded));
    }

    /** "8:00 + 24:00 + 8:00": a time for each section, in order. */
    private static Goal bySection(String plain, ExpandedWorkout expanded) {
        List<Section> sections = Section.of(expanded.segments());
        String[] written = plain.split("\\+");
        if (written.length != sections.size()) {
            throw new InvalidInput("Give one time, or "
                    + (sections.size() == 1
                            ? "no more: the workout is one section"
                            : sections.size() + " times, one for each of "
                                    + sections.stream().map(Section::label).collect(Collectors.joining("; ")))
                    + ", not " + written.length + ": \"" + plain + "\"");
        }
        List<Long> each = Arrays.stream(written)
                .map(time -> ScoreReader.time(time, "a time for each section, like 8:00 + 24:00"))
                .toList();
        long all = each.stream().mapToLong(Long::longValue).sum();
        return new Goal(plain, 0, expanded.segments().size(), 0, beforeTheCap(all, expanded), each);
    }

    /** A finish that the cap allows. */
    private static long beforeTheCap(long ms, ExpandedWorkout expanded) {
        long cap = expanded.capMs().orElse(Long.MAX_VALUE);
        if (ms > cap) {
            throw new InvalidInput(
                    "The goal must be under the " + ClockTime.of(cap).toSeconds() + " time cap, not "
                            + ClockTime.of(ms).toSeconds());
        }
        return ms;
    }

    /** The same work in another time. */
    Goal in(long otherMs) {
        return new Goal(words, from, whole, extraSteps, otherMs, sectionsMs);
    }

    /** The goals of the sections, where each has a time of its own; else this one alone. */
    List<Goal> parts(ExpandedWorkout expanded) {
        if (sectionsMs.isEmpty()) {
            return List.of(this);
        }
        List<Goal> parts = new ArrayList<>();
        for (Section section : Section.of(expanded.segments())) {
            long time = sectionsMs.get(parts.size());
            parts.add(new Goal(
                    ClockTime.of(time).toSeconds() + " for " + section.label(),
                    section.from(),
                    section.to() - section.from(),
                    0,
                    time));
        }
        return parts;
    }

    /** A goal as a coach might write it for a expanded workout. */
    public static String example(ExpandedWorkout expanded) {
        return expanded.format() instanceof Format.Every ? "0:48" : ScoreReader.example(expanded);
    }

    /** The work of the longest interval in some time. */
    private static Goal interval(long ms, Format.Every every, ExpandedWorkout expanded, Plan plan) {
        if (ms > every.everyMs()) {
            throw new InvalidInput("The work must fit into the interval of "
                    + ClockTime.of(every.everyMs()).toSeconds() + ", not "
                    + ClockTime.of(ms).toSeconds());
        }
        return longest(ClockTime.of(ms).toSeconds(), expanded.segments().size(), ms, expanded, plan);
    }

    /** So many reps, each within its interval: the longest of the intervals they take has to fit, or what they take of the last one. */
    private static Goal intervals(String plain, int reps, Format.Every every, ExpandedWorkout expanded, Plan plan) {
        Goal all = reaching(plain, reps, every.everyMs(), expanded);
        int last = expanded.has(all.whole())
                ? expanded.segment(all.whole()).lap().number()
                : expanded.segment(all.whole() - 1).lap().number() + 1;
        int from = all.whole();
        while (from > 0 && expanded.segment(from - 1).lap().number() == last) {
            from--;
        }
        Goal begun = new Goal(plain, from, all.whole() - from, all.extraSteps(), every.everyMs());
        if (from == 0) {
            return begun;
        }
        Goal longest = longest(plain, from, every.everyMs(), expanded, plan);
        boolean nothingMore = begun.whole() == 0 && begun.extraSteps() == 0;
        return nothingMore || GoalPlan.overMs(expanded, plan, begun) <= GoalPlan.overMs(expanded, plan, longest)
                ? longest
                : begun;
    }

    /** The longest interval among the first so many segments, in some time. */
    private static Goal longest(String words, int before, long ms, ExpandedWorkout expanded, Plan plan) {
        List<PlannedSegment> segments = Forecast.of(expanded, plan).segments().subList(0, before);
        int last = segments.stream()
                .mapToInt(planned -> planned.segment().lap().number())
                .max()
                .orElse(0);
        long[] active = new long[last + 1];
        segments.forEach(planned -> active[planned.segment().lap().number()] += planned.activeMs());
        long longest = Arrays.stream(active).max().orElseThrow();
        List<Segment> interval = segments.stream()
                .map(PlannedSegment::segment)
                .filter(segment -> active[segment.lap().number()] == longest)
                .toList();
        int round = interval.getFirst().lap().number();
        long count = interval.stream()
                .filter(segment -> segment.lap().number() == round)
                .count();
        return new Goal(words, interval.getFirst().index(), (int) count, 0, ms);
    }

    /** What so many points ask for, in some time. */
    private static Goal reaching(String plain, int points, long ms, ExpandedWorkout expanded) {
        int most = expanded.totalScore();
        if (points < 1 || points > most) {
            throw new InvalidInput("A goal is 1 to the " + most + " reps of the workout, not \"" + plain + "\"");
        }
        return from(plain, 0, points, ms, expanded);
    }

    /** Whole segments from one on, and the steps of the next, that make so many points. */
    private static Goal from(String plain, int start, int points, long ms, ExpandedWorkout expanded) {
        int left = points;
        int at = start;
        while (left > 0 && expanded.has(at) && expanded.segment(at).score() <= left) {
            left -= expanded.segment(at++).score();
        }
        if (left > 0 && !expanded.has(at) || at == 0 && left == 0) {
            throw new InvalidInput(
                    left > 0
                            ? "This workout cannot score \"" + plain + "\""
                            : "A goal is at least 1 rep, not \"" + plain + "\"");
        }
        int steps = 0;
        while (left > 0
                && expanded.segment(at).points(steps) < left
                && steps < expanded.segment(at).steps()) {
            steps++;
        }
        return new Goal(plain, 0, at, steps, ms);
    }

    private static Goal rounds(String plain, ExpandedWorkout expanded) {
        Score.Rounds score = ScoreReader.rounds(plain, expanded);
        return from(
                plain,
                expanded.roundStart(score.rounds() + 1),
                score.extra(),
                expanded.capMs().orElseThrow(),
                expanded);
    }
}
