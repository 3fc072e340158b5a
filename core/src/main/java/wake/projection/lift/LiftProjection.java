package wake.projection.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.Timetable;
import wake.projection.lift.Chances.Curve;
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
     * @param askedKg the rested single that is as hard
     * @param chance how likely it is made, 0 to 1
     */
    public record Row(Timetable.Row planned, double askedKg, double chance) {}

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
        Tried.Heavy heavy = new Tried.Heavy();
        for (Timetable.Row row : table.rows()) {
            double load = kilograms(row.loading().load());
            List<LiftPiece> pieces = row.attempt().pieces(terms.window().complex());
            long rest = rows.isEmpty() ? Math.max(row.restMs(), Tried.FULL_REST_MS) : row.restMs();
            double asked = Tried.asked(load, pieces, rest, heavy.before());
            rows.add(new Row(row, asked, terms.chances().made(asked)));
            heavy.count(Tried.asked(load, pieces, Tried.FULL_REST_MS, 0));
        }
        List<Outcome> outcomes = outcomes(
                rows.stream()
                        .filter(row -> row.planned()
                                .attempt()
                                .pieces(terms.window().complex())
                                .equals(terms.window().complex()))
                        .toList(),
                terms.chances());
        double beats = outcomes.stream()
                .filter(outcome -> outcome.best().isPresent()
                        && kilograms(outcome.best().get())
                                > terms.before().map(LiftProjection::kilograms).orElse(0.0) + 1e-9)
                .mapToDouble(Outcome::chance)
                .sum();
        return new LiftProjection(table, rows, terms, beats, outcomes);
    }

    /**
     * Every best there can be, one for each load: the heaviest made, all heavier ones missed. On one day and one curve lifts come out
     * independently; over days and curves they stand and fall together.
     */
    private static List<Outcome> outcomes(List<Row> scoring, Chances chances) {
        Map<Quantity, List<Row>> byLoad = scoring.stream()
                .collect(Collectors.groupingBy(
                        row -> row.planned().loading().load(),
                        () -> new TreeMap<>(Comparator.comparingDouble(LiftProjection::kilograms)
                                .reversed()),
                        Collectors.toList()));
        List<Outcome> outcomes = new ArrayList<>();
        double[] none = chances.curves().stream().mapToDouble(Curve::weight).toArray();
        double left = 1;
        for (Map.Entry<Quantity, List<Row>> heaviest : byLoad.entrySet()) {
            double still = 0;
            for (int i = 0; i < none.length; i++) {
                for (Row row : heaviest.getValue()) {
                    none[i] *= 1 - chances.curves().get(i).made(row.askedKg());
                }
                still += none[i];
            }
            outcomes.add(new Outcome(Optional.of(heaviest.getKey()), left - still));
            left = still;
        }
        outcomes.add(new Outcome(Optional.empty(), left));
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
