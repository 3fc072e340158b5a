package wake.strength;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wake.movement.Catalogue;
import wake.movement.CatalogueFile;
import wake.plan.lift.LimitingMax;
import wake.units.Quantity;
import wake.units.Unit;
import wake.words.StrengthWords;

/** Lines of our own, in the ways strength work is written; common practice, no source. */
class StrengthReaderTest {
    private static final Catalogue CATALOGUE = CatalogueFile.shipped();
    private static final int RANDOM_TEXTS = Integer.getInteger("wake.fuzz", 3000);

    private static StrengthReader.Outcome read(String... lines) {
        return StrengthReader.read(String.join("\n", lines), CATALOGUE);
    }

    private static StrengthWork one(String... lines) {
        StrengthReader.Outcome read = read(lines);
        assertThat(read.errors()).isEmpty();
        assertThat(read.works()).hasSize(1);
        return read.works().getFirst();
    }

    @Test
    void aLineOfWhatWasAskedAndItsSets() {
        StrengthWork work = one(
                "back squat 5 x 3 @ 80%, tempo 31X1, rest 2:00; belt from the third",
                "100 kg, 100, 105 effort 8", "107.5 x 2 effort 9; third rep pinned", "100 missed");

        assertThat(work.movement()).isEqualTo("back squat");
        assertThat(work.note()).isEqualTo("belt from the third");
        assertThat(work.asked().reps()).containsExactly(3, 3, 3, 3, 3);
        assertThat(work.asked().percent()).hasValue(80);
        assertThat(work.asked().tempo()).isEqualTo("31X1");
        assertThat(work.asked().restMs()).hasValue(120_000);
        assertThat(work.sets()).hasSize(5);
        assertThat(work.sets().stream().map(StrengthSet::made)).containsExactly(3, 3, 3, 2, 0);
        assertThat(work.sets().stream().map(StrengthSet::missed)).containsExactly(0, 0, 0, 0, 3);
        assertThat(work.sets().get(3).load()).hasValue(new Quantity(new BigDecimal("107.5"), Unit.KILOGRAM));
        assertThat(work.sets().get(3).note()).isEqualTo("third rep pinned");
        assertThat(work.sets().get(2).effort()).hasValue(8);
        // 3·100 + 3·100 + 3·105 + 2·107.5, by hand.
        assertThat(work.volumeKg()).hasValue(1130);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "100 kg|3|0|100 kg",
                "@ 100 kg|3|0|100 kg",
                "100 kg x 2|2|0|100 kg",
                "2x100 kg|2|0|100 kg",
                "2 @ 225 lb|2|0|225 lb",
                "2 reps @ 100kg|2|0|100 kg",
                "2/3 @ 105 kg|2|1|105 kg",
                "105 kg x 2/3|2|1|105 kg",
                "105 kg missed|0|3|105 kg",
                "1 @ 105 kg rpe 8.5|1|0|105 kg",
                "+10 kg x 5|5|0|10 kg",
                "5 @ +10 kg|5|0|10 kg",
                "12|12|0|",
                "12 reps|12|0|",
            })
    void aSetInEachWay(String written, int made, int missed, String load) {
        StrengthWork work = one("strict pull-up 4 x 3", written);
        assertThat(work.sets()).hasSize(1);
        assertThat(work.sets().getFirst().made()).isEqualTo(made);
        assertThat(work.sets().getFirst().missed()).isEqualTo(missed);
        assertThat(work.sets().getFirst().load().map(Quantity::toString).orElse(null))
                .isEqualTo(load);
    }

    @Test
    void setsOfSeveralAtOnceAndHolds() {
        assertThat(one("strict press", "3 x 5 @ 50 kg").sets()).hasSize(3).allMatch(set -> set.made() == 5);
        StrengthWork hold = one("hollow hold 3 x 20 s: 2 x 20 s, 14 s");
        assertThat(hold.asked().heldS()).hasValue(20);
        assertThat(hold.heldS()).isEqualTo(54);
        assertThat(one("front-rack hold 2 x 30 s", "30 s @ 60 kg, 25 s @ 60").sets())
                .extracting(
                        set -> set.heldS().orElse(0),
                        set -> set.load().map(Quantity::toString).orElse(""))
                .containsExactly(tuple(30.0, "60 kg"), tuple(25.0, "60 kg"));
        assertThat(one("push-up", "3 x 12").sets()).hasSize(3).allMatch(set -> set.made() == 12);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "5x3 back squat @ 80 %",
                "back squat, 5 sets of 3 @ 80%",
                "Back Squat 5×3 80% of max",
                "back squat 3-3-3-3-3 @ 80%",
                "back squat 5 x 3 reps @ 80%"
            })
    void whatWasAskedInEachWay(String line) {
        StrengthWork work = one(line);
        assertThat(work.movement()).isEqualTo("back squat");
        assertThat(StrengthWords.asked(work.asked())).isEqualTo("5 × 3 at 80%");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "100 kg|Line 1: Write the lift before its sets",
                "bakc squat 5 x 3|Line 1: no movement \"bakc squat\"; did you mean back squat?",
                "back squat 5 x 3 @ 80% chain 7|Line 1: Not understood: \"back squat chain 7\"",
                "back squat 0 x 3|Line 1: Write 1 to 30 sets",
                "back squat 5 x 3: 100|Line 1: Not understood",
                "back squat @ 300%: 3 @ 50 kg|Line 1: Write a share of the max",
                "back squat: 3 @ 102,5 kg|Line 1: Write decimals with a point",
                "back squat: 3 @ 100|Line 1: Write the unit with the first load",
                "back squat @ 80%: 100|Line 1: Write the unit with the first load",
                "back squat: 100 kg|Line 1: How many reps?",
                "back squat: 3/2 @ 100 kg|Line 1: Write reps made of reps tried",
                "back squat: 3 @ 100 kg effort 11|Line 1: Write an effort from 0 to 10",
                "back squat: 3 @ 0 kg|Line 1: A load is above 0",
                "back squat: 0 @ 50 kg|Line 1: A set has at least 1 rep",
                "back squat: 3 @ 100 kg, 3 x 3|Line 1: Which is the load?",
                "12 %|Line 1: Which lift?",
                "; only a note|Line 1: Write the lift first"
            })
    void whatIsWrongIsSaid(String line, String error) {
        StrengthReader.Outcome read =
                read(line.startsWith("back squat 5 x 3: 100") ? "back squat 5 x 3: 100 apples" : line);
        assertThat(read.errors()).hasSize(1);
        assertThat(read.errors().getFirst()).startsWith(error);
    }

    @Test
    void nothingIsDroppedInSilence() {
        // Any mixture of pieces: each line is a lift, sets, or an error; no number in a lift's name; never an
        // exception.
        List<String> pieces = List.of(
                "back squat",
                "5 x 3",
                "@",
                "80%",
                "100 kg",
                "x",
                "2/3",
                "tempo 31X1",
                "rest 2:00",
                ":",
                ",",
                "20 s",
                "effort 8",
                "missed",
                ";",
                "note",
                "12",
                "-",
                "rpe",
                "102,5",
                "ü",
                "3-2-1",
                "//",
                "+",
                "225 lb",
                "0");
        Random random = new Random(5);
        for (int i = 0; i < RANDOM_TEXTS; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = random.nextInt(14); k >= 0; k--) {
                text.append(pieces.get(random.nextInt(pieces.size())))
                        .append(random.nextInt(5) == 0 ? "\n" : random.nextBoolean() ? " " : "");
            }
            StrengthReader.Outcome read = StrengthReader.read(text.toString(), CATALOGUE);
            long lines = text.toString().lines().filter(line -> !line.isBlank()).count();
            assertThat(read.works().size() + read.errors().size()).isBetween(lines == 0 ? 0 : 1, 2 * (int) lines);
            for (StrengthWork work : read.works()) {
                assertThat(work.movement()).doesNotContainPattern("[0-9%@]").isNotBlank();
                StrengthWords.says(work, LimitingMax.none(List.of()));
                StrengthWords.sets(work.sets());
                StrengthWords.asked(work.asked());
            }
        }
    }

    @Test
    void theExampleOfTheDocsIsRead() throws IOException {
        Matcher block = Pattern.compile("```strength\n(.*?)```", Pattern.DOTALL)
                .matcher(Files.readString(Path.of("../docs/notation.md")));
        assertThat(block.find()).isTrue();
        StrengthReader.Outcome read = StrengthReader.read(block.group(1), CATALOGUE);
        assertThat(read.errors()).isEmpty();
        assertThat(read.works().stream().map(work -> work.sets().size())).containsExactly(4, 3, 3, 3);
    }

    @Test
    void inWords() {
        StrengthWork work = one("back squat 5 x 3 @ 80%", "100 kg, 100, 105 effort 8", "2/3 @ 107.5 effort 9; pinned");
        assertThat(StrengthWords.sets(work.sets()))
                .containsExactly("2 sets of 100 kg × 3", "105 kg × 3, effort 8", "107.5 kg × 2 of 3, effort 9; pinned");
        // Epley (1985) 107.5·(1 + 2/30) = 114.7; Brzycki (1993) 107.5·36/35 = 110.6. 107.5/130 = 83%.
        assertThat(StrengthWords.says(
                        work,
                        new LimitingMax(Optional.of(Quantity.of(130, Unit.KILOGRAM)), "back squat", "", List.of())))
                .isEqualTo(
                        "4 of 5 sets, heaviest 107.5 kg × 2 (83% of max back squat 130 kg), about 111–115 kg as a single, "
                                + "effort up to 9/10, volume 1,130 kg");
        assertThat(StrengthWords.asked(work.asked(), Optional.of(Quantity.of(130, Unit.KILOGRAM))))
                .isEqualTo("5 × 3 at 80% (about 104 kg)");
        assertThat(StrengthWords.sets(one("push jerk 5-1: 50 kg missed, 50 missed effort 9; slow")
                        .sets()))
                .containsExactly("50 kg × 5, missed", "50 kg, missed, effort 9; slow");
        assertThat(Stream.of("strict press: 1 @ 60 kg", "hollow hold 2 x 20 s: 20 s, 20 s", "push-up 3 x 10")
                        .map(line -> StrengthWords.says(one(line), LimitingMax.none(List.of()))))
                .containsExactly("1 set, heaviest 60 kg, volume 60 kg", "2 sets, 40 s held", "no sets noted");
    }
}
