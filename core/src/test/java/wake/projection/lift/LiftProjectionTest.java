package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import wake.log.Lift;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.PlateRack;
import wake.projection.FatigueCost;
import wake.projection.lift.Chances.Curve;
import wake.projection.lift.LiftProjection.Terms;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

class LiftProjectionTest {
    private static final Format.Lift WINDOW = new Format.Lift(480_000, List.of(new LiftPiece(1, "clean")));

    /** Half are made at 100 kg, nine in ten at about 93; common practice, no source. */
    private static final Chances COMMON = Chances.known(100, 3);

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, 8000, List.of());
    }

    private static LiftPlan plan(Attempt... lifts) {
        return new LiftPlan(Quantity.of(100, Unit.KILOGRAM), 8000, List.of(lifts), PlateRack.kilograms(20));
    }

    private static Terms terms(Optional<Quantity> before) {
        return new Terms(WINDOW, OptionalLong.empty(), COMMON, before);
    }

    /** By hand: chances p1 at 90 kg and p2 at 100 kg give p2 for 100, (1 − p2)·p1 for 90, the rest for none; together 1. */
    @Test
    void theBestIsTheHeaviestThatIsMade() {
        LiftProjection projection = LiftProjection.of(
                plan(lift(Role.MUST_HIT, "90 kg", 200), lift(Role.WISH, "100 kg", 400)), terms(Optional.empty()));
        double p1 = COMMON.made(90);
        double p2 = COMMON.made(100.5);
        assertThat(projection.rows())
                .extracting(LiftProjection.Row::chance)
                .satisfiesExactly(
                        first -> assertThat(first).isCloseTo(p1, within(1e-12)),
                        second -> assertThat(second).isCloseTo(p2, within(1e-12)));
        assertThat(projection.outcomes())
                .extracting(LiftProjection.Outcome::chance)
                .satisfiesExactly(
                        none -> assertThat(none).isCloseTo((1 - p1) * (1 - p2), within(1e-12)),
                        ninety -> assertThat(ninety).isCloseTo((1 - p2) * p1, within(1e-12)),
                        hundred -> assertThat(hundred).isCloseTo(p2, within(1e-12)));
        assertThat(projection.expectedKg()).isCloseTo(100 * p2 + 90 * (1 - p2) * p1, within(1e-9));
        assertThat(projection.middle()).contains(Quantity.of(90, Unit.KILOGRAM));
        assertThat(projection.high()).contains(Quantity.of(100, Unit.KILOGRAM));
        assertThat(projection.beats()).isCloseTo(1 - (1 - p1) * (1 - p2), within(1e-12));
        LiftProjection beating = LiftProjection.of(
                plan(lift(Role.MUST_HIT, "90 kg", 200), lift(Role.WISH, "100 kg", 400)),
                terms(Optional.of(Quantity.of(90, Unit.KILOGRAM))));
        assertThat(beating.beats()).as("the same again beats nothing").isCloseTo(p2, within(1e-12));
    }

    /** By hand: on a good day both bars go, on a bad one neither: together half and half, not one of four each. */
    @Test
    void liftsOfADayStandAndFallTogether() {
        Chances twoDays = new Chances(List.of(new Curve(200, 1, 0.5), new Curve(10, 1, 0.5)), 0, "", false);
        LiftProjection projection = LiftProjection.of(
                plan(lift(Role.MUST_HIT, "90 kg", 200), lift(Role.WISH, "100 kg", 400)),
                new Terms(WINDOW, OptionalLong.empty(), twoDays, Optional.empty()));
        assertThat(projection.outcomes())
                .extracting(outcome -> Math.round(100 * outcome.chance()))
                .containsExactly(50L, 0L, 50L);
    }

    /** The same load twice is one outcome. By hand: missed twice with one half each, a quarter. */
    @Test
    void theSameLoadTwiceIsOneOutcome() {
        LiftProjection projection = LiftProjection.of(
                plan(lift(Role.MUST_HIT, "100 kg", 100), lift(Role.WISH, "100 kg", 400)),
                new Terms(WINDOW, OptionalLong.empty(), Chances.known(100.25, 1e9), Optional.empty()));
        assertThat(projection.outcomes()).hasSize(2);
        assertThat(projection.outcomes().getFirst().chance()).isCloseTo(0.25, within(1e-6));
    }

    @Test
    void moreRestALighterWishAndABiggerFirstJumpAreTried() {
        LiftPlan rushed = plan(
                lift(Role.PREP, "60 kg", 300),
                lift(Role.PREP, "75 kg", 340),
                lift(Role.MUST_HIT, "93 kg", 400),
                lift(Role.WISH, "99 kg", 460));
        Terms terms = terms(Optional.of(Quantity.of(94, Unit.KILOGRAM)));
        double now = LiftProjection.of(rushed, terms).beats();
        List<WhatIf> ways = WhatIf.of(rushed, terms);
        assertThat(ways).extracting(WhatIf::beats).isSortedAccordingTo((one, other) -> Double.compare(other, one));
        assertThat(ways)
                .filteredOn(way -> way.words().contains("95 kg"))
                .singleElement()
                .satisfies(way -> {
                    assertThat(way.beats()).isGreaterThan(now);
                    assertThat(way.plan().wanted(way.plan().lifts().getLast())).hasToString("95 kg");
                });
        assertThat(ways)
                .filteredOn(way -> way.words().contains("bigger first jump"))
                .singleElement()
                .satisfies(way -> assertThat(way.plan().lifts()).hasSize(3));
        assertThat(ways).allSatisfy(way -> way.plan().checkedFor(WINDOW));
    }

    /** By hand, 0.4 s for each second: 20 s more give about 8; beyond two minutes nothing is counted on. */
    @Test
    void theNextPartGainsFromRestUpToTwoMinutes() {
        assertThat(WhatIf.nextPart(OptionalLong.of(60_000), OptionalLong.of(80_000), FatigueCost.USUAL))
                .hasValueSatisfying(
                        words -> assertThat(words).contains("20 s more rest").contains("about 8 s saved"));
        assertThat(WhatIf.nextPart(OptionalLong.of(80_000), OptionalLong.of(60_000), FatigueCost.USUAL))
                .hasValueSatisfying(
                        words -> assertThat(words).contains("20 s less rest").contains("about 8 s lost"));
        assertThat(WhatIf.nextPart(OptionalLong.of(150_000), OptionalLong.of(170_000), FatigueCost.USUAL))
                .hasValueSatisfying(words -> assertThat(words).contains("more rest is not counted"));
        assertThat(WhatIf.nextPart(OptionalLong.empty(), OptionalLong.of(1), FatigueCost.USUAL))
                .isEmpty();
    }
}
