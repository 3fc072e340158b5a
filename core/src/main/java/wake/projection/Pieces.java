package wake.projection;

import java.util.ArrayList;
import java.util.List;
import wake.log.AttemptLog;
import wake.log.FaultSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.workout.Segment;

/**
 * Takes an attempt apart for replay, and carries a capped one on beyond the bell: as {@link Beyond} says.
 */
final class Pieces {
    private final AttemptLog log;
    private final List<Piece> pieces = new ArrayList<>();
    private final Beyond beyond;
    private int seen;

    /** More than anybody does in a day: what is written beyond that is not laid out. */
    private static final long MOST_UNITS = 200_000;

    private Pieces(AttemptLog log) {
        this.log = log;
        this.beyond = new Beyond(log);
    }

    static List<Piece> of(AttemptLog log, boolean beyondTheBell) {
        Pieces made = new Pieces(log);
        List<SegmentSplit> splits = log.splits();
        for (SegmentSplit split : splits) {
            int from = made.pieces.size();
            made.split(split);
            made.asPartners(split.segment(), from);
            int seen = made.pieces.size();
            if (!split.complete() && beyondTheBell) {
                made.finish(split);
                made.asPartners(split.segment(), seen);
            }
            made.seen = split.complete() ? made.pieces.size() : seen;
        }
        if (beyondTheBell) {
            made.goOn(splits.size());
        }
        return made.placed();
    }

    /** The pieces, each at its place on the clock. */
    private List<Piece> placed() {
        List<Piece> placed = new ArrayList<>(pieces.size());
        long clock = 0;
        int segment = -1;
        int set = 0;
        for (Piece piece : pieces) {
            set = piece.segment().index() == segment ? set : 0;
            segment = piece.segment().index();
            set += piece.isWork() ? 1 : 0;
            boolean inSets = piece.isWork() || piece.kind() == Piece.Kind.REST;
            placed.add(piece.at(clock, placed.size() < seen).inSet(inSets ? set : 0));
            clock += piece.ms();
        }
        return List.copyOf(placed);
    }

    /** The rest of the course; where a bell ends it, as much as twice the bell could hold, which no change can use up. */
    private void goOn(int from) {
        long laid = 0;
        long enough = log.course().capMs().orElse(Long.MAX_VALUE);
        long units = 0;
        for (int i = from; log.course().has(i) && laid <= enough && units <= MOST_UNITS; i++) {
            units += log.course().segment(i).steps();
            int before = pieces.size();
            whole(log.course().segment(i));
            asPartners(log.course().segment(i), before);
            laid += pieces.subList(before, pieces.size()).stream()
                    .mapToLong(Piece::ms)
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
        List<Piece> laid = List.copyOf(pieces.subList(from, pieces.size()));
        pieces.subList(from, pieces.size()).clear();
        long ms = 0;
        List<Long> ends = new ArrayList<>();
        for (Piece piece : laid) {
            if (piece.kind() == Piece.Kind.WAIT) {
                pieces.add(piece);
                continue;
            }
            long before = ms;
            piece.unitEndsMs().forEach(end -> ends.add(before + end));
            ms += piece.ms();
        }
        pieces.add(Piece.of(segment, Piece.Kind.PARTNER, ms, 0, ends));
    }

    private void split(SegmentSplit split) {
        Segment segment = split.segment();
        if (segment.restBeforeMs() > 0 && split.waitMs() > 0) {
            pieces.add(Piece.prescribedRest(segment, split.waitMs()));
        }
        log.course().startsAtMs(segment.index()).ifPresent(opens -> {
            // Who began before it opened, or was marked so, waited for no clock.
            long opensAt = Math.min(opens, split.arrivalMs() + split.waitMs());
            pieces.add(Piece.waitUntil(segment, split.waitMs(), opensAt));
        });
        if (split.unseparatedMs() > 0) {
            if (split.transitionMs() > 0) {
                pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, split.transitionMs()));
            }
            int units = split.complete() ? segment.steps() : split.counted();
            pieces.add(Piece.even(
                    segment,
                    Piece.Kind.UNSEPARATED,
                    split.elapsedMs() - split.waitMs() - split.transitionMs(),
                    split.faultMs(),
                    units));
            return;
        }
        pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, split.transitionMs()));
        int left = split.complete() ? segment.steps() : split.counted();
        int rested = 0;
        for (int i = 0; i < split.sets().size(); i++) {
            SetSplit set = split.sets().get(i);
            rested = restsUntil(set.startMs(), split, rested);
            boolean last = i == split.sets().size() - 1;
            int units = last ? left : Math.min(left, set.reps().orElse(0));
            left -= units;
            Piece made = set(split, set, units);
            pieces.add(set.endedBy().isPresent() ? made.cutByAFault() : made);
        }
        restsUntil(split.endMs(), split, rested);
        if (left > 0 && split.sets().isEmpty()) {
            // Marked at one instant: done all the same.
            pieces.add(Piece.even(segment, Piece.Kind.UNSEPARATED, 0, 0, left));
        }
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
            pieces.add(Piece.pause(
                    split.segment(), Piece.Kind.REST, split.rests().get(next).durationMs()));
            next++;
        }
        return next;
    }

    private static Piece set(SegmentSplit split, SetSplit set, int units) {
        long faults = split.faults().stream()
                .filter(fault -> fault.atMs() >= set.startMs() && fault.atMs() <= set.endMs() + set.lostMs())
                .map(FaultSplit::costMs)
                .mapToLong(cost -> cost.orElse(0))
                .sum();
        boolean tapped = units > 0 && set.repTimesMs().size() == units;
        if (tapped) {
            List<Long> ends =
                    set.repTimesMs().stream().map(at -> at - set.startMs()).toList();
            return Piece.tapped(split.segment(), set.durationMs(), set.lostMs(), faults, ends);
        }
        return Piece.even(split.segment(), Piece.Kind.WORK, set.durationMs() + set.lostMs(), faults, units);
    }

    /** What the bell cut off: the rest of the rep, set or rest it fell into, and the reps after it. */
    private void finish(SegmentSplit split) {
        Segment segment = split.segment();
        int left = segment.steps() - split.counted();
        if (split.beginMs().isEmpty() && split.counted() == 0) {
            long more = Math.max(0, beyond.transitionMs(segment) - split.elapsedMs());
            pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, more));
            sets(segment, left, beyond.perUnitMs(segment), 0, 0);
            return;
        }
        long sinceLastRep = split.sets().isEmpty() ? 0 : sinceLastRep(split);
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
                pieces.add(Piece.pause(segment, Piece.Kind.REST, rest / (sizes.size() - 1)));
            }
            pieces.add(run(segment, sizes.get(i), perUnit, i == 0 ? sinceLastRep : 0));
        }
    }

    private static Piece run(Segment segment, int units, long perUnit, long sinceLastRep) {
        long firstMs = Math.max(1, perUnit - sinceLastRep);
        List<Long> ends = new ArrayList<>();
        for (int i = 0; i < units; i++) {
            ends.add(firstMs + perUnit * i);
        }
        return Piece.of(segment, Piece.Kind.WORK, firstMs + perUnit * (units - 1L), 0, ends);
    }

    private static long sinceLastRep(SegmentSplit split) {
        SetSplit set = split.sets().getLast();
        long last =
                set.repTimesMs().isEmpty() ? set.startMs() : set.repTimesMs().getLast();
        return set.endMs() == split.endMs() ? set.endMs() - last : 0;
    }

    /** A segment the attempt never came to. */
    private void whole(Segment segment) {
        log.course().startsAtMs(segment.index()).ifPresent(opens -> pieces.add(Piece.waitUntil(segment, 0, opens)));
        if (segment.restBeforeMs() > 0
                && log.course().startsAtMs(segment.index()).isEmpty()) {
            pieces.add(Piece.prescribedRest(segment, segment.restBeforeMs()));
        }
        pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, beyond.transitionMs(segment)));
        sets(segment, segment.steps(), beyond.perUnitMs(segment), 0, 0);
    }
}
