package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import tallledger.core.Machines;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.family.Catalogue;
import tallledger.core.family.Family;
import tallledger.core.family.Step;
import tallledger.core.gauge.Grade;
import tallledger.core.reading.Power;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.supply.Voltage;
import tallledger.core.unit.LengthUnit;

/** What is typed at an inch machine, and what it is judged by. */
class InchMachineTest {

    private static final Rules INCHES = Rules.shipped().in(LengthUnit.INCH);

    private static Values typed(Recording<?> recording, String fields) {
        Map<String, String> typed = recording.fields().stream().collect(Collectors.toMap(RecordField::name,
                f -> recording.start(f, INCHES)));
        Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2)).forEach(f -> typed.put(f[0], f[1]));
        return new Values(typed, LengthUnit.INCH);
    }

    private static StepJudgement judged(Recording<?> recording, String fields) {
        return recording.weigh(typed(recording, fields), INCHES);
    }

    private static String said(StepJudgement judged) {
        return judged.because().toString();
    }

    /** The rest is left as the form has it: 12 in, where the millimetre figure stood once. */
    @Test
    void theLengthThatStandsThereIsOfTheMachinesUnit() {
        ChartLine<?> drill = ChartLine.per(new SingleSwing(), Rule.DRILL_OUT_300, 300);
        assertThat(judged(drill, "value=0.010").outcome()).as("10 thou over 12 in; workable 8").isEqualTo(Outcome.FAILED);
        assertThat(judged(drill, "value=0.0015").grade()).as("1.5 thou; rebuilt 1.5, its U over it").contains(Grade.SOUND);
        assertThat(said(judged(drill, "value=0.0012"))).contains("1.5, thou").doesNotContain("mm", "11.8", "300");
        MeasurementOverLength scaled = new MeasurementOverLength(Rule.TABLE_500, java.math.BigDecimal.valueOf(500));
        assertThat(judged(scaled, "value=0.005").outcome()).as("5 thou over 20 in; workable 3").isEqualTo(Outcome.FAILED);
    }

    /** No field of any step of any family stands filled with a bare metric length on an inch machine. */
    @Test
    void noFieldIsFilledInAnotherUnit() {
        for (int mm : new int[] {100, 150, 300, 500, 1000}) {
            assertThat(Preset.length(java.math.BigDecimal.valueOf(mm)).in(LengthUnit.INCH)).isNotEqualTo(String.valueOf(mm));
        }
        for (Recording<?> recording : new Recording<?>[] {ChartLine.of(new StraightnessByLevel(), Rule.STRAIGHT_1000),
                ChartLine.of(new TwistByLevels(), Rule.TWIST)}) {
            assertThat(recording.start(recording.fields().get(0), INCHES)).isEqualTo("0.5");
            assertThat(recording.start(recording.fields().get(0), Rules.shipped())).isEqualTo("0.02");
        }
    }

    @ParameterizedTest
    @CsvSource({"SLOPE, thou per 12 in", "ROUGHNESS, µin", "DEVIATION, tenths", "TEMPERATURE, °F", "SURFACE, ft/min", "WHEEL, ft/min",
            "FORCE, lbf", "LENGTH, in", "DIAL, in", "MINUTES_AND_TEMPERATURE, 'min, °F'", "ANGLE_AND_DEVIATION, '°, tenths'"})
    void everyFieldSaysItsInchUnit(FieldUnit unit, String written) {
        assertThat(unit.in(LengthUnit.INCH)).isEqualTo(written);
        assertThat(unit.in(LengthUnit.MM)).isNotEqualTo(written);
    }

    /** 70 to 151 °F is a rise of 81: the workable limit itself. A bare 63 of roughness is µin, not µm. A level is half a thou in 12 in. */
    @Test
    void bareFiguresAreOfTheInchSystem() {
        BearingTemperature rise = new BearingTemperature(Rule.BEARING_RISE);
        assertThat(judged(rise, "cold=70.0|hot=110.0").grade()).as("40 °F, rebuilt 45").contains(Grade.REBUILT);
        assertThat(said(judged(rise, "cold=70.0|hot=110.0"))).contains("value=40").contains("°F").doesNotContain(", K]");
        assertThat(judged(rise, "cold=70.0|hot=160.0").outcome()).as("90 °F, workable 81").isEqualTo(Outcome.FAILED);
        SurfaceFinish milled = new SurfaceFinish(SurfaceFinish.Process.MILLED);
        assertThat(judged(milled, "ra=60").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(said(judged(milled, "ra=60"))).contains("finish.good", "finish.number[63, 7]", "µin").doesNotContain("µm");
        assertThat(judged(milled, "ra=250").outcome()).as("four times 63").isEqualTo(Outcome.FAILED);
        assertThat(said(judged(milled, "ra=1.6 µm"))).contains("finish.number[63, 7]");
        ChartLine<?> bed = ChartLine.of(new TwistByLevels(), Rule.TWIST);
        assertThat(judged(bed, "feet=8|levels=0 1").grade()).as("0.5 thou per 12 in, its U over sound").contains(Grade.WORKABLE);
        assertThat(said(judged(bed, "feet=8|levels=0 1"))).contains("thou per 12 in").doesNotContain("mm");
        assertThat(judged(bed, "value=0.1").grade()).contains(Grade.REBUILT);
        assertThat(judged(bed, "value=0.0005 in/ft").grade()).as("on the sound limit, its U over it").contains(Grade.WORKABLE);
        ChartLine<?> dip = ChartLine.of(new DipUnderThrust(), Rule.THRUST_DIP);
        assertThat(judged(dip, "dip=4 thou|thrust=450").grade()).as("2 thou per 225 lbf; rebuilt 4").contains(Grade.REBUILT);
        assertThat(said(judged(dip, "dip=4 thou|thrust=450"))).contains("lbf").doesNotContain("kN");
    }

    /** A converter of 5 on an inch machine is 5 hp, 3.73 kW, for a motor of 3 kW; said so, and no kW. */
    @Test
    void aConverterIsOfHorsepower() {
        SupplyCheck check = new SupplyCheck(new SupplyPlate(Optional.of(Voltage.parse("400")), Optional.of(BigDecimal.valueOf(50)), 3,
                Optional.of(Power.parse("3 kW")), Optional.empty(), false));
        String fields = "source=ROTARY_CONVERTER|l12=400|l23=400|l31=400|hertz=50|measuredBy=E|rating=";
        assertThat(check.read(typed(check, fields + "5")).rating().orElseThrow()).isEqualByComparingTo("3.7285");
        assertThat(check.read(typed(check, fields + "5 kW")).rating().orElseThrow()).isEqualByComparingTo("5");
        assertThat(said(judged(check, fields + "3"))).contains("supply.size-small", "hp").doesNotContain("kW");
    }

    /** Records of once were metric in all but lengths: they stay so. */
    @Test
    void oldRecordsOfInchMachinesKeepWhatTheyMeant() {
        BearingTemperature rise = new BearingTemperature(Rule.BEARING_RISE);
        Values old = new Values(Map.of("cold", "20.0", "hot", "50.0"), LengthUnit.INCH, java.util.Optional.empty(),
                java.util.Optional.empty(),
                LengthUnit.MM);
        assertThat(rise.read(old).ends().orElseThrow().hot().value()).isEqualByComparingTo("50.0");
    }

    /** What stands in a field at first is nothing, has its unit behind it, or is not the figure of a metric machine. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void noStepOfAnyFamilyIsFilledWithTheMetricFigure(Family family) {
        for (Step step : Catalogue.of(Machines.twelve(family, LengthUnit.INCH), INCHES)) {
            for (RecordField field : step.recording().fields()) {
                String start = step.recording().start(field, INCHES);
                boolean ofSystem = !field.unit().in(LengthUnit.INCH).equals(field.unit().in(LengthUnit.MM));
                if (ofSystem && start.matches("[\\d.]*[1-9][\\d.]*")) {
                    assertThat(start).as(step.code() + " " + field.name()).isNotEqualTo(step.recording().start(field, Rules.shipped()));
                }
            }
        }
    }

    /** No name, no limit and no length of any step of any inch machine is metric. */
    @ParameterizedTest
    @EnumSource(Family.class)
    void noStepNamesAMetricLength(Family family) {
        for (Step step : Catalogue.of(Machines.twelve(family, LengthUnit.INCH), INCHES)) {
            assertThat(step.name().arguments() + " " + step.says("do").arguments()).as(step.code()).doesNotContain("mm", "a metre", "kN",
                    "µm", "m/s");
            step.recording().limitPer(INCHES).ifPresent(per -> assertThat(per.remainder(new java.math.BigDecimal("25.4")).signum())
                    .as(step.code()).isZero());
        }
    }
}
