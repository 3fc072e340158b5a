package wake.e2e;

import com.microsoft.playwright.Page;
import java.time.Duration;
import java.time.Instant;
import java.util.Date;

/** A page's own clock, turned by hand: a recording plays exactly as far as it is told to, however busy the machine is. */
final class TurnedClock {
    private final Page page;
    private long turnedMs;

    private TurnedClock(Page page) {
        this.page = page;
    }

    /** Before the page is opened. It runs with real time until it is stopped. */
    static TurnedClock on(Page page) {
        page.clock().install();
        return new TurnedClock(page);
    }

    void stop() {
        page.clock().pauseAt(Date.from(Instant.now().plus(Duration.ofMinutes(5))));
    }

    /** Lets so much time have passed since it was stopped, pauses of {@link #pass} not counted. */
    void turnTo(long ms) {
        page.clock().fastForward(ms - turnedMs);
        turnedMs = ms;
    }

    /** Time goes by while nothing plays. */
    void pass(Duration duration) {
        page.clock().fastForward(duration.toMillis());
    }

    void runAgain() {
        page.clock().resume();
    }
}
