package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * The rounds of a workout and how even they were.
 *
 * @param splits each complete round, in order
 * @param consistency how even they were; only for two rounds or more of the same work
 */
public record Rounds(List<Round> splits, Optional<Consistency> consistency) {
    public Rounds {
        splits = List.copyOf(splits);
    }

    /** One round: its number, its elapsed time and the clock at its end. */
    public record Round(int number, long elapsedMs, long endMs) {}

    /**
     * How even rounds of the same work were.
     *
     * @param rangeMs slowest less fastest
     * @param variation coefficient of variation, as a fraction
     * @param decrementPercent percentage decrement
     * @param slopeMsPerRound Theil–Sen slope
     */
    public record Consistency(long rangeMs, double variation, double decrementPercent, double slopeMsPerRound) {}

    static Rounds of(AttemptLog log) {
        Map<Integer, List<SegmentSplit>> byRound = new TreeMap<>();
        for (SegmentSplit split : log.splits()) {
            if (split.segment().inRounds()) {
                byRound.computeIfAbsent(split.segment().round(), round -> new ArrayList<>())
                        .add(split);
            }
        }
        List<Round> rounds = new ArrayList<>();
        byRound.forEach((number, splits) -> {
            boolean complete =
                    splits.size() == perRound(log, number) && splits.getLast().complete();
            if (complete) {
                long start = splits.getFirst().arrivalMs();
                long end = splits.getLast().endMs();
                rounds.add(new Round(number, end - start, end));
            }
        });
        return new Rounds(
                rounds, sameWork(log) && rounds.size() > 1 ? Optional.of(consistency(rounds)) : Optional.empty());
    }

    private static long perRound(AttemptLog log, int round) {
        return log.course().throughRound(round).stream()
                .filter(segment -> segment.inRounds() && segment.round() == round)
                .count();
    }

    /** Whether every round asks for the same amounts. */
    private static boolean sameWork(AttemptLog log) {
        Map<Integer, List<String>> amounts = new TreeMap<>();
        for (Segment segment : log.course().segments()) {
            if (segment.inRounds()) {
                amounts.computeIfAbsent(segment.round(), round -> new ArrayList<>())
                        .add(segment.label());
            }
        }
        return amounts.values().stream().distinct().count() == 1;
    }

    private static Consistency consistency(List<Round> rounds) {
        double[] times = rounds.stream().mapToDouble(Round::elapsedMs).toArray();
        double[] sorted = java.util.Arrays.stream(times).sorted().toArray();
        return new Consistency(
                Math.round(sorted[sorted.length - 1] - sorted[0]),
                Statistics.coefficientOfVariation(times),
                Statistics.percentageDecrement(times),
                Statistics.theilSenSlope(times));
    }
}
