package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

class TypedLengthTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"0.0005 in|0.0127", "5 tenths|0.0127", "2 thou|0.0508", "1-9/16\"|39.6875",
            "1 9/16 in|39.6875", "9/16\"|14.2875", "31.5|31.5", "8 µm|0.008", "410mm|410", "1,400|1400", "1.5 m|1500", "2 ft|609.6"})
    void readsLengthsInAnyUnit(String typed, BigDecimal mm) {
        assertThat(TypedLength.parse(typed, LengthUnit.MM).mm()).isEqualByComparingTo(mm);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"5.|127", "9 ft 11|3022.6", "5 ft 6 1/2 in|1689.1", "2 inches|50.8",
            "1 in.|25.4",
            "63 µin|0.0016002", "35 5/8|904.875", "5' 6\"|1676.4", "0.0005 in|0.0127", "-1/2|-12.7", "12 microns|0.012"})
    void readsWhatIsSaidInAShop(String typed, BigDecimal mm) {
        assertThat(TypedLength.parse(typed, LengthUnit.INCH).mm()).isEqualByComparingTo(mm);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"5 tenths; 3 tenths|0.0127 0.00762", "0.01, 0.02|0.254 0.508", "0.01 0.02|0.254 0.508",
            "0,01 0,02|0.254 0.508", "2 thou 3 thou|0.0508 0.0762", "1-9/16 2 1/4|39.6875 57.15", "0.5 thou|0.0127", "-0.01; 0|-0.254 0",
            "0.2 1.6 2.0 thou|0.00508 0.04064 0.0508", "1, 2, 3 tenths|0.00254 0.00508 0.00762", "0.1 0.2 mm|0.1 0.2",
            "1/2 3/4 in|12.7 19.05", "0.2 thou 1.6 2 thou|0.00508 40.64 0.0508"})
    void severalStandInOneField(String typed, String mm) {
        assertThat(TypedLength.row(typed, LengthUnit.INCH.millimetres()).stream().map(l -> l.mm().stripTrailingZeros().toPlainString()))
                .containsExactly(mm.split(" "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"0.5|0.0416667", "0.0005 in/ft|0.0416667", "0.5 thou per 12 in|0.0416667", "0.02 mm/m|0.02",
            "4 thou/ft|0.333333", "0.25 thou|0.0208333"})
    void aSlopeIsThouPer12InOnAnInchMachine(String typed, double mmPerMetre) {
        assertThat(TypedSlope.parse(typed, LengthUnit.INCH).value().doubleValue()).isCloseTo(mmPerMetre,
                org.assertj.core.data.Offset.offset(1e-6));
    }

    @Test
    void aSlopeIsMmPerMetreOnAMetricMachine() {
        assertThat(TypedSlope.parse("0.02", LengthUnit.MM).value()).isEqualByComparingTo("0.02");
        assertThat(TypedSlope.parse("0.02 mm", LengthUnit.MM).value()).isEqualByComparingTo("0.02");
        assertThatThrownBy(() -> TypedSlope.parse("steep", LengthUnit.MM)).isInstanceOf(Refused.class);
        assertThat(TypedForce.parse("225", LengthUnit.INCH).value().doubleValue()).isCloseTo(1.00085,
                org.assertj.core.data.Offset.offset(1e-5));
        assertThat(SurfaceSpeed.ofWheel("6500", LengthUnit.INCH).doubleValue()).isCloseTo(33.02, org.assertj.core.data.Offset.offset(1e-6));
        assertThat(SurfaceSpeed.ofWheel("33", LengthUnit.MM)).isEqualByComparingTo("33");
    }

    @Test
    void aBareNumberIsInTheMachinesOwnUnit() {
        assertThat(TypedLength.parse("10", LengthUnit.INCH).mm()).isEqualByComparingTo("254");
    }

    @Test
    void threadsPerInchAreAPitch() {
        assertThat(TypedLength.parse("12 tpi", LengthUnit.MM).mm().doubleValue())
                .isCloseTo(2.1166667, org.assertj.core.data.Offset.offset(1e-7));
    }

    @ParameterizedTest
    @CsvSource({"5 furlong,length.unknown-unit", "wide,length.not-one", "1/0 in,length.over-nought", "0 tpi,number.not-positive"})
    void refusesWhatIsNoLength(String typed, String code) {
        assertThatThrownBy(() -> TypedLength.parse(typed, LengthUnit.MM)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(code));
    }
}
