package wake.reading;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wake.log.PaceFormat;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.log.Stretch;
import wake.statistics.Statistics;
import wake.workout.Comparability;

/**
 * One line of the workout over an attempt. What lies in rounds of which only the ends were noted is left out.
 *
 * @param movement its name
 * @param elapsedMs its share of the clock
 * @param transitionMs getting there
 * @param workMs in sets, faults included
 * @param restMs in breaks
 * @param faultMs what faults cost, part of the work
 * @param unseparatedMs not broken down by the marks
 * @param rows each of its segments
 * @param fadePercent how much slower its last segment is than its first, on the Theil–Sen line through all of them; empty with
 *     fewer than three at one load
 * @param withRests whether its fade and its rates are of its movement splits, rests included, because no more was logged
 * @param noFade why no fade is known, where the load is the reason
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
        OptionalDouble fadePercent,
        boolean withRests,
        Optional<String> noFade) {
    private static final int FEWEST = 3;

    public MovementReading {
        rows = List.copyOf(rows);
    }

    /** Whether the athlete did it, not a partner. */
    public boolean isOwn() {
        return rows.stream().noneMatch(row -> row.split().segment().isPartners());
    }

    /**
     * In how many of its splits all reps were done in one set.
     *
     * @param times in how many
     * @param of how many were logged by their sets
     */
    public record Unbroken(int times, int of) {}

    /** Its slowest and its fastest rate in the words of the movement: "24–26 reps/min"; empty where none is known. */
    public Optional<String> rates() {
        double[] seconds = rows.stream()
                .flatMapToDouble(row -> row.secondsPerUnit().stream())
                .sorted()
                .toArray();
        return seconds.length == 0
                ? Optional.empty()
                : Optional.of(
                        PaceFormat.span(rows.getFirst().split().segment(), seconds[0], seconds[seconds.length - 1]));
    }

    /** How often it was done unbroken; empty where it is not done in reps, or never logged by sets. */
    public Optional<Unbroken> unbroken() {
        List<SegmentSplit> known = rows.stream()
                .map(Row::split)
                .filter(split -> split.complete()
                        && split.unseparatedMs() == 0
                        && split.segment().tappable()
                        && split.segment().steps() > 1
                        && !split.sets().isEmpty())
                .toList();
        int times =
                (int) known.stream().filter(split -> split.sets().size() == 1).count();
        return known.isEmpty() ? Optional.empty() : Optional.of(new Unbroken(times, known.size()));
    }

    /**
     * One segment of it.
     *
     * @param split what happened
     * @param secondsPerUnit while working, faults included, or rests included as well; empty where that is not known
     * @param sets the sets, each with its cadence where it is known, and the rest after it
     */
    public record Row(SegmentSplit split, OptionalDouble secondsPerUnit, List<Set> sets) {
        public Row {
            sets = List.copyOf(sets);
        }

        /** How much slower its last set was than its first, in percent; empty with fewer than three whose reps are known. */
        public OptionalDouble growthPercent() {
            double[] paces = sets.stream()
                    .filter(set ->
                            set.secondsPerUnit().isPresent() && set.reps().orElse(0) > 1)
                    .mapToDouble(set -> set.secondsPerUnit().getAsDouble())
                    .toArray();
            return paces.length < FEWEST ? OptionalDouble.empty() : OptionalDouble.of(fade(paces));
        }
    }

    /** A set: its reps, the cycle of those no fault delayed in seconds per unit ({@link RepRhythm}), of a single its time, and the rest after it in milliseconds. */
    public record Set(Optional<Integer> reps, OptionalDouble secondsPerUnit, Optional<Long> restAfterMs) {}

    static List<MovementReading> of(List<Stretch> stretches) {
        Map<String, List<SegmentSplit>> lines = new LinkedHashMap<>();
        for (Stretch stretch : stretches) {
            if (!stretch.whole()) {
                lines.computeIfAbsent(stretch.name(), name -> new ArrayList<>()).add(stretch.first());
            }
        }
        List<MovementReading> readings = new ArrayList<>();
        lines.forEach((line, splits) -> readings.add(reading(line, splits)));
        return readings;
    }

    private static MovementReading reading(String line, List<SegmentSplit> splits) {
        boolean oneLoad = splits.stream()
                .allMatch(split -> Comparability.comparable(
                        split.segment(), splits.getFirst().segment()));
        RepRhythm rhythm = oneLoad ? RepRhythm.of(splits.stream()) : new RepRhythm(OptionalDouble.empty());
        boolean withRests = splits.stream().allMatch(SegmentSplit::unseparatedWork);
        return new MovementReading(
                line,
                sum(splits, SegmentSplit::elapsedMs),
                sum(splits, SegmentSplit::transitionMs),
                sum(splits, SegmentSplit::workMs),
                sum(splits, SegmentSplit::restMs),
                sum(splits, SegmentSplit::faultMs),
                sum(splits, SegmentSplit::unseparatedMs),
                splits.stream()
                        .map(split -> new Row(
                                split,
                                withRests ? split.secondsPerUnitWithRests() : split.secondsPerUnit(),
                                sets(split, rhythm)))
                        .toList(),
                !oneLoad ? OptionalDouble.empty() : withRests ? fadeOfSplits(splits) : fade(splits, rhythm),
                withRests,
                oneLoad ? Optional.empty() : Optional.of("Its load changes, so a fade cannot be told from the load."));
    }

    private static long sum(List<SegmentSplit> splits, java.util.function.ToLongFunction<SegmentSplit> of) {
        return splits.stream().mapToLong(of).sum();
    }

    private static List<Set> sets(SegmentSplit split, RepRhythm rhythm) {
        List<Set> sets = new ArrayList<>();
        for (int i = 0; i < split.sets().size(); i++) {
            SetSplit set = split.sets().get(i);
            Optional<Integer> reps =
                    set.reps().isPresent() ? Optional.of(set.reps().getAsInt()) : Optional.empty();
            OptionalDouble cadence = rhythm.secondsPerRep(split, set);
            sets.add(new Set(reps, cadence, split.restAfter(i).map(RestSplit::durationMs)));
        }
        return sets;
    }

    /** The same of whole movement splits of as much work; the first of an attempt has no transition in it. */
    private static OptionalDouble fadeOfSplits(List<SegmentSplit> splits) {
        double[] times = splits.stream()
                .filter(split ->
                        Comparability.same(split.segment(), splits.getLast().segment()))
                .flatMapToDouble(split -> split.secondsPerUnitWithRests().stream())
                .toArray();
        return times.length < FEWEST ? OptionalDouble.empty() : OptionalDouble.of(fade(times));
    }

    private static OptionalDouble fade(List<SegmentSplit> splits, RepRhythm rhythm) {
        double[] cadences = splits.stream()
                .filter(split -> split.secondsPerUnit().isPresent())
                .mapToDouble(split -> rhythm.cycleMs(
                        split.workMs() - split.faultMs(),
                        split.segment().units(),
                        split.sets().size()))
                .toArray();
        return cadences.length < FEWEST ? OptionalDouble.empty() : OptionalDouble.of(fade(cadences));
    }

    /** Last against first on the Theil–Sen line through some figures, whose intercept puts it through their median. */
    private static double fade(double[] figures) {
        double slope = Statistics.theilSenSlope(figures);
        double middle = Statistics.median(figures);
        double half = slope * (figures.length - 1) / 2;
        return 100 * ((middle + half) / (middle - half) - 1);
    }
}
