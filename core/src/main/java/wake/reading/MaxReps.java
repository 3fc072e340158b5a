package wake.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.statistics.Outlying;
import wake.units.InvalidInput;
import wake.workout.ExpandedWorkout;

/**
 * As many of one movement as there was time for: how many each minute, how long from one to the next with its pauses, and what a target would
 * take.
 *
 * @param movement which
 * @param fromMs the clock from which there was time for it
 * @param untilMs the clock up to which it was looked at: the buzzer, or the last that was done
 * @param done how many were complete
 * @param minutes minute by minute from there on
 * @param cycleMs from one to the next on average, pauses in it; empty before the first
 * @param usualMs the median of them; empty below four
 * @param pauses those that stand out against it, by their clocks
 * @param runs how many came in a row between the long ones; empty where nothing stands out
 * @param pausedMs how much longer than the usual those took together
 */
public record MaxReps(
        String movement,
        long fromMs,
        long untilMs,
        int done,
        List<Minute> minutes,
        OptionalLong cycleMs,
        OptionalLong usualMs,
        List<Pause> pauses,
        List<Integer> runs,
        long pausedMs) {
    private static final long MINUTE_MS = 60_000;

    public MaxReps {
        minutes = List.copyOf(minutes);
        pauses = List.copyOf(pauses);
        runs = List.copyOf(runs);
    }

    /** How many were complete in one minute; the last may be shorter. */
    public record Minute(long fromMs, long toMs, int done) {}

    /** One that took far longer than the others. */
    public record Pause(long fromMs, long toMs, long overMs) {}

    /**
     * What so many would take.
     *
     * @param reps how many
     * @param cycleMs from one to the next then, pauses in it
     * @param quickerMs by how much that is less than it was; below zero where it is more; empty where none was done
     * @param isWithinUsual whether the usual of this attempt, without its pauses, is as quick; empty where there is no usual
     */
    public record Target(int reps, long cycleMs, OptionalLong quickerMs, Optional<Boolean> isWithinUsual) {}

    /** Reads an attempt; empty where the part does not end in the most of one movement, or nobody came so far. */
    public static Optional<MaxReps> of(AttemptLog log) {
        ExpandedWorkout expanded = log.expanded();
        if (!expanded.isMost()) {
            return Optional.empty();
        }
        List<SegmentSplit> splits = log.done().stream()
                .filter(split -> expanded.isMostRep(split.segment()))
                .toList();
        if (splits.isEmpty()) {
            return Optional.empty();
        }
        List<SegmentSplit> complete =
                splits.stream().filter(SegmentSplit::complete).toList();
        long from = splits.getFirst().arrivalMs();
        long until = log.over()
                ? Math.max(
                        splits.getLast().endMs(),
                        Math.min(log.clockMs(), expanded.capMs().orElse(log.clockMs())))
                : splits.getLast().countedToMs();
        Optional<Outlying> rule = Outlying.among(
                complete.stream().mapToDouble(SegmentSplit::elapsedMs).toArray());
        List<Pause> pauses = rule.stream()
                .flatMap(outlying -> complete.stream()
                        .filter(split -> outlying.is(split.elapsedMs()))
                        .map(split -> new Pause(
                                split.arrivalMs(), split.endMs(), split.elapsedMs() - Math.round(outlying.median()))))
                .toList();
        return Optional.of(new MaxReps(
                splits.getFirst().segment().movement().name(),
                from,
                until,
                complete.size(),
                minutes(complete, from, until),
                complete.isEmpty()
                        ? OptionalLong.empty()
                        : OptionalLong.of(Math.round((complete.getLast().endMs() - from) / (double) complete.size())),
                rule.map(outlying -> OptionalLong.of(Math.round(outlying.median())))
                        .orElse(OptionalLong.empty()),
                pauses,
                runs(complete, pauses),
                pauses.stream().mapToLong(Pause::overMs).sum()));
    }

    /** A long one is the break before a rep and the rep itself: it begins a run. */
    private static List<Integer> runs(List<SegmentSplit> complete, List<Pause> pauses) {
        List<Integer> runs = new ArrayList<>();
        if (pauses.isEmpty()) {
            return runs;
        }
        int run = 0;
        for (SegmentSplit split : complete) {
            boolean begins = pauses.stream().anyMatch(pause -> pause.fromMs() == split.arrivalMs());
            if (begins && run > 0) {
                runs.add(run);
                run = 0;
            }
            run++;
        }
        runs.add(run);
        return runs;
    }

    private static List<Minute> minutes(List<SegmentSplit> complete, long from, long until) {
        List<Minute> minutes = new ArrayList<>();
        int counted = 0;
        long begins = from;
        do {
            long end = Math.min(until, begins + MINUTE_MS);
            int by = (int)
                    complete.stream().filter(split -> split.endMs() <= end).count();
            minutes.add(new Minute(begins, end, by - counted));
            counted = by;
            begins = end;
        } while (begins < until);
        return minutes;
    }

    /** How many more there was time for at the usual pace without a pause: a bound, nothing to promise. */
    public Optional<Integer> withoutPauses() {
        return usualMs.orElse(0) > 0 && !pauses.isEmpty()
                ? Optional.of((int) ((untilMs - fromMs) / usualMs.getAsLong()))
                : Optional.empty();
    }

    /**
     * What a number of them would take in the same time.
     *
     * @throws InvalidInput when it is none
     */
    public Target target(int reps) {
        if (reps < 1 || reps > 10_000) {
            throw new InvalidInput("A target is 1 to 10000 reps, not " + reps);
        }
        long cycle = (untilMs - fromMs) / reps;
        return new Target(
                reps,
                cycle,
                cycleMs.isPresent() ? OptionalLong.of(cycleMs.getAsLong() - cycle) : OptionalLong.empty(),
                usualMs.isPresent() ? Optional.of(usualMs.getAsLong() <= cycle) : Optional.empty());
    }

    /** The next round number of five above what was done. */
    public int nextTarget() {
        return (done / 5 + 1) * 5;
    }
}
