package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.log.OwnPart;
import wake.log.SegmentSplit;
import wake.log.SegmentSplit.CleanReps;
import wake.log.SetSplit;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * The techniques one movement was done with at one load, and how fast each was.
 *
 * @param movement the line
 * @param techniques each technique, in the order they first appear
 * @param units how much of the movement there is in the whole workout so far, in its unit
 * @param like one of its segments: its movement and load
 */
public record TechniqueReading(String movement, List<Technique> techniques, double units, Segment like) {
    public TechniqueReading {
        techniques = List.copyOf(techniques);
    }

    /**
     * A technique.
     *
     * @param name what the coach called it; empty for what came before the first was named
     * @param secondsPerUnit the median of its sets, or of its fives where they were tapped
     * @param fastest the fastest of them
     * @param slowest the slowest of them
     * @param figures how many there are
     * @param fromMs the clock at which it was first seen
     */
    public record Technique(
            String name, double secondsPerUnit, double fastest, double slowest, int figures, long fromMs) {
        /** Of fewer figures nothing is said of a technique; an assumption. */
        private static final int FEWEST = 2;

        public boolean comparable() {
            return figures >= FEWEST;
        }
    }

    /** What doing all of it with one technique rather than another would save, seconds; above zero is faster. Empty with fewer than two figures of either. */
    public static OptionalDouble gain(TechniqueReading reading, Technique technique, Technique instead) {
        return !technique.comparable() || !instead.comparable()
                ? OptionalDouble.empty()
                : OptionalDouble.of((technique.secondsPerUnit() - instead.secondsPerUnit()) * reading.units());
    }

    /** By movement and load, where a technique was named. */
    public static List<TechniqueReading> of(OwnPart own) {
        Map<String, List<SegmentSplit>> lines = new LinkedHashMap<>();
        for (SegmentSplit split : own.done()) {
            lines.computeIfAbsent(split.segment().lineAtLoad(), key -> new ArrayList<>())
                    .add(split);
        }
        return lines.values().stream()
                .filter(splits ->
                        splits.stream().anyMatch(split -> !split.techniques().isEmpty()))
                .map(TechniqueReading::reading)
                .filter(reading -> !reading.techniques().isEmpty())
                .toList();
    }

    private static TechniqueReading reading(List<SegmentSplit> splits) {
        Map<String, List<Double>> figures = new LinkedHashMap<>();
        Map<String, Long> from = new LinkedHashMap<>();
        double units = 0;
        for (SegmentSplit split : splits) {
            units += split.unitsDone();
            for (SetSplit set : split.sets()) {
                Optional<CleanReps> clean = split.cleanReps(set);
                clean.ifPresent(reps -> cut(split, set, reps, figures, from));
            }
            if (split.segment().countable().isEmpty() && split.secondsPerUnit().isPresent()) {
                String technique = split.technique().orElse("");
                figures.computeIfAbsent(technique, name -> new ArrayList<>())
                        .add(split.secondsPerUnit().getAsDouble());
                from.putIfAbsent(technique, split.arrivalMs());
            }
        }
        List<Technique> techniques = new ArrayList<>();
        figures.forEach((name, paces) -> {
            double[] sorted =
                    paces.stream().mapToDouble(Double::doubleValue).sorted().toArray();
            techniques.add(new Technique(
                    name,
                    Statistics.median(sorted),
                    sorted[0],
                    sorted[sorted.length - 1],
                    sorted.length,
                    from.getOrDefault(name, 0L)));
        });
        return new TechniqueReading(
                splits.getFirst().segment().line().name(),
                techniques,
                units,
                splits.getFirst().segment());
    }

    /** A set, cut where the variant changes inside it; what cannot be cut for want of taps, or for a fault in it, belongs to none. */
    private static void cut(
            SegmentSplit split,
            SetSplit set,
            CleanReps clean,
            Map<String, List<Double>> figures,
            Map<String, Long> from) {
        Optional<String> start = split.techniqueAt(set.startMs());
        Optional<String> end = split.techniqueAt(set.endMs());
        if (start.equals(end)) {
            add(figures, from, start, clean.ms(), clean.reps(), set.startMs());
            return;
        }
        if (!split.isClean(set)) {
            return;
        }
        List<Long> reps = set.repTimesMs();
        long at = set.startMs();
        for (int i = 0; i < reps.size(); ) {
            Optional<String> technique = split.techniqueAt(reps.get(i));
            int j = i;
            while (j < reps.size() && split.techniqueAt(reps.get(j)).equals(technique)) {
                j++;
            }
            add(figures, from, technique, reps.get(j - 1) - at, j - i, at);
            at = reps.get(j - 1);
            i = j;
        }
    }

    private static void add(
            Map<String, List<Double>> figures,
            Map<String, Long> from,
            Optional<String> technique,
            long ms,
            int reps,
            long atMs) {
        String name = technique.orElse("");
        figures.computeIfAbsent(name, first -> new ArrayList<>()).add(ms / 1000.0 / reps);
        from.putIfAbsent(name, atMs);
    }
}
