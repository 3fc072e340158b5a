package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;

/** Every end is an end in every replay: the cap, each cut-off, the last interval's end, whether or not the attempt had reached it. By hand. */
class EndsReplayTest {
    private static final String BODY = "  2 rounds:\n    5 cal row\n    5 burpee\n";
    /** Row 2 s a calorie, burpees 3 s each, ways of 2 s. */
    private static final String DONE = "A 0, D 10, A 12, D 27, A 29, D 39, A 41, D 56";

    private static Score rowing(String opening, String jotted, double secondsPerCalorie) {
        AttemptLog log = Samples.log("# A\n" + opening + "\n" + BODY, jotted);
        return Replay.of(log).score(List.of(new ErgPace("row", secondsPerCalorie)));
    }

    @Test
    void aChangeThatTakesAFinishPastTheCapIsScoredAtTheCap() {
        assertThat(rowing("for time, cap 1:00", DONE, 2)).isEqualTo(new Score.Finished(56_000, 20));
        // 15 + 2 + 15 + 2 + 15 + 2 = 51 s; then burpees at 54, 57 and 60 s.
        assertThat(rowing("for time, cap 1:00", DONE, 3)).isEqualTo(new Score.Capped(60_000, 18, 2));
        assertThat(rowing("for time", DONE, 3)).isEqualTo(new Score.Finished(66_000, 20));
    }

    @Test
    void aChangeThatMissesACutOffIsScoredAtTheCutOff() {
        String gated = BODY + "  by 0:30 after round 1\n";
        AttemptLog log = Samples.log("# A\nfor time, cap 2:00\n" + gated, DONE);
        Projection slower = Projection.of(log, List.of(new ErgPace("row", 3)));
        // Burpees at 20, 23, 26 and 29 s; the fifth would be at 32.
        assertThat(slower.bestCase()).isEqualTo(new Score.Capped(30_000, 9, 11));
        assertThat(slower.gain().rank()).isNegative();
    }

    @Test
    void intervalsEndWithTheLastOfThem() {
        String opening = "every 1:00 x 2";
        AttemptLog log = Samples.log(
                "# A\n" + opening + "\n  5 cal row\n  5 burpee\n", "A 0, D 10, A 12, D 27, A 60, D 70, A 72, D 87");
        // 45 s of row: the first interval ends at 62, the second row at 107; burpees at 112, 115 and 118 s.
        assertThat(Replay.of(log).score(List.of(new ErgPace("row", 9)))).isEqualTo(new Score.Reps(120_000, 18));
    }

    @Test
    void whatWasGivenUpBeforeTheCapEndsAtTheCapAsWell() {
        String givenUp = "A 0, D 10, A 12, D 27, A 29, D 39, X 45";
        assertThat(rowing("for time, cap 1:00", givenUp, 2)).isEqualTo(new Score.Partial(45_000, 15, 5));
        assertThat(rowing("for time, cap 1:00", givenUp, 8)).isEqualTo(new Score.Capped(60_000, 10, 10));
    }

    /**
     * A pace a little faster, at a third above the power that can be kept up: with the time fixed it drains 4/3 times as much more of the reserve
     * as with the work fixed (critical power, Monod & Scherrer 1965: what is drained is (power − critical power) · time).
     */
    @Test
    void fatigueCostsMoreWhereABuzzerEndsTheWork() {
        double over = 1 / 3.0;
        double quicker = 0.001;
        double fixedTime = (1 + over) * (1 + quicker) - 1 - over;
        double fixedWork = ((1 + over) * (1 + quicker) - 1) / (1 + quicker) - over;
        FatigueCost buzzer = FatigueCost.USUAL.untilTheBuzzer();
        assertThat(buzzer.rests() / FatigueCost.USUAL.rests()).isCloseTo(fixedTime / fixedWork, within(0.002));
        String marks = "A 0, D 15, A 25, D 40, A 50, D 65, A 75, D 90";
        Change ways = new CapTransitions(4000);
        assertThat(takenBack("# A\nfor time\n  4 rounds:\n    5 burpee\n", marks, ways))
                .isCloseTo(takenBack("# A\namrap 1:40\n  5 burpee\n", marks + ", X 100", ways) * 3 / 4, within(20.0));
    }

    /** What comes back in the last stretch that both have. */
    private static double takenBack(String workout, String marks, Change change) {
        Replay.Changed changed = Replay.of(Samples.log(workout, marks)).with(List.of(change));
        long[] withFatigue = changed.answeredMs(FatigueCost.USUAL);
        double fatigueCost = 0;
        for (int i = 0; i < changed.slices().size(); i++) {
            fatigueCost += changed.slices().get(i).segment().index() < 3 ? withFatigue[i] - changed.ms()[i] : 0;
        }
        return fatigueCost;
    }

    /** Of rounds that are not alike each begins at its own time: nothing is asked of a round because another was shorter. */
    @Test
    void roundsThatAreNotAlikeBeginAtTheirOwnTimes() {
        AttemptLog growing = Samples.log(
                "# A\namrap 2:00\n  3+3 kettlebell swing @ 24 kg\n  5 burpee\n",
                "A 0, D 6, A 8, D 23, A 25, D 37, A 39, D 54, A 56, D 74, A 76, D 91, X 120");
        AttemptLog blocks = Samples.log(
                "# A\nfor time\n  2 rounds:\n    5 burpee\n  2 rounds:\n    10 burpee\n",
                "A 0, D 15, A 17, D 33, A 35, D 65, A 67, D 99");
        for (AttemptLog log : List.of(growing, blocks)) {
            EveryRoundOn change = AvailableChanges.in(log).stream()
                    .filter(EveryRoundOn.class::isInstance)
                    .map(EveryRoundOn.class::cast)
                    .findFirst()
                    .orElseThrow();
            assertThat(change.seconds().each())
                    .as("%s", log.expanded().format())
                    .hasSizeGreaterThan(2);
            long gained = Gain.between(log.score(), Replay.of(log).score(List.of(change)))
                    .rank();
            assertThat(Math.abs(gained))
                    .isLessThan(500L * change.seconds().each().size());
        }
        AttemptLog comparable =
                Samples.log("# A\nfor time\n  3 rounds:\n    5 burpee\n", "A 0, D 15, A 17, D 33, A 35, D 52");
        // Rounds of 15, 18 and 19 s.
        assertThat(AvailableChanges.in(comparable)).contains(new EveryRoundOn(Scope.EVERYWHERE, Targets.of(18)));
    }

    /** 12 of 30 s on the first set of 10 would be 1.2 s a rep; the buzzer cut the second off at 8 reps of 2 s in 17.9 s: no rep is given away by it. */
    @Test
    void theRepTheBuzzerFellIntoIsNoSlowerRep() {
        AttemptLog log = wake.Samples.log("# A\namrap 0:40\n  30 burpee\n", "A 0, O 20 x10, N 22.1, X 40 x18");
        Replay replay = Replay.of(log);
        assertThat(replay.score(List.of())).isEqualTo(log.score());
        // A tenth of a second less rest is not a ninth rep: that needs 0.1 s more than the 1.9 s it had begun.
        Change tenth = new CapRests(Scope.EVERYWHERE, Targets.ofMs(2050));
        assertThat(replay.score(List.of(tenth)).done()).isEqualTo(18);
        Change enough = new CapRests(Scope.EVERYWHERE, Targets.ofMs(1900));
        assertThat(replay.score(List.of(enough)).done()).isEqualTo(19);
    }
}
