package wake.reading;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.Stretch;
import wake.plan.Deadline;
import wake.plan.Forecast;
import wake.plan.PlannedSegment;
import wake.workout.Segment;

/** The plan: of a segment that the buzzer cut off it allows exactly what the plan has up to the last unit done. */
record PlanBaseline(Kind kind, Forecast forecast, List<Deadline> due) implements Baseline {
    PlanBaseline {
        due = List.copyOf(due);
    }

    @Override
    public List<OutOfReach> outOfReach(AttemptLog log) {
        return OutOfReach.of(log, forecast, due);
    }

    @Override
    public String words() {
        return kind.words();
    }

    @Override
    public OptionalInt done() {
        return OptionalInt.of(forecast.score().done());
    }

    @Override
    public Set<Integer> unseenEnds() {
        return Set.of();
    }

    @Override
    public List<Integer> sets(Segment segment) {
        return forecast.segments().get(segment.index()).sets();
    }

    @Override
    public List<String> unmatched() {
        return List.of();
    }

    @Override
    public Expected allow(Stretch stretch) {
        long wait = 0;
        long transition = 0;
        long work = 0;
        long rest = 0;
        long misses = 0;
        for (SegmentSplit split : stretch.splits()) {
            PlannedSegment planned =
                    done(forecast.segments().get(split.segment().index()), split);
            wait += nothingDone(split) ? Math.min(planned.waitMs(), split.waitMs()) : planned.waitMs();
            transition += transition(planned, split);
            work += planned.workMs() + planned.pickUpsMs();
            rest += planned.restMs();
            misses += planned.missesMs();
        }
        return new Expected(wait, transition, work, rest, misses, !stretch.whole(), Expected.ALL);
    }

    /** What is planned for what was done of it. */
    static PlannedSegment done(PlannedSegment planned, SegmentSplit split) {
        return split.complete()
                ? planned
                : planned.upTo(split.segment().countable().isPresent() ? split.counted() : 0);
    }

    private static boolean nothingDone(SegmentSplit split) {
        return !split.complete() && split.beginMs().isEmpty();
    }

    private static long transition(PlannedSegment planned, SegmentSplit split) {
        long elapsed = split.elapsedMs() - split.unfinishedMs() - split.waitMs();
        return nothingDone(split) ? Math.min(planned.transitionMs(), elapsed) : planned.transitionMs();
    }
}
