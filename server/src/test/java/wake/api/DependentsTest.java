package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.review.AttemptLogs;
import wake.store.AttemptStore;
import wake.store.SummaryStore;

/** What is worked out of an attempt and kept learns of every change it rests on: one test for each edge. */
@ExtendWith(RunningServer.class)
class DependentsTest {
    private static final String ROUNDS =
            "# Groyne\nfor time\n  4 rounds:\n    6 burpee\n    8 kettlebell swing @ 16 kg\n";

    private final RunningServer wake;

    DependentsTest(RunningServer wake) {
        this.wake = wake;
    }

    private UUID logged() {
        UUID attempt = wake.attempt(ROUNDS);
        log(attempt);
        return attempt;
    }

    /** Rounds with one long transition, so that something is still open in them. */
    private void log(UUID attempt) {
        String[] clocks = {
            "0:20", "0:24", "0:50", "0:53", "1:14", "1:18", "1:44", "1:59", "2:20", "2:24", "2:50", "2:53", "3:14",
            "3:18", "3:44"
        };
        StringBuilder marks = new StringBuilder("at,kind\n0:00,begin\n");
        for (int i = 0; i < clocks.length; i++) {
            marks.append(clocks[i]).append(i % 2 == 0 ? ",done\n" : ",begin\n");
        }
        wake.post(
                "/api/attempts/" + attempt + "/marks/sheet",
                RunningServer.json(Map.of("csv", marks.toString(), "id", UUID.randomUUID())));
    }

    private String openGain(UUID attempt) {
        UUID athlete = wake.bean(AttemptStore.class).find(attempt).orElseThrow().athleteId();
        return wake.getRead("/api/attempts?athlete=" + athlete)
                .json()
                .at("/rows")
                .valueStream()
                .filter(row -> row.at("/id").stringValue().equals(attempt.toString()))
                .findFirst()
                .map(row -> row.at("/openGain").asString(""))
                .orElseThrow();
    }

    private long version(UUID attempt) {
        return wake.bean(SummaryStore.class).version(attempt);
    }

    @Test
    void aRetestThatIsDoneClosesTheGainThatWasOpen() {
        UUID first = logged();
        assertThat(openGain(first)).isNotEmpty();
        UUID retest = UUID.randomUUID();
        String day = wake.get("/api/attempts/" + first + "/retest").text("/date/earliest");
        wake.post("/api/attempts/" + first + "/retest/set", "{\"id\":\"" + retest + "\",\"doneOn\":\"" + day + "\"}");
        assertThat(openGain(first)).isNotEmpty();
        log(retest);
        assertThat(openGain(first)).isEmpty();
        wake.post("/api/bin/ATTEMPT/" + retest, "");
        assertThat(openGain(first)).isNotEmpty();
        wake.post("/api/bin/ATTEMPT/" + retest + "/restore", "");
        assertThat(openGain(first)).isEmpty();
    }

    @Test
    void aFigureOfTheAthleteIsAChangeOfWhatIsSaidOfTheirAttempts() {
        UUID attempt = logged();
        UUID athlete = wake.bean(AttemptStore.class).find(attempt).orElseThrow().athleteId();
        long before = version(attempt);
        String path = "/api/athletes/" + athlete;
        String name = wake.get("/api/athletes")
                .json()
                .valueStream()
                .filter(one -> one.at("/id").stringValue().equals(athlete.toString()))
                .findFirst()
                .orElseThrow()
                .at("/name")
                .stringValue();
        String body =
                "{\"name\":\"%s\",\"note\":\"\",\"figures\":\"max deadlift %d kg\",\"pain\":\"\",\"recoversSlowly\":false}";
        assertThat(wake.put(path, body.formatted(name, 140)).status()).isEqualTo(200);
        assertThat(version(attempt)).isGreaterThan(before);
        long noted = version(attempt);
        wake.put(path, body.formatted(name, 140));
        assertThat(version(attempt)).as("nothing has changed").isEqualTo(noted);
    }

    @Test
    void anOwnMovementThatIsEditedIsReadAnew() {
        String movement =
                "{\"aliases\":[],\"modality\":\"BODYWEIGHT\",\"loads\":[\"PULL\"],\"unit\":\"rep\",\"starts\":\"FLOOR\","
                        + "\"ends\":\"STANDING\",\"fast\":%s,\"slow\":9,\"goodRep\":\"\",\"caution\":\"\"}";
        String path = "/api/movements/sandbag%20toss";
        assertThat(wake.put(path, movement.formatted("2")).status()).isEqualTo(200);
        UUID attempt = wake.attempt("# Toss\nfor time\n  5 sandbag toss\n");
        wake.mark(attempt, UUID.randomUUID(), "DONE", 20_000);
        var stored = wake.bean(AttemptStore.class).find(attempt).orElseThrow();
        AttemptLogs logs = wake.bean(AttemptLogs.class);
        assertThat(logs.log(stored).expanded().segment(0).movement().fast()).isEqualTo(2);
        wake.put(path, movement.formatted("4"));
        assertThat(logs.log(stored).expanded().segment(0).movement().fast()).isEqualTo(4);
        wake.delete(path);
    }
}
