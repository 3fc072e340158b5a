package wake.plan.lift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import wake.athlete.Figures;
import wake.movement.Catalogue;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format.LiftPiece;

/**
 * The max that percentages of a complex are of, where nothing else is chosen: the smallest over its pieces, each with its own max or, where that is not known, the smallest of
 * the lifts it is a part or a harder form of. A complex that cleans and jerks is limited by the clean and jerk as well, where that is known.
 *
 * @param max the load; empty where nothing is known of any piece
 * @param lift whose max it is, by name; empty with the load, and of a max that is only on the plan
 * @param reps the set it was worked out from, as "3 × 76 kg"; empty for a single
 * @param unknown pieces nothing is known of
 */
public record LimitingMax(Optional<Quantity> max, String lift, String reps, List<String> unknown) {
    private static final String CLEAN = "clean";
    private static final String CLEAN_AND_JERK = "clean and jerk";
    /** Loads nearer than that are one load in two units. */
    private static final double SAME_KG = 0.06;

    public LimitingMax {
        unknown = List.copyOf(unknown);
    }

    private record Known(String lift, Quantity load) {}

    /** Nothing is known. */
    public static LimitingMax none(List<String> unknown) {
        return new LimitingMax(Optional.empty(), "", "", unknown);
    }

    public static LimitingMax of(List<LiftPiece> complex, Figures figures, Catalogue catalogue) {
        List<Known> known = new ArrayList<>();
        List<String> unknown = new ArrayList<>();
        for (LiftPiece piece : complex) {
            smallest(piece.movement(), figures, catalogue)
                    .ifPresentOrElse(known::add, () -> unknown.add(piece.movement()));
        }
        List<Set<String>> families = complex.stream()
                .map(piece -> family(piece.movement(), catalogue))
                .toList();
        boolean jerks = families.stream().anyMatch(family -> family.contains(CLEAN_AND_JERK));
        boolean cleans =
                families.stream().anyMatch(family -> family.contains(CLEAN) && !family.contains(CLEAN_AND_JERK));
        if (cleans && jerks) {
            known(CLEAN_AND_JERK, figures).ifPresent(known::add);
        }
        Optional<Known> limit = known.stream().min(Comparator.comparingDouble(one -> kilograms(one.load())));
        return limit.map(one -> of(one, figures, unknown)).orElseGet(() -> none(unknown));
    }

    private static LimitingMax of(Known known, Figures figures, List<String> unknown) {
        return new LimitingMax(
                Optional.of(known.load()), known.lift(), figures.maxSets().getOrDefault(known.lift(), ""), unknown);
    }

    /** What percentages of a complex can be of: the max that limits it first, then the other maxes on file, the lightest first. */
    public static List<LimitingMax> choices(List<LiftPiece> complex, Figures figures, Catalogue catalogue) {
        LimitingMax limit = of(complex, figures, catalogue);
        List<LimitingMax> choices = new ArrayList<>();
        if (limit.max().isPresent()) {
            choices.add(limit);
        }
        figures.maxes().entrySet().stream()
                .filter(one -> !one.getKey().equals(limit.lift()))
                .map(one -> new Known(one.getKey(), one.getValue()))
                .sorted(Comparator.comparingDouble((Known one) -> kilograms(one.load()))
                        .thenComparing(Known::lift))
                .forEach(one -> choices.add(of(one, figures, List.of())));
        return choices;
    }

    /** What a max on a plan is: the first of the choices that weighs the same, else one that is only on the plan. */
    public static LimitingMax planned(Quantity max, List<LimitingMax> choices) {
        return choices.stream()
                .filter(one -> one.max()
                        .filter(load -> Math.abs(kilograms(load) - kilograms(max)) < SAME_KG)
                        .isPresent())
                .findFirst()
                .orElseGet(() -> new LimitingMax(Optional.of(max), "", "", List.of()));
    }

    /** "max clean and jerk, 110 kg"; with the set it comes from, and the pieces nothing is known of, where there are any. */
    public Optional<String> words() {
        return max.map(load -> (lift.isEmpty() ? "the max on the plan, " : "max " + lift + ", ")
                + (reps.isEmpty() ? load : "about " + load + " (from " + reps + ")")
                + (unknown.isEmpty() ? "" : "; no max on file for " + String.join(" and ", unknown)));
    }

    /** The max of a movement, or the smallest of the nearest lifts above it that are known. */
    private static Optional<Known> smallest(String movement, Figures figures, Catalogue catalogue) {
        return catalogue.nearest(
                movement,
                lift -> known(lift, figures),
                Comparator.comparingDouble((Known one) -> kilograms(one.load())));
    }

    private static Optional<Known> known(String lift, Figures figures) {
        return Optional.ofNullable(figures.maxes().get(lift)).map(load -> new Known(lift, load));
    }

    private static Set<String> family(String movement, Catalogue catalogue) {
        return catalogue.levels(movement).stream().flatMap(List::stream).collect(Collectors.toSet());
    }

    private static double kilograms(Quantity load) {
        return load.in(Unit.KILOGRAM);
    }
}
