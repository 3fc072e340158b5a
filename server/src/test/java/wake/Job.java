package wake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import java.util.function.Function;
import wake.ServerAt.Answer;

/** The whole job over HTTP: entered, filmed, logged, undone, planned, read, called, set. */
public final class Job {
    public static final String WORKOUT =
            "# Neap\nfor time, cap 10:00\n  3 rounds:\n    4 burpee\n    6 kettlebell swing @ 16 kg\n";
    private static final int REPS = 10;
    private static final int ROUNDS = 3;

    private final ServerAt wake;
    private final Runnable beforeEach;

    /** @param beforeEach done before every request */
    public Job(ServerAt wake, Runnable beforeEach) {
        this.wake = wake;
        this.beforeEach = beforeEach;
    }

    private Answer ok(Function<ServerAt, Answer> request) {
        beforeEach.run();
        Answer answer = request.apply(wake);
        assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
        return answer;
    }

    /** Does all of it; gives the attempt's id. */
    public UUID doIt() {
        UUID attempt = enter();
        UUID recording = UUID.randomUUID();
        String at = "/api/attempts/" + attempt;
        ok(it -> it.put(at + "/recordings/" + recording + "/simulated", "{\"seed\":7}"));
        ok(it ->
                it.put(at + "/recordings/" + recording + "/go", "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.033}"));
        log(at, recording);
        UUID move = UUID.randomUUID();
        ok(it -> it.post(at + "/marks/undo/" + move, ""));
        ok(it -> it.post(at + "/marks/redo/" + UUID.randomUUID(), ""));
        Answer plan = ok(it -> it.get(at + "/plan"));
        ok(it -> it.put(at + "/plan?by=Kept", plan.json().at("/plan").toString()));
        ok(it -> it.get(at + "/reading"));
        Answer retest = ok(it -> it.get(at + "/retest"));
        ok(it -> it.put(at + "/retest", retest.json().at("/chosen").toString()));
        ok(it -> it.post(at + "/retest/set", "{\"id\":\"%s\",\"doneOn\":\"2026-12-01\"}".formatted(UUID.randomUUID())));
        ok(it -> it.put("/api/settings/log", "{\"keys\":{},\"phrases\":[\"breathe\"]}"));
        ok(it -> it.get("/api/today"));
        return attempt;
    }

    private UUID enter() {
        UUID athlete = UUID.randomUUID();
        UUID workout = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        ok(it -> it.put(
                "/api/athletes/" + athlete,
                "{\"name\":\"Ina Sandbar\",\"note\":\"\",\"figures\":\"max clean 60 kg\"}"));
        ok(it -> it.put("/api/workouts/" + workout, ServerAt.json(java.util.Map.of("notation", WORKOUT))));
        ok(it -> it.put("/api/attempts/" + attempt, """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"2026-11-20","part":0,"cutInto":1}
                """.formatted(athlete, workout)));
        return attempt;
    }

    private void log(String at, UUID recording) {
        long media = 5500;
        for (int rep = 0; rep < REPS * ROUNDS; rep++) {
            media += 2000 + 100L * (rep % 4);
            long now = media;
            ok(it -> it.put(at + "/marks/" + UUID.randomUUID(), """
                    {"recordingId":"%s","kind":"REP","atMs":%d,"reps":0,"depth":"SET","tag":"","text":"","made":"TAPPED","step":1}
                    """.formatted(recording, now)));
        }
    }
}
