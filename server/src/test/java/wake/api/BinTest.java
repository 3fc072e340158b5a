package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wake.RunningServer;
import wake.ServerAt;
import wake.ServerAt.Answer;
import wake.WakeProperties;

/** Correcting and deleting: everything, with a way back, and for good. */
@ExtendWith(RunningServer.class)
class BinTest {
    private final RunningServer wake;
    private UUID attempt;
    private UUID recording;
    private Path file;

    BinTest(RunningServer wake) {
        this.wake = wake;
    }

    /** An attempt with a simulated recording that has marks on it, and a file as if it were filmed. */
    @BeforeEach
    void filmed() throws Exception {
        attempt = wake.attempt("# A\nfor time\n  30 burpee\n");
        recording = UUID.randomUUID();
        String at = "/api/attempts/" + attempt;
        wake.put(at + "/recordings/" + recording + "/simulated", "{\"seed\":7}");
        wake.put(at + "/recordings/" + recording + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}");
        for (int rep = 1; rep <= 3; rep++) {
            wake.put(
                    at + "/marks/" + UUID.randomUUID(),
                    ServerAt.markJson("REP", 5000 + 1000L * rep, ",\"recordingId\":\"" + recording + "\""));
        }
        Path media = wake.bean(WakeProperties.class).media();
        Files.createDirectories(media);
        file = Files.writeString(media.resolve(recording.toString()), "\"film\"");
    }

    private Answer open() {
        return wake.get("/api/attempts/" + attempt);
    }

    private String athlete() {
        return open().text("/athleteId");
    }

    @Test
    void aRecordingInTheBinIsNotPlayedAndItsMarksKeepTheirClockAlsoWhenItGoesForGood() {
        assertThat(wake.post("/api/bin/RECORDING/" + recording, "").json().toString())
                .contains(recording.toString());
        assertThat(open().json().at("/recordings").size()).isZero();
        assertThat(open().number("/log/clockMs")).isEqualTo(3000);
        wake.post("/api/bin/RECORDING/" + recording + "/restore", "");
        assertThat(open().json().at("/recordings").size()).isEqualTo(1);

        assertThat(wake.delete("/api/bin/RECORDING/" + recording).json().toString())
                .doesNotContain(recording.toString());
        assertThat(file).as("what is not in the bin is not removed").exists();
        wake.post("/api/bin/RECORDING/" + recording, "");
        wake.delete("/api/bin/RECORDING/" + recording);
        assertThat(file).doesNotExist();
        assertThat(open().number("/log/clockMs")).isEqualTo(3000);
        assertThat(open().json().at("/log/marks").size()).isEqualTo(3);
        assertThat(wake.mark(attempt, UUID.randomUUID(), "REP", 4000).status()).isEqualTo(200);
    }

    /** By itself, with its attempt, with its athlete: neither the video nor what it shows is to be had, until it is brought back. */
    @ParameterizedTest
    @ValueSource(strings = {"RECORDING", "ATTEMPT", "ATHLETE"})
    void whatLiesInTheBinIsNotShown(String kind) {
        String id = kind.equals("RECORDING")
                ? recording.toString()
                : kind.equals("ATTEMPT") ? attempt.toString() : athlete();
        wake.post("/api/bin/" + kind + "/" + id, "");
        for (String part : List.of("media", "frames", "script")) {
            assertThat(wake.get("/api/recordings/" + recording + "/" + part).status())
                    .as(part)
                    .isEqualTo(404);
        }
        wake.post("/api/bin/" + kind + "/" + id + "/restore", "");
        for (String part : List.of("media", "frames", "script")) {
            assertThat(wake.get("/api/recordings/" + recording + "/" + part).status())
                    .as(part)
                    .isEqualTo(200);
        }
    }

    @Test
    void anAttemptIsGoneEverywhereComesBackWholeAndGoesForGoodWithItsVideo() {
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
        assertThat(open().status()).isEqualTo(404);
        assertThat(wake.get("/api/today").json().toString()).doesNotContain(attempt.toString());
        wake.post("/api/bin/ATTEMPT/" + attempt + "/restore", "");
        assertThat(open().json().at("/log/marks").size()).isEqualTo(3);
        wake.post("/api/bin/ATTEMPT/" + attempt, "");
        wake.delete("/api/bin/ATTEMPT/" + attempt);
        assertThat(file).doesNotExist();
        assertThat(wake.post("/api/bin/ATTEMPT/" + attempt + "/restore", "").status())
                .isEqualTo(404);
    }

    @Test
    void anAthleteGoesForGoodWithVideoAndNotesAndNobodyElseIsTouched() {
        UUID other = wake.attempt("# B\nfor time\n  5 burpee\n");
        String athlete = athlete();
        wake.post("/api/bin/ATHLETE/" + athlete, "");
        assertThat(open().status()).isEqualTo(404);
        wake.delete("/api/bin/ATHLETE/" + athlete);
        assertThat(file).doesNotExist();
        assertThat(wake.get("/api/athletes").json().toString()).doesNotContain(athlete);
        assertThat(wake.get("/api/bin").json().toString()).doesNotContain(athlete);
        assertThat(wake.get("/api/attempts/" + other).status()).isEqualTo(200);
    }

    @Test
    void aWorkoutInTheBinLeavesItsAttemptsAndStaysWhileTheyUseIt() {
        String workout = open().text("/workoutId");
        wake.post("/api/bin/WORKOUT/" + workout, "");
        assertThat(wake.get("/api/workouts").json().toString()).doesNotContain(workout);
        assertThat(open().status()).isEqualTo(200);
        Answer kept = wake.delete("/api/bin/WORKOUT/" + workout);
        assertThat(kept.status()).isEqualTo(409);
        assertThat(kept.text("/detail")).contains("This workout has attempts");
    }

    @Test
    void whoWhatAndWhenCanBeCorrectedAndPutBack() {
        UUID better = UUID.randomUUID();
        UUID longer = UUID.randomUUID();
        wake.put("/api/athletes/" + better, "{\"name\":\"Ola Skerry\"}");
        wake.put(
                "/api/workouts/" + longer,
                ServerAt.json(
                        Map.of("notation", "# Long\ndivisions: a / b\nfor time\n  3 rounds:\n    10/8 burpee\n")));
        String correction = """
                {"athleteId":"%s","workoutId":"%s","division":"%s","doneOn":"2026-11-02","part":0,"cutInto":1,"workoutAsItIs":false}""";
        Answer corrected = wake.put("/api/attempts/" + attempt + "/entry", correction.formatted(better, longer, "b"));
        assertThat(corrected.status()).as(corrected.json().toString()).isEqualTo(200);
        assertThat(corrected.text("/athlete")).isEqualTo("Ola Skerry");
        assertThat(corrected.text("/title")).isEqualTo("Long");
        assertThat(corrected.text("/doneOn")).isEqualTo("2026-11-02");
        assertThat(corrected.json().at("/log/marks").size()).isEqualTo(3);
        assertThat(wake.put("/api/attempts/" + attempt + "/entry", correction.formatted(better, longer, "c"))
                        .text("/field"))
                .isEqualTo("division");
        String silly = correction.replace("2026-11-02", "99999-01-01");
        assertThat(wake.put("/api/attempts/" + attempt + "/entry", silly.formatted(better, longer, "b"))
                        .status())
                .isBetween(400, 499);
    }

    @Test
    void aRecordingIsRenamedAndMovedUnlessMarksWouldLoseTheirTime() {
        UUID other = wake.attempt("# B\nfor time\n  5 burpee\n");
        String body = "{\"label\":\"%s\",\"attemptId\":\"%s\"}";
        Answer renamed = wake.put("/api/recordings/" + recording, body.formatted("left camera", attempt));
        assertThat(renamed.text("/label")).isEqualTo("left camera");
        Answer refused = wake.put("/api/recordings/" + recording, body.formatted("left camera", other));
        assertThat(refused.text("/detail")).contains("3 marks are on this video");
        UUID bare = UUID.randomUUID();
        wake.put("/api/attempts/" + attempt + "/recordings/" + bare + "/simulated", "{\"seed\":8}");
        assertThat(wake.put("/api/recordings/" + bare, body.formatted("moved", other))
                        .status())
                .isEqualTo(200);
        assertThat(wake.get("/api/attempts/" + other).text("/recordings/0/label"))
                .isEqualTo("moved");
    }

    @Test
    void whatAnotherWindowDeletedIsNotWrittenOver() {
        String athlete = athlete();
        wake.put("/api/athletes/" + athlete, "{\"note\":\"talks a lot\"}");
        wake.post("/api/bin/ATHLETE/" + athlete, "");
        Answer late = wake.put("/api/athletes/" + athlete, "{\"name\":\"Ina\",\"note\":\"\"}");
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.text("/detail")).contains("This was deleted");
        wake.post("/api/bin/ATHLETE/" + athlete + "/restore", "");
        assertThat(wake.get("/api/athletes").json().toString()).contains("talks a lot");

        String workout = open().text("/workoutId");
        wake.post("/api/bin/WORKOUT/" + workout, "");
        assertThat(wake.put(
                                "/api/workouts/" + workout,
                                ServerAt.json(Map.of("notation", "# B\nfor time\n  5 burpee\n")))
                        .status())
                .isEqualTo(409);
        wake.post("/api/bin/WORKOUT/" + workout + "/restore", "");
        assertThat(wake.get("/api/workouts/" + workout).text("/title")).isEqualTo("A");
    }
}
