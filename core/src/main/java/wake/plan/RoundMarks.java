package wake.plan;

import java.util.OptionalLong;
import wake.workout.Lap;
import wake.workout.Segment;

/** Rounds that start on marks of the coach's own: what is left of a round is spent before the next one. */
final class RoundMarks {
    private final OptionalLong everyMs;
    private long firstStartMs;
    private Lap last = Lap.ONCE;

    RoundMarks(OptionalLong everyMs) {
        this.everyMs = everyMs;
    }

    /** The next segment of the walk, with the wait for its round's mark in its transition. */
    PlannedSegment onto(PlannedSegment next, long clock) {
        Segment segment = next.segment();
        Lap lap = segment.lap();
        boolean opens = !lap.equals(last);
        last = lap;
        if (everyMs.isEmpty() || !lap.repeats() || !opens) {
            return next;
        }
        if (lap.number() == 1) {
            firstStartMs = clock + next.waitMs() + next.transitionMs();
        }
        long mark = firstStartMs + everyMs.getAsLong() * (lap.number() - 1);
        return next.waitingForItsMark(Math.max(0, mark - clock - next.waitMs() - next.transitionMs()));
    }
}
