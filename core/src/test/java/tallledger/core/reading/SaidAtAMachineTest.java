package tallledger.core.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/** Powers, masses, ratios and temperatures as people say them. */
class SaidAtAMachineTest {

    @ParameterizedTest
    @CsvSource({"5.5, 5.5", "5.5 kW, 5.5", "7.5 hp, 5.59275", "10HP, 7.457", "750 W, 0.75", "'2,2 kW', 2.2", "3. hp, 2.2371"})
    void powers(String typed, BigDecimal kilowatts) {
        assertThat(Power.parse(typed).kilowatts()).isEqualByComparingTo(kilowatts);
        assertThat(Power.parse(typed).typed()).isEqualTo(typed);
    }

    @ParameterizedTest
    @CsvSource({"850, 850, 850", "1.2 t, 1200, 1200", "250 to 300 lb, 113.4, 136.08", "1 800-2 000 kg, 1800, 2000",
            "250 lb to 300 lb, 113.4, 136.08", "4500 lbs, 2041.2, 2041.2"})
    void masses(String typed, BigDecimal low, BigDecimal high) {
        assertThat(Mass.parse(typed).low()).isEqualByComparingTo(low);
        assertThat(Mass.parse(typed).high()).isEqualByComparingTo(high);
    }

    @ParameterizedTest
    @CsvSource({"5.2:1, 0.1923", "1:5.2, 0.1923", "1 : 5.2, 0.1923", "24/125, 0.192", "127/120, 1.0583", "0.4, 0.4"})
    void aColonAlwaysStatesAReduction(String typed, double ratio) {
        assertThat(TypedRatio.parse(typed).doubleValue()).isCloseTo(ratio, within(0.0001));
    }

    @ParameterizedTest
    @CsvSource({"21.5, 21.5, 0.1", "21.5 °C, 21.5, 0.1", "70 °F, 21.11, 0.556", "98.6F, 37, 0.0556", "-4 F, -20, 0.556"})
    void temperatures(String typed, double celsius, double step) {
        assertThat(Temperature.parse(typed, LengthUnit.MM).value().doubleValue()).isCloseTo(celsius, within(0.01));
        assertThat(Temperature.parse(typed, LengthUnit.MM).step().doubleValue()).isCloseTo(step, within(0.001));
    }

    @ParameterizedTest
    @CsvSource({"power, strong, power.not-one", "power, 5 horse, power.not-one", "power, 0, number.not-positive",
            "mass, heavy, mass.not-one", "mass, 300 to 250 lb, range.crossed",
            "mass, 3 tons, mass.not-one", "mass, -5, number.not-positive", "ratio, 1/0, number.not-positive",
            "ratio, 5:0, number.not-positive",
            "ratio, a:b, number.not-one", "temperature, warm, temperature.not-one"})
    void whatIsNoneIsRefused(String kind, String typed, String code) {
        assertThatThrownBy(() -> {
            switch (kind) {
                case "power" -> Power.parse(typed);
                case "mass" -> Mass.parse(typed);
                case "ratio" -> TypedRatio.parse(typed);
                default -> Temperature.parse(typed, LengthUnit.MM);
            }
        }).isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }
}
