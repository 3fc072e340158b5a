package wake.projection;

import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import wake.movement.Modality;

/**
 * A machine or a run at one pace throughout, quicker or slower than it went. The seconds are exact; what they cost is power,
 * which on an air-resistance rower or skier rises with the cube of the speed.
 */
public record ErgPace(String movement, double secondsPerUnit) implements Change {
    public ErgPace {
        Change.requireCadence(secondsPerUnit);
    }

    @Override
    public String words() {
        return String.format(Locale.ROOT, "%s at %.3f s throughout", movement, secondsPerUnit);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::touches)
                ? Change.noCadence(replay, movement, secondsPerUnit)
                : Optional.of("No " + movement + " was logged as work on a machine or as a run.");
    }

    private boolean touches(Piece piece) {
        return piece.isWork()
                && piece.isOf(movement)
                && piece.segment().movement().modality() == Modality.MONOSTRUCTURAL;
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return piece -> touches(piece) && piece.coreMs() > 0
                ? Effect.times(secondsPerUnit / piece.secondsPerUnit())
                : Effect.NONE;
    }
}
