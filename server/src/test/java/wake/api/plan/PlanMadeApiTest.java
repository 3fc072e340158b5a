package wake.api.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.api.plan.Planning.BARS;
import static wake.api.plan.Planning.path;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class PlanMadeApiTest {
    private static final String LIFTS =
            "# Two Tides\npart A: lift 7:00, best of 1 power clean\nrest 0:20\npart B: amrap 9:00\n  10 burpee\n";
    private static final String RACK = "\"bar\":\"20 kg\",\"plates\":\"25x2 20x2 15 10x2 5 2.5 1\"}";

    private final RunningServer wake;

    PlanMadeApiTest(RunningServer wake) {
        this.wake = wake;
    }

    @Test
    void aGoalIsHitAndItsMarginIsSaidAfterwards() {
        UUID attempt = wake.attempt(BARS);
        Answer aimed = wake.post(path(attempt) + "/goal", "{\"goal\":\"6:00\"}");
        assertThat(aimed.number("/finishMs")).isEqualTo(360_000);
        assertThat(aimed.text("/answer")).contains("exactly the goal");
        Answer slower = wake.put(
                path(attempt),
                aimed.json().at("/plan").toString().replaceFirst("\"transitionMs\":\\d+", "\"transitionMs\":9000"));
        assertThat(slower.text("/answer")).contains("slower than the 6:00 goal");
        Answer tooFast = wake.post(path(attempt) + "/goal", "{\"goal\":\"1:00\"}");
        assertThat(tooFast.text("/field")).isEqualTo("goal");
        assertThat(tooFast.text("/detail")).contains("Can't reach 1:00");
        assertThat(wake.post(path(attempt) + "/goal", "{\"goal\":\"6:00\",\"pauseShare\":2}")
                        .text("/detail"))
                .contains("from 0 to 1");
    }

    /** 6 burpees of 3 s, a way of 2 s, 8 swings of 2 s: 18 and 36 s. A goal of 0:40 leaves 4 s at either border. */
    @Test
    void theLatestClocksAreShownOnceThereIsAGoal() {
        UUID attempt = wake.attempt("# Ripple\nfor time\n  6 burpee\n  8 kettlebell swing @ 16 kg\n");
        String plan = """
                {"goal":%s,"lines":[
                  {"lineIndex":0,"every":{"transitionMs":0,"sets":"unbroken","secondsPerUnit":3,"restMs":0},"rounds":{}},
                  {"lineIndex":1,"every":{"transitionMs":2000,"sets":"unbroken","secondsPerUnit":2,"restMs":0},"rounds":{}}]}
                """;
        assertThat(wake.put(path(attempt), plan.formatted("null"))
                        .json()
                        .at("/segments/0")
                        .has("latestMs"))
                .isFalse();
        Answer aimed = wake.put(path(attempt), plan.formatted("\"0:40\""));
        assertThat(aimed.number("/segments/0/latestMs")).isEqualTo(22_000);
        assertThat(aimed.number("/segments/1/latestMs")).isEqualTo(40_000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 20_000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 41_000);
        assertThat(wake.get("/api/attempts/" + attempt + "/reading").text("/outOfReach/0/sentence"))
                .startsWith("The goal of 0:40 went out of reach at 0:41");
    }

    @Test
    void aGoalMayBeSaidBySection() {
        UUID attempt = wake.attempt("# A\nfor time\n  500 m row\n  3 rounds:\n    12 burpee\n    9 pull-up\n");
        Answer aimed = wake.post(path(attempt) + "/goal", "{\"goal\":\"2:10 + 4:00\"}");
        assertThat(aimed.number("/finishMs")).isEqualTo(370_000);
        assertThat(aimed.number("/budget/sections/0/ms")).isEqualTo(130_000);
        Answer refused = wake.post(path(attempt) + "/goal", "{\"goal\":\"2:10 + 4:00 + 1:00\"}");
        assertThat(refused.text("/field")).isEqualTo("goal");
        assertThat(refused.text("/detail")).contains("2 times, one for each of 500 m row; 3 rounds");
    }

    @Test
    void aPlanIsTakenOverRescaled() {
        UUID giver = wake.attempt(BARS);
        wake.post(path(giver) + "/goal", "{\"goal\":\"6:00\"}");
        UUID taker = another(giver, "unbroken burpee 10");
        Answer sources = wake.get(path(taker) + "/sources");
        assertThat(sources.json().findValuesAsString("id")).containsExactly(giver.toString());
        Answer taken = wake.post(path(taker) + "/copy", "{\"from\":\"" + giver + "\"}");
        assertThat(taken.text("/plan/lines/2/every/sets")).isEqualTo("8-7");
        UUID unplanned = another(giver, "");
        assertThat(wake.post(path(taker) + "/copy", "{\"from\":\"" + unplanned + "\"}")
                        .text("/detail"))
                .contains("no plan");
        wake.delete(path(giver));
        assertThat(wake.get(path(taker) + "/sources").json().findValuesAsString("id"))
                .as("back at its draft there is none to take over")
                .isEmpty();
    }

    /** Another athlete's attempt at the same workout. */
    private UUID another(UUID first, String figures) {
        Answer known = wake.get("/api/attempts/" + first);
        UUID athlete = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        wake.put("/api/athletes/" + athlete, "{\"name\":\"Bo Shoal\",\"note\":\"\",\"figures\":\"" + figures + "\"}");
        wake.put("/api/attempts/" + attempt, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}
                """.formatted(athlete, known.text("/workoutId")));
        return attempt;
    }

    @Test
    void aLiftWindowGetsItsTimetableAndPlates() {
        UUID attempt = wake.attempt(LIFTS);
        assertThat(wake.get(path(attempt)).json().at("/timetable").isMissingNode())
                .isTrue();
        Answer made = wake.post(path(attempt) + "/timetable", "{\"max\":\"100 kg\",\"lifts\":5," + RACK);
        assertThat(made.json().at("/timetable/rows").size()).isEqualTo(5);
        assertThat(made.text("/timetable/rows/0/load")).isEqualTo("60 kg");
        assertThat(made.text("/timetable/rows/0/side")).isEqualTo("20");
        assertThat(made.json().at("/checks").isEmpty())
                .as("half a minute is left before the next part")
                .isTrue();
        String close =
                made.json().at("/plan").toString().replaceFirst("\"startMs\":\\d+(?=[^}]*}],)", "\"startMs\":410000");
        Answer near = wake.put(path(attempt), close);
        assertThat(near.json().at("/checks").toString())
                .contains("NEXT_PART_CLOSE")
                .contains("IN_THE_FINAL_SECONDS");
        String late = close.replaceFirst("\"startMs\":410000", "\"startMs\":430000");
        assertThat(wake.put(path(attempt), late).text("/detail")).contains("before time at 7:00");
        assertThat(wake.post(path(attempt) + "/timetable", "{\"max\":\"heavy\",\"lifts\":5," + RACK)
                        .text("/detail"))
                .contains("85 kg");
        assertThat(wake.post(path(attempt) + "/timetable", "{\"max\":\"100\",\"lifts\":0," + RACK)
                        .text("/detail"))
                .contains("at least 1");
        assertThat(wake.post(path(attempt) + "/goal", "{\"goal\":\"100\"}").text("/detail"))
                .contains("by its lifts");
    }

    /** RFC 4180, by an independent reader. */
}
