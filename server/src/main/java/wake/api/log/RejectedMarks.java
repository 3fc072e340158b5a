package wake.api.log;

import wake.log.RejectedMark;
import wake.units.ClockTime;

/** Marks that do not fit, in words. */
public final class RejectedMarks {
    private RejectedMarks() {}

    public static String words(RejectedMark rejected) {
        String at = ClockTime.of(Math.max(0, rejected.mark().atMs())).toTenths();
        return rejected.mark().kind().words() + " at " + at + ": " + rejected.reason();
    }
}
