package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.family.Family;
import tallledger.web.forms.FormInput;

/** What stands in a box whose key was not pressed: taken along where there is one way to, else kept and asked about. Nothing vanishes. */
class TakenAlongTest {

    private static FormInput taken(String field, String text) {
        FormInput typed = MachineForm.blank();
        typed.set(field, text);
        TakenAlong.take(typed, Family.LATHE.traits().usual().axes());
        return typed;
    }

    @Test
    void wordsAreSplitIntoClaims() {
        FormInput typed = taken("said", "12 speeds, 40 to 1600 rpm; runs sweet as a nut");
        assertThat(typed.isClean()).isTrue();
        assertThat(typed.get("said")).isEmpty();
        assertThat(IntStream.range(0, 6).mapToObj(i -> typed.get("claim" + i + ".attribute") + " " + typed.get("claim" + i + ".value")
                + " " + typed.get("claim" + i + ".wording")).toList().toString()).contains("SPEED_COUNT 12", "runs sweet as a nut");
    }

    @Test
    void wordsOfNobodyStayAndAreAskedAbout() {
        FormInput typed = MachineForm.blank();
        typed.set("said", "12 speeds");
        typed.set("saidBy", "NOBODY");
        TakenAlong.take(typed, List.of());
        assertThat(typed.isWrong("saidBy")).isTrue();
        assertThat(typed.get("said")).isEqualTo("12 speeds");
    }

    /** One way to lay it out, and nothing read off the plate yet. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            list       | 31.5 45 63;125 180 250 | cell4       | 180
            list       | 60 to 500, 500 to 4200 | cell2       | 500
            feedlist   | 0.1 0.2 0.4;0.8 1.6 3.2  | feedcell5   | 3.2
            threadlist | 8 9 10;16 18 20        | threadcell3 | 16""")
    void whatFitsInOneWayIsLaidOut(String field, String text, String cell, String stands) {
        FormInput typed = taken(field, text.replace(';', '\n'));
        assertThat(typed.errors()).isEmpty();
        assertThat(typed.get(field)).isEmpty();
        assertThat(typed.get(cell)).isEqualTo(stands);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            list        | 31.5 45 63 125 180 250 500 710 1000 | list.fits-several
            list        | 12 from 31.5 to 1400                | list.fits-several
            list        | 31.5 Hz 45                          | list.unit
            feedlist    | 0.1 0.2 0.4 0.8 1.6 3.2             | list.fits-several
            counted     | 3 and 4                             | levers.alone
            feedcounted | 3 and 4                             | levers.alone
            pasted      | 1 2 3                               | paste.no-levers""")
    void whatDoesNotStaysAndIsAskedAbout(String field, String text, String because) {
        FormInput typed = taken(field, text);
        assertThat(typed.get(field)).isEqualTo(text);
        assertThat(typed.errors().get(field).code()).isEqualTo(because);
    }

    /** Figures read off the plate by hand are not written over. */
    @Test
    void aPlateThatWasReadIsNotWrittenOver() {
        FormInput typed = MachineForm.blank();
        typed.set("cell0", "28");
        typed.set("list", "31.5 45 63\n125 180 250");
        TakenAlong.take(typed, List.of());
        assertThat(typed.get("cell0")).isEqualTo("28");
        assertThat(typed.errors().get("list").code()).isEqualTo("list.not-used");
    }

    @Test
    void aPastedPlateFillsItsGrid() {
        FormInput typed = MachineForm.blank();
        typed.set("stage1.name", "lever");
        typed.set("stage1.kind", "GEAR");
        typed.set("stage1.shifting", "UNKNOWN");
        typed.set("stage1.positions", "1..3");
        typed.set("stage0.values", "1440");
        typed.set("pasted", "31.5;45;63");
        TakenAlong.take(typed, List.of());
        assertThat(typed.errors()).isEmpty();
        assertThat(typed.get("pasted")).isEmpty();
        assertThat(typed.get("cell2")).isEqualTo("63");
    }

    /** A lever mistyped after its plate was read: what was read stays, in the shape it had. */
    @Test
    void aMistypedLeverTakesNoReadingWithIt() {
        FormInput typed = MachineForm.blank();
        typed.set("shape", "1 2 3");
        typed.set("cell1", "45");
        typed.set("stage1.name", "lever");
        typed.set("stage1.positions", "1 1 1");
        PlateGrid kept = PlateGrid.kept(typed, DriveFields.leversSoFar(typed), FormPlate.SPEED).orElseThrow();
        assertThat(kept.columns()).containsExactly("1", "2", "3");
        assertThat(typed.get("cell1")).isEqualTo("45");
    }
}
