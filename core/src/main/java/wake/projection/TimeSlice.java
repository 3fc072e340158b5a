package wake.projection;

import java.util.Arrays;
import java.util.List;
import wake.workout.Segment;

/**
 * A stretch of an attempt as replay sees it: some time, and what gets done in it.
 *
 * @param segment the segment it belongs to
 * @param kind what the time is spent on
 * @param ms how long it takes
 * @param fixedMs the cost of faults in it, which no change of cadence touches
 * @param tailMs what goes by after its last unit before the set is broken off, which no change touches
 * @param unitEndsMs when each step that counts is completed, from the start of the piece, rising, at most {@code ms}
 * @param opensAtMs of a wait, the clock at which the next interval opens, below 0 for a prescribed rest; else 0
 * @param startMs the clock at which it started in the attempt; beyond the buzzer, where it would start
 * @param observed whether it happened, rather than lying beyond the buzzer
 * @param cutByFault of a set, whether a fault ended it: it is no set the athlete chose
 * @param set which set of its segment it is, or the rest after which, from 1; 0 for what is neither
 */
record TimeSlice(
        Segment segment,
        Kind kind,
        long ms,
        long fixedMs,
        long tailMs,
        List<Long> unitEndsMs,
        long opensAtMs,
        long startMs,
        boolean observed,
        boolean cutByFault,
        int set) {
    /** What a piece of time is spent on. */
    enum Kind {
        WAIT,
        TRANSITION,
        WORK,
        REST,
        UNSEPARATED,
        /** A partner's turn: it takes as long as it took, and is no figure of the athlete's. */
        PARTNER
    }

    private static final long NO_CLOCK = -1;

    TimeSlice {
        unitEndsMs = List.copyOf(unitEndsMs);
    }

    static TimeSlice of(Segment segment, Kind kind, long ms, long fixedMs, List<Long> unitEndsMs) {
        return new TimeSlice(segment, kind, ms, Math.min(fixedMs, ms), 0, unitEndsMs, 0, 0, true, false, 0);
    }

    /** A set of which every unit was seen: what goes by after the last one is its tail, but for what a fault took after it. */
    static TimeSlice tapped(Segment segment, long ms, long lostMs, long fixedMs, List<Long> unitEndsMs) {
        long tail = lostMs > 0 ? 0 : ms - unitEndsMs.getLast();
        long whole = ms + lostMs;
        return new TimeSlice(
                segment, Kind.WORK, whole, Math.min(fixedMs, whole - tail), tail, unitEndsMs, 0, 0, true, false, 0);
    }

    /** What is left of an interval: it ends when the next one opens, however early the work was done. */
    static TimeSlice waitUntil(Segment segment, long ms, long opensAtMs) {
        return new TimeSlice(segment, Kind.WAIT, ms, 0, 0, List.of(), opensAtMs, 0, true, false, 0);
    }

    /** A rest that is prescribed: it takes as long as it takes, whenever it starts. */
    static TimeSlice prescribedRest(Segment segment, long ms) {
        return waitUntil(segment, ms, NO_CLOCK);
    }

    /** Whether it lasts until a clock, rather than for some time. */
    boolean waitsForAClock() {
        return kind == Kind.WAIT && opensAtMs != NO_CLOCK;
    }

    static TimeSlice pause(Segment segment, Kind kind, long ms) {
        return of(segment, kind, ms, 0, List.of());
    }

    /** Units evenly spread over the time; the last one ends with the piece. */
    static TimeSlice even(Segment segment, Kind kind, long ms, long fixedMs, int units) {
        Long[] ends = new Long[units];
        Arrays.setAll(ends, i -> ms * (i + 1) / units);
        return of(segment, kind, ms, fixedMs, List.of(ends));
    }

    /** The same where the last of its time went into a unit that was not completed: no change of cadence touches that. */
    TimeSlice unfinished(long tail) {
        if (tail == 0) {
            return this;
        }
        List<Long> ends = unitEndsMs.stream().map(end -> end * (ms - tail) / ms).toList();
        return new TimeSlice(
                segment,
                kind,
                ms,
                Math.min(fixedMs, ms - tail),
                tail,
                ends,
                opensAtMs,
                startMs,
                observed,
                cutByFault,
                set);
    }

    /** The same as a set that a fault ended. */
    TimeSlice cutByAFault() {
        return new TimeSlice(segment, kind, ms, fixedMs, tailMs, unitEndsMs, opensAtMs, startMs, observed, true, set);
    }

    /** The same piece at its place on the clock. */
    TimeSlice at(long clockMs, boolean happened) {
        return new TimeSlice(
                segment, kind, ms, fixedMs, tailMs, unitEndsMs, opensAtMs, clockMs, happened, cutByFault, set);
    }

    /** The same piece with its place among the sets of its segment. */
    TimeSlice inSet(int number) {
        return new TimeSlice(
                segment, kind, ms, fixedMs, tailMs, unitEndsMs, opensAtMs, startMs, observed, cutByFault, number);
    }

    /** The same piece as changes leave it. */
    TimeSlice with(Effect effect) {
        if (effect == Effect.NONE) {
            return this;
        }
        long newMs = effect.newMs(this);
        return new TimeSlice(
                segment,
                kind,
                newMs,
                effect.dropsFaults() ? 0 : fixedMs,
                tailMs,
                unitEndsMs.stream().map(end -> ms == 0 ? 0 : end * newMs / ms).toList(),
                opensAtMs,
                startMs,
                observed,
                cutByFault,
                set);
    }

    int units() {
        return unitEndsMs.size();
    }

    /** Its time without the cost of faults and without its tail. */
    long coreMs() {
        return ms - fixedMs - tailMs;
    }

    boolean isPause() {
        return kind == Kind.TRANSITION || kind == Kind.REST;
    }

    /** Whether it is a pause that happened; the transition to the first movement is none. */
    boolean isSeenPause() {
        return observed && isPause() && segment.index() > 0;
    }

    /** Whether there is work in it that gets slower for what was saved before: also where its rests are in it. */
    boolean isEffort() {
        return kind == Kind.WORK || kind == Kind.UNSEPARATED;
    }

    /** Whether it is work in reps, calories or metres, broken down from everything else. */
    boolean isWork() {
        return kind == Kind.WORK && units() > 0;
    }

    boolean isOf(String movement) {
        return segment.movement().name().equals(movement);
    }

    /** How much of the segment's amount is done in it, in the amount's unit. */
    double amount() {
        return segment.countable().isPresent() ? units() : units() * segment.units() / segment.steps();
    }

    /** Seconds per unit of the amount, leaving faults out; NaN where nothing is counted. */
    double secondsPerUnit() {
        return coreMs() / 1000.0 / amount();
    }

    /** What tells how quick it was, whatever its size: milliseconds of a pause, milliseconds per unit of work. */
    double figure(double coreMs) {
        return isWork() ? coreMs / amount() : coreMs;
    }
}
