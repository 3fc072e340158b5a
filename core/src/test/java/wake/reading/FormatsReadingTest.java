package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.units.Digits;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;

/** Readings of the formats that go on until a buzzer. */
class FormatsReadingTest {
    private static final String AMRAP = "# A\namrap 1:00\n  4 burpee\n  4 thruster\n";
    private static final String INTERVALS = "# A\nevery 1:00 x 2\n  6 burpee\n";

    private static Reading read(String notation, String jotted) {
        ExpandedWorkout expanded = expanded(notation);
        LinePacing burpees = new LinePacing(0, new Pacing(2000, SetScheme.UNBROKEN, 3, 0), Map.of());
        LinePacing thrusters = new LinePacing(1, new Pacing(2000, SetScheme.UNBROKEN, 2, 0), Map.of());
        AttemptLog log = AttemptLog.of(expanded, Samples.marks(jotted));
        return Reading.of(
                log,
                Baseline.plan(Forecast.of(
                        expanded,
                        new Plan(List.of(burpees, thrusters)),
                        log.splits().size())));
    }

    @Test
    void anAmrapIsComparedAtTheSameWork() {
        Reading reading = read(AMRAP, "A 0, D 12, A 20, D 28, A 30, D 42, A 44, D 52, A 54, F 57, F 60, X 60");
        assertThat(reading.ledger().totals()).containsEntry(Cause.TRANSITION, 6000L);
        assertThat(ReviewWords.finding(reading.findings().getFirst(), Digits.TENTHS))
                .isEqualTo("Transition into thruster: 6.0 s longer than planned, in round 1.");
        assertThat(reading.ledger().totalMs())
                .isEqualTo(reading.log().clockMs() - reading.wake().getLast().workMs());
    }

    @Test
    void roundsOfAnAmrapCountWhenTheyAreWhole() {
        Reading reading = read(AMRAP, "A 0, D 12, A 14, D 22, A 24, D 36, A 38, D 46, A 48, F 51, X 60");
        assertThat(reading.blocks().getFirst().splits())
                .extracting(Rounds.Round::elapsedMs)
                .containsExactly(22_000L, 24_000L);
        assertThat(reading.blocks().getFirst().consistency()).isPresent();
    }

    @Test
    void aSlowIntervalTakesFromItsRestAndTheClockStaysTheSame() {
        Reading reading = read(INTERVALS, "A 0, D 24, A 60, D 78");
        assertThat(reading.ledger().totals())
                .containsEntry(Cause.PACE, 6000L)
                .containsEntry(Cause.INTERVAL_REST, -6000L)
                .containsEntry(Cause.TRANSITION, -2000L);
        assertThat(reading.findings()).allMatch(finding -> finding.cause() != Cause.INTERVAL_REST);
    }

    @Test
    void aLiftWindowSaysItsBestAndHowManyWereMade() {
        Mark lift = Mark.of(MarkKind.LIFT, 60_000);
        List<Mark> lifts = List.of(
                new Mark(lift.id(), MarkKind.LIFT, 60_000, 1, Granularity.SET, "", "80 kg", 0.1),
                new Mark(Mark.of(MarkKind.LIFT, 1).id(), MarkKind.LIFT, 150_000, 0, Granularity.SET, "", "84 kg", 0.1));
        AttemptLog log = AttemptLog.of(expanded("# A\nlift 7:00, best of 1 power clean\n"), lifts);
        assertThat(ReviewWords.headline(Reading.of(log, Baseline.bestSplits(log))))
                .isEqualTo("Best 80 kg, 1 of 2 lifts made.");
    }

    @Test
    void aCauseWonBackElsewhereIsSaidSo() {
        Reading reading = read(AMRAP, "A 0, D 8, A 18, D 26");
        assertThat(ReviewWords.headline(reading))
                .isEqualTo("So far: 4.0 s behind plan. Biggest loss: 8.0 s in transitions into thruster.");
    }

    /** What the workout or the clock makes the athlete wait is in no movement's time and in no round's: a row of its own. */
    @Test
    void programmedRestIsARowOfItsOwn() {
        AttemptLog rested = log(
                "# A\nfor time\n  2 rounds:\n    200 m run\n    8 burpee\n    rest 0:30\n",
                "A 0, D 50, A 52, D 72, A 102, D 152, A 154, D 174");
        ClockBudget programmed = Reading.of(rested, Baseline.bestSplits(rested)).clock();
        assertThat(programmed.byRound())
                .extracting(ClockBudget.Entry::name, ClockBudget.Entry::totalMs)
                .containsExactly(
                        tuple("round 1", 72_000L), tuple("round 2", 72_000L), tuple("programmed rest", 30_000L));
        assertThat(programmed.byLine())
                .extracting(ClockBudget.Entry::name, ClockBudget.Entry::waitMs)
                .containsExactly(tuple("run", 0L), tuple("burpee", 0L), tuple("programmed rest", 30_000L));
        assertThat(programmed.total().totalMs()).isEqualTo(174_000);
    }
}
