package tallledger.core.drive;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** What one position of a stage does to the speed that comes in. */
public sealed interface Transmission {

    /** Factor out/in; for a motor its speed in min⁻¹. Empty where nobody knows it: then only the plate speaks. */
    Optional<Span> factor();

    /** One winding or pole count, or the only speed: min⁻¹ at the plate's supply frequency, as the motor's plate says. */
    record MotorSpeed(BigDecimal rpm) implements Transmission {
        public MotorSpeed {
            checkWithin(rpm, 1, 60_000, DriveReason.MOTOR_SPEED_OUTSIDE, Unit.NUMBER);
        }

        @Override
        public Optional<Span> factor() {
            return Optional.of(Span.fixed(rpm.doubleValue()));
        }
    }

    /** A groove pair of a step pulley: d_driver/d_driven, diameters in mm. */
    record Grooves(BigDecimal driver, BigDecimal driven) implements Transmission {
        public Grooves {
            checkWithin(driver, 5, 5_000, DriveReason.GROOVE_DIAMETER_OUTSIDE, Unit.MILLIMETRES);
            checkWithin(driven, 5, 5_000, DriveReason.GROOVE_DIAMETER_OUTSIDE, Unit.MILLIMETRES);
        }

        @Override
        public Optional<Span> factor() {
            return Optional.of(Span.fixed(driver.doubleValue() / driven.doubleValue()));
        }
    }

    /** A gear pair, or a compound train: Π z_driver/z_driven. */
    record Gears(List<GearPair> pairs) implements Transmission {
        public Gears {
            pairs = List.copyOf(pairs);
            if (pairs.isEmpty()) {
                throw Refused.because(DriveReason.GEARS_NONE);
            }
        }

        @Override
        public Optional<Span> factor() {
            return Optional.of(Span.fixed(pairs.stream().mapToDouble(GearPair::ratio).reduce(1, (a, b) -> a * b)));
        }
    }

    /** A ratio somebody knows without the teeth; 1 is direct. */
    record Ratio(BigDecimal ratio) implements Transmission {
        public Ratio {
            checkWithin(ratio, 0.001, 1_000, DriveReason.RATIO_OUTSIDE, Unit.NUMBER);
        }

        @Override
        public Optional<Span> factor() {
            return Optional.of(Span.fixed(ratio.doubleValue()));
        }
    }

    /** Nobody knows the inside of it. */
    record Unknown() implements Transmission {
        @Override
        public Optional<Span> factor() {
            return Optional.empty();
        }
    }

    /** No drive at all: the spindle turns free by hand. Gives no speed. */
    record Neutral() implements Transmission {
        @Override
        public Optional<Span> factor() {
            return Optional.empty();
        }
    }

    /** Anything between two ends of a sliding stage; the ends may be unknown. */
    record Sweep(Optional<Span> factor) implements Transmission {
    }

    private static void checkWithin(BigDecimal value, double lowest, double highest, DriveReason what, Unit unit) {
        if (value.doubleValue() < lowest || value.doubleValue() > highest) {
            throw Refused.because(what, Quantity.of(value, unit), Quantity.of(BigDecimal.valueOf(lowest), unit),
                    Quantity.of(BigDecimal.valueOf(highest), unit));
        }
    }
}
