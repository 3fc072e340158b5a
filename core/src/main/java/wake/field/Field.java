package wake.field;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.ToDoubleFunction;

/**
 * The shape of a field: how the splits of all who did the same work are spread. The course is cut where enough of the logs have a clock; a finer
 * log counts in a coarser span, and a coarser one in none it does not tell.
 *
 * @param entries how many did this work
 * @param logged how many of them have more than a score
 * @param spans the course in order
 */
public record Field(int entries, int logged, List<Span> spans, Optional<Separation> separation) {
    /** Of fewer nothing is said of a field. */
    public static final int FEWEST = 5;

    /** A border is one of the field's where so large a share of those who came past it have its clock; an assumption. */
    private static final double SHARE = 0.5;

    public Field {
        spans = List.copyOf(spans);
    }

    /**
     * Part of the course, between two clocks.
     *
     * @param first the first of its segments
     * @param last the last of them
     * @param place what it is: "round 3, 12 toes-to-bar", "round 3"
     * @param line the line of the workout; of several segments what they are together
     * @param clock the clock at its end, milliseconds
     * @param split what it took, milliseconds
     * @param transition of those who have it apart, milliseconds
     * @param rest rests inside it, milliseconds
     * @param pace seconds per unit while working
     */
    public record Span(
            int first,
            int last,
            String place,
            String line,
            Figures clock,
            Figures split,
            Figures transition,
            Figures rest,
            Figures pace) {}

    /** What one entry did in a span; absent is what its log does not tell. */
    public record Own(
            OptionalDouble clock,
            OptionalDouble split,
            OptionalDouble transition,
            OptionalDouble rest,
            OptionalDouble pace) {
        public static final Own NOTHING = new Own(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty());
    }

    /** The shape of those who did the same work as most; the best place first in what is handed over. */
    public static Field of(List<Entry> bestFirst) {
        List<Entry> same = sameCourse(bestFirst);
        List<Course> logged = same.stream()
                .filter(entry -> entry.pieces().size() > 1)
                .map(Course::new)
                .toList();
        if (logged.size() < FEWEST) {
            return new Field(same.size(), logged.size(), List.of(), Optional.empty());
        }
        List<Integer> borders = borders(logged);
        List<Span> spans = new ArrayList<>();
        int first = 0;
        for (int last : borders) {
            spans.add(span(logged, first, last));
            first = last + 1;
        }
        return new Field(same.size(), logged.size(), spans, Separation.of(logged, spans));
    }

    private static List<Entry> sameCourse(List<Entry> entries) {
        Map<UUID, List<Entry>> byCourse = new LinkedHashMap<>();
        entries.forEach(entry -> byCourse.computeIfAbsent(entry.course(), first -> new ArrayList<>())
                .add(entry));
        return byCourse.values().stream()
                .max(Comparator.comparingInt(List::size))
                .orElse(List.of());
    }

    /** The segments after which so many have a clock that the field can be held beside each other there. */
    private static List<Integer> borders(List<Course> logged) {
        Map<Integer, Integer> seen = new TreeMap<>();
        logged.forEach(course -> course.borders().forEach(last -> seen.merge(last, 1, Integer::sum)));
        int[] reached = logged.stream().mapToInt(Course::reached).sorted().toArray();
        return seen.entrySet().stream()
                .filter(one -> one.getValue() >= FEWEST && one.getValue() >= SHARE * from(reached, one.getKey()))
                .map(Map.Entry::getKey)
                .toList();
    }

    /** How many came at least so far. */
    private static long from(int[] reached, int last) {
        return Arrays.stream(reached).filter(one -> one >= last).count();
    }

    private static Span span(List<Course> logged, int first, int last) {
        Course named = logged.stream()
                .filter(course -> course.piece(first, last).isPresent())
                .findFirst()
                .orElseGet(() -> logged.stream()
                        .filter(course -> course.passes(first, last))
                        .findFirst()
                        .orElse(logged.getFirst()));
        return new Span(
                first,
                last,
                named.place(first, last),
                named.line(first, last),
                figures(logged, course -> course.clock(last)),
                figures(logged, course -> course.split(first, last)),
                figures(logged, course -> course.transition(first, last)),
                figures(logged, course -> course.rest(first, last)),
                figures(logged, course -> course.pace(first, last)));
    }

    private static Figures figures(Collection<Course> logged, ToDoubleFunction<Course> figure) {
        return Figures.of(logged.stream().mapToDouble(figure).toArray());
    }

    /** What an entry did in each of the spans. */
    public List<Own> own(Entry entry) {
        Course course = new Course(entry);
        return spans.stream()
                .map(span -> new Own(
                        known(course.clock(span.last())),
                        known(course.split(span.first(), span.last())),
                        known(course.transition(span.first(), span.last())),
                        known(course.rest(span.first(), span.last())),
                        known(course.pace(span.first(), span.last()))))
                .toList();
    }

    private static OptionalDouble known(double value) {
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
