package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import wake.movement.Modality;
import wake.workout.Segment;

/** The marks of one segment while the log is read: raw sets in order, nothing worked out yet. */
final class SegmentTrace {
    /** A raw set: from a seen start, or an unseen one, to its end. */
    static final class Stretch {
        @Nullable
        Long startMs;

        @Nullable
        Long endMs;

        int declared;
        boolean closedByOff;
        final List<Long> reps = new ArrayList<>();
        final List<Mark> faults = new ArrayList<>();

        Stretch(@Nullable Long startMs) {
            this.startMs = startMs;
        }

        int known() {
            return Math.max(declared, reps.size());
        }
    }

    final Segment segment;
    final long arrivalMs;
    final double arrivalU;
    final OptionalLong opensAtMs;
    final List<Stretch> stretches = new ArrayList<>();

    @Nullable
    Long doneMs;

    double endU;
    Depth depth = Depth.SET;
    boolean begun;

    SegmentTrace(Segment segment, long arrivalMs, double arrivalU, OptionalLong opensAtMs) {
        this.opensAtMs = opensAtMs;
        this.segment = segment;
        this.arrivalMs = arrivalMs;
        this.arrivalU = arrivalU;
        this.endU = arrivalU;
    }

    Phase phase() {
        if (stretches.isEmpty()) {
            return Phase.MOVING_TO;
        }
        return stretches.getLast().endMs == null ? Phase.WORKING : Phase.RESTING;
    }

    int counted() {
        return stretches.stream().mapToInt(Stretch::known).sum();
    }

    /** Whether nothing but its ends was noted. */
    boolean endsOnly() {
        return stretches.size() == 1 && stretches.getFirst().reps.isEmpty() && !stretches.getFirst().closedByOff;
    }

    /** Whether a stretch with nothing noted inside may count as one piece of work. */
    boolean oneStretchIsWork() {
        return depth == Depth.SET || segment.movement().modality() == Modality.MONOSTRUCTURAL;
    }

    /** The set being done, opened with an unseen start when there is none. */
    Stretch working() {
        if (phase() != Phase.WORKING) {
            stretches.add(new Stretch(null));
        }
        return stretches.getLast();
    }

    /** Takes a mark that {@link MarkRules} lets through; true when the segment is now complete. */
    boolean take(Mark mark) {
        endU = mark.uncertaintyS();
        switch (mark.kind()) {
            case BEGIN -> {
                begun = true;
                stretches.add(new Stretch(mark.atMs()));
            }
            case REP -> {
                working().reps.add(mark.atMs());
                if (counted() >= segment.countable().orElse(Integer.MAX_VALUE)) {
                    close(mark.atMs());
                }
            }
            case OFF -> {
                Stretch set = working();
                set.endMs = mark.atMs();
                set.closedByOff = true;
                set.declared = mark.reps();
            }
            case ON -> stretches.add(new Stretch(mark.atMs()));
            case DONE -> {
                depth = mark.depth();
                if (phase() == Phase.RESTING) {
                    stretches.add(new Stretch(null));
                }
                close(mark.atMs());
            }
            case NO_REP, MISS, TRIP -> working().faults.add(mark);
            case BLIND, SEEN, CUE, LIFT, STOP ->
                throw new IllegalStateException(mark.kind() + " belongs to no segment");
        }
        return doneMs != null;
    }

    private void close(long atMs) {
        if (!stretches.isEmpty()) {
            stretches.getLast().endMs = atMs;
        }
        doneMs = atMs;
    }
}
