package wake.units;

import java.util.Locale;

/** How exactly times are shown: never more exactly than they were logged, and the same in every sentence. */
public enum Digits {
    WHOLE(1000),
    TENTHS(100);

    private static final long MINUTE_MS = 60_000;
    private static final long WHOLE_IN_HEADLINES_FROM_MS = 10_000;

    private final long stepMs;

    Digits(long stepMs) {
        this.stepMs = stepMs;
    }

    /** A duration: "4.5 s" or "5 s"; from a minute on, where tenths say nothing, "1:29". */
    public String span(long ms) {
        if (ms < 0) {
            return "−" + span(-ms);
        }
        if (rounded(ms) >= MINUTE_MS) {
            return ClockTime.of(ms).toSeconds();
        }
        return this == WHOLE
                ? rounded(ms) / stepMs + " s"
                : String.format(Locale.ROOT, "%.1f s", rounded(ms) / (double) (10 * stepMs));
    }

    /** A duration in a headline: whole seconds from ten on. */
    public String headline(long ms) {
        return (Math.abs(ms) < WHOLE_IN_HEADLINES_FROM_MS ? this : WHOLE).span(ms);
    }

    /** With its sign: "+4.5 s", "−0.3 s". */
    public String signed(long ms) {
        return (ms < 0 ? "−" : "+") + span(Math.abs(ms));
    }

    /** A clock time: "9:42.3" or "9:42". */
    public String clock(long ms) {
        return this == WHOLE ? ClockTime.of(ms).toSeconds() : ClockTime.of(ms).toTenths();
    }

    /** Whether so little would be shown as nothing. */
    public boolean nothing(long ms) {
        return rounded(Math.abs(ms)) == 0;
    }

    private long rounded(long ms) {
        return (ms + stepMs / 2) / stepMs * stepMs;
    }
}
