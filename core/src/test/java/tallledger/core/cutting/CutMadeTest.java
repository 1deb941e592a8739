package tallledger.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.family.StepId;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Payload;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Refused;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepResult;
import tallledger.core.survey.SurveyEntries;
import tallledger.core.unit.LengthUnit;

class CutMadeTest {

    private static Map<String, String> said(String... more) {
        Map<String, String> typed = new HashMap<>(Map.of("kind", "TURNING", "material", "STEEL", "tool", "carbide", "diameter", "40",
                "feed", "0.2", "depth", "1", "rpm", "500"));
        for (int i = 0; i < more.length; i += 2) {
            typed.put(more[i], more[i + 1]);
        }
        return typed;
    }

    /** π·40·500/1000 = 62.8 m/min round the work; the table of a mill goes at 0.2·500 mm/min. */
    @Test
    void theSurfaceGoesPastTheToolAsFastAsTheCutSays() {
        assertThat(CutMade.typed(said(), LengthUnit.MM).past().doubleValue()).isEqualTo(62.83, within(0.01));
        assertThat(CutMade.typed(said("kind", "FACE_MILLING", "width", "30"), LengthUnit.MM).past().doubleValue())
                .isEqualTo(0.1, within(1e-9));
    }

    @Test
    void itIsKeptAsTyped() {
        CutMade cut = CutMade.typed(said("diameter", "1.5", "kind", "DRILLING"), LengthUnit.INCH);
        assertThat(cut.depth()).isEmpty();
        assertThat(CutMade.from(new Payload(cut.toPayload(LengthUnit.INCH)))).isEqualTo(cut);
    }

    @ParameterizedTest
    @CsvSource({"rpm,fast,rpm", "rpm,0,rpm", "diameter,-4,diameter", "depth,'',depth", "feed,x,feed", "kind,SAWING,kind",
            "material,WOOD,material"})
    void whatMakesNoSenseIsSaidAtItsField(String field, String text, String at) {
        assertThatThrownBy(() -> CutMade.typed(said(field, text), LengthUnit.MM))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(at));
    }

    /** Steps of the test cut refer to the cut made last before them; a struck one is none. */
    @Test
    void stepsOfTheTestCutReferToIt() {
        MachineDescription lathe = Machines.twelve();
        SurveyBook book = new SurveyBook(lathe, Scope.WHOLE, 30);
        book.step("turned-round", false, "value", "0.004");
        int cut =
                book.write(SurveyEntries.cut(Authorship.of(book.now(), SurveyBook.ME), CutMade.typed(said(), LengthUnit.MM), LengthUnit.MM))
                        .sequence();
        book.step("turned-round", false, "value", "0.004");
        book.step("play.carriage", false, "value", "0.01");
        assertThat(book.ledger().all()).extracting(StepResult::cut).containsExactly(java.util.Optional.empty(), java.util.Optional.of(cut),
                java.util.Optional.empty());
        book.write(SurveyEntries.strike(Authorship.of(book.now(), SurveyBook.ME), book.entries(), cut, "another bar"));
        book.step("turned-round", false, "value", "0.004");
        assertThat(book.ledger().latest().get(StepId.read("turned-round")).cut()).isEmpty();
    }
}
