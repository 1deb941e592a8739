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
public record Limit(BigDecimal lower, BigDecimal upper, Unit unit, Reason source) implements Limits {

    /** Where there is no upper end. */
    private static final BigDecimal ENDLESS = new BigDecimal("1E+15");

    public Limit {
        if (lower.compareTo(upper) > 0) {
            throw Refused.because(GaugeReason.LIMIT_CROSSED, lower, upper);
        }
    }

    @Override
    public BigDecimal most() {
        return upper;
    }

    @Override
    public boolean isOneSided() {
        return lower.signum() == 0;
    }

    public static Limit atLeast(BigDecimal least, Unit unit, Reason source) {
        return new Limit(least, ENDLESS, unit, source);
    }

    public boolean isEndless() {
        return upper.equals(ENDLESS);
    }

    /** ± {@code tolerance} (a share) about a nominal speed in min⁻¹, reckoned in decimals. */
    public static Limit aboutSpeed(BigDecimal nominal, BigDecimal tolerance) {
        BigDecimal part = nominal.multiply(tolerance);
        return new Limit(nominal.subtract(part).stripTrailingZeros(), nominal.add(part).stripTrailingZeros(), Unit.RPM,
                Reason.of(GaugeReason.LIMIT_HOUSE_SPEED, tolerance.movePointRight(2).stripTrailingZeros(), nominal));
    }
}
