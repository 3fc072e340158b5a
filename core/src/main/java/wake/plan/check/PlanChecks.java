package wake.plan.check;

import java.util.ArrayList;
import java.util.List;
import wake.athlete.Figures;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.workout.ExpandedWorkout;

/** All checks of a plan, in the order of the board. The rules are common practice, no source, unless one says otherwise. */
public final class PlanChecks {
    private PlanChecks() {}

    public static List<PlanCheck> of(ExpandedWorkout expanded, Plan plan, Figures figures) {
        Forecast forecast = Forecast.of(expanded, plan);
        CheckContext context = new CheckContext(expanded, plan, forecast, Budget.of(expanded, forecast), figures);
        List<PlanCheck> checks = new ArrayList<>();
        checks.addAll(SetChecks.boundaries(context));
        checks.addAll(SetChecks.tooLarge(context));
        checks.addAll(SetChecks.manyDrops(context));
        checks.addAll(LoadChecks.neighbours(context));
        checks.addAll(LoadChecks.aboveMax(context));
        checks.addAll(LoadChecks.misses(context));
        checks.addAll(LoadChecks.ergs(context));
        checks.addAll(RestChecks.limiter(context));
        checks.addAll(MarkChecks.rounds(context));
        checks.addAll(RestChecks.intervals(context));
        checks.addAll(RestChecks.cutOffs(context));
        return checks;
    }
}
