package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Rounds;

/**
 * A workout in one division, expanded to its segments in the order they are done.
 *
 * @param segments all segments
 * @param capMs the cap of the clock, if it has one
 */
public record Course(List<Segment> segments, OptionalLong capMs) {
    public Course {
        segments = List.copyOf(segments);
    }

    /** Expands a workout for a division, given by its place among the divisions. */
    public static Course of(Workout workout, int division, Catalogue catalogue) {
        List<Segment> segments = new ArrayList<>();
        new Expansion(workout.lines(), division, catalogue, segments)
                .expand(workout.part().body(), 1, 1, 1, true);
        return switch (workout.part().format()) {
            case Workout.Format.ForTime time -> new Course(segments, time.capMs());
        };
    }

    /** All reps, calories and completed distances of the workout, as a score counts them. */
    public int totalScore() {
        return segments.stream().mapToInt(Segment::score).sum();
    }

    private record Expansion(List<MovementLine> lines, int division, Catalogue catalogue, List<Segment> into) {
        void expand(List<Node> nodes, int inner, int outer, int outerCount, boolean outermost) {
            for (Node node : nodes) {
                switch (node) {
                    case MovementLine line -> into.add(segment(line, inner, outer, outerCount));
                    case Remark remark -> {}
                    case Rounds rounds -> {
                        for (int round = 1; round <= rounds.count(); round++) {
                            expand(
                                    rounds.body(),
                                    round,
                                    outermost ? round : outer,
                                    outermost ? rounds.count() : outerCount,
                                    false);
                        }
                    }
                }
            }
        }

        private Segment segment(MovementLine line, int inner, int outer, int outerCount) {
            Movement movement =
                    catalogue.find(line.movement()).orElseGet(() -> Movement.custom(line.movement(), line.unit()));
            List<Quantity> loads = line.loads().stream()
                    .map(load -> new Quantity(load.values().in(division).at(inner), load.unit()))
                    .toList();
            Quantity amount = new Quantity(line.amount().in(division).at(inner), line.unit());
            return new Segment(into.size(), identity(line), outer, outerCount, movement, amount, loads);
        }

        /** By identity: two equal lines of one workout are two lines. */
        private int identity(MovementLine line) {
            for (int i = 0; i < lines.size(); i++) {
                if (lines.get(i) == line) {
                    return i;
                }
            }
            throw new IllegalStateException("A line outside its workout: " + line.movement());
        }
    }
}
