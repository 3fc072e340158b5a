package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.log.OwnPart;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * The ways one movement was done at one load, and how quick each was.
 *
 * @param movement the line
 * @param ways each way, in the order they first came
 * @param units how much of the movement there is in the whole workout so far, in its unit
 * @param like one of its segments: its movement and load
 */
public record VariantReading(String movement, List<Way> ways, double units, Segment like) {
    public VariantReading {
        ways = List.copyOf(ways);
    }

    /**
     * A way of doing it.
     *
     * @param name what the coach called it; empty for what came before the first was named
     * @param secondsPerUnit the median of its sets, or of its fives where they were tapped
     * @param fastest the quickest of them
     * @param slowest the slowest of them
     * @param figures how many there are
     * @param fromMs the clock at which it was first seen
     */
    public record Way(String name, double secondsPerUnit, double fastest, double slowest, int figures, long fromMs) {}

    /** What doing all of it one way rather than another would make, seconds; above zero is quicker. Empty with fewer than two figures of either. */
    public static OptionalDouble gain(VariantReading reading, Way way, Way instead) {
        return way.figures() < 2 || instead.figures() < 2
                ? OptionalDouble.empty()
                : OptionalDouble.of((way.secondsPerUnit() - instead.secondsPerUnit()) * reading.units());
    }

    static List<VariantReading> of(OwnPart own) {
        Map<String, List<SegmentSplit>> lines = new LinkedHashMap<>();
        for (SegmentSplit split : own.done()) {
            lines.computeIfAbsent(split.segment().lineAtLoad(), key -> new ArrayList<>())
                    .add(split);
        }
        return lines.values().stream()
                .filter(splits ->
                        splits.stream().anyMatch(split -> !split.variants().isEmpty()))
                .map(VariantReading::reading)
                .filter(reading -> !reading.ways().isEmpty())
                .toList();
    }

    private static VariantReading reading(List<SegmentSplit> splits) {
        Map<String, List<Double>> figures = new LinkedHashMap<>();
        Map<String, Long> from = new LinkedHashMap<>();
        double units = 0;
        for (SegmentSplit split : splits) {
            units += split.complete() ? split.segment().units() : split.counted();
            for (SetSplit set : split.sets()) {
                if (split.isClean(set) && set.reps().orElse(0) > 0) {
                    cut(split, set, figures, from);
                }
            }
            if (split.segment().countable().isEmpty() && split.secondsPerUnit().isPresent()) {
                String way = split.variant().orElse("");
                figures.computeIfAbsent(way, name -> new ArrayList<>())
                        .add(split.secondsPerUnit().getAsDouble());
                from.putIfAbsent(way, split.arrivalMs());
            }
        }
        List<Way> ways = new ArrayList<>();
        figures.forEach((name, paces) -> {
            double[] sorted =
                    paces.stream().mapToDouble(Double::doubleValue).sorted().toArray();
            ways.add(new Way(
                    name,
                    Statistics.median(sorted),
                    sorted[0],
                    sorted[sorted.length - 1],
                    sorted.length,
                    from.getOrDefault(name, 0L)));
        });
        return new VariantReading(
                splits.getFirst().segment().line().name(),
                ways,
                units,
                splits.getFirst().segment());
    }

    /** A set, cut where the variant changes inside it; what cannot be cut for want of taps belongs to none. */
    private static void cut(
            SegmentSplit split, SetSplit set, Map<String, List<Double>> figures, Map<String, Long> from) {
        Optional<String> start = split.variantAt(set.startMs());
        Optional<String> end = split.variantAt(set.endMs());
        if (start.equals(end)) {
            add(figures, from, start, set.durationMs(), set.reps().orElse(0), set.startMs());
            return;
        }
        List<Long> reps = set.repTimesMs();
        long at = set.startMs();
        for (int i = 0; i < reps.size(); ) {
            Optional<String> way = split.variantAt(reps.get(i));
            int j = i;
            while (j < reps.size() && split.variantAt(reps.get(j)).equals(way)) {
                j++;
            }
            add(figures, from, way, reps.get(j - 1) - at, j - i, at);
            at = reps.get(j - 1);
            i = j;
        }
    }

    private static void add(
            Map<String, List<Double>> figures,
            Map<String, Long> from,
            Optional<String> way,
            long ms,
            int reps,
            long atMs) {
        String name = way.orElse("");
        figures.computeIfAbsent(name, first -> new ArrayList<>()).add(ms / 1000.0 / reps);
        from.putIfAbsent(name, atMs);
    }
}
