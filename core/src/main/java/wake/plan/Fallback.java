package wake.plan;

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

    /** The order of a round: "6 toes-to-bar, 12 wall-ball shot, 6 toes-to-bar". */
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
        StringBuilder order = new StringBuilder();
        for (int i = 0; i < Math.max(cut.size(), others.size()); i++) {
            if (i < cut.size()) {
                append(order, cut.get(i) + unit + failing.movement().name());
            }
            if (i < others.size()) {
                append(order, others.get(i).label());
            }
        }
        return order.toString();
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
