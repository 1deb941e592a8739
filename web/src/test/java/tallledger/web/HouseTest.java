package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.reading.SpeedReading;
import tallledger.core.rules.Rule;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.housebook.Houses;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** The house's numbers are changed in their place, in versions; a survey judges by its own until it adopts another. */
class HouseTest {

    @TempDir
    static Path data;
    private static App app;
    private final Http http = new Http(app);

    @BeforeAll
    static void start() {
        app = App.on(data);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static StoredSurvey survey(long id) {
        return app.bean(SurveyLibrary.class).survey(id);
    }

    /** A drill whose slowest speed is read so many per cent above its plate. */
    private static long read(double percent) {
        long id = Scenes.readySurvey(app, KestrelVale.dunmarshP20().description());
        StoredSurvey survey = survey(id);
        var route = survey.folded().steps().get(0);
        double rpm = survey.folded().table().nominal(route).orElseThrow().doubleValue() * (1 + percent / 100);
        RunRecord record = new RunRecord(survey.folded().machine().train().settings(route),
                Optional.of(SpeedReading.byTachometer(String.format(java.util.Locale.ROOT, "%.1f", rpm))), Set.of(),
                Optional.empty(), false, false, false, "");
        app.bean(Books.class).append(id,
                SurveyEntries.run(Authorship.of(Instant.now(), "Q. Tester"), survey.basis(), survey.folded(), record),
                Submission.fresh(survey.head()));
        return id;
    }

    private Map<String, String> form(String rule) {
        return http.form("/house?rule=" + rule, "/house/rules/" + rule);
    }

    /** As a person does it: looks what it changes, saves, goes to the survey, adopts. */
    /** The parts first; each number stands in one of them, and is found by any word of its name, source or part. */
    @Test
    void numbersAreFoundByPartAndByWord() {
        Http http = new Http(app);
        String parts = http.get("/house").body();
        for (Rule.Group group : Rule.Group.values()) {
            assertThat(parts).contains("part=" + group);
        }
        assertThat(parts).doesNotContain("id=\"rule-");
        for (Rule.Group group : Rule.Group.values()) {
            String part = http.get("/house?part=" + group).body();
            for (Rule rule : Rule.values()) {
                assertThat(part.contains("id=\"rule-" + rule + "\"")).as(group + " " + rule)
                        .isEqualTo(rule.group() == group && !rule.isRetired());
            }
        }
        assertThat(http.get("/house?find=Nose%20RUNOUT").body()).contains("id=\"rule-LATHE_NOSE\"")
                .doesNotContain("id=\"rule-COLD_STEP\"");
        assertThat(http.get("/house?part=NOWHERE&find=%20").body()).contains("part=LIMITS").doesNotContain("id=\"rule-");
        assertThat(http.get("/house?find=%3Cimg%20src=x%3E").body()).contains("holds “&lt;img src=x&gt;”").doesNotContain("<img src=x");
        assertThat(http.get("/house?find=" + "a+".repeat(3000)).statusCode()).isEqualTo(200);
    }

    @Test
    void aChangeIsLookedAtSavedAndAdopted() {
        long id = read(4.5);
        assertThat(survey(id).folded().runs().get(0).outcome()).isEqualTo(Outcome.PROVEN);
        int before = app.bean(Houses.class).head();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/house"));
        page.fill("#find", "SPINDLE speed");
        page.press("#find", "Enter");
        page.click("[aria-label^='Change: spindle speed']");
        page.fill("#figure-value", "3 %");
        page.fill("#reason", "ours run on synchronous motors");
        page.fill("#author", "J. Marsh, inspector");
        page.click("text=See what it changes");
        assertThat(browser.text()).contains("would judge something otherwise if", "Dunmarsh P20", "judges by version", "proven",
                "→ failed");
        assertThat(app.bean(Houses.class).head()).as("looking writes nothing").isEqualTo(before);
        page.click("text=Save it");
        assertThat(browser.text()).contains("Changed here; it ships as 6.", "J. Marsh: 3 %: ours run on synchronous motors");
        assertThat(app.bean(Houses.class).newest().rules().number(Rule.SPEED_TOLERANCE)).isEqualByComparingTo("3");
        assertThat(survey(id).folded().runs().get(0).outcome()).as("judged by its own version").isEqualTo(Outcome.PROVEN);

        page.navigate(app.url("/surveys/" + id + "/run"));
        assertThat(browser.text()).contains("The house’s rules are at version " + (before + 1) + "; this survey judges by version "
                + before);
        page.click("text=Judge by the newer ones");
        assertThat(browser.text()).doesNotContain("Judge by the newer ones");
        assertThat(survey(id).folded().runs().get(0).outcome()).isEqualTo(Outcome.FAILED);
        assertThat(survey(id).basis().rules()).isEqualTo(before + 1);
        page.navigate(app.url("/surveys/" + id + "/entries"));
        assertThat(browser.text()).contains("Judged by version " + (before + 1) + " of the house’s rules from here on.",
                "When it was written this was judged proven.");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatMakesNoSenseIsSaidAtItsFieldAndNothingTypedIsLost() {
        Map<String, String> form = form("LATHE_300");
        String crossed = http.post("/house/rules/LATHE_300", form, "act", "look", "author", "Q", "reason", "why", "rebuilt", "0.05",
                "sound", "0.04", "workable", "0.08").body();
        assertThat(crossed).contains("id=\"wrong-sound\"", "0.05 is followed by 0.04", "value=\"0.05\"",
                "value=\"why\"");
        String typed = http.post("/house/rules/LATHE_300", form, "act", "look", "rebuilt", "a hair", "sound", "0.04", "workable", "0.08")
                .body();
        assertThat(typed).contains("id=\"wrong-rebuilt\"", "value=\"a hair\"");
        assertThat(http.post("/house/rules/LATHE_300", form, "act", "look", "author", "Q", "rebuilt", "0.01", "sound", "0.04", "workable",
                "0.08").body())
                .contains("id=\"wrong-reason\"", "value=\"0.01\"");
        assertThat(http.post("/house/rules/NO_SUCH", form, "act", "look").statusCode()).isEqualTo(404);
        assertThat(app.bean(Houses.class).newest().rules().isChanged(Rule.LATHE_300)).isFalse();
    }

    /** What is saved is what was looked at: other figures are looked at first. */
    @Test
    void onlyWhatWasLookedAtIsSaved() {
        Map<String, String> form = form("COLD_STEP");
        assertThat(http.post("/house/rules/COLD_STEP", form, "act", "save", "author", "Q", "reason", "why", "value", "3").statusCode())
                .isEqualTo(200);
        assertThat(http.post("/house/rules/COLD_STEP", form, "act", "save", "author", "Q", "reason", "why", "value", "2", "looked", "3")
                .statusCode()).isEqualTo(200);
        assertThat(app.bean(Houses.class).newest().rules().isChanged(Rule.COLD_STEP)).isFalse();
        assertThat(http.post("/house/rules/COLD_STEP", form, "act", "save", "author", "", "reason", "why", "value", "3", "looked", "3")
                .body()).contains("id=\"wrong-author\"");
        for (int press = 0; press < 2; press++) {
            assertThat(http.post("/house/rules/COLD_STEP", form, "act", "save", "author", "Q", "reason", "why", "value", "3", "looked", "3")
                    .statusCode()).isEqualTo(302);
        }
        assertThat(app.bean(Houses.class).book().historyOf(Rule.COLD_STEP)).as("pressed twice, written once").hasSize(1);
    }

    @Test
    void twoPeopleChangingOneRuleAreToldOfEachOther() {
        Map<String, String> mine = form("BACKLASH");
        Map<String, String> theirs = form("BACKLASH");
        String[] look = {"act", "save", "author", "Q", "reason", "mine", "rebuilt", "0.04", "sound", "0.10", "workable", "0.30", "looked",
                "0.04 0.10 0.30"};
        assertThat(http.post("/house/rules/BACKLASH", mine, look).statusCode()).isEqualTo(302);
        look[5] = "theirs";
        var told = http.post("/house/rules/BACKLASH", theirs, look);
        assertThat(told.statusCode()).isEqualTo(409);
        assertThat(told.body()).contains("somebody else changed it", "value=\"theirs\"", "Q</span>: <span>0.04 / 0.10 / 0.30 mm: mine");
    }

    @Test
    void whatAStepTakesIsChanged() {
        Map<String, String> form = http.form("/house/steps?step=lock", "/house/steps/lock");
        assertThat(http.post("/house/steps/lock", form, "act", "save", "author", "Q", "reason", "stiff", "seconds", "1.5").body())
                .contains("id=\"wrong-seconds\"");
        assertThat(http.post("/house/steps/lock", form, "act", "save", "author", "Q", "reason", "stiff", "seconds", "240").statusCode())
                .isEqualTo(302);
        long id = Scenes.readySurvey(app);
        assertThat(survey(id).steps().steps()).filteredOn(s -> s.code().equals("lock")).isNotEmpty().allMatch(s -> s.seconds() == 240);
        assertThat(http.get("/house/steps?step=lock").body()).contains("Changed here; it ships as", "240 s: stiff");
        assertThat(http.post("/house/steps/nothing", form, "act", "save", "seconds", "20").statusCode()).isEqualTo(404);
    }

    @Test
    void theTableOfChecksIsChangedWholeAndABadLineNamed() {
        String head = "symptom,element,check,low,likely,high\n";
        Map<String, String> form = new LinkedHashMap<>(http.form("/house/checks", "/house/checks"));
        form.putAll(Map.of("author", "Q", "reason", "ours", "act", "save"));
        assertThat(http.post("/house/checks", form, "csv", head + "GROWLS,GEAR,Look,5,1,9").body())
                .contains("id=\"wrong-csv\"", "Line 2: Costs must climb", "GROWLS,GEAR,Look,5,1,9");
        assertThat(http.post("/house/checks", form, "csv", head + "SINGS,GEAR,Look,1,1,9").body())
                .contains("“SINGS” is neither a symptom nor a system");
        assertThat(http.post("/house/checks", form, "csv", "a,b\n1,2").body()).contains("“symptom” is missing");
        long before = Scenes.readySurvey(app, KestrelVale.hexthorneVc().description());
        String mine = head + "HUNTS,COMMANDED,Listen at the valve,0,0,0\nGROWLS,,\"Empty drawbar rattling, loose guard?\",0,0,0\n";
        assertThat(http.post("/house/checks", form, "csv", mine).statusCode()).isEqualTo(302);
        assertThat(http.get("/house/checks/table.csv").body()).isEqualTo(mine);
        assertThat(survey(before).core().house().checks()).as("its own version").hasSizeGreaterThan(50);
        assertThat(survey(Scenes.readySurvey(app)).core().house().checks()).hasSize(2);

        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/house/checks"));
        page.click("[aria-label^='Change: Listen at the valve']");
        page.fill("#likely", "20");
        page.fill("#high", "10");
        page.fill("#reason", "the fitter comes twice");
        page.fill("#author", "Q. Tester");
        page.click("form.editor >> text=Save it");
        assertThat(browser.text()).contains("Costs must climb from low to high");
        page.fill("#high", "45");
        page.click("form.editor >> text=Save it");
        assertThat(browser.text()).contains("Listen at the valve", "45", "check changed, “Listen at the valve”: the fitter comes twice");
        page.click("text=Add a check");
        page.selectOption("#about", "GROWLS");
        page.fill("#what", "Is the guard loose?");
        for (String cost : new String[] {"#low", "#likely", "#high"}) {
            page.fill(cost, "0");
        }
        page.fill("#reason", "costs nothing");
        page.click("form.editor >> text=Save it");
        assertThat(browser.text()).contains("check added, “Is the guard loose?”");
        page.click("[aria-label^='Change: Empty drawbar']");
        page.fill("#reason", "said twice");
        page.click("text=Take it out");
        assertThat(browser.text()).contains("check taken out");
        assertThat(app.bean(Houses.class).newest().checks()).extracting(c -> c.what())
                .containsExactly("Listen at the valve", "Is the guard loose?");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Somebody else changed the table: the row is known by what it is, not by where it stands. */
    @Test
    void aRowIsKnownByWhatItIs() {
        Map<String, String> first = http.form("/house/checks?row=0", "/house/checks/row");
        Map<String, String> again = http.form("/house/checks?row=0", "/house/checks/row");
        String[] out = {"act", "out", "author", "Q", "reason", "not ours"};
        var before = app.bean(Houses.class).newest().checks();
        assertThat(http.post("/house/checks/row", first, out).statusCode()).isEqualTo(302);
        var gone = http.post("/house/checks/row", again, out);
        assertThat(gone.statusCode()).isEqualTo(422);
        assertThat(gone.body()).contains("no longer in the table as it was");
        assertThat(app.bean(Houses.class).newest().checks()).isEqualTo(before.subList(1, before.size()));
    }

    /** A survey that came with rules this house's book does not have, or has otherwise. */
    @Test
    void rulesThatAreNotThereAreSaidAndTheOnesBeforeCount() {
        long id = read(4.5);
        int own = survey(id).core().house().version();
        adopt(id, 99, "of another house");
        assertThat(survey(id).core().house().version()).isEqualTo(own);
        assertThat(http.get("/surveys/" + id + "/entries").body())
                .contains("names version 99 of the house’s rules, which this house’s book does not have");
        assertThat(survey(id).broken()).isEmpty();
        adopt(id, own, "of another house");
        assertThat(survey(id).broken()).isPresent();
        assertThat(http.get("/surveys/" + id + "/run").body()).contains("are not those it names");
    }

    private static void adopt(long id, int version, String hash) {
        app.bean(Books.class).append(id,
                Draft.of(Authorship.of(Instant.now(), "Q"), "RULES_ADOPTED", "", Map.of("rules", version, "rulesHash", hash)),
                Submission.fresh(survey(id).head()));
    }

    /** Listed in House, chosen at a step, chosen already at the next one; a slip comes back where it was typed. */
    @Test
    void aGaugeIsListedChosenAndRemembered() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/house/gauges?gauge=new"));
        page.fill("#gauge-name", "Indicator 9");
        page.fill("#gauge-resolution", "0.001");
        page.fill("#gauge-calibration", "0.002");
        page.fill("#gauge-due", "31.3.2020");
        page.fill("#reason", "bought");
        page.fill("#author", "Q. Tester");
        page.click("button[value=save]");
        page.waitForSelector("#wrong-due");
        assertThat(browser.text()).contains("“31.3.2020” is not a day. Write it year first");
        assertThat(page.inputValue("#gauge-calibration")).isEqualTo("0.002");
        page.fill("#gauge-due", "2020-03-31");
        page.click("button[value=save]");
        page.waitForSelector("#table >> text=Indicator 9");
        assertThat(browser.text()).contains("overdue", "gauge “Indicator 9”: bought");

        SurveyBooks surveyBooks = app.bean(SurveyBooks.class);
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        MachineBooks machineBooks = app.bean(MachineBooks.class);
        long survey = surveyBooks.open(library.machine(machineBooks.add(KestrelVale.brinmoorK3().description(), "Q. Tester",
                Submission.fresh(0))), "Q. Tester", "buyer", tallledger.core.survey.Scope.WHOLE, Submission.fresh(0));
        page.navigate(app.url("/surveys/" + survey + "/run?step=play.table"));
        page.locator("input[name=confirmed]").all().forEach(c -> c.check());
        page.click(".ways summary");
        assertThat(page.locator("#gauge").innerText()).contains("the usual lever-type dial indicator, 0.001 mm",
                "Indicator 9, 0.001 mm – overdue since 2020-03-31");
        page.selectOption("#gauge", "g1");
        page.fill("#f-value", "0.012");
        page.click("button[value=good]");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("The calibration of “Indicator 9” had run out on 2020-03-31");
        page.navigate(app.url("/surveys/" + survey + "/run?step=play.saddle"));
        assertThat(page.inputValue("#gauge")).isEqualTo("g1");
        assertThat(browser.verdict(app, survey)).contains("One reading was taken with a gauge out of calibration.");

        page.navigate(app.url("/surveys/" + survey + "/accuracy"));
        page.fill("#machine", "-300");
        page.fill("#gauge", "20.5");
        page.click("#temperatures button");
        page.waitForSelector("#wrong-machine");
        assertThat(browser.text()).contains("“-300” is colder than anything can be");
        page.fill("#machine", "23");
        page.click("#temperatures button");
        page.waitForSelector("text=Temperatures in this sitting");
        assertThat(page.inputValue("#gauge")).isEqualTo("20.5");

        page.navigate(app.url("/house/gauges?gauge=g1"));
        page.fill("#reason", "dropped");
        page.click("button[value=out]");
        page.waitForSelector("text=None is listed yet");
        StoredSurvey after = survey(survey);
        assertThat(after.steps().all().get(0).values().readWith().orElseThrow().name()).as("what was read with it names it still")
                .isEqualTo("Indicator 9");
        assertThat(browser.complaints()).isEmpty();
    }
}
