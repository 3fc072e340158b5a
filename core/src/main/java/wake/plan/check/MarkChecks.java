package wake.plan.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import wake.plan.PlannedSegment;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;
import wake.workout.Lap;

/** Rounds on marks of the coach's own that are longer than their marks lie apart. */
final class MarkChecks {
    private static final long SECOND_MS = 1000;

    private MarkChecks() {}

    /**
     * A round that starts.
     *
     * @param atMs the clock at its start of the movement
     * @param readyMs the clock at which that could have begun without the mark
     */
    private record Start(Lap lap, long atMs, long readyMs) {}

    static List<PlanCheck> rounds(CheckContext context) {
        OptionalLong every = context.plan().roundEveryMs();
        if (every.isEmpty()) {
            return List.of();
        }
        List<Start> starts = starts(context);
        long longest = 0;
        long latest = 0;
        Lap last = Lap.ONCE;
        long firstAt = 0;
        for (int i = 0; i < starts.size(); i++) {
            Start start = starts.get(i);
            if (start.lap().number() == 1) {
                firstAt = start.atMs();
                continue;
            }
            longest = Math.max(longest, start.readyMs() - starts.get(i - 1).atMs());
            long late =
                    start.atMs() - firstAt - every.getAsLong() * (start.lap().number() - 1);
            if (late > latest) {
                latest = late;
                last = start.lap();
            }
        }
        if (latest == 0) {
            return List.of();
        }
        long fits = Math.ceilDiv(longest, SECOND_MS) * SECOND_MS;
        String sentence = Messages.of(
                "Rounds every %s don't fit: the longest takes %s, so %s starts %s late",
                ClockTime.of(every.getAsLong()).toSeconds(),
                Digits.TENTHS.span(longest),
                last.words(),
                Digits.TENTHS.span(latest));
        return List.of(new PlanCheck(Kind.ROUNDS_OFF_THEIR_MARKS, OptionalInt.empty(), sentence, Optional.empty())
                .mendedBy(
                        "a round every " + ClockTime.of(fits).toSeconds(),
                        context.plan().withRoundEvery(fits)));
    }

    private static List<Start> starts(CheckContext context) {
        List<Start> starts = new ArrayList<>();
        Lap before = Lap.ONCE;
        long clock = 0;
        for (PlannedSegment planned : context.forecast().segments()) {
            Lap lap = planned.segment().lap();
            long at = clock + planned.waitMs() + planned.transitionMs();
            if (lap.repeats() && !lap.equals(before)) {
                starts.add(new Start(lap, at, at - planned.markMs()));
            }
            before = lap;
            clock += planned.totalMs();
        }
        return starts;
    }
}
