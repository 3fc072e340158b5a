package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * The transitions of a scope by their kind. Handing over one bar, walking to a machine and getting on a wall are not alike: a kind is what comes
 * before and what comes after, and its target is what was shown of that kind.
 *
 * @param slices the transitions a change can touch, in order, also those beyond the buzzer
 * @param shown what those took that happened, by kind, milliseconds
 */
record TransitionKinds(Replay replay, List<TimeSlice> slices, Map<String, List<Double>> shown) {
    static TransitionKinds of(Replay replay, Scope scope) {
        List<TimeSlice> slices = replay.slices().stream()
                .filter(slice -> slice.kind() == TimeSlice.Kind.TRANSITION
                        && slice.segment().index() > 0
                        && scope.has(slice))
                .toList();
        Map<String, List<Double>> shown = new HashMap<>();
        for (TimeSlice slice : slices) {
            if (slice.observed()) {
                shown.computeIfAbsent(kind(replay, slice), first -> new ArrayList<>())
                        .add((double) slice.ms());
            }
        }
        return new TransitionKinds(replay, slices, shown);
    }

    /** What it leads from and to: a movement at its loads each. */
    static String kind(Replay replay, TimeSlice slice) {
        int index = slice.segment().index();
        return (index == 0 ? "start" : work(replay.log().expanded().segment(index - 1))) + " to "
                + work(slice.segment());
    }

    private static String work(Segment segment) {
        return segment.movement().name() + " " + segment.loads();
    }

    /**
     * For each place what was reached in a quarter of those of its kind; its own time where fewer than so many of its kind are known. Empty where no kind
     * has so many, or there are more places than targets.
     */
    Optional<Targets> targets(int fewest) {
        boolean known = shown.values().stream().anyMatch(figures -> figures.size() >= fewest);
        if (!known || slices.size() > Targets.MOST) {
            return Optional.empty();
        }
        return Optional.of(Targets.byPlace(slices.stream()
                .map(slice -> Observed.halfSeconds(target(slice, fewest)) / 1000.0)
                .toList()));
    }

    private double target(TimeSlice slice, int fewest) {
        List<Double> figures = shown.getOrDefault(kind(replay, slice), List.of());
        return figures.size() >= fewest ? quartile(figures) : slice.ms();
    }

    /** The slowest of the targets of the kinds: what was shown of every one of them. */
    OptionalLong slowestTarget(int fewest) {
        return shown.values().stream()
                .filter(figures -> figures.size() >= fewest)
                .mapToLong(figures -> Math.round(quartile(figures)))
                .max();
    }

    private static double quartile(List<Double> figures) {
        return Statistics.lowerQuartile(
                figures.stream().mapToDouble(Double::doubleValue).toArray());
    }
}
