package wake.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wake.workout.ExpandedWorkout;
import wake.workout.Section;
import wake.workout.Segment;

/**
 * The same workout planned two ways, over the work that both come to: what each takes by section and by movement, and what would have to come of
 * the slower one for the two to be worth the same.
 *
 * @param sections the larger pieces of the workout, in order
 * @param lines its movements, in order
 */
public record TwoPlans(List<Row> sections, List<Row> lines) {
    /** What nobody would call a difference. */
    public static final long SAME_MS = 50;

    public TwoPlans {
        sections = List.copyOf(sections);
        lines = List.copyOf(lines);
    }

    /**
     * A part of the workout under both plans; waits for an interval or a prescribed rest are in neither.
     *
     * @param hereMs under the plan in force
     * @param besideMs under the other
     */
    public record Row(String label, long hereMs, long besideMs) {
        /** By how much the other is slower; below zero where it is faster. */
        public long slowerMs() {
            return besideMs - hereMs;
        }
    }

    public static TwoPlans of(ExpandedWorkout expanded, Plan here, Plan beside) {
        List<PlannedSegment> one = done(expanded, here);
        List<PlannedSegment> other = done(expanded, beside);
        int common = Math.min(one.size(), other.size());
        return new TwoPlans(
                bySection(one.subList(0, common), other.subList(0, common)),
                byLine(one.subList(0, common), other.subList(0, common)));
    }

    /** What a plan does in full before the buzzer; all of it where the work has an end, also beyond a cap. */
    private static List<PlannedSegment> done(ExpandedWorkout expanded, Plan plan) {
        Forecast forecast = Forecast.of(expanded, plan);
        if (!expanded.isOpen()) {
            return forecast.segments();
        }
        long buzzer = expanded.capMs().orElse(Long.MAX_VALUE);
        long whole = forecast.endsMs().stream().filter(end -> end <= buzzer).count();
        return forecast.segments().subList(0, (int) whole);
    }

    private static List<Row> bySection(List<PlannedSegment> one, List<PlannedSegment> other) {
        List<Row> rows = new ArrayList<>();
        List<Segment> segments = one.stream().map(PlannedSegment::segment).toList();
        for (Section section : Section.of(segments)) {
            rows.add(new Row(
                    section.label(),
                    active(one.subList(section.from(), section.to())),
                    active(other.subList(section.from(), section.to()))));
        }
        return rows;
    }

    private static List<Row> byLine(List<PlannedSegment> one, List<PlannedSegment> other) {
        Map<Integer, Row> rows = new LinkedHashMap<>();
        for (int i = 0; i < one.size(); i++) {
            Segment segment = one.get(i).segment();
            rows.merge(
                    segment.lineIndex(),
                    new Row(
                            segment.line().name(),
                            one.get(i).activeMs(),
                            other.get(i).activeMs()),
                    (sum, next) ->
                            new Row(sum.label(), sum.hereMs() + next.hereMs(), sum.besideMs() + next.besideMs()));
        }
        return List.copyOf(rows.values());
    }

    private static long active(List<PlannedSegment> planned) {
        return planned.stream().mapToLong(PlannedSegment::activeMs).sum();
    }

    /** By how much the other plan is slower in all; below zero where it is faster. */
    public long slowerMs() {
        return lines.stream().mapToLong(Row::slowerMs).sum();
    }
}
