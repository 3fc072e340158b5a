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
        assertThat(heading()).containsText("As planned");
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
        assertThat(heading()).hasText("As planned, this finishes in 8:50.0, exactly the goal.");
        type("Sets of power clean", "singles");
        assertThat(heading()).containsText("over the goal of 8:50");
        type("Sets of power clean", "30s");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Sets of 30 are more than the 10 of power clean");
        type("Pace of row, seconds per cal", "1400 cal/h");
        assertThat(field("Pace of row, seconds per cal")).hasValue("2.57");
        button("Undo").click();
        button("Undo").click();
        assertThat(heading()).hasText("As planned, this finishes in 8:50.0, exactly the goal.");
        page.reload();
        assertThat(heading()).hasText("As planned, this finishes in 8:50.0, exactly the goal.");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^All \\d")))
                .click();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName("Bring back version 1")
                                .setExact(true))
                .click();
        assertThat(heading()).not().containsText("goal");
    }

    @Test
    void roundsStartOnMarksAndMayDiffer() {
        type("Sets of power clean", "every 2:30");
        assertThat(field("Rounds start every")).hasValue("2:30");
        button("By round").first().click();
        type("Pace of row in round 5", "2.1");
        assertThat(button("Round 5 of row as every round")).isVisible();
        button("Round 5 of row as every round").click();
        assertThat(button("Round 5 of row as every round")).hasCount(0);
        type("Rounds start every", " ");
        page.getByText("Kick").click();
        assertThat(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(Pattern.compile("Kick"))))
                .isChecked();
        button("Back to the draft").click();
        assertThat(page.getByText("A draft")).isVisible();
    }

    @Test
    void aWallPageShowsBigTimes() {
        type("Goal", "8:50");
        assertThat(page.getByText(Pattern.compile("^Latest: "))).isVisible();
        page.getByText("Page for the wall").click();
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(5);
        assertThat(page.getByRole(AriaRole.ROW).last()).containsText("latest 8:508:50");
        assertThat(button("Print")).isVisible();
    }

    @Test
    void everyRoundOfALadderIsPlannedOnItsOwn() {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt jory slack water") + "/plan"));
        assertThat(heading()).containsText("reps (");
        button("By round").first().click();
        type("Misses in wall walk in round 6, seconds", "12");
        assertThat(button("Round 6 of wall walk as every round")).isVisible();
        button("Undo").click();
        assertThat(button("Round 6 of wall walk as every round")).hasCount(0);
    }

    @Test
    void twoVersionsStandBesideEachOther() {
        type("Goal", "9:00");
        assertThat(heading()).containsText("9:00.0, exactly the goal");
        field("Goal").fill("8:50");
        button("Plan for it").click();
        assertThat(heading()).containsText("8:50.0, exactly the goal");
        assertThat(page.getByText("Goal 8:50")).isVisible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Version \\d+ beside")))
                .first()
                .click();
        Locator beside = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(Pattern.compile("beside the plan in force$")));
        assertThat(beside).containsText("9:00.0");
        assertThat(beside).containsText("10.0 s slower in all");
        field("Goal").fill("15:00");
        button("Plan for it").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("before the cap of 14:00");
        button("Back to the draft").click();
        assertThat(page.getByText("A draft")).isVisible();
    }
}
