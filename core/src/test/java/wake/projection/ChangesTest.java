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

    /** Of no-reps that cost 3 s and 5 s, at most one leaves the dearer: 3 s are won; at most two leave both. */
    @Test
    void atMostOneFaultLeavesTheDearest() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  6 burpee\n  6 burpee\n",
                "A 0, F 3, F 6, R 8, F 12, F 15, F 18, F 21, A 23, F 26, F 29, R 31, F 37, F 40, F 43, F 46");
        long all = gain(log, new DropFaults("")).ms();
        assertThat(all).isEqualTo(8000);
        assertThat(gain(log, new DropFaults(Scope.EVERYWHERE, 1)).ms()).isEqualTo(3000);
        assertThat(gain(log, new DropFaults(Scope.EVERYWHERE, 2)).isNothing()).isTrue();
        assertThat(new DropFaults(Scope.EVERYWHERE, 2).reason(Replay.of(log))).hasValue("Only 2 sets had a fault.");
        assertThat(new DropFaults(Scope.EVERYWHERE, 1).reason(Replay.of(log))).isEmpty();
        assertThat(new DropFaults("").slider(Replay.of(log), 0).orElseThrow().most())
                .isEqualTo(1);
        assertThat(new ChangeWords(log.expanded()).text(new DropFaults(Scope.of("burpee"), 1)))
                .isEqualTo("At most 1 set with a no-rep, failed rep or trip on burpee (the costliest)");
        assertThatThrownBy(() -> new DropFaults(Scope.EVERYWHERE, -1)).hasMessageContaining("0 to 100");
    }

    /**
     * By hand: eight rounds of 10 burpees in 40 s, the last two in 36, with 2 s to each. The push began at 4:12 at 0.9 of what was usual. A minute earlier
     * it takes in the work that starts from 3:12 on: round 6 of 3:30, 4 s. A minute and a half earlier round 5 as well: 8 s. Never the push itself.
     */
    @Test
    void aPushMadeIsMovedNotMadeTwice() {
        StringBuilder marks = new StringBuilder("A 0");
        long clock = 0;
        for (int round = 1; round <= 8; round++) {
            clock += round < 7 ? 40 : 36;
            marks.append(", D ").append(clock).append(" x10");
            if (round < 8) {
                clock += 2;
                marks.append(", A ").append(clock);
            }
        }
        AttemptLog log = Samples.log("# A\nfor time\n  8 rounds:\n    10 burpee\n", marks.toString());
        EarlierPush push = EarlierPush.made(Replay.of(log)).orElseThrow();
        assertThat(push.atMs()).isEqualTo(252_000);
        assertThat(gain(log, push).ms()).isEqualTo(4000);
        assertThat(gain(log, new EarlierPush(push.atMs(), 90)).ms()).isEqualTo(8000);
        assertThat(Suggestions.all(log))
                .extracting(one -> one.change().kind().code())
                .contains("PUSH_EARLIER")
                .doesNotContain("FINISH_KICK");
        assertThat(new ChangeWords(log.expanded()).text(push)).isEqualTo("Push from 3:12 instead of 4:12");
        assertThat(new EarlierPush(100_000, 60).reason(Replay.of(log)).orElse(""))
                .isEmpty();
        assertThat(EarlierPush.made(Replay.of(LOG)))
                .as("four sets tell no push")
                .isEmpty();
        assertThatThrownBy(() -> new EarlierPush(0, 60)).hasMessageContaining("after the start");
        assertThatThrownBy(() -> new EarlierPush(60_000, 601)).hasMessageContaining("600");
    }

    /** By hand: transitions of 2 s to three rounds of thrusters made 7 cost 15 s, and the breaks after must bring them back. */
    @Test
    void aRestBeforeTheWeakMovementCostsWhatItCosts() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  3 rounds:\n    5 burpee\n    6 thruster\n",
                "A 0, D 20 x5, A 22, D 48 x6, A 50, D 70 x5, A 72, D 90 x6, A 92, D 112 x5, A 114, D 132 x6");
        RestBefore rest = new RestBefore(Scope.of("thruster"), Targets.of(7));
        Projection projection = Projection.of(log, List.of(rest));
        assertThat(projection.gain().ms()).isEqualTo(-15_000);
        assertThat(ConditionWords.of(
                        projection.projectedChanges().getFirst().breakEven().getFirst()))
                .contains("Adds 15.0 s");
        assertThat(gain(log, new RestBefore(Scope.of("thruster"), Targets.of(1)))
                        .isNothing())
                .isTrue();
        assertThat(rest.reason(Replay.of(log))).isEmpty();
        assertThat(new RestBefore(Scope.of("row"), Targets.of(7)).reason(Replay.of(log)))
                .hasValue("No transition to row was logged.");
    }

    /**
     * By hand: eight rounds of 34 + 26 s. No burpee split over 33 and no thruster split over 25.5 make every round 58.5 s, 12 s in all; no round over 58.5 then
     * asks for nothing more, nor does it where the first two save more than that. Every round in 58 takes 4 s beyond them, whichever was chosen first.
     */
    @Test
    void whatIsAskedOfAWholeCountsWhatItsPartsHaveSaved() {
        StringBuilder marks = new StringBuilder("A 0");
        for (int round = 0; round < 8; round++) {
            marks.append(", D ").append(60 * round + 34).append(", D ").append(60 * round + 60);
        }
        AttemptLog log =
                Samples.log("# A\nfor time\n  8 rounds:\n    10 burpee\n    8 thruster @ 40 kg\n", marks.toString());
        Change burpees = new CapSplits(Scope.of("burpee"), Targets.of(33));
        Change thrusters = new CapSplits(Scope.of("thruster"), Targets.of(25.5));
        Change rounds = new CapSplits(Scope.EVERYWHERE, Targets.of(58.5));
        Change even = new EveryRoundOn(Scope.EVERYWHERE, Targets.of(58));
        assertThat(gain(log, burpees, thrusters).ms()).isEqualTo(12_000);
        assertThat(gain(log, rounds).ms()).isEqualTo(12_000);
        assertThat(gain(log, burpees, thrusters, rounds).ms()).isEqualTo(12_000);
        assertThat(gain(log, rounds, burpees).ms()).isEqualTo(12_000);
        assertThat(gain(log, even, burpees, thrusters).ms()).isEqualTo(16_000);
        Replay replay = Replay.of(log);
        assertThat(replay.sameSeconds(rounds, burpees)).isTrue();
        assertThat(replay.sameSeconds(burpees, thrusters)).isFalse();
        assertThat(replay.shares(List.of(rounds, burpees, thrusters), everywhere -> true))
                .containsEntry(burpees, 8000L)
                .containsEntry(thrusters, 4000L)
                .containsEntry(rounds, 0L);
        assertThat(Suggestions.of(log)).as("each second is proposed once").hasSizeLessThan(3);
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
                new EarlierPush(20_000, 60),
                new RestBefore(Scope.EVERYWHERE, Targets.of(9)),
                new DropFaults(Scope.EVERYWHERE, 1),
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
