package wake.movement;

import java.util.Optional;
import java.util.Set;
import wake.units.ErgPower;
import wake.units.Unit;

/** The machines of which pace, power and calories per hour follow from one another: air-resistance rowers and skiers. */
public final class AirErg {
    private static final Set<String> NAMES = Set.of("row", "ski");

    private AirErg() {}

    public static boolean is(Movement movement) {
        return is(movement.name());
    }

    /** Whether a movement of that name is done on one. */
    public static boolean is(String movement) {
        return NAMES.contains(movement);
    }

    /** The power a pace asks for, given as seconds per metre or per calorie; empty for other machines and slower than idle. */
    public static Optional<ErgPower> power(Movement movement, Unit unit, double secondsPerUnit) {
        if (!is(movement) || !(secondsPerUnit > 0)) {
            return Optional.empty();
        }
        if (unit == Unit.CALORIE) {
            return ErgPower.ofSecondsPerCalorie(secondsPerUnit);
        }
        return unit.dimension() == Unit.Dimension.LENGTH
                ? Optional.of(ErgPower.ofSecondsPerMetre(secondsPerUnit * Unit.METRE.to(unit, 1)))
                : Optional.empty();
    }
}
