package wake.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Lap;
import wake.workout.Lap.Block;
import wake.workout.Segment;

/**
 * The rounds of one block of a workout and how even they were.
 *
 * @param block the block
 * @param splits each complete round, in order
 * @param consistency how even they were; only for two rounds or more of the same work
 * @param differentWork why they cannot be compared, in a sentence; empty where they can, or where there is one only
 */
public record Rounds(
        Block block, List<Round> splits, Optional<Consistency> consistency, Optional<String> differentWork) {
    public Rounds {
        splits = List.copyOf(splits);
    }

    /** Whether they are the athlete's, not a partner's. */
    public boolean isOwn() {
        return splits.isEmpty() || !splits.getFirst().lap().isPartners();
    }

    /**
     * One round.
     *
     * @param lap which
     * @param elapsedMs how long it took, in interval work from the opening of the interval
     * @param startMs the clock at its start
     * @param endMs the clock at its end
     */
    public record Round(Lap lap, long elapsedMs, long startMs, long endMs) {}

    /**
     * How even rounds of the same work were.
     *
     * @param rangeMs slowest less fastest
     * @param variation coefficient of variation, as a fraction
     * @param decrementPercent percentage decrement
     * @param slopeMsPerRound Theil–Sen slope
     */
    public record Consistency(long rangeMs, double variation, double decrementPercent, double slopeMsPerRound) {}

    /** Of every block of the part that has rounds, in order. */
    static List<Rounds> of(AttemptLog log) {
        Map<Block, Map<Lap, List<SegmentSplit>>> blocks = new LinkedHashMap<>();
        for (SegmentSplit split : log.done()) {
            Lap lap = split.segment().lap();
            if (lap.repeats()) {
                Block whose = lap.block().inPairs() ? lap.block().of(lap.isPartners()) : lap.block();
                blocks.computeIfAbsent(whose, block -> new LinkedHashMap<>())
                        .computeIfAbsent(lap, first -> new ArrayList<>())
                        .add(split);
            }
        }
        List<Rounds> all = new ArrayList<>();
        blocks.forEach((block, laps) -> all.add(of(log, block, laps)));
        return all;
    }

    private static Rounds of(AttemptLog log, Block block, Map<Lap, List<SegmentSplit>> laps) {
        List<Round> rounds = new ArrayList<>();
        List<List<Segment>> work = new ArrayList<>();
        laps.forEach((lap, splits) -> {
            SegmentSplit last = splits.getLast();
            if (last.complete() && log.expanded().endsLap(last.segment().index())) {
                long start = splits.getFirst().arrivalMs() + splits.getFirst().waitMs();
                rounds.add(new Round(lap, last.endMs() - start, start, last.endMs()));
                work.add(splits.stream().map(SegmentSplit::segment).toList());
            }
        });
        if (rounds.size() < 2) {
            return new Rounds(block, rounds, Optional.empty(), Optional.empty());
        }
        Optional<String> differentWork = differentWork(work);
        return new Rounds(
                block,
                rounds,
                differentWork.isPresent() ? Optional.empty() : Optional.of(consistency(rounds)),
                differentWork);
    }

    private static Optional<String> differentWork(List<List<Segment>> work) {
        List<Segment> first = work.getFirst();
        if (work.stream().allMatch(round -> Comparability.sameRound(round, first))) {
            return Optional.empty();
        }
        boolean sameMovements = true;
        boolean sameLoads = true;
        for (List<Segment> round : work) {
            sameMovements &= round.size() == first.size();
            for (int i = 0; i < Math.min(round.size(), first.size()); i++) {
                sameMovements &= Comparability.sameMovement(round.get(i), first.get(i));
                sameLoads &= Comparability.comparable(round.get(i), first.get(i));
            }
        }
        if (sameMovements && !sameLoads) {
            return Optional.of("The load changes from round to round, so a fade cannot be told from it.");
        }
        return Optional.of("Rounds differ in work, so their splits are not compared.");
    }

    private static Consistency consistency(List<Round> rounds) {
        double[] times = rounds.stream().mapToDouble(Round::elapsedMs).toArray();
        double[] sorted = Arrays.stream(times).sorted().toArray();
        return new Consistency(
                Math.round(sorted[sorted.length - 1] - sorted[0]),
                Statistics.coefficientOfVariation(times),
                Statistics.percentageDecrement(times),
                Statistics.theilSenSlope(times));
    }
}
