package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.plate.PlateCell;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** What comes from elsewhere is looked at first, line by line; then all of it is recorded, or none. */
class BroughtInTest {

    private final App app = App.demo();
    private final Http http = new Http(app);

    private long machine() {
        return app.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
    }

    private long survey() {
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        return surveyBooks.open(library.machine(machine()), "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private StoredSurvey now(long survey) {
        return app.bean(SurveyLibrary.class).survey(survey);
    }

    private static FilePayload file(String name, String text) {
        return new FilePayload(name, "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    private String told(String path, String text, String kind) {
        Map<String, String> form = http.form(path, path);
        return http.post(path, form, "author", "Q. Tester", "text", text, "kind", kind, "do", "look")
                .body().replace('\u00a0', ' ').replaceAll("<[^>]+>", " ").replace("&#39;", "'").replaceAll("\\s+", " ");
    }

    /** By its keys: chosen, looked at, mended where it was typed, recorded; and told in Entries where it came from. */
    @Test
    void readingsComeInAsATable() {
        long survey = survey();
        int before = now(survey).head();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/table"));
        page.setInputFiles("#file", file("../morning.csv",
                "\ufeffposition,read rpm,symptoms,not as it should,remark,weather\r\nA1,31.9,,,,rain\r\nA2,45.6,\"growls, "
                        + "whines\",,\"by the\nwindow\",rain\r\nlamp,,,maybe,no bulb,\r\nQ9,12,,,,\r\n"));
        page.fill("#author", "Q. Tester");
        page.click("text=Show what it makes");
        assertThat(browser.text()).contains("Correct these first", "A1: 31.9 rpm", "A2: 45.6 rpm, growls, whines, by the window",
                "“maybe” is neither", "This machine has no speed or step “Q9”. Its speeds are written like A1", "Passed over: weather");
        assertThat(page.locator("tr.is-wrong td").first().innerText()).as("the line it is on, behind a line break in a cell")
                .isEqualTo("5");
        assertThat(page.locator("button:has-text('Record it')").count()).isZero();
        page.fill("#text", page.inputValue("#text").replace("maybe", "yes").replace("Q9,12,,,,", ""));
        page.waitForSelector("button:has-text('Record it')");
        assertThat(page.url()).as("said as it is typed").endsWith("/table");
        assertThat(browser.text()).contains("What will be recorded", "not good, no bulb");
        assertThat(now(survey).head()).as("nothing so far").isEqualTo(before);
        page.click("text=Record it");
        page.waitForURL("**/entries");
        assertThat(browser.text()).contains("from a table, morning.csv, line 2", "from a table, morning.csv, line 5");
        assertThat(now(survey).head()).isEqualTo(before + 3);
        assertThat(now(survey).folded().counting()).hasSize(2);
        assertThat(browser.complaints()).allMatch(c -> c.contains("422"));
    }

    /** What was handed over as a table is read elsewhere. */
    @Test
    void whatWasExportedIsRead() throws Exception {
        String readings = new String(new Zipped(app.url("/surveys/3/survey.zip")).file("readings.csv"), StandardCharsets.UTF_8);
        long survey = survey();
        assertThat(told("/surveys/" + survey + "/table", readings, "readings")).contains("What will be recorded", "A1: 32.2 rpm",
                "growls").doesNotContain("To mend");
        String kit = new String(new Zipped(app.url("/surveys/3/survey.zip")).file("kit.csv"), StandardCharsets.UTF_8);
        assertThat(told("/surveys/" + survey + "/table", kit, "kit")).contains("What will be recorded",
                ": missing").doesNotContain("To mend");
    }

    /** Pressed twice it is recorded once; a second look says what is there already. */
    @Test
    void kitComesInOnce() {
        long survey = survey();
        String path = "/surveys/" + survey + "/table";
        Map<String, String> form = http.form(path + "?kind=kit", path);
        String text = "piece;state;to replace;due\nsteady rest;missing;180;\nmanual;awaited;;2027-01-31\n";
        for (int press = 0; press < 2; press++) {
            assertThat(http.post(path, form, "author", "Q. Tester", "kind", "kit", "text", text, "do",
                    "record").statusCode()).isEqualTo(302);
        }
        assertThat(now(survey).steps().kit().items()).hasSize(2);
        assertThat(now(survey).head()).isEqualTo(3);
        assertThat(told(path, text, "kit")).contains("steady rest: as recorded already").doesNotContain("Record it");
        Map<String, String> again = http.form(path, path);
        assertThat(http.post(path, again, "author", "Q. Tester", "kind", "kit", "text", text, "do", "record")
                .body()).contains("Nothing in it is new");
    }

    @Test
    void whatIsWrongIsSaid() {
        long survey = survey();
        String path = "/surveys/" + survey + "/table";
        assertThat(told(path, "", "readings")).contains("Choose a file of comma-separated values");
        assertThat(told(path, "position,read rpm\n", "readings")).contains("There is no row under the heading row");
        assertThat(told(path, "where,read rpm\nA1,31", "readings")).contains("lacks “position”");
        assertThat(told(path, "position,read rpm\nA1,fast", "readings")).contains("Correct these first");
        assertThat(told(path, "position,read rpm\nA1,31\nA1,32", "readings")).contains("is already in line 2");
        assertThat(told(path, "position,symptoms\nA1,sings", "readings")).contains("“sings” is not a symptom");
        assertThat(told(path, "position,read rpm\n\"A1,31", "readings")).contains("a quotation mark is left open");
        assertThat(told(path, "position,read rpm\n" + "A1,31\n".repeat(600), "readings")).contains("600 rows; at most 500");
        assertThat(told(path, "piece,state\nchuck,perhaps", "kit")).contains("“perhaps” is not a state of a piece");
        assertThat(told(path, "piece,state,to replace\nchuck,seen,much", "kit")).contains("Correct these first");
        Map<String, String> form = http.form(path, path);
        assertThat(http.post(path, form, "author", "Q. Tester", "kind", "readings", "text", "position,read rpm\nA1,31.9\nA2,fast", "do",
                "record").statusCode()).isEqualTo(422);
        assertThat(now(survey).head()).as("all or none").isEqualTo(1);
    }

    @Test
    void aPlateComesInAsATable() {
        long machine = machine();
        String path = "/machines/" + machine + "/table";
        String text = "A,1,31.5\nA,2,46\nB,3,?\n";
        assertThat(told(path, text, "")).contains("A 1: 31.5, as it is", "A 2: 46, was 45", "B 3: ?, was 280");
        Map<String, String> form = http.form(path, path);
        assertThat(http.post(path, form, "author", "Q. Tester", "text", text, "do", "record").statusCode()).isEqualTo(302);
        StoredMachine now = app.bean(SurveyLibrary.class).machine(machine);
        assertThat(now.version()).isEqualTo(2);
        assertThat(now.description().plate().cell(java.util.List.of("B", "3"))).isInstanceOf(PlateCell.Unreadable.class);
        assertThat(told(path, "A,1,31.5\nA,9,46\n", "")).contains("Correct these first");
        assertThat(told(path, "A,1,fast", "")).contains("Correct these first", "A 1:");
    }

    /** As text and as JSON, by its page; put on another shelf it is the same machine. */
    @Test
    void aDescriptionIsTakenAwayAndBroughtIn() {
        long machine = machine();
        String described = CanonicalJson.write(app.bean(SurveyLibrary.class).machine(machine).description().toPayload());
        Browser browser = Browser.open();
        Page page = browser.page();
        for (String kind : new String[] {"txt", "json"}) {
            String taken = http.get("/machines/" + machine + "/description." + kind).body();
            page.navigate(app.url("/machines/new"));
            page.click(".starts summary");
            page.click(".starts a:has-text('a file')");
            page.setInputFiles("#file", file("m." + kind, taken.replace("Aldwark 410", "Brought " + kind)));
            page.fill("#author", "Q. Tester");
            page.click("text=Show what it makes");
            assertThat(browser.text()).contains("Brought " + kind, "12 speeds by 2 levers");
            page.click("text=Put it on the shelf");
            page.waitForURL(url -> url.matches(".*/machines/\\d+"));
            long id = Long.parseLong(page.url().replaceAll(".*/", ""));
            assertThat(CanonicalJson.write(app.bean(SurveyLibrary.class).machine(id).description().toPayload()))
                    .isEqualTo(described.replace("Aldwark 410", "Brought " + kind));
        }
    }

    /** Text and JSON of strangers. */
    @Test
    void whatIsNoDescriptionIsSaid() {
        Map<String, String> form = http.form("/machines/bring", "/machines/bring");
        for (String text : new String[] {"", "hello", "{", "{}", "{\"identity\":7}", "[]", "{\"identity\":{\"name\":\"x\"}}",
                "{\"a\":" + "[".repeat(3_000) + "]".repeat(3_000) + "}",
                CanonicalJson.write(KestrelVale.aldwark410().description().toPayload()).replaceAll("\"rpm\":\"[^\"]*\"",
                        "\"rpm\":\"1e999999999\"")}) {
            var answer = http.post("/machines/bring", form, "author", "Q", "text", text, "do", "record");
            assertThat(answer.statusCode()).as(text.substring(0, Math.min(40, text.length()))).isEqualTo(422);
            assertThat(answer.body()).contains("role=\"alert\"");
        }
        Page page = Browser.open().page();
        page.navigate(app.url("/machines/bring"));
        page.setInputFiles("#file", new FilePayload("x.txt", "text/plain", new byte[] {(byte) 0xff, (byte) 0xfe, 0, 65}));
        page.click("text=Show what it makes");
        assertThat(page.innerText("#wrong-text")).contains("not text in UTF-8");
    }
}
