package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.SegmentSplit;
import wake.units.Digits;

/**
 * No rest between the sets of a segment longer than this.
 *
 * @param scope which rests
 * @param seconds the longest, by place
 */
public record CapRests(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CAP_RESTS",
            written -> new CapRests(written.scope(), written.aims()),
            seen -> Pauses.possible(seen, Piece.Kind.REST, CapRests::new),
            seen -> Pauses.proposed(seen, Piece.Kind.REST, CapRests::new));

    public CapRests {
        Change.requirePauses(seconds);
    }

    public CapRests(String movement, long targetMs) {
        this(Scope.of(movement), Targets.ofMs(targetMs));
    }

    public CapRests(long targetMs) {
        this("", targetMs);
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Written written() {
        return Written.of(KIND, scope, seconds);
    }

    private static boolean touches(Piece piece) {
        return piece.kind() == Piece.Kind.REST;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return Pauses.capped(replay, scope, seconds, CapRests::touches);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.REST && scope.has(split.segment());
    }

    @Override
    public Optional<Dial> dial(Replay replay, long slowestMs) {
        return Optional.of(Dial.pause(seconds.first(), slowestMs));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, true);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return "longest " + Digits.TENTHS.span(figureMs);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.pushing(this, alone);
    }
}
