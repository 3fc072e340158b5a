package wake.e2e;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Photographs the main views of the demo for the docs: {@code e2e/photograph.sh}. */
class Photographs {
    private static final String JOTTED = """
            row 0:24 0:24
            cleans 0:38 1:05
            row 0:51 1:59
            cleans 0:31 2:34
            row 1:19 3:57
            cleans 0:25 4:26
            row 1:48 6:18
            cleans 0:19 6:40
            row 2:20 9:04
            cleans 0:12 9:19""";

    @Test
    @EnabledIfSystemProperty(named = "wake.photographs", matches = ".+")
    void photograph() throws IOException {
        Path folder = Files.createTempDirectory("");
        Path into = Path.of(System.getProperty("wake.photographs"));
        try (WakeProcess wake = WakeProcess.start(
                        Files.createDirectories(folder.resolve("breakwater-barn")), true, "-Dwake.tidy-after=PT9S");
                Chromium chromium = new Chromium()) {
            Page page = chromium.page();
            String groundswell = "/attempts/" + Demo.id("attempt maren groundswell");
            String longReach = "/attempts/" + Demo.id("attempt pia long reach");
            shot(page, wake.url("/"), into.resolve("today.png"));
            shot(page, wake.url("/workouts/" + Demo.id("workout groundswell")), into.resolve("workouts.png"));
            String groundswellId = Demo.id("workout groundswell").toString();
            shot(page, wake.url("/workouts/" + groundswellId + "/ranking"), into.resolve("ranking.png"));
            String inField = "/field?attempt=" + Demo.id("attempt maren groundswell");
            shot(page, wake.url("/workouts/" + groundswellId + inField), into.resolve("field.png"));
            shot(page, wake.url(groundswell + "/plan"), into.resolve("plan.png"));
            String crest = "/attempts/" + Demo.id("attempt tamsin crest and trough");
            shot(page, wake.url(crest + "/plan"), into.resolve("plan-lifts.png"));
            String lifted = "/attempts/" + Demo.id("attempt tamsin crest and trough first");
            shot(page, wake.url(lifted + "/reading"), into.resolve("reading-lifts.png"));
            shot(page, wake.url(lifted + "/retest"), into.resolve("retest-lifts.png"));
            shot(page, wake.url(longReach + "/log?at=105200"), into.resolve("log.png"));
            shot(page, wake.url(groundswell + "/reading"), into.resolve("reading.png"));
            shot(page, wake.url(groundswell + "/versus"), into.resolve("versus.png"));
            shot(page, wake.url(groundswell + "/retest"), into.resolve("retest.png"));
            String actual = "/attempts/" + Demo.id("attempt jory slack water retest");
            shot(page, wake.url(actual + "/retest"), into.resolve("retest-came.png"));
            page.navigate(wake.url("/attempts/" + Demo.id("attempt odd lock gate retest") + "/log"));
            page.locator("button", new Page.LocatorOptions().setHasText("Type in the times"))
                    .click();
            page.getByLabel("Times, one per line").fill(JOTTED);
            page.getByText("Save to log").waitFor();
            page.waitForTimeout(500);
            page.screenshot(new Page.ScreenshotOptions().setPath(into.resolve("times.png")));
            page.navigate(wake.url("/athletes/" + Demo.id("athlete Sunniva Marsh")));
            page.getByText("Improved:").waitFor();
            shot(page, page.url(), into.resolve("athlete.png"));
            shot(
                    page,
                    wake.url("/attempts/" + Demo.id("attempt sunniva tide-mill 1") + "/card"),
                    into.resolve("card.png"));
            Page phone = chromium.page(390, 844);
            shot(phone, wake.url(groundswell + "/reading"), into.resolve("reading-phone.png"));
            shot(chromium.phone(), wake.url(longReach + "/log?at=105200"), into.resolve("log-phone.png"));
            String deleted = "/api/bin/ATTEMPT/" + Demo.id("attempt pia long reach");
            Page again = chromium.page();
            again.request().post(wake.url(deleted));
            again.waitForTimeout(3000);
            shot(again, wake.url("/data"), into.resolve("data.png"));
        }
    }

    private static void shot(Page page, String url, Path file) {
        page.navigate(url);
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        page.evaluate("document.fonts.ready");
        page.waitForTimeout(500);
        page.screenshot(new Page.ScreenshotOptions().setPath(file));
    }
}
