package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.units.InvalidInput;

class MarkSheetTest {
    @Test
    void aSheetIsReadByItsHeader() {
        List<Mark> marks = MarkSheet.read("""
                kind,at,reps,depth,text
                begin,0:01.5,,,
                off,0:20,8,,
                no-rep,0:31.25,,,"elbows, again"
                DONE,1:02:03,,segment,
                """);
        assertThat(marks)
                .extracting(Mark::kind)
                .containsExactly(MarkKind.BEGIN, MarkKind.OFF, MarkKind.NO_REP, MarkKind.DONE);
        assertThat(marks).extracting(Mark::atMs).containsExactly(1500L, 20_000L, 31_250L, 3_723_000L);
        assertThat(marks.get(1).reps()).isEqualTo(8);
        assertThat(marks.get(2).text()).isEqualTo("elbows, again");
        assertThat(marks.get(3).depth()).isEqualTo(Granularity.SEGMENT);
    }

    /** Of a reading typed to a step w, u = w/√12 (JCGM 100:2008, 4.3.7). */
    @Test
    void theResolutionIsThatOfTheLastDigit() {
        List<Mark> marks = MarkSheet.read("at,kind\n0:01,rep\n0:02.5,rep\n0:03.25,rep\n");
        assertThat(marks.get(0).uncertaintyS()).isCloseTo(1 / Math.sqrt(12), within(1e-12));
        assertThat(marks.get(1).uncertaintyS()).isCloseTo(0.1 / Math.sqrt(12), within(1e-12));
        assertThat(marks.get(2).uncertaintyS()).isCloseTo(0.01 / Math.sqrt(12), within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "when,what;0:01,rep|The first line needs",
                "at,kind;0:01,jump|Row 1: Use one of begin",
                "at,kind;0:01,rep;soon,rep|Row 2: \"soon\" is not a time",
                "at,kind,reps;0:01,off,many|Row 1: Reps are a whole number",
                "at,kind,depth;0:01,done,deep|Row 1: Use one of round, segment",
                "at,kind;\"0:01,rep|not a CSV file"
            })
    void whatDoesNotFitIsNamedByItsRow(String sheet, String reason) {
        assertThatThrownBy(() -> MarkSheet.read(sheet.replace(';', '\n')))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(reason);
    }

    @Test
    void aRowThatEndsEarlyOrAColumnWithoutANameIsSaidSo() {
        assertThatThrownBy(() -> MarkSheet.read("at,kind\n0:01\n"))
                .isInstanceOf(InvalidInput.class)
                .hasMessageStartingWith("Row 1: Use one of");
        assertThatThrownBy(() -> MarkSheet.read("kind,at\ncue\n"))
                .isInstanceOf(InvalidInput.class)
                .hasMessageStartingWith("Row 1:");
        assertThatThrownBy(() -> MarkSheet.read(",kind\n0:01,cue\n"))
                .isInstanceOf(InvalidInput.class)
                .hasMessage("The first line needs the columns \"at\" and \"kind\"");
        assertThat(MarkSheet.read("at,kind,\n0:01,cue,\n")).hasSize(1);
    }
}
