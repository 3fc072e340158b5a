package wake.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;

/**
 * Who has done more at a full minute.
 *
 * @param reps by how much the first attempt has scored more, below 0 where less; empty where the reps in between count differently for the
 *     two, or nobody logged them
 * @param ahead above 0 where the first attempt has done more, below where the other has
 */
public record MinuteLead(long clockMs, OptionalInt reps, int ahead) {
    private static final long MINUTE_MS = 60_000;

    /**
     * At every full minute up to a clock, and at that.
     *
     * @param reached whether the steps go up to the last place both have
     */
    static List<MinuteLead> of(List<Step> steps, boolean reached, long endMs) {
        List<MinuteLead> minutes = new ArrayList<>();
        for (long at = MINUTE_MS; at < endMs; at += MINUTE_MS) {
            minutes.add(at(steps, reached, at));
        }
        if (endMs > 0) {
            minutes.add(at(steps, reached, endMs));
        }
        return minutes;
    }

    static MinuteLead at(List<Step> steps, boolean reached, long clockMs) {
        int one = done(steps, Step::oneMs, clockMs);
        int other = done(steps, Step::otherMs, clockMs);
        boolean known = underWay(steps, reached, one) && underWay(steps, reached, other);
        int points = 0;
        for (Step step : steps.subList(Math.min(one, other), Math.max(one, other))) {
            known &= step.points().isPresent();
            points += step.points().orElse(0);
        }
        return new MinuteLead(
                clockMs,
                known ? OptionalInt.of(one >= other ? points : -points) : OptionalInt.empty(),
                Integer.compare(one, other));
    }

    /** How many steps one of them has complete: its clocks rise, and those it never came to are the last. */
    private static int done(List<Step> steps, Function<Step, Optional<Long>> its, long atMs) {
        int low = 0;
        int high = steps.size();
        while (low < high) {
            int middle = (low + high) / 2;
            if (its.apply(steps.get(middle)).orElse(Long.MAX_VALUE) <= atMs) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Whether the step under way is one rep, so that being in the middle of it hides nothing. */
    private static boolean underWay(List<Step> steps, boolean reached, int done) {
        return done >= steps.size() ? reached : steps.get(done).single();
    }
}
