package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.movement.Modality;
import wake.workout.Segment;

/** The marks of one segment while the log is read: raw sets in order, nothing worked out yet. */
final class SegmentTrace {
    /** A raw set: from a seen start, or an unseen one, to its end. */
    static final class SetTrace {
        /** A fault logged so shortly after a set is what ended it; an assumption. */
        private static final long ENDS_WITHIN_MS = 3000;

        @Nullable
        Long startMs;

        @Nullable
        Long endMs;

        int declared;
        boolean closedByOff;
        boolean faultAfter;
        final List<Long> reps = new ArrayList<>();
        final List<Mark> faults = new ArrayList<>();

        SetTrace(@Nullable Long startMs) {
            this.startMs = startMs;
        }

        int known() {
            return Math.max(declared, reps.size());
        }

        /** Whether it was a try of which nothing counted: broken off after a miss, with no rep seen or logged. */
        boolean failed() {
            return closedByOff && known() == 0 && faults.stream().anyMatch(fault -> fault.kind() == MarkKind.MISS);
        }

        /**
         * The fault that ended it: a trip or a miss after its last rep, with the break next. Where no rep was tapped the break has
         * to come within three seconds of it (an assumption), or the fault after the break.
         */
        Optional<MarkKind> endedBy() {
            Long end = endMs;
            if (!closedByOff || faults.isEmpty() || end == null) {
                return Optional.empty();
            }
            Mark last = faults.getLast();
            boolean ends = last.kind() == MarkKind.TRIP || last.kind() == MarkKind.MISS;
            boolean next = reps.isEmpty() ? end - last.atMs() <= ENDS_WITHIN_MS : last.atMs() >= reps.getLast();
            return ends && (next || faultAfter) ? Optional.of(last.kind()) : Optional.empty();
        }
    }

    final Segment segment;
    final long arrivalMs;
    final double arrivalU;
    final OptionalLong opensAtMs;
    final List<SetTrace> sets = new ArrayList<>();

    @Nullable
    Long doneMs;

    double endU;
    boolean cutOff;
    int countedAtBell;
    final List<SegmentSplit.Variant> techniques = new ArrayList<>();
    Granularity depth = Granularity.SET;
    boolean begun;

    SegmentTrace(Segment segment, long arrivalMs, double arrivalU, OptionalLong opensAtMs) {
        this.opensAtMs = opensAtMs;
        this.segment = segment;
        this.arrivalMs = arrivalMs;
        this.arrivalU = arrivalU;
        this.endU = arrivalU;
    }

    Phase phase() {
        if (sets.isEmpty()) {
            return Phase.MOVING_TO;
        }
        return sets.getLast().endMs == null ? Phase.WORKING : Phase.RESTING;
    }

    int counted() {
        int counted = 0;
        for (SetTrace set : sets) {
            counted += set.known();
        }
        return counted;
    }

    /** Whether nothing but its ends was noted. */
    boolean endsOnly() {
        return sets.size() == 1 && sets.getFirst().reps.isEmpty() && !sets.getFirst().closedByOff;
    }

    /** Whether a stretch with nothing noted inside may count as one piece of work. */
    boolean oneStretchIsWork() {
        return depth == Granularity.SET || segment.movement().modality() == Modality.CYCLIC;
    }

    /** The set being done, opened with an unseen start when there is none. */
    SetTrace working() {
        if (phase() != Phase.WORKING) {
            sets.add(new SetTrace(null));
        }
        return sets.getLast();
    }

    /** Takes a mark that {@link MarkRules} lets through; true when the segment is now complete. */
    boolean take(Mark mark) {
        endU = mark.uncertaintyS();
        switch (mark.kind()) {
            case BEGIN -> {
                begun = true;
                sets.add(new SetTrace(mark.atMs()));
            }
            case REP -> {
                working().reps.add(mark.atMs());
                if (counted() >= segment.countable().orElse(Integer.MAX_VALUE)) {
                    close(mark.atMs());
                }
            }
            case OFF -> {
                SetTrace set = working();
                set.endMs = mark.atMs();
                set.closedByOff = true;
                set.declared = mark.reps();
            }
            case ON -> sets.add(new SetTrace(mark.atMs()));
            case DONE -> {
                depth = mark.depth();
                if (phase() == Phase.RESTING) {
                    sets.add(new SetTrace(null));
                }
                if (mark.reps() > 0) {
                    working().declared = mark.reps();
                }
                close(mark.atMs());
            }
            case NO_REP, MISS, TRIP -> fault(mark);
            case VARIANT ->
                techniques.add(new SegmentSplit.Variant(mark.atMs(), mark.text().strip()));
            case BLIND, SEEN, CUE, LIFT, STOP ->
                throw new IllegalStateException(mark.kind() + " belongs to no movement");
        }
        return doneMs != null;
    }

    /** A fault logged after the break belongs to the set that it ended. */
    private void fault(Mark mark) {
        if (phase() == Phase.RESTING) {
            sets.getLast().faultAfter = true;
            sets.getLast().faults.add(mark);
        } else {
            working().faults.add(mark);
        }
    }

    /** The buzzer, or a stop: what the coach counted at it, all sets together, 0 when not said. */
    void stop(Mark mark) {
        endU = mark.uncertaintyS();
        cutOff = true;
        countedAtBell = mark.reps();
        int more = mark.reps() - counted();
        if (more > 0) {
            SetTrace set = working();
            set.declared = set.known() + more;
        }
    }

    /** The clock of the last unit known to be complete; empty when none is. */
    OptionalLong lastUnitMs(long buzzerMs) {
        for (int i = sets.size() - 1; i >= 0; i--) {
            SetTrace set = sets.get(i);
            boolean counted = countedAtBell > 0 && i == sets.size() - 1;
            if (counted && set.known() > set.reps.size()) {
                return OptionalLong.of(buzzerMs);
            }
            if (set.closedByOff && set.known() > set.reps.size() && set.endMs != null) {
                return OptionalLong.of(set.endMs);
            }
            if (!set.reps.isEmpty()) {
                return OptionalLong.of(set.reps.getLast());
            }
            if (set.closedByOff && set.endMs != null && !set.failed()) {
                return OptionalLong.of(set.endMs);
            }
        }
        return OptionalLong.empty();
    }

    /** Reps of a set; the last one of a complete segment has what the others leave. */
    OptionalInt reps(SetTrace set) {
        if (set.failed()) {
            return OptionalInt.of(0);
        }
        boolean last = set == sets.getLast();
        OptionalInt amount = segment.countable();
        if (doneMs != null && amount.isPresent()) {
            int others = 0;
            boolean othersKnown = true;
            for (SetTrace other : sets) {
                others += other == set ? 0 : other.known();
                othersKnown &= other == set || other.known() > 0 || other.failed();
            }
            if (othersKnown && (last || set.known() == 0)) {
                return OptionalInt.of(Math.max(set.known(), amount.getAsInt() - others));
            }
        }
        return set.known() > 0 ? OptionalInt.of(set.known()) : OptionalInt.empty();
    }

    private void close(long atMs) {
        if (!sets.isEmpty()) {
            sets.getLast().endMs = atMs;
        }
        doneMs = atMs;
    }
}
