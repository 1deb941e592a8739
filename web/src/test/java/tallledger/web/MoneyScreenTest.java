package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import tallledger.core.survey.Scope;
import tallledger.practice.KestrelVale;
import tallledger.web.library.MachineBooks;
import tallledger.web.library.SurveyBooks;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.shelfindex.ShelfIndex;
import tallledger.web.shelfindex.ShelfQuery;
import tallledger.web.store.Submission;

/** What to offer: typed, reckoned, supposed otherwise, and nothing of what is supposed recorded. */
class MoneyScreenTest {

    private static long lathe() {
        SurveyBooks surveyBooks = App.demo().bean(SurveyBooks.class);
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        return surveyBooks.open(library.machine(machineBooks.add(KestrelVale.aldwark410().description(), "Q. Tester",
                Submission.fresh(0))), "Q. Tester", "buyer", Scope.WHOLE, Submission.fresh(0));
    }

    private static int entries(long survey) {
        return App.demo().bean(SurveyLibrary.class).survey(survey).entries().size();
    }

    @Test
    void pricesAreTypedAndTheOfferFollows() {
        long survey = lathe();
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/surveys/" + survey + "/verdict"));
        assertThat(browser.text()).contains("None of the ", "Only 0 % of the risk has been checked: too little to say more.",
                "Nobody has typed a price");
        page.click("text=Type the price asked");
        page.waitForURL("**/verdict/money");
        page.fill("#asking", "four thousand");
        page.fill("#currency", "£");
        page.click("text=Save the prices");
        page.waitForSelector("#wrong-asking");
        assertThat(page.inputValue("#currency")).isEqualTo("£");
        page.fill("#asking", "4 000");
        page.selectOption("#background", "STOOD_IDLE");
        page.click("text=Save the prices");
        page.waitForSelector("text=nothing is safe to offer");
        assertThat(page.inputValue("#background")).isEqualTo("STOOD_IDLE");
        assertThat(page.locator("#offer").count()).as("all may be lost, and nobody said its mass: never a bare nought").isZero();
        assertThat(browser.text()).contains("nothing is safe to offer", "look first at what is worth most");
        page.fill("#mass", "1 150 kg");
        page.click("text=Save the prices");
        page.waitForSelector("text=only its scrap value, £173, is safe to offer");
        page.fill("#asking", "40 000");
        page.click("text=Save the prices");
        page.waitForSelector("text=from the price asked, £40");
        assertThat(page.locator("main .plot").count()).as("the walk, and the unknown over the minutes").isEqualTo(2);
        int before = entries(survey);
        String offer = page.locator("#offer").innerText();
        page.selectOption("select[name^='if-'] >> nth=0", "bad");
        page.click("text=Try these");
        page.waitForSelector("text=nothing of that is recorded");
        assertThat(page.url()).contains("if-").contains("=bad");
        assertThat(page.locator("#offer").innerText()).isNotEqualTo(offer);
        page.click("text=As it stands");
        page.waitForFunction("o => document.querySelector('#offer').innerText === o", offer);
        assertThat(entries(survey)).as("supposing writes nothing").isEqualTo(before);
        page.navigate(App.demo().url("/surveys/" + survey + "/verdict/print?money=yes"));
        assertThat(page.innerText("body")).contains("At a glance", "opening", "ceiling");
        assertThat(browser.complaints()).isEmpty();
    }

    /** An address somebody mangled supposes nothing. */
    @Test
    void whatIsSupposedOfNothingIsNothing() {
        long survey = lathe();
        assertThat(App.demo().status("/surveys/" + survey
                + "/verdict/money?repaired=-4&repaired=99999999999&if-nowhere=bad&if-serial=perhaps&good=")).isEqualTo(200);
    }

    /** Ticked on the shelf, shown beside each other; one twice, one alone and one that is not there are said. */
    @Test
    void machinesStandSideBySide() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/"));
        page.check("input[name=s][value='20']");
        page.check("input[name=s][value='21']");
        page.click("text=Compare the ticked ones");
        page.waitForURL("**/beside?**");
        assertThat(browser.text()).contains("Brinmoor K3", "Castervale U2", "Tested on one and not on another",
                "Table and cross travel square per 300 mm", "not tested");
        page.navigate(App.demo().url("/beside?s=20&s=18"));
        assertThat(browser.text()).as("each in its own unit").contains(" thou", " mm");
        assertThat(browser.complaints()).isEmpty();
        for (String bad : java.util.List.of("/beside", "/beside?s=20", "/beside?s=20&s=20", "/beside?s=20&s=9999", "/beside?s=20&s=x",
                "/beside?s=3&s=5&s=8&s=10&s=18")) {
            assertThat(App.demo().status(bad)).as(bad).isEqualTo(422);
        }
        assertThat(new Http(App.demo()).get("/beside?s=20&s=20").body()).contains("The same machine was chosen twice");
        assertThat(App.demo().status("/beside/print?s=20&s=20")).isEqualTo(422);
        assertThat(new Http(App.demo()).get("/beside/print?s=20&s=21").body()).contains("Brinmoor K3", "Tested on one and not on another",
                ", proven").doesNotContain("one maker and model");
    }

    /** Two of one maker and model: said, and the worn spindle of one stands first among what was measured. */
    @Test
    void sistersStandSideBySide() {
        App app = App.demo();
        ShelfIndex shelf = app.bean(ShelfIndex.class);
        List<Long> both = shelf.page(ShelfQuery.of("dunmarsh p20", "", "", "SURVEYED", "NAME", "")).lines().stream()
                .filter(l -> l.counts().orElseThrow().run() > 0)
                .flatMap(l -> l.survey().stream()).sorted().limit(2).toList();
        assertThat(both).hasSize(2);
        String page = new Http(app).get("/beside?s=" + both.get(0) + "&s=" + both.get(1)).body();
        assertThat(page).contains("They are of one maker and model");
        String measured = page.substring(page.indexOf("Measured"));
        assertThat(measured.indexOf("Spindle: runout")).isPositive().isLessThan(measured.indexOf("Dip under thrust"));
    }

    /** What is asked of the shelf stands in its address; what is not on it is said. */
    @Test
    void theShelfIsSearchedAndSorted() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/"));
        page.fill("#q", "dunmarsh");
        page.selectOption("#sort", "PUT_RIGHT");
        page.click("text=Show");
        page.waitForURL("**/?q=dunmarsh**");
        assertThat(browser.text()).contains("Dunmarsh P20", "Dunmarsh R50", "repairs", "offer £").doesNotContain("Brinmoor");
        assertThat(page.inputValue("#q")).isEqualTo("dunmarsh");
        page.navigate(App.demo().url("/?q=nobody&family=%00&page=99999999&sort=x"));
        assertThat(browser.text()).contains("No machine on the shelf is like that.");
        assertThat(browser.complaints()).isEmpty();
    }

    /** More than fifty machines: the next page is one press away, and one beyond the last is the last. */
    @Test
    void aLongShelfHasPages() {
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        for (int i = 0; i < 52; i++) {
            machineBooks.add(KestrelVale.dunmarshP20().description(), "Q. Tester", Submission.fresh(0));
        }
        Browser browser = Browser.open();
        Page page = browser.page();
        for (int i = 0; i < 100 && (i == 0 || browser.text().contains("still being read")); i++) {
            page.navigate(App.demo().url("/?q=dunmarsh&sort=NAME"));
        }
        assertThat(browser.text()).contains("page 1 of 2");
        page.click("text=After");
        page.waitForURL("**page=2**");
        assertThat(browser.text()).contains("page 2 of 2", "Before");
        assertThat(page.inputValue("#sort")).isEqualTo("NAME");
        page.navigate(App.demo().url("/?q=dunmarsh&page=999"));
        assertThat(browser.text()).contains("page 2 of 2");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Put away with a reason it leaves the shelf, and comes back; what is missing is said at its field, and pressed twice is once. */
    @Test
    void aMachineIsPutAwayAndTakenOutAgain() {
        SurveyLibrary library = App.demo().bean(SurveyLibrary.class);
        MachineBooks machineBooks = App.demo().bean(MachineBooks.class);
        long id = machineBooks.add(KestrelVale.dunmarshP20().description(), "Q. Tester", Submission.fresh(0));
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(App.demo().url("/machines/" + id));
        page.click(".more summary");
        page.click("text=Put it away");
        page.fill("[name=author]", "Q. Tester");
        page.click("button:has-text('Put it away')");
        assertThat(page.locator("#wrong-why").innerText()).contains("Write why");
        page.fill("#why", "sold to a school");
        page.click("button:has-text('Put it away')");
        page.waitForURL("**/");
        page.navigate(App.demo().url("/?state=AWAY"));
        assertThat(page.locator("th a[href='/machines/" + id + "']").count()).isEqualTo(1);
        page.navigate(App.demo().url("/machines/" + id));
        assertThat(browser.text()).contains("Put away by Q. Tester: sold to a school");
        assertThat(library.machine(id).version()).as("its description is still its first entry").isEqualTo(1);
        page.click("text=Take it out again");
        page.click("button:has-text('Take it out again')");
        page.waitForURL("**/machines/" + id);
        assertThat(library.machine(id).away()).isEmpty();
        assertThat(library.machine(id).entries()).hasSize(3);
        assertThat(library.machine(id).strays()).isEmpty();
        assertThat(browser.complaints()).allMatch(c -> c.contains("422"));
    }
}
