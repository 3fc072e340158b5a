package wake.plan;

import wake.movement.Position;
import wake.workout.Segment;

/**
 * How a bar is handled, by its share of the athlete's max: how quick a rep is, how many are done without letting go, how long the breaks are, and
 * whether a miss has to be reckoned with. A starting point for a plan, until the athlete shows otherwise.
 *
 * <p>Reps that a share leaves, fresh: Epley (1985), 1RM = load x (1 + reps / 30), solved for the reps. Half of them in a set of a workout, and
 * all else here: common practice, no source.
 *
 * @param place of a rep between the catalogue's fast end, 0, and its slow end, 1
 * @param most reps in a set, at least one
 * @param restMs the break after a set
 * @param missesMs allowed for misses; 0 where none are to be expected
 */
public record LoadProfile(double share, double place, int most, long restMs, long missesMs) {
    /** From this share on a miss is to be expected. */
    public static final double HEAVY = 0.85;

    /** What one missed lift costs with the stare after it. */
    public static final long MISS_MS = 15_000;

    /** Up to this share of the max a bar costs nothing; an assumption, like the times below. */
    private static final double LIGHT = 0.4;
    /** In a workout half the reps of a fresh set are done in one; common practice, no source. */
    private static final double OF_FRESH = 0.5;
    /** Epley (1985): 1RM = load × (1 + reps / 30). */
    private static final double EPLEY = 30;

    private static final double HAIR = 1e-9;

    /** Light bars wait as long as anything else; singles at the top want their breaths. */
    private static final long LIGHT_REST_MS = 5000;

    private static final long HEAVY_REST_MS = 8000;
    private static final long MAX_REST_MS = 26_000;

    /** To the hip, as a deadlift. */
    private static final long TO_THE_HIP_MS = 1500;

    /** To the shoulders and above: a clean, with what a breath takes to stand. */
    private static final long TO_THE_RACK_MS = 2500;

    /** What it takes to bring the load of a segment up for a set, where its reps start above the floor; else 0. */
    public static long pickUpMs(Segment segment) {
        if (!segment.isRaised()) {
            return 0;
        }
        return segment.movement().starts() == Position.HIP ? TO_THE_HIP_MS : TO_THE_RACK_MS;
    }

    /** By the share of the max, 1 for the max itself. */
    public static LoadProfile of(double share) {
        double known = Math.min(1, share);
        double place = between(LIGHT, HEAVY, known);
        double fresh = EPLEY * (1 / known - 1);
        int most = Math.max(1, (int) Math.floor(OF_FRESH * fresh + HAIR));
        double rest = known < HEAVY
                ? LIGHT_REST_MS + place * (HEAVY_REST_MS - LIGHT_REST_MS)
                : HEAVY_REST_MS + between(HEAVY, 1, known) * (MAX_REST_MS - HEAVY_REST_MS);
        return new LoadProfile(share, place, most, Math.round(rest / 1000) * 1000, known < HEAVY ? 0 : MISS_MS);
    }

    /** Whether it is more than the athlete has ever lifted. */
    public boolean isAboveMax() {
        return share > 1;
    }

    private static double between(double from, double to, double value) {
        return Math.clamp((value - from) / (to - from), 0, 1);
    }
}
