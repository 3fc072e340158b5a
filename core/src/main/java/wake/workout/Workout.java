package wake.workout;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wake.units.InvalidInput;
import wake.units.Quantity;
import wake.units.Unit;

/**
 * One prescription, as it stands on the whiteboard.
 *
 * @param title its name
 * @param titleNote the comment behind the title, or empty
 * @param preface comment lines between title and the first part
 * @param divisions the divisions in order; empty when everybody does the same
 * @param sections its parts, and the rests between them
 */
public record Workout(
        String title, String titleNote, List<String> preface, List<String> divisions, List<Section> sections) {
    public Workout {
        preface = List.copyOf(preface);
        divisions = List.copyOf(divisions);
        sections = List.copyOf(sections);
    }

    /** A part, or the rest between two. */
    public sealed interface Section {}

    /**
     * A clock over a structure of movements.
     *
     * @param name "A", "B" …; empty when the workout has one part only
     * @param format how it is timed and scored
     * @param note the comment behind the format, or empty
     * @param body what is done
     */
    public record Part(String name, Format format, String note, List<Node> body) implements Section {
        public Part {
            body = List.copyOf(body);
        }

        /** The same work, timed otherwise. */
        Part timed(Format other) {
            return new Part(name, other, note, body);
        }
    }

    /** A fixed rest between two parts. */
    public record Pause(long ms, String note) implements Section {}

    /**
     * When the part below starts, whenever the one above was done: {@code from 7:00}, on one clock that runs from the start of the first
     * part.
     */
    public record Start(long ms, String note) implements Section {}

    /** One line of the body, with what belongs to it. */
    public sealed interface Node {}

    /** {@code n rounds:} of what is below it; in a round of an outer block the count may differ, as in {@code 1-2-3 rounds:}. */
    public record Rounds(Series count, String note, List<Node> body) implements Node {
        public Rounds {
            body = List.copyOf(body);
        }
    }

    /** {@code repeat:} what is below it until the buzzer. */
    public record Repeat(String note, List<Node> body) implements Node {
        public Repeat {
            body = List.copyOf(body);
        }
    }

    /** What is done once, before or after the rest of the part. */
    public record Once(When when, String note, List<Node> body) implements Node {
        public Once {
            body = List.copyOf(body);
        }
    }

    /** Where in a part something is done once. */
    public enum When {
        BUY_IN("buy-in"),
        CASH_OUT("cash-out");

        private final String keyword;

        When(String keyword) {
            this.keyword = keyword;
        }

        String keyword() {
            return keyword;
        }
    }

    /** {@code in any order:} – the athlete may cut these lines into rounds as they like. */
    public record FreeOrder(String note, List<Node> body) implements Node {
        public FreeOrder {
            body = List.copyOf(body);
        }
    }

    /**
     * {@code by 8:00 after round 3} – whoever has not finished that round by then stops; {@code by 8:00} alone – nor all that stands above it.
     *
     * @param afterRound 0 for all that stands above it
     */
    public record StagedCap(long byMs, int afterRound, String note) implements Node {}

    /**
     * {@code rest 1:00} – nothing is done for so long, whoever comes early or late; {@code rest} alone, of intervals whose lines take turns – one
     * interval long.
     *
     * @param ms how long; 0 for an interval
     */
    public record Rest(long ms, String note) implements Node {}

    /**
     * {@code tie-break}, {@code tie-break after round 3}, {@code tie-break after each round} – the clock there decides between equal scores.
     *
     * @param afterRound after which round; 0 for what stands above it, {@link #EACH_ROUND} for every one
     */
    public record TieBreak(int afterRound, String note) implements Node {
        public static final int EACH_ROUND = -1;
    }

    /**
     * A movement with its amount and loads.
     *
     * @param amount how much, by round and division
     * @param units what the amount counts, by division
     * @param piece into what lengths a distance is cut, in its unit, each done and counted by itself; empty where it is done in one
     * @param movement by division, its name as the catalogue has it, or as written when it is not in there
     * @param sides whether the amount is for each side, or sides take turns
     * @param counting what it counts in the score, where that is not the default
     * @param loads loads, heights and the like behind the {@code @}
     * @param note the comment behind it, or empty
     */
    public record MovementLine(
            PerDivision<Series> amount,
            PerDivision<Unit> units,
            Optional<BigDecimal> piece,
            PerDivision<String> movement,
            Sides sides,
            Optional<Counting> counting,
            List<LoadSpec> loads,
            String note)
            implements Node {
        public MovementLine {
            loads = List.copyOf(loads);
        }

        /** Whether it asks for one only, whatever the round. */
        boolean isOne(int division) {
            return amount.in(division) instanceof Series.Fixed fixed
                    && fixed.value().compareTo(BigDecimal.ONE) == 0;
        }

        /** What the amount counts in a division. */
        public Unit unit(int division) {
            return units.in(division);
        }
    }

    /** How a movement treats left and right. */
    public enum Sides {
        BOTH(""),
        EACH(", each side"),
        ALTERNATING(", alternating");

        private final String written;

        Sides(String written) {
            this.written = written;
        }

        String written() {
            return written;
        }
    }

    /**
     * {@code counts 1}, or {@code counts 1 per 5 ft}.
     *
     * @param points what is counted
     * @param per for how much of the amount; the whole of it when 0
     */
    public record Counting(int points, int per) {}

    /** A comment on a line of its own. */
    public record Remark(String text) implements Node {}

    /**
     * A load or height, by round and division.
     *
     * @param units kilograms or pounds of one and the other, by division
     * @param times how many of them: 2 of {@code 2x22.5 kg}
     */
    public record LoadSpec(PerDivision<Series> values, PerDivision<Unit> units, int times) {
        /** A load as it is in a round and a division. */
        Quantity in(int division, int round) {
            return new Quantity(values.in(division).at(round), units.in(division));
        }
    }

    /**
     * A scored part by its place, from 0.
     *
     * @throws InvalidInput when there are not so many
     */
    public Part partAt(int place) {
        List<Part> parts = parts();
        if (place < 0 || place >= parts.size()) {
            throw new InvalidInput("There is no part " + (place + 1) + " in " + title + "; it has " + parts.size());
        }
        return parts.get(place);
    }

    /** The scored parts, in order. */
    public List<Part> parts() {
        List<Part> parts = new ArrayList<>();
        for (Section section : sections) {
            switch (section) {
                case Part part -> parts.add(part);
                case Pause pause -> {}
                case Start start -> {}
            }
        }
        return parts;
    }

    /** The movement lines of a part from top to bottom; their places in this list are the {@code lineIndex} of segments. */
    public static List<MovementLine> lines(Part part) {
        List<MovementLine> lines = new ArrayList<>();
        collect(part.body(), lines);
        return lines;
    }

    private static void collect(List<Node> nodes, List<MovementLine> into) {
        for (Node node : nodes) {
            switch (node) {
                case MovementLine line -> into.add(line);
                case Rounds rounds -> collect(rounds.body(), into);
                case Repeat repeat -> collect(repeat.body(), into);
                case Once once -> collect(once.body(), into);
                case FreeOrder free -> collect(free.body(), into);
                case StagedCap cap -> {}
                case Rest rest -> {}
                case TieBreak tieBreak -> {}
                case Remark remark -> {}
            }
        }
    }

    /**
     * The place of a division by name; the first one when the workout has no divisions and none is asked for.
     *
     * @throws InvalidInput where there is no division of that name
     */
    public int division(String name) {
        if (divisions.isEmpty() && name.isEmpty()) {
            return 0;
        }
        int place = divisions.indexOf(name);
        if (place < 0) {
            throw new InvalidInput("No division \"" + name + "\" in " + title + "; it has "
                    + (divisions.isEmpty() ? "none" : String.join(", ", divisions)));
        }
        return place;
    }
}
