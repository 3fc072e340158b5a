package wake.comparison;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import wake.log.Resolution;
import wake.log.SegmentSplit;
import wake.reading.Cause;

/**
 * From one border both show to the next, by cause. The causes of the legs add up to the lead at every border, to the millisecond.
 *
 * @param ones what the first attempt did in it, mostly one segment
 * @param others the same of the other
 * @param pairs the places both have in it
 */
record Leg(List<SegmentSplit> ones, List<SegmentSplit> others, List<Matching.Pair> pairs) {
    /** The name of what goes over several places. */
    static final String WHOLE = "whole rounds";

    Leg {
        ones = List.copyOf(ones);
        others = List.copyOf(others);
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
                legs.add(new Leg(ones.subList(from, to), others.subList(otherFrom, otherTo), open));
                from = to;
                otherFrom = otherTo;
                open = new ArrayList<>();
            }
        }
        return legs;
    }

    SegmentSplit lastOne() {
        return ones.getLast();
    }

    SegmentSplit lastOther() {
        return others.getLast();
    }

    long oneMs() {
        return lastOne().endMs() - ones.getFirst().arrivalMs();
    }

    long otherMs() {
        return lastOther().endMs() - others.getFirst().arrivalMs();
    }

    long leadMs() {
        return lastOther().endMs() - lastOne().endMs();
    }

    /** What the first won on the other in it; below 0 where it lost. */
    long gainMs() {
        return otherMs() - oneMs();
    }

    /** Whether it is one place, the same work for both, so that causes can be named where both logs show them. */
    boolean comparable() {
        return ones.size() == 1 && others.size() == 1 && pairs.getFirst().same();
    }

    /** Whether both show sets, rests and transitions apart in it. */
    boolean separated() {
        return comparable()
                && !ones.getFirst().unseparatedWork()
                && !others.getFirst().unseparatedWork();
    }

    /** Difference below which the reading error of the marks may be all there is: 2u (JCGM 100:2008). */
    long readingErrorMs() {
        double start = Resolution.ofDifference(
                ones.getFirst().arrivalU(), others.getFirst().arrivalU());
        double end = Resolution.ofDifference(lastOne().endU(), lastOther().endU());
        return Math.round(2000 * Resolution.ofDifference(start, end));
    }

    /** What the first won (above 0) or lost on the other, by cause; it adds up to {@link #gainMs()}. */
    Map<Cause, Long> gains() {
        Map<Cause, Long> gains = new EnumMap<>(Cause.class);
        if (ones.size() == 1 && others.size() == 1) {
            SegmentSplit one = ones.getFirst();
            SegmentSplit other = others.getFirst();
            long wait = other.waitMs() - one.waitMs();
            gains.put(Cause.INTERVAL_REST, wait);
            if (separated()) {
                gains.put(Cause.TRANSITION, other.transitionMs() - one.transitionMs());
                gains.put(Cause.REST, other.restMs() - one.restMs());
                gains.put(Cause.FAULT, other.faultMs() - one.faultMs());
                gains.put(Cause.PACE, other.workMs() - other.faultMs() - one.workMs() + one.faultMs());
            } else if (comparable()) {
                boolean seen = one.beginMs().isPresent() && other.beginMs().isPresent();
                long transition = seen ? other.transitionMs() - one.transitionMs() : 0;
                gains.put(Cause.TRANSITION, transition);
                gains.put(Cause.UNSEPARATED, gainMs() - wait - transition);
            } else {
                gains.put(Cause.UNLIKE, gainMs() - wait);
            }
        } else {
            boolean same = pairs.size() == ones.size()
                    && pairs.size() == others.size()
                    && pairs.stream().allMatch(Matching.Pair::same);
            gains.put(same ? Cause.UNSEPARATED : Cause.UNLIKE, gainMs());
        }
        return gains;
    }

    /** Where it is: a place, or a round of which only the end was noted. */
    String place() {
        if (ones.size() == 1) {
            return ones.getFirst().segment().place();
        }
        boolean oneLap = ones.stream()
                .allMatch(split -> split.segment().inRounds()
                        && split.segment().lap().equals(lastOne().segment().lap()));
        return oneLap
                ? lastOne().segment().lap().words()
                : ones.getFirst().segment().place() + " to "
                        + lastOne().segment().place();
    }

    /** What it is gathered by: its line, or "whole rounds". */
    String name() {
        return ones.size() == 1 && others.size() == 1
                ? ones.getFirst().segment().line().name()
                : WHOLE;
    }
}
