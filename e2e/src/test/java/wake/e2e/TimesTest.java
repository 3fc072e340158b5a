package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** An attempt nobody filmed: its times typed as they were jotted down. */
class TimesTest {
    private static final String NOTATION =
            "# Low Ebb\nfor time\n  2 rounds:\n    6 burpee\n    8 kettlebell swing @ 16 kg\n";

    /** Splits and the clock at each end; what lies between the end before and the start is in neither: 0, 3, 3 and 2 s. */
    private static final String JOTTED = "burpees 0:31 0:31\nswings 0:28 1:02\nburpees 0:33 1:38\nswings 0:30 2:10";

    private final Page page = Suite.chromium().page();
    private final UUID attempt = new Enter(page.request()).attempt("Marit Haven", NOTATION);

    @Test
    void jottedTimesBecomeALogThatClosesAndCanBeTakenBack() {
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
        button("Type in the times").click();
        Locator box = page.getByLabel("Times, one per line");
        box.fill("burpees 0:31 0:31\nswings 0:4x");
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("Line 2:");
        assertThat(button("Save to log")).isDisabled();

        box.fill(JOTTED);
        Locator rows = page.getByRole(AriaRole.TABLE).locator("tbody tr");
        assertThat(rows).hasCount(4);
        assertThat(rows.nth(1)).containsText("3 s");
        assertThat(rows.nth(3)).containsText("2 s");
        page.reload();
        assertThat(page.getByLabel("Times, one per line")
                        .or(button("Type in the times"))
                        .first())
                .isVisible();
        if (button("Type in the times").isVisible()) {
            button("Type in the times").click();
        }
        assertThat(page.getByLabel("Times, one per line")).hasValue(JOTTED);
        button("Save to log").click();
        assertThat(page.getByLabel("Whiteboard")).containsText("0:36");
        JsonNode log = log();
        assertThat(log.at("/clockMs").asLong()).isEqualTo(130_000);
        assertThat(log.at("/phase").asString()).isEqualTo("FINISHED");
        assertThat(log.at("/segments/1/split/transitionMs").asLong()).isEqualTo(3000);

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Undo: "))
                .click();
        assertThat(button("Save to log")).isVisible();
        assertThat(log().at("/marks").size()).isZero();
    }

    /** Splits and clocks as they come, the label in front, and what was done at the stop; opened again it is not kept anew. */
    @Test
    void whatWasDoneAtTheStopCountsAndTheSheetIsKeptOnce() {
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
        button("Type in the times").click();
        Locator box = page.getByLabel("Times, one per line");
        box.fill("round 1, 6 burpee 0:31\n8 kettlebell swing @ 16 kg 1:02\nstop 1:50 +9");
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("stop, 3 of round 2, 8 kettlebell swing");
        button("Save to log").click();
        assertThat(button("Saved to log")).isDisabled();
        assertThat(log().at("/score").asString()).startsWith("23 reps at");
        page.reload();
        button("Type in the times").or(button("Saved to log")).first().waitFor();
        if (button("Type in the times").isVisible()) {
            button("Type in the times").click();
        }
        assertThat(button("Saved to log")).isDisabled();
        box.fill("round 1, 6 burpee 0:32\n8 kettlebell swing @ 16 kg 1:02");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Replace the"))))
                .isEnabled();
    }

    private JsonNode log() {
        return new JsonMapper()
                .readTree(Suite.wake().get("/api/attempts/" + attempt))
                .at("/log");
    }

    private Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
