package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.record.Shelves;
import tallledger.web.record.Submission;

/** What to offer: typed, reckoned, supposed otherwise, and nothing of what is supposed recorded. */
class MoneyScreenTest {

    private static long lathe() {
        Shelves shelves = App.demo().bean(Shelves.class);
        return shelves.openSurvey(shelves.machine(shelves.addMachine(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0))), "Q. Tester", "buyer", Scope.WHOLE,
                Submission.fresh(0));
    }

    private static int entries(long survey) {
        return App.demo().bean(Shelves.class).survey(survey).entries().size();
    }

    @Test
    void pricesAreTypedAndTheOfferFollows() {
        long survey = lathe();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/verdict"));
        assertThat(browser.text()).contains("Too little was looked at to say more: 0 %", "Nobody has typed a price");
        page.fill("#asking", "four thousand");
        page.fill("#currency", "£");
        page.click("text=Reckon with these");
        page.waitForSelector("#wrong-asking");
        assertThat(page.inputValue("#currency")).isEqualTo("£");
        page.fill("#asking", "4 000");
        page.selectOption("#background", "STOOD_IDLE");
        page.click("text=Reckon with these");
        page.waitForSelector("text=from the price asked");
        assertThat(page.inputValue("#background")).isEqualTo("STOOD_IDLE");
        assertThat(page.locator(".plot").count()).isEqualTo(1);
        int before = entries(survey);
        String offer = page.locator(".sums dd").nth(2).innerText();
        page.selectOption("select[name^='if-'] >> nth=0", "bad");
        page.click("text=Suppose this");
        page.waitForSelector("text=nothing of that is recorded");
        assertThat(page.url()).contains("if-").contains("=bad");
        assertThat(page.locator(".sums dd").nth(2).innerText()).isNotEqualTo(offer);
        page.click("text=As it stands");
        page.waitForFunction("o => document.querySelectorAll('.sums dd')[2].innerText === o", offer);
        assertThat(entries(survey)).as("supposing writes nothing").isEqualTo(before);
        page.navigate(App.demo().url("/surveys/" + survey + "/verdict/print"));
        assertThat(page.innerText("body")).contains("At a glance", "opening", "ceiling");
        assertThat(browser.complaints()).isEmpty();
        page.context().close();
    }

    /** An address somebody mangled supposes nothing. */
    @Test
    void whatIsSupposedOfNothingIsNothing() {
        long survey = lathe();
        assertThat(App.demo().status("/surveys/" + survey + "/verdict?repaired=-4&repaired=99999999999&if-nowhere=bad&if-serial=perhaps&good=")).isEqualTo(200);
    }
}
