package wake.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.Samples.CATALOGUE;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wake.Samples;
import wake.workout.WorkoutShelf.Shelved;

class FormatsTest {
    static Stream<Shelved> shelf() {
        return WorkoutShelf.all();
    }

    @ParameterizedTest
    @MethodSource("shelf")
    void everyFormatIsReadExpandedAndWrittenBack(Shelved shelved) {
        var reading = NotationReader.read(shelved.notation(), CATALOGUE);
        assertThat(reading.errors()).as(shelved.notation()).isEmpty();
        Workout workout = reading.orThrow();
        List<Segment> pass = ExpandedWorkout.of(workout, 0, CATALOGUE).throughRound(1);
        assertThat(pass).hasSize(shelved.segments());
        assertThat(pass.stream().mapToInt(Segment::score).sum()).isEqualTo(shelved.total());
        assertThat(Samples.workout(NotationWriter.write(workout))).isEqualTo(workout);
    }

    static List<String> documented() throws IOException {
        Matcher block = Pattern.compile("```\n(# .*?)```", Pattern.DOTALL)
                .matcher(Files.readString(Path.of("../docs/notation.md")));
        List<String> examples = new ArrayList<>();
        while (block.find()) {
            examples.add(block.group(1));
        }
        return examples;
    }

    @ParameterizedTest
    @MethodSource("documented")
    void everyExampleOfTheDocsIsRead(String example) {
        assertThat(NotationReader.read(example, CATALOGUE).errors()).as(example).isEmpty();
    }

    @Test
    void theDocsHaveAnExampleForEachFormat() throws IOException {
        assertThat(documented()).hasSizeGreaterThanOrEqualTo(9);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "# A;amrap;  5 burpee                              | 2 |  6 | how long",
                "# A;amrap 0:00;  5 burpee                         | 2 |  7 | how long",
                "# A;every 2:00;  5 burpee                         | 2 | 11 | how many times",
                "# A;every 2:00 x 0;  5 burpee                     | 2 | 14 | from 1 to 500",
                "# A;lift 8:00                                     | 2 | 10 | best of",
                "# A;lift 8:00, best of clean                      | 2 | 20 | reps and a lift",
                "# A;lift 8:00, best of 1 clean;  5 burpee         | 3 |  1 | a part of its own",
                "# A;for time;  5 burpee;rest 1:00                 | 4 |  1 | it between two movements",
                "# A;for time;  5 burpee;amrap 3:00;  5 burpee     | 4 |  1 | part B:",
                "# A;part A: for time;  5 burpee;part A: for time;  5 burpee | 4 | 6 | the part's name",
                "# A;for time;  3 rounds:;    repeat:;      5 burpee | 4 | 5 | outside of the rounds",
                "# A;for time;  by 8 after round 3;  5 burpee      | 3 |  6 | by 8:00 after round 3",
                "# A;for time;  5 burpee;  tie-break soon          | 4 | 13 | after round 3",
                "# A;for time;  5 burpee, each way                 | 3 | 18 | each side",
                "# A;for time;  50 ft lunge, counts 1 per 5 m      | 3 | 31 | the unit of the line",
                "# A;for time;  in any way:;    5 burpee           | 3 | 10 | in any order",
                "# A;every 1:00 x 4;  10-8 burpee                  | 3 |  3 | each of the 4 rounds"
            })
    void errorsOfEveryFormatSayWhereAndWhatWasExpected(String text, int line, int column, String expected) {
        NotationTest.assertFirstError(text, line, column, expected);
    }

    @Test
    void anOpenPartIsExpandedAsFarAsItIsAskedFor() {
        ExpandedWorkout expanded = Samples.expanded(
                "# A\namrap 9:00\n  buy-in: 50 cal ski\n  repeat:\n    4 wall walk\n    4+4 goblet squat\n");
        assertThat(expanded.isOpen()).isTrue();
        assertThat(expanded.length()).isEmpty();
        assertThat(expanded.segment(0).label()).isEqualTo("50 cal ski");
        assertThat(expanded.segment(2_000).place()).isEqualTo("round 1000, 4000 goblet squat");
        assertThat(expanded.wholeRounds(5)).isEqualTo(2);
        assertThat(expanded.roundStart(3)).isEqualTo(5);
    }

    @Test
    void intervalsStartOnTheirOwnClock() {
        ExpandedWorkout expanded = Samples.expanded(Samples.BELL_BUOY);
        assertThat(expanded.startsAtMs(0)).hasValue(0);
        assertThat(expanded.startsAtMs(1)).isEmpty();
        assertThat(expanded.startsAtMs(4)).hasValue(120_000);
        assertThat(expanded.capMs()).hasValue(300_000);
    }

    @Test
    void aCutOffIsTheBuzzerUntilItIsPassed() {
        ExpandedWorkout expanded = Samples.expanded(Samples.STAGES);
        assertThat(expanded.buzzerMs(0)).hasValue(180_000);
        assertThat(expanded.buzzerMs(4)).hasValue(360_000);
        assertThat(expanded.buzzerMs(9)).hasValue(540_000);
    }

    @Test
    void whatMayBeDoneInAnyOrderIsCutAsTheAthleteChose() {
        Workout workout = Samples.workout(
                "# A\nfor time\n  900 m run\n  in any order:\n    100 sit-up\n    203 v-up\n  900 m run\n");
        ExpandedWorkout cut = ExpandedWorkout.of(workout.parts().getFirst(), 0, CATALOGUE, 20);
        assertThat(cut.segments()).hasSize(42);
        assertThat(cut.segments().get(1).label()).isEqualTo("5 sit-up");
        assertThat(cut.segments().get(2).label()).isEqualTo("11 v-up");
        assertThat(cut.segments().get(8).label()).isEqualTo("10 v-up");
        assertThat(cut.totalScore()).isEqualTo(305);
    }

    @Test
    void divisionsMayDoOtherMovements() {
        Workout workout =
                Samples.workout("# A\ndivisions: scaled / full\nfor time\n  12 pull-up / chest-to-bar pull-up\n");
        assertThat(ExpandedWorkout.of(workout, 1, CATALOGUE)
                        .segments()
                        .getFirst()
                        .label())
                .isEqualTo("12 chest-to-bar pull-up");
    }

    /** NIST SP 811: 95 lb is 43.0912752 kg; ten reps move ten times that. */
    @Test
    void theLoadMovedIsInKilograms() {
        Segment segment = Samples.expanded("# A\nfor time\n  10 thruster @ 95 lb\n")
                .segments()
                .getFirst();
        assertThat(segment.movedKilograms()).isCloseTo(430.912752, within(1e-6));
    }

    /** NIST SP 811: a mile is 1,609.344 m; 100 ft are 30.48 m. */
    @Test
    void theDistanceCoveredIsInMetres() {
        List<Segment> segments = Samples.expanded("# A\nfor time\n  1 mi run\n  100 ft farmer carry\n  12 burpee\n")
                .segments();
        assertThat(segments.stream().mapToDouble(Segment::metres).sum()).isCloseTo(1639.824, within(1e-9));
    }

    @Test
    void aMillionBrokenTextsNeverThrow() {
        java.util.SplittableRandom random = new java.util.SplittableRandom(11);
        List<String> seeds = WorkoutShelf.all().map(Shelved::notation).toList();
        String signs = "#/@:,+-x. \n\t0123456789abcdefghkmorstu";
        int texts = Integer.getInteger("wake.fuzz", 4_000);
        for (int i = 0; i < texts; i++) {
            StringBuilder text = new StringBuilder(seeds.get(random.nextInt(seeds.size())));
            for (int edit = random.nextInt(8); edit >= 0; edit--) {
                int at = random.nextInt(text.length() + 1);
                text.replace(
                        at,
                        Math.min(text.length(), at + random.nextInt(4)),
                        String.valueOf(signs.charAt(random.nextInt(signs.length()))));
            }
            var reading = NotationReader.read(text.toString(), CATALOGUE);
            assertThat(reading.workout().isPresent()).isEqualTo(reading.errors().isEmpty());
            reading.workout()
                    .ifPresent(workout -> workout.parts()
                            .forEach(part ->
                                    ExpandedWorkout.of(part, 0, CATALOGUE, 1).upTo(50)));
        }
    }
}
