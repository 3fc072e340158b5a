package wake.log;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wake.workout.Segment;

/**
 * Where the time of one segment went. Always {@code elapsed = wait + transition + work + rest + unseparated + unfinished}; the
 * cost of faults is part of work.
 *
 * @param segment what was done
 * @param arrivalMs clock time the segment before it ended; 0 for the first
 * @param beginMs clock time of the start of the movement, when known
 * @param beginInferred whether the start of the movement was worked out from the reps rather than seen
 * @param endMs clock time of its end, or of the last thing known when it is not complete
 * @param complete whether all of it was done
 * @param counted reps done
 * @param sets the sets that can be broken down
 * @param rests the breaks between them
 * @param faults the faults
 * @param waitMs of interval work, what was left of the interval before
 * @param transitionMs from arrival, or the start of the interval, to start of the movement
 * @param workMs in sets, faults included
 * @param restMs in breaks
 * @param unseparatedMs time the marks do not break down
 * @param unfinishedMs from its last completed unit to the buzzer, where the buzzer cut it off and the split was asked for what was
 *     done only; else 0
 * @param endSeen whether its end was seen, rather than placed inside a round of which only the end was noted
 * @param techniques its techniques, each from some clock on, in order
 * @param arrivalU standard uncertainty of its start, seconds
 * @param endU that of its end
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
        long unfinishedMs,
        boolean endSeen,
        List<Variant> techniques,
        double arrivalU,
        double endU) {
    public SegmentSplit {
        sets = List.copyOf(sets);
        rests = List.copyOf(rests);
        faults = List.copyOf(faults);
        techniques = List.copyOf(techniques);
    }

    /** A technique of a movement, from a clock on. */
    public record Variant(long fromMs, String name) {}

    /** The variant in force at a clock; empty when none was named. */
    public Optional<String> techniqueAt(long clockMs) {
        return techniques.stream()
                .filter(technique -> technique.fromMs() <= clockMs)
                .reduce((before, after) -> after)
                .map(Variant::name);
    }

    /** The variant it was begun in. */
    public Optional<String> technique() {
        return techniqueAt(beginMs.orElse(arrivalMs));
    }

    /** Whether the buzzer cut it off: what counts of it ends with its last completed unit. */
    public boolean cutOff() {
        return unfinishedMs > 0;
    }

    /** The clock up to which it counts: its end, or its last completed unit. */
    public long countedToMs() {
        return endMs - unfinishedMs;
    }

    /** Standard uncertainty of {@code elapsed}, seconds. */
    public double uncertaintyS() {
        return Resolution.ofDifference(arrivalU, endU);
    }

    public long elapsedMs() {
        return endMs - arrivalMs;
    }

    /** How much of it was done, in its unit. */
    public double unitsDone() {
        return complete ? segment.units() : counted;
    }

    /** What all its faults cost together, as far as known. */
    public long faultMs() {
        return faults.stream().mapToLong(fault -> fault.costMs().orElse(0)).sum();
    }

    /** The rest after a set, by its place from 0: until the next set, or after the last one; empty where none followed. */
    public Optional<RestSplit> restAfter(int place) {
        long from = sets.get(place).endMs();
        boolean last = place + 1 == sets.size();
        return rests.stream()
                .filter(rest -> rest.startMs() == from
                        && (last || rest.endMs() == sets.get(place + 1).startMs()))
                .reduce((before, after) -> after);
    }

    /** Whether no fault lies in a set. */
    public boolean isClean(SetSplit set) {
        return faults.stream().noneMatch(fault -> isIn(set, fault));
    }

    private static boolean isIn(SetSplit set, FaultSplit fault) {
        return fault.atMs() >= set.startMs() && fault.atMs() <= set.endMs();
    }

    /**
     * Reps that no fault delayed.
     *
     * @param ms what they took together
     */
    public record CleanReps(long ms, int reps) {
        public double secondsPerRep() {
            return ms / 1000.0 / reps;
        }
    }

    /**
     * Those of a set: tapped, the reps with no fault since the one before; else all of them in its time less what the faults in it cost. Empty where
     * nobody counted them, where a cost is not known, and of a set that the buzzer cut off inside a rep nobody tapped.
     */
    public Optional<CleanReps> cleanReps(SetSplit set) {
        int reps = set.reps().orElse(0);
        boolean tapped = set.repTimesMs().size() == reps;
        boolean cut = cutOff() || !complete && set.equals(sets.getLast()) && set.endMs() == endMs;
        if (reps == 0 || !tapped && cut && set.equals(sets.getLast())) {
            return Optional.empty();
        }
        List<FaultSplit> inside =
                faults.stream().filter(fault -> isIn(set, fault)).toList();
        if (inside.isEmpty() && !(tapped && cut)) {
            return Optional.of(new CleanReps(set.durationMs(), reps));
        }
        if (tapped) {
            return cleanTaps(set, inside);
        }
        if (inside.stream().anyMatch(fault -> fault.costMs().isEmpty())) {
            return Optional.empty();
        }
        long lost = inside.stream().mapToLong(fault -> fault.costMs().orElse(0)).sum() - set.lostMs();
        return lost < set.durationMs()
                ? Optional.of(new CleanReps(set.durationMs() - Math.max(0, lost), reps))
                : Optional.empty();
    }

    private static Optional<CleanReps> cleanTaps(SetSplit set, List<FaultSplit> faults) {
        long ms = 0;
        int reps = 0;
        long from = set.startMs();
        for (long to : set.repTimesMs()) {
            long start = from;
            if (faults.stream().noneMatch(fault -> fault.atMs() >= start && fault.atMs() < to)) {
                ms += to - from;
                reps++;
            }
            from = to;
        }
        return reps == 0 ? Optional.empty() : Optional.of(new CleanReps(ms, reps));
    }

    /** Seconds per unit while working, faults included: work / amount. Empty when work is not separated or incomplete. */
    public OptionalDouble secondsPerUnit() {
        if (workMs == 0 || unseparatedWork() || !complete) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(workMs / 1000.0 / segment.units());
    }

    /** Everything but waiting, getting there and what was unfinished: its work and its rests. */
    public long activeMs() {
        return workMs + restMs + unseparatedMs;
    }

    /** Seconds per unit, rests included; empty where that has the way to the movement in it too, and of what was not completed. */
    public OptionalDouble secondsPerUnitWithRests() {
        boolean apart = segment.index() > 0 || beginMs.isPresent();
        return complete && endSeen && apart && activeMs() > 0
                ? OptionalDouble.of(activeMs() / 1000.0 / segment.units())
                : OptionalDouble.empty();
    }

    /** Whether part of the active time could not be broken down into work and rest. */
    public boolean unseparatedWork() {
        return unseparatedMs > 0;
    }

    /** The sets as coaches write them: "8-7-5"; a set nobody counted is "?", a try that failed "×", and "×" follows a set a trip ended. */
    public String setsWritten() {
        return sets.stream().map(SegmentSplit::written).collect(Collectors.joining("-"));
    }

    private static String written(SetSplit set) {
        if (set.failed()) {
            return "×";
        }
        String reps = set.reps().isPresent() ? Integer.toString(set.reps().getAsInt()) : "?";
        return reps + (set.endedBy().isPresent() ? "×" : "");
    }

    /**
     * The set scheme the athlete chose: sets that a fault cut are one with what follows them, and a try that failed is none. A set
     * nobody counted makes it empty.
     */
    public List<Integer> scheme() {
        List<Integer> scheme = new ArrayList<>();
        int sum = 0;
        for (SetSplit set : sets) {
            if (set.reps().isEmpty()) {
                return List.of();
            }
            sum += set.reps().getAsInt();
            if (set.endedBy().isEmpty() && sum > 0) {
                scheme.add(sum);
                sum = 0;
            }
        }
        if (sum > 0) {
            scheme.add(sum);
        }
        return scheme;
    }

    /** Reps of the set being done now, or of the last one. */
    public OptionalInt lastSetReps() {
        return sets.isEmpty() ? OptionalInt.empty() : sets.getLast().reps();
    }
}
