package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.projection.Suggestions.Suggestion;
import wake.statistics.Statistics;

/**
 * A machine or a run at one pace throughout, quicker or slower than it went. The seconds are exact; what they cost is power,
 * which on an air-resistance rower or skier rises with the cube of the speed.
 *
 * @param scope of which machine, and where
 * @param secondsPerUnit the pace, by place
 */
public record ErgPace(Scope scope, Targets secondsPerUnit) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "ERG_PACE", written -> new ErgPace(written.scope(), written.aims()), ErgPace::possible, ErgPace::proposed);

    private static final double FASTER = 0.98;
    /** A pace may also be set slower than it was. */
    private static final double SLOWER = 1.1;

    public ErgPace {
        Change.requireCadences(secondsPerUnit);
    }

    public ErgPace(String movement, double secondsPerUnit) {
        this(Scope.of(movement), Targets.of(secondsPerUnit));
    }

    private static List<String> machines(Seen seen) {
        return Cadences.movementsWithWork(seen).stream()
                .filter(movement -> isMachine(seen.work(Scope.of(movement)).getFirst()))
                .toList();
    }

    private static List<Change> possible(Seen seen) {
        return machines(seen).stream()
                .<Change>map(movement -> {
                    double quick = Statistics.lowerQuartile(seen.cadences(Scope.of(movement)));
                    return new ErgPace(movement, Math.max(0.001, Math.round(quick * 1000) / 1000.0));
                })
                .toList();
    }

    private static List<Suggestion> proposed(Seen seen) {
        return machines(seen).stream()
                .map(movement -> {
                    double faster = Math.floor(seen.meanCadence(movement).orElseThrow() * FASTER * 1000) / 1000;
                    return new Suggestion(new ErgPace(movement, Math.max(0.001, faster)), false);
                })
                .toList();
    }

    private static boolean isMachine(Piece piece) {
        return piece.segment().movement().modality() == Modality.CYCLIC;
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Written written() {
        return Written.of(KIND, scope, secondsPerUnit);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::touches)
                ? Change.noCadence(replay, scope, secondsPerUnit)
                : Optional.of("No " + scope.movement() + " was logged as erg, run or bike work.");
    }

    private boolean touches(Piece piece) {
        return piece.isWork() && piece.isOf(scope.movement()) && isMachine(piece) && scope.has(piece);
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        Map<Integer, Double> targets = secondsPerUnit.bySegment(replay, scope, this::touches);
        return piece -> {
            Double target = touches(piece) && piece.coreMs() > 0
                    ? targets.get(piece.segment().index())
                    : null;
            return target == null ? Effect.NONE : Effect.times(target / piece.secondsPerUnit());
        };
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.PACE && scope.has(split.segment());
    }

    @Override
    public Optional<Dial> dial(Replay replay, long slowestMs) {
        return Cadences.dial(replay, scope, secondsPerUnit.first(), slowestMs, SLOWER);
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
