package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.UUID;

/** The log step, worked by keys alone. */
final class LogDesk {
    private final Page page;

    LogDesk(Page page) {
        this.page = page;
    }

    static LogDesk open(Page page, WakeProcess wake, UUID attempt) {
        page.navigate(wake.url("/attempts/" + attempt + "/log"));
        LogDesk desk = new LogDesk(page);
        desk.clock().waitFor();
        page.locator("canvas, video").first().waitFor();
        return desk;
    }

    Page page() {
        return page;
    }

    Locator clock() {
        return page.getByRole(com.microsoft.playwright.options.AriaRole.TIMER);
    }

    Locator status() {
        return page.locator("[role=status]").first();
    }

    LogDesk press(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
        return this;
    }

    /** Moves a paused recording forward to a time by the arrow keys: seconds, then frames of 1/30 s. */
    LogDesk stepForward(long fromMs, long toMs) {
        long frames = Math.round((toMs - fromMs) * 30 / 1000.0);
        for (long second = 0; second < frames / 30; second++) {
            press("ArrowRight");
        }
        for (long frame = 0; frame < frames % 30; frame++) {
            press("Shift+ArrowRight");
        }
        return this;
    }

    void expectSaved() {
        assertThat(status()).containsText("All marks saved.");
    }

    void expectSays(String text) {
        assertThat(status()).containsText(text);
    }
}
