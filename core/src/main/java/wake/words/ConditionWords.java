package wake.words;

import wake.projection.Condition;
import wake.units.Messages;

/** When a change pays, in sentences. */
public final class ConditionWords {
    private ConditionWords() {}

    /** One condition as a sentence. */
    public static String of(Condition condition) {
        return switch (condition) {
            case Condition.Unless unless ->
                Messages.of("Worth it unless the work after it slows by %.1f%% or more.", unless.slowerPercent());
            case Condition.PaidBack back ->
                Messages.of(
                        "Adds %.1f s here. Worth it if the work after it gets %.1f%% faster.",
                        back.addsS(), back.fasterPercent());
            case Condition.Power power ->
                Messages.of(
                        "Needs %.0f W; this attempt averaged %.0f W (%+.0f%%).",
                        power.neededW(), power.averagedW(), 100 * (power.neededW() / power.averagedW() - 1));
            case Condition.Breaks breaks -> breaks(breaks);
            case Condition.AfterBreaks after -> after(after);
            case Condition.EffortBand band ->
                "From " + band.low().words() + " to " + band.high().words()
                        + " saved, depending on how much effort extra speed takes (assumed, except for rowing).";
            case Condition.ShorterThanPickUp pickUp ->
                "Adds a break inside the set. Worth it as long as that break is no longer than the pick-up it replaces.";
        };
    }

    private static String breaks(Condition.Breaks breaks) {
        double all = Math.abs(breaks.more()) * breaks.restS();
        if (breaks.more() == 0) {
            return "Same number of breaks, in different spots.";
        }
        return breaks.more() > 0
                ? Messages.of(
                        "%d extra breaks add %.1f s (%.1f s each). Worth it if reps get %.2f s faster, or the next movements gain as much.",
                        breaks.more(), all, breaks.restS(), breaks.repS())
                : Messages.of(
                        "%d fewer breaks save %.1f s (%.1f s each). Not worth it if reps get %.2f s slower, or the next movements lose as much.",
                        -breaks.more(), all, breaks.restS(), breaks.repS());
    }

    private static String after(Condition.AfterBreaks after) {
        if (after.brokenS().isEmpty() || after.unbrokenS().isEmpty()) {
            return "No comparison: this athlete "
                    + (after.brokenS().isEmpty() ? "never broke it." : "always broke it.");
        }
        return Messages.of(
                "Next movement: %.2f s each after broken sets (%d×), %.2f s after unbroken (%d×). Other things differed between those rounds too.",
                after.brokenS().getAsDouble(),
                after.brokenTimes(),
                after.unbrokenS().getAsDouble(),
                after.unbrokenTimes());
    }
}
