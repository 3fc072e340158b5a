package wake.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CatalogueTest {
    private final Catalogue catalogue = CatalogueFile.shipped();

    /** JSON Schema 2020-12, by an independent validator. */
    @Test
    void theShippedFileFitsItsSchema() throws IOException {
        var schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(resource("/wake/movements.schema.json"), InputFormat.JSON);
        assertThat(schema.validate(resource("/wake/movements.yaml"), InputFormat.YAML))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "T2B, toes-to-bar",
        "Toes To Bar, toes-to-bar",
        "burpees, burpee",
        "push presses, push press",
        "cal row, row",
        "box jump-overs, box jump over",
        "wall balls, wall-ball shot"
    })
    void movementsAreFoundAsCoachesWriteThem(String written, String name) {
        assertThat(catalogue.find(written)).map(Movement::name).contains(name);
    }

    @Test
    void aNearMissIsSuggested() {
        assertThat(catalogue.nearMiss("thruter")).contains("thruster");
        assertThat(catalogue.nearMiss("toes-to-bra")).contains("toes-to-bar");
        assertThat(catalogue.nearMiss("quay haul")).isEmpty();
        assertThat(catalogue.nearMiss("tempo crossover")).isEmpty();
        assertThat(catalogue.nearMiss("thruster")).isEmpty();
    }

    /** How they are broken down is common practice, no source. */
    @ParameterizedTest
    @CsvSource({
        "overhead lunge, overhead lunge",
        "strict handstand push-up, strict handstand push-up",
        "legless rope climb, legless rope climb",
        "hand-release push-ups, hand-release push-up",
        "dumbbell thrusters, dumbbell thruster",
        "single crossovers, single crossover",
        "split jerk, split jerk",
        "S2OH, shoulder to overhead"
    })
    void aTechniqueIsNotTakenForSomethingElse(String written, String name) {
        assertThat(catalogue.find(written)).map(Movement::name).contains(name);
    }

    @Test
    void itKnowsThreeHundred() {
        assertThat(catalogue.all()).hasSizeGreaterThan(300);
    }

    /** A tempo or a pause is in no catalogue; what it is done to is. */
    @Test
    void anUnknownVariantMovesLikeWhatItIsAVariantOf() {
        Movement tempo = catalogue.resolve("tempo front squat", wake.units.Unit.REP);
        assertThat(tempo.name()).isEqualTo("tempo front squat");
        assertThat(tempo.loads())
                .isEqualTo(catalogue.find("front squat").orElseThrow().loads());
        assertThat(catalogue.find("tempo front squat")).isEmpty();
        assertThat(catalogue.kinOf("quay haul", wake.units.Unit.REP)).isEmpty();
        assertThat(catalogue.resolve("quay haul", wake.units.Unit.REP).loads()).isEmpty();
    }

    /** Textbook pair for the edit distance: kitten → sitting takes 3 (from memory). */
    @Test
    void slipsAreCountedAsEditDistance() {
        assertThat(Catalogue.slips("kitten", "sitting")).isEqualTo(3);
        assertThat(Catalogue.slips("", "abc")).isEqualTo(3);
    }

    /** Common practice, no source: resting on the head and missed overhead lifts carry a caution. */
    @Test
    void dangerousMovementsCarryTheirCaution() {
        assertThat(catalogue.find("handstand push-up").flatMap(Movement::caution))
                .get()
                .asString()
                .contains("neck");
        assertThat(catalogue.find("power snatch").flatMap(Movement::caution)).isPresent();
    }

    @Test
    void aBrokenEntryIsNamed() {
        assertThatThrownBy(() -> CatalogueFile.parse("movements: [{name: plank, modality: gymnastics}]"))
                .hasMessageContaining("plank")
                .hasMessageContaining("pace");
        assertThatThrownBy(() -> CatalogueFile.parse("[]")).hasMessageContaining("movements");
    }

    private static String resource(String path) throws IOException {
        try (var stream = CatalogueTest.class.getResourceAsStream(path)) {
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
