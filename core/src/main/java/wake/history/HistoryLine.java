package wake.history;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import wake.units.Say;

/**
 * One figure of an athlete over the days; lower is better in all of them.
 *
 * @param kind of what
 * @param title "push press @ 40 kg", "ways", "effort at 4:00"
 * @param points in order of date, at least two
 * @param typicalError how much it moves by itself: percent of the figure for cadences, ways and rests, else in its own unit; empty
 *     with fewer than four points, and where a figure of zero leaves no percent
 * @param verdict what became of it from the first attempt to the latest
 * @param says the same in a sentence
 */
public record HistoryLine(
        Kind kind, String title, List<Point> points, OptionalDouble typicalError, Verdict verdict, String says) {
    public HistoryLine {
        points = List.copyOf(points);
    }

    /** What a line shows. */
    public enum Kind {
        CADENCE("", true, 1),
        WAYS("s", true, 1),
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
        String afterFigure() {
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
        UNTOLD
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
        Verdict verdict = verdict(kind, change, error);
        return Optional.of(new HistoryLine(
                kind, title, points, error, verdict, says(kind, points, ratio, change, error, verdict)));
    }

    /** How it is called inside a sentence. */
    String named() {
        return kind == Kind.CADENCE ? title : title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1);
    }

    private static Verdict verdict(Kind kind, double change, OptionalDouble error) {
        if (error.isEmpty()) {
            return Verdict.UNTOLD;
        }
        if (Math.abs(change) <= Math.max(kind.least, TypicalError.NOISE * error.getAsDouble())) {
            return Verdict.NOISE;
        }
        return change < 0 ? Verdict.BETTER : Verdict.WORSE;
    }

    private static String says(
            Kind kind, List<Point> points, boolean ratio, double change, OptionalDouble error, Verdict verdict) {
        String first = points.getFirst().words();
        String latest = points.getLast().words();
        String both = first.equals(latest) ? latest : first + " → " + latest;
        String variation = " (normal variation ±" + amount(kind, ratio, TypicalError.NOISE * error.orElse(0)) + ").";
        return switch (verdict) {
            case BETTER, WORSE ->
                both + ", " + amount(kind, ratio, Math.abs(change)) + (change < 0 ? less(kind) : more(kind))
                        + variation;
            case NOISE ->
                both + ": within normal variation (±" + amount(kind, ratio, TypicalError.NOISE * error.orElse(0))
                        + ").";
            case UNTOLD -> both + ": " + missing(points.size());
        };
    }

    private static String missing(int points) {
        int more = TypicalError.FEWEST_DIFFERENCES + 1 - points;
        if (more <= 0) {
            return "varies too much to tell.";
        }
        return more == 1 ? "needs one more attempt." : "needs " + more + " more attempts.";
    }

    private static String less(Kind kind) {
        return switch (kind) {
            case CADENCE -> " faster";
            case WAYS, RESTS -> " shorter";
            case DECREMENT, FAULTS, EFFORT -> " less";
        };
    }

    private static String more(Kind kind) {
        return switch (kind) {
            case CADENCE -> " slower";
            case WAYS, RESTS -> " longer";
            case DECREMENT, FAULTS, EFFORT -> " more";
        };
    }

    private static String amount(Kind kind, boolean ratio, double value) {
        return ratio ? Say.of("%.1f%%", value) : number(value) + kind.afterFigure();
    }

    static String number(double value) {
        return Say.of("%.1f", value);
    }
}
