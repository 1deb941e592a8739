package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.reason.Reason;
import tallledger.web.words.WebReason;
import tallledger.web.works.BackgroundJobs;

/** Every main view: no axe violation, no sideways scrolling, no complaint of script or policy, at three widths. */
class ReachableTest {

    /** Between the two that are analysed; what lies beside what is the same as on one of them. */
    private static final int WIDE = 1280;
    private static final int TABLET = 820;
    private static final int PHONE = 390;
    /** Rows of one table, and steps of one part, come from one template row: the first dozen tells of the rest. */
    private static final String ROWS_ALIKE = "tbody tr:nth-of-type(n+13), nav.steps li:nth-of-type(n+13)";
    private static final List<String> TAGS = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");
    private static final List<String> OF_THE_WIDTH = List.of("target-size", "scrollable-region-focusable", "aria-hidden-focus",
            "button-name", "link-name", "label", "select-name", "svg-img-alt");

    private static final String AXE = script();

    /** One window for all: opening one takes longer than looking at a page. */
    private static final Browser BROWSER = Browser.open().kept();

    /** Work goes on as long as its page is looked at. */
    private static final CountDownLatch OVER = new CountDownLatch(1);

    @AfterAll
    static void close() {
        OVER.countDown();
    }

    private static String work() {
        return App.demo().bean(BackgroundJobs.class).begin("looked at", Reason.of(WebReason.WORK_SHELF), "/", progress -> {
            progress.at(0.4, Reason.of(WebReason.WORK_SHELF_LINES, 4, 10));
            try {
                OVER.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            return new BackgroundJobs.Output.Page("/");
        }).id();
    }

    /** A survey begun with what is usual, where it is asked what the machine has. */
    private static String begun() {
        Http http = new Http(App.demo());
        return http.post("/start", http.form("/start", "/start"), "family", "LATHE", "unit", "MM", "saidBy", "SELLER", "role", "buyer",
                "name", "Begun", "author", "Q").headers().firstValue("Location").orElseThrow().replaceFirst("https?://[^/]*", "");
    }

    static Stream<String> views() {
        long ready = Scenes.readySurvey(App.demo());
        return Stream.of("/", "/start", "/machines/1", "/machines/new", "/machines/1/edit", "/surveys/3/run", "/surveys/" + ready + "/run",
                "/surveys/" + ready + "/run?step=check-BRAKE",
                "/surveys/3/speeds", "/surveys/3/board", "/surveys/3/faults", "/surveys/10/speeds", "/machines/11/drive",
                "/house?rule=LATHE_NOSE",
                "/house/steps?step=lock", "/house/checks?row=3", "/house/gauges?gauge=new", "/house/keys", "/house/sharing",
                "/house/backup", "/check",
                "/surveys/3/handover", "/surveys/27/handover", "/surveys/27/run", "/surveys/3/paper/type", "/machines/1/away",
                "/beside?s=20&s=21", "/surveys/3/desk", "/surveys/3/desk/film", "/surveys/3/desk/said", "/surveys/3/sound",
                "/surveys/18/sound?of=48", "/surveys/18/sound?of=48&with=47&over=orders", "/surveys/18/entries?kind=SOUND",
                "/surveys/3/letter",
                "/surveys/20/shots",
                "/surveys/20/slate/1", "/surveys/18/run?step=milled-roughness", "/surveys/3/movement", "/surveys/20/accuracy",
                "/machines/12/chart", "/surveys/5/cut?kind=DRILLING&material=STEEL&diameter=40&feed=0.3", "/surveys/20/run?step=table-flat",
                "/surveys/3/threads", "/surveys/10/cycles", "/surveys/10/faults", "/surveys/3/kit", "/machines/1/fitout",
                "/surveys/3/run?step=castings",
                "/surveys/3/run?step=supply", "/surveys/23/run?step=0-1", "/surveys/" + ready + "/run?step=guard",
                "/surveys/" + ready + "/run?step=own-cycle.1", "/surveys/" + ready + "/run?step=trip-repeat.carriage",
                "/surveys/3/entries?strike=4", "/surveys/3/entries?kind=KIT&at=9999",
                "/surveys/20/run?step=nose-round", begun() + "?step=castings", "/surveys/3/verdict?walk", "/surveys/3/verdict",
                "/surveys/3/verdict/findings", "/surveys/3/verdict/claims",
                "/surveys/3/verdict/statement",
                "/surveys/3/verdict/money", "/surveys/3/verdict/record", "/surveys/3/verdict/print", "/surveys/3/drawings",
                "/machines/bring", "/surveys/3/table", "/machines/1/table", "/works/" + work(), "/nowhere");
    }

    @ParameterizedTest
    @MethodSource("views")
    void isReachable(String view) {
        Browser browser = BROWSER;
        Page page = browser.page();
        page.navigate(App.demo().url(view));
        for (int width : List.of(WIDE, TABLET, PHONE)) {
            page.setViewportSize(width, width == WIDE ? 800 : 1180);
            int overflow = (int) page.evaluate("() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
            assertThat(overflow).as("sideways scrolling of " + view + " at " + width).isZero();
        }
        page.evaluate("rows => document.querySelectorAll(rows).forEach(row => row.remove())", ROWS_ALIKE);
        page.evaluate(AXE);
        // On the phone the page is the same but for what folds, scrolls, comes and goes with the width.
        assertThat(violations(page, OF_THE_WIDTH)).as(view + " at " + PHONE).isEmpty();
        page.setViewportSize(WIDE, 800);
        assertThat(violations(page, TAGS)).as(view + " at " + WIDE).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    /** Drawings follow the page onto a dark ground; the colours themselves are held by LooksTest. */
    @ParameterizedTest
    @ValueSource(strings = {"/surveys/3/speeds", "/surveys/10/cycles", "/surveys/3/movement", "/surveys/20/run?step=nose-round", "/start"})
    void isReadableInTheDark(String view) {
        Page page = BROWSER.page();
        page.setViewportSize(WIDE, 800);
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        try {
            page.navigate(App.demo().url(view));
            page.evaluate("rows => document.querySelectorAll(rows).forEach(row => row.remove())", ROWS_ALIKE);
            page.evaluate(AXE);
            assertThat(page.evaluate("() => getComputedStyle(document.body).color")).isEqualTo("rgb(236, 232, 220)");
            assertThat(violations(page, List.of("color-contrast"))).as(view + " in the dark").isEmpty();
        } finally {
            page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.NO_PREFERENCE));
        }
    }

    /** What axe finds on a page that another test has open, whatever its width. */
    static List<String> found(Page page) {
        page.evaluate(AXE);
        return violations(page, TAGS);
    }

    /** Told what it need not list, which its own caller for Java does whatever it is told. */
    @SuppressWarnings("unchecked")
    private static List<String> violations(Page page, List<String> rules) {
        return (List<String>) page.evaluate("only => axe.run({resultTypes: ['violations'], runOnly: only})"
                + ".then(found => found.violations.map(v => v.id + ': ' + v.nodes[0].html))", rules);
    }

    private static String script() {
        try (InputStream in = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
