package wake.athlete;

import java.util.List;
import java.util.OptionalDouble;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * Repeats of one distance with rests between: what holds over all of them can be held.
 *
 * @param movement on what
 * @param distance of one repeat
 * @param timesMs the repeats in order, at least two
 * @param effort how hard it felt, 0 to 10; empty where nobody asked
 */
public record ErgTest(String movement, Quantity distance, List<Long> timesMs, OptionalDouble effort) {
    /** @throws InvalidInput without a distance */
    public ErgTest {
        timesMs = Repeats.of(timesMs);
        if (distance.unit().dimension() != Unit.Dimension.LENGTH
                || distance.value().signum() == 0) {
            throw new InvalidInput("A test needs a distance, like \"300 m\"");
        }
    }

    /** The pace that holds: the mean of all repeats, seconds per metre. */
    public double secondsPerMetre() {
        return Repeats.meanSeconds(timesMs) / distance.in(Unit.METRE);
    }

    /** How much the repeats faded, as percentage decrement from the best. */
    public double fadePercent() {
        return Repeats.fadePercent(timesMs);
    }

    /**
     * What going faster costs on an air-resistance machine, where power goes with the cube of speed.
     *
     * @param secondsFaster by how many seconds each 500 m is to be faster
     * @return by how much power rises, in percent
     * @throws InvalidInput where the pace would be faster than no time at all
     */
    public double pricePercent(double secondsFaster) {
        double now = 500 * secondsPerMetre();
        if (secondsFaster >= now) {
            throw new InvalidInput("A pace cannot be " + secondsFaster + " s faster than " + now);
        }
        return 100 * (Math.pow(now / (now - secondsFaster), 3) - 1);
    }
}
