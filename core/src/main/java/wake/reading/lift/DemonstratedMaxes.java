package wake.reading.lift;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.athlete.Figures;
import wake.log.Lift;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.plan.lift.EstimatedMax;
import wake.units.Messages;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * What made lifts say of the athlete's maxes. A load made is at least the max of every movement in it; several reps of one movement without letting
 * go let its single max be estimated, which is only said and never noted.
 *
 * @param movement the catalogue's name
 * @param load the heaviest made
 * @param known the max noted so far; empty where there is none
 * @param estimated the single max that the most reps of it point to, in words; empty for singles
 */
public record DemonstratedMaxes(String movement, Quantity load, Optional<Quantity> known, Optional<String> estimated) {
    /** Beyond, an estimated max is a guess: the formulas were fitted up to ten or so (Reynolds et al. 2006, from memory). */
    private static final int MOST_REPS = 12;

    /** Whether more was made than is noted, so that it may be noted. */
    public boolean grows() {
        return known.isEmpty() || kilograms(load) > kilograms(known.get()) + 1e-9;
    }

    /** The line it would be in the athlete's figures. */
    public String line() {
        return "max " + movement + " " + load;
    }

    /** By movement, in the order of the complex. */
    public static List<DemonstratedMaxes> of(LiftReading reading, Figures figures, Catalogue catalogue) {
        Map<String, Quantity> heaviest = new LinkedHashMap<>();
        Map<String, String> estimated = new LinkedHashMap<>();
        Map<String, Double> most = new LinkedHashMap<>();
        for (LiftRow row : reading.rows()) {
            if (row.lift().outcome() != Lift.Outcome.MADE || row.lift().load().isEmpty()) {
                continue;
            }
            Quantity load = row.lift().load().get();
            for (LiftPiece piece : row.pieces()) {
                String name =
                        catalogue.find(piece.movement()).map(Movement::name).orElse(piece.movement());
                heaviest.merge(name, load, (one, other) -> kilograms(one) >= kilograms(other) ? one : other);
                estimate(name, load, piece.reps(), most, estimated);
            }
        }
        return heaviest.entrySet().stream()
                .map(entry -> new DemonstratedMaxes(
                        entry.getKey(),
                        entry.getValue(),
                        Optional.ofNullable(figures.maxes().get(entry.getKey())),
                        Optional.ofNullable(estimated.get(entry.getKey()))))
                .toList();
    }

    private static void estimate(
            String name, Quantity load, int reps, Map<String, Double> most, Map<String, String> estimated) {
        if (reps < 2 || reps > MOST_REPS) {
            return;
        }
        Quantity epley = EstimatedMax.epley(load, reps);
        Quantity brzycki = EstimatedMax.brzycki(load, reps);
        if (most.merge(name, kilograms(epley), Math::max) <= kilograms(epley)) {
            estimated.put(
                    name,
                    Messages.of(
                            "%d reps at %s suggest a %.0f–%.0f %s single (Epley 1985, Brzycki 1993)",
                            reps,
                            load,
                            Math.min(epley.doubleValue(), brzycki.doubleValue()),
                            Math.max(epley.doubleValue(), brzycki.doubleValue()),
                            load.unit().symbol()));
        }
    }

    private static double kilograms(Quantity load) {
        return load.in(Unit.KILOGRAM);
    }
}
