package wake.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.expanded;
import static wake.Samples.log;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.PlanWalk;
import wake.Samples;
import wake.Shelf;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.plan.Draft;
import wake.plan.Forecast;
import wake.plan.PlannedSegment;
import wake.units.Digits;
import wake.words.ReviewWords;
import wake.workout.ExpandedWorkout;
import wake.workout.Lap;

/** Only like is held against like: load, block, depth, and what the buzzer left. */
class LikeWithLikeTest {
    private static Reading bestSplits(AttemptLog log) {
        return Reading.of(log, Baseline.bestSplits(log));
    }

    /** A bar that gets heavier each round, burpees at one pace: nothing was lost, and no shape can be told from the bar. */
    private static AttemptLog risingBar(long scatterMs, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        ExpandedWorkout expanded = expanded(Shelf.RISING_BAR);
        double[] perRep = {2.4, 4.6, 5.6, 8.4};
        int[] reps = {14, 11, 8, 5};
        List<Mark> marks = new ArrayList<>();
        double clock = 0;
        for (int round = 0; round < 4; round++) {
            for (int line = 0; line < 2; line++) {
                clock += round + line == 0 ? 0 : 3000;
                marks.add(Mark.of(MarkKind.BEGIN, Math.round(clock)));
                double rep = line == 0 ? 1000 * perRep[round] : 3200;
                for (int i = 0; i < (line == 0 ? reps[round] : 8); i++) {
                    clock += rep + (scatterMs == 0 ? 0 : random.nextLong(-scatterMs, scatterMs + 1));
                    marks.add(Mark.of(MarkKind.REP, Math.round(clock)));
                }
            }
        }
        return AttemptLog.of(expanded, marks);
    }

    @Test
    void aBarThatGetsHeavierIsNoFastStart() {
        Reading reading = bestSplits(risingBar(0, 1));
        assertThat(reading.findings()).isEmpty();
        assertThat(reading.ledger().totalMs()).isZero();
        assertThat(reading.pace().shape()).contains(Pace.Shape.EVEN);
        assertThat(reading.pace().by()).containsExactly("burpee");
        assertThat(reading.movements().getFirst().fadePercent()).isEmpty();
        assertThat(reading.movements().getFirst().noFade()).isPresent();
        assertThat(reading.blocks().getFirst().differentWork())
                .hasValueSatisfying(why -> assertThat(why).contains("load"));
        assertThat(ReviewWords.headline(reading)).contains(" compared)");
    }

    @ParameterizedTest
    @MethodSource("wake.reading.PlantedCauseTest#seeds")
    void withOnlyTheLoadChangingThereIsNoFinding(long seed) {
        assertThat(bestSplits(risingBar(120, seed)).findings()).isEmpty();
    }

    @Test
    void theDraftSlowsWithTheBarAndLeavesTimeToChangeIt() {
        ExpandedWorkout expanded = expanded(Shelf.RISING_BAR);
        List<PlannedSegment> planned = Forecast.of(expanded, Draft.of(expanded)).segments();
        List<Double> snatch = planned.stream()
                .filter(one -> one.segment().lineIndex() == 0)
                .map(one -> one.workMs() / 1000.0 / one.segment().units())
                .toList();
        assertThat(snatch).isSorted().doesNotHaveDuplicates();
        assertThat(planned.get(2).transitionMs()).isGreaterThan(planned.get(1).transitionMs());
    }

    /** The buzzer is no loss: 5 burpees by 0:10, the way to 0:20, nothing of the cleans broken down by 1:00. */
    @Test
    void whatTheBuzzerCutOffIsUnfinished() {
        AttemptLog log = log("# A\namrap 1:00\n  5 burpee\n  10 power clean @ 40 kg\n", "A 0, D 10, A 20, X 60");
        Reading reading = bestSplits(log);
        assertThat(reading.ledger().totals()).containsEntry(Cause.UNFINISHED, 50_000L);
        assertThat(reading.ledger().totalMs()).isZero();
        assertThat(reading.findings()).isEmpty();
        assertThat(ReviewWords.headline(reading)).startsWith("No movement repeats");
        assertThat(reading.clock().total().totalMs()).isEqualTo(60_000);
        assertThat(reading.clock().total().unfinishedMs()).isEqualTo(50_000);
    }

    /** One long segment cut off at 28 of 100 is its own baseline: 28 are allowed, not 28 hundredths of 28. */
    @Test
    void theShareDoneIsScaledOnce() {
        AttemptLog log = log(
                "# A\nfor time, cap 4:00\n  100 wall walk\n",
                "A 0, O 50 x8, N 60, O 110 x8, N 120, O 170 x8, N 180, X 205 x28");
        Reading reading = bestSplits(log);
        assertThat(log.score().done()).isEqualTo(28);
        assertThat(reading.ledger().totals()).containsEntry(Cause.REST, 0L).containsEntry(Cause.UNFINISHED, 0L);
        assertThat(reading.ledger().totalMs()).isLessThan(5000);
    }

    @Test
    void anIntervalsRoundStartsWhenItOpens() {
        StringBuilder jotted = new StringBuilder();
        for (int i = 0; i < 6; i++) {
            jotted.append("A %d, D %d, A %d, D %d, ".formatted(120 * i, 120 * i + 40, 120 * i + 42, 120 * i + 80));
        }
        Reading reading = bestSplits(log(Shelf.INTERVALS, jotted.substring(0, jotted.length() - 2)));
        Rounds rounds = reading.blocks().getFirst();
        assertThat(rounds.splits()).extracting(Rounds.Round::elapsedMs).containsOnly(80_000L);
        assertThat(rounds.consistency().orElseThrow().decrementPercent()).isZero();
        assertThat(rounds.splits().get(1).startMs()).isEqualTo(120_000);
    }

    /** What is worked out from the reps of a segment does not lie before its interval opens. */
    @Test
    void aFirstActionIsNotInferredBeforeItsInterval() {
        AttemptLog log = log("# A\nevery 1:00 x 2\n  3 burpee\n", "A 0, F 5, F 10, F 15, F 62, F 67, F 72");
        assertThat(log.splits().get(1).waitMs()).isEqualTo(45_000);
        assertThat(log.splits().get(1).beginMs()).hasValue(60_000);
    }

    @Test
    void twoBlocksOfThreeRoundsAreSixLaps() {
        StringBuilder jotted = new StringBuilder();
        for (int i = 1; i <= 12; i++) {
            jotted.append("D ").append(10 * i).append(" seg, ");
        }
        AttemptLog log = log(Shelf.TWO_BLOCKS, jotted.substring(0, jotted.length() - 2));
        Reading reading = bestSplits(log);
        assertThat(reading.blocks()).hasSize(2);
        assertThat(reading.blocks())
                .allSatisfy(block -> assertThat(block.splits())
                        .extracting(Rounds.Round::elapsedMs)
                        .containsExactly(20_000L, 20_000L, 20_000L));
        assertThat(reading.sections())
                .extracting(SectionReading::label)
                .containsExactly("3 rounds of burpee and thruster", "3 rounds of pull-up and push-up");
        assertThat(log.splits().get(7).segment().place()).isEqualTo("round 1 of pull-up and push-up, 12 push-up");
    }

    @Test
    void aCutOffBelongsToItsBlock() {
        ExpandedWorkout expanded = expanded(Shelf.TWO_BLOCKS);
        assertThat(expanded.cutOffs()).hasSize(2);
        assertThat(expanded.cutOffs().get(0).lastIndex()).isEqualTo(3);
        assertThat(expanded.cutOffs().get(1).lastIndex()).isEqualTo(7);
        assertThat(expanded.cutOffs().get(1).words()).isEqualTo("round 1 of pull-up and push-up");
    }

    @Test
    void aMissedCutOffStands() {
        AttemptLog log = log(Shelf.TWO_BLOCKS, "D 60 seg, D 130 seg, D 200 seg, X 240");
        List<Margins.CutOff> cutOffs = bestSplits(log).margins().cutOffs();
        assertThat(cutOffs)
                .singleElement()
                .satisfies(cutOff -> assertThat(cutOff.missed()).isTrue());
    }

    @Test
    void aBuyInDoesNotHideTheShape() {
        List<Mark> marks = new PlanWalk(expanded(Shelf.ROUNDS), PlanWalk.plan(expanded(Shelf.ROUNDS), 3)).marks();
        assertThat(bestSplits(AttemptLog.of(expanded(Shelf.ROUNDS), marks))
                        .pace()
                        .shape())
                .isPresent();
    }

    /** 60, 61, 60, 62, 61 and a round of 75: even, but for the last. */
    @Test
    void oneRoundThatStandsOutIsNoShape() {
        Reading reading = bestSplits(log(
                "# A\nfor time\n  6 rounds:\n    10 burpee\n",
                "D 60 seg, D 121 seg, D 181 seg, D 243 seg, D 304 seg, D 379 seg"));
        assertThat(reading.pace().shape()).contains(Pace.Shape.EVEN);
        assertThat(reading.pace().apart()).map(Lap::number).contains(6);
    }

    /** +3, +6, +9 and −12: nothing of the 6 s lost in all lies in one round. */
    @Test
    void nearlyAllOfItIsSaidOfWhatWasLostNotOfWhatIsLeft() {
        String notation = "# A\nfor time\n  4 rounds:\n    10 thruster @ 30 kg\n    5 burpee\n";
        ExpandedWorkout expanded = expanded(notation);
        wake.plan.Plan plan = new wake.plan.Plan(List.of(
                new wake.plan.Plan.LinePacing(
                        0, new wake.plan.Pacing(0, wake.plan.SetScheme.UNBROKEN, 3, 0), java.util.Map.of()),
                new wake.plan.Plan.LinePacing(
                        1, new wake.plan.Pacing(0, wake.plan.SetScheme.UNBROKEN, 3, 0), java.util.Map.of())));
        AttemptLog log = log(
                notation,
                "A 0, D 33, A 33, D 48, A 48, D 84, A 84, D 99, A 99, D 138, A 138, D 153, A 153, D 171, A 171, D 186");
        Reading reading = Reading.of(log, Baseline.plan(Forecast.of(expanded, plan)));
        assertThat(ReviewWords.finding(reading.findings().getFirst(), Digits.TENTHS))
                .doesNotContain("nearly all");
    }

    /** From round times alone nobody knows which movement it was. */
    @Test
    void roundTimesGiveRoundsOnly() {
        ExpandedWorkout expanded = expanded("# A\nfor time\n  4 rounds:\n    10 burpee\n    20 air squat\n");
        List<Mark> marks = new ArrayList<>();
        long[] ends = {60, 121, 190, 252};
        long before = 0;
        for (long end : ends) {
            marks.add(
                    Mark.of(MarkKind.DONE, 1000 * before + 400 * (end - before)).withDepth(Granularity.ROUND));
            marks.add(Mark.of(MarkKind.DONE, 1000 * end).withDepth(Granularity.SEGMENT));
            before = end;
        }
        AttemptLog log = AttemptLog.of(expanded, marks);
        Reading reading = bestSplits(log);
        assertThat(reading.movements()).isEmpty();
        assertThat(reading.limiter()).isEmpty();
        assertThat(reading.ledger().rows()).extracting(Ledger.Row::movement).containsExactly("whole rounds");
        assertThat(reading.clock().byLine()).extracting(ClockBudget.Entry::name).containsExactly("whole rounds");
        assertThat(reading.blocks().getFirst().consistency()).isPresent();
        Reading planned = Reading.of(log, Baseline.plan(Forecast.of(expanded, Draft.of(expanded))));
        assertThat(planned.findings())
                .allSatisfy(finding -> assertThat(ReviewWords.finding(finding, Digits.TENTHS))
                        .doesNotContain("burpee")
                        .doesNotContain("squat"));
    }

    /** A mirrored chipper: the second time on the same thing is held against the first. */
    @Test
    void theSecondTimeIsHeldAgainstTheFirst() {
        AttemptLog log = log(Shelf.MIRRORED, "A 0, D 75, A 80, D 160, A 165, D 205, A 210, D 300, A 340, D 452");
        Reading reading = bestSplits(log);
        assertThat(ReviewWords.finding(reading.findings().getFirst(), Digits.TENTHS))
                .startsWith("Second row")
                .contains("37.0 s");
        assertThat(reading.outliers()).extracting(Outlier::what).containsExactly("transition to 30 cal row (second)");
    }

    /** Inside one segment its own sets are the baseline. */
    @Test
    void setsThatSlowInsideASegmentAreAFinding() {
        AttemptLog log = log(
                "# A\nfor time\n  40 wall-ball shot @ 9 kg\n  400 m run\n",
                "A 0, O 20 x10, N 25, O 45 x10, N 50, O 74 x10, N 79, D 105, A 110, D 200");
        Finding first = bestSplits(log).findings().getFirst();
        assertThat(first.cause()).isEqualTo(Cause.PACE);
        assertThat(first.movement()).isEqualTo("wall-ball shot");
        assertThat(first.lostMs()).isBetween(9000L, 11_000L);
    }

    @Test
    void whereNothingComparesItIsSaidAndNothingIsPraised() {
        AttemptLog log =
                log("# A\nfor time\n  400 m run\n  30 burpee\n  50 air squat\n", "D 95 seg, D 200 seg, D 290 seg");
        Reading reading = bestSplits(log);
        assertThat(ReviewWords.headline(reading))
                .isEqualTo("No movement repeats, so there are no best splits. Compare with a plan or another attempt.");
        assertThat(ReviewWords.noFindings(reading)).isEqualTo(ReviewWords.headline(reading));
    }

    /** The second length taken at the first's place: identity, not index. */
    @Test
    void anotherVersionIsMatchedByWhatWasDone() {
        AttemptLog mine = log(
                "# A\nfor time\n  2 rounds:\n    6 burpee\n    9 thruster @ 40 kg\n",
                "A 0, D 18, A 20, D 38, A 40, D 58, A 60, D 78");
        AttemptLog theirs = log(
                "# A\nfor time\n  2 rounds:\n    9 thruster @ 40 kg\n    6 burpee\n",
                "A 0, D 18, A 20, D 38, A 40, D 58, A 60, D 78");
        Reading reading = Reading.of(mine, Baseline.attempt(theirs, "theirs", mine));
        assertThat(reading.ledger().totals()).containsEntry(Cause.PACE, 0L).containsEntry(Cause.UNLIKE, 0L);
    }

    @Test
    void anotherLoadIsNotAlike() {
        AttemptLog light = log("# A\nfor time\n  9 thruster @ 30 kg\n  6 burpee\n", "A 0, D 18, A 20, D 38");
        AttemptLog heavy = log("# A\nfor time\n  9 thruster @ 45 kg\n  6 burpee\n", "A 0, D 30, A 32, D 50");
        Reading reading = Reading.of(heavy, Baseline.attempt(light, "the light one", heavy));
        assertThat(reading.ledger().totals())
                .containsEntry(Cause.UNLIKE, 12_000L)
                .containsEntry(Cause.PACE, 0L);
        assertThat(reading.findings()).isEmpty();
    }

    /** Right arm and left arm are two lines, though the movement is one. */
    @Test
    void linesOfOneMovementStayApart() {
        AttemptLog log = log(
                "# A\nfor time\n  3 rounds:\n    10 kettlebell swing @ 24 kg // right\n    10 kettlebell swing @ 24 kg // left\n",
                "A 0, D 20, A 22, D 42, A 44, D 64, A 66, D 86, A 88, D 108, A 110, D 130");
        assertThat(bestSplits(log).ledger().rows())
                .extracting(Ledger.Row::movement)
                .containsExactly("kettlebell swing (right)", "kettlebell swing (left)");
    }

    /** A trip in a segment of which only the ends were noted: no column of where the clock went is below nothing. */
    @Test
    void theClockIsNeverSpentBelowNothing() {
        Reading reading = bestSplits(log(
                "# A\nfor time\n  3 rounds:\n    30 double under\n    5 burpee\n",
                "A 0, D 15, A 17, D 27, A 30, W 36, D 52 seg, A 54, D 64, A 66, D 81, A 83, D 93"));
        assertThat(reading.clock().byLine())
                .allSatisfy(entry -> assertThat(entry.workMs()).isNotNegative());
        assertThat(reading.clock().total().totalMs()).isEqualTo(93_000);
    }

    private static Mark note(int number, long atMs, String tag, String text) {
        return new Mark(new java.util.UUID(9, number), MarkKind.CUE, atMs, 0, Granularity.SET, tag, text, 0);
    }

    /** Only what was said to the athlete is held against what came before it. */
    @Test
    void cuesAreComparedWithWhatWasBefore() {
        String jotted = "A 0, O 10 x5, N 12, O 22 x5, N 24, O 32 x5, N 34, D 42, A 50, D 60";
        ExpandedWorkout expanded = expanded("# A\nfor time\n  20 thruster @ 30 kg\n  5 burpee\n");
        List<Mark> marks = new ArrayList<>(Samples.marks(jotted));
        marks.add(note(9, 23_000, Mark.CUE_GIVEN, "breathe at the top"));
        assertThat(bestSplits(AttemptLog.of(expanded, marks)).notes())
                .singleElement()
                .satisfies(effect -> {
                    assertThat(effect.beforeS()).isEqualTo(2.0);
                    assertThat(effect.afterS()).isEqualTo(1.6);
                });
        marks.set(marks.size() - 1, note(9, 23_000, "breath", "holds the breath"));
        assertThat(bestSplits(AttemptLog.of(expanded, marks)).notes()).isEmpty();
    }

    /** Heels up in three of twenty squats on the right, once on the left: counted by line and round, cues and efforts are not. */
    @Test
    void whatWasObservedIsCounted() {
        List<Mark> marks = new ArrayList<>(Samples.marks("A 0, D 20, A 22, D 42, A 44, D 64, A 66, D 86"));
        marks.add(note(1, 5000, "posture", "heels lifted"));
        marks.add(note(2, 15_000, "", "Heels lifted "));
        marks.add(note(3, 50_000, "footwork", "heels lifted"));
        marks.add(note(4, 70_000, "", "heels lifted"));
        marks.add(note(5, 51_000, Mark.CUE_GIVEN, "heels down"));
        marks.add(note(6, 52_000, Mark.CUE_GIVEN, "heels down"));
        marks.add(note(7, 53_000, Mark.EFFORT, "8"));
        Reading reading = bestSplits(AttemptLog.of(
                expanded("# A\nfor time\n  2 rounds:\n    10 pistol squat // right\n    10 pistol squat // left\n"),
                marks));
        assertThat(reading.observations())
                .extracting(ReviewWords::observed)
                .containsExactly("“Heels lifted”: 3 times in 20 reps of pistol (right), rounds 1 and 2");
    }

    /** Movement splits alone: burpees of 30, 33 and 36 s fade, rests included; by hand 36/30 − 1 on the line through them. */
    @Test
    void movementSplitsFadeWithTheirRests() {
        Reading reading = bestSplits(log(
                "# A\nfor time\n  3 rounds:\n    200 m run\n    10 burpee\n",
                "D 50 seg, D 80 seg, D 130 seg, D 163 seg, D 213 seg, D 249 seg"));
        MovementReading burpees = reading.movements().getLast();
        assertThat(burpees.withRests()).isTrue();
        assertThat(burpees.fadePercent().orElseThrow()).isCloseTo(20, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(burpees.noFade()).isEmpty();
        // 10 in 36 and in 30 s. The first run has the way from the start in it; the others are 50 s for 200 m.
        assertThat(burpees.rates()).contains("17–20 reps/min");
        assertThat(reading.movements().getFirst().rates()).contains("4:10.0 /km");
    }
}
