package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.Demonstrated;
import wake.exchange.TimeSheet;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.plan.Deadline;
import wake.plan.Forecast;
import wake.plan.Goal;
import wake.plan.GoalPlan;
import wake.plan.LatestClocks;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;

/** A rest that the workout prescribes: never scaled, never a movement, kept by whoever comes early or late. */
class PrescribedRestTest {
    private static final String NOTATION =
            "# A\nfor time\n  3 rounds:\n    10 burpee\n    12 thruster @ 30 kg\n    rest 1:00\n";
    private static final ExpandedWorkout EXPANDED = Samples.expanded(NOTATION);

    /** 10 x 3 + way 2 + 12 x 2 = 56 s, the first round without a way to its burpees; 60 s between the rounds. */
    private static final Plan PLAN = new Plan(List.of(line(0, 3), line(1, 2)));

    private static LinePacing line(int index, double seconds) {
        return new LinePacing(index, new Pacing(2000, SetScheme.UNBROKEN, seconds, 0), Map.of());
    }

    @Test
    void itStandsBetweenTheRoundsAndNotAfterTheLast() {
        assertThat(EXPANDED.segments()).hasSize(6);
        assertThat(EXPANDED.segments())
                .extracting(Segment::restBeforeMs)
                .containsExactly(0L, 0L, 60_000L, 0L, 60_000L, 0L);
        assertThat(Forecast.of(EXPANDED, PLAN).endsMs())
                .containsExactly(30_000L, 56_000L, 148_000L, 174_000L, 266_000L, 292_000L);
    }

    @Test
    void aLogTakesItAsAWaitAndNotAsAWay() {
        AttemptLog log = Samples.log(NOTATION, "D 30, D 56, A 119, D 150, D 178, A 240, D 272, D 300");
        SegmentSplit second = log.splits().get(2);
        assertThat(second.waitMs()).isEqualTo(60_000);
        assertThat(second.transitionMs()).isEqualTo(3000);
        assertThat(log.score()).isEqualTo(new Score.Finished(300_000, 66));
        Reading reading = Reading.of(log, Baseline.plan(Forecast.of(EXPANDED, PLAN)));
        // 60 s are the rest: round 2 is 62 s, not 122.
        assertThat(reading.blocks().getFirst().splits().get(1).elapsedMs()).isEqualTo(62_000);
        assertThat(reading.ledger().totalMs()).isEqualTo(8000);
    }

    /** A goal 20 s under the plan takes them from work and ways, and leaves the two minutes of rest. */
    @Test
    void aGoalNeverScalesIt() {
        Plan aimed =
                GoalPlan.of(EXPANDED, PLAN, Goal.parse("4:32", EXPANDED, PLAN), Optional.empty(), Demonstrated.NOTHING);
        Forecast forecast = Forecast.of(EXPANDED, aimed);
        assertThat(forecast.finishMs()).isEqualTo(272_000);
        assertThat(forecast.segments().get(2).waitMs()).isEqualTo(60_000);
    }

    @Test
    void latestClocksKeepIt() {
        LatestClocks latest = LatestClocks.of(
                Forecast.of(EXPANDED, PLAN), List.of(new Deadline(Deadline.Kind.GOAL, "the goal", 6, 0, 300_000)));
        assertThat(latest.after(2).getAsLong()).isEqualTo(64_000);
    }

    @Test
    void jottedSplitsLeaveItOut() {
        TimeSheet sheet = TimeSheet.read(
                "0:30\n0:26\n0:32\n0:26", TimeSheet.Each.MOVEMENT, TimeSheet.Times.SPLITS, EXPANDED, PLAN);
        assertThat(sheet.rows().get(2).clockMs().getAsLong()).isEqualTo(148_000);
    }

    @Test
    void theSimulatedAthleteKeepsIt() {
        SimulatedAttempt attempt = SimulatedAttempt.run(EXPANDED, AthleteModel.plain(), 4);
        AttemptLog log = AttemptLog.of(EXPANDED, attempt.truth());
        assertThat(log.rejected()).isEmpty();
        assertThat(log.splits().get(2).waitMs()).isEqualTo(60_000);
        assertThat(log.splits().get(4).waitMs()).isEqualTo(60_000);
    }

    @Test
    void intervalsInTurnMayRest() {
        ExpandedWorkout expanded =
                Samples.expanded("# A\nevery 1:00 x 6, in turn\n  12 cal row\n  10 burpee\n  rest\n");
        assertThat(expanded.segments())
                .extracting(segment -> segment.lap().number())
                .containsExactly(1, 2, 4, 5);
        assertThat(expanded.startsAtMs(2).getAsLong()).isEqualTo(180_000);
    }

    /** In an amrap it comes round after round. */
    @Test
    void itGoesOnUntilTheBuzzer() {
        ExpandedWorkout expanded = Samples.expanded("# A\namrap 10:00\n  10 burpee\n  rest 0:30\n");
        assertThat(expanded.upTo(4)).extracting(Segment::restBeforeMs).containsExactly(0L, 30_000L, 30_000L, 30_000L);
        Forecast forecast = Forecast.of(expanded, new Plan(List.of(line(0, 3))));
        // 30, then 62 s a round: 30 + 9 x 62 = 588 s, and 12 s of the next rest.
        assertThat(forecast.score()).isEqualTo(new Score.Rounds(600_000, 10, 0, 100, false));
    }

    @Test
    void aRoundWithANoughtIsOneWithoutTheMovement() {
        ExpandedWorkout expanded =
                Samples.expanded("# A\nfor time\n  3 rounds:\n    5-0-5 wall walk\n    10 air squat\n");
        assertThat(expanded.segments())
                .extracting(Segment::label)
                .containsExactly("5 wall walk", "10 air squat", "10 air squat", "5 wall walk", "10 air squat");
    }

    @Test
    void twoImplementsAreTwo() {
        ExpandedWorkout expanded = Samples.expanded("# A\nfor time\n  10 dumbbell snatch @ 2x22.5 kg\n");
        Segment segment = expanded.segment(0);
        assertThat(segment.label()).isEqualTo("10 dumbbell snatch @ 2x22.5 kg");
        assertThat(segment.movedKilograms()).isEqualTo(450);
    }

    /** One cap over what stands above it, wherever that is. */
    @Test
    void aCutOffStandsAtItsPoint() {
        ExpandedWorkout expanded = Samples.expanded(
                "# A\nfor time, cap 12:00\n  50 cal row\n  by 4:00\n  3 rounds:\n    9 thruster\n    9 burpee\n  by 9:00\n  400 m run\n");
        assertThat(expanded.cutOffs())
                .extracting(ExpandedWorkout.CutOff::lastIndex)
                .containsExactly(0, 6);
        assertThat(expanded.cutOffs())
                .extracting(ExpandedWorkout.CutOff::words)
                .containsExactly("50 cal row", "round 3");
        assertThat(expanded.buzzerMs(3).getAsLong()).isEqualTo(540_000);
        assertThat(expanded.buzzerMs(7).getAsLong()).isEqualTo(720_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time;  rest 1:00;  10 burpee|A rest at the start",
                "for time;  10 burpee;  rest 1:00|A rest at the end",
                "for time;  10 burpee;  rest;  5 burpee|without a time",
                "for time;  10 burpee;  rest 0:00;  5 burpee|above 0",
                "for time;  by 4:00;  10 burpee|nothing above it",
                "for time;  3 rounds:;    10 burpee;    by 4:00|inside rounds",
                "amrap 9:00;  5-0 burpee|later rounds",
                "for time;  3 rounds:;    0-0-0 burpee|above zero",
                "for time;  5 burpee @ 9x20 kg|one to four loads"
            })
    void whatHasNoMeaningIsAnError(String text, String said) {
        NotationReader.Reading reading =
                NotationReader.read("# A\n" + text.replace(";", "\n") + "\n", Samples.CATALOGUE);
        assertThat(reading.errors()).isNotEmpty();
        assertThat(reading.errors().toString()).contains(said);
    }
}
