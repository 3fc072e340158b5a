package wake.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.units.ClockTime;
import wake.workout.Course;
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

    public Goal {
        sectionsMs = List.copyOf(sectionsMs);
    }

    /** A goal for all of what it asks for together. */
    public Goal(String words, int from, int whole, int extraSteps, long ms) {
        this(words, from, whole, extraSteps, ms, List.of());
    }

    /**
     * Reads a goal for a course: a finish as {@code 8:45}, a time for each section as {@code 8:00 + 24:00 + 8:00}, rounds as {@code 7+12} or {@code 7}, for interval work the time
     * the longest interval may take, as {@code 0:48}.
     *
     * @throws IllegalArgumentException when the text is no such score, or the course has none
     */
    public static Goal parse(String text, Course course, Plan plan) {
        String plain = text.strip();
        if (course.format() instanceof Format.Lift) {
            throw new IllegalArgumentException("A lift window is planned by its lifts, not by a goal clock");
        }
        if (course.format() instanceof Format.Every every) {
            long ms = ScoreReader.time(plain, "the time the work of an interval may take, as in \"0:48\"");
            return interval(ms, every, course, plan);
        }
        if (course.isOpen()) {
            return rounds(plain, course);
        }
        if (BY_SECTION.matcher(plain).matches()) {
            return bySection(plain, course);
        }
        long ms = ScoreReader.time(plain, "a finishing time, as in \"8:45\"");
        return new Goal(plain, 0, course.segments().size(), 0, beforeTheCap(ms, course));
    }

    /** "8:00 + 24:00 + 8:00": a time for each section, in order. */
    private static Goal bySection(String plain, Course course) {
        List<Section> sections = Section.of(course.segments());
        String[] written = plain.split("\\+");
        if (written.length != sections.size()) {
            throw new IllegalArgumentException("Expected one time, or "
                    + (sections.size() == 1
                            ? "no more: the workout is one section"
                            : sections.size() + " times, one each for "
                                    + sections.stream().map(Section::label).collect(Collectors.joining("; ")))
                    + ", got " + written.length + " in \"" + plain + "\"");
        }
        List<Long> each = Arrays.stream(written)
                .map(time -> ScoreReader.time(time, "a time for each section, as in \"8:00 + 24:00\""))
                .toList();
        long all = each.stream().mapToLong(Long::longValue).sum();
        return new Goal(plain, 0, course.segments().size(), 0, beforeTheCap(all, course), each);
    }

    /** A finish that the cap allows. */
    private static long beforeTheCap(long ms, Course course) {
        long cap = course.capMs().orElse(Long.MAX_VALUE);
        if (ms > cap) {
            throw new IllegalArgumentException(
                    "Expected a finish before the cap of " + ClockTime.of(cap).toSeconds() + ", got "
                            + ClockTime.of(ms).toSeconds());
        }
        return ms;
    }

    /** The goals of the sections, where each has a time of its own; else this one alone. */
    List<Goal> parts(Course course) {
        if (sectionsMs.isEmpty()) {
            return List.of(this);
        }
        List<Goal> parts = new ArrayList<>();
        for (Section section : Section.of(course.segments())) {
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

    /** A goal as a coach might write it for a course. */
    public static String example(Course course) {
        return course.format() instanceof Format.Every ? "0:48" : ScoreReader.example(course);
    }

    private static Goal interval(long ms, Format.Every every, Course course, Plan plan) {
        if (ms > every.everyMs()) {
            throw new IllegalArgumentException("Expected at most the interval of "
                    + ClockTime.of(every.everyMs()).toSeconds() + ", got "
                    + ClockTime.of(ms).toSeconds());
        }
        List<PlannedSegment> segments = Forecast.of(course, plan).segments();
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
        return new Goal(ClockTime.of(ms).toSeconds(), interval.getFirst().index(), (int) count, 0, ms);
    }

    private static Goal rounds(String plain, Course course) {
        Score.Rounds score = ScoreReader.rounds(plain, course);
        long bell = course.capMs().orElseThrow();
        int extra = score.extra();
        int at = course.roundStart(score.rounds() + 1);
        while (extra > 0 && course.has(at) && course.segment(at).score() <= extra) {
            extra -= course.segment(at++).score();
        }
        if (!course.has(at)) {
            throw new IllegalArgumentException("Expected a score that this workout can count, got \"" + plain + "\"");
        }
        int steps = 0;
        Segment next = course.segment(at);
        while (next.points(steps) < extra && steps < next.steps()) {
            steps++;
        }
        if (at == 0 && steps == 0) {
            throw new IllegalArgumentException("Expected more than no reps, got \"" + plain + "\"");
        }
        return new Goal(plain, 0, at, steps, bell);
    }
}
