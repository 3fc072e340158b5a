package wake.projection;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * How an attempt would go on past its buzzer: each movement's cadence, rests and transitions go on along their own trend
 * (Theil–Sen), never faster than shown; as they last were while there are too few for a trend; at the catalogue's usual
 * cadence where the attempt never got to a movement.
 */
final class Extrapolation {
    /** A transition nobody has seen: between quick (2 s) and slow (4 s); common practice, no source. */
    private static final long UNSEEN_TRANSITION_MS = 3000;

    /** A trend of three points is one of two differences; an assumption. */
    private static final int FEWEST_FOR_A_TREND = 4;

    private final AttemptLog log;
    private final Map<String, double[]> figures = new HashMap<>();
    private final Map<String, Integer> ahead = new HashMap<>();

    Extrapolation(AttemptLog log) {
        this.log = log;
    }

    /** Milliseconds per unit that counts; a whole distance is one unit. */
    long perUnitMs(Segment segment) {
        double[] cadences = figures.computeIfAbsent(
                "work " + like(segment),
                key -> likeFirst(
                        segment,
                        split -> split.secondsPerUnit().isPresent(),
                        one(split -> split.secondsPerUnit().orElseThrow())));
        double perAmount = cadences.length == 0
                ? median(likeFirst(segment, split -> true, Extrapolation::ratesOfSets))
                        .orElseGet(() -> Draft.usualSecondsPerUnit(
                                segment.movement(), segment.amount().unit()))
                : onFrom(cadences, ahead.merge("work " + like(segment), 1, Integer::sum));
        return Math.max(1, Math.round(1000 * perAmount * segment.units() / segment.steps()));
    }

    /** Seconds per rep of the sets of like work, their median; empty where none is known. */
    OptionalDouble rateInSets(Segment segment) {
        return median(of(split -> Comparability.comparable(split.segment(), segment), Extrapolation::ratesOfSets));
    }

    private static double[] ratesOfSets(SegmentSplit split) {
        return split.sets().stream()
                .flatMap(set -> split.cleanReps(set).stream())
                .mapToDouble(SegmentSplit.CleanReps::secondsPerRep)
                .toArray();
    }

    private static OptionalDouble median(double[] values) {
        return values.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Statistics.median(values));
    }

    /**
     * Milliseconds of a whole segment like those of which no more than the ends was logged, the way to it and its rests included; empty where like work
     * was broken down, or never done.
     */
    OptionalLong splitMs(Segment segment) {
        double[] paces = figures.computeIfAbsent(
                "split " + like(segment),
                key -> likeFirst(
                        segment,
                        Extrapolation::isSplitAlone,
                        one(split -> (split.elapsedMs() - split.waitMs())
                                / split.segment().units())));
        boolean brokenDown = paces.length == 0
                || likeFirst(
                                        segment,
                                        split -> !split.unseparatedWork()
                                                && !split.sets().isEmpty(),
                                        one(split -> 1))
                                .length
                        > 0;
        return brokenDown
                ? OptionalLong.empty()
                : OptionalLong.of(Math.round(
                        onFrom(paces, ahead.merge("split " + like(segment), 1, Integer::sum)) * segment.units()));
    }

    private static boolean isSplitAlone(SegmentSplit split) {
        return split.complete() && split.unseparatedWork();
    }

    long transitionMs(Segment segment) {
        double[] transitions = figures.computeIfAbsent(
                "transition " + segment.isPartners() + segment.lineIndex(),
                key -> of(
                        split -> split.segment().lineIndex() == segment.lineIndex()
                                && split.segment().isPartners() == segment.isPartners()
                                && split.segment().index() > 0
                                && split.beginMs().isPresent(),
                        one(SegmentSplit::transitionMs)));
        return transitions.length == 0
                ? UNSEEN_TRANSITION_MS
                : Math.round(onFrom(
                        transitions,
                        ahead.merge("transition " + segment.isPartners() + segment.lineIndex(), 1, Integer::sum)));
    }

    /** All rests of a segment together, in proportion to its amount. */
    long restMs(Segment segment) {
        double[] rests = figures.computeIfAbsent(
                "rest " + like(segment),
                key -> likeFirst(
                        segment,
                        split -> split.secondsPerUnit().isPresent(),
                        one(split -> split.restMs() / split.segment().units())));
        return rests.length == 0
                ? 0
                : Math.round(onFrom(rests, ahead.merge("rest " + like(segment), 1, Integer::sum)) * segment.units());
    }

    /** The median of the sets that were broken off; empty where the movement was never broken. */
    OptionalInt usualSet(Segment segment) {
        double[] sizes = log.splits().stream()
                .filter(split -> split.segment()
                                .movement()
                                .name()
                                .equals(segment.movement().name())
                        && split.segment().isPartners() == segment.isPartners())
                .flatMap(split ->
                        split.sets().stream().limit(Math.max(0, split.sets().size() - 1L)))
                .filter(set -> set.reps().isPresent() && set.endedBy().isEmpty())
                .mapToDouble(set -> set.reps().getAsInt())
                .toArray();
        return sizes.length == 0 ? OptionalInt.empty() : OptionalInt.of((int) Math.round(Statistics.median(sizes)));
    }

    private static String like(Segment segment) {
        return (segment.isPartners() ? "partner " : "") + segment.movement().name() + " "
                + segment.amount().unit() + " " + segment.sides() + " " + segment.loads();
    }

    /** The figures of like work; where there are none, those of the movement at any load. */
    private double[] likeFirst(
            Segment segment, Predicate<SegmentSplit> known, Function<SegmentSplit, double[]> figures) {
        double[] comparable = of(known.and(split -> Comparability.comparable(split.segment(), segment)), figures);
        return comparable.length > 0
                ? comparable
                : of(known.and(split -> Comparability.sameMovement(split.segment(), segment)), figures);
    }

    private double[] of(Predicate<SegmentSplit> which, Function<SegmentSplit, double[]> figures) {
        return log.splits().stream()
                .filter(which)
                .map(figures)
                .flatMapToDouble(Arrays::stream)
                .toArray();
    }

    private static Function<SegmentSplit, double[]> one(ToDoubleFunction<SegmentSplit> figure) {
        return split -> new double[] {figure.applyAsDouble(split)};
    }

    /** The figure so many places after these: on their trend, never below the least of them. */
    static double onFrom(double[] shown, int places) {
        if (shown.length < FEWEST_FOR_A_TREND) {
            return shown[shown.length - 1];
        }
        double slope = Statistics.theilSenSlope(shown);
        double[] level = new double[shown.length];
        double least = shown[0];
        for (int i = 0; i < shown.length; i++) {
            level[i] = shown[i] - slope * i;
            least = Math.min(least, shown[i]);
        }
        return Math.max(least, Statistics.median(level) + slope * (shown.length - 1 + places));
    }
}
