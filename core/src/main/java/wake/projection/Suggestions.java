package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.DoubleStream;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.movement.Modality;
import wake.statistics.Outlying;
import wake.statistics.Statistics;
import wake.workout.Likeness;
import wake.workout.Segment;

/**
 * Changes worth proposing for an attempt, those that gain most first: its own lower quartiles as targets, its faults and the
 * pauses that stand out. What costs nothing but attention is switched on, and the one cadence that gains most; what has to be
 * paid for elsewhere is proposed switched off.
 */
public final class Suggestions {
    private static final int ENOUGH = 3;
    private static final long WORTH_MS = 1000;
    private static final int MOST_OUTLIERS = 3;
    private static final double PACE_FASTER = 0.98;

    private final Replay replay;
    private final Score before;
    private final List<Suggestion> suggestions = new ArrayList<>();

    private Suggestions(AttemptLog log) {
        this.replay = Replay.of(log);
        this.before = log.score();
    }

    /**
     * A change to propose.
     *
     * @param on whether it is part of the call to begin with
     */
    public record Suggestion(Change change, boolean on) {}

    /** The changes switched on to begin with. */
    public static List<Change> of(AttemptLog log) {
        return all(log).stream().filter(Suggestion::on).map(Suggestion::change).toList();
    }

    public static List<Suggestion> all(AttemptLog log) {
        Suggestions made = new Suggestions(log);
        made.pauses();
        made.cadences();
        made.faultsAndOutliers();
        made.paidFor();
        return made.inOrder();
    }

    private List<Suggestion> inOrder() {
        Map<Change, Long> gains = new java.util.HashMap<>();
        suggestions.forEach(one -> gains.put(one.change(), gain(one.change())));
        Comparator<Suggestion> byGain = Comparator.comparingLong(one -> gains.getOrDefault(one.change(), 0L));
        Comparator<Suggestion> onFirst =
                Comparator.comparing(Suggestion::on).thenComparing(byGain).reversed();
        List<Suggestion> once = suggestions.stream()
                .distinct()
                .filter(one -> gains.getOrDefault(one.change(), 0L) > 0)
                .sorted(onFirst)
                .toList();
        return eachSecondOnce(once).stream().sorted(onFirst).toList();
    }

    /** Of those that would win the same seconds only the one that wins most is part of the call. */
    private List<Suggestion> eachSecondOnce(List<Suggestion> dearestFirst) {
        List<Change> chosen = new ArrayList<>();
        List<Suggestion> once = new ArrayList<>();
        for (Suggestion one : dearestFirst) {
            boolean on = one.on() && chosen.stream().noneMatch(other -> replay.sameSeconds(other, one.change()));
            if (on) {
                chosen.add(one.change());
            }
            once.add(new Suggestion(one.change(), on));
        }
        return once;
    }

    private long gain(Change change) {
        return Gain.between(before, replay.score(List.of(change))).rank();
    }

    private void pauses() {
        if (oneLoad("")) {
            pauses("");
        } else {
            replay.pieces().stream()
                    .map(piece -> piece.segment().movement().name())
                    .distinct()
                    .filter(this::oneLoad)
                    .forEach(this::pauses);
        }
        suggestions.add(new Suggestion(new HoldRests(""), false));
    }

    /** Whether a movement, or with an empty name every one of them, is done at one load: only then is one figure asked of all of it. */
    private boolean oneLoad(String movement) {
        Map<String, Segment> first = new TreeMap<>();
        return replay.pieces().stream()
                .filter(piece -> Change.concerns(movement, piece))
                .allMatch(piece -> {
                    Segment segment = piece.segment();
                    Segment before = first.putIfAbsent(segment.movement().name(), segment);
                    return before == null || Likeness.alike(before, segment);
                });
    }

    private void pauses(String movement) {
        target(pauses(Piece.Kind.TRANSITION, movement))
                .ifPresent(ms -> suggestions.add(new Suggestion(new CapTransitions(movement, halfSeconds(ms)), true)));
        target(pauses(Piece.Kind.REST, movement))
                .ifPresent(ms -> suggestions.add(new Suggestion(new CapRests(movement, halfSeconds(ms)), true)));
    }

    /** One cadence for each movement; the one that gains most is switched on. */
    private void cadences() {
        List<Change> holds = new ArrayList<>();
        Map<String, List<Double>> cadences = new TreeMap<>();
        for (Piece piece : replay.pieces()) {
            if (piece.seen()
                    && piece.isWork()
                    && oneLoad(piece.segment().movement().name())) {
                cadences.computeIfAbsent(piece.segment().movement().name(), name -> new ArrayList<>())
                        .add(piece.secondsPerUnit());
            }
        }
        cadences.forEach((movement, seconds) -> target(seconds.stream().mapToDouble(Double::doubleValue))
                .ifPresent(target -> holds.add(new HoldCadence(movement, Math.ceil(target * 100) / 100))));
        holds.sort(Comparator.comparingLong(this::gain).reversed());
        for (int i = 0; i < holds.size(); i++) {
            suggestions.add(new Suggestion(holds.get(i), i == 0));
        }
    }

    private void faultsAndOutliers() {
        long faults = replay.pieces().stream().mapToLong(Piece::fixedMs).sum();
        if (faults >= WORTH_MS) {
            suggestions.add(new Suggestion(new DropFaults(""), true));
        }
        replay.pieces().stream()
                .filter(Piece::isSeenPause)
                .filter(this::standsOut)
                .sorted(Comparator.comparingLong(Piece::ms).reversed())
                .limit(MOST_OUTLIERS)
                .forEach(piece -> suggestions.add(new Suggestion(
                        new SkipPause(piece.startMs(), halfSeconds(Statistics.median(like(piece)))), true)));
    }

    /** Far beyond the other pauses of its line at its load. */
    private boolean standsOut(Piece piece) {
        return Outlying.among(like(piece)).filter(rule -> rule.is(piece.ms())).isPresent();
    }

    private double[] like(Piece piece) {
        return replay.pieces().stream()
                .filter(other -> other.seen()
                        && other.kind() == piece.kind()
                        && other.segment().lineIndex() == piece.segment().lineIndex()
                        && Likeness.alike(other.segment(), piece.segment()))
                .mapToDouble(Piece::ms)
                .toArray();
    }

    /** Even rounds, one break earlier, a kick, a quicker machine: each has its price. */
    private void paidFor() {
        SpreadEvenly spread = new SpreadEvenly(SpreadEvenly.USUAL);
        if (spread.reason(replay).isEmpty() && gain(spread) >= WORTH_MS) {
            suggestions.add(new Suggestion(spread, false));
        }
        for (Segment segment : replay.log().course().firstOfEachLine()) {
            String movement = segment.movement().name();
            OptionalDouble rep = cadence(movement);
            if (rep.isPresent()) {
                BreakOneEarly early = new BreakOneEarly(movement, halfSeconds(1000 * rep.getAsDouble()));
                if (early.reason(replay).isEmpty()) {
                    suggestions.add(new Suggestion(early, false));
                }
                if (segment.movement().modality() == Modality.MONOSTRUCTURAL) {
                    double faster = Math.floor(rep.getAsDouble() * PACE_FASTER * 1000) / 1000;
                    suggestions.add(new Suggestion(new ErgPace(movement, Math.max(0.001, faster)), false));
                }
            }
        }
        if (replay.log().clockMs() > 0) {
            suggestions.add(new Suggestion(FinishKick.usual(replay.log()), false));
        }
    }

    private OptionalDouble cadence(String movement) {
        return replay.pieces().stream()
                .filter(piece -> piece.seen() && piece.isWork() && piece.isOf(movement))
                .mapToDouble(Piece::secondsPerUnit)
                .average();
    }

    private DoubleStream pauses(Piece.Kind kind, String movement) {
        return replay.pieces().stream()
                .filter(piece -> piece.isSeenPause() && piece.kind() == kind && Change.concerns(movement, piece))
                .mapToDouble(Piece::ms);
    }

    private static OptionalDouble target(DoubleStream figures) {
        double[] values = figures.toArray();
        return values.length < ENOUGH ? OptionalDouble.empty() : OptionalDouble.of(Statistics.lowerQuartile(values));
    }

    /** Up to the next half second: a target a coach can say. */
    private static long halfSeconds(double ms) {
        return (long) Math.ceil(ms / 500) * 500;
    }
}
