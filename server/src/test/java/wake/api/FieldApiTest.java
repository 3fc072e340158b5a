package wake.api;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import wake.RunningServer;
import wake.ServerAt;
import wake.ServerAt.Answer;

/** A field over HTTP: entered as a heat, logged by movement, spread and held against one of them. */
@ExtendWith(RunningServer.class)
class FieldApiTest {
    private static final String CHIPPER =
            "# Groyne Field\nfor time, cap 20:00\n  30 burpee\n  40 wall walk\n  50 air squat\n";
    private static final List<String> CLOCKS = List.of(
            "1:20 3:20 4:20",
            "1:00 2:40 3:30",
            "1:10 2:40 3:40",
            "1:10 3:10 4:20",
            "1:30 3:30 4:40",
            "1:20 3:20 4:40",
            "2:00 5:00 8:00",
            "2:10 5:10 9:00");

    private final RunningServer wake;

    FieldApiTest(RunningServer wake) {
        this.wake = wake;
    }

    private Answer heat(UUID workout, String text) {
        return wake.put(
                "/api/heats/" + UUID.randomUUID(),
                ServerAt.json(
                        Map.of("workoutId", workout.toString(), "division", "", "doneOn", "2026-11-20", "text", text)));
    }

    /** By hand as in the core's own test: the middle four 25 s later on the wall walks, 15 s on the others; 55 in all. */
    @Test
    void theFieldOfAWorkout() {
        UUID workout = UUID.randomUUID();
        wake.put("/api/workouts/" + workout, ServerAt.json(Map.of("notation", CHIPPER)));
        String some = UUID.randomUUID().toString().substring(0, 4);
        Answer entered = heat(
                workout,
                String.join(
                        "\n",
                        IntStream.range(0, 8)
                                .mapToObj(i -> "+ Guest" + (char) ('A' + i) + some)
                                .toList()));
        for (int i = 0; i < 8; i++) {
            UUID attempt = UUID.fromString(entered.text("/rows/" + i + "/attemptIds/0"));
            Answer typed = wake.post(
                    "/api/attempts/" + attempt + "/times",
                    ServerAt.json(Map.of(
                            "text",
                            CLOCKS.get(i).replace(' ', '\n'),
                            "each",
                            "MOVEMENT",
                            "times",
                            "CLOCK",
                            "replace",
                            false)));
            assertThat(typed.status()).as(typed.json().toString()).isEqualTo(200);
        }
        heat(workout, "+ Late" + some + " 6:00");
        String chosen = entered.text("/rows/5/attemptIds/0");
        JsonNode field = whole("/api/workouts/" + workout + "/field?attempt=" + chosen, 9);
        assertThat(field.at("/logged").intValue()).isEqualTo(8);
        assertThat(field.at("/says").stringValue()).isEqualTo("Top quarter 55 s faster than the middle half.");
        assertThat(field.at("/largest").stringValue()).isEqualTo("Largest part: wall walk, 25 s.");
        assertThat(field.at("/separation/parts")
                        .valueStream()
                        .map(part -> part.at("/words").stringValue()))
                .containsExactly("wall walk", "burpee", "air squat");
        JsonNode walls = field.at("/spans/1/split");
        assertThat(walls.at("/p25").doubleValue()).isCloseTo(115_000, within(1e-6));
        assertThat(walls.at("/own").doubleValue()).isEqualTo(120_000);
        assertThat(walls.at("/ownPercentile").doubleValue()).isEqualTo(50);
        // Its clock of 3:20 at the walls: the median of 2:40, 2:40, 3:10, 3:20, 3:20, 3:30, 5:00, 5:10.
        assertThat(field.at("/spans/1/gap/own").doubleValue()).isZero();
        assertThat(field.at("/entriesToChoose")).hasSize(9);
        Answer sheet = wake.get("/api/workouts/" + workout + "/ranking.csv");
        assertThat(new String(sheet.raw().body(), StandardCharsets.UTF_8))
                .contains("1,GuestB" + some + ",2026-11-20,3:30");
        assertThat(wake.get("/api/workouts/" + UUID.randomUUID() + "/field").status())
                .isEqualTo(404);
    }

    /** Attempts entered by other tests may be read first. */
    private JsonNode whole(String path, int entries) {
        for (int i = 0; i < 100; i++) {
            JsonNode field = wake.get(path).json();
            if (field.at("/entries").intValue() == entries) {
                return field;
            }
        }
        throw new AssertionError("Not all attempts were read");
    }

    @Test
    void nobodyYetIsSaid() {
        UUID workout = UUID.randomUUID();
        wake.put("/api/workouts/" + workout, ServerAt.json(Map.of("notation", CHIPPER)));
        JsonNode field =
                wake.get("/api/workouts/" + workout + "/field?division=none").json();
        assertThat(field.at("/says").stringValue()).contains("takes 5 attempts with splits. So far there are none.");
        assertThat(field.at("/spans")).isEmpty();
    }
}
