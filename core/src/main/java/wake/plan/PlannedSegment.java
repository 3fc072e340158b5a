package wake.plan;

import java.util.List;
import wake.workout.Segment;

/**
 * What a yardstick allows for one segment, in whole milliseconds.
 *
 * @param segment what is to be done
 * @param waitMs of interval work, what is left of the interval before
 * @param transitionMs up to the first action
 * @param workMs in sets
 * @param restMs in breaks
 * @param missesMs for misses, no-reps and trips
 * @param sets set sizes; empty where nothing is said about them
 */
public record PlannedSegment(
        Segment segment, long waitMs, long transitionMs, long workMs, long restMs, long missesMs, List<Integer> sets) {
    public PlannedSegment {
        sets = List.copyOf(sets);
    }

    public long totalMs() {
        return waitMs + activeMs();
    }

    /** All but the wait for the interval to open. */
    public long activeMs() {
        return transitionMs + workMs + restMs + missesMs;
    }

    PlannedSegment withWork(long ms) {
        return new PlannedSegment(segment, waitMs, transitionMs, ms, restMs, missesMs, sets);
    }

    PlannedSegment withTransition(long ms) {
        return new PlannedSegment(segment, waitMs, ms, workMs, restMs, missesMs, sets);
    }
}
