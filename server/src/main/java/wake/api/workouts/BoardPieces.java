package wake.api.workouts;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wake.api.workouts.WorkoutViews.BoardPiece;
import wake.units.ClockTime;
import wake.workout.Course;
import wake.workout.Format;
import wake.workout.Section;
import wake.workout.Segment;

/** A part of a workout in its larger pieces, as they stand on the whiteboard. */
final class BoardPieces {
    /** How many rounds of an AMRAP show whether and how it grows. */
    private static final int ROUNDS = 3;

    private BoardPieces() {}

    static List<BoardPiece> of(Course course) {
        List<Segment> segments = segments(course);
        List<BoardPiece> pieces = new ArrayList<>();
        for (Section section : Section.of(segments)) {
            List<Segment> own = segments.subList(section.from(), section.to());
            String heading = heading(section, own.getFirst(), course);
            List<Integer> lines =
                    own.stream().map(Segment::lineIndex).distinct().toList();
            List<String> gates = gates(course, own);
            BoardPiece before = pieces.isEmpty() ? null : pieces.getLast();
            if (before != null && heading.isEmpty() && before.heading().isEmpty()) {
                pieces.set(
                        pieces.size() - 1,
                        new BoardPiece("", joined(before.lines(), lines), joined(before.gates(), gates)));
            } else {
                pieces.add(new BoardPiece(heading, lines, gates));
            }
        }
        return List.copyOf(pieces);
    }

    private static List<Segment> segments(Course course) {
        return course.isOpen() ? course.throughRound(ROUNDS) : course.segments();
    }

    private static String heading(Section section, Segment first, Course course) {
        if (first.role() != Segment.Role.MAIN) {
            return first.role().words();
        }
        if (!first.inRounds() || first.lap().block().pieces()) {
            return "";
        }
        if (first.lap().of() == 0) {
            return course.isMost() ? "until time" : "every round, until time";
        }
        if (course.format() instanceof Format.Every) {
            return section.rounds() + " intervals";
        }
        return section.rounds() == 1 ? "1 round" : section.rounds() + " rounds";
    }

    private static List<String> gates(Course course, List<Segment> own) {
        int from = own.getFirst().index();
        int to = own.getLast().index();
        return Stream.concat(
                        course.stages().stream()
                                .filter(stage -> from <= stage.lastIndex() && stage.lastIndex() <= to)
                                .map(stage ->
                                        "by " + ClockTime.of(stage.byMs()).toSeconds() + " after " + stage.words()),
                        course.tieBreaks().stream()
                                .filter(tie -> from <= tie.lastIndex() && tie.lastIndex() <= to)
                                .map(tie -> "tie-break after " + tie.after().words()))
                .toList();
    }

    /** How much there is to count; an AMRAP that grows says so, and one that is scored by its reps. */
    static String counts(Course course) {
        if (!course.isOpen()) {
            int total = course.segments().stream().mapToInt(Segment::score).sum();
            return total == 0 ? "" : total + (total == 1 ? " rep" : " reps");
        }
        int[] through = IntStream.rangeClosed(0, ROUNDS)
                .map(round -> through(course, round))
                .toArray();
        int first = through[1] - through[0];
        int second = through[2] - through[1];
        int third = through[3] - through[2];
        if (first == 0) {
            return "";
        }
        if (course.isMost()) {
            return "every rep counts";
        }
        String score = course.scoresReps() ? ", scored by reps" : "";
        return first == second && second == third
                ? first + (first == 1 ? " rep" : " reps") + " per round" + score
                : first + ", " + second + ", " + third + " … reps by round" + score;
    }

    private static int through(Course course, int round) {
        return course.throughRound(round).stream().mapToInt(Segment::score).sum();
    }

    private static <T> List<T> joined(List<T> before, List<T> after) {
        return Stream.concat(before.stream(), after.stream()).toList();
    }
}
