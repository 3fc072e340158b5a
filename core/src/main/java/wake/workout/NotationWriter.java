package wake.workout;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
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
import wake.workout.Workout.TieBreak;

/** Writes a workout as notation, in the one form that {@link NotationReader} reads back as the same workout. */
public final class NotationWriter {
    private final StringBuilder text = new StringBuilder();

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

    private void section(Section section) {
        switch (section) {
            case Pause pause -> line(0, "rest " + time(pause.ms()), pause.note());
            case Part part -> {
                String name = part.name().isEmpty() ? "" : "part " + part.name() + ": ";
                line(0, name + part.format().written(), part.note());
                body(1, part.body());
            }
        }
    }

    /** A movement line as it stands on the whiteboard, without its comment. */
    public static String write(MovementLine line) {
        return write(line, value -> value.written(Series::written), names -> String.join(" / ", names.values()));
    }

    /** The same for one division, with its own amount, movement and loads only. */
    public static String write(MovementLine line, int division) {
        return write(line, value -> value.in(division).written(), names -> names.in(division));
    }

    private static String write(
            MovementLine line,
            Function<PerDivision<Series>, String> amount,
            Function<PerDivision<String>, String> movement) {
        String unit = line.unit() == Unit.REP ? "" : line.unit().symbol() + " ";
        String counting =
                line.counting().map(counts -> counting(counts, line.unit())).orElse("");
        String loads = line.loads().stream()
                .map(load -> (load.times() > 1 ? load.times() + "x" : "") + amount.apply(load.values()) + " "
                        + load.unit().symbol())
                .collect(Collectors.joining(", "));
        return amount.apply(line.amount()) + " " + unit
                + movement.apply(line.movement())
                + line.sides().written()
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
                case MovementLine line -> line(depth, write(line), line.note());
                case Remark remark -> line(depth, "", remark.text());
                case StagedCap cap ->
                    line(
                            depth,
                            "by " + time(cap.byMs())
                                    + (cap.afterRound() == 0 ? "" : " after round " + cap.afterRound()),
                            cap.note());
                case Rest rest -> line(depth, rest.ms() == 0 ? "rest" : "rest " + time(rest.ms()), rest.note());
                case TieBreak tie -> line(depth, "tie-break after round " + tie.afterRound(), tie.note());
                case Rounds rounds -> {
                    boolean one = rounds.count().written().equals("1");
                    block(
                            depth,
                            rounds.count().written() + (one ? " round:" : " rounds:"),
                            rounds.note(),
                            rounds.body());
                }
                case Repeat repeat -> block(depth, "repeat:", repeat.note(), repeat.body());
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
            line(depth, keyword + " " + write(line), line.note());
        } else {
            block(depth, keyword, once.note(), once.body());
        }
    }

    private void block(int depth, String opening, String note, List<Node> body) {
        line(depth, opening, note);
        body(depth + 1, body);
    }

    private void line(int depth, String statement, String comment) {
        text.append("  ".repeat(depth)).append(statement);
        if (!comment.isEmpty() || statement.isEmpty()) {
            text.append(statement.isEmpty() ? "//" : "  //").append(comment.isEmpty() ? "" : " " + comment);
        }
        text.append('\n');
    }

    private static String time(long ms) {
        return ClockTime.of(ms).toSeconds();
    }
}
