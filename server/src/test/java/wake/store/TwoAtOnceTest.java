package wake.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wake.ServerAt;
import wake.ServerAt.Answer;

/**
 * An attempt and its retest are logged at the same time, its athlete is written about, and the video of its heat is set: each of these raises the
 * version of the others, and none is refused for it.
 */
class TwoAtOnceTest {
    private static final Duration LONG = Duration.ofSeconds(3);

    @TempDir
    Path data;

    @Test
    void whatTouchesTheSameAttemptsWaitsItsTurn() throws Exception {
        try (ServerAt wake = ServerAt.folder(data)) {
            UUID first = wake.attempt("# A\nfor time\n  2 burpee\n");
            String athlete = wake.get("/api/attempts/" + first).text("/athleteId");
            wake.mark(first, UUID.randomUUID(), "REP", 3000);
            wake.mark(first, UUID.randomUUID(), "REP", 6000);
            UUID retest = UUID.randomUUID();
            assertThat(wake.post(
                                    "/api/attempts/" + first + "/retest/set",
                                    "{\"id\":\"" + retest + "\",\"doneOn\":\"2026-12-05\"}")
                            .status())
                    .isEqualTo(200);
            UUID video = UUID.randomUUID();
            wake.put("/api/attempts/" + first + "/recordings/" + video + "/simulated", "{\"seed\":7}");

            Queue<String> refused = new ConcurrentLinkedQueue<>();
            Instant end = Instant.now().plus(LONG);
            List<Thread> all = new ArrayList<>();
            List<IntFunction<Answer>> asked = List.of(
                    i -> wake.mark(first, UUID.randomUUID(), "NO_REP", 2000),
                    i -> wake.mark(retest, UUID.randomUUID(), "CUE", 2000),
                    i -> wake.put(
                            "/api/attempts/" + first + "/recordings/" + video + "/go",
                            "{\"atMs\":" + (1000 + i) + ",\"made\":\"STEPPED\",\"step\":0.033}"),
                    i -> wake.put(
                            "/api/athletes/" + athlete,
                            "{\"name\":\"Ina Sandbar\",\"note\":\"\",\"figures\":\"max clean " + (40 + i % 50)
                                    + " kg\"}"));
            for (IntFunction<Answer> one : asked) {
                all.add(Thread.ofVirtual().start(() -> {
                    for (int i = 0; Instant.now().isBefore(end); i++) {
                        Answer answer = one.apply(i);
                        if (answer.status() != 200) {
                            refused.add(answer.status() + " " + answer.json());
                        }
                    }
                }));
            }
            for (Thread one : all) {
                one.join();
            }
            assertThat(refused).isEmpty();
        }
    }
}
