package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class LibraryApiTest {
    private static final String NEAP = "{\"notation\":\"# Neap\\nfor time\\n  12 burpee\\n\"}";
    private static final String KELP_TOSS = """
            {"aliases":["kt"],"modality":"WEIGHTS","loads":["GRIP"],"unit":"rep","starts":"FLOOR","ends":"RACK",
             "fast":2,"slow":4,"goodRep":"Over the yoke.","caution":""}
            """;

    private final RunningServer wake;

    LibraryApiTest(RunningServer wake) {
        this.wake = wake;
    }

    @Test
    void aWorkoutIsPutAwayAndTakenBack() {
        UUID id = UUID.randomUUID();
        wake.put("/api/workouts/" + id, NEAP);
        assertThat(archived(id, true)).isTrue();
        assertThat(wake.put("/api/workouts/" + id, NEAP).json().at("/archived").asBoolean())
                .isTrue();
        assertThat(archived(id, false)).isFalse();
    }

    private boolean archived(UUID id, boolean archived) {
        return wake.put("/api/workouts/" + id + "/archived", "{\"archived\":" + archived + "}")
                .json()
                .at("/archived")
                .asBoolean();
    }

    /** JSON Schema 2020-12, by an independent validator. */
    @Test
    void theLibraryGoesOutAndComesBackInAsItsSchemaSays() throws IOException {
        UUID id = UUID.randomUUID();
        wake.put("/api/workouts/" + id, NEAP);
        Answer file = wake.get("/api/workouts/export");
        String schema = Files.readString(Path.of("../web/public/schemas/workouts.schema.json"));
        assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                        .getSchema(schema, InputFormat.JSON)
                        .validate(file.json().toString(), InputFormat.JSON))
                .isEmpty();
        Answer back = wake.post("/api/workouts/import", file.json().toString());
        assertThat(back.number("/added")).isEqualTo(file.json().at("/workouts").size());
        assertThat(wake.get("/api/workouts/export").json()).isEqualTo(file.json());
    }

    @Test
    void whatDoesNotFitInAFileIsNamedAndTheRestTakenIn() {
        String file = """
                {"kind":"wake-workouts","version":1,"workouts":[
                  {"id":"%s","notation":"# Good\\nfor time\\n  5 burpee","archived":false},
                  {"id":"%s","notation":"# Bad\\nfor tea","archived":false}]}
                """.formatted(UUID.randomUUID(), UUID.randomUUID());
        Answer answer = wake.post("/api/workouts/import", file);
        assertThat(answer.number("/added")).isEqualTo(1);
        assertThat(answer.text("/refused/0")).startsWith("Workout 2: Line 2: ");
        Answer other = wake.post("/api/workouts/import", file.replace("wake-workouts", "recipes"));
        assertThat(other.status()).isEqualTo(422);
        assertThat(other.text("/detail")).contains("recipes");
    }

    @Test
    void aMovementOfTheCoachsOwnIsKnownFromThenOn() {
        assertThat(hints("kelp tos")).isZero();
        assertThat(wake.put("/api/movements/kelp%20toss", KELP_TOSS)
                        .json()
                        .at("/own")
                        .asBoolean())
                .isTrue();
        assertThat(hints("kelp tos")).isEqualTo(1);
        Answer taken = wake.put("/api/movements/anchor%20drag", KELP_TOSS.replace("\"kt\"", "\"t2b\""));
        assertThat(taken.status()).isEqualTo(422);
        assertThat(taken.text("/detail")).contains("names both");
        Answer backwards = wake.put("/api/movements/anchor%20drag", KELP_TOSS.replace("\"slow\":4", "\"slow\":1"));
        assertThat(backwards.text("/detail")).contains("at most the slow one");
        wake.delete("/api/movements/kelp%20toss");
        assertThat(hints("kelp tos")).isZero();
    }

    /** By hand: 40 of the 80 kg that the lift it is a harder form of stands in with. */
    @Test
    void anOwnMovementSaysWhatItLoadsAndWhatItIsAPartOf() {
        String drag = KELP_TOSS
                .replace("\"kt\"", "\"mcl\"")
                .replaceFirst("\\{", "{\"of\":[\"cleans\"],")
                .replaceFirst("\"loads\":\\[[^]]*]", "\"loads\":[\"PULL\",\"GRIP\"]");
        Answer made = wake.put("/api/movements/mooring%20clean", drag);
        assertThat(made.text("/of/0")).isEqualTo("clean");
        assertThat(made.json().at("/loads").size()).isEqualTo(2);
        UUID athlete = UUID.randomUUID();
        wake.put("/api/athletes/" + athlete, "{\"name\":\"Ines Varga\",\"note\":\"\",\"figures\":\"max clean 80 kg\"}");
        UUID workout = UUID.randomUUID();
        wake.put("/api/workouts/" + workout, "{\"notation\":\"# Mooring\\nfor time\\n  5 mooring clean @ 40 kg\\n\"}");
        UUID attempt = UUID.randomUUID();
        wake.put(
                "/api/attempts/" + attempt,
                "{\"athleteId\":\"%s\",\"workoutId\":\"%s\",\"division\":\"\",\"doneOn\":\"2026-11-20\",\"part\":0,\"cutInto\":1}"
                        .formatted(athlete, workout));
        assertThat(wake.get("/api/attempts/" + attempt + "/plan").json().toString())
                .contains("typical at 50% of max");
        Answer itself = wake.put("/api/movements/mooring%20clean", drag.replace("cleans", "mooring clean"));
        assertThat(itself.status()).isEqualTo(422);
        assertThat(itself.text("/detail")).contains("Use other movements Wake knows, not \"mooring clean\"");
        wake.delete("/api/movements/mooring%20clean");
    }

    private int hints(String movement) {
        return wake.post("/api/workouts/check", "{\"notation\":\"# A\\nfor time\\n  5 " + movement + "\\n\"}")
                .json()
                .at("/hints")
                .size();
    }

    @Test
    void theShippedCatalogueHasMoreThanThreeHundredMovements() {
        assertThat(wake.get("/api/movements").json().size()).isBetween(300, 360);
    }
}
