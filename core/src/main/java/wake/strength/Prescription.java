package wake.strength;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import wake.units.Quantity;

/**
 * What was asked of a lift.
 *
 * @param reps reps by set, one number a set; empty where no sets were asked for
 * @param heldS how long each set is held, seconds; empty for reps
 * @param percent of the athlete's max; empty where not said
 * @param load the load; empty where not said
 * @param effort how hard a set is to be, 0 to 10; empty where not said
 * @param tempo four counts (down, bottom, up, top) as "31X1", X for as fast as possible; empty for none
 * @param restMs between sets, milliseconds; empty where not said
 */
public record Prescription(
        List<Integer> reps,
        OptionalDouble heldS,
        OptionalDouble percent,
        Optional<Quantity> load,
        OptionalDouble effort,
        String tempo,
        OptionalLong restMs) {
    public Prescription {
        reps = List.copyOf(reps);
    }

    /** The reps of a set, from 0; beyond the last as in the last. */
    OptionalInt repsOf(int set) {
        return reps.isEmpty() ? OptionalInt.empty() : OptionalInt.of(reps.get(Math.min(set, reps.size() - 1)));
    }
}
