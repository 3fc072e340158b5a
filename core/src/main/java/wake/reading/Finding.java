package wake.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import wake.log.FaultSplit;
import wake.log.RestSplit;
import wake.log.SegmentSplit;

/**
 * Something that cost time, with the moments that show it.
 *
 * @param movement which movement
 * @param cause why
 * @param lostMs how much, above zero
 * @param readingErrorMs twice the standard uncertainty of that figure
 * @param sentence what a coach would say
 * @param moments where to look, the dearest first
 */
public record Finding(
        String movement, Cause cause, long lostMs, long readingErrorMs, String sentence, List<Moment> moments) {
    private static final int MOST = 5;
    private static final long LEAST_MS = 1000;

    public Finding {
        moments = List.copyOf(moments);
    }

    /** A stretch of the clock to play, and what it shows. */
    public record Moment(long fromMs, long toMs, String label, long lostMs) {}

    /** The dearest losses of an attempt; none that its reading error could explain. */
    static List<Finding> of(List<SegmentDelta> deltas, Ledger ledger, Yardstick.Kind yardstick) {
        List<Finding> findings = new ArrayList<>();
        for (Ledger.Row row : ledger.rows()) {
            row.byCause().forEach((cause, lost) -> {
                List<SegmentDelta> involved = deltas.stream()
                        .filter(delta ->
                                delta.split().segment().movement().name().equals(row.movement()))
                        .toList();
                long error = readingError(involved);
                if (cause != Cause.INTERVAL_REST && lost >= LEAST_MS && lost > error) {
                    findings.add(new Finding(
                            row.movement(),
                            cause,
                            lost,
                            error,
                            Words.finding(row.movement(), cause, lost, involved, yardstick),
                            moments(involved, cause)));
                }
            });
        }
        findings.sort(Comparator.comparingLong(Finding::lostMs).reversed());
        return findings.subList(0, Math.min(MOST, findings.size()));
    }

    /** Twice the combined standard uncertainty of independent segment times (JCGM 100:2008, 5.1.2). */
    private static long readingError(List<SegmentDelta> involved) {
        double squares = involved.stream()
                .mapToDouble(delta -> delta.split().uncertaintyS())
                .map(u -> u * u)
                .sum();
        return Math.round(2000 * Math.sqrt(squares));
    }

    private static List<Moment> moments(List<SegmentDelta> involved, Cause cause) {
        List<Moment> moments = new ArrayList<>();
        for (SegmentDelta delta : involved) {
            long lost = delta.byCause().getOrDefault(cause, 0L);
            if (lost > 0) {
                moments.add(moment(delta.split(), cause, lost));
            }
        }
        moments.sort(Comparator.comparingLong(Moment::lostMs).reversed());
        return moments;
    }

    private static Moment moment(SegmentSplit split, Cause cause, long lost) {
        long from = split.arrivalMs();
        long to = split.endMs();
        switch (cause) {
            case TRANSITION -> to = split.beginMs().orElse(to);
            case PACE -> from = split.beginMs().orElse(from);
            case REST -> {
                RestSplit longest = split.rests().stream()
                        .max(Comparator.comparingLong(RestSplit::durationMs))
                        .orElseThrow();
                from = longest.startMs();
                to = longest.endMs();
            }
            case FAULT -> {
                FaultSplit dearest = split.faults().stream()
                        .max(Comparator.comparingLong(fault -> fault.costMs().orElse(0)))
                        .orElseThrow();
                from = Math.max(from, dearest.atMs() - 2000);
                to = dearest.atMs() + 2000;
            }
            case INTERVAL_REST, UNSEPARATED -> {}
        }
        return new Moment(from, to, split.segment().place(), lost);
    }
}
