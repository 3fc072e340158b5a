package wake.api.athletes;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import wake.RunningServer;
import wake.ServerAt;
import wake.ServerAt.Answer;
import wake.log.Granularity;
import wake.log.MarkKind;
import wake.store.AthleteStore;
import wake.store.AttemptStore;
import wake.store.MarkStore;
import wake.store.WorkoutStore;

@ExtendWith(RunningServer.class)
class AthletePageTest {
    private static final String PAIR = "# Two Piers\nfor time\n  2 rounds:\n    5 thruster @ 40 kg\n    5 burpee\n";

    private ServerAt wake;
    private final UUID athlete = UUID.randomUUID();
    private final UUID workout = UUID.randomUUID();

    AthletePageTest(RunningServer wake) {
        this.wake = wake;
        enter();
    }

    private void enter() {
        wake.bean(AthleteStore.class)
                .put(new AthleteStore.Athlete(athlete, "Ina " + athlete, "", "", "left shoulder", false));
        wake.bean(WorkoutStore.class).put(new WorkoutStore.StoredWorkout(workout, "Two Piers", PAIR, false));
    }

    /** A thruster set of so many seconds each time, burpees in fifteen. */
    private UUID attempt(int day, double seconds) {
        UUID id = UUID.randomUUID();
        wake.bean(AttemptStore.class)
                .add(new AttemptStore.Attempt(
                        id, athlete, "", workout, "", LocalDate.of(2026, 1, 1).plusDays(day), PAIR, null, 0, 1));
        List<MarkStore.StoredMark> marks = new ArrayList<>();
        double at = 1;
        for (double set : new double[] {seconds, 15, seconds, 15}) {
            marks.add(mark(id, MarkKind.BEGIN, at, 0));
            at += set;
            marks.add(mark(id, MarkKind.DONE, at, 5));
            at += 3;
        }
        wake.bean(MarkStore.class).addAll(id, marks);
        return id;
    }

    private static MarkStore.StoredMark mark(UUID attempt, MarkKind kind, double seconds, int reps) {
        return new MarkStore.StoredMark(
                UUID.randomUUID(),
                attempt,
                null,
                kind,
                Math.round(1000 * seconds),
                reps,
                Granularity.SET,
                "",
                "",
                0.03);
    }

    /** The page, once all of it is read: what other tests entered is read first. */
    private JsonNode page(String query) {
        Answer page = wake.getRead("/api/athletes/" + athlete + "/page" + query);
        assertThat(page.status()).as(page.json().toString()).isEqualTo(200);
        return page.json();
    }

    private static JsonNode line(JsonNode page, String title) {
        for (JsonNode line : page.at("/lines")) {
            if (line.at("/title").asString().equals(title)) {
                return line;
            }
        }
        throw new AssertionError("There is no line " + title + " in " + page.at("/lines"));
    }

    @Test
    void fiveAttemptsMakeALineAndSayWhatIsMoreThanNoise() {
        double[] seconds = {15, 14.3, 13.5, 12.8};
        for (int i = 0; i < seconds.length; i++) {
            attempt(10 * i, seconds[i]);
        }
        UUID latest = attempt(50, 12);
        JsonNode page = page("");
        assertThat(page.at("/attempts").asInt()).isEqualTo(5);
        assertThat(page.at("/pain").asString()).isEqualTo("left shoulder");
        JsonNode line = line(page, "thruster @ 40 kg");
        assertThat(line.at("/verdict").asString()).isEqualTo("BETTER");
        assertThat(line.at("/says").asString()).contains("20.0% faster");
        assertThat(line.at("/points").size()).isEqualTo(5);
        assertThat(line(page, "burpee").at("/verdict").asString()).isEqualTo("NOISE");
        assertThat(page.at("/answer").asString()).contains("thruster @ 40 kg").endsWith("Nothing got worse.");
        JsonNode past = page.at("/workouts/0/attempts");
        assertThat(past.get(4).at("/id").asString()).isEqualTo(latest.toString());
        // 2 · 0.8 s faster than the one before.
        assertThat(past.get(4).at("/change").asString()).isEqualTo("1.6 s faster");
        assertThat(past.get(1).at("/better").asInt()).isPositive();
        // From a day on there are fewer.
        assertThat(line(page("?from=2026-01-21"), "burpee").at("/points").size())
                .isEqualTo(3);
    }

    @Test
    void aTestOfATechniqueIsNotedInALine() {
        attempt(0, 15);
        String at = "/api/athletes/" + athlete + "/figures";
        Answer noted = wake.post(at, "{\"line\":\"technique burpee, step-back: 15 in 0:42 effort 7\"}");
        assertThat(noted.status()).isEqualTo(200);
        assertThat(noted.text("/figures"))
                .matches("technique burpee, step-back: 15 in 0:42 effort 7 on \\d{4}-\\d\\d-\\d\\d");
        assertThat(noted.text("/techniques/0/tests/0")).contains("2.80 s/rep");
        Answer refused = wake.post(at, "{\"line\":\"technique burpee: quickly\"}");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.text("/detail")).contains("write a movement, a technique, reps and a time");
        assertThat(page("").at("/figures").asString()).doesNotContain("quickly");
    }

    @Test
    void whatAnAttemptShowsBeyondWhatIsNotedIsOffered() {
        attempt(0, 15);
        wake.post("/api/athletes/" + athlete + "/figures", "{\"line\":\"unbroken burpee 4 on 2026-01-01\"}");
        JsonNode shown = page("").at("/shown/0");
        assertThat(shown.at("/movement").asString()).isEqualTo("burpee");
        assertThat(shown.at("/grows").asBoolean()).isTrue();
        assertThat(shown.at("/asLine").asString()).isEqualTo("unbroken burpee 5 on 2026-01-01");
    }

    @Test
    void anAthleteNobodyKnowsIsSaid() {
        assertThat(wake.get("/api/athletes/" + UUID.randomUUID() + "/page").status())
                .isEqualTo(404);
    }

    /** With 400 attempts: printed, and held only where the machine is known to be quiet (-Dwake.strict=true). */
    @Test
    void fourHundredAttemptsOpenSoon(@TempDir Path folder) {
        // In a Wake of their own: the lists of the others would be full of them.
        try (ServerAt own = ServerAt.folder(folder)) {
            wake = own;
            enter();
            fourHundred();
        }
    }

    private void fourHundred() {
        for (int day = 0; day < 400; day++) {
            attempt(day, 14 + day % 7 * 0.3);
        }
        JsonNode page = page("");
        assertThat(page.at("/attempts").asInt()).isEqualTo(400);
        assertThat(line(page, "burpee").at("/points").size()).isEqualTo(400);
        long best = Long.MAX_VALUE;
        for (int i = 0; i < 5; i++) {
            long from = System.nanoTime();
            page("");
            best = Math.min(best, System.nanoTime() - from);
        }
        System.out.printf("An athlete's page with 400 attempts: %d ms%n", best / 1_000_000);
        if (Boolean.getBoolean("wake.strict")) {
            assertThat(best / 1_000_000).isLessThan(200);
        }
    }

    @Test
    void theGymChoosesItsPlatesAndCredits() {
        Answer before = wake.get("/api/settings/gym");
        assertThat(before.text("/bar")).isEqualTo("20 kg");
        String lb = ServerAt.json(Map.of(
                "bar",
                "35 lb",
                "plates",
                "45x2 10x1",
                "creditPercents",
                Map.of("SHOWN_LATE", 90, "SHOWN", 70, "ELSEWHERE", 40, "NOT_YET_SHOWN", 10)));
        Answer kept = wake.put("/api/settings/gym", lb);
        assertThat(kept.status()).as(kept.json().toString()).isEqualTo(200);
        assertThat(wake.get("/api/settings/gym").text("/plates")).isEqualTo("45x2 10x1");
        assertThat(wake.get("/api/settings/gym").json().at("/credits/0/percent").asInt())
                .isEqualTo(90);
        assertThat(wake.put("/api/settings/gym", lb.replace("45x2", "heavy")).status())
                .isEqualTo(422);
        assertThat(wake.put("/api/settings/gym", lb.replace("90", "190")).status())
                .isEqualTo(422);
        String usual = ServerAt.json(Map.of(
                "bar",
                before.text("/bar"),
                "plates",
                before.text("/plates"),
                "creditPercents",
                Map.of("SHOWN_LATE", 100, "SHOWN", 75, "ELSEWHERE", 50, "NOT_YET_SHOWN", 25)));
        assertThat(wake.put("/api/settings/gym", usual).status()).isEqualTo(200);
    }
}
