package wake.projection;

import java.util.List;
import java.util.Optional;
import wake.log.PaceFormat;
import wake.units.Messages;
import wake.workout.Segment;

/** What changes of pace have in common. */
final class Cadences {
    /** How far below what is shown or chosen a pace can be dragged; an assumption. */
    private static final double LEAST_SHARE = 0.6;

    private Cadences() {}

    private static Optional<Segment> first(Replay replay, String movement) {
        return replay.log().expanded().segments().stream()
                .filter(segment -> segment.movement().name().equals(movement))
                .findFirst();
    }

    /** @param beyond how far above what was slowest it may be set, 1 for not at all */
    static Optional<SliderRange> slider(Replay replay, Scope scope, double target, long slowestMs, double beyond) {
        return first(replay, scope.movement()).map(segment -> {
            boolean fine = target < 1;
            double step = fine ? 0.001 : 0.01;
            double slowest = slowestMs / 1000.0;
            String unit = "s/" + segment.amount().unit().symbol();
            double least = Math.max(step, LEAST_SHARE * (slowest > 0 ? Math.min(target, slowest) : target));
            return new SliderRange(
                    least,
                    Math.max(slowest, target) * beyond,
                    step,
                    fine ? 3 : 2,
                    unit,
                    unit + ", " + PaceFormat.of(segment, target),
                    new Observed(replay).cadenceByRound(scope.whole(), step));
        });
    }

    static String slowest(long figureMs, Replay replay, String movement) {
        double slowest = figureMs / 1000.0;
        return "slowest "
                + first(replay, movement)
                        .map(segment -> PaceFormat.of(segment, slowest))
                        .orElse(Messages.of("%.2f s", slowest));
    }

    static List<String> movementsWithWork(Observed observed) {
        return observed.movements().stream()
                .filter(movement -> observed.cadences(Scope.of(movement)).length > 0)
                .toList();
    }
}
