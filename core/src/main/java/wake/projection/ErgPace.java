package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;

/**
 * A machine or a run at one pace throughout, faster or slower than it went. The seconds are exact; what they cost is power,
 * which on an air-resistance rower or skier rises with the cube of the speed.
 *
 * @param scope of which machine, and where
 * @param secondsPerUnit the pace, by place
 */
public record ErgPace(Scope scope, Targets secondsPerUnit) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "ERG_PACE", written -> new ErgPace(written.scope(), written.aims()), ErgPace::possible, ErgPace::proposed);

    /** A target to start from: 2% faster than the fastest shown; an assumption. */
    private static final double FASTER = 0.98;
    /** A pace may also be set slower than it was, by this; an assumption. */
    private static final double SLOWER = 1.1;

    public ErgPace {
        Change.requireCadences(secondsPerUnit);
    }

    public ErgPace(String movement, double secondsPerUnit) {
        this(Scope.of(movement), Targets.of(secondsPerUnit));
    }

    private static List<String> machines(Observed observed) {
        return Cadences.movementsWithWork(observed).stream()
                .filter(movement -> isMachine(observed.work(Scope.of(movement)).getFirst()))
                .toList();
    }

    private static List<Change> possible(Observed observed) {
        return machines(observed).stream()
                .<Change>map(movement -> {
                    double quick = Statistics.lowerQuartile(observed.cadences(Scope.of(movement)));
                    return new ErgPace(movement, Math.max(0.001, Math.round(quick * 1000) / 1000.0));
                })
                .toList();
    }

    private static List<Suggestion> proposed(Observed observed) {
        return machines(observed).stream()
                .map(movement -> {
                    double faster = Math.floor(observed.meanCadence(movement).orElseThrow() * FASTER * 1000) / 1000;
                    return new Suggestion(new ErgPace(movement, Math.max(0.001, faster)), false);
                })
                .toList();
    }

    private static boolean isMachine(TimeSlice slice) {
        return slice.segment().movement().modality() == Modality.CYCLIC;
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
        return replay.slices().stream().anyMatch(this::touches)
                ? Change.noCadence(replay, scope, secondsPerUnit)
                : Optional.of("No " + scope.movement() + " was logged as erg, run or bike work.");
    }

    private boolean touches(TimeSlice slice) {
        return slice.isWork() && slice.isOf(scope.movement()) && isMachine(slice) && scope.has(slice);
    }

    @Override
    public Function<TimeSlice, Effect> on(Replay replay) {
        Map<Integer, Double> targets = secondsPerUnit.bySegment(replay, scope, this::touches);
        return slice -> {
            Double target = touches(slice) && slice.coreMs() > 0
                    ? targets.get(slice.segment().index())
                    : null;
            return target == null ? Effect.NONE : Effect.times(target / slice.secondsPerUnit());
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && scope.has(split.segment());
    }

    @Override
    public Optional<SliderRange> slider(Replay replay, long slowestMs) {
        return Cadences.slider(replay, scope, secondsPerUnit.first(), slowestMs, SLOWER);
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return Cadences.slowest(figureMs, replay, scope.movement());
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        List<Condition> conditions = new ArrayList<>();
        facts.power(scope, secondsPerUnit.first()).ifPresent(conditions::add);
        conditions.addAll(facts.slower(this).orElseGet(() -> facts.pushing(this, alone)));
        return conditions;
    }
}
