package wake.reading;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.units.ClockTime;
import wake.workout.Comparability;
import wake.workout.Segment;

/**
 * How much of an attempt could be held against the baseline.
 *
 * @param ms how much of its clock
 * @param ofMs how much there is, what was unfinished at the buzzer and the waits of interval work left out
 * @param missing what is missing where nothing could
 */
public record Compared(long ms, long ofMs, Missing missing) {
    /** Less than this share says nothing of an attempt; an assumption. */
    private static final double SOMETHING = 0.02;

    /** What a comparison with this baseline needs and does not have. */
    public enum Missing {
        /** Work in the other attempt at the same load. */
        LIKE_WORK,
        /** Movement splits: rounds that differ cannot be compared whole. */
        SPLITS,
        /** A movement that comes more than once. */
        REPEATS,
        /** A movement that comes more than once at one load. */
        REPEATS_AT_LOAD
    }

    static Compared of(AttemptLog log, List<SegmentDelta> deltas, Baseline baseline) {
        long compared = deltas.stream().mapToLong(SegmentDelta::comparedMs).sum();
        long all =
                deltas.stream().mapToLong(delta -> delta.stretch().activeMs()).sum();
        return new Compared(compared, all, missing(log, deltas, baseline));
    }

    private static Missing missing(AttemptLog log, List<SegmentDelta> deltas, Baseline baseline) {
        if (baseline.kind() == Baseline.Kind.ATTEMPT) {
            return Missing.LIKE_WORK;
        }
        if (deltas.stream().allMatch(delta -> delta.stretch().whole())) {
            return Missing.SPLITS;
        }
        Map<Integer, Segment> first = new HashMap<>();
        boolean loads = log.done().stream()
                .map(split -> split.segment())
                .anyMatch(segment -> !Comparability.comparable(
                        first.computeIfAbsent(segment.lineIndex(), line -> segment), segment));
        return loads ? Missing.REPEATS_AT_LOAD : Missing.REPEATS;
    }

    public boolean nothing() {
        return ms < SOMETHING * Math.max(1, ofMs);
    }

    public int percent() {
        return (int) Math.round(100.0 * ms / Math.max(1, ofMs));
    }

    /** "3:40 of 8:12". */
    public String words() {
        return ClockTime.of(ms).toSeconds() + " of " + ClockTime.of(ofMs).toSeconds();
    }
}
