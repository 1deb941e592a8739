package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.ledger.Authorship;
import tallledger.core.reading.Method;
import tallledger.core.reading.SpeedReading;
import tallledger.core.survey.RunRecord;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** The run sheet at work: tap key, keys, passing over, without script, and a changed description. */
class RunSheetTest {

    private final App app = App.demo();

    @Test
    void theTapKeyCountsTurnsFromTheFirstTap() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        browser.tabTo(".ways summary");
        page.keyboard().press("Enter");
        browser.tabTo(".tapkey");
        for (int i = 0; i < 11; i++) {
            page.keyboard().press("Space");
            page.waitForTimeout(60);
        }
        assertThat(page.inputValue("#turns")).isEqualTo("10");
        assertThat(Double.parseDouble(page.inputValue("#seconds"))).isBetween(0.5, 3.0);
        page.fill("#seconds", "19.05");
        page.click("button[value=record]");
        assertThat(browser.text()).contains("31.5 ± 0.4 rpm is between 29.61 rpm and 33.39 rpm", "recorded as entry 3: proven");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void symptomsAndShiftsAreRecordedWithoutAReading() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        page.check("input[name=shift][value=WILL_NOT_ENGAGE]");
        page.click("button[value=record]");
        assertThat(browser.text()).contains("recorded as entry 3: failed");
        assertThat(browser.verdict(app, survey)).containsPattern("A1( reverse)? will not engage\\.")
                .containsPattern("At A1( reverse)? the drive would not engage, by Q\\. Tester, buyer\\.");
    }

    @Test
    void theInstrumentInHandIsRememberedAndItsMarksCount() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=0-0-0-0"));
        page.click(".ways summary");
        page.selectOption("#method", "OPTICAL");
        page.fill("#marks", "4");
        page.fill("#reading", "126.0");
        page.keyboard().press("Enter");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("31.50 ± 0.07 rpm is between 29.61 rpm and 33.39 rpm");
        assertThat(page.inputValue("#method")).isEqualTo("OPTICAL");
        page.navigate(app.url("/surveys/" + survey + "/entries"));
        assertThat(browser.text()).contains("read 126.0 rpm by optical tachometer from 4 marks");
    }

    @Test
    void everythingPostsWithoutScript() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open(1280, 800, false);
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        assertThat(page.locator(".tapkey").isVisible()).isFalse();
        page.click(".ways summary");
        page.fill("#turns", "10");
        page.fill("#seconds", "19.0");
        page.check("input[value=GROWLS]", new Page.CheckOptions().setForce(true));
        page.click("button[value=record]");
        assertThat(browser.text()).contains("recorded as entry 3: failed");
        page.click(".more-of-step summary");
        page.fill("#reason", "no time left");
        page.click("text=Pass over >> nth=-1");
        Browser.settle(page);
        assertThat(browser.verdict(app, survey)).containsPattern("was passed over: no time left\\.");
    }

    @Test
    void aSpeedOverFourTimesTheHighestRunIsCautioned() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        browser.page().navigate(app.url("/surveys/" + survey + "/run?step=0-2-3-0"));
        assertThat(browser.text()).contains("Cold spindle: start at the lowest speed");
    }

    /** A wheel of one speed, or one whose belt is laid over by hand, has no lever to feel engage. */
    @Test
    void whatHasNoGearsHasNoShiftToFeel() {
        Http http = new Http(app);
        long grinder = Scenes.readySurvey(app, KestrelVale.farrowbyRt().description());
        long lathe = Scenes.readySurvey(app, KestrelVale.aldwark410().description());
        for (long survey : List.of(grinder, lathe)) {
            String key = app.bean(SurveyLibrary.class).survey(survey).folded().machine().train().routes().get(0).key();
            String sheet = http.get("/surveys/" + survey + "/run?step=" + key).body();
            assertThat(sheet).contains("Heard, seen, felt");
            assertThat(sheet.contains("<legend>Shift</legend>")).isEqualTo(survey == lathe);
        }
    }

    @Test
    void aChangedDescriptionIsAdoptedOnlyByAnEntry() {
        long survey = Scenes.readySurvey(app, KestrelVale.dunmarshP20().description());
        Http http = new Http(app);
        long machine = app.bean(SurveyLibrary.class).survey(survey).machine().id();
        StoredSurvey before = app.bean(SurveyLibrary.class).survey(survey);
        RunRecord at152 = new RunRecord(before.folded().machine().train().settings(before.folded().steps().get(0)),
                Optional.of(SpeedReading.shown(Method.CONTACT_TACHOMETER, "152", "")), Set.of(), Optional.empty(), false, false, false, "");
        app.bean(Books.class).append(survey,
                SurveyEntries.run(Authorship.of(Instant.now(), "Q, seller"), before.basis(), before.folded(), at152),
                Submission.fresh(before.head()));
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/" + machine + "/drive"));
        page.fill("#author", "Q");
        page.fill("#cell0", "165");
        page.click(".closing button.is-ink");
        Browser.settle(page);
        String step = app.url("/surveys/" + survey + "/run?step=" + before.folded().steps().get(0).key());
        page.navigate(step);
        assertThat(browser.text()).contains("description is at version 2; this survey judges by version 1", "150.4 to 169.6 rpm");
        for (String elsewhere : List.of("speeds", "verdict", "entries")) {
            assertThat(http.get("/surveys/" + survey + "/" + elsewhere).body()).as(elsewhere).contains("this survey judges by version",
                    "/surveys/" + survey + "/run#newer");
        }
        page.click("text=Judge by the newer one");
        Browser.settle(page);
        page.navigate(step);
        assertThat(browser.text()).contains("155.1 to 174.9 rpm").doesNotContain("this survey judges by version 1");
        assertThat(http.get("/surveys/" + survey + "/entries").body().replace('\u00a0', ' '))
                .contains("from here on judges by version 2", "<td>Q, seller</td>",
                        "When it was written this was judged proven. 152.0 ± 1.0 rpm is between 150.4 rpm and 169.6 rpm.",
                        "By what holds now: failed.");
    }

    @Test
    void aSurveyNeedsASurveyor() {
        Http http = new Http(app);
        Map<String, String> form = http.form("/machines/1", "/machines/1/surveys");
        assertThat(http.post("/machines/1/surveys", form, "author", "", "role", "buyer").headers().firstValue("Location").orElse(""))
                .endsWith("unnamed#open-survey");
        assertThat(http.get("/machines/1?unnamed").body()).contains("Write who is recording this");
    }

    @Test
    void aMachineInOpenSheetsIsWrittenBackAsItWasTyped() {
        Browser browser = Browser.open();
        browser.page().navigate(app.url("/machines/4/edit"));
        Page page = browser.page();
        assertThat(page.inputValue("[name='stage0.positions']")).isEqualTo("I II III");
        assertThat(page.inputValue("[name='stage1.values']")).isEqualTo("80/355 160/250");
        assertThat(page.inputValue("#cell5")).isEqualTo("1800");
    }
}
