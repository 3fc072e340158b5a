package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One attempt open in two windows of one browser: nothing is lost, nothing doubled, and each says what happened. */
@Execution(ExecutionMode.CONCURRENT)
class TwoWindowsTest {
    @TempDir
    Path folder;

    private final UUID attempt = Demo.id("attempt tamsin skiff sprint");

    @Test
    void marksOfBothAreKeptAndATakenMarkIsNotTakenTwice() {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), true)) {
            LogDesk one = begun(wake);
            LogDesk other = LogDesk.open(Chromium.beside(one.page()), wake, attempt);
            assertThat(other.clock()).hasText("−0:05.0");

            one.stepForward(500, 2500).press("f");
            one.expectSaved();
            other.stepForward(-5000, 4500).press("f");
            other.expectSays("A mark from another window came in.");
            one.stepForward(2500, 6500).press("f");
            one.expectSays("A mark from another window came in.");
            one.expectSaved();
            other.expectSaved();
            assertThat(kinds(wake)).containsExactly("BEGIN", "REP", "REP", "REP");

            // What one takes back is gone for the other as well, who is told when it still has it.
            one.press(",", "Delete");
            one.expectSaved();
            assertThat(kinds(wake)).hasSize(3);
            other.press("f");
            other.expectSaved();
            assertThat(kinds(wake)).hasSizeBetween(3, 4);
        }
    }

    @Test
    void whatBothMarkedWhileTheServerWasAwayIsSentOnce() {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), true)) {
            LogDesk one = begun(wake);
            LogDesk other = LogDesk.open(Chromium.beside(one.page()), wake, attempt);
            wake.kill();
            one.stepForward(500, 2500).press("f").stepForward(2500, 4500).press("f");
            one.expectSays("Connection lost");
            other.stepForward(-5000, 6500).press("f");
            other.expectSays("3 marks are saved on this device");
            wake.start();
            one.expectSaved();
            other.expectSaved();
            assertThat(kinds(wake)).containsExactly("BEGIN", "REP", "REP", "REP");
        }
    }

    /** A window in which "go" and the start of the movement are marked. */
    private LogDesk begun(WakeProcess wake) {
        LogDesk desk = LogDesk.open(Suite.chromium().page(), wake, attempt);
        desk.stepForward(0, 5000).press("g").stepForward(0, 500).press("a");
        desk.expectSaved();
        return desk;
    }

    private List<String> kinds(WakeProcess wake) {
        JsonNode marks =
                new JsonMapper().readTree(wake.get("/api/attempts/" + attempt)).at("/log/marks");
        return StreamSupport.stream(marks.spliterator(), false)
                .map(mark -> mark.at("/kind").asString())
                .toList();
    }
}
