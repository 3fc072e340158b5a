package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** Two windows at once, and the same request twice. */
@ExtendWith(RunningServer.class)
class RacesTest {
    private static final String PLAN = """
            {"lines":[{"lineIndex":0,"every":{"transitionMs":%d,"sets":"unbroken","secondsPerUnit":3,"restMs":0},"rounds":{}}]}
            """;
    private final RunningServer wake;

    RacesTest(RunningServer wake) {
        this.wake = wake;
    }

    private static <T> List<T> atOnce(int count, java.util.function.IntFunction<T> request) throws Exception {
        try (ExecutorService all = Executors.newFixedThreadPool(count)) {
            List<Callable<T>> tasks = IntStream.range(0, count)
                    .mapToObj(i -> (Callable<T>) () -> request.apply(i))
                    .toList();
            return all.invokeAll(tasks).stream()
                    .map(done -> {
                        try {
                            return done.get();
                        } catch (Exception broken) {
                            throw new IllegalStateException(broken);
                        }
                    })
                    .toList();
        }
    }

    private UUID attempt() {
        return wake.attempt("# A\nfor time\n  6 burpee\n");
    }

    @Test
    void plansKeptAtOnceAreAllKept() throws Exception {
        UUID attempt = attempt();
        for (int round = 0; round < 10; round++) {
            int base = 1000 * round;
            assertThat(atOnce(
                            4,
                            i -> wake.put("/api/attempts/" + attempt + "/plan", PLAN.formatted(base + i))
                                    .status()))
                    .containsOnly(200);
        }
        assertThat(wake.get("/api/attempts/" + attempt + "/plan/versions")
                        .json()
                        .size())
                .isEqualTo(40);
    }

    @Test
    void aPlanMadeFromAnOlderOneIsKeptBesideTheOneInForce() {
        UUID attempt = attempt();
        String path = "/api/attempts/" + attempt + "/plan";
        long seen = wake.get(path).number("/version");
        assertThat(wake.put(path + "?by=Theirs&from=" + seen, PLAN.formatted(2000))
                        .status())
                .isEqualTo(200);
        Answer mine = wake.put(path + "?by=Mine&from=" + seen, PLAN.formatted(4000));
        assertThat(mine.status()).isEqualTo(409);
        assertThat(mine.text("/detail")).contains("yours is saved as version 2");
        assertThat(wake.get(path).number("/plan/lines/0/every/transitionMs")).isEqualTo(2000);
        Answer brought = wake.post(path + "/versions/2/restore", "");
        assertThat(brought.number("/plan/lines/0/every/transitionMs")).isEqualTo(4000);
    }

    @Test
    void choicesForARetestFromAnOlderStateAreNotWrittenOver() {
        UUID attempt = attempt();
        String path = "/api/attempts/" + attempt + "/retest";
        long seen = wake.get(path).number("/version");
        String changes = "{\"changes\":[]%s}";
        assertThat(wake.put(path + "?from=" + seen, changes.formatted(",\"goal\":\"0:30\""))
                        .status())
                .isEqualTo(200);
        Answer late = wake.put(path + "?from=" + seen, changes.formatted(",\"goal\":\"0:20\""));
        assertThat(late.status()).isEqualTo(409);
        assertThat(wake.get(path).text("/chosen/goal")).isEqualTo("0:30");
        assertThat(wake.delete(path + "?from=" + seen).status()).isEqualTo(409);
    }

    @Test
    void aPainNotedInOneWindowOutlivesTheOthers() throws Exception {
        UUID id = UUID.randomUUID();
        wake.put("/api/athletes/" + id, "{\"name\":\"Ina Sandbar\",\"note\":\"\"}");
        for (int round = 0; round < 30; round++) {
            String pain = "left knee " + round;
            atOnce(
                    2,
                    i -> i == 0
                            ? wake.put("/api/athletes/" + id, "{\"pain\":\"" + pain + "\"}")
                            : wake.put("/api/athletes/" + id, "{\"note\":\"talks a lot\"}"));
            assertThat(wake.get("/api/athletes").json().toString()).contains(pain);
        }
    }

    @Test
    void aSheetSentAgainWithARowOnTopAddsThatRow() {
        UUID attempt = wake.attempt("# A\nfor time\n  30 burpee\n");
        StringBuilder rows = new StringBuilder();
        for (int rep = 1; rep <= 7; rep++) {
            rows.append("0:").append(10 + 2 * rep).append(",rep\\n");
        }
        String path = "/api/attempts/" + attempt + "/marks/sheet";
        assertThat(wake.post(path, "{\"csv\":\"at,kind\\n" + rows + "\"}")
                        .json()
                        .at("/marks")
                        .size())
                .isEqualTo(7);
        assertThat(wake.post(path, "{\"csv\":\"at,kind\\n0:10,rep\\n" + rows + "\"}")
                        .json()
                        .at("/marks")
                        .size())
                .isEqualTo(8);
    }

    @Test
    void whatWasAskedUnderAnIdIsDoneOnceHoweverOftenItIsAsked() {
        UUID attempt = wake.attempt("# A\nfor time\n  30 burpee\n");
        String at = "/api/attempts/" + attempt;
        for (int rep = 1; rep <= 4; rep++) {
            wake.mark(attempt, UUID.randomUUID(), "REP", 1000L * rep);
        }
        UUID undo = UUID.randomUUID();
        wake.post(at + "/marks/undo/" + undo, "");
        // Something else is done meanwhile, which prunes what could be redone; the undo comes once more, late.
        wake.mark(attempt, UUID.randomUUID(), "REP", 9000);
        assertThat(wake.post(at + "/marks/undo/" + undo, "").json().at("/marks").size())
                .isEqualTo(4);
        String sheet = "{\"csv\":\"at,kind\\n0:12,rep\\n\",\"id\":\"%s\"}".formatted(UUID.randomUUID());
        assertThat(wake.post(at + "/marks/sheet", sheet).json().at("/marks").size())
                .isEqualTo(5);
        wake.post(at + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(wake.post(at + "/marks/sheet", sheet).json().at("/marks").size())
                .isEqualTo(4);
    }

    @Test
    void aRetestSetTwiceUnderOneIdIsSetOnce() {
        UUID attempt = wake.attempt("# A\nfor time\n  4 burpee\n");
        for (int rep = 1; rep <= 4; rep++) {
            wake.mark(attempt, UUID.randomUUID(), "REP", 2000L * rep);
        }
        UUID retest = UUID.randomUUID();
        String body = "{\"id\":\"%s\",\"doneOn\":\"2026-12-01\"}".formatted(retest);
        assertThat(wake.post("/api/attempts/" + attempt + "/retest/set", body).status())
                .isEqualTo(200);
        assertThat(wake.post("/api/attempts/" + attempt + "/retest/set", body)
                        .json()
                        .at("/retests")
                        .size())
                .isEqualTo(1);
        assertThat(wake.get("/api/attempts/" + retest + "/plan/versions").json().size())
                .isEqualTo(1);
    }

    @Test
    void thePieceOfAVideoSentTwiceAtOnceIsWrittenOnce() throws Exception {
        UUID attempt = attempt();
        byte[] piece = new byte[3_000_000];
        new java.util.Random(3).nextBytes(piece);
        for (int round = 0; round < 5; round++) {
            UUID id = UUID.randomUUID();
            String place = "/api/attempts/" + attempt + "/recordings/" + id + "/upload";
            wake.put(place, "{\"label\":\"a\",\"sizeBytes\":" + 2 * piece.length + "}");
            atOnce(3, i -> wake.post(place + "?offset=0", piece).status());
            assertThat(wake.get(place).number("/receivedBytes")).isEqualTo(piece.length);
        }
    }

    @Test
    void aRemarkOfTwoThousandQuotesIsKeptAndCanBeTakenBack() {
        UUID attempt = attempt();
        UUID id = UUID.randomUUID();
        String quotes = "\\\"".repeat(2000);
        String cue = """
                {"kind":"CUE","atMs":1000,"reps":0,"depth":"SET","tag":"","text":"%s","made":"STEPPED","step":0.03}""";
        assertThat(wake.put("/api/attempts/" + attempt + "/marks/" + id, cue.formatted(quotes))
                        .status())
                .isEqualTo(200);
        String controls = "\\u0001".repeat(2000);
        assertThat(wake.put("/api/attempts/" + attempt + "/marks/" + id, cue.formatted(controls))
                        .status())
                .isEqualTo(200);
        Answer undone = wake.post("/api/attempts/" + attempt + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(undone.text("/marks/0/text")).isEqualTo("\"".repeat(2000));
    }
}
