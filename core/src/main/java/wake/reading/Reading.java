package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
 * @param movements each movement, its sets and how it faded
 * @param pace the shape of the pacing, and the finish
 * @param outliers rounds and rests far beyond the others
 * @param limiter the movement that lost the most, if one stands out
 * @param efforts perceived exertion where it was noted
 * @param margins what staged caps and intervals left
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
        List<MovementReading> movements,
        Pace pace,
        List<Outlier> outliers,
        Optional<Limiter> limiter,
        List<Effort> efforts,
        Margins margins,
        List<Finding> findings) {
    public Reading {
        deltas = List.copyOf(deltas);
        wake = List.copyOf(wake);
        movements = List.copyOf(movements);
        outliers = List.copyOf(outliers);
        efforts = List.copyOf(efforts);
        findings = List.copyOf(findings);
    }

    /** Reads an attempt; the yardstick must say something about every segment logged. */
    public static Reading of(AttemptLog log, Yardstick yardstick) {
        List<SegmentDelta> deltas = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            int index = split.segment().index();
            PlannedSegment allowed = yardstick.segments().get(index);
            deltas.add(SegmentDelta.of(split, allowed, !yardstick.unseparated().contains(index)));
        }
        Ledger ledger = Ledger.of(deltas);
        List<Finding> findings = Findings.of(deltas, ledger, yardstick.kind());
        Rounds rounds = Rounds.of(log);
        List<MovementReading> movements = MovementReading.of(log);
        return new Reading(
                log,
                yardstick,
                Words.answer(log, ledger, findings, yardstick),
                deltas,
                ledger,
                WakePoint.of(deltas),
                rounds,
                movements,
                Pace.of(log),
                Outlier.of(log, rounds, log.cues()),
                Limiter.of(ledger, movements, yardstick),
                Effort.of(log),
                Margins.of(log),
                findings);
    }

    /** How much of the clock the marks do not tell apart, milliseconds. */
    public long unseparatedMs() {
        return log.splits().stream().mapToLong(SegmentSplit::unseparatedMs).sum();
    }
}
