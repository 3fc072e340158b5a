package wake.plan;

import java.util.ArrayList;
import java.util.List;
import wake.workout.Segment;

/**
 * What a baseline allows for one segment, in whole milliseconds.
 *
 * @param segment what is to be done
 * @param waitMs of interval work, what is left of the interval before
 * @param transitionMs up to the start of the movement
 * @param markMs how much of that only waits for a mark of the coach's, so that who comes late need not spend it
 * @param workMs in sets
 * @param pickUpsMs to bring the load up for its sets, beyond that
 * @param restsMs the breaks, each after the set of its place
 * @param missesMs for misses, no-reps and trips; spread over the work
 * @param sets set sizes; empty where nothing is said about them
 * @param curve how the work is spread over it
 */
public record PlannedSegment(
        Segment segment,
        long waitMs,
        long transitionMs,
        long markMs,
        long workMs,
        long pickUpsMs,
        List<Long> restsMs,
        long missesMs,
        List<Integer> sets,
        WorkCurve curve) {
    public PlannedSegment {
        sets = List.copyOf(sets);
        restsMs = List.copyOf(restsMs);
    }

    /** A segment whose work is spread evenly. */
    public PlannedSegment(
            Segment segment,
            long waitMs,
            long transitionMs,
            long workMs,
            List<Long> restsMs,
            long missesMs,
            List<Integer> sets) {
        this(segment, waitMs, transitionMs, 0, workMs, 0, restsMs, missesMs, sets, WorkCurve.STRAIGHT);
    }

    /** All breaks together. */
    public long restMs() {
        return restsMs.stream().mapToLong(Long::longValue).sum();
    }

    public long totalMs() {
        return waitMs + activeMs();
    }

    /** All but the wait for the interval to open. */
    public long activeMs() {
        return transitionMs + workMs + pickUpsMs + restMs() + missesMs;
    }

    /** What is allowed for so many of its steps: work, pick-ups and misses in proportion, and the breaks that come before the last of them. */
    public PlannedSegment upTo(int steps) {
        int all = segment.steps();
        if (steps >= all) {
            return this;
        }
        return new PlannedSegment(
                segment,
                waitMs,
                transitionMs,
                markMs,
                Math.round(workMs * curve.share((double) steps / all)),
                Math.round(pickUpsMs * (double) steps / all),
                restsBefore(steps),
                Math.round(missesMs * (double) steps / all),
                sets,
                WorkCurve.STRAIGHT);
    }

    /** How many of its steps are complete so long after its start of the movement. */
    public int stepsBy(long ms) {
        int done = 0;
        while (done < segment.steps() && upTo(done + 1).sinceFirstActionMs() <= ms) {
            done++;
        }
        return done;
    }

    /** Work, pick-ups, breaks and misses. */
    private long sinceFirstActionMs() {
        return workMs + pickUpsMs + restMs() + missesMs;
    }

    /** The same cut off after so long: what is under way then is cut short. */
    public PlannedSegment cutAt(long ms) {
        long left = Math.max(0, ms);
        long wait = Math.min(left, waitMs);
        left -= wait;
        long transition = Math.min(left, transitionMs);
        left -= transition;
        List<Long> rests = new ArrayList<>();
        long busy = 0;
        long whole = busyMs();
        for (int i = 0; i <= restsMs.size() && left > 0; i++) {
            long set = Math.min(left, busyBefore(i + 1) - busyBefore(i));
            busy += set;
            left -= set;
            if (i < restsMs.size()) {
                rests.add(Math.min(left, restsMs.get(i)));
                left -= rests.getLast();
            }
        }
        long work = whole == 0 ? 0 : Math.round(busy * (double) workMs / whole);
        long pickUps = whole == 0 ? 0 : Math.min(busy - work, Math.round(busy * (double) pickUpsMs / whole));
        return new PlannedSegment(
                segment,
                wait,
                transition,
                Math.min(markMs, transition),
                work,
                pickUps,
                rests,
                busy - work - pickUps,
                sets,
                WorkCurve.STRAIGHT);
    }

    /** All but the breaks. */
    private long busyMs() {
        return workMs + pickUpsMs + missesMs;
    }

    /** Work, pick-ups and misses in the sets before one of a place. */
    private long busyBefore(int set) {
        long whole = busyMs();
        if (set > restsMs.size() || sets.size() <= restsMs.size()) {
            return set == 0 ? 0 : whole;
        }
        int reps = sets.subList(0, set).stream().mapToInt(Integer::intValue).sum();
        double done = (double) reps / segment.steps();
        return Math.round(workMs * curve.share(done) + (pickUpsMs + missesMs) * done);
    }

    private List<Long> restsBefore(int steps) {
        List<Long> before = new ArrayList<>();
        int done = 0;
        for (int i = 0; i < restsMs.size() && i < sets.size(); i++) {
            done += sets.get(i);
            if (done < steps) {
                before.add(restsMs.get(i));
            }
        }
        return before;
    }

    /** The same with other work, spread as it was. */
    PlannedSegment withWork(long ms) {
        return withWork(ms, curve);
    }

    PlannedSegment withWork(long ms, WorkCurve spread) {
        return new PlannedSegment(
                segment, waitMs, transitionMs, markMs, ms, pickUpsMs, restsMs, missesMs, sets, spread);
    }

    /** The same with so much more of a wait for a mark before its start of the movement. */
    PlannedSegment waitingForItsMark(long ms) {
        return new PlannedSegment(
                segment, waitMs, transitionMs + ms, markMs + ms, workMs, pickUpsMs, restsMs, missesMs, sets, curve);
    }
}
