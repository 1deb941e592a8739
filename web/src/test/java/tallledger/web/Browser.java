package tallledger.web;

import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Headless Chromium of the system, shared by all tests of a run; fails a test whose page logs an error of script or policy. */
public final class Browser {

    private static final List<String> FLAGS = List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--no-first-run");
    private static com.microsoft.playwright.Browser browser;

    private final Page page;
    private final List<String> complaints = new ArrayList<>();

    private Browser(Page page) {
        this.page = page;
        page.onPageError(complaints::add);
        page.onConsoleMessage(message -> {
            if (message.type().equals("error") && !message.text().startsWith("Failed to load resource")) {
                complaints.add(message.text());
            }
        });
    }

    public static synchronized Browser open(int width, int height, boolean script) {
        if (browser == null) {
            Path chromium = Stream.of("/usr/bin/chromium", "/usr/bin/chromium-browser").map(Path::of).filter(Files::exists)
                    .findFirst().orElseThrow(() -> new IllegalStateException("Chromium is missing; bin/test says how to install it"));
            Playwright playwright = Playwright.create(new Playwright.CreateOptions()
                    .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(chromium).setArgs(FLAGS));
        }
        Page page = browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions().setViewportSize(width, height)
                .setJavaScriptEnabled(script)).newPage();
        page.setDefaultTimeout(10_000);
        return new Browser(page);
    }

    public static Browser open() {
        return open(1280, 800, true);
    }

    public Page page() {
        return page;
    }

    /** What scripts or the content security policy complained of. */
    public List<String> complaints() {
        return complaints;
    }

    /** Moves the focus by the tab key alone until it stands on what the selector names. */
    public void tabTo(String selector) {
        for (int i = 0; i < 150; i++) {
            page.keyboard().press("Tab");
            if (Boolean.TRUE.equals(page.evaluate("s => document.activeElement && document.activeElement.matches(s)", selector))) {
                return;
            }
        }
        throw new AssertionError("the tab key never reaches " + selector);
    }

    public void type(String selector, String text) {
        tabTo(selector);
        page.keyboard().type(text);
    }

    /** Waits until a form that was sent has its answer. */
    public static void settle(Page page) {
        page.waitForFunction("() => !document.documentElement.dataset.sending", null, new Page.WaitForFunctionOptions().setTimeout(30_000));
        page.waitForLoadState();
    }

    /** What the sheet says, once the page has loaded. */
    public String text() {
        settle(page);
        return page.locator("main").innerText().replace('\u00a0', ' ');
    }
}
