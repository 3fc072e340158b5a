package wake.projection;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import wake.log.AttemptLog;
import wake.projection.Replay.Changed;

/**
 * Where the next attempt's clock would stand at the end of each segment this one completed, in most of many replays.
 *
 * @param borders one for each such segment, in order
 */
public record Fan(List<Border> borders) {
    private static final long SEED = 20_011;

    public Fan {
        borders = List.copyOf(borders);
    }

    /**
     * The end of a segment.
     *
     * @param earlyMs one replay in ten is there earlier
     * @param middleMs what is projected: the clock of the retest's plan
     * @param lateMs one in ten is there later
     */
    public record Border(int segmentIndex, long earlyMs, long middleMs, long lateMs) {}

    /** Empty where too little was broken down for a range. */
    public static Fan of(AttemptLog log, List<? extends Change> changes, FatigueCost fatigueCost, int replays) {
        Replay replay = Replay.of(log);
        Scatter scatter = Scatter.of(replay);
        if (replay.slices().isEmpty() || scatter.tooLittle()) {
            return new Fan(List.of());
        }
        Changed changed = replay.with(changes);
        long[][] clocks = new Bootstrap(changed, scatter, fatigueCost).clocks(replays, SEED);
        long[] ms = changed.answeredMs(fatigueCost);
        Timeline track = changed.track();
        long middle = 0;
        List<Border> borders = new ArrayList<>();
        List<TimeSlice> slices = changed.slices();
        for (int i = 0; i < slices.size() && slices.get(i).observed(); i++) {
            middle = track.after(i, middle, ms[i]);
            int segment = slices.get(i).segment().index();
            boolean ends = i + 1 == slices.size() || slices.get(i + 1).segment().index() != segment;
            if (ends) {
                long[] at = clocks[i];
                Arrays.sort(at);
                borders.add(new Border(
                        segment,
                        Math.min(middle, at[replays / 10]),
                        middle,
                        Math.max(middle, at[replays - 1 - replays / 10])));
            }
        }
        return new Fan(borders);
    }
}
