package wake.log;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.log;

import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.units.Quantity;
import wake.units.Unit;

class ScoreTest {
    private static final String AMRAP =
            "# A\namrap 2:00\n  buy-in: 10 cal ski\n  repeat:\n    4 burpee\n    6 thruster\n";

    @Test
    void anAmrapScoresWholeRoundsAndWhatWasDoneOfTheNext() {
        AttemptLog log = log(AMRAP, "D 20, D 34, D 50, D 64, D 80, A 82, F 85, F 88, X 120");
        assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 2, 2, 10 + 20 + 2, false));
        assertThat(log.score().words()).isEqualTo("2 rounds + 2");
    }

    /** Two rungs of a ladder are whole, 2 + 4; of the third, 2 of its 6 thrusters are done. */
    @Test
    void whatIsShortOfTheEndSaysWhereItGotTo() {
        String ladder = "# A\namrap 2:00\n  repeat:\n    2+2 thruster @ 40 kg\n    3 burpee\n";
        AttemptLog log = log(ladder, "D 8, D 17, D 33, D 42, A 44, F 47, F 50, X 120");
        assertThat(log.scoreWords()).isEqualTo("14 reps (2 rounds + 2)");
        assertThat(log.reached()).contains("round 3, 2 of 6 thruster @ 40 kg");
        assertThat(log(ladder, "D 8, D 17, D 33, X 120").reached()).contains("before round 2, 3 burpee");
        String capped = "# A\nfor time, cap 2:00\n  10 thruster @ 40 kg\n  10 burpee\n";
        assertThat(log(capped, "D 80, A 85, F 90, X 120").reached()).contains("1 of 10 burpee");
        assertThat(log(capped, "D 80, D 110").reached())
                .as("the clock is the score")
                .isEmpty();
        assertThat(log(capped, "D 80, A 85, F 90").reached())
                .as("it is not over")
                .isEmpty();
    }

    @Test
    void beforeTheFirstRoundIsWholeTheBuyInCountsAsReps() {
        AttemptLog log = log(AMRAP, "D 20, A 22, F 25, X 120");
        assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 0, 11, 11, false));
        assertThat(log.score().words()).isEqualTo("11 reps");
    }

    @Test
    void intervalsScoreTheirReps() {
        AttemptLog log = log("# A\nevery 1:00 x 2\n  6 burpee\n", "A 0.5, D 20, A 60.4, F 63, F 66, X 120");
        assertThat(log.score()).isEqualTo(new Score.Reps(120_000, 8));
        SegmentSplit second = log.splits().get(1);
        assertThat(second.waitMs()).isEqualTo(40_000);
        assertThat(second.transitionMs()).isEqualTo(400);
    }

    @Test
    void aCutOffStopsTheAttemptThere() {
        AttemptLog log = log(
                "# A\nfor time, cap 5:00\n  2 rounds:\n    6 burpee\n  by 1:00 after round 1\n",
                "A 1, F 20, F 40, X 75");
        assertThat(log.score()).isEqualTo(new Score.Capped(60_000, 2, 10));
        AttemptLog passed =
                log("# A\nfor time, cap 5:00\n  2 rounds:\n    6 burpee\n  by 1:00 after round 1\n", "D 59, D 130");
        assertThat(passed.score()).isEqualTo(new Score.Finished(130_000, 12));
    }

    @Test
    void aLiftWindowScoresItsHeaviestLiftMade() {
        assertThat(Lift.load("187.5 lb")).contains(new Quantity(new BigDecimal("187.5"), Unit.POUND));
        assertThat(Lift.load("heavy")).isEmpty();
        Mark made = lift(60_000, "80 kg", 1);
        Mark missed = lift(130_000, "85 kg", 0);
        Mark pounds = lift(200_000, "180 lb", 1);
        AttemptLog log = AttemptLog.of(
                Samples.expanded("# A\nlift 7:00, best of 1 power clean\n"), java.util.List.of(made, missed, pounds));
        assertThat(log.rejected()).isEmpty();
        assertThat(log.score().words()).isEqualTo("180 lb");
        assertThat(log.lifts()).extracting(Lift::made).containsExactly(true, false, true);
    }

    private static Mark lift(long atMs, String load, int made) {
        Mark mark = Mark.of(MarkKind.LIFT, atMs);
        return new Mark(mark.id(), mark.kind(), atMs, made, Granularity.SET, "", load, 0.1);
    }

    @Test
    void aDistanceCountsOnceItIsCompleted() {
        AttemptLog log = log("# A\nfor time, cap 2:00\n  400 m run\n  10 burpee\n", "A 0, X 120");
        assertThat(log.score()).isEqualTo(new Score.Capped(120_000, 0, 11));
    }

    @Test
    void theTieBreakIsTheClockWhereTheWorkoutSaysSo() {
        AttemptLog log =
                log("# A\nfor time\n  3 rounds:\n    6 burpee\n  tie-break after round 2\n", "D 20, D 43.5, D 66");
        assertThat(log.tieBreaks()).singleElement().satisfies(tieBreak -> {
            assertThat(tieBreak.clockMs()).isEqualTo(43_500);
            assertThat(tieBreak.after()).isEqualTo("round 2");
        });
    }

    @Test
    void scoresOfThePartAreCompared() {
        Score fast = new Score.Finished(500_000, 100);
        Score slow = new Score.Finished(510_000, 100);
        Score capped = new Score.Capped(600_000, 90, 10);
        assertThat(Score.compare(fast, slow)).isPositive();
        assertThat(Score.compare(capped, slow)).isNegative();
        assertThat(Score.compare(new Score.Rounds(1, 5, 3, 53, false), new Score.Rounds(1, 5, 4, 54, false)))
                .isNegative();
        Score kilograms = new Score.Load(Optional.of(Quantity.of(82, Unit.KILOGRAM)), 1);
        Score pounds = new Score.Load(Optional.of(Quantity.of(180, Unit.POUND)), 1);
        assertThat(Score.compare(kilograms, pounds)).isPositive();
        assertThat(Score.compare(new Score.Load(Optional.empty(), 1), pounds)).isNegative();
    }

    @Test
    void theMarginIsInTheUnitThatDecides() {
        assertThat(Score.margin(new Score.Finished(500_000, 100), new Score.Finished(512_300, 100)))
                .isEqualTo("12.3 s");
        assertThat(Score.margin(new Score.Rounds(1, 5, 3, 53, false), new Score.Rounds(1, 5, 4, 54, false)))
                .isEqualTo("1 rep");
        assertThat(Score.margin(new Score.Finished(1, 100), new Score.Capped(1, 90, 10)))
                .isEqualTo("10 reps");
        Score kilograms = new Score.Load(Optional.of(Quantity.of(82, Unit.KILOGRAM)), 1);
        Score pounds = new Score.Load(Optional.of(Quantity.of(180, Unit.POUND)), 1);
        assertThat(Score.margin(pounds, kilograms)).isEqualTo("0.4 kg");
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void aSimulatedAttemptScoresWhatItsTruthCounts(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), attempt.truth());
        int counted = 0;
        for (SegmentSplit split : log.splits()) {
            counted += split.complete() ? split.segment().score() : split.counted();
        }
        assertThat(log.score().done()).isEqualTo(counted);
    }
}
