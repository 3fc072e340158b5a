package wake.comparison;

import wake.log.AttemptLog;

/**
 * One of the attempts that stand beside each other.
 *
 * @param name what it is called in a sentence: "Maren", or "Maren on 3 Nov" beside an attempt of her own
 * @param text the workout as it stood when it was done
 */
public record Side(String name, String text, AttemptLog log) {
    /** Whether both were done at the same text. */
    boolean sameText(Side other) {
        return text.equals(other.text);
    }
}
