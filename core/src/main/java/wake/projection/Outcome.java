package wake.projection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Score;
import wake.log.SegmentSplit;
import wake.log.Stretch;
import wake.units.Digits;
import wake.workout.Segment;

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
     * @param projectedMs its share of what the replay won with all of them, where both logs show what became of it
     * @param untoldMs its share where they do not; the shares add up to what the replay won
     * @param actualMs what the retest won of that kind
     */
    public record ChangeOutcome(Change change, long projectedMs, long untoldMs, long actualMs) {
        /** What was projected of it in all. */
        public long promisedMs() {
            return projectedMs + untoldMs;
        }

        /** Whether the logs show nothing of what became of it. */
        public boolean isUntold() {
            return projectedMs == 0 && untoldMs != 0;
        }
    }

    /**
     * The fatigue cost of what is saved, milliseconds over the work both attempts did.
     *
     * @param projectedMs by how much the work was projected to get slower
     * @param actualMs by how much the pace of work that no change was about did get slower; below zero where it got faster
     */
    public record FatigueCheck(long projectedMs, long actualMs) {}

    /** What became of a change. */
    public enum Verdict {
        /** The log of the attempt or of its retest does not break it down. */
        NOT_BROKEN_DOWN,
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
        if (one.isUntold()) {
            return Verdict.NOT_BROKEN_DOWN;
        }
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
        Map<Change, Set<Integer>> untold = new HashMap<>();
        long slower = 0;
        int common = 0;
        for (Pair pair : pairs(first, retest)) {
            won += pair.wonMs();
            common += pair.before().splits().size();
            Map<Cause, Long> causes = pair.after().overBy(pair.before(), pair.isOwn());
            claiming.stream()
                    .filter(change -> causes.keySet().stream()
                            .noneMatch(
                                    cause -> change.claims(cause, pair.before().first(), replay)))
                    .forEach(change -> untold.computeIfAbsent(change, none -> new HashSet<>())
                            .addAll(pair.places()));
            for (Map.Entry<Cause, Long> over : causes.entrySet()) {
                Cause cause = over.getKey();
                Optional<Change> covering = claiming.stream()
                        .filter(change -> pair.isOwn()
                                && change.claims(cause, pair.before().first(), replay))
                        .findFirst();
                if (covering.isPresent()) {
                    actual.merge(covering.get(), over.getValue(), Long::sum);
                } else {
                    slower -= cause == Cause.PACE ? over.getValue() : 0;
                    elsewhere.merge(pair.words(cause), over.getValue(), Long::sum);
                }
            }
        }
        int last = common;
        Map<Change, Long> promised = replay.shares(changes, place -> place < last);
        List<ChangeOutcome> each = changes.stream()
                .<Change>map(change -> change)
                .map(change -> {
                    Set<Integer> places = untold.getOrDefault(change, Set.of());
                    long hidden = replay.shares(changes, places::contains).getOrDefault(change, 0L);
                    return new ChangeOutcome(
                            change,
                            promised.getOrDefault(change, 0L) - hidden,
                            hidden,
                            actual.getOrDefault(change, 0L));
                })
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

    /** The same work as both attempts did it, cut where both logs saw an end. */
    private record Pair(Stretch before, Stretch after) {
        long wonMs() {
            return before.elapsedMs() - after.elapsedMs();
        }

        List<Integer> places() {
            return before.splits().stream()
                    .map(split -> split.segment().index())
                    .toList();
        }

        /** A partner's rounds are nobody's to change. */
        boolean isOwn() {
            return before.isOwn();
        }

        String words(Cause cause) {
            Segment segment = before.segment();
            if (!isOwn()) {
                return Cause.UNSEPARATED.all() + " of the partner's rounds";
            }
            return cause.all() + " of "
                    + (before.whole()
                            ? segment.lap().words()
                            : segment.movement().name());
        }
    }

    /** The work both did in full. */
    private static List<Pair> pairs(AttemptLog first, AttemptLog retest) {
        List<Pair> pairs = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < Math.min(first.splits().size(), retest.splits().size()); i++) {
            SegmentSplit before = first.splits().get(i);
            SegmentSplit after = retest.splits().get(i);
            if (!before.complete() || !after.complete()) {
                break;
            }
            if (before.endSeen() && after.endSeen()) {
                pairs.add(new Pair(
                        new Stretch(first.splits().subList(from, i + 1)),
                        new Stretch(retest.splits().subList(from, i + 1))));
                from = i + 1;
            }
        }
        return pairs;
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
