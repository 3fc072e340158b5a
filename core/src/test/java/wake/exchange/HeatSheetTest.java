package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.exchange.HeatSheet.Read;
import wake.exchange.HeatSheet.Row;

class HeatSheetTest {
    private static final List<String> ROSTER =
            List.of("Maren Holt", "Mara Lind", "Jory Kessler", "Jory Kane", "Ida Lund");

    private static Read read(String text) {
        return HeatSheet.read(text, ROSTER, List.of("women", "men"), "women");
    }

    @Test
    void aLaneAShortNameAndADivisionAreALine() {
        Read read = read("""
                1 mare
                2. jory ke, men

                lund
                + Linnea Voss, m
                """);
        assertThat(read.errors()).isEmpty();
        assertThat(read.rows())
                .containsExactly(
                        new Row(1, OptionalInt.of(1), OptionalInt.of(0), "Maren Holt", "women"),
                        new Row(2, OptionalInt.of(2), OptionalInt.of(2), "Jory Kessler", "men"),
                        new Row(4, OptionalInt.empty(), OptionalInt.of(4), "Ida Lund", "women"),
                        new Row(5, OptionalInt.empty(), OptionalInt.empty(), "Linnea Voss", "men"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mar | \"mar\" may be Maren Holt or Mara Lind. Write more of the name.",
                "Tove | Nobody on the roster is called \"Tove\". For somebody new write + before the name.",
                "3 | Expected a name.",
                "ida, masters | Expected one of women, men after the comma, got \"masters\".",
                "+ ida lund | ida lund is on the roster: write the name without the +.",
                "0 ida | Expected a lane from 1 to 99, got 0.",
                "+ | Expected a name of 120 characters at most after the +."
            })
    void whatCannotBeReadSaysWhy(String line, String message) {
        Read read = read(line);
        assertThat(read.rows()).isEmpty();
        assertThat(read.errors()).containsExactly(new HeatSheet.Error(1, message));
    }

    @Test
    void nobodyIsInAHeatTwice() {
        assertThat(read("1 ida\n1 mare\n2 ida lund").errors())
                .containsExactly(
                        new HeatSheet.Error(2, "Lane 1 is taken already."),
                        new HeatSheet.Error(3, "Ida Lund is on line 1 already."));
    }

    @Test
    void aWorkoutWithoutDivisionsTakesNone() {
        assertThat(HeatSheet.read("ida", ROSTER, List.of(), "")
                        .rows()
                        .getFirst()
                        .division())
                .isEmpty();
        assertThat(HeatSheet.read("ida, men", ROSTER, List.of(), "")
                        .errors()
                        .getFirst()
                        .message())
                .isEqualTo("This workout has no divisions.");
    }
}
