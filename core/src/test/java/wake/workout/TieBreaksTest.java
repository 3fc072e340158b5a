package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.log.AttemptLog;

/** Where the clock decides between equal scores: after any piece of work, after any round. By hand. */
class TieBreaksTest {
    private static NotationReader.Reading read(String board) {
        return NotationReader.read(board.replace(";", "\n") + "\n", Samples.CATALOGUE);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "# A;for time;  30 burpee;  tie-break;  20 thruster | D 100, D 180 | 30 burpee 100",
                "# A;for time;  30 burpee;  tie-break;  20 thruster;  tie-break;  5 row | D 100, D 180, D 190 | 30 burpee 100, 20 thruster 180",
                // Nobody came there.
                "# A;for time, cap 9:00;  30 burpee;  20 thruster;  tie-break;  5 row | D 100, X 540 | ''",
                // In rounds, each time.
                "# A;for time;  2 rounds:;    5 burpee;    tie-break;    5 row | D 20, D 30, D 50, D 60 | 5 burpee of round 1 20, 5 burpee of round 2 50",
                "# A;for time;  2 rounds:;    5 burpee;    tie-break | D 20, D 50 | round 1 20, round 2 50",
                "# A;for time;  2 rounds:;    5 burpee;  tie-break after each round;  9 row | D 20, D 50, D 60 | round 1 20, round 2 50",
                // After a block as a whole; a distance in lengths when its last one is done.
                "# A;for time;  2 rounds:;    5 burpee;  tie-break;  9 row | D 20, D 50, D 60 | round 2 50",
                "# A;for time;  40 m walking lunge, in 10 m;  tie-break;  9 row | D 9, D 19, D 29, D 39, D 60 | 40 m walking lunge, in 10 m 39",
                "# A;for time;  2 rounds:;    2 rounds:;      5 burpee;    tie-break;    9 row | D 9, D 19, D 29, D 39, D 49, D 59 | round 1.2 19, round 2.2 49",
                // What goes on until the buzzer.
                "# A;amrap 3:00;  5 burpee;  tie-break;  9 row | D 20, D 40, D 60, X 180 | 5 burpee of round 1 20, 5 burpee of round 2 60",
                "# A;amrap 3:00;  5 burpee;  9 row;  tie-break after each round | D 20, D 40, D 60, D 80, D 99, X 180 | round 1 40, round 2 80",
                "# A;amrap 3:00;  5 burpee;  9 row;  tie-break after round 2 | D 20, D 40, D 60, D 80, D 99, X 180 | round 2 80",
                "# A;every 1:00 x 2;  5 burpee;  tie-break after each round | D 20, D 80 | round 1 20, round 2 80",
                "# A;for time;  buy-in: 9 row;  tie-break;  2 rounds:;    5 burpee | D 20, D 80, D 99 | 9 cal row 20",
            })
    void theClockIsTakenWhereTheWorkoutSaysSo(String board, String jotted, String taken) {
        AttemptLog log = Samples.log(board.replace(";", "\n") + "\n", jotted);
        assertThat(log.tieBreaks().stream()
                        .map(one -> one.after() + " " + one.clockMs() / 1000)
                        .collect(Collectors.joining(", ")))
                .isEqualTo(taken);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "# A;for time;  30 burpee;  tie break;  20 thruster | tie-break",
                "# A;for time;  30 burpee;  TB;  20 thruster | tie-break",
                "# A;for time;  30 burpee, tiebreak;  20 thruster | tie-break",
                "# A;for time;  30 burpee (tie-break);  20 thruster | tie-break",
                "# A;for time;  5 rounds:;    5 burpee;  Tie break after every round | tie-break after each round",
            })
    void peopleWriteItInOtherWays(String board, String meant) {
        String written = NotationWriter.write(read(board).orThrow());
        assertThat(written.lines().map(String::strip)).contains(meant);
        assertThat(NotationReader.read(written, Samples.CATALOGUE).workout())
                .contains(read(board).orThrow());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "# A;for time;  tie-break;  30 burpee | nothing above it",
                "# A;for time;  3 rounds:;    tie-break;    5 burpee | nothing above it",
                "# A;for time;  30 burpee;  tie-break after each round | rounds for it to come after",
                "# A;for time;  30 burpee;  tie-break soon | after round 3",
            })
    void whatHasNoPlaceIsRefused(String board, String why) {
        assertThat(Stream.of(read(board).errors()).map(List::toString)).anyMatch(said -> said.contains(why));
    }
}
