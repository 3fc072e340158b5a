package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.athlete.Demonstrated;
import wake.log.Score;
import wake.plan.PaceStepsReader.Paced;
import wake.plan.Plan.LinePacing;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** A machine piece that is not rowed at one pace: hot for 15, settled, hot again from 60. */
class PaceStepsTest {
    private static Paced read(String text, ExpandedWorkout expanded) {
        Segment segment = expanded.segment(0);
        return PaceStepsReader.read(text, PacedWork.of(expanded, segment), PaceUnit.USUAL);
    }

    private static Forecast forecast(ExpandedWorkout expanded, Paced paced) {
        Pacing pacing = new Pacing(0, SetScheme.UNBROKEN, 1, 0).withPace(paced);
        return Forecast.of(expanded, new Plan(List.of(new LinePacing(0, pacing, Map.of()))));
    }

    /** By hand: 15 at 2.4 s, 45 at 3 s, 15 at 2.4 s: 36 + 135 + 36 = 207 s, 2.76 s a calorie on the whole. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "2.4 for 15, 3, 2.4 from 60",
                "2.4 to 15, 3.0 until 60, 25 a minute",
                "25/min for 15 cal; 20/min; 25/min at 60 cal",
                "1500 cal/h for 15, then 1200 cal/h, then 1500 cal/h from 60"
            })
    void eachStretchHasAPaceOfItsOwn(String text) {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  75 cal row\n");
        Paced paced = read(text, expanded);
        assertThat(paced.secondsPerUnit()).isCloseTo(2.76, within(1e-9));
        assertThat(paced.effort().steps())
                .extracting(PaceSteps.Step::from, PaceSteps.Step::secondsPerUnit)
                .containsExactly(tuple(0.0, 2.4), tuple(15.0, 3.0), tuple(60.0, 2.4));
        assertThat(forecast(expanded, paced).finishMs()).isEqualTo(207_000);
    }

    /** The same piece logged and planned in fifteens: by hand 36, 45, 45, 45 and 36 s. */
    @Test
    void theSubPiecesAreSegmentsOfTheirOwn() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  75 cal row, in 15 cal\n");
        assertThat(expanded.segments())
                .extracting(Segment::label)
                .containsExactly(
                        "15 cal row (1 of 5)",
                        "15 cal row (2 of 5)",
                        "15 cal row (3 of 5)",
                        "15 cal row (4 of 5)",
                        "15 cal row (5 of 5)");
        assertThat(expanded.totalScore()).isEqualTo(75);
        Forecast forecast = forecast(expanded, read("2.4 for 15, 3, 2.4 from 60", expanded));
        assertThat(forecast.segments())
                .extracting(PlannedSegment::workMs)
                .containsExactly(36_000L, 45_000L, 45_000L, 45_000L, 36_000L);
    }

    /** A stretch may end inside a sub-piece: 20 at 2 s and 40 at 3 s in fifteens are 30, 40, 45 and 45 s. By hand. */
    @Test
    void aStretchMayEndInsideASubPiece() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  60 cal row, in 15 cal\n");
        assertThat(forecast(expanded, read("2 for 20, 3", expanded)).segments())
                .extracting(PlannedSegment::workMs)
                .containsExactly(30_000L, 40_000L, 45_000L, 45_000L);
    }

    /** By hand: 15 in 36 s, and 8 of 3 s in the 24 s that are left. */
    @Test
    void aCapInsideThePieceCountsWhatIsDoneByThen() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 1:00\n  75 cal row\n");
        assertThat(forecast(expanded, read("2.4 for 15, 3, 2.4 from 60", expanded))
                        .score())
                .isEqualTo(new Score.Capped(60_000, 23, 52));
    }

    /** Brute force: every unit by itself, summed. */
    @Test
    void aUnitByUnitSumSaysTheSame() {
        SplittableRandom random = new SplittableRandom(7);
        for (int go = 0; go < 300; go++) {
            int amount = 10 + random.nextInt(90);
            int first = 1 + random.nextInt(amount - 2);
            int second = first + 1 + random.nextInt(amount - first - 1);
            double[] paces = random.doubles(3, 1.5, 4)
                    .map(pace -> Math.round(pace * 100) / 100.0)
                    .toArray();
            ExpandedWorkout expanded = expanded("# A\nfor time\n  " + amount + " cal row\n");
            Paced paced =
                    read(paces[0] + ", " + paces[1] + " from " + first + ", " + paces[2] + " from " + second, expanded);
            double sum = 0;
            for (int unit = 0; unit < amount; unit++) {
                sum += unit < first ? paces[0] : unit < second ? paces[1] : paces[2];
            }
            assertThat(forecast(expanded, paced).finishMs() / 1000.0).isCloseTo(sum, within(0.0011));
        }
    }

    /** Twice as fast a goal keeps how the piece is spent. */
    @Test
    void aGoalScalesAllStretchesAlike() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  75 cal row\n");
        Pacing pacing = new Pacing(0, SetScheme.UNBROKEN, 1, 0).withPace(read("2.4 for 15, 3, 2.4 from 60", expanded));
        Plan plan = new Plan(List.of(new LinePacing(0, pacing, Map.of())));
        Plan aimed =
                GoalPlan.of(expanded, plan, Goal.parse("3:00", expanded, plan), Optional.empty(), Demonstrated.NOTHING);
        assertThat(Forecast.of(expanded, aimed).finishMs()).isEqualTo(180_000);
        assertThat(aimed.line(0).every().effort().steps())
                .extracting(
                        step -> step.secondsPerUnit() / aimed.line(0).every().secondsPerUnit())
                .satisfiesExactly(
                        hot -> assertThat(hot).isCloseTo(2.4 / 2.76, within(1e-9)),
                        settled -> assertThat(settled).isCloseTo(3 / 2.76, within(1e-9)),
                        hot -> assertThat(hot).isCloseTo(2.4 / 2.76, within(1e-9)));
        // Written again in the mean pace of another, it looks like another plan; in hundredths of its own it does not.
        assertThat(pacing.looksLike(pacing.withCadence(2.761))).isTrue();
        assertThat(pacing.looksLike(pacing.withPace(new Paced(2.76, PaceSteps.EVEN, PaceUnit.USUAL))))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.4 for 15, 3 for 10, 2.4 from 20 | in order",
                "2.4, 3                            | in order",
                "2.4 from 5, 3 from 10             | in order",
                "2.4 for 80, 3                     | in order",
                "2.4 for 15, soon                  | Write a pace",
                ", 3                               | Write one pace",
            })
    void whatNobodyCanTellIsRefused(String text, String reason) {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  75 cal row\n");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> read(text, expanded))
                .withMessageContaining(reason);
    }

    @Test
    void aStretchNobodyRowsIsRefused() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  75 cal row\n");
        Pacing pacing = new Pacing(0, SetScheme.UNBROKEN, 1, 0).withPace(read("2.5 for 70, 900", expanded));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Plan(List.of(new LinePacing(0, pacing, Map.of()))).meantFor(expanded))
                .withMessageContaining("Pace of the row");
    }
}
