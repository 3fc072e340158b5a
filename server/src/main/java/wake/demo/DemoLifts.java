package wake.demo;

import java.util.List;
import java.util.Map;
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

    /** What the athlete lifted on other days, not for time: how many days ago, and what was noted. */
    static final Map<Integer, String> STRENGTH = Map.of(
            13,
            "push jerk 5-4-3-2-1 @ 75%, rest 2:00\n40 kg, 45, 50, 52.5 effort 8\n57.5 missed; dip goes forward\n"
                    + "front-rack hold 3 x 20 s: 20 s @ 60 kg, 20 s @ 65, 15 s @ 70",
            20,
            "hang power clean 5 x 3 @ 70%\n47.5 kg, 47.5, 50, 50, 52.5 effort 8.5");

    private DemoLifts() {}

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, LENGTH_MS, List.of());
    }
}
