package wake.e2e;

import com.microsoft.playwright.APIRequestContext;
import java.util.Map;
import java.util.UUID;

/** An attempt with two thousand marks, rep by rep, for measuring. */
final class LongAttempt {
    private static final int SEGMENTS = 80;
    private static final int REPS = 24;
    private static final String NOTATION = "# Long Haul\nfor time\n  40 rounds:\n    24 burpee\n    24 air squat\n";

    private final Enter enter;
    private final UUID id;

    private LongAttempt(Enter enter, UUID id) {
        this.enter = enter;
        this.id = id;
    }

    /** Enters it, with as many of its segments marked as asked for. */
    static LongAttempt enter(APIRequestContext requests, int segments) {
        Enter enter = new Enter(requests);
        UUID id = enter.attempt("Ida Longshore", NOTATION);
        enter.post("/api/attempts/" + id + "/marks/sheet", Map.of("csv", sheet(segments)));
        return new LongAttempt(enter, id);
    }

    static int segments() {
        return SEGMENTS;
    }

    UUID id() {
        return id;
    }

    /** Adds a simulated recording whose "go" is at its start. */
    void video() {
        String recording = "/api/attempts/" + id + "/recordings/" + UUID.randomUUID();
        enter.put(recording + "/simulated", Map.of("seed", 3));
        enter.put(recording + "/go", Map.of("atMs", 0, "made", "STEPPED", "step", 0.0333));
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
}
