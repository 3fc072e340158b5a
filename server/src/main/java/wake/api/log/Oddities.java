package wake.api.log;

import wake.log.Oddity;
import wake.units.ClockTime;

/** Marks that do not fit, in words. */
public final class Oddities {
    private Oddities() {}

    public static String words(Oddity oddity) {
        String at = ClockTime.of(Math.max(0, oddity.mark().atMs())).toTenths();
        return oddity.mark().kind().words() + " at " + at + ": " + oddity.reason();
    }
}
