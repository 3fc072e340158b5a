package wake.api.workouts;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wake.api.workouts.WorkoutViews.BoardPiece;
import wake.units.ClockTime;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.Section;
import wake.workout.Segment;

/** A part of a workout in its larger pieces, as they stand on the whiteboard. */
final class BoardPieces {
    /** How many rounds of an AMRAP show whether and how it grows. */
    private static final int ROUNDS = 3;

    private BoardPieces() {}

    static List<BoardPiece> of(ExpandedWorkout expanded) {
        List<Segment> segments = segments(expanded);
        List<BoardPiece> pieces = new ArrayList<>();
        for (Section section : Section.of(segments)) {
            List<Segment> own = segments.subList(section.from(), section.to());
            String heading = heading(section, own.getFirst(), expanded);
            List<Integer> lines =
                    own.stream().map(Segment::lineIndex).distinct().toList();
            List<String> cutOffs = cutOffs(expanded, own);
            BoardPiece before = pieces.isEmpty() ? null : pieces.getLast();
            if (before != null && heading.isEmpty() && before.heading().isEmpty()) {
                pieces.set(
                        pieces.size() - 1,
                        new BoardPiece("", joined(before.lines(), lines), joined(before.cutOffs(), cutOffs)));
            } else {
                pieces.add(new BoardPiece(heading, lines, cutOffs));
            }
        }
        return List.copyOf(pieces);
    }

    private static List<Segment> segments(ExpandedWorkout expanded) {
        return expanded.isOpen() ? expanded.throughRound(ROUNDS) : expanded.segments();
    }

    private static String heading(Section section, Segment first, ExpandedWorkout expanded) {
        if (first.role() != Segment.Role.MAIN) {
            return first.role().words();
        }
        if (!first.inRounds() || first.lap().block().pieces()) {
            return "";
        }
        if (first.lap().of() == 0) {
            return expanded.isMost() ? "until time" : "every round, until time";
        }
        if (expanded.format() instanceof Format.Every) {
            return section.rounds() + " intervals";
        }
        return section.rounds() == 1 ? "1 round" : section.rounds() + " rounds";
    }

    private static List<String> cutOffs(ExpandedWorkout expanded, List<Segment> own) {
        int from = own.getFirst().index();
        int to = own.getLast().index();
        return Stream.concat(
                        expanded.cutOffs().stream()
                                .filter(cutOff -> from <= cutOff.lastIndex() && cutOff.lastIndex() <= to)
                                .map(cutOff ->
                                        "by " + ClockTime.of(cutOff.byMs()).toSeconds() + " after " + cutOff.words()),
                        expanded.tieBreaks().stream()
                                .filter(tie -> from <= tie.lastIndex() && tie.lastIndex() <= to)
                                .map(ExpandedWorkout.TieBreak::said)
                                .distinct())
                .toList();
    }

    /** How much there is to count; an AMRAP that grows says so, and one that is scored by its reps. */
    static String counts(ExpandedWorkout expanded) {
        if (!expanded.isOpen()) {
            int total = expanded.segments().stream().mapToInt(Segment::score).sum();
            return total == 0 ? "" : total + (total == 1 ? " rep" : " reps");
        }
        int[] through = IntStream.rangeClosed(0, ROUNDS)
                .map(round -> through(expanded, round))
                .toArray();
        int first = through[1] - through[0];
        int second = through[2] - through[1];
        int third = through[3] - through[2];
        if (first == 0) {
            return "";
        }
        if (expanded.isMost()) {
            return "every rep counts";
        }
        String score = expanded.scoresReps() ? ", scored by reps" : "";
        return first == second && second == third
                ? first + (first == 1 ? " rep" : " reps") + " per round" + score
                : first + ", " + second + ", " + third + " … reps by round" + score;
    }

    private static int through(ExpandedWorkout expanded, int round) {
        return expanded.throughRound(round).stream().mapToInt(Segment::score).sum();
    }

    private static <T> List<T> joined(List<T> before, List<T> after) {
        return Stream.concat(before.stream(), after.stream()).toList();
    }
}
