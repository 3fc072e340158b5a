package wake.plan.lift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.Samples;
import wake.athlete.Figures;
import wake.athlete.FiguresReader;
import wake.log.Lift;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.units.Unit;

/** Which max limits a complex: common practice, no source. */
class LimitingMaxTest {
    private static LimitingMax of(String complex, String figures) {
        return LimitingMax.of(
                Lift.pieces(complex).orElseThrow(),
                FiguresReader.read(figures.replace(';', '\n'), Samples.CATALOGUE)
                        .figures(),
                Samples.CATALOGUE);
    }

    @ParameterizedTest
    @CsvSource({
        "2 hang squat clean + 1 push jerk, max clean 150 kg;max clean and jerk 110 kg, 110 kg, clean and jerk",
        "1 clean + 1 split jerk, max clean 150 kg;max split jerk 130 kg, 130 kg, split jerk",
        "1 clean + 1 split jerk, max clean 150 kg;max split jerk 130 kg;max clean and jerk 120 kg, 120 kg, clean and jerk",
        "3 hang power clean, max power clean 85 kg;max clean 100 kg, 85 kg, power clean",
        "3 hang power clean, max hang power clean 80 kg;max power clean 85 kg, 80 kg, hang power clean",
        "1 hang squat snatch, max squat snatch 70 kg, 70 kg, squat snatch",
        "3 push jerk, max push jerk 100 kg;max clean and jerk 90 kg, 100 kg, push jerk",
        "2 tempo front squat, max front squat 120 kg, 120 kg, front squat",
        "1 clean, max clean 100 kg;max push jerk 60 kg, 100 kg, clean",
        "1 power clean + 1 push press, max clean 220 lb;max push press 80 kg, 80 kg, push press",
    })
    void theSmallestOverThePiecesAndWhatTheyArePartOf(String complex, String figures, String max, String lift) {
        LimitingMax limit = of(complex, figures);
        assertThat(limit.max().orElseThrow()).hasToString(max);
        assertThat(limit.lift()).isEqualTo(lift);
        assertThat(limit.unknown()).isEmpty();
    }

    @Test
    void piecesNothingIsKnownOfAreNamed() {
        LimitingMax limit = of("1 clean + 3 front squat", "max clean 90 kg");
        assertThat(limit.words()).contains("max clean, 90 kg; no max on file for front squat");
        LimitingMax none = of("1 clean", "max deadlift 150 kg");
        assertThat(none.words()).isEmpty();
        assertThat(none.unknown()).containsExactly("clean");
    }

    @Test
    void theMaxThatLimitsIsTheFirstOfTheChoices() {
        List<LimitingMax> choices = LimitingMax.choices(
                Lift.pieces("2 hang squat clean + 1 push jerk").orElseThrow(),
                FiguresReader.read(
                                "max deadlift 180 kg\nmax clean 3x110 kg\nmax clean and jerk 110 kg\nmax strict press 60 kg",
                                Samples.CATALOGUE)
                        .figures(),
                Samples.CATALOGUE);
        // Epley 121, Brzycki 116.5: 118.5 in whole halves.
        assertThat(choices.stream().map(one -> one.words().orElseThrow()))
                .containsExactly(
                        "max clean and jerk, 110 kg",
                        "max strict press, 60 kg",
                        "max clean, about 118.5 kg (from 3 × 110 kg)",
                        "max deadlift, 180 kg");
        assertThat(LimitingMax.planned(Quantity.of(180, Unit.KILOGRAM), choices).lift())
                .isEqualTo("deadlift");
        assertThat(LimitingMax.planned(Quantity.of(105, Unit.KILOGRAM), choices).words())
                .contains("the max on the plan, 105 kg");
        assertThat(LimitingMax.choices(List.of(), Figures.NONE, Samples.CATALOGUE))
                .isEmpty();
    }

    @Test
    void theCatalogueKnowsEveryLiftItNames() {
        assertThat(Samples.CATALOGUE.all().stream().flatMap(movement -> movement.of().stream()))
                .isNotEmpty()
                .allSatisfy(name -> assertThat(Samples.CATALOGUE.find(name).map(Movement::name))
                        .contains(name));
    }
}
