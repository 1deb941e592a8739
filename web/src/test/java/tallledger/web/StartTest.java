package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.family.Family;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.Books;

/** From what everybody knows to the first speed: one page, one box, one key. */
class StartTest {

    private static final App APP = App.empty();

    @AfterAll
    static void close() {
        APP.close();
    }

    /** Prints the keys beyond the text and the clicks from the empty shelf to the first speed recorded, and the seconds they take. */
    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            LATHE              | 31.5 45 63 90 125 180 250 355 500 710 1000 1400, swing 410 mm | 12 speeds | 31.6
            KNEE_MILL          | 60 to 500, 500 to 4200 rpm                                    | 3 speeds  | 60
            HORIZONTAL_MILL    | A 40 56 80\\nB 112 160 224                                     | 6 speeds  | 40
            RADIAL_DRILL       | speeds 25 40 63 100 160 250 rpm, arm 1250                     | 6 speeds  | 25
            CYLINDRICAL_GRINDER| wheel spindle, speed plate missing                            | 1 speed   | 1660
            MACHINING_CENTRE   | 8 speeds from 100 to 4000 rpm                                 | 8 speeds  | 100
            """)
    void fromTheEmptyShelfToTheFirstSpeed(String family, String said, String speeds, String reading) {
        Browser browser = Browser.open();
        Page page = browser.page();
        int[] keys = {0, 0};
        long begun = System.nanoTime();
        page.navigate(APP.url("/"));
        click(page, "a[href='/start']", keys);
        if (!family.equals("LATHE")) {
            click(page, "label:has(input[value=" + family + "])", keys);
        }
        page.fill("#name", "One " + family);
        page.fill("#said", said.replace("\\n", "\n"));
        page.fill("#author", "Q");
        keys[0] += 3;
        page.waitForFunction("of => document.querySelector('.so-far').innerText.includes(of)", speeds);
        page.keyboard().press("Enter");
        keys[0]++;
        page.waitForURL("**/run");
        click(page, ".spine a[href$='/speeds']", keys);
        click(page, "a[href*='run?step=']", keys);
        for (int i = page.locator("label:has(input[name=safe])").count(); i > 0; i--) {
            page.locator("label:has(input[name=safe])").nth(i - 1).click();
            keys[0] += 2;
        }
        if (page.locator("label:has(input[name=mounted])").count() > 0) {
            page.locator("label:has(input[name=mounted])").first().click();
            keys[0] += 2;
        }
        page.keyboard().press("Enter");
        keys[0]++;
        page.waitForSelector("#reading");
        page.fill("#reading", reading);
        page.keyboard().press("Enter");
        keys[0]++;
        Browser.settle(page);
        assertThat(page.innerText("body")).doesNotContain("Nothing was recorded");
        System.out.printf("%s: %d keys beyond its text, %d clicks, %d ms%n", family, keys[0], keys[1],
                (System.nanoTime() - begun) / 1_000_000);
        assertThat(keys[0]).isLessThanOrEqualTo(60);
        assertThat(browser.complaints()).isEmpty();
    }

    private static void click(Page page, String what, int[] keys) {
        page.locator(what).first().click();
        page.waitForLoadState();
        keys[1]++;
    }

    private static Map<String, String> form(Http http) {
        Map<String, String> fields = http.form("/start", "/start");
        fields.putAll(Map.of("family", "LATHE", "unit", "MM", "saidBy", "SELLER", "role", "buyer"));
        return fields;
    }

    /** What was said is claimed by who said it; what was not understood is kept as words; speeds are no claim. */
    @Test
    void whatIsSaidBecomesClaimsAndThePlateItsSpeeds() {
        Http http = new Http(APP);
        Map<String, String> form = form(http);
        String said = "Feeds 0.05 0.1 0.2 0.4\nI II III IV\nA 31.5 45 63 90\nB 125 180 250 355\nSwing 16 in, always been oiled by my uncle";
        Document panel = Jsoup.parse(http.post("/start/read", form, "said", said, "saidBy", "ADVERTISEMENT").body());
        assertThat(panel.select(".lattice td").eachText()).containsExactly("31.5", "45", "63", "90", "125", "180", "250", "355");
        assertThat(panel.select(".lever-choice")).isEmpty();
        assertThat(panel.select(".claims").text()).contains("swing 16 in", "advertisement");
        assertThat(panel.text()).contains("Kept as words, not tested", "uncle");
        String at = http.post("/start", form, "said", said, "saidBy", "ADVERTISEMENT", "name", "Two rows", "author", "Q").headers()
                .firstValue("Location").orElse("");
        assertThat(at).matches(".*/surveys/\\d+/run");
        Document machine = Jsoup.parse(http.get("/machines/" + machineOf(http, "Two rows")).body());
        assertThat(machine.select("table.plate").first().text()).contains("I II III IV", "A 31.5 45 63 90", "B 125 180 250 355");
        assertThat(machine.text()).contains("Feed plate", "swing 16 in");
    }

    private static String machineOf(Http http, String name) {
        return Jsoup.parse(http.get("/").body()).select("th a").stream().filter(a -> a.text().equals(name)).findFirst().orElseThrow()
                .attr("href").replaceFirst(".*/", "");
    }

    @Test
    void everyFamilyHasADrawingOfItsOwn() {
        Document page = Jsoup.parse(new Http(APP).get("/start").body());
        List<String> drawings = page.select(".family svg").stream().map(svg -> svg.html()).toList();
        assertThat(drawings).hasSize(Family.values().length).doesNotHaveDuplicates().allMatch(d -> d.contains("<path"));
    }

    /** Levers nobody has looked at are not guessed: each speed is a position of its own until somebody chooses. */
    @Test
    void leversAreNotGuessed() {
        Http http = new Http(APP);
        Map<String, String> form = form(http);
        String said = "speeds 31.5 45 63 90 125 180 250 355 500 710 1000 1400";
        Document panel = Jsoup.parse(http.post("/start/read", form, "said", said).body());
        assertThat(panel.select(".lever-choice [checked]").attr("value")).startsWith("12, ");
        assertThat(panel.text()).contains("not looked at yet", "2 × 2 × 3");
        String choice = panel.select(".lever-choice label:contains(3 × 4) input").attr("value");
        Document chosen = Jsoup.parse(http.post("/start/read", form, "said", said, "levers", choice).body());
        assertThat(chosen.select(".lattice tr")).hasSize(3);
        // The ways are others by now: what was chosen of the former is not taken for one of these.
        Document other =
                Jsoup.parse(http.post("/start/read", form, "said", "speeds 50 65 95 110 250 325 475 550", "levers", choice).body());
        assertThat(other.select(".lever-choice [checked]").attr("value")).startsWith("8, ");
        // More speeds than one lever has positions: it must be said.
        Document many = Jsoup.parse(http.post("/start", form, "name", "Many", "author", "Q", "said",
                "speeds 20 28 40 56 80 112 160 224 315 450 630 900 1250 1800 25 35.5 50 71").body());
        assertThat(many.select("[id^=wrong-]").text()).contains("Count the positions of each lever");
        assertThat(many.select("#name").attr("value")).isEqualTo("Many");
    }

    @Test
    void whatIsMissingIsSaidWhereItIsTypedAndNothingIsLost() {
        Http http = new Http(APP);
        Document refused = Jsoup.parse(http.post("/start", form(http), "said", "swing 410 mm").body());
        assertThat(refused.select("#wrong-name, #wrong-author")).hasSize(2);
        assertThat(refused.select("#said").text()).isEqualTo("swing 410 mm");
        assertThat(http.get("/start/read").headers().firstValue("Location").orElse("")).endsWith("/start");
    }

    /** Pressed twice, or sent again after a lost answer, it is one machine with one survey. */
    @Test
    void sentTwiceItIsOneSurvey() {
        Http http = new Http(APP);
        Map<String, String> form = form(http);
        String first = http.post("/start", form, "name", "Once", "author", "Q").headers().firstValue("Location").orElse("");
        String second = http.post("/start", form, "name", "Once", "author", "Q").headers().firstValue("Location").orElse("");
        assertThat(second).isEqualTo(first);
        assertThat(Jsoup.parse(http.get("/").body()).select("th a").eachText()).containsOnlyOnce("Once");
    }

    /** Before the first speed it is asked how the levers stand; the answer is the machine's, and the survey judges by it. */
    @Test
    void leversAreAskedForBeforeTheFirstSpeedAndNotAfterIt() {
        Http http = new Http(APP);
        String at = http.post("/start", form(http), "name", "Asked", "author", "Q", "said",
                "speeds 31.5 45 63 90 125 180 250 355 500 710 1000 1400").headers().firstValue("Location").orElse("").replaceFirst("/run$",
                        "")
                .replaceFirst(".*(?=/surveys)", "");
        Document asked = Jsoup.parse(http.get(at + "/run?step=0-0").body());
        assertThat(asked.select(".lever-question button").eachText()).hasSize(10).anyMatch(t -> t.startsWith("3 × 4"));
        assertThat(Jsoup.parse(http.get(at + "/run?step=serial").body()).select(".lever-question")).isEmpty();
        Map<String, String> form = http.form(at + "/run?step=0-0", at + "/levers");
        String choice = asked.select(".lever-question button:contains(3 × 4)").attr("value");
        assertThat(http.post(at + "/levers", form, "levers", "9 × 9, 1", "author", "Q").statusCode()).isEqualTo(302);
        assertThat(Jsoup.parse(http.get(at + "/entries").body()).select("[id^=entry-]")).hasSize(1);
        for (int again = 0; again < 2; again++) {
            assertThat(http.post(at + "/levers", form, "levers", choice, "author", "Q").headers().firstValue("Location").orElse(""))
                    .contains("/run");
        }
        assertThat(Jsoup.parse(http.get(at + "/entries").body()).select("[id^=entry-]")).hasSize(2);
        Document sheet = Jsoup.parse(http.get(at + "/run?step=0-0-0").body());
        assertThat(sheet.select(".lever-question")).isEmpty();
        assertThat(sheet.select(".steps a[href*=step=]").eachAttr("href")).filteredOn(h -> h.matches(".*step=\\d-\\d-\\d")).hasSize(12);
        assertThat(sheet.text()).doesNotContain("judges by version");
    }

    /** On an empty shelf one key puts an example there, called so; pressed again, or from an older page, nothing more. */
    @Test
    void anExampleIsPutOnAnEmptyShelfOnce() {
        try (App app = App.empty()) {
            Http http = new Http(app);
            Map<String, String> form = http.form("/", "/example");
            String sheet = http.post("/example", form).headers().firstValue("Location").orElseThrow();
            assertThat(http.get(sheet.replaceFirst("https?://[^/]*", "")).body()).contains("Example: ").contains("of 12 run");
            int books = app.bean(Books.class).all().size();
            assertThat(http.post("/example", form).headers().firstValue("Location").orElseThrow()).endsWith("/");
            assertThat(app.bean(Books.class).all()).hasSize(books);
            assertThat(http.get("/").body()).contains("Example: ").doesNotContain("Put an example on");
            long survey = Long.parseLong(sheet.replaceFirst(".*/surveys/(\\d+)/.*", "$1"));
            assertThat(app.bean(SurveyLibrary.class).survey(survey).strays()).isEmpty();
            assertThat(http.verdict(survey)).contains("Example, invented");
        }
    }
}
