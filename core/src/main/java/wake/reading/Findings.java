package wake.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wake.log.Cause;
import wake.log.Stretch;
import wake.reading.Finding.Kind;
import wake.reading.Finding.Moment;
import wake.reading.Finding.Term;
import wake.statistics.Outlying;
import wake.statistics.Statistics;
import wake.units.Unit;
import wake.workout.Lap;
import wake.workout.Lap.Block;

/**
 * The largest losses of an attempt. They share it out: a second is told once, by what explains most of what those before it left, and what single splits
 * lost by one cause comes before the round they lie in. None is told that normal variation or the timing error could explain.
 */
final class Findings {
    /** More than five are not read; common practice, no source. */
    private static final int MOST = 5;
    /** Less is not worth a line; an assumption. */
    private static final long LEAST_MS = 1000;
    /** A start is fast, and a round slow, from here on; an assumption. */
    private static final long NOTABLE_MS = 2000;

    /** So much faster than the rest is a fast start; an assumption. */
    private static final double FAST_START = 0.03;
    /** A fast start or a slow round shows only beside two others. */
    private static final int FEWEST_ROUNDS = 3;
    /** What has such a share of what a round lost is told by itself; an assumption. */
    private static final double ALONE = 0.5;
    /** A sum of what scatters stays within so many of its standard deviations in 99 of 100 cases (normal distribution). */
    private static final double WITHIN = 2.58;

    private final Baseline.Kind baseline;
    private final Map<Block, Map<Lap, List<Untold>>> byBlock = new LinkedHashMap<>();
    private final Map<String, List<Untold>> byName = new LinkedHashMap<>();

    /** What of a split no finding has told yet, each cause at its ordinal. */
    private static final class Untold {
        final SegmentDelta delta;
        final long[] left = new long[Cause.values().length];

        Untold(SegmentDelta delta) {
            this.delta = delta;
            delta.byCause().forEach((cause, ms) -> left[cause.ordinal()] = cause.isLoss() ? ms : 0);
        }

        long by(Cause cause) {
            return left[cause.ordinal()];
        }

        long pace() {
            return by(Cause.PACE);
        }

        /** All but for faults, which are told by themselves. */
        long spread() {
            long sum = 0;
            for (long ms : left) {
                sum += ms;
            }
            return sum - by(Cause.FAULT);
        }

        Stretch stretch() {
            return delta.stretch();
        }

        void told(Set<Cause> causes) {
            causes.forEach(cause -> left[cause.ordinal()] = 0);
        }
    }

    private Findings(List<SegmentDelta> deltas, Baseline.Kind baseline) {
        this.baseline = baseline;
        for (SegmentDelta delta : deltas) {
            if (!delta.stretch().isOwn()) {
                continue;
            }
            Untold untold = new Untold(delta);
            byName.computeIfAbsent(delta.stretch().name(), name -> new ArrayList<>())
                    .add(untold);
            Lap lap = delta.stretch().segment().lap();
            if (lap.repeats() && delta.stretch().complete()) {
                byBlock.computeIfAbsent(lap.block(), block -> new LinkedHashMap<>())
                        .computeIfAbsent(lap, first -> new ArrayList<>())
                        .add(untold);
            }
        }
    }

    static List<Finding> of(List<SegmentDelta> deltas, Baseline.Kind baseline) {
        return new Findings(deltas, baseline).all();
    }

    /** A loss of some splits by some causes, and what is said of it, put into words only where it is. */
    private record Loss(long lostMs, List<Untold> of, Set<Cause> causes, Supplier<Finding> finding) {}

    private List<Finding> all() {
        List<Finding> findings = new ArrayList<>();
        while (findings.size() < MOST) {
            Optional<Loss> largest = losses().max(Comparator.comparingLong(Loss::lostMs));
            if (largest.isEmpty()) {
                break;
            }
            Loss told = largest.get();
            findings.add(told.finding().get());
            told.of().forEach(untold -> untold.told(told.causes()));
        }
        findings.sort(Comparator.comparingLong(Finding::lostMs).reversed());
        return List.copyOf(findings);
    }

    private Stream<Loss> losses() {
        return Stream.concat(
                byBlock.values().stream()
                        .flatMap(rounds -> Stream.concat(fastStart(rounds).stream(), slowRound(rounds).stream())),
                byName.values().stream()
                        .flatMap(row -> Arrays.stream(Cause.values())
                                .filter(Cause::isLoss)
                                .flatMap(cause -> byCause(row, cause).stream())));
    }

    /** What one movement lost by one cause. */
    private Optional<Loss> byCause(List<Untold> row, Cause cause) {
        List<Untold> involved =
                row.stream().filter(untold -> untold.by(cause) != 0).toList();
        long lost = sum(involved, untold -> untold.by(cause));
        if (lost < LEAST_MS || lost <= readingError(involved) || lost <= variation(involved, cause)) {
            return Optional.empty();
        }
        return Optional.of(new Loss(
                lost,
                involved,
                Set.of(cause),
                () -> finding(
                        Kind.CAUSE,
                        row.getFirst().stretch().name(),
                        cause,
                        lost,
                        involved,
                        0,
                        0,
                        Moments.of(deltas(involved), cause),
                        involved.stream()
                                .map(untold -> new Term(
                                        untold.stretch().place(),
                                        untold.stretch().ms(cause),
                                        untold.delta.by(cause)))
                                .toList())));
    }

    /** What scatter alone makes of a difference to what is the same every time; best splits allow for it split by split. */
    private long variation(List<Untold> involved, Cause cause) {
        if (baseline == Baseline.Kind.BEST_SPLITS || cause == Cause.FAULT) {
            return 0;
        }
        double squares = involved.stream()
                .mapToDouble(
                        untold -> LikeFigures.LEAST_VARIATION * untold.stretch().ms(cause))
                .map(sigma -> sigma * sigma)
                .sum();
        return Math.round(WITHIN * Math.sqrt(squares));
    }

    private Finding finding(
            Kind kind,
            String movement,
            Cause cause,
            long lostMs,
            List<Untold> involved,
            long savedMs,
            long trendMs,
            List<Moment> moments,
            List<Term> terms) {
        return new Finding(
                kind,
                movement,
                cause,
                lostMs,
                readingError(involved),
                baseline,
                involved.stream()
                        .allMatch(untold -> untold.stretch().segment().amount().unit() == Unit.REP),
                involved.stream()
                        .flatMap(untold -> untold.stretch().splits().stream())
                        .mapToInt(split -> split.faults().size())
                        .sum(),
                involved.stream().allMatch(untold -> untold.stretch().whole()),
                savedMs,
                trendMs,
                moments,
                terms);
    }

    /**
     * The first of several rounds of a block gone faster than what it is compared with, and time lost on pace in those after it. Compared with best
     * splits, which are never beaten, faster than each round after it.
     */
    private Optional<Loss> fastStart(Map<Lap, List<Untold>> rounds) {
        List<List<Untold>> inOrder = List.copyOf(rounds.values());
        if (inOrder.size() < FEWEST_ROUNDS || firstLap(rounds).number() != 1) {
            return Optional.empty();
        }
        List<Untold> first = inOrder.getFirst();
        List<Untold> later = inOrder.stream().skip(1).flatMap(List::stream).toList();
        long saved = baseline == Baseline.Kind.BEST_SPLITS
                ? inOrder.stream()
                                .skip(1)
                                .mapToLong(round -> sum(round, Untold::pace))
                                .min()
                                .orElse(0)
                        - sum(first, Untold::pace)
                : -sum(first, Untold::pace);
        long lost = sum(later, Untold::pace);
        if (saved < Math.max(NOTABLE_MS, FAST_START * sum(first, untold -> untold.delta.expectedMs()))
                || lost < NOTABLE_MS
                || lost <= readingError(later)) {
            return Optional.empty();
        }
        List<Untold> all = new ArrayList<>(first);
        all.addAll(later);
        return Optional.of(new Loss(
                lost,
                all,
                Set.of(Cause.PACE),
                () -> finding(
                        Kind.FAST_START,
                        firstLap(rounds).block().name(),
                        Cause.PACE,
                        lost,
                        later,
                        saved,
                        0,
                        Moments.of(deltas(later), Cause.PACE),
                        terms(rounds, Untold::pace))));
    }

    private static List<Term> terms(Map<Lap, List<Untold>> rounds, ToLongFunction<Untold> of) {
        return rounds.entrySet().stream()
                .map(round -> new Term(round.getKey().words(), 0, sum(round.getValue(), of)))
                .toList();
    }

    private static Lap firstLap(Map<Lap, List<Untold>> rounds) {
        return rounds.keySet().iterator().next();
    }

    /** A round far over the trend of its block by what no single split and cause explains: getting slower round by round is no event of the last one. */
    private Optional<Loss> slowRound(Map<Lap, List<Untold>> rounds) {
        List<Lap> laps = List.copyOf(rounds.keySet());
        double[] lost = rounds.values().stream().mapToDouble(this::spread).toArray();
        double slope = lost.length < FEWEST_ROUNDS ? 0 : Statistics.theilSenSlope(lost);
        double[] level = new double[lost.length];
        Arrays.setAll(level, i -> lost[i] - slope * i);
        return Outlying.among(level)
                .flatMap(rule -> IntStream.range(0, level.length)
                        .filter(i -> rule.is(level[i]) && !byOneSplit(rounds.getOrDefault(laps.get(i), List.of())))
                        .boxed()
                        .max(Comparator.comparingDouble(i -> level[i]))
                        .map(i -> slowRound(rounds, laps.get(i), Math.round(lost[i] - level[i] + rule.median())))
                        .filter(loss -> loss.lostMs() > readingError(loss.of())));
    }

    private Loss slowRound(Map<Lap, List<Untold>> rounds, Lap lap, long expected) {
        List<Untold> round = rounds.getOrDefault(lap, List.of());
        long trend = Math.max(0, expected);
        long lost = spread(round) - trend;
        return new Loss(lost, round, EnumSet.allOf(Cause.class), () -> {
            Moment moment = new Moment(
                    round.getFirst().stretch().startMs(),
                    round.getLast().stretch().endMs(),
                    lap.words(),
                    lap.words(),
                    lost);
            return finding(
                    Kind.SLOW_ROUND,
                    "",
                    Cause.PACE,
                    lost,
                    round,
                    0,
                    trend,
                    List.of(moment),
                    terms(rounds, Untold::spread));
        });
    }

    /** What a round lost; what it saved makes no other slower. */
    private long spread(List<Untold> round) {
        return Math.max(0, sum(round, Untold::spread));
    }

    /** Whether one cause in one split makes most of what a round lost: then that is what to tell. */
    private boolean byOneSplit(List<Untold> round) {
        long all = spread(round);
        return !round.getFirst().stretch().whole()
                && round.stream()
                        .flatMapToLong(untold -> Arrays.stream(untold.left))
                        .anyMatch(ms -> ms >= ALONE * all);
    }

    private static List<SegmentDelta> deltas(List<Untold> some) {
        return some.stream().map(untold -> untold.delta).toList();
    }

    private static long sum(List<Untold> some, ToLongFunction<Untold> of) {
        return some.stream().mapToLong(of).sum();
    }

    /** Twice the combined standard uncertainty of independent segment times (JCGM 100:2008, 5.1.2). */
    private static long readingError(List<Untold> involved) {
        double squares = involved.stream()
                .mapToDouble(untold -> untold.stretch().uncertaintyS())
                .map(u -> u * u)
                .sum();
        return Math.round(2000 * Math.sqrt(squares));
    }
}
