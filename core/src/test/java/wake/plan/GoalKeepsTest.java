package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;

/** A goal and a warm-up round change the pace they are about, and keep everything else that was decided. */
class GoalKeepsTest {
    private static final String MILE =
            "# Long Haul\nfor time\n  1 mi run\n  6 rounds:\n    10 push-up\n    15 air squat\n  1 mi run\n";
    private static final ExpandedWorkout EXPANDED = Samples.expanded(MILE);

    /** Six rounds on 1:00: the last starts 5:00 after the first, whatever the pace inside them. */
    @ParameterizedTest
    @ValueSource(strings = {"24:00", "21:30", "26:40"})
    void aGoalKeepsTheRoundMarks(String goal) {
        Plan marked = Draft.of(EXPANDED).withRoundEvery(60_000);
        Plan aimed = GoalPlan.of(
                EXPANDED, marked, Goal.parse(goal, EXPANDED, marked), Optional.empty(), Demonstrated.NOTHING);
        assertThat(aimed.roundEveryMs()).hasValue(60_000);
        assertThat(Forecast.of(EXPANDED, aimed).score().words()).isEqualTo(goal);
    }

    @Test
    void aGoalKeepsTheLocksBesideTheMarks() {
        Plan draft = Draft.of(EXPANDED);
        Plan marked = draft.withLine(draft.line(0).locked(true)).withRoundEvery(60_000);
        Plan aimed = GoalPlan.of(
                EXPANDED, marked, Goal.parse("23:00", EXPANDED, marked), Optional.empty(), Demonstrated.NOTHING);
        assertThat(aimed.line(0)).isEqualTo(marked.line(0));
        assertThat(aimed.roundEveryMs()).hasValue(60_000);
    }

    @Test
    void aGoalBeforeTheLastMarkIsRefusedWithTheReason() {
        ExpandedWorkout rounds = Samples.expanded("# A\nfor time\n  6 rounds:\n    10 push-up\n");
        Plan marked = Draft.of(rounds).withRoundEvery(60_000);
        assertThatThrownBy(() -> GoalPlan.of(
                        rounds, marked, Goal.parse("4:30", rounds, marked), Optional.empty(), Demonstrated.NOTHING))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("with a round every 1:00");
    }

    /** The round was one of push-ups and squats: the mile and what was decided of the rounds stay. */
    @Test
    void aWarmUpRoundTouchesOnlyItsRounds() {
        Plan draft = Draft.of(EXPANDED);
        Plan marked = draft.withLine(draft.line(1).locked(true)).withRoundEvery(50_000);
        Plan paced = WarmUp.scaled(EXPANDED, marked, 44_000);
        assertThat(paced.roundEveryMs()).hasValue(50_000);
        assertThat(paced.line(0)).isEqualTo(marked.line(0));
        assertThat(paced.line(3)).isEqualTo(marked.line(3));
        assertThat(paced.line(1)).isEqualTo(marked.line(1));
        assertThat(paced.line(2)).isNotEqualTo(marked.line(2));
    }

    /** A mile of 7:00 is noted, 0.261 s a metre; 400 m were once run in 1:29.5, 0.224 s a metre. */
    @Test
    void aDraftNeverBeatsTheBestThatIsNoted() {
        Figures figures =
                FiguresReader.read("best run 1 mi 7:00", Samples.CATALOGUE).figures();
        Demonstrated fast = Demonstrated.in(
                List.of(Samples.log("# A\nfor time\n  400 m run\n  5 burpee\n", "A 0, D 89.5, A 92, D 110")));
        Draft mile = Draft.of(Samples.expanded("# A\nfor time\n  1700 m run\n"), figures, fast);
        assertThat(mile.plan().line(0).every().secondsPerUnit()).isCloseTo(420 / 1609.344, within(1e-9));
        assertThat(mile.bases().get(0)).startsWith("best time");
        Draft quarter = Draft.of(Samples.expanded("# A\nfor time\n  400 m run\n"), figures, fast);
        assertThat(quarter.plan().line(0).every().secondsPerUnit()).isCloseTo(89.5 / 400, within(1e-9));
    }
}
