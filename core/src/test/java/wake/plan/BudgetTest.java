package wake.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.BELL_BUOY;
import static wake.Samples.STAGES;
import static wake.Samples.expanded;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.exchange.PlanSheet;
import wake.log.AttemptLog.TieBreak;
import wake.plan.Plan.LinePacing;
import wake.words.FigureWords;
import wake.words.PlanWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

class BudgetTest {
    private static Plan plan(Pacing... lines) {
        List<LinePacing> pacing = new java.util.ArrayList<>();
        for (int i = 0; i < lines.length; i++) {
            pacing.add(new LinePacing(i, lines[i], Map.of()));
        }
        return new Plan(pacing);
    }

    private static Budget budget(ExpandedWorkout expanded, Plan plan) {
        return Budget.of(expanded, Forecast.of(expanded, plan));
    }

    @Test
    void workAndPausesAddUpToTheFinish() {
        ExpandedWorkout expanded =
                expanded("# A\nfor time\n  400 m run\n  3 rounds:\n    10 thruster @ 40 kg\n    10 burpee\n");
        Plan plan = plan(
                new Pacing(0, SetScheme.UNBROKEN, 0.25, 0),
                new Pacing(4000, SetScheme.parse("5s"), 2, 6000),
                new Pacing(3000, SetScheme.UNBROKEN, 3, 0));
        Budget budget = budget(expanded, plan);
        assertThat(budget.workMs()).isEqualTo(100_000 + 3 * (20_000 + 30_000));
        assertThat(budget.pauseMs()).isEqualTo(3 * (4000 + 6000 + 3000));
        assertThat(budget.workMs() + budget.pauseMs())
                .isEqualTo(Forecast.of(expanded, plan).finishMs());
        assertThat(budget.drops()).isEqualTo(3);
        assertThat(budget.kilograms()).isCloseTo(3 * 10 * 40, within(1e-9));
        assertThat(budget.metres()).isCloseTo(400, within(1e-9));
        assertThat(budget.sections()).extracting(Budget.Section::label).containsExactly("400 m run", "3 rounds");
    }

    @Test
    void stagedCapsSayTheirMargins() {
        ExpandedWorkout expanded = expanded(STAGES);
        Plan plan = plan(new Pacing(2000, SetScheme.UNBROKEN, 2, 0), new Pacing(2000, SetScheme.UNBROKEN, 3, 0));
        List<Budget.CutOffMargin> cutOffs = budget(expanded, plan).cutOffs();
        long second = 18_000 + 2000 + 18_000 + 2000 + 18_000 + 2000 + 24_000;
        assertThat(cutOffs).extracting(cutOff -> cutOff.after()).containsExactly("round 2", "round 4");
        assertThat(cutOffs.getFirst().marginMs()).isEqualTo(180_000 - second);
    }

    @Test
    void theHardestIntervalSaysItsRest() {
        ExpandedWorkout expanded = expanded(BELL_BUOY);
        Plan plan = plan(new Pacing(0, SetScheme.UNBROKEN, 3, 0), new Pacing(2000, SetScheme.UNBROKEN, 2, 0));
        assertThat(budget(expanded, plan).shortestIntervalRestMs()).hasValue(60_000 - 18_000 - 2000 - 16_000);
        Forecast forecast = Forecast.of(expanded, plan);
        assertThat(PlanWords.headline(expanded, forecast, Budget.of(expanded, forecast), Optional.empty()))
                .isEqualTo("Hardest interval leaves 24.0 s of rest.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0|Planned finish 0:34, exactly the goal.",
                "2500|Planned finish 0:34, 2.5 s slower than the 0:30 goal.",
                "-65000|Planned finish 0:34, 1:05 faster than the 0:30 goal."
            })
    void theAnswerSaysTheMarginToTheGoal(long overMs, String sentence) {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        Forecast forecast = Forecast.of(
                expanded, plan(new Pacing(0, SetScheme.UNBROKEN, 3, 0), new Pacing(0, SetScheme.UNBROKEN, 2, 0)));
        Budget budget = Budget.of(expanded, forecast);
        assertThat(PlanWords.headline(expanded, forecast, budget, Optional.of(new PlanWords.Margin("0:30", overMs))))
                .isEqualTo(sentence);
    }

    @ParameterizedTest
    @CsvSource({"2.0, USUAL", "1.95, FASTER_THAN_USUAL", "1.5, FASTER_THAN_EVER", "2.5, USUAL"})
    void demandsAreHeldAgainstWhatWasShown(double planned, Demand.Verdict verdict) {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  10 thruster @ 40 kg\n  10 burpee\n");
        Segment thrusters = expanded.segment(0);
        Demonstrated demonstrated = new Demonstrated(
                List.of(
                        new Demonstrated.Figure(thrusters, 1.8),
                        new Demonstrated.Figure(thrusters, 2.0),
                        new Demonstrated.Figure(thrusters, 2.2)),
                List.of());
        Plan plan = plan(new Pacing(0, SetScheme.UNBROKEN, planned, 0), new Pacing(0, SetScheme.UNBROKEN, 3, 0));
        List<Demand> demands = Demand.of(expanded, Forecast.of(expanded, plan), demonstrated);
        assertThat(demands.getFirst().verdict()).isEqualTo(verdict);
        assertThat(demands.getLast().verdict()).isEqualTo(Demand.Verdict.NOT_YET_SHOWN);
    }

    /** By hand: 12 at 3 s, 5 s to the next, 15 at 2 s a round; of five the last, in an AMRAP what is reached before the buzzer. */
    @Test
    void theTieBreakThatDecidesHasItsPlannedClock() {
        ExpandedWorkout rounds =
                expanded("# A\nfor time\n  5 rounds:\n    12 burpee\n    tie-break\n    15 air squat\n");
        Plan plan = plan(new Pacing(0, SetScheme.UNBROKEN, 3, 0), new Pacing(5000, SetScheme.UNBROKEN, 2, 0));
        assertThat(budget(rounds, plan).tieBreak())
                .contains(new TieBreak(8, "12 burpee of round 5", 4 * 71_000 + 36_000));
        ExpandedWorkout open = expanded("# A\namrap 2:00\n  12 burpee\n  15 air squat\n  tie-break after each round\n");
        assertThat(budget(open, plan).tieBreak()).contains(new TieBreak(1, "round 1", 71_000));
        assertThat(WallRow.of(
                        rounds, plan, Forecast.of(rounds, plan), LatestClocks.of(Forecast.of(rounds, plan), List.of())))
                .extracting(WallRow::cutOffs)
                .startsWith(List.of("tie-break after 12 burpee"));
    }

    /** RFC 4180: a field with a comma stands in quotes. */
    @Test
    void theSheetQuotesWhatHoldsACommaAndNumbersItsRounds() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  2 rounds:\n    12 wall-ball shot @ 9 kg, 3 m\n");
        Plan plan = plan(new Pacing(0, SetScheme.parse("6s"), 2, 5000)
                .withPace(PaceStepsReader.read("30/min", PacedWork.of(expanded, expanded.segment(0)), PaceUnit.USUAL)));
        String[] rows = PlanSheet.csv(expanded, plan).split("\r\n");
        assertThat(rows).hasSize(3);
        assertThat(rows[1]).startsWith("1,\"12 wall-ball shot @ 9 kg, 3 m\",6-6,30/min,");
        assertThat(rows[2]).startsWith("2,").endsWith("0:58.0");
    }

    @Test
    void figuresSayWhatTheyMeanForPlanning() {
        Figures figures = FiguresReader.read(
                        "test run 400 m: 1:30 1:32\nunbroken pull-up 20\nlimiter push press", Samples.CATALOGUE)
                .figures();
        List<String> advice = FigureWords.advice(figures);
        assertThat(advice)
                .containsExactly(
                        "run: 3:47.5 /km holds; fades 1.1% over 2 repeats",
                        "pull-up: sets of 16 or fewer (best unbroken 20)", "Take your rest right before push press");
    }
}
