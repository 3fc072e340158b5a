package wake.reading;

import java.util.List;

/**
 * Something that cost time, with the moments that show it.
 *
 * @param kind what sort of thing
 * @param movement which movement; empty when it concerns whole rounds
 * @param cause why
 * @param lostMs how much, above zero
 * @param readingErrorMs twice the standard uncertainty of that figure
 * @param sentence what a coach would say
 * @param moments where to look, the dearest first
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

    /** A stretch of the clock to play, and what it shows. */
    public record Moment(long fromMs, long toMs, String label, long lostMs) {}
}
