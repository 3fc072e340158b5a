package wake.athlete;

import java.util.List;
import org.hipparchus.stat.StatUtils;
import wake.statistics.Statistics;
import wake.units.InvalidInput;

/** The times of a test: the same again and again, with rests between. */
final class Repeats {
    private Repeats() {}

    /** Times that make a test: two at least. */
    static List<Long> of(List<Long> timesMs) {
        if (timesMs.size() < 2) {
            throw new InvalidInput("A test needs two repeats or more");
        }
        return List.copyOf(timesMs);
    }

    /** What holds over all of them: their mean, seconds. */
    static double meanSeconds(List<Long> timesMs) {
        return StatUtils.mean(times(timesMs)) / 1000;
    }

    /** How much they faded, as percentage decrement from the best. */
    static double fadePercent(List<Long> timesMs) {
        return Statistics.percentageDecrement(times(timesMs));
    }

    private static double[] times(List<Long> timesMs) {
        return timesMs.stream().mapToDouble(Long::doubleValue).toArray();
    }
}
