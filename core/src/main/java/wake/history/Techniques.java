package wake.history;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import wake.athlete.TechniqueTest;
import wake.history.AttemptFacts.Spread;
import wake.history.HistoryLine.Dated;
import wake.units.Messages;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Techniques of a movement, gathered over attempts and tests, at like load. */
public final class Techniques {
    private Techniques() {}

    /**
     * A movement done with several techniques.
     *
     * @param work which, at which load
     * @param options each, the fastest first
     * @param tests tried fresh, apart from any workout, and weighed against each other
     */
    public record Movement(Work work, List<Option> options, Optional<WeighedTests> tests) {
        public Movement {
            options = List.copyOf(options);
        }
    }

    /**
     * A technique.
     *
     * @param name what the coach calls it
     * @param seconds per unit: the median, least and most of the attempts' medians
     * @param attempts in how many
     * @param figures sets and fives they rest on
     */
    public record Option(String name, Spread seconds, int attempts, int figures) {}

    /** Gathers what was named in attempts; tests of a movement stand beside it at every load, and alone where it was never named in one. */
    public static List<Movement> of(Collection<Dated> attempts, List<TechniqueTest> tests) {
        List<WeighedTests> weighed = WeighedTests.of(tests);
        List<Work> works = new ArrayList<>();
        List<Map<String, List<Spread>>> options = new ArrayList<>();
        for (Dated attempt : attempts) {
            for (AttemptFacts.Technique technique : attempt.facts().techniques()) {
                int at = Work.indexOf(works, technique.work());
                if (at < 0) {
                    at = works.size();
                    works.add(technique.work());
                    options.add(new LinkedHashMap<>());
                }
                options.get(at)
                        .computeIfAbsent(technique.way(), first -> new ArrayList<>())
                        .add(technique.seconds());
            }
        }
        List<Movement> movements = new ArrayList<>();
        for (int i = 0; i < works.size(); i++) {
            Work work = works.get(i);
            movements.add(new Movement(
                    work,
                    options.get(i).entrySet().stream()
                            .map(option -> option(option.getKey(), option.getValue()))
                            .sorted(Comparator.comparingDouble(
                                    option -> option.seconds().median()))
                            .toList(),
                    of(weighed, work.movement())));
        }
        weighed.stream()
                .map(WeighedTests::movement)
                .filter(name -> works.stream().noneMatch(work -> work.movement().equals(name)))
                .forEach(name -> movements.add(
                        new Movement(new Work(name, Unit.REP, "", List.of(), name), List.of(), of(weighed, name))));
        return movements;
    }

    private static Optional<WeighedTests> of(List<WeighedTests> tests, String movement) {
        return tests.stream().filter(test -> test.movement().equals(movement)).findFirst();
    }

    private static Option option(String name, List<Spread> spreads) {
        Spread medians =
                Spread.of(spreads.stream().map(Spread::median).toList()).orElseThrow();
        Spread all = new Spread(
                medians.median(),
                spreads.stream().mapToDouble(Spread::low).min().orElseThrow(),
                spreads.stream().mapToDouble(Spread::high).max().orElseThrow(),
                spreads.stream().mapToInt(Spread::figures).sum());
        return new Option(name, all, spreads.size(), all.figures());
    }

    /**
     * What one technique instead of another would save over a workout.
     *
     * @param units how much of the movement there is
     * @param seconds saved with the faster way, in the middle; with the slowest of it against the fastest of the other, and the other way
     *     round
     */
    public record Over(double units, double seconds, double least, double most) {
        /** "60 reps: step-back instead of jump-back saves 18 s (−4 to 40 s).". */
        public String says(String option, String instead) {
            String span = Messages.of("%.0f s", Math.abs(seconds));
            String how = seconds < 0 ? "takes longer by " : "saves ";
            return Messages.of(
                    "%.0f reps: %s instead of %s %s%s (%s to %s s).",
                    units, option, instead, how, span, Messages.decimals(least, 0), Messages.decimals(most, 0));
        }
    }

    /**
     * What one technique instead of another would save over some expanded workouts, by what attempts have shown of both; empty where there is none of the
     * movement at that load.
     *
     * @param expansions the parts of a workout in a division; of an open one the first round counts
     */
    public static Optional<Over> over(List<ExpandedWorkout> expansions, Work work, Spread option, Spread instead) {
        double units = expansions.stream()
                .mapToDouble(
                        expanded -> units(expanded, segment -> Work.of(segment).comparable(work)))
                .sum();
        if (units == 0) {
            return Optional.empty();
        }
        double middle = (instead.median() - option.median()) * units;
        return Optional.of(new Over(
                units,
                middle,
                Math.min(middle, (instead.low() - option.high()) * units),
                Math.max(middle, (instead.high() - option.low()) * units)));
    }

    /** How much there is of some segments; of an open workout in its first round. */
    static double units(ExpandedWorkout expanded, Predicate<Segment> which) {
        int segments = expanded.length().orElseGet(() -> firstRound(expanded));
        double units = 0;
        for (int i = 0; i < segments; i++) {
            Segment segment = expanded.segment(i);
            if (which.test(segment)) {
                units += segment.units();
            }
        }
        return units;
    }

    private static int firstRound(ExpandedWorkout expanded) {
        int i = 0;
        while (expanded.has(i) && !expanded.endsLap(i)) {
            i++;
        }
        return expanded.has(i) ? i + 1 : i;
    }
}
