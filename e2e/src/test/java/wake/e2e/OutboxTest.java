package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.InstanceOfAssertFactories.STRING;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What was marked reaches the server wherever the coach goes; what cannot be taken is set aside and said. */
class OutboxTest {
    private static final String MARKS = "**/api/attempts/*/marks{,/*}";
    private final Page page = Suite.chromium().page();
    private UUID attempt;
    private LogDesk desk;

    @BeforeEach
    void filmed() {
        Enter enter = new Enter(page.request());
        attempt = enter.attempt("Mats Ebbe", "# Long Swell\nfor time\n  60 burpee\n");
        UUID recording = UUID.randomUUID();
        enter.put("/api/attempts/" + attempt + "/recordings/" + recording + "/simulated", Map.of("seed", 7));
        enter.put(
                "/api/attempts/" + attempt + "/recordings/" + recording + "/go",
                Map.of("atMs", 5000, "made", "STEPPED", "step", 0.033));
        desk = LogDesk.open(page, Suite.wake(), attempt);
        desk.stepForward(0, 5000);
    }

    private void threeReps() {
        for (int rep = 0; rep < 3; rep++) {
            desk.press("ArrowRight", "ArrowRight", "f");
        }
    }

    private void leave() {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Wake, home"))
                .click();
    }

    private int kept() {
        APIResponse answer = page.request().get(Suite.wake().url("/api/attempts/" + attempt));
        return new JsonMapper().readTree(answer.body()).at("/log/marks").size();
    }

    private void expectKept(int marks) {
        Instant end = Instant.now().plus(Duration.ofSeconds(30));
        while (kept() != marks && Instant.now().isBefore(end)) {
            page.waitForTimeout(100);
        }
        assertThat(kept()).isEqualTo(marks);
    }

    private Locator bar() {
        return page.getByLabel("Not saved yet");
    }

    private static void fails(Route route, int status, String detail) {
        route.fulfill(new Route.FulfillOptions()
                .setStatus(status)
                .setContentType("application/problem+json")
                .setBody("{\"status\":" + status + ",\"detail\":\"" + detail + "\"}"));
    }

    @Test
    void leavingTheLogAtOnceLosesNothing() {
        page.route(MARKS, route -> {
            page.waitForTimeout(300);
            route.resume();
        });
        threeReps();
        leave();
        expectKept(3);
    }

    @Test
    void aReadingLookedAtBeforeTheMarksArriveFollowsThem() {
        page.route(MARKS, route -> fails(route, 507, "The disk is full."));
        threeReps();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Review"))
                .click();
        Locator answer = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
        assertThat(answer).hasText("Nothing is logged yet.");
        page.unroute(MARKS);
        expectKept(3);
        assertThat(answer).containsText("So far");
    }

    @Test
    void aFullDiskIsSaidAndTheMarksWaitUntilThereIsRoom() {
        page.route(MARKS, route -> fails(route, 507, "The disk is full."));
        threeReps();
        desk.expectSays("The disk is full. Keep logging: 3 marks are saved on this device");
        leave();
        assertThat(bar()).containsText("The disk is full. Keep logging: 3 marks are saved on this device");
        List<String> sent = new ArrayList<>();
        page.onRequest(request -> {
            if (request.method().equals("PUT")) {
                sent.add(request.url());
            }
        });
        page.unroute(MARKS);
        expectKept(3);
        assertThat(bar()).isHidden();
        assertThat(sent)
                .as("marks that waited go in one request")
                .singleElement(STRING)
                .endsWith("/marks");
    }

    @Test
    void aMarkTheServerFailsAtIsSetAsideAndTheRestGoesOn() {
        String[] poison = {""};
        page.route(MARKS, route -> {
            Request request = route.request();
            String sent = request.url().replaceFirst(".*/marks", "") + Objects.toString(request.postData(), "");
            if (poison[0].isEmpty()) {
                Matcher id = Pattern.compile("[0-9a-f-]{36}").matcher(sent);
                assertThat(id.find()).isTrue();
                poison[0] = id.group();
            }
            if (sent.contains(poison[0])) {
                fails(route, 500, "Wake failed at this.");
            } else {
                route.resume();
            }
        });
        threeReps();
        leave();
        assertThat(bar()).containsText("One mark couldn’t be saved.");
        expectKept(2);
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Show"))
                .click();
        assertThat(bar()).containsText("Wake failed at this.");
        page.reload();
        assertThat(bar()).containsText("One mark couldn’t be saved");
        page.unroute(MARKS);
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Show"))
                .click();
        bar().getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Try again"))
                .click();
        expectKept(3);
        assertThat(bar()).isHidden();
    }
}
