package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import wake.workout.ExpandedWorkout.CutOff;
import wake.workout.Lap.Block;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;

/** Where cut-offs and tie-breaks lie in an expanded part: behind the last segment of the round they come after. */
final class Landmarks {
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

    static List<ExpandedWorkout.TieBreak> tieBreaks(List<Node> body, List<Segment> segments, Naming naming) {
        return new Landmarks(body, segments, naming)
                .all((node, last) -> node instanceof TieBreak
                        ? Optional.of(new ExpandedWorkout.TieBreak(last.index(), last.lap()))
                        : Optional.empty());
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
        Set<Integer> lines = above.stream()
                .flatMap(node -> BodyRules.withInside(node).stream())
                .filter(MovementLine.class::isInstance)
                .map(node -> naming.line((MovementLine) node).index())
                .collect(Collectors.toSet());
        return segments.stream()
                .filter(segment -> lines.contains(segment.lineIndex()))
                .reduce((first, second) -> second);
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
