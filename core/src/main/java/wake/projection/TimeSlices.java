package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import wake.log.AttemptLog;
import wake.log.FaultSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.log.StepClocks;
import wake.workout.Segment;

/**
 * Takes an attempt apart for replay, and carries a capped one on beyond the buzzer: as {@link Extrapolation} says.
 */
final class TimeSlices {
    private final AttemptLog log;
    private final List<TimeSlice> slices = new ArrayList<>();
    private final Extrapolation beyond;
    private int observed;

    /** More than anybody does in a day: what is written beyond that is not laid out. */
    private static final long MOST_UNITS = 200_000;

    private TimeSlices(AttemptLog log) {
        this.log = log;
        this.beyond = new Extrapolation(log);
    }

    static List<TimeSlice> of(AttemptLog log, boolean beyondTheBell) {
        TimeSlices made = new TimeSlices(log);
        List<SegmentSplit> splits = log.splits();
        for (SegmentSplit split : splits) {
            int from = made.slices.size();
            made.split(split);
            made.asPartners(split.segment(), from);
            int observed = made.slices.size();
            if (!split.complete() && beyondTheBell) {
                made.finish(split);
                made.asPartners(split.segment(), observed);
            }
            made.observed = split.complete() ? made.slices.size() : observed;
        }
        if (beyondTheBell) {
            made.goOn(splits.size());
        }
        return made.placed();
    }

    /** The pieces, each at its place on the clock. */
    private List<TimeSlice> placed() {
        List<TimeSlice> placed = new ArrayList<>(slices.size());
        long clock = 0;
        int segment = -1;
        int set = 0;
        for (TimeSlice slice : slices) {
            set = slice.segment().index() == segment ? set : 0;
            segment = slice.segment().index();
            set += slice.isWork() ? 1 : 0;
            boolean inSets = slice.isWork() || slice.kind() == TimeSlice.Kind.REST;
            placed.add(slice.at(clock, placed.size() < observed).inSet(inSets ? set : 0));
            clock += slice.ms();
        }
        return List.copyOf(placed);
    }

    /** The rest of the expanded workout; where a buzzer ends it, as much as twice the buzzer could hold, which no change can use up. */
    private void goOn(int from) {
        long laid = 0;
        long enough = log.expanded().capMs().orElse(Long.MAX_VALUE);
        long units = 0;
        for (int i = from; log.expanded().has(i) && laid <= enough && units <= MOST_UNITS; i++) {
            units += log.expanded().segment(i).steps();
            int before = slices.size();
            whole(log.expanded().segment(i));
            asPartners(log.expanded().segment(i), before);
            laid += slices.subList(before, slices.size()).stream()
                    .mapToLong(TimeSlice::ms)
                    .sum();
        }
    }

    /**
     * What is laid from some piece on is a partner's turn, if it is: it is laid as one, so that nothing of it can be taken for the athlete's.
     */
    private void asPartners(Segment segment, int from) {
        if (!segment.isPartners()) {
            return;
        }
        List<TimeSlice> laid = List.copyOf(slices.subList(from, slices.size()));
        slices.subList(from, slices.size()).clear();
        long ms = 0;
        List<Long> ends = new ArrayList<>();
        for (TimeSlice slice : laid) {
            if (slice.kind() == TimeSlice.Kind.WAIT) {
                slices.add(slice);
                continue;
            }
            long before = ms;
            slice.unitEndsMs().forEach(end -> ends.add(before + end));
            ms += slice.ms();
        }
        slices.add(TimeSlice.of(segment, TimeSlice.Kind.PARTNER, ms, 0, ends));
    }

    private void split(SegmentSplit split) {
        Segment segment = split.segment();
        if (segment.restBeforeMs() > 0 && split.waitMs() > 0) {
            slices.add(TimeSlice.prescribedRest(segment, split.waitMs()));
        }
        log.expanded().startsAtMs(segment.index()).ifPresent(opens -> {
            // Who began before it opened, or was marked so, waited for no clock.
            long opensAt = Math.min(opens, split.arrivalMs() + split.waitMs());
            slices.add(TimeSlice.waitUntil(segment, split.waitMs(), opensAt));
        });
        StepClocks clocks = StepClocks.of(split);
        if (split.unseparatedMs() > 0) {
            if (split.transitionMs() > 0) {
                slices.add(TimeSlice.pause(segment, TimeSlice.Kind.TRANSITION, split.transitionMs()));
            }
            long startMs = split.arrivalMs() + split.waitMs() + split.transitionMs();
            long ms = split.endMs() - startMs;
            List<Long> ends = ends(clocks, 0, clocks.count(), startMs, ms);
            slices.add(TimeSlice.of(segment, TimeSlice.Kind.UNSEPARATED, ms, split.faultMs(), ends));
            return;
        }
        slices.add(TimeSlice.pause(segment, TimeSlice.Kind.TRANSITION, split.transitionMs()));
        int through = 0;
        int rested = 0;
        for (int i = 0; i < split.sets().size(); i++) {
            SetSplit set = split.sets().get(i);
            rested = restsUntil(set.startMs(), split, rested);
            List<Long> ends = ends(clocks, through, clocks.through(i), set.startMs(), set.durationMs() + set.lostMs());
            through = clocks.through(i);
            boolean last = i == split.sets().size() - 1;
            TimeSlice made = set(split, set, ends, last ? begunRepMs(split, set, ends.size()) : 0);
            slices.add(set.endedBy().isPresent() ? made.cutByAFault() : made);
        }
        restsUntil(split.endMs(), split, rested);
        if (split.sets().isEmpty() && clocks.count() > 0) {
            // Marked at one instant: done all the same.
            slices.add(TimeSlice.of(
                    segment, TimeSlice.Kind.UNSEPARATED, 0, 0, ends(clocks, 0, clocks.count(), split.endMs(), 0)));
        }
    }

    /** When some steps of a split were done, from the start of the piece they lie in. */
    private static List<Long> ends(StepClocks clocks, int after, int through, long startMs, long ms) {
        return IntStream.rangeClosed(after + 1, through)
                .mapToObj(step -> Math.clamp(clocks.ms(step) - startMs, 0, ms))
                .toList();
    }

    /**
     * Lays the rests that were over by a clock, also those after a set that nobody saw begin.
     *
     * @param from how many of the split's rests are laid already
     * @return how many are now
     */
    private int restsUntil(long clockMs, SegmentSplit split, int from) {
        int next = from;
        while (next < split.rests().size() && split.rests().get(next).endMs() <= clockMs) {
            slices.add(TimeSlice.pause(
                    split.segment(),
                    TimeSlice.Kind.REST,
                    split.rests().get(next).durationMs()));
            next++;
        }
        return next;
    }

    /**
     * Of a set of which nobody tapped the reps and which the buzzer cut off, what of its time is likely the rep it fell into: what is over its reps at the
     * rate of those no fault delayed, less than one of them.
     */
    private long begunRepMs(SegmentSplit split, SetSplit set, int units) {
        boolean cut = !split.complete()
                && set.endMs() == split.endMs()
                && set.repTimesMs().size() != units;
        if (!cut || units == 0) {
            return 0;
        }
        double perRep = 1000 * beyond.rateInSets(split.segment()).orElse(0);
        return perRep == 0 ? 0 : Math.round(Math.clamp(set.durationMs() - units * perRep, 0, Math.max(0, perRep - 1)));
    }

    private static TimeSlice set(SegmentSplit split, SetSplit set, List<Long> ends, long begunMs) {
        long faults = split.faults().stream()
                .filter(fault -> fault.atMs() >= set.startMs() && fault.atMs() <= set.endMs() + set.lostMs())
                .map(FaultSplit::costMs)
                .mapToLong(cost -> cost.orElse(0))
                .sum();
        if (!ends.isEmpty() && set.repTimesMs().size() == ends.size()) {
            return TimeSlice.tapped(split.segment(), set.durationMs(), set.lostMs(), faults, ends);
        }
        return TimeSlice.of(split.segment(), TimeSlice.Kind.WORK, set.durationMs() + set.lostMs(), faults, ends)
                .unfinished(begunMs);
    }

    /** What the buzzer cut off: the rest of the rep, set or rest it fell into, and the reps after it. */
    private void finish(SegmentSplit split) {
        Segment segment = split.segment();
        int left = segment.steps() - split.counted();
        OptionalLong whole = beyond.splitMs(segment);
        if (whole.isPresent() && split.sets().isEmpty()) {
            // What went by since its last rep is of the rep that was begun.
            long since = split.counted() == 0 ? Math.min(split.elapsedMs() - split.waitMs(), whole.getAsLong()) : 0;
            long ms = Math.max(left, whole.getAsLong() * left / segment.steps() - since);
            slices.add(TimeSlice.even(segment, TimeSlice.Kind.UNSEPARATED, ms, 0, left));
            return;
        }
        if (split.beginMs().isEmpty() && split.counted() == 0) {
            long more = Math.max(0, beyond.transitionMs(segment) - split.elapsedMs());
            slices.add(TimeSlice.pause(segment, TimeSlice.Kind.TRANSITION, more));
            sets(segment, left, beyond.perUnitMs(segment), 0, 0);
            return;
        }
        long sinceLastRep = split.sets().isEmpty() ? 0 : sinceLastRep(split, slices.getLast());
        int inSet = sinceLastRep == 0 ? 0 : split.sets().getLast().reps().orElse(0);
        sets(segment, left, beyond.perUnitMs(segment), sinceLastRep, inSet);
    }

    /**
     * So many units more of a segment, broken into sets as its movement was.
     *
     * @param sinceLastRep of the first unit, what has gone by already
     * @param inSet units of the first set that are done already
     */
    private void sets(Segment segment, int units, long perUnit, long sinceLastRep, int inSet) {
        int usual = Math.max(1, beyond.usualSet(segment).orElse(Integer.MAX_VALUE));
        List<Integer> sizes = new ArrayList<>();
        int first = Math.clamp((long) usual - inSet, 1, units);
        sizes.add(first);
        for (int left = units - first; left > 0; left -= usual) {
            sizes.add(Math.min(left, usual));
        }
        long rest = beyond.restMs(segment) * units / segment.steps();
        for (int i = 0; i < sizes.size(); i++) {
            if (i > 0) {
                slices.add(TimeSlice.pause(segment, TimeSlice.Kind.REST, rest / (sizes.size() - 1)));
            }
            slices.add(run(segment, sizes.get(i), perUnit, i == 0 ? sinceLastRep : 0));
        }
    }

    private static TimeSlice run(Segment segment, int units, long perUnit, long sinceLastRep) {
        long firstMs = Math.max(1, perUnit - sinceLastRep);
        List<Long> ends = new ArrayList<>();
        for (int i = 0; i < units; i++) {
            ends.add(firstMs + perUnit * i);
        }
        return TimeSlice.of(segment, TimeSlice.Kind.WORK, firstMs + perUnit * (units - 1L), 0, ends);
    }

    private static long sinceLastRep(SegmentSplit split, TimeSlice last) {
        SetSplit set = split.sets().getLast();
        if (set.endMs() != split.endMs()) {
            return 0;
        }
        return set.repTimesMs().isEmpty() && set.reps().orElse(0) > 0
                ? last.tailMs()
                : set.endMs()
                        - (set.repTimesMs().isEmpty()
                                ? set.startMs()
                                : set.repTimesMs().getLast());
    }

    /** A segment the attempt never came to. */
    private void whole(Segment segment) {
        log.expanded()
                .startsAtMs(segment.index())
                .ifPresent(opens -> slices.add(TimeSlice.waitUntil(segment, 0, opens)));
        if (segment.restBeforeMs() > 0
                && log.expanded().startsAtMs(segment.index()).isEmpty()) {
            slices.add(TimeSlice.prescribedRest(segment, segment.restBeforeMs()));
        }
        OptionalLong whole = beyond.splitMs(segment);
        if (whole.isPresent()) {
            slices.add(TimeSlice.even(
                    segment,
                    TimeSlice.Kind.UNSEPARATED,
                    Math.max(segment.steps(), whole.getAsLong()),
                    0,
                    segment.steps()));
            return;
        }
        slices.add(TimeSlice.pause(segment, TimeSlice.Kind.TRANSITION, beyond.transitionMs(segment)));
        sets(segment, segment.steps(), beyond.perUnitMs(segment), 0, 0);
    }
}
