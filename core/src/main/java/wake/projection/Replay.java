package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToDoubleBiFunction;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;

/**
 * Replays an attempt with changes. With none it returns the attempt's own score, to the millisecond and the rep.
 *
 * <p>Freed seconds run on along the workout and land where they land, maybe inside a transition for no rep at all.
 */
public final class Replay {
    private final AttemptLog log;
    private final List<Piece> pieces;

    private Replay(AttemptLog log, List<Piece> pieces) {
        this.log = log;
        this.pieces = pieces;
    }

    public static Replay of(AttemptLog log) {
        return new Replay(log, Pieces.of(log, endsAtTheBell(log)));
    }

    /** Whether the attempt was ended by a bell, so that time won goes into more work. */
    private static boolean endsAtTheBell(AttemptLog log) {
        return switch (log.score()) {
            case Score.Capped capped -> true;
            case Score.Rounds rounds -> atTheBell(log);
            case Score.Reps reps -> atTheBell(log);
            case Score.Finished finished -> false;
            case Score.Partial partial -> false;
            case Score.Load load -> false;
        };
    }

    private static boolean atTheBell(AttemptLog log) {
        return log.phase() == Phase.STOPPED
                && log.clockMs() >= log.course().capMs().orElse(Long.MAX_VALUE);
    }

    AttemptLog log() {
        return log;
    }

    List<Piece> pieces() {
        return pieces;
    }

    public Score score(List<? extends Change> changes) {
        return with(changes, (change, piece) -> 1).score();
    }

    /**
     * The attempt with changes, of each saving only a share; what a change costs always counts in full.
     *
     * @param credit the share that counts of what a change saves on a piece, from 0 to 1
     */
    Changed with(List<? extends Change> changes, ToDoubleBiFunction<Change, Piece> credit) {
        List<Piece> laid = pieces;
        for (Change change : changes) {
            laid = change.reshape(this, laid, piece -> credit.applyAsDouble(change, piece));
        }
        List<Function<Piece, Effect>> effects =
                changes.stream().map(change -> change.on(this)).toList();
        List<Effect> onPieces = new ArrayList<>(laid.size());
        long[] ms = new long[laid.size()];
        for (int i = 0; i < ms.length; i++) {
            Piece piece = laid.get(i);
            Effect all = Effect.NONE;
            long counted = piece.ms();
            for (int c = 0; c < effects.size(); c++) {
                Effect more = all.and(effects.get(c).apply(piece));
                long saving = all.newMs(piece) - more.newMs(piece);
                counted -= saving > 0 ? Math.round(saving * credit.applyAsDouble(changes.get(c), piece)) : saving;
                all = more;
            }
            onPieces.add(all);
            ms[i] = Math.max(0, counted);
        }
        return new Changed(log, laid, onPieces, ms);
    }

    /**
     * An attempt with changes made.
     *
     * @param pieces its pieces, reshaped where a change asks for other sets
     * @param effects what the changes do to each of them
     * @param ms how long each takes
     */
    record Changed(AttemptLog log, List<Piece> pieces, List<Effect> effects, long[] ms) {
        Score score() {
            return track().score(ms);
        }

        Track track() {
            return new Track(log, pieces, endsAtTheBell(log));
        }
    }
}
