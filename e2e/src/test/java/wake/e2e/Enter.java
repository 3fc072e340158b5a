package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.options.RequestOptions;
import java.util.Map;
import java.util.UUID;

/** Enters things through the API, for tests that are about something else. */
final class Enter {
    private final APIRequestContext requests;

    Enter(APIRequestContext requests) {
        this.requests = requests;
    }

    /** An attempt of an athlete of its own at a workout of its own. */
    UUID attempt(String athleteName, String notation) {
        UUID workout = UUID.randomUUID();
        put("/api/workouts/" + workout, Map.of("notation", notation));
        return attempt(athleteName, workout);
    }

    /** An attempt of an athlete of its own at a workout that is there, on the day all of these have. */
    UUID attempt(String athleteName, UUID workout) {
        UUID athlete = UUID.randomUUID();
        UUID attempt = UUID.randomUUID();
        put("/api/athletes/" + athlete, Map.of("name", athleteName, "note", ""));
        Map<String, Object> entered = Map.of(
                "athleteId",
                athlete.toString(),
                "workoutId",
                workout.toString(),
                "division",
                "",
                "doneOn",
                "2026-11-20",
                "part",
                0,
                "cutInto",
                1);
        put("/api/attempts/" + attempt, entered);
        return attempt;
    }

    void put(String path, Map<String, Object> body) {
        ok(requests.put(url(path), RequestOptions.create().setData(body)));
    }

    void post(String path, Map<String, Object> body) {
        ok(requests.post(url(path), RequestOptions.create().setData(body)));
    }

    /** Sends a video as the interface does: announced, sent in a piece, taken. */
    void video(UUID attempt, String label, byte[] bytes) {
        String place = "/api/attempts/" + attempt + "/recordings/" + UUID.randomUUID() + "/upload";
        put(place, Map.of("label", label, "sizeBytes", bytes.length));
        ok(requests.post(
                url(place + "?offset=0"),
                RequestOptions.create()
                        .setHeader("content-type", "application/octet-stream")
                        .setData(bytes)));
        ok(requests.post(url(place + "/finish")));
    }

    private static String url(String path) {
        return Suite.wake().url(path);
    }

    private static void ok(APIResponse answer) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }
}
