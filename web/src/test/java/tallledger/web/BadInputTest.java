package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.web.library.SurveyLibrary;

/** What goes wrong at each form: the message stands where it was typed, the typed text is kept, nothing is recorded. */
class BadInputTest {

    private final App app = App.demo();

    private int entries(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey).head();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1.4OO|Did you mean 1.400?", "0|is not above zero", "-31.5|is not above zero",
            "fast|is not a number",
            "10 000 000|faster than any spindle", "31.5 32|holds two numbers", "<script>alert(1)</script>|characters long"})
    void aReadingThatIsNoneIsRefusedWhereItWasTyped(String typed, String message) {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        page.fill("#reading", typed);
        page.keyboard().press("Enter");
        assertThat(page.locator("#wrong-reading").innerText()).contains(message);
        assertThat(page.inputValue("#reading")).isEqualTo(typed);
        assertThat(page.getAttribute("#reading", "aria-describedby")).isEqualTo("wrong-reading");
        assertThat(entries(survey)).isEqualTo(2);
    }

    @Test
    void twoReadingsNothingAndContradictionsAreRefused() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        Map<String, String> form = http.form("/surveys/" + survey + "/run", "/surveys/" + survey + "/run");
        String path = "/surveys/" + survey + "/run";
        assertThat(http.post(path, form, "author", "Q", "reading", "31.5", "turns", "10", "seconds", "19").body())
                .contains("Two readings for one run");
        assertThat(http.post(path, form, "author", "Q").body()).contains("Type the reading, or press a symptom");
        assertThat(http.post(path, form, "author", "Q", "reading", "31.5", "quiet", "yes", "symptom", "GROWLS").body())
                .contains("cannot both be said");
        assertThat(http.post(path, form, "author", "", "reading", "31.5").body()).contains("Write who is recording this")
                .contains("value=\"31.5\"");
        assertThat(http.post(path, form, "author", "Q", "reading", "31.5", "step", "9-9-9").body()).contains("not on the machine any more");
        assertThat(http.post(path, form, "author", "Q", "turns", "5", "seconds", "9").body())
                .contains("5 turns are too few to be sure. Count at least 10.");
        assertThat(entries(survey)).isEqualTo(2);
    }

    @Test
    void passingOverStrikingAndRemarkingNeedTheirText() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        String base = "/surveys/" + survey;
        assertThat(http.post(base + "/pass", http.form(base + "/run", base + "/pass"), "author", "Q", "reason", " ").body())
                .contains("Write why, in a few words");
        assertThat(http.post(base + "/entries/strike", http.form(base + "/entries?strike=2", base + "/entries/strike"), "author", "Q",
                "reason", "").body())
                .contains("Write why, in a few words");
        assertThat(http.post(base + "/entries/remark", http.form(base + "/entries", base + "/entries/remark"), "author", "Q", "text", "")
                .body())
                .contains("Write the remark first");
        assertThat(http.post("/surveys/3/start", http.form("/surveys/3/run", "/surveys/3/start"), "author", "Q", "safe", "BRAKE_OFF")
                .body())
                .contains("are not confirmed");
        assertThat(entries(survey)).isEqualTo(2);
    }

    @Test
    void aStaleFormSaysSoAndKeepsWhatWasTyped() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        String path = "/surveys/" + survey + "/run";
        Map<String, String> old = http.form(path, path);
        http.post(path, http.form(path, path), "author", "Q", "reading", "31.6");
        HttpResponse<String> stale = http.post(path, old, "author", "Q", "reading", "31.9", "remark", "half typed");
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body()).contains("Somebody wrote in this survey after this page was shown: entry 3 came meanwhile.")
                .contains("value=\"31.9\"").contains("half typed");
        assertThat(entries(survey)).isEqualTo(3);
    }

    /**
     * Two people at one machine: who comes second sees what came between, and sends what they typed with one key, or goes back to the form
     * with it.
     */
    @Test
    void whatCameMeanwhileIsSeenAndWhatWasTypedIsSentAllTheSame() {
        long survey = Scenes.readySurvey(app);
        String path = "/surveys/" + survey + "/run";
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url(path + "?step=0-0-0-0"));
        Http other = new Http(app);
        other.post("/surveys/" + survey + "/entries/remark",
                other.form("/surveys/" + survey + "/entries", "/surveys/" + survey + "/entries/remark"), "author", "J. Marsh, seller",
                "text", "the belt is new");
        page.fill("#reading", "31.6");
        page.fill("#remark", "by the window");
        page.click("button[value=record]");
        assertThat(browser.text()).contains("entry 3 came meanwhile", "the belt is new", "J. Marsh, seller", "What you typed", "31.6",
                "by the window");
        assertThat(entries(survey)).isEqualTo(3);
        page.click("text=Go back to the form with it");
        Browser.settle(page);
        assertThat(page.inputValue("#reading")).isEqualTo("31.6");
        assertThat(page.inputValue("#remark")).isEqualTo("by the window");
        other.post("/surveys/" + survey + "/entries/remark",
                other.form("/surveys/" + survey + "/entries", "/surveys/" + survey + "/entries/remark"), "author", "J. Marsh, seller",
                "text", "and the oil");
        page.click("button[value=record]");
        assertThat(browser.text()).contains("and the oil").doesNotContain("the belt is new");
        page.click("text=Record it as I typed it");
        assertThat(browser.text()).contains("recorded as entry 5: proven.");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aFormPostedTwiceWritesOnce() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        String path = "/surveys/" + survey + "/run";
        Map<String, String> form = http.form(path, path);
        HttpResponse<String> first = http.post(path, form, "author", "Q", "reading", "31.6");
        HttpResponse<String> second = http.post(path, form, "author", "Q", "reading", "31.6");
        assertThat(first.statusCode()).isEqualTo(302);
        assertThat(second.statusCode()).isEqualTo(302);
        assertThat(second.headers().firstValue("Location")).isEqualTo(first.headers().firstValue("Location"));
        assertThat(entries(survey)).isEqualTo(3);
    }

    @Test
    void markupStaysText() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        String path = "/surveys/" + survey + "/run";
        String markup = "<img src=x onerror=alert(1)>";
        http.post(path, http.form(path, path), "author", markup, "reading", "31.6", "remark", markup);
        for (String view : new String[] {"/run", "/entries", "/verdict/statement", "/verdict/print"}) {
            assertThat(http.get("/surveys/" + survey + view).body()).doesNotContain("<img").contains("&lt;img");
        }
    }

    @Test
    void aFormWithoutItsTokenRecordsNothing() {
        long survey = Scenes.readySurvey(app);
        Http http = new Http(app);
        Map<String, String> form = http.form("/surveys/" + survey + "/run", "/surveys/" + survey + "/run");
        form.remove("_csrf");
        HttpResponse<String> answer = http.post("/surveys/" + survey + "/run", form, "author", "Q", "reading", "31.6");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("lost its safety token");
        assertThat(entries(survey)).isEqualTo(2);
    }

    @Test
    void tenMegabytesAreRefusedWithAClearWord() {
        Http http = new Http(app);
        Map<String, String> form = http.form("/machines/new", "/machines");
        HttpResponse<String> answer = http.post("/machines", form, "pasted", "1,".repeat(5_000_000));
        assertThat(answer.statusCode()).isBetween(400, 499);
        assertThat(answer.body()).contains("nothing was recorded");
    }

    @Test
    void aPlateWithAMissingOrMistypedCellSaysWhichAndKeepsTheRest() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/new"));
        page.fill("#name", "Half a plate");
        page.fill("[name='stage1.name']", "range");
        page.fill("[name='stage1.positions']", "A B");
        page.fill("#author", "Q");
        page.click("button[formaction$='speeds/layout']");
        Browser.settle(page);
        page.fill("#cell0", "1OO");
        page.click(".closing button.is-ink");
        Browser.settle(page);
        assertThat(page.locator("#wrong-cell0").innerText()).contains("letter where a digit belongs");
        assertThat(page.locator("#wrong-cell1").innerText()).contains("Empty");
        assertThat(page.inputValue("#cell0")).isEqualTo("1OO");
        assertThat(page.inputValue("#name")).isEqualTo("Half a plate");
        assertThat(page.locator(".mend").innerText()).contains("Did you mean 100?");
    }

    @Test
    void leversNoMachineHasAreRefusedAtTheirRow() {
        Http http = new Http(app);
        String many = IntStream.range(0, 65).mapToObj(i -> "p" + i).collect(Collectors.joining(" "));
        Map<String, String> form = http.form("/machines/new", "/machines");
        String[] rows = {"name", "Wide", "author", "Q", "family", "LATHE", "unit", "MM", "stage0.name", "a", "stage0.kind",
                "GEAR",
                "stage0.shifting", "UNKNOWN", "stage0.positions", many, "stage1.name", "b", "stage1.kind", "GEAR", "stage1.shifting",
                "UNKNOWN",
                "stage1.positions", many};
        assertThat(http.post("/machines/new/speeds/layout", form, rows).body()).contains("has 65 positions; up to 16 are handled")
                .contains(many);
    }

    @Test
    void aPastedGridFillsInAndARepeatedCellIsNamed() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/new"));
        page.fill("[name='stage1.name']", "range");
        page.fill("[name='stage1.positions']", "A B");
        page.fill("[name='stage2.name']", "gear");
        page.fill("[name='stage2.positions']", "1 2");
        page.click("button[formaction$='speeds/layout']");
        Browser.settle(page);
        page.fill("#pasted", "range,gear,rpm\nA,1,50\nA,1,60\n");
        page.click("button[formaction$='speeds/paste']");
        Browser.settle(page);
        assertThat(page.locator("#wrong-pasted").innerText()).contains("A 1 is given twice");
        assertThat(page.inputValue("#pasted")).contains("A,1,60");
        page.fill("#pasted", "\t1\t2\nA\t50\t100\nB\t200\t400");
        page.click("button[formaction$='speeds/paste']");
        Browser.settle(page);
        assertThat(page.inputValue("#cell3")).isEqualTo("400");
        assertThat(page.inputValue("#cell0")).isEqualTo("50");
    }

    @Test
    void twoPeopleEditingAMachineDoNotOverwriteEachOtherSilently() {
        long survey = Scenes.readySurvey(app);
        long machine = app.bean(SurveyLibrary.class).survey(survey).machine().id();
        Browser one = Browser.open();
        Browser two = Browser.open();
        one.page().navigate(app.url("/machines/" + machine + "/edit"));
        two.page().navigate(app.url("/machines/" + machine + "/edit"));
        for (Browser browser : new Browser[] {one, two}) {
            browser.page().fill("#author", "Q");
            browser.page().fill("#seenAt", browser == one ? "shed one" : "shed two");
            browser.page().click(".closing button.is-ink");
            Browser.settle(browser.page());
        }
        assertThat(two.text()).contains("Somebody else changed this machine while you typed");
        assertThat(two.page().inputValue("#seenAt")).isEqualTo("shed two");
        assertThat(app.bean(SurveyLibrary.class).machine(machine).description().identity().seenAt()).isEqualTo("shed one");
        two.page().click(".closing button.is-ink");
        two.page().waitForSelector("#open-survey");
        assertThat(app.bean(SurveyLibrary.class).machine(machine).version()).isEqualTo(3);
    }

    /** A page elsewhere that gives this machine's address a name of its own gets no answer. */
    @Test
    void onlyThisMachinesOwnNamesAreAnswered() throws Exception {
        int port = java.net.URI.create(app.url("/")).getPort();
        try (java.net.Socket socket = new java.net.Socket("localhost", port)) {
            socket.getOutputStream().write("GET / HTTP/1.1\r\nHost: elsewhere.test\r\nConnection: close\r\n\r\n".getBytes(
                    java.nio.charset.StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
            assertThat(answer).startsWith("HTTP/1.1 400").doesNotContain("Aldwark");
        }
    }

    @Test
    void answersCarryTheirSafetyHeaders() {
        HttpResponse<String> answer = new Http(app).get("/");
        assertThat(answer.headers().firstValue("Content-Security-Policy").orElse("")).contains("script-src 'self'")
                .doesNotContain("unsafe");
        assertThat(answer.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(answer.body()).doesNotContain("https://").doesNotContain("//cdn");
    }
}
