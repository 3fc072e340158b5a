package wake.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import wake.movement.CatalogueFile;
import wake.movement.Movement;
import wake.plan.Pacing;
import wake.plan.Plan;
import wake.plan.Plan.LinePacing;
import wake.plan.SetScheme;
import wake.projection.Change;
import wake.review.Documents.ChangeJson;
import wake.review.Documents.Simulation;
import wake.simulation.AthleteModel;
import wake.store.Document;

class DocumentsTest {
    private final Documents documents = new Documents(new JsonMapper());

    @Test
    void aPlanComesBackAsItWasPut() {
        Pacing usual = new Pacing(3000, SetScheme.parse("8-7"), 2.25, 5000);
        Pacing last = new Pacing(2000, SetScheme.parse("5s"), 2.0, 4000);
        Plan plan = new Plan(List.of(new LinePacing(0, usual, Map.of(3, last)), new LinePacing(1, last, Map.of())));
        assertThat(documents.plan(documents.plan(plan))).isEqualTo(plan);
    }

    static List<Change> changes() {
        return List.of(
                new Change.CapTransitions(2500), new Change.CapRests(5000), new Change.HoldCadence("thruster", 2.05));
    }

    @ParameterizedTest
    @MethodSource("changes")
    void aChangeComesBackAsItWasPut(Change change) {
        List<ChangeJson> chosen = List.of(ChangeJson.of(change, true), ChangeJson.of(change, false));
        List<ChangeJson> back = documents.changes(documents.changes(chosen));
        assertThat(back).isEqualTo(chosen);
        assertThat(back.getFirst().change()).isEqualTo(change);
    }

    @Test
    void aSimulationComesBackAsItWasPut() {
        Simulation simulation = new Simulation(77, AthleteModel.plain());
        assertThat(documents.simulation(documents.simulation(simulation))).isEqualTo(simulation);
    }

    static List<Movement> shipped() {
        return CatalogueFile.shipped().all();
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void anyMovementComesBackAsItWasPut(Movement movement) {
        assertThat(documents.movement(documents.movement(movement))).isEqualTo(movement);
    }

    @Test
    void aDocumentOfAnotherVersionIsNamedNotGuessed() {
        assertThatThrownBy(() -> documents.plan(new Document(9, "[]")))
                .hasMessageContaining("plan of version 9")
                .hasMessageContaining("reads version 1");
    }

    @Test
    void anImpossiblePacingIsRefused() {
        Document negative = new Document(
                1,
                "[{\"lineIndex\":0,\"every\":{\"transitionMs\":-5,\"sets\":\"unbroken\",\"secondsPerUnit\":2,\"restMs\":0},\"rounds\":{}}]");
        assertThatThrownBy(() -> documents.plan(negative)).hasMessageContaining("transition");
    }
}
