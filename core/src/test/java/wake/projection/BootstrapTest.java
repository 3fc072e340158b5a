package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;

/** Replays drawn by the attempt's own scatter, against figures worked out by hand or by brute force. */
class BootstrapTest {
    private static final int REPLAYS = 20_000;

    private static AttemptLog steady(double noise) {
        ExpandedWorkout expanded = Samples.expanded("# A\nfor time\n  10 rounds:\n    10 burpee\n    10 thruster\n");
        AthleteModel athlete =
                new AthleteModel(Map.of("burpee", 3.0, "thruster", 2.0), 0, noise, 3000, 5000, 0, Map.of(), 0);
        return AttemptLog.of(
                expanded, SimulatedAttempt.run(expanded, athlete, 7).truth());
    }

    private static double[] clocks(AttemptLog log, List<Change> changes) {
        Replay replay = Replay.of(log);
        Replay.Changed changed = replay.with(changes);
        Bootstrap bootstrap = new Bootstrap(changed, Scatter.of(replay), FatigueCost.NONE);
        Timeline track = changed.track();
        return Arrays.stream(bootstrap.keys(REPLAYS, 3))
                .mapToDouble(key -> track.score(key).clockMs())
                .toArray();
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    private static double sd(double[] values) {
        double mean = mean(values);
        return Math.sqrt(Arrays.stream(values)
                .map(v -> (v - mean) * (v - mean))
                .average()
                .orElseThrow());
    }

    @Test
    void withoutChangesTheReplaysStandAboutTheAttempt() {
        AttemptLog log = steady(0.06);
        double[] clocks = clocks(log, List.of());
        assertThat(mean(clocks)).isCloseTo(log.clockMs(), within(0.002 * log.clockMs()));
    }

    /**
     * A repeat differs by the scatter of both attempts: with transitions of 3 s that scatter by 17 % (the model's triangular-like
     * draw, 0.3 · 1.15 · 0.5) nineteen of them, and 200 reps by their noise, the standard deviation of one attempt is the root
     * of the summed squares; a replay's is √2 of that.
     */
    @Test
    void theSpreadIsThatOfTwoAttempts() {
        double noise = 0.06 * 1.15 * 0.5;
        double transitions = 19 * Math.pow(3000 * 0.3 * 1.15 * 0.5, 2);
        double burpees = 100 * Math.pow(3000 * noise, 2);
        double thrusters = 100 * Math.pow(2000 * noise, 2);
        double both = Math.sqrt(2 * (transitions + burpees + thrusters));
        assertThat(sd(clocks(steady(0.06), List.of()))).isCloseTo(both, within(0.3 * both));
    }

    @Test
    void aCappedPauseDoesNotScatterAndAHeldCadenceDoes() {
        AttemptLog log = steady(0.06);
        double all = sd(clocks(log, List.of()));
        double paused = sd(clocks(log, List.of(new CapTransitions(500))));
        double held = sd(clocks(log, List.of(new CapTransitions(500), new HoldCadence("burpee", 2.0))));
        assertThat(paused).isLessThan(0.8 * all);
        assertThat(held).isPositive().isLessThanOrEqualTo(paused);
    }

    @Test
    void theSameSeedGivesTheSameReplays() {
        AttemptLog log = steady(0.06);
        assertThat(clocks(log, List.of())).isEqualTo(clocks(log, List.of()));
    }

    /** The buzzer ends them at different pieces, some early: none depends on which others go beside it, nor on how many. */
    @Test
    void eachReplayIsTheSameWhoeverGoesBesideIt() {
        ExpandedWorkout expanded = Samples.expanded("# A\namrap 6:00\n  5 burpee\n  7 thruster\n");
        AthleteModel athlete = new AthleteModel(Map.of(), 0.1, 0.2, 3000, 5000, 1, Map.of("thruster", 4), 0.05);
        Replay replay = Replay.of(AttemptLog.of(
                expanded, SimulatedAttempt.run(expanded, athlete, 3).truth()));
        Replay.Changed changed = replay.with(List.of(new CapTransitions(1500), new DropFaults("")));
        Bootstrap bootstrap = new Bootstrap(changed, Scatter.of(replay), FatigueCost.USUAL);
        long[] many = bootstrap.keys(1000, 5);
        assertThat(bootstrap.keys(257, 5)).isEqualTo(Arrays.copyOf(many, 257));
        assertThat(bootstrap.keys(1, 5)).isEqualTo(Arrays.copyOf(many, 1));
        long[][] clocks = bootstrap.clocks(1000, 5);
        Timeline track = changed.track();
        for (int replayed = 0; replayed < many.length; replayed++) {
            int slice = 0;
            while (!track.rings(slice, clocks[slice][replayed])) {
                slice++;
            }
            long start = clocks[slice - 1][replayed];
            assertThat(many[replayed])
                    .as("replay %d, ended in piece %d", replayed, slice)
                    .isEqualTo(track.keyAtTheBell(slice, clocks[slice][replayed] - start, start));
        }
        assertThat(Arrays.stream(many).distinct().count()).isGreaterThan(10);
    }

    /** A number of faults with mean m and a geometric spread varies by m + m²; one fault of 3 s: mean 3 s. */
    @Test
    void faultsComeAgainAsOftenAsTheyWereSeenOnAverage() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  6 burpee\n  4 thruster\n",
                "A 0, F 3, F 6, R 8, F 12, F 15, F 18, F 21, A 23, F 25, F 27, F 29, F 31");
        double with = mean(clocks(log, List.of()));
        double without = mean(clocks(log, List.of(new DropFaults(""))));
        assertThat(with - without).isCloseTo(3000, within(100.0));
    }

    @Test
    void numbersOfTheTrackKeepTheOrderOfScores() {
        for (long seed = 1; seed <= 60; seed++) {
            AttemptLog log = AttemptLog.of(
                    Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
            Replay replay = Replay.of(log);
            Replay.Changed before = replay.with(List.of());
            Replay.Changed after = replay.with(List.of(new CapTransitions(500)));
            long low = before.track().key(before.ms());
            long high = after.track().key(after.ms());
            assertThat(Integer.signum(Score.compare(after.score(), before.score())))
                    .isLessThanOrEqualTo(Long.signum(high - low));
            assertThat(before.track().score(low)).isEqualTo(log.score());
        }
    }
}
