package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import org.junit.jupiter.api.Test;

/** What a plan decides, box by box, on a workout of its own. */
class PlanningTest {
    private final Page page = Suite.chromium().page();

    @Test
    void aPlanSaysItsStretchesItsFinishItsRestsAndWhatToDoWhenTwoFail() {
        entered(
                "# Lead Line\nfor time, cap 14:00\n  75 cal row, in 15 cal\n  3 rounds:\n    12 thruster @ 35 kg\n    10 burpee\n");
        Locator pace = page.getByLabel("Pace of row");
        kept(pace, "2.4 for 15, 3, 2.4 from 60");
        assertThat(page.getByLabel("Pace within row")).hasValue("2.40, 3.00 from 15, 2.40 from 60");
        assertThat(pace).hasValue("2.76");
        kept(page.getByLabel("Finish kick with this much left"), "3:00, 1:00");
        assertThat(page.getByText("(3:00 left")).isVisible();
        assertThat(page.getByText("A finish kick is set")).isVisible();
        kept(page.getByLabel("Rest between sets of thruster"), "4-9");
        kept(page.getByLabel("Pick-up of thruster, seconds"), "3");
        button("Add Plan B").click();
        button("Add a second movement").click();
        assertThat(page.getByLabel("Second movement that may fail")).isVisible();
        assertThat(page.getByLabel("Plan B")).containsText("5 thruster, 5 burpee, 5 thruster, 5 burpee");

        page.reload();
        assertThat(page.getByLabel("Rest between sets of thruster")).hasValue("4-9");
        assertThat(page.getByLabel("Finish kick with this much left")).hasValue("3:00 2%, 1:00 4%");
        assertThat(page.getByLabel("Second movement that may fail")).isVisible();
        button("Only the first movement").click();
        assertThat(page.getByLabel("Second movement that may fail")).hasCount(0);

        kept(page.getByLabel("Rest between sets of thruster"), "soon");
        assertThat(page.getByText("Write rests in seconds like")).isVisible();
        button("Set by round").click();
        kept(page.getByLabel("Sets of thruster in round 2"), "4s");
        page.getByLabel("Sets of thruster in round 2").focus();
        button("Use from round 2 on: thruster").click();
        assertThat(page.getByLabel("Sets of thruster in round 3")).hasValue("4s");
        button("Undo").click();
        assertThat(page.getByLabel("Sets of thruster in round 3")).not().hasValue("4s");
    }

    private void entered(String notation) {
        page.navigate(Suite.wake().url("/workouts"));
        page.getByLabel("Workout notation").fill(notation);
        button("Add to the library").click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Add an attempt"))
                .click();
        page.getByLabel("Athlete").selectOption(new SelectOption().setIndex(1));
        button("Add attempt").click();
        page.getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Plan").setExact(true))
                .first()
                .click();
        page.getByLabel("Pacing by movement").waitFor();
    }

    private static void kept(Locator field, String text) {
        field.fill(text);
        field.press("Enter");
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }
}
