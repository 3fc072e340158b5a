package wake.api;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.RunningServer.markJson;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class ApiTest {
    private static final String SKIFF = "# Skiff\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n";

    private final RunningServer wake;

    ApiTest(RunningServer wake) {
        this.wake = wake;
    }

    @Test
    void anAttemptIsLoggedReviewedAndProjected() {
        UUID attempt = wake.attempt("# Skiff\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster\n");
        List<String> kinds = List.of("BEGIN", "DONE");
        long[] times = {1000, 13_000, 15_000, 27_000, 30_000, 42_000, 44_000, 56_000, 64_000, 76_000, 78_000, 90_000};
        Answer log = null;
        for (int i = 0; i < times.length; i++) {
            log = wake.mark(attempt, UUID.randomUUID(), kinds.get(i % 2), times[i]);
            assertThat(log.status()).as(log.json().toString()).isEqualTo(200);
        }
        assertThat(log.text("/phase")).isEqualTo("FINISHED");
        assertThat(log.text("/score")).isEqualTo("1:30");
        assertThat(log.number("/segments/4/split/transitionMs")).isEqualTo(8000);
        Answer reading = wake.get("/api/attempts/" + attempt + "/reading?baseline=PLAN");
        assertThat(reading.text("/answer")).contains(" plan");
        assertThat(reading.number("/totalMs")).isEqualTo(reading.number("/clockMs") - reading.number("/expectedMs"));
        Answer call = wake.put(
                "/api/attempts/" + attempt + "/retest",
                "{\"changes\":[{\"kind\":\"CAP_TRANSITIONS\",\"movement\":\"\",\"target\":3,\"on\":true}]}");
        assertThat(call.number("/projection/gain/ms")).isEqualTo(5000);
        assertThat(call.text("/projection/bestCase/words")).isEqualTo("1:25");
        assertThat(wake.get("/api/attempts/" + attempt + "/retest").json()).isEqualTo(call.json());
    }

    @Test
    void aMarkThatMakesNoSenseIsRefusedAndNothingOfItKept() {
        UUID attempt = wake.attempt(SKIFF);
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        Answer refused = wake.mark(attempt, UUID.randomUUID(), "BEGIN", 2000);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.type()).startsWith("application/problem+json");
        assertThat(refused.text("/detail")).contains("already started");
        assertThat(refused.text("/field")).isEqualTo("kind");
        assertThat(wake.get("/api/attempts/" + attempt).json().at("/log/marks").size())
                .isEqualTo(1);
    }

    @Test
    void theSameMarkSentTwiceIsOneMark() {
        UUID attempt = wake.attempt(SKIFF);
        UUID id = UUID.randomUUID();
        wake.mark(attempt, id, "BEGIN", 1000);
        Answer again = wake.mark(attempt, id, "BEGIN", 1000);
        assertThat(again.status()).isEqualTo(200);
        assertThat(again.json().at("/marks").size()).isEqualTo(1);
        wake.delete("/api/attempts/" + attempt + "/marks/" + id);
        assertThat(wake.delete("/api/attempts/" + attempt + "/marks/" + id)
                        .json()
                        .at("/marks")
                        .size())
                .isZero();
    }

    @Test
    void aMarkInTheMiddleGoesWhereItsTimeIs() {
        UUID attempt = wake.attempt(SKIFF);
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 20_000);
        Answer log = wake.mark(attempt, UUID.randomUUID(), "OFF", 9000);
        assertThat(log.status()).isEqualTo(200);
        assertThat(log.number("/segments/0/split/workMs")).isEqualTo(8000);
    }

    @Test
    void aCorrectionThatSaysNothingOfItsTakingKeepsTheResolution() {
        UUID attempt = wake.attempt(SKIFF);
        UUID id = UUID.randomUUID();
        wake.mark(attempt, id, "BEGIN", 1000);
        String corrected = markJson("BEGIN", 1100, "").replace("\"made\":\"STEPPED\",", "");
        Answer log = wake.put("/api/attempts/" + attempt + "/marks/" + id, corrected);
        assertThat(log.json().at("/marks/0/uncertaintyS").asDouble()).isBetween(0.0096, 0.0097);
        assertThat(wake.put("/api/attempts/" + attempt + "/marks/" + UUID.randomUUID(), corrected)
                        .status())
                .isEqualTo(422);
    }

    @Test
    void marksOnARecordingCountFromGoAndStayInsideIt() {
        UUID attempt = wake.attempt(SKIFF);
        UUID recording = UUID.randomUUID();
        wake.put("/api/attempts/" + attempt + "/recordings/" + recording + "/simulated", "{\"seed\":5}");
        String marks = "/api/attempts/" + attempt + "/marks/";
        String on = ",\"recordingId\":\"" + recording + "\"";
        Answer early = wake.put(marks + UUID.randomUUID(), markJson("BEGIN", 6000, on));
        assertThat(early.status()).isEqualTo(422);
        assertThat(early.text("/detail")).contains("Mark the start");
        wake.put(
                "/api/attempts/" + attempt + "/recordings/" + recording + "/go",
                "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.0333}");
        Answer log = wake.put(marks + UUID.randomUUID(), markJson("BEGIN", 6000, on));
        assertThat(log.number("/clockMs")).isEqualTo(1000);
        assertThat(wake.put(marks + UUID.randomUUID(), markJson("DONE", 4000, on))
                        .text("/detail"))
                .contains("before the start");
        Answer beyond = wake.put(marks + UUID.randomUUID(), markJson("DONE", 99_000_000 / 2, on));
        assertThat(beyond.text("/detail")).contains("outside the video");
        Answer forgotten = wake.delete("/api/attempts/" + attempt + "/recordings/" + recording + "/go");
        assertThat(forgotten.number("/waitingForGo")).isEqualTo(1);
    }

    @Test
    void aNotationCheckTellsEveryErrorAndWhatTheBoardSays() {
        Answer broken = wake.post("/api/workouts/check", "{\"notation\":\"# A\\nfor tim\\n  burpee\\n\"}");
        assertThat(broken.json().at("/errors").size()).isEqualTo(2);
        assertThat(broken.number("/errors/1/line")).isEqualTo(3);
        Answer fine = wake.post(
                "/api/workouts/check", "{\"notation\":\"# A\\nfor time\\n  3 rounds:\\n    21-15-9 burpee\\n\"}");
        assertThat(fine.text("/boards/0/counts")).isEqualTo("45 reps");
        assertThat(fine.json().at("/boards/0/lines/0/perRound").size()).isEqualTo(3);
    }

    @Test
    void aBrokenWorkoutIsNotKept() {
        Answer refused = wake.put("/api/workouts/" + UUID.randomUUID(), "{\"notation\":\"# Neap\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("Line 2: ").contains("how it is timed");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/attempts/%s",
                "/api/attempts/%s/reading",
                "/api/attempts/%s/retest",
                "/api/attempts/%s/plan",
                "/api/workouts/%s",
                "/api/recordings/%s/script",
                "/api/recordings/%s/media"
            })
    void anUnknownIdIsSaidToBeUnknown(String path) {
        Answer answer = wake.get(path.formatted(UUID.randomUUID()));
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.text("/detail")).contains("doesn't exist or was deleted");
    }

    @Test
    void nonsenseIsAnsweredWithAProblem() {
        assertThat(wake.get("/api/attempts/not-an-id").text("/detail")).contains("\"not-an-id\" is not valid");
        UUID attempt = wake.attempt(SKIFF);
        Answer kind = wake.mark(attempt, UUID.randomUUID(), "WAVE", 1000);
        assertThat(kind.status()).isEqualTo(400);
        assertThat(kind.text("/detail")).contains("WAVE");
        Answer reps = wake.put(
                "/api/attempts/" + attempt + "/marks/" + UUID.randomUUID(),
                markJson("OFF", 1000, "").replace("\"reps\":0", "\"reps\":-4"));
        assertThat(reps.text("/detail")).isEqualTo("reps must not be negative");
        assertThat(wake.put("/api/athletes/" + UUID.randomUUID(), "{\"name\":\" \",\"note\":\"\"}")
                        .text("/detail"))
                .isEqualTo("name must be filled in");
        assertThat(wake.get("/api/nothing").status()).isEqualTo(404);
        Answer stray = wake.put("/api/attempts/" + UUID.randomUUID(), """
                {"athleteId":"%1$s","workoutId":"%1$s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}
                """.formatted(UUID.randomUUID()));
        assertThat(stray.text("/field")).isEqualTo("athleteId");
    }

    @Test
    void anAmrapGoesOnUntilItsBuzzerAndScoresRoundsAndReps() {
        UUID attempt = wake.attempt("# Tide\namrap 1:00\n  4 burpee\n  6 thruster @ 30 kg\n");
        long[] begun = {1000, 14_000, 28_000};
        for (long at : begun) {
            wake.mark(attempt, UUID.randomUUID(), "BEGIN", at);
            wake.mark(attempt, UUID.randomUUID(), "DONE", at + 12_000);
        }
        wake.mark(attempt, UUID.randomUUID(), "REP", 43_000);
        Answer late = wake.mark(attempt, UUID.randomUUID(), "REP", 61_000);
        assertThat(late.text("/detail")).contains("buzzer at 1:00");
        Answer log = wake.mark(attempt, UUID.randomUUID(), "STOP", 60_000);
        assertThat(log.text("/score")).isEqualTo("1 round + 5");
        assertThat(log.json().at("/open").asBoolean()).isTrue();
        Answer call = wake.put(
                "/api/attempts/" + attempt + "/retest",
                "{\"changes\":[{\"kind\":\"HOLD_CADENCE\",\"movement\":\"burpee\",\"target\":2,\"on\":true}]}");
        assertThat(call.text("/projection/before/words")).isEqualTo("1 round + 5");
        assertThat(call.number("/projection/gain/reps")).isPositive();
    }

    @Test
    void aLiftWindowIsAListOfLifts() {
        UUID attempt = wake.attempt("# Crest\nlift 7:00, best of 1 power clean\n");
        assertThat(lift(attempt, 60_000, "heavy", 1).text("/detail")).contains("like 85 kg");
        lift(attempt, 60_000, "80 kg", 1);
        lift(attempt, 140_000, "85 kg", 1);
        Answer log = lift(attempt, 220_000, "200 lb", 0);
        assertThat(log.text("/score")).isEqualTo("85 kg");
        assertThat(log.number("/lifts/2/sinceMs")).isEqualTo(80_000);
        assertThat(log.json().at("/lifts/2").has("restMs"))
                .as("nobody saw a bar come down")
                .isFalse();
        assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 230_000).text("/detail"))
                .contains("already missed");
        assertThat(wake.get("/api/attempts/" + attempt + "/reading").text("/answer"))
                .isEqualTo("Best 85 kg, 2 of 3 lifts made.");
    }

    private Answer lift(UUID attempt, long atMs, String load, int made) {
        String json = markJson("LIFT", atMs, "")
                .replace("\"text\":\"\"", "\"text\":\"" + load + "\"")
                .replace("\"reps\":0", "\"reps\":" + made);
        return wake.put("/api/attempts/" + attempt + "/marks/" + UUID.randomUUID(), json);
    }

    @Test
    void aPartThatIsNotThereCannotBeEntered() {
        UUID first = wake.attempt(SKIFF);
        Answer attempt = wake.get("/api/attempts/" + first);
        Answer refused = wake.put("/api/attempts/" + UUID.randomUUID(), """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":3,"cutInto":1}
                """.formatted(
                        attempt.text("/athleteId"), attempt.text("/workoutId")));
        assertThat(refused.text("/field")).isEqualTo("part");
    }

    @Test
    void todaySortsAttemptsByWhatTheyWaitFor() {
        UUID attempt = wake.attempt(SKIFF);
        assertThat(row("toBeDone", attempt).at("/stage").asString()).isEqualTo("NO_RECORDING");
        wake.mark(attempt, UUID.randomUUID(), "DONE", 18_000);
        assertThat(row("toReview", attempt).at("/loggedPercent").asInt()).isEqualTo(50);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 40_000);
        assertThat(row("reviewed", attempt).at("/score").asString()).isEqualTo("0:40");
    }

    private tools.jackson.databind.JsonNode row(String list, UUID attempt) {
        for (var row : wake.get("/api/today").json().at("/" + list)) {
            if (row.at("/id").asString().equals(attempt.toString())) {
                return row;
            }
        }
        throw new AssertionError("not in " + list);
    }

    @Test
    void aNoteOfTheWholeAttemptIsKept() {
        UUID attempt = wake.attempt(SKIFF);
        String note = "/api/attempts/" + attempt + "/note";
        assertThat(wake.put(note, "{\"text\":\"  Even; the grip held. \"}").text("/note"))
                .isEqualTo("Even; the grip held.");
        assertThat(wake.get("/api/attempts/" + attempt).text("/note")).isEqualTo("Even; the grip held.");
        assertThat(wake.put(note, "{\"text\":\"" + "x".repeat(4001) + "\"}").status())
                .isEqualTo(422);
        assertThat(wake.put("/api/attempts/" + UUID.randomUUID() + "/note", "{\"text\":\"\"}")
                        .status())
                .isEqualTo(404);
    }

    @Test
    void aTechniqueNeedsAName() {
        UUID attempt = wake.attempt(SKIFF);
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        String marks = "/api/attempts/" + attempt + "/marks/";
        assertThat(wake.mark(attempt, UUID.randomUUID(), "VARIANT", 1500).text("/detail"))
                .contains("Name the technique");
        String named = markJson("VARIANT", 1500, "").replace("\"text\":\"\"", "\"text\":\"step-back\"");
        assertThat(wake.put(marks + UUID.randomUUID(), named).status()).isEqualTo(200);
    }

    /** What a mark cannot mean is refused with its reason, never dropped. */
    @Test
    void repsStandWhereTheyMeanSomething() {
        UUID attempt = wake.attempt(SKIFF);
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        String marks = "/api/attempts/" + attempt + "/marks/";
        String counted = markJson("TRIP", 2000, "").replace("\"reps\":0", "\"reps\":3");
        assertThat(wake.put(marks + UUID.randomUUID(), counted).text("/detail")).contains("has no reps");
        String buzzer = markJson("STOP", 9000, "").replace("\"reps\":0", "\"reps\":4");
        Answer log = wake.put(marks + UUID.randomUUID(), buzzer);
        assertThat(log.status()).isEqualTo(200);
        assertThat(log.text("/score")).startsWith("4 reps at");
    }
}
