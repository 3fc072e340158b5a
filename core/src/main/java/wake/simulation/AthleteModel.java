package wake.simulation;

import java.util.Map;
import wake.units.InvalidInput;

/**
 * What makes up a simulated athlete; all figures are made up for the demo and the tests.
 *
 * @param cadence seconds per unit by movement name, or by name and load as in "power snatch @ 50 kg", fresh; the catalogue's fast end
 *     where it has none
 * @param fade how much slower at the end of the workout than at its start, as a fraction
 * @param noise scatter of each rep, as a fraction of its time
 * @param transitionMs usual transition
 * @param restMs usual rest
 * @param restGrowth how much longer rests are at the end, as a fraction
 * @param largestSet by movement name, the reps after which it breaks
 * @param faultRate chance of a fault at each tappable rep
 * @param endsSets share of the faults after which it breaks: a rope that tripped, a bar that came down
 */
public record AthleteModel(
        Map<String, Double> cadence,
        double fade,
        double noise,
        long transitionMs,
        long restMs,
        double restGrowth,
        Map<String, Integer> largestSet,
        double faultRate,
        double endsSets) {
    private static final double FASTEST_S = 0.05;
    private static final double SLOWEST_S = 3600;
    private static final double MOST_TIMES = 20;
    private static final long LONGEST_MS = 3_600_000;
    private static final int MOST_MOVEMENTS = 300;

    /** @throws InvalidInput for an athlete who could not do anything, or not in a time that can be counted */
    public AthleteModel {
        boolean possible = cadence.values().stream().allMatch(s -> s >= FASTEST_S && s <= SLOWEST_S)
                && largestSet.values().stream().allMatch(reps -> reps > 0)
                && cadence.size() <= MOST_MOVEMENTS
                && largestSet.size() <= MOST_MOVEMENTS
                && fade > -1
                && fade <= MOST_TIMES
                && noise >= 0
                && noise <= 1
                && restGrowth > -1
                && restGrowth <= MOST_TIMES
                && transitionMs >= 0
                && transitionMs <= LONGEST_MS
                && restMs >= 0
                && restMs <= LONGEST_MS
                && isShare(faultRate)
                && isShare(endsSets);
        if (!possible) {
            throw new InvalidInput("The numbers of the simulated athlete are out of range");
        }
        cadence = Map.copyOf(cadence);
        largestSet = Map.copyOf(largestSet);
    }

    private static boolean isShare(double value) {
        return value >= 0 && value <= 1;
    }

    /** An athlete who goes on after every fault. */
    public AthleteModel(
            Map<String, Double> cadence,
            double fade,
            double noise,
            long transitionMs,
            long restMs,
            double restGrowth,
            Map<String, Integer> largestSet,
            double faultRate) {
        this(cadence, fade, noise, transitionMs, restMs, restGrowth, largestSet, faultRate, 0);
    }

    /** The same athlete, breaking after such a share of the faults. */
    public AthleteModel breakingAtFaults(double share) {
        return new AthleteModel(cadence, fade, noise, transitionMs, restMs, restGrowth, largestSet, faultRate, share);
    }

    /** An athlete without particulars. */
    public static AthleteModel plain() {
        return new AthleteModel(Map.of(), 0.15, 0.06, 3200, 5000, 0.6, Map.of(), 0.01);
    }

    /** The same athlete, breaking its sets after so many reps, by movement name. */
    public AthleteModel breakingAfter(Map<String, Integer> reps) {
        return new AthleteModel(cadence, fade, noise, transitionMs, restMs, restGrowth, reps, faultRate, endsSets);
    }
}
