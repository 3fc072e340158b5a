package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToLongFunction;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;

/**
 * Called against came: a retest held against the attempt before it, change by change. Over the work both attempts did, every
 * second won or lost belongs to one of the changes or to what was not called; together they are the difference of the clocks.
 *
 * @param changes each change with what was called for it and what came
 * @param elsewhere what came that was not called, by movement and cause, the largest first
 * @param wonMs by how much the retest was quicker over the work both did; negative when slower
 * @param segments how many segments both did
 */
public record Outcome(List<Came> changes, List<Elsewhere> elsewhere, long wonMs, int segments) {
    private static final long LEAST_MS = 500;

    public Outcome {
        changes = List.copyOf(changes);
        elsewhere = List.copyOf(elsewhere);
    }

    /**
     * A change called, in milliseconds over the work both attempts did.
     *
     * @param calledMs what the replay won with it alone
     * @param cameMs what the retest won of that kind
     */
    public record Came(Change change, long calledMs, long cameMs) {}

    /** What was won or lost without having been called. */
    public record Elsewhere(String what, long wonMs) {}

    /** What a stretch of time was spent on, for telling changes apart. */
    private enum Cause {
        TRANSITION("transitions", SegmentSplit::transitionMs),
        REST("rests", SegmentSplit::restMs),
        FAULT("faults", SegmentSplit::faultMs),
        PACE("pace", split -> split.workMs() - split.faultMs()),
        UNTOLD("time not told apart", SegmentSplit::unseparatedMs),
        WAIT("interval rest", SegmentSplit::waitMs);

        private final String words;
        private final ToLongFunction<SegmentSplit> of;

        Cause(String words, ToLongFunction<SegmentSplit> of) {
            this.words = words;
            this.of = of;
        }
    }

    public static Outcome of(AttemptLog first, AttemptLog retest, List<? extends Change> changes) {
        Replay replay = Replay.of(first);
        List<Change> specificFirst = changes.stream()
                .<Change>map(change -> change)
                .sorted(Comparator.comparingInt(Outcome::breadth))
                .toList();
        Map<Change, Long> came = new java.util.HashMap<>();
        Map<String, Long> elsewhere = new TreeMap<>();
        long won = 0;
        int common = 0;
        while (common < Math.min(first.splits().size(), retest.splits().size())
                && first.splits().get(common).complete()
                && retest.splits().get(common).complete()) {
            SegmentSplit before = first.splits().get(common);
            SegmentSplit after = retest.splits().get(common);
            for (Cause cause : Cause.values()) {
                long difference = cause.of.applyAsLong(before) - cause.of.applyAsLong(after);
                won += difference;
                Change covering = specificFirst.stream()
                        .filter(change -> covers(change, cause, before, first))
                        .findFirst()
                        .orElse(null);
                if (covering == null) {
                    elsewhere.merge(
                            cause.words + " of " + before.segment().movement().name(), difference, Long::sum);
                } else {
                    came.merge(covering, difference, Long::sum);
                }
            }
            common++;
        }
        int segments = common;
        List<Came> called = new ArrayList<>();
        for (Change change : changes) {
            called.add(new Came(change, calledMs(replay, change, segments), came.getOrDefault(change, 0L)));
        }
        List<Elsewhere> others = elsewhere.entrySet().stream()
                .filter(entry -> Math.abs(entry.getValue()) >= LEAST_MS)
                .map(entry -> new Elsewhere(entry.getKey(), entry.getValue()))
                .sorted(Comparator.comparingLong((Elsewhere one) -> -Math.abs(one.wonMs())))
                .toList();
        return new Outcome(called, others, won, segments);
    }

    private static long calledMs(Replay replay, Change change, int segments) {
        Replay.Changed changed = replay.with(List.of(change), (each, piece) -> 1);
        long before = replay.pieces().stream()
                .filter(piece -> piece.segment().index() < segments)
                .mapToLong(Piece::ms)
                .sum();
        long after = 0;
        for (int i = 0; i < changed.pieces().size(); i++) {
            after += changed.pieces().get(i).segment().index() < segments ? changed.ms()[i] : 0;
        }
        return before - after;
    }

    /** Narrow changes claim their seconds before broad ones. */
    private static int breadth(Change change) {
        return switch (change) {
            case SkipPause pause -> 0;
            case BreakOneEarly early -> 1;
            case ChangeSets sets -> 1;
            case FinishKick kick -> 1;
            case HoldCadence hold -> 2;
            case ErgPace pace -> 2;
            case CapTransitions cap -> cap.movement().isEmpty() ? 3 : 2;
            case CapRests cap -> cap.movement().isEmpty() ? 3 : 2;
            case DropFaults drop -> drop.movement().isEmpty() ? 3 : 2;
            case HoldRests hold -> hold.movement().isEmpty() ? 4 : 2;
            case SpreadEvenly spread -> 5;
        };
    }

    private static boolean covers(Change change, Cause cause, SegmentSplit split, AttemptLog first) {
        String movement = split.segment().movement().name();
        return switch (change) {
            case SkipPause pause ->
                pause.atMs() >= split.arrivalMs()
                        && pause.atMs() < split.endMs()
                        && cause == (pause.atMs() == split.arrivalMs() ? Cause.TRANSITION : Cause.REST);
            case BreakOneEarly early -> cause == Cause.TRANSITION && follows(early, split, first);
            case ChangeSets sets -> cause == Cause.REST && sets.movement().equals(movement);
            case FinishKick kick -> cause == Cause.PACE && split.arrivalMs() >= kick.fromMs();
            case HoldCadence hold -> cause == Cause.PACE && hold.movement().equals(movement);
            case ErgPace pace -> cause == Cause.PACE && pace.movement().equals(movement);
            case CapTransitions cap ->
                cause == Cause.TRANSITION && split.segment().index() > 0 && meant(cap.movement(), movement);
            case CapRests cap -> cause == Cause.REST && meant(cap.movement(), movement);
            case HoldRests hold -> cause == Cause.REST && meant(hold.movement(), movement);
            case DropFaults drop -> cause == Cause.FAULT && meant(drop.movement(), movement);
            case SpreadEvenly spread -> split.segment().inRounds() && cause != Cause.FAULT && cause != Cause.WAIT;
        };
    }

    private static boolean meant(String movement, String done) {
        return movement.isEmpty() || movement.equals(done);
    }

    private static boolean follows(BreakOneEarly early, SegmentSplit split, AttemptLog first) {
        int index = split.segment().index();
        return index > 0
                && first.course().segment(index - 1).movement().name().equals(early.movement())
                && first.course().segment(index - 1).handsOverTo(split.segment());
    }

    /** The scores' difference in words: "4 reps more", "12.5 s quicker", "as before". */
    public static String difference(Score first, Score retest) {
        int better = Score.compare(retest, first);
        if (better == 0) {
            return "as before";
        }
        return Score.margin(first, retest) + (better > 0 ? " better" : " worse");
    }
}
