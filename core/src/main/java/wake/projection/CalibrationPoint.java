package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import wake.log.AttemptLog;
import wake.projection.Projection.ProjectedChange;
import wake.projection.Projection.Terms;

/**
 * What one checked projection has to teach: the retest held against it.
 *
 * @param outcome with the usual shares of the fatigue cost
 * @param evidence how well each of its changes was backed, in their order
 * @param clockMs how long the work took that both attempts did
 */
public record CalibrationPoint(Outcome outcome, List<EvidenceLevel> evidence, long clockMs) {
    public CalibrationPoint {
        evidence = List.copyOf(evidence);
    }

    /** @param others the athlete's other attempts when the projection was made */
    public static CalibrationPoint of(
            AttemptLog first, AttemptLog retest, List<? extends Change> changes, Collection<AttemptLog> others) {
        Outcome outcome = Outcome.of(first, retest, changes, FatigueCost.USUAL);
        Terms terms = new Terms(others, EvidenceWeights.USUAL, FatigueCost.NONE, 0, 0);
        List<EvidenceLevel> evidence = new ArrayList<>();
        for (ProjectedChange projected : Projection.of(first, changes, terms).projectedChanges()) {
            evidence.add(projected.evidence());
        }
        long clock = first.splits().stream()
                .limit(outcome.segments())
                .mapToLong(split -> split.elapsedMs())
                .sum();
        return new CalibrationPoint(outcome, evidence, clock);
    }
}
