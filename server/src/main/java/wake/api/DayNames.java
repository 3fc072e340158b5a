package wake.api;

import java.time.LocalDate;

/** Days as people mean them. */
public final class DayNames {
    private static final LocalDate FIRST = LocalDate.of(1950, 1, 1);
    private static final LocalDate LAST = LocalDate.of(2200, 1, 1);

    private DayNames() {}

    /** A day that somebody can have trained on, or will. */
    public static LocalDate sensible(String field, LocalDate day) {
        if (day.isBefore(FIRST) || day.isAfter(LAST)) {
            throw new InvalidRequest(
                    field, "Use a date from " + FIRST.getYear() + " to " + LAST.getYear() + ", not " + day + ".");
        }
        return day;
    }
}
