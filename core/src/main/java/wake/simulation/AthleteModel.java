package wake.simulation;

import java.util.Map;

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
    public AthleteModel {
        cadence = Map.copyOf(cadence);
        largestSet = Map.copyOf(largestSet);
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
