package wake.log;

import java.util.List;
import java.util.OptionalInt;

/**
 * Unbroken reps between two breaks.
 *
 * @param startMs clock time of the first action
 * @param endMs clock time of the break, or of the last rep of the segment
 * @param reps how many; empty when nobody counted
 * @param repTimesMs clock times of the reps tapped one by one, may be fewer than {@code reps}
 */
public record SetSplit(long startMs, long endMs, OptionalInt reps, List<Long> repTimesMs) {
    public SetSplit {
        repTimesMs = List.copyOf(repTimesMs);
    }

    public long durationMs() {
        return endMs - startMs;
    }
}
