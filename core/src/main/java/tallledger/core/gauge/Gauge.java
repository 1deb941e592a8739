package tallledger.core.gauge;

import java.math.BigDecimal;
import java.util.Map;
import tallledger.core.reason.Refused;

/**
 * A gauge: u = √((a/√12)² + (U_cal/2)²) for a single reading.
 *
 * @param name        what the user calls it
 * @param resolution  a, in the unit of the reading
 * @param calibration U_cal (k = 2) as a share of the reading, 0.005 for 0.5 %
 */
public record Gauge(String name, BigDecimal resolution, BigDecimal calibration) {

    /** k of every expanded uncertainty that does not come from a few repeats. */
    public static final double COVERAGE_FACTOR = 2;
    private static final double RECTANGULAR = Math.sqrt(12);

    public Gauge {
        if (resolution.signum() < 0 || calibration.signum() < 0) {
            throw Refused.because(GaugeReason.GAUGE_NEGATIVE, name);
        }
    }

    /** As an entry keeps it: decimals as text. */
    public Map<String, Object> toPayload() {
        return Map.of("name", name, "resolution", resolution.toPlainString(), "calibration", calibration.toPlainString());
    }

    /** @throws RuntimeException where a field is missing or no number */
    public static Gauge from(Map<String, Object> kept) {
        return new Gauge((String) kept.get("name"), new BigDecimal((String) kept.get("resolution")), new BigDecimal((String) kept.get("calibration")));
    }

    /**
     * Of one reading.
     *
     * @param reading what the gauge shows
     * @param step    worth of the last digit written down; the coarser of it and the resolution counts
     */
    public Uncertainty reading(BigDecimal reading, BigDecimal step) {
        return Uncertainty.of(resolution.max(step).doubleValue() / RECTANGULAR, calibration.multiply(reading.abs()).doubleValue() / COVERAGE_FACTOR);
    }

    /** Of the difference of two readings, such as TIR, play or backlash: the digit counts √2 times. */
    public Uncertainty difference(BigDecimal difference, BigDecimal step) {
        Uncertainty one = reading(difference, step);
        return Uncertainty.of(Math.sqrt(2) * one.digit(), one.calibration());
    }
}
