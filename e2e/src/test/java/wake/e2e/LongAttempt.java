package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.options.RequestOptions;
import java.util.Map;
import java.util.UUID;

/** An attempt with two thousand marks, rep by rep, for measuring. */
final class LongAttempt {
    private static final int SEGMENTS = 80;
    private static final int REPS = 24;

    private final APIRequestContext requests;
    private final String id = UUID.randomUUID().toString();

    private LongAttempt(APIRequestContext requests) {
        this.requests = requests;
    }

    /** Enters it, with as many of its segments marked as asked for. */
    static LongAttempt enter(APIRequestContext requests, int segments) {
        LongAttempt attempt = new LongAttempt(requests);
        attempt.enter(segments);
        return attempt;
    }

    static int segments() {
        return SEGMENTS;
    }

    String id() {
        return id;
    }

    private void enter(int segments) {
        String athlete = UUID.randomUUID().toString();
        String workout = UUID.randomUUID().toString();
        put("/api/athletes/" + athlete, Map.of("name", "Ida Longshore", "note", ""));
        put(
                "/api/workouts/" + workout,
                Map.of("notation", "# Long Haul\nfor time\n  40 rounds:\n    24 burpee\n    24 air squat\n"));
        put(
                "/api/attempts/" + id,
                Map.of(
                        "athleteId",
                        athlete,
                        "workoutId",
                        workout,
                        "division",
                        "",
                        "doneOn",
                        "2026-11-20",
                        "part",
                        0,
                        "cutInto",
                        1));
        APIResponse marked = requests.post(
                Suite.wake().url("/api/attempts/" + id + "/marks/sheet"),
                RequestOptions.create().setData(Map.of("csv", sheet(segments))));
        assertThat(marked.status()).as(marked.text()).isEqualTo(200);
    }

    /** Adds a simulated recording whose "go" is at its start. */
    void film() {
        String recording = "/api/attempts/" + id + "/recordings/" + UUID.randomUUID();
        put(recording + "/simulated", Map.of("seed", 3));
        put(recording + "/go", Map.of("atMs", 0, "made", "STEPPED", "step", 0.0333));
    }

    private static String sheet(int segments) {
        StringBuilder csv = new StringBuilder("at,kind\n");
        long clock = 0;
        for (int segment = 0; segment < segments; segment++) {
            clock += 2000;
            csv.append(at(clock)).append(",begin\n");
            for (int rep = 0; rep < REPS; rep++) {
                clock += 1900 + 37L * ((segment * 7 + rep * 13) % 11);
                csv.append(at(clock)).append(",rep\n");
            }
        }
        return csv.toString();
    }

    private static String at(long ms) {
        return "%d:%02d.%03d".formatted(ms / 60_000, ms / 1000 % 60, ms % 1000);
    }

    private void put(String path, Map<String, Object> body) {
        APIResponse answer =
                requests.put(Suite.wake().url(path), RequestOptions.create().setData(body));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }
}
