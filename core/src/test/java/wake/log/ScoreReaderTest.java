package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.plan.Draft;
import wake.plan.Goal;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;

/** A score means the same wherever it is written, and what Wake says of one reads back to it. */
class ScoreReaderTest {
    private static final String AMRAP =
            "# A\namrap 9:00\n  buy-in: 20 cal ski\n  repeat:\n    2 wall walk\n    8 goblet squat @ 24 kg\n";
    private static final String CAPPED = "# A\nfor time, cap 9:00\n  5 rounds:\n    10 burpee\n";
    private static final String EVERY = "# A\nevery 1:00 x 5\n  10 burpee\n";

    /** By hand: a buy-in of 20, then rounds of 10; 60 reps are 4 rounds. */
    @ParameterizedTest
    @CsvSource({
        "60 reps, 4, 0, 60",
        "63 reps, 4, 3, 63",
        "30 rep, 1, 0, 30",
        "29 reps, 0, 29, 29",
        "5 reps, 0, 5, 5",
        "4 rounds, 4, 0, 60",
        "4, 4, 0, 60",
        "4 + 3, 4, 3, 63",
        "4 rounds + 3 reps, 4, 3, 63",
    })
    void aNumberWithItsUnitIsRepsAndOneAloneIsRounds(String text, int rounds, int extra, int done) {
        assertThat(ScoreReader.read(text, Samples.expanded(AMRAP)))
                .isEqualTo(new Score.Rounds(540_000, rounds, extra, done, false));
    }

    @ParameterizedTest
    @CsvSource({"9:00 + 12 missing, 38", "cap + 12, 38", "9:00 + 12, 38", "38 reps, 38", "38, 38"})
    void whatIsMissingAtTheCapIsReadAsItIsSaid(String text, int done) {
        assertThat(ScoreReader.read(text, Samples.expanded(CAPPED)))
                .isEqualTo(new Score.Capped(540_000, done, 50 - done));
    }

    @ParameterizedTest
    @CsvSource({"999999 reps", "60 kg", "rounds", "4 + 3 rounds", "4 reps + 3"})
    void whatIsNoScoreIsRefused(String text) {
        assertThatThrownBy(() -> ScoreReader.read(text, Samples.expanded(AMRAP)))
                .hasMessageContaining("like");
    }

    /** A round counts 10 here: 9 alone are rounds, 10 and more could be reps. */
    @ParameterizedTest
    @CsvSource({"10", "172"})
    void aBareNumberThatCouldBeRepsIsAskedAbout(String text) {
        assertThatThrownBy(() -> ScoreReader.read(text, Samples.expanded(AMRAP)))
                .hasMessage("\"%1$s\" can be rounds or reps. Write \"%1$s rounds\" or \"%1$s reps\"".formatted(text));
        assertThat(ScoreReader.read("9", Samples.expanded(AMRAP)).words()).isEqualTo("9 rounds + 0");
    }

    /** Whoever missed a cut-off was stopped there: so much missing can only be at its clock. */
    @ParameterizedTest
    @CsvSource({"cap + 40, 4:00", "4:00 + 40, 4:00", "10 reps, 4:00", "cap + 12, 9:00"})
    void whatIsMissingSaysAtWhichCutOff(String text, String clock) {
        ExpandedWorkout expanded =
                Samples.expanded("# A\nfor time, cap 9:00\n  5 rounds:\n    10 burpee\n  by 4:00 after round 2\n");
        assertThat(ScoreReader.read(text, expanded).clockMs())
                .isEqualTo(ClockTime.parse(clock).ms());
        assertThatThrownBy(() -> ScoreReader.read("9:00 + 40", expanded)).hasMessageContaining("write \"4:00 + 40\"");
    }

    /** Goal and retest read the same text as the same score. */
    @ParameterizedTest
    @CsvSource({"63 reps", "4 + 3", "4"})
    void aGoalAsksForTheSameWork(String text) {
        ExpandedWorkout expanded = Samples.expanded(AMRAP);
        Goal goal = Goal.parse(text, expanded, Draft.of(expanded));
        int done = 0;
        for (int i = 0; i < goal.whole(); i++) {
            done += expanded.segment(i).score();
        }
        done += goal.extraSteps() == 0 ? 0 : expanded.segment(goal.whole()).points(goal.extraSteps());
        assertThat(done).isEqualTo(ScoreReader.read(text, expanded).done());
    }

    /** What is said of a simulated attempt's score reads back to it. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatIsSaidReadsBack(long seed) {
        var attempt = Samples.simulated(seed);
        Score score = AttemptLog.of(attempt.expanded(), attempt.truth()).score();
        if (score instanceof Score.Partial) {
            return;
        }
        Score read = ScoreReader.read(score.words(), attempt.expanded());
        assertThat(read.words()).isEqualTo(score.words());
        assertThat(read.done()).isEqualTo(score.done());
    }

    @ParameterizedTest
    @CsvSource({"45 reps, 45", "45, 45"})
    void intervalsCountReps(String text, int reps) {
        assertThat(ScoreReader.read(text, Samples.expanded(EVERY)).done()).isEqualTo(reps);
    }
}
