package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.api.workouts.WorkoutViews;
import wake.api.workouts.WorkoutViews.BoardView;
import wake.movement.CatalogueFile;

/** A part on the whiteboard keeps its rounds, what is done once, its cut-offs, and how it grows. */
class BoardPiecesTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            for time/  4 rounds:/    12 row cal/    8 burpee | 4 rounds: 0 1 | 80 reps
            for time/  buy-in:/    400 m run/  3 rounds:/    9 burpee/  cash-out:/    20 wall ball @ 9 kg | buy-in: 0; 3 rounds: 1; cash-out: 2 | 48 reps
            for time/  3 rounds:/    9 burpee/  2 rounds:/    6 push-up/    3 burpee | 3 rounds: 0; 2 rounds: 1 2 | 45 reps
            for time/  30 row cal/  20 burpee/  10 push-up | : 0 1 2 | 60 reps
            amrap 9:00/  6 burpee/  9 push-up | every round, until time: 0 1 | 15 reps per round
            amrap 9:00/  3+3 burpee/  3+3 push-up | every round, until time: 0 1 | 6, 12, 18 … reps by round, scored by reps
            amrap 5:00/  600 m run/  max wall walk | : 0; until time: 1 | every rep counts
            for time/  3 rounds:/    9 burpee/  100 ft handstand walk, in 25 ft | 3 rounds: 0; : 1 | 31 reps
            every 2:00 x 6/  10 burpee | 6 intervals: 0 | 60 reps
            for time, cap 12:00/  4 rounds:/    9 burpee/  by 6:00 after round 2/  tie-break after round 3 | 4 rounds: 0 by 6:00 after round 2 tie-break after round 3 | 36 reps
            """)
    void aPartKeepsItsPieces(String text, String pieces, String counts) {
        var check = WorkoutViews.check("# A\n" + text.replace("/", "\n") + "\n", CatalogueFile.shipped());
        assertThat(check.errors()).isEmpty();
        BoardView board = check.boards().getFirst();
        assertThat(board.counts()).isEqualTo(counts);
        assertThat(board.pieces().stream()
                        .map(piece -> (piece.heading() + ": "
                                        + piece.lines().stream()
                                                .map(String::valueOf)
                                                .collect(Collectors.joining(" "))
                                        + " " + String.join(" ", piece.cutOffs()))
                                .strip())
                        .collect(Collectors.joining("; ")))
                .isEqualTo(pieces);
    }
}
