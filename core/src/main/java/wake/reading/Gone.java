package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Due;
import wake.plan.Forecast;
import wake.plan.LatestClocks;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Say;

/**
 * Something due by a clock that was not made, and where it went: between which two borders it stopped being possible at the pace that was
 * planned for what remained. Said only where the plan made it, and where the reading error of the later border cannot explain it.
 *
 * @param what what was due
 * @param place the stretch in which it went
 * @param fromMs the clock at the last border at which it could still be made
 * @param toMs the clock at the first border after which it could not any more, or at which it was due or the attempt was over
 * @param sentence the same in words
 */
public record Gone(Due what, String place, long fromMs, long toMs, String sentence) {
    /** Of the gates the first that was missed, which ends it; else the cap and the goal. None of an attempt still under way. */
    static List<Gone> of(AttemptLog log, Forecast forecast, List<Due> due) {
        List<Gone> gone = new ArrayList<>();
        if (!log.over()) {
            return gone;
        }
        for (Due one : due) {
            boolean ended = gone.stream().anyMatch(before -> before.what().kind() == Due.Kind.GATE);
            if (one.kind() != Due.Kind.INTERVAL && !ended && !made(log, one)) {
                went(log, LatestClocks.of(forecast, List.of(one)), one).ifPresent(gone::add);
            }
        }
        return gone;
    }

    private static boolean made(AttemptLog log, Due due) {
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
    private static Optional<Gone> went(AttemptLog log, LatestClocks latest, Due due) {
        OptionalLong start = latest.after(0);
        if (start.isEmpty()) {
            return Optional.empty();
        }
        long goodMs = 0;
        long inHand = start.getAsLong();
        Gone gone = null;
        for (Stretch stretch : Stretch.of(log, Set.of())) {
            int after = stretch.last().segment().index() + 1;
            if (!stretch.complete() || after > due.whole()) {
                return Optional.of(gone != null ? gone : last(due, stretch.place(), goodMs, inHand, log));
            }
            OptionalLong by = latest.after(after);
            long slack = (by.isPresent() ? by.getAsLong() : 0) - stretch.endMs();
            if (slack + readingErrorMs(stretch) >= 0) {
                goodMs = stretch.endMs();
                inHand = Math.max(0, slack);
                gone = null;
            } else if (gone == null) {
                gone = between(due, stretch, goodMs, inHand, -slack, log.digits());
            }
        }
        int reached = log.done().size();
        return gone != null || !log.course().has(reached)
                ? Optional.ofNullable(gone)
                : Optional.of(last(due, log.course().segment(reached).place(), goodMs, inHand, log));
    }

    private static Gone between(Due due, Stretch stretch, long goodMs, long inHand, long late, Digits digits) {
        return new Gone(
                due,
                stretch.place(),
                goodMs,
                stretch.endMs(),
                Say.of(
                        "%s went out of reach at %s, in %s: from %s to spare to %s late, at planned pace for what was left.",
                        Say.capital(due.words()),
                        ClockTime.of(stretch.endMs()).toSeconds(),
                        stretch.place(),
                        digits.span(inHand),
                        digits.span(late)));
    }

    private static Gone last(Due due, String place, long goodMs, long inHand, AttemptLog log) {
        return new Gone(
                due,
                place,
                goodMs,
                Math.max(goodMs, Math.min(due.byMs(), log.clockMs())),
                Say.of(
                        "%s was still on at %s, with %s to spare at planned pace. It was lost in %s.",
                        Say.capital(due.words()),
                        ClockTime.of(goodMs).toSeconds(),
                        log.digits().span(inHand),
                        place));
    }

    private static long readingErrorMs(Stretch stretch) {
        return Math.round(2000 * stretch.last().endU());
    }
}
