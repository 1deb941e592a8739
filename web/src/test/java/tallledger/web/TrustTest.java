package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Cookie;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.family.FitOut;
import tallledger.core.family.StepId;
import tallledger.core.ledger.Authorship;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.safety.Mounted;
import tallledger.core.survey.Basis;
import tallledger.core.survey.Scope;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredMachine;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/**
 * The screens say what is so: start checks of what runs, marks of their own, windows with their owner, nothing decided by a slip of the
 * hand.
 */
class TrustTest {

    private final App app = App.demo();
    private final Http http = new Http(app);

    private long whole(MachineDescription description) {
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        StoredMachine machine = library.machine(machineBooks.add(description, "Q. Tester", Submission.fresh(0)));
        return surveyBooks.open(machine, "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private StoredSurvey survey(long id) {
        return app.bean(SurveyLibrary.class).survey(id);
    }

    private String page(long survey, String step) {
        return http.get("/surveys/" + survey + "/run?step=" + step).body();
    }

    /** Level, runout, play, backlash, travel by hand, lamp, dials: nothing turns for them, so nothing is to be ticked first. */
    @ParameterizedTest
    @ValueSource(strings = {"level", "nose-runout", "play.carriage", "backlash.carriage", "travel.carriage", "lamp", "double-dials"})
    void whatNeedsNothingToTurnAsksForNoStart(String step) {
        long survey = whole(KestrelVale.aldwark410().description());
        assertThat(page(survey, step)).doesNotContain("Before the spindle starts").contains("/surveys/" + survey + "/step");
    }

    @Test
    void theStepCanBeReadBeforeAnythingIsTicked() {
        long survey = whole(KestrelVale.aldwark410().description());
        assertThat(page(survey, "feed.carriage.minus")).contains("Before the spindle starts", "Then: <span>Carriage: feed to the "
                + "headstock</span>", "Half-nut open", "Chuck key out, and in your hand");
        assertThat(page(survey, "0-0-0-0")).contains("Then: <span>A1</span>", "31.5 rpm", "Set range to A, gear to 1");
        long grinder = whole(KestrelVale.eskholtC300().description());
        assertThat(page(grinder, "0-0")).contains("Wheel guard on", "Wheel dressed").doesNotContain("Half-nut");
    }

    /** A chuck's 300 rpm are not the faceplate's: each has its own fields, and only the chosen one's are read. */
    @Test
    void aChangeOfMountLeavesTheMarksBehind() {
        long survey = whole(KestrelVale.aldwark410().description());
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now().minusSeconds(7200), "Q"),
                Basis.of(LengthUnit.MM, 1, 1), List.of(), Mounted.parse(Mounted.Kind.CHUCK, "200", "300", "", "", LengthUnit.MM)),
                Submission.fresh(1));
        String form = page(survey, "0-0-0-0");
        assertThat(form).containsPattern("name=\"CHUCK.markedRpm\" value=\"300\"")
                .containsPattern("name=\"FACEPLATE.markedRpm\" value=\"\"");
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=0-0-0-0"));
        page.locator("input[name=safe]").all().forEach(c -> c.check());
        page.check("input[name=mounted][value=FACEPLATE]");
        assertThat(page.isVisible("[name='CHUCK.markedRpm']")).isFalse();
        page.fill("[name='FACEPLATE.diameter']", "300");
        page.click(".start button.is-ink");
        page.waitForSelector("#reading");
        assertThat(survey(survey).steps().mounted().orElseThrow().kind()).isEqualTo(Mounted.Kind.FACEPLATE);
        assertThat(survey(survey).steps().mounted().orElseThrow().markedRpm()).isEmpty();
    }

    @Test
    void whileSomethingStopsUseNothingIsStartedAndWhatMayBeDoneIsSaid() {
        long survey = whole(KestrelVale.brinmoorT1().description());
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=isolator", "/surveys/" + survey + "/step");
        assertThat(http.post("/surveys/" + survey + "/step", form, "author", "Q", "do", "bad", "remark", "no handle").statusCode())
                .isEqualTo(302);
        String run = page(survey, "0-0-0");
        assertThat(http.get("/surveys/" + survey + "/verdict/statement").body().split("were not run. Stops use"))
                .as("said once for all speeds")
                .hasSize(2);
        assertThat(run).contains("Stop use.", "can be done with nothing turning").doesNotContain("Before the spindle starts")
                .doesNotContain("id=\"reading\"");
        String feed = page(survey, "feed.carriage.minus");
        assertThat(feed).contains("Not run now: see above.").doesNotContain("id=\"f-distance\"")
                .doesNotContain("Before the spindle starts");
        assertThat(page(survey, "travel.carriage")).contains("id=\"f-value\"");
        Map<String, String> forged = http.form("/surveys/" + survey + "/run?step=lamp", "/surveys/" + survey + "/step");
        forged.put("step", "feed.carriage.minus");
        assertThat(http.post("/surveys/" + survey + "/step", forged, "author", "Q", "do", "good", "distance", "10", "turns", "50")
                .statusCode()).isEqualTo(422);
        assertThat(survey(survey).head()).isEqualTo(2);
    }

    /** Stopped and left, it may be started again for the survey's sake by who names what stops use; by nobody who does not. */
    @Test
    void whatStopsUseIsNamedAtTheNextStart() {
        long survey = whole(KestrelVale.brinmoorT1().description());
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=isolator", "/surveys/" + survey + "/step");
        http.post("/surveys/" + survey + "/step", form, "author", "Q", "do", "bad", "remark", "no handle");
        Map<String, String> left = http.form("/surveys/" + survey + "/run?step=lamp", "/surveys/" + survey + "/stop");
        assertThat(http.post("/surveys/" + survey + "/stop", left, "author", "Q").statusCode()).isEqualTo(302);
        String start = page(survey, "0-0-0");
        assertThat(start).contains("Before the spindle starts", "Stops use, and is still so", "name=\"known\" value=\"2\"")
                .doesNotContain("id=\"reading\"");
        List<String> safe = Pattern.compile("name=\"safe\" value=\"(\\w+)\"").matcher(start).results().map(m -> m.group(1)).toList();
        Map<String, String> starting = http.form("/surveys/" + survey + "/run?step=0-0-0", "/surveys/" + survey + "/start");
        starting.putAll(Map.of("author", "Q", "mounted", "NOTHING"));
        List<Map.Entry<String, String>> ticked = new ArrayList<>(starting.entrySet());
        safe.forEach(item -> ticked.add(Map.entry("safe", item)));
        var refused = http.post("/surveys/" + survey + "/start", ticked);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("Something that stops use is still open");
        ticked.add(Map.entry("known", "2"));
        assertThat(http.post("/surveys/" + survey + "/start", ticked).statusCode()).isEqualTo(302);
        assertThat(page(survey, "0-0-0")).contains("id=\"reading\"", "Nobody else uses the machine until it is repaired");
        assertThat(survey(survey).steps().sitting().despite()).containsExactly(2);
        assertThat(http.get("/surveys/" + survey + "/entries").body()).contains("started with this known and kept clear of: entry 2");
    }

    @Test
    void enterInARemarkDecidesNothing() {
        long survey = whole(KestrelVale.aldwark410().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=coolant"));
        page.fill("#remark", "pump dead");
        page.press("#remark", "Enter");
        page.waitForSelector("#wrong-decide");
        assertThat(browser.text()).contains("Enter decides nothing here");
        assertThat(page.inputValue("#remark")).isEqualTo("pump dead");
        assertThat(survey(survey).head()).isEqualTo(1);
        page.click("button[value=bad]");
        page.waitForSelector(".done");
        assertThat(survey(survey).steps().latest().get(StepId.read("coolant")).isBad()).isTrue();
    }

    /** The form is refused, the surveyor looks elsewhere and comes back: nobody else wrote anything, so nothing is said of anybody. */
    @Test
    void afterARefusalGoingElsewhereAndBackIsNoOtherWindow() {
        long survey = whole(KestrelVale.aldwark410().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=serial"));
        page.fill("#remark", "under the paint");
        page.click("button[value=good]");
        page.waitForSelector("#wrong-text");
        page.navigate(app.url("/surveys/" + survey + "/run?step=lamp"));
        page.click("button[value=good]");
        page.waitForSelector(".done");
        page.navigate(app.url("/surveys/" + survey + "/run?step=serial"));
        assertThat(page.inputValue("#remark")).isEqualTo("under the paint");
        page.fill("#f-text", "410-7781");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        assertThat(survey(survey).steps().latest().get(StepId.read("serial")).remark()).isEqualTo("under the paint");
    }

    /** Half typed, then another page and back: it is there, with rows the server has to lay out first. */
    @Test
    void whatIsHalfTypedOnLargeFormsComesBack() {
        long survey = whole(KestrelVale.castervaleU2().description());
        long machine = survey(survey).machine().id();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        page.fill("#axis0\\.travel", "905 mm");
        page.navigate(app.url("/machines/" + machine));
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        assertThat(page.inputValue("#axis0\\.travel")).isEqualTo("905 mm");
        page.click(".closing button.is-ink");
        page.waitForURL("**/machines/" + machine);
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        assertThat(page.locator(".connection").isVisible()).isFalse();
        page.navigate(app.url("/machines/new"));
        page.fill("#name", "Half a machine");
        page.fill("[name='stage1.name']", "gear");
        page.fill("[name='stage1.positions']", "1..3");
        page.fill("[name='stage0.values']", "1440");
        page.click("button[formaction$='speeds/layout']");
        page.waitForSelector("#cell2");
        page.fill("#cell2", "180");
        page.navigate(app.url("/"));
        page.navigate(app.url("/machines/new"));
        assertThat(page.inputValue("#name")).as("another description is begun, and the half-typed one offered").isEmpty();
        assertThat(page.innerText(".connection")).contains("“Half a machine”");
        page.fill("#name", "A second one");
        page.navigate(app.url("/machines/new"));
        assertThat(page.innerText(".connection")).contains("“A second one”", "and 1 older");
        page.click(".connection button:has-text('Forget it')");
        assertThat(page.innerText(".connection")).contains("“Half a machine”").doesNotContain("older");
        page.click(".connection button:has-text('Go on with it')");
        page.waitForSelector("#cell2");
        assertThat(page.inputValue("#cell2")).isEqualTo("180");
        assertThat(page.inputValue("#name")).isEqualTo("Half a machine");
        assertThat(page.innerText(".connection")).contains("What you had half typed here is back");
        page.click(".connection button:has-text('Forget it')");
        page.waitForURL("**/machines/new");
        Browser.settle(page);
        page.navigate(app.url("/machines/new"));
        assertThat(page.locator(".connection").isVisible()).isFalse();
        page.navigate(app.url("/surveys/" + survey + "/kit"));
        page.fill("#name", "dividing head");
        page.fill("#saidBy", "the keeper");
        page.navigate(app.url("/"));
        page.navigate(app.url("/surveys/" + survey + "/kit"));
        assertThat(page.inputValue("#name")).isEqualTo("dividing head");
        assertThat(page.inputValue("#saidBy")).isEqualTo("the keeper");
        assertThat(browser.complaints()).isEmpty();
    }

    /** 10 turns in 18.8 s: what the last digit is worth is seen while the spindle still turns. */
    @Test
    void whatTheLastDigitIsWorthIsSaidBeforeItIsRecorded() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=0-0-0-0"));
        page.click(".ways summary");
        page.fill("#turns", "10");
        page.fill("#seconds", "18.8");
        page.waitForSelector(".weigh:has-text('31.9')");
        assertThat(page.locator(".weigh").innerText().replace('\u00a0', ' ')).contains("As typed: 31.9 ± ").contains("29.61");
        assertThat(survey(survey).head()).isEqualTo(2);
        long whole = whole(KestrelVale.castervaleU2().description());
        Map<String, String> form = http.form("/surveys/" + whole + "/run?step=travel.table", "/surveys/" + whole + "/step");
        assertThat(http.post("/surveys/" + whole + "/weigh", form, "value", "891.2 mm").body()).contains("As typed:", "too close");
        assertThat(http.post("/surveys/" + whole + "/weigh", form, "value", "rot").body()).contains("refused. ");
        assertThat(http.post("/surveys/" + whole + "/weigh", form, "value", "").body()).doesNotContain("As typed:");
    }

    /** Keys say "pedal down", the log's own word is pedal-down: both are read; each window says whose it is. */
    @Test
    void aCyclesWindowsAreOwnedAndItsWordsAreRead() {
        long survey = whole(KestrelVale.dunmarshP20().description());
        app.bean(Books.class).append(survey, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), Basis.of(LengthUnit.MM, 1, 1),
                List.of(), Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)), Submission.fresh(1));
        assertThat(page(survey, "pedal")).contains("0–12 s after (house rule)", "3 s or more after (house rule)");
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=pedal", "/surveys/" + survey + "/step");
        survey(survey).steps().asked(survey(survey).steps().step("pedal").orElseThrow())
                .forEach(a -> form.put("confirmed", a.need().written()));
        HttpResponse<String> answer = http.post("/surveys/" + survey + "/step", form, "author", "Q", "do", "good", "wait", "3", "stop",
                "12", "log", "runs 0\npedal down 3\nStops 5\npedal-up 8\nstays stopped 12");
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        assertThat(http.get("/surveys/" + survey + "/run?done=3").body())
                .contains("too close to call", "Good as far as it goes; the log ends before");
    }

    @Test
    void anAxisKeepsItsClampWhateverItIsCalled() {
        MachineDescription drill = KestrelVale.dunmarshR50().description();
        long survey = whole(drill);
        long machine = survey(survey).machine().id();
        Map<String, String> form = http.form("/machines/" + machine + "/fitout", "/machines/" + machine + "/fitout");
        assertThat(form.values()).contains("arm");
        FitOut fitOut = survey(survey).machine().description().fitOut();
        int arm = fitOut.axes().indexOf(fitOut.axis(Axis.Role.ARM).orElseThrow());
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/" + machine + "/fitout"));
        page.fill("#axis" + arm + "\\.name", "Ausleger");
        page.click(".closing button.is-ink");
        page.waitForURL("**/machines/" + machine);
        MachineDescription now = app.bean(SurveyLibrary.class).machine(machine).description();
        assertThat(now.fitOut().axis(Axis.Role.ARM).orElseThrow().name()).isEqualTo("Ausleger");
        long again = app.bean(SurveyBooks.class).open(app.bean(SurveyLibrary.class).machine(machine), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
        app.bean(Books.class).append(again, SurveyEntries.startConfirmed(Authorship.of(Instant.now(), "Q"), Basis.of(LengthUnit.MM, 1, 1),
                List.of(), Mounted.parse(Mounted.Kind.NOTHING, "", "", "", "", LengthUnit.MM)), Submission.fresh(1));
        assertThat(page(again, "rapid.arm.minus")).contains("Ausleger: clamp released");
    }

    /** An inch plate is judged in inches, by the turn: .100 in over 50 turns is .002 in. */
    @Test
    void aFeedPlateHasItsUnitAndItsPer() {
        Browser browser = Browser.open();
        Page page = browser.page();
        long survey = whole(KestrelVale.dunmarshR50().description());
        long machine = survey(survey).machine().id();
        page.navigate(app.url("/machines/" + machine + "/edit"));
        page.click("#moves summary");
        page.selectOption("#feedUnit", "INCH");
        page.selectOption("#feedPer", "MIN");
        page.fill("#author", "Q");
        page.click(".closing button.is-ink");
        page.waitForURL("**/machines/" + machine);
        assertThat(browser.text()).contains("Feed plate, in/min");
        assertThat(app.bean(SurveyLibrary.class).machine(machine).description().feeds().orElseThrow().promised(List.of("I", "1"))
                .orElseThrow())
                .isEqualByComparingTo("1.27");
    }

    /** What XML forbids would break the report for ever, what cannot be seen would deceive: refused where it is typed, the rest kept. */
    @ParameterizedTest
    @ValueSource(strings = {"bell \u0007", "nul \u0000", "tab \u000b", "escape \u001b", "\ufffe", "evil \u202Egnp.exe", "\u200b\u200b"})
    void whatCannotBePrintedIsRefusedWhereItIsTyped(String text) {
        long survey = Scenes.readySurvey(app);
        Map<String, String> form = http.form("/surveys/" + survey + "/entries", "/surveys/" + survey + "/entries/remark");
        HttpResponse<String> answer = http.post("/surveys/" + survey + "/entries/remark", form, "author", "Q", "text", text);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(survey(survey).head()).isEqualTo(2);
        assertThat(http.get("/surveys/" + survey + "/verdict.pdf").statusCode()).isEqualTo(200);
    }

    @Test
    void bentCookiesAndParametersAreNoErrors() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.context().addCookies(List.of(new Cookie("writer", "%zz").setUrl(app.url("/"))));
        assertThat(page.navigate(app.url("/surveys/3/run")).status()).isEqualTo(200);
        assertThat(http.get("/machines/new?start=%ff").statusCode()).isIn(200, 400);
        assertThat(new Http(app).get("/machines/1").headers().allValues("Set-Cookie"))
                .anySatisfy(c -> assertThat(c).contains("XSRF-TOKEN").contains("SameSite=Strict"));
    }

    /** Forward was run, reverse was not: the print says so of each. */
    @Test
    void thePrintMarksOnlyWhatWasRun() {
        long survey = Scenes.readySurvey(app);
        Map<String, String> form = http.form("/surveys/" + survey + "/run?step=0-0-0-0", "/surveys/" + survey + "/run");
        http.post("/surveys/" + survey + "/run", form, "author", "Q", "reading", "31.6", "do", "record");
        String print = http.get("/surveys/" + survey + "/verdict/print").body();
        String speeds = print.substring(print.indexOf("Read, rpm"), print.indexOf("</table>", print.indexOf("Read, rpm")));
        assertThat(speeds.split("mark is-proven", -1).length - 1).as("one run, one mark").isEqualTo(1);
    }

    @Test
    void stagesThatContradictThePlateAreSaid() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/new"));
        page.fill("[name='stage0.values']", "1440");
        page.fill("[name='stage1.name']", "belt");
        page.selectOption("[name='stage1.kind']", "BELT");
        page.fill("[name='stage1.positions']", "1 2");
        page.fill("[name='stage1.values']", "100/200 100/100");
        page.click("button[formaction$='speeds/layout']");
        page.waitForSelector("#cell1");
        page.fill("#cell0", "720");
        page.fill("#cell1", "1000");
        page.waitForSelector(".live li.is-doubt");
        assertThat(page.locator(".live").innerText().replace('\u00a0', ' '))
                .contains("The stages as described give other speeds than the plate at one place: 2 gives 1 440, the plate says 1 000");
    }
}
