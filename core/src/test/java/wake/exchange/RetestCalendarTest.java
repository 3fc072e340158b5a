package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Against the rules of RFC 5545 for content lines (3.1) and text values (3.3.11). */
class RetestCalendarTest {
    private static final String TEXT = RetestCalendar.write(
            new UUID(1, 2),
            LocalDate.of(2026, 12, 31),
            "Retest: Ina Sandbar, Neap; \\ the long one",
            "Éte et marée, ".repeat(20) + "\nsecond line");

    @Test
    void linesAreFoldedBeforeThe76thOctetAndEndInCrlf() {
        assertThat(TEXT).endsWith("END:VCALENDAR\r\n");
        for (String line : TEXT.split("\r\n")) {
            assertThat(line.getBytes(StandardCharsets.UTF_8)).hasSizeLessThanOrEqualTo(75);
        }
        assertThat(TEXT.replace("\r\n", "")).doesNotContain("\n").doesNotContain("\r");
    }

    @Test
    void unfoldedItSaysWhatAndWhen() {
        String unfolded = TEXT.replace("\r\n ", "");
        assertThat(unfolded)
                .contains("DTSTART;VALUE=DATE:20261231\r\n")
                .contains("DTEND;VALUE=DATE:20270101\r\n")
                .contains("SUMMARY:Retest: Ina Sandbar\\, Neap\\; \\\\ the long one\r\n")
                .contains("marée\\, \\nsecond line\r\n");
    }
}
