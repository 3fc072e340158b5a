package wake.strength;

import java.util.Optional;
import java.util.OptionalDouble;
import wake.units.Quantity;

/**
 * One set.
 *
 * @param made reps done; 0 for a hold, and where the first was missed
 * @param missed reps tried and not done
 * @param load what was lifted; empty for the athlete's own weight
 * @param heldS how long it was held, seconds; empty for reps
 * @param effort how hard it felt, 0 to 10; empty where not said
 * @param note the coach's words; empty for none
 */
public record StrengthSet(
        int made, int missed, Optional<Quantity> load, OptionalDouble heldS, OptionalDouble effort, String note) {
    StrengthSet noted(String words) {
        return new StrengthSet(made, missed, load, heldS, effort, words);
    }
}
