package wake.plan.lift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import wake.log.Lift;
import wake.plan.lift.LiftChecks.Check;
import wake.plan.lift.LiftChecks.Kind;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/** The rules are common practice, no source. */
class LiftChecksTest {
    private static final Format.Lift WINDOW = new Format.Lift(480_000, List.of(new LiftPiece(1, "clean")));

    private static LiftPlan plan(Attempt... lifts) {
        return new LiftPlan(Quantity.of(100, Unit.KILOGRAM), 8000, List.of(lifts), PlateRack.kilograms(20));
    }

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, 8000, List.of());
    }

    private static List<Check> checks(LiftPlan plan, boolean afterAnotherPart, OptionalLong pause) {
        return LiftChecks.of(plan, Timetable.of(plan, WINDOW, pause), WINDOW, afterAnotherPart);
    }

    private static List<Check> checks(Attempt... lifts) {
        return checks(plan(lifts), false, OptionalLong.empty());
    }

    @Test
    void aSoundTimetableIsLeftAlone() {
        assertThat(checks(
                        lift(Role.PREP, "60 kg", 90),
                        lift(Role.PREP, "75 kg", 180),
                        lift(Role.MUST_HIT, "90 kg", 340),
                        lift(Role.WISH, "94 kg", 460)))
                .isEmpty();
    }

    @Test
    void shortRestsAreMendedByTakingAPrepLiftOut() {
        List<Check> checks =
                checks(lift(Role.PREP, "60 kg", 300), lift(Role.PREP, "75 kg", 330), lift(Role.MUST_HIT, "90 kg", 400));
        assertThat(checks).extracting(Check::kind).containsExactly(Kind.SHORT_REST);
        assertThat(checks.getFirst().sentence()).contains("22 s before lift 2");
        assertThat(checks.getFirst().mended().orElseThrow().lifts())
                .extracting(Attempt::startMs)
                .containsExactly(300_000L, 400_000L);
    }

    @Test
    void theBuzzerTheFinalSecondsAndTheNextPartAreSaid() {
        LiftPlan slow = new LiftPlan(
                Quantity.of(100, Unit.KILOGRAM),
                45_000,
                List.of(new Attempt(Role.MUST_HIT, new Want.OfMax(80), 450_000, 45_000, List.of())),
                PlateRack.kilograms(20));
        assertThat(checks(slow, false, OptionalLong.of(30_000)))
                .extracting(Check::kind)
                .containsExactly(Kind.PAST_THE_BELL, Kind.NEXT_PART_CLOSE);
        assertThat(checks(lift(Role.WISH, "90 kg", 470)).getFirst().sentence()).contains("10 s before time");
    }

    @Test
    void everyBarIsHeldAgainstTheMaxAndTheRack() {
        List<Check> checks = checks(
                lift(Role.PREP, "101 kg", 90), lift(Role.MUST_HIT, "104 kg", 240), lift(Role.WISH, "111.3 kg", 400));
        assertThat(checks)
                .extracting(Check::kind)
                .containsExactly(Kind.ABOVE_THE_MAX, Kind.ABOVE_THE_MAX, Kind.NOT_ON_THIS_RACK);
        assertThat(checks.getLast().sentence()).isEqualTo("lift 3: these plates make 111 kg, not 111.3 kg");
    }

    @Test
    void aWishTooFarIsBroughtBackAndAStepDownIsSaid() {
        List<Check> checks =
                checks(lift(Role.PREP, "90 kg", 90), lift(Role.MUST_HIT, "80 kg", 240), lift(Role.WISH, "90 kg", 400));
        assertThat(checks).extracting(Check::kind).containsExactly(Kind.LIGHTER_THAN_BEFORE, Kind.WISH_TOO_FAR);
        LiftPlan mended = checks.getLast().mended().orElseThrow();
        assertThat(mended.wanted(mended.lifts().getLast()))
                .as("5 % above 80 kg")
                .hasToString("84 kg");
    }

    @Test
    void afterAnotherPartTheTargetIsLower() {
        LiftPlan plan = plan(lift(Role.MUST_HIT, "97 kg", 240));
        assertThat(checks(plan, true, OptionalLong.empty()))
                .extracting(Check::kind)
                .containsExactly(Kind.AFTER_ANOTHER_PART);
        assertThat(checks(plan, false, OptionalLong.empty())).isEmpty();
        assertThat(LiftChecks.fatigueRule(WINDOW)).contains("85–95%");
        Format.Lift complex = new Format.Lift(480_000, new ArrayList<>(List.of(new LiftPiece(3, "clean"))));
        assertThat(LiftChecks.fatigueRule(complex)).contains("75–81%");
    }
}
