package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The whole job, from an empty folder to a set retest, as docs/first-hour.md tells it: once with the keyboard alone, once by touch alone on
 * a phone, at the rig. By keyboard it is done in the whole browser, the other tests in its shell.
 */
@Execution(ExecutionMode.CONCURRENT)
class WholeJobTest {
    private static final int PRESSES = 150;

    @TempDir
    Path folder;

    /** A keyboard, and how often a key of it was pressed beside the letters of texts. */
    private static final class Keys {
        private static final int LOST = 80;
        private final Page page;
        private int pressed;

        Keys(Page page) {
            this.page = page;
        }

        Keys press(String... keys) {
            for (String key : keys) {
                page.keyboard().press(key);
                pressed++;
            }
            return this;
        }

        Keys type(String text) {
            page.keyboard().type(text);
            return this;
        }

        /** Tab until something has the focus. */
        Keys to(Locator there) {
            return walk(there, "Tab");
        }

        Keys backTo(Locator there) {
            return walk(there, "Shift+Tab");
        }

        private Keys walk(Locator there, String key) {
            there.first().waitFor();
            for (int i = 0; i < LOST; i++) {
                if (Boolean.TRUE.equals(there.first().evaluate("one => one === document.activeElement"))) {
                    return this;
                }
                press(key);
            }
            throw new AssertionError("not reached by " + key + ": " + there);
        }
    }

    private static Locator link(Page page, String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    @Test
    void byKeyboardAlone() {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), false);
                Chromium browser = Chromium.whole()) {
            Page page = browser.page();
            page.navigate(wake.url("/"));
            Keys keys = new Keys(page);
            keys.to(link(page, "Add an athlete")).press("Enter");
            keys.to(page.getByLabel("Name")).type("Ina Sandbar").press("Enter");
            assertThat(page.getByText("1 athlete.")).isVisible();
            assertThat(page.getByLabel("Name")).isFocused();
            keys.backTo(link(page, "Workouts")).press("Enter");
            Locator notation = page.getByLabel("Workout notation");
            keys.to(notation)
                    .press("Control+a")
                    .type("# Neap")
                    .press("Enter")
                    .type("for time")
                    .press("Enter");
            keys.type("2 rounds:")
                    .press("Enter")
                    .type("5 burpee")
                    .press("Enter")
                    .type("5 push-up");
            assertThat(notation).hasValue("# Neap\nfor time\n  2 rounds:\n    5 burpee\n    5 push-up");
            assertThat(button(page, "Add to the library")).isEnabled();
            keys.press("Escape").to(button(page, "Add to the library")).press("Enter");
            keys.to(link(page, "Add an attempt")).press("Enter");
            keys.to(page.getByLabel("Athlete")).type("Ina");
            keys.to(button(page, "Add attempt")).press("Enter");
            assertThat(page.getByText("Add the video.")).isVisible();
            keys.to(button(page, "Make a practice video")).press("Enter");
            page.locator("canvas").waitFor();
            keys.press("g", "ArrowRight", "a", "ArrowRight", "ArrowRight", "ArrowRight", "d");
            for (int movement = 2; movement <= 4; movement++) {
                keys.press("ArrowRight", "a", "ArrowRight", "ArrowRight", "ArrowRight", "d");
            }
            assertThat(button(page, "Review")).isVisible();
            new LogDesk(page).expectSaved();
            page.evaluate("document.activeElement.blur()");
            keys.press("Enter");
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                    .containsText(Pattern.compile("best splits|compared"));
            keys.backTo(link(page, "Retest")).press("Enter");
            keys.to(button(page, "Pick a day")).press("Enter");
            keys.to(button(page, "Schedule retest")).press("Enter");
            assertThat(link(page, "Retest on")).isFocused();
            System.out.printf("the whole job by keyboard: %d presses beside text%n", keys.pressed);
            assertThat(keys.pressed).isLessThan(PRESSES);
        }
    }

    @Test
    void byTouchAloneAtTheRig() {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), false)) {
            Page page = Suite.chromium().phone();
            page.navigate(wake.url("/"));
            link(page, "Add an athlete").tap();
            page.getByLabel("Name").tap();
            page.keyboard().type("Ina Sandbar");
            page.getByRole(
                            AriaRole.BUTTON,
                            new Page.GetByRoleOptions().setName("Add").setExact(true))
                    .tap();
            assertThat(page.getByText("1 athlete.")).isVisible();
            link(page, "Workouts").tap();
            page.getByLabel("Workout notation").fill("# Neap\nfor time\n  2 rounds:\n    5 burpee\n");
            button(page, "Add to the library").tap();
            link(page, "Add an attempt").tap();
            page.getByLabel("Athlete").selectOption("Ina Sandbar");
            button(page, "Add attempt").tap();
            button(page, "Log live").tap();
            button(page, "Start now").tap();
            button(page, "movement starts").tap();
            for (int rep = 1; rep <= 4; rep++) {
                button(page, "rep").tap();
            }
            page.reload();
            button(page, "rep").tap();
            button(page, "break").tap();
            button(page, "undo").tap();
            button(page, "movement starts").tap();
            button(page, "movement done").tap();
            assertThat(page.locator("[role=status]").first()).containsText("logged in full");
            button(page, "Review").tap();
            link(page, "Retest").tap();
            button(page, "Schedule retest").tap();
            assertThat(link(page, "Retest on")).isVisible();
            assertThat(new JsonMapper()
                            .readTree(wake.get("/api/attempts?place=RETEST_DUE"))
                            .at("/total")
                            .asInt())
                    .isEqualTo(1);
        }
    }

    /** Every step of the page for newcomers names a thing that is there: what stands in bold is on a screen of this test. */
    @Test
    void thePageForNewcomersNamesWhatIsThere() throws Exception {
        String page = Files.readString(Path.of("../docs/first-hour.md"));
        String interfaceText = sources();
        List<String> named = Pattern.compile("\\*\\*([^*]+)\\*\\*")
                .matcher(page)
                .results()
                .map(one -> one.group(1))
                .toList();
        assertThat(named)
                .hasSizeGreaterThan(15)
                .allSatisfy(name -> assertThat(interfaceText).contains(name));
        Pattern.compile("\\(screenshots/([^)]+)\\)")
                .matcher(page)
                .results()
                .forEach(one ->
                        assertThat(Path.of("../docs/screenshots", one.group(1))).exists());
    }

    private static String sources() throws Exception {
        StringBuilder all = new StringBuilder();
        try (var files = Files.walk(Path.of("../web/src"))) {
            for (Path file :
                    files.filter(one -> one.toString().matches(".*\\.tsx?")).toList()) {
                all.append(Files.readString(file).replaceAll("\\s+", " "));
            }
        }
        return all.toString();
    }
}
