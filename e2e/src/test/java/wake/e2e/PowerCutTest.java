package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server is killed in the middle of logging. */
@Execution(ExecutionMode.CONCURRENT)
class PowerCutTest {
    @TempDir
    Path folder;

    @Test
    void noSavedMarkIsLostAndTheBrowserCatchesUp() {
        UUID attempt = Demo.id("attempt tamsin skiff sprint");
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), true)) {
            LogDesk desk = LogDesk.open(Suite.chromium().page(), wake, attempt);
            desk.stepForward(0, 5000).press("g").stepForward(0, 500).press("a");
            for (int rep = 0; rep < 3; rep++) {
                desk.press("ArrowRight", "ArrowRight", "f");
            }
            desk.expectSaved();
            wake.kill();

            desk.press(
                    "ArrowRight", "ArrowRight", "f", "ArrowRight", "ArrowRight", "f", "ArrowRight", "ArrowRight", "f");
            desk.expectSays("Connection lost. Keep logging: 3 marks are saved on this device");
            wake.start();
            desk.expectSaved();
            assertThat(marks(wake, attempt).size()).isEqualTo(7);

            wake.kill();
            desk.press("ArrowRight", "a");
            desk.expectSays("1 mark is saved on this device");
            wake.start();
            desk.page().reload();
            desk.expectSaved();
            assertThat(marks(wake, attempt).size()).isEqualTo(8);
            assertThat(desk.page().getByLabel("Whiteboard")).containsText("reps/min");
        }
    }

    @Test
    void aSecondWakeOnTheSameFolderSaysSoPlainly() throws Exception {
        Path data = folder.resolve("data");
        try (WakeProcess first = WakeProcess.start(data, false)) {
            assertThat(first.get("/api/today")).contains("toReview");
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> WakeProcess.start(data, false))
                    .hasMessageContaining("Another Wake is running on the same data folder");
        }
    }

    private static JsonNode marks(WakeProcess wake, UUID attempt) {
        return new JsonMapper().readTree(wake.get("/api/attempts/" + attempt)).at("/log/marks");
    }
}
