package wake.projection.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.Timetable;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * What a timetable is expected to bring: each lift's chance, and the heaviest that will be made.
 *
 * @param timetable the lifts worked out
 * @param rows the lifts with their chances, in order
 * @param terms what it rests on
 * @param beats how likely the best of before is beaten, 0 to 1
 * @param outcomes every score it may bring with how likely it is, the lightest first; an empty load for no lift made
 */
public record LiftProjection(Timetable timetable, List<Row> rows, Terms terms, double beats, List<Outcome> outcomes) {
    private static final double LOW = 0.1;
    private static final double MIDDLE = 0.5;
    private static final double HIGH = 0.9;

    public LiftProjection {
        rows = List.copyOf(rows);
        outcomes = List.copyOf(outcomes);
    }

    /**
     * One lift.
     *
     * @param planned the lift
     * @param asked how hard it is, as a share of the max of a rested single, in per cent
     * @param chance how likely it is made, 0 to 1
     */
    public record Row(Timetable.Row planned, double asked, double chance) {}

    /** A score with how likely it is. */
    public record Outcome(Optional<Quantity> best, double chance) {}

    /**
     * What a projection rests on.
     *
     * @param window the window
     * @param pauseMs the rest between this part and the next; empty when there is no next
     * @param chances the curve
     * @param before the best of the attempt before; empty where none was made
     */
    public record Terms(Format.Lift window, OptionalLong pauseMs, Chances chances, Optional<Quantity> before) {}

    /** Works the projection of some lifts out. */
    public static LiftProjection of(LiftPlan plan, Terms terms) {
        Timetable table = Timetable.of(plan, terms.window(), terms.pauseMs());
        List<Row> rows = new ArrayList<>();
        int heavy = 0;
        for (Timetable.Row row : table.rows()) {
            int reps = LiftPiece.repsOf(row.attempt().pieces(terms.window().complex()));
            long rest = rows.isEmpty() ? Math.max(row.restMs(), Chances.FULL_REST_MS) : row.restMs();
            double asked = Chances.asked(row.percent(), reps, rest, heavy);
            rows.add(new Row(row, asked, terms.chances().made(asked)));
            heavy += Chances.asked(row.percent(), reps, Chances.FULL_REST_MS, 0) >= Chances.HEAVY ? 1 : 0;
        }
        List<Outcome> outcomes = outcomes(rows.stream()
                .filter(row -> row.planned()
                        .attempt()
                        .pieces(terms.window().complex())
                        .equals(terms.window().complex()))
                .toList());
        double beats = outcomes.stream()
                .filter(outcome -> outcome.best().isPresent()
                        && kilograms(outcome.best().get())
                                > terms.before().map(LiftProjection::kilograms).orElse(0.0) + 1e-9)
                .mapToDouble(Outcome::chance)
                .sum();
        return new LiftProjection(table, rows, terms, beats, outcomes);
    }

    /** Every best there can be: the heaviest made, all heavier ones missed. Lifts are taken one for itself. */
    private static List<Outcome> outcomes(List<Row> scoring) {
        List<Row> heaviest = scoring.stream()
                .sorted(Comparator.comparingDouble(
                                (Row row) -> kilograms(row.planned().loading().load()))
                        .reversed())
                .toList();
        List<Outcome> outcomes = new ArrayList<>();
        double none = 1;
        for (Row row : heaviest) {
            outcomes.add(new Outcome(Optional.of(row.planned().loading().load()), none * row.chance()));
            none *= 1 - row.chance();
        }
        outcomes.add(new Outcome(Optional.empty(), none));
        return outcomes.reversed();
    }

    /** The score that is as likely reached as missed. */
    public Optional<Quantity> middle() {
        return reached(MIDDLE);
    }

    /** One attempt in ten brings less. */
    public Optional<Quantity> low() {
        return reached(LOW);
    }

    /** One attempt in ten brings more. */
    public Optional<Quantity> high() {
        return reached(HIGH);
    }

    private Optional<Quantity> reached(double share) {
        double sum = 0;
        for (Outcome outcome : outcomes) {
            sum += outcome.chance();
            if (sum >= share - 1e-12) {
                return outcome.best();
            }
        }
        return outcomes.getLast().best();
    }

    /** What is to be expected on average, in kilograms; no lift made counts as nothing. */
    public double expectedKg() {
        return outcomes.stream()
                .mapToDouble(outcome -> outcome.chance()
                        * outcome.best().map(LiftProjection::kilograms).orElse(0.0))
                .sum();
    }

    public static double kilograms(Quantity load) {
        return load.in(Unit.KILOGRAM);
    }
}
