package wake.projection;

import wake.log.Score;

/**
 * What a change is worth: replay without it less replay with it.
 *
 * @param ms milliseconds of clock won; 0 when both end at the cap, or when passing a staged cap lets it go on for longer
 * @param reps reps won; 0 when both finish
 */
public record Gain(long ms, int reps) {
    static Gain between(Score before, Score after) {
        int reps = after.done() - before.done();
        return new Gain(Math.max(0, before.clockMs() - after.clockMs()), reps);
    }

    public boolean isNothing() {
        return ms == 0 && reps == 0;
    }
}
