package wake.field;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Map;
import java.util.Set;
import wake.log.Cause;
import wake.log.Stretch;

/**
 * What an entry spent on one segment, or on several between which nobody saw where one ended.
 *
 * @param first the first of its segments
 * @param last the last of them
 * @param place where it is: "round 3, 12 toes-to-bar"
 * @param round "round 3"; empty outside rounds, and where it is more than one
 * @param line the line of the workout: "toes-to-bar"
 * @param units how much there was to do, in its unit; 0 of several segments
 * @param endMs the clock at its end
 * @param complete whether all of it was done
 * @param causes what the time went to, milliseconds, as far as the log breaks it down; they add up to its time
 */
public record Piece(
        int first,
        int last,
        String place,
        String round,
        String line,
        double units,
        long endMs,
        boolean complete,
        Map<Cause, Long> causes) {
    public Piece {
        causes = Map.copyOf(causes);
    }

    static Piece of(Stretch stretch) {
        return new Piece(
                stretch.segment().index(),
                stretch.last().segment().index(),
                stretch.place(),
                stretch.round(),
                stretch.name(),
                stretch.whole() ? 0 : stretch.segment().units(),
                stretch.endMs(),
                stretch.complete() && stretch.last().endSeen(),
                causes(stretch));
    }

    private static Map<Cause, Long> causes(Stretch stretch) {
        Map<Cause, Long> causes = new EnumMap<>(Cause.class);
        Set<Cause> told = stretch.whole()
                ? EnumSet.of(Cause.INTERVAL_REST, Cause.UNSEPARATED, Cause.UNFINISHED)
                : EnumSet.complementOf(EnumSet.of(Cause.UNSEPARATED, Cause.UNLIKE));
        told.forEach(cause -> causes.put(cause, stretch.ms(cause)));
        if (!stretch.whole()) {
            causes.put(Cause.UNSEPARATED, stretch.first().unseparatedMs());
        }
        causes.values().removeIf(ms -> ms == 0);
        return causes;
    }

    public long ms() {
        return causes.values().stream().mapToLong(Long::longValue).sum();
    }

    public long ms(Cause cause) {
        return causes.getOrDefault(cause, 0L);
    }

    /** Whether work and rests are broken down in it. */
    public boolean separated() {
        return first == last && ms(Cause.UNSEPARATED) == 0;
    }

    /** Whether the start of its movement was seen, or nothing is left undivided. */
    public boolean begun() {
        return separated() || first == last && ms(Cause.TRANSITION) > 0;
    }

    /** Seconds per unit while working, faults apart; not a number where that is not broken down. */
    public double pace() {
        return separated() && complete && ms(Cause.PACE) > 0 ? ms(Cause.PACE) / 1000.0 / units : Double.NaN;
    }
}
