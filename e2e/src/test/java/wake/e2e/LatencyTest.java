package wake.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * How long from a key press to its mark on the strip, with close to two thousand marks on the attempt, in headless Chromium.
 * Printed.
 */
class LatencyTest {
    private static final int PRESSES = 40;
    private static final double FRAME_MS = 1000 / 60.0;

    private final Page page = Suite.chromium().page();

    @Test
    @SuppressWarnings("unchecked")
    void aMarkIsPaintedAtOnceAmongTwoThousand() {
        LongAttempt attempt = LongAttempt.enter(page.request(), LongAttempt.segments() - 2);
        attempt.film();
        LogDesk desk = LogDesk.open(page, Suite.wake(), java.util.UUID.fromString(attempt.id()));
        desk.press("Enter");
        page.waitForTimeout(500);
        List<Double> times = (List<Double>) page.evaluate("""
                async presses => {
                  const times = [];
                  for (let i = 0; i < presses; i++) {
                    const painted = new Promise(resolve => {
                      const seen = new MutationObserver(() => {
                        if (!document.querySelector('[data-waiting]')) return;
                        seen.disconnect();
                        requestAnimationFrame(() => setTimeout(() => resolve(performance.now())));
                      });
                      seen.observe(document.body, { subtree: true, childList: true });
                    });
                    const pressed = performance.now();
                    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'q', bubbles: true }));
                    times.push(await painted - pressed + 0.001);
                    await new Promise(done => setTimeout(done, 700));
                  }
                  return times;
                }
                """, PRESSES);
        List<Double> sorted = times.stream().sorted().toList();
        double median = sorted.get(sorted.size() / 2);
        double p95 = sorted.get((int) Math.floor(sorted.size() * 0.95));
        System.out.printf(
                "Key to mark painted, %d marks: median %.1f ms, p95 %.1f ms%n",
                (LongAttempt.segments() - 2) * 25, median, p95);
        assertThat(median).isLessThan(Bounds.ms(FRAME_MS));
        assertThat(p95).isLessThan(Bounds.ms(50));
    }
}
