package wake.projection.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.log.Lift;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.plan.lift.PlateRack;
import wake.projection.FatigueCost;
import wake.projection.lift.Chances.Tried;
import wake.projection.lift.LiftProjection.Terms;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

class LiftProjectionTest {
    private static final Format.Lift WINDOW = new Format.Lift(480_000, List.of(new LiftPiece(1, "clean")));

    private static Attempt lift(Role role, String load, int startS) {
        return new Attempt(role, new Want.Load(Lift.load(load).orElseThrow()), startS * 1000L, 8000, List.of());
    }

    private static LiftPlan plan(Attempt... lifts) {
        return new LiftPlan(Quantity.of(100, Unit.KILOGRAM), 8000, List.of(lifts), PlateRack.kilograms(20));
    }

    private static Terms terms(Optional<Quantity> before) {
        return new Terms(WINDOW, OptionalLong.empty(), Chances.COMMON, before);
    }

    /** Common practice, no source: half at the max, nine in ten at about 93 %. */
    @Test
    void commonPracticeUntilTenLiftsAreKnown() {
        assertThat(Chances.COMMON.made(100)).isCloseTo(0.5, within(1e-12));
        assertThat(Chances.COMMON.made(93)).isCloseTo(0.9, within(0.02));
        List<Tried> nine = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            nine.add(new Tried(80, false));
        }
        assertThat(Chances.of(nine)).isEqualTo(Chances.COMMON);
        assertThat(Chances.of(nine).words()).contains("typical values");
    }

    /**
     * Many lifts of a lifter whose curve is known lead back to it: the estimate is consistent (Cox 1958). Half at 94, 73 % at 90 with a spread of 4.
     */
    @Test
    void manyLiftsGiveTheCurveTheyWereDrawnFrom() {
        SplittableRandom random = new SplittableRandom(7);
        List<Tried> lifts = new ArrayList<>();
        for (int i = 0; i < 8000; i++) {
            double percent = 75 + 35 * random.nextDouble();
            lifts.add(new Tried(percent, random.nextDouble() < 1 / (1 + Math.exp((percent - 94) / 4))));
        }
        Chances fitted = Chances.of(lifts);
        assertThat(fitted.middle()).isCloseTo(94, within(0.5));
        assertThat(fitted.spread()).isCloseTo(4, within(0.3));
        assertThat(fitted.own()).isEqualTo(8000);
    }

    /** Where every light lift was made and every heavy one missed no likeliest curve exists; it stays finite and between the two. */
    @Test
    void whatIsCleanlyPartedStaysFinite() {
        List<Tried> lifts = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            lifts.add(new Tried(80 + i, true));
            lifts.add(new Tried(92 + i, false));
        }
        Chances parted = Chances.of(lifts);
        assertThat(parted.middle()).isBetween(85.0, 92.0);
        assertThat(parted.spread()).isBetween(0.5, 6.0);
        List<Tried> upsideDown =
                lifts.stream().map(one -> new Tried(one.percent(), !one.made())).toList();
        assertThat(Chances.of(upsideDown).made(80))
                .isGreaterThan(Chances.of(upsideDown).made(110));
    }

    /** What the rules say, by hand: a complex 12, 30 s of missing rest 2, two heavy lifts before 1. */
    @ParameterizedTest
    @CsvSource({"80, 1, 90000, 0, 80", "80, 3, 90000, 0, 92", "80, 1, 60000, 0, 82", "80, 1, 200000, 2, 81"})
    void whatALiftAsks(double percent, int reps, long restMs, int heavy, double asked) {
        assertThat(Chances.asked(percent, reps, restMs, heavy)).isCloseTo(asked, within(1e-9));
    }

    /** By hand: chances p1 at 90 kg and p2 at 100 kg give p2 for 100, (1 − p2)·p1 for 90, the rest for none; together 1. */
    @Test
    void theBestIsTheHeaviestThatIsMade() {
        LiftProjection projection = LiftProjection.of(
                plan(lift(Role.MUST_HIT, "90 kg", 200), lift(Role.WISH, "100 kg", 400)), terms(Optional.empty()));
        double p1 = Chances.COMMON.made(90);
        double p2 = Chances.COMMON.made(100.5);
        assertThat(projection.rows()).extracting(LiftProjection.Row::chance).containsExactly(p1, p2);
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
