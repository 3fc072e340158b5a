package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.plan.Plan.LinePacing;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Hands a plan on to another athlete: paces in proportion to what the two are known for, sets within the other's reach. */
public final class Rescale {
    private Rescale() {}

    /** What is known of an athlete. */
    public record Known(Figures figures, Demonstrated demonstrated) {
        /** A first plan from it. */
        public Draft draft(ExpandedWorkout expanded) {
            return Draft.of(expanded, figures, demonstrated);
        }
    }

    public static Plan of(ExpandedWorkout from, Plan plan, Known giver, ExpandedWorkout to, Known taker) {
        List<LinePacing> lines = new ArrayList<>();
        for (LinePacing line : plan.lines()) {
            Segment given = first(from, line.lineIndex());
            Segment taken = first(to, line.lineIndex());
            double factor = Draft.basis(taken, taker.figures(), taker.demonstrated())
                            .secondsPerUnit()
                    / Draft.basis(given, giver.figures(), giver.demonstrated()).secondsPerUnit();
            Map<Integer, Pacing> rounds = new TreeMap<>();
            line.rounds().forEach((round, pacing) -> rounds.put(round, rescaled(pacing, factor, taken, taker)));
            lines.add(new LinePacing(
                    line.lineIndex(), rescaled(line.every(), factor, taken, taker), rounds, line.locked()));
        }
        return new Plan(lines, plan.strategy(), plan.roundEveryMs(), plan.finish(), plan.fallback(), Map.of());
    }

    private static Segment first(ExpandedWorkout expanded, int lineIndex) {
        return expanded.firstOf(lineIndex)
                .orElseThrow(() -> new InvalidInput("The two attempts are different workouts"));
    }

    private static Pacing rescaled(Pacing pacing, double factor, Segment segment, Known taker) {
        Pacing paced = pacing.withCadence(pacing.secondsPerUnit() * factor);
        if (!segment.tappable()) {
            return paced;
        }
        int reps = segment.steps();
        int largest = paced.sets().sets(reps).stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(reps);
        int most = taker.figures().unbroken(segment.movement()).map(Draft::most).orElse(largest);
        return largest > most ? paced.withSets(SetScheme.atMost(most, reps)) : paced;
    }
}
