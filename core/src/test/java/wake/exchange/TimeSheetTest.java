package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.exchange.TypedTimes.ROUNDS;
import static wake.exchange.TypedTimes.TWO;
import static wake.exchange.TypedTimes.log;
import static wake.exchange.TypedTimes.read;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.reading.Baseline;
import wake.reading.Reading;
import wake.units.Digits;
import wake.words.ReviewWords;

class TimeSheetTest {
    @Test
    void timesTypedInWholeSecondsAreShownSo() {
        AttemptLog whole = log(TWO, read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32 1:32\n2:11 3:47"));
        assertThat(whole.digits()).isEqualTo(Digits.WHOLE);
        assertThat(whole.scoreWords()).isEqualTo("3:47");
        AttemptLog tenths = log(TWO, read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32.4 1:32.4\n2:11.0 3:47.1"));
        assertThat(tenths.scoreWords()).isEqualTo("3:47");
        AttemptLog rounds = log(ROUNDS, read(ROUNDS, Each.ROUND, Times.SPLITS, "0:30\n0:34\n0:41"));
        assertThat(ReviewWords.headline(Reading.of(rounds, Baseline.bestSplits(rounds))))
                .as("round 1 has no transition in it: 0:41 is held against 0:34")
                .isEqualTo(
                        "7 s slower than its best splits. Biggest loss: 7 s on whole rounds, most of it in round 3.");
    }

    /** The commonest slip at the whiteboard: splits of 1:32 and 2:11 make 3:43, but the clock says 3:47; common practice, no source. */
    @Test
    void theSecondsNeitherAccountsForAreTheWayThere() {
        TimeSheet sheet = read(TWO, Each.MOVEMENT, Times.SPLITS, "thruster 1:32 1:32\nburpee\t2:11\t3:47");
        assertThat(sheet.unaccountedMs()).isEqualTo(4000);
        assertThat(sheet.rows().get(1).gapMs()).isEqualTo(4000);
        AttemptLog log = log(TWO, sheet);
        assertThat(log.score()).isEqualTo(new Score.Finished(227_000, 36));
        assertThat(log.splits().get(1).transitionMs()).isEqualTo(4000);
        // Whether there were breaks in it, nobody saw.
        assertThat(log.splits().get(1).unseparatedMs()).isEqualTo(131_000);
    }

    @Test
    void splitsAloneAddUpAndClocksAloneAreTakenApart() {
        TimeSheet splits = read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32\n2:11");
        TimeSheet clocks = read(TWO, Each.MOVEMENT, Times.CLOCK, "1:32\n3:43");
        assertThat(splits.rows())
                .extracting(row -> row.splitMs(), row -> row.clockMs())
                .isEqualTo(clocks.rows().stream()
                        .map(row -> org.assertj.core.groups.Tuple.tuple(row.splitMs(), row.clockMs()))
                        .toList());
        assertThat(splits.rows()).extracting(row -> row.taken().orElseThrow()).containsOnly(Times.SPLITS);
        assertThat(log(TWO, splits).clockMs()).isEqualTo(223_000);
        assertThat(log(TWO, splits).splits().get(1).unseparatedMs()).isEqualTo(131_000);
    }

    /** Typed to the second, 1/√12 s (JCGM 100:2008, 4.3.7); a sum of two such adds in squares (5.1.2). */
    @Test
    void uncertaintyFollowsFromTheDigitsTyped() {
        double second = 1 / Math.sqrt(12);
        TimeSheet splits = read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32\n2:11");
        assertThat(splits.marks().get(0).uncertaintyS()).isEqualTo(second);
        assertThat(splits.marks().get(1).uncertaintyS()).isEqualTo(Math.hypot(second, second));
        TimeSheet tenths = read(TWO, Each.MOVEMENT, Times.CLOCK, "1:32.4\n3:43.1");
        assertThat(tenths.marks().get(1).uncertaintyS()).isEqualTo(0.1 / Math.sqrt(12));
    }

    @Test
    void roundsAreExactAndWhatIsInsideThemIsUncertainByAllOfThem() {
        AttemptLog log =
                log(ROUNDS, read(ROUNDS, Each.ROUND, Times.SPLITS, "round 1 0:40\nround 2 0:44\nround 3 0:42"));
        assertThat(log.score()).isEqualTo(new Score.Finished(126_000, 30));
        assertThat(log.splits().get(3).endMs()).isEqualTo(84_000);
        assertThat(log.splits().get(2).uncertaintyS()).isGreaterThan(44 / Math.sqrt(12));
    }

    @Test
    void setsWithTheirRestsBuildUpTheirSegments() {
        AttemptLog log = log(
                ROUNDS,
                read(
                        ROUNDS,
                        Each.SET,
                        Times.SPLITS,
                        "4 0:12\n4 0:08 0:22 rest 0:05\n2 0:05\n4 0:13\n6 0:16\n4 13\n3 8 rest 4\n3 8.5"));
        assertThat(log.phase()).isEqualTo(Phase.FINISHED);
        assertThat(log.splits().get(1).setsWritten()).isEqualTo("4-2");
        assertThat(log.splits().get(1).restMs()).isEqualTo(5000);
        assertThat(log.clockMs()).isEqualTo(94_500);
    }

    @Test
    void aHeadingAndRemarksAreLeftAside() {
        TimeSheet sheet = read(
                TWO,
                Each.MOVEMENT,
                Times.SPLITS,
                "movement\tsplit\tclock\n# from the notebook\n\n1. thruster\t92s\n15 burpee\t131s");
        assertThat(log(TWO, sheet).clockMs()).isEqualTo(223_000);
        assertThat(sheet.rows().getFirst().line()).isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "MOVEMENT|SPLITS|1:32/burpee|Write a time",
                "MOVEMENT|CLOCK|1:32/1:20|The clock time must be after 1:32, not 1:20",
                "MOVEMENT|SPLITS|1:32 1:32/2:30 3:47|longer than the 2:15 between",
                "MOVEMENT|SPLITS|1:32/2:11/0:30|ends with the line before",
                "MOVEMENT|SPLITS|1:32 1:32 1:32|not 3 times",
                "MOVEMENT|SPLITS|1:75|Seconds go up to 59",
                "SET|SPLITS|25 0:50|more than the 21",
                "SET|SPLITS|0 0:50|at least one rep",
                "MOVEMENT|SPLITS|1:32/stop 1:00|The stop must be after 1:32",
                "MOVEMENT|SPLITS|1:32/stop 2:00/0:10|ended on the line before",
                "MOVEMENT|SPLITS|0:00|above 0:00"
            })
    void eachLineSaysWhatIsWrongWithIt(Each each, Times times, String text, String problem) {
        TimeSheet sheet = read(TWO, each, times, text.replace("/", "\n"));
        assertThat(sheet.isSound()).isFalse();
        assertThat(sheet.marks()).isEmpty();
        assertThat(sheet.rows().getLast().problem())
                .hasValueSatisfying(said -> assertThat(said).contains(problem));
    }

    @Test
    void intervalsStartOnTheirMarks() {
        AttemptLog log = log(
                "# A\nevery 1:00 x 2\n  6 burpee\n",
                read("# A\nevery 1:00 x 2\n  6 burpee\n", Each.MOVEMENT, Times.SPLITS, "0:20\n0:24"));
        assertThat(log.splits().get(1).endMs()).isEqualTo(84_000);
    }

    /** A load, an amount or a height in a label is no time. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "round 1, 9 thruster @ 42.5 kg 1:05",
                "round 1 · 9 thruster @ 42.5 kg 1:05",
                "9 thruster @ 42.5 kg\t1:05",
                "9 thruster @ 42.5 kg 65",
                "9 thrusters 42.5kg 65 s",
                "9 THRUSTER  @  42.5 kg = 1:05",
                "1. thruster (9 reps) 1:05",
                "thruster 65.0"
            })
    void anExpectedLabelIsTakenOff(String line) {
        String notation = "# A\nfor time\n  2 rounds:\n    9 thruster @ 42.5 kg\n    200 m run\n";
        TimeSheet sheet = read(notation, Each.MOVEMENT, Times.SPLITS, line);
        assertThat(log(notation, sheet).clockMs()).isEqualTo(65_000);
    }

    @Test
    void anAmountAloneIsNoTime() {
        assertThat(read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32\n15 burpee")
                        .rows()
                        .getLast()
                        .problem())
                .hasValueSatisfying(said -> assertThat(said).contains("Write a time"));
    }

    /** The first set of a movement is one like the others. */
    @Test
    void firstSetsAreKept() {
        AttemptLog log = log(TWO, read(TWO, Each.SET, Times.SPLITS, "11 0:30 rest 5\n10 0:30\n8 0:24 rest 4\n7 0:22"));
        assertThat(log.splits().get(0).setsWritten()).isEqualTo("11-10");
        assertThat(log.splits().get(1).setsWritten()).isEqualTo("8-7");
        assertThat(log.splits())
                .allSatisfy(split -> assertThat(split.unseparatedMs()).isZero());
        assertThat(log.splits().get(1).workMs()).isEqualTo(46_000);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0:30/0:32/0:35|SPLITS|97",
                "0:30/1:02/1:37|CLOCK|97",
                // Slower each time, so that splits rise as well: rounds of 30, 2 and 3 s nobody does.
                "0:40/0:42/0:45|SPLITS|127",
                // Neither all splits nor all clocks can be meant once the clock of the cap is passed.
                "1:05/2:10/0:50|EITHER|180"
            })
    void splitsAndClocksAreDistinguishedBySense(String text, Times taken, long seconds) {
        String notation = "# A\nfor time, cap 3:10\n  3 rounds:\n    4 burpee\n    6 thruster\n    6 thruster\n";
        TimeSheet sheet = read(notation, Each.ROUND, Times.EITHER, text.replace("/", "\n"));
        assertThat(sheet.taken()).isEqualTo(taken);
        assertThat(log(notation, sheet).clockMs()).isEqualTo(1000 * seconds);
    }

    @Test
    void whereBothMakeSenseItIsSaid() {
        String notation = "# A\nfor time\n  10 burpee\n  20 burpee\n";
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "0:45\n1:50").unsure())
                .isTrue();
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "0:45\n0:50").unsure())
                .isFalse();
    }
}
