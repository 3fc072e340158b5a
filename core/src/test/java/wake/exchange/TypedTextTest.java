package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wake.exchange.TypedTimes.TWO;
import static wake.exchange.TypedTimes.log;
import static wake.exchange.TypedTimes.read;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.exchange.TimeSheet.Each;
import wake.exchange.TimeSheet.Times;

/** Nothing typed is dropped in silence: what of a line says nothing is told beside it. */
class TypedTextTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "1:32|''",
                "thruster 1:32|''",
                "21 thrusters 1:32|''",
                "burpee 1:32|burpee",
                "pull-ups 1:32|pull-ups",
                "1:32 (8-7-6)|8-7-6",
                "17 1:32|17",
                "1:32 heavy today|heavy today",
                "1:32 rest 0:05 rest 0:10|0:05.0",
            })
    void whatIsLeftOverIsSaid(String line, String unused) {
        TimeSheet sheet = read(TWO, Each.MOVEMENT, Times.SPLITS, line);
        assertThat(sheet.rows().getFirst().problem()).isEmpty();
        assertThat(sheet.rows().getFirst().unused()).isEqualTo(unused);
    }

    @Test
    void allThatIsLeftAtTheStopIsTheFinish() {
        TimeSheet sheet = read(TWO, Each.MOVEMENT, Times.SPLITS, "1:32\nstop 3:40 +15");
        assertThat(log(TWO, sheet).scoreWords()).isEqualTo("3:40");
    }

    /** A stop at the clock of the line before leaves no time for what it adds. */
    @Test
    void moreThanAnInstantHoldsIsRefusedWithItsLine() {
        TimeSheet sheet = read("# A\namrap 2:00\n  max burpee\n", Each.MOVEMENT, Times.CLOCK, "0:05\nstop 0:05 +40");
        assertThat(sheet.isSound()).isFalse();
        assertThat(sheet.rows().getLast().problem())
                .hasValueSatisfying(why -> assertThat(why).contains("20 movements are done at 0:05.0 already"));
    }

    @Test
    void marksWithMoreCellsThanColumnsAreRefused() {
        assertThatThrownBy(() -> MarkSheet.read("at,kind,text\n0:05,cue,slow, and low\n"))
                .hasMessage("Row 1 has 4 columns, the header 3: put text with a comma in quotation marks");
        assertThatThrownBy(() -> MarkSheet.read("at,kind,remark\n0:05,cue,slow\n"))
                .hasMessageStartingWith("The column \"remark\" is not one of at, kind, reps");
    }
}
