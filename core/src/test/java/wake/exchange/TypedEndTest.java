package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.exchange.TypedTimes.AMRAP;
import static wake.exchange.TypedTimes.log;
import static wake.exchange.TypedTimes.read;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;

/** How typed times end: with the buzzer, a stop, a score alone. */
class TypedEndTest {
    @Test
    void anAmrapEndsWithItsBuzzer() {
        AttemptLog log =
                log(AMRAP, read(AMRAP, Each.SET, Times.CLOCK, "10 0:35\n10 1:02\n6 1:25\n4 1:40\n5 1:58\nbell"));
        assertThat(log.score()).isEqualTo(new Score.Rounds(120_000, 1, 15, 35, false));
    }

    @Test
    void timesPastTheBuzzerAreRefused() {
        assertThat(read(AMRAP, Each.MOVEMENT, Times.CLOCK, "2:30")
                        .rows()
                        .getFirst()
                        .problem())
                .hasValueSatisfying(said -> assertThat(said).contains("the end at 2:00"));
    }

    /** What was done beyond the last line counts, in the movement under way or over several of them. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ROUND|0:40/stop 2:00 +7|1 round + 7|stop, 3 of round 2, 6 thruster",
                "ROUND|0:40/stop 2:00 7|1 round + 7|stop, 3 of round 2, 6 thruster",
                "ROUND|0:40/7 reps|1 round + 7|stop, 3 of round 2, 6 thruster",
                "ROUND|0:40/+4|1 round + 4|stop, before round 2, 6 thruster",
                "ROUND|0:40/bell|1 round + 0|stop",
                "MOVEMENT|0:15/stop 2:00 +5|9 reps|stop, 5 of round 1, 6 thruster",
                "MOVEMENT|0:15/stop 2:00 +17|1 round + 11|stop, 1 of round 3, 4 burpee",
                "SET|4 0:12/3 0:20/stop 2:00 +2|9 reps|stop, 5 of round 1, 6 thruster"
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
                .hasValueSatisfying(said -> assertThat(said).contains("more than the workout has left"));
    }

    /** A result of long ago: its score counts, and nothing is told of what lies inside it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|6:48|6:48",
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|cap + 17|13 reps (CAP + 17)",
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|13 reps (CAP + 17)|13 reps (CAP + 17)",
                "for time, cap 10:00/3 rounds:/  4 burpee/  6 thruster|10:00 + 17|13 reps (CAP + 17)",
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
        AttemptLog log = AttemptLog.of(Samples.expanded(notation.toString()), sheet.marks());
        assertThat(log.rejected()).isEmpty();
        assertThat(log.over()).isTrue();
        assertThat(log.scoreWords()).isEqualTo(score);
        assertThat(log.splits().stream()
                        .filter(SegmentSplit::complete)
                        .limit(Math.max(0, log.splits().size() - 1)))
                .noneMatch(SegmentSplit::endSeen);
    }
}
