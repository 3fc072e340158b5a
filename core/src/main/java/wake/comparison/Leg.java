package wake.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wake.log.Cause;
import wake.log.Resolution;
import wake.log.SegmentSplit;
import wake.log.Stretch;

/**
 * From one border both show to the next, by cause. The causes of the legs add up to the lead at every border, to the millisecond.
 *
 * @param one what the first attempt did in it, mostly one segment
 * @param other the same of the other
 * @param pairs the places both have in it
 */
record Leg(Stretch one, Stretch other, List<Matching.Pair> pairs) {
    /** The name of what goes over several places. */
    static final String WHOLE = "whole rounds";

    Leg {
        pairs = List.copyOf(pairs);
    }

    static List<Leg> of(Side one, Side other, Matching matching) {
        List<SegmentSplit> ones = one.log().done();
        List<SegmentSplit> others = other.log().done();
        List<Leg> legs = new ArrayList<>();
        List<Matching.Pair> open = new ArrayList<>();
        int from = 0;
        int otherFrom = 0;
        for (Matching.Pair pair : matching.pairs()) {
            open.add(pair);
            if (pair.border()) {
                int to = pair.one().segment().index() + 1;
                int otherTo = pair.other().segment().index() + 1;
                legs.add(new Leg(
                        new Stretch(ones.subList(from, to)), new Stretch(others.subList(otherFrom, otherTo)), open));
                from = to;
                otherFrom = otherTo;
                open = new ArrayList<>();
            }
        }
        return legs;
    }

    /** What the first won on the other in it; below 0 where it lost. */
    long gainMs() {
        return other.elapsedMs() - one.elapsedMs();
    }

    /** Whether each has one segment in it. */
    boolean single() {
        return !one.whole() && !other.whole();
    }

    /** Whether both show sets, rests and transitions of the same work apart in it. */
    boolean separated() {
        return single() && pairs.getFirst().same() && one.separated() && other.separated();
    }

    /** Difference below which the reading error of the marks may be all there is: 2u (JCGM 100:2008). */
    long readingErrorMs() {
        return Math.round(2000 * Resolution.ofDifference(one.uncertaintyS(), other.uncertaintyS()));
    }

    /** What the first won (above 0) or lost on the other, by cause; it adds up to {@link #gainMs()}. */
    Map<Cause, Long> gains() {
        boolean same = pairs.size() == one.splits().size()
                && pairs.size() == other.splits().size()
                && pairs.stream().allMatch(Matching.Pair::same);
        return one.overBy(other, same);
    }

    /** What it is gathered by: its line, or "whole rounds". */
    String name() {
        return single() ? one.segment().line().name() : WHOLE;
    }
}
