package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import wake.log.SegmentSplit;
import wake.units.Digits;

/**
 * No transition longer than this; the way to the first movement is left alone.
 *
 * @param scope which ways: those to a movement
 * @param seconds the longest, by place
 */
public record CapTransitions(Scope scope, Targets seconds) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CAP_TRANSITIONS",
            written -> new CapTransitions(written.scope(), written.aims()),
            seen -> Pauses.possible(seen, Piece.Kind.TRANSITION, CapTransitions::new),
            seen -> Pauses.proposed(seen, Piece.Kind.TRANSITION, CapTransitions::new));

    public CapTransitions {
        Change.requirePauses(seconds);
    }

    public CapTransitions(String movement, long targetMs) {
        this(Scope.of(movement), Targets.ofMs(targetMs));
    }

    public CapTransitions(long targetMs) {
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
        return piece.kind() == Piece.Kind.TRANSITION && piece.segment().index() > 0;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return Pauses.capped(replay, scope, seconds, CapTransitions::touches);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.TRANSITION && split.segment().index() > 0 && scope.has(split.segment());
    }

    @Override
    public Optional<Dial> dial(Replay replay, long slowestMs) {
        return Optional.of(Dial.pause(seconds.first(), slowestMs));
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public String slowest(long figureMs, Replay replay) {
        return "longest " + Digits.TENTHS.span(figureMs);
    }
}
