package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.log.Mark;

/** A whole attempt logged by keys alone, through to the reading and the projection. */
class LogByKeysTest {
    private final WakeProcess wake = Suite.wake();

    @Test
    void aSimulatedRecordingIsLoggedAsItPlays() {
        UUID attempt = Demo.id("attempt tamsin skiff sprint");
        Truth truth = Truth.ofSimulated();
        Page page = Suite.chromium().page();
        TurnedClock clock = TurnedClock.on(page);
        LogDesk desk = LogDesk.open(page, wake, attempt);
        desk.expectSays("Nothing logged yet");
        desk.press("f").expectSays("Press G at 3-2-1-go");
        desk.press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "g");
        assertThat(desk.clock()).hasText("0:00.0");
        clock.stop();
        desk.press(" ");
        for (Mark mark : truth.attempt().truth()) {
            clock.turnTo(mark.atMs());
            desk.press(Truth.key(mark));
        }
        clock.runAgain();
        desk.expectSaved();
        assertThat(truth.errors(wake, attempt))
                .allSatisfy(error -> assertThat(error).isLessThan(50));
        assertCloses(attempt);
        readAndCall(page, attempt);
    }

    @Test
    void aVideoIsLoggedByFrameWithinATwentiethOfASecond() {
        UUID attempt = Demo.id("attempt jory skiff sprint");
        Truth truth = Truth.ofClip();
        LogDesk desk = LogDesk.open(Suite.chromium().page(), wake, attempt);
        Chromium.until(desk.page(), "document.querySelector('video').readyState >= 2");
        desk.stepForward(0, 5000).press("g");
        long at = 0;
        for (Mark mark : truth.attempt().truth()) {
            desk.stepForward(at, mark.atMs()).press(Truth.key(mark));
            at += Math.round(Math.round((mark.atMs() - at) * 30 / 1000.0) * 1000 / 30.0);
        }
        desk.expectSaved();
        assertThat(truth.errors(wake, attempt))
                .allSatisfy(error -> assertThat(error).isLessThan(50));
        assertCloses(attempt);
        desk.page().reload();
        assertThat(desk.page().getByLabel("Whiteboard")).containsText("reps/min");
        assertThat(log(attempt).at("/marks").size())
                .isEqualTo(truth.attempt().truth().size());
        readAndCall(desk.page(), attempt);
    }

    /** The browser's own reading of the file that ships: its length is the simulated recording's, to a frame or two. */
    @Test
    void theShippedClipPlaysInTheBrowserAtItsFullLength() {
        Page page = Suite.chromium().page();
        page.navigate(wake.url("/"));
        Object seconds = page.evaluate(
                "url => new Promise(done => { const v = document.createElement('video'); v.onloadedmetadata = () =>"
                        + " done(v.duration); v.src = url; })",
                "/api/recordings/" + Demo.id("recording jory skiff sprint") + "/media");
        double expected = (5000 + Truth.ofClip().attempt().clockMs() + 3000) / 1000.0;
        assertThat(((Number) seconds).doubleValue()).isBetween(expected - 0.1, expected + 1.1);
    }

    private JsonNode log(UUID attempt) {
        return new JsonMapper().readTree(wake.get("/api/attempts/" + attempt)).at("/log");
    }

    private void assertCloses(UUID attempt) {
        JsonNode log = log(attempt);
        long sum = 0;
        for (JsonNode segment : log.at("/segments")) {
            JsonNode split = segment.at("/split");
            long parts = split.at("/transitionMs").asLong()
                    + split.at("/workMs").asLong()
                    + split.at("/restMs").asLong()
                    + split.at("/unseparatedMs").asLong();
            assertThat(parts).isEqualTo(split.at("/elapsedMs").asLong());
            sum += parts;
        }
        assertThat(log.at("/phase").asString()).isEqualTo("FINISHED");
        assertThat(sum).isEqualTo(log.at("/clockMs").asLong());
    }

    private void readAndCall(Page page, UUID attempt) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Review"))
                .click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("best splits");
        page.getByLabel("Gap over time: arrow keys").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("round 1, 6 burpee:");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("The moment")).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Retest"))
                .click();
        page.getByLabel("Add a change").selectOption(new SelectOption().setLabel("Speed up every burpee"));
        page.getByLabel("Target in s off each: Speed up every burpee").fill("0.5");
        page.keyboard().press("Enter");
        String gain = page.getByText("All ticked changes:").textContent();
        Chromium.until(page, "/ticked changes: [\\d:.]+ (s|reps?)? ?(faster|more)/.test(document.body.textContent)");
        page.reload();
        assertThat(page.getByText("All ticked changes:")).not().hasText("All ticked changes: no change");
        JsonNode call = new JsonMapper().readTree(wake.get("/api/attempts/" + attempt + "/retest"));
        assertThat(call.at("/projection/gain/ms").asLong()).as(gain).isPositive();
    }
}
