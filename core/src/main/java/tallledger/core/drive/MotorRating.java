package tallledger.core.drive;

import java.math.BigDecimal;
import tallledger.core.reason.Refused;

/**
 * What the motor's plate says of its power.
 *
 * @param kilowatts  plate power at its fastest winding, kW
 * @param law        how power follows speed across the windings
 * @param efficiency η from motor to spindle, a share
 */
public record MotorRating(BigDecimal kilowatts, Law law, BigDecimal efficiency) {

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

    public MotorRating {
        kilowatts = kilowatts.stripTrailingZeros();
        efficiency = efficiency.stripTrailingZeros();
        if (kilowatts.signum() <= 0 || kilowatts.compareTo(new BigDecimal("500")) > 0) {
            throw Refused.because(DriveReason.MOTOR_POWER, kilowatts);
        }
        if (efficiency.signum() <= 0 || efficiency.compareTo(BigDecimal.ONE) > 0) {
            throw Refused.because(DriveReason.MOTOR_EFFICIENCY, efficiency);
        }
    }
}
