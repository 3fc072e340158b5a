package wake.log;

import java.util.UUID;
import wake.units.InvalidInput;

/**
 * One thing the coach saw, at one clock time.
 *
 * @param id made by whoever made the mark
 * @param kind what was seen
 * @param atMs milliseconds since "go"
 * @param reps for {@link MarkKind#OFF}: reps of the set just broken; for {@link MarkKind#DONE}: of the last set; for
 *     {@link MarkKind#STOP}: of the movement at the buzzer, all sets together; 0 when not said
 * @param depth for {@link MarkKind#DONE}: how closely the segment was watched
 * @param tag for {@link MarkKind#CUE}: {@link #CUE_GIVEN}, {@link #EFFORT}, or what it is about: posture, breath, grip …; else empty
 * @param text what the coach wrote; for {@link MarkKind#VARIANT} its name; or empty
 * @param uncertaintyS standard uncertainty of the time in seconds, by how the mark was made
 */
public record Mark(
        UUID id, MarkKind kind, long atMs, int reps, Granularity depth, String tag, String text, double uncertaintyS) {
    /** The tag of a note that was said to the athlete. */
    public static final String CUE_GIVEN = "cue";
    /** The tag of a note that is a rating of perceived exertion. */
    public static final String EFFORT = "effort";

    /** @throws InvalidInput where reps or the timing error are negative */
    public Mark {
        if (reps < 0) {
            throw new InvalidInput("Reps cannot be negative: " + reps);
        }
        if (!(uncertaintyS >= 0)) {
            throw new InvalidInput("A timing error cannot be negative: " + uncertaintyS);
        }
    }

    /** Whether it is a cue given to the athlete; everything else that is noted was observed. */
    public boolean isCueGiven() {
        return kind == MarkKind.CUE && tag.equals(CUE_GIVEN);
    }

    /** Whether it is perceived exertion. */
    public boolean isEffort() {
        return kind == MarkKind.CUE && tag.equals(EFFORT);
    }

    public static Mark of(MarkKind kind, long atMs) {
        return new Mark(new UUID(kind.ordinal(), atMs), kind, atMs, 0, Granularity.SET, "", "", 0);
    }

    public Mark withAt(long clockMs) {
        return new Mark(id, kind, clockMs, reps, depth, tag, text, uncertaintyS);
    }

    public Mark withReps(int counted) {
        return new Mark(id, kind, atMs, counted, depth, tag, text, uncertaintyS);
    }

    public Mark withDepth(Granularity watched) {
        return new Mark(id, kind, atMs, reps, watched, tag, text, uncertaintyS);
    }
}
