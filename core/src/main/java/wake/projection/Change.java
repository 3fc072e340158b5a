package wake.projection;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wake.units.PaceLimits;

/** Something a retest would do differently. */
public sealed interface Change
        permits BreakOneEarly,
                CapRests,
                CapTransitions,
                ChangeSets,
                DropFaults,
                ErgPace,
                FinishKick,
                HoldCadence,
                HoldRests,
                SkipPause,
                SpreadEvenly {
    long LONGEST_PAUSE_MS = 3_600_000;

    /** What it changes and to what, as a coach would write it. */
    String words();

    /** Why it has nothing to work on in an attempt; empty where it has. */
    default Optional<String> reason(Replay replay) {
        return Optional.empty();
    }

    /**
     * The pieces with other sets; the same ones where only times change.
     *
     * @param credit the share that counts of what it saves on a piece
     */
    default List<Piece> reshape(Replay replay, List<Piece> pieces, ToDoubleFunction<Piece> credit) {
        return pieces;
    }

    /** What it does to the time of each piece of an attempt. */
    Function<Piece, Effect> on(Replay replay);

    /** A pause in milliseconds that a coach could mean. */
    static void requirePause(long targetMs) {
        if (targetMs < 0 || targetMs > LONGEST_PAUSE_MS) {
            throw new IllegalArgumentException("Expected from 0 to 3600 s, got " + targetMs / 1000.0);
        }
    }

    /** A cadence in seconds per unit that a coach could mean. */
    static void requireCadence(double secondsPerUnit) {
        if (!(secondsPerUnit > 0) || Double.isInfinite(secondsPerUnit)) {
            throw new IllegalArgumentException("Expected above 0 s per rep or unit, got " + secondsPerUnit);
        }
    }

    /** Why nobody goes at a cadence, by what the movement counts; empty where it can be meant. */
    static Optional<String> noCadence(Replay replay, String movement, double secondsPerUnit) {
        return replay.pieces().stream()
                .filter(piece -> piece.isWork() && piece.isOf(movement))
                .findFirst()
                .flatMap(piece -> PaceLimits.problem(piece.segment().amount().unit(), secondsPerUnit));
    }

    /** " before the row", or nothing where every movement is meant. */
    static String of(String preposition, String movement) {
        return movement.isEmpty() ? "" : " " + preposition + " the " + movement;
    }

    /** Whether a piece belongs to a movement; an empty name means any. */
    static boolean concerns(String movement, Piece piece) {
        return movement.isEmpty() || piece.isOf(movement);
    }
}
