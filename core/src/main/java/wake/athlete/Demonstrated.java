package wake.athlete;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.hipparchus.stat.StatUtils;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * What an athlete's logged attempts have shown.
 *
 * @param figures cadences, faults left out, of every segment logged in full
 * @param sets the largest set no fault lies in, of every segment logged by its sets
 */
public record Demonstrated(List<Figure> figures, List<Largest> sets) {
    public static final Demonstrated NOTHING = new Demonstrated(List.of(), List.of());

    public Demonstrated {
        figures = List.copyOf(figures);
        sets = List.copyOf(sets);
    }

    /** The largest set of a segment. */
    public record Largest(Segment segment, int reps) {}

    /** How quick a segment went, seconds per unit. */
    public record Figure(Segment segment, double secondsPerUnit) {}

    /**
     * Cadences shown in a movement.
     *
     * @param medianSecondsPerUnit what is usual for this athlete
     * @param bestSecondsPerUnit the fastest segment
     * @param segments in how many segments
     */
    public record Pace(double medianSecondsPerUnit, double bestSecondsPerUnit, int segments) {}

    public static Demonstrated in(Collection<AttemptLog> logs) {
        List<Figure> figures = new ArrayList<>();
        List<Largest> sets = new ArrayList<>();
        for (AttemptLog log : logs) {
            for (SegmentSplit split : log.splits()) {
                boolean known = split.endSeen()
                        && split.secondsPerUnit().isPresent()
                        && !split.segment().isPartners();
                double seconds = (split.workMs() - split.faultMs())
                        / 1000.0
                        / split.segment().units();
                if (known && seconds > 0) {
                    figures.add(new Figure(split.segment(), seconds));
                    split.sets().stream()
                            .filter(split::isClean)
                            .mapToInt(set -> set.reps().orElse(0))
                            .max()
                            .ifPresent(reps -> sets.add(new Largest(split.segment(), reps)));
                }
            }
        }
        return new Demonstrated(figures, sets);
    }

    /** How large a set may be asked in a segment: the median of the largest ones, shown in the same movement at its load or a heavier one; 0 for none. */
    public int usualSet(Segment segment) {
        double[] largest = sets.stream()
                .filter(set -> Comparability.mayBeAskedOf(set.segment(), segment))
                .mapToDouble(Largest::reps)
                .toArray();
        return largest.length == 0 ? 0 : (int) Statistics.median(largest);
    }

    /** What may be asked in a segment: shown in the same movement at its load; where there is none, at a heavier one. */
    public Optional<Pace> pace(Segment segment) {
        Optional<Pace> comparable = of(figures.stream()
                .filter(figure -> Comparability.comparable(figure.segment(), segment))
                .toList());
        return comparable.or(() -> of(figures.stream()
                .filter(figure -> Comparability.mayBeAskedOf(figure.segment(), segment))
                .toList()));
    }

    private static Optional<Pace> of(List<Figure> figures) {
        double[] values = figures.stream().mapToDouble(Figure::secondsPerUnit).toArray();
        return values.length == 0
                ? Optional.empty()
                : Optional.of(new Pace(Statistics.median(values), StatUtils.min(values), values.length));
    }
}
