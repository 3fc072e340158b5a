package wake.log;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Unbroken reps between two breaks.
 *
 * @param startMs clock time of the start of the movement
 * @param endMs clock time of the break, or of the last rep of the segment
 * @param reps how many; empty when nobody counted
 * @param repTimesMs clock times of the reps tapped one by one, may be fewer than {@code reps}
 * @param endedBy the fault that ended it, where it was not a break of the athlete's choice
 * @param lostMs the break after it, where it belongs to that fault; else 0
 */
public record SetSplit(
        long startMs, long endMs, OptionalInt reps, List<Long> repTimesMs, Optional<MarkKind> endedBy, long lostMs) {
    public SetSplit {
        repTimesMs = List.copyOf(repTimesMs);
    }

    public long durationMs() {
        return endMs - startMs;
    }

    /** Whether it is a try that failed: nothing of it counted. */
    public boolean failed() {
        return endedBy.isPresent() && reps.isPresent() && reps.getAsInt() == 0;
    }
}
