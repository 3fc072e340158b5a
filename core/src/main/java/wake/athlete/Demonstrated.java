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
 */
public record Demonstrated(List<Figure> figures) {
    public static final Demonstrated NOTHING = new Demonstrated(List.of());

    public Demonstrated {
        figures = List.copyOf(figures);
    }

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
                }
            }
        }
        return new Demonstrated(figures);
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
