package tallledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.ledger.Authorship;
import tallledger.core.survey.SurveyEntries;
import tallledger.practice.KestrelVale;
import tallledger.web.store.Books;
import tallledger.web.store.Submission;

/** A ledger of 252 entries: a hundred a page, newest first. */
class EntriesPagesTest {

    private static final App APP = App.demo();
    private static final Http HTTP = new Http(APP);
    private static long survey;

    @BeforeAll
    static void aLongLedger() {
        survey = Scenes.readySurvey(APP, KestrelVale.dunmarshP20().description());
        for (int i = 3; i <= 252; i++) {
            String author = i % 10 == 0 ? "J. Marsh, seller" : "Q. Tester";
            APP.bean(Books.class).append(survey, SurveyEntries.remark(Authorship.of(Instant.now(), author), "remark " + i + "."),
                    Submission.fresh(i - 1));
        }
    }

    private static String page(String query) {
        return HTTP.get("/surveys/" + survey + "/entries" + query).body();
    }

    private static List<Integer> numbers(String html) {
        return Pattern.compile("<tr id=\"entry-(\\d+)\"").matcher(html).results().map(m -> Integer.valueOf(m.group(1))).toList();
    }

    private static String linked(String html, String rel) {
        return Pattern.compile("rel=\"" + rel + "\" href=\"[^\"?]+([^\"]+)\"").matcher(html).results().findFirst()
                .map(m -> m.group(1).replace("&amp;", "&")).orElse("none");
    }

    private static List<Integer> down(int from, int to) {
        return IntStream.rangeClosed(to, from).mapToObj(i -> from + to - i).toList();
    }

    @Test
    void thePagesFollowEachOtherAndLoseNothing() {
        String newest = page("");
        assertThat(numbers(newest)).isEqualTo(down(252, 153));
        assertThat(newest).contains("100 of 252 entries.");
        assertThat(linked(newest, "prev")).isEqualTo("none");
        String middle = page(linked(newest, "next"));
        assertThat(numbers(middle)).isEqualTo(down(152, 53));
        String oldest = page(linked(middle, "next"));
        assertThat(numbers(oldest)).isEqualTo(down(52, 1));
        assertThat(linked(oldest, "next")).isEqualTo("none");
        assertThat(numbers(page(linked(oldest, "prev")))).isEqualTo(numbers(middle));
    }

    /** What is written while somebody turns the pages moves none of them. */
    @Test
    void aPageBeginsWhereTheOneBeforeEndedWhateverWasWrittenSince() {
        long growing = Scenes.readySurvey(APP, KestrelVale.dunmarshP20().description());
        for (int i = 3; i <= 120; i++) {
            APP.bean(Books.class).append(growing, SurveyEntries.remark(Authorship.of(Instant.now(), "Q"), "remark " + i + "."),
                    Submission.fresh(i - 1));
        }
        String older = linked(HTTP.get("/surveys/" + growing + "/entries").body(), "next");
        APP.bean(Books.class).append(growing, SurveyEntries.remark(Authorship.of(Instant.now(), "Q"), "meanwhile"), Submission.fresh(120));
        String next = HTTP.get("/surveys/" + growing + "/entries" + older).body();
        assertThat(numbers(next)).isEqualTo(down(20, 1));
        assertThat(numbers(HTTP.get("/surveys/" + growing + "/entries" + linked(next, "prev")).body())).isEqualTo(down(120, 21));
    }

    @ParameterizedTest
    @CsvSource({"1,52", "52,52", "53,152", "153,252", "252,252"})
    void anEntryIsFoundOnItsPage(int at, int first) {
        assertThat(numbers(page("?at=" + at))).startsWith(first).contains(at);
        assertThat(numbers(page("?strike=" + at))).startsWith(first);
    }

    @Test
    void aFilterKeepsItsPagesAndItsJump() {
        assertThat(numbers(page("?by=J.+Marsh"))).hasSize(25).allSatisfy(n -> assertThat(n % 10).isZero());
        assertThat(page("?by=J.+Marsh")).contains("25 of 25 chosen; the survey has 252 entries.", "J. Marsh, seller");
        String remarks = page("?kind=REMARK");
        assertThat(numbers(remarks)).isEqualTo(down(252, 153));
        assertThat(numbers(page(linked(remarks, "next")))).isEqualTo(down(152, 53));
        assertThat(numbers(page("?kind=START_CONFIRMED&at=2"))).containsExactly(2);
        assertThat(numbers(page("?kind=OPENED&at=200"))).as("the next older one the filter lets through").containsExactly(1);
        assertThat(page("?kind=RUN")).contains("No entry is of that kind and by that person.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"253", "0", "-4", "last", "99999999999"})
    void aNumberThatLeadsNowhereIsSaidAndKept(String at) {
        assertThat(page("?at=" + at)).contains("There is no entry “" + at + "”: they are numbered 1 to 252.")
                .contains("value=\"" + at + "\"");
        assertThat(numbers(page("?at=" + at))).startsWith(252);
    }

    /** What was typed stands in the order it was asked for, with the unit of its record; a log by how much it holds. */
    /** Twenty-four readings say less than their picture, which stands beside their beginning; a short row has none. */
    @Test
    void aLongRowOfReadingsIsDrawn() {
        Document page = Jsoup.parse(HTTP.get("/surveys/21/entries").body());
        assertThat(page.select("tr:has(.beside-figures svg)").eachAttr("id")).containsExactly("entry-30");
        assertThat(page.select("#entry-30 summary").text()).isEqualTo("All of it, 24 figures");
        assertThat(page.select("#entry-29 svg")).isEmpty();
    }

    @Test
    void aStepsLineSaysItsFiguresWithTheirUnits() {
        String page = HTTP.get("/surveys/3/entries").body();
        assertThat(page).contains("Pitch meant 2 mm; Measured length 80.005 mm; Turns 40").contains("a log of 6 events")
                .doesNotContain("at-zero");
        assertThat(HTTP.get("/surveys/5/entries").body()).contains("Fed by mains; Lines 1 and 2 400 V");
    }
}
