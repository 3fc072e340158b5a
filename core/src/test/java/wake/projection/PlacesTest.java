package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.SetScheme;
import wake.words.ChangeWords;

/** Changes meant for some places, with targets by place, and how far they must go: arithmetic done by hand. */
class PlacesTest {
    /** Transitions 2, 6, 2, 2, 8, 2; rests 4, 10, 10; burpees 12, 12, 14 s; thrusters 2.0 s. */
    private static final AttemptLog LOG = Samples.log(
            "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n",
            "A 2, D 14, A 20, O 26 x3, N 30, D 36, A 38, D 50, A 52, O 58 x3, N 68, D 74,"
                    + "A 82, D 96, A 98, O 104 x3, N 114, D 120");

    /** A bar that gets heavier: sets of 3-2 with rests of 4, 6 and 9 s. */
    private static final AttemptLog RISING = Samples.log(
            "# A\nfor time\n  3 rounds:\n    5 power clean @ 40-50-60 kg\n",
            "A 0, O 9 x3, N 13, D 19, A 22, O 32 x3, N 38, D 45, A 48, O 60 x3, N 69, D 79");

    private static long gain(AttemptLog log, Change... changes) {
        return Projection.of(log, List.of(changes)).gain().ms();
    }

    @Test
    void aPlaceTakesInWhatItSays() {
        Scope thruster = Scope.of("thruster");
        assertThat(gain(LOG, new CapRests(thruster, Targets.of(4)))).isEqualTo(12_000);
        assertThat(gain(LOG, new CapRests(thruster.fromRound(3), Targets.of(4))))
                .isEqualTo(6000);
        assertThat(gain(LOG, new CapRests(thruster.onlyRound(2), Targets.of(4))))
                .isEqualTo(6000);
        assertThat(gain(LOG, new CapRests(thruster.withSet(2), Targets.of(4)))).isZero();
        assertThat(gain(RISING, new CapRests(Scope.EVERYWHERE.withLoad("60 kg"), Targets.of(4))))
                .isEqualTo(5000);
        assertThat(gain(RISING, new HoldCadence(Scope.of("power clean").withSet(1), Targets.of(3))))
                .isEqualTo(1000 + 3000);
    }

    @Test
    void targetsDifferByPlaceAndTheLastHoldsForAllThatFollow() {
        assertThat(gain(LOG, new CapRests(Scope.of("thruster"), new Targets(List.of(4.0, 9.0, 8.0)))))
                .isEqualTo(3000);
        assertThat(gain(LOG, new CapRests(Scope.of("thruster"), new Targets(List.of(4.0, 8.0)))))
                .isEqualTo(4000);
    }

    @Test
    void eachRepFaster() {
        // Twelve burpees, half a second each.
        assertThat(gain(LOG, new FasterBy(Scope.of("burpee"), Targets.of(0.5)))).isEqualTo(6000);
        assertThat(new FasterBy(Scope.of("burpee"), Targets.of(3)).reason(Replay.of(LOG)))
                .hasValueSatisfying(why -> assertThat(why).contains("must be smaller"));
    }

    @Test
    void oneEverySoOftenTakesInThePauses() {
        // Work and rests of the thrusters: 16, 22, 22 s. One every 3 s: 18 s each, so 2 s more and twice 4 s less.
        assertThat(gain(LOG, new OneEvery(Scope.of("thruster"), Targets.of(3)))).isEqualTo(6000);
    }

    @Test
    void everyRoundInTheSameTime() {
        // Rounds of 36, 38 and 46 s.
        // To the millisecond but for the rounding of each piece.
        assertThat(gain(LOG, new EveryRoundOn(Scope.EVERYWHERE, Targets.of(36))))
                .isCloseTo(12_000, within(5L));
        assertThat(gain(LOG, new EveryRoundOn(Scope.EVERYWHERE.fromRound(3), Targets.of(40))))
                .isCloseTo(6000, within(5L));
        AttemptLog intervals = Samples.log("# A\nevery 1:00 x 2\n  6 burpee\n", "A 0.4, D 20.4, A 60.4, D 84.4");
        assertThat(new EveryRoundOn(Scope.EVERYWHERE, Targets.of(50)).reason(Replay.of(intervals)))
                .isPresent();
    }

    @Test
    void placesAreOfferedWhereTheyDiffer() {
        Replay replay = Replay.of(RISING);
        List<String> words = new CapRests("power clean", 4000)
                .places(replay).stream().map(Scope::words).toList();
        assertThat(words)
                .startsWith("everywhere", "from round 2", "from round 3", "in round 1")
                .contains("at 50 kg", "set 2");
        assertThat(new SkipPause(1000, 1000).places(replay)).isEmpty();
        assertThat(ChangeWords.title(new CapRests(Scope.of("thruster").fromRound(3), Targets.of(4))))
                .isEqualTo("Cap rests on thruster, from round 3");
    }

    @Test
    void placesAndTargetsNobodyCanMeanAreRefused() {
        assertThatThrownBy(() -> new Scope("", 3, 2, "", "", 0)).hasMessageContaining("follows the first");
        assertThatThrownBy(() -> new Targets(List.of())).hasMessageContaining("1 to 100");
        assertThatThrownBy(() -> new CapRests(Scope.EVERYWHERE, Targets.of(-1))).hasMessageContaining("0 to 3600");
        assertThatThrownBy(() -> ChangeKind.read(new StoredChange(
                        "NOTHING", Scope.EVERYWHERE, List.of(1.0), "", java.util.OptionalLong.empty())))
                .hasMessageContaining("CAP_RESTS")
                .hasMessageContaining("NOTHING");
    }

    /** The first row 8 s slower: what must the second be for the same score? 8 s less over 20 cal: 0.4 s a cal faster. */
    @Test
    void howFarTheSecondMustGoForTheSameScore() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  2 rounds:\n    20 cal row\n    4 burpee\n",
                "A 0, D 60, A 62, D 74, A 76, D 136, A 138, D 150");
        Change first = new ErgPace(Scope.of("row").onlyRound(1), Targets.of(3.4));
        Change second = new ErgPace(Scope.of("row").onlyRound(2), Targets.of(3));
        SolvedTarget solved = SolvedTarget.of(log, List.of(first, second), second, log.score(), FatigueCost.NONE)
                .orElseThrow();
        assertThat(solved.reached()).isTrue();
        assertThat(solved.change()).isEqualTo(new ErgPace(Scope.of("row").onlyRound(2), Targets.of(2.6)));
        assertThat(solved.score()).isEqualTo(log.score());
    }

    @Test
    void aGoalOutOfReachOfOneChangeIsSaid() {
        Change rests = new CapRests(Scope.of("thruster"), Targets.of(8));
        Score goal = ScoreReader.read("1:50", LOG.expanded());
        SolvedTarget near = SolvedTarget.of(LOG, List.of(rests), rests, goal, FatigueCost.NONE)
                .orElseThrow();
        // 10 s of 24: 4 − x of the first and twice 10 − x: 24 − 10 = 14 in three, but the first has only 4.
        assertThat(near.change()).isEqualTo(new CapRests(Scope.of("thruster"), Targets.of(5)));
        SolvedTarget far = SolvedTarget.of(
                        LOG, List.of(rests), rests, ScoreReader.read("1:00", LOG.expanded()), FatigueCost.NONE)
                .orElseThrow();
        assertThat(far.reached()).isFalse();
        assertThat(far.change()).isEqualTo(new CapRests(Scope.of("thruster"), Targets.of(0)));
        Change sets = new ChangeSets("thruster", SetScheme.UNBROKEN);
        assertThat(SolvedTarget.of(LOG, List.of(sets), sets, goal, FatigueCost.NONE))
                .isEqualTo(Optional.empty());
    }

    /** Late is within the movement: the first of four lengths at the end of a long workout is not shown late. */
    @Test
    void lateIsLateInItsLine() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  100 cal row\n  4 rounds:\n    10 burpee\n",
                "A 0, D 400, A 403, D 428, A 431, D 461, A 464, D 494, A 497, D 527");
        Projection.ProjectedChange first = Projection.of(log, List.of(new HoldCadence("burpee", 2.5)))
                .projectedChanges()
                .getFirst();
        assertThat(first.evidence()).isEqualTo(EvidenceLevel.SHOWN);
    }

    /** The drink stays, the heavier bar stays, and what was never reached stays as slow as it was. */
    @Test
    void spreadingEvenlyMovesOnlyEqualWork() {
        AttemptLog drank =
                Samples.log("# A\nfor time\n  3 rounds:\n    10 burpee\n", "A 0, D 30, A 33, D 63, A 83, D 113");
        assertThat(gain(drank, new SpreadEvenly(2))).isZero();
        assertThat(new SpreadEvenly(2).reason(Replay.of(RISING))).isPresent();
        AttemptLog capped = Samples.log(
                "# A\nfor time, cap 1:40\n  4 rounds:\n    10 burpee\n",
                "A 0, D 20, A 22, D 46, A 48, D 80, A 82, F 85, F 89, F 94, X 100");
        Score spread = Projection.of(capped, List.of(new SpreadEvenly(2))).bestCase();
        assertThat(spread).isInstanceOf(Score.Capped.class);
    }

    /** Broken one rep before the end already: 4 as 3 and 1. */
    @Test
    void whatIsDoneAlreadyIsNotProposed() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  2 rounds:\n    4 hang power clean @ 40 kg\n    4 push jerk @ 40 kg\n",
                "A 0, O 6 x3, N 9, D 11, A 12, D 20, A 22, O 28 x3, N 31, D 33, A 34, D 42");
        assertThat(Suggestions.all(log))
                .noneSatisfy(one -> assertThat(one.change()).isInstanceOf(BreakOneEarly.class));
        assertThat(new BreakOneEarly("hang power clean", 1500).reason(Replay.of(log)))
                .hasValueSatisfying(why -> assertThat(why).contains("already"));
    }

    /** One set with a trip, not tapped; a clean set of as many took 20 s, this one 27: the trip cost 7 s. */
    @Test
    void faultsGoWithoutTaps() {
        AttemptLog log =
                Samples.log("# A\nfor time\n  2 rounds:\n    10 wall-ball shot\n", "A 0, D 20, A 23, W 30, D 50");
        assertThat(gain(log, new DropFaults(""))).isEqualTo(7000);
        AttemptLog none = Samples.log("# A\nfor time\n  10 wall-ball shot\n", "A 0, W 8, D 27");
        assertThat(new DropFaults("").reason(Replay.of(none)))
                .hasValueSatisfying(why -> assertThat(why).contains("unknown"));
    }
}
