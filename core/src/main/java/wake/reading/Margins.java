package wake.reading;

import java.util.ArrayList;
import java.util.List;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;

/**
 * What the clock left: at staged caps, and of intervals.
 *
 * @param stages each staged cap reached, in order
 * @param intervals each interval done, in order
 */
public record Margins(List<Stage> stages, List<Interval> intervals) {
    public Margins {
        stages = List.copyOf(stages);
        intervals = List.copyOf(intervals);
    }

    /** A staged cap: its round, when it was due, when the athlete got there. */
    public record Stage(int round, long byMs, long clockMs) {
        public long marginMs() {
            return byMs - clockMs;
        }
    }

    /** An interval: its number and the rest it left. */
    public record Interval(int number, long restMs) {}

    static Margins of(AttemptLog log) {
        List<SegmentSplit> splits = log.splits();
        List<Stage> stages = log.course().stages().stream()
                .filter(stage -> stage.lastIndex() < splits.size()
                        && splits.get(stage.lastIndex()).complete())
                .map(stage -> new Stage(
                        log.course().segment(stage.lastIndex()).round(),
                        stage.byMs(),
                        splits.get(stage.lastIndex()).endMs()))
                .toList();
        List<Interval> intervals = new ArrayList<>();
        for (SegmentSplit split : splits) {
            int index = split.segment().index();
            if (split.complete()) {
                log.course()
                        .intervalEndsMs(index)
                        .ifPresent(end ->
                                intervals.add(new Interval(split.segment().round(), end - split.endMs())));
            }
        }
        return new Margins(stages, intervals);
    }
}
