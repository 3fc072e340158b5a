package wake.strength;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * One lift of a day's strength work.
 *
 * @param movement by its name in the catalogue, or as written
 * @param note the coach's words on it; empty for none
 */
public record StrengthWork(String movement, Prescription asked, String note, List<StrengthSet> sets) {
    public StrengthWork {
        sets = List.copyOf(sets);
    }

    StrengthWork noted(String more) {
        return new StrengthWork(movement, asked, note.isEmpty() ? more : note + "; " + more, sets);
    }

    StrengthWork with(List<StrengthSet> others) {
        return new StrengthWork(movement, asked, note, others);
    }

    /** The set with the heaviest load that at least one rep was made of; of equal loads the one with most reps. */
    public Optional<StrengthSet> heaviest() {
        return sets.stream()
                .filter(set ->
                        set.load().isPresent() && (set.made() > 0 || set.heldS().isPresent()))
                .max(Comparator.comparingDouble(
                                (StrengthSet set) -> kilograms(set.load().orElseThrow()))
                        .thenComparingInt(StrengthSet::made));
    }

    /** Load times reps over all sets, kilograms; empty where no made rep had a load. */
    public OptionalDouble volumeKg() {
        double sum = sets.stream()
                .filter(set -> set.load().isPresent())
                .mapToDouble(set -> set.made() * kilograms(set.load().orElseThrow()))
                .sum();
        return sum > 0 ? OptionalDouble.of(sum) : OptionalDouble.empty();
    }

    /** The hardest set; empty where no effort was said. */
    public OptionalDouble effort() {
        return sets.stream().flatMapToDouble(set -> set.effort().stream()).max();
    }

    /** Seconds held over all sets; 0 without holds. */
    public double heldS() {
        return sets.stream().flatMapToDouble(set -> set.heldS().stream()).sum();
    }

    private static double kilograms(Quantity load) {
        return load.in(Unit.KILOGRAM);
    }
}
