package wake.athlete;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.units.ClockTime;
import wake.units.Messages;

/**
 * A technique of a movement, tried fresh: so many reps against the clock.
 *
 * @param movement which
 * @param technique what the coach calls it
 * @param reps how many, at least one
 * @param ms how long they took
 * @param effort how hard it felt, 0 to 10; empty where nobody asked
 * @param on the day; empty where none was noted
 */
public record TechniqueTest(
        String movement, String technique, int reps, long ms, OptionalDouble effort, Optional<LocalDate> on) {
    public double secondsPerRep() {
        return ms / 1000.0 / reps;
    }

    /** "step-back: 15 in 0:42, 2.80 s a rep, effort 7". */
    public String words() {
        String felt = effort.isPresent() ? Messages.of(", effort %s/10", Messages.number(effort.getAsDouble())) : "";
        return Messages.of(
                        "%s: %d in %s, %.2f s/rep",
                        technique, reps, ClockTime.of(ms).toSeconds(), secondsPerRep())
                + felt;
    }
}
