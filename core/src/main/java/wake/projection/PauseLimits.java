package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;

/** What transitions and rests that are cut have in common. */
final class PauseLimits {
    private PauseLimits() {}

    /** One that takes a scope and its targets. */
    interface Maker {
        Change make(Scope scope, Targets seconds);
    }

    static List<Change> possible(Observed observed, TimeSlice.Kind kind, Maker maker) {
        List<Change> changes = new ArrayList<>();
        List<Scope> scopes = new ArrayList<>(List.of(Scope.EVERYWHERE));
        observed.movements().forEach(movement -> scopes.add(Scope.of(movement)));
        for (Scope scope : scopes) {
            double[] ms = observed.pauses(kind, scope);
            if (ms.length > 0) {
                changes.add(maker.make(scope, Targets.ofMs(Math.round(Statistics.lowerQuartile(ms) / 100) * 100)));
            }
        }
        return changes;
    }

    static List<Suggestion> proposed(Observed observed, TimeSlice.Kind kind, Maker maker) {
        List<Suggestion> proposed = new ArrayList<>();
        for (Scope scope : observed.like()) {
            Observed.target(observed.pauses(kind, scope))
                    .ifPresent(ms -> proposed.add(
                            new Suggestion(maker.make(scope, Targets.ofMs(Observed.halfSeconds(ms))), true)));
        }
        return proposed;
    }

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
