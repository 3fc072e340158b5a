package wake.api.traces;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import wake.reading.WakePoint;
import wake.review.OpenAttempt;
import wake.store.TraceStore.StoredTrace;
import wake.trace.Trace;
import wake.trace.Trace.Sample;
import wake.trace.Trace.Series;
import wake.trace.TraceReading;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;

/** A trace beside its log, as the browser gets it. */
final class TraceViews {
    /** More points than a screen has room for are thinned to so many. */
    private static final int POINTS = 600;
    /** What lies further apart is not joined. */
    private static final long GAP_MS = 6000;

    private TraceViews() {}

    /**
     * A trace.
     *
     * @param offsetMs the clock at which it starts
     * @param offset the same in words
     * @param matches where else it may be hung
     */
    record TraceView(
            UUID id,
            String label,
            long offsetMs,
            String offset,
            long lengthMs,
            List<SeriesView> series,
            List<MatchView> matches,
            List<BeatView> borders,
            List<RestBeatView> rests,
            List<MachinePieceView> pieces) {}

    /**
     * What can be drawn.
     *
     * @param low the lowest figure
     * @param high the highest
     */
    record SeriesView(
            Series kind,
            String words,
            String unit,
            double low,
            double high,
            String span,
            List<TracePointView> points) {}

    /**
     * A figure at a clock.
     *
     * @param workMs where that lies on the wake; absent before "go" and beyond what is logged
     * @param starts whether nothing was noted just before it
     */
    record TracePointView(long atMs, double value, @Nullable Long workMs, boolean starts) {}

    record MatchView(String words, long offsetMs, boolean chosen) {}

    /** The heart at the end of a segment. */
    record BeatView(String place, long atMs, String at, long beats) {}

    /** The heart in a break: how far it came down. */
    record RestBeatView(String place, long atMs, String says) {}

    /** A piece on the machine against what was logged. */
    record MachinePieceView(String place, long atMs, boolean agrees, String says) {}

    static TraceView of(StoredTrace stored, Trace trace, OpenAttempt open, List<WakePoint> wake) {
        TraceReading reading = TraceReading.of(trace, stored.offsetMs(), open.log());
        return new TraceView(
                stored.id(),
                stored.label(),
                stored.offsetMs(),
                offset(stored.offsetMs()),
                trace.lengthMs(),
                Arrays.stream(Series.values())
                        .filter(trace::has)
                        .map(series -> series(series, trace, stored.offsetMs(), wake))
                        .toList(),
                TraceReading.matches(trace, open.log()).stream()
                        .map(match -> new MatchView(
                                Messages.capital(match.words()),
                                match.offsetMs(),
                                match.offsetMs() == stored.offsetMs()))
                        .toList(),
                reading.borders().stream()
                        .map(border -> new BeatView(
                                border.place(),
                                border.atMs(),
                                ClockTime.of(border.atMs()).toSeconds(),
                                Math.round(border.beats())))
                        .toList(),
                reading.rests().stream().map(TraceViews::rest).toList(),
                reading.pieces().stream()
                        .map(piece -> new MachinePieceView(
                                piece.place(), piece.atMs(), piece.agrees(), Messages.capital(piece.says())))
                        .toList());
    }

    private static String offset(long ms) {
        if (ms == 0) {
            return "starts with the clock";
        }
        return Digits.TENTHS.span(Math.abs(ms)) + (ms < 0 ? " before the start" : " after the start");
    }

    private static RestBeatView rest(TraceReading.Rest rest) {
        String how = rest.drop() >= 0 ? "down" : "up";
        return new RestBeatView(
                rest.place(),
                rest.atMs(),
                Messages.of(
                        "From %.0f %s by %.0f in %s",
                        rest.from(), how, Math.abs(rest.drop()), Digits.WHOLE.span(rest.forMs())));
    }

    private static SeriesView series(Series series, Trace trace, long offsetMs, List<WakePoint> wake) {
        List<Sample> known = trace.samples().stream()
                .filter(sample -> series.of(sample).isPresent())
                .toList();
        double low = known.stream()
                .mapToDouble(sample -> series.of(sample).orElseThrow())
                .min()
                .orElse(0);
        double high = known.stream()
                .mapToDouble(sample -> series.of(sample).orElseThrow())
                .max()
                .orElse(0);
        int every = Math.max(1, (known.size() + POINTS - 1) / POINTS);
        List<TracePointView> points = new ArrayList<>();
        boolean starts = true;
        for (int i = 0; i < known.size(); i++) {
            starts |= i > 0 && known.get(i).atMs() - known.get(i - 1).atMs() > GAP_MS;
            if (i % every == 0 || starts) {
                long at = known.get(i).atMs() + offsetMs;
                points.add(new TracePointView(at, series.of(known.get(i)).orElseThrow(), workMs(wake, at), starts));
                starts = false;
            }
        }
        return new SeriesView(
                series,
                Messages.capital(series.words()),
                series.unit(),
                low,
                high,
                Messages.of("%.0f–%.0f %s", low, high, series.unit()),
                points);
    }

    /** Where a clock lies on the wake: even between the moments around it. */
    private static @Nullable Long workMs(List<WakePoint> wake, long clockMs) {
        for (int i = 1; i < wake.size(); i++) {
            WakePoint a = wake.get(i - 1);
            WakePoint b = wake.get(i);
            if (clockMs >= a.clockMs() && clockMs <= b.clockMs()) {
                long span = b.clockMs() - a.clockMs();
                double share = span == 0 ? 0 : (double) (clockMs - a.clockMs()) / span;
                return a.workMs() + Math.round(share * (b.workMs() - a.workMs()));
            }
        }
        return null;
    }
}
