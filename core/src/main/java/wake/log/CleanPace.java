package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import wake.log.SegmentTrace.SetTrace;
import wake.statistics.Statistics;
import wake.workout.Comparability;
import wake.workout.Segment;

/** How long a rep takes in the sets of an attempt that had no fault in them, for those that were not tapped rep by rep. */
final class CleanPace {
    private final List<Shown> shown = new ArrayList<>();

    /** A set without a fault: what of, and its seconds a rep, in milliseconds. */
    private record Shown(Segment segment, double msPerRep) {}

    CleanPace(List<SegmentTrace> traces) {
        for (SegmentTrace trace : traces) {
            for (SetTrace set : trace.sets) {
                OptionalInt reps = trace.reps(set);
                Long start = set.startMs;
                Long end = set.endMs;
                boolean clean = set.faults.isEmpty() && reps.orElse(0) > 0 && trace.depth == Granularity.SET;
                if (clean && start != null && end != null) {
                    shown.add(new Shown(trace.segment, (end - start) / (double) reps.getAsInt()));
                }
            }
        }
    }

    /** The median of the clean sets of the same work; empty when there is none. */
    OptionalDouble msPerRep(Segment segment) {
        double[] figures = shown.stream()
                .filter(one -> Comparability.comparable(one.segment(), segment))
                .mapToDouble(Shown::msPerRep)
                .toArray();
        return figures.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(Statistics.median(figures));
    }
}
