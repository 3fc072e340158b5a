package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;

import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.log.ScoreReader;
import wake.units.Digits;

/** Distances in pieces, a unit for each division, the most of one movement, scoring by reps, one running clock. Common practice, no source. */
class WaysOfWritingTest {
    private static Workout workout(String text) {
        return NotationReader.read(text, Samples.CATALOGUE).orThrow();
    }

    private static List<String> labels(String text, int division) {
        return ExpandedWorkout.of(workout(text), division, Samples.CATALOGUE).segments().stream()
                .map(Segment::place)
                .toList();
    }

    @Test
    void aDistanceInPiecesIsDoneAndCountedByPiece() {
        String text = "# Slipway\nfor time\n  3 rounds:\n    60-50-25 ft handstand walk, in 25 ft\n    9 burpee\n";

        assertThat(labels(text, 0))
                .containsExactly(
                        "round 1, 25 ft handstand walk (1 of 3)",
                        "round 1, 25 ft handstand walk (2 of 3)",
                        "round 1, 10 ft handstand walk (3 of 3)",
                        "round 1, 9 burpee",
                        "round 2, 25 ft handstand walk (1 of 2)",
                        "round 2, 25 ft handstand walk (2 of 2)",
                        "round 2, 9 burpee",
                        "round 3, 25 ft handstand walk",
                        "round 3, 9 burpee");
        // Each length counts one, as on most score cards.
        assertThat(ExpandedWorkout.of(workout(text), 0, Samples.CATALOGUE).totalScore())
                .isEqualTo(3 + 2 + 1 + 27);
        assertThat(NotationWriter.write(workout(text))).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "200 ft handstand walk in 25 ft",
                "200 ft handstand walk in 25 ft sections",
                "200 ft handstand walk (in 25 ft lengths)",
                "200 ft handstand walk, in 25 ft pieces",
            })
    void piecesAreReadAsPeopleWriteThem(String line) {
        assertThat(NotationWriter.write(workout("# Slipway\nfor time\n  " + line + "\n")))
                .isEqualTo("# Slipway\nfor time\n  200 ft handstand walk, in 25 ft\n");
    }

    @Test
    void outsideRoundsPiecesAreASectionOfTheirOwn() {
        String text = "# Slipway\nfor time\n  100 ft handstand walk, in 50 ft\n  30 burpee\n";

        assertThat(labels(text, 0))
                .containsExactly("50 ft handstand walk (1 of 2)", "50 ft handstand walk (2 of 2)", "30 burpee");
        assertThat(Section.of(
                        ExpandedWorkout.of(workout(text), 0, Samples.CATALOGUE).segments()))
                .extracting(Section::label)
                .containsExactly("100 ft handstand walk, in 50 ft", "30 burpee");
    }

    @Test
    void eachDivisionMayHaveItsOwnUnit() {
        String text = """
                # Slipway
                divisions: women / men
                for time
                  25 ft / 15 m handstand walk
                  12 cal / 200 m row
                  9 thruster @ 65 lb / 43 kg
                """;

        assertThat(labels(text, 0)).containsExactly("25 ft handstand walk", "12 cal row", "9 thruster @ 65 lb");
        assertThat(labels(text, 1)).containsExactly("15 m handstand walk", "200 m row", "9 thruster @ 43 kg");
        assertThat(NotationWriter.write(workout(text))).isEqualTo(text);
        assertThat(NotationWriter.write(workout(text.replace("15 m", "15 ft"))))
                .contains("  25/15 ft handstand walk\n");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "max wall walk in 5:00",
                "max reps of wall walk in 5 min",
                "Maximum reps wall walks in 5:00:",
            })
    void theMostOfAMovementInAWindowIsScoredByItsReps(String timing) {
        Workout workout = workout("# Slipway\n" + timing + "\n");

        assertThat(NotationWriter.write(workout)).isEqualTo("# Slipway\namrap 5:00\n  max wall walk\n");
        ExpandedWorkout expanded = ExpandedWorkout.of(workout, 0, Samples.CATALOGUE);
        assertThat(expanded.scoresReps()).isTrue();
        assertThat(ScoreReader.read("30", expanded).words()).isEqualTo("30 reps");
        assertThat(ScoreReader.read("1 rep", expanded).words()).isEqualTo("1 rep");
    }

    @Test
    void theMostMayFollowOtherWork() {
        Workout workout = workout("# Slipway\namrap 5:00\n  400 m run\n  max burpee over bar\n");

        ExpandedWorkout expanded = ExpandedWorkout.of(workout, 0, Samples.CATALOGUE);
        assertThat(expanded.segment(0).label()).isEqualTo("400 m run");
        assertThat(expanded.segment(41).label()).isEqualTo("1 burpee over bar");
        assertThat(NotationWriter.write(workout)).contains("  max burpee over bar\n");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "amrap 9:00              | 4+4 burpee | 14 | 14 reps (2 rounds + 2)",
                "amrap 9:00              | 7 burpee   | 16 rounds | 16 rounds + 0",
                "amrap 9:00, score reps  | 7 burpee   | 16 | 16 reps (2 rounds + 2)",
                "amrap 9:00, score rounds| 4+4 burpee | 2  | 2 rounds + 0",
            })
    void aLadderIsScoredByItsRepsUnlessThePartSaysOtherwise(String format, String line, String score, String words) {
        ExpandedWorkout expanded =
                ExpandedWorkout.of(workout("# Slipway\n" + format + "\n  " + line + "\n"), 0, Samples.CATALOGUE);

        assertThat(ScoreReader.read(score, expanded).words()).isEqualTo(words);
        assertThat(ScoreReader.read(words, expanded)).isEqualTo(ScoreReader.read(score, expanded));
        assertThat(ScoreReader.read(score, expanded).brief(Digits.WHOLE)).isEqualTo(words.replaceFirst(" \\(.*", ""));
    }

    @Test
    void howItIsScoredMayStandOnALineOfItsOwn() {
        assertThat(NotationWriter.write(workout("# Slipway\n12 min amrap\nscore: total reps\n7 burpee\n")))
                .isEqualTo("# Slipway\namrap 12:00, score reps\n  7 burpee\n");
    }

    @Test
    void aPartMayStartOnTheRunningClock() {
        String text = """
                # Slipway
                part A: for time, cap 7:00
                  30 burpee
                from 7:00
                part B: amrap 5:00
                  12 cal row
                rest 1:00
                part C: amrap 4:00
                  9 burpee
                """;
        Workout workout = workout(text);

        assertThat(NotationWriter.write(workout)).isEqualTo(text);
        assertThat(List.of(0, 1, 2))
                .map(part -> RunningClock.startOf(workout, part))
                .containsExactly(OptionalLong.of(0), OptionalLong.of(420_000), OptionalLong.of(780_000));
    }

    @Test
    void withoutACapThePartAboveIsCappedWhereTheNextStarts() {
        String pasted = "# Slipway\npart A: for time\n30 burpee\npart B, from 7:00: AMRAP 5\n12 cal row\n";

        assertThat(NotationWriter.write(workout(pasted)))
                .isEqualTo(
                        "# Slipway\npart A: for time, cap 7:00\n  30 burpee\nfrom 7:00\npart B: amrap 5:00\n  12 cal row\n");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "for time, cap 8:00 | from 7:00 | a time after the end of the part above",
                "amrap 8:00         | from 7:00 | a time after the end of the part above",
                "amrap 7:00         | from soon | when the next part starts",
            })
    void aStartThatDoesNotFitIsRefusedWhereItStands(String format, String from, String expected) {
        NotationReader.Reading reading = NotationReader.read(
                "# Slipway\npart A: " + format + "\n  30 burpee\n" + from + "\npart B: amrap 5:00\n  9 burpee\n",
                Samples.CATALOGUE);

        assertThat(reading.errors()).singleElement().satisfies(error -> {
            assertThat(entry(error.line(), error.expected().contains(expected))).isEqualTo(entry(4, true));
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "9 burpee, in 25 ft                  | lengths of a distance",
                "200 ft handstand walk, in 0 ft      | lengths of a distance",
                "100000 m row, in 1 m                | lengths of a distance",
                "200 ft handstand walk, in 25 m      | lengths of a distance",
                "12 cal / 200 row                    | a unit behind each amount",
                "max burpee                          | it in an amrap",
                "9 thruster @ 40 kg / 20 in          | the load's unit",
            })
    void whatHasNoMeaningIsRefused(String line, String expected) {
        NotationReader.Reading reading =
                NotationReader.read("# Slipway\ndivisions: women / men\nfor time\n  " + line + "\n", Samples.CATALOGUE);

        assertThat(reading.errors()).isNotEmpty().allSatisfy(error -> {
            assertThat(error.line()).isEqualTo(4);
            assertThat(error.expected()).contains(expected);
        });
    }

    @Test
    void oneClockSaysHowMuchLaterAPartStarts() {
        Workout workout = workout("""
                # Slipway
                part A: amrap 5:00
                  30 burpee
                from 7:00
                part B: for time, cap 5:00
                  12 cal row
                rest 1:00
                part C: amrap 4:00
                  9 burpee
                """);
        List<Workout.Part> parts = workout.parts();

        assertThat(RunningClock.between(workout, 0, 1)).hasValue(420_000);
        assertThat(RunningClock.between(workout, 1, 0)).hasValue(-420_000);
        // B is over when it is done: C has its own "go".
        assertThat(RunningClock.between(workout, 0, 2)).isEmpty();
        assertThat(RunningClock.between(workout, 1, 2)).isEmpty();
        assertThat(parts)
                .map(part -> RunningClock.restAfter(workout, part))
                .containsExactly(OptionalLong.of(120_000), OptionalLong.of(60_000), OptionalLong.empty());
        assertThat(parts)
                .map(part -> RunningClock.words(workout, part))
                .containsExactly("", "from 7:00 on the running clock", "after a rest of 1:00");
    }

    @Test
    void theBoardAsksForAllOfADistanceAndForTheMost() {
        ExpandedWorkout pieces = ExpandedWorkout.of(
                workout("# Slipway\nfor time\n  3 rounds:\n    60-50-25 ft handstand walk, in 25 ft\n    9 burpee\n"),
                0,
                Samples.CATALOGUE);
        ExpandedWorkout most = ExpandedWorkout.of(
                workout("# Slipway\namrap 5:00\n  600 m run\n  max cal air bike\n"), 0, Samples.CATALOGUE);

        assertThat(pieces.asks(0))
                .containsExactly(
                        "60 ft handstand walk, in 25 ft", "50 ft handstand walk, in 25 ft", "25 ft handstand walk");
        assertThat(most.asks(0)).containsExactly("600 m run");
        assertThat(most.asks(1)).containsOnly("max cal air bike");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5 front squat (tempo 3-1-1) @ 60 kg      | 5 front squat @ 60 kg  // tempo 3-1-1",
                "30 burpee (step over)                    | 30 burpee  // step over",
                "9 thruster @ 40 kg                       | 9 thruster @ 40 kg",
                "10 push-up (chest to floor) // no bands  | 10 push-up  // no bands; chest to floor",
                "200 ft handstand walk (in 25 ft lengths) | 200 ft handstand walk, in 25 ft",
            })
    void whatStandsInParenthesesIsANoteOfItsLine(String line, String tidy) {
        assertThat(NotationWriter.write(workout("# Slipway\nfor time\n  " + line + "\n")))
                .isEqualTo("# Slipway\nfor time\n  " + tidy + "\n");
    }
}
