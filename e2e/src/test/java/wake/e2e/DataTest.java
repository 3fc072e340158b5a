package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.SelectOption;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Deleting with a way back, correcting, and the whole gym out and in again by the Data screen and by the script's commands. */
class DataTest {
    @TempDir
    Path folder;

    private final Page page = Suite.chromium().page();

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    @Test
    void whatIsDeletedComesBackAndABackupBringsEverythingBack() throws Exception {
        Path data = folder.resolve("data");
        try (WakeProcess wake = WakeProcess.start(data, true)) {
            page.navigate(wake.url("/athletes"));
            button("Edit Tamsin Brack").click();
            button("Delete").click();
            assertThat(page.getByText("Tamsin Brack deleted. In the bin for 30 days."))
                    .isVisible();
            assertThat(button("Edit Tamsin Brack")).isHidden();
            button("Undo").click();
            assertThat(button("Edit Tamsin Brack")).isVisible();

            page.navigate(wake.url("/data"));
            Download download = page.waitForDownload(
                    () -> page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Download with videos"))
                            .click());
            Path backup = folder.resolve("gym.zip");
            download.saveAs(backup);
            assertThat(Files.size(backup)).isGreaterThan(1_000_000);

            page.navigate(wake.url("/athletes"));
            button("Edit Tamsin Brack").click();
            button("Delete").click();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Data"))
                    .click();
            button("Delete Tamsin Brack permanently").click();
            assertThat(page.getByText("Deleted permanently.")).isVisible();

            FileChooser chooser =
                    page.waitForFileChooser(() -> button("Choose a backup").click());
            chooser.setFiles(backup);
            assertThat(page.getByLabel("Restore")).containsText("Replaces everything now in Wake");
            button("Replace everything").click();
            assertThat(page.getByText("Restored.")).isVisible();
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Athletes"))
                    .click();
            assertThat(button("Edit Tamsin Brack")).isVisible();

            assertThat(command(
                            data,
                            wake.port(),
                            "backup",
                            folder.resolve("running.zip").toString()))
                    .contains("Backed up to");
            assertThat(command(data, wake.port(), "restore", backup.toString(), "--yes"))
                    .contains("Wake is running on");
        }
        assertThat(command(data, 1, "backup", folder.resolve("standing.zip").toString()))
                .contains("Backed up to");
        Path other = folder.resolve("other");
        String put = command(data, 1, "restore", folder.resolve("running.zip").toString(), "--into", other.toString());
        assertThat(put).contains("Restored into " + other);
        try (WakeProcess wake = WakeProcess.start(other, false)) {
            assertThat(wake.get("/api/athletes")).contains("Tamsin Brack");
        }
    }

    /** As the script calls it. */
    private static String command(Path data, int port, String... words) throws Exception {
        var all = new java.util.ArrayList<>(java.util.List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Dwake.data=" + data,
                "-Dserver.port=" + port,
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                "wake.WakeApplication"));
        all.addAll(java.util.List.of(words));
        Process process = new ProcessBuilder(all).redirectErrorStream(true).start();
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }

    @Test
    void anEntryIsCorrectedAndTheCorrectionTakenBack() {
        Enter enter = new Enter(page.request());
        UUID attempt = enter.attempt("Ina Shoal", "# Neap Ladder\nfor time\n  60 burpee\n");
        enter.attempt("Ole Sandspit", "# Spring Ladder\nfor time\n  50 burpee\n");
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Edit"))
                .click();
        page.getByLabel("Athlete").selectOption(new SelectOption().setLabel("Ole Sandspit"));
        button("Save changes").click();
        assertThat(page.getByText("Ole Sandspit · Neap Ladder")).isVisible();
        button("Undo").click();
        assertThat(page.getByText("Ina Shoal · Neap Ladder")).isVisible();
        button("Delete attempt").click();
        assertThat(page.getByText("Ina Shoal, Neap Ladder deleted.")).isVisible();
        page.navigate(Suite.wake().url("/attempts/" + attempt + "/log"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("This attempt doesn't exist");
    }
}
