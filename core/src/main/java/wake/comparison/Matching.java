package wake.comparison;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import wake.log.SegmentSplit;
import wake.workout.Comparability;
import wake.workout.Identity;
import wake.workout.Segment;

/**
 * Which segments of two attempts are the same place of the workout, in the order both have them. Nothing is scaled: a place may ask other
 * amounts of the two.
 *
 * @param pairs the places both have begun
 * @param beyondOne what the first did beyond the last of them
 * @param beyondOther the same of the other
 * @param onlyOne lines of which the first did something that has no place in the other
 * @param onlyOther the same of the other
 */
record Matching(
        List<Pair> pairs,
        List<SegmentSplit> beyondOne,
        List<SegmentSplit> beyondOther,
        List<String> onlyOne,
        List<String> onlyOther) {
    /** A place both have begun: as the one did it, and as the other did. */
    record Pair(SegmentSplit one, SegmentSplit other) {
        /** Whether it asks the same work of both, and as much. */
        boolean same() {
            return Comparability.same(one.segment(), other.segment());
        }

        /** Whether it asks as much of both, at whatever load: its reps can be counted against each other. */
        boolean sameAmount() {
            Segment a = one.segment();
            Segment b = other.segment();
            return a.steps() == b.steps()
                    && a.score() == b.score()
                    && a.amount().equals(b.amount());
        }

        /** Whether both saw its end. */
        boolean border() {
            return one.complete() && other.complete() && one.endSeen() && other.endSeen();
        }
    }

    Matching {
        pairs = List.copyOf(pairs);
        beyondOne = List.copyOf(beyondOne);
        beyondOther = List.copyOf(beyondOther);
        onlyOne = List.copyOf(onlyOne);
        onlyOther = List.copyOf(onlyOther);
    }

    static Matching of(Side one, Side other) {
        List<SegmentSplit> ones = one.log().done();
        List<SegmentSplit> others = other.log().done();
        boolean same = one.sameText(other);
        List<String> keys = keys(ones, same);
        List<String> otherKeys = keys(others, same);
        Map<String, Integer> at = new HashMap<>();
        for (int i = 0; i < otherKeys.size(); i++) {
            at.put(otherKeys.get(i), i);
        }
        int[] places = keys.stream().mapToInt(key -> at.getOrDefault(key, -1)).toArray();
        List<Pair> pairs = new ArrayList<>();
        for (int i : rising(places)) {
            pairs.add(new Pair(ones.get(i), others.get(places[i])));
        }
        List<SegmentSplit> matchedOnes = pairs.stream().map(Pair::one).toList();
        List<SegmentSplit> matchedOthers = pairs.stream().map(Pair::other).toList();
        return new Matching(
                pairs,
                beyond(ones, matchedOnes),
                beyond(others, matchedOthers),
                unmatched(ones, matchedOnes),
                unmatched(others, matchedOthers));
    }

    private static List<String> keys(List<SegmentSplit> splits, boolean same) {
        List<Segment> segments = splits.stream().map(SegmentSplit::segment).toList();
        return same ? Identity.inOneText(segments) : Identity.acrossTexts(segments);
    }

    /** The places of the longest run that rises, those below 0 left out (patience sorting, Schensted 1961). */
    private static List<Integer> rising(int[] values) {
        List<Integer> tails = new ArrayList<>();
        int[] before = new int[values.length];
        for (int i = 0; i < values.length; i++) {
            if (values[i] < 0) {
                continue;
            }
            int low = 0;
            int high = tails.size();
            while (low < high) {
                int middle = (low + high) / 2;
                if (values[tails.get(middle)] < values[i]) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            before[i] = low == 0 ? -1 : tails.get(low - 1);
            if (low == tails.size()) {
                tails.add(i);
            } else {
                tails.set(low, i);
            }
        }
        List<Integer> run = new ArrayList<>();
        for (int i = tails.isEmpty() ? -1 : tails.getLast(); i >= 0; i = before[i]) {
            run.addFirst(i);
        }
        return run;
    }

    private static List<SegmentSplit> beyond(List<SegmentSplit> splits, List<SegmentSplit> matched) {
        return matched.isEmpty() ? splits : splits.subList(splits.indexOf(matched.getLast()) + 1, splits.size());
    }

    /** What lies before the last place both have, and has no place in the other. */
    private static List<String> unmatched(List<SegmentSplit> splits, List<SegmentSplit> matched) {
        Set<SegmentSplit> both = Collections.newSetFromMap(new IdentityHashMap<>());
        both.addAll(matched);
        int end = splits.size() - beyond(splits, matched).size();
        TreeSet<String> names = new TreeSet<>();
        for (SegmentSplit split : splits.subList(0, end)) {
            if (!both.contains(split)) {
                names.add(split.segment().line().name());
            }
        }
        return List.copyOf(names);
    }
}
