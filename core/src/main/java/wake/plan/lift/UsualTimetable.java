package wake.plan.lift;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import wake.plan.lift.LiftPlan.Attempt;
import wake.plan.lift.LiftPlan.Role;
import wake.plan.lift.LiftPlan.Want;
import wake.units.ClockTime;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;

/**
 * The timetable to begin with: prep lifts evenly up to the one that must be made, that one with about two minutes left, a wish lift as late as it
 * is calm, all of it before the buzzer and half a minute before the next part where that can be. The figures are common practice, no source.
 */
public final class UsualTimetable {
    /** Never a heavy last lift in the final seconds. */
    static final long FINAL_MS = 15_000;
    /** From the last lift to the next part. */
    static final long BEFORE_NEXT_PART_MS = 30_000;
    /** The least there is between two lifts: plates are changed. */
    static final long CHANGE_MS = 15_000;

    /** Common practice, no source, like all of this timetable. */
    private static final long MUST_HIT_BEFORE_BELL_MS = 120_000;

    private static final long FIRST_AFTER_MS = 90_000;
    private static final double FIRST_PERCENT = 60;
    private static final double MUST_HIT_SINGLE = 90;
    private static final double MUST_HIT_COMPLEX = 78;
    /** The reach lift is 2.5–5 % above the one that must be made, not 10 %. */
    private static final double WISH_STEP = 4;

    private UsualTimetable() {}

    /**
     * The usual lifts.
     *
     * @param window the window
     * @param max the athlete's max
     * @param count how many lifts, at least one
     * @param lengthMs how long each takes; empty for what is usual for so many reps
     * @param pauseMs the rest between this part and the next; empty when there is no next
     * @throws InvalidInput saying how many would fit, when they do not
     */
    public static LiftPlan of(
            Format.Lift window, Quantity max, int count, OptionalLong lengthMs, OptionalLong pauseMs, PlateRack rack) {
        int reps = LiftPiece.repsOf(window.complex());
        long length = lengthMs.orElse(usualMs(reps));
        List<Long> starts = starts(window.windowMs(), count, length, pauseMs);
        double target = target(reps);
        List<Attempt> lifts = new ArrayList<>();
        int prep = Math.max(0, count - 2);
        for (int i = 0; i < count; i++) {
            Role role = i < prep ? Role.PREP : i == prep ? Role.MUST_HIT : Role.WISH;
            double percent = switch (role) {
                case PREP -> Math.round(FIRST_PERCENT + (target - FIRST_PERCENT) * i / prep);
                case MUST_HIT -> target;
                case WISH -> target + WISH_STEP;
            };
            lifts.add(new Attempt(role, new Want.OfMax(percent), starts.get(i), length, List.of()));
        }
        return new LiftPlan(max, length, lifts, rack);
    }

    /** The usual lifts, as many as wished for or as fit, one at least. */
    public static LiftPlan asManyAsFit(
            Format.Lift window, Quantity max, int most, OptionalLong lengthMs, OptionalLong pauseMs, PlateRack rack) {
        for (int count = most; count > 1; count--) {
            try {
                return of(window, max, count, lengthMs, pauseMs, rack);
            } catch (InvalidInput tooMany) {
                continue;
            }
        }
        return of(window, max, 1, lengthMs, pauseMs, rack);
    }

    /** When so many lifts of a length leave the floor, whole seconds. */
    private static List<Long> starts(long windowMs, int count, long lengthMs, OptionalLong pauseMs) {
        long apart = seconds(lengthMs + CHANGE_MS + 999);
        long latest = latestStart(windowMs, lengthMs, pauseMs);
        // What gives first is being done by the buzzer: the bar only has to leave the floor before it.
        long calm = Math.min(windowMs - FINAL_MS, windowMs - lengthMs);
        long last = seconds(Math.min(latest, calm) >= (count - 1) * apart ? Math.min(latest, calm) : latest);
        if (count < 1 || last < (count - 1) * apart || last < 0) {
            throw new InvalidInput(tooMany(count, lengthMs, windowMs, last < 0 ? 0 : last / apart + 1));
        }
        if (count == 1) {
            return List.of(seconds(Math.min(last, Math.max(windowMs / 2, windowMs - MUST_HIT_BEFORE_BELL_MS))));
        }
        long must = Math.min(windowMs - MUST_HIT_BEFORE_BELL_MS, last - last / count);
        must = seconds(Math.min(Math.max(must, (count - 2) * apart), last - apart));
        List<Long> starts = new ArrayList<>();
        int prep = count - 2;
        long first = prep == 0 ? must : Math.min(Math.min(FIRST_AFTER_MS, must / (count - 1)), must - prep * apart);
        for (int i = 0; i < prep; i++) {
            starts.add(seconds(first + (must - first) * i / prep));
        }
        starts.add(must);
        starts.add(last);
        return starts;
    }

    /** The last good moment to leave the floor: not in the final seconds, and done half a minute before the next part. */
    static long latestStart(long windowMs, long lengthMs, OptionalLong pauseMs) {
        long buzzer = windowMs - FINAL_MS;
        return pauseMs.isPresent()
                ? Math.min(buzzer, windowMs + pauseMs.getAsLong() - BEFORE_NEXT_PART_MS - lengthMs)
                : buzzer;
    }

    private static String tooMany(int count, long lengthMs, long windowMs, long fit) {
        return count + (count == 1 ? " lift of " : " lifts of ") + lengthMs / 1000
                + " s with " + CHANGE_MS / 1000 + " s between them for the plates don't fit into "
                + ClockTime.of(windowMs).toSeconds() + "; "
                + (fit == 0 ? "none fits" : fit + (fit == 1 ? " fits" : " fit"));
    }

    private static long seconds(long ms) {
        return Math.floorDiv(ms, 1000) * 1000;
    }

    static double target(int reps) {
        return reps == 1 ? MUST_HIT_SINGLE : MUST_HIT_COMPLEX;
    }

    /** A single takes about 8 s, a triple 22 s, twelve reps 45 s: between, along a line. Common practice, no source. */
    public static long usualMs(int reps) {
        if (reps <= 3) {
            return 8000 + 7000L * (reps - 1);
        }
        return Math.min(180_000, 22_000 + Math.round(23_000 * (reps - 3) / 9.0));
    }
}
