package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.LONG_REACH;
import static wake.Samples.SKIFF;
import static wake.Samples.log;

import java.util.List;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.simulation.SimulatedAttempt;

class AttemptLogTest {
    private static final String TWO_MOVES = "# A\nfor time\n  6 burpee\n  8 kettlebell swing\n";

    @Test
    void aSegmentSeenRepByRepSplitsIntoTransitionWorkAndRest() {
        SegmentSplit split = log(TWO_MOVES, "A 1, F 4, F 7, F 10, O 10.5, N 15, F 18, F 21, F 24")
                .splits()
                .getFirst();
        assertThat(split.complete()).isTrue();
        assertThat(split.transitionMs()).isEqualTo(1000);
        assertThat(split.restMs()).isEqualTo(4500);
        assertThat(split.workMs()).isEqualTo(18_500);
        assertThat(split.elapsedMs()).isEqualTo(24_000);
        assertThat(split.setsWritten()).isEqualTo("3-3");
        assertThat(split.secondsPerUnit()).hasValueCloseTo(18.5 / 6, within(1e-9));
    }

    @Test
    void setsWithCountsNeedNoTappedReps() {
        SegmentSplit split = log(TWO_MOVES, "A 1, O 13 x4, N 18, D 24").splits().getFirst();
        assertThat(split.setsWritten()).isEqualTo("4-2");
        assertThat(split.restMs()).isEqualTo(5000);
        assertThat(split.unseparatedMs()).isZero();
    }

    @Test
    void aSegmentKnownByItsEndOnlyStaysUnseparated() {
        AttemptLog log = log(TWO_MOVES, "D 20 seg, A 23, D 40 seg");
        assertThat(log.splits().get(0).unseparatedMs()).isEqualTo(20_000);
        assertThat(log.splits().get(1).transitionMs()).isEqualTo(3000);
        assertThat(log.splits().get(1).unseparatedMs()).isEqualTo(17_000);
        assertThat(log.splits().get(1).secondsPerUnit()).isEmpty();
    }

    @Test
    void watchedBySetAnUnbrokenSegmentIsOneSetOfWork() {
        SegmentSplit split = log(TWO_MOVES, "A 1, D 20").splits().getFirst();
        assertThat(split.setsWritten()).isEqualTo("6");
        assertThat(split.workMs()).isEqualTo(19_000);
    }

    @Test
    void anUnseenFirstActionIsInferredOneIntervalBeforeTheFirstRep() {
        SegmentSplit split =
                log(TWO_MOVES, "F 4, F 6, F 8, F 10, F 12, F 14").splits().getFirst();
        assertThat(split.beginMs()).isEqualTo(OptionalLong.of(2000));
        assertThat(split.beginInferred()).isTrue();
        assertThat(split.transitionMs()).isEqualTo(2000);
    }

    @Test
    void aRepAfterABreakInfersTheReturn() {
        SegmentSplit split = log(TWO_MOVES, "A 0, F 2, F 4, F 6, O 6.5, F 14, F 16, F 18")
                .splits()
                .getFirst();
        assertThat(split.rests()).singleElement().satisfies(rest -> {
            assertThat(rest.inferred()).isTrue();
            assertThat(rest.durationMs()).isEqualTo(5500);
        });
    }

    @Test
    void doneBeforeTheCountTakesTheRestOfTheRepsAsDone() {
        SegmentSplit split = log(TWO_MOVES, "A 0, F 2, F 4, D 12").splits().getFirst();
        assertThat(split.counted()).isEqualTo(6);
        assertThat(split.sets().getFirst().reps()).isEqualTo(OptionalInt.of(6));
    }

    /** From the definition: gap 5 s less the typical 2 s leaves 3 s, about what a burpee's no-rep costs (common practice, no source). */
    @Test
    void aNoRepCostsTheGapLessTheTypicalInterval() {
        SegmentSplit split = log(TWO_MOVES, "A 0, F 2, F 4, R 6.5, F 9, F 11, F 13, F 15")
                .splits()
                .getFirst();
        assertThat(split.faults())
                .singleElement()
                .satisfies(fault -> assertThat(fault.costMs()).hasValue(3000));
        assertThat(split.faultMs()).isEqualTo(3000);
    }

    @Test
    void twoFaultsInOneGapShareItsCost() {
        SegmentSplit split = log(TWO_MOVES, "A 0, F 2, F 4, R 6, R 8, F 11, F 13, F 15, F 17")
                .splits()
                .getFirst();
        assertThat(split.faults())
                .extracting(FaultSplit::costMs)
                .containsExactly(OptionalLong.of(2500), OptionalLong.of(2500));
    }

    @Test
    void aFaultWithoutTappedRepsHasNoKnownCost() {
        SegmentSplit split = log(TWO_MOVES, "A 0, R 5, D 20").splits().getFirst();
        assertThat(split.faults().getFirst().costMs()).isEmpty();
    }

    @Test
    void theFinishIsTheScore() {
        AttemptLog log = log(TWO_MOVES, "A 0, D 20, A 22, D 41.25");
        assertThat(log.phase()).isEqualTo(Phase.FINISHED);
        assertThat(log.score()).isEqualTo(new Score.Finished(41_250, 14));
        assertThat(log.score().words()).isEqualTo("0:41");
    }

    @Test
    void aCapCountsWhatIsMissing() {
        AttemptLog log = log(LONG_REACH, "A 0, D 90, A 95, O 120 x12, N 700, F 705, F 707, X 720.4");
        assertThat(log.score()).isEqualTo(new Score.Capped(720_000, 15, 114 - 15));
        assertThat(log.clockMs()).isEqualTo(720_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A 1, A 2                 | already started",
                "N 1                      | Not resting",
                "A 0, O 5 x2, O 6         | Already resting",
                "A 0, F 5, F 6 x3         | One rep at a time",
                "A 0, O 5 x6              | is all of",
                "A 0, D 9, A 10, D 20, F 21 | ended at 0:20.0",
                "A 0, X 5, F 6            | stopped at 0:05.0",
                "B 1, B 2                 | blocked already",
                "V 1                      | not blocked",
                "A -2                     | before the start"
            })
    void aMarkThatMakesNoSenseIsKeptApartWithItsReason(String jotted, String reason) {
        AttemptLog log = log(TWO_MOVES, jotted);
        assertThat(log.rejected())
                .singleElement()
                .satisfies(oddity -> assertThat(oddity.reason()).contains(reason));
    }

    @Test
    void caloriesAreNotTappedOneByOne() {
        AttemptLog log = log("# A\nfor time\n  8 cal row\n", "A 0, F 3");
        assertThat(log.rejected().getFirst().reason()).contains("Calories aren't counted one by one");
    }

    @Test
    void aMarkAfterTheCapIsRefused() {
        AttemptLog log = log(LONG_REACH, "A 0, D 90, A 95, D 721");
        assertThat(log.rejected().getFirst().reason()).contains("cap of 12:00 has passed");
    }

    @Test
    void blockedViewIsASpanOfItsOwn() {
        AttemptLog log = log(TWO_MOVES, "A 0, B 3, V 9, D 20, C 21, B 22, A 24");
        assertThat(log.blindSpans())
                .containsExactly(new AttemptLog.BlindSpan(3000, 9000), new AttemptLog.BlindSpan(22_000, 24_000));
        assertThat(log.blind()).isTrue();
    }

    @Test
    void everyKeySaysWhatItWouldDoNow() {
        List<KeyHint> hints = KeyHint.now(log(TWO_MOVES, "A 0, F 2, F 4"));
        assertThat(hints)
                .filteredOn(hint -> hint.kind() == MarkKind.REP)
                .singleElement()
                .satisfies(hint -> {
                    assertThat(hint.meaning()).isEqualTo("rep 3 of 6");
                    assertThat(hint.refusal()).isEmpty();
                });
        assertThat(hints)
                .filteredOn(hint -> hint.kind() == MarkKind.BEGIN)
                .allSatisfy(hint -> assertThat(hint.refusal()).isPresent());
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void everySecondClosesToTheClockHoweverCloselyItWasWatched(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        for (List<Mark> marks : List.of(attempt.truth(), Samples.blurred(attempt, seed))) {
            for (int upTo = 0; upTo <= marks.size(); upTo += 1 + marks.size() / 7) {
                AttemptLog log = AttemptLog.of(attempt.expanded(), marks.subList(0, upTo));
                assertThat(log.rejected()).isEmpty();
                assertCloses(log);
            }
            AttemptLog whole = AttemptLog.of(attempt.expanded(), marks);
            assertCloses(whole);
            assertThat(whole.clockMs()).isEqualTo(attempt.clockMs());
        }
    }

    private static void assertCloses(AttemptLog log) {
        long sum = 0;
        for (SegmentSplit split : log.splits()) {
            assertThat(split.arrivalMs()).isEqualTo(sum);
            assertThat(split.waitMs() + split.transitionMs() + split.workMs() + split.restMs() + split.unseparatedMs())
                    .isEqualTo(split.elapsedMs());
            assertThat(List.of(split.transitionMs(), split.workMs(), split.restMs(), split.unseparatedMs()))
                    .allMatch(ms -> ms >= 0);
            assertThat(split.faultMs()).isLessThanOrEqualTo(split.workMs() + split.unseparatedMs());
            sum += split.elapsedMs();
        }
        assertThat(sum).isEqualTo(log.clockMs());
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void theTruthGivesBackTheSimulatedSets(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        long breaks = attempt.truth().stream()
                .filter(mark -> mark.kind() == MarkKind.OFF)
                .count();
        assertThat(log.splits().stream().mapToInt(split -> split.rests().size()).sum())
                .isEqualTo((int) breaks);
        assertThat(log.splits())
                .filteredOn(SegmentSplit::complete)
                .allSatisfy(split ->
                        assertThat(split.counted()).isEqualTo(split.segment().score()));
    }

    /** JCGM 100:2008, 4.3.7 and 5.1.2: a 30 fps frame has u = 9.6 ms, a whole second 289 ms; two of 0.3 and 0.4 make 0.5. */
    @Test
    void resolutionsFollowTheGuide() {
        assertThat(Resolution.ofFrame(1 / 30.0)).isCloseTo(0.00962, within(1e-5));
        assertThat(Resolution.ofTyped(1)).isCloseTo(0.28868, within(1e-5));
        assertThat(Resolution.ofDifference(0.3, 0.4)).isCloseTo(0.5, within(1e-12));
        assertThat(Resolution.ofTap(2)).isCloseTo(0.2, within(1e-12));
    }

    @Test
    void aSplitCarriesTheResolutionOfItsEnds() {
        Mark end = Mark.of(MarkKind.DONE, 20_000);
        Mark tapped = new Mark(end.id(), end.kind(), end.atMs(), 0, Granularity.SET, "", "", 0.1);
        AttemptLog log = AttemptLog.of(Samples.expanded(SKIFF), List.of(Mark.of(MarkKind.BEGIN, 0), tapped));
        assertThat(log.splits().getFirst().uncertaintyS()).isCloseTo(0.1, within(1e-12));
    }
}
