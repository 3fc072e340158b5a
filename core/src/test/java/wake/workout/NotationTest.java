package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.Samples.CATALOGUE;
import static wake.Samples.LOCK_GATE;
import static wake.Samples.LONG_REACH;
import static wake.Samples.expanded;
import static wake.Samples.workout;

import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wake.units.Quantity;
import wake.units.Unit;

class NotationTest {
    @Test
    void stepsListsAndDivisionsExpandToSegments() {
        ExpandedWorkout men = ExpandedWorkout.of(workout(LOCK_GATE), 1, CATALOGUE);
        assertThat(men.segments()).hasSize(10);
        assertThat(men.segments().stream().map(Segment::label))
                .startsWith("8 cal row", "10 power clean @ 40 kg", "16 cal row", "8 power clean @ 50 kg")
                .endsWith("2 power clean @ 80 kg");
        assertThat(men.capMs()).hasValue(840_000);
        ExpandedWorkout women = ExpandedWorkout.of(workout(LOCK_GATE), 0, CATALOGUE);
        assertThat(women.segments().get(5).loads())
                .containsExactly(new Quantity(new java.math.BigDecimal("47.5"), Unit.KILOGRAM));
        assertThat(women.totalScore()).isEqualTo(8 + 16 + 24 + 32 + 40 + 10 + 8 + 6 + 4 + 2);
    }

    @Test
    void aDistanceCountsOneAndRoundsAreNumbered() {
        ExpandedWorkout expanded = expanded(LONG_REACH);
        assertThat(expanded.totalScore()).isEqualTo(1 + 30 + 3 * 21 + 20);
        assertThat(expanded.segments().get(4).place()).isEqualTo("round 2, 9 thruster @ 40 kg");
        assertThat(expanded.segments().getFirst().place()).isEqualTo("400 m run");
    }

    @Test
    void commentsAndTheTextSurviveTheRoundTrip() {
        String written = """
                # Ebb Ladder  // Friday
                // heats of four
                divisions: women / men
                for time  // no cap
                  // set the floor first
                  3 rounds:  // hard
                    21-15-9 burpee  // tall
                    400 m run
                """;
        Workout workout = workout(written);
        assertThat(NotationWriter.write(workout)).isEqualTo(written);
        assertThat(workout(NotationWriter.write(workout))).isEqualTo(workout);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12 burpee                          | 1 |  1 | a title first",
                "# A;12 burpee                      | 2 |  1 | how it is timed",
                "# A;for tim;12 burpee              | 2 |  5 | \"time\" after \"for\"",
                "# A;for time, cap soon;12 burpee     | 2 | 15 | the cap as m:ss",
                "# A;for time;  burpee              | 3 |  3 | a movement with its amount",
                "# A;for time;  12                  | 3 |  5 | a movement with its amount",
                "# A;for time;  21-15-9 burpee      | 3 |  3 | goes under \"3 rounds:\"",
                "# A;for time;  5 rounds:;    21-15-9 burpee | 4 | 5 | one for each of the 5 rounds",
                "# A;for time;  10/8 burpee         | 3 |  3 | divisions: women / men",
                "# A;for time;  12 thruster @ 40    | 3 | 19 | the load's unit",
                "# A;for time;  3 round             | 3 |  3 | its movements indented below it",
                "# A;for time;  0 burpee            | 3 |  3 | above zero",
                "# A;divisions: a / a;for time;  1 burpee | 2 | 16 | a division's name",
                "# A;for time;  3 rounds:           | 3 |  3 | its movements indented below it",
                "# A;for time                       | 3 |  1 | a movement with its amount"
            })
    void errorsSayWhereAndWhatWasExpected(String text, int line, int column, String expected) {
        assertFirstError(text, line, column, expected);
    }

    /** A text with ";" for line ends is refused, its first error lying at that place. */
    static void assertFirstError(String text, int line, int column, String expected) {
        var reading = NotationReader.read(text.replace(';', '\n'), CATALOGUE);
        assertThat(reading.errors()).as(text).first().satisfies(error -> {
            assertThat(error.expected()).contains(expected);
            assertThat(error.line()).isEqualTo(line);
            assertThat(error.column()).isEqualTo(column);
        });
        assertThat(reading.workout()).isEmpty();
    }

    @Test
    void allErrorsOfATextComeAtOnce() {
        var reading = NotationReader.read("""
                # Slack Water
                divisions: women / men
                for time, cap soon
                  4 rounds:
                    21-15-9 burpee
                    10 thruster @ 30/40/50 kg
                    ten box jump
                """, CATALOGUE);
        assertThat(reading.errors()).extracting(NotationError::line).containsExactly(3, 5, 6, 7);
    }

    @Test
    void anUnknownMovementIsAllowedAndANearMissIsHinted() {
        var reading =
                NotationReader.read("# A\nfor time\n  12 thruter\n  8 sandbag over shoulder @ 60 kg\n", CATALOGUE);
        assertThat(reading.errors()).isEmpty();
        assertThat(reading.hints())
                .singleElement()
                .satisfies(hint -> assertThat(hint.expected()).contains("thruster"));
    }

    @ParameterizedTest
    @MethodSource("wake.Samples#seeds")
    void anyWorkoutReadsBackAsItself(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        Workout workout = RandomWorkout.of(random);
        String text = NotationWriter.write(workout);
        var reading = NotationReader.read(text, CATALOGUE);
        while (reading.errors().stream().anyMatch(error -> error.toString().contains("More than 5000 movements"))) {
            workout = RandomWorkout.of(random);
            text = NotationWriter.write(workout);
            reading = NotationReader.read(text, CATALOGUE);
        }
        assertThat(reading.errors()).as(text).isEmpty();
        assertThat(reading.workout()).as(text).contains(workout);
    }

    @Test
    void noTextMakesTheReaderThrow() {
        SplittableRandom random = new SplittableRandom(7);
        String signs = "#/@:,+-. \n\t0123456789abcdefghkmorstu\u00e9\ud83d\ude00";
        for (int i = 0; i < Integer.getInteger("wake.fuzz", 5_000); i++) {
            StringBuilder text = new StringBuilder(LOCK_GATE);
            for (int edit = random.nextInt(12); edit >= 0; edit--) {
                int at = random.nextInt(text.length());
                text.replace(
                        at,
                        Math.min(text.length(), at + random.nextInt(4)),
                        String.valueOf(signs.charAt(random.nextInt(signs.length()))));
            }
            var reading = NotationReader.read(text.toString(), CATALOGUE);
            assertThat(reading.workout().isPresent()).isEqualTo(reading.errors().isEmpty());
        }
    }

    @Test
    void aTextOfAMegabyteIsRefusedAtOnce() {
        var reading = NotationReader.read("x".repeat(1 << 20), CATALOGUE);
        assertThat(reading.errors())
                .singleElement()
                .satisfies(error -> assertThat(error.expected()).contains("100000"));
    }
}
