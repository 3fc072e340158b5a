package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.JsonNode;
import wake.RunningServer;
import wake.ServerAt;
import wake.ServerAt.Answer;
import wake.store.RecordingStore;

/** A heat over HTTP: entered on one sheet, filmed once, held beside each other, ranked. */
@ExtendWith(RunningServer.class)
class HeatsApiTest {
    private static final String RACE =
            "# Sluice Race\ndivisions: long / short\nfor time\n  2 rounds:\n    4 / 3 burpee\n    6 air squat\n";

    private final RunningServer wake;

    HeatsApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private UUID workout(String notation) {
        UUID id = UUID.randomUUID();
        assertThat(wake.put("/api/workouts/" + id, ServerAt.json(Map.of("notation", notation)))
                        .status())
                .isEqualTo(200);
        return id;
    }

    private static String sheet(UUID workout, String text) {
        return ServerAt.json(Map.of(
                "workoutId", workout.toString(), "division", "", "doneOn", "2026-11-20", "part", 0, "text", text));
    }

    private Answer enter(UUID heat, UUID workout, String text) {
        return wake.put("/api/heats/" + heat, sheet(workout, text));
    }

    /** Two new athletes, whose names no other test has. */
    private UUID[] two(UUID workout) {
        String some = UUID.randomUUID().toString().substring(0, 8);
        Answer entered = enter(UUID.randomUUID(), workout, "1 + Ida" + some + "\n2 + Runa" + some);
        assertThat(entered.status()).as(entered.json().toString()).isEqualTo(200);
        return new UUID[] {
            UUID.fromString(entered.text("/rows/0/attemptIds/0")), UUID.fromString(entered.text("/rows/1/attemptIds/0"))
        };
    }

    private void reps(UUID attempt, long... seconds) {
        for (long at : seconds) {
            assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 1000 * at).status())
                    .isEqualTo(200);
        }
    }

    @Test
    void aSheetIsReadBeforeItIsEntered() {
        UUID workout = workout(RACE);
        Answer read = wake.post(
                "/api/heats/read",
                ServerAt.json(Map.of(
                        "workoutId", workout.toString(), "division", "", "text", "1 + Xu Vale, short\nnobody at all")));
        assertThat(read.text("/rows/0/athlete")).isEqualTo("Xu Vale");
        assertThat(read.text("/rows/0/division")).isEqualTo("short");
        assertThat(read.text("/rows/0/known")).isEqualTo("false");
        assertThat(read.text("/errors/0/message")).startsWith("No athlete named \"nobody at all\".");
        Answer refused = enter(UUID.randomUUID(), workout, "nobody at all");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("Line 1: No athlete named");
        assertThat(enter(UUID.randomUUID(), workout, "\n").text("/detail")).contains("at least one athlete");
    }

    @Test
    void aHeatSentTwiceIsEnteredOnce() {
        UUID workout = workout(RACE);
        UUID heat = UUID.randomUUID();
        String name = "Tove" + heat;
        String text = IntStream.rangeClosed(1, 10)
                .mapToObj(lane -> lane + " + " + name + lane)
                .reduce((a, b) -> a + "\n" + b)
                .orElseThrow();
        Answer once = enter(heat, workout, text);
        assertThat(once.json().at("/rows")).hasSize(10);
        Answer twice = enter(heat, workout, text);
        assertThat(twice.status()).isEqualTo(200);
        for (int i = 0; i < 10; i++) {
            assertThat(twice.text("/rows/" + i + "/attemptIds/0")).isEqualTo(once.text("/rows/" + i + "/attemptIds/0"));
        }
        assertThat(wake.get("/api/athletes")
                        .json()
                        .valueStream()
                        .filter(one -> one.at("/name").stringValue().startsWith(name)))
                .hasSize(10);
    }

    /** Five whose scores are all there is: a score each, ranked by the rules of the part, the tie by the clock at the tie-break. */
    @Test
    void aHeatIsEnteredWithItsScores() {
        UUID workout = workout("# Groyne\nfor time, cap 9:00\n  20 burpee\n  tie-break\n  30 air squat\n");
        String some = UUID.randomUUID().toString().substring(0, 4);
        String text = """
                1 + Ida%1$s 7:42
                2 + Runa%1$s, cap+12, tb 4:01
                3 + Tove%1$s	6:59
                4 + Bo%1$s, cap + 12, tb 3:58
                5 + Ina%1$s
                """.formatted(some);
        Answer entered = enter(UUID.randomUUID(), workout, text);
        assertThat(entered.status()).as(entered.json().toString()).isEqualTo(200);
        assertThat(entered.text("/rows/1/scores/0")).isEqualTo("38 reps (CAP + 12), 4:01 after 20 burpee");
        JsonNode ranking =
                wake.get("/api/workouts/" + workout + "/ranking").json().at("/divisions/0/places");
        assertThat(ranking.valueStream().map(place -> place.at("/athlete").stringValue()))
                .containsExactly("Tove" + some, "Ida" + some, "Bo" + some, "Runa" + some);
        JsonNode tove = wake.get("/api/athletes/roster")
                .json()
                .valueStream()
                .filter(row -> row.at("/last/athlete").stringValue("").equals("Tove" + some))
                .findFirst()
                .orElseThrow();
        assertThat(tove.at("/attempts").intValue()).isEqualTo(1);
        assertThat(tove.at("/toReview").intValue()).isZero();
        assertThat(tove.at("/last/score").stringValue()).isEqualTo("6:59");
        assertThat(wake.get("/api/athletes/techniques").status()).isEqualTo(200);
        UUID unscored = UUID.fromString(entered.text("/rows/4/attemptIds/0"));
        assertThat(wake.get("/api/attempts/" + unscored + "/log").json().at("/marks"))
                .isEmpty();
    }

    @Test
    void partsOfADayAreEnteredTogether() {
        UUID workout = workout("# Sill\npart A: amrap 4:00\n  5 burpee\npart B: lift 6:00, best of 1 power clean\n");
        UUID heat = UUID.randomUUID();
        String some = UUID.randomUUID().toString().substring(0, 4);
        Map<String, Object> sheet = new HashMap<>(Map.of(
                "workoutId",
                workout.toString(),
                "division",
                "",
                "doneOn",
                "2026-11-20",
                "text",
                "+ Ida" + some + ", 7+2, 70 kg\n+ Bo" + some + ", -, 82.5"));
        Answer entered = wake.put("/api/heats/" + heat, ServerAt.json(sheet));
        assertThat(entered.json().at("/rows/0/attemptIds")).hasSize(2);
        assertThat(entered.text("/rows/0/scores/1")).isEqualTo("70 kg");
        assertThat(wake.put("/api/heats/" + heat, ServerAt.json(sheet)).json().at("/rows/1/attemptIds"))
                .isEqualTo(entered.json().at("/rows/1/attemptIds"));
        assertThat(wake.get("/api/workouts/" + workout + "/ranking?part=1").text("/divisions/0/places/0/score"))
                .isEqualTo("82.5 kg");
        assertThat(wake.get("/api/workouts/" + workout + "/ranking?part=0").text("/divisions/0/places/0/athlete"))
                .isEqualTo("Ida" + some);
        sheet.put("part", 7);
        assertThat(wake.put("/api/heats/" + UUID.randomUUID(), ServerAt.json(sheet))
                        .text("/detail"))
                .contains("has 2 parts");
    }

    /** The video is stored once; both are on it, start at one "go", and each may be told another. */
    @Test
    void oneVideoShowsTheHeat() throws IOException {
        UUID[] both = two(workout(RACE));
        UUID video = UUID.randomUUID();
        byte[] clip = new ClassPathResource("demo/weir-race.webm").getContentAsByteArray();
        int before = wake.bean(RecordingStore.class).ids().size();
        String place = "/api/attempts/" + both[0] + "/recordings/" + video;
        wake.put(place + "/upload", "{\"label\":\"heat.webm\",\"sizeBytes\":" + clip.length + "}");
        wake.post(place + "/upload?offset=0", clip);
        assertThat(wake.post(place + "/upload/finish", "").text("/stage")).isEqualTo("STORED");
        assertThat(wake.bean(RecordingStore.class).ids()).hasSize(before + 1);
        wake.put(place + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}");
        Answer other = wake.get("/api/attempts/" + both[1]);
        assertThat(other.text("/recordings/0/id")).isEqualTo(video.toString());
        assertThat(other.number("/recordings/0/goMs")).isEqualTo(5000);
        assertThat(other.text("/onVideo/0/attemptId")).isEqualTo(both[0].toString());
        assertThat(other.number("/onVideo/0/lane")).isEqualTo(1);
        assertThat(other.number("/lane")).isEqualTo(2);
        wake.put(place + "/go", "{\"atMs\":5100,\"made\":\"STEPPED\",\"step\":0.033}");
        assertThat(wake.get("/api/attempts/" + both[1]).number("/recordings/0/goMs"))
                .as("put right before anything is marked")
                .isEqualTo(5100);
        // Set for a mate, it is undone at the mate like any change.
        wake.post("/api/attempts/" + both[1] + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(wake.get("/api/attempts/" + both[1]).number("/recordings/0/goMs"))
                .isEqualTo(5000);
        wake.put(
                "/api/attempts/" + both[1] + "/recordings/" + video + "/go",
                "{\"atMs\":6000,\"made\":\"STEPPED\",\"step\":0.033}");
        assertThat(wake.get("/api/attempts/" + both[0]).number("/recordings/0/goMs"))
                .isEqualTo(5100);
        String outline = "/api/attempts/" + both[1] + "/recordings/" + video + "/outline";
        assertThat(wake.put(outline, "{\"x\":0.9,\"y\":0.1,\"w\":0.3,\"h\":0.5}")
                        .text("/x"))
                .as("inside the picture")
                .isEqualTo("0.7");
        assertThat(wake.put(outline, "{\"x\":0.1,\"y\":0.1,\"w\":0.001,\"h\":0.5}")
                        .status())
                .isEqualTo(422);
        assertThat(wake.put(
                                "/api/attempts/" + wake.attempt("# Else\nfor time\n  3 burpee\n") + "/recordings/"
                                        + video + "/outline",
                                "{\"x\":0.1,\"y\":0.1,\"w\":0.2,\"h\":0.5}")
                        .text("/detail"))
                .contains("not on that video");
        assertThat(wake.delete(outline).status()).isEqualTo(200);
    }

    @Test
    void theLeadsOfAHeatAreSaidOnTheRawClock() {
        UUID workout = workout(RACE);
        UUID[] both = two(workout);
        reps(both[0], 2, 4, 6, 8, 12, 14, 16, 18, 20, 22, 25, 28, 31, 34, 38, 40, 42, 44, 46, 48);
        reps(both[1], 3, 6, 9, 12, 14, 15, 16, 17, 18, 19, 22, 25, 28, 31, 34, 35, 36, 37, 38, 39);
        Answer versus = wake.get("/api/attempts/" + both[0] + "/versus");
        assertThat(versus.text("/sides/1/attemptId"))
                .as("one of its heat, unasked")
                .isEqualTo(both[1].toString());
        JsonNode pair = versus.json().at("/pairs/0");
        assertThat(pair.at("/borders")
                        .valueStream()
                        .map(border -> border.at("/leadMs").longValue()))
                .containsExactly(4000L, -3000L, -3000L, -9000L);
        // Runa's third squat is up at 16, as Ida's is; the fourth at 17, a second before hers.
        assertThat(pair.at("/overtakes/0/atMs").longValue()).isEqualTo(17_000);
        assertThat(pair.at("/answer").stringValue()).contains("passed at 0:17");
        assertThat(versus.json().at("/slots")).hasSize(4);
        assertThat(wake.get("/api/attempts/" + both[0] + "/versus?with="
                                + wake.attempt("# Sill\nfor time\n  3 burpee\n"))
                        .text("/detail"))
                .contains("a different workout or part");
        String many = "&with=" + UUID.randomUUID();
        assertThat(wake.get("/api/attempts/" + both[0] + "/versus?with=" + UUID.randomUUID() + many + many + many)
                        .status())
                .isEqualTo(404);
        Answer ranking = wake.get("/api/workouts/" + workout + "/ranking");
        assertThat(ranking.text("/divisions/0/places/0/attemptId")).isEqualTo(both[1].toString());
        assertThat(ranking.text("/divisions/0/places/1/place")).isEqualTo("2");
        assertThat(ranking.text("/divisions/0/places/1/behindFirst")).isEqualTo("9.0 s");
        assertThat(ranking.json().at("/divisions/0/places/0/percentile").isMissingNode())
                .as("of two there is no percentile")
                .isTrue();
        assertThat(ranking.json().at("/divisions/0/places/0/bars")).hasSize(2);
        Answer next = wake.get("/api/attempts/" + both[0] + "/next-place");
        assertThat(next.text("/says")).contains("Runa").contains("0:39");
        assertThat(wake.get("/api/attempts/" + both[1] + "/next-place").text("/says"))
                .isEqualTo("Already first in this division.");
    }

    @Test
    void nobodyBesideItIsSaid() {
        UUID alone = wake.attempt("# Sill\nfor time\n  3 burpee\n");
        Answer versus = wake.get("/api/attempts/" + alone + "/versus");
        assertThat(versus.json().at("/sides")).hasSize(1);
        assertThat(versus.json().at("/pairs")).isEmpty();
        UUID lifts = wake.attempt("# Crest\nlift 7:00, best of 1 power clean\n");
        assertThat(wake.get("/api/attempts/" + lifts + "/versus").text("/detail"))
                .contains("in their review");
        assertThat(wake.get("/api/workouts/" + UUID.randomUUID() + "/ranking").status())
                .isEqualTo(404);
        String id = wake.get("/api/attempts/" + alone).text("/workoutId");
        assertThat(wake.get("/api/workouts/" + id + "/ranking").json().at("/divisions"))
                .isEmpty();
    }
}
