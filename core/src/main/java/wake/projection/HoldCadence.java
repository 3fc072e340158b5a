package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;

/**
 * A movement never slower than so many seconds per rep or unit; the cost of faults stays, and what is faster already too.
 *
 * @param scope of which movement, and where
 * @param secondsPerUnit the slowest, by place
 */
public record HoldCadence(Scope scope, Targets secondsPerUnit) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "HOLD_CADENCE",
            written -> new HoldCadence(written.scope(), written.aims()),
            HoldCadence::possible,
            HoldCadence::proposed);

    public HoldCadence {
        Change.requireCadences(secondsPerUnit);
    }

    public HoldCadence(String movement, double secondsPerUnit) {
        this(Scope.of(movement), Targets.of(secondsPerUnit));
    }

    private static List<Change> possible(Observed observed) {
        return Cadences.movementsWithWork(observed).stream()
                .<Change>map(movement -> {
                    double quick = Statistics.lowerQuartile(observed.cadences(Scope.of(movement)));
                    return new HoldCadence(movement, Math.max(0.001, Math.ceil(quick * 1000) / 1000));
                })
                .toList();
    }

    /** One for each movement, at each of its loads; the one that gains most is switched on. */
    private static List<Suggestion> proposed(Observed observed) {
        List<Change> holds = new ArrayList<>();
        for (String movement : observed.movements()) {
            for (Scope scope : observed.like(movement)) {
                Observed.target(observed.cadences(scope))
                        .ifPresent(target ->
                                holds.add(new HoldCadence(scope, Targets.of(Math.ceil(target * 100) / 100))));
            }
        }
        holds.sort(Comparator.comparingLong(observed::gain).reversed());
        List<Suggestion> proposed = new ArrayList<>();
        for (int i = 0; i < holds.size(); i++) {
            proposed.add(new Suggestion(holds.get(i), i == 0));
        }
        return proposed;
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public StoredChange written() {
        return StoredChange.of(KIND, scope, secondsPerUnit);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return Change.noCadence(replay, scope, secondsPerUnit);
    }

    private boolean touches(TimeSlice slice) {
        return slice.isWork() && slice.isOf(scope.movement()) && scope.has(slice);
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Map<Integer, Double> targets = secondsPerUnit.bySegment(replay, scope, this::touches);
        return slice -> {
            Double target = touches(slice) ? targets.get(slice.segment().index()) : null;
            return target == null ? Effect.NONE : Effect.atMost(1000 * target * slice.amount());
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Cadences.slider(replay, scope, secondsPerUnit.first(), slowestMs, 1);
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
