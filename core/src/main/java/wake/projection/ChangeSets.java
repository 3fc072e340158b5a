package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wake.plan.SetScheme;
import wake.statistics.Statistics;

/**
 * Another set scheme for a movement: the same work at the same cadence, with as many breaks as the scheme asks for, each as long
 * as the movement's median rest. What fewer or smaller sets do to the cadence is not arithmetic: see {@link BreakEven}.
 */
public record ChangeSets(String movement, SetScheme sets) implements Change {
    /** To shake the arms out takes 3–4 s; common practice, no source. */
    private static final double UNSEEN_REST_MS = 3500;

    @Override
    public String words() {
        return movement + " in sets of " + sets.written();
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No sets of " + movement + " were told apart.");
    }

    boolean touches(Piece piece) {
        return piece.isOf(movement)
                && piece.segment().tappable()
                && (piece.isWork() || piece.kind() == Piece.Kind.REST);
    }

    /** The rest of this movement that is usual in an attempt, milliseconds. */
    double usualRestMs(Replay replay) {
        double[] rests = replay.pieces().stream()
                .filter(piece -> piece.seen() && piece.kind() == Piece.Kind.REST && piece.isOf(movement))
                .mapToDouble(Piece::ms)
                .toArray();
        return rests.length == 0 ? UNSEEN_REST_MS : Statistics.median(rests);
    }

    @Override
    public Function<Piece, Effect> on(Replay replay) {
        return piece -> Effect.NONE;
    }

    @Override
    public List<Piece> reshape(Replay replay, List<Piece> pieces, ToDoubleFunction<Piece> credit) {
        double rest = usualRestMs(replay);
        List<Piece> reshaped = new ArrayList<>();
        int i = 0;
        while (i < pieces.size()) {
            int end = i;
            while (end < pieces.size()
                    && touches(pieces.get(end))
                    && pieces.get(end).segment().index()
                            == pieces.get(i).segment().index()) {
                end++;
            }
            if (end == i) {
                reshaped.add(pieces.get(i++));
            } else {
                List<Piece> segment = pieces.subList(i, end);
                reshaped.addAll(inSets(segment, rest, credit.applyAsDouble(segment.getFirst())));
                i = end;
            }
        }
        return reshaped;
    }

    private List<Piece> inSets(List<Piece> segment, double usualRest, double credit) {
        int reps = segment.stream().mapToInt(Piece::units).sum();
        long core = 0;
        long fixed = 0;
        long rested = 0;
        for (Piece piece : segment) {
            core += piece.isWork() ? piece.coreMs() + piece.tailMs() : 0;
            fixed += piece.fixedMs();
            rested += piece.isWork() ? 0 : piece.ms();
        }
        List<Integer> sizes = sets.sets(reps);
        double wanted = usualRest * (sizes.size() - 1);
        double saving = rested - wanted;
        double counted = saving > 0 ? rested - saving * credit : wanted;
        Piece first = segment.getFirst();
        boolean seen = segment.stream().allMatch(Piece::seen);
        List<Piece> made = new ArrayList<>();
        long coreLeft = core;
        int repsLeft = reps;
        long clock = first.startMs();
        for (int i = 0; i < sizes.size(); i++) {
            long work = i == sizes.size() - 1 ? coreLeft : Math.round((double) coreLeft * sizes.get(i) / repsLeft);
            coreLeft -= work;
            repsLeft -= sizes.get(i);
            long faults = i == 0 ? fixed : 0;
            made.add(Piece.even(first.segment(), Piece.Kind.WORK, work + faults, faults, sizes.get(i))
                    .at(clock, seen));
            clock += work + faults;
            if (i < sizes.size() - 1) {
                long pause = Math.round(counted / (sizes.size() - 1));
                made.add(Piece.pause(first.segment(), Piece.Kind.REST, pause).at(clock, seen));
                clock += pause;
            }
        }
        if (sizes.size() == 1 && counted > 0) {
            made.add(Piece.pause(first.segment(), Piece.Kind.REST, Math.round(counted))
                    .at(clock, seen));
        }
        return made;
    }
}
