package wake.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.SegmentSplit;

/**
 * A round both have whole: what it took each, from the end of what came before it; the wait for an interval belongs to no round.
 *
 * @param words "round 2 of thruster and burpee"
 */
public record RoundDifference(String words, long fromMs, long otherFromMs, long oneMs, long otherMs) {
    public long gainMs() {
        return otherMs - oneMs;
    }

    static List<RoundDifference> of(Side one, Side other, Matching matching) {
        List<RoundDifference> rounds = new ArrayList<>();
        List<Matching.Pair> pairs = matching.pairs();
        for (int i = 0; i < pairs.size(); i++) {
            Matching.Pair pair = pairs.get(i);
            boolean ends = pair.border()
                    && pair.one().segment().inRounds()
                    && one.log().expanded().endsLap(pair.one().segment().index())
                    && other.log().expanded().endsLap(pair.other().segment().index());
            if (ends) {
                Optional<SegmentSplit> first = first(one, pair.one());
                Optional<SegmentSplit> otherFirst = first(other, pair.other());
                if (first.isPresent() && otherFirst.isPresent()) {
                    rounds.add(of(pair, first.get(), otherFirst.get()));
                }
            }
        }
        return rounds;
    }

    private static RoundDifference of(Matching.Pair last, SegmentSplit first, SegmentSplit otherFirst) {
        long from = first.arrivalMs() + first.waitMs();
        long otherFrom = otherFirst.arrivalMs() + otherFirst.waitMs();
        return new RoundDifference(
                last.one().segment().lap().words(),
                from,
                otherFrom,
                last.one().endMs() - from,
                last.other().endMs() - otherFrom);
    }

    /** The first segment of the round that ends with a split; empty where nobody saw the round before end. */
    private static Optional<SegmentSplit> first(Side side, SegmentSplit last) {
        List<SegmentSplit> splits = side.log().done();
        int at = last.segment().index();
        while (at > 0
                && splits.get(at - 1).segment().lap().equals(last.segment().lap())) {
            at--;
        }
        boolean seen = at == 0 || splits.get(at - 1).endSeen();
        return seen ? Optional.of(splits.get(at)) : Optional.empty();
    }
}
