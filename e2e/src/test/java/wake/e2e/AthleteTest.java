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
        assertThat(page.getByText("Better by more than noise: the row")).isVisible();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("thruster @ 30 kg")))
                .isVisible();
        assertThat(page.getByText(Pattern.compile("Thruster lost the most in \\d of \\d attempts")))
                .isVisible();
        page.getByLabel("What would the quicker way make over a workout?").selectOption("Tide Mill");
        assertThat(page.getByText(Pattern.compile("^36 in it: step-back instead of jump-back wins")))
                .isVisible();
        Locator line = page.getByLabel("A test of a technique: movement, way: reps in time, effort");
        line.fill("burpee, low: 15 quickly");
        line.press("Enter");
        assertThat(page.getByText(Pattern.compile("^expected a movement, a way of doing it")))
                .isVisible();
        line.fill("burpee, low: 15 in 0:41 effort 8");
        line.press("Enter");
        assertThat(page.getByText(Pattern.compile("low: 15 in 0:41, 2.73 s a rep, effort 8 \\(")))
                .isVisible();
        button("Change the figures as text").click();
        Locator text = page.getByLabel("Figures for planning, one to a line");
        text.fill(text.inputValue().replaceAll("\\ntechnique burpee, low.*", ""));
        button("Keep the figures").click();
        assertThat(page.getByText("The figures are kept.")).isVisible();
    }

    @Test
    void theCardOpensFromAFileWithoutANetworkAndPrintsOnOnePage() throws IOException {
        open("/attempts/" + LAST + "/card");
        page.getByLabel("Your own words, on top").fill("Straight to the bar.");
        Path card = saved("card.html", () -> button("Take the card").click());
        assertThat(Files.size(card)).isLessThan(CARD_BYTES);
        String html = Files.readString(card);
        assertThat(html).contains("Straight to the bar.", "data:image/jpeg;base64,", "Next time", "Not before");
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
        String film = new JsonMapper()
                .readTree(wake.get("/api/attempts/" + LAST))
                .at("/recordings/0/id")
                .asString();
        for (String kind : List.of("chapters", "captions")) {
            Object cues = page.evaluate("""
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
                    """, "/api/attempts/" + LAST + "/files/" + kind + ".vtt?recording=" + film);
            assertThat(cues)
                    .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.LIST)
                    .hasSizeGreaterThanOrEqualTo(12);
            assertThat(cues.toString()).contains("true").doesNotContain("false");
        }
    }

    @Test
    void theWakeIsSavedAsAPicture() throws IOException {
        open("/attempts/" + LAST + "/reading");
        Path file = saved("wake.png", () -> button("The wake \\(PNG").click());
        BufferedImage picture = ImageIO.read(file.toFile());
        assertThat(picture.getWidth()).isEqualTo(1920);
        assertThat(picture.getHeight()).isEqualTo(600);
        assertThat(picture.getRGB(2, 2) & 0xffffff).isEqualTo(0xffffff);
    }

    @Test
    void aTraceIsMovedTakenAwayAndBroughtBack() {
        open("/attempts/" + Demo.id("attempt sunniva tide-mill 4") + "/reading");
        button("Simulated monitor and strap").click();
        Locator trace = page.getByLabel("The machine against the log");
        assertThat(trace).containsText("the same within reading error");
        button("Half a second later").click();
        assertThat(page.getByLabel("Where Simulated monitor and strap starts")).hasValue("");
        page.getByLabel("Where Simulated monitor and strap starts").selectOption("Starts at \"go\"");
        assertThat(page.getByText("starts at \"go\"").first()).isVisible();
        button("Take it away").click();
        assertThat(trace).hasCount(0);
        button("Undo").click();
        assertThat(trace).isVisible();
        button("Take it away").click();
        assertThat(trace).hasCount(0);
        page.locator("input[aria-label='File of a machine or a strap']")
                .setInputFiles(new com.microsoft.playwright.options.FilePayload(
                        "strap.csv",
                        "text/csv",
                        "time,heart rate\n0,100\nsoon,101\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("Line 3: expected a number")).isVisible();
    }

    @Test
    void aFolderOfFilmsBecomesAttemptsOnce() throws IOException {
        Path film = folder.resolve("skiff - sunniva - 2026-11-01.webm");
        Files.copy(clip(), film);
        Path other = folder.resolve("notes.txt");
        Files.writeString(other, "nothing to see");
        for (int times = 1; times <= 2; times++) {
            open("/attempts/films");
            page.locator("input[aria-label='Films']").setInputFiles(new Path[] {film, other});
            assertThat(page.getByText("1 other file left alone.")).isVisible();
            if (times == 1) {
                assertThat(page.getByText("a new attempt")).isVisible();
                button("Bring in 1 film").click();
            } else {
                assertThat(button("Bring in 0 films")).isDisabled();
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
        page.locator("input[aria-label='File of JSON']").setInputFiles(file);
        assertThat(page.getByText(
                                Pattern.compile("Taken in: 0 athletes, 0 workouts, 0 attempts. \\d+ were here already"))
                        .first())
                .isVisible();
        Path half = folder.resolve("half.json");
        String whole = Files.readString(file);
        Files.writeString(half, whole.substring(0, 2000));
        page.locator("input[aria-label='File of JSON']").setInputFiles(half);
        assertThat(page.getByText(Pattern.compile("Line \\d+: this is no whole JSON")))
                .isVisible();
    }
}
