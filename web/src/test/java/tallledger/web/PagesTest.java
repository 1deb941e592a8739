package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.coverage.Coverage;
import tallledger.core.rules.Rule;
import tallledger.web.library.StoredSurvey;
import tallledger.web.library.SurveyLibrary;
import tallledger.web.store.BookKind;
import tallledger.web.store.Books;

/** What the pages of the demo say is what core reckons from the entries. */
class PagesTest {

    /** Other tests add their own behind it. */
    private static final long LAST_OF_THE_DEMO = 27;

    private final App app = App.demo();
    private final Http http = new Http(app);

    @Test
    void theShelfPutsTheBestKnownFirst() {
        String shelf = http.get("/").body();
        List<String> order = List.of("Dunmarsh P20", "Aldwark 410", "Castervale U2");
        assertThat(order.stream().map(shelf::indexOf)).isSorted().doesNotContain(-1);
        assertThat(shelf).contains("6 of 6 run");
    }

    @ParameterizedTest
    @ValueSource(longs = {3, 5, 8, 10, 18})
    void coverageIsStatedAsCounted(long id) {
        StoredSurvey survey = app.bean(SurveyLibrary.class).survey(id);
        Coverage.Counts counts = survey.folded().coverage().counts();
        String stated = counts.run() + " of " + counts.all() + " run";
        for (String view : List.of("/run", "/speeds", "/verdict/record")) {
            assertThat(http.get("/surveys/" + id + view).body()).contains(stated);
        }
        assertThat(counts.run() + counts.inferred() + counts.open()).isEqualTo(counts.all());
    }

    /** Every sentence of every demo verdict that claims something rests on entries that exist. */
    @ParameterizedTest
    @ValueSource(longs = {3, 5, 8, 10, 18})
    void everySentenceLeadsToItsEntries(long id) {
        String verdict = http.verdict(id);
        Set<String> references = Pattern.compile("href=\"([^\"]+)#entry-(\\d+)\"").matcher(verdict).results()
                .map(m -> m.group(1) + "#" + m.group(2)).collect(Collectors.toSet());
        assertThat(references).isNotEmpty().allSatisfy(reference -> {
            String[] to = reference.split("#");
            assertThat(http.get(to[0].replace("&amp;", "&")).body()).contains("id=\"entry-" + to[1] + "\"");
        });
    }

    /** One picture for the sheet and the print, with the figures of its own entry. */
    @Test
    void aRoundIsDrawnWhereverItIsShown() {
        String sheet = http.get("/surveys/20/run?step=nose-round").body();
        String figure = Pattern.compile("[\\d.]+ µm between the circles; highest at \\d+°").matcher(sheet).results().findFirst()
                .orElseThrow().group();
        assertThat(sheet).contains("As recorded, entry ");
        assertThat(http.get("/surveys/20/verdict/print").body()).contains("class=\"polar\"", figure);
    }

    /**
     * An inch machine shows inches on every page of its survey; only what somebody typed in the other unit stands as typed, in Entries,
     * the chart and the print.
     */
    @Test
    void anInchMachineShowsNoMillimetre() {
        String run = http.get("/surveys/18/run").body();
        List<String> pages = new java.util.ArrayList<>(List.of("/surveys/18/run", "/surveys/18/speeds", "/surveys/18/movement",
                "/surveys/18/cycles", "/surveys/18/faults", "/surveys/18/kit",
                "/surveys/18/verdict/print", "/machines/6"));
        Http.VERDICT.forEach(part -> pages.add("/surveys/18" + part));
        Pattern.compile("run\\?step=([^\"&]+)").matcher(run).results().map(m -> "/surveys/18/run?step=" + m.group(1)).distinct()
                .forEach(pages::add);
        assertThat(pages).hasSizeGreaterThan(40).allSatisfy(page -> {
            String text = http.get(page).body().replaceAll("(?s)<td class=\"typed\">.*?</td>", " ")
                    .replaceAll("(?s)<script.*?</script>|<[^>]+>", " ").replace("&#39;", "'").replaceAll("[\\s\u00a0]+", " ");
            assertThat(Pattern.compile("\\d (mm|µm|mm/rev|mm/min|m/min|m/s|kg|kW|N·m)\\b|, mm\\b").matcher(text).results()
                    .map(m -> text.substring(Math.max(0, m.start() - 40), Math.min(text.length(), m.end() + 20)))
                    .toList()).as(page).isEmpty();
        });
        assertThat(http.verdict(18)).contains(" in against ");
    }

    /** Of every machine, whatever it has: a step without words for one screen took the whole screen away. */
    @Test
    void everyPageOfEverySurveyAnswers() {
        List<Long> surveys = app.bean(Books.class).all().stream().filter(book -> book.getKind() == BookKind.SURVEY)
                .map(book -> book.getId()).filter(id -> id <= LAST_OF_THE_DEMO).toList();
        List<String> pages = List.of("run", "speeds", "movement", "threads", "accuracy", "cycles", "faults", "kit", "verdict",
                "verdict/findings", "verdict/claims", "verdict/statement", "verdict/money", "verdict/record", "verdict/print", "entries",
                "handover", "drawings");
        assertThat(surveys).hasSizeGreaterThan(10)
                .allSatisfy(survey -> assertThat(pages)
                        .allSatisfy(page -> assertThat(http.get("/surveys/" + survey + "/" + page).statusCode()).as(survey + " " + page)
                                .isEqualTo(200)));
        for (String paper : List.of("verdict.pdf", "verdict.pdf?form=short", "verdict.pdf?form=certificate", "report.html")) {
            assertThat(http.get("/surveys/8/" + paper).statusCode()).as(paper).isEqualTo(200);
        }
    }

    /** Nothing the demo wrote is set aside: a stray would hide whatever went wrong in reading it. */
    /** Where a fault was heard twice that there is none is no chance worth a word; nor is nought per cent of anything. */
    @Test
    void aChanceOfNoughtIsNotSaid() {
        Http http = new Http(App.demo());
        assertThat(http.get("/surveys/18/faults").body()).contains("Suspects in the spindle drive").doesNotContain("no fault at all");
        assertThat(http.get("/surveys/18/speeds").body()).contains("The search is over").doesNotContain("no fault behind");
        assertThat(http.get("/surveys/10/verdict/statement").body()).contains("Sliding ranges swept: none of 2.");
    }

    @Test
    void everyEntryOfTheDemoIsRead() {
        List<StoredSurvey> surveys = app.bean(Books.class).all().stream().filter(book -> book.getKind() == BookKind.SURVEY)
                .map(book -> app.bean(SurveyLibrary.class).survey(book.getId())).toList();
        assertThat(surveys).hasSizeGreaterThan(10).allSatisfy(survey -> assertThat(survey.strays()).isEmpty());
    }

    @Test
    void theDemoShowsWhatItsMachinesHide() {
        assertThat(http.get("/surveys/3/speeds").body()).contains("B3 says 280", "gear 3");
        assertThat(http.get("/surveys/18/faults").body()).contains("right lever high", "Rock the spindle by hand");
        assertThat(http.verdict(8)).contains("hunts for its range");
        assertThat(http.get("/machines/6").body()).contains("9 distinct speeds; 12 are claimed");
        assertThat(http.get("/machines/11").body()).contains("six to one", "five to one, I think");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/surveys/1/run", "/machines/3", "/surveys/none/run", "/machines/999", "/surveys/3/none"})
    void whatIsNotThereIsSaidPlainly(String path) {
        var answer = http.get(path);
        assertThat(answer.statusCode()).isEqualTo(404);
        assertThat(answer.body()).contains("There is no such page");
    }

    @Test
    void aStepThatIsNotThereFallsBackToThePlan() {
        long ready = Scenes.readySurvey(app);
        assertThat(http.get("/surveys/" + ready + "/run?step=9-9-9-9").body()).contains("Next in the plan.");
        assertThat(http.get("/surveys/" + ready + "/run?step=check-NEUTRAL").body()).doesNotContain("range lever in neutral");
    }

    @Test
    void houseNumbersComeFromCore() {
        String house = Stream.of(Rule.Group.values()).map(g -> http.get("/house?part=" + g).body()).collect(Collectors.joining())
                .replaceAll("<[^>]*>", " ").replaceAll("[\\s\u00a0]+", " ");
        assertThat(house).contains("spindle stop under brake", "rebuilt 5 s sound 8 s workable 12 s", "4 ×",
                "resolution 0.001 mm calibration 1 %", "chance 0.03 of 1 cost 600");
        assertThat(http.get("/surveys/" + Scenes.readySurvey(app) + "/run?step=check-BRAKE").body())
                .contains("rebuilt 5 s, sound 8 s, workable 12 s");
        assertThat(http.get("/surveys/3/run?step=0-0-0-0").body()).contains("<span>30</span> minutes");
    }

    @Test
    void scriptsAndStylesComeFromHere() {
        assertThat(http.get("/css/fonts.css").body()).contains("Archivo Narrow");
        assertThat(http.get("/js/ledger.js").headers().firstValue("Cache-Control").orElse("")).contains("max-age");
        assertThat(http.get("/fonts/Archivo.OFL.txt").body()).contains("SIL OPEN FONT LICENSE");
    }
}
