package wake.projection;

import wake.log.Score;
import wake.units.Digits;

/**
 * What a retest would score in most of many replays.
 *
 * @param p10 one replay in ten scores worse
 * @param p50 the middle: what is projected
 * @param p90 one in ten scores better
 * @param replays how many there were
 */
public record Range(Score p10, Score p50, Score p90, int replays) {
    private static final String REPS = " reps";

    /** The same about what is projected, which lies inside it. */
    Range around(Score projected) {
        return new Range(
                Score.compare(projected, p10) < 0 ? projected : p10,
                projected,
                Score.compare(projected, p90) > 0 ? projected : p90,
                replays);
    }

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
     * The same for the gain of one change: one replay in ten gains less than {@code low}, one in ten more than {@code high}; what is projected of it
     * lies between.
     */
    public record OfGain(Gain low, Gain middle, Gain high) {
        OfGain around(Gain projected) {
            return new OfGain(
                    projected.rank() < low.rank() ? projected : low,
                    projected,
                    projected.rank() > high.rank() ? projected : high);
        }
    }
}
