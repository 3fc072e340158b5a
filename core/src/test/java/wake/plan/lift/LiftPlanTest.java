package wake.plan.lift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.athlete.EstimatedMax;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

class LiftPlanTest {
    private static final Format.Lift SEVEN = new Format.Lift(420_000, List.of(new LiftPiece(1, "power clean")));
    private static final PlateRack RACK = PlateRack.kilograms(20);
    private static final PlateRack BARE = new PlateRack(Quantity.of(20, Unit.KILOGRAM), PlateRack.rack("10x4"));

    private static Quantity kg(double value) {
        return new Quantity(BigDecimal.valueOf(value), Unit.KILOGRAM);
    }

    /** The fewest plates by trying every choice of counts. */
    private static Optional<Integer> bruteForce(List<Integer> weights, List<Integer> counts, int at, int side) {
        if (side == 0) {
            return Optional.of(0);
        }
        if (at == weights.size()) {
            return Optional.empty();
        }
        Optional<Integer> best = Optional.empty();
        for (int i = 0; i <= counts.get(at) && i * weights.get(at) <= side; i++) {
            int used = i;
            Optional<Integer> rest = bruteForce(weights, counts, at + 1, side - i * weights.get(at))
                    .map(more -> more + used);
            if (rest.isPresent() && (best.isEmpty() || rest.get() < best.get())) {
                best = rest;
            }
        }
        return best;
    }

    /** Against brute force on random inventories: the fewest plates, and "impossible" exactly where it is. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theRackUsesTheFewestPlates(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        NavigableMap<BigDecimal, Integer> pairs = new TreeMap<>(Comparator.reverseOrder());
        List<Integer> quarters = List.of(100, 80, 60, 40, 20, 10, 7, 5, 4, 2, 1);
        random.ints(5, 0, quarters.size())
                .forEach(i -> pairs.put(BigDecimal.valueOf(quarters.get(i) * 0.25), 1 + random.nextInt(3)));
        PlateRack rack = new PlateRack(Quantity.of(15, Unit.KILOGRAM), pairs);
        List<Integer> weights = pairs.keySet().stream()
                .map(plate -> plate.multiply(BigDecimal.valueOf(4)).intValueExact())
                .toList();
        List<Integer> counts = List.copyOf(pairs.values());
        int all = 0;
        for (int i = 0; i < weights.size(); i++) {
            all += weights.get(i) * counts.get(i);
        }
        int last = 0;
        for (int side = 0; side <= all + 8; side++) {
            Quantity load = kg(15 + side * 0.5);
            Optional<Integer> fewest = bruteForce(weights, counts, 0, side);
            last = fewest.isPresent() ? side : last;
            assertThat(rack.loading(load).map(loading -> loading.side().size())).isEqualTo(fewest);
            if (fewest.isEmpty()) {
                assertThat(rack.atMost(load).orElseThrow().load()).isEqualTo(kg(15 + last * 0.5));
                assertThat(rack.atLeast(load).isPresent()).isEqualTo(side < all);
            }
        }
    }

    @Test
    void loadsTheRackCannotMakeSayTheNearest() {
        PlateRack few = new PlateRack(Quantity.of(20, Unit.KILOGRAM), PlateRack.rack("20x1 10 2.5"));
        assertThat(few.loading(kg(83))).isEmpty();
        assertThat(few.atMost(kg(83)).orElseThrow().load()).isEqualTo(kg(80));
        assertThat(few.atLeast(kg(83)).orElseThrow().load()).isEqualTo(kg(85));
        assertThat(few.nearest(kg(83)).load()).isEqualTo(kg(85));
        assertThat(few.nearest(kg(500)).load()).isEqualTo(kg(85));
        assertThat(few.nearest(kg(10)).load()).isEqualTo(kg(20));
        assertThat(few.written()).isEqualTo("20x1 10x1 2.5x1");
    }

    /** 1 lb = 0.45359237 kg (NIST SP 811): 100 kg is 220.46 lb, so a rack with half pounds makes 220 or 221. */
    @Test
    void kilogramsGoOntoAPoundRack() {
        assertThat(PlateRack.pounds(45).nearest(kg(100)).load()).isEqualTo(Quantity.of(220, Unit.POUND));
    }

    @ParameterizedTest
    @ValueSource(strings = {"twenty", "20x", "0", "20x99", "120", "-5"})
    void whatIsNoPlateIsRefused(String written) {
        assertThatThrownBy(() -> new PlateRack(Quantity.of(20, Unit.KILOGRAM), PlateRack.rack(written)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static LiftPlan usual(Format.Lift window, double max, int count) {
        return UsualTimetable.of(window, kg(max), count, OptionalLong.empty(), OptionalLong.empty(), RACK);
    }

    private static double percent(LiftPlan.Attempt lift) {
        return ((LiftPlan.Want.OfMax) lift.want()).percent();
    }

    /** Common practice, no source: five lifts in 7:00 are one each 75–84 s, the must-hit with two minutes left. */
    @Test
    void sevenMinutesAndFiveLifts() {
        LiftPlan plan = usual(SEVEN, 100, 5).checkedFor(SEVEN);
        List<Long> starts = plan.lifts().stream().map(LiftPlan.Attempt::startMs).toList();
        for (int i = 1; i < 4; i++) {
            assertThat(starts.get(i) - starts.get(i - 1)).isBetween(75_000L, 84_000L);
        }
        assertThat(starts.get(4) / 5).isBetween(75_000L, 84_000L);
        assertThat(starts.get(3)).isEqualTo(300_000);
        assertThat(420_000 - starts.get(4)).as("no heavy lift in the last 15 s").isGreaterThanOrEqualTo(15_000);
    }

    /** Common practice, no source: prep from about 60 %, 85–95 % must be made, the wish 2.5–5 % above it. */
    @Test
    void percentagesClimbToTheWish() {
        List<LiftPlan.Attempt> lifts = usual(SEVEN, 100, 5).lifts();
        assertThat(lifts).extracting(LiftPlanTest::percent).isSorted();
        assertThat(percent(lifts.getFirst())).isEqualTo(60);
        assertThat(percent(lifts.get(3))).isBetween(85.0, 95.0);
        assertThat(percent(lifts.get(4)) - percent(lifts.get(3))).isBetween(2.5, 5.0);
        Format.Lift complex =
                new Format.Lift(480_000, List.of(new LiftPiece(2, "hang power clean"), new LiftPiece(1, "push jerk")));
        LiftPlan triple = usual(complex, 100, 4);
        assertThat(percent(triple.lifts().get(2))).isBetween(75.0, 81.0);
        assertThat(triple.complexMs()).as("20–25 s for a triple").isBetween(20_000L, 25_000L);
        assertThat(UsualTimetable.usualMs(12)).as("45 s for twelve").isEqualTo(45_000);
    }

    /** Two lifts of 45 s in 8:00: the first in the first half, the last over by the buzzer. */
    @Test
    void longLiftsEndByTheBuzzerAndTheWindowIsUsed() {
        Format.Lift window = new Format.Lift(480_000, List.of(new LiftPiece(12, "power clean")));
        List<LiftPlan.Attempt> lifts = usual(window, 80, 2).lifts();
        assertThat(lifts.getFirst().startMs()).isLessThan(240_000);
        assertThat(lifts.getLast().endMs()).isLessThanOrEqualTo(480_000);
    }

    /**
     * For every window, count and length: it fits, with room for the plates, all bars off the floor 15 s before time and, where it can be, half a
     * minute before the next part; or it is said how many would.
     */
    @ParameterizedTest
    @ValueSource(longs = {180, 240, 300, 420, 480, 600, 900, 1200})
    void everyTimetableFitsOrSaysHowManyWould(long windowS) {
        Format.Lift window = new Format.Lift(windowS * 1000, List.of(new LiftPiece(1, "power clean")));
        for (int count = 1; count <= 8; count++) {
            for (int lengthS = 5; lengthS <= 90; lengthS++) {
                for (OptionalLong pause : List.of(OptionalLong.empty(), OptionalLong.of(0), OptionalLong.of(60_000))) {
                    fitsOrSaysSo(window, count, lengthS * 1000L, pause);
                }
            }
        }
    }

    private static void fitsOrSaysSo(Format.Lift window, int count, long lengthMs, OptionalLong pause) {
        long latest =
                Math.min(window.windowMs() - 15_000, window.windowMs() + pause.orElse(1_000_000) - 30_000 - lengthMs);
        // By hand: so many lifts with 15 s between them, the last no later than that.
        long most = latest < 0 ? 0 : latest / (lengthMs + 15_000) + 1;
        try {
            LiftPlan plan = UsualTimetable.of(window, kg(100), count, OptionalLong.of(lengthMs), pause, BARE)
                    .checkedFor(window);
            Timetable table = Timetable.of(plan, window, pause);
            assertThat(count).isLessThanOrEqualTo((int) most);
            assertThat(plan.lifts().getLast().startMs()).isLessThanOrEqualTo(latest);
            assertThat(table.rows().stream().skip(1)).allMatch(row -> row.restMs() >= 15_000);
            assertThat(table.toNextPartMs().orElse(30_000)).isGreaterThanOrEqualTo(30_000);
            assertThat(plan.lifts()).extracting(lift -> lift.startMs() % 1000).containsOnly(0L);
        } catch (IllegalArgumentException unfit) {
            assertThat(unfit).hasMessageContaining("don't fit").hasMessageMatching(".*; (none|\\d+) fits?$");
            long said = unfit.getMessage().contains("none does")
                    ? 0
                    : Long.parseLong(unfit.getMessage().replaceFirst(".*; (\\d+) fits?$", "$1"));
            assertThat(count).isGreaterThan((int) said);
            if (said > 0) {
                assertThat(UsualTimetable.of(window, kg(100), (int) said, OptionalLong.of(lengthMs), pause, BARE)
                                .lifts())
                        .hasSize((int) said);
            }
        }
    }

    /** By hand: 60 % of 93 kg is 55.8 and goes down to 55 kg with half-kilogram plates a side; the must-hit's 83.7 to 83. */
    @Test
    void theTimetableHasLoadsPlatesAndTheWayToTheNextPart() {
        LiftPlan plan = usual(SEVEN, 93, 3);
        Timetable table = Timetable.of(plan, SEVEN, OptionalLong.of(60_000));
        assertThat(table.rows())
                .extracting(row -> row.loading().load().toString())
                .containsExactly("55 kg", "83 kg", "87 kg");
        assertThat(table.rows().getFirst().change().off()).isEmpty();
        assertThat(table.rows())
                .allSatisfy(row -> assertThat(row.wanted().doubleValue()
                                - row.loading().load().doubleValue())
                        .isBetween(0.0, 1.0));
        assertThat(table.rows().get(1).jump()).contains(BigDecimal.valueOf(28));
        // 55 kg are 121.25 lb (NIST SP 811).
        assertThat(table.rows().getFirst().converted()).isEqualTo(Quantity.of(121, Unit.POUND));
        assertThat(table.rows().getFirst().heavier()).contains(kg(56));
        long end = plan.lifts().getLast().startMs() + plan.complexMs();
        assertThat(table.toNextPartMs()).hasValue(420_000 + 60_000 - end);
        assertThat(table.rows().get(1).restMs())
                .isEqualTo(plan.lifts().get(1).startMs() - plan.lifts().get(0).startMs() - plan.complexMs());
        assertThat(table.latestStartMs()).isEqualTo(405_000);
        // Backwards from 6:45: 30 s of rest and 8 s of lift before each.
        assertThat(table.rows()).extracting(Timetable.Row::latestStartMs).containsExactly(329_000L, 367_000L, 405_000L);
        assertThat(table.answer()).isEqualTo("3 lifts, 55 kg to 87 kg. The last one starts at 6:45.");
    }

    /** Rounded down, never up: 100 kg is 220.46 lb and 220 on a rack of pounds; 221 lb are 100.24 kg and 100 in half kilograms. */
    @Test
    void loadsAreRoundedDown() {
        assertThat(PlateRack.pounds(45).roundedDown(kg(100)).load()).isEqualTo(Quantity.of(220, Unit.POUND));
        assertThat(Timetable.other(Quantity.of(221, Unit.POUND))).isEqualTo(kg(100));
        assertThat(RACK.roundedDown(kg(12)).load()).as("the bar alone").isEqualTo(kg(20));
        assertThat(RACK.heavier(kg(70))).map(PlateRack.Loading::load).contains(kg(71));
        assertThat(PlateRack.pounds(45).heavier(Quantity.of(145, Unit.POUND)))
                .map(PlateRack.Loading::load)
                .contains(Quantity.of(146, Unit.POUND));
    }

    /** By hand: the longest rest of starts at 1:15, 3:00 and 6:00 is the last; 8 s in the middle of 2:52 start at 4:30, at 75 % between 60 and 90. */
    @Test
    void oneMoreLiftGoesIntoTheLongestRest() {
        LiftPlan plan = new LiftPlan(
                kg(100),
                8000,
                List.of(
                        attempt(LiftPlan.Role.PREP, 50, 75_000),
                        attempt(LiftPlan.Role.PREP, 60, 180_000),
                        attempt(LiftPlan.Role.MUST_HIT, 90, 360_000)),
                RACK);
        LiftPlan more = plan.withOneMore();
        assertThat(more.lifts()).hasSize(4);
        assertThat(more.lifts().get(2)).isEqualTo(attempt(LiftPlan.Role.PREP, 75, 270_000));
        more.checkedFor(SEVEN);
        LiftPlan full = new LiftPlan(
                kg(100),
                8000,
                List.of(attempt(LiftPlan.Role.PREP, 50, 5000), attempt(LiftPlan.Role.WISH, 60, 20_000)),
                RACK);
        assertThatThrownBy(full::withOneMore).hasMessageContaining("longest is 7 s");
    }

    @Test
    void plateChangesSayOffAndOn() {
        PlateRack.Loading first = RACK.loading(kg(60)).orElseThrow();
        PlateRack.Loading second = RACK.loading(kg(75)).orElseThrow();
        assertThat(PlateChange.between(first.side(), second).words()).isEqualTo("take off 20, add 25 + 2.5 per side");
        assertThat(PlateChange.between(first.side(), first).words()).isEqualTo("no change");
        assertThat(PlateChange.between(List.of(), first).words()).isEqualTo("add 20 per side");
    }

    private static LiftPlan.Attempt attempt(LiftPlan.Role role, double percent, long startMs) {
        return new LiftPlan.Attempt(role, new LiftPlan.Want.OfMax(percent), startMs, 8000, List.of());
    }

    @ParameterizedTest
    @CsvSource({"430, 440, before time", "100, 104, before lift 1 is done"})
    void impossibleTimetablesAreRefused(long firstS, long secondS, String reason) {
        LiftPlan plan = new LiftPlan(
                kg(100),
                8000,
                List.of(
                        attempt(LiftPlan.Role.PREP, 60, firstS * 1000),
                        attempt(LiftPlan.Role.MUST_HIT, 90, secondS * 1000)),
                RACK);
        assertThatThrownBy(() -> plan.checkedFor(SEVEN)).hasMessageContaining(reason);
    }

    /** Epley (1985) and Brzycki (1993), from memory: five reps at 100 kg are 116.7 and 112.5; they meet at ten reps. */
    @Test
    void maxesAreEstimatedFromReps() {
        assertThat(EstimatedMax.epley(kg(100), 5).doubleValue()).isCloseTo(116.667, within(0.001));
        assertThat(EstimatedMax.brzycki(kg(100), 5).doubleValue()).isCloseTo(112.5, within(0.001));
        assertThat(EstimatedMax.epley(kg(100), 10).doubleValue())
                .isCloseTo(EstimatedMax.brzycki(kg(100), 10).doubleValue(), within(1e-9));
        assertThat(EstimatedMax.epley(kg(100), 1)).isEqualTo(kg(100));
        assertThatThrownBy(() -> EstimatedMax.epley(kg(100), 20)).hasMessageContaining("1 to 12");
    }

    /** By hand, with the usual plates: 60, 80 and 100 kg, 135 and 185 lb are one or two plates a side; what lies 1 kg beside them is loaded so; 39 kg takes as many plates as 40. */
    @ParameterizedTest
    @CsvSource({
        "kg, 61, 60",
        "kg, 58.5, 60",
        "kg, 80.25, 80",
        "kg, 100, 100",
        "kg, 101, 100",
        "kg, 20, 20",
        "kg, 18, 20",
        "lb, 137, 135",
        "lb, 184.5, 185",
        "lb, 226, 225"
    })
    void buildUpBarsAreLoadedWithFewPlates(String unit, double wanted, double loaded) {
        PlateRack rack = unit.equals("kg") ? PlateRack.kilograms(20) : PlateRack.pounds(45);
        assertThat(rack.plain(new Quantity(
                                BigDecimal.valueOf(wanted), rack.bar().unit()))
                        .load()
                        .doubleValue())
                .isEqualTo(loaded);
    }

    /** The target and the reach are what they were asked to be, and build-up bars rise to them whatever the max. */
    @Test
    void buildUpBarsRiseToTheTarget() {
        Format.Lift window = new Format.Lift(480_000, List.of(new LiftPiece(1, "clean")));
        for (int max = 25; max < 200; max++) {
            Timetable table = Timetable.of(
                    UsualTimetable.of(
                            window,
                            Quantity.of(max, Unit.KILOGRAM),
                            5,
                            OptionalLong.empty(),
                            OptionalLong.empty(),
                            PlateRack.kilograms(20)),
                    window,
                    OptionalLong.empty());
            double before = 0;
            for (Timetable.Row row : table.rows()) {
                double load = row.loading().load().doubleValue();
                double wanted = row.wanted().in(Unit.KILOGRAM);
                assertThat(load).as("max %d, %s", max, row.attempt().role()).isGreaterThanOrEqualTo(before);
                assertThat(load).isCloseTo(Math.max(20, wanted), within(2.5));
                before = load;
            }
            assertThat(table.rows().get(3).loading().load().doubleValue()).isLessThanOrEqualTo(Math.max(20, 0.9 * max));
        }
    }
}
