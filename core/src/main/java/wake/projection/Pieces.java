package wake.projection;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.log.AttemptLog;
import wake.log.FaultSplit;
import wake.log.RestSplit;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.plan.Draft;
import wake.workout.Segment;

/**
 * Takes an attempt apart for replay, and carries a capped one on beyond the bell: with the movement's last cadence, rest and
 * transition, or the catalogue's usual cadence where the attempt never got to a movement.
 */
final class Pieces {
    /** A transition nobody has seen: between quick (2 s) and slow (4 s); common practice, no source. */
    private static final long UNSEEN_TRANSITION_MS = 3000;

    private final AttemptLog log;
    private final List<Piece> pieces = new ArrayList<>();

    private Pieces(AttemptLog log) {
        this.log = log;
    }

    static List<Piece> of(AttemptLog log, boolean beyondTheBell) {
        Pieces made = new Pieces(log);
        List<SegmentSplit> splits = log.splits();
        for (SegmentSplit split : splits) {
            made.split(split);
            if (!split.complete() && beyondTheBell) {
                made.finish(split);
            }
        }
        if (beyondTheBell) {
            made.goOn(splits.size());
        }
        return List.copyOf(made.pieces);
    }

    /** The rest of a closed course; of an open one as much as twice the bell could hold. */
    private void goOn(int from) {
        long beyond = 0;
        long enough = log.course().capMs().orElse(0);
        for (int i = from; log.course().has(i) && (!log.course().isOpen() || beyond <= enough); i++) {
            int before = pieces.size();
            whole(log.course().segment(i));
            beyond += pieces.subList(before, pieces.size()).stream()
                    .mapToLong(Piece::ms)
                    .sum();
        }
    }

    private void split(SegmentSplit split) {
        Segment segment = split.segment();
        log.course().startsAtMs(segment.index()).ifPresent(opens -> {
            long opensAt = split.waitMs() > 0 ? split.arrivalMs() + split.waitMs() : opens;
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
        for (int i = 0; i < split.sets().size(); i++) {
            SetSplit set = split.sets().get(i);
            boolean last = i == split.sets().size() - 1;
            int units = last ? left : Math.min(left, set.reps().orElse(0));
            left -= units;
            pieces.add(set(split, set, units));
            restAfter(split, set).ifPresent(pieces::add);
        }
    }

    private static Optional<Piece> restAfter(SegmentSplit split, SetSplit set) {
        return split.rests().stream()
                .filter(rest -> rest.startMs() == set.endMs())
                .findFirst()
                .map(RestSplit::durationMs)
                .map(ms -> Piece.pause(split.segment(), Piece.Kind.REST, ms));
    }

    private static Piece set(SegmentSplit split, SetSplit set, int units) {
        long faults = split.faults().stream()
                .filter(fault -> fault.atMs() >= set.startMs() && fault.atMs() <= set.endMs())
                .map(FaultSplit::costMs)
                .mapToLong(cost -> cost.orElse(0))
                .sum();
        boolean tapped = units > 0 && set.repTimesMs().size() == units;
        if (tapped) {
            List<Long> ends =
                    set.repTimesMs().stream().map(at -> at - set.startMs()).toList();
            return Piece.of(split.segment(), Piece.Kind.WORK, set.durationMs(), faults, ends);
        }
        return Piece.even(split.segment(), Piece.Kind.WORK, set.durationMs(), faults, units);
    }

    /** What the bell cut off: the rest of the rep, set or rest it fell into, and the reps after it. */
    private void finish(SegmentSplit split) {
        Segment segment = split.segment();
        int left = segment.steps() - split.counted();
        long perUnit = perUnitMs(segment);
        if (split.beginMs().isEmpty() && split.counted() == 0) {
            long more = Math.max(0, lastTransitionMs(segment) - split.elapsedMs());
            pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, more));
            pieces.add(Piece.even(segment, Piece.Kind.WORK, perUnit * left, 0, left));
            return;
        }
        long sinceLastRep = split.sets().isEmpty() ? 0 : sinceLastRep(split);
        long firstMs = Math.max(1, perUnit - sinceLastRep);
        List<Long> ends = new ArrayList<>();
        for (int i = 0; i < left; i++) {
            ends.add(firstMs + perUnit * i);
        }
        pieces.add(Piece.of(segment, Piece.Kind.WORK, firstMs + perUnit * (left - 1L), 0, ends));
    }

    private static long sinceLastRep(SegmentSplit split) {
        SetSplit set = split.sets().getLast();
        long last =
                set.repTimesMs().isEmpty() ? set.startMs() : set.repTimesMs().getLast();
        return set.endMs() == split.endMs() ? set.endMs() - last : 0;
    }

    /** A segment the attempt never came to. */
    private void whole(Segment segment) {
        int units = segment.steps();
        log.course().startsAtMs(segment.index()).ifPresent(opens -> pieces.add(Piece.waitUntil(segment, 0, opens)));
        long work = perUnitMs(segment) * units;
        pieces.add(Piece.pause(segment, Piece.Kind.TRANSITION, lastTransitionMs(segment)));
        long rest = lastOf(segment).map(SegmentSplit::restMs).orElse(0L);
        if (rest > 0 && units > 1) {
            int half = units / 2;
            pieces.add(Piece.even(segment, Piece.Kind.WORK, work * half / units, 0, half));
            pieces.add(Piece.pause(segment, Piece.Kind.REST, rest));
            pieces.add(Piece.even(segment, Piece.Kind.WORK, work - work * half / units, 0, units - half));
        } else {
            pieces.add(Piece.even(segment, Piece.Kind.WORK, work, 0, units));
        }
    }

    /** Milliseconds per unit that counts, as the movement last went; a whole distance is one unit. */
    private long perUnitMs(Segment segment) {
        double perAmount = lastOf(segment)
                .map(split -> split.secondsPerUnit().orElseThrow())
                .orElseGet(() -> Draft.usualSecondsPerUnit(
                        segment.movement(), segment.amount().unit()));
        double seconds = perAmount * segment.units() / segment.steps();
        return Math.max(1, Math.round(1000 * seconds));
    }

    private Optional<SegmentSplit> lastOf(Segment segment) {
        return log.splits().stream()
                .filter(split -> split.secondsPerUnit().isPresent())
                .filter(split -> split.segment().movement().equals(segment.movement())
                        && split.segment().amount().unit() == segment.amount().unit())
                .reduce((first, second) -> second);
    }

    private long lastTransitionMs(Segment segment) {
        return log.splits().stream()
                .filter(split -> split.segment().lineIndex() == segment.lineIndex()
                        && split.segment().index() > 0
                        && split.beginMs().isPresent())
                .reduce((first, second) -> second)
                .map(SegmentSplit::transitionMs)
                .orElse(UNSEEN_TRANSITION_MS);
    }
}
