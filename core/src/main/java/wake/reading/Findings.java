package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToLongFunction;
import wake.reading.Finding.Kind;
import wake.reading.Finding.Moment;
import wake.reading.Finding.Term;
import wake.statistics.Outlying;
import wake.units.Unit;
import wake.workout.Lap;
import wake.workout.Lap.Block;

/** The dearest losses of an attempt; none that its reading error could explain. */
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
    /** One split with this share of a loss is named; an assumption. */
    private static final double ALONE = 0.8;

    private final List<SegmentDelta> deltas;
    private final Ledger ledger;
    private final Baseline.Kind baseline;
    private final Map<Block, Map<Lap, List<SegmentDelta>>> byBlock = new LinkedHashMap<>();

    private Findings(List<SegmentDelta> deltas, Ledger ledger, Baseline.Kind baseline) {
        this.deltas = deltas;
        this.ledger = ledger;
        this.baseline = baseline;
        for (SegmentDelta delta : deltas) {
            Lap lap = delta.stretch().segment().lap();
            if (lap.repeats() && delta.stretch().complete() && delta.stretch().isOwn()) {
                byBlock.computeIfAbsent(lap.block(), block -> new LinkedHashMap<>())
                        .computeIfAbsent(lap, first -> new ArrayList<>())
                        .add(delta);
            }
        }
    }

    static List<Finding> of(List<SegmentDelta> deltas, Ledger ledger, Baseline.Kind baseline) {
        return new Findings(deltas, ledger, baseline).all();
    }

    /** A loss by one cause that its reading error cannot explain. */
    private record Loss(String movement, Cause cause, long lostMs, List<SegmentDelta> involved) {}

    private List<Finding> all() {
        List<Finding> findings = new ArrayList<>();
        Set<SegmentDelta> known = new HashSet<>();
        for (Map<Lap, List<SegmentDelta>> rounds : byBlock.values()) {
            fastStart(rounds).ifPresent(start -> {
                findings.add(start);
                rounds.values().forEach(known::addAll);
            });
            slowRound(rounds).ifPresent(findings::add);
        }
        losses(known).stream()
                .sorted(Comparator.comparingLong(Loss::lostMs).reversed())
                .limit(MOST)
                .map(this::byCause)
                .forEach(findings::add);
        findings.sort(Comparator.comparingLong(Finding::lostMs).reversed());
        return List.copyOf(findings.subList(0, Math.min(MOST, findings.size())));
    }

    /** Losses by row and cause; those on pace of what a fast start tells of already are left out. */
    private List<Loss> losses(Set<SegmentDelta> paceTold) {
        Map<String, List<SegmentDelta>> byName = new LinkedHashMap<>();
        for (SegmentDelta delta : deltas) {
            if (!delta.stretch().isOwn()) {
                continue;
            }
            byName.computeIfAbsent(delta.stretch().name(), name -> new ArrayList<>())
                    .add(delta);
        }
        List<Loss> losses = new ArrayList<>();
        for (Ledger.Row row : ledger.rows()) {
            List<SegmentDelta> involved = byName.getOrDefault(row.movement(), List.of());
            if (involved.isEmpty()) {
                continue;
            }
            long error = readingError(involved);
            long scatter = baseline == Baseline.Kind.BEST_SPLITS ? RepScatter.byItselfMs(involved) : 0;
            row.byCause().forEach((cause, lost) -> {
                boolean known = cause == Cause.PACE && involved.stream().anyMatch(paceTold::contains);
                if (cause.isLoss()
                        && !known
                        && lost >= LEAST_MS
                        && lost > error
                        && (cause != Cause.PACE || lost > scatter)) {
                    losses.add(new Loss(row.movement(), cause, lost, involved));
                }
            });
        }
        return losses;
    }

    private Finding byCause(Loss loss) {
        return finding(
                Kind.CAUSE,
                loss.movement(),
                loss.cause(),
                loss.lostMs(),
                loss.involved(),
                0,
                0,
                Moments.of(loss.involved(), loss.cause()),
                loss.involved().stream()
                        .filter(delta -> delta.by(loss.cause()) != 0)
                        .map(delta -> new Term(
                                delta.stretch().place(), delta.stretch().ms(loss.cause()), delta.by(loss.cause())))
                        .toList());
    }

    private Finding finding(
            Kind kind,
            String movement,
            Cause cause,
            long lostMs,
            List<SegmentDelta> involved,
            long savedMs,
            long medianMs,
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
                        .allMatch(delta -> delta.stretch().segment().amount().unit() == Unit.REP),
                involved.stream()
                        .flatMap(delta -> delta.stretch().splits().stream())
                        .mapToInt(split -> split.faults().size())
                        .sum(),
                involved.stream().allMatch(delta -> delta.stretch().whole()),
                savedMs,
                medianMs,
                moments,
                terms);
    }

    /** The first of several rounds of a block gone faster than allowed, and time lost on pace in those after it. */
    private Optional<Finding> fastStart(Map<Lap, List<SegmentDelta>> rounds) {
        List<List<SegmentDelta>> inOrder = List.copyOf(rounds.values());
        if (inOrder.size() < FEWEST_ROUNDS || firstLap(rounds).number() != 1) {
            return Optional.empty();
        }
        List<SegmentDelta> first = inOrder.getFirst();
        long expected = sum(first, SegmentDelta::expectedMs);
        long won = -sum(first, Findings::pace);
        List<SegmentDelta> later =
                inOrder.stream().skip(1).flatMap(List::stream).toList();
        long lost = sum(later, Findings::pace);
        long error = readingError(later);
        if (won < Math.max(NOTABLE_MS, FAST_START * expected) || lost < NOTABLE_MS || lost <= error) {
            return Optional.empty();
        }
        return Optional.of(finding(
                Kind.FAST_START,
                firstLap(rounds).block().name(),
                Cause.PACE,
                lost,
                later,
                won,
                0,
                Moments.of(later, Cause.PACE),
                terms(rounds, Findings::pace)));
    }

    private static List<Term> terms(Map<Lap, List<SegmentDelta>> rounds, ToLongFunction<SegmentDelta> of) {
        return rounds.entrySet().stream()
                .map(round -> new Term(round.getKey().words(), 0, sum(round.getValue(), of)))
                .toList();
    }

    private static Lap firstLap(Map<Lap, List<SegmentDelta>> rounds) {
        return rounds.keySet().iterator().next();
    }

    private static long pace(SegmentDelta delta) {
        return delta.by(Cause.PACE);
    }

    /** A round far over the others of its block that no single movement and cause explains. */
    private Optional<Finding> slowRound(Map<Lap, List<SegmentDelta>> rounds) {
        double[] over = rounds.values().stream()
                .mapToDouble(round -> sum(round, SegmentDelta::lostMs))
                .toArray();
        return Outlying.among(over)
                .flatMap(rule -> rounds.entrySet().stream()
                        .filter(round ->
                                rule.is(sum(round.getValue(), SegmentDelta::lostMs)) && !byOneCause(round.getValue()))
                        .max(Comparator.comparingLong(round -> sum(round.getValue(), SegmentDelta::lostMs)))
                        .map(round -> slowRound(rounds, round.getKey(), Math.round(rule.median())))
                        .filter(finding -> finding.lostMs() > finding.readingErrorMs()));
    }

    private Finding slowRound(Map<Lap, List<SegmentDelta>> rounds, Lap lap, long median) {
        List<SegmentDelta> round = rounds.getOrDefault(lap, List.of());
        long lost = sum(round, SegmentDelta::lostMs) - median;
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
                median,
                List.of(moment),
                terms(rounds, SegmentDelta::lostMs));
    }

    private static boolean byOneCause(List<SegmentDelta> round) {
        long all = sum(round, SegmentDelta::lostMs);
        return !round.getFirst().stretch().whole()
                && round.stream()
                        .flatMap(delta -> delta.byCause().values().stream())
                        .anyMatch(ms -> ms >= ALONE * all);
    }

    private static long sum(List<SegmentDelta> some, ToLongFunction<SegmentDelta> of) {
        return some.stream().mapToLong(of).sum();
    }

    /** Twice the combined standard uncertainty of independent segment times (JCGM 100:2008, 5.1.2). */
    private static long readingError(List<SegmentDelta> involved) {
        double squares = involved.stream()
                .mapToDouble(delta -> delta.stretch().uncertaintyS())
                .map(u -> u * u)
                .sum();
        return Math.round(2000 * Math.sqrt(squares));
    }
}
