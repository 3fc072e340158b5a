package wake.reading.lift;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.athlete.EstimatedMax;
import wake.athlete.Figures;
import wake.log.Lift;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * What made lifts say of the athlete's maxes. A max is a single: reps are noted as what they are, "3x76 kg", and stand for the single that
 * formulas make of them; a single within a complex is at least the max.
 *
 * @param movement the catalogue's name
 * @param load the load of the made lift that points to the heaviest single
 * @param reps so many of the movement in a row with it
 * @param complex whether other movements were lifted with it
 * @param known the max noted so far; empty where there is none
 */
public record DemonstratedMaxes(String movement, Quantity load, int reps, boolean complex, Optional<Quantity> known) {
    /** Whether more was made than is noted, even by the more careful formula, so that it may be noted. */
    public boolean grows() {
        return known.isEmpty() || kilograms(least()) > kilograms(known.get()) + 1e-9;
    }

    private Quantity least() {
        return EstimatedMax.least(load, reps);
    }

    /** "85 kg", "3 × 76 kg". */
    public String made() {
        return EstimatedMax.words(load, reps);
    }

    /** The line it would be in the athlete's figures. */
    public String line() {
        return "max " + movement + " " + EstimatedMax.written(load, reps);
    }

    /** What it says of the single: the span of the formulas for reps, at least the load in a complex; empty for a single by itself. */
    public Optional<String> estimated() {
        if (reps == 1) {
            return complex ? Optional.of("in a complex: a single is at least this") : Optional.empty();
        }
        return reps > EstimatedMax.MOST_REPS
                ? Optional.of(reps + " reps: more than 12 say little of a single")
                : Optional.of(Messages.of(
                        "%d reps at %s suggest a %.0f–%.0f %s single (Epley 1985, Brzycki 1993)",
                        reps,
                        load,
                        least().doubleValue(),
                        EstimatedMax.most(load, reps).doubleValue(),
                        load.unit().symbol()));
    }

    /** By movement, in the order of the complex. */
    public static List<DemonstratedMaxes> of(LiftReading reading, Figures figures, Catalogue catalogue) {
        Map<String, DemonstratedMaxes> heaviest = new LinkedHashMap<>();
        for (LiftRow row : reading.rows()) {
            if (row.lift().outcome() != Lift.Outcome.MADE || row.lift().load().isEmpty()) {
                continue;
            }
            for (LiftPiece piece : row.pieces()) {
                String name =
                        catalogue.find(piece.movement()).map(Movement::name).orElse(piece.movement());
                DemonstratedMaxes one = new DemonstratedMaxes(
                        name,
                        row.lift().load().get(),
                        piece.reps(),
                        row.pieces().size() > 1,
                        Optional.ofNullable(figures.maxes().get(name)));
                heaviest.merge(
                        name, one, (old, other) -> kilograms(other.least()) > kilograms(old.least()) ? other : old);
            }
        }
        return List.copyOf(heaviest.values());
    }

    private static double kilograms(Quantity load) {
        return load.in(Unit.KILOGRAM);
    }
}
