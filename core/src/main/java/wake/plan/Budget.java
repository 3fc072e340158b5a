package wake.plan;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.ToDoubleFunction;
import java.util.function.ToLongFunction;
import wake.log.AttemptLog.TieBreak;
import wake.workout.ExpandedWorkout;
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
 * @param cutOffs cut-offs with their margins
 * @param tieBreak the clock at the last place it reaches that decides between equal scores
 * @param shortestIntervalRestMs of interval work, what the hardest interval leaves
 */
public record Budget(
        List<Section> sections,
        long workMs,
        long pauseMs,
        int drops,
        double kilograms,
        double metres,
        List<CutOffMargin> cutOffs,
        Optional<TieBreak> tieBreak,
        OptionalLong shortestIntervalRestMs) {
    public Budget {
        sections = List.copyOf(sections);
        cutOffs = List.copyOf(cutOffs);
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

    /** A cut-off: when it is due, when the plan gets there, and what that leaves; below zero when it comes too late. */
    public record CutOffMargin(String after, long byMs, long clockMs) {
        public long marginMs() {
            return byMs - clockMs;
        }
    }

    public static Budget of(ExpandedWorkout expanded, Forecast forecast) {
        List<PlannedSegment> all = forecast.segments();
        List<PlannedSegment> segments = expanded.isOpen() ? forecast.beforeTheBell(expanded) : all;
        return new Budget(
                sections(segments),
                sum(segments, PlannedSegment::workMs),
                sum(segments, planned -> planned.totalMs() - planned.workMs()),
                segments.stream().mapToInt(planned -> planned.restsMs().size()).sum(),
                done(segments, all, Segment::movedKilograms),
                done(segments, all, Segment::metres),
                cutOffs(expanded, forecast),
                tieBreak(expanded, segments.size(), forecast.endsMs()),
                intervalRest(expanded, segments));
    }

    /** How much of something is done, of a segment that the buzzer cuts off its share. */
    private static double done(List<PlannedSegment> cut, List<PlannedSegment> all, ToDoubleFunction<Segment> of) {
        double sum = 0;
        for (int i = 0; i < cut.size(); i++) {
            double whole = of.applyAsDouble(all.get(i).segment());
            sum += whole * cut.get(i).workMs() / Math.max(1, all.get(i).workMs());
        }
        return sum;
    }

    private static long sum(List<PlannedSegment> segments, ToLongFunction<PlannedSegment> of) {
        return segments.stream().mapToLong(of).sum();
    }

    private static List<Section> sections(List<PlannedSegment> segments) {
        return wake.workout.Section.of(
                        segments.stream().map(PlannedSegment::segment).toList())
                .stream()
                .map(section -> new Section(
                        section.label(),
                        section.rounds(),
                        sum(segments.subList(section.from(), section.to()), PlannedSegment::totalMs)))
                .toList();
    }

    private static List<CutOffMargin> cutOffs(ExpandedWorkout expanded, Forecast forecast) {
        List<Long> ends = forecast.endsMs();
        return expanded.cutOffs().stream()
                .filter(cutOff -> cutOff.lastIndex() < ends.size())
                .map(cutOff -> new CutOffMargin(cutOff.words(), cutOff.byMs(), ends.get(cutOff.lastIndex())))
                .toList();
    }

    private static Optional<TieBreak> tieBreak(ExpandedWorkout expanded, int reached, List<Long> ends) {
        return expanded.tieBreaks(reached).stream()
                .filter(tie -> tie.lastIndex() < reached
                        && ends.get(tie.lastIndex()) <= expanded.capMs().orElse(Long.MAX_VALUE))
                .reduce((before, last) -> last)
                .map(tie -> new TieBreak(tie.lastIndex(), tie.words(), ends.get(tie.lastIndex())));
    }

    private static OptionalLong intervalRest(ExpandedWorkout expanded, List<PlannedSegment> segments) {
        long clock = 0;
        long least = Long.MAX_VALUE;
        for (PlannedSegment planned : segments) {
            long end = clock + planned.totalMs();
            Optional<Long> buzzer = expanded.intervalEndsMs(planned.segment().index());
            if (buzzer.isPresent()) {
                least = Math.min(least, buzzer.get() - end);
            }
            clock = end;
        }
        return least == Long.MAX_VALUE ? OptionalLong.empty() : OptionalLong.of(least);
    }
}
