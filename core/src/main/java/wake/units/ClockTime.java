package wake.units;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A time on the workout clock: whole milliseconds since "go", never negative.
 *
 * @param ms milliseconds since "go"
 */
public record ClockTime(long ms) implements Comparable<ClockTime> {
    private static final Pattern WRITTEN =
            Pattern.compile("(?:(\\d{1,2}):(?=\\d{2}:))?(\\d{1,3}):(\\d{2})(?:[.](\\d{1,3}))?");

    /** @throws IllegalArgumentException where it is before the start */
    public ClockTime {
        if (ms < 0) {
            throw new IllegalArgumentException("A clock time is never before \"go\", got " + ms + " ms");
        }
    }

    public static ClockTime of(long ms) {
        return new ClockTime(ms);
    }

    /**
     * Reads {@code m:ss}, {@code m:ss.d} or {@code h:mm:ss}, with up to three decimals.
     *
     * @throws InvalidInput when the text is not of that form, or its seconds, or the minutes after hours, are 60 or more
     */
    public static ClockTime parse(String text) {
        Matcher matcher = WRITTEN.matcher(text.strip());
        if (!matcher.matches()) {
            throw new InvalidInput("\"" + text + "\" is not a time. Use m:ss, like 8:45.");
        }
        long hours = matcher.group(1) == null ? 0 : Long.parseLong(matcher.group(1));
        long minutes = Long.parseLong(matcher.group(2));
        long seconds = Long.parseLong(matcher.group(3));
        if (seconds > 59 || (matcher.group(1) != null && minutes > 59)) {
            throw new InvalidInput("Seconds go up to 59: \"" + text + "\".");
        }
        String fraction = matcher.group(4) == null ? "0" : matcher.group(4);
        long fractionMs = Long.parseLong((fraction + "00").substring(0, 3));
        return new ClockTime(((hours * 60 + minutes) * 60 + seconds) * 1000 + fractionMs);
    }

    /** Prints to the nearest second: {@code m:ss}, hours only when needed. */
    public String toSeconds() {
        return print(Math.round(ms / 1000.0), "");
    }

    /** Prints to the nearest tenth: {@code m:ss.d}. */
    public String toTenths() {
        long tenths = Math.round(ms / 100.0);
        return print(tenths / 10, "." + tenths % 10);
    }

    private static String print(long seconds, String fraction) {
        long hours = seconds / 3600;
        long minutes = seconds / 60 % 60;
        return hours > 0
                ? String.format(Locale.ROOT, "%d:%02d:%02d%s", hours, minutes, seconds % 60, fraction)
                : String.format(Locale.ROOT, "%d:%02d%s", minutes, seconds % 60, fraction);
    }

    @Override
    public int compareTo(ClockTime other) {
        return Long.compare(ms, other.ms);
    }

    @Override
    public String toString() {
        return toTenths();
    }
}
