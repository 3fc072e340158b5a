package wake.field;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import wake.field.Field.Span;
import wake.log.Cause;

/**
 * What the best quarter of a field did sooner than its middle half, as far as all of both came. Means, so that the parts add up to the whole.
 *
 * @param top how many are the best quarter
 * @param middle how many the middle half
 * @param through where both are held beside each other last: "round 4"
 * @param isFinish whether that is the end of the work
 * @param ms by how much the middle half came there later, on average, milliseconds
 * @param parts what of it each movement and cause accounts for, the most first
 */
public record Separation(int top, int middle, String through, boolean isFinish, double ms, List<Part> parts) {
    /** Of fewer than so many a quarter is hardly anybody. */
    public static final int FEWEST = 8;

    private static final int QUARTERS = 4;

    public Separation {
        parts = List.copyOf(parts);
    }

    /**
     * A part of the difference.
     *
     * @param line the line of the workout
     * @param ms above zero where the best quarter was sooner, on average
     */
    public record Part(String line, Cause cause, double ms) {}

    private record Key(String line, Cause cause) {}

    /** Empty of too few, or where they have no clock in common. */
    static Optional<Separation> of(List<Course> logged, List<Span> spans) {
        // A coarser log would leave most of the course untold.
        List<Course> bestFirst = logged.stream()
                .filter(course -> spans.stream()
                        .filter(span -> span.last() <= course.reached())
                        .allMatch(span -> course.passes(span.first(), span.last())))
                .toList();
        int all = bestFirst.size();
        if (all < FEWEST) {
            return Optional.empty();
        }
        List<Course> top = bestFirst.subList(0, all / QUARTERS);
        List<Course> middle = bestFirst.subList(all / QUARTERS, all - all / QUARTERS);
        List<Course> both = bestFirst.subList(0, all - all / QUARTERS);
        int common = 0;
        while (common < spans.size() && seenByAll(both, spans.get(common))) {
            common++;
        }
        if (common == 0) {
            return Optional.empty();
        }
        Map<Key, Double> parts = new LinkedHashMap<>();
        for (Span span : spans.subList(0, common)) {
            double left = mean(middle, course -> took(course, span)) - mean(top, course -> took(course, span));
            for (Cause cause : told(both, span)) {
                double over =
                        mean(middle, course -> of(course, span, cause)) - mean(top, course -> of(course, span, cause));
                parts.merge(new Key(span.line(), cause), over, Double::sum);
                left -= over;
            }
            parts.merge(new Key(span.line(), Cause.UNSEPARATED), left, Double::sum);
        }
        List<Part> sorted = new ArrayList<>();
        parts.forEach((key, ms) -> {
            if (Math.abs(ms) >= 1) {
                sorted.add(new Part(key.line(), key.cause(), ms));
            }
        });
        sorted.sort(Comparator.comparingDouble(Part::ms).reversed());
        Span last = spans.get(common - 1);
        double ms = mean(middle, course -> course.clock(last.last())) - mean(top, course -> course.clock(last.last()));
        return Optional.of(new Separation(top.size(), middle.size(), last.place(), common == spans.size(), ms, sorted));
    }

    private static boolean seenByAll(Collection<Course> courses, Span span) {
        return courses.stream().noneMatch(course -> Double.isNaN(course.clock(span.last())));
    }

    /** What causes can be told of a span in all of some courses. */
    private static Collection<Cause> told(List<Course> courses, Span span) {
        List<Optional<Piece>> pieces = courses.stream()
                .map(course -> course.piece(span.first(), span.last()))
                .toList();
        if (pieces.stream().allMatch(piece -> piece.filter(Piece::separated).isPresent())) {
            return List.of(Cause.INTERVAL_REST, Cause.TRANSITION, Cause.REST, Cause.FAULT, Cause.PACE);
        }
        return pieces.stream().allMatch(piece -> piece.filter(Piece::begun).isPresent())
                ? List.of(Cause.INTERVAL_REST, Cause.TRANSITION)
                : List.of();
    }

    private static double took(Course course, Span span) {
        return course.clock(span.last()) - course.clock(span.first() - 1);
    }

    private static double of(Course course, Span span, Cause cause) {
        return course.piece(span.first(), span.last()).orElseThrow().ms(cause);
    }

    private static double mean(List<Course> courses, ToDoubleFunction<Course> figure) {
        return courses.stream().mapToDouble(figure).average().orElse(0);
    }
}
