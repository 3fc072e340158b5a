package wake.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import wake.RunningServer;
import wake.ServerAt.Answer;

/** Parts on one running clock have one "go" between them. */
@ExtendWith(RunningServer.class)
class RunningClockTest {
    private static final String GO = "{\"atMs\":5000,\"made\":\"STEPPED\",\"step\":0.03}";

    private final RunningServer wake;

    RunningClockTest(RunningServer wake) {
        this.wake = wake;
    }

    private static String path(UUID attempt) {
        return "/api/attempts/" + attempt;
    }

    private UUID partB(UUID first) {
        Answer known = wake.get(path(first));
        UUID second = UUID.randomUUID();
        wake.put(
                path(second), """
                {"athleteId":"%s","workoutId":"%s","division":"","doneOn":"%s","part":1,"cutInto":1}
                """.formatted(known.text("/athleteId"), known.text("/workoutId"), known.text("/doneOn")));
        return second;
    }

    private UUID video(UUID attempt) {
        UUID video = UUID.randomUUID();
        wake.put(path(attempt) + "/recordings/" + video + "/simulated", "{\"seed\":7}");
        return video;
    }

    private void assertTheOtherHasNoGo(String notation) {
        UUID first = wake.attempt(notation);
        UUID second = partB(first);
        UUID video = video(first);

        wake.put(path(first) + "/recordings/" + video + "/go", GO);

        assertThat(wake.get(path(second)).json().at("/recordings/0/goMs").isNumber())
                .isFalse();
    }

    @Test
    void theOtherPartStartsWhereTheClockSays() {
        UUID first =
                wake.attempt("# Sluice\npart A: amrap 2:00\n  10 burpee\nfrom 3:00\npart B: amrap 9:00\n  9 push-up\n");
        UUID second = partB(first);
        UUID video = video(second);

        wake.put(path(first) + "/recordings/" + video + "/go", GO);

        assertThat(wake.get(path(second)).number("/recordings/0/goMs")).isEqualTo(5000 + 180_000);
        wake.put(path(second) + "/recordings/" + video + "/go", GO.replace("5000", "186000"));
        wake.put(path(first) + "/recordings/" + video + "/go", GO.replace("5000", "5500"));
        assertThat(wake.get(path(second)).number("/recordings/0/goMs"))
                .as("one that was set is kept")
                .isEqualTo(186_000);
    }

    @Test
    void aVideoThatEndsBeforeTheOtherPartHasNoGoOfIt() {
        assertTheOtherHasNoGo(
                "# Sluice\npart A: amrap 1:00\n  10 burpee\nfrom 40:00\npart B: amrap 9:00\n  9 push-up\n");
    }

    @Test
    void aRestBetweenTwoPartsFixesNoClock() {
        assertTheOtherHasNoGo(
                "# Sluice\npart A: amrap 5:00\n  10 burpee\nrest 2:00\npart B: amrap 4:00\n  9 push-up\n");
    }

    @Test
    void theBoardSaysWhenAPartStarts() {
        Answer board = wake.post(
                "/api/workouts/check",
                "{\"notation\":\"# A\\npart A: for time\\n  9 burpee\\nfrom 7:00\\npart B: amrap 4:00\\n  max wall walk\\n\"}");

        assertThat(board.text("/boards/0/format")).isEqualTo("for time, cap 7:00");
        assertThat(board.text("/boards/1/starts")).isEqualTo("from 7:00 on the running clock");
        assertThat(board.text("/boards/1/counts")).isEqualTo("every rep counts");
    }
}
