package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;

class TypedLengthTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"0.0005 in|0.0127", "5 tenths|0.0127", "2 thou|0.0508", "1-9/16\"|39.6875",
        "1 9/16 in|39.6875", "9/16\"|14.2875", "31.5|31.5", "8 µm|0.008", "410mm|410", "1,400|1400", "1.5 m|1500", "2 ft|609.6"})
    void readsLengthsInAnyUnit(String typed, BigDecimal mm) {
        assertThat(TypedLength.parse(typed, LengthUnit.MM).mm()).isEqualByComparingTo(mm);
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
