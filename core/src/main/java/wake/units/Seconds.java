package wake.units;

import java.util.Locale;

/** Durations in seconds and tenths, as they stand in sentences. */
public final class Seconds {
    private static final double MS = 1000;

    private Seconds() {}

    /** "4.5 s". */
    public static String words(long ms) {
        return String.format(Locale.ROOT, "%.1f s", ms / MS);
    }

    /** With its sign: "+4.5 s", "−0.3 s". */
    public static String signed(long ms) {
        return (ms < 0 ? "−" : "+") + words(Math.abs(ms));
    }
}
