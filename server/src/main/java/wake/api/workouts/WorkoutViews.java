package wake.api.workouts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.ClockTime;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;
import wake.workout.NotationWriter;
import wake.workout.RunningClock;
import wake.workout.Segment;
import wake.workout.Workout;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Part;

/** Workouts as the interface shows them. */
public final class WorkoutViews {
    private WorkoutViews() {}

    /** A workout in the library. */
    public record WorkoutView(
            UUID id,
            String title,
            String notation,
            List<String> divisions,
            List<PartView> parts,
            String format,
            boolean archived,
            int attempts) {}

    /** A part of a workout; whether it has something to be cut into rounds as the athlete likes. */
    public record PartView(String name, String format, boolean cuttable) {}

    /**
     * What a notation text means, or what is wrong with it.
     *
     * @param notes what is noted over all parts
     * @param tidy the text in the words and with the indents of the notation, where something of it had to be understood
     */
    public record WorkoutCheck(
            List<NotationProblem> errors,
            List<NotationProblem> hints,
            List<BoardView> boards,
            List<String> notes,
            @Nullable String tidy) {}

    /**
     * A part of a workout on the whiteboard, in one division.
     *
     * @param starts when it starts, where the workout says: "from 7:00 on the running clock"; else empty
     * @param pieces its larger pieces in order, each with its heading and the places of its lines among the lines
     * @param notes what is noted at the part and at lines of it that are no movements
     * @param counts how much there is to count: "108 to count", of one round where that repeats, round by round where it grows
     */
    public record BoardView(
            String part,
            String format,
            String starts,
            String division,
            List<BoardLine> lines,
            List<BoardPiece> pieces,
            List<String> notes,
            boolean open,
            String counts,
            double metres,
            double movedKg) {}

    /** A larger piece of a part: "4 rounds", "buy-in", or nothing over it; and the clocks it has to be done by. */
    public record BoardPiece(String heading, List<Integer> lines, List<String> cutOffs) {}

    /**
     * A movement line of the whiteboard, with what it asks for in each round.
     *
     * @param unknown what it means that the catalogue does not know the movement; null where it does
     * @param notes the rest that is prescribed before it, the rounds it is left out of, and what is noted beside it
     */
    public record BoardLine(
            int lineIndex,
            String written,
            String movement,
            String unit,
            List<String> perRound,
            String goodRep,
            String caution,
            @Nullable String unknown,
            List<String> notes) {}

    public static WorkoutCheck check(String notation, Catalogue catalogue) {
        NotationReader.Reading reading = NotationReader.read(notation, catalogue);
        return new WorkoutCheck(
                NotationProblem.of(reading.errors()),
                NotationProblem.of(reading.hints()),
                reading.workout().map(workout -> boards(workout, catalogue)).orElse(List.of()),
                reading.workout().map(NotationWriter::notes).orElse(List.of()),
                reading.workout()
                        .filter(workout -> reading.understood())
                        .map(NotationWriter::write)
                        .orElse(null));
    }

    private static List<BoardView> boards(Workout workout, Catalogue catalogue) {
        int count = Math.max(1, workout.divisions().size());
        return workout.parts().stream()
                .flatMap(part ->
                        IntStream.range(0, count).mapToObj(division -> board(workout, part, division, catalogue)))
                .toList();
    }

    private static BoardView board(Workout workout, Part part, int division, Catalogue catalogue) {
        ExpandedWorkout expanded = ExpandedWorkout.of(part, division, catalogue, 1);
        List<Segment> pass = expanded.throughRound(1);
        return new BoardView(
                part.name(),
                part.format().written(),
                RunningClock.words(workout, part),
                workout.divisions().isEmpty() ? "" : workout.divisions().get(division),
                lines(part, expanded, catalogue),
                BoardPieces.of(expanded),
                NotationWriter.notes(workout, part),
                expanded.isOpen(),
                BoardPieces.counts(expanded),
                pass.stream().mapToDouble(Segment::metres).sum(),
                pass.stream().mapToDouble(Segment::movedKilograms).sum());
    }

    public static List<PartView> parts(Workout workout) {
        return workout.parts().stream()
                .map(part -> new PartView(
                        part.name(),
                        part.format().written(),
                        part.body().stream().anyMatch(Workout.FreeOrder.class::isInstance)))
                .toList();
    }

    public static List<BoardLine> lines(Part part, ExpandedWorkout expanded, Catalogue catalogue) {
        List<MovementLine> lines = Workout.lines(part);
        return IntStream.range(0, lines.size())
                .mapToObj(index -> line(lines.get(index), index, expanded, catalogue))
                .toList();
    }

    private static BoardLine line(MovementLine line, int index, ExpandedWorkout expanded, Catalogue catalogue) {
        List<Segment> segments = expanded.segments().stream()
                .filter(segment -> segment.lineIndex() == index)
                .toList();
        Movement movement = expanded.movement(line);
        String unit =
                expanded.unit(line) == Unit.REP ? "rep" : expanded.unit(line).symbol();
        List<String> perRound = expanded.asks(index);
        Optional<String> caution = movement.caution();
        return new BoardLine(
                index,
                expanded.written(line),
                movement.name(),
                unit,
                perRound.stream().distinct().toList(),
                movement.goodRep(),
                caution.orElse(""),
                unknown(movement, expanded.unit(line), catalogue),
                notes(line, segments, expanded));
    }

    private static @Nullable String unknown(Movement movement, Unit unit, Catalogue catalogue) {
        if (catalogue.find(movement.name()).isPresent()) {
            return null;
        }
        return catalogue
                .kinOf(movement.name(), unit)
                .map(kin -> "new movement: planned like " + kin.name()
                        + (movement.of().isEmpty() ? ", without its maxes" : ""))
                .orElse("new movement: its rate is a guess");
    }

    private static List<String> notes(MovementLine line, List<Segment> segments, ExpandedWorkout expanded) {
        List<String> notes = new ArrayList<>();
        segments.stream()
                .filter(segment -> segment.restBeforeMs() > 0)
                .findFirst()
                .map(first ->
                        "after a rest of " + ClockTime.of(first.restBeforeMs()).toSeconds()
                                + (first.equals(segments.getFirst())
                                        ? ""
                                        : ", from round " + first.lap().number() + " on"))
                .ifPresent(notes::add);
        List<String> without =
                expanded.roundsWithout(line).stream().map(String::valueOf).toList();
        if (!without.isEmpty()) {
            notes.add("not in round " + String.join(", ", without));
        }
        if (!line.note().isEmpty()) {
            notes.add(line.note());
        }
        return notes;
    }
}
