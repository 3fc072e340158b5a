package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.log.SegmentTrace.SetTrace;

/**
 * Turns the raw marks of a segment into its split. Walks from arrival to end once; every millisecond on the way goes to
 * exactly one of transition, work, rest and unseparated, so that they always add up to elapsed.
 */
final class SplitMaker {
    private final SegmentTrace trace;
    private final long buzzerMs;
    private final long endMs;
    private final OptionalLong typical;
    private final CleanPace clean;
    private final List<SetSplit> sets = new ArrayList<>();
    private final List<RestSplit> rests = new ArrayList<>();
    private final List<FaultSplit> faults = new ArrayList<>();
    private long at;
    private long waitMs;
    private long transitionMs;
    private long workMs;
    private long restMs;
    private long unseparatedMs;

    private @Nullable Long beginMs;

    private boolean beginInferred;
    private boolean beforeKnown;

    private SplitMaker(SegmentTrace trace, long buzzerMs, long endMs, OptionalLong typical, CleanPace clean) {
        this.trace = trace;
        this.buzzerMs = buzzerMs;
        this.endMs = endMs;
        this.typical = typical;
        this.clean = clean;
        this.at = trace.arrivalMs;
    }

    /** What is known from the whole attempt about how quick its reps were. */
    record Shown(Map<String, Long> typicalByMovement, CleanPace clean) {}

    /** The split of a segment as it was seen; {@code clockMs} ends one that is not done. */
    static SegmentSplit seen(SegmentTrace trace, long clockMs, Shown shown) {
        long end = end(trace, clockMs);
        return of(trace, end, end, shown);
    }

    /** The split of what was done of one that the buzzer cut off: it ends with its last completed unit, and the rest is unfinished. */
    static SegmentSplit done(SegmentTrace trace, long clockMs, Shown shown) {
        long end = end(trace, clockMs);
        long opens = trace.opensAtMs.orElse(trace.arrivalMs);
        long nothing = Math.min(end, Math.max(trace.arrivalMs, opens));
        return of(trace, end, Math.min(end, trace.lastUnitMs(end).orElse(nothing)), shown);
    }

    private static long end(SegmentTrace trace, long clockMs) {
        return trace.doneMs != null ? trace.doneMs : Math.max(clockMs, trace.arrivalMs);
    }

    private static SegmentSplit of(SegmentTrace trace, long buzzerMs, long endMs, Shown shown) {
        OptionalLong own = TypicalIntervals.of(trace);
        Long movement = shown.typicalByMovement().get(trace.segment.movement().name());
        OptionalLong typical = own.isPresent() || movement == null ? own : OptionalLong.of(movement);
        return new SplitMaker(trace, buzzerMs, endMs, typical, shown.clean()).make();
    }

    private SegmentSplit make() {
        interval();
        boolean blur = trace.endsOnly() && !trace.oneStretchIsWork() && trace.doneMs != null;
        List<SetTrace> traced = trace.sets.stream().filter(this::lies).toList();
        for (int i = 0; i < traced.size(); i++) {
            set(traced.get(i), i == 0 ? Optional.empty() : Optional.of(traced.get(i - 1)), blur);
        }
        trace.sets.stream()
                .filter(set -> !lies(set))
                .flatMap(set -> set.faults.stream())
                .forEach(fault -> faults.add(new FaultSplit(fault.kind(), fault.atMs(), OptionalLong.empty())));
        tail();
        int counted = trace.doneMs != null ? trace.segment.countable().orElse(1) : trace.counted();
        return new SegmentSplit(
                trace.segment,
                trace.arrivalMs,
                beginMs == null ? OptionalLong.empty() : OptionalLong.of(beginMs),
                beginInferred,
                buzzerMs,
                trace.doneMs != null,
                counted,
                sets,
                rests,
                faults,
                waitMs,
                transitionMs,
                workMs,
                restMs,
                unseparatedMs,
                buzzerMs - endMs,
                trace.depth != Granularity.ROUND,
                trace.techniques,
                trace.arrivalU,
                trace.endU);
    }

    /** Whether a set began before what is asked for ends. */
    private boolean lies(SetTrace set) {
        long start = start(set, set == trace.sets.getFirst()).orElse(trace.arrivalMs);
        return endMs == buzzerMs || start < endMs;
    }

    /** What was left of the interval before belongs to the rest between intervals, not to the transition to the movement. */
    private void interval() {
        if (trace.opensAtMs.isEmpty()) {
            return;
        }
        long start = Math.min(trace.opensAtMs.getAsLong(), endMs);
        if (!trace.sets.isEmpty()) {
            start = Math.min(start, firstSeen(trace.sets.getFirst()));
        }
        waitMs = Math.max(0, start - at);
        at += waitMs;
    }

    /** The first thing seen of a set; what is worked out from its reps never lies before its interval opens. */
    private long firstSeen(SetTrace set) {
        if (set.startMs != null) {
            return set.startMs;
        }
        long ended = set.endMs == null ? endMs : set.endMs;
        long counted = set.reps.isEmpty() ? ended : set.reps.getFirst();
        return set.faults.isEmpty()
                ? counted
                : Math.min(counted, set.faults.getFirst().atMs());
    }

    private void set(SetTrace set, Optional<SetTrace> before, boolean blur) {
        boolean first = before.isEmpty();
        OptionalLong start = start(set, first);
        long end = Math.min(endMs, set.endMs != null ? set.endMs : endMs);
        if (start.isEmpty()) {
            beforeKnown = false;
            unseparatedMs += end - at;
            set.faults.forEach(fault -> faults.add(new FaultSplit(fault.kind(), fault.atMs(), OptionalLong.empty())));
        } else {
            approach(start.getAsLong(), before, set.startMs == null);
            if (blur) {
                unseparatedMs += end - start.getAsLong();
            } else {
                workMs += end - start.getAsLong();
                sets.add(
                        new SetSplit(start.getAsLong(), end, trace.reps(set), set.reps, set.endedBy(), lostAfter(set)));
            }
            costs(set, start.getAsLong(), end);
            beforeKnown = true;
        }
        at = end;
    }

    /** The time before a set: the transition, a rest, or what the fault that ended the set before it cost. */
    private void approach(long start, Optional<SetTrace> before, boolean inferred) {
        if (before.isEmpty()) {
            transitionMs += start - at;
            beginMs = start;
            beginInferred = inferred;
        } else if (before.get().endedBy().isPresent()) {
            lost(start - at);
        } else {
            restMs += start - at;
            rests.add(new RestSplit(at, start, inferred));
        }
    }

    /** The break after a set that a fault ended is lost with that set; where nobody saw the set begin, it is known only together with it. */
    private void lost(long ms) {
        if (beforeKnown) {
            workMs += ms;
        } else {
            unseparatedMs += ms;
        }
    }

    /** The break after a set that a fault ended: it belongs to the fault; unknown where nobody saw its end. */
    private long lostAfter(SetTrace set) {
        if (set.endedBy().isEmpty() || set.endMs == null) {
            return 0;
        }
        int next = trace.sets.indexOf(set) + 1;
        long back = next < trace.sets.size()
                ? start(trace.sets.get(next), false, set.endMs).orElse(set.endMs)
                : endMs;
        return Math.max(0, Math.min(back, endMs) - set.endMs);
    }

    /** The seen start; else the first rep less one typical interval, never before the stretch could begin. */
    private OptionalLong start(SetTrace set, boolean first) {
        return start(set, first, at);
    }

    private OptionalLong start(SetTrace set, boolean first, long earliest) {
        if (set.startMs != null) {
            return OptionalLong.of(set.startMs);
        }
        if (set.reps.isEmpty()) {
            return OptionalLong.empty();
        }
        if (typical.isEmpty()) {
            return first ? OptionalLong.empty() : OptionalLong.of(set.reps.getFirst());
        }
        long beforeRep = set.reps.getFirst() - typical.getAsLong();
        long beforeFault =
                set.faults.isEmpty() ? beforeRep : set.faults.getFirst().atMs();
        return OptionalLong.of(Math.max(earliest, Math.min(beforeRep, beforeFault)));
    }

    /**
     * The cost of faults. Where reps are tapped: the gap between the counted reps around them less the typical interval; with no
     * counted rep after it in the set, all the time since the last one. Where they are not: the set's time less its reps at the
     * pace of clean sets of the same work. The break after a set that a fault ended is the fault's too. The faults of one gap share
     * its cost.
     */
    private void costs(SetTrace set, long start, long end) {
        if (set.faults.isEmpty()) {
            return;
        }
        long after = lostAfter(set);
        if (set.reps.isEmpty()) {
            shareCost(set.faults, untappedCost(set, end - start, after));
            return;
        }
        for (int i = 0; i <= set.reps.size(); i++) {
            long from = i == 0 ? start : set.reps.get(i - 1);
            boolean tail = i == set.reps.size();
            long to = tail ? end : set.reps.get(i);
            List<Mark> inGap = set.faults.stream()
                    .filter(fault -> fault.atMs() >= from && (tail || fault.atMs() < to))
                    .toList();
            shareCost(inGap, gapCost(set, from, to, tail, after));
        }
    }

    private OptionalLong untappedCost(SetTrace set, long setMs, long afterMs) {
        if (set.failed()) {
            return OptionalLong.of(setMs + afterMs);
        }
        OptionalInt reps = trace.reps(set);
        OptionalDouble msPerRep = clean.msPerRep(trace.segment);
        if (reps.isPresent() && msPerRep.isPresent()) {
            long cleanMs = Math.round(reps.getAsInt() * msPerRep.getAsDouble());
            return OptionalLong.of(Math.max(0, setMs - cleanMs) + afterMs);
        }
        return afterMs > 0 ? OptionalLong.of(afterMs) : OptionalLong.empty();
    }

    private OptionalLong gapCost(SetTrace set, long from, long to, boolean tail, long afterMs) {
        boolean countedAround = typical.isPresent() && (!tail || set.closedByOff);
        if (!countedAround) {
            return tail && afterMs > 0 ? OptionalLong.of(to - from + afterMs) : OptionalLong.empty();
        }
        return OptionalLong.of(tail ? to - from + afterMs : Math.max(0, to - from - typical.getAsLong()));
    }

    private void shareCost(List<Mark> inGap, OptionalLong cost) {
        for (int i = 0; i < inGap.size(); i++) {
            Mark fault = inGap.get(i);
            OptionalLong share = cost.isEmpty()
                    ? cost
                    : OptionalLong.of(cost.getAsLong() * (i + 1) / inGap.size() - cost.getAsLong() * i / inGap.size());
            faults.add(new FaultSplit(fault.kind(), fault.atMs(), share));
        }
    }

    /** What is left between the last set and the end of the segment. */
    private void tail() {
        long left = endMs - at;
        boolean resting = trace.phase() == Phase.RESTING && trace.doneMs == null;
        if (resting && trace.sets.getLast().endedBy().isPresent()) {
            lost(left);
        } else if (resting) {
            restMs += left;
            if (left > 0) {
                rests.add(new RestSplit(at, endMs, false));
            }
        } else {
            unseparatedMs += left;
        }
    }
}
