package wake.plan;

/**
 * How one movement is meant to go.
 *
 * @param transitionMs from the last rep of the movement before to the first action of this one
 * @param sets how its reps are cut
 * @param secondsPerUnit cadence while working: seconds per rep, calorie, metre …
 * @param restMs the break after each set but the last
 */
public record Pacing(long transitionMs, SetScheme sets, double secondsPerUnit, long restMs) {
    private static final long LONGEST_PAUSE_MS = 600_000;

    public Pacing {
        if (transitionMs < 0 || transitionMs > LONGEST_PAUSE_MS) {
            throw new IllegalArgumentException("Expected a transition from 0 to 600 s, got " + transitionMs / 1000.0);
        }
        if (restMs < 0 || restMs > LONGEST_PAUSE_MS) {
            throw new IllegalArgumentException("Expected a rest from 0 to 600 s, got " + restMs / 1000.0);
        }
        if (!(secondsPerUnit > 0) || secondsPerUnit > 600) {
            throw new IllegalArgumentException(
                    "Expected above 0 and up to 600 s per rep or unit, got " + secondsPerUnit);
        }
    }
}
