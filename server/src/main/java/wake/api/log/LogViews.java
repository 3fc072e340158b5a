package wake.api.log;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import wake.api.log.LiftLogViews.LiftView;
import wake.api.log.LiftLogViews.PlannedLiftView;
import wake.log.AttemptLog;
import wake.log.AttemptLog.BlindSpan;
import wake.log.FaultSplit;
import wake.log.Granularity;
import wake.log.KeyHint;
import wake.log.MarkKind;
import wake.log.PaceFormat;
import wake.log.Phase;
import wake.log.RejectedMark;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.plan.PlannedSegment;
import wake.plan.lift.Timetable;
import wake.review.AttemptLogs;
import wake.review.LogService;
import wake.review.LogService.Undoable;
import wake.review.OpenAttempt;
import wake.store.MarkStore.StoredMark;
import wake.store.RecordingStore.Recording;
import wake.units.Digits;
import wake.workout.Format;
import wake.workout.Lap;
import wake.workout.Segment;

/** The log of an attempt as the interface shows it. */
public final class LogViews {
    private LogViews() {}

    /** Everything the log step shows, all of it worked out by the core. */
    public record LogView(
            Phase phase,
            Digits digits,
            long clockMs,
            String score,
            @Nullable Integer currentIndex,
            int counted,
            boolean blind,
            List<HintView> keys,
            List<SegmentView> segments,
            List<MarkView> marks,
            List<SpanView> blindSpans,
            long unseparatedMs,
            int waitingForGo,
            boolean open,
            boolean liftWindow,
            List<LiftView> lifts,
            List<PlannedLiftView> plannedLifts,
            @Nullable String nextLift,
            List<TieBreakView> tieBreaks,
            @Nullable String undo,
            @Nullable UUID undoOf,
            @Nullable String redo) {}

    /** The clock that decides between equal scores, and after what it is taken. */
    public record TieBreakView(String after, long clockMs) {
        public static TieBreakView of(AttemptLog.TieBreak tieBreak) {
            return new TieBreakView(tieBreak.after(), tieBreak.clockMs());
        }
    }

    /** What a kind of mark would note now, or why it would not. */
    public record HintView(
            MarkKind kind, String meaning, @Nullable String refusal) {}

    /**
     * A segment, with its split once it has one.
     *
     * @param opens the round it is the first of
     * @param inRound whether it stands in a round, that opened last
     */
    public record SegmentView(
            int index,
            int lineIndex,
            @Nullable OpensView opens,
            boolean inRound,
            String label,
            String movement,
            @Nullable Integer countable,
            boolean tappable,
            long plannedMs,
            long plannedEndMs,
            @Nullable SplitView split) {}

    /**
     * A round, where it begins.
     *
     * @param words "round 2 of thruster and burpee"
     * @param elapsedMs how long it took, once it is whole and its ends were noted
     * @param onlyEnd whether its end was all that was noted
     */
    public record OpensView(String words, @Nullable Long elapsedMs, boolean onlyEnd) {}

    /**
     * Where the time of a segment went.
     *
     * @param known whether both its ends were noted, rather than placed inside a round of which only the end was
     */
    public record SplitView(
            long arrivalMs,
            @Nullable Long beginMs,
            boolean beginInferred,
            long endMs,
            boolean complete,
            int counted,
            long elapsedMs,
            long waitMs,
            long transitionMs,
            long workMs,
            long restMs,
            long faultMs,
            long unseparatedMs,
            String sets,
            @Nullable String pace,
            boolean known,
            double uncertaintyS,
            List<PieceView> pieces,
            List<FaultView> faults) {}

    /** A stretch of a segment's time, for the strip. */
    public record PieceView(
            String kind, long fromMs, long toMs, @Nullable Integer reps) {}

    /** A fault and its cost. */
    public record FaultView(
            MarkKind kind, long atMs, @Nullable Long costMs) {}

    /** A stretch of the clock. */
    public record SpanView(long fromMs, long toMs) {}

    /** A mark, with why it does not fit if it does not. */
    public record MarkView(
            UUID id,
            MarkKind kind,
            @Nullable UUID recordingId,
            long atMs,
            @Nullable Long clockMs,
            int reps,
            Granularity depth,
            String tag,
            String text,
            double uncertaintyS,
            @Nullable String rejected) {}

    public static LogView of(OpenAttempt open, LogService book) {
        AttemptLog log = open.log();
        List<PlannedSegment> planned = open.asDone().forecast().segments();
        Map<Integer, SegmentSplit> splits = log.splits().stream()
                .collect(Collectors.toMap(split -> split.segment().index(), Function.identity()));
        long[] plannedEnd = {0};
        Lap[] before = {Lap.ONCE};
        List<SegmentView> segments = shown(open).stream()
                .map(segment -> {
                    boolean opens = segment.inRounds() && !segment.lap().equals(before[0]);
                    before[0] = segment.lap();
                    long allowed = segment.index() < planned.size()
                            ? planned.get(segment.index()).totalMs()
                            : 0;
                    plannedEnd[0] += allowed;
                    return segment(
                            segment,
                            opens ? opens(log, segment) : null,
                            allowed,
                            plannedEnd[0],
                            Optional.ofNullable(splits.get(segment.index())),
                            segment.index() == 0
                                    || Optional.ofNullable(splits.get(segment.index() - 1))
                                            .filter(SegmentSplit::endSeen)
                                            .isPresent());
                })
                .toList();
        List<MarkView> marks = marks(open);
        List<Timetable.Row> plannedLifts =
                open.asDone().timetable().map(Timetable::rows).orElse(List.of());
        Optional<Undoable> undoable = book.undoable(open.attempt().id());
        return new LogView(
                log.phase(),
                log.digits(),
                log.clockMs(),
                log.scoreWords(),
                log.current().map(Segment::index).orElse(null),
                log.counted(),
                log.blind(),
                KeyHint.now(log).stream()
                        .map(hint -> new HintView(
                                hint.kind(), hint.meaning(), hint.refusal().orElse(null)))
                        .toList(),
                segments,
                marks,
                log.blindSpans().stream().map(LogViews::span).toList(),
                log.splits().stream().mapToLong(SegmentSplit::unseparatedMs).sum(),
                (int) marks.stream().filter(mark -> mark.clockMs() == null).count(),
                open.expanded().isOpen(),
                open.expanded().format() instanceof Format.Lift,
                LiftLogViews.lifts(log),
                LiftLogViews.planned(plannedLifts),
                LiftLogViews.next(log.lifts(), plannedLifts),
                log.tieBreaks().stream().map(TieBreakView::of).toList(),
                undoable.map(Undoable::words).orElse(null),
                undoable.map(Undoable::of).orElse(null),
                book.redoWords(open.attempt().id()).orElse(null));
    }

    /** The segments worth showing: all of a closed expanded workout, of an open one up to the round after the one being done. */
    private static List<Segment> shown(OpenAttempt open) {
        int round = open.log()
                .current()
                .map(segment -> segment.lap().number())
                .orElseGet(() -> open.log().splits().stream()
                        .map(split -> split.segment().lap().number())
                        .max(Comparator.naturalOrder())
                        .orElse(1));
        return open.expanded().throughRound(open.log().over() ? round : round + 1);
    }

    private static OpensView opens(AttemptLog log, Segment first) {
        List<SegmentSplit> splits = log.splits().stream()
                .skip(first.index())
                .takeWhile(split -> split.segment().lap().equals(first.lap()))
                .toList();
        String words = first.lap().words();
        if (splits.isEmpty()) {
            return new OpensView(words, null, false);
        }
        SegmentSplit last = splits.getLast();
        boolean whole = last.complete()
                && last.endSeen()
                && log.expanded().endsLap(last.segment().index());
        boolean onlyEnd = whole && splits.stream().anyMatch(split -> !split.endSeen());
        long elapsedMs =
                last.endMs() - splits.getFirst().arrivalMs() - splits.getFirst().waitMs();
        return new OpensView(words, whole ? elapsedMs : null, onlyEnd);
    }

    private static SpanView span(BlindSpan span) {
        return new SpanView(span.fromMs(), span.toMs());
    }

    private static SegmentView segment(
            Segment segment,
            @Nullable OpensView opens,
            long plannedMs,
            long plannedEndMs,
            Optional<SegmentSplit> split,
            boolean startSeen) {
        return new SegmentView(
                segment.index(),
                segment.lineIndex(),
                opens,
                segment.inRounds(),
                segment.label(),
                segment.movement().name(),
                segment.countable().isPresent() ? segment.countable().getAsInt() : null,
                segment.tappable(),
                plannedMs,
                plannedEndMs,
                split.map(one -> split(one, startSeen)).orElse(null));
    }

    private static SplitView split(SegmentSplit split, boolean startSeen) {
        return new SplitView(
                split.arrivalMs(),
                split.beginMs().isPresent() ? split.beginMs().getAsLong() : null,
                split.beginInferred(),
                split.endMs(),
                split.complete(),
                split.counted(),
                split.elapsedMs(),
                split.waitMs(),
                split.transitionMs(),
                split.workMs(),
                split.restMs(),
                split.faultMs(),
                split.unseparatedMs(),
                split.setsWritten(),
                split.secondsPerUnit().isPresent()
                        ? PaceFormat.of(split.segment(), split.secondsPerUnit().getAsDouble())
                        : null,
                startSeen && split.endSeen(),
                split.uncertaintyS(),
                pieces(split),
                split.faults().stream().map(LogViews::fault).toList());
    }

    private static FaultView fault(FaultSplit fault) {
        return new FaultView(
                fault.kind(),
                fault.atMs(),
                fault.costMs().isPresent() ? fault.costMs().getAsLong() : null);
    }

    /** Work and rests as seen; what lies between them and belongs to neither is the transition, or unseparated. */
    public static List<PieceView> pieces(SegmentSplit split) {
        List<PieceView> pieces = new ArrayList<>();
        for (SetSplit set : split.sets()) {
            pieces.add(new PieceView(
                    "work",
                    set.startMs(),
                    set.endMs(),
                    set.reps().isPresent() ? set.reps().getAsInt() : null));
        }
        for (RestSplit rest : split.rests()) {
            pieces.add(new PieceView("rest", rest.startMs(), rest.endMs(), null));
        }
        if (split.beginMs().isPresent() && split.transitionMs() > 0) {
            pieces.add(new PieceView(
                    "transition",
                    split.arrivalMs() + split.waitMs(),
                    split.beginMs().getAsLong(),
                    null));
        }
        if (split.waitMs() > 0) {
            pieces.add(new PieceView("wait", split.arrivalMs(), split.arrivalMs() + split.waitMs(), null));
        }
        pieces.sort(Comparator.comparingLong(PieceView::fromMs));
        List<PieceView> whole = new ArrayList<>();
        long at = split.arrivalMs();
        for (PieceView piece : pieces) {
            if (piece.fromMs() > at) {
                whole.add(new PieceView("unseparated", at, piece.fromMs(), null));
            }
            whole.add(piece);
            at = Math.max(at, piece.toMs());
        }
        if (at < split.endMs()) {
            whole.add(new PieceView("unseparated", at, split.endMs(), null));
        }
        return whole;
    }

    private static List<MarkView> marks(OpenAttempt open) {
        Map<UUID, String> rejected = open.log().rejected().stream()
                .collect(Collectors.toMap(one -> one.mark().id(), RejectedMark::reason));
        Map<UUID, Recording> cameras =
                open.recordings().stream().collect(Collectors.toMap(Recording::id, Function.identity()));
        return open.marks().stream()
                .map(mark -> mark(mark, cameras, rejected.get(mark.id())))
                .toList();
    }

    private static MarkView mark(StoredMark mark, Map<UUID, Recording> cameras, @Nullable String rejected) {
        Optional<Recording> camera = Optional.ofNullable(mark.recordingId()).map(cameras::get);
        return new MarkView(
                mark.id(),
                mark.kind(),
                mark.recordingId(),
                mark.atMs(),
                AttemptLogs.clockMs(mark, camera).orElse(null),
                mark.reps(),
                mark.depth(),
                mark.tag(),
                mark.text(),
                mark.uncertaintyS(),
                rejected);
    }

    /** Why a mark does not fit, if it is among the marks and does not. */
    public static Optional<String> rejected(AttemptLog log, UUID id) {
        return log.rejected().stream()
                .filter(rejected -> rejected.mark().id().equals(id))
                .map(RejectedMark::reason)
                .findFirst();
    }
}
