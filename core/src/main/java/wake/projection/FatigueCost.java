package wake.projection;

import wake.units.InvalidInput;

/**
 * The fatigue cost of seconds that are saved. Transitions and rests give recovery, and a faster pace costs it, so that part of what is
 * saved comes back as slower work afterwards: of each second so much, spread over the work that follows (half of it within about a
 * minute and a half). Saved late, little of it can come back.
 *
 * <p>The shares to begin with are assumptions, of the size found on simulated bodies with a power reserve that recovers (Skiba et al.
 * 2012, 2015) and local fatigue; see docs/truth-trial.md. What an athlete's checked projections show replaces them bit by bit.
 *
 * @param transitions of a second saved in transitions, seconds that come back
 * @param rests of one saved between sets
 * @param pace of one saved by a faster pace
 * @param unsure standard deviation of all three together, as a share of them
 * @param form day-to-day form: typical error of an athlete's attempts, as a share of the clock
 */
public record FatigueCost(double transitions, double rests, double pace, double unsure, double form) {
    /** Typical error of 1 % (Hopkins, Hawley & Burke 1999, from memory, for trained athletes); the rest assumed. */
    public static final FatigueCost USUAL = new FatigueCost(0.2, 0.4, 0.3, 0.5, 0.01);

    /** A body that does not answer, the same every day: bare arithmetic. */
    public static final FatigueCost NONE = new FatigueCost(0, 0, 0, 0, 0);

    /** In how much work the larger half of what is owed is paid back; an assumption. */
    private static final double PAID_OVER_MS = 120_000;

    /**
     * By how much more is taken where a buzzer ends the work: at a third above the power that can be kept up for long a little more pace
     * drains the reserve 4/3 times as much when the time is fixed as when the work is, since what is saved is worked and nobody stops
     * sooner (critical power, Monod & Scherrer 1965: (1 + x) · g against g). The third, for work that transitions and rests break up, is an assumption.
     */
    private static final double AT_THE_BELL = 4 / 3.0;

    private static final double MOST = 2;

    /** @throws InvalidInput where a share is not from 0 to 2 */
    public FatigueCost {
        for (double share : new double[] {transitions, rests, pace, unsure, form}) {
            if (!(share >= 0 && share <= MOST)) {
                throw new InvalidInput("A fatigue cost is 0 to 200%, not " + 100 * share + " %");
            }
        }
    }

    /** The same, as many times as much of it coming back. */
    public FatigueCost times(double factor) {
        return new FatigueCost(
                Math.min(MOST, transitions * factor),
                Math.min(MOST, rests * factor),
                Math.min(MOST, pace * factor),
                unsure,
                form);
    }

    /** The same where a buzzer ends the work. */
    FatigueCost untilTheBuzzer() {
        return times(AT_THE_BELL);
    }

    /** What comes back of a second saved on a piece. */
    double of(TimeSlice.Kind kind) {
        return switch (kind) {
            case TRANSITION -> transitions;
            case REST -> rests;
            case WORK, UNSEPARATED -> pace;
            case WAIT, PARTNER -> 0;
        };
    }

    /** How much of what is owed is paid back in so much work. */
    static double paid(double owedMs, double workMs) {
        return owedMs * (workMs / (workMs + PAID_OVER_MS));
    }
}
