package wake.projection;

import java.util.function.ToLongFunction;
import wake.log.SegmentSplit;

/** What a stretch of time was spent on, for telling changes apart when a retest is held against its projection. */
enum TimeUse {
    TRANSITION("transitions", SegmentSplit::transitionMs),
    REST("rests", SegmentSplit::restMs),
    FAULT("faults", SegmentSplit::faultMs),
    PACE("pace", split -> split.workMs() - split.faultMs()),
    UNASSIGNED("unassigned time", SegmentSplit::unseparatedMs),
    WAIT("interval rest", SegmentSplit::waitMs);

    private final String words;
    private final ToLongFunction<SegmentSplit> of;

    TimeUse(String words, ToLongFunction<SegmentSplit> of) {
        this.words = words;
        this.of = of;
    }

    String words() {
        return words;
    }

    long of(SegmentSplit split) {
        return of.applyAsLong(split);
    }
}
