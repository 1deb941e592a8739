package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A common machine from its plate to its first speed, by the keyboard alone; and what is typed wrong on the way. */
class DescribeTest {

    private static final App APP = App.empty();

    @AfterAll
    static void close() {
        APP.close();
    }

    /** Prints how many keys and seconds it takes from the empty form to the first speed recorded, without thinking. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            twelve-speed lathe | geared-head-lathe | 31.5 45 63 90 125 180 250 355 500 710 1000 1400 | 3 and 4 | 3 × 4   | 12 | 31.6
            variator mill      | variator-mill   | 60 to 500, 500 to 4200                          |         | 2 × 2   |  3 | 60
            one-speed grinder  | grinder         | 2800                                            |         | 1       |  1 | 2810
            """)
    void fromThePlateToTheFirstSpeed(String machine, String start, String list, String counted, String use, int speeds, String reading) {
        Browser browser = Browser.open();
        Page page = browser.page();
        int[] keys = {0};
        long begun = System.nanoTime();
        page.navigate(APP.url("/machines/new?start=" + start));
        keys[0]++;
        type(page, "#name", machine, keys);
        type(page, "#list", list, keys);
        if (counted != null) {
            type(page, "#counted", counted, keys);
        }
        press(page, "button[formaction$='speeds/find']", keys);
        press(page, ".offer:has(b:text-is('" + use + "')) button", keys);
        type(page, "#author", "Q", keys);
        press(page, ".closing button.is-ink", keys);
        page.waitForSelector("#open-survey");
        press(page, "#open-survey button", keys);
        page.waitForURL("**/run");
        press(page, ".spine a[href$='/speeds']", keys);
        press(page, "a[href*='run?step=']", keys);
        for (int i = page.locator("label:has(input[name=safe])").count(); i > 0; i--) {
            page.locator("label:has(input[name=safe])").nth(i - 1).click();
            keys[0] += 2;
        }
        if (page.locator("label:has(input[name=mounted])").count() > 0) {
            page.locator("label:has(input[name=mounted])").first().click();
            keys[0] += 2;
        }
        press(page, ".start button", keys);
        page.waitForSelector("#reading");
        assertThat(page.locator("body").innerText()).contains("of " + speeds + " ");
        type(page, "#reading", reading, keys);
        press(page, "button[value=record]", keys);
        page.waitForSelector(".done");
        System.out.printf("%s: %d keys, %.1f s%n", machine, keys[0], (System.nanoTime() - begun) / 1e9);
        assertThat(browser.complaints()).isEmpty();
    }

    private static void type(Page page, String field, String text, int[] keys) {
        page.fill(field, text);
        keys[0] += text.length() + 1;
    }

    private static void press(Page page, String button, int[] keys) {
        page.locator(button).first().click();
        Browser.settle(page);
        keys[0] += 2;
    }

    @Test
    void whatIsNoPlateIsSaidWhereItWasTypedAndNothingIsLost() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(APP.url("/machines/new"));
        page.fill("#name", "Kept");
        Map<String, String> wrong = Map.of(
                "31.5 45 63\n125 180", "Line 1 has 3 values, the others 2",
                "500 to 60", "the wrong way round",
                "31.5 Hz 45", "write only speeds",
                "1/0 45", "is not a number above zero");
        wrong.forEach((list, says) -> {
            page.fill("#list", list);
            page.click("button[formaction$='speeds/find']");
            Browser.settle(page);
            assertThat(page.locator("#wrong-list").innerText().replace('\u00a0', ' ')).contains(says);
            assertThat(page.inputValue("#list")).isEqualTo(list);
            assertThat(page.inputValue("#name")).isEqualTo("Kept");
        });
        Http http = new Http(APP);
        Map.of(1_000, "1,000 lines; a machine has up to 400 speeds", 2_000, "8,889 characters; up to 4,000 are read")
                .forEach((lines, says) -> {
                    String many = IntStream.range(0, lines).mapToObj(String::valueOf).collect(Collectors.joining("\n"));
                    assertThat(http.post("/machines/new/speeds/find", http.form("/machines/new", "/machines"), "list", many).body())
                            .contains(says).contains(many.substring(0, 100));
                });
        page.fill("#list", IntStream.range(0, 27).mapToObj(i -> String.valueOf(13 + i * i + i * 7 % 11)).collect(Collectors.joining(" ")));
        page.click("button[formaction$='speeds/find']");
        Browser.settle(page);
        assertThat(page.locator(".offers").innerText()).contains("No levers that multiply explain these 27 speeds");
    }

    /**
     * One form from what it is to what else it has; what people say is split for checking, tied to a step, and its sister begins as it is.
     */
    @Test
    void toldAsAConversation() {
        Browser browser = Browser.open();
        Page page = browser.page();
        page.navigate(APP.url("/machines/new?start=universal-mill"));
        assertThat(page.locator(".so-far").innerText())
                .matches("So far its survey has 18 speeds and \\d+ other steps. They take about \\d+ minutes.*");
        page.fill("#name", "Told");
        page.fill("#said", "18 speeds; travels 36 x 10 x 16 in\ncollets 1 to 16 by 0.5\nnext to no backlash\nalles läuft");
        page.selectOption("#saidBy", "FORMER_OPERATOR");
        page.click("button[formaction$='claims/split']");
        Browser.settle(page);
        List<String> values = IntStream.range(0, 7).mapToObj(i -> page.inputValue("[name='claim" + i + ".value']")).toList();
        assertThat(values).containsExactly("18", "36 in", "10 in", "16 in", "1 to 16 by 0.5", "next to no backlash", "alles läuft");
        assertThat(page.inputValue("[name='claim2.axis']")).isEqualTo("saddle");
        assertThat(page.inputValue("[name='claim6.attribute']")).isEqualTo("OTHER");
        page.fill("[name='claim5.testedBy']", "No such step");
        page.fill("#author", "Q");
        page.click("#moves summary");
        page.locator("label:has([name='axis0.abilities'][value='RAPID'])").click();
        page.click(".closing button.is-ink");
        Browser.settle(page);
        assertThat(page.locator("[id='wrong-claim5.testedBy']").innerText()).contains("No step of this machine is called “No such step”");
        page.fill("[name='claim5.testedBy']", "Table: backlash");
        page.click(".closing button.is-ink");
        page.waitForSelector("#open-survey");
        assertThat(browser.text()).contains("former operator");
        page.click("#open-survey button");
        page.waitForURL("**/run");
        String survey = page.url().replaceFirst(".*/surveys/(\\d+)/.*", "$1");
        String verdict = new Http(APP).verdict(Long.parseLong(survey));
        assertThat(verdict).contains("Table: backlash is not done yet.", "Collets: counted is not done yet.");
        assertThat(new Http(APP).get("/surveys/" + survey + "/run?step=claimed-count.collets").body())
                .contains("Count the collets: 31 are promised.");
        assertThat(new Http(APP).get("/surveys/" + survey + "/run").body()).doesNotContain("step=rapid.table");
        page.goBack();
        Browser.settle(page);
        page.click(".more summary");
        page.click("text=Describe its sister");
        page.waitForURL("**/sister");
        assertThat(page.inputValue("#name")).isEqualTo("Told (2)");
        assertThat(page.inputValue("[name='claim0.value']")).as("what is said of one is not said of the other").isEmpty();
        assertThat(page.locator("[name='axis0.abilities'][value='RAPID']").isChecked()).isFalse();
        page.selectOption("#family", "LATHE");
        page.waitForSelector(".live .note:has-text('another family')");
        page.click("#moves summary");
        page.click("button[formaction$='axes/usual']");
        Browser.settle(page);
        assertThat(page.inputValue("[name='axis0.name']")).isEqualTo("carriage");
        assertThat(browser.complaints()).isEmpty();
    }

    /**
     * Two levers of one box, one in neutral while the other is in: said in one row, told lever by lever on the sheet. What else turns is a
     * step.
     */
    @Test
    void leversEngagedOneAtATimeAndWhatElseTurns() {
        Http http = new Http(APP);
        String[] typed = {"name", "Two levers", "author", "Q", "family", "HORIZONTAL_MILL", "fitOf", "HORIZONTAL_MILL", "unit", "MM",
                "phases", "3", "stage0.name", "motor", "stage0.kind", "MOTOR", "stage0.shifting", "UNKNOWN", "stage0.positions", "on",
                "stage1.name", "box", "stage1.kind", "GEAR", "stage1.shifting", "STOP_TO_SHIFT", "stage1.pattern", "ONE_AT_A_TIME",
                "stage1.positions", "left: 1 2; right: 3 4",
                "shape", "1 2 3 4", "cell0", "100", "cell1", "200", "cell2", "400", "cell3", "800"};
        String bad = http.post("/machines", http.form("/machines/new?start=horizontal-mill", "/machines"),
                with(typed, "do", "save", "otherSpeeds", "table 9 to 3")).body();
        assertThat(bad).contains("“table 9 to 3”: the lower speed comes first").contains(">table 9 to 3</textarea>");
        String machine = to(http.post("/machines", http.form("/machines/new?start=horizontal-mill", "/machines"),
                with(typed, "do", "save", "otherSpeeds", "table 3 to 9 ± 10 %")));
        String survey = to(http.post(machine + "/surveys", http.form(machine, machine + "/surveys"), "author", "Q", "role", "buyer",
                "scope", "WHOLE", "judgedAs", "WORKABLE"));
        assertThat(http.get(survey + "?step=other-speed.table-9").body()).contains("Set table to 9 rpm and read it.", "8.1", "9.9");
        String speeds = http.get(survey.replace("/run", "/speeds")).body();
        String first = speeds.replaceFirst("(?s).*?(/surveys/\\d+/run\\?step=[^\"]+)\".*", "$1").replace("&amp;", "&");
        assertThat(http.get(first).body()).contains("Set right to N, left to 1");
    }

    private static String to(java.net.http.HttpResponse<String> answer) {
        return java.net.URI.create(answer.headers().firstValue("Location").orElseThrow(() -> new AssertionError(answer.body()))).getPath();
    }

    private static String[] with(String[] some, String... more) {
        return java.util.stream.Stream.concat(java.util.Arrays.stream(some), java.util.Arrays.stream(more)).toArray(String[]::new);
    }

    /** Threads are found, laid out and kept the way feeds are. */
    @Test
    void threadsByLeversAreFoundLikeFeeds() {
        Http http = new Http(APP);
        Map<String, String> form = http.form("/machines/new?start=geared-head-lathe", "/machines");
        String offers = http.post("/machines/new/threads/find", form, "threadlist", "8 9 10 11\n16 18 20 22\n4 4.5 5 5.5").body();
        assertThat(offers).contains("/machines/new/threads/offers/0", "3 × 4");
        String taken = http.post("/machines/new/threads/offers/0", form, "threadlist", "8 9 10 11\n16 18 20 22\n4 4.5 5 5.5",
                "threadCounted", "PER_INCH").body();
        assertThat(taken).contains("name=\"threadcell0\" id=\"threadcell0\"", "value=\"5.5\"", "Thread at A 1");
        assertThat(http.post("/machines/new/threads/layout", form, "threadLevers", "no colon").body()).contains("wrong-threadLevers");
    }

    @Test
    void theRestAreUnreadIsOneKeyAndCostsOneLine() {
        Http http = new Http(APP);
        Map<String, String> form = http.form("/machines/new", "/machines");
        String body = http.post("/machines/new/speeds/unread", form, "name", "Half read", "author", "Q", "stage1.name", "range",
                "stage1.kind", "GEAR", "stage1.shifting",
                "UNKNOWN", "stage1.positions", "A B C", "stage2.name", "gear", "stage2.kind", "GEAR", "stage2.shifting", "UNKNOWN",
                "stage2.positions", "1..4", "shape", "A B C|1 2 3 4", "cell0", "31.5", "cell1", "45", "cell4", "125").body();
        assertThat(body.split("value=\"\\?\"", -1)).hasSize(10);
        assertThat(body).contains("9 cells not read; the others say: B2 ≈ 178.6.");
        List<String> complaints = body.lines().filter(line -> line.contains("cannot be read"))
                .filter(line -> !line.contains("hint") && !line.contains("be read;")).toList();
        assertThat(complaints).isEmpty();
    }
}
