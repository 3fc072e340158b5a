package wake.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * The attempt's own best figures of like work: the better of two, from three on the lower quartile. Transitions and rests are like in the
 * same line at the same load; pace is like in the same movement, variant and load, wherever in the workout it stands. What comes
 * once only is held against itself: its sets and rests, or its reps five by five, from three of them on. Where there is nothing
 * like it, nothing is claimed.
 */
final class BestSplits implements Baseline {
    /** A split has a best one only where it comes at least twice. */
    private static final int FEWEST = 2;
    /** Inside one split so many sets are needed; an assumption. */
    private static final int FEWEST_INSIDE = 3;
    /** Reps of a long unbroken set are read in fives; an assumption. */
    private static final int FIVES = 5;

    private final List<SegmentSplit> splits;
    private final List<Stretch> stretches;
    private final Map<Object, double[]> found = new HashMap<>();

    BestSplits(AttemptLog log) {
        this.splits = log.done();
        this.stretches = Stretch.of(log, Set.of());
    }

    @Override
    public Kind kind() {
        return Kind.BEST_SPLITS;
    }

    @Override
    public String words() {
        return "its " + Kind.BEST_SPLITS.words();
    }

    @Override
    public OptionalInt done() {
        return OptionalInt.empty();
    }

    @Override
    public Set<Integer> unseenEnds() {
        return Set.of();
    }

    @Override
    public List<Integer> sets(Segment segment) {
        return List.of();
    }

    @Override
    public List<String> unmatched() {
        return List.of();
    }

    @Override
    public Expected allow(Stretch stretch) {
        if (stretch.whole()) {
            return whole(stretch);
        }
        SegmentSplit split = stretch.first();
        return split.unseparatedMs() > 0 ? blurred(stretch, split) : separated(split);
    }

    /** Rounds of which only the ends were noted are held against each other. */
    private Expected whole(Stretch stretch) {
        Expected own = Expected.asDone(stretch);
        OptionalLong best = best(stretches.stream()
                .filter(other -> other.whole()
                        && other.complete()
                        && other.same(stretch)
                        && other.segment()
                                .lap()
                                .block()
                                .equals(stretch.segment().lap().block()))
                .mapToDouble(Stretch::activeMs)
                .toArray());
        return stretch.complete() && best.isPresent() ? own.withWork(best.getAsLong()) : own;
    }

    /** A segment whose work and rests are not broken down is held against as much of the same, seen as closely. */
    private Expected blurred(Stretch stretch, SegmentSplit split) {
        boolean begun = split.beginMs().isPresent();
        Predicate<SegmentSplit> like = other -> other.complete()
                && other.unseparatedMs() > 0
                && other.beginMs().isPresent() == begun
                && sameLine(other, split)
                && Comparability.same(other.segment(), split.segment());
        Expected own = Expected.asDone(stretch);
        if (!split.complete()) {
            return own;
        }
        long transition = begun ? split.transitionMs() : 0;
        Segment segment = split.segment();
        OptionalLong best = best(figures(
                List.of("blurred", segment.isPartners(), segment.lineIndex(), segment.amount(), segment.loads(), begun),
                like,
                other -> other.unseparatedMs() + other.workMs() + other.restMs()));
        return best.isPresent() ? own.withWork(transition + best.getAsLong()) : own;
    }

    private Expected separated(SegmentSplit split) {
        Expected expected = Expected.ownFigures(split);
        OptionalLong transition = transition(split);
        OptionalDouble pace = pace(split);
        OptionalLong rest = rest(split);
        if (transition.isPresent()) {
            expected = expected.withTransition(transition.getAsLong());
        }
        if (pace.isPresent()) {
            expected = expected.withWork(Math.round(pace.getAsDouble() * units(split)));
        }
        return rest.isPresent() ? expected.withRest(rest.getAsLong()) : expected;
    }

    private OptionalLong transition(SegmentSplit split) {
        if (split.segment().index() == 0 || split.beginMs().isEmpty()) {
            return OptionalLong.empty();
        }
        return best(figures(
                List.of(
                        "way",
                        split.segment().isPartners(),
                        split.segment().lineIndex(),
                        split.segment().loads()),
                other -> sameLine(other, split)
                        && Comparability.comparable(other.segment(), split.segment())
                        && other.beginMs().isPresent()
                        && other.segment().index() > 0,
                SegmentSplit::transitionMs));
    }

    private OptionalLong rest(SegmentSplit split) {
        if (!split.complete()) {
            return OptionalLong.empty();
        }
        double[] perUnit = figures(
                List.of(
                        "rest",
                        split.segment().isPartners(),
                        split.segment().lineIndex(),
                        split.segment().loads()),
                other -> sameLine(other, split)
                        && Comparability.comparable(other.segment(), split.segment())
                        && other.complete()
                        && other.unseparatedMs() == 0,
                other -> other.restMs() / other.segment().units());
        if (perUnit.length >= FEWEST) {
            return OptionalLong.of(Math.round(lower(perUnit) * split.segment().units()));
        }
        double[] rests =
                split.rests().stream().mapToDouble(rest -> rest.durationMs()).toArray();
        return rests.length >= FEWEST_INSIDE
                ? OptionalLong.of(Math.round(lower(rests) * rests.length))
                : OptionalLong.empty();
    }

    /** Milliseconds per unit that the athlete has shown in like work. */
    private OptionalDouble pace(SegmentSplit split) {
        Segment segment = split.segment();
        double[] segments = figures(
                List.of(
                        "pace",
                        segment.isPartners(),
                        segment.movement().name(),
                        segment.amount().unit(),
                        segment.sides(),
                        segment.loads(),
                        split.technique()),
                other -> other.complete() && other.unseparatedMs() == 0 && likePace(other, split),
                other -> (other.workMs() - other.faultMs()) / other.segment().units());
        if (segments.length >= FEWEST) {
            return OptionalDouble.of(lower(segments));
        }
        double[] inside = inside(split);
        return inside.length >= FEWEST_INSIDE ? OptionalDouble.of(lower(inside)) : OptionalDouble.empty();
    }

    /** The pace of the sets of a segment that no fault touched; of one long set tapped rep by rep, of its fives. */
    private static double[] inside(SegmentSplit split) {
        List<Double> paces = new ArrayList<>();
        for (SetSplit set : split.sets()) {
            if (split.isClean(set) && set.reps().orElse(0) > 0) {
                paces.add(set.durationMs() / (double) set.reps().getAsInt());
            }
        }
        if (split.sets().size() == 1 && split.faults().isEmpty()) {
            return fives(split.sets().getFirst());
        }
        return paces.stream().mapToDouble(Double::doubleValue).toArray();
    }

    private static double[] fives(SetSplit set) {
        List<Long> reps = set.repTimesMs();
        boolean tapped = reps.size() >= FIVES * FEWEST_INSIDE
                && reps.size() == set.reps().orElse(0);
        double[] paces = new double[tapped ? reps.size() / FIVES : 0];
        for (int i = 0; i < paces.length; i++) {
            long from = i == 0 ? set.startMs() : reps.get(i * FIVES - 1);
            paces[i] = (reps.get((i + 1) * FIVES - 1) - from) / (double) FIVES;
        }
        return paces;
    }

    private static boolean likePace(SegmentSplit other, SegmentSplit split) {
        return Comparability.comparable(other.segment(), split.segment())
                && other.technique().equals(split.technique());
    }

    private static boolean sameLine(SegmentSplit other, SegmentSplit split) {
        return other.segment().lineIndex() == split.segment().lineIndex();
    }

    /** How much of it was done, in its unit. */
    private static double units(SegmentSplit split) {
        return split.complete() ? split.segment().units() : split.counted();
    }

    /** The figures of like work; found once for all segments that ask for the same. */
    private double[] figures(Object asked, Predicate<SegmentSplit> like, ToDoubleFunction<SegmentSplit> of) {
        return found.computeIfAbsent(
                asked, once -> splits.stream().filter(like).mapToDouble(of).toArray());
    }

    private static OptionalLong best(double[] figures) {
        return figures.length < FEWEST ? OptionalLong.empty() : OptionalLong.of(Math.round(lower(figures)));
    }

    private static double lower(double[] figures) {
        return figures.length == 2 ? Math.min(figures[0], figures[1]) : Statistics.lowerQuartile(figures);
    }
}
