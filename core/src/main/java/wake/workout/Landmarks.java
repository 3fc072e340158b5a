package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import wake.workout.Course.Stage;
import wake.workout.Workout.Node;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;

/** Where staged caps and tie-breaks lie in an expanded part. */
final class Landmarks {
    private Landmarks() {}

    static List<Stage> stages(List<Node> body, List<Segment> segments) {
        List<Stage> stages = new ArrayList<>();
        for (Node node : flat(body)) {
            if (node instanceof StagedCap cap) {
                endOfRound(segments, cap.afterRound()).ifPresent(index -> stages.add(new Stage(index, cap.byMs())));
            }
        }
        return stages;
    }

    static List<Integer> tieBreaks(List<Node> body, List<Segment> segments) {
        List<Integer> places = new ArrayList<>();
        for (Node node : flat(body)) {
            if (node instanceof TieBreak tieBreak) {
                endOfRound(segments, tieBreak.afterRound()).ifPresent(places::add);
            }
        }
        return places;
    }

    private static List<Node> flat(List<Node> body) {
        List<Node> nodes = new ArrayList<>();
        for (Node node : body) {
            nodes.add(node);
            if (node instanceof Rounds rounds) {
                nodes.addAll(flat(rounds.body()));
            }
        }
        return nodes;
    }

    private static OptionalInt endOfRound(List<Segment> segments, int round) {
        return segments.stream()
                .filter(segment -> segment.inRounds() && segment.round() == round)
                .mapToInt(Segment::index)
                .max();
    }
}
