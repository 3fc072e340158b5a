package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** Opened to a gym's network: another machine's browser comes in by the passphrase, and logs as on this one. */
@Execution(ExecutionMode.CONCURRENT)
class OpenedTest {
    @TempDir
    Path folder;

    @Test
    void aCoachComesInByThePassphraseAndLogs() {
        Page page = Suite.chromium().page();
        try (WakeProcess wake = WakeProcess.start(
                folder.resolve("data"),
                true,
                "-Dwake.open-to=127.0.0.1",
                "-Dwake.passphrase=a long low tide",
                "-Dwake.named-as=gym.test")) {
            String gym = "http://gym.test:" + wake.port();
            String log = gym + "/attempts/" + Demo.id("attempt tamsin skiff sprint") + "/log";
            page.navigate(log);
            assertThat(page).hasURL(Pattern.compile("/enter$"));
            page.getByLabel("The gym’s passphrase").fill("a guess that is wrong");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("That is not the passphrase.");
            page.getByLabel("The gym’s passphrase").fill("a long low tide");
            page.keyboard().press("Enter");
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                    .containsText("to review");

            assertThat(page.evaluate("() => isSecureContext")).isEqualTo(false);
            page.navigate(log);
            LogDesk desk = new LogDesk(page);
            desk.clock().waitFor();
            page.locator("canvas, video").first().waitFor();
            desk.stepForward(0, 5000).press("g").stepForward(0, 500).press("a");
            desk.expectSaved();

            page.navigate(gym + "/data");
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Leave"))
                    .click();
            assertThat(page).hasURL(Pattern.compile("/enter$"));
            page.navigate(log);
            assertThat(page).hasURL(Pattern.compile("/enter$"));
        }
    }
}
