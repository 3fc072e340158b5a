package wake.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.UUID;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Depth;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Segment;

/** Reads jotted times line by line and keeps the clock. */
final class TimeSheetReader {
    private final Each each;
    private final Times times;
    private final Course course;
    private final Plan plan;
    private final List<Row> rows = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private long clock;
    private long unaccounted;
    private double clockU;
    private int next;
    private int inSet;
    private boolean over;

    TimeSheetReader(Each each, Times times, Course course, Plan plan) {
        this.each = each;
        this.times = times;
        this.course = course;
        this.plan = plan;
    }

    TimeSheet read(String text) {
        String[] lines = text.split("\\R", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].strip();
            boolean heading = i == 0 && line.chars().noneMatch(Character::isDigit);
            if (!line.isEmpty() && !line.startsWith("#") && !heading) {
                rows.add(row(i + 1, line));
            }
        }
        boolean sound = rows.stream().allMatch(row -> row.problem().isEmpty());
        return new TimeSheet(rows, sound ? marks : List.of(), unaccounted);
    }

    private Row row(int number, String line) {
        String place = place();
        try {
            JottedLine jotted = JottedLine.of(line, each == Each.SET);
            if (over) {
                throw new IllegalArgumentException("The attempt was over on the line before");
            }
            if (jotted.stops()) {
                return stop(number, jotted);
            }
            if (!course.has(next)) {
                throw new IllegalArgumentException("The workout ends with the line before");
            }
            if (jotted.times().isEmpty()) {
                throw new IllegalArgumentException("Expected a time, as in \"1:32\"");
            }
            return each == Each.SET ? set(number, place, jotted) : whole(number, place, jotted);
        } catch (IllegalArgumentException unfit) {
            String problem = String.valueOf(unfit.getMessage());
            return new Row(number, place, OptionalLong.empty(), OptionalLong.empty(), 0, Optional.of(problem));
        }
    }

    private String place() {
        if (!course.has(next)) {
            return "";
        }
        Segment segment = course.segment(next);
        return each == Each.ROUND && segment.inRounds() ? segment.lap().words() : segment.place();
    }

    private Row stop(int number, JottedLine jotted) {
        long at = jotted.times().isEmpty()
                ? course.capMs().orElseThrow(() -> new IllegalArgumentException("Expected the clock of the stop"))
                : jotted.times().getLast();
        if (at < clock) {
            throw new IllegalArgumentException("Expected the stop after " + words(clock) + ", got " + words(at));
        }
        mark(number, MarkKind.STOP, at, 0, Resolution.ofTyped(jotted.stepS()));
        long split = at - clock;
        clock = at;
        over = true;
        return new Row(number, "stop", OptionalLong.of(split), OptionalLong.of(at), 0, Optional.empty());
    }

    /** A line for a movement or a round. */
    private Row whole(int number, String place, JottedLine jotted) {
        List<Segment> segments = segments();
        long from =
                Math.max(clock, course.startsAtMs(segments.getFirst().index()).orElse(0));
        Span span = span(jotted, from);
        double u = Resolution.ofTyped(jotted.stepS());
        clockU = span.clockGiven() ? u : Resolution.ofDifference(clockU, u);
        if (span.gapMs() > 0 && segments.size() == 1) {
            mark(number, MarkKind.BEGIN, span.endMs() - span.splitMs(), 0, clockU);
        }
        inner(number, segments, span.endMs() - span.splitMs(), span.endMs());
        done(number, span.endMs(), clockU, Depth.SEGMENT);
        next = segments.getLast().index() + 1;
        clock = span.endMs();
        unaccounted += span.gapMs();
        return new Row(
                number, place, OptionalLong.of(span.splitMs()), OptionalLong.of(clock), span.gapMs(), Optional.empty());
    }

    /** What a line covers: one segment, or all of a round. */
    private List<Segment> segments() {
        Segment first = course.segment(next);
        List<Segment> covered = new ArrayList<>(List.of(first));
        boolean round = each == Each.ROUND && first.inRounds();
        for (int i = next + 1; round && course.has(i); i++) {
            Segment segment = course.segment(i);
            if (!segment.lap().equals(first.lap())) {
                break;
            }
            covered.add(segment);
        }
        return covered;
    }

    /** The ends inside a round nobody timed: placed by the plan, uncertain by all of the round. */
    private void inner(int number, List<Segment> segments, long fromMs, long toMs) {
        if (segments.size() == 1) {
            return;
        }
        List<PlannedSegment> planned =
                Forecast.of(course, plan, segments.getLast().index() + 1).segments();
        double whole = segments.stream()
                .mapToLong(segment -> planned.get(segment.index()).activeMs())
                .sum();
        double u = Resolution.ofTyped((toMs - fromMs) / 1000.0);
        double passed = 0;
        for (Segment segment : segments.subList(0, segments.size() - 1)) {
            passed += planned.get(segment.index()).activeMs();
            done(number, fromMs + Math.round((toMs - fromMs) * passed / Math.max(1, whole)), u, Depth.ROUND);
        }
    }

    /** A set of some reps: with those of its segment before it, it may complete it. */
    private Row set(int number, String place, JottedLine jotted) {
        Segment segment = course.segment(next);
        long from = Math.max(clock, inSet == 0 ? course.startsAtMs(next).orElse(0) : 0);
        Span span = span(jotted, from);
        double u = Resolution.ofTyped(jotted.stepS());
        clockU = span.clockGiven() ? u : Resolution.ofDifference(clockU, u);
        OptionalInt countable = segment.countable();
        int reps = jotted.reps().orElse(segment.steps());
        if (countable.isPresent() && inSet + reps > countable.getAsInt()) {
            throw new IllegalArgumentException("Sets of " + (inSet + reps) + " reps are more than the "
                    + countable.getAsInt() + " of " + segment.movement().name());
        }
        if (reps < 1) {
            throw new IllegalArgumentException("Expected a set of one rep or more");
        }
        if (span.gapMs() > 0) {
            mark(number, inSet == 0 ? MarkKind.BEGIN : MarkKind.ON, span.endMs() - span.splitMs(), 0, clockU);
        } else if (inSet > 0) {
            mark(number, MarkKind.ON, from, 0, clockU);
        }
        clock = span.endMs();
        unaccounted += span.gapMs();
        inSet += reps;
        if (countable.isEmpty() || inSet == countable.getAsInt()) {
            mark(number, MarkKind.DONE, clock, 0, clockU);
            next++;
            inSet = 0;
        } else {
            mark(number, MarkKind.OFF, clock, reps, clockU);
        }
        long end = clock;
        clock += jotted.rest().orElse(0L);
        return new Row(
                number, place, OptionalLong.of(span.splitMs()), OptionalLong.of(end), span.gapMs(), Optional.empty());
    }

    /** From when to when a line goes, and what lies before it. */
    private record Span(long splitMs, long endMs, long gapMs, boolean clockGiven) {}

    private Span span(JottedLine jotted, long from) {
        List<Long> given = jotted.times();
        if (given.size() > 2) {
            throw new IllegalArgumentException(
                    "Expected a split, a clock, or a split and a clock, got " + given.size() + " times");
        }
        if (given.size() == 1 && times == Times.SPLITS) {
            return checked(new Span(given.getFirst(), from + given.getFirst(), 0, false), from);
        }
        long end = given.getLast();
        if (end <= from) {
            throw new IllegalArgumentException("Expected a clock after " + words(from) + ", got " + words(end));
        }
        if (given.size() == 1) {
            return checked(new Span(end - from, end, 0, true), from);
        }
        long split = given.getFirst();
        long gap = end - from - split;
        long step = Math.round(1000 * jotted.stepS());
        if (gap < -step) {
            throw new IllegalArgumentException("The split of " + words(split) + " is longer than the "
                    + words(end - from) + " between its clock and the one before");
        }
        // Both were cut to the digits written: less than one of them is no gap.
        return checked(gap < step ? new Span(end - from, end, 0, true) : new Span(split, end, gap, true), from);
    }

    private Span checked(Span span, long from) {
        long bell = course.bellMs(next).orElse(Long.MAX_VALUE);
        if (span.splitMs() <= 0) {
            throw new IllegalArgumentException("Expected a time above 0:00");
        }
        if (span.endMs() > bell) {
            throw new IllegalArgumentException("That ends at " + words(span.endMs()) + ", after the bell of "
                    + words(bell) + "; started at " + words(from));
        }
        return span;
    }

    private static String words(long ms) {
        return ms % 1000 == 0 ? ClockTime.of(ms).toSeconds() : ClockTime.of(ms).toTenths();
    }

    private void done(int number, long at, double u, Depth depth) {
        marks.add(new Mark(id(number), MarkKind.DONE, at, 0, depth, "", "", u));
    }

    private void mark(int number, MarkKind kind, long at, int reps, double u) {
        marks.add(new Mark(id(number), kind, at, reps, Depth.SET, "", "", u));
    }

    private UUID id(int number) {
        return new UUID(number, marks.size());
    }
}
