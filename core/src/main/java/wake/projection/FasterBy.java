package wake.projection;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.units.Messages;
import wake.workout.Segment;

/**
 * Each rep or unit of a movement by so much faster than it was: "a second a rep off the burpees". It asks the same of quick ones and
 * slow ones.
 *
 * @param scope of which movement, and where
 * @param secondsPerUnit by how much, by place
 */
public record FasterBy(Scope scope, Targets secondsPerUnit) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "QUICKER_BY",
            written -> new FasterBy(written.scope(), written.aims()),
            FasterBy::possible,
            observed -> List.of());

    /** A tenth of what it takes: an assumption to start from. */
    private static final double USUAL_SHARE = 0.1;

    public FasterBy {
        Change.requireCadences(secondsPerUnit);
    }

    private static List<Change> possible(Observed observed) {
        return Cadences.movementsWithWork(observed).stream()
                .<Change>map(movement -> {
                    double mean = observed.meanCadence(movement).orElse(1);
                    double by = Math.max(
                            0.001,
                            mean < 1 ? Math.round(100 * mean) / 1000.0 : Math.round(10 * USUAL_SHARE * mean) / 10.0);
                    return new FasterBy(Scope.of(movement), Targets.of(Math.max(0.001, by)));
                })
                .toList();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, secondsPerUnit);
    }

    private boolean touches(TimeSlice slice) {
        return slice.isWork() && scope.has(slice);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        Map<Integer, Double> by = secondsPerUnit.bySegment(replay, scope, this::touches);
        List<TimeSlice> slices = replay.slices().stream().filter(this::touches).toList();
        if (slices.isEmpty()) {
            return Optional.of("No work was logged by itself" + scope.movement("on") + ".");
        }
        return slices.stream()
                .filter(slice -> slice.secondsPerUnit()
                        <= by.getOrDefault(slice.segment().index(), 0.0))
                .findFirst()
                .map(slice -> Messages.of(
                        "In %s they took %.2f s each. The cut must be smaller than that.",
                        place(slice.segment()), slice.secondsPerUnit()));
    }

    private static String place(Segment segment) {
        return segment.inRounds() ? segment.lap().words() : "this attempt";
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Map<Integer, Double> by = secondsPerUnit.bySegment(replay, scope, this::touches);
        return slice -> {
            Double less = touches(slice) ? by.get(slice.segment().index()) : null;
            return less == null || slice.secondsPerUnit() <= less
                    ? Effect.NONE
                    : Effect.less(1000 * less * slice.amount());
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        double slowest = Math.max(0.1, slowestMs / 1000.0);
        boolean fine = slowest < 1;
        return Optional.of(SliderRange.of(
                fine ? 0.001 : 0.01,
                Math.max(secondsPerUnit.first(), slowest / 2),
                fine ? 0.001 : 0.01,
                fine ? 3 : 2,
                "s off each"));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, true);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return Cadences.slowest(figureMs, replay, scope.movement());
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
