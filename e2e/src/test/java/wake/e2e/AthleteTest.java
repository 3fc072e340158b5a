package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What an athlete's page shows, and everything that can be handed over or taken in. */
class AthleteTest {
    private static final UUID LAST = Demo.id("attempt sunniva tide-mill 1");
    private static final int CARD_BYTES = 300_000;

    private final WakeProcess wake = Suite.wake();
    private final Page page = Suite.chromium().page();

    @TempDir
    private Path folder;

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private Locator link(String name) {
        return page.getByRole(
                AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    private Path saved(String name, Runnable doing) {
        Download download = page.waitForDownload(doing);
        Path file = folder.resolve(name);
        download.saveAs(file);
        return file;
    }

    private void open(String path) {
        page.navigate(wake.url(path));
    }

    @Test
    void theSeasonIsOnOnePageAndATestIsNotedInALine() {
        open("/athletes");
        link("Sunniva Marsh").click();
        assertThat(page.getByText("Improved: row")).isVisible();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("thruster @ 30 kg")))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("Thruster was the limiter in \\d of \\d attempts")))
                .isVisible();
        page.getByLabel("What would the faster technique save in a workout?").selectOption("Tide Mill");
        assertThat(page.getByText(Pattern.compile("^36 reps: step-back instead of jump-back saves")))
                .isVisible();
        Locator line = page.getByLabel("Technique test: movement, technique: reps in time, effort");
        line.fill("burpee, low: 15 quickly");
        line.press("Enter");
        assertThat(page.getByText(Pattern.compile("write a movement, a technique")))
                .isVisible();
        line.fill("burpee, low: 15 in 0:41 effort 8");
        line.press("Enter");
        assertThat(page.getByText(Pattern.compile("Low: 2.73 s/rep, effort 8/10, 1 test")))
                .isVisible();
        button("Edit as text").click();
        Locator text = page.getByLabel("Bests and tests, one per line");
        text.fill(text.inputValue().replaceAll("\\ntechnique burpee, low.*", ""));
        button("Save bests").click();
        assertThat(page.getByText("Bests saved.")).isVisible();
    }

    @Test
    void theCardOpensFromAFileWithoutANetworkAndPrintsOnOnePage() throws IOException {
        open("/attempts/" + LAST + "/card");
        page.getByLabel("Your own words, on top").fill("Straight to the bar.");
        Path card = saved("card.html", () -> button("Download card").click());
        assertThat(Files.size(card)).isLessThan(CARD_BYTES);
        String html = Files.readString(card);
        assertThat(html).contains("Straight to the bar.", "data:image/jpeg;base64,", "Next time", "From ");
        for (String other : List.of("Maren", "Skagerby", "Tamsin", "Kelpman", "http://", "https://")) {
            assertThat(html.replace("http://www.w3.org/2000/svg", "")).doesNotContain(other);
        }
        page.context().setOffline(true);
        page.navigate(card.toUri().toString());
        assertThat(page.getByText("Straight to the bar.")).isVisible();
        Axe.findsNothing(page);
        assertThat(pages(page)).isEqualTo(1);
        page.setViewportSize(390, 844);
        assertThat(page.evaluate("document.scrollingElement.scrollWidth")).isEqualTo(390);
        page.context().setOffline(false);
    }

    /** Of every format of the demo, and of twenty rounds. */
    @Test
    void everyCardIsOnePage() {
        JsonNode rows =
                new JsonMapper().readTree(wake.get("/api/attempts?size=50")).at("/rows");
        int cards = 0;
        for (JsonNode row : rows) {
            if (row.at("/stage").asString().equals("LOGGED")) {
                JsonNode card = new JsonMapper()
                        .readTree(wake.get("/api/attempts/" + row.at("/id").asString() + "/card"));
                page.setContent(card.at("/html").asString());
                assertThat(pages(page))
                        .as(row.at("/athlete").asString() + " "
                                + row.at("/title").asString())
                        .isEqualTo(1);
                cards++;
            }
        }
        assertThat(cards).isGreaterThan(15);
    }

    private static int pages(Page page) {
        String pdf =
                new String(page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)), StandardCharsets.ISO_8859_1);
        return pdf.split("/Type /Page\\b", -1).length - 1;
    }

    @Test
    void chaptersAndCaptionsAreReadByTheBrowsersOwnParser() {
        open("/attempts/" + LAST + "/reading");
        String video = new JsonMapper()
                .readTree(wake.get("/api/attempts/" + LAST))
                .at("/recordings/0/id")
                .asString();
        for (String kind : List.of("chapters", "captions")) {
            Object notes = page.evaluate("""
                    url => new Promise((resolve, reject) => {
                        const video = document.createElement("video");
                        const track = document.createElement("track");
                        track.kind = "metadata";
                        track.src = url;
                        video.append(track);
                        document.body.append(video);
                        track.track.mode = "hidden";
                        track.addEventListener("load", () => resolve([...track.track.cues].map(
                            cue => `${cue.startTime.toFixed(3)} ${cue.endTime > cue.startTime} ${cue.text}`)));
                        track.addEventListener("error", () => reject(new Error("the file is not read")));
                    })
                    """, "/api/attempts/" + LAST + "/files/" + kind + ".vtt?recording=" + video);
            assertThat(notes)
                    .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.LIST)
                    .hasSizeGreaterThanOrEqualTo(12);
            assertThat(notes.toString()).contains("true").doesNotContain("false");
        }
    }

    @Test
    void theWakeIsSavedAsAPicture() throws IOException {
        open("/attempts/" + LAST + "/reading");
        Path file = saved("wake.png", () -> button("Gap chart \\(PNG").click());
        BufferedImage picture = ImageIO.read(file.toFile());
        assertThat(picture.getWidth()).isEqualTo(1920);
        assertThat(picture.getHeight()).isEqualTo(600);
        assertThat(picture.getRGB(2, 2) & 0xffffff).isEqualTo(0xffffff);
    }

    @Test
    void aTraceIsMovedTakenAwayAndBroughtBack() {
        open("/attempts/" + Demo.id("attempt sunniva tide-mill 4") + "/reading");
        button("Simulated monitor and strap").click();
        Locator trace = page.getByLabel("Erg and log");
        assertThat(trace).containsText("the same within the timing error");
        button("Half a second later").click();
        assertThat(page.getByLabel("Align Simulated monitor and strap to")).hasValue("");
        page.getByLabel("Align Simulated monitor and strap to").selectOption("Starts with the clock");
        assertThat(page.getByText("starts with the clock").first()).isVisible();
        button("Remove").click();
        assertThat(trace).hasCount(0);
        button("Undo").click();
        assertThat(trace).isVisible();
        button("Remove").click();
        assertThat(trace).hasCount(0);
        page.locator("input[aria-label='Device file']")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "strap.csv",
                        "text/csv",
                        "time,heart rate\n0,100\nsoon,101\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("Line 3: write a number")).isVisible();
    }

    @Test
    void aFolderOfVideosBecomesAttemptsOnce() throws IOException {
        Path video = folder.resolve("skiff - sunniva - 2026-11-01.webm");
        Files.copy(clip(), video);
        Path other = folder.resolve("notes.txt");
        Files.writeString(other, "nothing to see");
        for (int times = 1; times <= 2; times++) {
            open("/attempts/films");
            page.locator("input[aria-label='Videos']").setInputFiles(new Path[] {video, other});
            assertThat(page.getByText("1 other file skipped.")).isVisible();
            if (times == 1) {
                assertThat(page.getByText("a new attempt")).isVisible();
                button("Import 1 video").click();
            } else {
                assertThat(button("Import 0 videos")).isDisabled();
            }
            assertThat(page.getByRole(
                            AriaRole.LINK,
                            new Page.GetByRoleOptions().setName("here").setExact(true)))
                    .isVisible();
        }
        link("here").click();
        assertThat(page.locator("video")).isVisible();
    }

    private static Path clip() {
        return Path.of("../server/src/main/resources/demo/skiff-sprint.webm");
    }

    @Test
    void everythingGoesOutAsJsonAndInAgainAndABrokenFileSaysItsLine() throws IOException {
        open("/data");
        Path file = saved("wake.json", () -> link("Everything (JSON)").click());
        page.locator("input[aria-label='JSON file']").setInputFiles(file);
        assertThat(page.getByText(
                                Pattern.compile("Imported: 0 athletes, 0 workouts, 0 attempts. \\d+ were here already"))
                        .first())
                .isVisible();
        Path half = folder.resolve("half.json");
        String whole = Files.readString(file);
        Files.writeString(half, whole.substring(0, 2000));
        page.locator("input[aria-label='JSON file']").setInputFiles(half);
        assertThat(page.getByText(Pattern.compile("Line \\d+: this is not complete JSON")))
                .isVisible();
    }
}
