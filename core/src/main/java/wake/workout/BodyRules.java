package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rest;
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
        if (!WorkCount.fits(body, format)) {
            rules.error("more than " + Expansion.Limit.SEGMENTS + " movements", "fewer rounds");
        }
        int rounds = format instanceof Format.Every every ? every.times() : 1;
        if (!WorkCount.staysWithin(body, rounds)) {
            rules.error("an amount that grows beyond " + LineReader.MOST, "a smaller step, or fewer rounds");
        }
        if (!(format instanceof Format.Lift) && !hasMovement(body)) {
            rules.error("nothing to do", BodyReader.A_MOVEMENT);
        }
        if (format instanceof Format.Lift && hasMovement(body)) {
            rules.error(
                    "movements in a max-lift window",
                    "only the lift, after \"best of\", and a part of its own for other work");
        }
        if (body.stream().filter(Repeat.class::isInstance).count() > 1) {
            rules.error("\"repeat\" twice", "one section that goes on until the end");
        }
        if (format instanceof Format.Every
                && body.stream().allMatch(node -> node instanceof Remark || node instanceof Once)) {
            rules.error("nothing to do in the intervals", BodyReader.A_MOVEMENT);
        }
        boolean open = format instanceof Format.Amrap || body.stream().anyMatch(Repeat.class::isInstance);
        if (open && !hasMovement(untilTheBuzzer(body))) {
            rules.error("nothing to do until the end", BodyReader.A_MOVEMENT);
        }
        if (open && !goesOn(untilTheBuzzer(body))) {
            rules.error("nothing to do in the later rounds", "an amount above zero as the last of the list");
        }
        if (!open) {
            rules.landmarks(body);
        }
        rules.points(body, open);
    }

    private void error(String found, String expected) {
        source.error(new NotationError(source.lastLine(), 1, found, expected));
    }

    private static List<Node> untilTheBuzzer(List<Node> body) {
        return body.stream()
                .filter(Repeat.class::isInstance)
                .map(node -> ((Repeat) node).body())
                .findFirst()
                .orElse(body.stream().filter(node -> !(node instanceof Once)).toList());
    }

    /** Whether something is done however many rounds are. */
    private static boolean goesOn(List<Node> body) {
        return all(body).stream()
                .anyMatch(node -> node instanceof MovementLine line
                        && line.amount().values().stream()
                                .allMatch(amount ->
                                        amount.at(BodyReader.MOST_ROUNDS).signum() > 0));
    }

    /** A cut-off without a round stands for all that is above it; a rest stands between what is done. */
    private void points(List<Node> body, boolean open) {
        for (int i = 0; i < body.size(); i++) {
            Node node = body.get(i);
            boolean above = hasMovement(body.subList(0, i));
            if (node instanceof StagedCap cap && cap.afterRound() == 0 && (!above || open)) {
                error("\"by\" with nothing above it", "it below the movements it is for");
            }
            boolean inTurn = format instanceof Format.Every every && every.inTurn();
            if (node instanceof Rest && !inTurn && !open && (!above || !hasMovement(body.subList(i, body.size())))) {
                error("a rest at the " + (above ? "end" : "start"), "it between two movements");
            }
            boolean pointInside =
                    all(inside(node)).stream().anyMatch(one -> one instanceof StagedCap cap && cap.afterRound() == 0);
            if (pointInside) {
                error("\"by\" inside rounds", "it outside of the rounds, or with \"after round 2\"");
            }
        }
        for (Node node : all(body)) {
            boolean interval = node instanceof Rest rest && rest.ms() == 0;
            if (interval && !(format instanceof Format.Every every && every.inTurn() && body.contains(node))) {
                error("\"rest\" without a time", "how long, like \"rest 1:00\"");
            }
        }
    }

    /** A tie-break alone comes after what stands above it in the same block. */
    private void tieBreaks(List<Node> body) {
        for (int i = 0; i < body.size(); i++) {
            if (body.get(i) instanceof TieBreak tie && tie.afterRound() == 0 && !hasMovement(body.subList(0, i))) {
                error("\"tie-break\" with nothing above it", "it below what it comes after");
            }
            tieBreaks(inside(body.get(i)));
        }
    }

    /** A cut-off or tie-break after a round there is none of would be lost without a word. */
    private void landmarks(List<Node> body) {
        tieBreaks(body);
        for (int i = 0; i < body.size(); i++) {
            for (Node node : withInside(body.get(i))) {
                int after = afterRound(node);
                boolean each = after == TieBreak.EACH_ROUND;
                if ((after > 0 || each) && !counts(body, i, Math.max(1, after))) {
                    error("\"after " + (each ? "each round" : "round " + after) + "\"", expected(body, i));
                }
            }
        }
    }

    private boolean counts(List<Node> body, int at, int round) {
        return switch (format) {
            case Format.Every every -> round <= every.times();
            case Format.Amrap amrap -> countedBy(body, at, round).isPresent() || repeatsWhole(body);
            default -> countedBy(body, at, round).isPresent();
        };
    }

    /** Whether an AMRAP is rounds of all that stands there. */
    private static boolean repeatsWhole(List<Node> body) {
        return body.stream().noneMatch(node -> node instanceof Repeat || isBlock(node));
    }

    private String expected(List<Node> body, int at) {
        long most = format instanceof Format.Every every
                ? every.times()
                : isBlock(body.get(at))
                        ? rounds(body.get(at))
                        : body.stream().mapToLong(BodyRules::rounds).max().orElse(0);
        return most == 0 ? "rounds for it to come after" : "a round up to " + most;
    }

    /** The round a cut-off or tie-break comes after; 0 for all other lines. */
    static int afterRound(Node node) {
        return switch (node) {
            case StagedCap cap -> cap.afterRound();
            case TieBreak tieBreak -> tieBreak.afterRound();
            default -> 0;
        };
    }

    /**
     * The block whose rounds a cut-off or tie-break counts: the one it is written in; outside blocks the nearest above it that has so
     * many rounds, else the nearest below.
     *
     * @param at which line of the body it is, or is written in
     */
    static Optional<Node> countedBy(List<Node> body, int at, int round) {
        if (isBlock(body.get(at))) {
            return Optional.of(body.get(at)).filter(block -> round <= rounds(block));
        }
        List<Node> near = new ArrayList<>(body.subList(0, at).reversed());
        near.addAll(body.subList(at, body.size()));
        return near.stream()
                .filter(node -> isBlock(node) && round <= rounds(node))
                .findFirst();
    }

    private static boolean isBlock(Node node) {
        return node instanceof Rounds || node instanceof FreeOrder;
    }

    /** How many rounds a block has; what may be cut as one likes may have as many as one likes. */
    private static long rounds(Node block) {
        return switch (block) {
            case Rounds rounds -> rounds.count().at(1).longValue();
            case FreeOrder free -> BodyReader.MOST_ROUNDS;
            default -> 0;
        };
    }

    /** A node and everything in it. */
    static List<Node> withInside(Node node) {
        List<Node> nodes = new ArrayList<>(List.of(node));
        nodes.addAll(all(inside(node)));
        return nodes;
    }

    private static List<Node> all(List<Node> body) {
        List<Node> nodes = new ArrayList<>();
        for (Node node : body) {
            nodes.add(node);
            nodes.addAll(all(inside(node)));
        }
        return nodes;
    }

    static List<Node> inside(Node node) {
        return switch (node) {
            case Rounds rounds -> rounds.body();
            case Repeat repeat -> repeat.body();
            case Once once -> once.body();
            case FreeOrder free -> free.body();
            case MovementLine line -> List.of();
            case StagedCap cap -> List.of();
            case Rest rest -> List.of();
            case TieBreak tieBreak -> List.of();
            case Remark remark -> List.of();
        };
    }

    private static boolean hasMovement(List<Node> body) {
        return all(body).stream().anyMatch(MovementLine.class::isInstance);
    }
}
