package wake.reading;

import java.util.ArrayList;
import java.util.List;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.PlannedSegment;

/**
 * An attempt read against a yardstick: where every second went.
 *
 * @param log the attempt
 * @param yardstick what it is read against
 * @param answer the answer in one sentence
 * @param deltas each segment against its yardstick
 * @param ledger the same by movement and cause
 * @param wake the curve of seconds ahead or behind
 * @param rounds the rounds
 * @param findings what cost most, dearest first
 */
public record Reading(
        AttemptLog log,
        Yardstick yardstick,
        String answer,
        List<SegmentDelta> deltas,
        Ledger ledger,
        List<WakePoint> wake,
        Rounds rounds,
        List<Finding> findings) {
    public Reading {
        deltas = List.copyOf(deltas);
        wake = List.copyOf(wake);
        findings = List.copyOf(findings);
    }

    /** Reads an attempt; the yardstick must say something about every segment logged. */
    public static Reading of(AttemptLog log, Yardstick yardstick) {
        List<SegmentDelta> deltas = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            PlannedSegment allowed = yardstick.segments().get(split.segment().index());
            deltas.add(SegmentDelta.of(split, allowed));
        }
        Ledger ledger = Ledger.of(deltas);
        List<Finding> findings = Finding.of(deltas, ledger, yardstick.kind());
        return new Reading(
                log,
                yardstick,
                Words.answer(log, ledger, findings, yardstick.kind()),
                deltas,
                ledger,
                WakePoint.of(deltas),
                Rounds.of(log),
                findings);
    }

    /** How much of the clock the marks do not tell apart, milliseconds. */
    public long unseparatedMs() {
        return log.splits().stream().mapToLong(SegmentSplit::unseparatedMs).sum();
    }
}
