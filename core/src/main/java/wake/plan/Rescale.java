package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import wake.athlete.Figures;
import wake.athlete.Shown;
import wake.plan.Plan.LinePacing;
import wake.units.InvalidInput;
import wake.workout.Course;
import wake.workout.Segment;

/** Hands a plan on to another athlete: paces in proportion to what the two are known for, sets within the other's reach. */
public final class Rescale {
    private Rescale() {}

    /** What is known of an athlete. */
    public record Known(Figures figures, Shown shown) {
        /** A first plan from it. */
        public Draft draft(Course course) {
            return Draft.of(course, figures, shown);
        }
    }

    public static Plan of(Course from, Plan plan, Known giver, Course to, Known taker) {
        List<LinePacing> lines = new ArrayList<>();
        for (LinePacing line : plan.lines()) {
            Segment given = first(from, line.lineIndex());
            Segment taken = first(to, line.lineIndex());
            double factor = Draft.basis(taken, taker.figures(), taker.shown()).secondsPerUnit()
                    / Draft.basis(given, giver.figures(), giver.shown()).secondsPerUnit();
            Map<Integer, Pacing> rounds = new TreeMap<>();
            line.rounds().forEach((round, pacing) -> rounds.put(round, rescaled(pacing, factor, taken, taker)));
            lines.add(new LinePacing(
                    line.lineIndex(), rescaled(line.every(), factor, taken, taker), rounds, line.locked()));
        }
        return new Plan(lines, plan.school(), plan.roundEveryMs(), plan.finish(), plan.fallback(), Map.of());
    }

    private static Segment first(Course course, int lineIndex) {
        return course.firstOf(lineIndex).orElseThrow(() -> new InvalidInput("The two attempts are different workouts"));
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
