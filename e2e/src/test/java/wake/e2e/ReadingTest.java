package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static java.nio.charset.StandardCharsets.ISO_8859_1;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A coach reads an attempt: the sentence, its evidence, the moments. */
class ReadingTest {
    private static final long READING_MS = 300;

    private final Page page = Suite.chromium().page();

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void everyFigureLeadsToItsMomentsAndItsWorking() {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt maren groundswell") + "/reading"));
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("behind plan");
        button("How this is calculated").first().click();
        assertThat(page.getByText("Rest loss = rest")).isVisible();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions()
                                .setName(java.util.regex.Pattern.compile("^push press, rest: .*play its 4 moments")))
                .click();
        assertThat(page.getByText("1 of 4")).isVisible();
        assertThat(page.getByText("2 of 4"))
                .isVisible(new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                        .setTimeout(20_000));
    }

    @Test
    void anotherAttemptIsABaselineToo() {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt maren groundswell") + "/reading"));
        page.getByLabel("Or compare with another attempt")
                .selectOption(Demo.id("attempt tamsin groundswell").toString());
        assertThat(page.getByText("for the same work").first()).isVisible();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("Tamsin Brack");
    }

    @ParameterizedTest
    @ValueSource(strings = {"reading", "retest"})
    void isPrintedOnOnePageWithItsFiguresAndWithoutButtons(String step) {
        page.navigate(Suite.wake().url("/attempts/" + Demo.id("attempt maren groundswell") + "/" + step));
        Locator heading = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
        assertThat(heading).containsText(step.equals("retest") ? "Likely " : "behind plan");
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        assertThat(page.locator("button:not(.on-paper):visible")).hasCount(0);
        assertThat(page.getByRole(AriaRole.NAVIGATION)).hasCount(0);
        Locator figure =
                step.equals("retest") ? page.getByText("All ticked changes") : page.getByLabel("push press, rest: ");
        assertThat(figure).isVisible();
        String pdf = new String(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), ISO_8859_1);
        assertThat(pdf).contains("/Count 1").doesNotContain("/Count 2");
    }

    /** Two thousand marks, a plan, and the step opened from another: the best of five, since other work disturbs the rest. */
    @Test
    void theReadingOfTwoThousandMarksAppearsAtOnce() {
        UUID attempt = LongAttempt.enter(page.request(), LongAttempt.segments()).id();
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/plan"));
        assertThat(page.getByText("Clock after each movement")).isVisible();
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("Plan").setExact(true))
                    .click();
            assertThat(page.getByText("Clock after each movement")).isVisible();
            times.add((Double) page.evaluate("""
                    () => new Promise(resolve => {
                      const started = performance.now();
                      const seen = () => document.querySelector('[aria-label="Gap over time"] svg')
                        ? requestAnimationFrame(() => resolve(performance.now() - started + 0.001))
                        : requestAnimationFrame(seen);
                      [...document.querySelectorAll('a')].find(link => link.textContent === 'Review').click();
                      seen();
                    })
                    """));
        }
        System.out.println("Review of 2,000 marks appears in ms: " + times);
        Bounds.hold("reading step with 2,000 marks, best", Collections.min(times), READING_MS);
    }
}
