package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * What to do when movements fail, written beforehand: from some round on their reps are done in portions around the other
 * movements, so that nobody stands still. Totals stay the same.
 *
 * @param fromRound from which round, from 1
 * @param failing the movements that may fail at once, one or two of a round
 */
public record Fallback(int fromRound, List<Failing> failing) {
    private static final int MOST = 2;

    /** @throws InvalidInput where the round is below 1, or it is not for one or two different movements */
    public Fallback {
        failing = List.copyOf(failing);
        if (fromRound < 1) {
            throw new InvalidInput("Plan B starts in round 1 or later, not " + fromRound);
        }
        if (failing.isEmpty() || failing.size() > MOST) {
            throw new InvalidInput("Plan B is for one or two movements, not " + failing.size());
        }
        if (failing.stream().map(Failing::lineIndex).distinct().count() < failing.size()) {
            throw new InvalidInput("Choose two different movements for Plan B");
        }
    }

    /**
     * A movement that may fail.
     *
     * @param lineIndex its line
     * @param portions how its reps are cut
     * @param wayBackMs how long it takes to come back to it for the next portion
     */
    public record Failing(int lineIndex, SetScheme portions, long wayBackMs) {
        /** @throws InvalidInput where the sets are unbroken, or the time to get going again is not from 0 to 120 s */
        public Failing {
            if (portions.sizes().isEmpty()) {
                throw new InvalidInput("Write sets like 6-6 or 5s, not unbroken");
            }
            if (wayBackMs < 0 || wayBackMs > 120_000) {
                throw new InvalidInput("The time to get back is 0 to 120 s, not " + wayBackMs / 1000.0);
            }
        }

        /** The pacing once this is in force: its portions replace the sets, the times to get going again the rests. */
        Pacing onto(Pacing pacing) {
            return pacing.withSets(portions).withRest(wayBackMs);
        }
    }

    /** What is done in a round, one after the other: a movement, or a portion of one. */
    private record Turn(int lineIndex, String words) {}

    /** The order of a round: "5 pull-up, 5 push-up, 15 air squat, 5 push-up". */
    public String order(ExpandedWorkout expanded) {
        List<Segment> round = expanded.throughRound(fromRound).stream()
                .filter(segment -> segment.lap().number() == fromRound && isWith(segment, expanded))
                .toList();
        List<Turn> turns = round.stream()
                .map(segment -> new Turn(segment.lineIndex(), segment.label()))
                .toList();
        for (Failing one : failing) {
            Segment segment = round.stream()
                    .filter(of -> of.lineIndex() == one.lineIndex())
                    .findFirst()
                    .orElseThrow(() -> new InvalidInput(
                            failing.getFirst().equals(one)
                                    ? "Round " + fromRound + " has no such movement"
                                    : "Round " + fromRound + " does not have the second movement"));
            turns = inPortions(turns, segment, one.portions().sets(segment.steps()));
        }
        return turns.stream().map(Turn::words).collect(Collectors.joining(", "));
    }

    /** The turns of a round with one movement cut into portions around the others, which keep their order. */
    private static List<Turn> inPortions(List<Turn> turns, Segment failing, List<Integer> portions) {
        int line = failing.lineIndex();
        int own = 0;
        while (turns.get(own).lineIndex() != line) {
            own++;
        }
        List<Turn> others =
                turns.stream().filter(turn -> turn.lineIndex() != line).toList();
        String unit = failing.tappable() ? " " : " " + failing.amount().unit().symbol() + " ";
        List<Integer> slots = slots(portions.size(), own, others.size());
        List<Turn> cut = new ArrayList<>();
        int next = 0;
        for (int slot = 0; slot <= others.size(); slot++) {
            while (next < portions.size() && slots.get(next) == slot) {
                cut.add(new Turn(
                        line, portions.get(next++) + unit + failing.movement().name()));
            }
            if (slot < others.size()) {
                cut.add(others.get(slot));
            }
        }
        return cut;
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

    /** Whether it stands in the block of the first movement that may fail. */
    private boolean isWith(Segment segment, ExpandedWorkout expanded) {
        return expanded.firstOf(failing.getFirst().lineIndex())
                .filter(failing -> failing.lap().block().equals(segment.lap().block()))
                .isPresent();
    }
}
