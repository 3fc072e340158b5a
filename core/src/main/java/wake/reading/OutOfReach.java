package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.Stretch;
import wake.plan.Deadline;
import wake.plan.Forecast;
import wake.plan.LatestClocks;

/**
 * Something due by a clock that was not made, and where it went: between which two borders it stopped being possible at the pace that was
 * planned for what remained. Said only where the plan made it, and where the reading error of the later border cannot explain it.
 *
 * @param what what was due
 * @param place the stretch in which it went
 * @param fromMs the clock at the last border at which it could still be made
 * @param toMs the clock at the first border after which it could not any more, or at which it was due or the attempt was over
 * @param toSpareMs what there was to spare at the first of them
 * @param lateMs how late it was at the second; empty where it was not late before the end
 */
public record OutOfReach(Deadline what, String place, long fromMs, long toMs, long toSpareMs, OptionalLong lateMs) {
    /** Of the cut-offs the first that was missed, which ends it; else the cap and the goal. None of an attempt still under way. */
    static List<OutOfReach> of(AttemptLog log, Forecast forecast, List<Deadline> due) {
        List<OutOfReach> lost = new ArrayList<>();
        if (!log.over()) {
            return lost;
        }
        for (Deadline one : due) {
            boolean ended = lost.stream().anyMatch(before -> before.what().kind() == Deadline.Kind.GATE);
            if (one.kind() != Deadline.Kind.INTERVAL && !ended && !made(log, one)) {
                went(log, LatestClocks.of(forecast, List.of(one)), one).ifPresent(lost::add);
            }
        }
        return lost;
    }

    private static boolean made(AttemptLog log, Deadline due) {
        List<SegmentSplit> splits = log.splits();
        if (splits.size() < due.whole()) {
            return false;
        }
        boolean whole = due.whole() == 0
                || splits.get(due.whole() - 1).complete()
                        && splits.get(due.whole() - 1).endMs() <= due.byMs();
        return whole
                && (due.extraSteps() == 0
                        || splits.size() > due.whole()
                                && splits.get(due.whole()).counted() >= due.extraSteps());
    }

    /** The first border from which on it was never possible again. */
    private static Optional<OutOfReach> went(AttemptLog log, LatestClocks latest, Deadline due) {
        OptionalLong start = latest.after(0);
        if (start.isEmpty()) {
            return Optional.empty();
        }
        long goodMs = 0;
        long toSpare = start.getAsLong();
        OutOfReach lost = null;
        for (Stretch stretch : Stretch.of(log, Set.of())) {
            int after = stretch.last().segment().index() + 1;
            if (!stretch.complete() || after > due.whole()) {
                return Optional.of(lost != null ? lost : last(due, stretch.place(), goodMs, toSpare, log));
            }
            OptionalLong by = latest.after(after);
            long slack = (by.isPresent() ? by.getAsLong() : 0) - stretch.endMs();
            if (slack + readingErrorMs(stretch) >= 0) {
                goodMs = stretch.endMs();
                toSpare = Math.max(0, slack);
                lost = null;
            } else if (lost == null) {
                lost = new OutOfReach(due, stretch.place(), goodMs, stretch.endMs(), toSpare, OptionalLong.of(-slack));
            }
        }
        int reached = log.done().size();
        return lost != null || !log.expanded().has(reached)
                ? Optional.ofNullable(lost)
                : Optional.of(last(due, log.expanded().segment(reached).place(), goodMs, toSpare, log));
    }

    private static OutOfReach last(Deadline due, String place, long goodMs, long toSpareMs, AttemptLog log) {
        return new OutOfReach(
                due,
                place,
                goodMs,
                Math.max(goodMs, Math.min(due.byMs(), log.clockMs())),
                toSpareMs,
                OptionalLong.empty());
    }

    private static long readingErrorMs(Stretch stretch) {
        return Math.round(2000 * stretch.last().endU());
    }
}
