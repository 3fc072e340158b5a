package wake.reading;

import java.util.EnumSet;
import java.util.Set;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.log.Stretch;

/**
 * What a baseline allows for the work that was done in a stretch, milliseconds.
 *
 * @param waitMs for the interval to open
 * @param transitionMs up to the start of the movement
 * @param workMs in sets, without faults; where {@code apart} is false all but wait and transition
 * @param restMs in breaks
 * @param missesMs for faults
 * @param apart whether it tells transition, work and rests apart
 * @param compares the causes it says something about; of the others it allows what was done
 */
record Expected(
        long waitMs, long transitionMs, long workMs, long restMs, long missesMs, boolean apart, Set<Cause> compares) {
    static final Set<Cause> ALL =
            EnumSet.of(Cause.PACE, Cause.REST, Cause.TRANSITION, Cause.FAULT, Cause.INTERVAL_REST, Cause.UNSEPARATED);

    Expected {
        compares = compares.isEmpty() ? EnumSet.noneOf(Cause.class) : EnumSet.copyOf(compares);
    }

    long totalMs() {
        return waitMs + transitionMs + workMs + restMs + missesMs;
    }

    /** What was done, faults and all: nothing to hold it against. */
    static Expected asDone(Stretch stretch) {
        return new Expected(
                stretch.first().waitMs(),
                0,
                stretch.elapsedMs() - stretch.first().waitMs() - stretch.unfinishedMs(),
                0,
                0,
                false,
                Set.of());
    }

    /** What was done in a segment whose parts are broken down, but for faults: those are a loss by any baseline. */
    static Expected ownFigures(SegmentSplit split) {
        return new Expected(
                split.waitMs(),
                split.transitionMs(),
                split.workMs() - split.faultMs(),
                split.restMs(),
                0,
                true,
                Set.of(Cause.FAULT));
    }

    /** What was done in a segment of which the start is known and the rest is not broken down. */
    static Expected begun(SegmentSplit split) {
        return new Expected(split.waitMs(), split.transitionMs(), split.activeMs(), 0, 0, true, Set.of());
    }

    Expected withTransition(long ms) {
        return new Expected(waitMs, ms, workMs, restMs, missesMs, apart, and(Cause.TRANSITION));
    }

    Expected withWork(long ms) {
        return new Expected(
                waitMs, transitionMs, ms, restMs, missesMs, apart, and(apart ? Cause.PACE : Cause.UNSEPARATED));
    }

    /** The same with another time for all but wait and transition. */
    Expected withActive(long ms) {
        return new Expected(waitMs, transitionMs, ms, 0, 0, apart, and(Cause.UNSEPARATED));
    }

    Expected withRest(long ms) {
        return new Expected(waitMs, transitionMs, workMs, ms, missesMs, apart, and(Cause.REST));
    }

    private Set<Cause> and(Cause cause) {
        Set<Cause> more = EnumSet.copyOf(compares);
        more.add(cause);
        return more;
    }
}
