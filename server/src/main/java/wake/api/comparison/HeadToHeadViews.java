package wake.api.comparison;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.api.attempt.AttemptsApi.RecordingView;
import wake.api.log.LogViews;
import wake.api.log.LogViews.PieceView;
import wake.comparison.Alignment;
import wake.comparison.Border;
import wake.comparison.Column;
import wake.comparison.HeadToHead;
import wake.comparison.LeadPoint;
import wake.comparison.LineDifference;
import wake.comparison.MinuteLead;
import wake.comparison.Overtake;
import wake.comparison.RoundDifference;
import wake.log.Cause;
import wake.log.SegmentSplit;
import wake.review.OpenAttempt;
import wake.store.RecordingStore.Outline;
import wake.units.Digits;
import wake.words.HeadToHeadWords;

/** Attempts beside each other, as the interface shows them. */
final class HeadToHeadViews {
    private HeadToHeadViews() {}

    /**
     * Up to four attempts beside each other.
     *
     * @param sides the attempt asked about first
     * @param pairs the first against each of the others, in their order
     * @param slots all of them laid beside each other by the work
     * @param others what else it may be held beside, the likeliest first
     */
    record HeadToHeadView(
            List<HeadToHeadSideView> sides,
            List<PairView> pairs,
            List<SlotView> slots,
            long clockMs,
            long workMs,
            List<OfferView> others) {}

    /** An attempt that another may be held beside. */
    record OfferView(UUID id, String words) {}

    /**
     * One attempt.
     *
     * @param name as short as it takes to tell it from the others
     * @param video the recording it is seen on with "go" known; unset without one
     * @param outline where on the video the athlete is, where that was given
     */
    record HeadToHeadSideView(
            UUID attemptId,
            String name,
            String athlete,
            String division,
            LocalDate doneOn,
            String score,
            boolean over,
            long clockMs,
            List<StripBandView> bands,
            @Nullable RecordingView video,
            @Nullable OutlineView outline) {}

    /** Where on a video an athlete is: shares of the picture, from its left and its top. */
    record OutlineView(double x, double y, double w, double h) {
        static @Nullable OutlineView of(@Nullable Outline outline) {
            return outline == null ? null : new OutlineView(outline.x(), outline.y(), outline.w(), outline.h());
        }
    }

    /** A segment on the strip. */
    record StripBandView(String label, String place, long fromMs, long toMs, List<PieceView> pieces) {}

    /**
     * A place on the line of work, and what each side did in it.
     *
     * @param name the same as short as it goes: the movement without its round
     * @param atMs where it starts on that line
     */
    record SlotView(String place, String name, long atMs, long lengthMs, List<SlotSpanView> spans) {}

    /** A stretch of the clock. */
    record SlotSpanView(long fromMs, long toMs, @Nullable Long beginMs) {}

    /**
     * Two attempts: leads, gains and changes are those of the first; below 0 they are the other's.
     *
     * @param leadMs at the last border; what {@code gains} add up to
     */
    record PairView(
            Digits digits,
            String answer,
            String made,
            List<String> styles,
            List<String> techniques,
            long leadMs,
            List<LeadBorderView> borders,
            List<LeadPoint> curve,
            List<Overtake> overtakes,
            List<LeadMinuteView> minutes,
            List<RoundDifference> rounds,
            List<HeadToHeadLineView> lines,
            Map<Cause, Long> gains,
            List<String> differentWork,
            List<String> unmatched) {}

    record LeadBorderView(
            String place,
            String otherPlace,
            long oneClockMs,
            long otherClockMs,
            long oneMs,
            long otherMs,
            long leadMs,
            long gainMs,
            SideColumnView one,
            SideColumnView other,
            Map<Cause, Long> gains,
            boolean clear) {}

    record SideColumnView(
            String sets,
            @Nullable Long transitionMs,
            @Nullable Long workMs,
            @Nullable Long restMs,
            @Nullable Long faultMs,
            int faults,
            @Nullable Long longestRestMs) {}

    record LeadMinuteView(long clockMs, @Nullable Integer reps, int ahead) {}

    record HeadToHeadLineView(
            String line,
            long oneMs,
            long otherMs,
            long gainMs,
            Map<Cause, Long> gains,
            long readingErrorMs,
            int legs) {}

    static HeadToHeadSideView side(
            OpenAttempt open, String name, @Nullable RecordingView video, @Nullable Outline outline) {
        return new HeadToHeadSideView(
                open.attempt().id(),
                name,
                open.attempt().athlete(),
                open.attempt().division(),
                open.attempt().doneOn(),
                open.log().scoreWords(),
                open.log().over(),
                open.log().clockMs(),
                open.log().splits().stream().map(HeadToHeadViews::band).toList(),
                video,
                OutlineView.of(outline));
    }

    private static StripBandView band(SegmentSplit split) {
        return new StripBandView(
                split.segment().label(),
                split.segment().place(),
                split.arrivalMs(),
                split.endMs(),
                LogViews.pieces(split));
    }

    static List<SlotView> slots(Alignment alignment) {
        return alignment.slots().stream()
                .map(slot -> new SlotView(
                        slot.place(),
                        slot.name(),
                        slot.atMs(),
                        slot.lengthMs(),
                        slot.spans().stream()
                                .map(span -> new SlotSpanView(span.fromMs(), span.toMs(), ms(span.beginMs())))
                                .toList()))
                .toList();
    }

    static PairView pair(HeadToHead versus) {
        HeadToHeadWords words = new HeadToHeadWords(versus);
        return new PairView(
                versus.digits(),
                words.headline(),
                words.edge(),
                words.styles(),
                words.techniques(),
                versus.leadMs(),
                versus.borders().stream().map(HeadToHeadViews::border).toList(),
                versus.curve(),
                versus.overtakes(),
                versus.minutes().stream().map(HeadToHeadViews::minute).toList(),
                versus.rounds(),
                versus.lines().stream().map(HeadToHeadViews::line).toList(),
                versus.gains(),
                words.differentWork(),
                words.unmatched());
    }

    private static LeadBorderView border(Border border) {
        return new LeadBorderView(
                border.place(),
                border.otherPlace(),
                border.oneClockMs(),
                border.otherClockMs(),
                border.oneMs(),
                border.otherMs(),
                border.leadMs(),
                border.gainMs(),
                column(border.one()),
                column(border.other()),
                border.gains(),
                border.clear());
    }

    private static SideColumnView column(Column column) {
        return new SideColumnView(
                column.sets(),
                ms(column.transitionMs()),
                ms(column.workMs()),
                ms(column.restMs()),
                ms(column.faultMs()),
                column.faults(),
                ms(column.longestRestMs()));
    }

    private static LeadMinuteView minute(MinuteLead minute) {
        return new LeadMinuteView(
                minute.clockMs(), minute.reps().isPresent() ? minute.reps().getAsInt() : null, minute.ahead());
    }

    private static HeadToHeadLineView line(LineDifference line) {
        return new HeadToHeadLineView(
                line.line(),
                line.oneMs(),
                line.otherMs(),
                line.gainMs(),
                line.gains(),
                line.readingErrorMs(),
                line.legs());
    }

    private static @Nullable Long ms(OptionalLong ms) {
        return ms.isPresent() ? ms.getAsLong() : null;
    }
}
