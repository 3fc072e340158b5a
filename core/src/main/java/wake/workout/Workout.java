package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import wake.units.Unit;

/**
 * One prescription, as it stands on the whiteboard.
 *
 * @param title its name
 * @param titleNote the comment behind the title, or empty
 * @param preface comment lines between title and format
 * @param divisions the divisions in order; empty when everybody does the same
 * @param part the clock and what is done under it
 */
public record Workout(String title, String titleNote, List<String> preface, List<String> divisions, Part part) {
    public Workout {
        preface = List.copyOf(preface);
        divisions = List.copyOf(divisions);
    }

    /** A clock over a structure of movements. */
    public record Part(Format format, String note, List<Node> body) {
        public Part {
            body = List.copyOf(body);
        }
    }

    /** How the part is timed and scored. */
    public sealed interface Format {
        /** All the work as fast as possible; with a cap, the clock stops there and what is missing counts. */
        record ForTime(OptionalLong capMs) implements Format {}
    }

    /** One line of the body, with what belongs to it. */
    public sealed interface Node {}

    /** {@code n rounds:} of what is below it. */
    public record Rounds(int count, String note, List<Node> body) implements Node {
        public Rounds {
            body = List.copyOf(body);
        }
    }

    /**
     * A movement with its amount and loads.
     *
     * @param amount how much, by round and division
     * @param unit what the amount counts
     * @param movement its name as the catalogue has it, or as written when it is not in there
     * @param loads loads, heights and the like behind the {@code @}
     * @param note the comment behind it, or empty
     */
    public record MovementLine(
            PerDivision<Series> amount, Unit unit, String movement, List<LoadSpec> loads, String note) implements Node {
        public MovementLine {
            loads = List.copyOf(loads);
        }
    }

    /** A comment on a line of its own. */
    public record Remark(String text) implements Node {}

    /** A load or height, by round and division. */
    public record LoadSpec(PerDivision<Series> values, Unit unit) {}

    /** The movement lines from top to bottom; their places in this list are the {@code lineIndex} of segments. */
    public List<MovementLine> lines() {
        List<MovementLine> lines = new ArrayList<>();
        collect(part.body(), lines);
        return lines;
    }

    private static void collect(List<Node> nodes, List<MovementLine> into) {
        for (Node node : nodes) {
            switch (node) {
                case MovementLine line -> into.add(line);
                case Rounds rounds -> collect(rounds.body(), into);
                case Remark remark -> {}
            }
        }
    }

    /** The place of a division by name; the first one when the workout has no divisions and none is asked for. */
    public int division(String name) {
        if (divisions.isEmpty() && name.isEmpty()) {
            return 0;
        }
        int place = divisions.indexOf(name);
        if (place < 0) {
            throw new IllegalArgumentException("No division \"" + name + "\" in " + title + "; it has "
                    + (divisions.isEmpty() ? "none" : String.join(", ", divisions)));
        }
        return place;
    }
}
