package wake.projection;

import java.util.Optional;
import java.util.function.Function;

/**
 * No-reps, misses and trips do not happen.
 *
 * @param movement whose; empty for all
 */
public record DropFaults(String movement) implements Change {
    @Override
    public String words() {
        return "No faults" + Change.of("in", movement);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(piece -> piece.fixedMs() > 0 && Change.concerns(movement, piece))
                ? Optional.empty()
                : Optional.of("No fault with a known cost was logged" + Change.of("in", movement) + ".");
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return piece -> piece.fixedMs() > 0 && Change.concerns(movement, piece) ? Effect.NO_FAULTS : Effect.NONE;
    }
}
