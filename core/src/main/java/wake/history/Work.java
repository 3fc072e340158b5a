package wake.history;

import java.util.List;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * What a figure is about, so that it may be held against one of another attempt.
 *
 * @param movement the movement
 * @param unit in what it is counted
 * @param sides whether sides are counted apart
 * @param loads each implement's load, each height
 * @param words how it is said: "push press @ 40 kg"
 */
public record Work(String movement, Unit unit, String sides, List<Quantity> loads, String words) {
    public Work {
        loads = List.copyOf(loads);
    }

    public static Work of(Segment segment) {
        boolean distance = segment.amount().unit().dimension() == Unit.Dimension.LENGTH;
        String amount = segment.amount().number() + " "
                + (distance ? segment.amount().unit().symbol() + " " : "");
        String label = segment.label();
        return new Work(
                segment.movement().name(),
                segment.amount().unit(),
                segment.sides().name(),
                segment.loads(),
                label.startsWith(amount) ? label.substring(amount.length()) : label);
    }

    /** The same movement, counted alike, at loads within those of {@link Comparability}. */
    public boolean comparable(Work other) {
        return movement.equals(other.movement)
                && unit == other.unit
                && sides.equals(other.sides)
                && Comparability.sameLoads(loads, other.loads);
    }

    /** The place of the first that is alike; below zero where none is. */
    static int indexOf(List<Work> works, Work work) {
        for (int i = 0; i < works.size(); i++) {
            if (works.get(i).comparable(work)) {
                return i;
            }
        }
        return -1;
    }
}
