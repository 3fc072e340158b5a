package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wake.RunningServer;
import wake.ServerAt.Answer;
import wake.store.AttemptStore;

/**
 * Keys pressed at random on two videos of one attempt, each with a "go" of its own: whatever is let in is answered, on every page and in every file,
 * and lists say no fault of ours. {@code -Dwake.attempts=200} tries more.
 */
@ExtendWith(RunningServer.class)
class EveryLogAnsweredTest {
    private static final int ATTEMPTS = Integer.getInteger("wake.attempts", 8);
    private static final int PRESSES = 70;

    private static final List<String> WORKOUTS = List.of(
            "# Groyne\nfor time, cap 6:00\n  3 rounds:\n    6 thruster @ 40 kg\n    9 burpee\n  by 2:00 after round 1\n",
            "# Neap\namrap 4:00\n  5 power clean @ 60 kg\n  8 box jump over @ 50 cm\n",
            "# Mill Race\nevery 1:00 x 4\n  6 burpee\n  10 double under\n",
            "# Haul\nfor time\n  300 m row\n  15 toes-to-bar\n  10 wall-ball shot @ 9 kg\n  15 toes-to-bar\n",
            "# Two Oars\nfor time, you go I go\n  4 rounds:\n    4 thruster @ 40 kg\n    4 burpee\n");

    private static final List<String> PAGES = List.of(
            "",
            "/reading",
            "/reading?baseline=BEST_SPLITS",
            "/reading?baseline=PLAN",
            "/reading/fan",
            "/retest",
            "/plan",
            "/versus",
            "/card",
            "/files/splits.csv",
            "/files/sets.csv",
            "/files/rounds.csv",
            "/files/lifts.csv",
            "/files/marks.csv",
            "/files/chapters.vtt",
            "/files/captions.vtt");

    private static final List<String> KINDS = List.of(
            "BEGIN", "REP", "REP", "REP", "REP", "OFF", "ON", "DONE", "DONE", "NO_REP", "MISS", "TRIP", "BLIND",
            "SEEN");

    private final RunningServer wake;

    EveryLogAnsweredTest(RunningServer wake) {
        this.wake = wake;
    }

    static List<Long> seeds() {
        List<Long> seeds = new ArrayList<>();
        for (long seed = 1; seed < ATTEMPTS; seed++) {
            seeds.add(seed);
        }
        seeds.add(System.nanoTime() & 0xffff_ffffL);
        return seeds;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void onEveryPageAndInEveryFile(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        UUID attempt = wake.attempt(WORKOUTS.get(random.nextInt(WORKOUTS.size())));
        String at = "/api/attempts/" + attempt;
        UUID[] videos = {UUID.randomUUID(), UUID.randomUUID()};
        for (int i = 0; i < 2; i++) {
            wake.put(at + "/recordings/" + videos[i] + "/simulated", "{\"seed\":" + (seed % 1000 + i) + "}");
            wake.put(
                    at + "/recordings/" + videos[i] + "/go",
                    "{\"atMs\":" + 1000 * i + ",\"made\":\"TAPPED\",\"step\":1}");
        }
        int taken = 0;
        long clock = 0;
        for (int i = 0; i < PRESSES; i++) {
            clock += random.nextInt(8) == 0 ? 0 : random.nextLong(5000);
            String kind = i == PRESSES - 1 ? "STOP" : KINDS.get(random.nextInt(KINDS.size()));
            int video = random.nextInt(2);
            String mark =
                    "{\"kind\":\"%s\",\"atMs\":%d,\"reps\":0,\"depth\":\"SET\",\"tag\":\"\",\"text\":\"\",\"made\":\"TAPPED\",\"step\":1,\"recordingId\":\"%s\"}"
                            .formatted(kind, clock + 1000 * video, videos[video]);
            int status = wake.put(at + "/marks/" + UUID.randomUUID(), mark).status();
            assertThat(status).isIn(200, 422);
            taken += status == 200 ? 1 : 0;
        }
        assertThat(taken).isPositive();
        for (String page : PAGES) {
            Answer answer = wake.get(at + page);
            assertThat(answer.status())
                    .as("seed %d, %s: %s", seed, page, answer.json())
                    .isEqualTo(200);
        }
        assertThat(wake.get(at + "/files/wake.svg").status()).isIn(200, 422);
        UUID athlete = wake.bean(AttemptStore.class).find(attempt).orElseThrow().athleteId();
        assertThat(wake.getRead("/api/attempts?athlete=" + athlete).json().at("/rows"))
                .singleElement()
                .satisfies(row -> assertThat(row.at("/says").asString()).doesNotContain("fault in Wake"));
        assertThat(wake.get("/api/today").status()).isEqualTo(200);
    }
}
