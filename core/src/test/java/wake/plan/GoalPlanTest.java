package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.BELL_BUOY;
import static wake.Samples.LOCK_GATE;
import static wake.Samples.LONG_REACH;
import static wake.Samples.SKIFF;
import static wake.Samples.SLACK_WATER;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.log.Score;
import wake.plan.Plan.LinePacing;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Workout;
import wake.workout.WorkoutShelf;

class GoalPlanTest {
    private static Plan aimed(ExpandedWorkout expanded, Plan plan, String goal) {
        return GoalPlan.of(expanded, plan, Goal.parse(goal, expanded, plan), Optional.empty(), Demonstrated.NOTHING);
    }

    /** Whatever the workout, the goal and the share of the pauses: the planned finish is the goal, to the millisecond. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aPlanForAFinishHitsItExactly(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        ExpandedWorkout expanded =
                expanded(List.of(LOCK_GATE, LONG_REACH, SKIFF).get(random.nextInt(3)));
        Plan draft = Draft.of(expanded);
        long finish = Forecast.of(expanded, draft).finishMs();
        String goal = ClockTime.of(Math.round(finish * random.nextDouble(0.8, 1.3) / 100) * 100)
                .toTenths();
        Plan aimed = GoalPlan.of(
                expanded,
                draft,
                Goal.parse(goal, expanded, draft),
                Optional.of(random.nextDouble()),
                Demonstrated.NOTHING);
        assertThat(Forecast.of(expanded, aimed).finishMs())
                .isEqualTo(ClockTime.parse(goal).ms());
    }

    /** Every workout of the shelf that is for time, in each division: planned as drafted, then for a goal a tenth faster. */
    @ParameterizedTest
    @MethodSource("wake.workout.WorkoutShelf#all")
    void everyFormatForTimeHitsItsGoal(WorkoutShelf.Shelved shelved) {
        Workout workout = Samples.workout(shelved.notation());
        for (Workout.Part part : workout.parts()) {
            for (int division = 0; division < Math.max(1, workout.divisions().size()); division++) {
                ExpandedWorkout expanded = ExpandedWorkout.of(part, division, Samples.CATALOGUE, 1);
                Plan draft = Draft.of(expanded).checkedFor(expanded);
                Forecast forecast = Forecast.of(expanded, draft);
                assertThat(forecast.finishMs())
                        .isEqualTo(forecast.segments().stream()
                                .mapToLong(PlannedSegment::totalMs)
                                .sum());
                if (part.format() instanceof Format.ForTime && !expanded.isOpen()) {
                    String goal = ClockTime.of(forecast.finishMs() * 9 / 10).toTenths();
                    assertThat(Forecast.of(expanded, aimed(expanded, draft, goal))
                                    .finishMs())
                            .isEqualTo(ClockTime.parse(goal).ms());
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"4+0, 4, 0", "3+2, 3, 2", "3 rounds + 7, 3, 7", "5 rounds, 5, 0", "2+1, 2, 1", "90, 5, 0"})
    void aPlanForRoundsAndRepsScoresThem(String goal, int rounds, int extra) {
        ExpandedWorkout expanded = expanded(SLACK_WATER);
        Score score =
                Forecast.of(expanded, aimed(expanded, Draft.of(expanded), goal)).score();
        assertThat(score).isInstanceOfSatisfying(Score.Rounds.class, scored -> {
            assertThat(scored.rounds()).isEqualTo(rounds);
            assertThat(scored.extra()).isEqualTo(extra);
        });
    }

    @Test
    void aGoalForIntervalsIsTheTimeTheHardestMayTake() {
        ExpandedWorkout expanded = expanded(BELL_BUOY);
        Plan aimed = aimed(expanded, Draft.of(expanded), "0:45");
        Forecast forecast = Forecast.of(expanded, aimed);
        assertThat(Budget.of(expanded, forecast).shortestIntervalRestMs()).hasValue(15_000);
    }

    /** By hand: intervals of 4, 8, 12 … burpees, 40 s each; 24 reps are the first three intervals whole, the third is the longest. */
    @ParameterizedTest
    @CsvSource({"24 reps, 2, 3.3", "20, 2, 5.0", "24, 2, 3.3", "14 reps, 2, 5.0"})
    void aGoalForIntervalsMayBeReps(String goal, int interval, double secondsAtMost) {
        ExpandedWorkout expanded = expanded("# A\nevery 0:40 x 5\n  4+4 burpee\n");
        Plan slow = Draft.of(expanded);
        slow = slow.withLine(slow.line(0).withEvery(new Pacing(0, SetScheme.UNBROKEN, 6, 0)));
        Plan aimed = aimed(expanded, slow, goal);
        assertThat(aimed.line(0).every().secondsPerUnit()).isCloseTo(secondsAtMost, within(0.06));
        Score.Reps score = (Score.Reps) Forecast.of(expanded, aimed).score();
        assertThat(score.done()).isGreaterThanOrEqualTo(Integer.parseInt(goal.replaceAll("\\D", "")));
        assertThat(Goal.parse(goal, expanded, slow).from()).isLessThanOrEqualTo(interval);
        assertThatThrownBy(() -> aimed(expanded, Draft.of(expanded), "61 reps"))
                .hasMessageContaining("the 60 reps of the workout");
    }

    /** What is to be done by the cap: 3 of 10 rounds are missing at 6:00. */
    @ParameterizedTest
    @CsvSource({"56 reps", "cap+24", "6:00 + 24 missing"})
    void aGoalMayBeWhatIsDoneByTheCap(String goal) {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 6:00\n  10 rounds:\n    8 burpee over bar\n");
        Plan aimed = aimed(expanded, Draft.of(expanded), goal);
        assertThat(Forecast.of(expanded, aimed).score()).isEqualTo(new Score.Capped(360_000, 56, 24));
        assertThatThrownBy(() -> aimed(expanded, Draft.of(expanded), "81 reps")).hasMessageContaining("does not fit");
    }

    /** Common practice, no source: forty minutes over run, rounds and run may be 8 + 24 + 8, and 24:00 over 20 rounds is 72 s. */
    @Test
    void fortyMinutesOverRunRoundsAndRunAreBudgeted() {
        ExpandedWorkout expanded = expanded(
                "# A\nfor time\n  1 mi run\n  20 rounds:\n    6 ring row\n    8 v-up\n    12 box step-up @ 50 cm\n  1 mi run\n");
        Plan draft = Draft.of(expanded);
        Plan locked = draft;
        for (int line : List.of(0, 4)) {
            Pacing run = draft.line(line).every().withTransition(0).withCadence(480);
            locked = locked.withLine(new LinePacing(line, run, java.util.Map.of(), true));
        }
        Budget budget = Budget.of(expanded, Forecast.of(expanded, aimed(expanded, locked, "40:00")));
        assertThat(budget.sections()).extracting(Budget.Section::ms).containsExactly(480_000L, 1_440_000L, 480_000L);
        assertThat(budget.sections().get(1).perRoundMs()).isEqualTo(72_000);
        assertThat(budget.sections().get(1).label()).isEqualTo("20 rounds");
    }

    private static String secondUnder(ExpandedWorkout expanded, Plan plan) {
        return ClockTime.of(Forecast.of(expanded, plan).finishMs() - 1000).toTenths();
    }

    @Test
    void lockedLinesStayAndTheShareDecidesWhatGives() {
        ExpandedWorkout expanded = expanded(SKIFF);
        Plan draft = Draft.of(expanded);
        Plan locked = draft.withLine(
                new LinePacing(0, draft.line(0).every(), draft.line(0).rounds(), true));
        Goal goal = Goal.parse(secondUnder(expanded, locked), expanded, locked);
        Plan byPace = GoalPlan.of(expanded, locked, goal, Optional.of(0.0), Demonstrated.NOTHING);
        assertThat(byPace.line(0).every()).isEqualTo(draft.line(0).every());
        assertThat(byPace.line(1).every().transitionMs())
                .isEqualTo(draft.line(1).every().transitionMs());
        assertThat(byPace.line(1).every().secondsPerUnit())
                .isLessThan(draft.line(1).every().secondsPerUnit());
        Plan byPauses = GoalPlan.of(
                expanded,
                draft,
                Goal.parse(secondUnder(expanded, draft), expanded, draft),
                Optional.of(1.0),
                Demonstrated.NOTHING);
        assertThat(byPauses.line(0).every().secondsPerUnit())
                .isCloseTo(draft.line(0).every().secondsPerUnit(), within(0.001));
    }

    @Test
    void aGoalOutOfReachIsRefusedWithTheLeastThatCanBePlanned() {
        ExpandedWorkout expanded = expanded(SKIFF);
        Plan draft = Draft.of(expanded);
        assertThatThrownBy(() -> aimed(expanded, draft, "0:20"))
                .hasMessageContaining("Can't reach 0:20")
                .hasMessageContaining("this takes 0:");
        Plan allLocked = draft.withLines(draft.lines().stream()
                .map(line -> new LinePacing(line.lineIndex(), line.every(), line.rounds(), true))
                .toList());
        assertThatThrownBy(() -> aimed(expanded, allLocked, "3:00")).hasMessageContaining("Unlock");
    }

    @ParameterizedTest
    @ValueSource(strings = {"fast", "", "-1:00", "0:00", "7+", "8:99"})
    void whatIsNoGoalIsRefused(String text) {
        for (String notation : List.of(SKIFF, BELL_BUOY)) {
            ExpandedWorkout expanded = expanded(notation);
            assertThatThrownBy(() -> Goal.parse(text, expanded, Draft.of(expanded)))
                    .hasMessageContaining("not");
        }
        if (!text.equals("8:99")) {
            ExpandedWorkout open = expanded(SLACK_WATER);
            assertThatThrownBy(() -> Goal.parse(text, open, Draft.of(open))).hasMessageContaining("7+12");
        }
    }

    /** Common practice, no source: a warm-up round of 2:00 in a 14:00 AMRAP forecasts 7 rounds. */
    @Test
    void aWarmUpRoundForecastsTheWhole() {
        ExpandedWorkout open = expanded("# A\namrap 14:00\n  15 cal row\n  12 toes-to-bar\n  9 thruster @ 40 kg\n");
        assertThat(WarmUp.forecast(open, 120_000)).isEqualTo("7 rounds");
        Score score =
                Forecast.of(open, WarmUp.scaled(open, Draft.of(open), 120_000)).score();
        assertThat(((Score.Rounds) score).rounds()).isEqualTo(7);
        ExpandedWorkout closed = expanded(LOCK_GATE);
        assertThat(WarmUp.forecast(closed, 120_000)).isEqualTo("10:00 for 5 rounds");
        assertThatThrownBy(() -> WarmUp.scaled(expanded("# A\nfor time\n  50 burpee\n"), Draft.of(closed), 120_000))
                .hasMessageContaining("rounds");
    }

    /** 8:00 + 24:00 + 8:00 are 40:00, of which twenty rounds have 72 s each. By hand. */
    @Test
    void eachSectionMayHaveATimeOfItsOwn() {
        ExpandedWorkout expanded = expanded(
                "# A\nfor time, cap 60:00\n  1 mi run\n  20 rounds:\n    6 ring row\n    8 v-up\n    12 box step-up @ 50 cm\n  1 mi run\n");

        Plan plan = aimed(expanded, Draft.of(expanded), "8:00 + 24:00 + 8:00");

        Forecast forecast = Forecast.of(expanded, plan);
        assertThat(Budget.of(expanded, forecast).sections())
                .extracting(Budget.Section::ms)
                .satisfiesExactly(
                        run -> assertThat(run).isCloseTo(480_000L, within(1L)),
                        rounds -> assertThat(rounds).isCloseTo(1_440_000L, within(1L)),
                        run -> assertThat(run).isCloseTo(480_000L, within(1L)));
        assertThat(forecast.finishMs()).isEqualTo(2_400_000);
    }

    @Test
    void aLockedLineStaysInASectionTooAndASectionOutOfReachIsNamed() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  500 m row\n  5 rounds:\n    10 burpee\n    10 pull-up\n");
        Plan draft = Draft.of(expanded);
        Plan locked = draft.withLine(draft.line(1).locked(true));

        Plan plan = aimed(expanded, locked, "2:00 + 4:30");

        assertThat(plan.line(1)).isEqualTo(locked.line(1));
        assertThat(plan.line(0).locked()).isFalse();
        assertThatThrownBy(() -> aimed(expanded, draft, "0:20 + 4:30"))
                .hasMessageContaining("Can't reach 0:20 for 500 m row");
        assertThatThrownBy(() -> aimed(expanded, draft, "2:00 + 4:30 + 1:00"))
                .hasMessageContaining("2 times, one for each of 500 m row; 5 rounds");
    }

    @Test
    void aFinishBeyondTheCapIsNoGoal() {
        ExpandedWorkout expanded = expanded("# A\nfor time, cap 8:00\n  400 m run\n  50 burpee\n");

        assertThatThrownBy(() -> aimed(expanded, Draft.of(expanded), "8:01"))
                .hasMessageContaining("under the 8:00 time cap");
        assertThatThrownBy(() -> aimed(expanded, Draft.of(expanded), "4:00 + 4:01"))
                .hasMessageContaining("not 8:01");
        assertThat(Forecast.of(expanded, aimed(expanded, Draft.of(expanded), "8:00"))
                        .finishMs())
                .isEqualTo(480_000);
    }
}
