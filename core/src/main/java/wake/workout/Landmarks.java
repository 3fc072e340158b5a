package wake.workout;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import wake.workout.ExpandedWorkout.CutOff;
import wake.workout.Lap.Block;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;

/** Where cut-offs and tie-breaks lie in an expanded part: behind the last segment of the round they come after. */
final class Landmarks {
    private static final String EACH_ROUND = "each round";

    private final List<Node> body;
    private final List<Segment> segments;
    private final Naming naming;

    private Landmarks(List<Node> body, List<Segment> segments, Naming naming) {
        this.body = body;
        this.segments = segments;
        this.naming = naming;
    }

    static List<CutOff> cutOffs(List<Node> body, List<Segment> segments, Naming naming) {
        return new Landmarks(body, segments, naming)
                .all((node, last) -> node instanceof StagedCap cap
                        ? Optional.of(new CutOff(last.index(), cap.byMs(), words(cap, last)))
                        : Optional.empty());
    }

    static boolean anyTieBreak(List<Node> body) {
        return body.stream()
                .flatMap(node -> BodyRules.withInside(node).stream())
                .anyMatch(TieBreak.class::isInstance);
    }

    /** In the order of the work. */
    static List<ExpandedWorkout.TieBreak> tieBreaks(List<Node> body, List<Segment> segments, Naming naming) {
        Landmarks landmarks = new Landmarks(body, segments, naming);
        List<ExpandedWorkout.TieBreak> found = new ArrayList<>(landmarks.all((node, last) -> node instanceof TieBreak
                ? Optional.of(tieBreak(last, last.lap().words(), last.lap().words()))
                : Optional.empty()));
        landmarks.afterEachRound(found);
        landmarks.belowWork(body, found);
        found.sort(Comparator.comparingInt(ExpandedWorkout.TieBreak::lastIndex));
        return found;
    }

    private static ExpandedWorkout.TieBreak tieBreak(Segment last, String words, String onTheBoard) {
        return new ExpandedWorkout.TieBreak(last.index(), words, "tie-break after " + onTheBoard);
    }

    private void afterEachRound(List<ExpandedWorkout.TieBreak> found) {
        for (int i = 0; i < body.size(); i++) {
            if (BodyRules.withInside(body.get(i)).stream()
                    .anyMatch(node -> BodyRules.afterRound(node) == TieBreak.EACH_ROUND)) {
                block(i, 1)
                        .ifPresent(block -> lastOfEach(
                                        segment -> segment.path().stream()
                                                .anyMatch(lap -> lap.block().equals(block)),
                                        segment -> through(segment, block))
                                .forEach((laps, last) -> found.add(tieBreak(last, Lap.words(laps), EACH_ROUND))));
            }
        }
    }

    /** Tie-breaks that stand below what they come after, each time it is done. */
    private void belowWork(List<Node> lines, List<ExpandedWorkout.TieBreak> found) {
        Optional<Node> above = Optional.empty();
        for (Node node : lines) {
            if (node instanceof TieBreak tie && tie.afterRound() == 0) {
                above.ifPresent(work -> after(work, found));
            }
            boolean work = BodyRules.withInside(node).stream().anyMatch(MovementLine.class::isInstance);
            above = work ? Optional.of(node) : above;
            belowWork(BodyRules.inside(node), found);
        }
    }

    private void after(Node work, List<ExpandedWorkout.TieBreak> found) {
        Set<Integer> lines = lines(List.of(work));
        Optional<Block> own = work instanceof MovementLine || work instanceof Workout.Once
                ? Optional.empty()
                : Optional.of(naming.block(work));
        lastOfEach(
                        segment -> lines.contains(segment.lineIndex()),
                        segment -> own.map(block -> outside(segment, block)).orElseGet(segment::around))
                .values()
                .forEach(last -> found.add(belowWork(last, own.isPresent())));
    }

    private ExpandedWorkout.TieBreak belowWork(Segment last, boolean isBlock) {
        int next = last.index() + 1;
        boolean endsLap =
                next >= segments.size() || !segments.get(next).around().equals(last.around());
        if (!last.inRounds()) {
            return tieBreak(last, whole(last), whole(last));
        }
        String round = Lap.words(last.around());
        return tieBreak(
                last, endsLap || isBlock ? round : whole(last) + " of " + round, endsLap ? EACH_ROUND : whole(last));
    }

    /** Of some segments the last of all that belong together. */
    private Map<List<Lap>, Segment> lastOfEach(Predicate<Segment> some, Function<Segment, List<Lap>> together) {
        return segments.stream()
                .filter(some)
                .collect(Collectors.toMap(together, Function.identity(), (first, last) -> last, LinkedHashMap::new));
    }

    /** What the last piece of a distance ends, as a whole. */
    private String whole(Segment last) {
        int from = last.index();
        while (from > 0 && segments.get(from - 1).isPieceWith(last)) {
            from--;
        }
        return last.inPieces(segments.subList(from, last.index() + 1));
    }

    /** The laps a segment stands in that are around a block. */
    private static List<Lap> outside(Segment segment, Block block) {
        return segment.path().stream()
                .takeWhile(lap -> !lap.block().equals(block))
                .toList();
    }

    /** The same, with the lap of the block itself. */
    private static List<Lap> through(Segment segment, Block block) {
        return segment.path().subList(0, outside(segment, block).size() + 1);
    }

    private <T> List<T> all(BiFunction<Node, Segment, Optional<T>> landmark) {
        List<T> found = new ArrayList<>();
        for (int i = 0; i < body.size(); i++) {
            for (Node node : BodyRules.withInside(body.get(i))) {
                int round = BodyRules.afterRound(node);
                if (node instanceof StagedCap && round == 0) {
                    lastOf(body.subList(0, i))
                            .flatMap(last -> landmark.apply(node, last))
                            .ifPresent(found::add);
                }
                if (round > 0) {
                    block(i, round)
                            .flatMap(block -> endOf(block, round))
                            .flatMap(last -> landmark.apply(node, last))
                            .ifPresent(found::add);
                }
            }
        }
        return found;
    }

    private static String words(StagedCap cap, Segment last) {
        return cap.afterRound() > 0 || last.inRounds() ? last.lap().words() : last.label();
    }

    /** The last segment of some lines of the body. */
    private Optional<Segment> lastOf(List<Node> above) {
        Set<Integer> lines = lines(above);
        return segments.stream()
                .filter(segment -> lines.contains(segment.lineIndex()))
                .reduce((first, second) -> second);
    }

    private Set<Integer> lines(List<Node> nodes) {
        return nodes.stream()
                .flatMap(node -> BodyRules.withInside(node).stream())
                .filter(MovementLine.class::isInstance)
                .map(node -> naming.line((MovementLine) node).index())
                .collect(Collectors.toSet());
    }

    private Optional<Block> block(int at, int round) {
        boolean allRepeats =
                segments.stream().anyMatch(segment -> segment.lap().block().equals(naming.whole()));
        return allRepeats
                ? Optional.of(naming.whole())
                : BodyRules.countedBy(body, at, round).map(naming::block);
    }

    /** The last segment of a round of a block. */
    private Optional<Segment> endOf(Block block, int round) {
        return segments.stream()
                .filter(segment -> segment.inRounds()
                        && segment.lap().block().equals(block)
                        && segment.lap().number() == round)
                .reduce((first, second) -> second);
    }
}
