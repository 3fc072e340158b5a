package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.plan.SetScheme;
import wake.statistics.Statistics;

/**
 * Another set scheme for a movement: the same work at the same cadence, with as many breaks as the scheme asks for, each as long
 * as the movement's median rest. What fewer or smaller sets do to the cadence is not arithmetic: see {@link BreakEven}.
 *
 * @param scope of which movement, and where
 */
public record ChangeSets(Scope scope, SetScheme sets) implements Change {
    static final ChangeKind KIND = new ChangeKind(
            "CHANGE_SETS",
            written -> new ChangeSets(written.scope(), SetScheme.parse(written.sets())),
            ChangeSets::possible,
            seen -> List.of());

    /** To shake the arms out takes 3–4 s; common practice, no source. */
    private static final double UNSEEN_REST_MS = 3500;

    public ChangeSets(String movement, SetScheme sets) {
        this(Scope.of(movement), sets);
    }

    private static List<Change> possible(Seen seen) {
        return Cadences.movementsWithWork(seen).stream()
                .filter(movement -> {
                    Piece first = seen.work(Scope.of(movement)).getFirst();
                    return first.segment().tappable()
                            && first.segment().movement().modality() != Modality.CYCLIC;
                })
                .<Change>map(movement -> {
                    double[] sizes = seen.work(Scope.of(movement)).stream()
                            .mapToDouble(Piece::units)
                            .toArray();
                    int usual = (int) Math.max(1, Math.round(Statistics.median(sizes)));
                    return new ChangeSets(movement, new SetScheme(List.of(usual, usual)));
                })
                .toList();
    }

    String movement() {
        return scope.movement();
    }

    @Override
    public ChangeKind kind() {
        return KIND;
    }

    @Override
    public Written written() {
        return new Written(KIND.code(), scope, List.of(0.0), sets.written(), OptionalLong.empty());
    }

    /** It makes the pieces anew, before anything else is done to them. */
    @Override
    public int breadth() {
        return 1;
    }

    @Override
    public boolean remakes(Piece piece) {
        return touches(piece) && piece.isWork();
    }

    /** By the largest set it asks for. */
    @Override
    public Evidence backed(Backing backing, Piece piece, Effect effect) {
        int largest = sets.sets(piece.segment().steps()).stream()
                .mapToInt(Integer::intValue)
                .max()
                .orElse(0);
        return backing.ofSet(piece.segment(), largest);
    }

    @Override
    public boolean claims(Cause cause, SegmentSplit split, Replay replay) {
        return cause == Cause.REST && scope.has(split.segment());
    }

    @Override
    public List<Scope> places(Replay replay) {
        return scope.choices(replay, false);
    }

    @Override
    public List<Condition> breakEven(BreakEven facts, Gain alone) {
        return facts.sets(this);
    }

    @Override
    public Optional<String> reason(Replay replay) {
        return replay.pieces().stream().anyMatch(this::touches)
                ? Optional.empty()
                : Optional.of("No sets of " + movement() + " were logged.");
    }

    boolean touches(Piece piece) {
        return piece.isOf(movement())
                && scope.has(piece.segment())
                && piece.segment().tappable()
                && (piece.isWork() || piece.kind() == Piece.Kind.REST);
    }

    /** The rest of this movement that is usual in an attempt, milliseconds. */
    double usualRestMs(Replay replay) {
        double[] rests = replay.pieces().stream()
                .filter(piece -> piece.seen() && piece.kind() == Piece.Kind.REST && piece.isOf(movement()))
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
