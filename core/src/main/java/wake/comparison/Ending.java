package wake.comparison;

import wake.log.Score;
import wake.units.Digits;

/**
 * How the two ended.
 *
 * @param sign above 0 where the first attempt scored more, below where the other did, 0 where equal or where nothing tells
 * @param margin by how much, in words: "9 reps", "12.3 s"; empty where equal, or where amounts differ and no clock tells
 * @param alone whether the one who scored more finished, and the other did not
 * @param comparable whether both ends count the same
 */
public record Ending(int sign, String margin, boolean alone, boolean comparable) {
    static Ending of(Side one, Side other, Matching matching, Digits digits) {
        Score a = one.log().score();
        Score b = other.log().score();
        boolean finished = a instanceof Score.Finished && b instanceof Score.Finished;
        boolean sameWork = matching.onlyOne().isEmpty()
                && matching.onlyOther().isEmpty()
                && matching.pairs().stream().allMatch(Matching.Pair::sameAmount);
        if (finished || sameWork) {
            int sign = Integer.signum(Score.compare(a, b));
            boolean oneFinished = a instanceof Score.Finished != b instanceof Score.Finished;
            String margin = sign == 0 || oneFinished && a.done() == b.done() ? "" : Score.margin(a, b, digits);
            return new Ending(sign, margin, oneFinished, true);
        }
        if (a instanceof Score.Finished || b instanceof Score.Finished) {
            return new Ending(a instanceof Score.Finished ? 1 : -1, "", true, true);
        }
        return new Ending(0, "", false, false);
    }
}
