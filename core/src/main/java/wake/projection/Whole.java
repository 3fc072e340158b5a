package wake.projection;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.workout.Comparability;
import wake.workout.Lap;
import wake.workout.Segment;

/**
 * What a coach times with one look at the clock: a split of a movement, or a round, whatever it is made of. The wait before it is no part of it,
 * nor is what a partner did.
 *
 * @param segments what it asks for, in order
 * @param coreMs what it took without faults
 * @param fixedMs what no pace touches: faults, and what goes by after the last rep of a set
 * @param seen whether both its ends were seen and all of it was done
 * @param observed whether some of it happened, rather than lying beyond the buzzer
 */
record Whole(List<Segment> segments, double coreMs, double fixedMs, boolean seen, boolean observed) {
    Whole {
        segments = List.copyOf(segments);
    }

    /** Those of a scope in order: of a movement its splits, of all movements their rounds. */
    static List<Whole> of(Replay replay, Scope scope) {
        Map<Object, List<TimeSlice>> slices = new LinkedHashMap<>();
        for (TimeSlice slice : replay.slices()) {
            if (touches(slice, scope)) {
                slices.computeIfAbsent(key(slice.segment(), scope), first -> new ArrayList<>())
                        .add(slice);
            }
        }
        return slices.values().stream()
                .map(whole -> whole(whole, replay.log(), scope))
                .filter(whole -> whole.coreMs > 0)
                .toList();
    }

    static boolean touches(TimeSlice slice, Scope scope) {
        return slice.kind() != TimeSlice.Kind.WAIT
                && slice.kind() != TimeSlice.Kind.PARTNER
                && (!scope.movement().isEmpty() || slice.segment().inRounds())
                && scope.has(slice.segment());
    }

    /** What the pieces of one have in common: the place of its segment, or its round. */
    static Object key(Segment segment, Scope scope) {
        return scope.movement().isEmpty() ? segment.lap() : (Object) segment.index();
    }

    private static Whole whole(List<TimeSlice> slices, AttemptLog log, Scope scope) {
        List<Segment> segments =
                slices.stream().map(TimeSlice::segment).distinct().toList();
        return new Whole(
                segments,
                slices.stream().mapToDouble(TimeSlice::coreMs).sum(),
                slices.stream()
                        .mapToDouble(slice -> slice.fixedMs() + slice.tailMs())
                        .sum(),
                isSeen(segments, log, scope),
                slices.stream().anyMatch(TimeSlice::observed));
    }

    private static boolean isSeen(List<Segment> segments, AttemptLog log, Scope scope) {
        int first = segments.getFirst().index();
        int last = segments.getLast().index();
        List<SegmentSplit> splits = log.splits();
        boolean begun =
                first == 0 || first <= splits.size() && splits.get(first - 1).endSeen();
        boolean ended = last < splits.size()
                && splits.get(last).complete()
                && splits.get(last).endSeen();
        return begun && ended && (!scope.movement().isEmpty() || log.expanded().endsLap(last));
    }

    double ms() {
        return coreMs + fixedMs;
    }

    Segment segment() {
        return segments.getFirst();
    }

    Lap lap() {
        return segment().lap();
    }

    /** How much of it there is: the amount of a movement; a round is one. */
    double amount() {
        return segments.size() == 1 ? segment().units() : 1;
    }

    /** Whether what it took shows what another can take: it was timed, tells of it, and is at least half as long. */
    boolean shows(Whole other) {
        return seen && tells(other) && amount() >= Evidence.LONG_ENOUGH * other.amount();
    }

    /** Whether a time of it says what another can take: the same movement at a load at least as heavy, or a round of the same work. */
    boolean tells(Whole other) {
        return segments.size() == 1 && other.segments.size() == 1
                ? Comparability.mayBeAskedOf(segment(), other.segment())
                : Comparability.sameRound(segments, other.segments);
    }
}
