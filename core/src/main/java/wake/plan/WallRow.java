package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/**
 * A row of the page for the wall: a round, or what stands outside rounds, with its clock.
 *
 * @param round "2", or "2 of thruster and burpee" where there are more blocks than one; empty outside rounds
 * @param says what is done and in what sets: "12 thruster @ 40 kg (7-5) · 9 burpee"
 * @param startMs the clock it starts at, where it starts on a mark or with its interval
 * @param endMs the clock at its end
 * @param latestMs the latest clock at its end from which all that is due after it can still be made; empty where nothing is
 * @param cutOffs the clocks it has to be done by: "by 5:00"
 */
public record WallRow(
        String round, String says, OptionalLong startMs, long endMs, OptionalLong latestMs, List<String> cutOffs) {
    public WallRow {
        cutOffs = List.copyOf(cutOffs);
    }

    /** The rows of a plan, in order. */
    public static List<WallRow> of(ExpandedWorkout expanded, Plan plan, Forecast forecast, LatestClocks latest) {
        List<PlannedSegment> planned = forecast.segments();
        List<Long> ends = forecast.endsMs();
        List<WallRow> rows = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= planned.size(); i++) {
            if (i == planned.size()
                    || !together(planned.get(i - 1).segment(), planned.get(i).segment())) {
                long before = from == 0 ? 0 : ends.get(from - 1);
                rows.add(row(expanded, plan, planned.subList(from, i), before, ends.get(i - 1), latest.after(i)));
                from = i;
            }
        }
        return rows;
    }

    private static boolean together(Segment before, Segment after) {
        return before.inRounds() ? before.lap().equals(after.lap()) : before.isPieceWith(after);
    }

    private static WallRow row(
            ExpandedWorkout expanded, Plan plan, List<PlannedSegment> own, long before, long end, OptionalLong latest) {
        PlannedSegment first = own.getFirst();
        int from = first.segment().index();
        int to = own.getLast().segment().index();
        boolean onMark = first.segment().inRounds()
                && (plan.roundEveryMs().isPresent() || expanded.startsAtMs(from).isPresent());
        return new WallRow(
                first.segment().inRounds() ? first.segment().lap().numeral() : "",
                says(expanded, own),
                onMark ? OptionalLong.of(before + first.waitMs() + first.transitionMs()) : OptionalLong.empty(),
                end,
                latest,
                expanded.cutOffs().stream()
                        .filter(cutOff -> from <= cutOff.lastIndex() && cutOff.lastIndex() <= to)
                        .map(cutOff -> "by " + ClockTime.of(cutOff.byMs()).toSeconds())
                        .toList());
    }

    /** What a row asks for: the pieces of a distance said as one. */
    private static String says(ExpandedWorkout expanded, List<PlannedSegment> own) {
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
                .map(line -> expanded.asked(
                                line.stream().map(PlannedSegment::segment).toList())
                        + sets(line.getFirst()))
                .collect(Collectors.joining(" · "));
    }

    private static String sets(PlannedSegment planned) {
        return planned.sets().size() < 2 ? "" : " (" + SetScheme.dashed(planned.sets()) + ")";
    }
}
