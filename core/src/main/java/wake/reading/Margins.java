package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.AttemptLog.TieBreak;
import wake.log.SegmentSplit;
import wake.workout.ExpandedWorkout;

/**
 * What the clock left: at cut-offs, and of intervals; and the clock that decides between equal scores.
 *
 * @param cutOffs each cut-off that came due, in order, the missed one among them
 * @param intervals each interval done, in order
 * @param tieBreaks the places that decide between equal scores, as far as they were reached
 */
public record Margins(List<CutOff> cutOffs, List<Interval> intervals, List<TieBreak> tieBreaks) {
    public Margins {
        cutOffs = List.copyOf(cutOffs);
        intervals = List.copyOf(intervals);
        tieBreaks = List.copyOf(tieBreaks);
    }

    /**
     * A cut-off.
     *
     * @param after what it comes after: "round 2"
     * @param byMs when it was due
     * @param clockMs when the athlete got there; empty when it was missed
     */
    public record CutOff(String after, long byMs, Optional<Long> clockMs) {
        public boolean missed() {
            return clockMs.isEmpty();
        }

        public Optional<Long> marginMs() {
            return clockMs.map(clock -> byMs - clock);
        }
    }

    /** An interval and the rest it left. */
    public record Interval(int number, long restMs) {}

    static Margins of(AttemptLog log) {
        List<SegmentSplit> splits = log.splits();
        List<CutOff> cutOffs = new ArrayList<>();
        for (ExpandedWorkout.CutOff cutOff : log.expanded().cutOffs()) {
            boolean reached = cutOff.lastIndex() < splits.size()
                    && splits.get(cutOff.lastIndex()).complete();
            if (reached) {
                cutOffs.add(new CutOff(
                        cutOff.words(),
                        cutOff.byMs(),
                        Optional.of(splits.get(cutOff.lastIndex()).endMs())));
            } else if (log.over() && log.clockMs() >= cutOff.byMs()) {
                cutOffs.add(new CutOff(cutOff.words(), cutOff.byMs(), Optional.empty()));
                break;
            }
        }
        List<Interval> intervals = new ArrayList<>();
        for (SegmentSplit split : splits) {
            if (split.complete()) {
                log.expanded()
                        .intervalEndsMs(split.segment().index())
                        .ifPresent(end ->
                                intervals.add(new Interval(split.segment().lap().number(), end - split.endMs())));
            }
        }
        return new Margins(cutOffs, intervals, log.tieBreaks());
    }
}
