package wake.workout;

import java.util.List;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Part;
import wake.workout.Workout.Repeat;

/** What goes on until the buzzer; nothing where all has an end. */
record Repeated(Lap.Block block, List<Node> body) {
    Repeated {
        body = List.copyOf(body);
    }

    /** Whether its rounds grow or shrink. */
    boolean isLadder(int division) {
        return body.stream()
                .flatMap(node -> BodyRules.withInside(node).stream())
                .anyMatch(node ->
                        node instanceof MovementLine line && !(line.amount().in(division) instanceof Series.Fixed));
    }

    boolean isOneRep(int division) {
        return body.stream().filter(node -> !(node instanceof Workout.Remark)).count() == 1
                && body.stream().anyMatch(node -> node instanceof MovementLine line && line.isOne(division));
    }

    /** The repeated block, or the whole of an AMRAP without one. */
    static Repeated of(Part part, Naming naming) {
        for (Node node : part.body()) {
            if (node instanceof Repeat repeat) {
                return new Repeated(naming.block(repeat), repeat.body());
            }
        }
        return new Repeated(
                naming.whole(),
                part.format() instanceof Format.Amrap
                        ? part.body().stream()
                                .filter(node -> !(node instanceof Once))
                                .toList()
                        : List.of());
    }
}
