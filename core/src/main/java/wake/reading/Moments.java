package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wake.log.Cause;
import wake.log.FaultSplit;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.Stretch;
import wake.reading.Finding.Moment;

/** Where on the clock a loss can be seen. */
public final class Moments {
    /** So much before and after a fault is played, so that it is seen. */
    private static final long AROUND_FAULT_MS = 2000;

    private Moments() {}

    /** The losses of some segments by one cause, the dearest first. */
    static List<Moment> of(List<SegmentDelta> involved, Cause cause) {
        return involved.stream()
                .filter(delta -> delta.by(cause) > 0)
                .map(delta -> of(delta, cause))
                .sorted(Comparator.comparingLong(Moment::lostMs).reversed())
                .toList();
    }

    /** All stretches of a row that differ by a cause, in the order they happened: what a cell of the ledger is made of. */
    public static List<Moment> ofCell(List<SegmentDelta> deltas, String movement, Cause cause) {
        List<Moment> moments = new ArrayList<>();
        for (SegmentDelta delta : deltas) {
            boolean here = delta.stretch().name().equals(movement);
            if (here && delta.by(cause) != 0) {
                moments.add(of(delta, cause));
            }
        }
        return moments;
    }

    private static Moment of(SegmentDelta delta, Cause cause) {
        Stretch stretch = delta.stretch();
        SegmentSplit split = stretch.first();
        long lost = delta.by(cause);
        long from = cause == Cause.INTERVAL_REST ? stretch.arrivalMs() : stretch.startMs();
        long to = stretch.countedToMs();
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
            case UNFINISHED -> {
                from = stretch.countedToMs();
                to = stretch.endMs();
            }
            case UNSEPARATED, UNLIKE -> {}
        }
        return new Moment(from, to, stretch.place(), stretch.round(), lost);
    }
}
