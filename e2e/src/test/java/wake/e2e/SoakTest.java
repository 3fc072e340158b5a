package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import wake.e2e.Asks.Answer;

/**
 * The whole job done over and over on a fresh folder, its connections retired every thirty seconds (the pool retires none sooner) as they are
 * every half hour in use. Eight seconds beside the other tests; {@code -Dwake.soak=3600} goes on for an hour.
 */
@Execution(ExecutionMode.CONCURRENT)
class SoakTest {
    @TempDir
    Path folder;

    @Test
    void noRequestFails() throws Exception {
        int jobs = 0;
        try (WakeProcess wake = WakeProcess.start(
                folder.resolve("data"),
                false,
                "-Dspring.datasource.hikari.max-lifetime=30000",
                "-Dwake.tidy-after=PT5S")) {
            Asks asks = new Asks(wake);
            // Counted from here: on a busy machine the start takes long.
            Instant end = Instant.now().plus(Duration.ofSeconds(Integer.getInteger("wake.soak", 8)));
            while (Instant.now().isBefore(end)) {
                job(asks, jobs++);
                Thread.sleep(500);
            }
        }
        System.out.println("Soak: the job done " + jobs + " times");
        assertThat(jobs).isPositive();
    }

    private static Answer ok(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private static void job(Asks asks, int number) {
        UUID athlete = UUID.randomUUID();
        UUID workout = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        UUID recording = UUID.randomUUID();
        String at = "/api/attempts/" + attempt;
        ok(asks.put("/api/athletes/" + athlete, "{\"name\":\"Ina Sandbar " + number + "\"}"));
        ok(
                asks.put(
                        "/api/workouts/" + workout,
                        "{\"notation\":\"# Neap\\nfor time\\n  2 rounds:\\n    3 burpee\\n    4 kettlebell swing @ 16 kg\\n\"}"));
        ok(asks.put(at, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}""".formatted(athlete, workout)));
        ok(asks.put(at + "/recordings/" + recording + "/simulated", "{\"seed\":7}"));
        ok(asks.put(at + "/recordings/" + recording + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}"));
        for (int rep = 1; rep <= 14; rep++) {
            ok(asks.put(at + "/marks/" + UUID.randomUUID(), """
                    {"recordingId":"%s","kind":"REP","atMs":%d,"reps":0,"depth":"SET","tag":"","text":"","made":"TAPPED","step":1}""".formatted(recording, 5000 + 1500L * rep)));
        }
        ok(asks.post(at + "/marks/undo/" + UUID.randomUUID(), ""));
        ok(asks.post(at + "/marks/redo/" + UUID.randomUUID(), ""));
        ok(asks.put(at + "/plan", ok(asks.get(at + "/plan")).json().at("/plan").toString()));
        ok(asks.get(at + "/reading"));
        ok(asks.put(
                at + "/retest",
                ok(asks.get(at + "/retest")).json().at("/chosen").toString()));
        ok(asks.post(at + "/retest/set", "{\"id\":\"%s\",\"doneOn\":\"2026-12-01\"}".formatted(UUID.randomUUID())));
        // The list stays short, so that an hour is not spent on one screen.
        ok(asks.post("/api/bin/ATHLETE/" + athlete, ""));
        ok(asks.get("/api/today"));
    }
}
