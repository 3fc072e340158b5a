package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every screen in its states: nothing for the rules of WCAG 2.2 AA and of good practice to find (axe-core's), a title of its own, and no
 * scrolling sideways down to 320 pixels (WCAG 2.2, 1.4.10).
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class EveryScreenTest {
    private static final String GROUNDSWELL = attempt("maren groundswell");
    private static final String CREST = attempt("tamsin crest and trough");
    private static final String LIFTED = attempt("tamsin crest and trough first");

    private static final Map<String, String> TITLED = new HashMap<>();

    private final Page page = Suite.chromium().page();

    private static String attempt(String name) {
        return "/attempts/" + Demo.id("attempt " + name);
    }

    /** A screen, and what is done on it before it is looked at. */
    private record State(String name, String path, Consumer<Page> doing) {
        State(String path) {
            this(path.replaceAll("/[0-9a-f-]{36}", "/…"), path, page -> {});
        }

        /** Whether it is laid out otherwise on a phone, beyond standing in one column. */
        boolean onPhone() {
            return path.equals("/") || path.startsWith(GROUNDSWELL) && name.startsWith("/") && !path.endsWith("entry");
        }

        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<State> routes() {
        return Stream.of(
                        "/",
                        "/attempts",
                        "/workouts",
                        "/workouts/movements",
                        "/athletes",
                        "/data",
                        "/nowhere",
                        "/attempts/new",
                        "/attempts/" + new UUID(4, 2) + "/plan",
                        GROUNDSWELL + "/plan",
                        GROUNDSWELL + "/entry",
                        GROUNDSWELL + "/wall",
                        GROUNDSWELL + "/log",
                        GROUNDSWELL + "/reading",
                        GROUNDSWELL + "/versus",
                        GROUNDSWELL + "/retest",
                        GROUNDSWELL + "/retest/sheet",
                        "/workouts/" + Demo.id("workout groundswell") + "/ranking",
                        "/workouts/" + Demo.id("workout groundswell") + "/field?attempt="
                                + Demo.id("attempt maren groundswell"),
                        CREST + "/plan",
                        CREST + "/log",
                        LIFTED + "/reading",
                        LIFTED + "/retest",
                        "/athletes/" + Demo.id("athlete Sunniva Marsh"),
                        "/attempts/films",
                        attempt("sunniva tide-mill 1") + "/card",
                        attempt("sunniva tide-mill 1") + "/reading",
                        attempt("jory slack water retest") + "/retest",
                        attempt("odd lock gate retest") + "/log")
                .map(State::new);
    }

    static Stream<State> states() {
        return Stream.of(
                new State("the keys", GROUNDSWELL + "/log", keys("?")),
                new State("a cue", GROUNDSWELL + "/log", keys("c")),
                new State("another way", attempt("pia long tack") + "/log", keys("t")),
                new State("the clock", GROUNDSWELL + "/log", keys("k")),
                new State("standards", GROUNDSWELL + "/log", keys("n")),
                new State("a lift at the rig", CREST + "/log", page -> {
                    pressed("Log live").accept(page);
                    pressed("Start now").accept(page);
                    page.keyboard().press("l");
                    page.getByText("Load, e.g. 85").waitFor();
                }),
                new State("a chosen mark", GROUNDSWELL + "/log", keys(".", ".", "Tab")),
                new State("the corner player", GROUNDSWELL + "/reading", page -> {
                    page.getByLabel("Gap over time: arrow keys").focus();
                    page.keyboard().press("ArrowRight");
                    page.keyboard().press("Enter");
                    page.getByLabel("The moment").waitFor();
                }),
                new State("the wake as a table", GROUNDSWELL + "/reading", pressed("Show as table")),
                new State("what it takes", GROUNDSWELL + "/retest", page -> {
                    page.getByLabel("Score", new Page.GetByLabelOptions().setExact(true))
                            .fill("9:30");
                    pressed("Find what it takes").accept(page);
                    page.getByLabel("Steps to the goal").waitFor();
                }),
                new State("a heat read", "/attempts/heat?workout=" + Demo.id("workout groundswell"), page -> {
                    page.getByLabel("Athletes, one per line").fill("1 maren\nnobody");
                    page.getByText("Line 2").waitFor();
                }),
                new State("two in step on one film", attempt("maren weir race") + "/versus", page -> {
                    pressed("Play the change of the lead").accept(page);
                    page.getByLabel("Side-by-side video", new Page.GetByLabelOptions().setExact(true))
                            .waitFor();
                    pressed("Pause").accept(page);
                    page.getByText("Every split", new Page.GetByTextOptions().setExact(true))
                            .click();
                }),
                new State("the lead as a table", GROUNDSWELL + "/versus", pressed("Show as table")),
                new State("by round", GROUNDSWELL + "/plan", pressed("Set by round")),
                new State("a notation with errors", "/workouts", page -> {
                    page.getByLabel("Workout notation").fill("# A\nfor tim\n  burpe");
                    page.getByText("Line 2").waitFor();
                }));
    }

    private static Consumer<Page> keys(String... keys) {
        return page -> {
            page.locator("canvas, video").first().waitFor();
            new LogDesk(page).press(keys);
            page.waitForTimeout(200);
        };
    }

    private static Consumer<Page> pressed(String name) {
        return page -> page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)))
                .first()
                .click();
    }

    /** One window for all, as what it has fetched of the interface is fetched once; what was left in it is forgotten. */
    @BeforeEach
    void startOver() {
        page.setViewportSize(1280, 800);
        page.navigate(Suite.wake().url("/nowhere"));
        page.evaluate("localStorage.clear()");
    }

    private void open(State state) {
        page.navigate(Suite.wake().url(state.path()));
        page.locator("main h1").first().waitFor();
        state.doing().accept(page);
    }

    @ParameterizedTest
    @MethodSource({"routes", "states"})
    void nothingIsFoundAndNothingIsWide(State state) {
        open(state);
        assertThat(page.title()).as("a title of its own").isNotEqualTo("Wake");
        if (state.name().startsWith("/")) {
            assertThat(TITLED.putIfAbsent(page.title(), state.path()))
                    .as("another screen called " + page.title())
                    .isNull();
        }
        assertThat(Glossary.otherWords(page))
                .as("other words than the glossary's")
                .isEmpty();
        assertThat(Glossary.headlineLines(page)).as("lines of the headline").isLessThanOrEqualTo(2);
        Axe.findsNothing(page);
        for (int width : new int[] {768, 320, 390}) {
            page.setViewportSize(width, 800);
            String wide = tooWide(width);
            // Drawings learn of their new width a moment later.
            for (int look = 0; look < 40 && !wide.isEmpty(); look++) {
                page.waitForTimeout(50);
                wide = tooWide(width);
            }
            assertThat(wide).as("wider than %d pixels", width).isEmpty();
        }
        assertThat(Glossary.headlineLines(page))
                .as("lines of the headline on a phone")
                .isLessThanOrEqualTo(3);
        if (state.onPhone()) {
            // The colours are the same, and looking at them takes longest.
            Axe.findsNothing(page, "color-contrast");
        }
    }

    @Test
    void theBarsAreSkippedAndTheFocusIsNeverLost() {
        open(new State("/athletes"));
        page.keyboard().press("Tab");
        page.keyboard().press("Enter");
        Locator main = page.locator("main");
        assertThat(main).isFocused();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New attempt"))
                .press("Enter");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("New attempt"))
                .waitFor();
        assertThat((String) page.evaluate("document.activeElement.tagName")).isNotEqualTo("BODY");
    }

    private String tooWide(int width) {
        return (String) page.evaluate("""
                width => document.scrollingElement.scrollWidth <= width ? "" :
                    [...document.querySelectorAll("body *")]
                        .filter(one => one.getBoundingClientRect().right > width + 1)
                        .slice(0, 5)
                        .map(one => one.tagName + " " + one.textContent.slice(0, 40))
                        .join(" | ")
                """, width);
    }
}
