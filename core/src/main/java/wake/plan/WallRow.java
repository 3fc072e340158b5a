package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * A row of the page for the wall: a round, or what stands outside rounds, with its clock.
 *
 * @param round "2", or "2 of thruster and burpee" where there are more blocks than one; empty outside rounds
 * @param says what is done and in what sets: "12 thruster @ 40 kg (7-5) · 9 burpee"
 * @param startMs the clock it starts at, where it starts on a mark or with its interval
 * @param endMs the clock at its end
 * @param latestMs the latest clock at its end from which all that is due after it can still be made; empty where nothing is
 * @param gates the clocks it has to be done by: "by 5:00"
 */
public record WallRow(
        String round, String says, OptionalLong startMs, long endMs, OptionalLong latestMs, List<String> gates) {
    public WallRow {
        gates = List.copyOf(gates);
    }

    /** The rows of a plan, in order. */
    public static List<WallRow> of(Course course, Plan plan, Forecast forecast, LatestClocks latest) {
        List<PlannedSegment> planned = forecast.segments();
        List<Long> ends = forecast.endsMs();
        List<WallRow> rows = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= planned.size(); i++) {
            if (i == planned.size()
                    || !together(planned.get(i - 1).segment(), planned.get(i).segment())) {
                long before = from == 0 ? 0 : ends.get(from - 1);
                rows.add(row(course, plan, planned.subList(from, i), before, ends.get(i - 1), latest.after(i)));
                from = i;
            }
        }
        return rows;
    }

    private static boolean together(Segment before, Segment after) {
        return before.inRounds() ? before.lap().equals(after.lap()) : before.isPieceWith(after);
    }

    private static WallRow row(
            Course course, Plan plan, List<PlannedSegment> own, long before, long end, OptionalLong latest) {
        PlannedSegment first = own.getFirst();
        int from = first.segment().index();
        int to = own.getLast().segment().index();
        boolean onMark = first.segment().inRounds()
                && (plan.roundEveryMs().isPresent() || course.startsAtMs(from).isPresent());
        return new WallRow(
                first.segment().inRounds() ? first.segment().lap().numeral() : "",
                says(course, own),
                onMark ? OptionalLong.of(before + first.waitMs() + first.transitionMs()) : OptionalLong.empty(),
                end,
                latest,
                course.stages().stream()
                        .filter(stage -> from <= stage.lastIndex() && stage.lastIndex() <= to)
                        .map(stage -> "by " + ClockTime.of(stage.byMs()).toSeconds())
                        .toList());
    }

    /** What a row asks for: the pieces of a distance said as one. */
    private static String says(Course course, List<PlannedSegment> own) {
        List<List<PlannedSegment>> lines = new ArrayList<>();
        for (PlannedSegment next : own) {
            boolean piece =
                    !lines.isEmpty() && lines.getLast().getLast().segment().isPieceWith(next.segment());
            if (!piece) {
                lines.add(new ArrayList<>());
            }
            lines.getLast().add(next);
        }
        return lines.stream()
                .map(line ->
                        course.asked(line.stream().map(PlannedSegment::segment).toList()) + sets(line.getFirst()))
                .collect(Collectors.joining(" · "));
    }

    private static String sets(PlannedSegment planned) {
        return planned.sets().size() < 2 ? "" : " (" + SetScheme.dashed(planned.sets()) + ")";
    }
}
