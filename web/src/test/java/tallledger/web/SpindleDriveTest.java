package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.ledger.Authorship;
import tallledger.core.reading.SpeedReading;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** The spindle drive through the interface: drive screen, plate, plans, blame, repair, sliding ranges. */
class SpindleDriveTest {

    private final App app = App.demo();

    private static void run(Page page, String... keys) {
        for (String key : keys) {
            page.check("input[value=" + key + "]");
        }
        page.click("button[value=record]");
        page.waitForSelector(".done");
    }

    private void step(Page page, long survey, String key) {
        Browser.settle(page);
        page.navigate(app.url("/surveys/" + survey + "/run?step=" + key));
    }

    /** 24/48 then 20/80 or 50/50 from 1 440: 180 and 720 rpm; with 4 kW at 0.8 that is 170 N·m and 42.4 N·m. */
    @Test
    void theDriveScreenReckonsWhileItIsTyped() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/new"));
        page.fill("[name='stage0.values']", "1440");
        page.fill("[name='stage1.name']", "first");
        page.fill("[name='stage1.values']", "24/48");
        page.fill("[name='stage2.name']", "back");
        page.fill("[name='stage2.positions']", "in out");
        page.fill("[name='stage2.values']", "20/80 50/50");
        page.fill("#kilowatts", "4");
        page.waitForSelector(".live >> text=170");
        assertThat(page.locator(".live").innerText()).contains("180", "720", "42.4");
        assertThat(page.locator(".live .ray").count()).isEqualTo(3);
        assertThat(browser.complaints()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"GEAR|0/40|0 teeth", "GEAR|24.5/40|not a whole number of teeth", "GEAR|-3/40|-3 teeth",
            "GEAR|1000000|should lie between",
            "BELT|1/250|A groove of 1 mm", "GEAR|24/48 36/36 20/80|3 values for 2 positions",
            "VARIATOR|2 1|must be above zero and not above",
            "INVERTER|20 80|lowest, highest and plate frequency"})
    void nonsenseInAStageIsRefusedAtItsRow(String kind, String values, String message) {
        Http http = new Http(app);
        String[] rows = {"author", "Q", "name", "Odd", "family", "LATHE", "unit", "MM", "stage0.name", "a", "stage0.kind",
                kind,
                "stage0.shifting", "UNKNOWN", "stage0.positions", message.contains("2 positions") ? "1 2" : "1", "stage0.values", values};
        assertThat(http.post("/machines/new/speeds/layout", http.form("/machines/new", "/machines"), rows).body()).contains(message)
                .contains("value=\"" + values + "\"");
    }

    @Test
    void interlocksThatLeaveNothingSaySo() {
        Http http = new Http(app);
        String[] rows = {"author", "Q", "name", "Odd", "family", "LATHE", "unit", "MM", "stage0.name", "a", "stage0.kind",
                "GEAR",
                "stage0.shifting", "UNKNOWN", "stage0.positions", "1 2", "stage1.name", "b", "stage1.kind", "GEAR", "stage1.shifting",
                "UNKNOWN", "stage1.positions", "x", "interlocks", "1 + x\n2 + x"};
        assertThat(http.post("/machines/new/speeds/layout", http.form("/machines/new", "/machines"), rows).body())
                .contains("leave no combination that gives a speed");
    }

    @Test
    void aStartingDescriptionLaysOutItsPlate() {
        Browser browser = Browser.open();
        browser.page().navigate(app.url("/machines/new?start=variator-mill"));
        assertThat(browser.page().inputValue("[name='stage1.positions']")).isEqualTo("low N high");
        assertThat(browser.page().locator(".plate-cell").count()).isEqualTo(4);
    }

    /** The same check on a feed plate with levers of its own. */
    @Test
    void aFeedPlateIsTypedAndChecked() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/15/drive"));
        page.fill("#feedLevers", "no colon");
        page.click("text=Lay out the feed plate");
        assertThat(page.locator("#wrong-feedLevers").innerText()).contains("a colon and its positions");
        page.fill("#feedLevers", "range: I II III\nknob: 1..4");
        page.click("text=Lay out the feed plate");
        String[] feeds = "0.05 0.07 0.1 0.14 0.2 0.28 0.4 0.65 0.8 1.12 1.6 2.24".split(" ");
        for (int i = 0; i < feeds.length; i++) {
            page.fill("#feedcell" + i, feeds[i]);
        }
        page.waitForSelector(".live >> text=II·4 says 0.65; the other cells say 0.56");
        page.fill("#author", "Q");
        page.click(".closing button.is-ink");
        assertThat(browser.text()).contains("Feed plate", "II·4 says 0.65", "two digits swapped");
    }

    /** One key on the Speeds screen accepts 250 where the plate shows 280; the survey judges by it, and both readings stay. */
    @Test
    void aMisreadPlateIsAcceptedWithOneKey() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/speeds"));
        assertThat(browser.text()).contains("B3 says 280; the other cells say 251.3");
        page.click("text=Accept 250");
        assertThat(browser.text()).contains("250 (shows 280)").doesNotContain("B3 says 280");
        page.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(browser.text()).contains("from here on judges by version 2");
        page.navigate(app.url("/surveys/" + survey + "/run?step=0-1-2-0"));
        assertThat(browser.text()).contains("235 to 265 rpm");
    }

    @Test
    void everyGearPlansTheFewestAndSaysWhatTheColdSpindleCosts() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        page.click("details:has(input[name=school]) summary");
        page.check("input[value=EVERY_GEAR]");
        page.click("text=Plan by this");
        page.click("details:has(input[name=school]) summary");
        assertThat(browser.text()).contains("5 runs left", "The fewest there are; no plan can have under 4.",
                "The cold-spindle rule costs one run.");
        page.check("input[value=MY_MINUTES]");
        page.fill("#minutes", "soon");
        page.click("text=Plan by this");
        assertThat(page.locator("#wrong-minutes").innerText()).contains("is not a number");
        assertThat(page.inputValue("#minutes")).isEqualTo("soon");
        page.check("input[value=MY_MINUTES]");
        page.fill("#minutes", "1");
        page.click("text=Plan by this");
        assertThat(browser.text()).contains("min left", "The minutes leave open:");
    }

    /** Gear 3 growls at A3, B3 and C3 and nowhere else: blamed, priced cheapest first, repaired, and only those three are run again. */
    @Test
    void aGrowlIsFollowedToItsGearAndBack() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        for (String[] run : List.of(new String[] {"0-0-0-0", "32.1"}, new String[] {"0-0-1-0", "46"}, new String[] {"0-1-1-0", "184"},
                new String[] {"0-1-3-0", "362"}, new String[] {"0-2-3-0", "1431"})) {
            step(page, survey, run[0]);
            page.fill("#reading", run[1]);
            run(page, "ENGAGES_CLEAN");
        }
        for (String key : List.of("0-0-2-0", "0-1-2-0", "0-2-2-0")) {
            step(page, survey, key);
            run(page, "GROWLS");
        }
        page.navigate(app.url("/surveys/" + survey + "/speeds"));
        assertThat(page.locator(".suspects tr").first().innerText()).startsWith("gear 3").containsPattern("9\\d %");
        assertThat(page.locator(".ray.is-lit").count()).isEqualTo(3);
        page.navigate(app.url("/surveys/" + survey + "/faults"));
        assertThat(page.locator(".suspect tbody tr").first().innerText()).contains("Empty drawbar rattling", "nothing");
        page.selectOption("#part", "gear|3");
        page.click("button:text-is('Mark repaired')");
        assertThat(page.locator("#wrong-what").innerText()).contains("Write what was repaired");
        page.fill("#what", "new pair, 36 and 45 teeth");
        page.click("button:text-is('Mark repaired')");
        assertThat(browser.text()).contains("To be done again, and only these: A3, B3, C3.", "new pair, 36 and 45 teeth");
        page.navigate(app.url("/surveys/" + survey + "/run"));
        assertThat(browser.text()).contains("It failed before the repair: repeat it.");
        assertThat(page.locator("h1").innerText()).isEqualTo("A3");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aSlidingRangeIsSweptAndADeadSpotFailsIt() {
        long survey = Scenes.readySurvey(app, KestrelVale.brinmoorT1().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        step(page, survey, "0-2-0");
        assertThat(browser.text()).contains("sweep the range");
        page.click("text=Swept, no dead spot");
        assertThat(browser.text()).contains("recorded as entry 3: proven");
        step(page, survey, "1-2-0");
        page.check("input[value=DEAD_SPOT]");
        page.click("text=Record the symptom");
        Browser.settle(page);
        assertThat(browser.verdict(app, survey)).contains("Sliding ranges swept without a dead spot: 1 of 2.",
                "II·sweep has a dead spot.");
    }

    @Test
    void theBrakeIsTimedAndGradedAndACommandedShiftWatched() {
        long survey = Scenes.readySurvey(app, KestrelVale.hexthorneVc().description());
        Browser browser = Browser.open();
        Page page = browser.page();
        step(page, survey, "check-BRAKE");
        page.click("button:text-is('Good') >> nth=0");
        assertThat(page.locator("#wrong-seconds").innerText()).contains("how many seconds");
        page.fill("#seconds", "6.5");
        page.click("button:text-is('Good') >> nth=0");
        step(page, survey, "check-SHIFT_UP");
        page.fill("#remark", "three times to and fro");
        page.click("button:text-is('Not good')");
        Browser.settle(page);
        assertThat(browser.verdict(app, survey)).contains("The brake stops the spindle in 6.5 s; limit 8 s (sound).",
                "The commanded shift up was watched and failed.", "Not checked at the drive: jog, shift down.");
    }

    @Test
    void acceptingTwiceWritesOneVersionAndAForgedCellNone() {
        long survey = Scenes.readySurvey(app);
        long machine = app.bean(SurveyLibrary.class).survey(survey).machine().id();
        Http http = new Http(app);
        Map<String, String> forged = http.form("/surveys/" + survey + "/speeds", "/surveys/" + survey + "/accept");
        forged.put("at", "B");
        assertThat(http.post("/surveys/" + survey + "/accept", forged).statusCode()).isEqualTo(422);
        assertThat(app.bean(SurveyLibrary.class).machine(machine).version()).isEqualTo(1);
        Browser browser = Browser.open();
        Browser late = Browser.open();
        browser.page().navigate(app.url("/machines/" + machine));
        late.page().navigate(app.url("/machines/" + machine));
        browser.page().click("text=Accept 250");
        Browser.settle(browser.page());
        late.page().click("text=Accept 250");
        assertThat(late.text()).contains("Somebody wrote here since that page was shown");
        assertThat(app.bean(SurveyLibrary.class).machine(machine).version()).isEqualTo(2);
    }

    /** A gate that counts from the other end: said on Speeds, and one key describes it so; what was read is right by that. */
    @Test
    void leversNumberedTheOtherWayAreDescribedSoByOneKey() {
        long id = Scenes.readySurvey(app);
        SurveyLibrary library = app.bean(SurveyLibrary.class);
        for (String setting : List.of("A 1", "A 2", "A 3", "A 4", "C 1", "C 4")) {
            StoredSurvey survey = library.survey(id);
            var train = survey.folded().machine().train();
            String[] at = setting.split(" ");
            var route = train.routes().stream().filter(r -> !train.isReverse(r) && train.plateKey(r).equals(List.of(at))).findFirst()
                    .orElseThrow();
            String rpm = survey.folded().table().plate().cell(List.of(at[0], String.valueOf(5 - Integer.parseInt(at[1])))).value()
                    .orElseThrow().toPlainString();
            app.bean(Books.class).append(id, SurveyEntries.run(Authorship.of(Instant.now(), "Q. Tester"), survey.basis(), survey.folded(),
                    new RunRecord(train.settings(route), Optional.of(SpeedReading.byTachometer(rpm)), Set.of(), Optional.empty(), false,
                            false, false, "")),
                    Submission.fresh(survey.head()));
        }
        assertThat(library.survey(id).folded().runs()).allMatch(r -> r.outcome() == Outcome.FAILED);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + id + "/speeds"));
        assertThat(browser.text()).contains("1 and 4, 2 and 3 are the other way round");
        page.click("text=Describe them so, and judge by it");
        page.waitForFunction("() => !document.body.innerText.includes('are the other way round')");
        assertThat(library.survey(id).folded().runs()).allMatch(r -> r.outcome() == Outcome.PROVEN);
        assertThat(library.machine(library.survey(id).machine().id()).version()).isEqualTo(2);
        assertThat(browser.complaints()).isEmpty();
    }
}
