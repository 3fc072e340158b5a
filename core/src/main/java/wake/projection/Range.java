package wake.projection;

import wake.log.Score;

/**
 * What a retest would score in most of many replays.
 *
 * @param p10 one replay in ten scores worse
 * @param p50 half of them score better
 * @param p90 one in ten scores better
 * @param replays how many there were
 */
public record Range(Score p10, Score p50, Score p90, int replays) {
    /**
     * The same for the gain of one change: one replay in ten gains less than {@code low}, half of them more than
     * {@code middle}, one in ten more than {@code high}.
     */
    public record OfGain(Gain low, Gain middle, Gain high) {}
}
