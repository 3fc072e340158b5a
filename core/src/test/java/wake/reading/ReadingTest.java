package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.expanded;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.simulation.SimulatedAttempt;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;

class ReadingTest {
    private static final String NOTATION = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";
    private static final ExpandedWorkout EXPANDED = expanded(NOTATION);
    private static final Plan PLAN = new Plan(List.of(
            new LinePacing(0, new Pacing(2000, SetScheme.UNBROKEN, 3, 0), Map.of()),
            new LinePacing(1, new Pacing(2000, SetScheme.parse("3s"), 2, 4000), Map.of())));

    /** Plan to the second, but for 6 s more rest in the thrusters of rounds 2 and 3. */
    private static final String RESTS_TOO_LONG = "A 0, D 12, A 14, O 20 x3, N 24, D 30,"
            + "A 32, D 44, A 46, O 52 x3, N 62, D 68,"
            + "A 70, D 82, A 84, O 90 x3, N 100, D 106";

    private static Reading read(String jotted) {
        return Reading.of(Samples.log(NOTATION, jotted), Baseline.plan(Forecast.of(EXPANDED, PLAN)));
    }

    @Test
    void theAnswerNamesWhatCostMost() {
        Reading reading = read(RESTS_TOO_LONG);
        assertThat(ReviewWords.headline(reading))
                .isEqualTo("12 s behind plan. Biggest loss: 12 s extra rest on thruster.");
        assertThat(reading.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.cause()).isEqualTo(Cause.REST);
            assertThat(finding.lostMs()).isEqualTo(12_000);
            assertThat(finding.moments()).extracting(Finding.Moment::fromMs).containsExactly(52_000L, 90_000L);
            assertThat(finding.moments().getFirst().label()).isEqualTo("round 2, 6 thruster @ 30 kg");
        });
    }

    @Test
    void onPlanIsSaidSo() {
        assertThat(ReviewWords.headline(read("A 0, D 12, A 14, O 20 x3, N 24, D 30")))
                .isEqualTo("So far: exactly on plan.");
        assertThat(ReviewWords.headline(
                        Reading.of(AttemptLog.of(EXPANDED, List.of()), Baseline.plan(Forecast.of(EXPANDED, PLAN)))))
                .isEqualTo("Nothing is logged yet.");
    }

    @Test
    void aheadOfPlanIsSaidSo() {
        assertThat(ReviewWords.headline(read("A 0, D 6, A 8, O 14 x3, N 18, D 24")))
                .contains("6.0 s ahead of plan");
    }

    @Test
    void theWakeEndsAtTheDifference() {
        Reading reading = read(RESTS_TOO_LONG);
        assertThat(reading.wake().getFirst().aheadMs()).isZero();
        assertThat(reading.wake().getLast().aheadMs()).isEqualTo(-12_000);
    }

    @Test
    void roundsOfTheSameWorkAreComparedForEvenness() {
        Rounds rounds = read(RESTS_TOO_LONG).blocks().getFirst();
        assertThat(rounds.splits()).extracting(Rounds.Round::elapsedMs).containsExactly(30_000L, 38_000L, 38_000L);
        Rounds.Consistency consistency = rounds.consistency().orElseThrow();
        assertThat(consistency.rangeMs()).isEqualTo(8000);
        assertThat(consistency.decrementPercent()).isCloseTo(17.7778, within(1e-4));
        assertThat(consistency.slopeMsPerRound()).isEqualTo(4000);
    }

    @Test
    void roundsOfGrowingWorkAreNot() {
        AttemptLog log = Samples.log("# A\nfor time\n  2 rounds:\n    4+4 burpee\n", "A 0, D 12, A 14, D 40");
        assertThat(Rounds.of(log).getFirst().consistency()).isEmpty();
        assertThat(Rounds.of(log).getFirst().splits()).hasSize(2);
    }

    @Test
    void whatTheMarksDoNotTellApartHasAColumnOfItsOwn() {
        Reading reading = read("D 20 seg, A 25, D 50 seg");
        assertThat(reading.ledger().totals())
                .containsEntry(Cause.UNSEPARATED, 8000L + 9000)
                .containsEntry(Cause.TRANSITION, 3000L);
        assertThat(reading.unseparatedMs()).isEqualTo(45_000);
    }

    @Test
    void aDifferenceWithinReadingErrorIsNoFinding() {
        List<Mark> coarse = new ArrayList<>();
        for (Mark mark : Samples.marks("A 0, D 13.5, A 15.5, O 21.5 x3, N 25.5, D 31.5")) {
            coarse.add(new Mark(mark.id(), mark.kind(), mark.atMs(), mark.reps(), Granularity.SET, "", "", 1.0));
        }
        Reading reading = Reading.of(AttemptLog.of(EXPANDED, coarse), Baseline.plan(Forecast.of(EXPANDED, PLAN)));
        assertThat(reading.ledger().totalMs()).isEqualTo(1500);
        assertThat(reading.findings()).isEmpty();
        assertThat(reading.deltas().getFirst().readingErrorMs()).isEqualTo(2000);
    }

    @Test
    void anUnplannedAttemptIsReadAgainstItsBestSplits() {
        AttemptLog log = Samples.log(NOTATION, RESTS_TOO_LONG);
        Reading reading = Reading.of(log, Baseline.bestSplits(log));
        assertThat(reading.findings())
                .first()
                .satisfies(finding -> assertThat(finding.cause()).isEqualTo(Cause.REST));
        assertThat(ReviewWords.headline(reading)).contains("slower than its best splits");
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theCausesAddUpToTheDifferenceToTheMillisecond(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        Forecast forecast = Forecast.of(attempt.expanded(), Draft.of(attempt.expanded()), 400);
        for (List<Mark> marks : List.of(attempt.truth(), Samples.blurred(attempt, seed))) {
            AttemptLog log = AttemptLog.of(attempt.expanded(), marks);
            for (Baseline baseline : List.of(Baseline.plan(forecast), Baseline.bestSplits(log))) {
                Reading reading = Reading.of(log, baseline);
                long expected = reading.deltas().stream()
                        .mapToLong(SegmentDelta::expectedMs)
                        .sum();
                long unfinished = reading.ledger().totals().getOrDefault(Cause.UNFINISHED, 0L);
                assertThat(reading.ledger().totalMs()).isEqualTo(log.clockMs() - unfinished - expected);
                assertThat(reading.ledger().rows().stream()
                                .mapToLong(Ledger.Row::totalMs)
                                .sum())
                        .isEqualTo(reading.ledger().totalMs());
                assertThat(reading.deltas())
                        .allSatisfy(delta -> assertThat(delta.byCause().values().stream()
                                        .mapToLong(Long::longValue)
                                        .sum())
                                .isEqualTo(delta.lostMs() + delta.stretch().unfinishedMs()));
                assertThat(reading.wake().getLast().aheadMs())
                        .isEqualTo(-reading.ledger().totalMs());
            }
        }
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void anAttemptOnItsOwnFiguresIsOnPlan(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        Reading reading = Reading.of(log, Baseline.bestSplits(log));
        assertThat(reading.deltas()).hasSameSizeAs(log.splits());
        assertThat(reading.wake()).isSortedAccordingTo((a, b) -> Long.compare(a.clockMs(), b.clockMs()));
    }
}
