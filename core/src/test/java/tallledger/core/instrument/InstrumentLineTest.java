package tallledger.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;

class InstrumentLineTest {

    @ParameterizedTest
    @CsvSource({"indicator 0.012 mm, INDICATOR, 0.012 mm", "indicator 12 um, INDICATOR, 0.012 mm",
            "INDICATOR -0.0005 in, INDICATOR, -0.0005 in", "tachometer 251.3, TACHOMETER, 251.3",
            "thermometer 101 F  # rear bearing, THERMOMETER, 101 °F", "thermometer 38.5, THERMOMETER, 38.5",
            "roughness 1.62 um, ROUGHNESS, 1.62", "level -1.5, LEVEL, -1.5", "level 0.03 mm/m, LEVEL, 1.5",
            "voltmeter 398 V, VOLTMETER, 398", "scale 25.004 mm, SCALE, 25.004 mm"})
    void aLineIsReadAsAPersonWouldTypeIt(String line, InstrumentKind kind, String typed) {
        InstrumentLine read = InstrumentLine.parse(line).orElseThrow();
        assertThat(read.kind()).isEqualTo(kind);
        assertThat(read.typed()).isEqualTo(typed);
    }

    @ParameterizedTest
    @CsvSource({"gauge 1 mm, instrument.kind", "indicator, instrument.parts", "indicator 1 2 3, instrument.parts",
            "indicator 1 furlong, instrument.unit", "indicator NaN mm, number.not-one",
            "tachometer 100 mm, instrument.unit"})
    void whatIsNoReadingIsRefused(String line, String code) {
        assertThatThrownBy(() -> InstrumentLine.parse(line))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo(code));
    }

    @Test
    void anEmptyLineSaysNothing() {
        assertThat(InstrumentLine.parse("  # waiting")).isEmpty();
        assertThatThrownBy(() -> InstrumentLine.parse("indicator " + "1".repeat(300))).isInstanceOf(Refused.class);
    }

    @Test
    void everyGaugeOfTheHouseIsOfAKind() {
        assertThat(InstrumentKind.of(Rule.CALIPER)).contains(InstrumentKind.SCALE);
        assertThat(InstrumentKind.of(Rule.STROBE)).contains(InstrumentKind.TACHOMETER);
        assertThat(InstrumentKind.of(Rule.BACKLASH)).isEmpty();
    }
}
