package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.plan.Plan;
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
    void anAmrapEndsWithItsBell() {
        AttemptLog log =
                log(AMRAP, read(AMRAP, Each.SET, Times.CLOCK, "10 0:35\n10 1:02\n6 1:25\n4 1:40\n5 1:58\nbell"));
        assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 1, 15, 35, false));
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

    /** What was done beyond the last line counts, in the movement under way or over several of them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ROUND|0:40/stop 2:00 +7|1 round + 7|stop, 3 of round 2 · 6 thruster",
                "ROUND|0:40/stop 2:00 7|1 round + 7|stop, 3 of round 2 · 6 thruster",
                "ROUND|0:40/7 reps|1 round + 7|stop, 3 of round 2 · 6 thruster",
                "ROUND|0:40/+4|1 round + 4|stop, before round 2 · 6 thruster",
                "ROUND|0:40/bell|1 round + 0|stop",
                "MOVEMENT|0:15/stop 2:00 +5|9 reps|stop, 5 of round 1 · 6 thruster",
                "MOVEMENT|0:15/stop 2:00 +17|1 round + 11|stop, 1 of round 3 · 4 burpee",
                "SET|4 0:12/3 0:20/stop 2:00 +2|9 reps|stop, 5 of round 1 · 6 thruster"
            })
    void whatIsDoneAtTheStopCounts(Each each, String text, String score, String place) {
        String amrap = "# A\namrap 2:00\n  4 burpee\n  6 thruster\n";
        TimeSheet sheet = read(amrap, each, Times.SPLITS, text.replace("/", "\n"));
        AttemptLog log = log(amrap, sheet);
        if (score.startsWith("1 round + 11")) {
            assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 2, 1, 21, false));
        } else {
            assertThat(log.scoreWords()).isEqualTo(score);
        }
        assertThat(sheet.rows().getLast().place()).isEqualTo(place);
    }

    @Test
    void aStopInAChipperSaysWhatIsMissing() {
        String chipper = "# A\nfor time, cap 3:00\n  400 m run\n  21 thruster\n  15 burpee\n";
        AttemptLog log = log(chipper, read(chipper, Each.MOVEMENT, Times.SPLITS, "1:32\nstop 3:00 14"));
        assertThat(log.score()).isEqualTo(new Score.Capped(180_000, 15, 22));
        assertThat(read(chipper, Each.MOVEMENT, Times.SPLITS, "1:32\nstop 3:00 50")
                        .rows()
                        .getLast()
                        .problem())
                .hasValueSatisfying(said -> assertThat(said).contains("So much is not left"));
    }

    /** A load, an amount or a height in a label is no time. */
    @ParameterizedTest
    @ValueSource(
            strings = {
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
                .hasValueSatisfying(said -> assertThat(said).contains("Expected a time"));
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
    void splitsAndClocksAreToldApartBySense(String text, Times taken, long seconds) {
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

    /** A result of long ago: its score counts, and nothing is told of what lies inside it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|6:48|6:48",
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|cap + 17|10:00 + 17 missing",
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|10:00 + 17|10:00 + 17 missing",
                "amrap 9:00/4 burpee/6 thruster|5 + 7|5 rounds + 7",
                "amrap 9:00/4 burpee/6 thruster|6 rounds|6 rounds + 0",
                "every 2:00 x 3/5 burpee/5 thruster|27 reps|27 reps",
                "lift 8:00, best of 1 power clean|120 kg|120 kg"
            })
    void aScoreAloneMakesAnAttempt(String body, String written, String score) {
        String[] lines = body.split("/");
        StringBuilder notation = new StringBuilder("# A\n" + lines[0] + "\n");
        for (int i = 1; i < lines.length; i++) {
            notation.append("  ").append(lines[i]).append('\n');
        }
        TimeSheet sheet = read(notation.toString(), Each.SCORE, Times.EITHER, written);
        assertThat(sheet.rows()).allSatisfy(row -> assertThat(row.problem()).isEmpty());
        AttemptLog log = AttemptLog.of(Samples.course(notation.toString()), sheet.marks());
        assertThat(log.oddities()).isEmpty();
        assertThat(log.over()).isTrue();
        assertThat(log.scoreWords()).isEqualTo(score);
        assertThat(log.splits().stream()
                        .filter(SegmentSplit::complete)
                        .limit(Math.max(0, log.splits().size() - 1)))
                .noneMatch(SegmentSplit::endSeen);
    }

    @Test
    void liftsAreTyped() {
        String notation = "# A\nlift 8:00, best of 1 power clean\n";
        TimeSheet sheet =
                read(notation, Each.MOVEMENT, Times.EITHER, "0:40 60 kg\n2:10 70 made\n3:30 145 lb, miss\n5:00 150 x");
        AttemptLog log = AttemptLog.of(Samples.course(notation), sheet.marks());
        assertThat(log.lifts())
                .extracting(lift -> lift.load().orElseThrow().toString())
                .containsExactly("60 kg", "70 kg", "145 lb", "150 lb");
        assertThat(log.lifts()).extracting(wake.log.Lift::made).containsExactly(true, true, false, false);
        assertThat(log.scoreWords()).isEqualTo("70 kg");
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "2:10 70\n1:00 75")
                        .isSound())
                .isFalse();
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "2:10 70 heavy").isSound())
                .isFalse();
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "9:10 70").isSound())
                .isFalse();
    }

    @Test
    void liftsAreTypedWithTheirLengthTheMissedRepAndWhatWasLifted() {
        String notation = "# A\nlift 7:00, best of 2 hang power clean + 1 push jerk\n";
        TimeSheet sheet = read(
                notation,
                Each.MOVEMENT,
                Times.EITHER,
                "0:20 50 (1 power clean) 6s\n0:50 60 kg 22 s\n2:10 70 made in 22s\n3:30 75 miss on 2 15s\n5:00 75 fail on the jerk\n6:55 70 made 30s");
        AttemptLog log = AttemptLog.of(Samples.course(notation), sheet.marks());
        assertThat(log.oddities()).isEmpty();
        assertThat(log.over()).isTrue();
        assertThat(log.lifts())
                .extracting(lift -> lift.lengthMs().orElse(0))
                .containsExactly(6000L, 22_000L, 22_000L, 15_000L, 0L, 30_000L);
        assertThat(log.lifts()).extracting(lift -> lift.missedOn().orElse(0)).containsExactly(0, 0, 0, 2, 3, 0);
        assertThat(log.lifts().getFirst().scores()).isFalse();
        assertThat(log.scoreWords()).isEqualTo("70 kg");
        for (String wrong : java.util.List.of(
                "0:50 60 miss on 4",
                "0:50 60 miss on the row",
                "0:50 60 made on 2",
                "0:50 60 500s",
                "0:50 60 (clean)",
                "0:50 60 20s\n1:05 70")) {
            assertThat(read(notation, Each.MOVEMENT, Times.EITHER, wrong).isSound())
                    .as(wrong)
                    .isFalse();
        }
    }

    /** Wake's own labels with a split and a clock read back to the very clocks, in every format. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatWakeWritesReadsBack(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog truth = AttemptLog.of(attempt.course(), attempt.truth());
        StringBuilder text = new StringBuilder();
        List<SegmentSplit> whole =
                truth.splits().stream().filter(SegmentSplit::complete).toList();
        for (SegmentSplit split : whole) {
            text.append(split.segment().place())
                    .append('\t')
                    .append(wake.units.ClockTime.of(split.elapsedMs() - split.waitMs())
                            .toTenths())
                    .append('\t')
                    .append(wake.units.ClockTime.of(split.endMs()).toTenths())
                    .append('\n');
        }
        TimeSheet sheet = TimeSheet.read(
                text.toString(), Each.MOVEMENT, Times.EITHER, attempt.course(), Draft.of(attempt.course()));
        assertThat(sheet.rows()).allSatisfy(row -> assertThat(row.problem()).isEmpty());
        AttemptLog read = AttemptLog.of(attempt.course(), sheet.marks());
        for (int i = 0; i < whole.size(); i++) {
            assertThat(read.splits().get(i).endMs())
                    .isBetween(whole.get(i).endMs() - 50, whole.get(i).endMs() + 50);
        }
    }

    @Test
    void nonsenseNeverThrows() {
        SplittableRandom random = new SplittableRandom(5);
        String letters = "0123456789:. \t\nrest,stop;x–+@kg";
        Course course = Samples.course(ROUNDS);
        Plan draft = Draft.of(course);
        for (int i = 0; i < Integer.getInteger("wake.fuzz", 1500); i++) {
            StringBuilder text = new StringBuilder();
            for (int j = random.nextInt(60); j > 0; j--) {
                text.append(letters.charAt(random.nextInt(letters.length())));
            }
            for (Each each : Each.values()) {
                for (Times times : Times.values()) {
                    TimeSheet sheet = TimeSheet.read(text.toString(), each, times, course, draft);
                    assertThat(AttemptLog.of(course, sheet.marks()).oddities())
                            .as(text.toString())
                            .isEmpty();
                }
            }
        }
    }
}
