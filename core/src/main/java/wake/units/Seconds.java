package wake.units;

import java.util.Locale;

/** Durations to the tenth of a second, the one way they stand in every sentence: in seconds, from a minute on as on a clock. */
public final class Seconds {
    private static final double MS = 1000;
    private static final long MINUTE_MS = 60_000;

    private Seconds() {}

    /** "4.5 s", from a minute on "1:28.8". */
    public static String words(long ms) {
        if (ms < 0) {
            return "−" + words(-ms);
        }
        return ms < MINUTE_MS - 50
                ? String.format(Locale.ROOT, "%.1f s", ms / MS)
                : ClockTime.of(ms).toTenths();
    }

    /** With its sign: "+4.5 s", "−0.3 s". */
    public static String signed(long ms) {
        return (ms < 0 ? "−" : "+") + words(Math.abs(ms));
    }
}
