package wake.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wake.log.AttemptLog;
import wake.log.Mark;
import wake.log.MarkKind;
import wake.log.SegmentSplit;
import wake.movement.CatalogueFile;
import wake.simulation.AthleteModel;
import wake.simulation.SimulatedAttempt;
import wake.workout.ExpandedWorkout;
import wake.workout.NotationReader;

/**
 * A twelve-minute AMRAP logged rep by rep at twice its speed, in one pass by keys only, held against what the simulated athlete really
 * did. The page's own clock is turned by hand, so that twelve minutes do not take six; half-way the lid is closed for an hour.
 */
class TwelveMinutesTest {
    private static final String NOTATION =
            "# Skerry Reach\namrap 12:00\n  5 burpee\n  9 kettlebell swing @ 16 kg\n  13 air squat\n";
    private static final Map<String, Integer> LARGEST_SET = Map.of("kettlebell swing", 6, "air squat", 9);
    private static final long SEED = 12;
    private static final long GO_MS = 5000;
    private static final int SPEED = 2;
    private static final double WITHIN_MS = 300;

    private final Page page = Suite.chromium().page();
    private final SimulatedAttempt truth = truth();

    private static SimulatedAttempt truth() {
        var catalogue = CatalogueFile.shipped();
        ExpandedWorkout expanded =
                ExpandedWorkout.of(NotationReader.read(NOTATION, catalogue).orThrow(), 0, catalogue);
        return SimulatedAttempt.run(expanded, AthleteModel.plain().breakingAfter(LARGEST_SET), SEED);
    }

    private UUID enter() {
        Enter enter = new Enter(page.request());
        UUID attempt = enter.attempt("Runa Shoal", NOTATION);
        enter.put(
                "/api/attempts/" + attempt + "/recordings/" + UUID.randomUUID() + "/simulated",
                Map.of("seed", SEED, "largestSet", LARGEST_SET));
        return attempt;
    }

    @Test
    void anAmrapIsLoggedRepByRepAtTwiceItsSpeed() {
        UUID attempt = enter();
        TurnedClock clock = TurnedClock.on(page);
        LogDesk desk = LogDesk.open(page, Suite.wake(), attempt);
        desk.press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "g");
        assertThat(desk.clock()).hasText("0:00.0");
        Locator speed = page.getByLabel("Speed");
        for (int i = 0; i < 8 && !speed.textContent().equals(SPEED + "×"); i++) {
            desk.press("ArrowUp");
            page.waitForTimeout(200);
        }
        assertThat(speed).hasText(SPEED + "×");
        clock.stop();
        desk.press(" ");
        int half = truth.truth().size() / 2;
        for (int i = 0; i < truth.truth().size(); i++) {
            Mark mark = truth.truth().get(i);
            clock.turnTo(Math.round((double) mark.atMs() / SPEED));
            desk.press(Truth.key(mark));
            if (i == half) {
                desk.press(" ");
                clock.pass(Duration.ofHours(1));
                desk.press(" ");
            }
        }
        clock.runAgain();
        // Three hundred marks came in a few seconds; they are sent one after the other.
        assertThat(desk.status())
                .containsText(
                        "All marks saved.",
                        new LocatorAssertions.ContainsTextOptions()
                                .setTimeout(Duration.ofMinutes(2).toMillis()));
        assertMatches(attempt);
    }

    private void assertMatches(UUID attempt) {
        JsonNode log = new JsonMapper()
                .readTree(Suite.wake().get("/api/attempts/" + attempt))
                .at("/log");
        AttemptLog really = AttemptLog.of(truth.expanded(), truth.truth());
        long reps = truth.truth().stream()
                .filter(mark -> mark.kind() == MarkKind.REP)
                .count();
        assertThat(reps).isBetween(200L, 330L);
        assertThat(log.at("/score").asString()).isEqualTo(really.score().words());
        assertThat(log.at("/marks").size()).isEqualTo(truth.truth().size());
        for (SegmentSplit split : really.splits()) {
            JsonNode logged = log.at("/segments").get(split.segment().index()).at("/split");
            String where = split.segment().place();
            assertThat(logged.at("/sets").asString()).as(where).isEqualTo(split.setsWritten());
            near(where, logged.at("/endMs").asLong(), split.endMs());
            near(where, logged.at("/transitionMs").asLong(), split.transitionMs());
            near(where, logged.at("/restMs").asLong(), split.restMs());
            near(where, logged.at("/workMs").asLong(), split.workMs());
        }
    }

    private static void near(String where, double logged, double really) {
        assertThat(logged).as(where).isBetween(really - WITHIN_MS, really + WITHIN_MS);
    }
}
