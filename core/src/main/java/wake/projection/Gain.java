package wake.projection;

import wake.log.Score;

/**
 * What a change is worth: replay without it less replay with it.
 *
 * @param ms milliseconds of clock won; 0 when both end at the cap
 * @param reps reps won; 0 when both finish
 */
public record Gain(long ms, int reps) {
    static Gain between(Score before, Score after) {
        int reps = after.done() - before.done();
        return new Gain(clockMs(before) - clockMs(after), reps);
    }

    private static long clockMs(Score score) {
        return switch (score) {
            case Score.Finished finished -> finished.clockMs();
            case Score.Capped capped -> capped.capMs();
            case Score.Partial partial -> partial.clockMs();
        };
    }

    public boolean isNothing() {
        return ms == 0 && reps == 0;
    }
}
