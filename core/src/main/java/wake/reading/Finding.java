package wake.reading;

import java.util.List;

/**
 * A time loss, with the moments that show it.
 *
 * @param kind what sort of thing
 * @param movement which movement; empty when it concerns whole rounds
 * @param cause why
 * @param lostMs how much, above zero
 * @param readingErrorMs its timing error: twice the standard uncertainty of that figure
 * @param sentence what a coach would say
 * @param moments where to look, the largest loss first
 * @param working how the figure was worked out: the formula, its values, the source
 */
public record Finding(
        Kind kind,
        String movement,
        Cause cause,
        long lostMs,
        long readingErrorMs,
        String sentence,
        List<Moment> moments,
        List<String> working) {
    public Finding {
        moments = List.copyOf(moments);
        working = List.copyOf(working);
    }

    /** Sorts of findings. */
    public enum Kind {
        /** One movement lost time by one cause. */
        CAUSE,
        /** The first round was faster than the yardstick, and the others paid for it. */
        FAST_START,
        /** One round took far longer than the others, and not by one cause alone. */
        SLOW_ROUND
    }

    /**
     * An interval of the clock to play.
     *
     * @param fromMs where it starts, ms on the clock
     * @param toMs where it ends
     * @param label the split it belongs to: "round 3 · 12 toes-to-bar"
     * @param round the round of that split: "round 3"; empty outside of rounds
     * @param lostMs the time lost in that split, ms
     */
    public record Moment(long fromMs, long toMs, String label, String round, long lostMs) {}
}
