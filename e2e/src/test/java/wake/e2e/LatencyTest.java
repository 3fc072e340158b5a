package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * How long from a key press to its mark on the strip and to its mark on the disk, with close to two thousand marks on the attempt, in
 * headless Chromium without a graphics card. Printed. An ordinary run holds the medians to wide bounds only; {@code
 * -Dwake.strict=true} holds what a coach should feel.
 */
class LatencyTest {
    private static final int PRESSES = 20;
    private static final double FRAME_MS = 1000 / 60.0;
    private static final double PAINTED_P95_MS = 50;
    private static final double SAVED_MS = 150;

    /** From the browser's own time of the key event to the end of the frame that shows the tick, and to the server's answer. */
    private static final String WATCH = """
            () => {
              window.painted = [];
              window.saved = [];
              const waiting = document.querySelector('[data-waiting]');
              const after = new MessageChannel();
              let pressed = 0;
              let before = 0;
              addEventListener('keydown', event => { pressed = event.timeStamp; }, true);
              after.port1.onmessage = ({ data }) => painted.push(performance.now() - data + 0.001);
              new MutationObserver(() => {
                const now = Number(waiting.dataset.waiting);
                const at = pressed;
                if (now > before) requestAnimationFrame(() => after.port2.postMessage(at));
                if (now === 0) saved.push(performance.now() - at + 0.001);
                before = now;
              }).observe(waiting, { attributes: true });
            }
            """;

    private final Page page = Suite.chromium().page();

    @Test
    void aMarkIsPaintedAtOnceAndSoonOnTheDiskAmongTwoThousand() {
        LongAttempt attempt = LongAttempt.enter(page.request(), LongAttempt.segments() - 2);
        attempt.video();
        LogDesk desk = LogDesk.open(page, Suite.wake(), attempt.id());
        desk.press("Enter");
        page.waitForTimeout(500);
        page.evaluate(WATCH);
        measure(desk, "standing", FRAME_MS);
        desk.press("ArrowUp", "ArrowUp", "Enter", " ");
        String before = desk.clock().textContent();
        measure(desk, "playing at 2x", 2 * FRAME_MS);
        assertThat(desk.clock().textContent()).isNotEqualTo(before);
    }

    /** Presses a key that marks the same moment again and again: the log grows, what is on screen does not. */
    private void measure(LogDesk desk, String how, double medianMs) {
        page.evaluate("() => { painted.length = 0; saved.length = 0; }");
        for (int i = 0; i < PRESSES; i++) {
            desk.press("q");
            page.waitForTimeout(400 + 7 * (i % 11));
            // On a slow day the next press waits for this one: two that are saved together would be counted once.
            Chromium.until(page, "Math.min(saved.length, painted.length) > " + i);
        }
        List<Double> painted = sorted("painted");
        List<Double> saved = sorted("saved");
        System.out.printf(
                "%d marks, %s: painted median %.1f ms, p95 %.1f ms; on the disk median %.1f ms, p95 %.1f ms%n",
                (LongAttempt.segments() - 2) * 25,
                how,
                share(painted, 0.5),
                share(painted, 0.95),
                share(saved, 0.5),
                share(saved, 0.95));
        Bounds.hold("painted, median, " + how, share(painted, 0.5), medianMs);
        Bounds.hold("saved, median, " + how, share(saved, 0.5), SAVED_MS);
        Bounds.hold("painted, 95th percentile, " + how, share(painted, 0.95), PAINTED_P95_MS);
        Bounds.hold("saved, 95th percentile, " + how, share(saved, 0.95), SAVED_MS);
    }

    @SuppressWarnings("unchecked")
    private List<Double> sorted(String name) {
        return ((List<Number>) page.evaluate("name => window[name]", name))
                .stream().map(Number::doubleValue).sorted().toList();
    }

    private static double share(List<Double> sorted, double part) {
        return sorted.get((int) Math.floor(sorted.size() * part));
    }
}
