package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.exchange.HeatSheet.Read;
import wake.exchange.HeatSheet.Result;
import wake.workout.Workout;

class HeatSheetTest {
    private static final List<String> ROSTER =
            List.of("Maren Holt", "Mara Lind", "Jory Kessler", "Jory Kane", "Ida Lund");

    private static final String CHIPPER = """
            # Sluice
            divisions: women / men
            for time, cap 15:00
              30 burpee
              40 / 50 air squat
              tie-break
              20 wall walk
            """;

    private static Read read(String text) {
        return read(text, CHIPPER, 0);
    }

    private static Read read(String text, String notation, Integer... parts) {
        Workout workout = Samples.workout(notation);
        return HeatSheet.read(
                text,
                ROSTER,
                workout,
                Samples.CATALOGUE,
                List.of(parts),
                workout.divisions().stream().findFirst().orElse(""));
    }

    private static List<String> said(Read read) {
        return read.rows().stream()
                .map(row -> (row.lane().isPresent() ? row.lane().getAsInt() + " " : "") + row.name() + " "
                        + row.division() + ": "
                        + row.results().stream().map(Result::score).collect(Collectors.joining(" | ")))
                .toList();
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
        assertThat(said(read))
                .containsExactly(
                        "1 Maren Holt women: ", "2 Jory Kessler men: ", "Ida Lund women: ", "Linnea Voss men: ");
        assertThat(read.rows().get(1).athlete()).hasValue(2);
        assertThat(read.rows().getLast().athlete()).isEmpty();
    }

    /** Missing by hand: of 30 + 50 + 20 reps 17 are left at 83, of 30 + 40 + 20 twelve at 78. */
    @Test
    void aScoreFollowsTheNameTheDivisionOrAComma() {
        Read read = read("""
                3 mare 11:42
                jory ke, men cap+17
                lund, 12:05, tb 8:10
                mara tb 8:04
                mara cap + 12 tb 8:04
                + Linnea Voss, m, 9:58.4
                """);
        assertThat(read.errors())
                .containsExactly(new HeatSheet.Error(4, "No athlete named \"mara tb\". Put + in front to add them."));
        assertThat(said(read))
                .containsExactly(
                        "3 Maren Holt women: 11:42",
                        "Jory Kessler men: 83 reps (CAP + 17)",
                        "Ida Lund women: 12:05, 8:10 after 40 air squat",
                        "Mara Lind women: 78 reps (CAP + 12), 8:04 after 40 air squat",
                        "Linnea Voss men: 9:58");
    }

    @Test
    void aTableFromASpreadsheetReadsTheSame() {
        Read read = read("1\tMaren Holt\twomen\t11:42\n2;Jory Kane;men;10:59\n3, Ida Lund, 12:05");
        assertThat(read.errors()).isEmpty();
        assertThat(said(read))
                .containsExactly("1 Maren Holt women: 11:42", "2 Jory Kane men: 10:59", "3 Ida Lund women: 12:05");
    }

    @Test
    void aNameWithDigitsIsAName() {
        Read read = HeatSheet.read(
                "athlete 2\nathlete 12 9:40\n+ Nr 7, 9:50",
                List.of("Athlete 2", "Athlete 12"),
                Samples.workout(CHIPPER),
                Samples.CATALOGUE,
                List.of(0),
                "women");
        assertThat(read.errors()).isEmpty();
        assertThat(said(read)).containsExactly("Athlete 2 women: ", "Athlete 12 women: 9:40", "Nr 7 women: 9:50");
    }

    @Test
    void scoresOfSeveralPartsStandInTheirOrder() {
        String two = """
                # Weir Day
                part A: amrap 5:00
                  10 burpee
                  15 air squat
                part B: lift 6:00, best of 1 power clean
                """;
        Read read = read("mare 5+17, 70 kg\nlund, -, 62.5\njory ke 4 rounds\njory ka, 4+2, 70, 8", two, 0, 1);
        assertThat(said(read))
                .containsExactly(
                        "Maren Holt : 5 rounds + 17 | 70 kg",
                        "Ida Lund :  | 62.5 kg",
                        "Jory Kessler : 4 rounds + 0 | ");
        assertThat(read.errors())
                .containsExactly(new HeatSheet.Error(4, "Write at most 2 scores, one for each part, not 3."));
        assertThat(read("mare 5+17, 70 kg", two, 0).errors())
                .containsExactly(new HeatSheet.Error(1, "Write one score, not 2."));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mar | \"mar\" matches Maren Holt and Mara Lind. Type more of the name.",
                "Tove | No athlete named \"Tove\". Put + in front to add them.",
                "3 | Write a name.",
                "ida, masters | Write one of women, men after the comma, not \"masters\".",
                "+ ida lund | Ida lund is already an athlete here. Leave out the +.",
                "0 ida | A lane is 1 to 99, not 0.",
                "+ | A name has at most 120 characters after the +.",
                "ida, 16:20 | The cap is at 15:00. Write what was missing, like \"cap+12\".",
                "ida, 9:40 tb 9:50 | The tie-break has to be between 0:00 and 9:40, not at 9:50.",
                "ida, cap+40 tb 8:00 | That score does not reach the tie-break.",
                "ida, 9:40, tb 5:00 6:00 | Write the last tie-break, or all 1, not 2."
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
        String plain = "# Weir\nfor time\n  30 burpee\n";
        assertThat(said(read("ida", plain, 0))).containsExactly("Ida Lund : ");
        assertThat(read("ida, men", plain, 0).errors())
                .containsExactly(new HeatSheet.Error(1, "This workout has no divisions."));
        assertThat(read("ida 2:00 tb 1:00", plain, 0).errors())
                .containsExactly(new HeatSheet.Error(1, "This workout has no tie-break."));
    }
}
