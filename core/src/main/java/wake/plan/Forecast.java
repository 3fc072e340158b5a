package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import wake.log.Score;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * The clock a plan leads to. The finish is the exact sum of its parts, in whole milliseconds. The athlete stands ready at
 * the first movement, so the very first segment has no transition.
 *
 * @param segments what is allowed for each segment
 * @param score what the plan scores
 */
public record Forecast(List<PlannedSegment> segments, Score score) {
    public Forecast {
        segments = List.copyOf(segments);
    }

    public static Forecast of(Course course, Plan plan) {
        List<PlannedSegment> planned = new ArrayList<>();
        for (Segment segment : course.segments()) {
            planned.add(planned(segment, plan.pacing(segment)));
        }
        return new Forecast(planned, score(planned, course));
    }

    /** The clock when all is done, cap or no cap. */
    public long finishMs() {
        return segments.stream().mapToLong(PlannedSegment::totalMs).sum();
    }

    private static PlannedSegment planned(Segment segment, Pacing pacing) {
        List<Integer> sets = segment.countable().isPresent()
                ? pacing.sets().sets(segment.countable().getAsInt())
                : List.of();
        long work = Math.round(1000 * pacing.secondsPerUnit() * segment.amount().doubleValue());
        long rest = pacing.restMs() * Math.max(0, sets.size() - 1);
        long transition = segment.index() == 0 ? 0 : pacing.transitionMs();
        return new PlannedSegment(segment, transition, work, rest, sets);
    }

    private static Score score(List<PlannedSegment> planned, Course course) {
        long finish = planned.stream().mapToLong(PlannedSegment::totalMs).sum();
        OptionalLong cap = course.capMs();
        if (cap.isEmpty() || finish <= cap.getAsLong()) {
            return new Score.Finished(finish, course.totalScore());
        }
        long clock = 0;
        int done = 0;
        for (PlannedSegment segment : planned) {
            long left = cap.getAsLong() - clock - segment.transitionMs();
            if (clock + segment.totalMs() > cap.getAsLong()) {
                done += partial(segment, left);
                break;
            }
            clock += segment.totalMs();
            done += segment.segment().score();
        }
        return new Score.Capped(cap.getAsLong(), done, course.totalScore() - done);
    }

    /** Whole reps done in what time is left after the transition, work and rests evenly mixed. */
    private static int partial(PlannedSegment segment, long leftMs) {
        if (leftMs <= 0 || segment.segment().countable().isEmpty()) {
            return 0;
        }
        long active = segment.workMs() + segment.restMs();
        return (int) Math.min(segment.segment().score() - 1L, segment.segment().score() * leftMs / Math.max(1, active));
    }
}
