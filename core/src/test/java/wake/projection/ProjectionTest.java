package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.Score;
import wake.simulation.SimulatedAttempt;

class ProjectionTest {
    private static final String NOTATION = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";
    private static final String CAPPED = "# A\nfor time, cap 1:00\n  3 rounds:\n    4 burpee\n    6 thruster\n";

    /** Transitions 2, 6, 2, 2, 8, 2; rests 4, 10, 10; burpees 3.0, 3.0, 3.5 s; thrusters 2.0 s. */
    private static final AttemptLog LOG = Samples.log(
            NOTATION,
            "A 2, D 14, A 20, O 26 x3, N 30, D 36, A 38, D 50, A 52, O 58 x3, N 68, D 74,"
                    + "A 82, D 96, A 98, O 104 x3, N 114, D 120");

    private static Projection projection(Change... changes) {
        return Projection.of(LOG, List.of(changes));
    }

    @Test
    void cappingTransitionsSavesWhatIsOverTheCap() {
        Projection projection = projection(new CapTransitions(3000));
        assertThat(projection.projectedChanges().getFirst().gain()).isEqualTo(new Gain(3000 + 5000, 0));
        assertThat(projection.projectedChanges().getFirst().touched()).isEqualTo(2);
        assertThat(projection.projectedChanges().getFirst().fromMs()).isEqualTo(8000);
        assertThat(projection.bestCase()).isEqualTo(new Score.Finished(112_000, 30));
    }

    @Test
    void cappingRestsSavesWhatIsOverTheCap() {
        assertThat(projection(new CapRests(5000)).gain()).isEqualTo(new Gain(10_000, 0));
    }

    @Test
    void holdingACadenceLeavesFasterSetsAlone() {
        assertThat(projection(new HoldCadence("burpee", 3.2)).gain()).isEqualTo(new Gain(1200, 0));
        assertThat(projection(new HoldCadence("burpee", 3.5)).gain().isNothing())
                .isTrue();
        assertThat(projection(new HoldCadence("snatch", 1)).gain().isNothing()).isTrue();
    }

    @Test
    void changesTogetherGainTheirSumWhereTheyDoNotMeet() {
        assertThat(projection(new CapTransitions(3000), new CapRests(5000), new HoldCadence("burpee", 3))
                        .gain()
                        .ms())
                .isEqualTo(8000 + 10_000 + 2000);
    }

    @Test
    void changesThatMeetGainLessThanTheirSum() {
        assertThat(projection(new CapTransitions(3000), new CapTransitions(2000))
                        .gain())
                .isEqualTo(projection(new CapTransitions(2000)).gain());
    }

    @Test
    void evidenceSaysWhenTheTargetWasReached() {
        AttemptLog quickerAtTheEnd =
                Samples.log(NOTATION, "A 2, D 18, A 20, D 32, A 34, D 46, A 48, D 60, A 62, D 74, A 76, D 88");
        assertThat(Projection.of(quickerAtTheEnd, List.of(new HoldCadence("burpee", 3)))
                        .projectedChanges()
                        .getFirst()
                        .evidence())
                .isEqualTo(EvidenceLevel.SHOWN_LATE);
        assertThat(projection(new CapRests(5000)).projectedChanges().getFirst().evidence())
                .isEqualTo(EvidenceLevel.SHOWN);
        assertThat(projection(new HoldCadence("burpee", 2.5))
                        .projectedChanges()
                        .getFirst()
                        .evidence())
                .isEqualTo(EvidenceLevel.NOT_YET_SHOWN);
    }

    @Test
    void onEvidenceASavingCountsOnlyAsFarAsItIsBacked() {
        Projection shown = projection(new CapRests(5000));
        assertThat(shown.proven()).isEqualTo(new Score.Finished(120_000 - 7500, 30));
    }

    @Test
    void freedSecondsBeforeACapBecomeReps() {
        AttemptLog log = Samples.log(
                CAPPED,
                "A 2, D 14, A 24, F 26, F 28, F 30, F 32, F 34, F 36, A 38, F 41, F 44, F 47, F 50, A 52, F 54, F 56, F 58, X 60");
        assertThat(log.score()).isEqualTo(new Score.Capped(60_000, 17, 13));
        Projection projection = Projection.of(log, List.of(new CapTransitions(4000)));
        assertThat(projection.gain()).isEqualTo(new Gain(0, 3));
    }

    @Test
    void freedSecondsMayLandInATransitionForNoRepAtAll() {
        AttemptLog log =
                Samples.log("# A\nfor time, cap 0:21\n  4 burpee\n  6 thruster\n", "A 2, F 5, F 8, F 11, F 14, X 21");
        Projection projection = Projection.of(log, List.of(new HoldCadence("burpee", 2.9)));
        assertThat(projection.gain().isNothing()).isTrue();
    }

    @Test
    void enoughFreedSecondsTurnACapIntoAFinish() {
        AttemptLog log = Samples.log(
                "# A\nfor time, cap 1:00\n  4 burpee\n  4 thruster\n",
                "A 2, F 5, F 8, F 11, F 14, A 52, F 54, F 56, F 58, X 60");
        Projection projection = Projection.of(log, List.of(new CapTransitions(4000)));
        assertThat(projection.bestCase()).isInstanceOf(Score.Finished.class);
        assertThat(projection.gain().reps()).isEqualTo(1);
    }

    @Test
    void impossibleTargetsAreRefused() {
        assertThatThrownBy(() -> new CapRests(-1)).hasMessageContaining("0 to 3600 s");
        assertThatThrownBy(() -> new HoldCadence("burpee", 0)).hasMessageContaining("above 0");
    }

    @Test
    void suggestionsPutTheLargestGainFirst() {
        List<Change> suggestions = Suggestions.of(LOG);
        assertThat(suggestions)
                .hasAtLeastOneElementOfType(CapRests.class)
                .hasAtLeastOneElementOfType(CapTransitions.class);
        List<Long> gains = suggestions.stream()
                .map(change -> Projection.of(LOG, List.of(change)).gain().rank())
                .toList();
        assertThat(gains).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }

    @Test
    void anEmptyLogHasNothingToCall() {
        AttemptLog empty = AttemptLog.of(Samples.expanded(NOTATION), List.of());
        Projection projection = Projection.of(empty, List.of(new CapRests(1000)));
        assertThat(projection.gain().isNothing()).isTrue();
        assertThat(Suggestions.of(empty)).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aReplayWithoutChangesIsTheAttempt(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        for (List<Mark> marks : List.of(attempt.truth(), Samples.blurred(attempt, seed))) {
            AttemptLog log = AttemptLog.of(attempt.expanded(), marks);
            assertThat(Replay.of(log).score(List.of())).isEqualTo(log.score());
            for (Change change : Suggestions.of(log)) {
                Gain gain = Projection.of(log, List.of(change)).gain();
                assertThat(gain.ms()).isNotNegative();
                assertThat(gain.reps()).isNotNegative();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatIsBackedIsNeverMoreThanAllOfIt(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        Projection projection = Projection.of(log, Suggestions.of(log));
        Gain evidenceLevel = Gain.between(projection.before(), projection.proven());
        assertThat(evidenceLevel.ms()).isBetween(0L, projection.gain().ms());
        assertThat(evidenceLevel.reps()).isBetween(0, projection.gain().reps());
    }
}
