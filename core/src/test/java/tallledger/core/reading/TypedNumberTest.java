package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.reason.Refused;

class TypedNumberTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"31.5|31.5|0.1", "31,5|31.5|0.1", "1 400|1400|1", "1,400|1400|1", "1'400|1400|1",
            "1 400.5|1400.5|0.1", "0,125|125|1", "12,3456|12.3456|0.0001", "1,400,000|1400000|1", ".5|0.5|0.1", "−5|-5|1"})
    void readsWhatPeopleWrite(String typed, BigDecimal value, BigDecimal step) {
        TypedNumber number = TypedNumber.parse(typed);
        assertThat(number.value()).isEqualByComparingTo(value);
        assertThat(number.step()).isEqualByComparingTo(step);
        assertThat(number.typed()).isEqualTo(typed);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1.4OO|number.letter-for-digit", "l400|number.letter-for-digit", "31.5 32|number.two",
            "31.5/32|number.two", "fast|number.not-one", "1e9|number.not-one", "1.2.3|number.not-one", "NaN|number.not-one",
            "12345678901234567890123456|number.too-long"})
    void refusesNonsenseWithItsReason(String typed, String code) {
        assertThatThrownBy(() -> TypedNumber.parse(typed)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo(code));
    }

    @Test
    void suggestsTheDigitBehindALetter() {
        assertThatThrownBy(() -> TypedNumber.parse("1.4OO")).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().arguments()).containsExactly("1.4OO", "1.400"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-3", "0.0"})
    void aSpeedMustBeAboveNought(String typed) {
        assertThatThrownBy(() -> TypedNumber.parsePositive(typed)).isInstanceOfSatisfying(Refused.class,
                refused -> assertThat(refused.reason().code()).isEqualTo("number.not-positive"));
    }
}
