package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
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
        click(page, "button[value=speeds]", keys);
        page.waitForURL("**/run?step=*");
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
        assertThat(keys[1]).isLessThanOrEqualTo(family.equals("LATHE") ? 2 : 3);
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

    private static String begun(Http http, String name) {
        return http.post("/start", form(http), "name", name, "author", "Q", "said", "speeds 31.5 45 63 90").headers()
                .firstValue("Location").orElseThrow().replaceFirst("/run$", "").replaceFirst(".*(?=/surveys)", "");
    }

    private static List<String> steps(Http http, String at) {
        return Jsoup.parse(http.get(at + "/run?step=castings").body()).select(".steps a[href*=step=]").eachAttr("href").stream()
                .map(h -> h.replaceFirst(".*step=", "")).toList();
    }

    /** What is ticked in the question, as the browser would send it. */
    private static List<Map.Entry<String, String>> ticked(Document page) {
        return page.select(".equipment-question input[type=checkbox][checked]").stream()
                .map(box -> Map.entry(box.attr("name"), box.attr("value"))).toList();
    }

    private static HttpResponse<String> answer(Http http, String at, Map<String, String> form, String author,
            List<Map.Entry<String, String>> ticked) {
        List<Map.Entry<String, String>> all = new ArrayList<>(form.entrySet());
        all.removeIf(field -> field.getKey().equals("author"));
        all.add(Map.entry("author", author));
        all.addAll(ticked);
        return http.post(at + "/equipment", all);
    }

    /** What such a machine usually has is asked at the machine, once; what is unticked has no step, and the survey judges by that. */
    @Test
    void whatItHasIsAskedAtTheMachine() {
        Http http = new Http(APP);
        String at = begun(http, "Equipped");
        assertThat(Jsoup.parse(http.get(at + "/run?step=desk-claims").body()).select(".equipment-question")).isEmpty();
        assertThat(Jsoup.parse(http.get(at + "/run?step=0-0").body()).select(".equipment-question")).isEmpty();
        List<Map.Entry<String, String>> usual = ticked(Jsoup.parse(http.get(at + "/run?step=castings").body()));
        assertThat(usual).contains(Map.entry("there", "carriage"), Map.entry("axis.carriage", "TRIP"), Map.entry("feature", "LEAD_SCREW"))
                .doesNotContain(Map.entry("feature", "GAP"));
        assertThat(steps(http, at)).contains("feed.cross-slide.minus", "steady", "travel.top-slide");
        Map<String, String> form = http.form(at + "/run?step=castings", at + "/equipment");
        List<Map.Entry<String, String>> fewer = new ArrayList<>(usual);
        fewer.removeAll(List.of(Map.entry("axis.carriage", "FEED"), Map.entry("feature", "STEADY")));
        Document refused = Jsoup.parse(answer(http, at, form, "Q", fewer).body());
        assertThat(refused.select(".equipment-question [id='wrong-axis.carriage']").text()).contains("Tick feed, or untick the trip");
        assertThat(ticked(refused)).isEqualTo(fewer);
        assertThat(entries(http, at)).isEqualTo(1);
        fewer.removeAll(List.of(Map.entry("axis.carriage", "TRIP"), Map.entry("axis.cross-slide", "FEED"),
                Map.entry("there", "top-slide")));
        for (int again = 0; again < 2; again++) {
            assertThat(answer(http, at, form, "Q", fewer).headers().firstValue("Location").orElse("")).contains("/run?step=castings");
        }
        assertThat(entries(http, at)).isEqualTo(2);
        assertThat(steps(http, at)).contains("travel.carriage", "travel.cross-slide").doesNotContain("feed.cross-slide.minus", "steady",
                "travel.top-slide", "feed.carriage.minus");
        Document axis = Jsoup.parse(http.get(at + "/run?step=travel.carriage").body());
        assertThat(axis.select(".equipment-question")).isEmpty();
        assertThat(axis.text()).doesNotContain("judges by version");
    }

    private static int entries(Http http, String at) {
        return Jsoup.parse(http.get(at + "/entries").body()).select("[id^=entry-]").size();
    }

    /** Where all is as usual nothing is written; it is asked again at the first step of an axis, and not after it was gone through. */
    @Test
    void asUsualWritesNothing() {
        Http http = new Http(APP);
        String at = begun(http, "As usual");
        Map<String, String> form = http.form(at + "/run?step=castings", at + "/equipment");
        List<Map.Entry<String, String>> usual = ticked(Jsoup.parse(http.get(at + "/run?step=castings").body()));
        String next = answer(http, at, form, "Q", usual).headers().firstValue("Location").orElse("");
        assertThat(next).endsWith("/run?step=castings&equipment=seen");
        assertThat(Jsoup.parse(http.get(next.replaceFirst(".*(?=/surveys)", "")).body()).select(".equipment-question")).isEmpty();
        assertThat(entries(http, at)).isEqualTo(1);
        assertThat(Jsoup.parse(http.get(at + "/run?step=travel.carriage").body()).select(".equipment-question")).hasSize(1);
        Map<String, String> pass = http.form(at + "/run?step=travel.carriage", at + "/pass");
        http.post(at + "/pass", pass, "reason", "no rule at hand", "author", "Q");
        assertThat(entries(http, at)).isEqualTo(2);
        assertThat(Jsoup.parse(http.get(at + "/run?step=travel.cross-slide").body()).select(".equipment-question")).isEmpty();
        // How long there is, is asked until it is answered: all day is an answer.
        Map<String, String> plan = http.form(at + "/run?step=serial", at + "/plan");
        assertThat(http.get(at + "/run?step=serial").body()).contains("How long have you?");
        http.post(at + "/plan", plan, "minutes", "", "school", "EVERY_SPEED", "author", "Q");
        assertThat(http.get(at + "/run?step=serial").body()).doesNotContain("How long have you?").contains("Minutes and plan: every speed");
        // An older page: somebody wrote meanwhile.
        String other = begun(http, "Meanwhile");
        Map<String, String> old = http.form(other + "/run?step=castings", other + "/equipment");
        http.post(other + "/pass", http.form(other + "/run?step=castings", other + "/pass"), "reason", "dark", "author", "P");
        assertThat(Jsoup.parse(http.get(other + "/run?step=serial").body()).select(".equipment-question")).as("standing is begun")
                .isEmpty();
        HttpResponse<String> stale = answer(http, other, old, "Q", List.of(Map.entry("feature", "LAMP")));
        assertThat(stale.statusCode()).isEqualTo(409);
        assertThat(stale.body()).contains("Somebody wrote in this survey");
        assertThat(ticked(Jsoup.parse(stale.body()))).as("what was ticked is still there").hasSize(1);
        assertThat(ticked(Jsoup.parse(http.get(other + "/run?step=travel.carriage").body()))).contains(Map.entry("feature", "STEADY"));
        assertThat(answer(http, other, old, "", usual).statusCode()).isEqualTo(422);
        // Somebody described the machine meanwhile: the answer is not dropped without a word.
        String third = begun(http, "Described meanwhile");
        Map<String, String> before = http.form(third + "/run?step=castings", third + "/equipment");
        String machine = "/machines/" + machineOf(http, "Described meanwhile") + "/fitout";
        assertThat(Jsoup.parse(http.get(third + "/run?step=0-0").body()).select(".lever-question")).hasSize(1);
        assertThat(http.post(machine, http.form(machine, machine), "author", "P").statusCode()).isEqualTo(302);
        assertThat(Jsoup.parse(http.get(third + "/run?step=0-0").body()).select(".lever-question")).as("of an older description").isEmpty();
        HttpResponse<String> late = answer(http, third, before, "Q", List.of(Map.entry("feature", "LAMP")));
        assertThat(late.statusCode()).isEqualTo(422);
        assertThat(late.body()).contains("was described meanwhile");
        // Forged: an axis and a feature that are none, a name far too long.
        String fourth = begun(http, "Forged");
        Map<String, String> forged = http.form(fourth + "/run?step=castings", fourth + "/equipment");
        assertThat(answer(http, fourth, forged, "Q".repeat(500), List.of(Map.entry("there", "carriage"))).statusCode()).isEqualTo(422);
        assertThat(answer(http, fourth, forged, "Q", List.of(Map.entry("there", "x"), Map.entry("axis.x", "FEED"),
                Map.entry("feature", "WINGS"))).statusCode()).isEqualTo(302);
        assertThat(steps(http, fourth)).noneMatch(s -> s.startsWith("travel.")).doesNotContain("lamp");
    }

    /** Of every family: as usual nothing is written; with all that one could have it is described so, or said what cannot be together. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void everyFamilyIsAskedWhatItHas(Family family) {
        Http http = new Http(APP);
        String at = http.post("/start", form(http), "family", family.name(), "name", "Any " + family, "author", "Q", "unit", "INCH",
                "said", "speeds 60 to 500 rpm").headers().firstValue("Location").orElseThrow().replaceFirst("/run$", "")
                .replaceFirst(".*(?=/surveys)", "");
        Document asked = Jsoup.parse(http.get(at + "/run?step=castings").body());
        Map<String, String> form = http.form(at + "/run?step=castings", at + "/equipment");
        assertThat(asked.select(".equipment-question legend").eachText()).doesNotContain("").doesNotHaveDuplicates().hasSizeGreaterThan(1);
        assertThat(answer(http, at, form, "Q", ticked(asked)).statusCode()).isEqualTo(302);
        assertThat(entries(http, at)).isEqualTo(1);
        List<Map.Entry<String, String>> all = asked.select(".equipment-question input[type=checkbox]").stream()
                .map(box -> Map.entry(box.attr("name"), box.attr("value"))).toList();
        HttpResponse<String> answered = answer(http, at, form, "Q", all);
        if (answered.statusCode() == 422) {
            assertThat(Jsoup.parse(answered.body()).select(".equipment-question [id^=wrong-]").text()).contains("cannot both be there");
        } else {
            assertThat(answered.statusCode()).isEqualTo(302);
            assertThat(entries(http, at)).isEqualTo(2);
        }
    }

    /** Feeds go on the feed plate; those that make none are kept as words, to the last figure. */
    @Test
    void feedsAreOnThePlateOrKeptAsWords() {
        Http http = new Http(APP);
        assertThat(Jsoup.parse(http.post("/start/read", form(http), "said", "feeds 0.05 0.1 0.2 0.4").body()).text())
                .contains("4 feeds go on its feed plate");
        String odd = "0.011 0.013 0.05 0.06 0.061 0.07 0.09 0.12 0.5 0.51 0.77 0.9 1.1 1.2 1.9 2.2 2.7 3.3 3.4 4.7 4.9 5.3 6.1 7.7 8.2";
        Document panel = Jsoup.parse(http.post("/start/read", form(http), "said", "feeds " + odd).body());
        assertThat(panel.text()).contains("kept as words. Lay the plate out later");
        String kept = String.join(" ", panel.select("h2:contains(Kept as words) + ul li").eachText());
        assertThat(List.of(kept.split("[^\\d.]+"))).containsAll(List.of(odd.split(" ")));
    }

    /** On an empty shelf one key puts an example there, called so; pressed again, or from an older page, nothing more. */
    @Test
    void anExampleIsPutOnAnEmptyShelfOnce() {
        try (App app = App.empty()) {
            Http http = new Http(app);
            Map<String, String> form = http.form("/", "/example");
            String sheet = http.post("/example", form).headers().firstValue("Location").orElseThrow();
            String at = sheet.replaceFirst("https?://[^/]*", "");
            assertThat(http.get(at).body()).contains("Example: ").contains("of 12 run");
            for (int stop = 1; stop <= 7; stop++) {
                Document page = Jsoup.parse(http.get(at).body());
                assertThat(page.select(".walk b").text()).isEqualTo(stop + " of 7.");
                assertThat(page.select(".walk span").text()).doesNotStartWith("walk.").hasSizeGreaterThan(60);
                assertThat(page.select("main h1")).isNotEmpty();
                at = page.select(".walk a").first().attr("href");
            }
            assertThat(at).isEqualTo("/start");
            assertThat(http.get("/start?walk").body()).doesNotContain("class=\"walk\"");
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
