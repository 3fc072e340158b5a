package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wake.log.AttemptLog;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.units.Digits;

/**
 * Called against came: a retest held against the attempt before it, change by change. Over the work both attempts did, every
 * second won or lost belongs to one of the changes or to what was not called; together they are the difference of the clocks.
 *
 * @param changes each change with what was called for it and what came
 * @param elsewhere what came that was not called, by movement and cause, the largest first
 * @param wonMs by how much the retest was quicker over the work both did; negative when slower
 * @param segments how many segments both did
 * @param back what the body was taken to take back, and what it took
 */
public record Outcome(List<Came> changes, List<Elsewhere> elsewhere, long wonMs, int segments, Back back) {
    private static final long LEAST_MS = 500;

    /** A change between attempts within twice the typical error of the clock is normal variation; an assumption. */
    private static final double TYPICAL_ERRORS = 2;

    /** From these shares of what was projected on a change came in part, as projected, better; assumptions. */
    private static final double IN_PART = 0.25;

    private static final double AS_PROJECTED = 0.75;
    private static final double BETTER = 1.25;

    public Outcome {
        changes = List.copyOf(changes);
        elsewhere = List.copyOf(elsewhere);
    }

    /**
     * A change called, in milliseconds over the work both attempts did.
     *
     * @param calledMs its share of what the replay won with all of them: the shares add up to it
     * @param cameMs what the retest won of that kind
     */
    public record Came(Change change, long calledMs, long cameMs) {}

    /**
     * What the body takes back of what is saved, milliseconds over the work both attempts did.
     *
     * @param calledMs by how much the work was called to get slower
     * @param cameMs by how much the pace of work that no change was about did get slower; below zero where it got quicker
     */
    public record Back(long calledMs, long cameMs) {}

    /** What became of a change. */
    public enum Verdict {
        WITHIN_VARIATION,
        NO_WORSE,
        COST_MORE,
        MISSED,
        IN_PART,
        AS_PROJECTED,
        BETTER
    }

    /**
     * What became of one of the changes.
     *
     * @param before the score of the attempt before
     * @param typicalErrorPercent of the athlete's repeat attempts, where it is known
     */
    public Verdict verdict(Came one, Score before, Optional<Double> typicalErrorPercent) {
        double noise = typicalErrorPercent
                .map(percent -> TYPICAL_ERRORS * percent / 100 * before.clockMs())
                .orElse(0.0);
        if (Math.abs(one.cameMs()) < noise && changes.size() == 1) {
            return Verdict.WITHIN_VARIATION;
        }
        if (one.calledMs() <= 0) {
            return one.cameMs() >= one.calledMs() ? Verdict.NO_WORSE : Verdict.COST_MORE;
        }
        double share = (double) one.cameMs() / one.calledMs();
        if (share > BETTER) {
            return Verdict.BETTER;
        }
        return share >= AS_PROJECTED ? Verdict.AS_PROJECTED : share >= IN_PART ? Verdict.IN_PART : Verdict.MISSED;
    }

    /** What was won or lost without having been called. */
    public record Elsewhere(String what, long wonMs) {}

    public static Outcome of(AttemptLog first, AttemptLog retest, List<? extends Change> changes) {
        return of(first, retest, changes, GiveBack.NONE);
    }

    /** @param taken what the body was taken to take back when the call was made */
    public static Outcome of(AttemptLog first, AttemptLog retest, List<? extends Change> changes, GiveBack taken) {
        Replay replay = Replay.of(first);
        List<Change> claiming = ChangeOrder.narrowFirst(changes);
        Map<Change, Long> came = new HashMap<>();
        Map<String, Long> elsewhere = new TreeMap<>();
        long won = 0;
        long slower = 0;
        int common = 0;
        for (List<Pair> stretch : stretches(first, retest)) {
            won += stretch.stream().mapToLong(Pair::wonMs).sum();
            common += stretch.size();
            for (Told told : told(stretch)) {
                Optional<Change> covering = claiming.stream()
                        .filter(change ->
                                told.cause() != Cause.UNTOLD && change.claims(told.cause(), told.before(), replay))
                        .findFirst();
                if (covering.isPresent()) {
                    came.merge(covering.get(), told.wonMs(), Long::sum);
                } else {
                    slower -= told.cause() == Cause.PACE ? told.wonMs() : 0;
                    elsewhere.merge(told.cause().words() + " of " + told.of(), told.wonMs(), Long::sum);
                }
            }
        }
        Map<Change, Long> called = replay.shares(changes, common);
        List<Came> each = changes.stream()
                .<Change>map(change -> change)
                .map(change -> new Came(change, called.getOrDefault(change, 0L), came.getOrDefault(change, 0L)))
                .toList();
        return new Outcome(
                each, listed(elsewhere), won, common, new Back(takenBack(replay, changes, common, taken), slower));
    }

    private static long takenBack(Replay replay, List<? extends Change> changes, int segments, GiveBack taken) {
        Replay.Changed changed = replay.with(changes);
        long[] answered = changed.answeredMs(taken);
        long sum = 0;
        for (int i = 0; i < answered.length; i++) {
            sum += changed.pieces().get(i).segment().index() < segments ? answered[i] - changed.ms()[i] : 0;
        }
        return sum;
    }

    /** What was won elsewhere, the largest first; what is too little to be told apart together. */
    private static List<Elsewhere> listed(Map<String, Long> elsewhere) {
        List<Elsewhere> listed = new ArrayList<>();
        long rest = 0;
        for (Map.Entry<String, Long> entry : elsewhere.entrySet()) {
            if (Math.abs(entry.getValue()) >= LEAST_MS) {
                listed.add(new Elsewhere(entry.getKey(), entry.getValue()));
            } else {
                rest += entry.getValue();
            }
        }
        listed.sort(Comparator.comparingLong(one -> -Math.abs(one.wonMs())));
        if (rest != 0) {
            listed.add(new Elsewhere("other", rest));
        }
        return listed;
    }

    /** A segment as both attempts did it. */
    private record Pair(SegmentSplit before, SegmentSplit after) {
        long wonMs() {
            return before.elapsedMs() - after.elapsedMs();
        }

        boolean bothEndsSeen() {
            return before.endSeen() && after.endSeen();
        }

        boolean bothTellApart() {
            return before.unseparatedMs() == 0 && after.unseparatedMs() == 0;
        }

        boolean bothBegun() {
            return before.beginMs().isPresent() && after.beginMs().isPresent();
        }
    }

    /** A difference that both logs tell. */
    private record Told(Cause cause, SegmentSplit before, String of, long wonMs) {}

    /** The work both did, cut where both logs saw an end. */
    private static List<List<Pair>> stretches(AttemptLog first, AttemptLog retest) {
        List<List<Pair>> stretches = new ArrayList<>();
        List<Pair> open = new ArrayList<>();
        for (int i = 0; i < Math.min(first.splits().size(), retest.splits().size()); i++) {
            Pair pair = new Pair(first.splits().get(i), retest.splits().get(i));
            if (!pair.before().complete() || !pair.after().complete()) {
                break;
            }
            open.add(pair);
            if (pair.bothEndsSeen()) {
                stretches.add(List.copyOf(open));
                open.clear();
            }
        }
        return stretches;
    }

    /** What both logs tell of a stretch, at the coarser of the two; its parts add up to what was won in it. */
    private static List<Told> told(List<Pair> stretch) {
        SegmentSplit before = stretch.getFirst().before();
        if (stretch.size() > 1) {
            long won = stretch.stream().mapToLong(Pair::wonMs).sum();
            return List.of(new Told(Cause.UNTOLD, before, before.segment().lap().words(), won));
        }
        Pair pair = stretch.getFirst();
        if (before.segment().isPartners()) {
            return List.of(new Told(Cause.UNTOLD, before, "the partner's rounds", pair.wonMs()));
        }
        String movement = before.segment().movement().name();
        List<Told> told = new ArrayList<>();
        long left = pair.wonMs();
        for (Cause cause : Cause.values()) {
            boolean both = pair.bothTellApart() || cause == Cause.WAIT || cause == Cause.TRANSITION && pair.bothBegun();
            if (both && cause != Cause.UNTOLD) {
                long won = cause.of(before) - cause.of(pair.after());
                told.add(new Told(cause, before, movement, won));
                left -= won;
            }
        }
        if (left != 0) {
            told.add(new Told(Cause.UNTOLD, before, movement, left));
        }
        return told;
    }

    /** The scores' difference in words: "4 reps more", "12.5 s quicker", "same as before". */
    public static String difference(Score first, Score retest, Digits digits) {
        int better = Score.compare(retest, first);
        if (better == 0) {
            return "same as before";
        }
        String margin = Score.margin(first, retest, digits);
        if (first instanceof Score.Load && retest instanceof Score.Load) {
            return margin + (better > 0 ? " heavier" : " lighter");
        }
        if (first instanceof Score.Finished && retest instanceof Score.Finished) {
            return margin + (better > 0 ? " faster" : " slower");
        }
        return margin + (better > 0 ? " more" : " fewer");
    }
}
