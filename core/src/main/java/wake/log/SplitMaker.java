package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.log.SegmentTrace.Stretch;

/**
 * Turns the raw marks of a segment into its split. Walks from arrival to end once; every millisecond on the way goes to
 * exactly one of transition, work, rest and unseparated, so that they always add up to elapsed.
 */
final class SplitMaker {
    private final SegmentTrace trace;
    private final long endMs;
    private final OptionalLong typical;
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

    private SplitMaker(SegmentTrace trace, long endMs, OptionalLong typical) {
        this.trace = trace;
        this.endMs = endMs;
        this.typical = typical;
        this.at = trace.arrivalMs;
    }

    /** The split of a segment; {@code clockMs} ends one that is not done. */
    static SegmentSplit split(SegmentTrace trace, long clockMs, Map<String, Long> byMovement) {
        OptionalLong own = TypicalIntervals.of(trace);
        Long movement = byMovement.get(trace.segment.movement().name());
        OptionalLong typical = own.isPresent() || movement == null ? own : OptionalLong.of(movement);
        long end = trace.doneMs != null ? trace.doneMs : Math.max(clockMs, trace.arrivalMs);
        return new SplitMaker(trace, end, typical).make();
    }

    private SegmentSplit make() {
        interval();
        boolean blur = trace.endsOnly() && !trace.oneStretchIsWork() && trace.doneMs != null;
        for (int i = 0; i < trace.stretches.size(); i++) {
            stretch(trace.stretches.get(i), i == 0, i == trace.stretches.size() - 1, blur);
        }
        tail();
        int counted = trace.doneMs != null ? trace.segment.countable().orElse(1) : trace.counted();
        return new SegmentSplit(
                trace.segment,
                trace.arrivalMs,
                beginMs == null ? OptionalLong.empty() : OptionalLong.of(beginMs),
                beginInferred,
                endMs,
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
                Resolution.ofDifference(trace.arrivalU, trace.endU));
    }

    /** What was left of the interval before belongs to the rest between intervals, not to the way to the movement. */
    private void interval() {
        if (trace.opensAtMs.isEmpty()) {
            return;
        }
        long start = Math.min(trace.opensAtMs.getAsLong(), endMs);
        if (!trace.stretches.isEmpty()) {
            start = Math.min(start, start(trace.stretches.getFirst(), true).orElse(endMs));
        }
        waitMs = Math.max(0, start - at);
        at += waitMs;
    }

    private void stretch(Stretch set, boolean first, boolean last, boolean blur) {
        OptionalLong start = start(set, first);
        long end = set.endMs != null ? set.endMs : endMs;
        if (start.isEmpty()) {
            unseparatedMs += end - at;
            set.faults.forEach(fault -> faults.add(new FaultSplit(fault.kind(), fault.atMs(), OptionalLong.empty())));
        } else {
            approach(start.getAsLong(), first, set.startMs == null);
            if (blur) {
                unseparatedMs += end - start.getAsLong();
            } else {
                workMs += end - start.getAsLong();
                sets.add(new SetSplit(start.getAsLong(), end, reps(set, last), set.reps));
            }
            costs(set, start.getAsLong(), end);
        }
        at = end;
    }

    /** The time before a set: the transition, or a rest. */
    private void approach(long start, boolean first, boolean inferred) {
        if (first) {
            transitionMs += start - at;
            beginMs = start;
            beginInferred = inferred;
        } else {
            restMs += start - at;
            rests.add(new RestSplit(at, start, inferred));
        }
    }

    /** The seen start; else the first rep less one typical interval, never before the stretch could begin. */
    private OptionalLong start(Stretch set, boolean first) {
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
        return OptionalLong.of(Math.max(at, Math.min(beforeRep, beforeFault)));
    }

    /** Reps of a set; the last one of a complete segment has what the others leave. */
    private OptionalInt reps(Stretch set, boolean last) {
        OptionalInt amount = trace.segment.countable();
        if (trace.doneMs != null && amount.isPresent()) {
            int others = 0;
            boolean othersKnown = true;
            for (Stretch other : trace.stretches) {
                others += other == set ? 0 : other.known();
                othersKnown &= other == set || other.known() > 0;
            }
            if (othersKnown && (last || set.known() == 0)) {
                return OptionalInt.of(Math.max(set.known(), amount.getAsInt() - others));
            }
        }
        return set.known() > 0 ? OptionalInt.of(set.known()) : OptionalInt.empty();
    }

    /**
     * The cost of faults: the gap between the counted reps around them less the typical interval, shared among the
     * faults of that gap. With no counted rep after it in the set, all the time since the last one was for nothing.
     */
    private void costs(Stretch set, long start, long end) {
        for (int i = 0; i <= set.reps.size(); i++) {
            long from = i == 0 ? start : set.reps.get(i - 1);
            boolean tail = i == set.reps.size();
            long to = tail ? end : set.reps.get(i);
            List<Mark> inGap = set.faults.stream()
                    .filter(fault -> fault.atMs() >= from && (tail || fault.atMs() < to))
                    .toList();
            shareCost(inGap, gapCost(set, from, to, tail));
        }
    }

    private OptionalLong gapCost(Stretch set, long from, long to, boolean tail) {
        boolean countedAround = !set.reps.isEmpty() && typical.isPresent() && (!tail || set.closedByOff);
        return countedAround
                ? OptionalLong.of(Math.max(0, to - from - (tail ? 0 : typical.getAsLong())))
                : OptionalLong.empty();
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
        if (trace.phase() == Phase.RESTING && trace.doneMs == null) {
            restMs += left;
            if (left > 0) {
                rests.add(new RestSplit(at, endMs, false));
            }
        } else {
            unseparatedMs += left;
        }
    }
}
