package tallledger.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Units against the definitions of their standards, and which one a figure is shown in. */
class UnitTest {

    /** An inch is 25.4 mm, a foot 0.3048 m, a pound-force 4.4482216 N and so on. */
    @ParameterizedTest
    @CsvSource({"INCHES, 1, MILLIMETRES, 25.4", "MILLIMETRES, 12.7, INCHES, 0.5", "THOU, 1, MICROMETRES, 25.4", "TENTHS, 5, THOU, 0.5",
            "MICROMETRES, 254, TENTHS, 100", "MICROINCHES, 63, ROUGHNESS, 1.6002", "THOU_PER_FOOT, 12, MILLIMETRES_PER_METRE, 1",
            "MILLIMETRES_PER_METRE, 0.02, THOU_PER_FOOT, 0.24", "MICROINCHES_PER_INCH, 7, MICROMETRES_PER_METRE, 7",
            "INCHES_PER_TURN, 0.01, MILLIMETRES_PER_TURN, 0.254", "INCHES_PER_MINUTE, 2, MILLIMETRES_PER_MINUTE, 50.8",
            "METRES_PER_SECOND, 30.48, FEET_PER_MINUTE, 6000", "FEET_PER_MINUTE, 100, METRES_PER_MINUTE, 30.48", "MINUTES, 2, SECONDS, 120",
            "KELVIN, 25, FAHRENHEIT_DEGREES, 45", "CELSIUS, 20, FAHRENHEIT, 68", "FAHRENHEIT, -40, CELSIUS, -40",
            "FAHRENHEIT, 212, CELSIUS, 100", "KILOWATTS, 0.7457, HORSEPOWER, 1", "POUNDS_FORCE, 225, KILONEWTONS, 1.000849860",
            "HORSEPOWER_PER_CUBIC_INCH, 1, NEWTONS_PER_MM2, 2730", "NEWTON_METRES, 1.3558, POUND_FEET, 1",
            "KILOGRAMS, 907.2, POUNDS, 2000"})
    void aFigureIsConvertedWithinItsDimension(Unit from, BigDecimal figure, Unit to, BigDecimal expected) {
        assertThat(from.to(to, figure)).isEqualByComparingTo(expected);
        assertThat(to.to(from, expected).doubleValue()).isEqualTo(figure.doubleValue(), within(1e-12 * Math.abs(figure.doubleValue())));
    }

    @ParameterizedTest
    @CsvSource({"MILLIMETRES, ROUGHNESS", "KELVIN, CELSIUS", "MILLIMETRES, SECONDS", "MILLIMETRES_PER_TURN, MILLIMETRES_PER_MINUTE"})
    void whatCountsSomethingElseIsNoUnitOfIt(Unit from, Unit to) {
        assertThatThrownBy(() -> from.to(to, BigDecimal.ONE)).isInstanceOf(IllegalArgumentException.class);
    }

    /** A metric machine shows core's own units; an inch machine none that is metric, but for what the trade counts so everywhere. */
    @ParameterizedTest
    @EnumSource(Unit.class)
    void eachIsShownInItsOwnDimension(Unit unit) {
        assertThat(unit.shownIn(LengthUnit.MM, BigDecimal.ONE)).isEqualTo(unit);
        assertThat(unit.shownIn(LengthUnit.INCH, BigDecimal.ONE).dimension()).isNotNull().isEqualTo(unit.dimension());
    }

    @Test
    void anInchMachineKeepsOnlyWhatHasNoInchUnit() {
        String kept = Stream.of(Unit.values()).filter(u -> u.shownIn(LengthUnit.INCH, BigDecimal.ONE) == u).map(Unit::symbol)
                .filter(s -> !s.isEmpty()).collect(Collectors.joining(" "));
        assertThat(kept).isEqualTo("in thou tenths µin thou per 12 in µin/in in/rev in/min ft/min rpm s min °F °C °F hp lbf "
                + "hp per in³/min lb·ft lb A V Hz ° % × of 1 dB");
    }

    /** As a length is written behind its figure. */
    @Test
    void aMachinesLengthsAreWrittenInItsUnit() {
        assertThat(LengthUnit.MM.symbol()).isEqualTo(Unit.MILLIMETRES.symbol()).isEqualTo("mm");
        assertThat(LengthUnit.INCH.symbol()).isEqualTo(Unit.INCHES.symbol()).isEqualTo("in");
    }

    /** A tenth of an inch, 2.54 mm, is the first that is said in inches. */
    @ParameterizedTest
    @CsvSource({"2.539, THOU", "2.54, INCHES", "0, THOU", "760, INCHES"})
    void aSmallLengthIsThou(BigDecimal size, Unit shown) {
        assertThat(Unit.MILLIMETRES.shownIn(LengthUnit.INCH, size)).isEqualTo(shown);
    }
}
