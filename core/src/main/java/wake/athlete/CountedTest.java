package wake.athlete;

import java.util.List;
import java.util.OptionalDouble;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * Repeats of so many calories or reps with rests between: what holds over all of them can be held.
 *
 * @param movement of what
 * @param amount of one repeat, calories or reps
 * @param timesMs the repeats in order, at least two
 * @param effort how hard it felt, 0 to 10; empty where nobody asked
 */
public record CountedTest(String movement, Quantity amount, List<Long> timesMs, OptionalDouble effort) {
    /** @throws InvalidInput without calories or reps */
    public CountedTest {
        timesMs = Repeats.of(timesMs);
        boolean counted = amount.unit() == Unit.CALORIE || amount.unit() == Unit.REP;
        if (!counted || amount.value().signum() == 0) {
            throw new InvalidInput("A test needs calories or reps, like \"30 cal\"");
        }
    }

    /** What holds: the mean of all repeats, seconds per calorie or rep. */
    public double secondsPerUnit() {
        return Repeats.meanSeconds(timesMs) / amount.doubleValue();
    }

    /** How much the repeats faded, as percentage decrement from the best. */
    public double fadePercent() {
        return Repeats.fadePercent(timesMs);
    }
}
