package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.coverage.Outcome;
import tallledger.core.coverage.Symptom;
import tallledger.core.family.StepId;
import tallledger.core.ledger.Authorship;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Paper.PaperRecord;

/** The sheet on paper: numbers that stay, lines that become entries, and what cannot be typed so. */
class PaperTest {

    private final SurveyBook book = new SurveyBook(Machines.twelve(), Scope.WHOLE, 20);
    private final Paper paper = Paper.of(book.survey());

    private int number(String key) {
        return paper.lines().stream().filter(l -> l.task().key().equals(key)).findFirst().orElseThrow().number();
    }

    private void type(String key, String reading, boolean bad, Symptom symptom, String remark) {
        book.write(
                paper.draft(book.survey(), number(key), new PaperRecord(reading, bad, symptom == null ? Set.of() : Set.of(symptom), remark),
                        Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, "9 May, morning"));
    }

    private void refused(String key, String reading, boolean bad, Symptom symptom, String field) {
        assertThatThrownBy(() -> type(key, reading, bad, symptom, "")).as(key)
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(field));
    }

    /** In the order of work, and the same numbers after something was done. */
    @Test
    void aNumberStaysItsLines() {
        assertThat(paper.lines()).extracting(Paper.PaperLine::number).startsWith(1, 2, 3);
        assertThat(paper.lines()).extracting(l -> l.task().phase()).isSorted();
        assertThat(paper.lines().stream().filter(l -> l.task().route().isPresent())).hasSize(12);
        int lamp = number("lamp");
        book.step("lamp", false);
        Paper later = Paper.of(book.survey());
        assertThat(later.lines().get(lamp - 1).task().key()).isEqualTo("lamp");
        assertThat(later.open(book.survey())).extracting(l -> l.task().key()).doesNotContain("lamp").contains("isolator");
    }

    /** The first and the last are lines; the one before and the one after are none. */
    @Test
    void onlyNumbersOfTheSheetAreLines() {
        int last = paper.lines().size();
        for (int number : new int[] {1, last}) {
            assertThat(
                    paper.draft(book.survey(), number, new PaperRecord("", true, Set.of(), "bad"), Authorship.of(book.now(), SurveyBook.ME),
                            SurveyBook.BASIS, "").payload())
                    .containsKey("paper");
        }
        for (int number : new int[] {0, last + 1}) {
            assertThatThrownBy(() -> paper.draft(book.survey(), number, new PaperRecord("", true, Set.of(), "bad"),
                    Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, ""))
                    .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("number"));
        }
    }

    /** A speed that was read, and one that was passed over, are no longer open on the sheet. */
    @Test
    void speedsThatAreDoneOrPassedOverAreNotOpen() {
        String read = book.machine().train().routes().get(0).key();
        String passed = book.machine().train().routes().get(1).key();
        int open = paper.open(book.survey()).size();
        type(read, "31.9", false, null, "");
        book.write(SurveyEntries.passedOver(Authorship.of(book.now(), SurveyBook.ME),
                book.machine().train().settings(book.machine().train().routes().get(1)), "no time"));
        assertThat(paper.open(book.survey())).hasSize(open - 2).extracting(l -> l.task().key()).doesNotContain(read, passed)
                .contains(book.machine().train().routes().get(2).key());
    }

    /** A row of a table makes the same entry, and says which file and line it is of. */
    @Test
    void aRowOfATableSaysItsFileAndLine() {
        book.write(
                Paper.ofTable(book.survey(), book.survey().task("nose-runout").orElseThrow(), new PaperRecord("0.014", false, Set.of(), ""),
                        Authorship.of(book.now(), SurveyBook.ME), SurveyBook.BASIS, "readings.csv", 7));
        assertThat(book.entries().get(1).payload().part("table").text("file")).isEqualTo("readings.csv");
        assertThat(book.entries().get(1).payload().fields().get("table").toString()).contains("line=7");
        assertThat(book.survey().steps().latest().get(StepId.of("nose-runout")).outcome()).isEqualTo(Outcome.PROVEN);
    }

    @Test
    void aLineBecomesAnEntryThatSaysSo() {
        String speed = book.machine().train().routes().get(0).key();
        type(speed, "31.9", false, null, "smooth");
        type("lamp", "", true, null, "no bulb");
        type("nose-runout", "0.014", false, null, "");
        Survey survey = book.survey();
        assertThat(survey.drive().counting()).singleElement().satisfies(r -> assertThat(r.outcome()).isEqualTo(Outcome.PROVEN));
        assertThat(survey.steps().latest().get(StepId.of("lamp")).isBad()).isTrue();
        assertThat(survey.steps().latest().get(StepId.of("nose-runout")).outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(book.entries().get(2).payload().part("paper").text("visit")).isEqualTo("9 May, morning");
        type(book.machine().train().routes().get(2).key(), "64", false, Symptom.GROWLS, "");
        assertThat(book.survey().drive().counting(Outcome.FAILED)).hasSize(1);
    }

    /** All readings of a step on its line, in the order of its form; one too few, one too many or an empty one is refused. */
    @Test
    void severalReadingsFitALine() {
        assertThat(Paper.readings(book.survey().task("backlash.carriage").orElseThrow().step().orElseThrow())).extracting(f -> f.name())
                .containsExactly("minus", "middle", "plus");
        type("backlash.carriage", "0.10 0.11 0.10; 0.12 0.12 0.12;0.14 0.14 0.14", false, null, "");
        assertThat(book.entries().get(1).payload().part("values").fields()).containsEntry("minus", "0.10 0.11 0.10")
                .containsEntry("middle", "0.12 0.12 0.12").containsEntry("plus", "0.14 0.14 0.14");
        assertThatThrownBy(() -> type("bar-runout", "0 0.01 0 0.01; 0 0.02 0 0.02", false, null, ""))
                .as("how far apart is read too, not taken as usual")
                .isInstanceOf(Refused.class);
        type("bar-runout", "0 0.01 0 0.01; 0 0.02 0 0.02; 300", false, null, "");
        assertThat(book.survey().steps().latest()).containsKey(StepId.of("bar-runout"));
        for (String odd : new String[] {"0.1 0.1 0.1; 0.1 0.1 0.1", "0.1;0.1;0.1;0.1", ";;", "0.1 0.1 0.1;;0.1 0.1 0.1", ""}) {
            refused("backlash.carriage", odd, false, null, "reading");
        }
    }

    @Test
    void whatCannotBeTypedSoIsSaidAtItsPlace() {
        String speed = book.machine().train().routes().get(0).key();
        refused(speed, "", false, null, "reading");
        refused(speed, "fast", false, null, "reading");
        refused(speed, "31.9", true, null, "mark");
        refused("lamp", "12", false, null, "reading");
        refused("lamp", "", false, Symptom.GROWLS, "mark");
        refused("nose-runout", "wide", false, null, "reading");
        refused("backlash.carriage", "0.2", false, null, "reading");
        assertThatThrownBy(() -> paper.draft(book.survey(), paper.lines().size() + 1, new PaperRecord("", false, Set.of(), ""),
                Authorship.of(book.now(), "Q"), SurveyBook.BASIS, "")).isInstanceOf(Refused.class);
    }
}
