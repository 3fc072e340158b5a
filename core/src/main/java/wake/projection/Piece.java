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
 * @param fixedMs the part of it that no change of cadence touches: the cost of faults
 * @param unitEndsMs when each step that counts is completed, from the start of the piece, rising, at most {@code ms}
 * @param opensAtMs of a wait, the clock at which the next interval opens; else 0
 */
record Piece(Segment segment, Kind kind, long ms, long fixedMs, List<Long> unitEndsMs, long opensAtMs) {
    /** What a piece of time is spent on. */
    enum Kind {
        WAIT,
        TRANSITION,
        WORK,
        REST,
        UNSEPARATED
    }

    Piece {
        unitEndsMs = List.copyOf(unitEndsMs);
    }

    static Piece of(Segment segment, Kind kind, long ms, long fixedMs, List<Long> unitEndsMs) {
        return new Piece(segment, kind, ms, fixedMs, unitEndsMs, 0);
    }

    /** What is left of an interval: it ends when the next one opens, however early the work was done. */
    static Piece waitUntil(Segment segment, long ms, long opensAtMs) {
        return new Piece(segment, Kind.WAIT, ms, 0, List.of(), opensAtMs);
    }

    static Piece pause(Segment segment, Kind kind, long ms) {
        return of(segment, kind, ms, 0, List.of());
    }

    /** Units evenly spread over the time; the last one ends with the piece. */
    static Piece even(Segment segment, Kind kind, long ms, long fixedMs, int units) {
        Long[] ends = new Long[units];
        Arrays.setAll(ends, i -> ms * (i + 1) / units);
        return of(segment, kind, ms, fixedMs, List.of(ends));
    }

    int units() {
        return unitEndsMs.size();
    }

    /** The same work in less or more time. */
    Piece in(long newMs) {
        if (newMs == ms) {
            return this;
        }
        long old = Math.max(1, ms);
        List<Long> ends = unitEndsMs.stream().map(end -> end * newMs / old).toList();
        return of(segment, kind, newMs, Math.min(fixedMs, newMs), ends);
    }

    /** Seconds per unit of the amount, leaving faults out; NaN where nothing is counted. */
    double secondsPerUnit() {
        double amount = segment.countable().isPresent() ? units() : units() * segment.units() / segment.steps();
        return (ms - fixedMs) / 1000.0 / amount;
    }
}
