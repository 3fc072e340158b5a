package wake.projection;

import wake.log.Score;
import wake.units.Digits;

/**
 * What a retest would score in most of many replays.
 *
 * @param p10 one replay in ten scores worse
 * @param p50 half of them score better
 * @param p90 one in ten scores better
 * @param replays how many there were
 */
public record Range(Score p10, Score p50, Score p90, int replays) {
    private static final String REPS = " reps";

    /** From the lower to the higher number: "10:08–10:43", "134–141 reps"; one score where both are shown the same. */
    public String words() {
        String worse = p10.brief(Digits.WHOLE);
        String better = p90.brief(Digits.WHOLE);
        if (worse.equals(better)) {
            return worse;
        }
        boolean clocks = p90 instanceof Score.Finished;
        String low = clocks ? better : worse;
        String high = clocks ? worse : better;
        if (low.endsWith(REPS) && high.endsWith(REPS)) {
            low = low.substring(0, low.length() - REPS.length());
        }
        return low + (low.contains(" ") || high.contains(" + ") ? " to " : "–") + high;
    }

    /**
     * The same for the gain of one change: one replay in ten gains less than {@code low}, half of them more than
     * {@code middle}, one in ten more than {@code high}.
     */
    public record OfGain(Gain low, Gain middle, Gain high) {}
}
