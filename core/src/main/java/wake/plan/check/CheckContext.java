package wake.plan.check;

import java.util.List;
import java.util.Optional;
import wake.athlete.Figures;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.PlannedSegment;
import wake.workout.ExpandedWorkout;

/** Everything a check looks at. */
record CheckContext(ExpandedWorkout expanded, Plan plan, Forecast forecast, Budget budget, Figures figures) {
    /** The first planned segment of each line in the first round it occurs, in order. */
    List<PlannedSegment> firstOfEachLine() {
        return forecast.segments().stream()
                .filter(planned -> forecast.segments().stream()
                        .filter(other ->
                                other.segment().lineIndex() == planned.segment().lineIndex())
                        .findFirst()
                        .orElseThrow()
                        .equals(planned))
                .toList();
    }

    /** What comes right after a segment in the plan. */
    Optional<PlannedSegment> after(PlannedSegment planned) {
        int at = forecast.segments().indexOf(planned) + 1;
        return at < forecast.segments().size() ? Optional.of(forecast.segments().get(at)) : Optional.empty();
    }

    String name(PlannedSegment planned) {
        return planned.segment().movement().name();
    }
}
