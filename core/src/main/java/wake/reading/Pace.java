package wake.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;

/**
 * How fast an attempt went along its work, measured against itself: a segment's work is its amount times the attempt's own
 * mean time per unit of that line. So rounds of a growing ladder compare by what was done in them, not by their times.
 *
 * @param shape the shape of the pacing; empty with fewer than three segments of some line, when there is nothing to compare
 * @param thirds relative speed over each third of the work; 1 is the mean of the attempt
 * @param finish relative speed over the last 15 % of the clock against the middle; empty likewise
 */
public record Pace(Optional<Shape> shape, List<Double> thirds, Optional<Double> finish) {
    /** A third differs from another when it is more than this faster; an assumption. */
    static final double DIFFERS = 0.03;

    private static final int FEWEST = 3;
    private static final double FINISH = 0.15;

    public Pace {
        thirds = List.copyOf(thirds);
    }

    /** The shapes of pacing after Abbiss & Laursen (2008). */
    public enum Shape {
        EVEN("even"),
        POSITIVE("fast start, fading"),
        NEGATIVE("getting faster"),
        PARABOLIC("fast at both ends, slow in the middle"),
        VARIABLE("up and down");

        private final String words;

        Shape(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The shape of three speeds. */
    static Shape shape(double first, double middle, double last) {
        int early = compare(first, middle);
        int late = compare(middle, last);
        int ends = compare(first, last);
        if (early > 0 && late < 0) {
            return Shape.PARABOLIC;
        }
        if (early < 0 && late > 0) {
            return Shape.VARIABLE;
        }
        int falls = early + late + ends;
        return falls > 0 ? Shape.POSITIVE : falls < 0 ? Shape.NEGATIVE : Shape.EVEN;
    }

    private static int compare(double one, double other) {
        if (one > other * (1 + DIFFERS)) {
            return 1;
        }
        return other > one * (1 + DIFFERS) ? -1 : 0;
    }

    static Pace of(AttemptLog log) {
        List<SegmentSplit> splits =
                log.splits().stream().filter(SegmentSplit::complete).toList();
        Map<Integer, double[]> perLine = new HashMap<>();
        for (SegmentSplit split : splits) {
            double[] sums = perLine.computeIfAbsent(split.segment().lineIndex(), line -> new double[3]);
            sums[0] += activeMs(split);
            sums[1] += split.segment().units();
            sums[2]++;
        }
        boolean comparable =
                !perLine.isEmpty() && perLine.values().stream().allMatch(sums -> sums[2] >= FEWEST && sums[1] > 0);
        if (!comparable) {
            return new Pace(Optional.empty(), List.of(), Optional.empty());
        }
        List<Leg> legs = new ArrayList<>();
        for (SegmentSplit split : splits) {
            double[] sums = perLine.getOrDefault(split.segment().lineIndex(), new double[3]);
            legs.add(new Leg(split.segment().units() * sums[0] / sums[1], activeMs(split)));
        }
        double work = legs.stream().mapToDouble(Leg::work).sum();
        double time = legs.stream().mapToDouble(Leg::ms).sum();
        List<Double> thirds = new ArrayList<>();
        for (int third = 0; third < 3; third++) {
            thirds.add(work / 3 / timeBetween(legs, work * third / 3, work * (third + 1) / 3));
        }
        double last = workBetween(legs, time * (1 - FINISH), time) / FINISH;
        double middle = workBetween(legs, time * FINISH, time * (1 - FINISH)) / (1 - 2 * FINISH);
        return new Pace(
                Optional.of(shape(thirds.get(0), thirds.get(1), thirds.get(2))), thirds, Optional.of(last / middle));
    }

    /** Some work and how long it took. */
    private record Leg(double work, double ms) {}

    /** Everything but the wait for an interval to open. */
    private static double activeMs(SegmentSplit split) {
        return Math.max(1, split.elapsedMs() - split.waitMs());
    }

    /** How much of one figure falls on a stretch of the other, each leg taken as even. */
    private static double between(
            List<Leg> legs, double from, double to, ToDoubleFunction<Leg> along, ToDoubleFunction<Leg> of) {
        double sum = 0;
        double passed = 0;
        for (Leg leg : legs) {
            double length = along.applyAsDouble(leg);
            double share = Math.max(0, Math.min(to, passed + length) - Math.max(from, passed)) / length;
            sum += share * of.applyAsDouble(leg);
            passed += length;
        }
        return sum;
    }

    private static double timeBetween(List<Leg> legs, double from, double to) {
        return between(legs, from, to, Leg::work, Leg::ms);
    }

    private static double workBetween(List<Leg> legs, double fromMs, double toMs) {
        return between(legs, fromMs, toMs, Leg::ms, Leg::work);
    }
}
