package wake.log;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wake.workout.Segment;

/**
 * Where the time of one segment went. Always {@code elapsed = wait + transition + work + rest + unseparated}; the cost of
 * faults is part of work.
 *
 * @param segment what was done
 * @param arrivalMs clock time the segment before it ended; 0 for the first
 * @param beginMs clock time of the first action, when known
 * @param beginInferred whether the first action was worked out from the reps rather than seen
 * @param endMs clock time of its end, or of the last thing known when it is not complete
 * @param complete whether all of it was done
 * @param counted reps done
 * @param sets the sets that can be told apart
 * @param rests the breaks between them
 * @param faults the faults
 * @param waitMs of interval work, what was left of the interval before
 * @param transitionMs from arrival, or the start of the interval, to first action
 * @param workMs in sets, faults included
 * @param restMs in breaks
 * @param unseparatedMs time the marks do not tell apart
 * @param uncertaintyS standard uncertainty of {@code elapsed} in seconds
 */
public record SegmentSplit(
        Segment segment,
        long arrivalMs,
        OptionalLong beginMs,
        boolean beginInferred,
        long endMs,
        boolean complete,
        int counted,
        List<SetSplit> sets,
        List<RestSplit> rests,
        List<FaultSplit> faults,
        long waitMs,
        long transitionMs,
        long workMs,
        long restMs,
        long unseparatedMs,
        double uncertaintyS) {
    public SegmentSplit {
        sets = List.copyOf(sets);
        rests = List.copyOf(rests);
        faults = List.copyOf(faults);
    }

    public long elapsedMs() {
        return endMs - arrivalMs;
    }

    /** What all its faults cost together, as far as that can be told. */
    public long faultMs() {
        return faults.stream().mapToLong(fault -> fault.costMs().orElse(0)).sum();
    }

    /** Seconds per unit while working, faults included: work / amount. Empty when work is not separated or incomplete. */
    public OptionalDouble secondsPerUnit() {
        if (workMs == 0 || unseparatedWork() || !complete) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(workMs / 1000.0 / segment.units());
    }

    /** Whether part of the active time could not be told apart into work and rest. */
    public boolean unseparatedWork() {
        return unseparatedMs > 0;
    }

    /** The sets as coaches write them: "8-7-5"; a set nobody counted is "?". */
    public String setsWritten() {
        return sets.stream()
                .map(set -> set.reps().isPresent() ? Integer.toString(set.reps().getAsInt()) : "?")
                .collect(Collectors.joining("-"));
    }

    /** Reps of the set being done now, or of the last one. */
    public OptionalInt lastSetReps() {
        return sets.isEmpty() ? OptionalInt.empty() : sets.getLast().reps();
    }
}
