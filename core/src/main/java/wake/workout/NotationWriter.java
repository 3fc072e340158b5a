package wake.workout;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.Workout.Counting;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Part;
import wake.workout.Workout.Pause;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rest;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.Section;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.Start;
import wake.workout.Workout.TieBreak;

/** Writes a workout as notation, in the one form that {@link NotationReader} reads back as the same workout. */
public final class NotationWriter {
    private final StringBuilder text = new StringBuilder();
    /** What is noted at lines that are no movements. */
    private final List<String> notes = new ArrayList<>();

    private NotationWriter() {}

    public static String write(Workout workout) {
        NotationWriter writer = new NotationWriter();
        writer.line(0, "# " + workout.title(), workout.titleNote());
        workout.preface().forEach(remark -> writer.line(0, "", remark));
        if (!workout.divisions().isEmpty()) {
            writer.line(0, "divisions: " + String.join(" / ", workout.divisions()), "");
        }
        workout.sections().forEach(writer::section);
        return writer.text.toString();
    }

    /**
     * What is noted at the lines of a part that are no movements, and at the rest or start above it: "3 rounds: steady". What is noted at a
     * movement stands with that.
     *
     * @throws IllegalArgumentException where the part is none of the workout
     */
    public static List<String> notes(Workout workout, Part part) {
        NotationWriter writer = new NotationWriter();
        for (Section section : workout.sections()) {
            writer.section(section);
            if (section.equals(part)) {
                return writer.notes;
            }
            if (section instanceof Part) {
                writer.notes.clear();
            }
        }
        throw new IllegalArgumentException("No part " + part.name() + " in " + workout.title());
    }

    /** What is noted above all parts: beside the title, and on lines of its own below it. */
    public static List<String> notes(Workout workout) {
        return Stream.concat(Stream.of(workout.titleNote()), workout.preface().stream())
                .filter(note -> !note.isBlank())
                .toList();
    }

    private void section(Section section) {
        switch (section) {
            case Pause pause -> line(0, "rest " + time(pause.ms()), pause.note());
            case Start start -> line(0, "from " + time(start.ms()), start.note());
            case Part part -> {
                String name = part.name().isEmpty() ? "" : "part " + part.name() + ": ";
                note("", part.note());
                movement(0, name + part.format().written(), part.note());
                body(1, part.body());
            }
        }
    }

    /** A movement line as it stands on the whiteboard, without its comment. */
    public static String write(MovementLine line) {
        return measured(line.amount(), line.units()) + what(line, line.units(), new All());
    }

    /** The same for one division, with its own amount, movement and loads only. */
    public static String write(MovementLine line, int division) {
        One one = new One(division);
        return measured(one.of(line.amount()), one.of(line.units())) + what(line, one.of(line.units()), one);
    }

    /** What of a line is written: for all divisions, or for one. */
    private sealed interface Whose {
        <T> PerDivision<T> of(PerDivision<T> all);
    }

    private record All() implements Whose {
        @Override
        public <T> PerDivision<T> of(PerDivision<T> all) {
            return all;
        }
    }

    private record One(int division) implements Whose {
        @Override
        public <T> PerDivision<T> of(PerDivision<T> all) {
            return PerDivision.same(all.in(division));
        }
    }

    /** "12 ", "50/60 cal ", "25 ft / 15 m ". */
    private static String measured(PerDivision<Series> amounts, PerDivision<Unit> units) {
        List<String> each = IntStream.range(0, amounts.values().size())
                .mapToObj(i -> amounts.values().get(i).written())
                .toList();
        if (units.values().size() == 1) {
            return String.join("/", each) + " " + symbol(units.values().getFirst());
        }
        return IntStream.range(0, units.values().size())
                        .mapToObj(
                                i -> amounts.in(i).written() + " " + units.in(i).symbol())
                        .collect(Collectors.joining(" / "))
                + " ";
    }

    private static String symbol(Unit unit) {
        return unit == Unit.REP ? "" : unit.symbol() + " ";
    }

    /** All of a line behind its amount. */
    private static String what(MovementLine line, PerDivision<Unit> units, Whose whose) {
        Unit unit = units.values().getFirst();
        String counting = line.counting().map(counts -> counting(counts, unit)).orElse("");
        String pieces = line.piece()
                .map(piece -> ", in " + piece.toPlainString() + " " + unit.symbol())
                .orElse("");
        String loads = line.loads().stream()
                .map(load -> (load.times() > 1 ? load.times() + "x" : "")
                        + measured(whose.of(load.values()), whose.of(load.units()))
                                .strip())
                .collect(Collectors.joining(", "));
        return String.join(" / ", whose.of(line.movement()).values())
                + line.sides().written()
                + pieces
                + counting
                + (loads.isEmpty() ? "" : " @ " + loads);
    }

    private static String counting(Counting counting, Unit unit) {
        return ", counts " + counting.points()
                + (counting.per() == 0 ? "" : " per " + counting.per() + " " + unit.symbol());
    }

    private void body(int depth, List<Node> nodes) {
        for (Node node : nodes) {
            switch (node) {
                case MovementLine line -> movement(depth, write(line), line.note());
                case Remark remark -> line(depth, "", remark.text());
                case StagedCap cap ->
                    line(
                            depth,
                            "by " + time(cap.byMs())
                                    + (cap.afterRound() == 0 ? "" : " after round " + cap.afterRound()),
                            cap.note());
                case Rest rest -> line(depth, rest.ms() == 0 ? "rest" : "rest " + time(rest.ms()), rest.note());
                case TieBreak tie -> line(depth, "tie-break" + after(tie), tie.note());
                case Rounds rounds -> {
                    boolean one = rounds.count().written().equals("1");
                    block(
                            depth,
                            rounds.count().written() + (one ? " round:" : " rounds:"),
                            rounds.note(),
                            rounds.body());
                }
                case Repeat repeat -> repeat(depth, repeat);
                case FreeOrder free -> block(depth, "in any order:", free.note(), free.body());
                case Once once -> once(depth, once);
            }
        }
    }

    private void once(int depth, Once once) {
        String keyword = once.when().keyword() + ":";
        boolean inline =
                once.note().isEmpty() && once.body().size() == 1 && once.body().getFirst() instanceof MovementLine;
        if (inline && once.body().getFirst() instanceof MovementLine line) {
            movement(depth, keyword + " " + write(line), line.note());
        } else {
            block(depth, keyword, once.note(), once.body());
        }
    }

    /** "max burpee" where it is one of one movement. */
    private void repeat(int depth, Repeat repeat) {
        boolean most = repeat.note().isEmpty()
                && repeat.body().size() == 1
                && repeat.body().getFirst() instanceof MovementLine one
                && one.amount().values().size() == 1
                && one.units().values().size() == 1
                && one.isOne(0);
        if (most && repeat.body().getFirst() instanceof MovementLine one) {
            String unit = symbol(one.units().values().getFirst());
            movement(depth, LineReader.MAX + " " + unit + what(one, one.units(), new All()), one.note());
        } else {
            block(depth, "repeat:", repeat.note(), repeat.body());
        }
    }

    private void block(int depth, String opening, String note, List<Node> body) {
        line(depth, opening, note);
        body(depth + 1, body);
    }

    private void line(int depth, String statement, String comment) {
        note(statement.isEmpty() ? "" : statement.replaceFirst(":$", "") + ": ", comment);
        movement(depth, statement, comment);
    }

    private void note(String of, String comment) {
        if (!comment.isEmpty()) {
            notes.add(of + comment);
        }
    }

    /** A line whose note is said beside what it is a note of. */
    private void movement(int depth, String statement, String comment) {
        text.append("  ".repeat(depth)).append(statement);
        if (!comment.isEmpty() || statement.isEmpty()) {
            text.append(statement.isEmpty() ? "//" : "  //").append(comment.isEmpty() ? "" : " " + comment);
        }
        text.append('\n');
    }

    private static String time(long ms) {
        return ClockTime.of(ms).toSeconds();
    }

    private static String after(TieBreak tie) {
        return switch (tie.afterRound()) {
            case 0 -> "";
            case TieBreak.EACH_ROUND -> " after each round";
            default -> " after round " + tie.afterRound();
        };
    }
}
