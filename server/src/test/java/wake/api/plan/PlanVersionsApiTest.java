package wake.api.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static wake.api.plan.Planning.BARS;
import static wake.api.plan.Planning.draft;
import static wake.api.plan.Planning.path;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

@ExtendWith(RunningServer.class)
class PlanVersionsApiTest {
    private final RunningServer wake;

    PlanVersionsApiTest(RunningServer wake) {
        this.wake = wake;
    }

    @Test
    void strategiesWarmUpAndVersionsWorkTogether() {
        UUID attempt = wake.attempt(BARS);
        Answer draft = wake.get(path(attempt));
        assertThat(draft.json().at("/strategies").size()).isEqualTo(4);
        Answer kick =
                wake.put(path(attempt), draft.json().at("/plan").toString().replace("\"EVEN\"", "\"KICK\""));
        assertThat(kick.number("/finishMs")).isEqualTo(draft.number("/finishMs"));
        assertThat(wake.get(path(attempt) + "/warm-up?round=1:30").text("/forecast"))
                .isEqualTo("6:00 for 4 rounds");
        Answer paced = wake.post(path(attempt) + "/warm-up", "{\"round\":\"1:30\"}");
        assertThat(paced.number("/finishMs")).isBetween(355_000L, 360_000L);
        assertThat(wake.post(path(attempt) + "/warm-up", "{\"round\":\"soon\"}").text("/field"))
                .isEqualTo("round");
        Answer versions = wake.get(path(attempt) + "/versions");
        assertThat(versions.json().findValuesAsString("madeBy")).containsExactly("Warm-up round 1:30", "Saved");
        Answer back = wake.post(path(attempt) + "/versions/1/restore", "");
        assertThat(back.json().at("/plan")).isEqualTo(kick.json().at("/plan"));
        assertThat(wake.post(path(attempt) + "/versions/0/restore", "")
                        .json()
                        .at("/assumed")
                        .asBoolean())
                .isTrue();
        assertThat(wake.post(path(attempt) + "/versions/99/restore", "").text("/detail"))
                .contains("no version 99");
    }

    @Test
    void aPlanEditedAfterTheAttemptLeavesWhatTheAttemptIsComparedWith() {
        UUID attempt = wake.attempt(BARS);
        String reading = "/api/attempts/" + attempt + "/reading";
        String plan = draft(wake, attempt);
        wake.put(path(attempt), plan);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 30_000);
        wake.mark(attempt, UUID.randomUUID(), "DONE", 60_000);
        Answer before = wake.get(reading);
        assertThat(before.json().at("/baselines").toString()).isEqualTo("[\"PLAN\",\"BEST_SPLITS\"]");

        wake.put(path(attempt), plan.replace("\"transitionMs\":3000", "\"transitionMs\":9000"));

        Answer after = wake.get(reading);
        assertThat(after.json().at("/borders")).isEqualTo(before.json().at("/borders"));
        assertThat(after.json().at("/baselines").toString()).isEqualTo("[\"PLAN\",\"EDITED_PLAN\",\"BEST_SPLITS\"]");
        Answer edited = wake.get(reading + "?baseline=EDITED_PLAN");
        assertThat(edited.text("/baselineWords")).isEqualTo("edited plan");
        assertThat(edited.json().at("/borders")).isNotEqualTo(before.json().at("/borders"));
        assertThat(wake.get(path(attempt) + "/versions").json().findValuesAsString("doneWith"))
                .containsExactly("false", "true");
        // Back to the draft, the attempt was still done with the plan.
        wake.delete(path(attempt));
        assertThat(wake.get(reading).json().at("/borders"))
                .isEqualTo(before.json().at("/borders"));
        assertThat(wake.get(reading).text("/baseline")).isEqualTo("PLAN");

        wake.post(path(attempt) + "/versions/2/restore", "");
        wake.post(path(attempt) + "/versions/done-with", "");
        Answer chosen = wake.get(reading);
        assertThat(chosen.json().at("/borders")).isEqualTo(edited.json().at("/borders"));
        assertThat(chosen.json().at("/baselines").toString()).isEqualTo("[\"PLAN\",\"BEST_SPLITS\"]");
    }

    @Test
    void anAttemptBegunWithoutAPlanIsComparedWithThePlanInForce() {
        UUID attempt = wake.attempt(BARS);
        String plan = draft(wake, attempt);
        UUID mark = UUID.randomUUID();
        wake.put(path(attempt), plan);
        wake.mark(attempt, mark, "DONE", 30_000);
        wake.delete("/api/attempts/" + attempt + "/marks/" + mark);
        wake.put(path(attempt), plan.replaceFirst("\"transitionMs\":3000", "\"transitionMs\":9000"));
        wake.mark(attempt, UUID.randomUUID(), "DONE", 30_000);
        assertThat(wake.get("/api/attempts/" + attempt + "/reading")
                        .json()
                        .at("/baselines")
                        .toString())
                .as("marks taken away again began nothing")
                .isEqualTo("[\"PLAN\",\"BEST_SPLITS\"]");
    }

    @Test
    void twoVersionsStandBesideEachOtherWithTheirBreakEven() {
        UUID attempt = wake.attempt(BARS);
        String plan = draft(wake, attempt);
        wake.put(path(attempt), plan);
        String slower = plan.replaceFirst("\"transitionMs\":3000", "\"transitionMs\":5000");
        assertThat(slower).isNotEqualTo(plan);
        wake.put(path(attempt), slower);

        Answer beside = wake.get(path(attempt) + "/versions/1/beside");

        assertThat(beside.number("/slowerMs")).isNegative();
        assertThat(beside.text("/words")).contains("faster in deadlift", "Not worth it if deadlift gets");
        assertThat(beside.text("/lines/0/label")).isEqualTo("deadlift");
        assertThat(wake.get(path(attempt) + "/versions/2/beside").text("/words"))
                .isEqualTo("The two plans are the same everywhere.");
        assertThat(wake.get(path(attempt) + "/versions/0/beside").status()).isEqualTo(200);
        Answer none = wake.get(path(attempt) + "/versions/9/beside");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.text("/detail")).contains("no version 9");
    }
}
