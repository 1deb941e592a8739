package tallledger.core.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;

/** Canonical figures as an inch machine shows them, and as a metric one does. */
class InUnitTest {

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({
            "0.05,mm,1.97,thou", "0.0127,mm,0.5,thou", "760,mm,29.9,in", "2.54,mm,0.1,in", "2.5,mm,98.4,thou", "758.825,mm,29.875,in",
            "0.0508,mm/rev,0.002,in/rev", "25.4,mm/min,1,in/min", "12.7,µm,0.5,thou", "1500,rpm,1500,rpm", "25,K,45,°F",
            "30.48,m/s,6000,ft/min",
            "0.016933333333333334,mm/rev,0.000667,in/rev"})
    void anInchMachineShowsInches(String value, String unit, String shown, String in) {
        assertThat(InUnit.of(Quantity.of(new BigDecimal(value), named(unit)), LengthUnit.INCH))
                .isEqualTo(Reason.named("figure.unit", new BigDecimal(shown), in));
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({"0.05,0.05", "0.016666666666666665,0.0167", "1000,1000", "1.46E+3,1460", "758.825,758.825"})
    void aMetricOneMillimetresWithoutBinaryNoise(String value, String shown) {
        assertThat(InUnit.length(new BigDecimal(value), LengthUnit.MM)).isEqualTo(Reason.named("figure.unit", new BigDecimal(shown), "mm"));
    }

    @Test
    void whatIsLeftOpenIsRoundedInTheUnitShownAndNestedFiguresFollow() {
        Reason inner = Reason.named("inner", new Quantity(new BigDecimal("0.0127"), 0.0021, Unit.MILLIMETRES));
        Reason in = InUnit.of(Reason.named("outer", List.of(inner), "text"), LengthUnit.INCH);
        assertThat(in).isEqualTo(Reason.named("outer", List.of(Reason.named("inner", Reason.named("figure.unit",
                new Shown(new BigDecimal("0.50"), new BigDecimal("0.09")), "thou"))), "text"));
    }

    /**
     * What is reckoned is rounded once, in the unit it is shown in: steel of 25.4 mm grows 0.162 µm a degree Fahrenheit, which is 0.006
     * thou and not the 0.00787 of its 0.2 µm; a slope of 0.01103 mm/m is 0.1324 thou per 12 in and not 0.13236.
     */
    @ParameterizedTest
    @CsvSource({"0.1622777, µm, 0.2, µm, 0.006, thou", "0.01103333, mm/m, 0.01103, mm/m, 0.1324, thou per 12 in",
            "27.9412, µm, 27.9, µm, 1.1, thou", "123.4567, µm, 123.5, µm, 4.86, thou", "304.8, mm, 304.8, mm, 12, in",
            "1234.5678, mm, 1235, mm, 48.61, in", "0.0000001, mm, 0, mm, 0, thou", "0.002138, mm, 0.0021, mm, 0.084, thou"})
    void whatIsReckonedIsRoundedInTheUnitItIsShownIn(double value, String unit, String metric, String its, String inch, String their) {
        Quantity reckoned = Quantity.reckoned(value, named(unit));
        assertThat(InUnit.of(reckoned, LengthUnit.MM).arguments().stream().map(InUnitTest::plain)).containsExactly(metric, its);
        assertThat(InUnit.of(reckoned, LengthUnit.INCH).arguments().stream().map(InUnitTest::plain)).containsExactly(inch, their);
    }

    private static Unit named(String symbol) {
        return Stream.of(Unit.values()).filter(u -> u.symbol().equals(symbol)).findFirst().orElseThrow();
    }

    private static String plain(Object argument) {
        return argument instanceof java.math.BigDecimal number ? number.toPlainString() : argument.toString();
    }
}
