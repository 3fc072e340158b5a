package wake.workout;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * One movement occurrence in workout order: "round 3 · 12 toes-to-bar". The unit of all computation.
 *
 * @param index place in the course, from 0
 * @param lineIndex which movement line of the workout it comes from, from 0
 * @param round which round of its outermost block, from 1; 1 outside blocks
 * @param rounds how many rounds that block has
 * @param movement what is done
 * @param amount how much of it
 * @param loads loads and heights
 */
public record Segment(
        int index, int lineIndex, int round, int rounds, Movement movement, Quantity amount, List<Quantity> loads) {
    public Segment {
        loads = List.copyOf(loads);
    }

    /** Whole units that can be counted one by one; empty for distances and times. */
    public OptionalInt countable() {
        return amount.unit() == Unit.REP || amount.unit() == Unit.CALORIE
                ? OptionalInt.of((int) Math.ceil(amount.doubleValue()))
                : OptionalInt.empty();
    }

    /** Whether single reps can be seen and tapped. */
    public boolean tappable() {
        return amount.unit() == Unit.REP;
    }

    /** What it counts in a score: reps and calories one each, a distance or time one when completed. */
    public int score() {
        return countable().orElse(1);
    }

    /** "12 toes-to-bar", "8 cal row", "5 power clean @ 40 kg". */
    public String label() {
        String unit = amount.unit() == Unit.REP ? "" : amount.unit().symbol() + " ";
        String weights = loads.stream().map(Quantity::toString).collect(Collectors.joining(", "));
        return amount.number() + " " + unit + movement.name() + (weights.isEmpty() ? "" : " @ " + weights);
    }

    /** "round 3 · 12 toes-to-bar", or without the round where there is one only. */
    public String place() {
        return rounds > 1 ? "round " + round + " · " + label() : label();
    }
}
