package wake.athlete;

import java.math.BigDecimal;
import wake.units.InvalidInput;
import wake.units.Quantity;

/** A max estimated from a set of several reps. Two common formulas; they agree at ten reps and part beyond. */
public final class EstimatedMax {
    /** Beyond, the formulas part (Reynolds et al. 2006, from memory). */
    public static final int MOST_REPS = 12;

    private EstimatedMax() {}

    /** Epley (1985): w(1 + r/30); the lift itself for one rep. */
    public static Quantity epley(Quantity load, int reps) {
        return times(load, epley(checked(reps)));
    }

    /** Brzycki (1993): 36w/(37 − r). */
    public static Quantity brzycki(Quantity load, int reps) {
        return times(load, brzycki(checked(reps)));
    }

    private static double epley(int reps) {
        return reps == 1 ? 1 : 1 + reps / 30.0;
    }

    private static double brzycki(int reps) {
        return 36.0 / (37 - reps);
    }

    /** How many times its load the single max weighs that so many reps point to: the mean of the two; beyond twelve reps as at twelve. */
    public static double timesTheLoad(int reps) {
        int counted = Math.min(reps, MOST_REPS);
        return (epley(counted) + brzycki(counted)) / 2;
    }

    /** The lighter of the two, at any number of reps: beyond twelve as at twelve. */
    public static Quantity least(Quantity load, int reps) {
        int counted = Math.min(reps, MOST_REPS);
        return times(load, Math.min(epley(counted), brzycki(counted)));
    }

    /** The heavier of the two. */
    public static Quantity most(Quantity load, int reps) {
        int counted = Math.min(reps, MOST_REPS);
        return times(load, Math.max(epley(counted), brzycki(counted)));
    }

    /** As a max is noted: "85 kg", "3x76 kg". */
    public static String written(Quantity load, int reps) {
        return (reps == 1 ? "" : reps + "x") + load;
    }

    /** The same as it is said: "3 × 76 kg". */
    public static String words(Quantity load, int reps) {
        return (reps == 1 ? "" : reps + " × ") + load;
    }

    /** What is written as a max is noted, as it is said. */
    public static String words(String written) {
        return written.replaceFirst("^(\\d+)x", "$1 × ");
    }

    /** The single that stands for a set: the middle of the two, in whole halves of the unit, rounded down; beyond twelve reps as for twelve. */
    public static Quantity single(Quantity load, int reps) {
        if (reps == 1) {
            return load;
        }
        double halves = Math.floor(2 * load.doubleValue() * timesTheLoad(reps) + 1e-9);
        return new Quantity(BigDecimal.valueOf(halves / 2), load.unit());
    }

    private static Quantity times(Quantity load, double factor) {
        return new Quantity(load.value().multiply(BigDecimal.valueOf(factor)), load.unit());
    }

    private static int checked(int reps) {
        if (reps < 1 || reps > MOST_REPS) {
            throw new InvalidInput("Use 1 to 12 reps, as formulas say little beyond that, not " + reps);
        }
        return reps;
    }
}
