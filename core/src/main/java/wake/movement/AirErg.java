package wake.movement;

import java.util.Optional;
import java.util.Set;
import wake.units.ErgPower;
import wake.units.Unit;

/** The machines of which pace, power and calories per hour follow from one another: air-resistance rowers and skiers. */
public final class AirErg {
    private static final Set<String> NAMES = Set.of("row", "ski");
    private static final double SECONDS_PER_HOUR = 3600;
    private static final double RESTING_CALORIES_PER_HOUR = 300;

    private AirErg() {}

    public static boolean is(Movement movement) {
        return NAMES.contains(movement.name());
    }

    /** The power a pace asks for, given as seconds per metre or per calorie; empty for other machines and slower than idle. */
    public static Optional<ErgPower> power(Movement movement, Unit unit, double secondsPerUnit) {
        if (!is(movement) || !(secondsPerUnit > 0)) {
            return Optional.empty();
        }
        if (unit == Unit.CALORIE) {
            double perHour = SECONDS_PER_HOUR / secondsPerUnit;
            return perHour > RESTING_CALORIES_PER_HOUR
                    ? Optional.of(ErgPower.ofCaloriesPerHour(perHour))
                    : Optional.empty();
        }
        return unit.dimension() == Unit.Dimension.LENGTH
                ? Optional.of(ErgPower.ofSecondsPer500m(500 * secondsPerUnit * Unit.METRE.to(unit, 1)))
                : Optional.empty();
    }
}
