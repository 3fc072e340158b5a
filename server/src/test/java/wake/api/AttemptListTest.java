package wake.api;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import wake.ServerAt;
import wake.ServerAt.Answer;

/** The list of all attempts: searched, filtered, sorted, paged; and what it says is never older than the attempt. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AttemptListTest {
    private static final int MANY = 60;
    private static final UUID INA = UUID.randomUUID();
    private static final UUID ODD = UUID.randomUUID();
    private static final UUID EBB = UUID.randomUUID();
    private static final UUID SKIFF = UUID.randomUUID();

    private ServerAt wake;

    @BeforeAll
    void aSeason(@TempDir java.nio.file.Path data) {
        wake = ServerAt.folder(data);
        wake.put("/api/athletes/" + INA, "{\"name\":\"Ina Sandbar\",\"note\":\"\"}");
        wake.put("/api/athletes/" + ODD, "{\"name\":\"Odd Skagerby\",\"note\":\"\"}");
        wake.put("/api/workouts/" + EBB, "{\"notation\":\"# Ebb\\nfor time\\n  6 burpee\\n\"}");
        wake.put("/api/workouts/" + SKIFF, "{\"notation\":\"# Skiff\\nfor time\\n  9 push-up\\n\"}");
        for (int i = 0; i < MANY; i++) {
            enter(i % 3 == 0 ? ODD : INA, i % 2 == 0 ? EBB : SKIFF, "2026-%02d-%02d".formatted(1 + i / 28, 1 + i % 28));
        }
    }

    @AfterAll
    void stop() {
        wake.close();
    }

    private UUID enter(UUID athlete, UUID workout, String day) {
        UUID id = UUID.randomUUID();
        Answer entered = wake.put("/api/attempts/" + id, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"%s","part":0,"cutInto":1}
                """.formatted(athlete, workout, day));
        assertThat(entered.status()).isEqualTo(200);
        return id;
    }

    /** A page, once everything has been read for it. */
    private Answer list(String query) {
        Answer answer = wake.getRead("/api/attempts" + query);
        assertThat(answer.number("/beingRead")).isZero();
        return answer;
    }

    private static List<String> each(Answer answer, String field) {
        return StreamSupport.stream(answer.json().at("/rows").spliterator(), false)
                .map(row -> row.at("/" + field).asString())
                .toList();
    }

    @Test
    void pagesHoldAllOfThemOnce() {
        Answer first = list("?words=ebb&size=20");
        assertThat(first.number("/total")).isEqualTo(MANY / 2);
        assertThat(first.number("/pages")).isEqualTo(2);
        Answer second = list("?words=ebb&size=20&page=2");
        assertThat(each(second, "id")).hasSize(10).doesNotContainAnyElementsOf(each(first, "id"));
        assertThat(list("?words=ebb&size=20&page=9").number("/page"))
                .as("beyond the last")
                .isEqualTo(2);
    }

    @Test
    void itIsSearchedFilteredAndSorted() {
        assertThat(each(list("?words=sandbar%20SKIFF"), "title")).isNotEmpty().containsOnly("Skiff");
        assertThat(each(list("?athlete=" + ODD + "&size=50"), "athlete"))
                .hasSize(20)
                .containsOnly("Odd Skagerby");
        assertThat(each(list("?from=2026-02-01&to=2026-02-28&size=50"), "doneOn"))
                .hasSize(28)
                .allMatch(day -> day.startsWith("2026-02"));
        assertThat(each(list("?order=EARLIEST&size=50"), "doneOn")).isSorted();
        assertThat(each(list("?order=ATHLETE&size=50"), "athlete")).isSorted();
        assertThat(each(list("?order=WORKOUT&size=50"), "title")).isSorted();
        assertThat(list("?words=nobody").number("/total")).isZero();
    }

    /** What a pattern or a text of the database's language would read otherwise is looked for as it is written. */
    @ParameterizedTest
    @ValueSource(strings = {"åse", "ÅSE", "o'holm", "100%", "%_!", "!", "\\"})
    void anySignIsLookedForAsItIs(String word) {
        UUID ase = UUID.randomUUID();
        wake.put("/api/athletes/" + ase, ServerAt.json(Map.of("name", "Åse O'Holm 100%_!\\", "note", "")));
        UUID attempt = enter(ase, SKIFF, "2026-11-01");
        assertThat(each(list("?words=" + URLEncoder.encode(word, UTF_8)), "id")).containsExactly(attempt.toString());
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
    }

    @Test
    void whatAnotherDayIsGivenIsListedOnThatDay() {
        UUID attempt = enter(INA, SKIFF, "2026-10-03");
        assertThat(list("?from=2026-10-03&to=2026-10-03").number("/total")).isEqualTo(1);
        Answer corrected = wake.put("/api/attempts/" + attempt + "/entry", """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-10-05","part":0,"cutInto":1,"workoutAsItIs":false}
                """.formatted(INA, SKIFF));
        assertThat(corrected.status()).isEqualTo(200);
        assertThat(list("?from=2026-10-03&to=2026-10-03").number("/total")).isZero();
        assertThat(each(list("?from=2026-10-05&to=2026-10-05"), "id")).containsExactly(attempt.toString());
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
    }

    @Test
    void aPageThatCannotBeIsRefused() {
        assertThat(wake.get("/api/attempts?size=51").status()).isEqualTo(422);
        assertThat(wake.get("/api/attempts?page=0").status()).isEqualTo(422);
        assertThat(wake.get("/api/attempts?place=NOWHERE").status()).isEqualTo(400);
        assertThat(wake.get("/api/attempts?words=" + "a".repeat(201)).status()).isEqualTo(422);
    }

    @Test
    void whatItSaysFollowsEveryChange() {
        UUID attempt = enter(INA, EBB, "2026-10-01");
        assertThat(row(attempt).at("/place").asString()).isEqualTo("PLANNED");
        wake.put("/api/attempts/" + attempt + "/recordings/" + UUID.randomUUID() + "/simulated", "{\"seed\":7}");
        assertThat(row(attempt).at("/place").asString()).isEqualTo("TO_REVIEW");
        wake.mark(attempt, UUID.randomUUID(), "DONE", 18_000);
        assertThat(row(attempt).at("/score").asString()).isEqualTo("0:18");
        wake.put("/api/athletes/" + INA, "{\"name\":\"Ina of the Sandbar\",\"note\":\"\"}");
        assertThat(row(attempt).at("/athlete").asString()).isEqualTo("Ina of the Sandbar");
        wake.put("/api/athletes/" + INA, "{\"name\":\"Ina Sandbar\",\"note\":\"\"}");
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
        assertThat(list("?from=2026-10-01&to=2026-10-01").number("/total")).isZero();
        wake.post("/api/bin/ATTEMPT/" + attempt + "/restore", "");
        assertThat(row(attempt).at("/score").asString()).isEqualTo("0:18");
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
    }

    private JsonNode row(UUID attempt) {
        for (JsonNode row : list("?from=2026-10-01&to=2026-10-01").json().at("/rows")) {
            if (row.at("/id").asString().equals(attempt.toString())) {
                return row;
            }
        }
        throw new AssertionError("not listed");
    }

    @Test
    void aLiftWindowIsDoneWithItsLifts() {
        UUID attempt = wake.attempt("# Crest\nlift 8:00, best of 1 power clean\n");
        wake.put(
                "/api/attempts/" + attempt + "/marks/" + UUID.randomUUID(),
                ServerAt.markJson("LIFT", 60_000, "")
                        .replace("\"reps\":0", "\"reps\":1")
                        .replace("\"text\":\"\"", "\"text\":\"60 kg\""));
        Answer found = list("?words=crest");
        assertThat(found.text("/rows/0/place")).isEqualTo("REVIEWED");
        assertThat(found.text("/rows/0/says")).isEqualTo("So far best 60 kg, 1 of 1 made.");
    }
}
