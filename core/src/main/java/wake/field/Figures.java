package wake.field;

import java.util.Arrays;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.hipparchus.stat.descriptive.rank.Percentile.EstimationType;

/** How a figure is spread over a field, in any one unit; less of it is better. */
public final class Figures {
    private static final double HUNDRED = 100;
    private static final double HALF = 0.5;

    private final double[] sorted;
    private final Percentile quantiles;

    private Figures(double[] sorted) {
        this.sorted = sorted;
        quantiles = new Percentile().withEstimationType(EstimationType.R_7);
        quantiles.setData(sorted);
    }

    /** Of values of which those that are not a number are left out. */
    static Figures of(double[] values) {
        return new Figures(Arrays.stream(values)
                .filter(value -> !Double.isNaN(value))
                .sorted()
                .toArray());
    }

    /** How many there are. */
    public int count() {
        return sorted.length;
    }

    /**
     * The value that a share of them does not reach, linear between two (Hyndman and Fan 1996, type 7).
     *
     * @param percent above 0, at most 100
     */
    public double quantile(double percent) {
        return quantiles.evaluate(percent);
    }

    /** The share of them that a value is better than, half of those equal to it with it, percent: percentile rank (Crocker and Algina 1986). */
    public double rank(double value) {
        int below = place(value, false);
        int equal = place(value, true) - below;
        return HUNDRED * (sorted.length - below - equal + HALF * equal) / sorted.length;
    }

    /** How many are below a value, or not above it. */
    private int place(double value, boolean equalToo) {
        int low = 0;
        int high = sorted.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            boolean before = equalToo ? sorted[middle] <= value : sorted[middle] < value;
            low = before ? middle + 1 : low;
            high = before ? high : middle;
        }
        return low;
    }
}
