package wake.athlete;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.stat.StatUtils;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.movement.Movement;
import wake.statistics.Statistics;
import wake.units.Unit;

/**
 * What an athlete's logged attempts have shown, by movement and unit.
 *
 * @param paces cadences, where at least one segment was logged in full
 */
public record Shown(Map<Key, Pace> paces) {
    public static final Shown NOTHING = new Shown(Map.of());

    public Shown {
        paces = Map.copyOf(paces);
    }

    /** A movement counted in a unit. */
    public record Key(String movement, Unit unit) {}

    /**
     * Cadences shown in a movement.
     *
     * @param medianSecondsPerUnit what is usual for this athlete
     * @param bestSecondsPerUnit the fastest segment
     * @param segments in how many segments
     */
    public record Pace(double medianSecondsPerUnit, double bestSecondsPerUnit, int segments) {}

    public static Shown in(Collection<AttemptLog> logs) {
        Map<Key, List<Double>> figures = new LinkedHashMap<>();
        for (AttemptLog log : logs) {
            for (SegmentSplit split : log.splits()) {
                split.secondsPerUnit()
                        .ifPresent(seconds -> figures.computeIfAbsent(key(split), key -> new ArrayList<>())
                                .add(seconds
                                        - split.faultMs()
                                                / 1000.0
                                                / split.segment().units()));
            }
        }
        Map<Key, Pace> paces = new LinkedHashMap<>();
        figures.forEach((key, seconds) -> {
            double[] values = seconds.stream()
                    .mapToDouble(Double::doubleValue)
                    .filter(value -> value > 0)
                    .toArray();
            if (values.length > 0) {
                paces.put(key, new Pace(Statistics.median(values), StatUtils.min(values), values.length));
            }
        });
        return new Shown(paces);
    }

    private static Key key(SegmentSplit split) {
        return new Key(
                split.segment().movement().name(), split.segment().amount().unit());
    }

    public Optional<Pace> pace(Movement movement, Unit unit) {
        return Optional.ofNullable(paces.get(new Key(movement.name(), unit)));
    }
}
