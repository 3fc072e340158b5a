package wake.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Row;
import wake.exchange.TimeSheet.Times;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.Resolution;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Lengths;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Reads jotted times line by line and keeps the clock. */
final class TimeSheetReader {
    /** What being off the plan on every line counts against being off it by more on one line than on another; an assumption. */
    private static final double ALL_OFF = 0.25;

    private final Each each;
    private final Times times;
    private final ExpandedWorkout expanded;
    private final Plan plan;
    private final List<Row> rows = new ArrayList<>();
    private final List<Mark> marks = new ArrayList<>();
    private List<PlannedSegment> planned = List.of();
    private long clock;
    private long unaccounted;
    private double clockU;
    private int next;
    private int inSet;
    private boolean over;
    private final List<Double> ratios = new ArrayList<>();

    TimeSheetReader(Each each, Times times, ExpandedWorkout expanded, Plan plan) {
        this.each = each;
        this.times = times;
        this.expanded = expanded;
        this.plan = plan;
    }

    TimeSheet read(String text) {
        TimeSheet.lines(text).forEach((number, line) -> rows.add(row(number, line)));
        return new TimeSheet(rows, marks, unaccounted, times, false);
    }

    /**
     * How unlike the plan the splits are: how much their ratios to it, as logarithms, differ among each other, and a little how far all of
     * them lie off. Who is slower than planned is so on every line.
     */
    double unlikely() {
        double[] all = ratios.stream().mapToDouble(Double::doubleValue).toArray();
        double mean = mean();
        double squares = 0;
        for (double ratio : all) {
            squares += (ratio - mean) * (ratio - mean);
        }
        return all.length == 0 ? 0 : Math.sqrt(squares / all.length) + ALL_OFF * Math.abs(mean);
    }

    private double mean() {
        return ratios.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }

    private Row row(int number, String line) {
        String place = place();
        try {
            TypedLine jotted = TypedLine.of(withoutLabel(Lengths.line(line)), each == Each.SET);
            String unused = unused(jotted);
            if (over) {
                throw new InvalidInput("The attempt ended on the line before");
            }
            if (jotted.stops()) {
                return stop(number, jotted).saying(unused);
            }
            if (!expanded.has(next)) {
                throw new InvalidInput("The workout ends with the line before");
            }
            if (jotted.times().isEmpty()) {
                throw new InvalidInput("Write a time like 1:32");
            }
            Row row = each == Each.SET ? set(number, place, jotted) : whole(number, place, jotted);
            return row.saying(unused);
        } catch (InvalidInput unfit) {
            return TimeSheet.wrong(number, place, String.valueOf(unfit.getMessage()));
        }
    }

    /** A line without what it is expected to be for, in any of the ways Wake writes that. */
    private String withoutLabel(String line) {
        if (!expanded.has(next)) {
            return line;
        }
        Segment segment = expanded.segment(next);
        return Labels.strip(
                line,
                List.of(
                        segment.place(),
                        segment.label(),
                        segment.whole(),
                        segment.lap().words(),
                        segment.line().name()));
    }

    /** What of a line says nothing: all but the words of what it stands for. */
    private String unused(TypedLine jotted) {
        Set<String> own = new HashSet<>();
        if (expanded.has(next)) {
            Segment segment = expanded.segment(next);
            List<String> names = new ArrayList<>(segment.movement().aliases());
            names.addAll(List.of(
                    segment.movement().name(),
                    segment.line().name(),
                    segment.place(),
                    segment.whole(),
                    segment.lap().words()));
            names.forEach(name -> own.addAll(words(name)));
        }
        return jotted.unused().stream()
                .filter(word -> !own.containsAll(words(word)))
                .collect(Collectors.joining(" "));
    }

    /** The words of a name, each in the singular. */
    private static List<String> words(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[\\s,;|·=()\\[\\]-]+"))
                .map(word -> word.length() > 2 && word.endsWith("s") ? word.substring(0, word.length() - 1) : word)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private String place() {
        if (!expanded.has(next)) {
            return "";
        }
        Segment segment = expanded.segment(next);
        return each == Each.ROUND && segment.inRounds() ? segment.lap().words() : segment.place();
    }

    private Row stop(int number, TypedLine jotted) {
        long at = jotted.times().isEmpty()
                ? expanded.capMs().orElseThrow(() -> new InvalidInput("Write the clock time of the stop"))
                : jotted.times().getLast();
        if (at < clock) {
            throw new InvalidInput("The stop must be after " + words(clock) + ", not " + words(at));
        }
        if (jotted.more().isPresent() && at > expanded.buzzerMs(next).orElse(Long.MAX_VALUE)) {
            throw new InvalidInput(
                    "That is after the end at " + words(expanded.buzzerMs(next).orElse(0)));
        }
        CountedOn beyond = CountedOn.of(expanded, next, inSet, jotted.more().orElse(0));
        List<Segment> whole = expanded.upTo(beyond.at()).subList(next, beyond.at());
        double u = Resolution.ofTyped(jotted.stepS());
        boolean known = jotted.more().isPresent();
        if (expanded.has(beyond.at())) {
            ends(number, whole, clock, at, beyond.steps() > 0);
            mark(number, MarkKind.STOP, at, known ? beyond.steps() : 0, u);
        } else {
            // All that was left: the clock is that of the finish.
            inner(number, whole, clock, at);
            done(number, at, u, Granularity.SEGMENT);
        }
        long split = at - clock;
        clock = at;
        over = true;
        String place = known ? "stop, " + beyond.words(expanded) : "stop";
        return new Row(
                number, place, Optional.empty(), OptionalLong.of(split), OptionalLong.of(at), 0, Optional.empty(), "");
    }

    /** A line for a movement or a round. */
    private Row whole(int number, String place, TypedLine jotted) {
        List<Segment> segments = segments();
        long from = Math.max(
                clock, expanded.opensMs(segments.getFirst().index(), clock).orElse(0));
        Span span = span(
                jotted,
                from,
                segments.stream().mapToLong(one -> plannedMs(one.index())).sum());
        double u = Resolution.ofTyped(jotted.stepS());
        clockU = span.clockGiven() ? u : Resolution.ofDifference(clockU, u);
        if (span.gapMs() > 0 && segments.size() == 1) {
            mark(number, MarkKind.BEGIN, span.endMs() - span.splitMs(), 0, clockU);
        }
        inner(number, segments, span.endMs() - span.splitMs(), span.endMs());
        done(number, span.endMs(), clockU, Granularity.SEGMENT);
        next = segments.getLast().index() + 1;
        clock = span.endMs();
        unaccounted += span.gapMs();
        return row(number, place, span, clock);
    }

    /** What a line covers: one segment, or all of a round. */
    private List<Segment> segments() {
        Segment first = expanded.segment(next);
        List<Segment> covered = new ArrayList<>(List.of(first));
        boolean round = each == Each.ROUND && first.inRounds();
        for (int i = next + 1; round && expanded.has(i); i++) {
            Segment segment = expanded.segment(i);
            if (!segment.lap().equals(first.lap())) {
                break;
            }
            covered.add(segment);
        }
        return covered;
    }

    /** The ends inside a round nobody timed: placed by the plan, uncertain by all of the round. */
    private void inner(int number, List<Segment> segments, long fromMs, long toMs) {
        ends(number, segments.subList(0, segments.size() - 1), fromMs, toMs, true);
    }

    /**
     * Ends that nobody timed, somewhere between two clocks: placed by the plan, uncertain by all there is between.
     *
     * @param more whether the next segment was under way at the later clock
     */
    private void ends(int number, List<Segment> segments, long fromMs, long toMs, boolean more) {
        if (segments.isEmpty()) {
            return;
        }
        int through = segments.getLast().index()
                + (more && expanded.has(segments.getLast().index() + 1) ? 1 : 0);
        double whole = 0;
        for (int i = segments.getFirst().index(); i <= through; i++) {
            whole += plannedMs(i);
        }
        double u = Resolution.ofTyped((toMs - fromMs) / 1000.0);
        double passed = 0;
        for (Segment segment : segments) {
            passed += plannedMs(segment.index());
            done(number, fromMs + Math.round((toMs - fromMs) * passed / Math.max(1, whole)), u, Granularity.ROUND);
        }
    }

    private long plannedMs(int index) {
        if (index >= planned.size()) {
            planned = Forecast.of(expanded, plan, index + 1).segments();
        }
        return planned.get(index).activeMs();
    }

    /** A set of some reps: with those of its segment before it, it may complete it. */
    private Row set(int number, String place, TypedLine jotted) {
        Segment segment = expanded.segment(next);
        long from = Math.max(clock, inSet == 0 ? expanded.opensMs(next, clock).orElse(0) : 0);
        OptionalInt countable = segment.countable();
        int reps = jotted.reps().orElse(segment.steps() - inSet);
        Span span = span(jotted, from, plannedMs(next) * reps / Math.max(1, segment.steps()));
        double u = Resolution.ofTyped(jotted.stepS());
        clockU = span.clockGiven() ? u : Resolution.ofDifference(clockU, u);
        if (countable.isPresent() && inSet + reps > countable.getAsInt()) {
            throw new InvalidInput("Sets of " + (inSet + reps) + " reps are more than the " + countable.getAsInt()
                    + " of " + segment.movement().name());
        }
        if (reps < 1) {
            throw new InvalidInput("A set has at least one rep");
        }
        if (span.gapMs() > 0) {
            mark(number, inSet == 0 ? MarkKind.BEGIN : MarkKind.ON, span.endMs() - span.splitMs(), 0, clockU);
        } else {
            mark(number, inSet == 0 ? MarkKind.BEGIN : MarkKind.ON, from, 0, clockU);
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
        return row(number, place, span, end);
    }

    private static Row row(int number, String place, Span span, long endMs) {
        return new Row(
                number,
                place,
                span.taken(),
                OptionalLong.of(span.splitMs()),
                OptionalLong.of(endMs),
                span.gapMs(),
                Optional.empty(),
                "");
    }

    /** From when to when a line goes, what lies before it, and what a single time was taken as. */
    private record Span(long splitMs, long endMs, long gapMs, boolean clockGiven, Optional<Times> taken) {}

    private Span span(TypedLine jotted, long from, long plannedMs) {
        List<Long> given = jotted.times();
        if (given.size() > 2) {
            throw new InvalidInput("Write a split, a clock time or both, not " + given.size() + " times");
        }
        long last = given.getLast();
        if (given.size() == 1) {
            Times taken = taken(last, from, plannedMs);
            boolean split = taken == Times.SPLITS;
            if (!split && last <= from) {
                throw new InvalidInput("The clock time must be after " + words(from) + ", not " + words(last));
            }
            Span span = checked(
                    split
                            ? new Span(last, from + last, 0, false, Optional.of(taken))
                            : new Span(last - from, last, 0, true, Optional.of(taken)),
                    from);
            ratios.add(ratio(span.splitMs(), plannedMs));
            return span;
        }
        if (last <= from) {
            throw new InvalidInput("The clock time must be after " + words(from) + ", not " + words(last));
        }
        long split = given.getFirst();
        long gap = last - from - split;
        long step = Math.round(1000 * jotted.stepS());
        if (gap < -step) {
            throw new InvalidInput("The split of " + words(split) + " is longer than the " + words(last - from)
                    + " between its clock time and the one before");
        }
        // Both were cut to the digits written: less than one of them is no gap.
        return checked(
                gap < step
                        ? new Span(last - from, last, 0, true, Optional.empty())
                        : new Span(split, last, gap, true, Optional.empty()),
                from);
    }

    /** What a single time is: as labelled, or whichever lies nearer to what is planned. */
    private Times taken(long ms, long from, long plannedMs) {
        if (times != Times.EITHER) {
            return times;
        }
        boolean afterTheBell = from + ms > expanded.buzzerMs(next).orElse(Long.MAX_VALUE);
        if (ms <= from) {
            return Times.SPLITS;
        }
        double asClock = Math.abs(ratio(ms - from, plannedMs) - mean());
        double asSplit = Math.abs(ratio(ms, plannedMs) - mean());
        return afterTheBell || asClock < asSplit ? Times.CLOCK : Times.SPLITS;
    }

    private static double ratio(long ms, long plannedMs) {
        return Math.log(Math.max(1, ms) / (double) Math.max(1, plannedMs));
    }

    private Span checked(Span span, long from) {
        long buzzer = expanded.buzzerMs(next).orElse(Long.MAX_VALUE);
        if (span.splitMs() <= 0) {
            throw new InvalidInput("A time is above 0:00");
        }
        if (span.endMs() > buzzer) {
            throw new InvalidInput("That ends at " + words(span.endMs()) + ", after the end at " + words(buzzer)
                    + "; started at " + words(from));
        }
        return span;
    }

    private static String words(long ms) {
        return ms % 1000 == 0 ? ClockTime.of(ms).toSeconds() : ClockTime.of(ms).toTenths();
    }

    private void done(int number, long at, double u, Granularity depth) {
        marks.add(new Mark(id(number), MarkKind.DONE, at, 0, depth, "", "", u));
    }

    private void mark(int number, MarkKind kind, long at, int reps, double u) {
        marks.add(new Mark(id(number), kind, at, reps, Granularity.SET, "", "", u));
    }

    private UUID id(int number) {
        return new UUID(number, marks.size());
    }
}
