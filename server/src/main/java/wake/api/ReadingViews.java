package wake.api;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import wake.reading.Cause;
import wake.reading.Finding;
import wake.reading.Ledger;
import wake.reading.Reading;
import wake.reading.Rounds;
import wake.reading.SegmentDelta;
import wake.reading.WakePoint;
import wake.reading.Yardstick;

/** A reading as the interface shows it. */
final class ReadingViews {
    private ReadingViews() {}

    /** Where every second went. */
    record ReadingView(
            Yardstick.Kind yardstick,
            List<Yardstick.Kind> yardsticks,
            boolean planAssumed,
            String answer,
            String score,
            boolean over,
            long clockMs,
            long allowedMs,
            long unseparatedMs,
            List<BorderView> borders,
            List<PointView> wake,
            List<FindingView> findings,
            List<LedgerRowView> ledger,
            Map<Cause, Long> totals,
            long totalMs,
            List<RoundView> rounds,
            @Nullable ConsistencyView consistency) {}

    /** A segment on the wake: where it lies and what it cost by cause. */
    record BorderView(
            int segmentIndex,
            String label,
            String place,
            String movement,
            long workFromMs,
            long workToMs,
            long arrivalMs,
            long endMs,
            long lostMs,
            boolean withinReadingError,
            Map<Cause, Long> byCause) {}

    /** A point of the wake. */
    record PointView(long workMs, long clockMs, long aheadMs, int segmentIndex, boolean border) {}

    /** What cost time, and where to see it. */
    record FindingView(
            String movement,
            Cause cause,
            long lostMs,
            long readingErrorMs,
            String sentence,
            List<MomentView> moments) {}

    /** A stretch of the clock to play. */
    record MomentView(long fromMs, long toMs, String label, long lostMs) {}

    /** One movement's row of the ledger. */
    record LedgerRowView(String movement, Map<Cause, Long> byCause, long totalMs) {}

    /** One round. */
    record RoundView(int number, long elapsedMs, long endMs) {}

    /** How even the rounds were. */
    record ConsistencyView(long rangeMs, double variationPercent, double decrementPercent, double slopeMsPerRound) {}

    static ReadingView of(Reading reading, List<Yardstick.Kind> yardsticks, boolean planAssumed) {
        List<BorderView> borders = borders(reading.deltas());
        return new ReadingView(
                reading.yardstick().kind(),
                yardsticks,
                planAssumed,
                reading.answer(),
                reading.log().score().words(),
                reading.log().over(),
                reading.log().clockMs(),
                borders.isEmpty() ? 0 : borders.getLast().workToMs(),
                reading.unseparatedMs(),
                borders,
                reading.wake().stream().map(ReadingViews::point).toList(),
                reading.findings().stream().map(ReadingViews::finding).toList(),
                reading.ledger().rows().stream().map(ReadingViews::row).toList(),
                reading.ledger().totals(),
                reading.ledger().totalMs(),
                reading.rounds().splits().stream()
                        .map(round -> new RoundView(round.number(), round.elapsedMs(), round.endMs()))
                        .toList(),
                reading.rounds().consistency().map(ReadingViews::consistency).orElse(null));
    }

    private static List<BorderView> borders(List<SegmentDelta> deltas) {
        List<BorderView> borders = new java.util.ArrayList<>();
        long work = 0;
        for (SegmentDelta delta : deltas) {
            var segment = delta.split().segment();
            borders.add(new BorderView(
                    segment.index(),
                    segment.label(),
                    segment.place(),
                    segment.movement().name(),
                    work,
                    work + delta.allowedMs(),
                    delta.split().arrivalMs(),
                    delta.split().endMs(),
                    delta.deltaMs(),
                    Math.abs(delta.deltaMs()) < delta.readingErrorMs(),
                    new EnumMap<>(delta.byCause())));
            work += delta.allowedMs();
        }
        return borders;
    }

    static PointView point(WakePoint point) {
        return new PointView(point.workMs(), point.clockMs(), point.aheadMs(), point.segmentIndex(), point.border());
    }

    private static FindingView finding(Finding finding) {
        return new FindingView(
                finding.movement(),
                finding.cause(),
                finding.lostMs(),
                finding.readingErrorMs(),
                finding.sentence(),
                finding.moments().stream()
                        .map(moment -> new MomentView(moment.fromMs(), moment.toMs(), moment.label(), moment.lostMs()))
                        .toList());
    }

    private static LedgerRowView row(Ledger.Row row) {
        return new LedgerRowView(row.movement(), row.byCause(), row.totalMs());
    }

    private static ConsistencyView consistency(Rounds.Consistency consistency) {
        return new ConsistencyView(
                consistency.rangeMs(),
                100 * consistency.variation(),
                consistency.decrementPercent(),
                consistency.slopeMsPerRound());
    }
}
