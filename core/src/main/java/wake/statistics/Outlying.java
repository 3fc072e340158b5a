package wake.statistics;

import java.util.Optional;

/**
 * What stands out among times of one kind: over median + 3 · 1.4826 · MAD (median absolute deviation, scaled to a standard
 * deviation; Leys et al. 2013), and at least two seconds over the median, among four or more. The two seconds and the four are
 * assumptions.
 *
 * @param median of all of them, milliseconds
 * @param limit beyond which one stands out
 */
public record Outlying(double median, double limit) {
    /** Among fewer nothing stands out; an assumption. */
    private static final int FEWEST = 4;
    /** Less is not worth a look; an assumption. */
    private static final double LEAST_MS = 2000;

    /** The rule for some times in milliseconds; empty for fewer than four. */
    public static Optional<Outlying> among(double[] times) {
        if (times.length < FEWEST) {
            return Optional.empty();
        }
        double median = Statistics.median(times);
        return Optional.of(new Outlying(median, median + Math.max(LEAST_MS, Statistics.outlyingFrom(times))));
    }

    public boolean is(double ms) {
        return ms > limit;
    }
}
