package wake.api.reading;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.log.LogViews.TieBreakView;
import wake.api.reading.MaxRepsViews.MostView;
import wake.api.reading.MovementViews.MovementReadingView;
import wake.api.reading.MovementViews.MovementTechniquesView;
import wake.api.reading.MovementViews.NoteEffectView;
import wake.api.reading.MovementViews.NoteView;
import wake.api.reading.MovementViews.PaceView;
import wake.log.Cause;
import wake.log.PaceFormat;
import wake.log.Stretch;
import wake.reading.Baseline;
import wake.reading.Finding;
import wake.reading.Ledger;
import wake.reading.MaxReps;
import wake.reading.Moments;
import wake.reading.Reading;
import wake.reading.Rounds;
import wake.reading.SectionReading;
import wake.reading.SegmentDelta;
import wake.reading.WakePoint;
import wake.units.Digits;
import wake.words.DerivationWords;
import wake.words.ReviewWords;
import wake.workout.Lap;
import wake.workout.Segment;

/** A reading as the interface shows it. */
public final class ReadingViews {
    private ReadingViews() {}

    /** Where every second went. */
    public record ReadingView(
            Baseline.Kind baseline,
            String baselineWords,
            List<Baseline.Kind> baselines,
            List<OtherView> others,
            boolean planAssumed,
            String answer,
            String silence,
            ComparedView compared,
            ClockView clock,
            List<SectionReadingView> sections,
            String score,
            @Nullable String reached,
            boolean over,
            Digits digits,
            long clockMs,
            long expectedMs,
            long unseparatedMs,
            List<BorderView> borders,
            List<BandView> bands,
            List<PointView> wake,
            List<FindingView> findings,
            List<LedgerRowView> ledger,
            Map<Cause, Long> totals,
            long totalMs,
            List<BlockView> blocks,
            @Nullable MostView most,
            List<MovementReadingView> movements,
            List<MovementTechniquesView> techniques,
            List<NoteEffectView> cueEffects,
            @Nullable PaceView pace,
            List<OutlierView> outliers,
            @Nullable LimiterView limiter,
            List<EffortView> efforts,
            List<NoteView> notes,
            List<String> observed,
            List<CutOffView> cutOffs,
            List<OutOfReachView> outOfReach,
            List<IntervalView> intervals,
            List<TieBreakView> tieBreaks) {}

    /** How much of the clock could be held against the baseline: milliseconds, and "3:40 of 8:12". */
    public record ComparedView(long ms, long ofMs, boolean nothing, String words) {}

    /** Where the clock went; the entries of each list add up to it. */
    public record ClockView(List<ClockEntryView> byLine, List<ClockEntryView> byRound, ClockEntryView total) {}

    /** Some of the clock, by what it was spent on. */
    public record ClockEntryView(
            String name,
            long fromMs,
            long toMs,
            long totalMs,
            double sharePercent,
            long workMs,
            long restMs,
            long transitionMs,
            long faultMs,
            long waitMs,
            long unseparatedMs,
            long unfinishedMs) {}

    /** A larger piece of the workout. */
    public record SectionReadingView(
            String label,
            long fromMs,
            long toMs,
            long elapsedMs,
            @Nullable Long lostMs) {}

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

    /** A cut-off and what was in hand; missed where there is no clock. */
    public record CutOffView(
            String after,
            long byMs,
            @Nullable Long clockMs,
            @Nullable Long marginMs) {}

    /** Something due by a clock that was not made, in a sentence, and where on the clock it went. */
    public record OutOfReachView(long fromMs, long toMs, String place, String sentence) {}

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

    /** A round on the wake. */
    public record BandView(int number, String words, long workFromMs, long workToMs, long endMs) {}

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

    /** The rounds of one block, and why they cannot be compared if they cannot. */
    public record BlockView(
            String name,
            List<RoundView> rounds,
            @Nullable ConsistencyView consistency,
            @Nullable String differentWork) {}

    /**
     * One round.
     *
     * @param rate its reps a minute, all its time included, in words; null where not all of it is reps
     */
    public record RoundView(
            String number,
            String words,
            long elapsedMs,
            long startMs,
            long endMs,
            @Nullable String rate) {}

    /** How even the rounds were. */
    public record ConsistencyView(
            long rangeMs, double variationPercent, double decrementPercent, double slopeMsPerRound) {}

    public static ReadingView of(
            Reading reading, List<Baseline.Kind> baselines, List<OtherView> others, boolean planAssumed) {
        List<BorderView> borders = borders(reading.deltas());
        return new ReadingView(
                reading.baseline().kind(),
                reading.baseline().words(),
                baselines,
                others,
                planAssumed,
                ReviewWords.headline(reading),
                ReviewWords.noFindings(reading),
                new ComparedView(
                        reading.compared().ms(),
                        reading.compared().ofMs(),
                        reading.compared().nothing(),
                        reading.compared().words()),
                ClockViews.of(reading.clock()),
                reading.sections().stream().map(ReadingViews::section).toList(),
                reading.log().scoreWords(),
                reading.log().reached().orElse(null),
                reading.log().over(),
                reading.log().digits(),
                reading.log().clockMs(),
                borders.isEmpty() ? 0 : borders.getLast().workToMs(),
                reading.unseparatedMs(),
                borders,
                bands(reading.deltas()),
                reading.wake().stream().map(ReadingViews::point).toList(),
                reading.findings().stream()
                        .map(finding -> finding(finding, reading.log().digits()))
                        .toList(),
                reading.ledger().rows().stream()
                        .map(row -> row(row, reading.deltas()))
                        .toList(),
                reading.ledger().totals(),
                reading.ledger().totalMs(),
                reading.blocks().stream().map(ReadingViews::block).toList(),
                MaxReps.of(reading.log())
                        .map(most -> MaxRepsViews.of(most, most.nextTarget()))
                        .orElse(null),
                MovementViews.of(reading),
                MovementViews.techniques(reading),
                MovementViews.cueEffects(reading),
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
                reading.observations().stream().map(ReviewWords::observed).toList(),
                reading.margins().cutOffs().stream()
                        .map(cutOff -> new CutOffView(
                                cutOff.after(),
                                cutOff.byMs(),
                                cutOff.clockMs().orElse(null),
                                cutOff.marginMs().orElse(null)))
                        .toList(),
                reading.outOfReach().stream()
                        .map(lost -> new OutOfReachView(
                                lost.fromMs(),
                                lost.toMs(),
                                lost.place(),
                                ReviewWords.outOfReach(lost, reading.log().digits())))
                        .toList(),
                reading.margins().intervals().stream()
                        .map(interval -> new IntervalView(interval.number(), interval.restMs()))
                        .toList(),
                reading.margins().tieBreaks().stream().map(TieBreakView::of).toList());
    }

    private static List<BorderView> borders(List<SegmentDelta> deltas) {
        List<BorderView> borders = new ArrayList<>();
        long work = 0;
        for (SegmentDelta delta : deltas) {
            Stretch stretch = delta.stretch();
            borders.add(new BorderView(
                    stretch.last().segment().index(),
                    stretch.whole() ? stretch.place() : stretch.segment().label(),
                    stretch.place(),
                    stretch.name(),
                    work,
                    work + delta.expectedMs(),
                    stretch.startMs(),
                    stretch.countedToMs(),
                    delta.lostMs(),
                    Math.abs(delta.lostMs()) < delta.readingErrorMs(),
                    new EnumMap<>(delta.byCause())));
            work += delta.expectedMs();
        }
        return borders;
    }

    private static List<BandView> bands(List<SegmentDelta> deltas) {
        List<BandView> bands = new ArrayList<>();
        Lap before = null;
        long work = 0;
        for (SegmentDelta delta : deltas) {
            Stretch stretch = delta.stretch();
            Segment segment = stretch.segment();
            Lap lap = segment.lap();
            long from = work;
            work += delta.expectedMs();
            // What runs on over several rounds is in none of them.
            if (segment.inRounds() && stretch.last().segment().lap().equals(lap)) {
                if (lap.equals(before)) {
                    from = bands.removeLast().workFromMs();
                }
                before = lap;
                bands.add(new BandView(lap.number(), lap.words(), from, work, stretch.countedToMs()));
            }
        }
        return bands;
    }

    public static PointView point(WakePoint point) {
        return new PointView(point.workMs(), point.clockMs(), point.aheadMs(), point.segmentIndex(), point.border());
    }

    private static FindingView finding(Finding finding, Digits digits) {
        return new FindingView(
                finding.kind(),
                finding.movement(),
                finding.cause(),
                finding.lostMs(),
                finding.readingErrorMs(),
                ReviewWords.finding(finding, digits),
                moments(finding.moments()),
                DerivationWords.of(finding, digits));
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

    private static SectionReadingView section(SectionReading section) {
        return new SectionReadingView(
                section.label(),
                section.fromMs(),
                section.toMs(),
                section.elapsedMs(),
                section.comparedMs() > 0 ? section.lostMs() : null);
    }

    private static BlockView block(Rounds rounds) {
        return new BlockView(
                rounds.name(),
                rounds.splits().stream()
                        .map(round -> new RoundView(
                                round.numeral(),
                                round.words(),
                                round.elapsedMs(),
                                round.startMs(),
                                round.endMs(),
                                round.repsPerMinute().isPresent()
                                        ? PaceFormat.repsPerMinute(
                                                round.repsPerMinute().getAsDouble())
                                        : null))
                        .toList(),
                rounds.consistency().map(ReadingViews::consistency).orElse(null),
                rounds.differentWork().orElse(null));
    }

    private static ConsistencyView consistency(Rounds.Consistency consistency) {
        return new ConsistencyView(
                consistency.rangeMs(),
                100 * consistency.variation(),
                consistency.decrementPercent(),
                consistency.slopeMsPerRound());
    }
}
