package wake.api.reading;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.reading.MovementViews.MovementReadingView;
import wake.api.reading.MovementViews.NoteView;
import wake.api.reading.MovementViews.PaceView;
import wake.reading.Cause;
import wake.reading.Finding;
import wake.reading.Ledger;
import wake.reading.Moments;
import wake.reading.Reading;
import wake.reading.Rounds;
import wake.reading.SegmentDelta;
import wake.reading.WakePoint;
import wake.reading.Yardstick;

/** A reading as the interface shows it. */
public final class ReadingViews {
    private ReadingViews() {}

    /** Where every second went. */
    public record ReadingView(
            Yardstick.Kind yardstick,
            String yardstickWords,
            List<Yardstick.Kind> yardsticks,
            List<OtherView> others,
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
            @Nullable ConsistencyView consistency,
            List<MovementReadingView> movements,
            @Nullable PaceView pace,
            List<OutlierView> outliers,
            @Nullable LimiterView limiter,
            List<EffortView> efforts,
            List<NoteView> notes,
            List<StageView> stages,
            List<IntervalView> intervals) {}

    /** Another attempt it could be read against. */
    public record OtherView(UUID id, String words) {}

    /** A round or rest far beyond the others. */
    public record OutlierView(
            String what,
            long fromMs,
            long toMs,
            long overMs,
            @Nullable String reason) {}

    /** The movement that lost the most. */
    public record LimiterView(String movement, long lostMs, List<String> signs) {}

    /** Perceived exertion at a moment. */
    public record EffortView(long atMs, double level) {}

    /** A staged cap and what was in hand. */
    public record StageView(int round, long byMs, long clockMs, long marginMs) {}

    /** An interval and the rest it left. */
    public record IntervalView(int number, long restMs) {}

    /** A segment on the wake: where it lies and what it cost by cause. */
    public record BorderView(
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
    public record PointView(long workMs, long clockMs, long aheadMs, int segmentIndex, boolean border) {}

    /** What cost time, and where to see it. */
    public record FindingView(
            Finding.Kind kind,
            String movement,
            Cause cause,
            long lostMs,
            long readingErrorMs,
            String sentence,
            List<MomentView> moments,
            List<String> working) {}

    /** A stretch of the clock to play. */
    public record MomentView(long fromMs, long toMs, String label, long lostMs) {}

    /** One movement's row of the ledger. */
    public record LedgerRowView(
            String movement, Map<Cause, Long> byCause, long totalMs, Map<Cause, List<MomentView>> moments) {}

    /** One round. */
    public record RoundView(int number, long elapsedMs, long endMs) {}

    /** How even the rounds were. */
    public record ConsistencyView(
            long rangeMs, double variationPercent, double decrementPercent, double slopeMsPerRound) {}

    public static ReadingView of(
            Reading reading, List<Yardstick.Kind> yardsticks, List<OtherView> others, boolean planAssumed) {
        List<BorderView> borders = borders(reading.deltas());
        return new ReadingView(
                reading.yardstick().kind(),
                reading.yardstick().words(),
                yardsticks,
                others,
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
                reading.ledger().rows().stream()
                        .map(row -> row(row, reading.deltas()))
                        .toList(),
                reading.ledger().totals(),
                reading.ledger().totalMs(),
                reading.rounds().splits().stream()
                        .map(round -> new RoundView(round.number(), round.elapsedMs(), round.endMs()))
                        .toList(),
                reading.rounds().consistency().map(ReadingViews::consistency).orElse(null),
                MovementViews.of(reading),
                MovementViews.pace(reading),
                reading.outliers().stream()
                        .map(outlier -> new OutlierView(
                                outlier.what(),
                                outlier.fromMs(),
                                outlier.toMs(),
                                outlier.overMs(),
                                outlier.reason().orElse(null)))
                        .toList(),
                reading.limiter()
                        .map(limiter -> new LimiterView(limiter.movement(), limiter.lostMs(), limiter.signs()))
                        .orElse(null),
                reading.efforts().stream()
                        .map(effort -> new EffortView(effort.atMs(), effort.level()))
                        .toList(),
                MovementViews.notes(reading),
                reading.margins().stages().stream()
                        .map(stage -> new StageView(stage.round(), stage.byMs(), stage.clockMs(), stage.marginMs()))
                        .toList(),
                reading.margins().intervals().stream()
                        .map(interval -> new IntervalView(interval.number(), interval.restMs()))
                        .toList());
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

    public static PointView point(WakePoint point) {
        return new PointView(point.workMs(), point.clockMs(), point.aheadMs(), point.segmentIndex(), point.border());
    }

    private static FindingView finding(Finding finding) {
        return new FindingView(
                finding.kind(),
                finding.movement(),
                finding.cause(),
                finding.lostMs(),
                finding.readingErrorMs(),
                finding.sentence(),
                moments(finding.moments()),
                finding.working());
    }

    private static List<MomentView> moments(List<Finding.Moment> moments) {
        return moments.stream()
                .map(moment -> new MomentView(moment.fromMs(), moment.toMs(), moment.label(), moment.lostMs()))
                .toList();
    }

    private static LedgerRowView row(Ledger.Row row, List<SegmentDelta> deltas) {
        Map<Cause, List<MomentView>> instances = new EnumMap<>(Cause.class);
        for (Cause cause : Cause.values()) {
            instances.put(cause, moments(Moments.ofCell(deltas, row.movement(), cause)));
        }
        return new LedgerRowView(row.movement(), row.byCause(), row.totalMs(), instances);
    }

    private static ConsistencyView consistency(Rounds.Consistency consistency) {
        return new ConsistencyView(
                consistency.rangeMs(),
                100 * consistency.variation(),
                consistency.decrementPercent(),
                consistency.slopeMsPerRound());
    }
}
