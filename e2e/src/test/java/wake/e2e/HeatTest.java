package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.comparison.HeadToHead;
import wake.comparison.Overtake;
import wake.comparison.Side;
import wake.log.AttemptLog;
import wake.log.Cause;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.movement.CatalogueFile;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;

/** A heat: entered by keys, two athletes logged from one video, held beside each other, and their pictures in step. */
class HeatTest {
    private static final String NOTATION =
            "# Weir Race again\nfor time\n  2 rounds:\n    5 burpee\n    10 kettlebell swing @ 16 kg\n";
    /** A keystroke of somebody who types now and then (Card, Moran and Newell 1980: 0.28 s, from memory). */
    private static final double KEYSTROKE_S = 0.28;

    private final WakeProcess wake = Suite.wake();
    private final Page page = Suite.chromium().page();
    private final Enter enter = new Enter(page.request());

    private int strokes;

    /** Who is to be seen on the shipped video: as the demo's heat has it. */
    private static SimulatedAttempt truth(double burpee, double swing, long seed) {
        var catalogue = CatalogueFile.shipped();
        ExpandedWorkout expanded =
                ExpandedWorkout.of(NotationReader.read(NOTATION, catalogue).orThrow(), 0, catalogue);
        AthleteModel model = new AthleteModel(
                Map.of("burpee", burpee, "kettlebell swing", swing), 0.06, 0.05, 2600, 3000, 0.2, Map.of(), 0);
        return SimulatedAttempt.run(expanded, model, seed);
    }

    private JsonNode get(String path) {
        return new JsonMapper().readTree(wake.get(path));
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private void type(String text) {
        strokes += text.length();
        page.keyboard().type(text);
    }

    private void press(String key) {
        strokes++;
        page.keyboard().press(key);
    }

    /** Opens the sheet for a workout, the hand on the box for the athletes. */
    private void sheet(UUID workout) {
        page.navigate(wake.url("/attempts/heat?workout=" + workout));
        assertThat(page.getByLabel("Workout")).hasValue(workout.toString());
        page.getByLabel("Athletes, one per line").focus();
    }

    private UUID workout() {
        UUID id = UUID.randomUUID();
        enter.put("/api/workouts/" + id, Map.of("notation", NOTATION));
        return id;
    }

    private UUID openAttempt() {
        page.waitForURL(Pattern.compile(".*/attempts/[0-9a-f-]{36}/log"));
        return UUID.fromString(page.url().replaceAll(".*/attempts/([0-9a-f-]{36})/log.*", "$1"));
    }

    @Test
    void aHeatOfTenIsEnteredInUnderAMinuteByKeys() {
        List<String> names = List.of(
                "Aldis Surf",
                "Brynja Surf",
                "Cato Surf",
                "Dagny Surf",
                "Eskil Surf",
                "Frode Surf",
                "Gro Surf",
                "Halla Surf",
                "Ivar Surf",
                "Jorun Surf");
        for (String name : names) {
            enter.put("/api/athletes/" + UUID.randomUUID(), Map.of("name", name, "note", ""));
        }
        UUID workout = workout();
        sheet(workout);
        type("1 nobody");
        assertThat(page.getByText("Line 1: No athlete named")).isVisible();
        assertThat(button("Add heat")).isDisabled();
        page.keyboard().press("Control+A");
        strokes = 0;
        for (int lane = 1; lane <= names.size(); lane++) {
            type(lane + " " + names.get(lane - 1).substring(0, 4).toLowerCase(java.util.Locale.ROOT) + " surf");
            press("Enter");
        }
        assertThat(page.getByRole(AriaRole.ROW)).hasCount(11);
        press("Control+Enter");
        UUID first = openAttempt();
        assertThat(strokes * KEYSTROKE_S).as(strokes + " keystrokes").isLessThan(60);
        assertThat(page.getByText("10 attempts added")).isVisible();
        assertThat(get("/api/attempts/" + first).at("/athlete").stringValue()).isEqualTo("Aldis Surf");
        assertThat(get("/api/attempts?words=Surf").at("/total").intValue()).isEqualTo(10);
    }

    /** Marks each rep of the truth where the video shows it, walking there by keys; gives the clock it ends at. */
    private long log(LogDesk desk, SimulatedAttempt truth, long fromMs) {
        long at = fromMs;
        for (Mark mark : truth.truth()) {
            desk.stepForward(at, mark.atMs());
            at += Math.round((mark.atMs() - at) * 30 / 1000.0) * 1000 / 30;
            desk.press(mark.kind() == MarkKind.BEGIN ? "a" : "f");
        }
        desk.expectSaved();
        return at;
    }

    private long folderBytes() throws IOException {
        try (Stream<Path> files = Files.walk(wake.data())) {
            return files.filter(file -> file.toString().contains("media"))
                    .filter(Files::isRegularFile)
                    .mapToLong(file -> file.toFile().length())
                    .sum();
        }
    }

    @Test
    void twoAthletesLoggedFromOneVideoLeadAsTheyReallyDid() throws IOException {
        SimulatedAttempt pia = truth(3.3, 1.62, 32);
        SimulatedAttempt maren = truth(2.8, 2.0, 31);
        sheet(workout());
        type("1 + Pia Sluice\n2 + Maren Sluice");
        assertThat(page.getByText("new athlete", new Page.GetByTextOptions().setExact(true)))
                .hasCount(2);
        press("Control+Enter");
        UUID first = openAttempt();
        byte[] video;
        try (var clip = HeatTest.class.getResourceAsStream("/demo/weir-race.webm")) {
            video = clip == null
                    ? Files.readAllBytes(Path.of("../server/src/main/resources/demo/weir-race.webm"))
                    : clip.readAllBytes();
        }
        assertThat(video.length).as("the shipped film").isLessThan(4_000_000);
        long before = folderBytes();
        enter.video(first, "heat.webm", video);
        assertThat(folderBytes() - before).as("stored once").isEqualTo(video.length);

        LogDesk desk = LogDesk.open(page, wake, first);
        Chromium.until(page, "document.querySelector('video').readyState >= 2");
        desk.press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "g");
        assertThat(desk.clock()).hasText("0:00.0");
        long end = log(desk, pia, 0);
        desk.press("o");
        page.waitForURL(Pattern.compile(".*at=" + end / 1000 + "\\d{3}"));
        UUID second = UUID.fromString(page.url().replaceAll(".*/attempts/([0-9a-f-]{36})/log.*", "$1"));
        assertThat(second).isNotEqualTo(first);
        assertThat(page.getByLabel("Marks of Pia Sluice on this video")).isVisible();
        assertThat(desk.clock()).containsText("1:14");
        for (long back = 0; back <= end / 1000 + 5; back++) {
            desk.press("ArrowLeft");
        }
        desk.press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight");
        assertThat(desk.clock()).hasText("0:00.0");
        log(desk, maren, 0);

        HeadToHead truth = HeadToHead.of(side("Pia", pia), side("Maren", maren));
        page.navigate(wake.url("/attempts/" + first + "/versus"));
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)))
                .containsText("Maren led");
        JsonNode pair = get("/api/attempts/" + first + "/versus").at("/pairs/0");
        assertThat(truth.overtakes()).as("something happens").hasSizeGreaterThan(1);
        assertThat(pair.at("/overtakes")).hasSize(truth.overtakes().size());
        for (int i = 0; i < truth.overtakes().size(); i++) {
            Overtake passing = truth.overtakes().get(i);
            JsonNode seen = pair.at("/overtakes/" + i);
            assertThat(seen.at("/one").booleanValue()).isEqualTo(passing.one());
            assertThat(seen.at("/place").stringValue()).isEqualTo(passing.place());
            assertThat(seen.at("/atMs").longValue()).isCloseTo(passing.atMs(), within(300L));
        }
        for (int i = 0; i < truth.borders().size(); i++) {
            assertThat(pair.at("/borders/" + i + "/leadMs").longValue())
                    .isCloseTo(truth.borders().get(i).leadMs(), within(300L));
        }
        for (Cause cause : List.of(Cause.PACE, Cause.TRANSITION)) {
            assertThat(pair.at("/gains/" + cause).longValue())
                    .isCloseTo(truth.gains().getOrDefault(cause, 0L), within(300L));
        }
        playTheChange();
    }

    private static Side side(String name, SimulatedAttempt attempt) {
        return new Side(name, NOTATION, AttemptLog.of(attempt.expanded(), attempt.truth()));
    }

    /** One video, one picture, who is to be watched outlined on it by keys. */
    private void playTheChange() {
        button("Play the change of the lead").first().press("Enter");
        Locator player = page.getByLabel("Side-by-side video", new Page.GetByLabelOptions().setExact(true));
        assertThat(player.locator("video")).hasCount(1);
        button("Outline Pia").press("Enter");
        Locator outline = page.getByLabel("Outline of Pia: arrow keys");
        outline.focus();
        String before = outline.getAttribute("style");
        page.keyboard().press("ArrowRight");
        assertThat(outline).not().hasAttribute("style", before);
        page.reload();
        button("Play the change of the lead").first().press("Enter");
        assertThat(page.getByLabel("Outline of Pia: arrow keys")).isVisible();
        page.keyboard().press("Escape");
        assertThat(player).hasCount(0);
    }

    /**
     * Two pictures of the video, each at its own place, in step at every frame shown: within 50 ms where {@code -Dwake.instep} says for how
     * many seconds at each speed to look. An ordinary run, beside whatever else the machine does, only sees that they do not run apart, by
     * the middle of what was shown, and judges nothing where the machine shows fewer than ten frames.
     */
    @Test
    void picturesPlayInStep() {
        boolean measured = System.getProperty("wake.instep") != null;
        int seconds = Integer.getInteger("wake.instep", 4);
        double share = measured ? 0.98 : 0.5;
        page.navigate(wake.url("/attempts/" + Demo.id("attempt maren weir race") + "/versus"));
        page.getByLabel("Start all at").selectOption("round 2, 5 burpee");
        button("Play side by side from").press("Enter");
        Locator player = page.getByLabel("Side-by-side video", new Page.GetByLabelOptions().setExact(true));
        assertThat(player.locator("video")).hasCount(2);
        Chromium.until(page, "[...document.querySelectorAll('video')].every(one => !one.paused)");
        List<Double> most = new ArrayList<>();
        most.add(apart(seconds, share));
        page.keyboard().press("ArrowDown");
        assertThat(player.getByText("0.5×")).isVisible();
        most.add(apart(seconds, share));
        page.keyboard().press("Shift+ArrowLeft");
        Chromium.until(page, "[...document.querySelectorAll('video')].every(one => !one.paused && !one.seeking)");
        most.add(apart(3, share));
        System.out.println("in step, most apart (ms) at 1×, 0.5× and after a seek: " + most);
        assertThat(most).allMatch(ms -> Double.isNaN(ms) ? !measured : ms < (measured ? 50 : 400));
        String sound = button("Sound").textContent();
        page.keyboard().press("m");
        assertThat(button("Sound")).not().hasText(sound);
        page.keyboard().press("Space");
        Chromium.until(page, "[...document.querySelectorAll('video')].every(one => one.paused)");
    }

    /**
     * The most two pictures are out of step in some seconds: at every frame of the one shown, the media time of the other at that moment by
     * its own last frame; less what they are apart by at the start. Such a share of the frames is at most so far apart (0.98: one late frame is
     * none seen); not a number where fewer than ten were shown.
     */
    private double apart(int seconds, double share) {
        Object ms = page.evaluate("""
                async ([seconds, share]) => {
                  const [one, other] = document.querySelectorAll('video');
                  const wanted = JSON.parse(document.querySelector('[aria-label="Side-by-side video"]').dataset.bases);
                  const seen = [];
                  let last;
                  const follow = (video, take) => {
                    const shown = (_, frame) => { take(frame); video.requestVideoFrameCallback(shown); };
                    video.requestVideoFrameCallback(shown);
                  };
                  follow(one, frame => { last = frame; });
                  follow(other, frame => {
                    if (!last) return;
                    const here = last.mediaTime + (frame.expectedDisplayTime - last.expectedDisplayTime) / 1000 * one.playbackRate;
                    seen.push(Math.abs((frame.mediaTime - wanted[1] / 1000) - (here - wanted[0] / 1000)) * 1000);
                  });
                  await new Promise(done => setTimeout(done, seconds * 1000));
                  seen.sort((a, b) => a - b);
                  return seen.length < 10 ? NaN : seen[Math.floor(seen.length * share)];
                }
                """, List.of(seconds, share));
        return ((Number) ms).doubleValue();
    }
}
