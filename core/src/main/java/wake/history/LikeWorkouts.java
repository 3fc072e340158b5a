package wake.history;

import java.util.ArrayList;
import java.util.List;
import java.util.LongSummaryStatistics;
import java.util.function.ToDoubleFunction;
import wake.history.HistoryLine.Dated;
import wake.history.HistoryLine.Point;

/**
 * Figures of attempts that may be joined to one line: of the same workout, or of one about as long, with about as much of the movement in
 * it. A rep in a sprint and one in the twentieth minute are not done at like fatigue.
 *
 * @param figures in order of date
 */
record LikeWorkouts(List<Figure> figures) {
    /** The longer by so much at most; an assumption. */
    private static final double LONGER = 1.5;

    private static final double MINUTE_MS = 60_000;

    LikeWorkouts {
        figures = List.copyOf(figures);
    }

    /**
     * A figure of one attempt.
     *
     * @param units how much of its movement the attempt had; 0 for a figure of the whole attempt
     */
    record Figure(Dated attempt, double units, Point point) {
        private boolean isAbout(Figure other) {
            return isAbout(attempt.facts().clockMs(), other.attempt.facts().clockMs()) && isAbout(units, other.units);
        }

        private boolean isSameCourse(Figure other) {
            return attempt.facts().course().equals(other.attempt.facts().course());
        }

        private static boolean isAbout(double one, double other) {
            return Math.max(one, other) <= LONGER * Math.min(one, other);
        }
    }

    /** Joins what is alike, in order of date; a workout done before goes where it went then. */
    static List<LikeWorkouts> of(List<Figure> inOrder) {
        List<List<Figure>> all = new ArrayList<>();
        for (Figure figure : inOrder) {
            all.stream()
                    .filter(group -> group.stream().anyMatch(figure::isSameCourse))
                    .findFirst()
                    .or(() -> all.stream()
                            .filter(group -> group.stream().allMatch(figure::isAbout))
                            .findFirst())
                    .orElseGet(() -> {
                        all.add(new ArrayList<>());
                        return all.getLast();
                    })
                    .add(figure);
        }
        return all.stream().map(LikeWorkouts::new).toList();
    }

    List<Point> points() {
        return figures.stream().map(Figure::point).toList();
    }

    /** How long they went: "8 min", "8 to 12 min". */
    String lengths() {
        return span(figure -> Math.max(1, figure.attempt.facts().clockMs() / MINUTE_MS)) + " min";
    }

    /** How much of the movement they had: "30 to 45". */
    String amounts() {
        return span(Figure::units);
    }

    private String span(ToDoubleFunction<Figure> of) {
        LongSummaryStatistics whole =
                figures.stream().mapToDouble(of).mapToLong(Math::round).summaryStatistics();
        return whole.getMin() == whole.getMax()
                ? Long.toString(whole.getMin())
                : whole.getMin() + " to " + whole.getMax();
    }
}
