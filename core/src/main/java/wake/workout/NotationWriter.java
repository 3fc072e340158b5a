package wake.workout;

import java.util.List;
import java.util.stream.Collectors;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.Workout.Format;
import wake.workout.Workout.LoadSpec;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Rounds;

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
        writer.line(0, written(workout.part().format()), workout.part().note());
        writer.body(1, workout.part().body());
        return writer.text.toString();
    }

    /** A movement line as it stands on the whiteboard, without its comment. */
    public static String write(MovementLine line) {
        String unit = line.unit() == Unit.REP ? "" : line.unit().symbol() + " ";
        String loads = line.loads().stream().map(NotationWriter::load).collect(Collectors.joining(", "));
        return line.amount().written(Series::written) + " " + unit + line.movement()
                + (loads.isEmpty() ? "" : " @ " + loads);
    }

    private static String load(LoadSpec load) {
        return load.values().written(Series::written) + " " + load.unit().symbol();
    }

    /** "for time, cap 14:00". */
    public static String written(Format format) {
        return switch (format) {
            case Format.ForTime time ->
                "for time"
                        + (time.capMs().isPresent()
                                ? ", cap "
                                        + ClockTime.of(time.capMs().getAsLong()).toSeconds()
                                : "");
        };
    }

    private void body(int depth, List<Node> nodes) {
        for (Node node : nodes) {
            switch (node) {
                case MovementLine line -> line(depth, write(line), line.note());
                case Remark remark -> line(depth, "", remark.text());
                case Rounds rounds -> {
                    line(depth, rounds.count() + (rounds.count() == 1 ? " round:" : " rounds:"), rounds.note());
                    body(depth + 1, rounds.body());
                }
            }
        }
    }

    private void line(int depth, String statement, String comment) {
        text.append("  ".repeat(depth)).append(statement);
        if (!comment.isEmpty() || statement.isEmpty()) {
            text.append(statement.isEmpty() ? "//" : "  //").append(comment.isEmpty() ? "" : " " + comment);
        }
        text.append('\n');
    }
}
