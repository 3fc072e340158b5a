package wake.projection;

import java.util.OptionalDouble;

/** What would have to come of a change for it to pay, where its effect is not arithmetic, or what an attempt shows about that. */
public sealed interface Condition {
    /** Worth it unless the work after it slows by so much or more. */
    record Unless(double slowerPercent) implements Condition {}

    /** It costs seconds where it is made, and pays if the work after it gets so much faster. */
    record PaidBack(double addsS, double fasterPercent) implements Condition {}

    /** What the pace takes on an erg of which the power is known. */
    record Power(double averagedW, double neededW) implements Condition {}

    /**
     * Breaks more, or fewer where below 0.
     *
     * @param restS what each takes
     * @param repS by how much each rep has to get faster for more to pay, or may get slower with fewer
     */
    record Breaks(int more, double restS, double repS) implements Condition {}

    /**
     * How the next movement went after broken and after unbroken sets, seconds per unit of it; empty where there were none.
     *
     * @param brokenTimes how often it was broken before
     * @param unbrokenTimes how often not
     */
    record AfterBreaks(OptionalDouble brokenS, int brokenTimes, OptionalDouble unbrokenS, int unbrokenTimes)
            implements Condition {}

    /** From little to much effort for extra speed. */
    record EffortBand(Gain low, Gain high) implements Condition {}

    /** A break must be no longer than the pick-up it replaces. */
    record ShorterThanPickUp() implements Condition {}
}
