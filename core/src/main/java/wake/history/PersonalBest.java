package wake.history;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.athlete.EstimatedMax;
import wake.athlete.Figures;
import wake.history.HistoryLine.Dated;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * The most an athlete has shown of something: the made lift of a movement that points to the heaviest single, the longest clean set of one at a load, which is at least what is possible.
 *
 * @param kind a max, or unbroken reps
 * @param what the movement, with its load for a set
 * @param value how much, in words
 * @param attempt in which attempt first
 * @param grows whether it is more than what is noted, so that it may be noted
 * @param line the line it would be in the athlete's figures; empty where one is noted that says as much or more
 */
public record PersonalBest(
        Figures.Kind kind, String what, String value, Dated attempt, boolean grows, Optional<String> line) {
    private static final double HAIR = 1e-9;

    /** Of attempts in order of date; what grows stands first. */
    public static List<PersonalBest> of(List<Dated> attempts, Figures figures, Catalogue catalogue) {
        Map<String, PersonalBest> best = new LinkedHashMap<>();
        Map<String, Double> most = new LinkedHashMap<>();
        for (Dated one : attempts) {
            for (AttemptFacts.Lifted lift : one.facts().lifts()) {
                String movement =
                        catalogue.find(lift.movement()).map(Movement::name).orElse(lift.movement());
                if (more(most, "max " + movement, lift.kilograms())) {
                    best.put("max " + movement, lifted(one, movement, lift, figures));
                }
            }
            for (AttemptFacts.Unbroken set : one.facts().unbroken()) {
                if (more(most, "set " + set.work().words(), set.reps())) {
                    best.put("set " + set.work().words(), unbroken(one, set, figures));
                }
            }
        }
        List<PersonalBest> all = new ArrayList<>(best.values());
        all.sort(Comparator.comparing(PersonalBest::grows)
                .reversed()
                .thenComparing(PersonalBest::kind)
                .thenComparing(PersonalBest::what));
        return all;
    }

    private static boolean more(Map<String, Double> most, String what, double value) {
        boolean is = value > most.getOrDefault(what, 0.0);
        if (is) {
            most.put(what, value);
        }
        return is;
    }

    private static PersonalBest lifted(Dated one, String movement, AttemptFacts.Lifted lift, Figures figures) {
        Quantity noted = figures.maxes().get(movement);
        boolean grows = noted == null || lift.kilograms() > noted.in(Unit.KILOGRAM) + HAIR;
        return new PersonalBest(
                Figures.Kind.MAX,
                movement,
                EstimatedMax.words(lift.load()),
                one,
                grows,
                grows ? Optional.of("max " + movement + " " + lift.load() + " on " + one.on()) : Optional.empty());
    }

    /** A set inside a workout says little of a max that nobody noted; it is offered only where one is. */
    private static PersonalBest unbroken(Dated one, AttemptFacts.Unbroken set, Figures figures) {
        Integer noted = figures.unbroken().get(set.work().movement());
        boolean grows = noted != null && set.reps() > noted;
        return new PersonalBest(
                Figures.Kind.UNBROKEN,
                set.work().words(),
                "at least " + set.reps() + " reps",
                one,
                grows,
                grows
                        ? Optional.of("unbroken " + set.work().movement() + " " + set.reps() + " on " + one.on())
                        : Optional.empty());
    }
}
