package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.exchange.TypedTimes.log;
import static wake.exchange.TypedTimes.read;

import org.junit.jupiter.api.Test;
import wake.Samples;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;
import wake.log.AttemptLog;

/** Lifts typed one to a line. */
class TypedLiftsTest {
    @Test
    void liftsAreTyped() {
        String notation = "# A\nlift 8:00, best of 1 power clean\n";
        TimeSheet sheet =
                read(notation, Each.MOVEMENT, Times.EITHER, "0:40 60 kg\n2:10 70 made\n3:30 145 lb, miss\n5:00 150 x");
        AttemptLog log = AttemptLog.of(Samples.expanded(notation), sheet.marks());
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
        AttemptLog log = AttemptLog.of(Samples.expanded(notation), sheet.marks());
        assertThat(log.rejected()).isEmpty();
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

    /** Lighter lifts made, misses and what was not attempted, each with the coach's words, as jotted: nothing of it is lost. */
    @Test
    void notesAndWhatWasNotAttemptedAreKept() {
        String notation = "# A\nlift 7:00, best of 1 clean\n";
        TimeSheet sheet = read(
                notation,
                Each.MOVEMENT,
                Times.EITHER,
                "1:00 70; Fast Elbows\n2:30 80 // solid\n4:00 84 miss on 1 - early pull\n84 no attempt – out of time\n6:00 75 made 8s\n6:50 pass");
        assertThat(sheet.isSound()).as(sheet.rows().toString()).isTrue();
        AttemptLog log = AttemptLog.of(Samples.expanded(notation), sheet.marks());
        assertThat(log.rejected()).isEmpty();
        assertThat(log.lifts()).hasSize(4);
        assertThat(log.lifts()).extracting(lift -> lift.made()).containsExactly(true, true, false, true);
        assertThat(log.scoreWords()).isEqualTo("80 kg");
        assertThat(sheet.marks().stream()
                        .filter(mark -> mark.kind() == wake.log.MarkKind.CUE)
                        .map(mark -> mark.atMs() / 1000 + " " + mark.text()))
                .containsExactly(
                        "60 Fast Elbows",
                        "150 solid",
                        "240 early pull",
                        "240 no attempt at 84 kg; out of time",
                        "410 no attempt");
        assertThat(read(notation, Each.MOVEMENT, Times.EITHER, "2:10 70 no attempt\n1:00 75")
                        .isSound())
                .as("the note of 2:10 moves no clock")
                .isTrue();
    }
}
