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
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

class LiftPlanTest {
    private static final Format.Lift SEVEN = new Format.Lift(420_000, List.of(new LiftPiece(1, "power clean")));
    private static final PlateRack RACK = PlateRack.kilograms(20);

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
        for (int side = 0; side <= all + 8; side++) {
            Quantity load = kg(15 + side * 0.5);
            Optional<Integer> fewest = bruteForce(weights, counts, 0, side);
            assertThat(rack.loading(load).map(loading -> loading.side().size())).isEqualTo(fewest);
            if (fewest.isEmpty()) {
                int below = side;
                while (below > 0 && bruteForce(weights, counts, 0, below).isEmpty()) {
                    below--;
                }
                assertThat(rack.atMost(load).orElseThrow().load()).isEqualTo(kg(15 + below * 0.5));
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

    /** Common practice, no source: five lifts in 7:00 are one each 75–84 s, the must-hit with two minutes left. */
    @Test
    void sevenMinutesAndFiveLifts() {
        LiftPlan plan = LiftPlan.usual(SEVEN, kg(100), 5, RACK).checkedFor(SEVEN);
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
        List<LiftPlan.Attempt> lifts = LiftPlan.usual(SEVEN, kg(100), 5, RACK).lifts();
        assertThat(lifts).extracting(LiftPlan.Attempt::percent).isSorted();
        assertThat(lifts.getFirst().percent()).isEqualTo(60);
        assertThat(lifts.get(3).percent()).isBetween(85.0, 95.0);
        assertThat(lifts.get(4).percent() - lifts.get(3).percent()).isBetween(2.5, 5.0);
        Format.Lift complex =
                new Format.Lift(480_000, List.of(new LiftPiece(2, "hang power clean"), new LiftPiece(1, "push jerk")));
        LiftPlan triple = LiftPlan.usual(complex, kg(100), 4, RACK);
        assertThat(triple.lifts().get(2).percent()).isBetween(75.0, 81.0);
        assertThat(triple.complexMs()).as("20–25 s for a triple").isBetween(20_000L, 25_000L);
        assertThat(LiftPlan.usualMs(12)).as("45 s for twelve").isEqualTo(45_000);
    }

    @Test
    void theTimetableHasLoadsPlatesAndTheWayToTheNextPart() {
        LiftPlan plan = LiftPlan.usual(SEVEN, kg(93), 3, RACK);
        Timetable table = Timetable.of(plan, SEVEN, OptionalLong.of(60_000));
        assertThat(table.rows().getFirst().loading().load()).isEqualTo(kg(56));
        assertThat(table.rows().getFirst().change().off()).isEmpty();
        for (Timetable.Row row : table.rows()) {
            double wanted = row.wanted().doubleValue();
            assertThat(row.loading().load().doubleValue()).isCloseTo(wanted, within(0.5));
        }
        long end = plan.lifts().getLast().startMs() + plan.complexMs();
        assertThat(table.toNextPartMs()).hasValue(420_000 + 60_000 - end);
        assertThat(table.rows().get(1).restMs())
                .isEqualTo(plan.lifts().get(1).startMs() - plan.lifts().get(0).startMs() - plan.complexMs());
        assertThat(table.latestStartMs()).isEqualTo(405_000);
        assertThat(table.answer()).isEqualTo("3 lifts from 56 kg to 87 kg; the last leaves the floor at 6:45.");
    }

    @Test
    void plateChangesSayOffAndOn() {
        PlateRack.Loading first = RACK.loading(kg(60)).orElseThrow();
        PlateRack.Loading second = RACK.loading(kg(75)).orElseThrow();
        assertThat(PlateChange.between(first.side(), second).words()).isEqualTo("off 20, on 25 + 2.5 each side");
        assertThat(PlateChange.between(first.side(), first).words()).isEqualTo("no change");
        assertThat(PlateChange.between(List.of(), first).words()).isEqualTo("on 20 each side");
    }

    @ParameterizedTest
    @CsvSource({"430, 440, before the bell", "100, 104, before lift 1 is done"})
    void impossibleTimetablesAreRefused(long firstS, long secondS, String reason) {
        LiftPlan plan = new LiftPlan(
                kg(100),
                8000,
                List.of(
                        new LiftPlan.Attempt(LiftPlan.Role.PREP, 60, firstS * 1000),
                        new LiftPlan.Attempt(LiftPlan.Role.MUST_HIT, 90, secondS * 1000)),
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
}
