package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** From a call to the retest and to what came of it. */
@ExtendWith(RunningServer.class)
class RetestApiTest {
    private static final String NOTATION = "# Skerry\nfor time\n  3 rounds:\n    4 burpee\n    6 thruster\n";
    private static final String FIRST = "0:14 0:14\n0:16 0:36\n0:12 0:50\n0:22 1:14\n0:14 1:36\n0:22 2:00";
    private static final String SECOND = "0:12 0:12\n0:16 0:30\n0:12 0:44\n0:20 1:06\n0:13 1:21\n0:20 1:43";

    private final RunningServer wake;

    RetestApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private UUID logged() {
        UUID attempt = wake.attempt(NOTATION);
        times(attempt, FIRST);
        return attempt;
    }

    private void times(UUID attempt, String text) {
        Answer kept = wake.post(
                "/api/attempts/" + attempt + "/times",
                "{\"text\":\"%s\",\"each\":\"MOVEMENT\",\"times\":\"SPLITS\",\"replace\":false}"
                        .formatted(text.replace("\n", "\\n")));
        assertThat(kept.status()).as(kept.json().toString()).isEqualTo(200);
    }

    private String path(UUID attempt) {
        return "/api/attempts/" + attempt + "/retest";
    }

    private static String body(String changes, String more) {
        return "{\"changes\":[" + changes + "]" + more + "}";
    }

    private static final String WAYS = "{\"kind\":\"CAP_TRANSITIONS\",\"movement\":\"\",\"target\":3,\"on\":true}";

    @Test
    void aCallIsProposedTriedKeptAndStartedAgain() {
        UUID attempt = logged();
        Answer proposed = wake.get(path(attempt));
        assertThat(proposed.json().at("/call/calls").size()).isPositive();
        assertThat(proposed.text("/chosen/changes/0/kind")).isEqualTo("CAP_TRANSITIONS");
        Answer tried = wake.post(path(attempt) + "/try", body(WAYS, ""));
        assertThat(tried.json().at("/call/calls").size()).isEqualTo(1);
        assertThat(wake.get(path(attempt)).json()).isEqualTo(proposed.json());
        Answer kept = wake.put(path(attempt), body(WAYS, ",\"credits\":{\"SHOWN\":1}"));
        assertThat(kept.json().at("/call/credits/1/percent").asDouble()).isEqualTo(100);
        assertThat(wake.get(path(attempt)).json().at("/call/calls").size()).isEqualTo(1);
        assertThat(RunningServer.without("version", wake.delete(path(attempt)).json()))
                .isEqualTo(RunningServer.without("version", proposed.json()));
    }

    @Test
    void theWayToAGoalAndAPlaceAmongOthers() {
        UUID attempt = logged();
        Answer goal = wake.put(path(attempt), body(WAYS, ",\"goal\":\"1:55\""));
        assertThat(goal.json().at("/call/goal/steps").size()).isEqualTo(1);
        assertThat(goal.text("/call/goal/says")).contains("on evidence");
        Answer placed = wake.put(path(attempt), body(WAYS, ",\"others\":\"one 1:40\\ntwo 1:58\",\"place\":2"));
        assertThat(placed.number("/call/goal/placeNow")).isEqualTo(3);
        assertThat(placed.number("/call/goal/place")).isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"CAP_RESTS\",\"movement\":\"\",\"target\":-1,\"on\":true}||changes|0 to 3600 s",
                "{\"kind\":\"FINISH_KICK\",\"movement\":\"\",\"target\":3,\"on\":true}||changes|atMs",
                "{\"kind\":\"CHANGE_SETS\",\"movement\":\"burpee\",\"target\":0,\"sets\":\"lots\",\"on\":true}||changes|Expected sets",
                "|,\"goal\":\"soon\"|goal|Expected a time",
                "|,\"others\":\"one 1:40\\nnobody\",\"place\":1|others|Line 2"
            })
    void whatCannotBeMeantIsRefusedWithWhy(String changes, String more, String field, String why) {
        UUID attempt = logged();
        Answer refused = wake.put(path(attempt), body(changes == null ? "" : changes, more == null ? "" : more));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/field")).isEqualTo(field);
        assertThat(refused.text("/detail")).contains(why);
    }

    @Test
    void theRetestIsSetOnceAndHeldAgainstItsCall() {
        UUID attempt = logged();
        wake.put(path(attempt), body(WAYS, ""));
        UUID next = UUID.randomUUID();
        String set = "{\"id\":\"%s\",\"doneOn\":\"2031-03-04\"}".formatted(next);
        assertThat(wake.post(path(attempt) + "/set", set).json().at("/retests").size())
                .isEqualTo(1);
        assertThat(wake.post(path(attempt) + "/set", set).json().at("/retests").size())
                .isEqualTo(1);
        assertThat(wake.get("/api/attempts/" + next + "/plan")
                        .json()
                        .at("/assumed")
                        .asBoolean())
                .isFalse();
        times(next, SECOND);
        Answer came = wake.get(path(next));
        assertThat(came.text("/came/answer")).startsWith("1:43 after 2:00, 17 s better");
        assertThat(came.number("/came/wonMs")).isEqualTo(17_000);
        assertThat(came.number("/came/changes/0/calledMs")).isEqualTo(8000);
        assertThat(wake.get("/api/calls").number("/overall/calls")).isPositive();
    }

    @Test
    void aDayBeforeTheAttemptIsRefused() {
        UUID attempt = logged();
        Answer refused = wake.post(
                path(attempt) + "/set", "{\"id\":\"%s\",\"doneOn\":\"2001-01-01\"}".formatted(UUID.randomUUID()));
        assertThat(refused.text("/field")).isEqualTo("doneOn");
        assertThat(refused.text("/detail")).contains("after the attempt");
    }

    @Test
    void twoSetsAreMadeOneAndThatIsUndoneAsOne() {
        UUID attempt = wake.attempt("# Skerry\nfor time\n  10 burpee\n");
        UUID off = UUID.randomUUID();
        wake.mark(attempt, UUID.randomUUID(), "BEGIN", 1000);
        wake.mark(attempt, off, "OFF", 12_000);
        wake.mark(attempt, UUID.randomUUID(), "ON", 16_000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 30_000);
        Answer joined = wake.post("/api/attempts/" + attempt + "/marks/" + off + "/join", "");
        assertThat(joined.json().at("/marks").size()).isEqualTo(2);
        assertThat(joined.number("/segments/0/split/restMs")).isZero();
        assertThat(wake.post("/api/attempts/" + attempt + "/marks/" + off + "/join", "")
                        .status())
                .as("the same again does no harm")
                .isEqualTo(200);
        Answer undone = wake.post("/api/attempts/" + attempt + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(undone.json().at("/marks").size()).isEqualTo(4);
        assertThat(undone.number("/segments/0/split/restMs")).isEqualTo(4000);
    }

    @Test
    void aChangeThatNamesNoMovementIsOneOfAllAndOneOfNoKindIsRefused() {
        UUID attempt = logged();
        String changes = "{\"changes\":[{%s\"target\":2,\"on\":true}],\"goal\":\"1:55\"}";
        Answer all = wake.post(path(attempt) + "/try", changes.formatted("\"kind\":\"CAP_TRANSITIONS\","));
        assertThat(all.status()).isEqualTo(200);
        for (String kind :
                java.util.List.of("HOLD_CADENCE", "BREAK_ONE_EARLY", "CHANGE_SETS", "ERG_PACE", "FINISH_KICK")) {
            assertThat(wake.post(path(attempt) + "/try", changes.formatted("\"kind\":\"" + kind + "\","))
                            .status())
                    .isLessThan(500);
        }
        assertThat(wake.post(path(attempt) + "/try", changes.formatted("")).status())
                .isBetween(400, 499);
    }
}
