package wake.trace;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.Resolution;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.movement.Modality;
import wake.trace.Trace.Sample;
import wake.trace.WorkIntervals.Piece;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;

/**
 * A trace held beside a log.
 *
 * @param borders the heart at the end of each segment that lies within the trace
 * @param rests how far the heart came down in each break, as far as the trace shows
 * @param pieces what the machine noted against what was logged
 */
public record TraceReading(List<Border> borders, List<Rest> rests, List<Checked> pieces) {
    /** The first half minute of a break: what comes back then. Common practice, no source. */
    private static final long RECOVERY_MS = 30_000;
    /** In a shorter break the heart has not begun to come down; an assumption. */
    private static final long SHORTEST_REST_MS = 5000;
    /** A device that notes seconds tells a moment to within one. */
    private static final double SAMPLE_U = Resolution.ofTyped(1);

    /** A piece of the trace matches a split whose distance differs by no more; an assumption. */
    private static final double LENGTH_WITHIN = 0.03;
    /** So many possible offsets are offered. */
    private static final int MOST_MATCHES = 6;

    public TraceReading {
        borders = List.copyOf(borders);
        rests = List.copyOf(rests);
        pieces = List.copyOf(pieces);
    }

    /** The heart at the end of a segment, beats a minute. */
    public record Border(String place, long atMs, double beats) {}

    /**
     * The heart in a break.
     *
     * @param place the segment it lies in
     * @param atMs the clock at which it began
     * @param forMs over how long the drop is taken: half a minute, or the whole of a shorter break
     * @param from beats a minute when it began
     * @param drop by how many it came down; below zero where it still rose
     */
    public record Rest(String place, long atMs, long forMs, double from, double drop) {}

    /**
     * A piece on the machine against the segment it belongs to.
     *
     * @param place the segment
     * @param atMs the clock at which the segment was begun
     * @param loggedMs its work as logged
     * @param tracedMs the same by the machine
     * @param metres covered by the machine
     * @param says whether the two agree, in a sentence
     */
    public record Checked(
            String place, long atMs, long loggedMs, long tracedMs, double metres, boolean agrees, String says) {}

    /**
     * Holds a trace beside a log.
     *
     * @param offsetMs the clock at which the trace starts
     */
    public static TraceReading of(Trace trace, long offsetMs, AttemptLog log) {
        return new TraceReading(
                borders(trace, offsetMs, log), rests(trace, offsetMs, log), pieces(trace, offsetMs, log));
    }

    private static List<Border> borders(Trace trace, long offsetMs, AttemptLog log) {
        List<Border> borders = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            if (split.complete() && split.endSeen()) {
                trace.at(Sample::beatsPerMinute, split.endMs() - offsetMs)
                        .ifPresent(
                                beats -> borders.add(new Border(split.segment().place(), split.endMs(), beats)));
            }
        }
        return borders;
    }

    private static List<Rest> rests(Trace trace, long offsetMs, AttemptLog log) {
        List<Rest> rests = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            for (RestSplit rest : split.rests()) {
                if (rest.durationMs() < SHORTEST_REST_MS) {
                    continue;
                }
                long length = Math.min(RECOVERY_MS, rest.durationMs());
                OptionalDouble from = trace.at(Sample::beatsPerMinute, rest.startMs() - offsetMs);
                OptionalDouble to = trace.at(Sample::beatsPerMinute, rest.startMs() + length - offsetMs);
                if (from.isPresent() && to.isPresent()) {
                    rests.add(new Rest(
                            split.segment().place(),
                            rest.startMs(),
                            length,
                            from.getAsDouble(),
                            from.getAsDouble() - to.getAsDouble()));
                }
            }
        }
        return rests;
    }

    private static List<Checked> pieces(Trace trace, long offsetMs, AttemptLog log) {
        List<Piece> pieces = WorkIntervals.of(trace);
        List<Checked> checked = new ArrayList<>();
        for (SegmentSplit split : log.splits()) {
            if (onMachine(split) && split.complete() && split.beginMs().isPresent()) {
                List<Piece> within = within(pieces, split.beginMs().getAsLong() - offsetMs, split.endMs() - offsetMs);
                if (!within.isEmpty()) {
                    checked.add(checked(split, within));
                }
            }
        }
        return checked;
    }

    private static boolean onMachine(SegmentSplit split) {
        return split.segment().movement().modality() == Modality.CYCLIC
                && (split.segment().metres() > 0 || split.segment().countable().isPresent());
    }

    /** The piece that lies in a segment for longest, and all others that lie in it for more than half of theirs: a rest cuts them apart. */
    private static List<Piece> within(List<Piece> pieces, long fromMs, long toMs) {
        Optional<Piece> longest = pieces.stream()
                .filter(piece -> overlap(piece, fromMs, toMs) > 0)
                .max(Comparator.comparingLong(piece -> overlap(piece, fromMs, toMs)));
        return pieces.stream()
                .filter(piece -> longest.filter(piece::equals).isPresent()
                        || 2 * overlap(piece, fromMs, toMs) > piece.lengthMs())
                .toList();
    }

    /** From its start to its end, without the rests in which the machine stands. */
    private static long workMs(SegmentSplit split) {
        long rests = split.rests().stream()
                .mapToLong(RestSplit::durationMs)
                .filter(ms -> ms > WorkIntervals.PAUSE_MS)
                .sum();
        return split.endMs() - split.beginMs().orElseThrow() - rests;
    }

    private static long overlap(Piece piece, long fromMs, long toMs) {
        return Math.min(piece.toMs(), toMs) - Math.max(piece.fromMs(), fromMs);
    }

    private static Checked checked(SegmentSplit split, List<Piece> within) {
        long logged = workMs(split);
        long traced = within.stream().mapToLong(Piece::lengthMs).sum();
        double metres = within.stream().mapToDouble(Piece::metres).sum();
        long apart = Math.abs(logged - traced);
        // Each piece has two ends of its own.
        double error = 2
                * Math.sqrt(within.size())
                * Math.hypot(Resolution.ofDifference(SAMPLE_U, SAMPLE_U), split.endU() * Math.sqrt(2));
        double asked = split.segment().metres();
        boolean far = asked > 0 && Math.abs(metres - asked) > LENGTH_WITHIN * asked;
        boolean agrees = apart <= Math.round(1000 * error) && !far;
        String times = Messages.of("Log %s, erg %s", Digits.TENTHS.span(logged), Digits.WHOLE.span(traced));
        String says = far
                ? Messages.of("%s. It covered %.0f m of %.0f m.", times, metres, asked)
                : agrees
                        ? times + ": the same within the timing error."
                        : times + Messages.of(": %s apart (timing error %.1f s).", Digits.TENTHS.span(apart), error);
        return new Checked(
                split.segment().place(), split.beginMs().orElseThrow(), logged, traced, metres, agrees, says);
    }

    /**
     * A place where a trace may be hung to the log.
     *
     * @param words what is laid on what
     * @param offsetMs the clock at which the trace starts then
     */
    public record Match(String words, long offsetMs) {}

    /** Where a trace may start: at "go", or so that its first pieces lie on the first actions of work on a machine. */
    public static List<Match> matches(Trace trace, AttemptLog log) {
        List<Match> matches = new ArrayList<>();
        matches.add(
                new Match("starts with the clock", -trace.samples().getFirst().atMs()));
        List<Piece> pieces = WorkIntervals.of(trace);
        for (SegmentSplit split : log.splits()) {
            if (!pieces.isEmpty() && onMachine(split) && begin(split).isPresent() && matches.size() < MOST_MATCHES) {
                long begin = begin(split).getAsLong();
                matches.add(new Match(
                        "its first pull is the start of "
                                + split.segment().place() + ", "
                                + ClockTime.of(begin).toTenths(),
                        begin - pieces.getFirst().fromMs()));
            }
        }
        return matches;
    }

    private static OptionalLong begin(SegmentSplit split) {
        return split.beginInferred() ? OptionalLong.empty() : split.beginMs();
    }
}
