package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.practice.KestrelVale;

/** The run sheet at work: tap key, keys, passing over, without script, and a changed description. */
class RunSheetTest {

    private final App app = App.demo();

    @Test
    void theTapKeyCountsTurnsFromTheFirstTap() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run"));
        browser.tabTo(".tapkey");
        for (int i = 0; i < 11; i++) {
            page.keyboard().press("Space");
            page.waitForTimeout(60);
        }
        assertThat(page.inputValue("#turns")).isEqualTo("10");
        assertThat(Double.parseDouble(page.inputValue("#seconds"))).isBetween(0.5, 3.0);
        page.fill("#seconds", "19.05");
        page.click("button[value=record]");
        assertThat(browser.text()).contains("31.5 ± 0.4 lies between 29.61 and 33.39", "recorded as entry 3: proven");
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
        page.navigate(app.url("/surveys/" + survey + "/verdict"));
        assertThat(browser.text()).containsPattern("A1( reverse)? will not engage\\.").containsPattern("At A1( reverse)? the drive would not engage, by Q\\. Tester\\.");
    }

    @Test
    void theInstrumentInHandIsRememberedAndItsMarksCount() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/surveys/" + survey + "/run?step=0-0-0-0"));
        page.selectOption("#method", "OPTICAL");
        page.fill("#marks", "4");
        page.fill("#reading", "126.0");
        page.keyboard().press("Enter");
        page.waitForSelector(".done");
        assertThat(browser.text()).contains("31.50 ± 0.07 lies between 29.61 and 33.39");
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
        page.fill("#turns", "10");
        page.fill("#seconds", "19.0");
        page.check("input[value=GROWLS]", new Page.CheckOptions().setForce(true));
        page.click("button[value=record]");
        assertThat(browser.text()).contains("recorded as entry 3: failed");
        page.fill("#reason", "no time left");
        page.click("text=Pass over >> nth=-1");
        Browser.settle(page);
        page.navigate(app.url("/surveys/" + survey + "/verdict"));
        assertThat(browser.text()).containsPattern("was passed over: no time left\\.");
    }

    @Test
    void aSpeedOverFourTimesTheHighestRunIsCautioned() {
        long survey = Scenes.readySurvey(app);
        Browser browser = Browser.open();
        browser.page().navigate(app.url("/surveys/" + survey + "/run?step=0-2-3-0"));
        assertThat(browser.text()).contains("Cold spindle: start at the lowest speed");
    }

    @Test
    void aChangedDescriptionIsAdoptedOnlyByAnEntry() {
        long survey = Scenes.readySurvey(app, KestrelVale.dunmarshP20().description());
        Http http = new Http(app);
        long machine = app.bean(tallledger.web.record.Shelves.class).survey(survey).machine().id();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(app.url("/machines/" + machine + "/drive"));
        page.fill("#author", "Q");
        page.fill("#cell0", "165");
        page.click("button[value=save]");
        Browser.settle(page);
        page.navigate(app.url("/surveys/" + survey + "/run"));
        assertThat(browser.text()).contains("description is at version 2; this survey judges by version 1", "150.4 to 169.6 rpm");
        page.click("text=Judge by the newer one");
        assertThat(browser.text()).contains("155.1 to 174.9 rpm").doesNotContain("this survey judges by version 1");
        assertThat(http.get("/surveys/" + survey + "/entries").body()).contains("from here on judges by version 2");
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
        browser.page().navigate(app.url("/machines/3/edit"));
        Page page = browser.page();
        assertThat(page.inputValue("[name='stage0.positions']")).isEqualTo("I II III");
        assertThat(page.inputValue("[name='stage1.values']")).isEqualTo("80/355 160/250");
        assertThat(page.inputValue("#cell5")).isEqualTo("1800");
    }
}
