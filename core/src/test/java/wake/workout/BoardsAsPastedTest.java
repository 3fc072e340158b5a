package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;

/**
 * Boards without indents, and in the words people use, mean the workout that stands beside them. How boards are written is common practice, no
 * source.
 */
class BoardsAsPastedTest {
    private static Arguments board(String name, String pasted, String meant) {
        return Arguments.argumentSet(name, pasted, meant);
    }

    static Stream<Arguments> boards() {
        return Stream.of(
                board("rounds", """
                        Tide Mill
                        4 rounds for time:
                        12 cal row
                        9 burpee
                        """, """
                        # Tide Mill
                        for time
                          4 rounds:
                            12 cal row
                            9 burpee
                        """),
                board("two blocks and a cap on its own line", """
                        # Estuary
                        For time:
                        Time cap: 14 min

                        3 rounds of:
                        12 thruster @ 35 kg
                        10 burpee

                        3 rounds of:
                        10 power clean @ 50 kg
                        15 cal row

                        400 m run
                        """, """
                        # Estuary
                        for time, cap 14:00
                          3 rounds:
                            12 thruster @ 35 kg
                            10 burpee
                          3 rounds:
                            10 power clean @ 50 kg
                            15 cal row
                          400 m run
                        """),
                board("a chipper", """
                        # Breakwater
                        for time
                        50 cal row
                        40 wall-ball shot @ 9 kg
                        30 toes-to-bar
                        """, """
                        # Breakwater
                        for time
                          50 cal row
                          40 wall-ball shot @ 9 kg
                          30 toes-to-bar
                        """),
                board("a scheme over its lines", """
                        Sandbank
                        12-9-6-3 for time:
                        thruster @ 40 kg
                        burpee
                        """, """
                        # Sandbank
                        for time
                          4 rounds:
                            12-9-6-3 thruster @ 40 kg
                            12-9-6-3 burpee
                        """),
                board("a scheme inside, and a line with its own amount", """
                        # Sandbank
                        for time, cap 9:00
                          12-9-6 of:
                          thruster @ 40 kg
                          200 m run
                        """, """
                        # Sandbank
                        for time, cap 9:00
                          3 rounds:
                            12-9-6 thruster @ 40 kg
                            200 m run
                        """),
                board("amrap", """
                        12 min AMRAP:
                        8 box jump @ 60 cm
                        10 push-up
                        """, """
                        # Untitled
                        amrap 12:00
                          8 box jump @ 60 cm
                          10 push-up
                        """),
                board("amrap with a buy-in", """
                        # Slack Water
                        divisions: women / men
                        AMRAP 9
                        buy-in: 50/60 cal ski
                        repeat:
                        4 wall walk
                        4+4 goblet squat @ 24/32 kg
                        """, """
                        # Slack Water
                        divisions: women / men
                        amrap 9:00
                          buy-in: 50/60 cal ski
                          repeat:
                            4 wall walk
                            4+4 goblet squat @ 24/32 kg
                        """),
                board("intervals", """
                        # Lanterns
                        EMOM 12:
                        10 push-up
                        """, """
                        # Lanterns
                        every 1:00 x 12
                          10 push-up
                        """),
                board("intervals of minutes", """
                        # Bell Buoy
                        Every 2 min for 6 rounds:
                        12 cal air bike
                        9 burpee over bar
                        """, """
                        # Bell Buoy
                        every 2:00 x 6
                          12 cal air bike
                          9 burpee over bar
                        """),
                board("gates, a tie-break and a cash-out", """
                        # High Water
                        for time, cap 15:00
                        buy-in: 800 m run
                        5 rounds:
                        9 thruster @ 40 kg
                        9 chest-to-bar pull-up
                        by 6:00 after round 2
                        tie-break after round 3
                        cash-out: 800 m run
                        """, """
                        # High Water
                        for time, cap 15:00
                          buy-in: 800 m run
                          5 rounds:
                            9 thruster @ 40 kg
                            9 chest-to-bar pull-up
                          by 6:00 after round 2
                          tie-break after round 3
                          cash-out: 800 m run
                        """),
                board("parts", """
                        # Crest and Trough
                        part A: lift 8:00, best of 1 power snatch
                        rest 2:00
                        part B: amrap 7:00
                        9 toes-to-bar
                        6 power snatch @ 30 kg
                        """, """
                        # Crest and Trough
                        part A: lift 8:00, best of 1 power snatch
                        rest 2:00
                        part B: amrap 7:00
                          9 toes-to-bar
                          6 power snatch @ 30 kg
                        """),
                board("any order", """
                        # Cutter
                        for time, cap 40:00
                        60 cal ski

                        in any order:
                        90 sit-up
                        120 v-up

                        60 cal ski
                        """, """
                        # Cutter
                        for time, cap 40:00
                          60 cal ski
                          in any order:
                            90 sit-up
                            120 v-up
                          60 cal ski
                        """));
    }

    @ParameterizedTest
    @MethodSource("boards")
    void aPastedBoardMeansWhatIsMeant(String pasted, String meant) {
        NotationReader.Reading reading = NotationReader.read(pasted, Samples.CATALOGUE);
        assertThat(reading.errors()).isEmpty();
        assertThat(reading.understood()).isTrue();
        assertThat(NotationWriter.write(reading.orThrow())).isEqualTo(meant);
        assertThat(NotationReader.read(meant, Samples.CATALOGUE).understood()).isFalse();
    }

    /** The same with each line's indents taken off, whatever the board. */
    @ParameterizedTest
    @MethodSource("boards")
    void theNotationWithoutItsIndentsMeansTheSameWhereNothingFollowsABlock(String pasted, String meant) {
        String flat = meant.lines().map(String::strip).reduce("", (all, line) -> all + line + "\n");
        NotationReader.Reading reading = NotationReader.read(flat, Samples.CATALOGUE);
        assertThat(reading.errors()).isEmpty();
        boolean followed =
                meant.contains("after round") || meant.contains("  400 m run") || meant.contains("  60 cal ski");
        if (!followed) {
            assertThat(NotationWriter.write(reading.orThrow())).isEqualTo(meant);
        }
    }

    /** A line that falls out of an indented part belongs to it all the same. */
    @Test
    void aLineThatFallsOutOfAPartBelongsToIt() {
        NotationReader.Reading reading = NotationReader.read(
                "# A\nfor time\n    3 rounds:\n        5 burpee\n10 thruster\n2 rounds:\n  5 pull-up\n",
                Samples.CATALOGUE);
        assertThat(NotationWriter.write(reading.orThrow()))
                .isEqualTo("# A\nfor time\n  3 rounds:\n    5 burpee\n  10 thruster\n  2 rounds:\n    5 pull-up\n");
        assertThat(reading.understood()).isTrue();
    }

    /** Errors name the line and the column as they were typed. */
    @Test
    void anErrorStandsWhereItWasTyped() {
        NotationReader.Reading reading =
                NotationReader.read("# A\nfor time\n3 rounds:\n10 burpee\nten thruster\n", Samples.CATALOGUE);
        assertThat(reading.errors()).singleElement().satisfies(error -> {
            assertThat(error.line()).isEqualTo(5);
            assertThat(error.column()).isEqualTo(1);
        });
    }
}
