package wake.reading;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import wake.log.AttemptLog;
import wake.log.SegmentSplit;
import wake.log.SetSplit;
import wake.log.Stretch;
import wake.workout.Comparability;
import wake.workout.Lap.Block;
import wake.workout.Segment;

/**
 * The best the athlete did of like work in this attempt, each figure one that was done ({@link LikeFigures}); what lies within normal variation of it is
 * allowed as it was. Transitions are like between the same two movements; rests are like in as much of the same work, else break by break, for as long a set; pace is like in
 * the same movement, technique and load, wherever in the workout it stands. A movement split that is not broken down is compared by its amount over
 * its time, rests included. What comes once only is compared with itself: set by set, or its reps five by five. Where there is nothing like it, nothing
 * is claimed.
 */
final class BestSplits implements Baseline {
    /** Inside one split so many sets are needed; an assumption. */
    private static final int FEWEST_INSIDE = 3;
    /** Reps of a long unbroken set are read in fives; an assumption. */
    private static final int FIVES = 5;
    /** Splits of other amounts, or after another movement, may hold a transition or a break more: so much; an assumption. */
    private static final double UNSEEN_MS = 12_000;

    /** Of amounts further apart the breaks differ too much for a pace with rests in it; an assumption. */
    private static final double MOST_LARGER = 2;

    private final AttemptLog log;
    private final List<SegmentSplit> splits;
    private final List<Stretch> stretches;
    private final Map<Object, Optional<LikeFigures>> found = new HashMap<>();
    private final Map<Object, RepRhythm> rhythms = new HashMap<>();
    private final Map<Object, Double> leastPerRep = new HashMap<>();

    BestSplits(AttemptLog log) {
        this.log = log;
        this.splits = log.done();
        this.stretches = Stretch.of(log, Set.of());
    }

    @Override
    public Kind kind() {
        return Kind.BEST_SPLITS;
    }

    @Override
    public String words() {
        return "its " + Kind.BEST_SPLITS.words();
    }

    @Override
    public OptionalInt done() {
        return OptionalInt.empty();
    }

    @Override
    public Set<Integer> unseenEnds() {
        return Set.of();
    }

    @Override
    public List<Integer> sets(Segment segment) {
        return List.of();
    }

    @Override
    public List<String> unmatched() {
        return List.of();
    }

    @Override
    public Expected allow(Stretch stretch) {
        if (stretch.whole()) {
            return whole(stretch);
        }
        SegmentSplit split = stretch.first();
        if (log.expanded().isMostRep(split.segment())) {
            // One movement over time: its gaps are MaxReps', no rep is the best of them.
            return Expected.asDone(stretch);
        }
        return split.unseparatedMs() > 0 ? unseparated(stretch, split) : separated(split);
    }

    /** Rounds of which only the ends were noted are compared with each other; the first may have no transition in it. */
    private Expected whole(Stretch stretch) {
        Expected own = Expected.asDone(stretch);
        Block block = stretch.segment().lap().block();
        List<Stretch> like = stretches.stream()
                .filter(other -> other.whole()
                        && other.complete()
                        && other.same(stretch)
                        && other.segment().lap().block().equals(block))
                .toList();
        Optional<LikeFigures> same = LikeFigures.of(like.stream()
                .filter(other -> before(other.first()) == before(stretch.first()))
                .mapToDouble(Stretch::activeMs)
                .toArray());
        Optional<LikeFigures> figures = same.or(() -> LikeFigures.of(
                        like.stream().mapToDouble(Stretch::activeMs).toArray())
                .map(any -> any.or(UNSEEN_MS)));
        return stretch.complete() && figures.isPresent()
                ? own.withWork(Math.round(figures.get().allowed(stretch.activeMs(), 1000 * stretch.uncertaintyS())))
                : own;
    }

    /** A movement split whose work and rests are not broken down. */
    private Expected unseparated(Stretch stretch, SegmentSplit split) {
        if (split.beginMs().isEmpty()) {
            OptionalLong active = active(split);
            Expected own = Expected.asDone(stretch);
            return active.isPresent() ? own.withWork(active.getAsLong()) : own;
        }
        Expected expected = Expected.begun(split);
        OptionalLong transition = transition(split);
        OptionalLong active = active(split);
        if (transition.isPresent()) {
            expected = expected.withTransition(transition.getAsLong());
        }
        return active.isPresent() ? expected.withActive(active.getAsLong()) : expected;
    }

    /** What is allowed of it but wait and transition: as much of the same before and after the same; else its pace, rests included. */
    private OptionalLong active(SegmentSplit split) {
        if (!split.complete()) {
            return OptionalLong.empty();
        }
        Segment segment = split.segment();
        boolean begun = split.beginMs().isPresent();
        double units = segment.units();
        double perUnit = (double) split.activeMs() / units;
        Optional<LikeFigures> same = figures(
                List.of(
                        "active",
                        segment.lineIndex(),
                        segment.amount(),
                        segment.loads(),
                        segment.isPartners(),
                        begun,
                        begun ? 0 : before(split)),
                other -> isActive(other, split)
                        && Comparability.same(other.segment(), segment)
                        && other.segment().lineIndex() == segment.lineIndex()
                        && (begun || before(other) == before(split)),
                other -> other.activeMs() / other.segment().units());
        Optional<LikeFigures> like = same.or(() -> figures(
                        List.of("any active", movement(split), segment.amount(), begun),
                        other -> isActive(other, split)
                                && Comparability.comparable(other.segment(), segment)
                                && isAbout(other.segment().units(), units),
                        other -> other.activeMs() / other.segment().units())
                .map(figures -> figures.or(UNSEEN_MS / units)));
        return like.isPresent()
                ? OptionalLong.of(Math.round(like.get().allowed(perUnit, uncertaintyMs(split) / units) * units))
                : OptionalLong.empty();
    }

    private static boolean isAbout(double one, double other) {
        return Math.max(one, other) <= MOST_LARGER * Math.min(one, other);
    }

    private static boolean isActive(SegmentSplit other, SegmentSplit split) {
        return other.complete()
                && other.unseparatedMs() > 0
                && other.activeMs() > 0
                && other.beginMs().isPresent() == split.beginMs().isPresent();
    }

    private Expected separated(SegmentSplit split) {
        Expected expected = Expected.ownFigures(split);
        OptionalLong transition = transition(split);
        OptionalLong work = work(split);
        OptionalLong rest = rest(split);
        if (transition.isPresent()) {
            expected = expected.withTransition(transition.getAsLong());
        }
        if (work.isPresent()) {
            expected = expected.withWork(work.getAsLong());
        }
        return rest.isPresent() ? expected.withRest(rest.getAsLong()) : expected;
    }

    private OptionalLong transition(SegmentSplit split) {
        if (split.segment().index() == 0 || split.beginMs().isEmpty()) {
            return OptionalLong.empty();
        }
        return allowed(
                figures(
                        List.of("transition", movement(split), split.segment().lineIndex(), before(split)),
                        other -> other.segment().lineIndex() == split.segment().lineIndex()
                                && Comparability.comparable(other.segment(), split.segment())
                                && other.beginMs().isPresent()
                                && before(other) == before(split),
                        SegmentSplit::transitionMs),
                split.transitionMs(),
                split);
    }

    /** The line done before it; below 0 for none. */
    private int before(SegmentSplit split) {
        int index = split.segment().index();
        return index == 0 ? -1 : splits.get(index - 1).segment().lineIndex();
    }

    /** As much of the same work is compared by all its rest, so that a break more counts; other amounts break by break, none longer than another after as long a set. */
    private OptionalLong rest(SegmentSplit split) {
        if (!split.complete()) {
            return OptionalLong.empty();
        }
        Segment segment = split.segment();
        Optional<LikeFigures> same = figures(
                List.of("rest", movement(split), segment.amount()),
                other -> Comparability.same(other.segment(), segment) && other.complete() && other.unseparatedMs() == 0,
                SegmentSplit::restMs);
        if (same.isPresent()) {
            return allowed(same, split.restMs(), split);
        }
        Optional<LikeFigures> breaks = found.computeIfAbsent(
                List.of("break", movement(split)),
                once -> LikeFigures.of(breaks(segment).mapToDouble(Break::ms).toArray()));
        double perRep = leastPerRep.computeIfAbsent(
                movement(split),
                once -> breaks(segment).mapToDouble(Break::perRep).min().orElse(0));
        return breaks.isPresent()
                ? OptionalLong.of(Math.round(breaks(split)
                        .mapToDouble(one -> Math.clamp(
                                one.reps() * perRep, breaks.get().allowed(one.ms(), uncertaintyMs(split)), one.ms()))
                        .sum()))
                : OptionalLong.empty();
    }

    /** A break, and the reps of the set before it; 0 where nobody counted them. */
    private record Break(long ms, int reps) {
        double perRep() {
            return reps == 0 ? 0 : ms / (double) reps;
        }
    }

    private Stream<Break> breaks(Segment like) {
        return splits.stream()
                .filter(other -> Comparability.comparable(other.segment(), like))
                .flatMap(BestSplits::breaks);
    }

    private static Stream<Break> breaks(SegmentSplit split) {
        return split.rests().stream()
                .map(rest -> new Break(
                        rest.durationMs(),
                        split.sets().stream()
                                .filter(set -> set.endMs() == rest.startMs())
                                .mapToInt(set -> set.reps().orElse(0))
                                .findFirst()
                                .orElse(0)));
    }

    /** Its work without faults at the cycle the athlete has shown in like work. */
    private OptionalLong work(SegmentSplit split) {
        double work = split.workMs() - split.faultMs();
        double units = split.unitsDone();
        RepRhythm rhythm = rhythms.computeIfAbsent(
                List.of(movement(split), split.technique()),
                once -> RepRhythm.of(splits.stream().filter(other -> isPaced(other, split))));
        boolean cycle = RepRhythm.hasCycle(units, sets(split));
        Optional<LikeFigures> like = figures(
                List.of("pace", movement(split), split.technique(), cycle),
                other -> isPaced(other, split)
                        && other.complete()
                        && RepRhythm.hasCycle(other.segment().units(), sets(other)) == cycle,
                other -> rhythm.cycleMs(
                        other.workMs() - other.faultMs(), other.segment().units(), sets(other)));
        if (like.isPresent()) {
            double own = rhythm.cycleMs(work, units, sets(split));
            double allowed = like.get().allowed(own, uncertaintyMs(split) / units);
            return OptionalLong.of(Math.round(work - (own - allowed) * rhythm.paced(units, sets(split))));
        }
        double[] inside = inside(split, rhythm);
        return inside.length < FEWEST_INSIDE
                ? OptionalLong.empty()
                : LikeFigures.of(inside)
                        .map(paces -> OptionalLong.of(Math.round(
                                work - rhythm.paced(units, sets(split)) * beyond(paces, inside) / inside.length)))
                        .orElse(OptionalLong.empty());
    }

    private static boolean isPaced(SegmentSplit other, SegmentSplit split) {
        return other.unseparatedMs() == 0
                && other.workMs() > other.faultMs()
                && Comparability.comparable(other.segment(), split.segment())
                && other.technique().equals(split.technique());
    }

    private static int sets(SegmentSplit split) {
        return (int) split.sets().stream().filter(set -> !set.failed()).count();
    }

    /** What some figures are over what is allowed for them, together. */
    private static double beyond(LikeFigures like, double[] figures) {
        return Arrays.stream(figures)
                .map(figure -> figure - like.allowed(figure, 0))
                .sum();
    }

    /** The cycle of the sets of a segment without what faults cost; of one long set tapped rep by rep, of its fives. */
    private static double[] inside(SegmentSplit split, RepRhythm rhythm) {
        if (split.sets().size() == 1 && split.faults().isEmpty()) {
            return fives(split.sets().getFirst());
        }
        return split.sets().stream()
                .filter(set -> set.reps().orElse(0) > 1
                        || split.counted() == split.sets().size())
                .flatMapToDouble(set -> rhythm.secondsPerRep(split, set).stream())
                .map(seconds -> 1000 * seconds)
                .toArray();
    }

    private static double[] fives(SetSplit set) {
        List<Long> reps = set.repTimesMs();
        boolean tapped = reps.size() >= FIVES * FEWEST_INSIDE
                && reps.size() == set.reps().orElse(0);
        double[] paces = new double[tapped ? reps.size() / FIVES : 0];
        for (int i = 0; i < paces.length; i++) {
            long from = i == 0 ? set.startMs() : reps.get(i * FIVES - 1);
            paces[i] = (reps.get((i + 1) * FIVES - 1) - from) / (double) FIVES;
        }
        return paces;
    }

    /** What work of its kind is known by: its movement, unit, sides and loads, whose it is. */
    private static List<Object> movement(SegmentSplit split) {
        Segment segment = split.segment();
        return List.of(
                segment.movement().name(),
                segment.amount().unit(),
                segment.sides(),
                segment.loads(),
                segment.isPartners());
    }

    /** The figures of like work; found once for all that ask for the same. */
    private Optional<LikeFigures> figures(
            Object asked, Predicate<SegmentSplit> like, ToDoubleFunction<SegmentSplit> of) {
        return found.computeIfAbsent(
                asked,
                once -> LikeFigures.of(
                        splits.stream().filter(like).mapToDouble(of).toArray()));
    }

    private static OptionalLong allowed(Optional<LikeFigures> like, double figure, SegmentSplit split) {
        return like.isPresent()
                ? OptionalLong.of(Math.round(like.get().allowed(figure, uncertaintyMs(split))))
                : OptionalLong.empty();
    }

    private static double uncertaintyMs(SegmentSplit split) {
        return 1000 * split.uncertaintyS();
    }
}
