package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;

/** Writing workouts, and attempts at parts that go on until the buzzer. */
class WhiteboardTest {
    private final Page page = Suite.chromium().page();

    @Test
    void movementsAreCompletedAsTheyAreTyped() {
        page.navigate(Suite.wake().url("/workouts"));
        Locator text = page.getByLabel("Workout notation");
        text.fill("# Skerry\namrap 9:00\n  ");
        text.focus();
        page.keyboard().press("Control+End");
        page.keyboard().type("9 thr");
        // The names come from the server: before they are there, Tab is an indent.
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Tab: thruster")))
                .isVisible();
        page.keyboard().press("Tab");
        assertThat(text).hasValue("# Skerry\namrap 9:00\n  9 thruster");
        assertThat(page.getByText("9 reps per round")).isVisible();
    }

    @Test
    void aPastedBoardIsUnderstoodAndTidiedAndTheTidyTextStaysAsItIs() {
        page.navigate(Suite.wake().url("/workouts"));
        Locator text = page.getByLabel("Workout notation");
        text.fill("Sandbank\n12-9-6 for time:\nthruster @ 40 kg\ntempo front squat\n");
        Locator tidy = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Clean up formatting"));
        assertThat(page.getByText("new movement: planned like front squat")).isVisible();
        tidy.click();
        assertThat(text)
                .hasValue(
                        "# Sandbank\nfor time\n  3 rounds:\n    12-9-6 thruster @ 40 kg\n    12-9-6 tempo front squat\n");
        assertThat(tidy).hasCount(0);
    }

    @Test
    void theCardShowsPiecesTheMostOfAMovementAndTheRunningClock() {
        page.navigate(Suite.wake().url("/workouts"));
        page.getByLabel("Workout notation")
                .fill("Sandbar\npart A: AMRAP 5\n100 ft handstand walk in 25 ft sections\nmax wall walk\n"
                        + "part B, from 7:00: for time\n9 front squat (tempo 3-1-1) @ 80 %\n");
        assertThat(page.getByText("100 ft handstand walk, in 25 ft")).isVisible();
        assertThat(page.getByText("max wall walk", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByText("every rep counts")).isVisible();
        assertThat(page.getByText("for time · from 7:00 on the running clock")).isVisible();
        assertThat(page.getByText("tempo 3-1-1", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Clean up formatting"))
                .click();
        assertThat(page.getByLabel("Workout notation"))
                .hasValue(
                        "# Sandbar\npart A: amrap 5:00\n  100 ft handstand walk, in 25 ft\n  max wall walk\nfrom 7:00\n"
                                + "part B: for time\n  9 front squat @ 80 %  // tempo 3-1-1\n");
    }

    @Test
    void twoHundredErrorsAndAMegabyteAreAnsweredAtOnce() {
        page.navigate(Suite.wake().url("/workouts"));
        Locator text = page.getByLabel("Workout notation");
        text.fill("# A\nfor time\n" + "  many burpee\n".repeat(200));
        assertThat(page.getByText("and 188 more.")).isVisible();
        text.fill("x".repeat(1 << 20));
        assertThat(page.getByText("Use a workout of at most 100000 characters")).isVisible();
    }

    @Test
    void filesAreTakenInAndWhatDoesNotFitIsSaid() {
        page.navigate(Suite.wake().url("/workouts"));
        page.locator("input[type=file]").setInputFiles(new FilePayload[] {
            file("spit.txt", "# Sand Spit\nfor time\n  30 burpee\n"),
            file("broken.txt", "Sand Spit"),
            file("no.json", "{]")
        });
        Locator said = page.locator("p[role=status]");
        assertThat(said).containsText("spit.txt: added Sand Spit.");
        assertThat(said).containsText("broken.txt: Line 2");
        assertThat(said).containsText("no.json: this is not JSON");
        page.getByLabel("Search in titles and lines").fill("sand");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Sand Spit"))
                .first()
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Archive").setExact(true))
                .click();
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Unarchive")))
                .isVisible();
    }

    private static FilePayload file(String name, String text) {
        return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void anAmrapIsLoggedToItsBuzzerAndScoresRoundsAndReps() {
        page.navigate(Suite.wake().url("/workouts"));
        page.getByLabel("Workout notation")
                .fill(
                        "# Two Tides\npart A: amrap 1:00\n  3 burpee\n  3 thruster @ 30 kg\nrest 1:00\npart B: lift 5:00, best of 1 power clean\n");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add to the library"))
                .click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add an attempt"))
                .click();
        assertThat(page.getByLabel("Part")).containsText("A: amrap 1:00");
        page.getByLabel("Athlete").selectOption(new SelectOption().setIndex(1));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add attempt"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Make a practice video"))
                .click();
        page.getByRole(AriaRole.TIMER).waitFor();
        page.locator("canvas").waitFor();
        keys("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "g");
        keys(
                "a",
                "Alt+ArrowRight",
                "d",
                "ArrowRight",
                "a",
                "Alt+ArrowRight",
                "d",
                "ArrowRight",
                "a",
                "ArrowRight",
                "f",
                "ArrowRight",
                "f");
        assertThat(page.getByLabel("Whiteboard")).containsText("Round 2");
        for (int i = 0; i < 9; i++) {
            keys("Alt+ArrowRight");
        }
        keys("x");
        assertThat(page.locator("b", new Page.LocatorOptions().setHasText("1 round + 2")))
                .isVisible();

        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add part B"))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Add attempt"))
                .click();
        page.getByRole(AriaRole.TIMER).waitFor();
        page.locator("canvas").waitFor();
        keys("g", "ArrowRight", "l");
        page.getByLabel("Load, e.g. 85 kg").fill("82.5 kg");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Whiteboard")).containsText("82.5 kg");
    }

    private void keys(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }
}
