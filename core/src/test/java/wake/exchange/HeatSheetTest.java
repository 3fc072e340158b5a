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
                "mar | \"mar\" matches Maren Holt and Mara Lind. Type more of the name.",
                "Tove | No athlete named \"Tove\". Put + in front to add them.",
                "3 | Write a name.",
                "ida, masters | Write one of women, men after the comma, not \"masters\".",
                "+ ida lund | ida lund is already an athlete here. Leave out the +.",
                "0 ida | A lane is 1 to 99, not 0.",
                "+ | A name has at most 120 characters after the +."
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
                        new HeatSheet.Error(2, "Lane 1 is taken."),
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
