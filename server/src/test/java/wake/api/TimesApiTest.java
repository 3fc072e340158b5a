package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** Times typed without a recording. */
@ExtendWith(RunningServer.class)
class TimesApiTest {
    private static final String TWO = "# Skerry\nfor time\n  21 thruster\n  15 burpee\n";

    private final RunningServer wake;

    TimesApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private Answer send(UUID attempt, String path, String text, boolean replace) {
        String body = "{\"text\":\"%s\",\"each\":\"MOVEMENT\",\"times\":\"SPLITS\",\"replace\":%s}"
                .formatted(text.replace("\n", "\\n"), replace);
        return wake.post("/api/attempts/" + attempt + "/times" + path, body);
    }

    @Test
    void timesAreCheckedKeptAndUndoneAsOne() {
        UUID attempt = wake.attempt(TWO);
        Answer check = send(attempt, "/check", "1:32 1:32\n2:11 3:47", false);
        assertThat(check.text("/says")).isEqualTo("3:47. 4 s outside the splits, counted as transitions.");
        assertThat(check.number("/rows/1/gapMs")).isEqualTo(4000);
        assertThat(wake.get("/api/attempts/" + attempt).json().at("/log/marks").size())
                .isZero();
        Answer kept = send(attempt, "", "1:32 1:32\n2:11 3:47", false);
        assertThat(kept.text("/score")).isEqualTo("3:47");
        assertThat(kept.text("/undo")).isEqualTo("3 marks added together");
        Answer refused = send(attempt, "", "1:30\n2:00", false);
        assertThat(refused.text("/field")).isEqualTo("replace");
        assertThat(send(attempt, "", "1:30\n2:00", true).text("/score")).isEqualTo("3:30");
        Answer undone = wake.post("/api/attempts/" + attempt + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(undone.text("/score")).isEqualTo("3:47");
        Answer empty = wake.post("/api/attempts/" + attempt + "/marks/undo/" + UUID.randomUUID(), "");
        assertThat(empty.json().at("/marks").size()).isZero();
        Answer again = wake.post("/api/attempts/" + attempt + "/marks/redo/" + UUID.randomUUID(), "");
        assertThat(again.text("/score")).isEqualTo("3:47");
    }

    @Test
    void aLineThatCannotBeReadKeepsNothing() {
        UUID attempt = wake.attempt(TWO);
        Answer refused = send(attempt, "", "1:32\nsoon 3", false);
        assertThat(refused.status()).isEqualTo(200);
        Answer wrong = send(wake.attempt(TWO), "", "1:32\n2:75", false);
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.text("/detail")).startsWith("Line 2: ");
    }

    /** Round times alone: the board shows the rounds, and no split of a movement inside them. */
    @Test
    void roundTimesStandAtTheirRounds() {
        UUID attempt = wake.attempt("# Skerry\nfor time\n  2 rounds:\n    10 burpee\n    15 air squat\n");
        String body = "{\"text\":\"1:30\\n3:10\",\"each\":\"ROUND\",\"times\":\"CLOCK\",\"replace\":false}";
        Answer log = wake.post("/api/attempts/" + attempt + "/times", body);
        assertThat(log.number("/segments/0/opens/elapsedMs")).isEqualTo(90_000);
        assertThat(log.number("/segments/2/opens/elapsedMs")).isEqualTo(100_000);
        assertThat(log.json().at("/segments/0/split/known").asBoolean()).isFalse();
        assertThat(log.json().at("/segments/1/split/known").asBoolean()).isFalse();
        Answer reading = wake.get("/api/attempts/" + attempt + "/reading?baseline=BEST_SPLITS");
        assertThat(reading.json().at("/movements").size()).isZero();
        assertThat(reading.text("/clock/byLine/0/name")).isEqualTo("whole rounds");
    }
}
