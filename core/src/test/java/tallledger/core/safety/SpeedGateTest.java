package tallledger.core.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;
import tallledger.core.safety.Mounted.Kind;
import tallledger.core.unit.LengthUnit;

class SpeedGateTest {

    private static final Optional<BigDecimal> TOP = Optional.of(new BigDecimal("1400"));

    private static Mounted mounted(Kind kind, String diameter, String rpm, String surface, String asked) {
        return Mounted.parse(kind, diameter, rpm, surface, asked, LengthUnit.MM);
    }

    private static String gate(Mounted mounted, String rpm) {
        return SpeedGate.of(mounted, new BigDecimal(rpm), TOP, Rules.shipped()).refused().map(r -> r.code()).orElse("open");
    }

    @Test
    void surfaceSpeedIsPiTimesDiameterTimesTurns() {
        assertThat(SpeedGate.surfaceSpeed(new BigDecimal("400"), new BigDecimal("1600")).doubleValue())
                .isCloseTo(33.51, Offset.offset(0.005));
        assertThat(SpeedGate.surfaceSpeed(new BigDecimal("400"), new BigDecimal("2000")).doubleValue())
                .isCloseTo(41.89, Offset.offset(0.005));
    }

    /** 35 m/s on 400 mm is 1 671.1: never rounded up; the lower of two marks; no mark, no figure. */
    @ParameterizedTest
    @CsvSource({"400, '', 35, 1671", "400, 1600, 35, 1600", "400, 1700, 35, 1671", "400, 1700, '', 1700", "200, '', 35, 3342"})
    void theGreatestSpeedIsTheStricterMark(String diameter, String rpm, String surface, BigDecimal greatest) {
        Mounted wheel = mounted(Kind.WHEEL, diameter, rpm, surface, "");
        assertThat(SpeedGate.greatest(wheel)).contains(greatest);
        assertThat(gate(wheel, greatest.toPlainString())).isEqualTo("open");
        assertThat(gate(wheel, greatest.add(BigDecimal.ONE).toPlainString())).startsWith("gate.");
    }

    @ParameterizedTest
    @CsvSource({"WHEEL, 400, '', 35, '', 1600, open", "WHEEL, 400, '', 35, '', 2000, gate.surface",
            "WHEEL, 400, 1700, '', '', 1800, gate.rpm", "CHUCK, 250, 1200, '', '', 1200, open",
            "CHUCK, 250, 1200, '', '', 1201, gate.rpm", "CHUCK, '', '', '', '', 700, open", "CHUCK, '', '', '', '', 701, gate.unmarked",
            "FACEPLATE, '', '', '', '', 1400, gate.unmarked",
            "CHUCK, '', '', '', the foreman, 1400, open", "NOTHING, '', '', '', '', 1400, open"})
    void nothingTurnsFasterThanItsMark(Kind kind, String diameter, String marked, String surface, String asked, String rpm,
            String expected) {
        assertThat(gate(mounted(kind, diameter, marked, surface, asked), rpm)).isEqualTo(expected);
    }

    @Test
    void anInchWheelIsReckonedInMillimetres() {
        Mounted wheel = Mounted.parse(Kind.WHEEL, "16", "", "35", "", LengthUnit.INCH);
        assertThat(wheel.diameter().orElseThrow()).isEqualByComparingTo("406.4");
    }

    @Test
    void aWheelWithoutMarkOrDiameterIsRefused() {
        assertThatThrownBy(() -> mounted(Kind.WHEEL, "400", "", "", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("markedMs"));
        assertThatThrownBy(() -> mounted(Kind.WHEEL, "", "", "35", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("diameter"));
        assertThatThrownBy(() -> mounted(Kind.WHEEL, "400", "", "500", "")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> mounted(Kind.CHUCK, "round", "", "", ""))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains("diameter"));
    }
}
