package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.drive.Stage;
import tallledger.core.drive.StageKind;
import tallledger.core.drive.Transmission;
import tallledger.core.machine.MachineDescription;
import tallledger.core.plate.Lever;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.forms.FormInput;
import tallledger.web.forms.FormRow;

/** The machine form: what is typed becomes a description, and a description becomes what would be typed. */
class MachineFormTest {

    static Stream<MachineDescription> shortlist() {
        return KestrelVale.shortlist().stream().map(SimulatedMachine::description);
    }

    @ParameterizedTest
    @MethodSource("shortlist")
    void everyMachineIsWrittenAndReadBackTheSame(MachineDescription machine) {
        FormInput typed = MachineForm.write(machine);
        assertThat(MachineForm.description(typed, java.util.Optional.of(machine), Rules.shipped())).contains(machine);
        assertThat(typed.errors()).isEmpty();
    }

    private static FormRow row(String kind, String positions, String values) {
        FormInput typed = FormInput.blank();
        typed.set("s.name", "stage");
        typed.set("s.kind", kind);
        typed.set("s.shifting", "UNKNOWN");
        typed.set("s.positions", positions);
        typed.set("s.values", values);
        return new FormRow(typed, "s");
    }

    @Test
    void aCompoundTrainAndANeutralAreRead() {
        Stage stage = StageReader.read(row("GEAR", "low N high", "24/48*20/80 N 1")).orElseThrow();
        assertThat(stage.positions().get(0).transmission().factor().orElseThrow().low()).isEqualTo(0.125);
        assertThat(stage.positions().get(1).transmission()).isInstanceOf(Transmission.Neutral.class);
        assertThat(stage.positions().get(2).transmission().factor().orElseThrow().low()).isEqualTo(1);
    }

    /** Places of one name are called by their lever as well, and both come back as they were typed. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            left: 1 2; right: 3 4  | 1 2 3 4                     | left: 1 2; right: 3 4
            left: 1..3 / right: 4  | 1 2 3 4                     | left: 1 2 3; right: 4
            a: in out; b: in       | a-in out b-in               | a: in out; b: in
            """)
    void leversEngagedOneAtATimeAreOneRow(String typed, String labels, String back) {
        FormRow row = row("GEAR", typed, "");
        row.set("pattern", "ONE_AT_A_TIME");
        Stage stage = StageReader.read(row).orElseThrow();
        assertThat(stage.positions().stream().map(p -> p.label()).collect(java.util.stream.Collectors.joining(" "))).isEqualTo(labels);
        StageReader.write(stage, row);
        assertThat(row.get("positions")).isEqualTo(back);
        assertThat(StageReader.read(row)).contains(stage);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1 2 3 4
            left: 1 2; right
            left: 1 2
            : 1; b: 2
            """)
    void leversWithoutTheirPlacesAreAskedFor(String typed) {
        FormRow row = row("GEAR", typed, "");
        row.set("pattern", "ONE_AT_A_TIME");
        assertThat(StageReader.read(row)).isEmpty();
        assertThat(row.typed().isWrong("s.positions")).isTrue();
    }

    @Test
    void anInverterIsReadByItsFrequencies() {
        Stage stage = StageReader.read(row("INVERTER", "", "20 80 50")).orElseThrow();
        assertThat(stage.kind()).isEqualTo(StageKind.INVERTER);
        assertThat(stage.positions().get(2).transmission().factor().orElseThrow().low()).isEqualTo(0.4);
        assertThat(stage.positions().get(2).transmission().factor().orElseThrow().high()).isEqualTo(1.6);
    }

    /** The speeds of most plates beside an inverter stand at its plate frequency: a place of its own, named under Positions. */
    @Test
    void anInverterMayHaveAPlaceAtItsPlateFrequency() {
        FormRow row = row("INVERTER", "50Hz", "25 75 50");
        Stage stage = StageReader.read(row).orElseThrow();
        assertThat(stage.ownPlace()).contains("50Hz");
        assertThat(stage.positions().get(stage.indexOf("50Hz")).transmission().factor().orElseThrow().low()).isEqualTo(1);
        StageReader.write(stage, row);
        assertThat(row.get("positions")).isEqualTo("50Hz");
        assertThat(row.get("values")).isEqualTo("25 75 50");
        assertThat(StageReader.read(row)).contains(stage);
        FormRow two = row("INVERTER", "50Hz 60Hz", "25 75 50");
        StageReader.read(two);
        assertThat(two.typed().isWrong("s.positions")).isTrue();
        FormRow variator = row("VARIATOR", "1 2 3", "0.4 2.5");
        StageReader.read(variator);
        assertThat(variator.typed().isWrong("s.positions")).isTrue();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1..4|1 2 3 4", "A, B,C|A B C", "  I  II |I II", "|on"})
    void labelsArePartedAsPeopleWriteThem(String typed, String labels) {
        assertThat(StageReader.labels(typed == null ? "" : typed)).containsExactly(labels.split(" "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"GEAR|A A|", "GEAR|A B|24/48", "GEAR|A|24/48/3", "GEAR|A|x", "NONSENSE|A|1", "GEAR|a\u007cb|1"})
    void whatIsNoStageIsRefusedAtItsField(String kind, String positions, String values) {
        FormRow typed = row(kind, positions, values == null ? "" : values);
        assertThat(StageReader.read(typed)).isEmpty();
        assertThat(typed.typed().isClean()).isFalse();
    }

    private static final List<Lever> TWO = List.of(new Lever("range", List.of("A", "B")), new Lever("gear", List.of("1", "2")));

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"50,100;200,400", "50\t100;200\t400", "\t1\t2;A\t50\t100;B\t200\t400", "A,50,100;B,200,400",
            "range,gear,rpm;A,1,50;A,2,100;B,1,200;B,2,400"})
    void aPlateIsPastedInAnyOfItsForms(String pasted) {
        Map<List<String>, String> cells = PlatePaste.read(pasted.replace(';', '\n'), TWO);
        assertThat(cells).containsEntry(List.of("A", "1"), "50").containsEntry(List.of("B", "2"), "400").hasSize(4);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"50,100|paste.rows", "50;200|paste.columns", "A,1,50;A,1,60|paste.repeated",
            "A,1,50;C,9,60|paste.stray"})
    void aPasteThatDoesNotFitSaysWhy(String pasted, String code) {
        assertThatThrownBy(() -> PlatePaste.read(pasted.replace(';', '\n'), TWO)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(code));
        assertThatThrownBy(() -> PlatePaste.read("1,".repeat(20_000), TWO)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> PlatePaste.read("\n\n", TWO)).isInstanceOf(Refused.class);
    }

    /** A lever gains a position: what was typed keeps its place by its labels. */
    @Test
    void typedCellsKeepTheirPlaceWhenALeverChanges() {
        FormInput typed = FormInput.blank();
        PlateGrid.reshape(typed, TWO, FormPlate.SPEED);
        typed.set("cell0", "50");
        typed.set("cell3", "400");
        List<Lever> three = List.of(new Lever("range", List.of("A", "B")), new Lever("gear", List.of("1", "2", "3")));
        PlateGrid.reshape(typed, three, FormPlate.SPEED);
        assertThat(typed.get("cell0")).isEqualTo("50");
        assertThat(typed.get("cell4")).isEqualTo("400");
        assertThat(typed.get("cell3")).isEmpty();
    }

    @Test
    void aForgedShapeIsNotFollowed() {
        FormInput typed = FormInput.blank();
        String wide = "p ".repeat(300).strip();
        typed.set("shape", wide + "|" + wide + "|" + wide);
        PlateGrid.reshape(typed, TWO, FormPlate.SPEED);
        assertThat(typed.get("shape")).isEqualTo("A B|1 2");
    }
}
