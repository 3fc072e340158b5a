package wake.reading;

import java.util.EnumMap;
import java.util.Map;
import wake.log.SegmentSplit;
import wake.plan.PlannedSegment;

/**
 * One segment against its yardstick; the causes add up to {@code actual − allowed}, to the millisecond.
 *
 * @param split what happened
 * @param allowedMs what the yardstick allows for the work that was done
 * @param byCause milliseconds lost (positive) or won (negative), by cause
 */
public record SegmentDelta(SegmentSplit split, long allowedMs, Map<Cause, Long> byCause) {
    public SegmentDelta {
        byCause = new EnumMap<>(byCause);
    }

    public long deltaMs() {
        return split.elapsedMs() - allowedMs;
    }

    /** Difference below which the reading error of the marks may be all there is: 2u (JCGM 100:2008). */
    public long readingErrorMs() {
        return Math.round(2000 * split.uncertaintyS());
    }

    static SegmentDelta of(SegmentSplit split, PlannedSegment allowed) {
        return of(split, allowed, true);
    }

    /**
     * One segment against what is allowed for it.
     *
     * @param apart whether the yardstick tells transition, work and rest apart
     */
    static SegmentDelta of(SegmentSplit split, PlannedSegment allowed, boolean apart) {
        Map<Cause, Long> causes = new EnumMap<>(Cause.class);
        double share = split.complete() ? 1 : shareDone(split);
        long transition = split.beginMs().isPresent() || split.complete()
                ? allowed.transitionMs()
                : Math.min(allowed.transitionMs(), split.elapsedMs());
        long work = Math.round(allowed.workMs() * share);
        long rest = Math.round(allowed.restMs() * share);
        long misses = Math.round(allowed.missesMs() * share);
        long total = allowed.waitMs() + transition + work + rest + misses;
        causes.put(Cause.INTERVAL_REST, split.waitMs() - allowed.waitMs());
        if (split.unseparatedMs() == 0 && apart) {
            causes.put(Cause.TRANSITION, split.transitionMs() - transition);
            causes.put(Cause.REST, split.restMs() - rest);
            causes.put(Cause.FAULT, split.faultMs() - misses);
            causes.put(Cause.PACE, split.workMs() - split.faultMs() - work);
        } else {
            long seen = split.beginMs().isPresent() && apart ? split.transitionMs() - transition : 0;
            causes.put(Cause.TRANSITION, seen);
            causes.put(
                    Cause.UNSEPARATED, split.elapsedMs() - total - seen - causes.getOrDefault(Cause.INTERVAL_REST, 0L));
        }
        return new SegmentDelta(split, total, causes);
    }

    /** How much of an unfinished segment was done; nothing where it cannot be counted. */
    private static double shareDone(SegmentSplit split) {
        return split.segment().countable().isPresent()
                ? split.counted() / split.segment().units()
                : 0;
    }
}
