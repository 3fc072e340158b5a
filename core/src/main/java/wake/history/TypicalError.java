package wake.history;

import java.util.Arrays;
import java.util.OptionalDouble;
import wake.statistics.Statistics;

/**
 * How much a figure moves from one attempt to the next by itself: the standard deviation of the differences between one attempt and the
 * next, over √2.
 *
 * <p>Source: Hopkins, W. G. (2000), Measures of reliability in sports medicine and science, Sports Medicine 30(1). The mean of the
 * differences, which is what got better or worse, does not count towards it.
 */
public final class TypicalError {
    /** Fewer differences tell nothing of their scatter. */
    public static final int FEWEST_DIFFERENCES = 3;

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
        return OptionalDouble.of(Statistics.typicalError(differences));
    }

    /** The same as a share of the figure, in percent: taken from logarithms, as for figures whose noise grows with their size. */
    public static OptionalDouble percent(double[] values) {
        OptionalDouble error = of(Arrays.stream(values).map(Math::log).toArray());
        return error.isEmpty() ? error : OptionalDouble.of(100 * (Math.exp(error.getAsDouble()) - 1));
    }
}
