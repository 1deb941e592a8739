package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.Values;
import tallledger.core.reading.TypedLength;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/** What is asked back before it is recorded, and what hangs on the last digit. */
class AskBackTest {

    private static final Recording<?> NOSE = ChartLine.of(new SingleSwing(), Rule.MILL_NOSE);

    private static Optional<AskBack> asked(Recording<?> recording, LengthUnit unit, String field, String typed) {
        Rules rules = Rules.shipped().in(unit);
        Map<String, String> values = recording.fields().stream().collect(Collectors.toMap(RecordField::name,
                f -> recording.start(f, rules)));
        values.put(field, typed);
        return AskBack.of(recording, new Values(values, unit), rules);
    }

    /** Inch: workable 0.8 thou at the nose. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"0.5|0.5, in|figure.unit[0.5, thou]; figure.unit[0.05, thou]",
            "5|5, in|figure.unit[5, thou]; figure.unit[0.5, thou]", "80|80, in|figure.unit[8, thou]", "1/2|0.5, in|"})
    void aBareFigureFarOverItsLimitIsAskedBackInInches(String typed, String taken, String meant) {
        AskBack ask = asked(NOSE, LengthUnit.INCH, "value", typed).orElseThrow();
        assertThat(ask.asTyped().toString()).contains(taken);
        assertThat(ask.meanings().stream().map(m -> m.says().toString()).collect(Collectors.joining("; ")))
                .isEqualTo(meant == null ? "" : meant);
        ask.meanings().forEach(m -> assertThat(asked(NOSE, LengthUnit.INCH, "value", m.values().get("value"))).isEmpty());
    }

    @Test
    void onAMetricMachineItMayBeHundredthsOrMicrometres() {
        AskBack ask = asked(NOSE, LengthUnit.MM, "value", "2").orElseThrow();
        assertThat(ask.meanings().stream().map(m -> m.values().get("value"))).containsExactly("0.02 mm", "2 µm");
        assertThat(ask.meanings().stream().map(m -> m.says().toString())).first().asString().contains("0.02, mm");
    }

    /** Ten times is recorded as it stands; what has its unit is asked back with nothing else to mean; by eye nothing is asked. */
    @Test
    void onlyWhatIsFarOverIsAskedBack() {
        BigDecimal workable = Rules.shipped().graded(Rule.MILL_NOSE).workable();
        String ten = workable.movePointRight(1).toPlainString();
        assertThat(asked(NOSE, LengthUnit.MM, "value", ten)).isEmpty();
        assertThat(asked(NOSE, LengthUnit.MM, "value", workable.movePointRight(1).add(new BigDecimal("0.001")).toPlainString()))
                .isPresent();
        assertThat(asked(NOSE, LengthUnit.MM, "value", "3 mm").orElseThrow().meanings()).isEmpty();
        assertThat(asked(new Inspection(), LengthUnit.MM, "none", "")).isEmpty();
    }

    /** 3 in is read to half an inch; 2.9 would do for the 2.75 claimed if it was read so. */
    @Test
    void aVerdictThatHangsOnTheLastDigitSaysSo() {
        AxisTravel travel = new AxisTravel(Optional.of(TypedLength.parse("2.75", LengthUnit.INCH)));
        Rules rules = Rules.shipped().in(LengthUnit.INCH);
        Values three = new Values(Map.of("value", "3"), LengthUnit.INCH);
        assertThat(travel.weigh(three, rules).outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(LastDigit.hangs(travel, three, rules).orElseThrow().arguments().toString()).isEqualTo("[3, 3.00]");
        assertThat(LastDigit.hangs(travel, new Values(Map.of("value", "3.00"), LengthUnit.INCH), rules)).isEmpty();
        assertThat(LastDigit.hangs(travel, new Values(Map.of("value", "2 15/16"), LengthUnit.INCH), rules)).isEmpty();
    }
}
