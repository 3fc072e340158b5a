package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.reading.Reading;
import wake.reading.Yardstick;
import wake.units.Digits;
import wake.workout.Course;

class TimeSheetTest {
    private static final String TWO = "# A\nfor time\n  21 thruster\n  15 burpee\n";
    private static final String ROUNDS = "# A\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster\n";
    private static final String AMRAP = "# A\namrap 2:00\n  10 burpee\n  10 thruster\n";

    private static TimeSheet read(String notation, Each each, Times times, String text) {
        Course course = Samples.course(notation);
        return TimeSheet.read(text, each, times, course, Draft.of(course));
    }

    private static AttemptLog log(String notation, TimeSheet sheet) {
        assertThat(sheet.rows()).allSatisfy(row -> assertThat(row.problem()).isEmpty());
        AttemptLog log = AttemptLog.of(Samples.course(notation), sheet.marks());
        assertThat(log.oddities()).isEmpty();
        assertThat(log.splits().stream().mapToLong(SegmentSplit::elapsedMs).sum())
                .isEqualTo(log.clockMs());
        return log;
    }

    @Test
    void timesTypedInWholeSecondsAreShownSo() {
        AttemptLog whole = log(TWO, read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32 1:32\n2:11 3:47"));
        assertThat(whole.digits()).isEqualTo(Digits.WHOLE);
        assertThat(whole.scoreWords()).isEqualTo("3:47");
        AttemptLog tenths = log(TWO, read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32.4 1:32.4\n2:11.0 3:47.1"));
        assertThat(tenths.scoreWords()).isEqualTo("3:47.1");
        AttemptLog rounds = log(ROUNDS, read(ROUNDS, Each.ROUND, Times.SPLITS, "0:30\n0:34\n0:41"));
        assertThat(Reading.of(rounds, Yardstick.ownBest(rounds)).answer())
                .isEqualTo("9 s behind own best; round 3 took the most of it.");
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
        assertThat(splits.rows()).isEqualTo(clocks.rows());
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
    void anAmrapEndsWithItsBell() {
        AttemptLog log =
                log(AMRAP, read(AMRAP, Each.SET, Times.CLOCK, "10 0:35\n10 1:02\n6 1:25\n4 1:40\n5 1:58\nbell"));
        assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 1, 15, 35));
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
                "MOVEMENT|SPLITS|1:32/burpee|Expected a time",
                "MOVEMENT|CLOCK|1:32/1:20|Expected a clock after 1:32, got 1:20",
                "MOVEMENT|SPLITS|1:32 1:32/2:30 3:47|longer than the 2:15 between",
                "MOVEMENT|SPLITS|1:32/2:11/0:30|ends with the line before",
                "MOVEMENT|SPLITS|1:32 1:32 1:32|got 3 times",
                "MOVEMENT|SPLITS|1:75|seconds below 60",
                "SET|SPLITS|25 0:50|more than the 21",
                "SET|SPLITS|0 0:50|one rep or more",
                "MOVEMENT|SPLITS|1:32/stop 1:00|Expected the stop after 1:32",
                "MOVEMENT|SPLITS|1:32/stop 2:00/0:10|over on the line before",
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
    void timesPastTheBellAreRefused() {
        assertThat(read(AMRAP, Each.MOVEMENT, Times.CLOCK, "2:30")
                        .rows()
                        .getFirst()
                        .problem())
                .hasValueSatisfying(said -> assertThat(said).contains("bell of 2:00"));
    }

    @Test
    void intervalsStartOnTheirMarks() {
        AttemptLog log = log(
                "# A\nevery 1:00 x 2\n  6 burpee\n",
                read("# A\nevery 1:00 x 2\n  6 burpee\n", Each.MOVEMENT, Times.SPLITS, "0:20\n0:24"));
        assertThat(log.splits().get(1).endMs()).isEqualTo(84_000);
    }

    /** What a log says, jotted to the tenth, says the same again. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void whatIsJottedFromALogReadsAsThatLog(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog truth = AttemptLog.of(attempt.course(), attempt.truth());
        StringBuilder text = new StringBuilder();
        List<SegmentSplit> whole =
                truth.splits().stream().filter(SegmentSplit::complete).toList();
        whole.forEach(split -> text.append(split.segment().label().replaceAll("\\d+", ""))
                .append('\t')
                .append(wake.units.ClockTime.of(split.endMs()).toTenths())
                .append('\n'));
        TimeSheet sheet = TimeSheet.read(
                text.toString(), Each.MOVEMENT, Times.CLOCK, attempt.course(), Draft.of(attempt.course()));
        AttemptLog read = AttemptLog.of(attempt.course(), sheet.marks());
        assertThat(read.splits().stream().filter(SegmentSplit::complete)).hasSameSizeAs(whole);
        for (int i = 0; i < whole.size(); i++) {
            assertThat(read.splits().get(i).endMs())
                    .isBetween(whole.get(i).endMs() - 50, whole.get(i).endMs() + 50);
        }
    }

    @Test
    void nonsenseNeverThrows() {
        SplittableRandom random = new SplittableRandom(5);
        String letters = "0123456789:. \t\nrest,stop;x–";
        for (int i = 0; i < 3000; i++) {
            StringBuilder text = new StringBuilder();
            for (int j = random.nextInt(60); j > 0; j--) {
                text.append(letters.charAt(random.nextInt(letters.length())));
            }
            for (Each each : Each.values()) {
                TimeSheet sheet = read(ROUNDS, each, Times.CLOCK, text.toString());
                assertThat(AttemptLog.of(Samples.course(ROUNDS), sheet.marks()).oddities())
                        .as(text.toString())
                        .isEmpty();
            }
        }
    }
}
