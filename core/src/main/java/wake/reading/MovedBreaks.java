package wake.reading;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import wake.log.Cause;
import wake.log.SegmentSplit;

/**
 * A break that came a rep later or earlier than expected, across the border of two movements: 14-1 was planned and 15 done, and the rest taken on the way
 * to what follows, or the other way round. It is held against the break that was meant, so that only the difference is lost, and not one cause won
 * and another lost.
 */
final class MovedBreaks {
    private MovedBreaks() {}

    /** The same differences, with what is expected for such a break moved to where it was taken; their sum stays. */
    static List<SegmentDelta> matched(List<SegmentDelta> deltas, Baseline baseline) {
        List<SegmentDelta> matched = new ArrayList<>(deltas);
        for (int i = 0; i + 1 < matched.size(); i++) {
            SegmentDelta one = matched.get(i);
            SegmentDelta next = matched.get(i + 1);
            long moved = movedMs(one, next, baseline);
            if (moved != 0) {
                matched.set(i, moved(one, Cause.REST, moved));
                matched.set(i + 1, moved(next, Cause.TRANSITION, -moved));
            }
        }
        return matched;
    }

    /** How much of a break was taken after its movement rather than in it; below zero for one taken in it rather than after; else 0. */
    private static long movedMs(SegmentDelta one, SegmentDelta next, Baseline baseline) {
        if (!one.stretch().separated()
                || !next.compares().contains(Cause.TRANSITION)
                || !one.stretch().isOwn()
                || !next.stretch().isOwn()) {
            return 0;
        }
        SegmentSplit split = one.stretch().first();
        int expected = baseline.sets(split.segment()).size();
        int done = split.scheme().size();
        long rest = one.by(Cause.REST);
        long transition = next.by(Cause.TRANSITION);
        if (expected == 0 || done == 0) {
            return 0;
        }
        if (done < expected && rest < 0 && transition > 0) {
            return Math.min(-rest, transition);
        }
        return done > expected && rest > 0 && transition < 0 ? -Math.min(rest, -transition) : 0;
    }

    private static SegmentDelta moved(SegmentDelta delta, Cause cause, long ms) {
        Map<Cause, Long> causes = new EnumMap<>(delta.byCause());
        causes.merge(cause, ms, Long::sum);
        return new SegmentDelta(delta.stretch(), delta.expectedMs() - ms, causes, delta.compares());
    }
}
