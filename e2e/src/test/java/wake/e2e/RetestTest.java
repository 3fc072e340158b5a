package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** A coach makes a projection, sets the retest, and checks the outcome of another. */
class RetestTest {
    private static final long LADDER_MS = 100;

    private final Page page = Suite.chromium().page();

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator sentence() {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    private void open(String attempt) {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt " + attempt) + "/retest"));
        assertThat(page.getByLabel("Score ladder")).isVisible();
    }

    @Test
    void aProjectionIsMadeByKeysAndUndone() {
        open("tamsin groundswell");
        assertThat(sentence()).containsText("Likely ");
        String before = sentence().textContent();
        Locator rests = page.getByLabel("Target in s: Cap rests");
        rests.fill("2");
        rests.press("Enter");
        assertThat(sentence()).not().hasText(before);
        assertThat(page.getByText("not done yet").first()).isVisible();
        page.getByLabel("Add a change").selectOption(new SelectOption().setLabel("Change push press sets"));
        Locator sets = page.getByLabel("Sets: Change push press sets");
        sets.fill("lots");
        sets.press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT).first()).containsText("Write sets like");
        sets.fill("4s");
        sets.press("Enter");
        assertThat(page.getByText(Pattern.compile("extra breaks add|fewer breaks save")))
                .isVisible();
        for (int i = 0; i < 3; i++) {
            button("Undo").click();
        }
        assertThat(sentence()).hasText(before);
        page.reload();
        assertThat(sentence()).hasText(before);
    }

    @Test
    void theCheapestWayToAGoalCanBeTaken() {
        open("odd lock gate");
        page.getByLabel("Score", new Page.GetByLabelOptions().setExact(true)).fill("8:57");
        button("Find what it takes").click();
        assertThat(page.getByText(Pattern.compile("Proven route to 8:57"))).isVisible();
        assertThat(page.getByLabel("Steps to the goal")).containsText("Why: ");
        button("Use ").click();
        assertThat(sentence()).containsText(Pattern.compile("best case"));
        // How far one of them must go for the goal.
        button("Solve for goal").first().click();
        assertThat(page.getByText(Pattern.compile("(To reach 8:57: |cannot reach 8:57)")))
                .isVisible();
        page.getByLabel("Score", new Page.GetByLabelOptions().setExact(true)).fill("5:00");
        button("Find what it takes").click();
        assertThat(page.getByText("Not proven:")).isVisible();
        button("Aim for a place").click();
        page.getByLabel("Place", new Page.GetByLabelOptions().setExact(true)).fill("2");
        page.getByLabel("Scores of the others").fill("one 8:20\ntwo 8:50\nthree 9:30");
        button("Find what it takes").click();
        assertThat(page.getByText("Among 3 others: place 3 now")).isVisible();
    }

    @Test
    void aChangeIsMeantForAPlaceAndTheSheetSaysIt() {
        open("maren groundswell");
        String before = sentence().textContent();
        page.getByLabel("Where: Cap rests").selectOption(new SelectOption().setLabel("from round 3"));
        assertThat(page.getByText("Cap rests, from round 3", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(sentence()).not().hasText(before);
        Locator ways = page.getByLabel("Target in s: Faster transitions to row");
        ways.fill("2.5, 3, 3.5");
        ways.press("Enter");
        page.getByText("Print the retest plan").click();
        assertThat(sentence()).containsText("Maren Tidewell: Groundswell retest");
        assertThat(page.getByText("Cap rests at 8.5 s, from round 3.")).isVisible();
        assertThat(page.getByText("Cap transitions to row at 2.5, 3.0, 3.5 s.")).isVisible();
        assertThat(page.getByText("Round 4")).isVisible();
        page.getByText("Back to the projection").click();
        button("Reset to suggestions").click();
        assertThat(sentence()).hasText(before);
    }

    @Test
    void theRetestIsSetWithItsPlanAndStandsOnToday() throws IOException {
        open("maren groundswell");
        Download calendar = page.waitForDownload(
                () -> page.getByText("Add to calendar (.ics)").click());
        // Long lines are folded (RFC 5545, 3.1).
        assertThat(Files.readString(calendar.path()).replace("\r\n ", ""))
                .contains("BEGIN:VEVENT")
                .contains("Retest: Maren Tidewell")
                .contains("Projected 10:29 (was 11:04): 35 s faster")
                .contains("Cap rests at 8.5 s");
        button("Schedule retest").click();
        Locator set = page.getByText("scheduled with this plan");
        assertThat(set).isVisible();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Retest on")))
                .click();
        assertThat(page.getByText("Clock after each movement")).isVisible();
        page.navigate(Suite.wake().url("/"));
        assertThat(page.getByText("Retests due")).isVisible();
        assertThat(page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName(Pattern.compile("Maren Tidewell.*Projected "))))
                .isVisible();
    }

    @Test
    void painBlocksTheRetestUntilItIsCleared() {
        page.navigate(Suite.wake().url("/athletes"));
        button("Edit Pia Lagoonsdotter").click();
        page.getByLabel("Current pain or injury").fill("right elbow");
        button("Save changes").click();
        assertThat(page.getByText("Pain on file: right elbow")).isVisible();
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt pia long reach") + "/retest"));
        assertThat(page.getByText("No projection yet.")).isVisible();
        String refused = page.request()
                .get(Suite.wake()
                        .url("/api/attempts/" + Demo.id("attempt pia long reach") + "/retest/calendar?on=2030-01-01"))
                .text();
        assertThat(refused).contains("right elbow").contains("licensed professional");
        page.navigate(Suite.wake().url("/athletes"));
        button("Edit Pia Lagoonsdotter").click();
        page.getByLabel("Current pain or injury").fill("");
        button("Save changes").click();
        assertThat(page.getByText("Pain on file")).hasCount(0);
    }

    @Test
    void whatWasProjectedIsComparedWithTheOutcome() {
        open("tamsin spring tide retest");
        assertThat(sentence()).containsText("inside the likely range");
        open("jory slack water retest");
        assertThat(sentence()).containsText("outside the likely range");
        assertThat(page.getByText("missed").first()).isVisible();
        assertThat(page.getByText("Also faster or slower")).isVisible();
        page.navigate(Suite.wake().url("/athletes"));
        assertThat(page.getByText("3 checked, 1 of 3 inside the likely range"))
                .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(60_000));
    }

    /** From the press of an arrow on a target to the ladder drawn again: the median of fifteen. */
    @Test
    void draggingATargetMovesTheLadderAtOnce() {
        open("tamsin groundswell");
        page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Cap rests"))
                .focus();
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 15; i++) {
            page.evaluate("""
                    () => {
                      const ladder = document.querySelector('[aria-label="Score ladder"] ol');
                      const started = performance.now();
                      window.moved = new Promise(resolve => setTimeout(() => resolve(9999.5), 5000) && new MutationObserver((_, observer) => {
                        observer.disconnect();
                        requestAnimationFrame(() => resolve(performance.now() - started));
                      }).observe(ladder, { subtree: true, childList: true, characterData: true, attributes: true }));
                    }
                    """);
            page.keyboard().press(i % 2 == 0 ? "ArrowLeft" : "ArrowRight");
            times.add(((Number) page.evaluate("() => window.moved")).doubleValue());
        }
        Collections.sort(times);
        System.out.println("Ladder moves in ms: " + times);
        Bounds.hold("ladder while dragging, median", times.get(times.size() / 2), LADDER_MS);
    }
}
