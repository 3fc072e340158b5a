package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.SelectOption;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A coach's first day, from an empty folder to the first mark, with the slips one makes. */
class FirstDayTest {
    @TempDir
    Path folder;

    @Test
    void fromNothingToTheFirstMark() {
        try (WakeProcess wake = WakeProcess.start(folder.resolve("data"), false)) {
            Page page = Suite.chromium().page();
            page.navigate(wake.url("/"));
            assertThat(page.getByText("No attempts yet.")).isVisible();

            page.getByRole(AriaRole.LINK, named("Add an athlete")).click();
            page.getByLabel("Name").fill("Ina Sandbar");
            page.getByRole(AriaRole.BUTTON, named("Add")).click();
            assertThat(page.getByText("1 athlete.")).isVisible();

            page.getByRole(AriaRole.LINK, named("Workouts")).click();
            page.getByLabel("Workout notation").fill("# Neap\nfor time\n  3 rounds\n    21-15 thruter\n");
            assertThat(page.getByText("or one for each of the 3 rounds")).isVisible();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Add to the library")))
                    .isDisabled();
            page.getByLabel("Workout notation").fill("# Neap\nfor time\n  3 rounds:\n    21-15-9 thruter\n");
            assertThat(page.getByText("did you mean \"thruster\"?")).isVisible();
            page.getByLabel("Workout notation").fill("# Neap\nfor time\n  3 rounds:\n    21-15-9 thruster\n");
            page.getByRole(AriaRole.BUTTON, named("Add to the library")).click();

            page.getByRole(AriaRole.LINK, named("Add an attempt")).click();
            assertThat(page.getByRole(AriaRole.BUTTON, named("Add attempt"))).isDisabled();
            page.getByLabel("Athlete").selectOption(new SelectOption().setLabel("Ina Sandbar"));
            page.getByRole(AriaRole.BUTTON, named("Add attempt")).click();
            assertThat(page.getByText("Add the video.")).isVisible();

            offer(page, "splits.mp4", "1:32 and 2:11 make 3:43");
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("Not a supported video");
            offer(page, "empty.webm", "");
            assertThat(page.getByRole(AriaRole.ALERT)).containsText("The file is empty");
            page.getByRole(AriaRole.BUTTON, named("Make a practice video")).click();

            page.getByRole(AriaRole.TIMER).waitFor();
            page.locator("canvas").waitFor();
            page.keyboard().press("g");
            page.keyboard().press("a");
            page.keyboard().press("a");
            assertThat(page.locator("[role=status]").first()).containsText("already started");
            page.keyboard().press("z");
            page.keyboard().press("?");
            assertThat(page.getByRole(AriaRole.DIALOG)).containsText("no-rep");
            page.keyboard().press("Escape");
            page.keyboard().press("c");
            page.getByLabel("What did you see?").fill("elbows drop early");
            page.keyboard().press("Enter");
            assertThat(page.getByLabel("note at 0:00.0")).isVisible();
        }
    }

    @Test
    void anAddressThatLeadsNowhereSaysSo() {
        Page page = Suite.chromium().page();
        page.navigate(Suite.wake().url("/attempts/00000000-0000-0000-0000-000000000000/reading"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("This attempt doesn't exist or was deleted");
        page.navigate(Suite.wake().url("/harbour"));
        assertThat(page.getByText("Page not found.")).isVisible();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static void offer(Page page, String name, String content) {
        page.locator("input[type=file]")
                .setInputFiles(new FilePayload(name, "video/mp4", content.getBytes(StandardCharsets.UTF_8)));
    }
}
