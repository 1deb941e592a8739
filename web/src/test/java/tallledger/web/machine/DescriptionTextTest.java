package tallledger.web.machine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tallledger.core.family.OwnChart;
import tallledger.core.family.StepId;
import tallledger.core.ledger.CanonicalJson;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;

/** A description as text is the whole of it, and what is wrong in one is said with its line. */
class DescriptionTextTest {

    static List<MachineDescription> machines() {
        return KestrelVale.shortlist().stream().map(SimulatedMachine::description).toList();
    }

    /** Every field of every machine, its own chart as well. */
    @ParameterizedTest
    @MethodSource("machines")
    void readAgainItIsTheSame(MachineDescription machine) {
        DescriptionText.DescriptionRead read = DescriptionText.read(DescriptionText.write(machine), Rules.shipped());
        assertThat(read.wrong()).isEmpty();
        assertThat(CanonicalJson.write(read.description().orElseThrow().toPayload())).isEqualTo(CanonicalJson.write(machine.toPayload()));
    }

    @Test
    void itsOwnChartIsInIt() {
        MachineDescription machine = machines().get(0);
        MachineDescription charted = machine.with(machine.fitOut()
                .with(new OwnChart(
                        Map.of(StepId.read("nose-runout"), new OwnChart.PrintedFigure("0.01", "0.006 mm"), StepId.read("bed-straight"),
                                new OwnChart.PrintedFigure("0.02 mm", "")))));
        String text = DescriptionText.write(charted);
        assertThat(text).contains("[own chart]\nbed-straight: 0.02 mm\nnose-runout: 0.01; 0.006 mm\n");
        assertThat(DescriptionText.read(text, Rules.shipped()).description()).contains(charted);
        assertThat(DescriptionText.read(text.replace("0.006 mm", "small"), Rules.shipped()).wrong()).hasSize(1);
    }

    /** Somebody types it from nothing: what is left out is not known. */
    @Test
    void fewLinesAreEnough() {
        DescriptionText.DescriptionRead read = DescriptionText.read("""
                [machine]
                name: The big drill
                family: Radial Drill
                [stage]
                name: gear
                kind: gear
                shifting: stop to shift
                positions: A B
                [speeds]
                A = 80
                B = 400
                """, Rules.shipped());
        assertThat(read.wrong()).isEmpty();
        MachineDescription machine = read.description().orElseThrow();
        assertThat(machine.identity().maker()).isEmpty();
        assertThat(machine.speeds().counted()).hasSize(2);
        assertThat(machine.fitOut().axes()).as("nothing is made up").isEmpty();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            [machine]                       | [machin]                        | 1  | text.part
            family: lathe                   | family: lath                    | 3  | text.choice
            name: L                         | nam: L                          | 2  | text.field
            kind: gear                      | kind: gears                     | 6  | text.choice
            A = 80                          | A = eighty                      | 10 | number.not-one
            B = 400                         | D = 400                         | 11 | text.cell
            positions: A B                  | positions: A A                  | 8  | stage.repeated
            shifting: stop to shift         | kind: gear                      | 7  | text.twice
            """)
    void whatIsWrongIsSaidWithItsLine(String right, String wrong, int line, String code) {
        String text = "[machine]\nname: L\nfamily: lathe\n[stage]\nname: gear\nkind: gear\nshifting: stop to shift\npositions: A "
                + "B\n[speeds]\nA = 80\nB = 400\n";
        assertThat(text).contains(right + "\n");
        DescriptionText.DescriptionRead read = DescriptionText.read(text.replace(right + "\n", wrong + "\n"), Rules.shipped());
        assertThat(read.description()).isEmpty();
        assertThat(read.wrong()).extracting(DescriptionText.Wrong::line).contains(line);
        assertThat(read.wrong().stream().filter(w -> w.line() == line).map(w -> w.because().code()).toList()).as("%s", read.wrong())
                .contains(code);
    }

    /** Nonsense of any kind is said, never thrown. */
    @Test
    void nonsenseIsSaid() {
        for (String text : List.of("", "\n\n", "hello", "[machine", "[]", "[machine]\n:", "[speeds]\n=\n", "[axis]\nname:",
                "[claim]\nof: swing\n", "[own chart]\nno step: x; y", "[stage]\n".repeat(30),
                "[machine]\nname: x\nname: y", "[claim]\n".repeat(400), "[threads]\nlever: " + "A ".repeat(9_000))) {
            DescriptionText.DescriptionRead read = DescriptionText.read(text, Rules.shipped());
            assertThat(read.description()).as(text.substring(0, Math.min(text.length(), 40))).isEmpty();
            assertThat(read.wrong()).isNotEmpty();
        }
    }
}
