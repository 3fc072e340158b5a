package wake.plan.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import wake.athlete.Figures;
import wake.plan.Budget;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.plan.check.PlanCheck.Kind;
import wake.units.ClockTime;
import wake.workout.Course;

/** All checks of a plan, in the order of the board. The rules are common practice, no source, unless one says otherwise. */
public final class PlanChecks {
    /** Less than this between the last lift and the next part is too little. */
    private static final long LEAST_GAP_MS = 30_000;

    private PlanChecks() {}

    public static List<PlanCheck> of(Course course, Plan plan, Figures figures) {
        Forecast forecast = Forecast.of(course, plan);
        Desk desk = new Desk(course, plan, forecast, Budget.of(course, forecast), figures);
        List<PlanCheck> checks = new ArrayList<>();
        checks.addAll(SetChecks.boundaries(desk));
        checks.addAll(SetChecks.tooLarge(desk));
        checks.addAll(SetChecks.manyDrops(desk));
        checks.addAll(LoadChecks.neighbours(desk));
        checks.addAll(LoadChecks.misses(desk));
        checks.addAll(LoadChecks.ergs(desk));
        checks.addAll(RestChecks.limiter(desk));
        checks.addAll(RestChecks.intervals(desk));
        checks.addAll(RestChecks.stages(desk));
        return checks;
    }

    /** Whether the time between a lift window's last lift and the next part is enough to get there. */
    public static Optional<PlanCheck> gap(OptionalLong toNextPartMs) {
        if (toNextPartMs.isEmpty() || toNextPartMs.getAsLong() >= LEAST_GAP_MS) {
            return Optional.empty();
        }
        String left = ClockTime.of(Math.max(0, toNextPartMs.getAsLong())).toSeconds();
        return Optional.of(new PlanCheck(
                Kind.SHORT_GAP_BETWEEN_PARTS,
                OptionalInt.empty(),
                left + " from the last lift to the next part; leave at least 0:30",
                Optional.empty()));
    }
}
