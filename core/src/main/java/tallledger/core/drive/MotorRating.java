package tallledger.core.drive;

import java.math.BigDecimal;
import tallledger.core.reading.Power;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What the motor's plate says of its power.
 *
 * @param power      plate power at its fastest winding
 * @param law        how power follows speed across the windings
 * @param efficiency η from motor to spindle, a share
 */
public record MotorRating(Power power, Law law, BigDecimal efficiency) {

    /** Of one winding, nothing lost on the way: what the motor gives. */
    public static MotorRating atTheMotor(Power power) {
        return new MotorRating(power, Law.CONSTANT_POWER, BigDecimal.ONE);
    }

    public BigDecimal kilowatts() {
        return power.kilowatts();
    }

    /** P against n across windings: M constant gives P ∝ n; P constant; M ∝ n gives P ∝ n². */
    public enum Law {
        CONSTANT_TORQUE(1), CONSTANT_POWER(0), VARIABLE_TORQUE(2);

        private final int exponent;

        Law(int exponent) {
            this.exponent = exponent;
        }

        /** P/P_plate at a share of the fastest winding's speed. */
        double share(double speedShare) {
            return Math.pow(speedShare, exponent);
        }
    }

    private static final BigDecimal MOST = new BigDecimal("500");

    public MotorRating {
        efficiency = efficiency.stripTrailingZeros();
        if (power.kilowatts().signum() <= 0 || power.kilowatts().compareTo(MOST) > 0) {
            throw Refused.because(DriveReason.MOTOR_POWER, Quantity.of(power.kilowatts(), Unit.KILOWATTS),
                    Quantity.of(MOST, Unit.KILOWATTS));
        }
        if (efficiency.signum() <= 0 || efficiency.compareTo(BigDecimal.ONE) > 0) {
            throw Refused.because(DriveReason.MOTOR_EFFICIENCY, efficiency);
        }
    }
}
