package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** What is too long is refused, not cut: the database cuts without a word where it adds or changes in one statement. */
@ExtendWith(RunningServer.class)
class TooLongTest {
    private static void refused(Answer answer) {
        assertThat(answer.status()).as(answer.json().toString()).isBetween(400, 499);
    }

    @Test
    void settingsOfAnyLengthAreReadBackOrRefused(RunningServer wake) {
        String before = wake.get("/api/settings/log").json().toString();
        refused(wake.put("/api/settings/log", "{\"keys\":{\"" + "x".repeat(30_000) + "\":\"a\"},\"phrases\":[]}"));
        assertThat(wake.get("/api/settings/log").json().toString()).isEqualTo(before);
    }

    @Test
    void aSimulatedAthleteOfManyLongNamesIsRefused(RunningServer wake) {
        UUID attempt = wake.attempt("# A\nfor time\n  5 burpee\n");
        UUID recording = UUID.randomUUID();
        String sets = "{\"seed\":1,\"largestSet\":{\"" + "x".repeat(30_000) + "\":3}}";
        refused(wake.put("/api/attempts/" + attempt + "/recordings/" + recording + "/simulated", sets));
        assertThat(wake.get("/api/recordings/" + recording + "/script").status())
                .isEqualTo(404);
    }

    @Test
    void aPlanTooLongToBeKeptLeavesTheOneBefore(RunningServer wake) {
        UUID attempt = wake.attempt("# A\nfor time\n  5 burpee\n");
        String path = "/api/attempts/" + attempt + "/plan";
        String plan = """
                {"lines":[{"lineIndex":0,"every":{"transitionMs":0,"sets":"unbroken","secondsPerUnit":3,"restMs":0},"rounds":{}}],
                 "ignored":{"a":"%s"}}""";
        assertThat(wake.put(path, plan.formatted("because")).status()).isEqualTo(200);
        refused(wake.put(path, plan.formatted("x".repeat(300_000))));
        assertThat(wake.get(path).text("/plan/ignored/a")).isEqualTo("because");
        refused(wake.put(path, "{\"a\":1}"));
        refused(wake.put(path, "{\"lines\":[{\"lineIndex\":0}]}"));
    }

    @Test
    void aTitleLongerThanAnyBoardIsRefused(RunningServer wake) {
        refused(wake.put(
                "/api/workouts/" + UUID.randomUUID(),
                "{\"notation\":\"# " + "x".repeat(300) + "\\nfor time\\n  5 burpee\"}"));
    }
}
