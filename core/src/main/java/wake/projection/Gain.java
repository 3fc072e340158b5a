package wake.projection;

import java.util.ArrayList;
import java.util.List;
import wake.log.Score;
import wake.units.Digits;

/**
 * What a change is worth: replay without it less replay with it. Negative where it costs.
 *
 * @param ms milliseconds of clock won; 0 when both end at the buzzer, or when passing a cut-off lets it go on for longer
 * @param reps reps won; 0 when both finish
 */
public record Gain(long ms, int reps) {
    /** From ten seconds on tenths say nothing. */
    private static final long LONG_MS = 10_000;

    public static final Gain NOTHING = new Gain(0, 0);

    public static Gain between(Score before, Score after) {
        return between(before.clockMs(), before.done(), after.clockMs(), after.done());
    }

    static Gain between(long clockBefore, int doneBefore, long clockAfter, int doneAfter) {
        int reps = doneAfter - doneBefore;
        long ms = clockBefore - clockAfter;
        if (reps > 0) {
            return new Gain(Math.max(0, ms), reps);
        }
        return new Gain(reps < 0 ? Math.min(0, ms) : ms, reps);
    }

    public boolean isNothing() {
        return ms == 0 && reps == 0;
    }

    /** "4.5 s", from ten seconds on "13 s", "3 reps", "costs 4.0 s", "no change": what is projected is not known to the tenth. */
    public String words() {
        if (isNothing()) {
            return "no change";
        }
        List<String> parts = new ArrayList<>();
        if (ms != 0) {
            parts.add((Math.abs(ms) < LONG_MS ? Digits.TENTHS : Digits.WHOLE).span(Math.abs(ms)));
        }
        if (reps != 0) {
            parts.add(Math.abs(reps) + (Math.abs(reps) == 1 ? " rep" : " reps"));
        }
        return (rank() < 0 ? "−" : "") + String.join(" and ", parts);
    }

    /** One figure to sort by: reps count as a second each where clocks do not show. */
    long rank() {
        return ms + 1000L * reps;
    }
}
