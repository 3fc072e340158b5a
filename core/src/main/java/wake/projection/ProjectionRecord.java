package wake.projection;

import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.StatUtils;
import wake.log.Score;
import wake.statistics.Statistics;

/**
 * How past projections came out.
 *
 * @param projections how many have been checked
 * @param hits how many of those with a range came out inside it, from P10 to P90
 * @param ranged how many had a range
 * @param biasPercent mean of outcome against projection, percent; above zero when retests came out worse than projected
 * @param errorPercent mean of the absolute differences, percent
 */
public record ProjectionRecord(int projections, int hits, int ranged, double biasPercent, double errorPercent) {
    private static final int FEWEST_PAIRS = 3;

    /**
     * A projection and the outcome.
     *
     * @param projected the score projected with everything working, or the middle of the range where there is one
     * @param range the range projected
     */
    public record Checked(Score projected, Optional<Range> range, Score actual) {
        public boolean hit() {
            return range.isPresent()
                    && Score.compare(actual, range.get().p10()) >= 0
                    && Score.compare(actual, range.get().p90()) <= 0;
        }
    }

    /** Empty when there is nothing to sum up. */
    public static Optional<ProjectionRecord> of(List<Checked> checked) {
        if (checked.isEmpty()) {
            return Optional.empty();
        }
        double[] errors = checked.stream()
                .mapToDouble(one -> worsePercent(one.projected(), one.actual()))
                .toArray();
        double absolute = 0;
        for (double error : errors) {
            absolute += Math.abs(error) / errors.length;
        }
        return Optional.of(new ProjectionRecord(
                checked.size(),
                (int) checked.stream().filter(Checked::hit).count(),
                (int) checked.stream().filter(one -> one.range().isPresent()).count(),
                StatUtils.mean(errors),
                absolute));
    }

    /** By how much a score is worse than another, percent: of the clock between two finishes, of the load between two lifts, else of the reps. */
    public static double worsePercent(Score better, Score worse) {
        if (better instanceof Score.Finished && worse instanceof Score.Finished) {
            return 100.0 * (worse.clockMs() - better.clockMs()) / better.clockMs();
        }
        if (better instanceof Score.Load one && worse instanceof Score.Load other) {
            double projected = Score.kilograms(one);
            return projected == 0 ? 0 : 100.0 * (projected - Score.kilograms(other)) / projected;
        }
        return better.done() == 0 ? 0 : 100.0 * (better.done() - worse.done()) / better.done();
    }

    /**
     * Typical error of an athlete's repeat attempts, percent of the score: the standard deviation of the differences over √2
     * (Hopkins 2000). Empty with fewer than three pairs.
     *
     * @param pairs first and second attempt at the same workout
     */
    public static Optional<Double> typicalErrorPercent(List<Score[]> pairs) {
        if (pairs.size() < FEWEST_PAIRS) {
            return Optional.empty();
        }
        double[] differences = pairs.stream()
                .mapToDouble(pair -> worsePercent(pair[0], pair[1]))
                .toArray();
        return Optional.of(Statistics.typicalError(differences));
    }

    /** How far a repeat attempt may lie from the one before by normal variation, percent of the score. Empty with fewer than three pairs. */
    public static Optional<Double> variationPercent(List<Score[]> pairs) {
        return typicalErrorPercent(pairs).map(error -> error * Statistics.normalVariation(pairs.size()));
    }
}
