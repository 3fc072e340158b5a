package wake.comparison;

import java.util.OptionalLong;
import wake.log.RestSplit;
import wake.log.SegmentSplit;

/**
 * What one attempt did in a place, as far as both logs show it.
 *
 * @param sets as coaches write them; empty where unknown
 * @param transitionMs from arrival to the start of the movement
 * @param workMs in sets, without what faults cost
 * @param restMs in breaks
 * @param faultMs what faults cost
 * @param faults how many
 * @param longestRestMs the longest break
 */
public record Column(
        String sets,
        OptionalLong transitionMs,
        OptionalLong workMs,
        OptionalLong restMs,
        OptionalLong faultMs,
        int faults,
        OptionalLong longestRestMs) {
    static final Column NOTHING = new Column(
            "",
            OptionalLong.empty(),
            OptionalLong.empty(),
            OptionalLong.empty(),
            OptionalLong.empty(),
            0,
            OptionalLong.empty());

    static Column of(SegmentSplit split, boolean separated) {
        if (!separated) {
            return new Column(
                    "",
                    split.beginMs().isPresent() ? OptionalLong.of(split.transitionMs()) : OptionalLong.empty(),
                    OptionalLong.empty(),
                    OptionalLong.empty(),
                    OptionalLong.empty(),
                    split.faults().size(),
                    OptionalLong.empty());
        }
        return new Column(
                split.segment().countable().isPresent() ? split.setsWritten() : "",
                OptionalLong.of(split.transitionMs()),
                OptionalLong.of(split.workMs() - split.faultMs()),
                OptionalLong.of(split.restMs()),
                OptionalLong.of(split.faultMs()),
                split.faults().size(),
                split.rests().stream().mapToLong(RestSplit::durationMs).max());
    }
}
