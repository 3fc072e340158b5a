package wake.reading;

import java.util.List;
import wake.log.Cause;

/**
 * A time loss, with the moments that show it.
 *
 * @param kind what sort of thing
 * @param movement which movement; of a fast start its section; empty when it concerns whole rounds
 * @param cause why
 * @param lostMs how much, above zero
 * @param readingErrorMs its timing error: twice the standard uncertainty of that figure
 * @param against what it is compared with
 * @param reps whether all of it is counted in reps, so that it has a rep rate and not a pace
 * @param faults how many faults its splits hold
 * @param roundsOnly whether nothing below the round split was logged of it
 * @param savedMs of a fast start, what the first round was faster by; else 0
 * @param trendMs of a slow round, what the trend of the rounds gives for it, which is taken off; else 0
 * @param moments where to look, the largest loss first
 * @param terms what the figure was worked out from
 */
public record Finding(
        Kind kind,
        String movement,
        Cause cause,
        long lostMs,
        long readingErrorMs,
        Baseline.Kind against,
        boolean reps,
        int faults,
        boolean roundsOnly,
        long savedMs,
        long trendMs,
        List<Moment> moments,
        List<Term> terms) {
    public Finding {
        moments = List.copyOf(moments);
        terms = List.copyOf(terms);
    }

    /** Sorts of findings. */
    public enum Kind {
        /** One movement lost time by one cause. */
        CAUSE,
        /** The first round was faster than planned, and the others paid for it. */
        FAST_START,
        /** One round took far longer than the others, and not by one cause alone. */
        SLOW_ROUND
    }

    /**
     * An interval of the clock to play.
     *
     * @param fromMs where it starts, ms on the clock
     * @param toMs where it ends
     * @param label the split it belongs to: "round 3, 12 toes-to-bar"
     * @param round the round of that split: "round 3"; empty outside of rounds
     * @param lostMs the time lost in that split, ms
     */
    public record Moment(long fromMs, long toMs, String label, String round, long lostMs) {}

    /**
     * One line of the sum.
     *
     * @param place the split or round
     * @param actualMs what it took, by the cause of the finding; 0 of a round
     * @param lostMs how much of that was lost; below zero where it was saved
     */
    public record Term(String place, long actualMs, long lostMs) {}
}
