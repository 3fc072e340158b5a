package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A coach puts right what was marked wrong: every way there and back, by keys. */
class CorrectionsTest {
    private static final UUID ATTEMPT = Demo.id("attempt odd lock gate");

    private final WakeProcess wake = Suite.wake();
    private LogDesk desk = LogDesk.open(Suite.chromium().page(), wake, ATTEMPT);
    private int before;

    @BeforeEach
    void count() {
        before = marks().size();
    }

    private JsonNode log() {
        return new JsonMapper().readTree(wake.get("/api/attempts/" + ATTEMPT)).at("/log");
    }

    private JsonNode marks() {
        return log().at("/marks");
    }

    private Page page() {
        return desk.page();
    }

    private Locator chosen() {
        return page().getByLabel("Selected mark");
    }

    private void press(String... keys) {
        desk.press(keys);
        desk.expectSaved();
    }

    @Test
    void aMarkTakenOutComesBackAlsoAfterAReload() {
        press(".", ".", ".");
        assertThat(chosen()).isVisible();
        press("Delete");
        assertThat(marks().size()).isEqualTo(before - 1);
        press("z");
        assertThat(marks().size()).isEqualTo(before);
        press("y");
        assertThat(marks().size()).isEqualTo(before - 1);
        desk = LogDesk.open(page(), wake, ATTEMPT);
        press("z", "z");
        assertThat(marks().size()).isEqualTo(before);
    }

    @Test
    void aTimeIsRetypedAndAMarkInsertedBetween() {
        long clock = log().at("/clockMs").asLong();
        press(".");
        Locator time = chosen().getByLabel("Time of the mark");
        time.fill("0:00.7");
        time.press("Enter");
        desk.expectSaved();
        assertThat(marks().findValues("clockMs").stream().map(JsonNode::asLong)).contains(700L);
        press("Escape");
        page().locator("canvas").click();
        press("PageDown", "PageDown", "PageDown", "ArrowRight", "r");
        assertThat(marks().size()).isEqualTo(before + 1);
        assertThat(log().at("/clockMs").asLong()).isEqualTo(clock);
        press("z", "z");
        assertThat(marks().size()).isEqualTo(before);
    }

    @Test
    void theClockIsSetFromThePictureAndKeysAreMirrored() {
        desk.press("PageDown", "k");
        page().getByLabel("Time on the gym clock").fill("0:10");
        page().keyboard().press("Enter");
        desk.expectSaved();
        assertThat(desk.clock()).hasText("0:10.0");
        press("z");
        assertThat(desk.clock()).not().hasText("0:10.0");
        desk.press("?");
        page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Left-handed"))
                .click();
        assertThat(page().getByLabel("Key for rep: j")).isVisible();
        page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Reset to default"))
                .click();
        assertThat(page().getByLabel("Key for rep: f")).isVisible();
    }

    @Test
    void anEffortAndAStandardArePinnedToTheirMoments() {
        desk.press("PageDown", "c");
        page().getByLabel("Effort 8").click();
        desk.expectSaved();
        desk.press("n");
        page().getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Seen here"))
                .first()
                .click();
        desk.expectSaved();
        JsonNode marks = marks();
        assertThat(marks.size()).isEqualTo(before + 2);
        assertThat(marks.get(before).at("/tag").asString()).isEqualTo("effort");
        assertThat(marks.get(before + 1).at("/text").asString()).isEqualTo("floor measurements shown");
        press("z", "z");
    }
}
