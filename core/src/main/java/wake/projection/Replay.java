package wake.projection;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToDoubleBiFunction;
import wake.log.AttemptLog;
import wake.log.Phase;
import wake.log.Score;
import wake.workout.Format;

/**
 * Replays an attempt with changes. With none it returns the attempt's own score, to the millisecond and the rep.
 *
 * <p>Freed seconds run on along the workout and land where they land, maybe inside a transition for no rep at all.
 */
public final class Replay {
    /** Rounding is no overlap. */
    private static final long SAME_MS = 100;

    private static final double HALF = 0.5;

    private final AttemptLog log;
    private final List<Piece> pieces;

    private Replay(AttemptLog log, List<Piece> pieces) {
        this.log = log;
        this.pieces = pieces;
    }

    public static Replay of(AttemptLog log) {
        return new Replay(log, Pieces.of(log, endsAtTheBell(log)));
    }

    /** Whether what is saved is worked until a bell; between the bells of intervals it is rest. */
    public boolean worksUntilTheBell() {
        return worksUntilTheBell(log);
    }

    private static boolean worksUntilTheBell(AttemptLog log) {
        return endsAtTheBell(log) && !(log.course().format() instanceof Format.Every);
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

    public AttemptLog log() {
        return log;
    }

    List<Piece> pieces() {
        return pieces;
    }

    public Score score(List<? extends Change> changes) {
        return with(changes).score();
    }

    /** The attempt with changes, each in full. */
    Changed with(List<? extends Change> changes) {
        return with(changes, (change, piece) -> 1);
    }

    /**
     * The attempt with changes, of each saving only a share; what a change costs always counts in full.
     *
     * @param credit the share that counts of what a change saves on a piece, from 0 to 1
     */
    Changed with(List<? extends Change> changes, ToDoubleBiFunction<Change, Piece> credit) {
        List<Change> ordered = ChangeOrder.narrowFirst(changes);
        List<Piece> laid = pieces;
        for (Change change : ordered) {
            laid = change.reshape(this, laid, piece -> credit.applyAsDouble(change, piece));
        }
        Map<Integer, Long> rested = laid == pieces ? Map.of() : savedBySegment(laid);
        List<Function<Piece, Effect>> effects =
                ordered.stream().map(change -> change.on(this)).toList();
        List<Effect> onPieces = new ArrayList<>(laid.size());
        long[] ms = new long[laid.size()];
        for (int i = 0; i < ms.length; i++) {
            Piece piece = laid.get(i);
            Effect all = Effect.NONE;
            long counted = piece.ms();
            for (int c = 0; c < effects.size(); c++) {
                Effect more = all.and(effects.get(c).apply(piece));
                long saving = all.newMs(piece) - more.newMs(piece);
                counted -= saving > 0 ? Math.round(saving * credit.applyAsDouble(ordered.get(c), piece)) : saving;
                all = more;
            }
            onPieces.add(all);
            ms[i] = Math.max(0, counted);
        }
        return new Changed(log, laid, onPieces, ms, rested);
    }

    /** How much shorter segments with other sets are, all of it rests. */
    private Map<Integer, Long> savedBySegment(List<Piece> laid) {
        Map<Integer, Long> saved = new HashMap<>();
        pieces.forEach(piece -> saved.merge(piece.segment().index(), piece.ms(), Long::sum));
        laid.forEach(piece -> saved.merge(piece.segment().index(), -piece.ms(), Long::sum));
        saved.values().removeIf(ms -> ms == 0);
        return saved;
    }

    /**
     * What each change contributes to all of them together, over so many segments: the shares add up to what is saved in all. Where
     * several touch the same seconds, the narrowest has them.
     *
     * @return milliseconds by change; negative for what costs
     */
    Map<Change, Long> shares(List<? extends Change> changes, int segments) {
        Map<Change, Long> shares = new HashMap<>();
        List<Change> ordered = ChangeOrder.narrowFirst(changes);
        List<Piece> laid = pieces;
        for (Change change : ordered) {
            List<Piece> next = change.reshape(this, laid, piece -> 1);
            shares.merge(change, length(laid, segments) - length(next, segments), Long::sum);
            laid = next;
        }
        List<Function<Piece, Effect>> effects =
                ordered.stream().map(change -> change.on(this)).toList();
        for (Piece piece : laid) {
            Effect all = Effect.NONE;
            for (int c = 0; c < effects.size() && piece.segment().index() < segments; c++) {
                Effect more = all.and(effects.get(c).apply(piece));
                shares.merge(ordered.get(c), all.newMs(piece) - more.newMs(piece), Long::sum);
                all = more;
            }
        }
        return shares;
    }

    /** Whether two changes win some of the same seconds. */
    boolean sameSeconds(Change one, Change other) {
        Function<Piece, Effect> first = one.on(this);
        Function<Piece, Effect> second = other.on(this);
        return pieces.stream().anyMatch(piece -> {
            Effect alone = first.apply(piece);
            Effect too = second.apply(piece);
            long apart = 2 * piece.ms() - alone.newMs(piece) - too.newMs(piece);
            return apart - (piece.ms() - alone.and(too).newMs(piece)) > SAME_MS
                    && alone.newMs(piece) < piece.ms()
                    && too.newMs(piece) < piece.ms();
        });
    }

    private static long length(List<Piece> pieces, int segments) {
        return pieces.stream()
                .filter(piece -> piece.segment().index() < segments)
                .mapToLong(Piece::ms)
                .sum();
    }

    /**
     * An attempt with changes made.
     *
     * @param pieces its pieces, reshaped where a change asks for other sets
     * @param effects what the changes do to each of them
     * @param ms how long each takes
     * @param rested milliseconds of rest that other sets save, by segment; negative for what they cost
     */
    record Changed(AttemptLog log, List<Piece> pieces, List<Effect> effects, long[] ms, Map<Integer, Long> rested) {
        /** The score when every change lands and the body asks nothing for it. */
        Score score() {
            return track().score(ms);
        }

        /** The score when the body takes its share back, and half of what is spread comes. */
        Score answered(GiveBack back) {
            return track().score(answeredMs(back));
        }

        /** What the body takes back of this attempt: more where a bell ends it. */
        GiveBack taking(GiveBack usual) {
            return worksUntilTheBell(log) ? usual.untilTheBell() : usual;
        }

        /** How long each piece takes when the body takes its share back. */
        long[] answeredMs(GiveBack usual) {
            GiveBack back = taking(usual);
            long[] answered = ms.clone();
            double owed = 0;
            for (int i = 0; i < answered.length; i++) {
                Piece piece = pieces.get(i);
                owed = Math.max(0, owed + owedForSets(i, back));
                Effect effect = effects.get(i);
                if (effect.spread() != 1) {
                    answered[i] += Math.round(effect.onCore(piece.coreMs(), HALF) - effect.onCore(piece.coreMs()));
                } else if (effect != Effect.NONE) {
                    owed = Math.max(0, owed + back.of(piece.kind()) * (piece.ms() - ms[i]));
                }
                if (piece.kind() == Piece.Kind.WORK) {
                    double paid = GiveBack.paid(owed, answered[i]);
                    answered[i] += Math.round(paid);
                    owed -= paid;
                }
            }
            return answered;
        }

        /** What other sets of a segment are owed for, at its first piece. */
        double owedForSets(int i, GiveBack back) {
            int segment = pieces.get(i).segment().index();
            boolean first = i == 0 || pieces.get(i - 1).segment().index() != segment;
            return first ? back.rests() * rested.getOrDefault(segment, 0L) : 0;
        }

        Track track() {
            return new Track(log, pieces, endsAtTheBell(log));
        }
    }
}
