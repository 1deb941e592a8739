package tallledger.web;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * Headless Chromium of the system, shared by all tests of a run; keeps what a page logs of errors of script or policy. Each page is a
 * person of its own while it is open, without cookies and drafts of another; {@link AfterTest} closes it.
 */
public final class Browser {

    static final Path MICROPHONE = Path.of("target/heard-by-the-microphone.wav").toAbsolutePath();
    private static final List<String> FLAGS = List.of("--no-sandbox", "--disable-gpu", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--no-first-run",
            // A microphone that hears what a test has written there.
            "--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream", "--use-file-for-fake-audio-capture=" + MICROPHONE);
    private static com.microsoft.playwright.Browser browser;
    /** Those with script: opening one takes longer than most of what a test does in it, and each would read the style anew. */
    private static final Deque<BrowserContext> IDLE = new ArrayDeque<>();
    private static final List<BrowserContext> PHONES = new ArrayList<>();
    private static final List<Page> OPEN = new ArrayList<>();

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
            Path chromium = Stream.of("/usr/bin/chromium-headless-shell", "/usr/bin/chromium", "/usr/bin/chromium-browser").map(Path::of)
                    .filter(Files::exists)
                    .findFirst().orElseThrow(() -> new IllegalStateException("Chromium is missing; bin/test says how to install it"));
            Playwright playwright = Playwright.create(new Playwright.CreateOptions()
                    .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(chromium).setArgs(FLAGS));
        }
        BrowserContext person = script && !IDLE.isEmpty() ? IDLE.pop()
                : browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions().setJavaScriptEnabled(script)
                        // What is shared shows a certificate that no browser knows.
                        .setIgnoreHTTPSErrors(true));
        Page page = person.newPage();
        page.setViewportSize(width, height);
        page.setDefaultTimeout(30_000);
        if (script) {
            OPEN.add(page);
        }
        return new Browser(page);
    }

    /** A telephone: small, and typed on with fingers. It is closed with its page. */
    public static synchronized Browser phone(int width) {
        open(width, 844, true);
        BrowserContext phone = browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions().setViewportSize(width, 844)
                .setIsMobile(true).setHasTouch(true).setIgnoreHTTPSErrors(true));
        PHONES.add(phone);
        Page page = phone.newPage();
        page.setDefaultTimeout(30_000);
        return new Browser(page);
    }

    public static Browser open() {
        return open(1280, 800, true);
    }

    /** For all tests of a class. */
    public Browser kept() {
        OPEN.remove(page);
        return this;
    }

    /** What the tests of a method opened is closed after it, and what its pages kept is forgotten. */
    public static final class AfterTest implements AfterEachCallback {
        @Override
        public void afterEach(ExtensionContext context) {
            synchronized (Browser.class) {
                OPEN.stream().filter(p -> !p.isClosed()).forEach(page -> {
                    // A page that is left keeps what was half typed: not of this one.
                    page.evaluate("() => { try { localStorage.clear(); Storage.prototype.setItem = () => {}; } catch (none) { } }");
                    page.context().clearCookies();
                    page.close();
                    IDLE.push(page.context());
                });
                OPEN.clear();
                PHONES.forEach(BrowserContext::close);
                PHONES.clear();
            }
        }
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
        page.waitForFunction("() => document.documentElement && !document.documentElement.dataset.sending", null,
                new Page.WaitForFunctionOptions().setTimeout(30_000));
        page.waitForLoadState();
    }

    /** What the sheet says, once the page has loaded. */
    public String text() {
        settle(page);
        return page.locator("main").innerText().replace('\u00a0', ' ');
    }

    /** What the parts of a survey's verdict say, one after the other. */
    public String verdict(App app, long survey) {
        return Http.VERDICT.stream().map(part -> {
            page.navigate(app.url("/surveys/" + survey + part));
            return text();
        }).collect(Collectors.joining("\n"));
    }
}
