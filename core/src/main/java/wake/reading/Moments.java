package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wake.log.FaultSplit;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.reading.Finding.Moment;

/** Where on the clock a loss can be seen. */
public final class Moments {
    private static final long AROUND_FAULT_MS = 2000;

    private Moments() {}

    /** The losses of some segments by one cause, the dearest first. */
    static List<Moment> of(List<SegmentDelta> involved, Cause cause) {
        return involved.stream()
                .filter(delta -> delta.byCause().getOrDefault(cause, 0L) > 0)
                .map(delta -> of(delta, cause))
                .sorted(Comparator.comparingLong(Moment::lostMs).reversed())
                .toList();
    }

    /** All segments of a movement that differ by a cause, in the order they happened: what a cell of the ledger is made of. */
    public static List<Moment> ofCell(List<SegmentDelta> deltas, String movement, Cause cause) {
        List<Moment> moments = new ArrayList<>();
        for (SegmentDelta delta : deltas) {
            boolean here = delta.split().segment().movement().name().equals(movement);
            if (here && delta.byCause().getOrDefault(cause, 0L) != 0) {
                moments.add(of(delta, cause));
            }
        }
        return moments;
    }

    private static Moment of(SegmentDelta delta, Cause cause) {
        SegmentSplit split = delta.split();
        long lost = delta.byCause().getOrDefault(cause, 0L);
        long from = split.arrivalMs();
        long to = split.endMs();
        switch (cause) {
            case TRANSITION -> to = split.beginMs().orElse(to);
            case PACE -> from = split.beginMs().orElse(from);
            case INTERVAL_REST -> to = Math.min(to, from + split.waitMs());
            case REST -> {
                if (!split.rests().isEmpty()) {
                    RestSplit longest = split.rests().stream()
                            .max(Comparator.comparingLong(RestSplit::durationMs))
                            .orElseThrow();
                    from = longest.startMs();
                    to = longest.endMs();
                }
            }
            case FAULT -> {
                if (!split.faults().isEmpty()) {
                    FaultSplit dearest = split.faults().stream()
                            .max(Comparator.comparingLong(
                                    fault -> fault.costMs().orElse(0)))
                            .orElseThrow();
                    from = Math.max(from, dearest.atMs() - AROUND_FAULT_MS);
                    to = dearest.atMs() + AROUND_FAULT_MS;
                }
            }
            case UNSEPARATED -> {}
        }
        return new Moment(from, to, split.segment().place(), lost);
    }
}
