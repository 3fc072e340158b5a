package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Attempts of every shape are read with care: nothing is held against what is not like it. */
class LikeWithLikeTest {
    private final Page page = Suite.chromium().page();

    private Locator sentence() {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    private Locator region(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private void open(String attempt, String step) {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt " + attempt) + "/" + step));
    }

    @Test
    void aRisingBarIsAccusedOfNothing() {
        open("odd ebb ladder", "reading");
        assertThat(sentence()).containsText(" compared)");
        assertThat(region("Findings")).not().containsText("snatch");
        assertThat(region("Rounds")).containsText("The load changes from round to round");
        assertThat(region("Where the time went")).containsText("transitions");
    }

    @Test
    void roundsAreThoseOfTheirBlockAndVariantsLast() {
        open("maren two basins", "reading");
        assertThat(region("Rounds")).containsText("burpee and thruster");
        assertThat(region("Rounds")).containsText("round 1 of pull-up and push-up (8:00)");
        assertThat(region("Sections")).containsText("3 rounds of pull-up and push-up");
        assertThat(region("Techniques")).containsText("step-back");
        region("Rounds")
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName("Play round 3 of burpee and thruster at"))
                .click();
        assertThat(page.getByText("round 3 of burpee and thruster").last()).isVisible();
    }

    @Test
    void roundTimesNameNoMovement() {
        open("jory skerry", "reading");
        assertThat(region("Where the time went")).containsText("Unassigned");
        assertThat(region("Where the time went")).not().containsText("squat");
        assertThat(region("Findings")).not().containsText("squat");
        assertThat(region("Ledger")).not().containsText("squat");
        assertThat(region("Sets by movement")).hasCount(0);
    }

    @Test
    void whatTheBuzzerCutOffIsNoLoss() {
        open("pia long tack", "reading");
        assertThat(region("Where the time went")).containsText("unfinished");
        assertThat(region("Ledger")).containsText("Not counted");
        page.getByText("By round").click();
        assertThat(region("Where the time went")).containsText("round 3");
    }

    @Test
    void theAttemptAsAWholeHasANote() {
        open("tamsin bell buoy", "reading");
        page.getByLabel("Note on the whole attempt").fill("Even. Bike first, then trust it.");
        button("Save note").click();
        assertThat(page.getByText("Saved.")).isVisible();
        page.reload();
        assertThat(page.getByLabel("Note on the whole attempt")).hasValue("Even. Bike first, then trust it.");
    }

    /** A technique and the reps at the buzzer, without the mouse. */
    @Test
    void aTechniqueAndTheRepsAtTheBuzzerAreKeys() {
        LogDesk desk = LogDesk.open(page, Suite.wake(), Demo.id("attempt pia long tack"));
        desk.stepForward(0, 30_000).press("t");
        page.getByLabel(Pattern.compile("technique from here")).fill("split stance");
        page.keyboard().press("Enter");
        desk.expectSaved();
        desk.press("t");
        assertThat(button("Alt 1 · split stance")).isVisible();
        desk.press("Escape", "z");
        desk.expectSaved();
        desk.press("t");
        assertThat(button("Alt 1 · split stance")).hasCount(0);
    }

    /** Picture, clock, strip and keys stay in sight whatever the workout. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "maren groundswell",
                "odd lock gate",
                "jory slack water",
                "pia there and back",
                "maren two basins"
            })
    void theLogStepStaysPut(String attempt) {
        open(attempt, "log");
        staysPut();
    }

    /** Twenty rounds of three, a chipper of twelve, four hundred segments, intervals, a lift window; logged to the middle. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "for time/  20 rounds:/    3 burpee/    4 push-up/    5 air squat",
                "for time/  9 burpee/  8 push-up/  7 air squat/  9 thruster @ 30 kg/  8 row cal/  7 wall walk/  9 sit-up/  8 power clean @ 40 kg/  7 pull-up/  9 box jump over @ 50 cm/  8 toes-to-bar/  7 double under",
                "for time/  100 rounds:/    1 burpee/    1 push-up/    1 air squat/    1 sit-up",
                "amrap 20:00/  3 burpee/  4 push-up",
                "every 1:00 x 12/  6 burpee",
                "lift 8:00, best of 1 power clean"
            })
    void theLogStepStaysPutForEveryShape(String workout) {
        Enter enter = new Enter(page.request());
        UUID attempt = enter.attempt("Sunna Ebb", "# Ebb\n" + workout.replace("/", "\n") + "\n");
        UUID recording = UUID.randomUUID();
        String at = "/api/attempts/" + attempt;
        if (workout.startsWith("lift")) {
            page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
            button("Log live").click();
            button("Start now").click();
            staysPut();
            return;
        }
        enter.put(at + "/recordings/" + recording + "/simulated", Map.of("seed", 7));
        enter.put(at + "/recordings/" + recording + "/go", Map.of("atMs", 5000, "made", "STEPPED", "step", 0.033));
        StringBuilder csv = new StringBuilder("at,kind\n");
        for (int done = 1; done <= 28; done++) {
            csv.append(done / 6)
                    .append(':')
                    .append("%02d".formatted(done % 6 * 10))
                    .append(",DONE\n");
        }
        boolean few = workout.startsWith("for time/  9") || workout.startsWith("every");
        String sheet = few ? "at,kind\n0:10,DONE\n" : csv.toString();
        enter.post(at + "/marks/sheet", Map.of("csv", sheet));
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
        staysPut();
    }

    private void staysPut() {
        for (int[] size : new int[][] {{1280, 800}, {1440, 900}, {1920, 1080}}) {
            page.setViewportSize(size[0], size[1]);
            Locator board = page.getByLabel("Whiteboard");
            assertThat(board).isVisible();
            assertThat(((Number) page.evaluate("document.scrollingElement.scrollHeight")).intValue())
                    .isLessThanOrEqualTo(size[1]);
            Locator keys = page.getByLabel("Keys now");
            assertThat(keys).isVisible();
            assertThat(keys.boundingBox().y + keys.boundingBox().height).isLessThanOrEqualTo(size[1]);
            assertThat(page.getByRole(AriaRole.TIMER)).isVisible();
            Locator current = board.locator("[aria-current=step]");
            if (current.count() > 0) {
                assertThat(current).isInViewport();
            }
        }
    }
}
