package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;

/** Replay beyond the buzzer, past cut-offs and inside intervals. */
class FormatsReplayTest {
    private static final String AMRAP = "# A\namrap 1:00\n  4 burpee\n  4 thruster\n";

    /** Burpees 3 s, thrusters 2 s; the way to the first thrusters takes 12 s too long. */
    private static final AttemptLog SLOW_WAY =
            Samples.log(AMRAP, "A 0, D 12, A 26, D 34, A 36, D 48, A 50, F 52, F 54, F 56, F 58, X 60");

    @Test
    void freedSecondsRunOnIntoTheNextRound() {
        assertThat(SLOW_WAY.score()).isEqualTo(new Score.Rounds(60_000, 2, 0, 16, false));
        Projection projection = Projection.of(SLOW_WAY, List.of(new CapTransitions(2000)));
        // 12 s more after the fourth segment: 2 s of way (the last to that line), then burpees every 3 s, from 58 − 12
        // = 46 s.
        assertThat(projection.gain()).isEqualTo(new Gain(0, 4));
        assertThat(projection.bestCase()).isEqualTo(new Score.Rounds(60_000, 2, 4, 20, false));
    }

    @Test
    void aFullerRoundCarriesIntoTheCountOfRounds() {
        Projection projection = Projection.of(SLOW_WAY, List.of(new CapTransitions(500), new HoldCadence("burpee", 2)));
        assertThat(projection.bestCase()).isInstanceOfSatisfying(Score.Rounds.class, rounds -> {
            assertThat(rounds.rounds()).isEqualTo(3);
            assertThat(rounds.done()).isEqualTo(rounds.rounds() * 8 + rounds.extra());
        });
    }

    @Test
    void timeWonInsideAnIntervalBecomesRestNotReps() {
        AttemptLog log = Samples.log("# A\nevery 1:00 x 2\n  6 burpee\n", "A 0.4, D 20.4, A 60.4, D 84.4");
        assertThat(log.score()).isEqualTo(new Score.Reps(84_400, 12));
        Projection projection = Projection.of(log, List.of(new HoldCadence("burpee", 3)));
        assertThat(projection.bestCase()).isEqualTo(new Score.Reps(78_400, 12));
    }

    @Test
    void anIntervalCutShortByTheBuzzerWinsItsMissingReps() {
        AttemptLog log = Samples.log("# A\nevery 0:30 x 2\n  6 burpee\n", "A 0, D 24, A 34, F 41, F 48, F 55, X 60");
        assertThat(log.score()).isEqualTo(new Score.Reps(60_000, 9));
        Projection projection = Projection.of(log, List.of(new HoldCadence("burpee", 4)));
        assertThat(projection.bestCase().done()).isGreaterThan(9);
    }

    @Test
    void passingACutOffLetsTheAttemptGoOn() {
        AttemptLog log = Samples.log(
                "# A\nfor time, cap 5:00\n  3 rounds:\n    4 burpee\n    4 thruster\n  by 1:00 after round 2\n",
                "A 0, D 12, A 30, D 38, A 40, D 52, A 55, F 57, F 59, X 61");
        assertThat(log.score()).isEqualTo(new Score.Capped(60_000, 14, 10));
        Projection projection = Projection.of(log, List.of(new CapTransitions(3000)));
        assertThat(projection.bestCase()).isInstanceOf(Score.Finished.class);
        assertThat(projection.gain().reps()).isEqualTo(10);
        assertThat(projection.gain().ms()).isZero();
    }

    @Test
    void aLiftWindowHasNothingToReplay() {
        AttemptLog log = AttemptLog.of(Samples.expanded("# A\nlift 7:00, best of 1 power clean\n"), List.of());
        assertThat(Projection.of(log, List.of(new CapTransitions(1000))).gain().isNothing())
                .isTrue();
        assertThat(Suggestions.of(log)).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void slowerTargetsNeverWinMoreThanFasterOnes(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        Gain before = new Gain(Long.MAX_VALUE, Integer.MAX_VALUE);
        for (long target : List.of(0L, 1500L, 3000L, 6000L, 60_000L)) {
            Gain gain = Projection.of(log, List.of(new CapTransitions(target))).gain();
            assertThat(gain.reps()).isLessThanOrEqualTo(before.reps());
            before = gain;
        }
        assertThat(before.isNothing()).isTrue();
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aReplayNeverCountsMoreThanTheWorkoutHolds(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        Score bestCase = Replay.of(log).score(Suggestions.of(log));
        if (!attempt.expanded().isOpen()) {
            assertThat(bestCase.done()).isLessThanOrEqualTo(attempt.expanded().totalScore());
        }
        assertThat(Score.compare(bestCase, log.score())).isNotNegative();
    }
}
