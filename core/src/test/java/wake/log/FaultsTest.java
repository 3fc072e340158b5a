package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.log;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.projection.FatigueCost;
import wake.projection.RetestPlan;

/** What trips and misses cost, however closely they were watched. */
class FaultsTest {
    private static final String ROPE = "# A\nfor time\n  3 rounds:\n    30 double under\n    5 burpee\n";
    private static final String SINGLES = "# A\nfor time\n  5 power snatch @ 70 kg\n";

    private static SegmentSplit first(String notation, String jotted) {
        return log(notation, jotted).splits().getFirst();
    }

    /** Rounds two and three are clean at 0.5 s a turn; the first has a trip in it and took 9 s more. */
    @Test
    void aTripCostsItsSetLessItsRepsAtTheCleanPace() {
        SegmentSplit tripped =
                first(ROPE, "A 0, W 8, D 24, A 26, D 40, A 42, D 57, A 60, D 74, A 76, D 91, A 93, D 107");
        assertThat(tripped.faultMs()).isEqualTo(9000);
        assertThat(tripped.faults().getFirst().costMs()).hasValue(9000);
    }

    @Test
    void withoutACleanSetTheCostIsUnknown() {
        assertThat(first("# A\nfor time\n  30 double under\n", "A 0, W 8, D 24")
                        .faults()
                        .getFirst()
                        .costMs())
                .isEmpty();
    }

    /** The break that follows a trip belongs to it; told before the break or after it. */
    @ParameterizedTest
    @CsvSource({"'W 8, O 8, N 14'", "'O 8, W 8.5, N 14'"})
    void theBreakAfterATripIsTheTrips(String tripAndBreak) {
        AttemptLog log = log(
                ROPE, "A 0, " + tripAndBreak + ", D 21, A 23, D 37, A 40, D 55, A 57, D 71, A 74, D 89, A 91, D 105");
        SegmentSplit tripped = log.splits().getFirst();
        assertThat(log.rejected()).isEmpty();
        assertThat(tripped.restMs()).isZero();
        assertThat(tripped.rests()).isEmpty();
        assertThat(tripped.faultMs()).isEqualTo(6000);
        assertThat(tripped.elapsedMs()).isEqualTo(tripped.transitionMs() + tripped.workMs());
    }

    @Test
    void aTripIsNoSetOfTheScheme() {
        AttemptLog log =
                log(ROPE, "A 0, W 8, O 8 x15, N 14, D 21, A 23, D 37, A 40, D 55, A 57, D 71, A 74, D 89, A 91, D 105");
        assertThat(log.splits().getFirst().setsWritten()).isEqualTo("15×-15");
        assertThat(log.splits().getFirst().scheme()).containsExactly(30);
        assertThat(RetestPlan.of(log, List.of(), FatigueCost.NONE)
                        .line(0)
                        .every()
                        .sets()
                        .sizes())
                .isEmpty();
        assertThat(RetestPlan.of(log, List.of(), FatigueCost.NONE)
                        .line(0)
                        .rounds()
                        .values())
                .allMatch(pacing -> pacing.sets().sizes().isEmpty());
    }

    /** In singles a miss costs from its start to the start of the next try: here from 20 s to 41 s. */
    @Test
    void aMissedSingleCostsItsTryAndTheWaitForTheNext() {
        SegmentSplit split = first(
                SINGLES,
                "A 0, F 2, O 2.5, N 10, F 12, O 12.5, N 20, E 22, O 22.5, N 41, F 43, O 43.5, N 50, F 52, O 53, N 60, F 62");
        assertThat(split.setsWritten()).isEqualTo("1-1-×-1-1-1");
        assertThat(split.faultMs()).isEqualTo(21_000);
        assertThat(split.scheme()).containsExactly(1, 1, 1, 1, 1);
    }

    @Test
    void aMissWithoutTapsCostsTheSame() {
        SegmentSplit split = first(
                SINGLES,
                "A 0, O 2.5 x1, N 10, O 12.5 x1, N 20, E 22, O 22.5, N 41, O 43.5 x1, N 50, O 52 x1, N 60, D 62");
        assertThat(split.setsWritten()).isEqualTo("1-1-×-1-1-1");
        assertThat(split.faultMs()).isEqualTo(21_000);
    }

    @Test
    void repsLoggedWithTheEndAndTheBuzzerCount() {
        assertThat(first("# A\nfor time\n  20 thruster @ 30 kg\n", "A 0, O 24 x12, N 30, D 46 x8")
                        .setsWritten())
                .isEqualTo("12-8");
        AttemptLog wrong = log("# A\nfor time\n  20 thruster @ 30 kg\n", "A 0, O 24 x12, N 30, D 46 x5");
        assertThat(wrong.rejected().getFirst().reason()).contains("8 left");
        AttemptLog buzzer = log("# A\namrap 1:00\n  20 thruster @ 30 kg\n", "A 0, O 24 x12, N 30, X 60 x17");
        assertThat(buzzer.score().done()).isEqualTo(17);
        assertThat(buzzer.done().getFirst().unfinishedMs()).isZero();
        assertThat(log("# A\namrap 1:00\n  20 thruster @ 30 kg\n", "A 0, O 24 x12, N 30, X 60 x9")
                        .rejected()
                        .getFirst()
                        .reason())
                .contains("12 of");
    }

    /** A return that nobody saw: what the miss cost after its set is not known, and is not made up. */
    @Test
    void aBreakThatNobodySawTheEndOfIsNotTheFaults() {
        SegmentSplit split = first(SINGLES, "A 0, F 2, O 2.5, N 10, E 12, O 12.5, D 62 seg");
        assertThat(split.faultMs()).isEqualTo(2500);
        assertThat(split.unseparatedMs()).isEqualTo(49_500);
        assertThat(split.elapsedMs())
                .isEqualTo(split.transitionMs() + split.workMs() + split.restMs() + split.unseparatedMs());
    }

    /** A variant lasts until it is changed, over rounds, and belongs to the movement it was called in. */
    @Test
    void aTechniqueLastsUntilItIsChanged() {
        List<Mark> marks = new java.util.ArrayList<>(
                Samples.marks("A 0, D 10, A 12, D 22, A 24, D 36, A 38, D 48, A 50, D 63, A 65, D 75"));
        marks.add(technique(11_000, "step over"));
        marks.add(technique(23_000, "jump"));
        marks.add(technique(49_500, "turn"));
        AttemptLog log = AttemptLog.of(
                Samples.expanded("# A\nfor time\n  3 rounds:\n    5 burpee\n    5 box jump @ 50 cm\n"), marks);
        assertThat(log.splits())
                .extracting(split -> split.technique().orElse(""))
                .containsExactly("", "step over", "jump", "step over", "turn", "step over");
    }

    private static Mark technique(long atMs, String name) {
        return new Mark(new UUID(7, atMs), MarkKind.VARIANT, atMs, 0, Granularity.SET, "", name, 0);
    }
}
