package wake.log;

import java.util.function.ToLongFunction;

/** What the time of an attempt went to, and why it differs from another or from its baseline. */
public enum Cause {
    PACE("pace", "pace", split -> split.workMs() - split.faultMs()),
    REST("rest", "rests", SegmentSplit::restMs),
    TRANSITION("transition", "transitions", SegmentSplit::transitionMs),
    FAULT("faults", "faults", SegmentSplit::faultMs),
    INTERVAL_REST("interval rest", "interval rest", SegmentSplit::waitMs),
    UNSEPARATED("unassigned", "unassigned time", SegmentSplit::unseparatedMs),
    /** Another load or amount than the baseline's: no cause can be named. */
    UNLIKE("different work", "different work", split -> 0),
    /** From the last unit that counts to the buzzer: no loss. */
    UNFINISHED("unfinished", "unfinished time", SegmentSplit::unfinishedMs);

    private final String words;
    private final String all;
    private final ToLongFunction<SegmentSplit> of;

    Cause(String words, String all, ToLongFunction<SegmentSplit> of) {
        this.words = words;
        this.all = all;
        this.of = of;
    }

    /** What of a split went to it, milliseconds. */
    long of(SegmentSplit split) {
        return of.applyAsLong(split);
    }

    /** All of it in several places: "rests". */
    public String all() {
        return all;
    }

    /** Whether it can be a loss. */
    public boolean isLoss() {
        return this != INTERVAL_REST && this != UNLIKE && this != UNFINISHED;
    }

    public String words() {
        return words;
    }
}
