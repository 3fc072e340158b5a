package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.plan.SetScheme;
import wake.words.ChangeWords;
import wake.words.ConditionWords;

/** Every kind of change on attempts whose arithmetic can be done by hand. */
class ChangesTest {
    private static final String NOTATION = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";

    /** Transitions 2, 6, 2, 2, 8, 2; rests 4, 10, 10; burpees 3.0, 3.0, 3.5 s; thrusters 2.0 s. */
    private static final AttemptLog LOG = Samples.log(
            NOTATION,
            "A 2, D 14, A 20, O 26 x3, N 30, D 36, A 38, D 50, A 52, O 58 x3, N 68, D 74,"
                    + "A 82, D 96, A 98, O 104 x3, N 114, D 120");

    private static Gain gain(AttemptLog log, Change... changes) {
        return Projection.of(log, List.of(changes)).gain();
    }

    @Test
    void aChangeMayConcernOneMovementOnly() {
        assertThat(gain(LOG, new CapTransitions("burpee", 3000)).ms()).isEqualTo(5000);
        assertThat(gain(LOG, new CapTransitions("thruster", 3000)).ms()).isEqualTo(3000);
        assertThat(gain(LOG, new CapRests("burpee", 1000)).isNothing()).isTrue();
    }

    @Test
    void restsHeldAtTheFirstRoundsTakeTheMeanOfTheFirstTwo() {
        // Mean of 4 and 10 is 7: two rests of 10 s lose 3 s each.
        assertThat(gain(LOG, new HoldRests("")).ms()).isEqualTo(6000);
    }

    @Test
    void onePauseIsSkippedAndNoOther() {
        assertThat(gain(LOG, new SkipPause(74_000, 2000)).ms()).isEqualTo(6000);
        Projection none = Projection.of(LOG, List.of(new SkipPause(75_000, 2000)));
        assertThat(none.gain().isNothing()).isTrue();
        assertThat(none.projectedChanges().getFirst().reason())
                .hasValueSatisfying(why -> assertThat(why).contains("no rest or transition at 1:15.0"));
    }

    @Test
    void otherSetsKeepTheCadenceAndTheUsualRest() {
        // Rests of 4, 10, 10 s: the median is 10. Unbroken saves all 24 s; in 2s it takes two of 10 s a segment.
        assertThat(gain(LOG, new ChangeSets("thruster", SetScheme.UNBROKEN)).ms())
                .isEqualTo(24_000);
        assertThat(gain(LOG, new ChangeSets("thruster", SetScheme.parse("2s"))).ms())
                .isEqualTo(24_000 - 60_000);
        assertThat(gain(LOG, new ChangeSets("thruster", SetScheme.parse("4-2"))).ms())
                .isEqualTo(24_000 - 30_000);
    }

    @Test
    void setsAreBackedByTheLargestThatWasDone() {
        List<Change> changes = List.of(
                new ChangeSets("thruster", SetScheme.UNBROKEN), new ChangeSets("thruster", SetScheme.parse("3s")));
        List<Projection.ProjectedChange> projectedChanges =
                Projection.of(LOG, changes).projectedChanges();
        assertThat(projectedChanges.get(0).evidence()).isEqualTo(EvidenceLevel.NOT_YET_SHOWN);
        assertThat(projectedChanges.get(1).evidence()).isEqualTo(EvidenceLevel.SHOWN_LATE);
        assertThat(projectedChanges.get(0).proven().ms()).isEqualTo(6000);
    }

    @Test
    void faultsCostWhatTheyCostAndAreDroppedWhole() {
        // Reps every 3 s; the no-rep at 8 lets the third rep come at 12 instead of 9: it cost 3 s.
        AttemptLog log = Samples.log(
                "# A\nfor time\n  6 burpee\n  4 thruster\n",
                "A 0, F 3, F 6, R 8, F 12, F 15, F 18, F 21, A 23, F 25, F 27, F 29, F 31");
        assertThat(gain(log, new DropFaults("")).ms()).isEqualTo(3000);
        assertThat(gain(log, new DropFaults("thruster")).isNothing()).isTrue();
        assertThat(gain(log, new DropFaults("burpee"), new HoldCadence("burpee", 2))
                        .ms())
                .isEqualTo(9000);
    }

    @Test
    void breakingOneRepEarlierTakesThePickUpOutOfTheWay() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  2 rounds:\n    4 hang power clean @ 40 kg\n    4 push jerk @ 40 kg\n",
                "A 0, D 8, A 12, D 20, A 22, D 30, A 34, D 42");
        Gain gain = gain(log, new BreakOneEarly("hang power clean", 1500));
        assertThat(gain.ms()).isEqualTo(3000);
        assertThat(gain(log, new BreakOneEarly("push jerk", 1500)).isNothing()).isTrue();
    }

    @Test
    void aFinishKickTakesItsShareOffTheLastOfTheWork() {
        // From 1:15 on: burpees of 14 s and thrusters of 6 + 6 s are left.
        assertThat(gain(LOG, new FinishKick(75_000, 10)).ms()).isEqualTo(2600);
    }

    /** P = 2.80 / (s per m)³: 2:00 / 500 m are 202.5 W, 1:58 are 213.0 W; published by the maker of the common rower, from memory. */
    @Test
    void anErgPaceIsExactBothWaysAndSaysItsPower() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  2 rounds:\n    500 m row\n    4 burpee\n",
                "A 0, D 120, A 122, D 134, A 136, D 256, A 258, D 270");
        Projection quicker = Projection.of(log, List.of(new ErgPace("row", 118 / 500.0)));
        assertThat(quicker.gain().ms()).isEqualTo(4000);
        assertThat(ConditionWords.of(
                        quicker.projectedChanges().getFirst().breakEven().getFirst()))
                .contains("213 W")
                .contains("203 W")
                .contains("+5%");
        Projection slower = Projection.of(log, List.of(new ErgPace("row", 122 / 500.0)));
        assertThat(slower.gain().ms()).isEqualTo(-4000);
        assertThat(ConditionWords.of(
                        slower.projectedChanges().getFirst().breakEven().get(1)))
                .contains("Adds 4.0 s");
    }

    /** Power means of 58 s and five of 70 s, worked out by hand from the definition (Jensen's inequality). */
    @ParameterizedTest
    @CsvSource({"1, 67.666, 2.00", "2, 67.480, 3.12", "3, 67.278, 4.33"})
    void evenRoundsOfTheSameEffortTakeThePowerMean(double alpha, double even, double saved) {
        double[] rounds = {58, 70, 70, 70, 70, 70};
        double time = SpreadEvenly.evenTime(rounds, alpha);
        assertThat(time).isCloseTo(even, within(0.001));
        assertThat(408 - 6 * time).isCloseTo(saved, within(0.01));
        StringBuilder marks = new StringBuilder();
        double clock = 0;
        for (double round : rounds) {
            marks.append(marks.isEmpty() ? "" : ", ")
                    .append("A ")
                    .append(clock)
                    .append(", D ")
                    .append(clock + round);
            clock += round;
        }
        AttemptLog log = Samples.log("# A\nfor time\n  6 rounds:\n    20 burpee\n", marks.toString());
        assertThat(gain(log, new SpreadEvenly(alpha)).ms() / 1000.0).isCloseTo(saved, within(0.01));
    }

    /** Rowing against air: power rises with v³, so the energy of a distance with v²; the same average work, α = 2 is exact. */
    @Test
    void evenSplitsOfARowSpendTheSameEnergy() {
        double[] splits = {110, 120, 130};
        double even = SpreadEvenly.evenTime(splits, 2);
        double energy = 0;
        for (double split : splits) {
            energy += wake.units.ErgPower.ofSecondsPer500m(split).watts() * split;
        }
        assertThat(3 * wake.units.ErgPower.ofSecondsPer500m(even).watts() * even)
                .isCloseTo(energy, within(1e-6));
    }

    @Test
    void unevenRoundsCompareByTheirWork() {
        // A ladder done at one speed throughout has nothing to spread.
        AttemptLog log =
                Samples.log("# A\nfor time\n  3 rounds:\n    4+4 burpee\n", "A 0, D 12, A 12, D 36, A 36, D 72");
        assertThat(gain(log, new SpreadEvenly(2)).ms()).isZero();
    }

    @Test
    void intervalWorkCannotBeSpread() {
        AttemptLog log = Samples.log("# A\nevery 1:00 x 2\n  6 burpee\n", "A 0.4, D 20.4, A 60.4, D 84.4");
        Projection projection = Projection.of(log, List.of(new SpreadEvenly(2)));
        assertThat(projection.projectedChanges().getFirst().reason()).isPresent();
        assertThat(projection.gain().isNothing()).isTrue();
    }

    @Test
    void breakEvensSayWhatWouldHaveToCome() {
        Projection projection = Projection.of(LOG, List.of(new ChangeSets("thruster", SetScheme.parse("2s"))));
        // 3 more breaks of 10 s over 18 reps: 30 / 18 = 1.67 s a rep.
        assertThat(ConditionWords.of(
                        projection.projectedChanges().getFirst().breakEven().getFirst()))
                .contains("3 extra breaks add 30.0 s (10.0 s each)")
                .contains("1.67 s");
        assertThat(ConditionWords.of(
                        projection.projectedChanges().getFirst().breakEven().get(1)))
                .contains("always broke it");
    }

    @Test
    void targetsNobodyCanMeanAreRefused() {
        assertThatThrownBy(() -> new SpreadEvenly(9)).hasMessageContaining("0.5 to 5");
        assertThatThrownBy(() -> new FinishKick(0, 0)).hasMessageContaining("30%");
        assertThatThrownBy(() -> new FinishKick(-1, 3)).hasMessageContaining("after the start");
        assertThatThrownBy(() -> new SkipPause(-1, 0)).hasMessageContaining("after the start");
        assertThatThrownBy(() -> new ErgPace("row", Double.NaN)).hasMessageContaining("numbers");
        assertThatThrownBy(() -> new ErgPace("row", 0)).hasMessageContaining("above 0");
    }

    @Test
    void aSlowerCadenceThanNowChangesNothing() {
        assertThat(gain(LOG, new HoldCadence("thruster", 9)).isNothing()).isTrue();
    }

    /**
     * A first round of 58 s and five of 70 at one pace are 67.48 s each and save 3.12 s free (power mean of their speeds, by hand). Half of that is
     * expected, though only one round was fast; what is proven is three quarters of it, since what the first round costs is its price.
     */
    @Test
    void oneFastRoundSpreadIsWorthHalfOfWhatItIsFree() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  6 rounds:\n    10 burpee\n",
                "A 0, D 58 x10, A 58, D 128 x10, A 128, D 198 x10, A 198, D 268 x10, A 268, D 338 x10, A 338, D 408 x10");
        Projection projection = Projection.of(
                log,
                List.of(new SpreadEvenly(2)),
                new Projection.Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 400, 200));
        assertThat(projection.gain().ms()).isCloseTo(3120, within(10L));
        assertThat(projection.expected().ms()).isCloseTo(1560, within(10L));
        assertThat(Gain.between(projection.before(), projection.proven()).ms()).isBetween(1000L, 2400L);
    }

    @Test
    void nothingUnknownOrUnfinishedThrows() {
        List<Change> everything = List.of(
                new CapTransitions(0),
                new CapRests(0),
                new HoldRests(""),
                new SkipPause(0, 0),
                new HoldCadence("burpee", 0.01),
                new ErgPace("row", 1),
                new ChangeSets("burpee", SetScheme.parse("1-2-3")),
                new BreakOneEarly("burpee", 100),
                new DropFaults(""),
                new SpreadEvenly(2),
                new FinishKick(0, 30));
        for (String marks : List.of("D 14 seg", "X 5", "A 2, X 3", "D 14 seg, D 40 seg", "A 2, F 4, X 9")) {
            AttemptLog log = Samples.log("# A\nfor time, cap 1:00\n  4 burpee\n  6 thruster\n", marks);
            Projection projection = Projection.of(
                    log,
                    everything,
                    new Projection.Terms(List.of(LOG), EvidenceWeights.USUAL, FatigueCost.NONE, 100, 50));
            assertThat(projection.bestCase().done()).as(marks).isLessThanOrEqualTo(10);
            assertThat(projection.gain().ms()).as(marks).isLessThanOrEqualTo(60_000);
        }
        AttemptLog one = Samples.log("# A\nfor time\n  10 burpee\n", "D 30 seg");
        assertThat(Projection.of(one, everything).bestCase()).isInstanceOf(Score.Finished.class);
    }

    @Test
    void everyPossibleChangeHasSomethingToWorkOn() {
        Replay replay = Replay.of(LOG);
        assertThat(AvailableChanges.in(LOG))
                .isNotEmpty()
                .allSatisfy(change -> assertThat(change.reason(replay))
                        .as(ChangeWords.title(change))
                        .isEmpty());
        SliderRange slider = new HoldCadence("burpee", 3).slider(replay, 3500).orElseThrow();
        assertThat(slider.shown()).contains(new SliderRange.Reached("round 3", 3.5));
    }
}
