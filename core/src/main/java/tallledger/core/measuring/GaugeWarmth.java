package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What the temperatures of machine and gauge put into a length. */
final class GaugeWarmth {

    /** Shorter than this a kelvin is not worth a tenth of a micrometre, mm. */
    static final double TEMPERATURE_MATTERS = 10;

    private GaugeWarmth() {
    }

    /** With what the temperatures leave open, where they were read. @param length mm, held against a gauge of its own temperature */
    static Uncertainty warm(Uncertainty u, double length, Optional<BigDecimal> apart) {
        return apart.map(k -> u.warm(length, k.doubleValue())).orElse(u);
    }

    /**
     * What machine and gauge apart in temperature put into a length, or what a kelvin would where nobody read them; nothing where it is
     * too short for that.
     */
    static List<Reason> temperature(double length, Optional<BigDecimal> apart, Rules rules) {
        return length < TEMPERATURE_MATTERS ? List.of()
                : List.of(apart.map(k -> Reason.of(MeasuringReason.TEMPERATURE_APART, Quantity.of(k, Unit.KELVIN),
                        ReckonedFigures.micrometres(length * Uncertainty.STEEL * k.doubleValue()), ReckonedFigures.shown(length)))
                        .orElseGet(() -> unread(length, rules.unit())));
    }

    /** What a kelvin would put into a length; a degree Fahrenheit on an inch machine. */
    static Reason unread(double length, LengthUnit machine) {
        BigDecimal degree = machine == LengthUnit.MM ? BigDecimal.ONE : BigDecimal.ONE.divide(new BigDecimal("1.8"), MathContext.DECIMAL64);
        return Reason.of(MeasuringReason.TEMPERATURE_UNREAD, ReckonedFigures.micrometres(length * Uncertainty.STEEL * degree.doubleValue()),
                ReckonedFigures.shown(length),
                Quantity.of(degree, Unit.KELVIN));
    }
}
