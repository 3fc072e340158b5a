package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.projection.Projection.Terms;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;

/** Sets that a fault ended are no sets the athlete chose; a projection does without them, and is made all the same. */
class FaultEndedSetsTest {
    private static final String ROPE = "# Tide Rip\nfor time\n  3 rounds:\n    20 double under\n    10 burpee\n";

    /** In each round the first set of the rope ends in a trip, so that no first set was ever broken by choice. */
    private static final AttemptLog TRIPPED = Samples.log(
            ROPE,
            "A 0, O 4 x6, W 4.5, N 8, O 14 x7, N 20, D 26, A 29, D 59,"
                    + " A 63, W 67, O 67 x6, N 71, O 77 x7, N 83, D 89, A 92, D 122,"
                    + " A 126, W 131, O 131 x6, N 134, O 140 x7, N 147, D 152, A 155, D 186");

    private static final Terms TERMS = new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.USUAL, 200, 50);

    @Test
    void aFirstSetEndedByATripLeavesTheRangePossible() {
        assertThat(TRIPPED.splits().getFirst().sets().getFirst().endedBy()).isPresent();
        Projection projection = Projection.of(TRIPPED, List.of(), TERMS);
        assertThat(projection.before()).isEqualTo(new Score.Finished(186_000, 90));
        assertThat(projection.range()).isPresent();
    }

    @Test
    void soItDoesTheFan() {
        assertThat(Fan.of(TRIPPED, List.of(new CapTransitions(2000)), FatigueCost.USUAL, 100)
                        .borders())
                .hasSize(6);
    }

    /** Four sets, then two, then one, of amounts that shrink: what is drawn beyond the places seen is drawn as at the last of them. */
    @Test
    void roundsOfUnequalNumbersOfSetsAreProjected() {
        AttemptLog log = Samples.log(
                "# Sluice Run\nfor time\n  21-15-9:\n    thruster @ 40 kg\n    burpee\n",
                "A 0, O 21 x7, N 26, O 41 x5, N 50, O 65 x5, N 78, D 90, A 93, D 180,"
                        + " A 185, O 215 x10, N 225, D 240, A 244, D 304, A 308, D 335, A 339, D 375");
        assertThat(log.splits().stream().map(split -> split.sets().size())).containsExactly(4, 1, 2, 1, 1, 1);
        Projection projection = Projection.of(log, Suggestions.of(log), TERMS);
        assertThat(projection.before()).isEqualTo(new Score.Finished(375_000, 90));
        assertThat(projection.range()).isPresent();
    }

    /** Athletes whose faults end their sets, of every format: whatever place no set was broken at by choice. */
    @ParameterizedTest
    @MethodSource("wake.Shelf#all")
    void athletesWhoBreakAtFaultsAreProjected(String notation) {
        for (long seed = 1; seed <= 6; seed++) {
            AthleteModel athlete = new AthleteModel(
                            Map.of(),
                            0.2,
                            0.08,
                            3000,
                            6000,
                            0.5,
                            Map.of("thruster", 5, "deadlift", 4, "burpee", 6),
                            0.15)
                    .breakingAtFaults(0.9);
            SimulatedAttempt attempt = SimulatedAttempt.run(Samples.expanded(notation), athlete, seed);
            AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
            assertThat(log.rejected()).isEmpty();
            assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
            Projection projection = Projection.of(log, Suggestions.of(log), TERMS);
            assertThat(projection.range()).isPresent();
            Fan.of(log, Suggestions.of(log), FatigueCost.USUAL, 50);
        }
    }

    /** Two breaks at one instant: the rest after them is counted once. */
    @Test
    void breaksAtOneInstantCountTheirRestOnce() {
        AttemptLog log = Samples.log(ROPE, "A 0, O 5 x5, N 5, O 5 x3, N 12, D 20, A 22, D 50, X 50");
        assertThat(Replay.of(log).slices().stream().mapToLong(TimeSlice::ms).sum())
                .isEqualTo(50_000);
        assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
    }

    /** A movement that took no time, as when a video ended early, still counts its reps at the buzzer. */
    @Test
    void aMovementWithoutTimeCounts() {
        AttemptLog log = Samples.log("# A\namrap 1:00\n  5 burpee\n  3 thruster @ 40 kg\n", "D 20, D 20, D 45, X 60");
        assertThat(log.score().done()).isEqualTo(13);
        assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
    }

    /** Work begun before its interval opened stays where it was. */
    @Test
    void workAheadOfItsIntervalStaysWhereItWas() {
        AttemptLog log = Samples.log("# A\nevery 1:00 x 2\n  6 burpee\n", "A 0, D 20, A 25, D 50");
        assertThat(log.score()).isEqualTo(new Score.Reps(50_000, 12));
        assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
    }
}
