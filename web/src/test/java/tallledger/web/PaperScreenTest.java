package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Submission;

/** The run sheet printed, and typed in by the keyboard alone. */
class PaperScreenTest {

    private static long lathe() {
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        SurveyBooks surveyBooks = App.demo().bean(SurveyBooks.class);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        long machine = machineBooks.add(KestrelVale.aldwark410().description(), "Q. Tester", Submission.fresh(0));
        return surveyBooks.open(library.machine(machine), "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private static String number(String sheet, String name) {
        Matcher m = Pattern.compile("<td>(\\d+)</td><td><b>" + Pattern.quote(name) + "</b>").matcher(sheet);
        assertThat(m.find()).as(name).isTrue();
        return m.group(1);
    }

    @Test
    void whatStandsOnPaperIsTypedInItsOrder() {
        long survey = lathe();
        String sheet = new Http(App.demo()).get("/surveys/" + survey + "/paper").body();
        String lamp = number(sheet, "Lamp");
        String speed = number(sheet, "A1");
        assertThat(sheet).contains("31.5 rpm", "0.4 mm").contains("class=\"box\"");
        assertThat(new Http(App.demo()).get("/surveys/" + survey + "/paper?size=Letter").body()).contains("letter");
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/paper/type"));
        browser.type("#visit", "9 May, morning");
        browser.type("[name=number0]", lamp);
        browser.type("[name=mark0]", "maybe");
        browser.type("[name=number1]", speed);
        browser.type("[name=reading1]", "31.9");
        page.keyboard().press("Enter");
        assertThat(page.locator("#wrong-mark0").innerText()).contains("is not a mark");
        assertThat(page.inputValue("[name=reading1]")).as("nothing typed is lost").isEqualTo("31.9");
        page.fill("[name=mark0]", "n");
        page.fill("[name=remark0]", "no bulb");
        page.click("text=Record these lines");
        page.waitForURL("**/entries");
        assertThat(browser.text()).contains("on paper, line " + lamp + ", 9 May, morning", "on paper, line " + speed);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        assertThat(library.survey(survey).entries()).hasSize(3);
        assertThat(browser.complaints()).allMatch(c -> c.contains("422"));
    }

    /** Each number says its step, its reading with the unit, and its limit, in the page as it is typed; what is wrong is said at once. */
    @Test
    void aNumberSaysWhatItStandsForAsItIsTyped() {
        long survey = lathe();
        String sheet = new Http(App.demo()).get("/surveys/" + survey + "/paper").body();
        assertThat(sheet).contains("29.61 to 33.39 rpm", "by eye and ear").doesNotContain("margin");
        int before = App.demo().bean(SurveyLibrary.class).survey(survey).entries().size();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/paper/type"));
        page.fill("[name=number3]", number(sheet, "A1"));
        page.locator("tr:nth-child(4) .line-of:has-text('A1: rpm; limit 29.61 to 33.39 rpm')").waitFor();
        page.fill("[name=reading3]", "fast");
        page.locator("tr:nth-child(4) .line-of .wrong:has-text('is not a number')").waitFor();
        page.fill("[name=reading3]", "31.9");
        page.locator("tr:nth-child(4) .line-of .wrong").waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        page.fill("[name=number5]", "9999");
        page.locator("tr:nth-child(6) .line-of .wrong:has-text('There is no line 9')").waitFor();
        assertThat(App.demo().bean(SurveyLibrary.class).survey(survey).entries()).as("looking writes nothing").hasSize(before);
        page.click("text=Record these lines");
        page.waitForSelector("#wrong-visit");
        assertThat(page.locator("tr:nth-child(4) .line-of").innerText()).as("and without script").contains("A1: rpm");
        assertThat(browser.complaints()).allMatch(c -> c.contains("422"));
    }

    /** Of several lines with one that is wrong none is written; pressed twice they are written once. */
    @Test
    void allLinesOrNone() {
        long survey = lathe();
        Http http = new Http(App.demo());
        String url = "/surveys/" + survey + "/paper/type";
        var form = http.form(url, url);
        assertThat(http.post(url, form, "author", "Q. Tester", "visit", "today").body()).contains("Type at least one line");
        assertThat(http.post(url, form, "author", "Q. Tester", "number0", "1").body()).contains("Type when that was");
        assertThat(http.post(url, form, "author", "Q. Tester", "visit", "today", "number0", "1", "number1", "9999").statusCode())
                .isEqualTo(422);
        assertThat(App.demo().bean(SurveyLibrary.class).survey(survey).entries()).hasSize(1);
        for (int press = 0; press < 2; press++) {
            assertThat(http.post(url, form, "author", "Q. Tester", "visit", "today", "number0", "1", "number1", "2").statusCode())
                    .isEqualTo(302);
        }
        assertThat(App.demo().bean(SurveyLibrary.class).survey(survey).entries()).hasSize(3);
    }
}
