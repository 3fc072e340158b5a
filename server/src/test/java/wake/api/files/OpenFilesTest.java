package wake.api.files;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.core.io.ClassPathResource;
import wake.RunningServer;
import wake.ServerAt;
import wake.ServerAt.Answer;
import wake.exchange.MarkSheet;
import wake.log.Mark;
import wake.store.RecordingStore;

/** What an attempt gives away and takes in: sheets, captions, pictures, a card, traces, videos. */
@ExtendWith(RunningServer.class)
class OpenFilesTest {
    private static final String HAUL = "# Two Hauls\nfor time, cap 9:00\n  2 rounds:\n    250 m row\n    5 burpee\n";

    private final RunningServer wake;
    private UUID attempt = UUID.randomUUID();
    private UUID video = UUID.randomUUID();

    OpenFilesTest(RunningServer wake) {
        this.wake = wake;
    }

    /** A simulated recording, logged by its reps from the clock of its "go" at five seconds. */
    @BeforeEach
    void enter() {
        attempt = wake.attempt(HAUL);
        video = UUID.randomUUID();
        ok(wake.put(at("/recordings/" + video + "/simulated"), "{\"seed\":7}"));
        ok(wake.put(at("/recordings/" + video + "/go"), "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}"));
    }

    private String at(String path) {
        return "/api/attempts/" + attempt + path;
    }

    private static Answer ok(Answer answer) {
        assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
        return answer;
    }

    private void log() {
        mark("BEGIN", 500);
        mark("DONE", 62_000);
        mark("BEGIN", 65_000);
        mark("DONE", 80_000);
        mark("BEGIN", 84_000);
        mark("DONE", 150_000);
        mark("BEGIN", 153_000);
        mark("DONE", 171_000);
        ok(wake.put(
                at("/marks/" + UUID.randomUUID()),
                ServerAt.markJson("CUE", 70_000, "")
                        .replace("\"tag\":\"\",\"text\":\"\"", "\"tag\":\"breath\",\"text\":\"=holds it\"")));
    }

    private void mark(String kind, long ms) {
        ok(wake.mark(attempt, UUID.randomUUID(), kind, ms));
    }

    private String text(String path) {
        Answer answer = wake.get(at(path));
        assertThat(answer.status()).as(path).isEqualTo(200);
        return new String(answer.raw().body(), StandardCharsets.UTF_8);
    }

    @Test
    void sheetsCaptionsAndThePictureOfTheWake() {
        log();
        assertThat(text("/files/splits.csv").lines()).hasSize(5);
        assertThat(text("/files/rounds.csv")).contains("round 2,80.000,171.000,91.000");
        assertThat(text("/files/sets.csv").lines()).hasSizeGreaterThan(2);
        assertThat(text("/files/lifts.csv").lines()).hasSize(1);
        assertThat(text("/files/wake.svg")).startsWith("<svg").contains("Two Hauls");
        assertThat(text("/files/chapters.vtt?recording=" + video)).contains("00:00:05.000 --> 00:01:07.000");
        assertThat(text("/files/chapters.vtt")).contains("00:00:00.000 --> 00:01:02.000");
        assertThat(wake.get(at("/files/captions.vtt?recording=" + UUID.randomUUID()))
                        .status())
                .isEqualTo(422);
        assertThat(wake.get(at("/files/splits.csv")).raw().headers().firstValue("content-disposition"))
                .hasValueSatisfying(name -> assertThat(name).contains("attachment"));
    }

    @Test
    void theSheetOfMarksTakesThemInAgain() {
        log();
        String sheet = text("/files/marks.csv");
        assertThat(sheet).contains("'=holds it");
        UUID other = wake.attempt(HAUL);
        ok(wake.post("/api/attempts/" + other + "/marks/sheet", ServerAt.json(Map.of("csv", sheet))));
        Answer again = wake.get("/api/attempts/" + other + "/files/marks.csv");
        List<Mark> both = MarkSheet.read(sheet);
        assertThat(MarkSheet.read(new String(again.raw().body(), StandardCharsets.UTF_8)))
                .usingRecursiveFieldByFieldElementComparatorIgnoringFields("id")
                .isEqualTo(both);
    }

    @Test
    void captionsComeInAsRemarksOnceAndNothingOfABrokenFile() {
        log();
        String vtt = "WEBVTT\n\n00:20.000 --> 00:22.000\n<v grip>opens the hand</v>\n";
        String body = ServerAt.json(Map.of("vtt", vtt, "recordingId", video.toString()));
        ok(wake.post(at("/marks/captions"), body));
        ok(wake.post(at("/marks/captions"), body));
        String captions = text("/files/captions.vtt");
        assertThat(captions.split("opens the hand", -1)).hasSize(2);
        assertThat(captions).contains("00:00:15.000 -->");
        // The file's own captions are there already.
        ok(wake.post(at("/marks/captions"), ServerAt.json(Map.of("vtt", captions))));
        assertThat(text("/files/captions.vtt")).isEqualTo(captions);
        Answer broken =
                wake.post(at("/marks/captions"), ServerAt.json(Map.of("vtt", vtt + "\n00:30.000 --> 0:31\nlate\n")));
        assertThat(broken.status()).isEqualTo(422);
        assertThat(broken.text("/detail")).startsWith("Line 6: write times");
        assertThat(text("/files/captions.vtt")).isEqualTo(captions);
    }

    @Test
    void theCardHasTheCoachesWordsAndPicturesAndNobodyElse() {
        log();
        assertThat(wake.get(at("/card")).text("/html")).contains("Ina Sandbar", "Two Hauls", "2:51");
        Answer kept = ok(wake.put(at("/card"), "{\"sentence\":\"Straight to the <bar>.\"}"));
        assertThat(kept.text("/html")).contains("Straight to the &lt;bar&gt;.");
        Answer file = wake.post(
                at("/card/file"),
                "{\"stills\":[{\"caption\":\"The first row\",\"mediaType\":\"image/png\",\"base64\":\"iVBORw0KGgo=\"}]}");
        assertThat(file.status()).isEqualTo(200);
        assertThat(new String(file.raw().body(), StandardCharsets.UTF_8))
                .contains("data:image/png;base64,iVBORw0KGgo=", "The first row");
        assertThat(wake.post(
                                at("/card/file"),
                                "{\"stills\":[{\"caption\":\"x\",\"mediaType\":\"image/svg+xml\",\"base64\":\"AA==\"}]}")
                        .status())
                .isEqualTo(422);
    }

    /** Nothing comes twice at one load: nothing is compared, and no picture says ahead or behind. */
    @Test
    void whereNothingIsComparedThereIsNoWake() {
        attempt = wake.attempt("# Once\nfor time\n  10 burpee\n  10 thruster @ 40 kg\n");
        mark("DONE", 40_000);
        mark("DONE", 90_000);
        assertThat(wake.get(at("/files/wake.svg")).status()).isEqualTo(422);
        assertThat(wake.get(at("/card")).text("/html")).contains("1:30").doesNotContain("<svg");
    }

    @Test
    void aCardOfAnAttemptUnderWayIsNotHandedOver() {
        mark("BEGIN", 500);
        assertThat(wake.post(at("/card/file"), "{\"stills\":[]}").status()).isEqualTo(422);
    }

    @Test
    void aTraceHangsOnTheFirstPullAndIsHeldAgainstTheLog() {
        log();
        String sheet = "time,distance,heart rate\n"
                + seconds(0, 20, second -> 0, second -> 110)
                + seconds(20, 83, second -> 4.1 * (second - 20), second -> 110 + second)
                + seconds(83, 200, second -> 4.1 * 62, second -> Math.max(120, 190 - (second - 83)));
        UUID id = UUID.randomUUID();
        Answer put = ok(wake.put(at("/traces/" + id), ServerAt.json(Map.of("label", "monitor.csv", "file", sheet))));
        assertThat(put.number("/0/offsetMs")).isEqualTo(500 - 20_000);
        assertThat(put.text("/0/pieces/0/says")).contains("Log 1:02, erg 1:02");
        assertThat(put.json().at("/0/borders").size()).isEqualTo(4);
        assertThat(put.json().at("/0/series/0/points").size()).isEqualTo(200);
        ok(wake.put(at("/traces/" + id), ServerAt.json(Map.of("label", "monitor.csv", "file", sheet))));
        assertThat(ok(wake.get(at("/traces"))).json().size()).isEqualTo(1);
        Answer moved = ok(wake.put(at("/traces/" + id + "/offset"), "{\"offsetMs\":0}"));
        assertThat(moved.text("/0/offset")).isEqualTo("starts with the clock");
        Answer refused = wake.put(
                at("/traces/" + UUID.randomUUID()),
                ServerAt.json(Map.of("label", "x", "file", "time,heart rate\n0,100\nlater,101\n")));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).startsWith("Line 3:");
        assertThat(ok(wake.delete(at("/traces/" + id))).json().size()).isZero();
    }

    private static String seconds(
            int from,
            int to,
            java.util.function.IntToDoubleFunction metres,
            java.util.function.IntUnaryOperator heart) {
        return java.util.stream.IntStream.range(from, to)
                .mapToObj(second ->
                        second + "," + String.format(java.util.Locale.ROOT, "%.1f", metres.applyAsDouble(second)) + ","
                                + heart.applyAsInt(second) + "\n")
                .collect(Collectors.joining());
    }

    @Test
    void theStandInsSawTheSimulatedAttemptToo() {
        Answer put = ok(wake.put(at("/traces/" + UUID.randomUUID() + "/simulated"), "{}"));
        assertThat(put.json().at("/0/series").size()).isEqualTo(3);
        UUID bare = wake.attempt(HAUL);
        assertThat(wake.put("/api/attempts/" + bare + "/traces/" + UUID.randomUUID() + "/simulated", "{}")
                        .status())
                .isEqualTo(422);
    }

    /** A recording that came as a row alone takes its file under the same id, and of its own attempt only. */
    @Test
    void aVideoThatCameWithoutItsFileIsBroughtAfter() throws java.io.IOException {
        UUID id = UUID.randomUUID();
        byte[] clip = new ClassPathResource("demo/skiff-sprint.webm").getContentAsByteArray();
        wake.bean(RecordingStore.class)
                .add(RecordingStore.Recording.video(id, attempt, "skiff.webm", "video/webm", clip.length));
        assertThat(wake.get("/api/recordings/" + id + "/media").status()).isEqualTo(404);
        String announced = ServerAt.json(Map.of("label", "skiff.webm", "sizeBytes", clip.length));
        UUID other = wake.attempt(HAUL);
        assertThat(wake.put("/api/attempts/" + other + "/recordings/" + id + "/upload", announced)
                        .status())
                .isEqualTo(422);
        assertThat(ok(wake.put(at("/recordings/" + id + "/upload"), announced)).text("/stage"))
                .isEqualTo("COMING");
        ok(wake.post(at("/recordings/" + id + "/upload?offset=0"), clip));
        assertThat(ok(wake.post(at("/recordings/" + id + "/upload/finish"), "")).text("/stage"))
                .isEqualTo("STORED");
        assertThat(wake.get("/api/recordings/" + id + "/media").status()).isEqualTo(200);
        assertThat(ok(wake.get(at(""))).json().at("/recordings").size()).isEqualTo(2);
        // The simulated one needs no file.
        assertThat(ok(wake.put(at("/recordings/" + video + "/upload"), announced))
                        .text("/stage"))
                .isEqualTo("STORED");
    }

    @Test
    void theNamesOfVideosTellWhoWhatAndWhen() {
        String some = UUID.randomUUID().toString().substring(0, 8);
        UUID athlete = UUID.randomUUID();
        ok(wake.put("/api/athletes/" + athlete, "{\"name\":\"Runa " + some + "\"}"));
        UUID workout = UUID.randomUUID();
        ok(wake.put(
                "/api/workouts/" + workout,
                ServerAt.json(Map.of("notation", HAUL.replace("Two Hauls", "Weir " + some)))));
        String videos = """
                {"films":[{"name":"runa %s - weir %s - 2026-10-03.mp4","sizeBytes":12},{"name":"#.mov","sizeBytes":3}]}
                """.formatted(some, some);
        Answer known = ok(wake.post("/api/films/names", videos));
        assertThat(known.text("/0/athleteId")).isEqualTo(athlete.toString());
        assertThat(known.text("/0/workoutId")).isEqualTo(workout.toString());
        assertThat(known.text("/0/doneOn")).isEqualTo("2026-10-03");
        assertThat(known.text("/0/problem")).isEmpty();
        assertThat(known.json().at("/0/attemptId").isMissingNode()).isTrue();
        assertThat(known.text("/1/problem")).contains("no athlete", "no date");
    }
}
