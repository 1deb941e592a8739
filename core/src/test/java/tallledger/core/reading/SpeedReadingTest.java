package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rules;

class SpeedReadingTest {

    /** 10 turns at 31.5 take 19.05 s; √(0.1² + (0.01/√12)²)/19.05 = 0.525 %, twice that is 0.3308 rpm of 31.50. */
    @Test
    void tenTurnsAtTheLowestSpeedAreGoodToHalfAPercent() {
        SpeedReading reading = SpeedReading.byTaps("10", "19.05");
        assertThat(reading.rpm()).isEqualByComparingTo("31.50");
        assertThat(reading.expanded(Rules.shipped())).isCloseTo(0.33081, offset(1e-5));
        assertThat(reading.expanded(Rules.shipped()) / 2 / 31.5).isCloseTo(0.00525, offset(1e-5));
    }

    /** u = √((0.1/√12)² + (0.005·200/2)²) = √(0.02887² + 0.5²) = 0.50083; U = 1.0017. */
    @Test
    void aTachometerCarriesItsDigitAndItsCertificate() {
        SpeedReading reading = SpeedReading.byTachometer("200.0");
        assertThat(reading.expanded(Rules.shipped())).isCloseTo(1.0017, offset(1e-4));
    }

    /** Typed without a decimal the last digit is worth 1: u = √((1/√12)² + 0.5²) = 0.57735; U = 1.1547. */
    @Test
    void aCoarselyWrittenReadingIsLessCertain() {
        assertThat(SpeedReading.byTachometer("200").expanded(Rules.shipped())).isCloseTo(1.1547, offset(1e-4));
    }

    /** 126.0 from 4 marks is 31.5: u = √((0.1/√12)² + (0.002·126/2)²)/4 = √(0.02887² + 0.126²)/4 = 0.03232; U = 0.0646. */
    @Test
    void anOpticalReadingIsSharedAmongItsMarks() {
        SpeedReading reading = SpeedReading.shown(Method.OPTICAL, "126.0", "4");
        assertThat(reading.rpm()).isEqualByComparingTo("31.5");
        assertThat(reading.expanded(Rules.shipped())).isCloseTo(0.0646, offset(1e-4));
        assertThat(reading.typed()).isEqualTo("126.0 from 4 marks");
        assertThatThrownBy(() -> SpeedReading.shown(Method.OPTICAL, "126", "2.5")).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo("optical.marks"));
    }

    /** The machine's own display is trusted least: 2 % against the tachometer's 0.5 %. */
    @Test
    void instrumentsDifferInTheirTrust() {
        assertThat(SpeedReading.shown(Method.DISPLAY, "1000", "").expanded(Rules.shipped()))
                .isGreaterThan(SpeedReading.shown(Method.STROBE, "1000", "").expanded(Rules.shipped()));
        assertThat(SpeedReading.shown(Method.STROBE, "1000", "").expanded(Rules.shipped()))
                .isGreaterThan(SpeedReading.shown(Method.CONTACT_TACHOMETER, "1000", "").expanded(Rules.shipped()));
    }

    @Test
    void asManyTurnsAsTheListeningHoldsAtLeastTen() {
        assertThat(SpeedReading.turnsToCount(25, 20)).isEqualTo(10);
        assertThat(SpeedReading.turnsToCount(90, 20)).isEqualTo(30);
    }

    @ParameterizedTest
    @CsvSource({"9,10,taps.too-few", "10.5,20,taps.part-turn", "60,20,taps.too-fast", "10,0,number.not-positive", "10,,number.missing"})
    void refusesACountNobodyMade(String turns, String seconds, String code) {
        assertThatThrownBy(() -> SpeedReading.byTaps(turns, seconds)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(code));
    }

    @Test
    void refusesASpeedNoMachineTurns() {
        assertThatThrownBy(() -> SpeedReading.byTachometer("10 000 000")).isInstanceOfSatisfying(
                Refused.class, refused -> assertThat(refused.reason().code()).isEqualTo("speed.impossible"));
    }
}
