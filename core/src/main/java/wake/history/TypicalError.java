package wake.history;

import java.util.Arrays;
import java.util.OptionalDouble;
import org.hipparchus.stat.StatUtils;

/**
 * How much a figure moves from one attempt to the next by itself: the standard deviation of the differences between one attempt and the
 * next, over √2.
 *
 * <p>Source: Hopkins, W. G. (2000), Measures of reliability in sports medicine and science, Sports Medicine 30(1). The mean of the
 * differences, which is what got better or worse, does not count towards it. A change beyond twice the typical error is taken for more
 * than noise.
 */
public final class TypicalError {
    /** Fewer differences tell nothing of their scatter. */
    public static final int FEWEST_DIFFERENCES = 3;

    /** Differences within twice the typical error are normal variation (Hopkins 2000, from memory: 1.5 to 2 times). */
    public static final double NOISE = 2;

    private TypicalError() {}

    /**
     * Of figures in the order of their attempts, in their own unit; empty with fewer than four.
     */
    public static OptionalDouble of(double[] values) {
        if (values.length <= FEWEST_DIFFERENCES) {
            return OptionalDouble.empty();
        }
        double[] differences = new double[values.length - 1];
        Arrays.setAll(differences, i -> values[i + 1] - values[i]);
        return OptionalDouble.of(Math.sqrt(StatUtils.variance(differences) / 2));
    }

    /** The same as a share of the figure, in percent: taken from logarithms, as for figures whose noise grows with their size. */
    public static OptionalDouble percent(double[] values) {
        OptionalDouble error = of(Arrays.stream(values).map(Math::log).toArray());
        return error.isEmpty() ? error : OptionalDouble.of(100 * (Math.exp(error.getAsDouble()) - 1));
    }
}
