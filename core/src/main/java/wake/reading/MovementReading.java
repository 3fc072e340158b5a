package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.log.AttemptLog;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;

/**
 * One movement over an attempt.
 *
 * @param movement its name
 * @param elapsedMs its share of the clock
 * @param transitionMs getting there
 * @param workMs in sets, faults included
 * @param restMs in breaks
 * @param faultMs what faults cost, part of the work
 * @param unseparatedMs not told apart by the marks
 * @param rows each of its segments
 * @param fadePercent how much slower its last segment is than its first, on the Theil–Sen line through all of them; empty with
 *     fewer than three
 */
public record MovementReading(
        String movement,
        long elapsedMs,
        long transitionMs,
        long workMs,
        long restMs,
        long faultMs,
        long unseparatedMs,
        List<Row> rows,
        OptionalDouble fadePercent) {
    private static final int FEWEST = 3;

    public MovementReading {
        rows = List.copyOf(rows);
    }

    /**
     * One segment of it.
     *
     * @param split what happened
     * @param sets the sets, each with its cadence where it can be told, and the rest after it
     */
    public record Row(SegmentSplit split, List<Set> sets) {
        public Row {
            sets = List.copyOf(sets);
        }
    }

    /** A set: its reps, its cadence in seconds per unit, and the rest after it in milliseconds. */
    public record Set(Optional<Integer> reps, OptionalDouble secondsPerUnit, Optional<Long> restAfterMs) {}

    static List<MovementReading> of(AttemptLog log) {
        Map<String, List<SegmentSplit>> byMovement = new LinkedHashMap<>();
        for (SegmentSplit split : log.splits()) {
            byMovement
                    .computeIfAbsent(split.segment().movement().name(), name -> new ArrayList<>())
                    .add(split);
        }
        List<MovementReading> readings = new ArrayList<>();
        byMovement.forEach((movement, splits) -> readings.add(reading(movement, splits)));
        return readings;
    }

    private static MovementReading reading(String movement, List<SegmentSplit> splits) {
        return new MovementReading(
                movement,
                sum(splits, SegmentSplit::elapsedMs),
                sum(splits, SegmentSplit::transitionMs),
                sum(splits, SegmentSplit::workMs),
                sum(splits, SegmentSplit::restMs),
                sum(splits, SegmentSplit::faultMs),
                sum(splits, SegmentSplit::unseparatedMs),
                splits.stream().map(split -> new Row(split, sets(split))).toList(),
                fade(splits));
    }

    private static long sum(List<SegmentSplit> splits, java.util.function.ToLongFunction<SegmentSplit> of) {
        return splits.stream().mapToLong(of).sum();
    }

    private static List<Set> sets(SegmentSplit split) {
        List<Set> sets = new ArrayList<>();
        for (int i = 0; i < split.sets().size(); i++) {
            SetSplit set = split.sets().get(i);
            Optional<Integer> reps =
                    set.reps().isPresent() ? Optional.of(set.reps().getAsInt()) : Optional.empty();
            OptionalDouble cadence = reps.filter(count -> count > 0).isPresent()
                    ? OptionalDouble.of(set.durationMs() / 1000.0 / reps.get())
                    : OptionalDouble.empty();
            Optional<Long> rest = i < split.rests().size()
                    ? Optional.of(split.rests().get(i)).map(RestSplit::durationMs)
                    : Optional.empty();
            sets.add(new Set(reps, cadence, rest));
        }
        return sets;
    }

    private static OptionalDouble fade(List<SegmentSplit> splits) {
        double[] cadences = splits.stream()
                .filter(split -> split.secondsPerUnit().isPresent())
                .mapToDouble(split -> (split.workMs() - split.faultMs())
                        / 1000.0
                        / split.segment().units())
                .toArray();
        if (cadences.length < FEWEST) {
            return OptionalDouble.empty();
        }
        double slope = Statistics.theilSenSlope(cadences);
        double middle = Statistics.median(cadences);
        double half = slope * (cadences.length - 1) / 2;
        return OptionalDouble.of(100 * ((middle + half) / (middle - half) - 1));
    }
}
