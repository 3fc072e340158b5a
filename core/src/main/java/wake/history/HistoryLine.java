package wake.history;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import wake.statistics.Statistics;
import wake.units.Messages;

/**
 * One figure of an athlete over the days; lower is better in all of them.
 *
 * @param kind of what
 * @param title "push press @ 40 kg", "transitions", "effort at 4:00"
 * @param points in order of date, at least two
 * @param typicalError how much it moves by itself: percent of the figure for cadences, transitions and rests, else in its own unit; empty
 *     with fewer than four points, and where a figure of zero leaves no percent
 * @param ratio whether change and typical error are percent of the figure rather than in its own unit
 * @param change from the first attempt to the latest
 * @param variation how large a change in its direction may be by normal variation, in the unit of the change; empty where the typical error is
 * @param verdict what became of it
 */
public record HistoryLine(
        Kind kind,
        String title,
        List<Point> points,
        OptionalDouble typicalError,
        boolean ratio,
        double change,
        OptionalDouble variation,
        Verdict verdict) {
    public HistoryLine {
        points = List.copyOf(points);
    }

    /** What a line shows. */
    public enum Kind {
        CADENCE("", true, 1),
        TRANSITIONS("s", true, 1),
        RESTS("s", true, 1),
        DECREMENT("%", false, 1),
        FAULTS("per 100 reps", false, 1),
        EFFORT("of 10", false, 0.5);

        private final String unit;
        private final boolean ratio;
        /** What is smaller is no change to a coach, however steady the athlete: percent, or in its own unit; an assumption. */
        private final double least;

        Kind(String unit, boolean ratio, double least) {
            this.unit = unit;
            this.ratio = ratio;
            this.least = least;
        }

        /** The unit behind a figure: no blank before a percent sign. */
        public String afterFigure() {
            return unit.equals("%") ? unit : " " + unit;
        }

        /** The unit of its figures; empty for cadences, which say their own. */
        public String unit() {
            return unit;
        }
    }

    /** What is to be thought of a change. */
    public enum Verdict {
        BETTER,
        WORSE,
        NOISE,
        /** Too few attempts to tell. */
        UNKNOWN
    }

    /** Who did when what: an attempt and what it shows. */
    public record Dated(UUID attempt, LocalDate on, AttemptFacts facts) {}

    /**
     * A figure of one attempt.
     *
     * @param value its median
     * @param low the lowest of that attempt
     * @param high the highest
     * @param figures how many it is taken from
     * @param words how it is said
     */
    public record Point(UUID attempt, LocalDate on, double value, double low, double high, int figures, String words) {
        static Point of(Dated dated, AttemptFacts.Spread spread, String words) {
            return new Point(
                    dated.attempt(), dated.on(), spread.median(), spread.low(), spread.high(), spread.figures(), words);
        }

        static Point of(Dated dated, double value, String words) {
            return new Point(dated.attempt(), dated.on(), value, value, value, 1, words);
        }
    }

    /** The line through some points; empty with fewer than two. */
    static Optional<HistoryLine> of(Kind kind, String title, List<Point> points) {
        if (points.size() < 2) {
            return Optional.empty();
        }
        double[] values = points.stream().mapToDouble(Point::value).toArray();
        boolean ratio = kind.ratio && points.stream().allMatch(point -> point.value() > 0);
        OptionalDouble error =
                ratio ? TypicalError.percent(values) : kind.ratio ? OptionalDouble.empty() : TypicalError.of(values);
        double first = values[0];
        double latest = values[values.length - 1];
        double change = ratio ? 100 * (latest / first - 1) : latest - first;
        OptionalDouble variation = error.isEmpty()
                ? error
                : OptionalDouble.of(variation(error.getAsDouble(), values.length - 1, ratio, change < 0));
        return Optional.of(new HistoryLine(
                kind, title, points, error, ratio, change, variation, verdict(kind, change, variation)));
    }

    /** What is a share multiplies, so that as much up as down is not as many percent. */
    private static double variation(double error, int differences, boolean ratio, boolean down) {
        double apart = Statistics.normalVariation(differences);
        if (!ratio) {
            return apart * error;
        }
        double times = Math.exp(apart * Math.log1p(error / 100));
        return 100 * (down ? 1 - 1 / times : times - 1);
    }

    private static Verdict verdict(Kind kind, double change, OptionalDouble variation) {
        if (variation.isEmpty()) {
            return Verdict.UNKNOWN;
        }
        if (Math.abs(change) <= Math.max(kind.least, variation.getAsDouble())) {
            return Verdict.NOISE;
        }
        return change < 0 ? Verdict.BETTER : Verdict.WORSE;
    }

    /** A figure as it is written: one decimal. */
    public static String number(double value) {
        return Messages.of("%.1f", value);
    }
}
