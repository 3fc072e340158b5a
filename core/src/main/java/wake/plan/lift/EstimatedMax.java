package wake.plan.lift;

import java.math.BigDecimal;
import wake.units.InvalidInput;
import wake.units.Quantity;

/** A max estimated from a set of several reps. Two common formulas; they agree at ten reps and part beyond. */
public final class EstimatedMax {
    /** Beyond, the formulas part (Reynolds et al. 2006, from memory). */
    private static final int MOST_REPS = 12;

    private EstimatedMax() {}

    /** Epley (1985): w(1 + r/30); the lift itself for one rep. */
    public static Quantity epley(Quantity load, int reps) {
        checked(reps);
        return reps == 1 ? load : times(load, 1 + reps / 30.0);
    }

    /** Brzycki (1993): 36w/(37 − r). */
    public static Quantity brzycki(Quantity load, int reps) {
        checked(reps);
        return times(load, 36.0 / (37 - reps));
    }

    private static Quantity times(Quantity load, double factor) {
        return new Quantity(load.value().multiply(BigDecimal.valueOf(factor)), load.unit());
    }

    private static void checked(int reps) {
        if (reps < 1 || reps > MOST_REPS) {
            throw new InvalidInput("Use 1 to 12 reps, as formulas say little beyond that, not " + reps);
        }
    }
}
