package wake.reading;

import java.util.List;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.Stretch;

/**
 * An attempt read against a baseline: where every second went. It speaks at the depth the marks tell, and says nothing below it.
 *
 * @param log the attempt
 * @param baseline what it is read against
 * @param compared how much of it could be held against the baseline
 * @param clock where the clock went, without any baseline
 * @param sections the larger pieces of the workout; empty where there is only one
 * @param deltas each stretch against its baseline
 * @param ledger the same by line and cause
 * @param wake the curve of seconds ahead or behind
 * @param blocks the rounds of each block
 * @param movements each line, its sets and how it faded
 * @param techniques the techniques of movements, where they were named
 * @param notes what went differently after a cue
 * @param observations what was observed more than once
 * @param pace the shape of the pacing, and the finish
 * @param outliers rounds, rests and transitions far beyond the others
 * @param limiter the line that lost the most, if one stands out
 * @param efforts perceived exertion where it was noted
 * @param margins what cut-offs and intervals left
 * @param outOfReach what was due by a clock and not made, and where it went
 * @param findings what cost most, dearest first
 */
public record Reading(
        AttemptLog log,
        Baseline baseline,
        Compared compared,
        ClockBudget clock,
        List<SectionReading> sections,
        List<SegmentDelta> deltas,
        Ledger ledger,
        List<WakePoint> wake,
        List<Rounds> blocks,
        List<MovementReading> movements,
        List<TechniqueReading> techniques,
        List<NoteEffect> notes,
        List<ObservationCount> observations,
        Pace pace,
        List<Outlier> outliers,
        Optional<Limiter> limiter,
        List<PerceivedExertion> efforts,
        Margins margins,
        List<OutOfReach> outOfReach,
        List<Finding> findings) {
    public Reading {
        sections = List.copyOf(sections);
        deltas = List.copyOf(deltas);
        wake = List.copyOf(wake);
        blocks = List.copyOf(blocks);
        movements = List.copyOf(movements);
        techniques = List.copyOf(techniques);
        notes = List.copyOf(notes);
        observations = List.copyOf(observations);
        outliers = List.copyOf(outliers);
        efforts = List.copyOf(efforts);
        outOfReach = List.copyOf(outOfReach);
        findings = List.copyOf(findings);
    }

    /** Reads an attempt; a plan must say something about every segment logged. */
    public static Reading of(AttemptLog log, Baseline baseline) {
        List<Stretch> stretches = Stretch.of(log, baseline.unseenEnds());
        List<SegmentDelta> deltas = MovedBreaks.matched(
                stretches.stream()
                        .map(stretch -> SegmentDelta.of(stretch, baseline.allow(stretch)))
                        .toList(),
                baseline);
        Ledger ledger = Ledger.of(deltas);
        Compared compared = Compared.of(log, deltas, baseline);
        List<Finding> findings = Findings.of(deltas, baseline.kind());
        List<Rounds> blocks = Rounds.of(log);
        List<MovementReading> movements = MovementReading.of(stretches);
        return new Reading(
                log,
                baseline,
                compared,
                ClockBudget.of(log),
                SectionReading.of(deltas),
                deltas,
                ledger,
                WakePoint.of(deltas),
                blocks,
                movements,
                TechniqueReading.of(log.own()),
                NoteEffect.of(log.own()),
                ObservationCount.of(log.own()),
                Pace.of(log.own(), blocks),
                Outlier.of(log.own(), blocks),
                Limiter.of(ledger, movements, baseline),
                PerceivedExertion.of(log),
                Margins.of(log),
                baseline.outOfReach(log),
                findings);
    }

    /** How much of the clock the marks do not break down, milliseconds. */
    public long unseparatedMs() {
        return log.done().stream().mapToLong(SegmentSplit::unseparatedMs).sum();
    }
}
