package wake.log;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Segment;

/**
 * An attempt as its marks tell it: the splits of every segment so far, and every second of the clock in one of them.
 *
 * <p>Closure: the elapsed times of the splits add up to {@link #clockMs()}, to the millisecond, always. What was not
 * logged is unseparated, never zero and never made up.
 */
public final class AttemptLog {
    private final Course course;
    private final List<SegmentSplit> splits;
    private final List<Oddity> oddities;
    private final List<BlindSpan> blindSpans;
    private final Cursor cursor;

    /** A stretch in which the view was blocked. */
    public record BlindSpan(long fromMs, long toMs) {}

    /** Where the log stands after its last mark. */
    static final class Cursor {
        private final @Nullable SegmentTrace trace;
        private final Phase phase;
        private final boolean blind;
        private final long clockMs;

        Cursor(@Nullable SegmentTrace trace, Phase phase, boolean blind, long clockMs) {
            this.trace = trace;
            this.phase = phase;
            this.blind = blind;
            this.clockMs = clockMs;
        }

        SegmentTrace trace() {
            if (trace == null) {
                throw new IllegalStateException("No segment is being done");
            }
            return trace;
        }

        Phase phase() {
            return phase;
        }

        boolean blind() {
            return blind;
        }

        long clockMs() {
            return clockMs;
        }
    }

    private AttemptLog(
            Course course,
            List<SegmentSplit> splits,
            List<Oddity> oddities,
            List<BlindSpan> blindSpans,
            Cursor cursor) {
        this.course = course;
        this.splits = List.copyOf(splits);
        this.oddities = List.copyOf(oddities);
        this.blindSpans = List.copyOf(blindSpans);
        this.cursor = cursor;
    }

    /** Reads marks in clock order; those of the same millisecond in the order given. */
    public static AttemptLog of(Course course, List<Mark> marks) {
        return new Pass(course).read(marks);
    }

    public Course course() {
        return course;
    }

    /** The splits of all segments begun so far, in order; only the last may be incomplete. */
    public List<SegmentSplit> splits() {
        return splits;
    }

    public List<Oddity> oddities() {
        return oddities;
    }

    public List<BlindSpan> blindSpans() {
        return blindSpans;
    }

    public Phase phase() {
        return cursor.phase();
    }

    public boolean over() {
        return phase() == Phase.FINISHED || phase() == Phase.STOPPED;
    }

    public boolean blind() {
        return cursor.blind();
    }

    /** The clock of the last thing known: the finish, the bell, or the last mark. */
    public long clockMs() {
        return cursor.clockMs();
    }

    /** The segment being done, or about to be. */
    public Optional<Segment> current() {
        return over() ? Optional.empty() : Optional.of(cursor.trace().segment);
    }

    /** Reps of the current segment counted so far. */
    public int counted() {
        return over() ? 0 : cursor.trace().counted();
    }

    /** Why a mark of a kind would make no sense now; empty when it would. */
    public Optional<String> refusal(MarkKind kind) {
        return MarkRules.refusal(kind, 0, cursor);
    }

    public Score score() {
        int done = splits.stream()
                .mapToInt(split -> split.complete() ? split.segment().score() : split.counted())
                .sum();
        int missing = course.totalScore() - done;
        OptionalLong cap = course.capMs();
        if (phase() == Phase.FINISHED) {
            return new Score.Finished(clockMs(), done);
        }
        return phase() == Phase.STOPPED && cap.isPresent() && clockMs() >= cap.getAsLong()
                ? new Score.Capped(cap.getAsLong(), done, missing)
                : new Score.Partial(clockMs(), done, missing);
    }

    private static final class Pass {
        private final Course course;
        private final long capMs;
        private final List<SegmentTrace> traces = new ArrayList<>();
        private final List<Oddity> oddities = new ArrayList<>();
        private final List<BlindSpan> blindSpans = new ArrayList<>();
        private long blindFrom = -1;
        private long clockMs;
        private Phase ended = Phase.WORKING;

        Pass(Course course) {
            this.course = course;
            this.capMs = course.capMs().orElse(Long.MAX_VALUE);
            traces.add(new SegmentTrace(course.segments().getFirst(), 0, 0));
        }

        AttemptLog read(List<Mark> marks) {
            marks.stream().sorted(Comparator.comparingLong(Mark::atMs)).forEach(this::take);
            if (blindFrom >= 0) {
                blindSpans.add(new BlindSpan(blindFrom, Math.max(blindFrom, clockMs)));
            }
            Map<String, Long> typical = TypicalIntervals.byMovement(traces);
            List<SegmentSplit> splits = new ArrayList<>();
            for (SegmentTrace trace : traces) {
                if (trace.doneMs != null || trace.phase() != Phase.MOVING_TO || clockMs > trace.arrivalMs) {
                    splits.add(SplitMaker.split(trace, clockMs, typical));
                }
            }
            return new AttemptLog(course, splits, oddities, blindSpans, cursor());
        }

        private Cursor cursor() {
            boolean blind = blindFrom >= 0;
            if (ended == Phase.FINISHED || ended == Phase.STOPPED) {
                return new Cursor(null, ended, blind, clockMs);
            }
            SegmentTrace trace = traces.getLast();
            return new Cursor(trace, trace.phase(), blind, clockMs);
        }

        private void take(Mark mark) {
            Optional<String> refusal = refusal(mark);
            if (refusal.isPresent()) {
                oddities.add(new Oddity(mark, refusal.get()));
                return;
            }
            switch (mark.kind()) {
                case CUE -> {}
                case BLIND -> blindFrom = mark.atMs();
                case SEEN -> {
                    blindSpans.add(new BlindSpan(blindFrom, mark.atMs()));
                    blindFrom = -1;
                }
                case STOP -> {
                    clockMs = Math.min(mark.atMs(), capMs);
                    traces.getLast().endU = mark.uncertaintyS();
                    ended = Phase.STOPPED;
                }
                default -> {
                    clockMs = mark.atMs();
                    if (traces.getLast().take(mark)) {
                        next(mark);
                    }
                }
            }
        }

        private void next(Mark mark) {
            int next = traces.size();
            if (next == course.segments().size()) {
                ended = Phase.FINISHED;
            } else {
                traces.add(new SegmentTrace(course.segments().get(next), mark.atMs(), mark.uncertaintyS()));
            }
        }

        private Optional<String> refusal(Mark mark) {
            if (mark.atMs() < 0 && mark.kind() != MarkKind.CUE) {
                return Optional.of("It lies before \"go\".");
            }
            boolean afterCap = mark.atMs() > capMs && mark.kind() != MarkKind.STOP && mark.kind() != MarkKind.CUE;
            if (afterCap && ended != Phase.FINISHED && ended != Phase.STOPPED) {
                return Optional.of("The cap of " + ClockTime.of(capMs).toSeconds() + " has passed; X marks the bell.");
            }
            return MarkRules.refusal(mark.kind(), mark.reps(), cursor());
        }
    }
}
