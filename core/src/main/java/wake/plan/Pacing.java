package wake.plan;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import wake.units.InvalidInput;

/**
 * How one movement is meant to go.
 *
 * @param transitionMs from the last rep of the movement before to the start of the movement of this one
 * @param sets how its reps are cut
 * @param secondsPerUnit cadence while working: seconds per rep, calorie, metre … What can be meant depends on which: {@link Plan#meantFor}
 * @param effort how the cadence changes inside the piece
 * @param rests the break after each set but the last
 * @param pickUpMs what it takes to bring the load up again for a set, where reps start above the floor; 0 where the pace has it in already
 * @param missesMs time allowed for misses, no-reps and trips
 * @param paceIn what the coach said the cadence in
 */
public record Pacing(
        long transitionMs,
        SetScheme sets,
        double secondsPerUnit,
        PaceSteps effort,
        Rests rests,
        long pickUpMs,
        long missesMs,
        PaceUnit paceIn) {
    /** A transition as short as this keeps the load in the hands. */
    public static final long HELD_MS = 1000;

    private static final long LONGEST_PAUSE_MS = 3_600_000;
    private static final double SAME_CADENCE_S = 0.01;
    /** Of a pace by the metre a hundredth of a second is seconds in 500 m. */
    private static final double SAME_CADENCE = 0.004;

    private static final long SAME_PAUSE_MS = 50;

    /** @throws InvalidInput where a rate is not above 0, or a time out of range */
    public Pacing {
        within("a transition", transitionMs);
        within("a pick-up", pickUpMs);
        within("failed reps", missesMs);
        if (!(secondsPerUnit > 0) || Double.isInfinite(secondsPerUnit)) {
            throw new InvalidInput("A rate is above 0 s each, not " + secondsPerUnit);
        }
    }

    /** Pacing with equal rests, nothing allowed for misses, and a cadence that nobody said. */
    public Pacing(long transitionMs, SetScheme sets, double secondsPerUnit, long restMs) {
        this(transitionMs, sets, secondsPerUnit, PaceSteps.EVEN, Rests.of(restMs), 0, 0, PaceUnit.USUAL);
    }

    static void within(String what, long ms) {
        if (ms < 0 || ms > LONGEST_PAUSE_MS) {
            throw new InvalidInput("The time for " + what + " is 0 to 3600 s, not " + ms / 1000.0);
        }
    }

    /** What of it a coach sees and changes by itself. */
    public enum Figure {
        SETS,
        PACE,
        REST,
        WAY,
        PICK_UP,
        MISSES
    }

    /** Whether a coach would call it the same: equal to what a whiteboard shows, hundredths of a second a rep (0.4% at the most), tenths of a pause. */
    public boolean looksLike(Pacing other) {
        return unlike(other).isEmpty();
    }

    /** The figures that a coach would call others than those of another pacing. */
    public Set<Figure> unlike(Pacing other) {
        Set<Figure> unlike = EnumSet.noneOf(Figure.class);
        mark(unlike, Figure.SETS, sets.equals(other.sets));
        double within = Math.min(SAME_CADENCE_S, SAME_CADENCE * secondsPerUnit);
        mark(
                unlike,
                Figure.PACE,
                Math.abs(secondsPerUnit - other.secondsPerUnit) < within && effort.looksLike(other.effort, within));
        mark(unlike, Figure.REST, rests.looksLike(other.rests, SAME_PAUSE_MS));
        mark(unlike, Figure.WAY, Math.abs(transitionMs - other.transitionMs) < SAME_PAUSE_MS);
        mark(unlike, Figure.PICK_UP, Math.abs(pickUpMs - other.pickUpMs) < SAME_PAUSE_MS);
        mark(unlike, Figure.MISSES, missesMs == other.missesMs);
        return unlike;
    }

    private static void mark(Set<Figure> unlike, Figure figure, boolean same) {
        if (!same) {
            unlike.add(figure);
        }
    }

    /** The sets that so many reps fall into. */
    public List<Integer> sets(int reps) {
        return sets.sets(reps);
    }

    public Pacing withTransition(long ms) {
        return new Pacing(ms, sets, secondsPerUnit, effort, rests, pickUpMs, missesMs, paceIn);
    }

    public Pacing withSets(SetScheme scheme) {
        return new Pacing(transitionMs, scheme, secondsPerUnit, effort, rests, pickUpMs, missesMs, paceIn);
    }

    /** Another pace for all of the piece; where it changes inside, each stretch in proportion. */
    public Pacing withCadence(double seconds) {
        return new Pacing(
                transitionMs, sets, seconds, effort.by(seconds / secondsPerUnit), rests, pickUpMs, missesMs, paceIn);
    }

    /** Another pace, even or changing inside the piece. */
    public Pacing withPace(PaceStepsReader.Paced paced) {
        return new Pacing(
                transitionMs, sets, paced.secondsPerUnit(), paced.effort(), rests, pickUpMs, missesMs, paced.in());
    }

    /** The same rest after every set. */
    public Pacing withRest(long ms) {
        return withRests(Rests.of(ms));
    }

    public Pacing withRests(Rests others) {
        return new Pacing(transitionMs, sets, secondsPerUnit, effort, others, pickUpMs, missesMs, paceIn);
    }

    public Pacing withPickUp(long ms) {
        return new Pacing(transitionMs, sets, secondsPerUnit, effort, rests, ms, missesMs, paceIn);
    }

    public Pacing withMisses(long ms) {
        return new Pacing(transitionMs, sets, secondsPerUnit, effort, rests, pickUpMs, ms, paceIn);
    }

    /** Transition and rests longer or shorter by a factor. */
    public Pacing withPausesBy(double factor) {
        return new Pacing(
                Math.round(transitionMs * factor),
                sets,
                secondsPerUnit,
                effort,
                rests.by(factor),
                pickUpMs,
                missesMs,
                paceIn);
    }
}
