package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.ToLongFunction;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * What a plan adds up to.
 *
 * @param sections the blocks of the workout with their share of the clock
 * @param workMs time at work
 * @param pauseMs transitions, rests and waits
 * @param drops how often something is put down and picked up again: breaks inside sets
 * @param kilograms what is lifted in all
 * @param metres how far in all
 * @param stages staged caps with their margins
 * @param shortestIntervalRestMs of interval work, what the hardest interval leaves
 */
public record Budget(
        List<Section> sections,
        long workMs,
        long pauseMs,
        int drops,
        double kilograms,
        double metres,
        List<StageMargin> stages,
        OptionalLong shortestIntervalRestMs) {
    public Budget {
        sections = List.copyOf(sections);
        stages = List.copyOf(stages);
    }

    /**
     * Consecutive segments of one block.
     *
     * @param label "400 m run", "20 rounds"
     * @param rounds how many rounds; 1 for a single segment
     * @param ms how long it takes
     */
    public record Section(String label, int rounds, long ms) {
        public long perRoundMs() {
            return Math.round(ms / (double) rounds);
        }
    }

    /** A staged cap: when it is due, when the plan gets there, and what that leaves; below zero when it comes too late. */
    public record StageMargin(int round, long byMs, long clockMs) {
        public long marginMs() {
            return byMs - clockMs;
        }
    }

    public static Budget of(Course course, Forecast forecast) {
        List<PlannedSegment> segments = forecast.segments();
        return new Budget(
                sections(segments),
                sum(segments, PlannedSegment::workMs),
                sum(segments, planned -> planned.totalMs() - planned.workMs()),
                segments.stream()
                        .mapToInt(planned -> Math.max(0, planned.sets().size() - 1))
                        .sum(),
                segments.stream()
                        .mapToDouble(planned -> planned.segment().movedKilograms())
                        .sum(),
                segments.stream()
                        .mapToDouble(planned -> planned.segment().metres())
                        .sum(),
                stages(course, forecast),
                intervalRest(course, segments));
    }

    private static long sum(List<PlannedSegment> segments, ToLongFunction<PlannedSegment> of) {
        return segments.stream().mapToLong(of).sum();
    }

    private static List<Section> sections(List<PlannedSegment> segments) {
        List<Section> sections = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= segments.size(); i++) {
            boolean ends = i == segments.size()
                    || !sameBlock(segments.get(i - 1).segment(), segments.get(i).segment());
            if (ends) {
                sections.add(section(segments.subList(from, i)));
                from = i;
            }
        }
        return sections;
    }

    private static boolean sameBlock(Segment before, Segment after) {
        return before.inRounds()
                && after.inRounds()
                && before.rounds() == after.rounds()
                && before.round() <= after.round();
    }

    private static Section section(List<PlannedSegment> block) {
        Segment first = block.getFirst().segment();
        int rounds = block.getLast().segment().round() - first.round() + 1;
        long ms = sum(block, PlannedSegment::totalMs);
        return first.inRounds()
                ? new Section(rounds == 1 ? "1 round" : rounds + " rounds", rounds, ms)
                : new Section(first.label(), 1, ms);
    }

    private static List<StageMargin> stages(Course course, Forecast forecast) {
        List<Long> ends = forecast.endsMs();
        return course.stages().stream()
                .filter(stage -> stage.lastIndex() < ends.size())
                .map(stage -> new StageMargin(
                        course.segment(stage.lastIndex()).round(), stage.byMs(), ends.get(stage.lastIndex())))
                .toList();
    }

    private static OptionalLong intervalRest(Course course, List<PlannedSegment> segments) {
        long clock = 0;
        long least = Long.MAX_VALUE;
        for (PlannedSegment planned : segments) {
            long end = clock + planned.totalMs();
            Optional<Long> bell = course.intervalEndsMs(planned.segment().index());
            if (bell.isPresent()) {
                least = Math.min(least, bell.get() - end);
            }
            clock = end;
        }
        return least == Long.MAX_VALUE ? OptionalLong.empty() : OptionalLong.of(least);
    }
}
