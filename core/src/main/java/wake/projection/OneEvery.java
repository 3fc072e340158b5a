package wake.projection;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.units.Messages;

/**
 * One rep every so many seconds, pauses between them included: sets and rests of a segment together take its reps times that, whether
 * that is faster or slower than it was.
 *
 * @param scope of which movement, and where
 * @param seconds from rep to rep, by place
 */
public record OneEvery(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "ONE_EVERY",
            written -> new OneEvery(written.scope(), written.aims()),
            OneEvery::possible,
            observed -> List.of());

    public OneEvery {
        Change.requireCadences(seconds);
    }

    private static List<Change> possible(Observed observed) {
        return Cadences.movementsWithWork(observed).stream()
                .filter(movement ->
                        observed.work(Scope.of(movement)).getFirst().segment().tappable())
                .<Change>map(movement -> {
                    Map<Integer, double[]> sums = sums(observed.replay(), Scope.of(movement));
                    double mean = sums.values().stream()
                            .mapToDouble(sum -> sum[0] / 1000 / sum[1])
                            .average()
                            .orElse(1);
                    return new OneEvery(Scope.of(movement), Targets.of(Math.max(0.1, Math.round(10 * mean) / 10.0)));
                })
                .toList();
    }

    private static boolean touches(TimeSlice slice) {
        return slice.isWork() || slice.kind() == TimeSlice.Kind.REST;
    }

    /** Of each segment, milliseconds of work and rest, reps, and what no pace touches. */
    private static Map<Integer, double[]> sums(Replay replay, Scope scope) {
        Map<Integer, double[]> sums = new HashMap<>();
        for (TimeSlice slice : replay.slices()) {
            if (touches(slice) && scope.has(slice.segment())) {
                double[] sum = sums.computeIfAbsent(slice.segment().index(), index -> new double[3]);
                sum[0] += slice.coreMs();
                sum[1] += slice.isWork() ? slice.amount() : 0;
                sum[2] += slice.fixedMs() + slice.tailMs();
            }
        }
        sums.values().removeIf(sum -> sum[0] <= 0 || sum[1] <= 0);
        return sums;
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, seconds);
    }

    @Override
    public int breadth() {
        return scope.breadth() + 1;
    }

    @Override
    public boolean isOfAWhole() {
        return true;
    }

    @Override
    public Optional<String> reason(Replay replay) {
        Map<Integer, Double> targets = seconds.bySegment(replay, scope, OneEvery::touches);
        Map<Integer, double[]> sums = sums(replay, scope);
        if (sums.isEmpty()) {
            return Optional.of("No single reps were logged" + scope.movement("of") + ".");
        }
        return sums.entrySet().stream()
                .filter(one -> targets.containsKey(one.getKey())
                        && 1000 * targets.get(one.getKey()) * one.getValue()[1] <= one.getValue()[2])
                .findFirst()
                .map(one -> Messages.of(
                        "Faults alone took %.1f s of that. No rate makes up for it.", one.getValue()[2] / 1000));
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Map<Integer, Double> targets = seconds.bySegment(replay, scope, OneEvery::touches);
        Map<Integer, Effect> effects = new HashMap<>();
        sums(replay, scope).forEach((index, sum) -> {
            double factor = (1000 * targets.getOrDefault(index, 0.0) * sum[1] - sum[2]) / sum[0];
            if (factor > 0) {
                effects.put(index, Effect.times(factor));
            }
        });
        return slice -> touches(slice) ? effects.getOrDefault(slice.segment().index(), Effect.NONE) : Effect.NONE;
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return (cause == Cause.PACE || cause == Cause.REST) && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        double target = seconds.first();
        double slowest = sums(replay, scope).values().stream()
                .mapToDouble(sum -> (sum[0] + sum[2]) / 1000 / sum[1])
                .max()
                .orElse(target);
        return Optional.of(SliderRange.of(0.1, Math.max(target, 1.2 * slowest), 0.1, 1, "s from one to the next"));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
