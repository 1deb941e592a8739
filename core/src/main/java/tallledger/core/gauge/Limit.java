package tallledger.core.gauge;

import java.math.BigDecimal;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.Unit;

/**
 * A two-sided limit about a nominal value.
 *
 * @param lower  lowest value still good
 * @param upper  highest value still good
 * @param unit   unit of both
 * @param source where the limit comes from: the plate's own, or a house rule
 */
public record Limit(BigDecimal lower, BigDecimal upper, Unit unit, Reason source) {

    public Limit {
        if (lower.compareTo(upper) > 0) {
            throw Refused.because(GaugeReason.LIMIT_CROSSED, lower, upper);
        }
    }

    /** ± {@code tolerance} (a share) about a nominal speed in min⁻¹, reckoned in decimals. */
    public static Limit aboutSpeed(BigDecimal nominal, BigDecimal tolerance) {
        BigDecimal part = nominal.multiply(tolerance);
        return new Limit(nominal.subtract(part).stripTrailingZeros(), nominal.add(part).stripTrailingZeros(), Unit.RPM,
                Reason.of(GaugeReason.LIMIT_HOUSE_SPEED, tolerance.movePointRight(2).stripTrailingZeros(), nominal));
    }
}
