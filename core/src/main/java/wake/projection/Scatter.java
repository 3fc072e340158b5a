package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Collectors;
import wake.log.Stretch;
import wake.movement.Modality;
import wake.statistics.Outlying;
import wake.statistics.Statistics;
import wake.workout.Segment;

/**
 * How an attempt's own figures scatter about their trend, for resampling (residual bootstrap, Efron 1979).
 *
 * <p>Cadences, rests and transitions are fitted line by line: a Theil–Sen slope from four figures on, else the mean; the fit adds
 * up to what was measured. Residuals are relative. A rep is taken to scatter on its own, so that a set of n reps scatters by
 * 1/√n of that; a pause or a stretch on a machine scatters as a whole. A line with too few residuals of its own borrows those of
 * its movement, else those of the same kind of time. The reading error of the marks is part of the residuals.
 */
final class Scatter {
    /** Fewer residuals say nothing of a scatter; an assumption, like the other limits here. */
    private static final int ENOUGH = 4;

    private static final int FEWEST_FOR_A_SLOPE = 4;
    private static final double LEAST_FIT = 0.1;
    private static final int BREAKS_DRAWN = 256;
    private static final int FEWEST_ALWAYS = 3;
    /**
     * A stretch on a machine or a run that was seen once: about 1 % from day to day, of both days (typical error of trained
     * athletes, Hopkins, Hawley & Burke 1999, from memory).
     */
    private static final double[] SEEN_ONCE = {-0.014, 0.014};
    /** A split with its rests that was seen once: about 2 % from day to day, of both days; an assumption. */
    private static final double[] SPLIT_SEEN_ONCE = {-0.028, 0.028};

    private static final double MOST_UNKNOWN = 0.5;

    private final Map<String, Double> shiftSds = new HashMap<>();
    private final Map<String, List<Double>> pools = new HashMap<>();
    private final Map<TimeSlice, Double> fitted = new IdentityHashMap<>();
    private final Map<String, Scheme> schemes = new HashMap<>();
    private final Map<String, double[]> breaks = new HashMap<>();
    private final Map<String, double[]> residuals = new HashMap<>();
    /** Of splits that are not broken down, by place, how many lie between two ends that were seen in one round. */
    private final Map<Integer, Integer> together = new HashMap<>();

    private double knownMs;
    private double unknownMs;

    private Scatter() {}

    static Scatter of(Replay replay) {
        Scatter scatter = new Scatter();
        Map<String, List<TimeSlice>> lines = new HashMap<>();
        scatter.brokenSets(replay.slices());
        Stretch.of(replay.log(), Set.of()).stream()
                .filter(stretch -> !stretch.whole() || !stretch.round().isEmpty())
                .forEach(stretch -> stretch.splits()
                        .forEach(split -> scatter.together.put(
                                split.segment().index(), stretch.splits().size())));
        for (TimeSlice slice : replay.slices()) {
            if (slice.observed() && scatter.scatters(slice)) {
                lines.computeIfAbsent(line(slice), key -> new ArrayList<>()).add(slice);
            }
        }
        Map<TimeSlice.Kind, List<TimeSlice>> kinds =
                lines.values().stream().flatMap(List::stream).collect(Collectors.groupingBy(TimeSlice::kind));
        lines.values()
                .forEach(line ->
                        scatter.fit(line, kinds.getOrDefault(line.getFirst().kind(), line)));
        lines.forEach((key, slices) -> scatter.shiftSds.put(key, scatter.shift(slices)));
        for (TimeSlice slice : replay.slices()) {
            if (slice.observed() && slice.kind() != TimeSlice.Kind.WAIT && slice.kind() != TimeSlice.Kind.PARTNER) {
                boolean known =
                        scatter.scatters(slice) && (isSplit(slice) || scatter.residuals(slice).length >= ENOUGH);
                scatter.knownMs += known ? slice.ms() : 0;
                scatter.unknownMs += known ? 0 : slice.ms();
            }
        }
        return scatter;
    }

    /** The sets that ended in a break, by their place in the scheme; the last one of a segment ends because there is nothing left. */
    private void brokenSets(List<TimeSlice> slices) {
        for (int i = 0; i + 1 < slices.size(); i++) {
            TimeSlice slice = slices.get(i);
            boolean broken =
                    slice.observed() && slice.isWork() && slices.get(i + 1).kind() == TimeSlice.Kind.REST;
            if (broken) {
                schemes.computeIfAbsent(scheme(slice.segment()), line -> new Scheme())
                        .add(slice.set(), slice.units());
                schemes.computeIfAbsent(anyAmount(slice.segment()), line -> new Scheme())
                        .add(slice.set(), slice.units());
            }
        }
    }

    private static String scheme(Segment segment) {
        return segment.lineAtLoad() + " x " + segment.steps();
    }

    private static String anyAmount(Segment segment) {
        return segment.lineAtLoad();
    }

    /** How large the sets of like segments were, by their place in the scheme: an athlete who breaks 10-5-5 does not begin with a 5. */
    private static final class Scheme {
        /** Places at which a set was broken by choice; there are none where faults ended every set. */
        private final TreeMap<Integer, List<Integer>> places = new TreeMap<>();

        void add(int place, int reps) {
            places.computeIfAbsent(place, first -> new ArrayList<>()).add(reps);
        }

        int times() {
            return places.firstEntry().getValue().size();
        }

        /**
         * A set as large as one that was seen at its place; where it was not seen often enough or not always the same, maybe one rep
         * off: a smoothed bootstrap (Silverman & Young 1987). Where none was seen, as at the nearest place before, else at the first.
         */
        int draw(int place, SplittableRandom random) {
            Map.Entry<Integer, List<Integer>> nearest = places.floorEntry(place);
            List<Integer> sizes = (nearest == null ? places.firstEntry() : nearest).getValue();
            boolean always =
                    sizes.size() >= FEWEST_ALWAYS && sizes.stream().distinct().count() == 1;
            int off = always ? 0 : Integer.bitCount(random.nextInt(4)) - 1;
            return Math.max(1, sizes.get(random.nextInt(sizes.size())) + off);
        }
    }

    /**
     * By how many breaks more or fewer a segment may be done, drawn by cutting its reps into sets as large as those like segments were
     * broken into, place by place; about a mean of 0. Scaled by √2: that this attempt had as many as it had was luck as well.
     */
    double[] moreRests(Segment segment) {
        Scheme own = schemes.get(scheme(segment));
        Scheme scheme = own != null && own.times() >= FEWEST_ALWAYS ? own : schemes.get(anyAmount(segment));
        if (scheme == null) {
            return new double[0];
        }
        return breaks.computeIfAbsent(scheme(segment), key -> {
            SplittableRandom random = new SplittableRandom(segment.steps());
            double[] drawn = new double[BREAKS_DRAWN];
            double sum = 0;
            for (int i = 0; i < BREAKS_DRAWN; i++) {
                int reps = scheme.draw(1, random);
                for (int place = 2; reps < segment.steps(); place++) {
                    drawn[i]++;
                    reps += scheme.draw(place, random);
                }
                sum += drawn[i];
            }
            for (int i = 0; i < BREAKS_DRAWN; i++) {
                drawn[i] = Math.sqrt(2) * (drawn[i] - sum / BREAKS_DRAWN);
            }
            return drawn;
        });
    }

    /** Whether more than half of the clock has nothing to scatter by. */
    boolean tooLittle() {
        return unknownMs >= MOST_UNKNOWN * (knownMs + unknownMs);
    }

    boolean scatters(TimeSlice slice) {
        return slice.coreMs() > 0
                && (slice.isWork()
                        || slice.isPause() && slice.segment().index() > 0
                        || isSplit(slice)
                                && (!slice.observed()
                                        || together.containsKey(slice.segment().index())));
    }

    private static boolean isSplit(TimeSlice slice) {
        return slice.kind() == TimeSlice.Kind.UNSEPARATED && slice.units() > 0;
    }

    /** What pieces are fitted with: those of the same kind in the same line. */
    static String line(TimeSlice slice) {
        return slice.kind() + " line " + slice.segment().lineIndex();
    }

    private static String movement(TimeSlice slice) {
        return slice.kind() + " of " + slice.segment().movement().name();
    }

    private static String kind(TimeSlice slice) {
        return slice.kind() + (slice.isWork() && !repByRep(slice) ? " whole" : "");
    }

    private static boolean repByRep(TimeSlice slice) {
        return slice.segment().tappable() && slice.segment().movement().modality() != Modality.CYCLIC;
    }

    /** By how much less than one unit a piece scatters. */
    private static double damping(TimeSlice slice) {
        return slice.isWork() && repByRep(slice) ? 1 / Math.sqrt(slice.units()) : 1;
    }

    /** What a relative residual of 1 is worth in a piece, in its time: of splits that have one end together each is drawn by itself, as far as the end is off. */
    double drawn(TimeSlice slice) {
        return isSplit(slice) ? Math.sqrt(together.getOrDefault(slice.segment().index(), 1)) : damping(slice);
    }

    private static double weight(TimeSlice slice) {
        return slice.isWork() || isSplit(slice) ? slice.amount() : 1;
    }

    /** @param kind all pieces of its kind */
    private void fit(List<TimeSlice> line, List<TimeSlice> kind) {
        List<TimeSlice> slices = new ArrayList<>(line);
        for (TimeSlice pause : standingOut(line, kind)) {
            slices.remove(pause);
            fitted.put(pause, (double) pause.coreMs());
        }
        int count = slices.size();
        double[] figures = slices.stream()
                .mapToDouble(slice -> slice.coreMs() / weight(slice))
                .toArray();
        double slope = count >= FEWEST_FOR_A_SLOPE ? Statistics.theilSenSlope(figures) : 0;
        double weights = 0;
        double level = 0;
        for (int i = 0; i < count; i++) {
            weights += weight(slices.get(i));
            level += weight(slices.get(i)) * (figures[i] - slope * i);
        }
        double mean = level / weights;
        int free = count - (slope == 0 ? 1 : 2);
        double inflated = free > 0 ? Math.sqrt((double) count / free) : 0;
        for (int i = 0; i < count; i++) {
            TimeSlice slice = slices.get(i);
            double fit = Math.max(mean + slope * i, LEAST_FIT * mean);
            fitted.put(slice, fit);
            if (free > 0) {
                double residual = (figures[i] - fit) / fit / damping(slice) * inflated;
                for (String pool : List.of(line(slice), movement(slice), kind(slice))) {
                    pools.computeIfAbsent(pool, key -> new ArrayList<>()).add(residual);
                }
            }
        }
    }

    /**
     * Pauses far beyond the others of their line, or where those are few beyond all of their kind: a drink, chalk. They are events of their own, which a
     * replay has where they were and a change may take out, and no scatter of the others. A line keeps one pause at least.
     */
    private static List<TimeSlice> standingOut(List<TimeSlice> line, List<TimeSlice> kind) {
        if (!line.getFirst().isPause()) {
            return List.of();
        }
        List<TimeSlice> out = Outlying.among(times(line))
                .or(() -> Outlying.among(times(kind)))
                .map(rule ->
                        line.stream().filter(pause -> rule.is(pause.coreMs())).toList())
                .orElse(List.of());
        return out.size() < line.size() ? out : List.of();
    }

    private static double[] times(List<TimeSlice> pauses) {
        return pauses.stream().mapToDouble(TimeSlice::coreMs).toArray();
    }

    /** The standard error of the level of a line, relative. */
    private double shift(List<TimeSlice> slices) {
        double[] residuals = residuals(slices.getFirst());
        double squares = 0;
        for (double residual : residuals) {
            squares += residual * residual;
        }
        double sd = residuals.length == 0 ? 0 : Math.sqrt(squares / residuals.length);
        double n = slices.stream()
                .mapToDouble(slice -> 1 / (damping(slice) * damping(slice)))
                .sum();
        return sd / Math.sqrt(n);
    }

    /** Relative residuals to draw from for a piece, about a mean of 0, so that replays without changes stand about the attempt; none where nothing is known. */
    double[] residuals(TimeSlice slice) {
        return residuals.computeIfAbsent(line(slice), line -> {
            for (String pool : List.of(line, movement(slice), kind(slice))) {
                List<Double> known = pools.getOrDefault(pool, List.of());
                if (known.size() >= ENOUGH) {
                    return aboutZero(known);
                }
            }
            return isSplit(slice) ? SPLIT_SEEN_ONCE : slice.isWork() && !repByRep(slice) ? SEEN_ONCE : new double[0];
        });
    }

    private static double[] aboutZero(List<Double> residuals) {
        double mean =
                residuals.stream().mapToDouble(Double::doubleValue).average().orElse(0);
        return residuals.stream().mapToDouble(one -> one - mean).toArray();
    }

    /** What a piece takes on the trend, faults apart; beyond the buzzer and in other sets, what it is laid out with. */
    double fittedMs(TimeSlice slice) {
        Double fit = fitted.get(slice);
        return fit == null ? slice.coreMs() : fit * weight(slice);
    }

    /** How unsure the level of a piece's line is, relative. */
    double shiftSd(TimeSlice slice) {
        return shiftSds.getOrDefault(line(slice), 0.0);
    }
}
