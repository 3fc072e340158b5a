package wake.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Against the rules of RFC 5545 for content lines (3.1) and text values (3.3.11). */
class RetestCalendarTest {
    private static final Instant WRITTEN = Instant.parse("2026-11-26T10:15:30Z");
    private static final String TEXT = RetestCalendar.write(
            new UUID(1, 2),
            LocalDate.of(2026, 12, 31),
            WRITTEN,
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

    /** RFC 5545, 3.8.7.2 and 3.8.7.4: the stamp is when it was written, and what is written later has the higher sequence number. */
    @Test
    void anEarlierDayWrittenLaterReplacesIt() {
        String moved = RetestCalendar.write(
                new UUID(1, 2), LocalDate.of(2026, 12, 1), WRITTEN.plusSeconds(60), "Retest", "sooner");
        assertThat(TEXT).contains("DTSTAMP:20261126T101530Z\r\n");
        assertThat(moved).contains("DTSTAMP:20261126T101630Z\r\n").contains("DTSTART;VALUE=DATE:20261201\r\n");
        assertThat(sequence(moved)).isEqualTo(sequence(TEXT) + 60);
        assertThat(uid(moved)).isEqualTo(uid(TEXT));
    }

    private static int sequence(String entry) {
        return Integer.parseInt(after(entry, "SEQUENCE:"));
    }

    private static String uid(String entry) {
        return after(entry, "UID:");
    }

    private static String after(String entry, String name) {
        return entry.lines()
                .filter(line -> line.startsWith(name))
                .findFirst()
                .orElseThrow()
                .substring(name.length());
    }
}
