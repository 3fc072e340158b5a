package wake.projection;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.movement.Loads;

/**
 * The earliest sensible day for a retest: 72 hours after high-volume pressing or pulling, else 48 (common practice, no source); a
 * day more for an athlete who recovers slowly; none while something hurts.
 *
 * @param earliest the first day; also when it is blocked, for when that is over
 * @param hours how long after the attempt
 * @param reason why so long
 * @param blocked why there is no date for now; empty when there is
 */
public record RetestDate(LocalDate earliest, int hours, String reason, Optional<String> blocked) {
    /** Between hard attempts; common practice, no source. So are the other two. */
    private static final int USUAL_HOURS = 48;

    private static final int HIGH_VOLUME_HOURS = 72;
    private static final int SLOW_HOURS = 24;
    private static final int HOURS_A_DAY = 24;
    /** Reps of pressing or pulling from which on the volume is called high; an assumption. */
    private static final int HIGH_VOLUME_REPS = 50;

    private static final Set<Loads> SLOW_TO_RECOVER = EnumSet.of(Loads.PUSH, Loads.PULL);

    /** The same, no earlier than a day: nobody does again yesterday what was done long ago. */
    public RetestDate notBefore(LocalDate today) {
        return earliest.isBefore(today) ? new RetestDate(today, hours, reason, blocked) : this;
    }

    /**
     * Works out the day.
     *
     * @param doneOn the day of the attempt
     * @param recoversSlowly whether the athlete does
     * @param pain what hurts, as noted; empty when nothing does
     */
    public static RetestDate of(AttemptLog log, LocalDate doneOn, boolean recoversSlowly, String pain) {
        int reps = log.splits().stream()
                .filter(split -> !split.segment().isPartners())
                .filter(split -> split.segment().tappable())
                .filter(split -> split.segment().movement().loads().stream().anyMatch(SLOW_TO_RECOVER::contains))
                .mapToInt(SegmentSplit::counted)
                .sum();
        boolean high = reps >= HIGH_VOLUME_REPS;
        int hours = (high ? HIGH_VOLUME_HOURS : USUAL_HOURS) + (recoversSlowly ? SLOW_HOURS : 0);
        String reason =
                (high ? reps + " pressing and pulling reps need 72 h" : "48 h after little pressing and pulling")
                        + (recoversSlowly ? ", one day more for slow recovery" : "")
                        + " (common practice).";
        Optional<String> blocked = pain.isBlank()
                ? Optional.empty()
                : Optional.of("Pain on file: \"" + pain.strip()
                        + "\". No retest until a licensed professional clears it and you remove the note.");
        return new RetestDate(doneOn.plusDays(hours / HOURS_A_DAY), hours, reason, blocked);
    }
}
