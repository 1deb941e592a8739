package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** Lines of the acceptance chart from their readings to the chart, the print and the machine's own limits. */
class AccuracyScreensTest {

    private static final App APP = App.empty();

    @AfterAll
    static void close() {
        APP.close();
    }

    private static long lathe() {
        return APP.bean(MachineBooks.class).add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
    }

    private static long survey(long machine) {
        SurveyLibrary library = APP.bean(SurveyLibrary.class);
        SurveyBooks surveyBooks = APP.bean(SurveyBooks.class);
        StoredMachine described = library.machine(machine);
        return surveyBooks.open(described, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    /** Twelve readings of a level, by the keyboard alone; hollow by the headstock; scraped and run again: found and left both stand. */
    @Test
    void aLevelRunIsTypedDrawnAndKeptAsFoundAndAsLeft() {
        long survey = survey(lathe());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(APP.url("/surveys/" + survey + "/run?step=bed-straight"));
        run(page, "-4 -3 -1 1 0 1 2 2 2 0 0 0");
        assertThat(page.locator(".drawn svg").getAttribute("aria-label")).contains("Profile over 3");
        assertThat(browser.text()).contains("Humped only, hollow never.", "heights enlarged");
        run(page, "1 0 0 0 0 0 0 0 0 0 -1 0");
        page.navigate(APP.url("/surveys/" + survey + "/accuracy"));
        assertThat(browser.text()).contains("1 of 20 lines measured; 1 of those within workable.");
        String row = page.locator("tr:has-text('Bed straight along, upright')").innerText().replace('\u00a0', ' ');
        assertThat(row).matches("(?s).*-0\\.0\\d+ ± 0\\.0\\d+ mm.*0\\.00\\d+ ± 0\\.00\\d+ mm.*").contains("per 1");
        String print = new Http(APP).get("/surveys/" + survey + "/verdict/print").body();
        assertThat(print).contains("Acceptance chart", "Bed straight along, upright");
        assertThat(browser.complaints()).isEmpty();
    }

    private static void run(Page page, String divisions) {
        page.locator("input[name=confirmed]").all().forEach(box -> {
            box.focus();
            page.keyboard().press("Space");
        });
        page.fill("#f-feet", "250");
        page.fill("#f-divisions", divisions);
        page.fill("#author", "Q. Tester");
        String before = page.locator("[name=submission]").first().inputValue();
        page.click("button[value=good]");
        page.waitForFunction("b => document.querySelector('[name=submission]').value !== b", before);
        page.navigate(page.url().replaceFirst("\\?.*", "") + "?step=bed-straight");
    }

    /** Readings and result both, nothing, or no numbers: said where it was typed, and all of it still stands there. */
    @Test
    void whatIsMistypedIsSaidAtItsField() {
        long survey = survey(lathe());
        Http http = new Http(APP);
        String address = "/surveys/" + survey + "/step";
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=bed-straight", address);
        String[][] wrong = {{"divisions", "1 2 x", "is not one number"}, {"divisions", "1", "points"}, {"sensitivity", "0", "above nought"},
                {"feet", "", ""}};
        for (String[] w : wrong) {
            String body = http.post(address, form, "do", "good", "author", "Q", "confirmed", "LEVEL_AND_WARM|", "sensitivity", "0.02",
                    "feet", "250", "divisions", "1 2 3", w[0], w[1]).body();
            assertThat(body).as(w[0] + " " + w[1]).contains("wrong-" + w[0]);
        }
        String both = http.post(address, form, "do", "good", "author", "Q", "confirmed", "LEVEL_AND_WARM|", "sensitivity", "0.02", "feet",
                "250", "divisions", "1 2 3", "value", "0.01").body();
        assertThat(both).contains("Type the readings or the result, not both.", "value=\"1 2 3\"");
        String none = http.post(address, form, "do", "good", "author", "Q", "confirmed", "LEVEL_AND_WARM|", "sensitivity", "0.02").body();
        assertThat(none).contains("Type the readings, or the result alone");
    }

    /**
     * The maker's limit stands for the rebuilt grade; pasted by the names the table has, a name nobody knows is said with its line;
     * fit-out leaves it alone.
     */
    @Test
    void theMachinesOwnChartIsPastedAndStands() {
        long machine = lathe();
        Http http = new Http(APP);
        String chart = "/machines/" + machine + "/chart";
        Map<String, String> form = http.form(chart, chart);
        assertThat(http.get(chart).body()).contains("<title>A part moved, read at a dial that stands</title>",
                "<title>One difference on a dial</title>");
        assertThat(http.post(chart, form, "do", "paste", "pasted", "Nose; 0.01").body())
                .contains("Line 1, “Nose; 0.01”", ">Nose; 0.01</textarea>");
        String filled = http.post(chart, form, "do", "paste", "pasted", "Spindle nose: runout; 0.006; 0.003\nbed-straight,0.015,0.01")
                .body();
        assertThat(filled).contains("value=\"0.006\"", "value=\"0.003\"", "value=\"0.015\"");
        assertThat(http.post(chart, form, "do", "save", "author", "Q", "own.nose-runout.permissible", "0.006", "own.nose-runout.measured",
                "x").body()).contains("wrong-own.nose-runout.measured");
        assertThat(http.post(chart, form, "do", "save", "author", "Q", "own.nose-runout.permissible", "0.006", "own.nose-runout.measured",
                "0.003").statusCode()).isEqualTo(302);
        String fit = "/machines/" + machine + "/fitout";
        Map<String, String> fitForm = http.form(fit, fit);
        http.post(fit, fitForm, "do", "save", "author", "Q", "phases", "3", "volts", "415");
        long survey = survey(machine);
        String accuracy = http.get("/surveys/" + survey + "/accuracy").body();
        assertThat(accuracy).contains("0.006 mm · 0.02 mm · 0.04 mm", "its own chart permits 0.006 mm", "says 0.003 mm was measured");
        assertThat(http.get("/surveys/" + survey + "/run?step=nose-runout").body()).contains("0.006 mm · 0.02 mm · 0.04 mm");
    }

    @Test
    void aTestCutIsReckonedOnTheMachinesOwnSpeed() {
        Http http = new Http(App.demo());
        String cut = http.get("/surveys/5/cut?kind=DRILLING&material=STEEL&diameter=40&feed=0.3").body();
        assertThat(cut).contains("At 160 rpm it wants 2 kW; the spindle has 1.5 kW there.", "next above");
        assertThat(http.get("/surveys/5/cut?kind=DRILLING&material=STEEL&diameter=x&feed=0.3").body())
                .contains("wrong-diameter", "value=\"x\"");
        assertThat(http.verdict(5)).contains("it wants 2 kW; the spindle has 1.5 kW there");
    }

    /** Nobody says of a grinder which of the cuts it is tried with: it is asked. */
    @Test
    void aGrinderIsTriedWithNoCutOfAnotherFamily() {
        long survey = Scenes.readySurvey(App.demo(), KestrelVale.gransdaleCl().description());
        Http http = new Http(App.demo());
        assertThat(http.get("/surveys/" + survey + "/cut").body()).contains("choose one").doesNotContain("selected=\"selected\">face");
        assertThat(http.get("/surveys/" + survey + "/cut?kind=&material=STEEL&diameter=40&feed=0.3").body()).contains("wrong-kind");
        assertThat(http.get("/surveys/5/cut").body()).doesNotContain("choose one").containsPattern("At [\\d ]+ rpm it wants")
                .contains("Made it?");
    }

    private static long opened(tallledger.core.machine.MachineDescription description) {
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        SurveyBooks surveyBooks = App.demo().bean(SurveyBooks.class);
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        return surveyBooks.open(library.machine(machineBooks.add(description, "Q. Tester", tallledger.web.store.Submission.fresh(0))),
                "Q. Tester", "buyer", tallledger.core.survey.Scope.WHOLE, tallledger.web.store.Submission.fresh(0));
    }

    /** Half an inch where half a thou is meant: asked back with nothing written; one key says which, and the record has what was meant. */
    @Test
    void aReadingFarOverItsLimitIsAskedBack() {
        long survey = opened(KestrelVale.aldwark90().description());
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=nose-camming"));
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.fill("#author", "Q. Tester");
        page.fill("#f-value", "0.5");
        int before = library.survey(survey).entries().size();
        page.click("button[value=good]");
        page.waitForSelector(".ask-back");
        assertThat(browser.text()).contains("0.5 in is ", " times the limit of ", "It was meant as 0.5 thou", "It is 0.5 in");
        assertThat(page.inputValue("#f-value")).isEqualTo("0.5");
        assertThat(library.survey(survey).entries()).hasSize(before);
        page.click("text=It was meant as 0.5 thou");
        page.waitForURL("**done=**");
        var recorded = library.survey(survey).steps().all();
        assertThat(recorded.get(recorded.size() - 1).values().text("value")).isEqualTo("0.5 thou");
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=nose-camming"));
        page.fill("#author", "Q. Tester");
        page.fill("#f-value", "0.5");
        page.click("button[value=bad]");
        page.waitForSelector(".ask-back");
        page.click("text=It is 0.5 in");
        page.waitForURL("**done=**");
        recorded = library.survey(survey).steps().all();
        assertThat(recorded.get(recorded.size() - 1).values().text("value")).isEqualTo("0.5");
        assertThat(recorded.get(recorded.size() - 1).isBad()).isTrue();
        assertThat(browser.complaints()).isEmpty();
    }

    /** With the demo every reading can be taken; on a machine that is none of the demo's, nothing stands there. */
    @Test
    void aReadingIsTakenFromTheInstrument() {
        long survey = opened(KestrelVale.brinmoorK3().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=play.table"));
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.click("[data-take]");
        page.waitForFunction("() => document.querySelector('#f-value').value !== ''");
        assertThat(page.inputValue("#f-value")).matches("0\\.0\\d+ mm");
        page.waitForSelector(".weigh :text('mm')");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        tallledger.core.machine.MachineDescription k3 = KestrelVale.brinmoorK3().description();
        tallledger.core.machine.Identity i = k3.identity();
        long real = opened(new tallledger.core.machine.MachineDescription(new tallledger.core.machine.Identity("A real mill", i.maker(),
                i.model(), i.family(), i.serial(), i.year(), i.seenAt(),
                i.offeredBy(), i.unit()), k3.claims(), k3.train(), k3.plate(), k3.motor(), k3.feeds(), k3.fitOut()));
        page.navigate(App.demo().url("/surveys/" + real + "/run?step=play.table"));
        assertThat(page.locator("#f-value").count()).isEqualTo(1);
        assertThat(page.locator("[data-take]").count()).isZero();
        assertThat(App.demo().status("/surveys/" + real + "/take?step=play.table&field=value")).isEqualTo(404);
        assertThat(browser.complaints()).isEmpty();
    }

    /** A cut is reckoned, noted and then stands under the steps measured on it, its figures in their fields. */
    @Test
    void aTestCutIsNotedAndMeasuredOn() {
        long survey = opened(KestrelVale.aldwark410().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=turned-roughness"));
        assertThat(browser.text()).contains("No cut is noted");
        page.navigate(App.demo().url("/surveys/" + survey + "/cut?kind=TURNING&material=STEEL&diameter=40&feed=0.2&depth=1"));
        page.fill("#tool", "carbide, r 0.8");
        page.fill("#rpm", "fast");
        page.click("text=Note the cut");
        page.waitForSelector("#wrong-rpm");
        assertThat(page.inputValue("#tool")).isEqualTo("carbide, r 0.8");
        page.fill("#rpm", "180");
        page.click("text=Note the cut");
        page.waitForURL("**/run");
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=turned-roughness"));
        assertThat(browser.text()).contains("turning in steel, carbide, r 0.8: 40 mm across, 0.2 mm a turn, 180 rpm");
        assertThat(page.inputValue("#f-feed")).isEqualTo("0.2 mm");
        assertThat(page.inputValue("#f-past")).isEqualTo("22.62 m/min");
        page.fill("#f-ra", "2.0");
        page.fill("#f-nose", "0.8");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        var result = App.demo().bean(tallledger.web.library.SurveyLibrary.class).survey(survey).steps().all().get(0);
        assertThat(result.cut()).contains(2);
        assertThat(browser.complaints()).isEmpty();
    }

    /** A file goes into the form, not into the ledger; what was recorded comes out as both. */
    @Test
    void aTraceGoesInAndOutAsAFile() {
        long survey = opened(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=milled-roughness"));
        String csv = "x;z\n" + java.util.stream.IntStream.range(0, 1200)
                .mapToObj(i -> String.format(java.util.Locale.ROOT, "%.3f;%.3f", i * 0.005, 2 * Math.sin(2 * Math.PI * i * 0.005 / 0.06)))
                .collect(java.util.stream.Collectors.joining("\n"));
        page.fill("#remark", "across the lay");
        assertThat(page.isVisible("#file")).as("a trace is another way").isFalse();
        page.click(".ways summary");
        page.setInputFiles("#file", new com.microsoft.playwright.options.FilePayload("bad.csv", "text/csv",
                "0.1;2\n0.2;two\n".getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        page.click("text=Read the file");
        page.waitForSelector("#wrong-file");
        assertThat(browser.text()).contains("Line 2 is neither a height nor x and a height.");
        assertThat(page.inputValue("#remark")).isEqualTo("across the lay");
        page.setInputFiles("#file", new com.microsoft.playwright.options.FilePayload("good.csv", "text/csv",
                csv.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        page.click("text=Read the file");
        page.waitForSelector("text=Read from the file; nothing is recorded yet.");
        assertThat(page.inputValue("#f-spacing")).isEqualTo("0.005 mm");
        assertThat(page.isVisible("#f-trace")).as("what is in it is in sight").isTrue();
        assertThat(page.inputValue("#remark")).isEqualTo("across the lay");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("One spacing stands out: 0.06 mm");
        var http = new Http(App.demo());
        assertThat(http.get("/surveys/" + survey + "/traces/2.csv").body().lines().limit(3).toList())
                .containsExactly("x/mm;z/um", "0;0", "0.005;1");
        assertThat(http.get("/surveys/" + survey + "/entries").body()).contains("1,200 figures").doesNotContain("0.523 1.045");
        assertThat(http.get("/surveys/" + survey + "/traces/2.x3p").body()).startsWith("PK");
        assertThat(http.get("/surveys/" + survey + "/traces/1.csv").statusCode()).isEqualTo(404);
        assertThat(browser.complaints()).isEmpty();
    }

    /** Enter and the arrows go from field to field, and a row pasted from a sheet fills several. */
    @Test
    void figuresGoFromFieldToField() {
        long survey = opened(KestrelVale.castervaleU2().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=backlash.table"));
        page.focus("#f-minus");
        page.keyboard().type("0.10 0.11 0.10");
        page.keyboard().press("Enter");
        assertThat(page.evaluate("document.activeElement.id")).isEqualTo("f-middle");
        page.keyboard().press("ArrowDown");
        assertThat(page.evaluate("document.activeElement.id")).isEqualTo("f-plus");
        page.keyboard().press("ArrowUp");
        page.evaluate("() => { const d = new DataTransfer(); d.setData('text', '0.12\\n0.13\\n0.12'); "
                + "document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true "
                + "})); }");
        assertThat(page.inputValue("#f-middle")).isEqualTo("0.12 0.13 0.12");
        page.navigate(App.demo().url("/surveys/" + survey + "/run?step=xy-square"));
        page.focus("#f-square");
        page.evaluate("() => { const d = new DataTransfer(); d.setData('text', '0.012\\t-0.004\\t200'); "
                + "document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: d, bubbles: true, cancelable: true "
                + "})); }");
        assertThat(page.inputValue("#f-squareTurned")).isEqualTo("-0.004");
        assertThat(page.inputValue("#f-blade")).isEqualTo("200");
        assertThat(browser.complaints()).isEmpty();
    }
}
