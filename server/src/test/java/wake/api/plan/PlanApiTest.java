package wake.api.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static wake.api.plan.Planning.BARS;
import static wake.api.plan.Planning.draft;
import static wake.api.plan.Planning.path;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class PlanApiTest {
    private final RunningServer wake;

    PlanApiTest(RunningServer wake) {
        this.wake = wake;
    }

    @Test
    void aPlanIsKeptAndItsForecastIsTheSumOfItsParts() {
        UUID attempt = wake.attempt("# Ripple\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        Answer draft = wake.get(path(attempt));
        assertThat(draft.json().at("/assumed").asBoolean()).isTrue();
        Answer plan = wake.put(path(attempt), """
                {"lines":[
                  {"lineIndex":0,"every":{"transitionMs":0,"sets":"unbroken","secondsPerUnit":3,"restMs":0},"rounds":{}},
                  {"lineIndex":1,"every":{"transitionMs":2500,"sets":"5-3","secondsPerUnit":9,"pace":"30/min","restMs":4000},"rounds":{}}]}
                """);
        assertThat(plan.json().at("/assumed").asBoolean()).isFalse();
        assertThat(plan.number("/finishMs")).isEqualTo(18_000 + 2500 + 16_000 + 4000);
        assertThat(plan.text("/segments/1/sets")).isEqualTo("5-3");
        assertThat(plan.text("/plan/lines/1/every/paceIn")).isEqualTo("A_MINUTE");
        assertThat(plan.text("/lines/1/written")).isEqualTo("30/min");
        Answer again = wake.put(path(attempt), plan.json().at("/plan").toString());
        assertThat(again.text("/lines/1/written")).isEqualTo("30/min");
        assertThat(plan.text("/answer")).isEqualTo("Planned finish 0:41.");
        assertThat(RunningServer.without("version", wake.delete(path(attempt)).json()))
                .isEqualTo(RunningServer.without("version", draft.json()));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"sets\":\"6s\"|\"sets\":\"13-2\"|plan|more than the 12 of deadlift",
                "\"sets\":\"6s\"|\"sets\":\"8-7\"|plan|15 reps, more than the 12",
                "\"sets\":\"6s\"|\"sets\":\"some\"|lines/0|Write sets",
                "\"rests\":\"5\"|\"rests\":\"5-4000\"|lines/0|a rest is 0 to 3600 s",
                "\"rests\":\"5\"|\"rests\":\"soon\"|lines/0|Write rests in seconds",
                "\"restMs\":5000,\"rests\":\"5\"|\"restMs\":-5|lines/0|a rest is 0 to 3600 s",
                "\"pickUpMs\":0|\"pickUpMs\":-1|lines/0|a pick-up is 0 to 3600 s",
                "\"restMs\":5000|\"restMs\":5000,\"pace\":\"250 W\"|lines/0|rower and the skier only",
                "\"restMs\":5000,\"rests\":\"5\"|\"restMs\":5000,\"longerRest\":{\"afterSet\":0,\"ms\":5}|lines/0|set 1 or later",
                "\"lineIndex\":0|\"lineIndex\":7|lines/7|no line 8",
                "\"school\":\"EVEN\"|\"school\":\"EVEN\",\"roundEvery\":\"soon\"|plan|is not a time",
                "\"school\":\"EVEN\"|\"school\":\"EVEN\",\"goal\":\"soon\"|goal|finishing time",
                "\"school\":\"EVEN\"|\"school\":\"EVEN\",\"finish\":\"soon\"|plan|time left at each kick",
            })
    void anImpossiblePlanIsRefusedAtItsField(String from, String to, String field, String reason) {
        UUID attempt = wake.attempt(BARS);
        String draft = draft(wake, attempt);
        assertThat(draft).contains(from);
        Answer refused =
                wake.put(path(attempt), draft.replaceFirst(java.util.regex.Pattern.quote(from), to.replace("\\", "")));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/field")).isEqualTo(field);
        assertThat(refused.text("/detail")).contains(reason);
        assertThat(wake.get(path(attempt)).json().at("/assumed").asBoolean()).isTrue();
    }

    @Test
    void checksMendThePlanOrAreSetAsideWithANote() {
        UUID attempt = wake.attempt(BARS);
        Answer draft = wake.get(path(attempt));
        assertThat(draft.text("/checks/0/kind")).isEqualTo("BREAK_AT_BOUNDARY");
        Answer mended = wake.put(
                path(attempt) + "?by=Check", draft.json().at("/checks/0/mended").toString());
        assertThat(mended.text("/plan/lines/0/every/sets")).isEqualTo("6-5-1");
        assertThat(mended.json().at("/checks").findValuesAsString("key")).doesNotContain("BREAK_AT_BOUNDARY:0");
        String ignoring = draft.json()
                .at("/plan")
                .toString()
                .replace("\"ignored\":{}", "\"ignored\":{\"BREAK_AT_BOUNDARY:0\":\"strapless\"}");
        assertThat(wake.put(path(attempt), ignoring).text("/checks/0/setAside")).isEqualTo("strapless");
    }

    @Test
    void aFallbackCanBeReadAgainst() {
        UUID attempt = wake.attempt(BARS);
        String fallback =
                "\"fallback\":{\"lineIndex\":2,\"fromRound\":2,\"portions\":\"5s\",\"wayBackMs\":3000},\"lines\"";
        Answer plan = wake.put(path(attempt), draft(wake, attempt).replaceFirst("\"lines\"", fallback));
        assertThat(plan.text("/fallbackOrder")).startsWith("5 burpee, 12 deadlift");
        assertThat(plan.number("/fallbackCostMs")).isEqualTo(3 * 2 * 3000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 30_000);
        Answer reading = wake.get("/api/attempts/" + attempt + "/reading?baseline=FALLBACK");
        assertThat(reading.text("/baseline")).isEqualTo("FALLBACK");
    }

    /** By hand: 10 at 2.4 s, 20 at 3 s: 84 s, 2.8 s a calorie; written back as it was said, and kept through another change. */
    @Test
    void aPieceMayBeSpentHotThenSettled() {
        UUID attempt = wake.attempt("# Ripple\nfor time\n  30 cal row, in 10 cal\n  5 burpee\n");
        Answer plan = wake.put(
                path(attempt),
                draft(wake, attempt)
                        .replaceFirst("\"secondsPerUnit\"", "\"pace\":\"2.4 for 10, 3\",\"secondsPerUnit\""));
        assertThat(plan.json().at("/plan/lines/0/every/effort").toString())
                .isEqualTo("[{\"from\":0.0,\"secondsPerUnit\":2.4},{\"from\":10.0,\"secondsPerUnit\":3.0}]");
        assertThat(plan.json().at("/plan/lines/0/every/secondsPerUnit").asDouble())
                .isCloseTo(2.8, within(1e-9));
        assertThat(plan.json().at("/segments").findValuesAsString("workMs").subList(0, 3))
                .containsExactly("24000", "30000", "30000");
        Answer later = wake.put(
                path(attempt),
                plan.json().at("/plan").toString().replaceFirst("\"transitionMs\":3000", "\"transitionMs\":1000"));
        assertThat(later.json().at("/plan/lines/0/every/effort").size()).isEqualTo(2);
        Answer unclear = wake.put(
                path(attempt),
                draft(wake, attempt).replaceFirst("\"secondsPerUnit\"", "\"pace\":\"2.4, 3\",\"secondsPerUnit\""));
        assertThat(unclear.text("/detail")).contains("changes in order");
        assertThat(unclear.text("/field")).isEqualTo("lines/0");
    }

    /** By hand: 200 burpees of 3 s with 10 % from 5:00 to go end at 9:26.667; the push comes at 4:26.667. */
    @Test
    void aFinishIsDesignedAndSaysWhereItsPushesCome() {
        UUID attempt = wake.attempt("# Ripple\nfor time\n  200 burpee\n");
        Answer plan = wake.put(
                path(attempt),
                "{\"finish\":\"5:00 10\",\"lines\":[{\"lineIndex\":0,\"every\":{\"transitionMs\":0,\"sets\":\"unbroken\",\"secondsPerUnit\":3,\"restMs\":0},\"rounds\":{}}]}");
        assertThat(plan.json().at("/finishMs").asLong()).isBetween(566_666L, 566_667L);
        assertThat(plan.json().at("/pushes/0/atMs").asLong()).isBetween(266_666L, 266_667L);
        assertThat(plan.text("/pushes/0/place")).isEqualTo("200 burpee");
        assertThat(plan.text("/plan/finish")).isEqualTo("5:00 10%");
    }

    @Test
    void whatTheCoachHasTouchedDiffersFromWhatADraftSays() {
        UUID attempt = wake.attempt(BARS);
        Answer drafted = wake.get(path(attempt));
        assertThat(drafted.json().at("/lines"))
                .allSatisfy(line -> assertThat(line.at("/touched").size()).isZero());
        Answer plan = wake.put(
                path(attempt),
                draft(wake, attempt)
                        .replaceFirst("\"rests\":\"5\"", "\"rests\":\"5-20\"")
                        .replaceFirst("\"missesMs\":0", "\"missesMs\":4000"));
        assertThat(plan.json().at("/lines/0/touched").toString()).isEqualTo("[\"REST\",\"MISSES\"]");
        assertThat(plan.json().at("/lines/1/touched").size()).isZero();
    }

    @Test
    void twoThatFailAtOnceAreCutAroundEachOtherAndOneMayBeTakenBack() {
        UUID attempt = wake.attempt(BARS);
        String two =
                "\"fallback\":{\"lineIndex\":2,\"fromRound\":2,\"portions\":\"5s\",\"wayBackMs\":3000,\"also\":{\"lineIndex\":0,\"portions\":\"6s\",\"wayBackMs\":2000}},\"lines\"";
        Answer plan = wake.put(path(attempt), draft(wake, attempt).replaceFirst("\"lines\"", two));
        assertThat(plan.text("/fallbackOrder")).contains("6 deadlift", "5 burpee");
        assertThat(plan.text("/plan/fallback/also/portions")).isEqualTo("6s");
        Answer same = wake.put(
                path(attempt),
                plan.json().at("/plan").toString().replace("\"also\":{\"lineIndex\":0", "\"also\":{\"lineIndex\":2"));
        assertThat(same.status()).isEqualTo(422);
        assertThat(same.text("/detail")).contains("two different movements");
    }

    /** A plan kept before rests could be said in order, with one longer rest: read as it was meant. By hand: 2 s x 12 and breaks of 5 and 20 s. */
    @Test
    void aLongerRestOfOldStandsInItsPlace() {
        UUID attempt = wake.attempt("# Ripple\nfor time\n  12 burpee\n");
        Answer plan = wake.put(
                path(attempt),
                "{\"lines\":[{\"lineIndex\":0,\"every\":{\"transitionMs\":0,\"sets\":\"4s\",\"secondsPerUnit\":2,\"restMs\":5000,\"longerRest\":{\"afterSet\":2,\"ms\":20000}},\"rounds\":{}}]}");
        assertThat(plan.number("/finishMs")).isEqualTo(24_000 + 25_000);
        assertThat(plan.text("/plan/lines/0/every/rests")).isEqualTo("5-20-5");
    }

    @Test
    void theSheetIsCommaSeparatedAndAddsUp() throws IOException {
        UUID attempt = wake.attempt(BARS);
        wake.post(path(attempt) + "/goal", "{\"goal\":\"6:00\"}");
        Answer sheet = wake.get(path(attempt) + "/sheet");
        assertThat(sheet.type()).startsWith("text/csv");
        String text = new String(sheet.raw().body(), StandardCharsets.UTF_8);
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text))
                .getRecords();
        assertThat(rows).hasSize(12);
        assertThat(rows.getLast().get("clock")).isEqualTo("6:00.0");
        assertThat(rows.getFirst().get("movement")).isEqualTo("12 deadlift @ 60 kg");
    }

    @Test
    void figuresAreReadAndWhatDoesNotFitIsSaid() {
        Answer read = wake.post("/api/athletes/figures", """
                {"figures":"test row 500 m: 2:00 2:00\\nunbroken pull-up 20\\nmax many"}
                """);
        assertThat(read.json().at("/advice").toString())
                .contains("2:00.0 /500 m holds")
                .contains("5% more power");
        assertThat(read.text("/problems/0")).startsWith("Line 3: ");
        Answer refused = wake.put(
                "/api/athletes/" + UUID.randomUUID(), "{\"name\":\"Bo\",\"note\":\"\",\"figures\":\"max many\"}");
        assertThat(refused.text("/field")).isEqualTo("figures");
    }
}
