package wake.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** Makes the rows of the page for the wall: none begins after the buzzer, and the one it cuts off says what is reached by then. */
final class WallRows {
    private final ExpandedWorkout expanded;
    private final Plan plan;
    private final Forecast forecast;
    private final LatestClocks latest;
    private final long buzzerMs;
    private final List<ExpandedWorkout.TieBreak> ties;

    WallRows(ExpandedWorkout expanded, Plan plan, Forecast forecast, LatestClocks latest) {
        this.expanded = expanded;
        this.plan = plan;
        this.forecast = forecast;
        this.latest = latest;
        this.buzzerMs = expanded.capMs().orElse(Long.MAX_VALUE);
        this.ties = expanded.tieBreaks(forecast.segments().size());
    }

    List<WallRow> rows() {
        List<PlannedSegment> planned = forecast.segments();
        List<Long> ends = forecast.endsMs();
        List<WallRow> rows = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= planned.size(); i++) {
            if (i == planned.size()
                    || !together(planned.get(i - 1).segment(), planned.get(i).segment())) {
                long before = from == 0 ? 0 : ends.get(from - 1);
                if (before < buzzerMs) {
                    rows.add(row(planned.subList(from, i), before, ends.get(i - 1), latest.after(i)));
                }
                from = i;
            }
        }
        return rows;
    }

    private static boolean together(Segment before, Segment after) {
        return before.inRounds() ? before.lap().equals(after.lap()) : before.isPieceWith(after);
    }

    private WallRow row(List<PlannedSegment> own, long before, long end, OptionalLong due) {
        PlannedSegment first = own.getFirst();
        int from = first.segment().index();
        int to = own.getLast().segment().index();
        boolean onMark = first.segment().inRounds()
                && (plan.roundEveryMs().isPresent() || expanded.startsAtMs(from).isPresent());
        return new WallRow(
                first.segment().inRounds() ? first.segment().lap().numeral() : "",
                says(own),
                onMark ? OptionalLong.of(before + first.waitMs() + first.transitionMs()) : OptionalLong.empty(),
                Math.min(end, buzzerMs),
                due,
                notes(from, to, end));
    }

    private List<String> notes(int from, int to, long end) {
        IntPredicate isHere = last -> from <= last && last <= to;
        List<String> notes = new ArrayList<>();
        expanded.cutOffs().stream()
                .filter(cutOff -> isHere.test(cutOff.lastIndex()))
                .forEach(cutOff -> notes.add("by " + ClockTime.of(cutOff.byMs()).toSeconds()));
        ties.stream().filter(tie -> isHere.test(tie.lastIndex())).forEach(tie -> notes.add(tie.said()));
        if (end > buzzerMs) {
            notes.add("buzzer: " + forecast.score().words());
        }
        return notes;
    }

    /** What a row asks for: the pieces of a distance said as one. */
    private String says(List<PlannedSegment> own) {
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
