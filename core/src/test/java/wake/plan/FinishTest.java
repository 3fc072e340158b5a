package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.athlete.Demonstrated;
import wake.log.Score;
import wake.plan.Plan.LinePacing;
import wake.workout.ExpandedWorkout;

/** A finish that is designed: from 5, 3 and 2 minutes to go. */
class FinishTest {
    private static Plan plan(ExpandedWorkout expanded, String finish, Pacing... lines) {
        List<LinePacing> paced = java.util.stream.IntStream.range(0, lines.length)
                .mapToObj(i -> new LinePacing(i, lines[i], Map.of()))
                .toList();
        return new Plan(paced).withFinish(Finish.parse(finish)).checkedFor(expanded);
    }

    private static Pacing at(double seconds) {
        return new Pacing(0, SetScheme.UNBROKEN, seconds, 0);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5:00, 3:00, 2:00          | 5:00 2%, 3:00 4%, 2:00 6%",
                "5:00 1 %, 2:00 4 %        | 5:00 1%, 2:00 4%",
                "5:00 to go: +1.5; 1:00 10 | 5:00 1.5%, 1:00 10%",
                "''                        | ''",
            })
    void aFinishIsReadAsCoachesWriteIt(String text, String written) {
        assertThat(Finish.parse(text).written()).isEqualTo(written);
        assertThat(Finish.parse(written)).isEqualTo(Finish.parse(text));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "soon             | the time left at each kick",
                "3:00, 5:00       | later and faster",
                "5:00 4 %, 3:00 2 % | later and faster",
                "0:00             | before the end",
                "5:00 80 %        | at most 30",
            })
    void whatIsNoFinishIsRefused(String text, String reason) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Finish.parse(text))
                .withMessageContaining(reason);
    }

    /** By hand: 5:00 at 3 s is 100 burpees, 5:00 at 2.7 s is 111.1 more. */
    @Test
    void untilTheBuzzerThereIsMoreToCount() {
        ExpandedWorkout expanded = expanded("# A\namrap 10:00\n  max burpee\n");
        Score score = Forecast.of(expanded, plan(expanded, "5:00 10 %", at(3))).score();
        assertThat(score)
                .isInstanceOfSatisfying(
                        Score.Rounds.class, rounds -> assertThat(rounds.done()).isEqualTo(211));
    }

    /** By hand: of 200 burpees 111.1 lie in the last 5:00 at 2.7 s; the others take 266.7 s at 3 s: 9:26.667. */
    @Test
    void forTimeTheClockEndsEarlierAndThePushesCountDownToThatEnd() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  200 burpee\n");
        Plan plan = plan(expanded, "5:00 10 %", at(3));
        Forecast forecast = Forecast.of(expanded, plan);
        assertThat(forecast.finishMs()).isCloseTo(566_667, within(1L));
        assertThat(forecast.pushes(expanded, plan)).singleElement().satisfies(push -> {
            assertThat(push.atMs()).isCloseTo(266_667, within(1L));
            assertThat(push.place().orElseThrow().label()).isEqualTo("200 burpee");
        });
    }

    /** At a cap that comes first they count down to the cap: 60 reps of 3 s, then 2.7 s over the last minute: 22.2 more. By hand. */
    @Test
    void aCapThatComesFirstIsTheEnd() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 4:00\n  200 burpee\n");
        Score score = Forecast.of(expanded, plan(expanded, "1:00 10 %", at(3))).score();
        assertThat(score).isEqualTo(new Score.Capped(240_000, 82, 118));
    }

    /** A second method: the clock in steps of a millisecond, where each rep's time runs at the rate of that moment. */
    @Test
    void steppedThroughMillisecondByMillisecondItIsTheSame() {
        SplittableRandom random = new SplittableRandom(11);
        for (int go = 0; go < 12; go++) {
            ExpandedWorkout expanded = expanded("# A\nfor time\n  4 rounds:\n    12 cal row\n    9 burpee\n");
            double[] paces = {1.5 + random.nextDouble(), 2 + random.nextDouble()};
            long way = 1000L * random.nextInt(6);
            Plan plan = plan(
                    expanded,
                    "2:00 " + (2 + random.nextInt(4)) + " %, 1:00 " + (8 + random.nextInt(9)) + " %",
                    at(paces[0]).withTransition(way),
                    at(paces[1]).withTransition(way));
            long known = Forecast.of(expanded, plan).finishMs();
            assertThat(stepped(plan, paces, way, known)).isCloseTo(known, within(20L));
        }
    }

    private static long stepped(Plan plan, double[] paces, long way, long endMs) {
        long clock = 0;
        for (int segment = 0; segment < 8; segment++) {
            clock += segment == 0 ? 0 : way;
            double work = 1000 * paces[segment % 2] * (segment % 2 == 0 ? 12 : 9);
            while (work > 0) {
                double factor = 1;
                for (Finish.Push push : plan.finish().pushes()) {
                    factor = clock >= endMs - push.toGoMs() ? 1 - push.percent() / 100 : factor;
                }
                work -= 1 / factor;
                clock++;
            }
        }
        return clock;
    }

    @ParameterizedTest
    @CsvSource({"9:00", "10:30", "8:00.5"})
    void aGoalIsHitWithTheFinishInIt(String goal) {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  5 rounds:\n    15 cal row\n    12 burpee\n    9 thruster @ 40 kg\n");
        Plan plan = Draft.of(expanded).withFinish(Finish.parse("2:00, 1:00"));
        Plan aimed =
                GoalPlan.of(expanded, plan, Goal.parse(goal, expanded, plan), Optional.empty(), Demonstrated.NOTHING);
        assertThat(aimed.finish()).isEqualTo(plan.finish());
        assertThat(Forecast.of(expanded, aimed).finishMs())
                .isCloseTo(wake.units.ClockTime.parse(goal).ms(), within(1L));
        Plan without = aimed.withFinish(Finish.NONE);
        assertThat(Forecast.of(expanded, without).finishMs())
                .isGreaterThan(Forecast.of(expanded, aimed).finishMs());
    }

    @Test
    void roundsAndRepsAreScoredWithTheFinishInThem() {
        ExpandedWorkout expanded = expanded("# A\namrap 8:00\n  10 burpee\n  12 cal row\n");
        Plan plan = Draft.of(expanded).withFinish(Finish.parse("3:00, 1:00"));
        Plan aimed =
                GoalPlan.of(expanded, plan, Goal.parse("7+5", expanded, plan), Optional.empty(), Demonstrated.NOTHING);
        assertThat(Forecast.of(expanded, aimed).score()).isInstanceOfSatisfying(Score.Rounds.class, score -> {
            assertThat(score.rounds()).isEqualTo(7);
            assertThat(score.extra()).isEqualTo(5);
        });
    }

    @Test
    void itStandsInsteadOfAStrategyAndNotForIntervals() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  3 rounds:\n    10 burpee\n    10 air squat\n");
        Plan kick = Draft.of(expanded).withStrategy(PacingStrategy.KICK);
        assertThat(kick.withFinish(Finish.parse("1:00")).strategy()).isEqualTo(PacingStrategy.EVEN);
        assertThat(kick.withFinish(Finish.parse("1:00"))
                        .withStrategy(PacingStrategy.BANK)
                        .finish())
                .isEqualTo(Finish.NONE);
        assertThat(Forecast.byStrategy(expanded, Draft.of(expanded).withFinish(Finish.parse("1:00"))))
                .containsOnlyKeys(PacingStrategy.EVEN);
        ExpandedWorkout minutes = expanded("# A\nevery 1:00 x 5\n  10 burpee\n");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> plan(minutes, "1:00", at(3)))
                .withMessageContaining("does not apply to intervals");
    }
}
