package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wake.reading.Finding.Kind;
import wake.reading.Finding.Moment;
import wake.statistics.Statistics;

/** The dearest losses of an attempt; none that its reading error could explain. */
final class Findings {
    private static final int MOST = 5;
    private static final long LEAST_MS = 1000;
    /** A start is fast, and a round slow, from here on. */
    private static final long NOTABLE_MS = 2000;

    private static final double FAST_START = 0.03;
    private static final int FEWEST_ROUNDS = 3;
    private static final double ALONE = 0.8;

    private final List<SegmentDelta> deltas;
    private final Ledger ledger;
    private final Yardstick.Kind yardstick;
    private final Map<Integer, List<SegmentDelta>> byRound = new TreeMap<>();

    private Findings(List<SegmentDelta> deltas, Ledger ledger, Yardstick.Kind yardstick) {
        this.deltas = deltas;
        this.ledger = ledger;
        this.yardstick = yardstick;
        for (SegmentDelta delta : deltas) {
            if (delta.split().segment().inRounds() && delta.split().complete()) {
                byRound.computeIfAbsent(delta.split().segment().round(), round -> new ArrayList<>())
                        .add(delta);
            }
        }
    }

    static List<Finding> of(List<SegmentDelta> deltas, Ledger ledger, Yardstick.Kind yardstick) {
        return new Findings(deltas, ledger, yardstick).all();
    }

    /** A loss by one cause that its reading error cannot explain, before it is put into words. */
    private record Loss(String movement, Cause cause, long lostMs, long errorMs, List<SegmentDelta> involved) {}

    private List<Finding> all() {
        List<Finding> findings = new ArrayList<>();
        Optional<Finding> start = fastStart();
        start.ifPresent(findings::add);
        slowRound().ifPresent(findings::add);
        losses(start.isPresent()).stream()
                .sorted(Comparator.comparingLong(Loss::lostMs).reversed())
                .limit(MOST)
                .map(this::byCause)
                .forEach(findings::add);
        findings.sort(Comparator.comparingLong(Finding::lostMs).reversed());
        return List.copyOf(findings.subList(0, Math.min(MOST, findings.size())));
    }

    private List<Loss> losses(boolean paceTold) {
        Map<String, List<SegmentDelta>> byMovement = new HashMap<>();
        for (SegmentDelta delta : deltas) {
            byMovement
                    .computeIfAbsent(delta.split().segment().movement().name(), name -> new ArrayList<>())
                    .add(delta);
        }
        List<Loss> losses = new ArrayList<>();
        for (Ledger.Row row : ledger.rows()) {
            List<SegmentDelta> involved = byMovement.getOrDefault(row.movement(), List.of());
            long error = readingError(involved);
            row.byCause().forEach((cause, lost) -> {
                boolean told = paceTold && cause == Cause.PACE;
                if (cause != Cause.INTERVAL_REST && !told && lost >= LEAST_MS && lost > error) {
                    losses.add(new Loss(row.movement(), cause, lost, error, involved));
                }
            });
        }
        return losses;
    }

    private Finding byCause(Loss loss) {
        List<Moment> moments = Moments.of(loss.involved(), loss.cause());
        return new Finding(
                Kind.CAUSE,
                loss.movement(),
                loss.cause(),
                loss.lostMs(),
                loss.errorMs(),
                Words.finding(loss.movement(), loss.cause(), loss.lostMs(), moments, yardstick),
                moments,
                Working.byCause(loss.involved(), loss.cause(), loss.lostMs(), loss.errorMs()));
    }

    /** The first of several rounds of the same work gone faster than allowed, and time lost on pace in those after it. */
    private Optional<Finding> fastStart() {
        if (byRound.size() < FEWEST_ROUNDS || !byRound.containsKey(1)) {
            return Optional.empty();
        }
        long allowed = sum(byRound.get(1), SegmentDelta::allowedMs);
        long won = -sum(byRound.get(1), Findings::pace);
        List<SegmentDelta> later = byRound.entrySet().stream()
                .filter(round -> round.getKey() > 1)
                .flatMap(round -> round.getValue().stream())
                .toList();
        long lost = sum(later, Findings::pace);
        long error = readingError(later);
        if (won < Math.max(NOTABLE_MS, FAST_START * allowed) || lost < NOTABLE_MS || lost <= error) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                Kind.FAST_START,
                "",
                Cause.PACE,
                lost,
                error,
                Words.fastStart(won, lost, yardstick),
                Moments.of(later, Cause.PACE),
                Working.fastStart(byRound, won, lost)));
    }

    private static long pace(SegmentDelta delta) {
        return delta.byCause().getOrDefault(Cause.PACE, 0L);
    }

    /** A round far over the others that no single movement and cause explains. */
    private Optional<Finding> slowRound() {
        if (byRound.size() < FEWEST_ROUNDS + 1) {
            return Optional.empty();
        }
        double[] over = byRound.values().stream()
                .mapToDouble(round -> sum(round, SegmentDelta::deltaMs))
                .toArray();
        double median = Statistics.median(over);
        double limit = median + Math.max(NOTABLE_MS, Statistics.outlyingFrom(over));
        return byRound.entrySet().stream()
                .filter(round -> sum(round.getValue(), SegmentDelta::deltaMs) > limit && !byOneCause(round.getValue()))
                .max(Comparator.comparingLong(round -> sum(round.getValue(), SegmentDelta::deltaMs)))
                .map(round -> slowRound(round.getKey(), round.getValue(), Math.round(median)))
                .filter(finding -> finding.lostMs() > finding.readingErrorMs());
    }

    private Finding slowRound(int number, List<SegmentDelta> round, long median) {
        long lost = sum(round, SegmentDelta::deltaMs) - median;
        Moment moment = new Moment(
                round.getFirst().split().arrivalMs(), round.getLast().split().endMs(), "round " + number, lost);
        return new Finding(
                Kind.SLOW_ROUND,
                "",
                Cause.PACE,
                lost,
                readingError(round),
                Words.slowRound(number, lost),
                List.of(moment),
                Working.slowRound(byRound, number, median));
    }

    private static boolean byOneCause(List<SegmentDelta> round) {
        long all = sum(round, SegmentDelta::deltaMs);
        return round.stream()
                .flatMap(delta -> delta.byCause().values().stream())
                .anyMatch(ms -> ms >= ALONE * all);
    }

    private static long sum(List<SegmentDelta> some, java.util.function.ToLongFunction<SegmentDelta> of) {
        return some.stream().mapToLong(of).sum();
    }

    /** Twice the combined standard uncertainty of independent segment times (JCGM 100:2008, 5.1.2). */
    private static long readingError(List<SegmentDelta> involved) {
        double squares = involved.stream()
                .mapToDouble(delta -> delta.split().uncertaintyS())
                .map(u -> u * u)
                .sum();
        return Math.round(2000 * Math.sqrt(squares));
    }
}
