package wake.plan;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalLong;
import java.util.function.ToLongFunction;

/**
 * For the end of each segment the latest clock from which all that is due after it can still be done, every segment taking as long as
 * it is meant to. Where the athlete would wait for an interval or for a mark of the coach's, being late costs nothing as long as it
 * only eats the wait.
 */
public final class LatestClocks {
    private static final long NEVER = Long.MAX_VALUE;

    private final long[] latest;

    private LatestClocks(long[] latest) {
        this.latest = latest;
    }

    /** Those of a plan. */
    public static LatestClocks of(Forecast forecast, List<Deadline> due) {
        List<PlannedSegment> segments = forecast.segments();
        return of(
                segments,
                LatestClocks::needsMs,
                due,
                one -> one.extraSteps() == 0
                        ? 0
                        : needsMs(segments.get(one.whole()).upTo(one.extraSteps())));
    }

    /** A prescribed rest is kept whoever is late; a wait for a mark of the coach's is not. */
    private static long needsMs(PlannedSegment planned) {
        return planned.activeMs()
                - planned.markMs()
                + Math.min(planned.waitMs(), planned.segment().restBeforeMs());
    }

    /**
     * Those of any walk.
     *
     * @param legs the segments walked, from the first
     * @param activeMs how long one takes, without what waits before it
     * @param extraMs how long the steps take that something due asks for beyond its whole segments
     */
    public static <T> LatestClocks of(
            List<T> legs, ToLongFunction<T> activeMs, List<Deadline> due, ToLongFunction<Deadline> extraMs) {
        long[] latest = new long[legs.size() + 1];
        Arrays.fill(latest, NEVER);
        for (Deadline one : due) {
            boolean walked = one.whole() + (one.extraSteps() > 0 ? 1 : 0) <= legs.size();
            if (walked) {
                latest[one.whole()] = Math.min(latest[one.whole()], one.byMs() - extraMs.applyAsLong(one));
            }
        }
        for (int i = legs.size() - 1; i >= 0; i--) {
            if (latest[i + 1] != NEVER) {
                latest[i] = Math.min(latest[i], latest[i + 1] - activeMs.applyAsLong(legs.get(i)));
            }
        }
        return new LatestClocks(latest);
    }

    /**
     * The latest clock in milliseconds after so many segments; empty where nothing is due from there on, or where it is too late at the
     * very start.
     */
    public OptionalLong after(int segments) {
        return latest[segments] == NEVER || latest[segments] < 0
                ? OptionalLong.empty()
                : OptionalLong.of(latest[segments]);
    }
}
