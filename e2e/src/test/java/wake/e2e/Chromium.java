package wake.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Debian's Chromium, headless, without the network: its shell without windows of its own where that is installed, since each new page costs
 * the whole browser more than twice as much for what nobody sees.
 */
final class Chromium implements AutoCloseable {
    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            // A name of a gym's network: not encrypted, so that the browser grants less than to this machine.
            "--host-resolver-rules=MAP gym.test 127.0.0.1",
            "--autoplay-policy=no-user-gesture-required");

    private final Playwright playwright;
    private final Browser browser;
    private Optional<BrowserContext> last = Optional.empty();

    Chromium() {
        this("/usr/bin/chromium-headless-shell", "/usr/bin/chromium", "/usr/bin/chromium-browser");
    }

    /** The whole browser. */
    static Chromium whole() {
        return new Chromium("/usr/bin/chromium", "/usr/bin/chromium-browser");
    }

    private Chromium(String... executables) {
        // On a busy machine everything comes late; only what never comes fails.
        PlaywrightAssertions.setDefaultAssertionTimeout(30_000);
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(executable(executables))
                        .setArgs(FLAGS));
    }

    Page page() {
        return page(1280, 800);
    }

    /** A phone: small, and touched. */
    Page phone() {
        last.ifPresent(BrowserContext::close);
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(390, 844)
                .setHasTouch(true)
                .setIsMobile(true));
        context.setDefaultTimeout(60_000);
        last = Optional.of(context);
        return context.newPage();
    }

    /** A page of its own; the one given before it is closed, so that what it plays takes no time from this one. */
    Page page(int width, int height) {
        last.ifPresent(BrowserContext::close);
        BrowserContext context = browser.newContext(new Browser.NewContextOptions().setViewportSize(width, height));
        context.setDefaultTimeout(60_000);
        last = Optional.of(context);
        return context.newPage();
    }

    /** Another window of the browser a page is in, with the same storage. */
    static Page beside(Page page) {
        return page.context().newPage();
    }

    /**
     * Waits until an expression is true in the page. Asked from outside each time: a wait inside the page would evaluate text there, which
     * its content security policy refuses whenever the first look was too early.
     */
    static void until(Page page, String expression) {
        long end = System.nanoTime() + Duration.ofMinutes(2).toNanos();
        while (!Boolean.TRUE.equals(page.evaluate(expression))) {
            if (System.nanoTime() > end) {
                throw new AssertionError("never came true: " + expression);
            }
            page.waitForTimeout(20);
        }
    }

    private static Path executable(String... executables) {
        return Stream.of(executables)
                .map(Path::of)
                .filter(Files::isExecutable)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("No Chromium found: apt-get install chromium"));
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
    }
}
