package wake.plan;

import wake.units.Unit;

/** What a pace is said in: kept as the coach said it, so that it is shown so as well. */
public enum PaceUnit {
    /** Nobody has said; as is usual for the work. */
    USUAL,
    SECONDS,
    A_MINUTE,
    AN_HOUR,
    WATTS,
    PER_500_M,
    PER_KM,
    PER_MILE,
    A_LENGTH,
    THE_PIECE;

    /** The unit a pace of some work is shown in: this one where it can be. */
    PaceUnit of(PacedWork work) {
        return work.isSaidIn(this) ? this : work.usualUnit();
    }

    /** Whether such a pace is a time on the clock for a distance. */
    boolean isOverDistance() {
        return metres() > 0;
    }

    /** The distance it is said for, metres; 0 where it is for none. */
    double metres() {
        return switch (this) {
            case PER_500_M -> 500;
            case PER_KM -> 1000;
            case PER_MILE -> Unit.MILE.to(Unit.METRE, 1);
            case USUAL, SECONDS, A_MINUTE, AN_HOUR, WATTS, A_LENGTH, THE_PIECE -> 0;
        };
    }
}
