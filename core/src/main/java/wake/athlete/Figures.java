package wake.athlete;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Segment;

/**
 * What the coach has noted of an athlete.
 *
 * @param maxes heaviest single by movement
 * @param maxSets the set a max was worked out from, as "3 × 76 kg", by movement; none for a single
 * @param standIns what stands for the max of a movement of which none is known: the smallest known of the nearest lifts it is a part or a
 *     harder form of
 * @param unbroken most reps in one set, fresh, by movement
 * @param best best time over a distance
 * @param tests erg and running tests
 * @param counted tests in calories or reps
 * @param techniques tests of a way of doing a movement
 * @param limiter the movement that limits them, if there is one
 * @param goal what they train for, in the coach's words; empty for nothing noted
 * @param noted every line as it was noted, in order
 * @param unclear for each max whose name means more than one lift which one it is taken for, a sentence each
 */
public record Figures(
        Map<String, Quantity> maxes,
        Map<String, String> maxSets,
        Map<String, Quantity> standIns,
        Map<String, Integer> unbroken,
        List<BestTime> best,
        List<ErgTest> tests,
        List<CountedTest> counted,
        List<TechniqueTest> techniques,
        Optional<String> limiter,
        String goal,
        List<Noted> noted,
        List<String> unclear) {
    public static final Figures NONE = new Figures(
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            Optional.empty(),
            "",
            List.of(),
            List.of());

    public Figures {
        maxes = Map.copyOf(maxes);
        maxSets = Map.copyOf(maxSets);
        standIns = Map.copyOf(standIns);
        unbroken = Map.copyOf(unbroken);
        best = List.copyOf(best);
        tests = List.copyOf(tests);
        counted = List.copyOf(counted);
        techniques = List.copyOf(techniques);
        noted = List.copyOf(noted);
        unclear = List.copyOf(unclear);
    }

    /** What a line is about. */
    public enum Kind {
        MAX,
        UNBROKEN,
        BEST,
        TEST,
        TECHNIQUE,
        LIMITER,
        GOAL
    }

    /**
     * A figure as the coach noted it.
     *
     * @param line its line in the text, from 1
     * @param movement what it is about; empty of a goal
     * @param value the rest of it, as written
     * @param on the day it was done; empty where none was noted
     */
    public record Noted(int line, Kind kind, String movement, String value, Optional<LocalDate> on) {}

    /** The best time over a distance. */
    public record BestTime(String movement, Quantity distance, long ms) {
        public double secondsPerMetre() {
            return ms / 1000.0 / distance.in(wake.units.Unit.METRE);
        }
    }

    public Optional<ErgTest> test(Movement movement) {
        return tests.stream()
                .filter(test -> test.movement().equals(movement.name()))
                .reduce((older, newer) -> newer);
    }

    /** The newest test in calories or reps. */
    public Optional<CountedTest> counted(Movement movement, Unit unit) {
        return counted.stream()
                .filter(test ->
                        test.movement().equals(movement.name()) && test.amount().unit() == unit)
                .reduce((older, newer) -> newer);
    }

    public Optional<BestTime> best(Movement movement) {
        return best.stream()
                .filter(time -> time.movement().equals(movement.name()))
                .reduce((older, newer) -> newer);
    }

    public Optional<Quantity> max(Movement movement) {
        return Optional.ofNullable(maxes.get(movement.name()));
    }

    /** The max that stands for a movement: its own, else that of the lifts it is a part, a harder form or a variant of. */
    public Optional<Quantity> maxFor(Movement movement) {
        return standing(movement.name())
                .or(() -> movement.of().stream()
                        .flatMap(lift -> standing(lift).stream())
                        .min(Comparator.comparingDouble(load -> load.in(Unit.KILOGRAM))));
    }

    private Optional<Quantity> standing(String movement) {
        return Optional.ofNullable(maxes.get(movement)).or(() -> Optional.ofNullable(standIns.get(movement)));
    }

    /** The load of a segment as a share of the max that stands for its movement, 1 for the max; empty where either is not known. */
    public OptionalDouble share(Segment segment) {
        OptionalDouble said = segment.shareOfMax();
        if (said.isPresent() || segment.mass().isEmpty()) {
            return said;
        }
        return maxFor(segment.movement())
                .map(max -> OptionalDouble.of(segment.mass().get().in(Unit.KILOGRAM) / max.in(Unit.KILOGRAM)))
                .orElse(OptionalDouble.empty());
    }

    public Optional<Integer> unbroken(Movement movement) {
        return Optional.ofNullable(unbroken.get(movement.name()));
    }
}
