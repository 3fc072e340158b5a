package wake.api.retest;

import wake.log.Score;
import wake.projection.Gain;
import wake.units.Digits;

/** Scores, and what is won between them, as the interface shows them. */
public final class ScoreViews {
    private ScoreViews() {}

    /** A score in words and figures. */
    public record ScoreView(String words, long clockMs, int done, int missing) {}

    /** What is won; negative where it costs. */
    public record GainView(long ms, int reps, String words) {}

    /** A score that was reached, as exactly as it was given. */
    public static ScoreView score(Score score, Digits digits) {
        return view(score, score.words(digits));
    }

    private static ScoreView view(Score score, String words) {
        int missing = score instanceof Score.Capped capped ? capped.missing() : 0;
        return new ScoreView(words, score.clockMs(), score.done(), missing);
    }

    /** A score nobody has reached yet: nobody knows its tenths. */
    public static ScoreView projected(Score score) {
        return view(score, score.brief(Digits.WHOLE));
    }

    public static GainView gain(Gain gain) {
        return new GainView(gain.ms(), gain.reps(), gain.words());
    }
}
