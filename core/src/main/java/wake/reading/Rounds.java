package wake.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Lap;
import wake.workout.Lap.Block;
import wake.workout.Segment;

/**
 * The rounds of one block of a workout and how even they were. Rounds inside rounds are a block of their own, compared with each other throughout the part.
 *
 * @param block the block
 * @param name what distinguishes it from the part's other blocks; of rounds inside rounds what is done in them; empty where there is only one
 * @param isInner whether they lie inside the rounds of another block
 * @param splits each complete round, in order
 * @param consistency how even they were; only for two rounds or more of the same work
 * @param differentWork why they cannot be compared, in a sentence; empty where they can, or where there is one only
 */
public record Rounds(
        Block block,
        String name,
        boolean isInner,
        List<Round> splits,
        Optional<Consistency> consistency,
        Optional<String> differentWork) {
    private static final double MS_A_MINUTE = 60_000;

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
     * @param around which, and those it lies in, the outermost first
     * @param elapsedMs how long it took, in interval work from the opening of the interval
     * @param startMs the clock at its start
     * @param endMs the clock at its end
     * @param reps its reps, where all of it is counted in reps; else empty
     */
    public record Round(List<Lap> around, long elapsedMs, long startMs, long endMs, OptionalInt reps) {
        public Round {
            around = List.copyOf(around);
        }

        public Lap lap() {
            return around.getLast();
        }

        /** "round 3"; "round 3.2" of the second inner round of it. */
        public String words() {
            return Lap.words(around);
        }

        /** "3.2". */
        public String numeral() {
            return Lap.numeral(around);
        }

        /** Reps per minute of all its time, transitions and rests included: what rounds of different work compare by. */
        public OptionalDouble repsPerMinute() {
            return reps.isPresent() && elapsedMs > 0
                    ? OptionalDouble.of(MS_A_MINUTE * reps.getAsInt() / elapsedMs)
                    : OptionalDouble.empty();
        }
    }

    /**
     * How even rounds of the same work were.
     *
     * @param rangeMs slowest less fastest
     * @param variation coefficient of variation, as a fraction
     * @param decrementPercent percentage decrement
     * @param slopeMsPerRound Theil–Sen slope
     */
    public record Consistency(long rangeMs, double variation, double decrementPercent, double slopeMsPerRound) {}

    /** Of every block of the part that has rounds, in order, those inside others after them; the most of one movement has none. */
    static List<Rounds> of(AttemptLog log) {
        Map<Block, Map<List<Lap>, List<SegmentSplit>>> blocks = new LinkedHashMap<>();
        for (SegmentSplit split : log.done()) {
            List<Lap> around = split.segment().around();
            for (int depth = 1; depth <= around.size(); depth++) {
                Lap lap = around.get(depth - 1);
                if (lap.repeats() && !log.expanded().isMostRep(split.segment())) {
                    Block whose =
                            lap.block().inPairs() && depth == 1 ? lap.block().of(lap.isPartners()) : lap.block();
                    blocks.computeIfAbsent(whose, block -> new LinkedHashMap<>())
                            .computeIfAbsent(around.subList(0, depth), first -> new ArrayList<>())
                            .add(split);
                }
            }
        }
        List<Rounds> all = new ArrayList<>();
        blocks.forEach((block, laps) -> all.add(of(log, block, laps)));
        return all;
    }

    private static Rounds of(AttemptLog log, Block block, Map<List<Lap>, List<SegmentSplit>> laps) {
        List<Round> rounds = new ArrayList<>();
        List<List<Segment>> work = new ArrayList<>();
        boolean inner = laps.keySet().stream()
                .anyMatch(
                        around -> around.subList(0, around.size() - 1).stream().anyMatch(Lap::repeats));
        laps.forEach((around, splits) -> {
            SegmentSplit last = splits.getLast();
            boolean seen = !inner || last.endSeen() && before(log, splits.getFirst());
            if (last.complete() && seen && ends(log, last.segment(), around)) {
                long start = splits.getFirst().arrivalMs() + splits.getFirst().waitMs();
                List<Segment> segments =
                        splits.stream().map(SegmentSplit::segment).toList();
                rounds.add(new Round(around, last.endMs() - start, start, last.endMs(), reps(segments)));
                work.add(segments);
            }
        });
        String name = inner ? movements(laps.values().iterator().next()) : block.name();
        if (rounds.size() < 2) {
            return new Rounds(block, name, inner, rounds, Optional.empty(), Optional.empty());
        }
        Optional<String> differentWork = differentWork(work);
        return new Rounds(
                block,
                name,
                inner,
                rounds,
                differentWork.isPresent() ? Optional.empty() : Optional.of(consistency(rounds)),
                differentWork);
    }

    /** Whether the end of the split before one was seen, so that it is known when this one began. */
    private static boolean before(AttemptLog log, SegmentSplit split) {
        int index = split.segment().index();
        return index == 0 || log.done().get(index - 1).endSeen();
    }

    private static boolean ends(AttemptLog log, Segment last, List<Lap> around) {
        int next = last.index() + 1;
        if (!log.expanded().has(next)) {
            return true;
        }
        List<Lap> after = log.expanded().segment(next).around();
        return after.size() < around.size() || !after.subList(0, around.size()).equals(around);
    }

    private static OptionalInt reps(List<Segment> segments) {
        return segments.stream().allMatch(Segment::tappable)
                ? OptionalInt.of(segments.stream().mapToInt(Segment::steps).sum())
                : OptionalInt.empty();
    }

    private static String movements(List<SegmentSplit> splits) {
        return Block.named(splits.stream()
                .map(split -> split.segment().movement().name())
                .distinct()
                .toList());
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
        boolean counted = work.stream().allMatch(round -> reps(round).isPresent());
        return Optional.of(
                counted
                        ? "Rounds differ in work: compare their rates."
                        : "Rounds differ in work, so their splits are not compared.");
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
