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
 * Projected vs actual: a retest held against the attempt before it, change by change. Over the work both attempts did, every
 * second won or lost belongs to one of the changes or to what was not called; together they are the difference of the clocks.
 *
 * @param changes each change with what was projected and what it saved
 * @param elsewhere what was saved that was not projected, by movement and cause, the largest first
 * @param wonMs by how much the retest was faster over the work both did; negative when slower
 * @param segments how many segments both did
 * @param fatigueCost the fatigue cost assumed, and measured
 */
public record Outcome(
        List<ChangeOutcome> changes, List<Elsewhere> elsewhere, long wonMs, int segments, FatigueCheck fatigueCost) {
    /** Less is not listed on its own; an assumption. */
    private static final long LEAST_MS = 500;

    /** From these shares of what was projected on a change came in part, as projected, better; assumptions. */
    private static final double IN_PART = 0.25;

    private static final double AS_PROJECTED = 0.75;
    private static final double BETTER = 1.25;

    public Outcome {
        changes = List.copyOf(changes);
        elsewhere = List.copyOf(elsewhere);
    }

    /**
     * A projected change, in milliseconds over the work both attempts did.
     *
     * @param projectedMs its share of what the replay won with all of them: the shares add up to it
     * @param actualMs what the retest won of that kind
     */
    public record ChangeOutcome(Change change, long projectedMs, long actualMs) {}

    /**
     * The fatigue cost of what is saved, milliseconds over the work both attempts did.
     *
     * @param projectedMs by how much the work was projected to get slower
     * @param actualMs by how much the pace of work that no change was about did get slower; below zero where it got faster
     */
    public record FatigueCheck(long projectedMs, long actualMs) {}

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
     * @param variationPercent normal variation of the athlete's repeat attempts, where it is known
     */
    public Verdict verdict(ChangeOutcome one, Score before, Optional<Double> variationPercent) {
        double noise = variationPercent
                .map(percent -> percent / 100 * before.clockMs())
                .orElse(0.0);
        if (Math.abs(one.actualMs()) < noise && changes.size() == 1) {
            return Verdict.WITHIN_VARIATION;
        }
        if (one.projectedMs() <= 0) {
            return one.actualMs() >= one.projectedMs() ? Verdict.NO_WORSE : Verdict.COST_MORE;
        }
        double share = (double) one.actualMs() / one.projectedMs();
        if (share > BETTER) {
            return Verdict.BETTER;
        }
        return share >= AS_PROJECTED ? Verdict.AS_PROJECTED : share >= IN_PART ? Verdict.IN_PART : Verdict.MISSED;
    }

    /** What was saved or lost without having been projected. */
    public record Elsewhere(String what, long wonMs) {}

    public static Outcome of(AttemptLog first, AttemptLog retest, List<? extends Change> changes) {
        return of(first, retest, changes, FatigueCost.NONE);
    }

    /** @param taken the fatigue cost assumed when the projection was made */
    public static Outcome of(AttemptLog first, AttemptLog retest, List<? extends Change> changes, FatigueCost taken) {
        Replay replay = Replay.of(first);
        List<Change> claiming = ChangeOrder.narrowFirst(changes);
        Map<Change, Long> actual = new HashMap<>();
        Map<String, Long> elsewhere = new TreeMap<>();
        long won = 0;
        long slower = 0;
        int common = 0;
        for (List<Pair> stretch : stretches(first, retest)) {
            won += stretch.stream().mapToLong(Pair::wonMs).sum();
            common += stretch.size();
            for (Difference difference : differences(stretch)) {
                Optional<Change> covering = claiming.stream()
                        .filter(change -> difference.cause() != TimeUse.UNASSIGNED
                                && change.claims(difference.cause(), difference.before(), replay))
                        .findFirst();
                if (covering.isPresent()) {
                    actual.merge(covering.get(), difference.wonMs(), Long::sum);
                } else {
                    slower -= difference.cause() == TimeUse.PACE ? difference.wonMs() : 0;
                    elsewhere.merge(
                            difference.cause().words() + " of " + difference.of(), difference.wonMs(), Long::sum);
                }
            }
        }
        Map<Change, Long> projected = replay.shares(changes, common);
        List<ChangeOutcome> each = changes.stream()
                .<Change>map(change -> change)
                .map(change ->
                        new ChangeOutcome(change, projected.getOrDefault(change, 0L), actual.getOrDefault(change, 0L)))
                .toList();
        return new Outcome(
                each,
                listed(elsewhere),
                won,
                common,
                new FatigueCheck(takenBack(replay, changes, common, taken), slower));
    }

    private static long takenBack(Replay replay, List<? extends Change> changes, int segments, FatigueCost taken) {
        Replay.Changed changed = replay.with(changes);
        long[] withFatigue = changed.answeredMs(taken);
        long sum = 0;
        for (int i = 0; i < withFatigue.length; i++) {
            sum += changed.slices().get(i).segment().index() < segments ? withFatigue[i] - changed.ms()[i] : 0;
        }
        return sum;
    }

    /** What was saved elsewhere, the largest first; what is too little to be separate. */
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

    /** A difference that both logs show. */
    private record Difference(TimeUse cause, SegmentSplit before, String of, long wonMs) {}

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

    /** What both logs show of a stretch, at the coarser of the two; its parts add up to what was saved in it. */
    private static List<Difference> differences(List<Pair> stretch) {
        SegmentSplit before = stretch.getFirst().before();
        if (stretch.size() > 1) {
            long won = stretch.stream().mapToLong(Pair::wonMs).sum();
            return List.of(new Difference(
                    TimeUse.UNASSIGNED, before, before.segment().lap().words(), won));
        }
        Pair pair = stretch.getFirst();
        if (before.segment().isPartners()) {
            return List.of(new Difference(TimeUse.UNASSIGNED, before, "the partner's rounds", pair.wonMs()));
        }
        String movement = before.segment().movement().name();
        List<Difference> differences = new ArrayList<>();
        long left = pair.wonMs();
        for (TimeUse cause : TimeUse.values()) {
            boolean both =
                    pair.bothTellApart() || cause == TimeUse.WAIT || cause == TimeUse.TRANSITION && pair.bothBegun();
            if (both && cause != TimeUse.UNASSIGNED) {
                long won = cause.of(before) - cause.of(pair.after());
                differences.add(new Difference(cause, before, movement, won));
                left -= won;
            }
        }
        if (left != 0) {
            differences.add(new Difference(TimeUse.UNASSIGNED, before, movement, left));
        }
        return differences;
    }

    /** The scores' difference in words: "4 reps more", "12.5 s faster", "same as before". */
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
