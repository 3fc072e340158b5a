package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.exchange.TypedTimes.ROUNDS;
import static wake.exchange.TypedTimes.read;

import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.plan.Draft;
import wake.plan.Plan;
import wake.workout.ExpandedWorkout;

/** What is written from a log reads as that log; what is nonsense is refused in words. */
class TimesReadBackTest {
    /** What a log says, jotted to the tenth, says the same again. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void whatIsJottedFromALogReadsAsThatLog(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog truth = AttemptLog.of(attempt.expanded(), attempt.truth());
        StringBuilder text = new StringBuilder();
        List<SegmentSplit> whole =
                truth.splits().stream().filter(SegmentSplit::complete).toList();
        whole.forEach(split -> text.append(split.segment().label().replaceAll("\\d+", ""))
                .append('\t')
                .append(wake.units.ClockTime.of(split.endMs()).toTenths())
                .append('\n'));
        TimeSheet sheet = TimeSheet.read(
                text.toString(), Each.MOVEMENT, Times.CLOCK, attempt.expanded(), Draft.of(attempt.expanded()));
        AttemptLog read = AttemptLog.of(attempt.expanded(), sheet.marks());
        assertThat(read.splits().stream().filter(SegmentSplit::complete)).hasSameSizeAs(whole);
        for (int i = 0; i < whole.size(); i++) {
            assertThat(read.splits().get(i).endMs())
                    .isBetween(whole.get(i).endMs() - 50, whole.get(i).endMs() + 50);
        }
    }

    /** Wake's own labels with a split and a clock read back to the very clocks, in every format. */
    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void whatWakeWritesReadsBack(long seed) {
        var attempt = Samples.simulated(seed);
        AttemptLog truth = AttemptLog.of(attempt.expanded(), attempt.truth());
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
                text.toString(), Each.MOVEMENT, Times.EITHER, attempt.expanded(), Draft.of(attempt.expanded()));
        assertThat(sheet.rows()).allSatisfy(row -> assertThat(row.problem()).isEmpty());
        AttemptLog read = AttemptLog.of(attempt.expanded(), sheet.marks());
        for (int i = 0; i < whole.size(); i++) {
            assertThat(read.splits().get(i).endMs())
                    .isBetween(whole.get(i).endMs() - 50, whole.get(i).endMs() + 50);
        }
    }

    @Test
    void nonsenseNeverThrows() {
        SplittableRandom random = new SplittableRandom(5);
        String letters = "0123456789:. \t\nrest,stop;x–+@kg";
        ExpandedWorkout expanded = Samples.expanded(ROUNDS);
        Plan draft = Draft.of(expanded);
        for (int i = 0; i < Integer.getInteger("wake.fuzz", 1500); i++) {
            StringBuilder text = new StringBuilder();
            for (int j = random.nextInt(60); j > 0; j--) {
                text.append(letters.charAt(random.nextInt(letters.length())));
            }
            for (Each each : Each.values()) {
                for (Times times : Times.values()) {
                    TimeSheet sheet = TimeSheet.read(text.toString(), each, times, expanded, draft);
                    assertThat(AttemptLog.of(expanded, sheet.marks()).rejected())
                            .as(text.toString())
                            .isEmpty();
                }
            }
        }
    }
}
