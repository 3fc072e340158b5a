package wake.api;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Unit;
import wake.workout.Course;
import wake.workout.NotationError;
import wake.workout.NotationReader;
import wake.workout.NotationWriter;
import wake.workout.Segment;
import wake.workout.Workout;
import wake.workout.Workout.MovementLine;

/** Workouts as the interface shows them. */
final class WorkoutViews {
    private WorkoutViews() {}

    /** A workout in the library. */
    record WorkoutView(UUID id, String title, String notation, List<String> divisions, String format, int attempts) {}

    /** What a notation text means, or what is wrong with it. */
    record WorkoutCheck(List<NotationError> errors, List<NotationError> hints, List<BoardView> boards) {}

    /** A workout on the whiteboard, in one division. */
    record BoardView(String division, List<BoardLine> lines, int total) {}

    /** A movement line of the whiteboard, with what it asks for in each round. */
    record BoardLine(
            int lineIndex,
            String written,
            String movement,
            String unit,
            List<String> perRound,
            String goodRep,
            String caution) {}

    static WorkoutCheck check(String notation, Catalogue catalogue) {
        NotationReader.Reading reading = NotationReader.read(notation, catalogue);
        return new WorkoutCheck(
                reading.errors(),
                reading.hints(),
                reading.workout().map(workout -> boards(workout, catalogue)).orElse(List.of()));
    }

    private static List<BoardView> boards(Workout workout, Catalogue catalogue) {
        int count = Math.max(1, workout.divisions().size());
        return IntStream.range(0, count)
                .mapToObj(division -> {
                    Course course = Course.of(workout, division, catalogue);
                    String name = workout.divisions().isEmpty()
                            ? ""
                            : workout.divisions().get(division);
                    return new BoardView(name, lines(workout, course), course.totalScore());
                })
                .toList();
    }

    static List<BoardLine> lines(Workout workout, Course course) {
        List<MovementLine> lines = workout.lines();
        return IntStream.range(0, lines.size())
                .mapToObj(index -> line(lines.get(index), index, course))
                .toList();
    }

    private static BoardLine line(MovementLine line, int index, Course course) {
        List<Segment> segments = course.segments().stream()
                .filter(segment -> segment.lineIndex() == index)
                .toList();
        Movement movement = segments.getFirst().movement();
        String unit = line.unit() == Unit.REP ? "rep" : line.unit().symbol();
        List<String> perRound = segments.stream().map(Segment::label).toList();
        Optional<String> caution = movement.caution();
        return new BoardLine(
                index,
                NotationWriter.write(line),
                movement.name(),
                unit,
                perRound.stream().distinct().count() == 1 ? List.of(perRound.getFirst()) : perRound,
                movement.goodRep(),
                caution.orElse(""));
    }
}
