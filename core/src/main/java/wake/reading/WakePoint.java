package wake.reading;

import java.util.ArrayList;
import java.util.List;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.log.Stretch;

/**
 * A point of the wake: how far ahead of the baseline the athlete is at some amount of work.
 *
 * @param workMs the work done, measured by the time the baseline allows for it
 * @param clockMs the athlete's clock there
 * @param segmentIndex the segment it lies in
 * @param border whether the segment ends here
 */
public record WakePoint(long workMs, long clockMs, int segmentIndex, boolean border) {
    /** Milliseconds ahead of the baseline; negative behind. */
    public long aheadMs() {
        return workMs - clockMs;
    }

    static List<WakePoint> of(List<SegmentDelta> deltas) {
        List<WakePoint> points = new ArrayList<>();
        points.add(new WakePoint(0, 0, 0, true));
        long work = 0;
        for (SegmentDelta delta : deltas) {
            Stretch stretch = delta.stretch();
            SegmentSplit split = stretch.first();
            int index = stretch.last().segment().index();
            if (stretch.separated() && split.beginMs().isPresent()) {
                long begin = work
                        + split.waitMs()
                        + split.transitionMs()
                        - delta.by(Cause.TRANSITION)
                        - delta.by(Cause.INTERVAL_REST);
                points.add(new WakePoint(begin, split.beginMs().getAsLong(), index, false));
                addSetEnds(points, delta, begin, work + delta.expectedMs());
            }
            work += delta.expectedMs();
            points.add(new WakePoint(work, stretch.countedToMs(), index, true));
        }
        return points;
    }

    /** The ends of sets inside a segment, the work between taken as even. */
    private static void addSetEnds(List<WakePoint> points, SegmentDelta delta, long begin, long end) {
        SegmentSplit split = delta.stretch().first();
        boolean allCounted = split.sets().stream().allMatch(set -> set.reps().isPresent());
        if (!allCounted || split.counted() == 0) {
            return;
        }
        int done = 0;
        for (SetSplit set : split.sets().subList(0, Math.max(0, split.sets().size() - 1))) {
            done += set.reps().orElse(0);
            long at = begin + (end - begin) * done / split.counted();
            points.add(new WakePoint(at, set.endMs(), split.segment().index(), false));
        }
    }
}
