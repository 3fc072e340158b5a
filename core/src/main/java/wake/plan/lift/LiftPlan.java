package wake.plan.lift;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import wake.units.ClockTime;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Format;

/**
 * The lifts intended for a window.
 *
 * @param max what percentages are of: the athlete's max in this lift
 * @param complexMs how long one attempt takes from leaving the floor
 * @param lifts the attempts in order
 * @param rack bar and plates
 */
public record LiftPlan(Quantity max, long complexMs, List<Attempt> lifts, PlateRack rack) {
    /** Never a heavy last lift in the final seconds; common practice, no source. */
    static final long FINAL_MS = 15_000;
    /** A lift that must be made stands about so long before the bell; common practice, no source. */
    private static final long MUST_HIT_BEFORE_BELL_MS = 120_000;
    /** The wish lift is 2.5–5 % above the one that must be made, not 10 %; common practice, no source. */
    private static final double WISH_STEP = 4;

    private static final double FIRST_PERCENT = 60;
    private static final double MUST_HIT_SINGLE = 90;
    private static final double MUST_HIT_COMPLEX = 78;
    private static final int MOST_LIFTS = 20;

    public LiftPlan {
        lifts = List.copyOf(lifts);
        if (max.unit().dimension() != Unit.Dimension.MASS || max.value().signum() == 0) {
            throw new IllegalArgumentException("Expected a max above 0 in kg or lb, got " + max);
        }
        if (complexMs < 1000 || complexMs > 180_000) {
            throw new IllegalArgumentException("Expected the lift to take 1 to 180 s, got " + complexMs / 1000.0);
        }
        if (lifts.isEmpty() || lifts.size() > MOST_LIFTS) {
            throw new IllegalArgumentException("Expected 1 to 20 lifts, got " + lifts.size());
        }
    }

    /** What a lift is for. */
    public enum Role {
        PREP,
        MUST_HIT,
        WISH
    }

    /**
     * One lift.
     *
     * @param role what it is for
     * @param percent of the max
     * @param startMs when it leaves the floor, clock time
     */
    public record Attempt(Role role, double percent, long startMs) {
        public Attempt {
            if (!(percent > 0) || percent > 130) {
                throw new IllegalArgumentException("Expected above 0 and up to 130 %, got " + percent);
            }
            if (startMs < 0) {
                throw new IllegalArgumentException("A lift starts after \"go\"");
            }
        }
    }

    /**
     * Holds the lifts against their window.
     *
     * @throws IllegalArgumentException naming the first lift that does not fit
     */
    public LiftPlan checkedFor(Format.Lift window) {
        for (int i = 0; i < lifts.size(); i++) {
            long start = lifts.get(i).startMs();
            if (start >= window.windowMs()) {
                throw new IllegalArgumentException("Lift " + (i + 1) + " starts at " + clock(start)
                        + "; the bar must leave the floor before the bell at " + clock(window.windowMs()));
            }
            if (i > 0 && start < lifts.get(i - 1).startMs() + complexMs) {
                throw new IllegalArgumentException(
                        "Lift " + (i + 1) + " starts at " + clock(start) + ", before lift " + i + " is done");
            }
        }
        return this;
    }

    private static String clock(long ms) {
        return ClockTime.of(ms).toSeconds();
    }

    /**
     * The usual timetable: prep lifts evenly up to the one that must be made, that one with two minutes left, a wish lift at
     * the latest good start.
     *
     * @param window the window
     * @param max the athlete's max
     * @param count how many lifts, at least one
     */
    public static LiftPlan usual(Format.Lift window, Quantity max, int count, PlateRack rack) {
        int reps = window.complex().stream().mapToInt(Format.LiftPiece::reps).sum();
        double mustHit = reps == 1 ? MUST_HIT_SINGLE : MUST_HIT_COMPLEX;
        long last = Math.max(1000, window.windowMs() - FINAL_MS);
        long must = count < 2 ? last : Math.max(window.windowMs() / 2, window.windowMs() - MUST_HIT_BEFORE_BELL_MS);
        int prep = Math.max(0, count - 2);
        List<Attempt> lifts = new ArrayList<>();
        IntStream.range(0, prep)
                .forEach(i -> lifts.add(new Attempt(
                        Role.PREP,
                        Math.round(FIRST_PERCENT + (mustHit - FIRST_PERCENT) * i / prep),
                        must * (i + 1) / (prep + 1))));
        lifts.add(new Attempt(Role.MUST_HIT, mustHit, must));
        if (count > 1) {
            lifts.add(new Attempt(Role.WISH, mustHit + WISH_STEP, last));
        }
        return new LiftPlan(max, usualMs(reps), lifts, rack);
    }

    /** A single takes about 8 s, a triple 22 s, twelve reps 45 s: between, along a line. Common practice, no source. */
    static long usualMs(int reps) {
        if (reps <= 3) {
            return 8000 + 7000L * (reps - 1);
        }
        return 22_000 + Math.round(23_000 * (reps - 3) / 9.0);
    }
}
