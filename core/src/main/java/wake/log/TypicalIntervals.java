package wake.log;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.TreeMap;
import wake.log.SegmentTrace.SetTrace;

/** The median time from rep to rep inside sets, leaving out the gaps in which a fault lies. */
final class TypicalIntervals {
    private TypicalIntervals() {}

    /** Of one segment; empty when no two reps of a set were tapped. */
    static OptionalLong of(SegmentTrace trace) {
        return median(faultFree(trace));
    }

    /** Of every movement over the whole attempt, by its name. */
    static Map<String, Long> byMovement(List<SegmentTrace> traces) {
        Map<String, List<Long>> intervals = new TreeMap<>();
        for (SegmentTrace trace : traces) {
            intervals
                    .computeIfAbsent(trace.segment.movement().name(), name -> new ArrayList<>())
                    .addAll(faultFree(trace));
        }
        Map<String, Long> typical = new TreeMap<>();
        intervals.forEach((name, values) -> median(values).ifPresent(ms -> typical.put(name, ms)));
        return typical;
    }

    private static List<Long> faultFree(SegmentTrace trace) {
        List<Long> intervals = new ArrayList<>();
        for (SetTrace set : trace.sets) {
            for (int i = 0; i < set.reps.size(); i++) {
                if (i == 0 && set.startMs == null) {
                    continue;
                }
                long from = i == 0 ? java.util.Objects.requireNonNull(set.startMs) : set.reps.get(i - 1);
                long to = set.reps.get(i);
                if (set.faults.isEmpty()
                        || set.faults.stream().noneMatch(fault -> fault.atMs() >= from && fault.atMs() <= to)) {
                    intervals.add(to - from);
                }
            }
        }
        return intervals;
    }

    /** The middle value; of an even number the mean of the middle two, rounded down. */
    static OptionalLong median(List<Long> values) {
        if (values.isEmpty()) {
            return OptionalLong.empty();
        }
        long[] sorted = values.stream().mapToLong(Long::longValue).toArray();
        Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return OptionalLong.of(sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2);
    }
}
