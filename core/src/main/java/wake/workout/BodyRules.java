package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;

/** What the body of a part must say to have a meaning, once each of its lines has one. */
final class BodyRules {
    private final Format format;
    private final NotationSource source;

    private BodyRules(Format format, NotationSource source) {
        this.format = format;
        this.source = source;
    }

    static void check(List<Node> body, Format format, NotationSource source) {
        BodyRules rules = new BodyRules(format, source);
        if (segments(body) > Expansion.Limit.SEGMENTS) {
            rules.error("more than " + Expansion.Limit.SEGMENTS + " movements", "fewer rounds");
        }
        if (!(format instanceof Format.Lift) && !hasMovement(body)) {
            rules.error("nothing to do", BodyReader.A_MOVEMENT);
        }
        if (body.stream().filter(Repeat.class::isInstance).count() > 1) {
            rules.error("\"repeat\" twice", "one block that goes on until the bell");
        }
        if (format instanceof Format.Every
                && body.stream().allMatch(node -> node instanceof Remark || node instanceof Once)) {
            rules.error("nothing to do in the intervals", BodyReader.A_MOVEMENT);
        }
        boolean open = format instanceof Format.Amrap || body.stream().anyMatch(Repeat.class::isInstance);
        if (open && !hasMovement(untilTheBell(body))) {
            rules.error("nothing to do until the bell", BodyReader.A_MOVEMENT);
        }
        if (!open) {
            rules.landmarks(body);
        }
    }

    private void error(String found, String expected) {
        source.error(new NotationError(source.lastLine(), 1, found, expected));
    }

    private static List<Node> untilTheBell(List<Node> body) {
        return body.stream()
                .filter(Repeat.class::isInstance)
                .map(node -> ((Repeat) node).body())
                .findFirst()
                .orElse(body.stream().filter(node -> !(node instanceof Once)).toList());
    }

    /** A gate or tie-break after a round there is none of would be lost without a word. */
    private void landmarks(List<Node> body) {
        long rounds = format instanceof Format.Every every ? every.times() : rounds(body);
        for (Node node : all(body)) {
            int after = switch (node) {
                case StagedCap cap -> cap.afterRound();
                case TieBreak tieBreak -> tieBreak.afterRound();
                default -> 0;
            };
            if (after > rounds) {
                error(
                        "\"after round " + after + "\"",
                        rounds == 0 ? "rounds for it to come after" : "a round up to " + rounds);
            }
        }
    }

    /** The highest number a round of the outermost blocks has; what may be cut as one likes may have as many as one likes. */
    private static long rounds(List<Node> body) {
        return body.stream()
                .mapToLong(node -> switch (node) {
                    case Rounds rounds -> rounds.count().at(1).longValue();
                    case FreeOrder free -> BodyReader.MOST_ROUNDS;
                    default -> 0;
                })
                .max()
                .orElse(0);
    }

    private static List<Node> all(List<Node> body) {
        List<Node> nodes = new ArrayList<>();
        for (Node node : body) {
            nodes.add(node);
            nodes.addAll(all(inside(node)));
        }
        return nodes;
    }

    private static List<Node> inside(Node node) {
        return switch (node) {
            case Rounds rounds -> rounds.body();
            case Repeat repeat -> repeat.body();
            case Once once -> once.body();
            case FreeOrder free -> free.body();
            case MovementLine line -> List.of();
            case StagedCap cap -> List.of();
            case TieBreak tieBreak -> List.of();
            case Remark remark -> List.of();
        };
    }

    private static boolean hasMovement(List<Node> body) {
        return all(body).stream().anyMatch(MovementLine.class::isInstance);
    }

    /** An upper bound on the segments of one pass. */
    private static long segments(List<Node> nodes) {
        long sum = 0;
        for (Node node : nodes) {
            long times = node instanceof Rounds rounds
                    ? rounds.count().values().stream()
                            .mapToLong(BigDecimal::longValue)
                            .map(value -> Math.min(BodyReader.MOST_ROUNDS, value))
                            .max()
                            .orElse(1)
                    : 1;
            sum += node instanceof MovementLine ? 1 : times * segments(inside(node));
        }
        return sum;
    }
}
