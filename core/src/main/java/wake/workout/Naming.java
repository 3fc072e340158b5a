package wake.workout;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import wake.units.Unit;
import wake.workout.Lap.Block;
import wake.workout.Segment.Line;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Part;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rounds;

/** What the lines and blocks of a part are called in one division, each so that it differs from the others. */
final class Naming {
    private static final List<String> ORDINALS = List.of("first", "second", "third", "fourth", "fifth", "sixth");

    private final int division;
    private final boolean inPairs;
    private final Block whole;
    private final Map<MovementLine, Line> lines = new IdentityHashMap<>();
    private final Map<Node, Block> blocks = new IdentityHashMap<>();
    private final Map<MovementLine, Block> pieces = new IdentityHashMap<>();

    Naming(Part part, int division) {
        this.division = division;
        this.inPairs = part.format().inPairs();
        this.whole = new Block(0, "", false, inPairs);
        name(Workout.lines(part));
        List<Node> all = new ArrayList<>();
        collect(part.body(), all);
        all.forEach(block -> blocks.put(block, new Block(blocks.size() + 1, "", false, inPairs)));
        outermost(part.body());
        for (MovementLine line : Workout.lines(part)) {
            if (line.piece().isPresent()) {
                pieces.put(
                        line,
                        new Block(blocks.size() + pieces.size() + 1, line(line).name(), true, false));
            }
        }
    }

    Line line(MovementLine line) {
        return lines.getOrDefault(line, new Line(-1, "", ""));
    }

    /** Of a node that is done several times over; of the part itself where all of it is. */
    Block block(Node node) {
        return blocks.getOrDefault(node, whole);
    }

    /** The pieces of a line that is done in such. */
    Block pieces(MovementLine line) {
        return pieces.getOrDefault(line, whole);
    }

    Block whole() {
        return whole;
    }

    /** By identity: two equal lines of one part are two lines. */
    private void name(List<MovementLine> written) {
        Map<String, List<MovementLine>> comparable = new LinkedHashMap<>();
        for (MovementLine line : written) {
            comparable
                    .computeIfAbsent(movement(line), name -> new ArrayList<>())
                    .add(line);
        }
        for (int i = 0; i < written.size(); i++) {
            MovementLine line = written.get(i);
            List<MovementLine> group = comparable.getOrDefault(movement(line), List.of());
            lines.put(line, group.size() == 1 ? new Line(i, movement(line), "") : apart(i, line, group));
        }
    }

    /** The name of a line among those of the same movement: by its note, its amount, its load, else by its place. */
    private Line apart(int index, MovementLine line, List<MovementLine> group) {
        if (distinguishes(one -> movement(one) + " (" + one.note().strip() + ")", group)) {
            String note = line.note().strip();
            return new Line(index, movement(line) + " (" + note + ")", note);
        }
        List<Function<MovementLine, String>> candidates = List.of(
                one -> amount(one) + " " + movement(one),
                one -> movement(one) + " @ " + load(one),
                one -> amount(one) + " " + movement(one) + " @ " + load(one));
        for (Function<MovementLine, String> candidate : candidates) {
            if (distinguishes(candidate, group)) {
                return new Line(index, candidate.apply(line), "");
            }
        }
        int place = 0;
        while (group.get(place) != line) {
            place++;
        }
        String which = place < ORDINALS.size() ? ORDINALS.get(place) : (place + 1) + "th";
        return new Line(index, which + " " + movement(line), which);
    }

    private boolean distinguishes(Function<MovementLine, String> candidate, List<MovementLine> group) {
        List<String> names = group.stream().map(candidate).toList();
        return new HashSet<>(names).size() == names.size()
                && names.stream().noneMatch(name -> name.endsWith("()") || name.endsWith("@ "));
    }

    private String movement(MovementLine line) {
        return line.movement().in(division);
    }

    private String amount(MovementLine line) {
        Unit counted = line.unit(division);
        String unit = counted == Unit.REP ? "" : " " + counted.symbol();
        return line.amount().in(division).at(1).toPlainString() + unit;
    }

    private String load(MovementLine line) {
        return line.loads().stream()
                .map(load -> load.in(division, 1).toString())
                .collect(Collectors.joining(", "));
    }

    private void outermost(List<Node> body) {
        List<Node> outer = new ArrayList<>();
        for (Node node : body) {
            switch (node) {
                case Once once ->
                    outer.addAll(once.body().stream().filter(Naming::isBlock).toList());
                default -> {
                    if (isBlock(node)) {
                        outer.add(node);
                    }
                }
            }
        }
        if (outer.size() < 2) {
            return;
        }
        Map<String, Integer> seen = new LinkedHashMap<>();
        for (Node node : outer) {
            String name = movements(node);
            int before = seen.merge(name, 1, Integer::sum) - 1;
            String known = before == 0 ? name : name + " (section " + (before + 1) + ")";
            blocks.put(node, new Block(block(node).index(), known, false, inPairs));
        }
    }

    private String movements(Node block) {
        List<MovementLine> inside = new ArrayList<>();
        lines(block, inside);
        return Block.named(inside.stream().map(this::movement).distinct().toList());
    }

    private static boolean isBlock(Node node) {
        return node instanceof Rounds || node instanceof Repeat || node instanceof FreeOrder;
    }

    private static void collect(List<Node> body, List<Node> into) {
        for (Node node : body) {
            if (isBlock(node)) {
                into.add(node);
            }
            collect(inside(node), into);
        }
    }

    private static void lines(Node node, List<MovementLine> into) {
        if (node instanceof MovementLine line) {
            into.add(line);
        }
        inside(node).forEach(inner -> lines(inner, into));
    }

    private static List<Node> inside(Node node) {
        return BodyRules.inside(node);
    }
}
