package wake.exchange;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.UUID;

/** A retest as an all-day calendar entry (iCalendar, RFC 5545), so that it stands in the athlete's own calendar. */
public final class RetestCalendar {
    private static final DateTimeFormatter DAY = DateTimeFormatter.BASIC_ISO_DATE;
    private static final int LONGEST_LINE = 75;

    private RetestCalendar() {}

    /**
     * Writes the entry.
     *
     * @param attemptId of the attempt that is retested; the same one always has the same UID, so that a later day replaces it
     * @param on the day
     * @param summary what it is
     * @param note why that day
     */
    public static String write(UUID attemptId, LocalDate on, String summary, String note) {
        StringBuilder text = new StringBuilder();
        line(text, "BEGIN:VCALENDAR");
        line(text, "VERSION:2.0");
        line(text, "PRODID:-//Wake//Retest//EN");
        line(text, "BEGIN:VEVENT");
        line(text, "UID:retest-" + attemptId + "@wake");
        line(text, "DTSTAMP:" + DAY.format(on) + "T000000Z");
        line(text, "DTSTART;VALUE=DATE:" + DAY.format(on));
        line(text, "DTEND;VALUE=DATE:" + DAY.format(on.plusDays(1)));
        line(text, "SUMMARY:" + escaped(summary));
        line(text, "DESCRIPTION:" + escaped(note));
        line(text, "TRANSP:TRANSPARENT");
        line(text, "END:VEVENT");
        line(text, "END:VCALENDAR");
        return text.toString();
    }

    /** Text values escape backslash, semicolon, comma and line breaks (RFC 5545, 3.3.11). */
    private static String escaped(String text) {
        return text.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\r\n", "\\n")
                .replace("\n", "\\n")
                .replace("\r", "\\n");
    }

    /** Lines end in CRLF and are folded before the 76th octet, never inside a character (RFC 5545, 3.1). */
    private static void line(StringBuilder text, String line) {
        int octets = 0;
        for (int i = 0; i < line.length(); ) {
            int point = line.codePointAt(i);
            String character = Character.toString(point);
            int length = character.getBytes(StandardCharsets.UTF_8).length;
            if (octets + length > LONGEST_LINE) {
                text.append("\r\n ");
                octets = 1;
            }
            text.append(character);
            octets += length;
            i += Character.charCount(point);
        }
        text.append("\r\n");
    }
}
