package tallledger.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.gauge.Shown;
import tallledger.core.reason.LengthUnit;
import tallledger.core.reason.Quantity;
import tallledger.core.reason.Reason;

/** Canonical figures as an inch machine shows them, and as a metric one does. */
class InUnitTest {

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({
        "0.05,mm,1.97,thou", "0.0127,mm,0.5,thou", "760,mm,29.9,in", "2.54,mm,0.1,in", "2.5,mm,98.4,thou", "758.825,mm,29.875,in",
        "0.0508,mm/rev,0.002,in/rev", "25.4,mm/min,1,in/min", "12.7,µm,0.5,thou", "1500,rpm,1500,rpm", "25,K,45,°F",
                "30.48,m/s,6000,ft/min",
        "0.016933333333333334,mm/rev,0.000667,in/rev"})
    void anInchMachineShowsInches(String value, String unit, String shown, String in) {
        assertThat(InUnit.of(Quantity.of(new BigDecimal(value), unit), LengthUnit.INCH))
                .isEqualTo(Reason.named("figure.unit", new BigDecimal(shown), in));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"0.05,0.05", "0.016666666666666665,0.0167", "1000,1000", "1.46E+3,1460", "758.825,758.825"})
    void aMetricOneMillimetresWithoutBinaryNoise(String value, String shown) {
        assertThat(InUnit.length(new BigDecimal(value), LengthUnit.MM)).isEqualTo(Reason.named("figure.unit", new BigDecimal(shown), "mm"));
    }

    @Test
    void whatIsLeftOpenIsRoundedInTheUnitShownAndNestedFiguresFollow() {
        Reason inner = Reason.named("inner", new Quantity(new BigDecimal("0.0127"), 0.0021, "mm"));
        Reason in = InUnit.of(Reason.named("outer", List.of(inner), "text"), LengthUnit.INCH);
        assertThat(in).isEqualTo(Reason.named("outer", List.of(Reason.named("inner", Reason.named("figure.unit",
                new Shown(new BigDecimal("0.50"), new BigDecimal("0.09")), "thou"))), "text"));
    }
}
