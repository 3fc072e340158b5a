package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** From a projection to the retest and to the outcome. */
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
    void aProjectionIsProposedTriedKeptAndStartedAgain() {
        UUID attempt = logged();
        Answer proposed = wake.get(path(attempt));
        assertThat(proposed.json().at("/projection/changes").size()).isPositive();
        assertThat(proposed.text("/chosen/changes/0/kind")).isEqualTo("CAP_SPLITS");
        Answer tried = wake.post(path(attempt) + "/try", body(WAYS, ""));
        assertThat(tried.json().at("/projection/changes").size()).isEqualTo(1);
        assertThat(wake.get(path(attempt)).json()).isEqualTo(proposed.json());
        Answer kept = wake.put(path(attempt), body(WAYS, ",\"credits\":{\"SHOWN\":1}"));
        assertThat(kept.json().at("/projection/credits/1/percent").asDouble()).isEqualTo(100);
        assertThat(wake.get(path(attempt)).json().at("/projection/changes").size())
                .isEqualTo(1);
        assertThat(RunningServer.without("version", wake.delete(path(attempt)).json()))
                .isEqualTo(RunningServer.without("version", proposed.json()));
    }

    @Test
    void theWayToAGoalAndAPlaceAmongOthers() {
        UUID attempt = logged();
        Answer goal = wake.put(path(attempt), body(WAYS, ",\"goal\":\"1:55\""));
        assertThat(goal.json().at("/projection/goal/steps").size()).isEqualTo(1);
        assertThat(goal.text("/projection/goal/says")).contains("Proven route");
        Answer placed = wake.put(path(attempt), body(WAYS, ",\"others\":\"one 1:40\\ntwo 1:58\",\"place\":2"));
        assertThat(placed.number("/projection/goal/placeNow")).isEqualTo(3);
        assertThat(placed.number("/projection/goal/place")).isEqualTo(2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"CAP_RESTS\",\"movement\":\"\",\"target\":-1,\"on\":true}||changes|0 to 3600 s",
                "{\"kind\":\"FINISH_KICK\",\"movement\":\"\",\"target\":3,\"on\":true}||changes|atMs",
                "{\"kind\":\"CHANGE_SETS\",\"movement\":\"burpee\",\"target\":0,\"sets\":\"lots\",\"on\":true}||changes|Write sets",
                "|,\"goal\":\"soon\"|goal|does not fit",
                "|,\"others\":\"one 1:40\\nnobody\",\"place\":1|others|Line 2"
            })
    void whatCannotBeMeantIsRefusedWithWhy(String changes, String more, String field, String why) {
        UUID attempt = logged();
        Answer refused = wake.put(path(attempt), body(changes == null ? "" : changes, more == null ? "" : more));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/field")).isEqualTo(field);
        assertThat(refused.text("/detail")).contains(why);
    }

    /** Rounds of 36, 38 and 46 s: from round 3 on with ways of 2 s only the 8 s before it count. */
    @Test
    void aChangeIsMeantForAPlaceAndItsTargetsForPlaces() {
        UUID attempt = logged();
        String late = "{\"kind\":\"EVERY_ROUND_ON\",\"movement\":\"\",\"target\":40,\"on\":true,"
                + "\"where\":{\"from\":3,\"to\":0,\"section\":\"\",\"load\":\"\",\"set\":0}}";
        Answer kept = wake.put(path(attempt), body(late, ""));
        assertThat(kept.text("/projection/changes/0/title")).isEqualTo("Even round splits, from round 3");
        assertThat(kept.json().at("/projection/changes/0/places").size()).isGreaterThan(3);
        assertThat(kept.number("/projection/gain/ms")).isBetween(5990L, 6010L);
        String each =
                "{\"kind\":\"EVERY_ROUND_ON\",\"movement\":\"\",\"target\":36,\"on\":true,\"targets\":[36,36,40]}";
        Answer byPlace = wake.put(path(attempt), body(each, ""));
        assertThat(byPlace.text("/projection/changes/0/slider/written")).isEqualTo("36, 36, 40");
        assertThat(byPlace.number("/projection/gain/ms")).isBetween(7990L, 8010L);
        assertThat(byPlace.json().at("/next").size()).isEqualTo(6);
        assertThat(byPlace.text("/next/5/end")).isEqualTo("1:52");
        assertThat(byPlace.text("/latestFor")).isEqualTo("2:00");
    }

    @Test
    void howFarAChangeMustGoIsSaid() {
        UUID attempt = logged();
        String asked = "{\"chosen\":%s,\"change\":%d}";
        Answer solved = wake.post(
                path(attempt) + "/solve",
                asked.formatted(
                        body(WAYS, ",\"goal\":\"1:57\",\"back\":{\"ways\":0,\"rests\":0,\"pace\":0,\"form\":0}"), 0));
        // The ways were 2, 2 and 4 s, then 2, 8 and 2: 3 s are won from the longest.
        assertThat(solved.json().at("/reached").asBoolean()).isTrue();
        assertThat(solved.text("/says")).startsWith("To reach 1:57: Cap transitions at");
        Answer far = wake.post(path(attempt) + "/solve", asked.formatted(body(WAYS, ",\"goal\":\"0:30\""), 0));
        assertThat(far.text("/says")).contains("This change alone cannot reach");
        Answer none = wake.post(path(attempt) + "/solve", asked.formatted(body(WAYS, ""), 3));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.text("/detail")).contains("one of the 1 changes");
    }

    @Test
    void theFanBeginsAtZeroAndIsInOrder() {
        UUID attempt = logged();
        Answer fan = wake.get("/api/attempts/" + attempt + "/reading/fan");
        assertThat(fan.status()).isEqualTo(200);
        fan.json().forEach(at -> {
            assertThat(at.at("/lowMs").asLong())
                    .isLessThanOrEqualTo(at.at("/middleMs").asLong());
            assertThat(at.at("/middleMs").asLong())
                    .isLessThanOrEqualTo(at.at("/highMs").asLong());
        });
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
        Answer actual = wake.get(path(next));
        assertThat(actual.text("/actual/answer")).startsWith("Retest 1:43, 17 s faster");
        assertThat(wake.get("/api/attempts/" + next + "/card").text("/html"))
                .as("its card says what became of it")
                .contains(actual.text("/actual/answer"));
        assertThat(wake.get("/api/attempts/" + attempt + "/card").text("/html"))
                .as("the first attempt's says what is projected")
                .contains("Projected ", "likely ")
                .doesNotContain("Retest 1:43");
        assertThat(actual.number("/actual/wonMs")).isEqualTo(17_000);
        assertThat(actual.number("/actual/changes/0/projectedMs")).isEqualTo(8000);
        Answer calls = wake.get("/api/calls");
        assertThat(calls.number("/overall/projections")).isPositive();
        String athlete = wake.get("/api/attempts/" + attempt).text("/athleteId");
        assertThat(calls.json().at("/athletes"))
                .as("whoever else was checked in the same application")
                .filteredOn(one -> one.at("/athleteId").asString().equals(athlete))
                .singleElement()
                .satisfies(one -> assertThat(one.at("/kinds").toString()).contains("projected"));
        // A call that was checked teaches the next one, and moves none that was made before.
        assertThat(actual.text("/projection/back/says")).contains("1 checked retest");
        assertThat(wake.get(path(attempt)).text("/projection/back/says")).contains("no retest of this athlete");
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
