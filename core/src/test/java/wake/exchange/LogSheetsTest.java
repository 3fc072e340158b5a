package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.Samples;
import wake.log.AttemptLog;
import wake.log.Granularity;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.simulation.SimulatedAttempt;

class LogSheetsTest {
    static Stream<Long> seeds() {
        return Samples.seeds();
    }

    private static List<CSVRecord> rows(String sheet) {
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new java.io.StringReader(sheet))) {
            return parser.getRecords();
        } catch (IOException broken) {
            throw new java.io.UncheckedIOException(broken);
        }
    }

    /** Read by commons-csv: the columns add up to the elapsed time, and those to the clock. */
    @ParameterizedTest
    @MethodSource("seeds")
    void splitsCloseToTheClock(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        AttemptLog log = AttemptLog.of(attempt.expanded(), Samples.blurred(attempt, seed));
        double clock = 0;
        for (CSVRecord row : rows(LogSheets.splits(log))) {
            double sum = 0;
            for (String column : List.of("interval_rest", "transition", "work", "rest", "unassigned", "unfinished")) {
                sum += row.get(column).isEmpty() ? 0 : Double.parseDouble(row.get(column));
            }
            double elapsed = Double.parseDouble(row.get("elapsed"));
            assertThat(sum).isLessThanOrEqualTo(elapsed + 1e-6);
            if (!row.get("work").isEmpty()) {
                assertThat(sum).isCloseTo(elapsed, within(1e-6));
            }
            clock += elapsed;
        }
        assertThat(clock).isCloseTo(log.clockMs() / 1000.0, within(1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void marksReadBackTheSame(long seed) {
        SimulatedAttempt attempt = Samples.simulated(seed);
        List<Mark> marks = new ArrayList<>(Samples.blurred(attempt, seed));
        marks.add(new Mark(
                new UUID(0, seed),
                MarkKind.CUE,
                -1500 - seed,
                0,
                Granularity.SET,
                "breath",
                "=1+1, \"so\"\nsaid",
                1e-5));
        marks.add(new Mark(new UUID(1, seed), MarkKind.CUE, seed, 0, Granularity.SET, "@tag", "'-quoted", 0.05 * seed));
        assertThat(MarkSheet.read(LogSheets.marks(marks)))
                .usingRecursiveFieldByFieldElementComparatorIgnoringFields("id")
                .containsExactlyElementsOf(marks);
    }

    /** What a spreadsheet would run begins with one of = + - @, a tab or a return (OWASP, CSV injection); figures are none. */
    @ParameterizedTest
    @ValueSource(strings = {"=1+1", "@SUM(A1)", "-2+3", "\t=x", "+cmd"})
    void formulasAreDefusedAndReadBack(String text) {
        assertThat(Cells.defused(text)).isEqualTo("'" + text);
        assertThat(Cells.read(Cells.defused(text))).isEqualTo(text);
        assertThat(Cells.read(Cells.defused("'" + text))).isEqualTo("'" + text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-2.5", "+4:05", "plain", "8-7-5", ""})
    void figuresAndWordsStayAsTheyAre(String text) {
        assertThat(Cells.defused(text)).isEqualTo(text);
        assertThat(Cells.read(text)).isEqualTo(text);
    }

    @Test
    void aFormulaNeverStartsACell() {
        assertThat(Cells.row("=cmd|' /C calc'!A0", 3, "-1.5"))
                .startsWith("'=cmd")
                .endsWith(",3,-1.5\r\n");
    }

    @Test
    void setsHaveTheRestAfterThem() {
        AttemptLog log = Samples.log(Samples.SKIFF, "A 1, O 10 x4, N 14.5, D 18 x2");
        List<CSVRecord> sets = rows(LogSheets.sets(log));
        assertThat(sets).hasSize(2);
        assertThat(sets.getFirst().get("reps")).isEqualTo("4");
        assertThat(sets.getFirst().get("rest_after")).isEqualTo("4.500");
        assertThat(sets.getLast().get("rest_after")).isEmpty();
    }
}
