package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Every form of every page keeps what is half typed in it, however the page is left; and nothing typed goes where nobody answers. */
class FormsKeepTest {

    /** Types into, or changes, everything of a form that can be, and says what stands there then. */
    private static final String FILL = """
            (form) => {
              const said = {};
              Array.from(form.elements).filter(e => e.name && !['hidden', 'file', 'submit', 'button'].includes(e.type)).forEach((e, i) => {
                // Another family has other axes and features, and another drive another plate: what is of the one is not of the other.
                if (/^(family|unit|stage.*)$/.test(e.name)) { return; }
                if (e.tagName === 'SELECT') { e.selectedIndex = e.options.length - 1; }
                else if (e.type === 'checkbox') { e.checked = !e.checked; }
                else if (e.type === 'radio') { e.checked = true; }
                else if (e.type === 'number' || e.type === 'range') { e.value = e.max || '7'; }
                else if (e.type === 'date') { e.value = '2026-11-30'; }
                else if (e.type !== 'text' && e.tagName !== 'TEXTAREA' && e.type !== 'search') { return; }
                else { e.value = 'half ' + i; }
                e.dispatchEvent(new Event('input', { bubbles: true }));
                e.dispatchEvent(new Event('change', { bubbles: true }));
              });
              Array.from(form.elements).filter(e => e.name && !['hidden', 'file', 'submit', 'button'].includes(e.type))
                .forEach((e, i) => { said[e.name + ' ' + i] = e.type === 'checkbox' || e.type === 'radio' ? String(e.checked) : e.value; });
              return said;
            }""";
    private static final String READ = """
            (form) => {
              const said = {};
              Array.from(form.elements).filter(e => e.name && !['hidden', 'file', 'submit', 'button'].includes(e.type))
                .forEach((e, i) => { said[e.name + ' ' + i] = e.type === 'checkbox' || e.type === 'radio' ? String(e.checked) : e.value; });
              return said;
            }""";

    private static App app;
    private static long survey;
    private static long machine;
    private static long ready;
    /** A survey begun with what is usual, where it is asked what the machine has. */
    private static String begun;

    @BeforeAll
    static void start() {
        app = App.demo();
        survey = 3;
        machine = app.bean(tallledger.web.library.SurveyLibrary.class).survey(survey).machine().id();
        ready = Scenes.readySurvey(app);
        Http http = new Http(app);
        begun = http.post("/start", http.form("/start", "/start"), "family", "LATHE", "unit", "MM", "saidBy", "SELLER", "role", "buyer",
                "name", "Begun", "author", "Q").headers().firstValue("Location").orElseThrow().replaceFirst("https?://[^/]*", "");
    }

    @AfterAll
    static void forget() {
        app = null;
    }

    private static List<String> pages() {
        String s = "/surveys/" + survey;
        String m = "/machines/" + machine;
        return List.of("/start", "/machines/new", m, m + "/edit", m + "/fitout", m + "/chart", m + "/away", m + "/table", "/machines/bring",
                s + "/run", s + "/run?step=backlash-x", s + "/run?step=serial", s + "/speeds", s + "/accuracy", s + "/faults", s + "/kit",
                s + "/table?what=kit", s + "/entries", s + "/entries?strike=3", s + "/verdict/findings", s + "/verdict/money",
                s + "/handover", s + "/paper/type",
                "/surveys/" + ready + "/run", begun + "?step=castings", "/surveys/5/cut",
                "/surveys/5/cut?kind=DRILLING&material=STEEL&diameter=40&feed=0.3",
                "/house", "/house?rule=SPEED_TOLERANCE", "/house/checks",
                "/house/checks?row=new", "/house/repairs?row=new", "/house/gauges?gauge=new", "/house/steps", "/check");
    }

    /** What every form that takes words, figures or choices is sent to. */
    private static final List<String> ALL = List.of("/start", "/machines", "/machines/N", "/machines/N/surveys", "/machines/N/fitout",
            "/machines/N/chart", "/machines/N/away", "/machines/N/table", "/machines/bring", "/surveys/N/start", "/surveys/N/plan",
            "/surveys/N/photos", "/surveys/N/equipment", "/surveys/N/step", "/surveys/N/run", "/surveys/N/pass", "/surveys/N/temperatures",
            "/surveys/N/faults/repair", "/surveys/N/kit", "/surveys/N/kit/mark", "/surveys/N/table", "/surveys/N/entries/remark",
            "/surveys/N/entries/strike", "/surveys/N/verdict", "/surveys/N/verdict/prices", "/surveys/N/verdict/finding",
            "/surveys/N/close",
            "/surveys/N/camera", "/surveys/N/paper/type", "/surveys/N/cut", "/house/checks", "/house/checks/row", "/house/repairs/row",
            "/house/gauges", "/house/rules/SPEED_TOLERANCE", "/check");

    @Test
    @SuppressWarnings("unchecked")
    void everyFormKeepsWhatIsHalfTyped() {
        Browser browser = Browser.open();
        Page page = browser.page();
        List<String> lost = new ArrayList<>();
        Set<String> actions = new LinkedHashSet<>();
        for (String at : pages()) {
            page.navigate(app.url(at));
            int forms = page.locator("form[method=post], form.keeps").count();
            Map<Integer, Map<String, String>> typed = new LinkedHashMap<>();
            Map<String, Integer> alike = new HashMap<>();
            for (int f = 0; f < forms; f++) {
                String action = page.locator("form[method=post], form.keeps").nth(f).getAttribute("action").replaceAll("\\d+", "N");
                if (alike.merge(action, 1, Integer::sum) <= 2) {
                    typed.put(f, (Map<String, String>) page.locator("form[method=post], form.keeps").nth(f).evaluate(FILL));
                    actions.add(action);
                }
            }
            page.reload();
            if (page.locator(".connection button:has-text('Go on with it')").count() > 0) {
                page.click(".connection button:has-text('Go on with it')");
                Browser.settle(page);
            }
            typed.forEach((f, was) -> {
                Map<String, String> is = (Map<String, String>) page.locator("form[method=post], form.keeps").nth(f).evaluate(READ);
                if (!is.entrySet().containsAll(was.entrySet())) {
                    Map<String, String> differ = new LinkedHashMap<>(was);
                    differ.entrySet().removeAll(is.entrySet());
                    lost.add(at + " form " + f + " " + page.locator("form[method=post], form.keeps").nth(f).getAttribute("action") + ": "
                            + differ);
                }
            });
            page.route("**/alive", Route::abort);
            for (int f : typed.keySet()) {
                page.locator("form[method=post], form.keeps").nth(f).evaluate("form => form.requestSubmit()");
                page.waitForFunction("() => document.querySelector('.connection').textContent.startsWith('No connection')");
                Map<String, String> is = (Map<String, String>) page.locator("form[method=post], form.keeps").nth(f).evaluate(READ);
                assertThat(is).as(at + " form " + f + " while nobody answers").containsAllEntriesOf(typed.get(f));
                page.evaluate("() => { document.querySelector('.connection').textContent = ''; }");
            }
            page.unroute("**/alive");
            page.evaluate("() => localStorage.clear()");
        }
        assertThat(lost).isEmpty();
        assertThat(ALL.stream().filter(action -> !actions.contains(action))).as("forms that were not met").isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    /** What was recorded is kept no longer, also where the answer was lost and the form was pressed again. */
    @Test
    void whatWasRecordedIsForgotten() {
        Browser browser = Browser.open();
        Page page = browser.page();
        String entries = "/surveys/" + ready + "/entries";
        page.navigate(app.url(entries));
        page.fill(".remark-form [name=text]", "it hums");
        page.fill(".remark-form [name=author]", "Q. Tester");
        page.route("**/remark", route -> {
            route.fetch();
            route.abort();
        });
        page.click(".remark-form button[type=submit]");
        page.waitForTimeout(500);
        page.unroute("**/remark");
        page.context().clearCookies(new BrowserContext.ClearCookiesOptions().setName("recorded"));
        page.navigate(app.url(entries));
        assertThat(page.inputValue(".remark-form [name=text]")).as("its answer was lost").isEqualTo("it hums");
        page.click(".remark-form button[type=submit]");
        Browser.settle(page);
        page.navigate(app.url(entries));
        assertThat(page.inputValue(".remark-form [name=text]")).isEmpty();
        assertThat(page.locator("text=it hums").count()).as("written once").isEqualTo(1);
    }
}
