package wake.field;

import java.util.Arrays;
import wake.statistics.Statistics;

/** How a figure is spread over a field, in any one unit; less of it is better. */
public final class Figures {
    private final double[] values;

    private Figures(double[] values) {
        this.values = values;
    }

    /** Of values of which those that are not a number are left out. */
    static Figures of(double[] values) {
        return new Figures(
                Arrays.stream(values).filter(value -> !Double.isNaN(value)).toArray());
    }

    /** How many there are. */
    public int count() {
        return values.length;
    }

    /**
     * The value that a share of them does not reach: {@link Statistics#quantile}.
     *
     * @param percent above 0, at most 100
     */
    public double quantile(double percent) {
        return Statistics.quantile(values, percent);
    }

    /** The percentile rank of a value among them: {@link Statistics#percentileRank}. */
    public double rank(double value) {
        long worse = Arrays.stream(values).filter(one -> one > value).count();
        long equal = Arrays.stream(values).filter(one -> one == value).count();
        return Statistics.percentileRank(worse, equal, values.length);
    }
}
