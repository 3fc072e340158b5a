package wake.exchange;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/** A retest as an all-day calendar entry (iCalendar, RFC 5545), so that it stands in the athlete's own calendar. */
public final class RetestCalendar {
    /** Sequence numbers count the seconds from here, so that each entry written later replaces those before (RFC 5545, 3.8.7.4). */
    private static final Instant COUNTED_FROM = Instant.parse("2020-01-01T00:00:00Z");

    private static final int LONGEST_LINE = 75;
    private static final int UNFOLDED = 100_000;

    private RetestCalendar() {}

    /**
     * Writes the entry.
     *
     * @param attemptId of the attempt that is retested; the same one always has the same UID, so that a later day replaces it
     * @param on the day
     * @param written when this entry is written: what was written later stands, whichever day it names
     * @param summary what it is
     * @param note why that day
     */
    public static String write(UUID attemptId, LocalDate on, Instant written, String summary, String note) {
        VEvent event = new VEvent(false);
        event.add(new Uid("retest-" + attemptId + "@wake"));
        event.add(new DtStamp(written));
        event.add(new Sequence(
                Math.toIntExact(Duration.between(COUNTED_FROM, written).toSeconds())));
        event.add(new DtStart<>(on));
        event.add(new DtEnd<>(on.plusDays(1)));
        event.add(new Summary(summary));
        event.add(new Description(note));
        event.add(new Transp(Transp.VALUE_TRANSPARENT));
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Wake//Retest//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(event);
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(true, UNFOLDED).output(calendar, text);
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString().lines().map(RetestCalendar::folded).collect(Collectors.joining());
    }

    /**
     * A line folded before its 76th octet, never inside a character (RFC 5545, 3.1). The library counts characters where the standard counts
     * octets, and parts those of two halves.
     */
    private static String folded(String line) {
        StringBuilder text = new StringBuilder();
        int octets = 0;
        for (int point : line.codePoints().toArray()) {
            String character = Character.toString(point);
            int length = character.getBytes(StandardCharsets.UTF_8).length;
            if (octets + length > LONGEST_LINE) {
                text.append("\r\n ");
                octets = 1;
            }
            text.append(character);
            octets += length;
        }
        return text.append("\r\n").toString();
    }
}
