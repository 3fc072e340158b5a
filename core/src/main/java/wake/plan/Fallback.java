package wake.plan;

import java.util.ArrayList;
import java.util.List;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * What to do when a movement fails, written beforehand: from some round on its reps are done in portions around the other
 * movements, so that nobody stands still. Totals stay the same.
 *
 * @param lineIndex the movement line that may fail
 * @param fromRound from which round, from 1
 * @param portions how its reps are cut
 * @param wayBackMs how long it takes to come back to it for the next portion
 */
public record Fallback(int lineIndex, int fromRound, SetScheme portions, long wayBackMs) {
    public Fallback {
        if (fromRound < 1) {
            throw new IllegalArgumentException("Expected a round from 1, got " + fromRound);
        }
        if (portions.sizes().isEmpty()) {
            throw new IllegalArgumentException("Expected portions as \"6-6\" or \"5s\", not unbroken");
        }
        if (wayBackMs < 0 || wayBackMs > 120_000) {
            throw new IllegalArgumentException("Expected a way back from 0 to 120 s, got " + wayBackMs / 1000.0);
        }
    }

    /** The pacing once this is in force: its portions replace the sets, the ways back the rests. */
    Pacing onto(Pacing pacing) {
        return pacing.withSets(portions).withRest(wayBackMs);
    }

    /** The order of a round: "5 pull-up, 5 push-up, 15 air squat, 5 push-up". */
    public String order(Course course) {
        List<Segment> round = course.throughRound(fromRound).stream()
                .filter(segment -> segment.lap().number() == fromRound && isWith(segment, course))
                .toList();
        List<Segment> others = round.stream()
                .filter(segment -> segment.lineIndex() != lineIndex)
                .toList();
        Segment failing = round.stream()
                .filter(segment -> segment.lineIndex() == lineIndex)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("Round " + fromRound + " has no such movement"));
        List<Integer> cut = portions.sets(failing.steps());
        String unit = failing.tappable() ? " " : " " + failing.amount().unit().symbol() + " ";
        List<Integer> slots = slots(cut.size(), round.indexOf(failing), others.size());
        StringBuilder order = new StringBuilder();
        int next = 0;
        for (int slot = 0; slot <= others.size(); slot++) {
            while (next < cut.size() && slots.get(next) == slot) {
                append(order, cut.get(next++) + unit + failing.movement().name());
            }
            if (slot < others.size()) {
                append(order, others.get(slot).label());
            }
        }
        return order.toString();
    }

    /**
     * Before which of the other movements each portion goes, so that the round keeps its order: the first where the movement stands, the next
     * after each that follows it, then before those that come earlier; what is left over goes last.
     *
     * @param own how many of the others stand before it
     */
    private static List<Integer> slots(int portions, int own, int others) {
        List<Integer> slots = new ArrayList<>();
        for (int slot = own; slot <= others && slots.size() < portions; slot++) {
            slots.add(slot);
        }
        for (int slot = own - 1; slot >= 0 && slots.size() < portions; slot--) {
            slots.add(slot);
        }
        while (slots.size() < portions) {
            slots.add(others);
        }
        return slots.stream().sorted().toList();
    }

    /** Whether it stands in the block of the line that may fail. */
    private boolean isWith(Segment segment, Course course) {
        return course.firstOf(lineIndex)
                .filter(failing -> failing.lap().block().equals(segment.lap().block()))
                .isPresent();
    }

    private static void append(StringBuilder order, String words) {
        order.append(order.isEmpty() ? "" : ", ").append(words);
    }
}
