package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.statistics.Statistics;

/**
 * The rhythm of like work: a set is its first rep, which has no rep before it to follow, and the cycle of the others. Told from each other, sets of two
 * and of five at one cycle are alike; by their time over their reps they are not.
 *
 * @param firstMs what the first rep of a set takes; empty where it is much like the others, or neither taps nor sets of different sizes tell
 */
record RepRhythm(OptionalDouble firstMs) {
    /** A slope of two points is one of their difference; an assumption. */
    private static final int FEWEST = 3;

    /** A first rep that differs by less from the cycle counts as one of it: telling them apart would add more scatter than it takes; an assumption. */
    private static final double APART = 0.25;

    private record Known(int reps, long ms) {}

    static RepRhythm of(Stream<SegmentSplit> like) {
        List<Double> taps = new ArrayList<>();
        List<Double> cycles = new ArrayList<>();
        List<List<Known>> bySplit = new ArrayList<>();
        like.forEach(split -> {
            List<Known> sets = new ArrayList<>();
            split.sets().stream()
                    .filter(split::isClean)
                    .forEach(set -> split.cleanReps(set).ifPresent(clean -> {
                        sets.add(new Known(clean.reps(), clean.ms()));
                        if (set.repTimesMs().size() == clean.reps()) {
                            taps.add((double) set.repTimesMs().getFirst() - set.startMs());
                            for (int i = 1; i < clean.reps(); i++) {
                                cycles.add((double) set.repTimesMs().get(i)
                                        - set.repTimesMs().get(i - 1));
                            }
                        }
                    }));
            bySplit.add(sets);
        });
        if (taps.isEmpty()) {
            List<Double> firsts = new ArrayList<>();
            bySplit.forEach(sets -> bySize(sets).ifPresent(firsts::add));
            return new RepRhythm(firsts.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(median(firsts)));
        }
        boolean apart = !cycles.isEmpty() && Math.abs(median(taps) / median(cycles) - 1) > APART;
        return new RepRhythm(apart ? OptionalDouble.of(median(taps)) : OptionalDouble.empty());
    }

    /**
     * The line through the sets of one split that differ in size: their cycle is its slope (Theil 1950), their first rep what is left of it. Only where
     * that comes sooner than a cycle: a longer one may as well be sets that slow.
     */
    private static OptionalDouble bySize(List<Known> sets) {
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < sets.size(); i++) {
            for (int j = i + 1; j < sets.size(); j++) {
                Known one = sets.get(i);
                Known other = sets.get(j);
                if (one.reps() != other.reps()) {
                    slopes.add((other.ms() - one.ms()) / (double) (other.reps() - one.reps()));
                }
            }
        }
        if (sets.size() < FEWEST || slopes.isEmpty()) {
            return OptionalDouble.empty();
        }
        double cycle = median(slopes);
        double first = median(
                sets.stream().map(set -> set.ms() - cycle * (set.reps() - 1)).toList());
        return first > 0 && first < (1 - APART) * cycle ? OptionalDouble.of(first) : OptionalDouble.empty();
    }

    private static double median(List<Double> values) {
        return Statistics.median(
                values.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** Whether some reps in so many sets have a cycle at all: singles have none. */
    static boolean hasCycle(double reps, int sets) {
        return reps > sets;
    }

    /** How many of some reps in so many sets follow one before them; all of singles, and where the first rep is not known. */
    double paced(double reps, int sets) {
        return firstMs.isPresent() && hasCycle(reps, sets) ? reps - sets : reps;
    }

    /** Milliseconds of the cycle of some reps in so many sets. */
    double cycleMs(double workMs, double reps, int sets) {
        double paced = paced(reps, sets);
        double cycle = paced < reps ? (workMs - sets * firstMs.orElse(0)) / paced : workMs / reps;
        return cycle > 0 ? cycle : workMs / reps;
    }

    /** Seconds per rep of a set by its cycle; empty where nobody knows its reps. */
    OptionalDouble secondsPerRep(SegmentSplit split, SetSplit set) {
        return split.cleanReps(set)
                .map(clean -> OptionalDouble.of(cycleMs(clean.ms(), clean.reps(), 1) / 1000))
                .orElse(OptionalDouble.empty());
    }
}
