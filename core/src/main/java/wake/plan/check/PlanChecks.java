package wake.plan.check;

import java.util.ArrayList;
import java.util.List;
import wake.athlete.Figures;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.workout.Course;

/** All checks of a plan, in the order of the board. The rules are common practice, no source, unless one says otherwise. */
public final class PlanChecks {
    private PlanChecks() {}

    public static List<PlanCheck> of(Course course, Plan plan, Figures figures) {
        Forecast forecast = Forecast.of(course, plan);
        Desk desk = new Desk(course, plan, forecast, Budget.of(course, forecast), figures);
        List<PlanCheck> checks = new ArrayList<>();
        checks.addAll(SetChecks.boundaries(desk));
        checks.addAll(SetChecks.tooLarge(desk));
        checks.addAll(SetChecks.manyDrops(desk));
        checks.addAll(LoadChecks.neighbours(desk));
        checks.addAll(LoadChecks.aboveMax(desk));
        checks.addAll(LoadChecks.misses(desk));
        checks.addAll(LoadChecks.ergs(desk));
        checks.addAll(RestChecks.limiter(desk));
        checks.addAll(MarkChecks.rounds(desk));
        checks.addAll(RestChecks.intervals(desk));
        checks.addAll(RestChecks.stages(desk));
        return checks;
    }
}
