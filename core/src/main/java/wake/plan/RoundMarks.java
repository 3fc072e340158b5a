package wake.plan;

import java.util.OptionalLong;
import wake.workout.Segment;

/** Rounds that start on marks of the coach's own: what is left of a round is spent before the next one. */
final class RoundMarks {
    private final OptionalLong everyMs;
    private long firstStartMs;
    private int lastRound;

    RoundMarks(OptionalLong everyMs) {
        this.everyMs = everyMs;
    }

    /** The next segment of the walk, with the wait for its round's mark in its transition. */
    PlannedSegment onto(PlannedSegment next, long clock) {
        Segment segment = next.segment();
        int round = segment.inRounds() ? segment.round() : 0;
        boolean opens = round != lastRound;
        lastRound = round;
        if (everyMs.isEmpty() || round == 0 || !opens) {
            return next;
        }
        if (round == 1) {
            firstStartMs = clock + next.transitionMs();
        }
        long mark = firstStartMs + everyMs.getAsLong() * (round - 1);
        return next.withTransition(Math.max(next.transitionMs(), mark - clock));
    }
}
