package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.log.AttemptLog;
import wake.log.Lift;
import wake.log.Mark;
import wake.movement.CatalogueFile;
import wake.plan.lift.LiftPlan;
import wake.plan.lift.PlateRack;
import wake.plan.lift.UsualTimetable;
import wake.simulation.SimulatedAttempt;
import wake.simulation.SimulatedLifts;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Format;
import wake.workout.NotationReader;

/** A lift window from the timetable to the next one, by keys: filmed, typed, and two lifters on one video. */
class LiftWindowTest {
    private static final String NOTATION = "# Neap Lifts\nlift 4:00, best of 2 hang power clean + 1 push jerk\n";
    private static final int SEED = 11;

    private final WakeProcess wake = Suite.wake();
    private final Page page = Suite.chromium().page();
    private final Enter enter = new Enter(page.request());

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    private Locator heading() {
        return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    }

    private void step(String name) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true))
                .press("Enter");
    }

    private JsonNode get(String path) {
        return new JsonMapper().readTree(wake.get(path));
    }

    /** The lifts a simulated athlete with the usual timetable of three really does. */
    private static SimulatedAttempt truth() {
        var catalogue = CatalogueFile.shipped();
        ExpandedWorkout expanded =
                ExpandedWorkout.of(NotationReader.read(NOTATION, catalogue).orThrow(), 0, catalogue);
        LiftPlan plan = UsualTimetable.of(
                (Format.Lift) expanded.format(),
                Quantity.of(80, Unit.KILOGRAM),
                3,
                OptionalLong.empty(),
                OptionalLong.empty(),
                PlateRack.kilograms(20));
        return SimulatedLifts.run(expanded, plan, SEED);
    }

    @Test
    void theWholeJobByKeysFromARecording() {
        UUID attempt = enter.attempt("Ina Sandbar", NOTATION);
        String at = "/api/attempts/" + attempt;
        page.navigate(wake.url("/attempts/" + attempt + "/plan"));
        page.getByLabel("Max", new Page.GetByLabelOptions().setExact(true)).fill("80 kg");
        page.getByLabel("Lifts", new Page.GetByLabelOptions().setExact(true)).fill("3");
        page.keyboard().press("Enter");
        assertThat(heading()).containsText("3 lifts, 50 kg to 65 kg");
        enter.put(at + "/recordings/" + UUID.randomUUID() + "/simulated", Map.of("seed", SEED));

        Locator share = page.getByLabel("% of max of lift 3");
        share.fill("145 lb");
        share.press("Enter");
        assertThat(page.getByLabel("Load of lift 3")).hasValue("65 kg");
        page.getByLabel("Load of lift 1").fill("heavy");
        page.keyboard().press("Enter");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Lift 1: Write a load");
        page.getByLabel("Load of lift 1").fill("52");
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Load of lift 1")).hasValue("52 kg");
        Locator slider = page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Start of lift 1"));
        String before = slider.getAttribute("aria-valuetext");
        slider.press("ArrowRight");
        assertThat(slider).not().hasAttribute("aria-valuetext", before);
        String pressed = slider.getAttribute("aria-valuetext");
        var box = slider.boundingBox();
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        page.mouse().down();
        page.mouse().move(box.x + box.width / 2 + 60, box.y + box.height / 2, new Mouse.MoveOptions().setSteps(5));
        page.mouse().up();
        assertThat(page.getByLabel("Start of lift 1", new Page.GetByLabelOptions().setExact(true)))
                .not()
                .hasValue(pressed);
        button("Undo").first().press("Enter");
        assertThat(page.getByLabel("Start of lift 1", new Page.GetByLabelOptions().setExact(true)))
                .hasValue(pressed);
        button("Add a lift").press("Enter");
        assertThat(page.getByLabel("Load of lift 4")).isVisible();
        button("Remove lift 4").press("Enter");
        assertThat(page.getByLabel("Load of lift 4")).hasCount(0);

        SimulatedAttempt truth = truth();
        TurnedClock clock = TurnedClock.on(page);
        LogDesk desk = LogDesk.open(page, wake, attempt);
        desk.press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "g");
        desk.press("f").expectSays("No lift has started yet");
        clock.stop();
        desk.press(" ");
        for (Mark mark : truth.truth()) {
            clock.turnTo(Math.min(mark.atMs(), 240_000));
            desk.press(Truth.key(mark));
        }
        clock.runAgain();
        desk.expectSaved();
        List<Lift> really = AttemptLog.of(truth.expanded(), truth.truth()).lifts();
        JsonNode lifts = get(at).at("/log/lifts");
        assertThat(lifts.size()).isEqualTo(really.size());
        for (int i = 0; i < really.size(); i++) {
            JsonNode seen = lifts.get(i);
            assertThat(seen.at("/outcome").asString())
                    .isEqualTo(really.get(i).outcome().name());
            assertThat(seen.at("/atMs").asLong() - really.get(i).atMs()).isBetween(-50L, 50L);
            assertThat(seen.at("/lengthMs").asLong() - really.get(i).lengthMs().orElseThrow())
                    .isBetween(-100L, 100L);
        }
        assertThat(lifts.get(0).at("/load").asString()).as("outline = planned").isEqualTo("52 kg");

        button("Review").press("Enter");
        assertThat(heading()).containsText("of 3 made");
        assertThat(page.getByLabel("Lifts", new Page.GetByLabelOptions().setExact(true))
                        .locator("tbody tr"))
                .hasCount(3);
        button("Play lift 1").press("Enter");
        assertThat(page.getByLabel("The moment")).isVisible();
        page.keyboard().press("Escape");
        button("Save .* as max").first().press("Enter");
        assertThat(page.getByText("saved on the athlete page")).isVisible();

        step("Retest");
        assertThat(heading()).containsText("Projected:");
        page.getByLabel("Load of lift 3").fill("90");
        page.keyboard().press("Enter");
        assertThat(page.getByText("Next lifts", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.getByText("under 1%").first()).isVisible();
        button("Undo").press("Enter");
        assertThat(page.getByText("Suggested lifts")).isVisible();
        button("Schedule retest").press("Enter");
        Locator retest =
                page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Retest on")));
        assertThat(retest).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.getByLabel("Load of lift 3")).isVisible();
    }

    @Test
    void withoutARecordingTheLiftsAreTyped() {
        UUID attempt = enter.attempt("Bo Shoal", NOTATION);
        page.navigate(wake.url("/attempts/" + attempt + "/log"));
        button("Type in the times").press("Enter");
        Locator box = page.getByLabel("Times, one per line");
        box.fill("0:40 60 kg 22s\n2:10 70 made in 23 s\n3:30 75 miss on the row");
        assertThat(page.getByRole(AriaRole.TABLE)).containsText("Write the rep it was missed on, 1 to 3");
        box.fill("0:40 60 kg 22s\n2:10 70 made in 23 s\n3:30 75 miss on the jerk 20s");
        assertThat(button("Save to log")).isEnabled();
        button("Save to log").press("Enter");
        assertThat(page.getByLabel("Whiteboard")).containsText("missed on rep 3, the push jerk");
        step("Review");
        assertThat(heading()).hasText("Best 70 kg, 2 of 3 made. Last lift, 75 kg, missed on the push jerk.");
        step("Retest");
        assertThat(heading()).containsText("Projected:");
    }

    @Test
    void twoLiftersAreOnOneVideo() {
        UUID first = enter.attempt("Ada Tern", NOTATION);
        UUID video = UUID.randomUUID();
        String at = "/api/attempts/" + first;
        enter.put(at + "/recordings/" + video + "/simulated", Map.of("seed", SEED));
        enter.put(at + "/recordings/" + video + "/go", Map.of("atMs", 5000, "made", "STEPPED", "step", 0.033));
        UUID second = enter.attempt(
                "Bea Tern", UUID.fromString(get(at).at("/workoutId").asString()));
        page.navigate(wake.url("/attempts/" + second + "/log"));
        button("Ada Tern: ").press("Enter");
        LogDesk desk = new LogDesk(page);
        page.locator("canvas").waitFor();
        String[] right = {
            "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight"
        };
        desk.press(right).press("l");
        page.getByLabel(Pattern.compile("^Load, e.g. 85")).fill("70");
        page.keyboard().press("Enter");
        desk.expectSaved();
        assertThat(page.getByLabel("Whiteboard")).containsText("70 kg");
        desk.press("o");
        assertThat(page).hasURL(Pattern.compile(".*" + first + "/log.*"));
        assertThat(page.getByText("Ada Tern · Neap Lifts")).isVisible();
        assertThat(desk.clock()).hasText(Pattern.compile("0:02.0"));
        assertThat(page.getByLabel("Whiteboard")).containsText("No lifts yet");
        desk.press("o");
        assertThat(page.getByText("Bea Tern · Neap Lifts")).isVisible();
        assertThat(page.getByLabel("Whiteboard")).containsText("70 kg");

        enter.post("/api/bin/ATTEMPT/" + first, Map.of());
        page.reload();
        assertThat(page.getByLabel("Whiteboard")).containsText("70 kg");
        assertThat(page.request().delete(wake.url("/api/bin/ATTEMPT/" + first)).ok())
                .as("gone for good: the film is the other's now")
                .isTrue();
        page.reload();
        page.locator("canvas").waitFor();
        assertThat(page.getByLabel("Whiteboard")).containsText("70 kg");
    }
}
