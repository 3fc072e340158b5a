package wake.plan;

import wake.movement.AirErg;
import wake.movement.Movement;
import wake.units.Unit;
import wake.workout.ChunkedAmount;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * What a pace is said of.
 *
 * @param amount how much one piece of it is, in its unit
 * @param length how much one of its lengths is, in the same unit; 0 where it is not cut in lengths
 */
public record PacedWork(Movement movement, Unit unit, double amount, double length) {
    /** A shorter distance is walked, carried or crawled: nobody says it by the kilometre. Common practice, no source. */
    private static final double LEAST_BY_THE_KILOMETRE_M = 100;

    public static PacedWork of(ExpandedWorkout expanded, Segment segment) {
        return new PacedWork(
                segment.movement(),
                segment.amount().unit(),
                ChunkedAmount.units(expanded, segment),
                segment.inLengths() ? segment.units() : 0);
    }

    boolean onAirErg() {
        return AirErg.is(movement);
    }

    /** The unit that coaches say a pace of it in. Common practice, no source. */
    PaceUnit usualUnit() {
        return switch (unit.dimension()) {
            case COUNT, TIME, MASS, SHARE -> PaceUnit.SECONDS;
            case ENERGY -> PaceUnit.AN_HOUR;
            case LENGTH -> usualOverDistance();
        };
    }

    private PaceUnit usualOverDistance() {
        if (onAirErg()) {
            return PaceUnit.PER_500_M;
        }
        if (length > 0) {
            return PaceUnit.A_LENGTH;
        }
        if (unit == Unit.MILE) {
            return PaceUnit.PER_MILE;
        }
        return unit.to(Unit.METRE, amount) < LEAST_BY_THE_KILOMETRE_M ? PaceUnit.THE_PIECE : PaceUnit.PER_KM;
    }

    /** Whether a pace of it can be said in a unit. */
    boolean isSaidIn(PaceUnit other) {
        Unit.Dimension dimension = unit.dimension();
        return switch (other) {
            case USUAL -> false;
            case SECONDS, THE_PIECE -> true;
            case A_MINUTE -> !overDistance();
            case AN_HOUR -> dimension == Unit.Dimension.ENERGY || overDistance() && onAirErg();
            case WATTS -> onAirErg() && (overDistance() || dimension == Unit.Dimension.ENERGY);
            case PER_500_M, PER_KM, PER_MILE -> overDistance() || dimension == Unit.Dimension.ENERGY && onAirErg();
            case A_LENGTH -> length > 0;
        };
    }

    private boolean overDistance() {
        return unit.dimension() == Unit.Dimension.LENGTH;
    }
}
