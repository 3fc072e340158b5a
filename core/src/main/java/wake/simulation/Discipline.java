package wake.simulation;

import java.util.Map;

/**
 * What a simulated athlete holds to, whatever it would do by itself.
 *
 * @param longestTransitionMs no transition takes longer
 * @param longestRestMs no rest takes longer
 * @param slowestSecondsPerUnit by movement name, the cadence it never means to fall below; reps still scatter about it
 * @param faultless whether it makes no faults
 */
public record Discipline(
        long longestTransitionMs, long longestRestMs, Map<String, Double> slowestSecondsPerUnit, boolean faultless) {
    /** Nothing in particular. */
    public static final Discipline NONE = new Discipline(Long.MAX_VALUE, Long.MAX_VALUE, Map.of(), false);

    public Discipline {
        slowestSecondsPerUnit = Map.copyOf(slowestSecondsPerUnit);
    }

    double secondsPerUnit(String movement, double itsOwn) {
        return Math.min(itsOwn, slowestSecondsPerUnit.getOrDefault(movement, Double.MAX_VALUE));
    }
}
