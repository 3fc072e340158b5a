package wake.comparison;

/**
 * A moment at which who was behind came to have done more.
 *
 * @param one whether the first attempt passed; else the other
 * @param atMs the clock at which the first rep more was done
 * @param place where on the expanded workout: "round 3, 12 toes-to-bar"
 * @param where the same in a sentence: "the toes-to-bar of round 3"
 * @param known whether the reps around it were logged; else it lies somewhere between {@code fromMs} and {@code toMs}
 * @param fromMs the latest clock at which the one passed is known to have led
 * @param toMs the earliest at which the one passing is known to
 * @param clear whether both led by more than the reading error, before and after
 */
public record Overtake(
        boolean one, long atMs, String place, String where, boolean known, long fromMs, long toMs, boolean clear) {}
