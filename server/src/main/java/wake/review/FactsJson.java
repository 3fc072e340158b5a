package wake.review;

import wake.history.AttemptFacts;
import wake.log.Score;
import wake.projection.Outcome;
import wake.reading.Reading;
import wake.review.ProjectedJson.ScoreJson;
import wake.units.Digits;

/**
 * What an attempt shows of its athlete, as it is kept.
 *
 * @param score what it scored
 * @param digits how far its clock was given
 * @param shown the rest
 */
public record FactsJson(ScoreJson score, Digits digits, AttemptFacts shown) {
    public static FactsJson of(Reading reading) {
        return new FactsJson(ScoreJson.of(reading.log().score()), reading.log().digits(), AttemptFacts.of(reading));
    }

    /** Whether a later attempt is better (above zero) or worse, and by how much: "5.6 s faster", "same as before". */
    public record Change(int better, String words) {}

    public Change to(FactsJson later) {
        Score before = score.score();
        Score after = later.score.score();
        Digits least = digits == Digits.WHOLE ? digits : later.digits;
        return new Change(Integer.signum(Score.compare(after, before)), Outcome.difference(before, after, least));
    }
}
