package wake.projection;

import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;

/** What transitions and rests that are cut have in common. */
final class PauseLimits {
    private PauseLimits() {}

    static Function<TimeSlice, Effect> capped(
            Replay replay, Scope scope, Targets seconds, Predicate<TimeSlice> touches) {
        Map<Integer, Double> targets = seconds.bySegment(replay, scope, touches);
        return slice -> {
            Double target = scope.has(slice) && touches.test(slice)
                    ? targets.get(slice.segment().index())
                    : null;
            return target == null ? Effect.NONE : Effect.atMost(Math.round(1000 * target));
        };
    }
}
