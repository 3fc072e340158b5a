package wake.projection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import wake.log.AttemptLog;
import wake.projection.Projection.Call;
import wake.projection.Projection.Terms;

/**
 * What one checked call has to teach: the retest held against it.
 *
 * @param outcome with the usual shares of what the body takes back
 * @param evidence how well each of its changes was backed, in their order
 * @param clockMs how long the work took that both attempts did
 */
public record Lesson(Outcome outcome, List<Evidence> evidence, long clockMs) {
    public Lesson {
        evidence = List.copyOf(evidence);
    }

    /** @param others the athlete's other attempts when the call was made */
    public static Lesson of(
            AttemptLog first, AttemptLog retest, List<? extends Change> changes, Collection<AttemptLog> others) {
        Outcome outcome = Outcome.of(first, retest, changes, GiveBack.USUAL);
        Terms terms = new Terms(others, Credits.USUAL, GiveBack.NONE, 0, 0);
        List<Evidence> evidence = new ArrayList<>();
        for (Call call : Projection.of(first, changes, terms).calls()) {
            evidence.add(call.evidence());
        }
        long clock = first.splits().stream()
                .limit(outcome.segments())
                .mapToLong(split -> split.elapsedMs())
                .sum();
        return new Lesson(outcome, evidence, clock);
    }
}
