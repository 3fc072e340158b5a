package wake.statistics;

import java.util.Arrays;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.StatUtils;
import org.hipparchus.stat.descriptive.rank.Percentile;

/** The few statistics coaching needs, over values in any one unit. */
public final class Statistics {
    private static final double HALF = 0.5;
    private static final double HUNDRED = 100;
    /** Three standard deviations: the rule of three sigmas. */
    private static final double SIGMAS = 3;
    /** Median absolute deviation to standard deviation of a normal distribution: 1 / 0.6745. */
    private static final double MAD_TO_SIGMA = 1.4826;
    /** All pairs of more points would take long: then a sample of them. */
    private static final int MOST_IN_PAIRS = 400;

    /** Of more than so many, the middle is found sooner than all are sorted. */
    private static final int MOST_TO_SORT = 100;

    private static final double TWO_SIDED_95 = 0.975;
    private static final int FEWEST_TO_SCATTER = 6;
    /** Of 2 to 20 values. */
    private static final double[] NORMAL_RANGE = {
        3.290, 3.793, 4.090, 4.300, 4.461, 4.592, 4.702, 4.796, 4.878, 4.951, 5.017, 5.077, 5.132, 5.182, 5.228, 5.272,
        5.312, 5.350, 5.386
    };
    /** By how much it grows with the logarithm of more: 5.386 of 20, 5.989 of 50, 6.409 of 100. */
    private static final double RANGE_GROWS = 0.65;

    private Statistics() {}

    /** 25th percentile. */
    public static double lowerQuartile(double[] values) {
        return quantile(values, 25);
    }

    /**
     * The value below which a share of them lies, linear between order statistics (Hyndman &amp; Fan 1996, type 7).
     *
     * @param percent above 0, at most 100
     */
    public static double quantile(double[] values, double percent) {
        return new Percentile()
                .withEstimationType(Percentile.EstimationType.R_7)
                .evaluate(values, percent);
    }

    /** The share of all that are worse, with half of those equal, percent: percentile rank (Crocker &amp; Algina 1986). */
    public static double percentileRank(long worse, long equal, long all) {
        return HUNDRED * (worse + HALF * equal) / all;
    }

    /**
     * The middle value, of an even number halfway between the middle two; not a number of none. By sorting a copy: a reading asks for
     * thousands, most of a few values each, for which the library's general percentile sets up far more than it sorts. Of many
     * it sorts less.
     */
    public static double median(double[] values) {
        if (values.length == 0) {
            return Double.NaN;
        }
        if (values.length > MOST_TO_SORT) {
            return StatUtils.percentile(values, 50);
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1
                ? sorted[middle]
                : sorted[middle - 1] + HALF * (sorted[middle] - sorted[middle - 1]);
    }

    /** Median absolute deviation from the median. */
    public static double medianAbsoluteDeviation(double[] values) {
        double median = median(values);
        return median(
                Arrays.stream(values).map(value -> Math.abs(value - median)).toArray());
    }

    /** How far over the median a value has to be to stand out: 3 · 1.4826 · MAD, the MAD scaled to a standard deviation. */
    public static double outlyingFrom(double[] values) {
        return SIGMAS * MAD_TO_SIGMA * medianAbsoluteDeviation(values);
    }

    /** Coefficient of variation: sample standard deviation over mean, as a fraction. */
    public static double coefficientOfVariation(double[] values) {
        return Math.sqrt(StatUtils.variance(values)) / StatUtils.mean(values);
    }

    /**
     * Percentage decrement: 100 · (Σt / (n · t_best) − 1), in percent; 0 when all rounds equal the best.
     *
     * <p>Source: Fitzsimons et al. (1993); Glaister et al. (2008).
     */
    public static double percentageDecrement(double[] times) {
        return 100 * (StatUtils.sum(times) / (times.length * StatUtils.min(times)) - 1);
    }

    /**
     * Theil–Sen slope: the median of the slopes between all pairs, x being 1, 2, 3 … Of more values than anybody logs, the median
     * of those between each value and the one half of them later: Theil's incomplete method, whose cost does not grow with the square.
     *
     * <p>Source: Theil (1950); Sen (1968).
     */
    public static double theilSenSlope(double[] values) {
        if (values.length > MOST_IN_PAIRS) {
            return incompleteSlope(values);
        }
        double[] slopes = new double[values.length * (values.length - 1) / 2];
        int at = 0;
        for (int i = 0; i < values.length; i++) {
            for (int j = i + 1; j < values.length; j++) {
                slopes[at++] = (values[j] - values[i]) / (j - i);
            }
        }
        return median(slopes);
    }

    private static double incompleteSlope(double[] values) {
        int apart = values.length / 2;
        double[] slopes = new double[values.length - apart];
        Arrays.setAll(slopes, i -> (values[i + apart] - values[i]) / apart);
        return median(slopes);
    }

    /** How much a figure moves by itself: the standard deviation of the differences between one time and the next, over √2 (Hopkins 2000). */
    public static double typicalError(double[] differences) {
        return Math.sqrt(StatUtils.variance(differences) / 2);
    }

    /**
     * How many typical errors two of an athlete's figures may lie apart by normal variation: 95% of unchanged ones do so, or a few more.
     * The difference of two figures scatters by √2 typical errors; that these are estimated is in the quantile of Student's t, with a
     * degree of freedom less than there are differences.
     *
     * @param differences from how many differences the typical error is, at least two
     */
    public static double normalVariation(int differences) {
        return Math.sqrt(2) * new TDistribution(differences - 1).inverseCumulativeProbability(TWO_SIDED_95);
    }

    /**
     * The scatter of figures in order, one standard deviation: what the differences from one to the next vary by, which neither a steady trend nor a step
     * nor single ones that stand out change (median absolute deviation of the differences, which vary by √2 as much). 0 of fewer than six, which do not tell.
     */
    public static double scatter(double[] values) {
        if (values.length < FEWEST_TO_SCATTER) {
            return 0;
        }
        double[] steps = new double[values.length - 1];
        Arrays.setAll(steps, i -> values[i + 1] - values[i]);
        return MAD_TO_SIGMA * medianAbsoluteDeviation(steps) / Math.sqrt(2);
    }

    /**
     * How many standard deviations the range of so many values of one normal distribution stays within in 98 of 100 cases: upper percentage
     * points of the studentized range with the standard deviation known, by the integral of Tippett (1925).
     *
     * @param values how many, at least two
     */
    public static double normalRange(int values) {
        return NORMAL_RANGE[Math.min(values, NORMAL_RANGE.length + 1) - 2]
                + (values > NORMAL_RANGE.length + 1
                        ? RANGE_GROWS * Math.log((double) values / (NORMAL_RANGE.length + 1))
                        : 0);
    }
}
