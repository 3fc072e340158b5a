package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A coach plans an attempt in the browser, by keyboard. */
class PlanTest {
    private final Page page = Suite.chromium().page();

    @BeforeEach
    void openTheBoard() {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt odd lock gate") + "/plan"));
        assertThat(heading()).containsText("Planned finish");
    }

    private Locator heading() {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    private Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    private void type(String label, String text) {
        field(label).focus();
        page.keyboard().type(text);
        page.keyboard().press("Enter");
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void aGoalIsPlannedForEditedUndoneAndStillThereAfterReload() {
        type("Goal", "8:50");
        assertThat(heading()).hasText("Planned finish 8:50, exactly the goal.");
        type("Sets of power clean", "singles");
        assertThat(heading()).containsText("slower than the 8:50 goal");
        type("Sets of power clean", "30s");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Sets of 30 are more than the 10 of power clean");
        type("Pace of row", "1400 cal/h");
        assertThat(field("Pace of row")).hasValue("1400 cal/h");
        type("Pace of row", "2:00");
        assertThat(field("Pace of row")).hasValue("2:00/500m");
        button("Undo").click();
        assertThat(field("Pace of row")).hasValue("1400 cal/h");
        button("Undo").click();
        button("Undo").click();
        assertThat(heading()).hasText("Planned finish 8:50, exactly the goal.");
        page.reload();
        assertThat(heading()).hasText("Planned finish 8:50, exactly the goal.");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^All \\d")))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Restore version 1").setExact(true))
                .click();
        assertThat(heading()).not().containsText("goal");
    }

    @Test
    void roundsStartOnMarksAndMayDiffer() {
        type("Sets of power clean", "every 2:30");
        assertThat(field("Start a round every")).hasValue("2:30");
        button("Set by round").click();
        page.getByText("Pace", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        type("Pace of row in round 5", "25 cal/min");
        assertThat(page.getByText("1 round differs")).isVisible();
        assertThat(field("Pace of row in round 5")).hasValue("25 cal/min");
        type("Pace of row in round 5", " ");
        assertThat(page.getByText("1 round differs")).hasCount(0);
        type("Start a round every", " ");
        page.getByText("Negative split").click();
        assertThat(page.getByRole(
                        AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Negative split"))))
                .isChecked();
        button("Reset to draft plan").click();
        assertThat(page.getByText("Draft plan, from")).isVisible();
    }

    @Test
    void aWallPageShowsBigTimes() {
        type("Goal", "8:50");
        assertThat(page.getByText(Pattern.compile("^Latest: "))).isVisible();
        page.getByText("Wall sheet").click();
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(5);
        assertThat(page.getByRole(AriaRole.ROW).last()).containsText("latest 8:508:50");
        assertThat(button("Print")).isVisible();
    }

    @Test
    void everyRoundOfALadderIsPlannedOnItsOwn() {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt jory slack water") + "/plan"));
        assertThat(heading()).containsText("reps (");
        button("Set by round").click();
        page.getByText("Failed reps", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        type("Failed reps of wall walk in round 6", "12");
        assertThat(page.getByText("1 round differs")).isVisible();
        button("Undo").click();
        assertThat(page.getByText("1 round differs")).hasCount(0);
    }

    @Test
    void twoVersionsStandBesideEachOther() {
        type("Goal", "9:00");
        assertThat(heading()).containsText("9:00, exactly the goal");
        field("Goal").fill("8:50");
        button("Fit plan to goal").click();
        assertThat(heading()).containsText("8:50, exactly the goal");
        assertThat(page.getByText("Goal 8:50")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Compare version \\d+")))
                .first()
                .click();
        Locator beside = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("and the current plan$")));
        assertThat(beside).containsText("9:00");
        assertThat(beside).containsText("10.0 s slower in total");
        field("Goal").fill("15:00");
        button("Fit plan to goal").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("under the 14:00 time cap");
        button("Reset to draft plan").click();
        assertThat(page.getByText("Draft plan")).isVisible();
    }
}
