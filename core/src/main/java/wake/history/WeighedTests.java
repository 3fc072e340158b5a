package wake.history;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.athlete.TechniqueTest;
import wake.history.AttemptFacts.Spread;
import wake.statistics.Statistics;
import wake.workout.ExpandedWorkout;

/**
 * Tests of the techniques of one movement weighed against each other: how quick each was at what effort, and by how much one is quicker at the
 * same effort. Tests are short and fresh: what a technique does to fatigue they do not show.
 *
 * @param movement which
 * @param techniques the quickest first
 * @param pairs each two of them, the quicker first
 */
public record WeighedTests(String movement, List<Tried> techniques, List<Pair> pairs) {
    /** Efforts so near to each other, of ten, are the same; an assumption. */
    private static final double SAME_EFFORT = 0.5;

    public WeighedTests {
        techniques = List.copyOf(techniques);
        pairs = List.copyOf(pairs);
    }

    /**
     * A technique as it was tested.
     *
     * @param seconds per rep, over its tests
     * @param effort the median of those noted, 0 to 10; empty where none was
     */
    public record Tried(String name, Spread seconds, OptionalDouble effort) {
        public int tests() {
            return seconds.figures();
        }
    }

    /**
     * Two techniques against each other.
     *
     * @param saved seconds per rep with the first instead of the second, each test of the one against each of the other at the same effort; empty
     *     where there are no two at the same effort
     */
    public record Pair(Tried faster, Tried slower, Optional<Spread> saved) {
        /** Whether one of them lacks an effort altogether. */
        public boolean lacksEffort() {
            return faster.effort().isEmpty() || slower.effort().isEmpty();
        }
    }

    /** By movement, those of which more than one technique was tested or one was. */
    public static List<WeighedTests> of(List<TechniqueTest> tests) {
        return by(TechniqueTest::movement, tests).entrySet().stream()
                .map(one -> of(one.getKey(), one.getValue()))
                .toList();
    }

    private static Map<String, List<TechniqueTest>> by(
            Function<TechniqueTest, String> what, List<TechniqueTest> tests) {
        return tests.stream().collect(Collectors.groupingBy(what, LinkedHashMap::new, Collectors.toList()));
    }

    private static WeighedTests of(String movement, List<TechniqueTest> tests) {
        Map<String, List<TechniqueTest>> byName = by(TechniqueTest::technique, tests);
        List<Tried> techniques = byName.entrySet().stream()
                .map(one -> tried(one.getKey(), one.getValue()))
                .sorted(Comparator.comparingDouble(tried -> tried.seconds().median()))
                .toList();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < techniques.size(); i++) {
            for (Tried other : techniques.subList(i + 1, techniques.size())) {
                Tried one = techniques.get(i);
                pairs.add(pair(
                        one,
                        other,
                        byName.getOrDefault(one.name(), List.of()),
                        byName.getOrDefault(other.name(), List.of())));
            }
        }
        return new WeighedTests(movement, techniques, pairs);
    }

    private static Tried tried(String name, List<TechniqueTest> tests) {
        double[] efforts =
                tests.stream().flatMapToDouble(test -> test.effort().stream()).toArray();
        return new Tried(
                name,
                Spread.of(tests.stream().map(TechniqueTest::secondsPerRep).toList())
                        .orElseThrow(),
                efforts.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Statistics.median(efforts)));
    }

    /** At the same effort the slower one over all may be the quicker. */
    private static Pair pair(Tried one, Tried other, List<TechniqueTest> ones, List<TechniqueTest> others) {
        List<Double> saved = new ArrayList<>();
        for (TechniqueTest its : ones) {
            for (TechniqueTest theirs : others) {
                boolean told = its.effort().isPresent() && theirs.effort().isPresent();
                if (told
                        && Math.abs(its.effort().getAsDouble() - theirs.effort().getAsDouble()) <= SAME_EFFORT) {
                    saved.add(theirs.secondsPerRep() - its.secondsPerRep());
                }
            }
        }
        Optional<Spread> spread = Spread.of(saved);
        return spread.filter(all -> all.median() < 0).isPresent()
                ? new Pair(other, one, Spread.of(saved.stream().map(ms -> -ms).toList()))
                : new Pair(one, other, spread);
    }

    /** What the quicker technique would save over some expanded workouts, at any load; empty without two tests at the same effort, or where there is none of it. */
    public Optional<Techniques.Over> over(List<ExpandedWorkout> expansions, Pair pair) {
        double units = expansions.stream()
                .mapToDouble(expanded -> Techniques.units(
                        expanded, segment -> segment.movement().name().equals(movement)))
                .sum();
        return pair.saved()
                .filter(saved -> units > 0)
                .map(saved ->
                        new Techniques.Over(units, units * saved.median(), units * saved.low(), units * saved.high()));
    }

    /**
     * Two techniques over a squad, each athlete with the middle of what was saved at the same effort.
     *
     * @param saved seconds per rep with the first instead of the second: the median, least and most of the athletes
     * @param quicker for how many athletes it is quicker
     */
    public record OfSquad(String movement, String faster, String slower, Spread saved, int quicker) {}

    /** What a squad's tests say, for what at least two athletes tested at the same effort. */
    public static List<OfSquad> squad(List<List<WeighedTests>> athletes) {
        Map<List<String>, List<Double>> saved = new LinkedHashMap<>();
        for (WeighedTests one : athletes.stream().flatMap(List::stream).toList()) {
            for (Pair pair : one.pairs()) {
                boolean inOrder = pair.faster().name().compareTo(pair.slower().name()) < 0;
                String first = inOrder ? pair.faster().name() : pair.slower().name();
                String second = inOrder ? pair.slower().name() : pair.faster().name();
                pair.saved()
                        .ifPresent(spread -> saved.computeIfAbsent(
                                        List.of(one.movement(), first, second), key -> new ArrayList<>())
                                .add(inOrder ? spread.median() : -spread.median()));
            }
        }
        List<OfSquad> squad = new ArrayList<>();
        saved.forEach((key, all) -> {
            if (all.size() > 1) {
                squad.add(ofSquad(key.get(0), key.get(1), key.get(2), all));
            }
        });
        return squad;
    }

    private static OfSquad ofSquad(String movement, String first, String second, List<Double> saved) {
        Spread spread = Spread.of(saved).orElseThrow();
        if (spread.median() < 0) {
            return ofSquad(
                    movement, second, first, saved.stream().map(one -> -one).toList());
        }
        return new OfSquad(movement, first, second, spread, (int)
                saved.stream().filter(one -> one > 0).count());
    }
}
