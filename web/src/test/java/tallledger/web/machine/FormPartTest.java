package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import tallledger.web.App;
import tallledger.web.Http;

/** The form's parts and their fields: what is wrong opens the part in which it is typed. */
class FormPartTest {

    private static final Map<String, FormPart> FOLDS = Map.of("is", FormPart.IS, "said-of-it", FormPart.SAID, "speed", FormPart.SPEED,
            "moves", FormPart.MOVES, "has", FormPart.HAS);
    /** What was wrong with several fields at once is said of these, which no input is called by. */
    private static final Map<String, FormPart> OF_SEVERAL = Map.of("stages", FormPart.SPEED, "axes", FormPart.MOVES, "features",
            FormPart.HAS);

    /** Every field of the page, with all three plates laid out and their lists typed, is sorted into the part it stands in. */
    @Test
    void everyFieldIsOfThePartItStandsIn() {
        Http http = new Http(App.demo());
        Document page = Jsoup.parse(http.post("/machines/new/feeds/layout", http.form("/machines/new?start=geared-head-lathe", "/machines"),
                "feedLevers", "knob: 1 2", "threadLevers", "knob: 1 2").body());
        int seen = 0;
        for (Map.Entry<String, FormPart> fold : FOLDS.entrySet()) {
            for (Element field : page.select("#" + fold.getKey() + " [name]").not("[type=hidden]")) {
                assertThat(FormPart.of(field.attr("name"))).as(field.attr("name")).isEqualTo(fold.getValue());
                seen++;
            }
        }
        assertThat(page.select("#moves [name=threadcell1]")).hasSize(1);
        assertThat(seen).isGreaterThan(150);
        OF_SEVERAL.forEach((field, part) -> assertThat(FormPart.of(field)).as(field).isEqualTo(part));
    }

    @Test
    void whatIsWrongStandsOpenAndSoDoesThePartWhoseKeyWasPressed() {
        assertThat(FormPart.open(false, Set.of(), List.of())).containsOnly(FormPart.IS, FormPart.SAID, FormPart.SPEED);
        assertThat(FormPart.open(true, Set.of("hertz"), List.of())).containsOnly(FormPart.SPEED, FormPart.MOVES, FormPart.HAS);
        assertThat(FormPart.open(false, Set.of("axis12.travel"), List.of(FormPart.HAS))).contains(FormPart.MOVES, FormPart.HAS);
    }

    /** Keys that change the form lie behind its address; asked for again without what was typed, they lead back to it. */
    @Test
    void aKeySavesNothingAndItsAddressLeadsBackToTheForm() {
        Http http = new Http(App.demo());
        int before = Jsoup.parse(http.get("/").body()).select("a[href~=^/machines/\\d+$]").size();
        for (String key : List.of("claims/rows", "claims/split", "speeds/find", "speeds/layout", "speeds/unread", "speeds/paste",
                "speeds/offers/99", "feeds/unread", "threads/layout", "axes/usual", "axes/rows", "show")) {
            Document page = Jsoup.parse(http.post("/machines/new/" + key, http.form("/machines/new", "/machines"), "name", "Kept").body());
            assertThat(page.select("#name").attr("value")).as(key).isEqualTo("Kept");
            assertThat(page.select("form.machine").attr("action")).as(key).isEqualTo("/machines");
            assertThat(http.get("/machines/new/" + key).headers().firstValue("Location").orElse("")).endsWith("/machines/new");
        }
        Document changed = Jsoup.parse(http.post("/machines/1/edit/claims/rows", http.form("/machines/1/edit", "/machines/1")).body());
        assertThat(changed.select("form.machine").attr("action")).isEqualTo("/machines/1");
        assertThat(changed.select(".claims tbody tr").size())
                .isEqualTo(Jsoup.parse(http.get("/machines/1/edit").body()).select(".claims tbody tr").size() + 3);
        assertThat(Jsoup.parse(http.get("/").body()).select("a[href~=^/machines/\\d+$]")).hasSize(before);
        assertThat(http.post("/machines/new/other/find", http.form("/machines/new", "/machines")).statusCode()).isIn(404, 405);
    }
}
