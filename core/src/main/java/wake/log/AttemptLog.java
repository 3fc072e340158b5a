package wake.log;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Format.LiftPiece;
import wake.workout.Segment;

/**
 * An attempt as its marks tell it: the splits of every segment so far, and every second of the clock in one of them.
 *
 * <p>Closure: the elapsed times of the splits add up to {@link #clockMs()}, to the millisecond, always. What was not
 * logged is unseparated, never zero and never made up.
 */
public final class AttemptLog {
    /** Movements of a part without end that may be done at one instant; more are a video that stands still. An assumption. */
    private static final int MOST_AT_ONE_INSTANT = 20;

    private final ExpandedWorkout expanded;
    private final List<SegmentSplit> splits;
    private final List<SegmentSplit> done;
    private final List<RejectedMark> rejected;
    private final List<BlindSpan> blindSpans;
    private final List<Lift> lifts;
    private final List<Mark> notes;
    private final Cursor cursor;

    /**
     * The clock at a place that decides between equal scores.
     *
     * @param lastIndex the segment it follows
     */
    public record TieBreak(int lastIndex, String after, long clockMs) {}

    /** A stretch in which the view was blocked. */
    public record BlindSpan(long fromMs, long toMs) {}

    /** Where the log stands after its last mark. */
    static final class Cursor {
        private final @Nullable SegmentTrace trace;
        private final Phase phase;
        private final boolean blind;
        private final long clockMs;
        private final @Nullable LiftTrace lift;

        Cursor(@Nullable SegmentTrace trace, @Nullable LiftTrace lift, Phase phase, boolean blind, long clockMs) {
            this.trace = trace;
            this.lift = lift;
            this.phase = phase;
            this.blind = blind;
            this.clockMs = clockMs;
        }

        SegmentTrace trace() {
            if (trace == null) {
                throw new IllegalStateException("No movement is being done");
            }
            return trace;
        }

        Phase phase() {
            return phase;
        }

        /** Whether there is no segment to do: all is over, or it is a lift window. */
        boolean done() {
            return trace == null;
        }

        /** The lift last begun, in a lift window. */
        Optional<LiftTrace> lift() {
            return Optional.ofNullable(lift);
        }

        boolean blind() {
            return blind;
        }

        long clockMs() {
            return clockMs;
        }
    }

    private AttemptLog(
            ExpandedWorkout expanded,
            List<SegmentSplit> splits,
            List<SegmentSplit> done,
            List<RejectedMark> rejected,
            List<BlindSpan> blindSpans,
            List<Lift> lifts,
            List<Mark> notes,
            Cursor cursor) {
        this.expanded = expanded;
        this.splits = List.copyOf(splits);
        this.done = List.copyOf(done);
        this.rejected = List.copyOf(rejected);
        this.blindSpans = List.copyOf(blindSpans);
        this.lifts = List.copyOf(lifts);
        this.notes = List.copyOf(notes);
        this.cursor = cursor;
    }

    /** Reads marks in clock order; those of the same millisecond in the order given. */
    public static AttemptLog of(ExpandedWorkout expanded, List<Mark> marks) {
        return new Pass(expanded).read(marks);
    }

    public ExpandedWorkout expanded() {
        return expanded;
    }

    /** The splits of all segments begun so far, in order; only the last may be incomplete. */
    public List<SegmentSplit> splits() {
        return splits;
    }

    /**
     * The same as far as they count: of one that the buzzer cut off what came after its last completed unit is unfinished, and is
     * no part of its work, rests or transition.
     */
    public List<SegmentSplit> done() {
        return done;
    }

    /** What the athlete did of it, without a partner's rounds. */
    public OwnPart own() {
        return OwnPart.of(this);
    }

    public List<RejectedMark> rejected() {
        return rejected;
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

    /** The clock of the last thing known: the finish, the buzzer, or the last mark. */
    public long clockMs() {
        return cursor.clockMs();
    }

    /** The segment being done, or about to be. */
    public Optional<Segment> current() {
        return cursor.done() ? Optional.empty() : Optional.of(cursor.trace().segment);
    }

    /** Reps of the current segment counted so far. */
    public int counted() {
        return cursor.done()
                ? cursor.lift()
                        .filter(LiftTrace::untold)
                        .map(LiftTrace::counted)
                        .orElse(0)
                : cursor.trace().counted();
    }

    /** Reps of the lift under way; 0 when the bar is on the floor, and outside lift windows. */
    public int repsOfTheLift() {
        return cursor.lift().filter(LiftTrace::untold).map(LiftTrace::reps).orElse(0);
    }

    /** Why a mark of a kind would make no sense now; empty when it would. */
    public Optional<String> refusal(MarkKind kind) {
        return MarkRules.refusal(kind, 0, cursor);
    }

    /** What the attempt scores so far. */
    public Score score() {
        return ScoreMaker.score(this);
    }

    /** The same in words, the clock in as many digits as were logged. */
    public String scoreWords() {
        return score().words(digits());
    }

    /** Where in the workout a score short of its end was reached: "round 6, 7 of 18 thruster"; empty where the clock is the score, or a load. */
    public Optional<String> reached() {
        boolean counts = !(score() instanceof Score.Finished) && !(score() instanceof Score.Load) && !expanded.isMost();
        return counts && !splits.isEmpty() && over()
                ? Optional.of(splits.getLast()).filter(last -> !last.complete()).map(AttemptLog::reached)
                : Optional.empty();
    }

    private static String reached(SegmentSplit last) {
        return last.counted() == 0
                ? "before " + last.segment().place()
                : last.segment().placeAfter(last.counted());
    }

    /** The precision of its times: in whole seconds where every segment's end was typed so, or noted no better. */
    public Digits digits() {
        double whole = Resolution.ofTyped(1);
        boolean known = !splits.isEmpty() || !lifts.isEmpty();
        boolean allWhole = known
                && splits.stream().allMatch(split -> split.endU() >= whole)
                && lifts.stream().allMatch(lift -> lift.uncertaintyS() >= whole);
        return allWhole ? Digits.WHOLE : Digits.TENTHS;
    }

    /** The lifts of a lift window, in order. */
    public List<Lift> lifts() {
        return lifts;
    }

    /** Notes pinned to moments, in order. */
    public List<Mark> notes() {
        return notes;
    }

    /** The clock at the places that decide between equal scores, as far as they were reached and the log has the clock. */
    public List<TieBreak> tieBreaks() {
        return expanded.tieBreaks(splits.size()).stream()
                .filter(place -> place.lastIndex() < splits.size()
                        && splits.get(place.lastIndex()).complete()
                        && splits.get(place.lastIndex()).endSeen())
                .map(place -> new TieBreak(
                        place.lastIndex(),
                        place.words(),
                        splits.get(place.lastIndex()).endMs()))
                .toList();
    }

    private static final class Pass {
        private final ExpandedWorkout expanded;
        private final List<LiftTrace> lifts = new ArrayList<>();
        private final List<Mark> notes = new ArrayList<>();
        private final List<SegmentTrace> traces = new ArrayList<>();
        private final List<RejectedMark> rejected = new ArrayList<>();
        private final List<BlindSpan> blindSpans = new ArrayList<>();
        private final Map<Integer, String> techniques = new HashMap<>();
        private long blindFrom = -1;
        private long clockMs;
        private Phase ended = Phase.WORKING;

        Pass(ExpandedWorkout expanded) {
            this.expanded = expanded;
            if (expanded.has(0)) {
                traces.add(trace(0, 0, 0));
            }
        }

        AttemptLog read(List<Mark> marks) {
            marks.stream().sorted(Comparator.comparingLong(Mark::atMs)).forEach(this::take);
            if (blindFrom >= 0) {
                blindSpans.add(new BlindSpan(blindFrom, Math.max(blindFrom, clockMs)));
            }
            SplitMaker.Shown shown = new SplitMaker.Shown(TypicalIntervals.byMovement(traces), new CleanPace(traces));
            List<SegmentSplit> splits = new ArrayList<>();
            List<SegmentSplit> done = new ArrayList<>();
            for (SegmentTrace trace : traces) {
                if (trace.doneMs != null || trace.phase() != Phase.MOVING_TO || clockMs > trace.arrivalMs) {
                    splits.add(SplitMaker.seen(trace, clockMs, shown));
                    done.add(trace.cutOff ? SplitMaker.done(trace, clockMs, shown) : splits.getLast());
                }
            }
            List<Lift> seen = lifts.stream().map(LiftTrace::lift).toList();
            return new AttemptLog(expanded, splits, done, rejected, blindSpans, seen, notes, cursor());
        }

        private Cursor cursor() {
            boolean blind = blindFrom >= 0;
            LiftTrace lift = lifts.isEmpty() ? null : lifts.getLast();
            if (ended == Phase.FINISHED || ended == Phase.STOPPED) {
                return new Cursor(null, lift, ended, blind, clockMs);
            }
            if (traces.isEmpty()) {
                boolean lifting = lift != null && lift.untold();
                return new Cursor(null, lift, lifting ? Phase.WORKING : Phase.MOVING_TO, blind, clockMs);
            }
            SegmentTrace trace = traces.getLast();
            return new Cursor(trace, null, trace.phase(), blind, clockMs);
        }

        private void take(Mark mark) {
            Optional<String> refusal = refusal(mark);
            if (refusal.isPresent()) {
                rejected.add(new RejectedMark(mark, refusal.get()));
                return;
            }
            switch (mark.kind()) {
                case CUE -> notes.add(mark);
                case BLIND -> blindFrom = mark.atMs();
                case SEEN -> {
                    blindSpans.add(new BlindSpan(blindFrom, mark.atMs()));
                    blindFrom = -1;
                }
                case STOP -> {
                    clockMs = Math.min(mark.atMs(), buzzerMs());
                    if (!traces.isEmpty()) {
                        traces.getLast().stop(mark);
                    }
                    ended = Phase.STOPPED;
                }
                case LIFT -> {
                    clockMs = mark.atMs();
                    lifts.add(new LiftTrace(mark, complex()));
                }
                case VARIANT -> {
                    SegmentTrace trace = traces.getLast();
                    trace.take(mark);
                    techniques.put(trace.segment.lineIndex(), mark.text().strip());
                }
                default -> {
                    clockMs = ended == Phase.STOPPED ? clockMs : Math.min(mark.atMs(), buzzerMs());
                    if (traces.isEmpty()) {
                        lifts.getLast().take(mark);
                    } else if (traces.getLast().take(mark)) {
                        next(mark);
                    }
                }
            }
        }

        private List<LiftPiece> complex() {
            return expanded.format() instanceof Format.Lift window ? window.complex() : List.of();
        }

        private void next(Mark mark) {
            int next = traces.size();
            if (expanded.has(next)) {
                traces.add(trace(next, mark.atMs(), mark.uncertaintyS()));
            } else {
                ended = Phase.FINISHED;
            }
        }

        private SegmentTrace trace(int index, long arrivalMs, double arrivalU) {
            SegmentTrace trace =
                    new SegmentTrace(expanded.segment(index), arrivalMs, arrivalU, expanded.opensMs(index, arrivalMs));
            String technique = techniques.get(trace.segment.lineIndex());
            if (technique != null) {
                trace.techniques.add(new SegmentSplit.Variant(arrivalMs, technique));
            }
            return trace;
        }

        /** The buzzer that would go now: the next cut-off, else the end of the part. */
        private long buzzerMs() {
            return expanded.buzzerMs(traces.size() - 1).orElse(Long.MAX_VALUE);
        }

        /** Work without end at one instant is none: the video stands still there. */
        private Optional<String> crowded(Mark mark) {
            int first = traces.size() - 1 - MOST_AT_ONE_INSTANT;
            boolean still = expanded.isOpen()
                    && first >= 0
                    && traces.size() > 1
                    && traces.get(first).arrivalMs == mark.atMs()
                    && ended == Phase.WORKING;
            return still
                    ? Optional.of(MOST_AT_ONE_INSTANT + " movements are done at "
                            + ClockTime.of(mark.atMs()).toTenths()
                            + " already. If the video ends early, press X for time.")
                    : Optional.empty();
        }

        private Optional<String> refusal(Mark mark) {
            if (mark.atMs() < 0 && mark.kind() != MarkKind.CUE) {
                return Optional.of("This is before the start.");
            }
            long buzzerMs = buzzerMs();
            boolean lifting = !lifts.isEmpty() && mark.kind() != MarkKind.LIFT;
            boolean afterCap = mark.atMs() > buzzerMs
                    && mark.kind() != MarkKind.STOP
                    && mark.kind() != MarkKind.CUE
                    // A bar that left the floor before the buzzer is lifted to the end.
                    && !lifting;
            if (mark.kind() == MarkKind.DONE || mark.kind() == MarkKind.REP) {
                Optional<String> crowded = crowded(mark);
                if (crowded.isPresent()) {
                    return crowded;
                }
            }
            if (afterCap && ended != Phase.FINISHED && ended != Phase.STOPPED) {
                return Optional.of((expanded.isOpen() ? "The buzzer at " : "The time cap of ")
                        + ClockTime.of(buzzerMs).toSeconds() + " has passed. Press X for time.");
            }
            return MarkRules.refusal(mark.kind(), mark.reps(), cursor());
        }
    }
}
