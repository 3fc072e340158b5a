package wake.reading;

import java.util.EnumMap;
import java.util.Map;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.log.Stretch;

/**
 * One stretch against its baseline. The causes, what was unfinished at the buzzer among them, add up to {@code elapsed − allowed},
 * to the millisecond.
 *
 * @param stretch what happened
 * @param expectedMs what the baseline allows for the work that was done
 * @param byCause milliseconds lost (positive) or won (negative), by cause
 * @param compares the causes the baseline says something about here
 */
public record SegmentDelta(Stretch stretch, long expectedMs, Map<Cause, Long> byCause, java.util.Set<Cause> compares) {
    public SegmentDelta {
        byCause = new EnumMap<>(byCause);
    }

    public long by(Cause cause) {
        return byCause.getOrDefault(cause, 0L);
    }

    /** What was lost; what was unfinished at the buzzer is not. */
    public long lostMs() {
        return stretch.elapsedMs() - stretch.unfinishedMs() - expectedMs;
    }

    /** Difference below which the reading error of the marks may be all there is: 2u (JCGM 100:2008). */
    public long readingErrorMs() {
        return Math.round(2000 * stretch.uncertaintyS());
    }

    /** How much of its time is held against something. */
    long comparedMs() {
        if (compares.contains(Cause.UNLIKE)) {
            return 0;
        }
        SegmentSplit split = stretch.first();
        if (!stretch.separated()) {
            return compares.contains(Cause.UNSEPARATED) ? stretch.activeMs() : 0;
        }
        return (compares.contains(Cause.PACE) ? split.workMs() : split.faultMs())
                + (compares.contains(Cause.REST) ? split.restMs() : 0)
                + (compares.contains(Cause.TRANSITION) ? split.transitionMs() : 0);
    }

    static SegmentDelta of(Stretch stretch, Expected expected) {
        Map<Cause, Long> causes = new EnumMap<>(Cause.class);
        SegmentSplit split = stretch.first();
        long wait = split.waitMs() - expected.waitMs();
        long all = stretch.elapsedMs() - stretch.unfinishedMs() - expected.totalMs();
        causes.put(Cause.INTERVAL_REST, wait);
        causes.put(Cause.UNFINISHED, stretch.unfinishedMs());
        if (expected.compares().contains(Cause.UNLIKE)) {
            causes.put(Cause.UNLIKE, all - wait);
        } else if (stretch.separated() && expected.apart()) {
            causes.put(Cause.TRANSITION, split.transitionMs() - expected.transitionMs());
            causes.put(Cause.REST, split.restMs() - expected.restMs());
            causes.put(Cause.FAULT, split.faultMs() - expected.missesMs());
            causes.put(Cause.PACE, split.workMs() - split.faultMs() - expected.workMs());
        } else {
            boolean seen = !stretch.whole() && split.beginMs().isPresent() && expected.apart();
            long transition = seen ? split.transitionMs() - expected.transitionMs() : 0;
            causes.put(Cause.TRANSITION, transition);
            causes.put(Cause.UNSEPARATED, all - wait - transition);
        }
        return new SegmentDelta(stretch, expected.totalMs(), causes, expected.compares());
    }
}
