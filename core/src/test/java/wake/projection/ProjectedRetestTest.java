package wake.projection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.Score;
import wake.log.ScoreReader;
import wake.plan.Forecast;
import wake.plan.Plan;
import wake.projection.Projection.Terms;
import wake.projection.ProjectionRecord.Checked;

/** Evidence, ranges, goals, the next attempt's plan and day, and the outcome of calls. */
class ProjectedRetestTest {
    private static final String NOTATION = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster @ 30 kg\n";
    private static final AttemptLog LOG = Samples.log(
            NOTATION,
            "A 2, D 14, A 20, O 26 x3, N 30, D 36, A 38, D 50, A 52, O 58 x3, N 68, D 74,"
                    + "A 82, D 96, A 98, O 104 x3, N 114, D 120");
    private static final AttemptLog QUICK_BURPEES =
            Samples.log("# B\nfor time\n  4 burpee\n  2 thruster @ 30 kg\n", "A 0, D 10, A 12, D 16");
    private static final Terms RANGED = new Terms(List.of(), EvidenceWeights.USUAL, FatigueCost.NONE, 500, 200);

    @Test
    void whatAnotherAttemptHasShownCountsHalf() {
        HoldCadence hold = new HoldCadence("burpee", 2.5);
        Projection alone = Projection.of(LOG, List.of(hold));
        Projection with = Projection.of(
                LOG, List.of(hold), new Terms(List.of(QUICK_BURPEES), EvidenceWeights.USUAL, FatigueCost.NONE, 0, 0));
        assertThat(alone.projectedChanges().getFirst().evidence()).isEqualTo(EvidenceLevel.NOT_YET_SHOWN);
        assertThat(with.projectedChanges().getFirst().evidence()).isEqualTo(EvidenceLevel.ELSEWHERE);
        assertThat(with.gain().ms()).isEqualTo(8000);
        assertThat(with.projectedChanges().getFirst().proven().ms()).isEqualTo(4000);
    }

    @Test
    void aLighterBarElsewhereShowsNothing() {
        AttemptLog light = Samples.log("# B\nfor time\n  6 thruster @ 20 kg\n  1 burpee\n", "A 0, D 6, A 7, D 9");
        Terms terms = new Terms(List.of(light), EvidenceWeights.USUAL, FatigueCost.NONE, 0, 0);
        assertThat(Projection.of(LOG, List.of(new HoldCadence("thruster", 1.5)), terms)
                        .projectedChanges()
                        .getFirst()
                        .evidence())
                .isEqualTo(EvidenceLevel.NOT_YET_SHOWN);
    }

    @Test
    void theCoachSetsWhatEvidenceIsWorth() {
        EvidenceWeights all = new EvidenceWeights(Map.of(
                EvidenceLevel.SHOWN_LATE,
                1.0,
                EvidenceLevel.SHOWN,
                1.0,
                EvidenceLevel.ELSEWHERE,
                1.0,
                EvidenceLevel.NOT_YET_SHOWN,
                1.0));
        Projection projection =
                Projection.of(LOG, List.of(new CapRests(5000)), new Terms(List.of(), all, FatigueCost.NONE, 0, 0));
        assertThat(projection.proven()).isEqualTo(projection.bestCase());
        assertThatThrownBy(() -> new EvidenceWeights(Map.of(EvidenceLevel.SHOWN, 2.0)))
                .hasMessageContaining("0 to 100%");
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aRangeIsInOrderAndTheSameEachTime(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        List<Change> changes = Suggestions.of(log);
        Projection projection = Projection.of(log, changes, RANGED);
        assertThat(projection.range()).hasValueSatisfying(range -> {
            assertThat(Score.compare(range.p50(), range.p10())).isNotNegative();
            assertThat(Score.compare(range.p90(), range.p50())).isNotNegative();
        });
        assertThat(Projection.of(log, changes, RANGED)).isEqualTo(projection);
        assertThat(projection.projectedChanges())
                .filteredOn(change -> change.range().isPresent())
                .allSatisfy(
                        change -> assertThat(change.range().orElseThrow().high().rank())
                                .isGreaterThanOrEqualTo(
                                        change.range().orElseThrow().low().rank()));
    }

    @Test
    void tooLittleToSayIsSaid() {
        List<Mark> scoreAlone = new ArrayList<>();
        for (Mark end : Samples.marks("D 14, D 36, D 50, D 74, D 96")) {
            scoreAlone.add(end.withDepth(Granularity.ROUND));
        }
        scoreAlone.addAll(Samples.marks("D 120 seg"));
        AttemptLog ends = AttemptLog.of(Samples.expanded(NOTATION), scoreAlone);
        Projection projection = Projection.of(ends, List.of(new CapTransitions(1000)), RANGED);
        assertThat(projection.range()).isEmpty();
    }

    @Test
    void theFewestChangesWithTheStrongestEvidenceReachTheGoal() {
        List<Change> changes = List.of(new HoldCadence("burpee", 2.0), new CapRests(5000), new CapTransitions(3000));
        Score goal = ScoreReader.read("1:53", LOG.expanded());
        GoalSeek way = GoalSeek.of(LOG, changes, goal, Terms.PLAIN);
        // On evidence the rests bring 75 % of 10 s, the ways 75 % of 5 s and all of 3 s: only the rests do it alone.
        assertThat(way.reached()).isTrue();
        assertThat(way.steps()).hasSize(1);
        // 7 s are enough: 75 % of twice 10 − 5.3; with 5.4 s it would be 6.9.
        assertThat(way.steps().getFirst().change()).isEqualTo(new CapRests(5300));
        assertThat(way.steps().getFirst().reason()).contains("done earlier");
    }

    @Test
    void aGoalOutOfReachSaysWhatIsMissing() {
        GoalSeek way =
                GoalSeek.of(LOG, List.of(new CapRests(5000)), ScoreReader.read("1:30", LOG.expanded()), Terms.PLAIN);
        assertThat(way.reached()).isFalse();
        assertThat(way.reachedIfAllLand()).isFalse();
        assertThat(way.missing()).contains("23 s");
        GoalSeek there = GoalSeek.of(LOG, List.of(), ScoreReader.read("2:30", LOG.expanded()), Terms.PLAIN);
        assertThat(there.reached()).isTrue();
        assertThat(there.steps()).isEmpty();
    }

    /** Held to its best the row is faster than at one pace throughout: beside the first the second wins nothing. */
    @Test
    void whereAGoalIsOutOfReachOnlyWhatHelpsIsTaken() {
        AttemptLog log = Samples.log(
                "# A\nfor time\n  3 rounds:\n    20 cal row\n    2 burpee\n",
                "A 0, D 50, A 52, D 58, A 60, D 116, A 118, D 124, A 126, D 190, A 192, D 198");
        List<Change> both = List.of(new HoldCadence("row", 2.5), new OneEvery(Scope.of("row"), Targets.of(2.6)));
        for (Change each : both) {
            assertThat(Projection.of(log, List.of(each))
                            .projectedChanges()
                            .getFirst()
                            .proven()
                            .rank())
                    .isPositive();
        }
        Score held = Projection.of(log, both.subList(0, 1)).proven();
        assertThat(Score.compare(held, Projection.of(log, both).proven())).isNotNegative();
        GoalSeek way = GoalSeek.of(log, both, ScoreReader.read("0:30", log.expanded()), Terms.PLAIN);
        assertThat(way.steps()).extracting(GoalSeek.Step::place).containsExactly(0);
        assertThat(way.steps().getLast().after()).isEqualTo(held);
    }

    @Test
    void scoresAreReadAsCoachesWriteThem() {
        AttemptLog capped =
                Samples.log("# A\nfor time, cap 1:00\n  4 burpee\n  6 thruster\n", "A 2, D 14, A 20, F 22, X 60");
        assertThat(ScoreReader.read("0:55", capped.expanded())).isEqualTo(new Score.Finished(55_000, 10));
        assertThat(ScoreReader.read("cap+3", capped.expanded())).isEqualTo(new Score.Capped(60_000, 7, 3));
        AttemptLog amrap = Samples.log("# A\namrap 1:00\n  4 burpee\n  4 thruster\n", "A 0, D 12, A 14, D 22, X 60");
        assertThat(ScoreReader.read("2+3", amrap.expanded()).done()).isEqualTo(19);
        assertThatThrownBy(() -> ScoreReader.read("fast", amrap.expanded())).hasMessageContaining("7+12");
        assertThatThrownBy(() -> ScoreReader.read("soon", capped.expanded())).hasMessageContaining("cap+12");
    }

    @Test
    void aListOfScoresGivesAPlace() {
        List<Score> others = Ranking.read("1 First Name  1:40\n2;Second;1:58.5\n\n3\tThird\t2:10", LOG.expanded());
        assertThat(others).hasSize(3);
        assertThat(Ranking.place(LOG.score(), others)).isEqualTo(3);
        assertThatThrownBy(() -> Ranking.read("1:40\nnobody knows", LOG.expanded()))
                .hasMessageStartingWith("Line 2: ");
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void thePlanOfTheNextAttemptFitsItsWorkout(long seed) {
        AttemptLog log = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        List<Change> changes = Suggestions.of(log);
        Plan plan = RetestPlan.of(log, changes, FatigueCost.NONE);
        Score planned = Forecast.of(log.expanded(), plan).score();
        Score projected = Projection.of(log, changes).bestCase();
        if (planned instanceof Score.Finished && projected instanceof Score.Finished) {
            assertThat(planned.clockMs() / (double) projected.clockMs()).isCloseTo(1, within(0.03));
        }
    }

    @Test
    void theDayFollowsFromWhatTheWorkoutTaxes() {
        LocalDate day = LocalDate.of(2026, 3, 1);
        // 18 thrusters and 12 burpees are no high volume: 48 h (common practice, no source).
        assertThat(RetestDate.of(LOG, day, false, "").earliest()).isEqualTo(LocalDate.of(2026, 3, 3));
        assertThat(RetestDate.of(LOG, day, false, "")
                        .notBefore(LocalDate.of(2026, 6, 1))
                        .earliest())
                .isEqualTo(LocalDate.of(2026, 6, 1));
        assertThat(RetestDate.of(LOG, day, true, "").earliest()).isEqualTo(LocalDate.of(2026, 3, 4));
        AttemptLog pressing = Samples.log("# A\nfor time\n  60 push press @ 30 kg\n", "A 0, D 120");
        assertThat(RetestDate.of(pressing, day, false, "").hours()).isEqualTo(72);
        assertThat(RetestDate.of(LOG, day, false, "left wrist").blocked())
                .hasValueSatisfying(
                        why -> assertThat(why).contains("left wrist").contains("licensed professional"));
    }

    @Test
    void everySecondSavedBelongsToOneChangeOrToNone() {
        // The retest: ways of 2 s throughout (called: at most 3 s), rests of 4, 8, 8 s (called: 5 s), burpees faster
        // uncalled.
        AttemptLog retest = Samples.log(
                NOTATION,
                "A 2, D 12, A 14, O 20 x3, N 24, D 30, A 32, D 42, A 44, O 50 x3, N 58, D 64,"
                        + "A 66, D 78, A 80, O 86 x3, N 94, D 100");
        List<Change> changes = List.of(new CapTransitions(3000), new CapRests(5000));
        Outcome outcome = Outcome.of(LOG, retest, changes);
        assertThat(outcome.wonMs()).isEqualTo(20_000);
        assertThat(outcome.changes())
                .containsExactly(
                        new Outcome.ChangeOutcome(changes.get(0), 8000, 0, 10_000),
                        new Outcome.ChangeOutcome(changes.get(1), 10_000, 0, 4000));
        assertThat(outcome.elsewhere()).containsExactly(new Outcome.Elsewhere("pace of burpee", 6000));
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theOutcomeAlwaysAddsUp(long seed) {
        AttemptLog first = AttemptLog.of(
                Samples.simulated(seed).expanded(), Samples.simulated(seed).truth());
        AttemptLog second =
                AttemptLog.of(Samples.simulated(seed).expanded(), Samples.blurred(Samples.simulated(seed), seed));
        Outcome outcome = Outcome.of(first, second, Suggestions.of(first));
        long clocks = outcome.segments() == 0
                ? 0
                : first.splits().get(outcome.segments() - 1).endMs()
                        - second.splits().get(outcome.segments() - 1).endMs();
        assertThat(outcome.wonMs()).isEqualTo(clocks);
    }

    @Test
    void aRecordOfProjectionsHasHitsAndBias() {
        Range range = new Range(finish(610), finish(600), finish(590), 100);
        ProjectionRecord record = ProjectionRecord.of(List.of(
                        new Checked(finish(600), Optional.of(range), finish(606)),
                        new Checked(finish(600), Optional.of(range), finish(618))))
                .orElseThrow();
        assertThat(record.hits()).isEqualTo(1);
        assertThat(record.biasPercent()).isCloseTo(2, within(1e-9));
        assertThat(ProjectionRecord.of(List.of())).isEmpty();
    }

    /** Typical error: SD of the differences over √2 (Hopkins 2000). Differences 1, 2, 3 %: SD 1, so 0.71 %. */
    @Test
    void typicalErrorIsTheSpreadOfDifferencesOverRootTwo() {
        List<Score[]> pairs = List.of(pair(1), pair(2), pair(3));
        assertThat(ProjectionRecord.typicalErrorPercent(pairs).orElseThrow()).isCloseTo(Math.sqrt(0.5), within(1e-9));
        assertThat(ProjectionRecord.typicalErrorPercent(pairs.subList(0, 2))).isEmpty();
        // Student's t with two degrees of freedom: 4.3027 (table); √2 · √½ = 1.
        assertThat(ProjectionRecord.variationPercent(pairs).orElseThrow()).isCloseTo(4.3027, within(0.0001));
    }

    private static Score[] pair(int percent) {
        return new Score[] {finish(100), finish(100 + percent)};
    }

    private static Score finish(int seconds) {
        return new Score.Finished(1000L * seconds, 10);
    }

    /** Five burpees tapped within a quarter of a second: nobody means that as a plan, and the projection is made all the same. */
    @Test
    void aLogThatNobodyCanMeanStillMakesACall() {
        AttemptLog log = Samples.log("# A\nfor time\n  5 burpee\n", "A 0.1, F 0.15, F 0.2, F 0.25, F 0.3, F 0.35");
        Plan plan = RetestPlan.of(log, List.of(), FatigueCost.NONE);
        assertThat(plan.line(0).every().secondsPerUnit()).isLessThan(0.1);
        assertThatThrownBy(() -> plan.meantFor(log.expanded()))
                .hasMessageContaining("Pace of the burpee: A pace is 0.1");
    }
}
