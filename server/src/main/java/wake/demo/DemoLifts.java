package wake.demo;

import java.util.List;
import wake.log.Lift;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.PlateRack;
import wake.units.Quantity;
import wake.units.Unit;

/** The lift window of the demo: four lifts made, a wish too far above them missed on the jerk. */
final class DemoLifts {
    static final String NAME = "tamsin crest and trough first";
    static final String DIVISION = "women";
    /** Whose it is, among the athletes of the demo. */
    static final int ATHLETE = 4;

    static final int DAYS_AGO = 6;
    /** A lifter who makes all but the last. */
    static final long SEED = 1;

    private static final long LENGTH_MS = 22_000;

    static final LiftPlan PLAN = new LiftPlan(
            Quantity.of(65, Unit.KILOGRAM),
            LENGTH_MS,
            List.of(
                    lift(Role.PREP, "40 kg", 75),
                    lift(Role.PREP, "46 kg", 165),
                    lift(Role.PREP, "50 kg", 255),
                    lift(Role.MUST_HIT, "53 kg", 360),
                    lift(Role.WISH, "58 kg", 440)),
            PlateRack.kilograms(15));

    private DemoLifts() {}

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, LENGTH_MS, List.of());
    }
}
