package tallledger.core.gauge;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.OptionalInt;
import org.hipparchus.distribution.continuous.TDistribution;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What a result leaves open, part by part, each a standard uncertainty in the unit of the result.
 *
 * <p>u_rest = √(digit² + calibration² + thermal²). Without repeats U = 2·√(u_rest² + s²), s being how the gauge is known to repeat, nought
 * where nobody knows. The mean of n repeats with standard deviation s
 * has s_m = s/√n, and U = √((t·s_m)² + (2·u_rest)²) with Student's t for 95 % and n − 1 degrees of freedom (n = 2: 12.7, 3: 4.3,
 * 5: 2.8).
 *
 * <p>Worked: 0.10, 0.12, 0.14 mm as differences read to 0.01: s_m = 0.01155, digit √2·0.01/√12 = 0.00408, U = 0.0504.
 *
 * @param digit       of the gauge's resolution or the last digit typed, whichever is coarser: a/√12; √2 of it for a difference
 * @param calibration U_cal/2
 * @param scatter     s of the repeats; of a single reading, that of the gauge, 0 where nobody knows it
 * @param repeats     n, 1 where there are none
 * @param thermal     L·|α|·|ΔT|/√3
 */
public record Uncertainty(double digit, double calibration, double scatter, int repeats, double thermal) {

    /** Expansion of steel, per K. */
    public static final double STEEL = 11.5e-6;
    /** More repeats than this nobody makes; then a better gauge is wanted. */
    private static final int MOST_REPEATS = 30;
    private static final double CONFIDENCE = 0.975;

    /** Of one reading. */
    public static Uncertainty of(double digit, double calibration) {
        return new Uncertainty(digit, calibration, 0, 1, 0);
    }

    /** The same of a single reading of a gauge that is known to repeat so. */
    public Uncertainty scattering(double s) {
        return new Uncertainty(digit, calibration, s, repeats, thermal);
    }

    /** The same for the mean of repeats that scatter; what was known of the gauge's own repeating is in them. */
    public Uncertainty repeated(List<Double> readings) {
        double mean = readings.stream().mapToDouble(Double::doubleValue).average().orElse(0);
        double squares = readings.stream().mapToDouble(r -> (r - mean) * (r - mean)).sum();
        return readings.size() < 2 ? this
                : new Uncertainty(digit, calibration, Math.sqrt(squares / (readings.size() - 1)), readings.size(),
                        thermal);
    }

    /**
     * The same where machine and gauge differ in temperature.
     *
     * @param length mm
     * @param kelvin machine less gauge
     */
    public Uncertainty warm(double length, double kelvin) {
        return new Uncertainty(digit, calibration, scatter, repeats, length * STEEL * Math.abs(kelvin) / Math.sqrt(3));
    }

    /** The same with one more digit that was left open, worth so much in the result. */
    public Uncertainty withDigit(double more) {
        return new Uncertainty(Math.hypot(digit, more), calibration, scatter, repeats, thermal);
    }

    /** Of the sum of two figures that were read apart; repeats stay the first one's. */
    public Uncertainty plus(Uncertainty other) {
        return new Uncertainty(Math.hypot(digit, other.digit), Math.hypot(calibration, other.calibration), Math.hypot(scatter,
                other.scatter),
                repeats, Math.hypot(thermal, other.thermal));
    }

    /** Of a figure made from this one by a factor. */
    public Uncertainty scaled(double factor) {
        double f = Math.abs(factor);
        return new Uncertainty(f * digit, f * calibration, f * scatter, repeats, f * thermal);
    }

    /** All but the repeats. */
    public double rest() {
        return Math.hypot(Math.hypot(digit, calibration), thermal);
    }

    /** U. */
    public double expanded() {
        return expanded(repeats);
    }

    private double expanded(int n) {
        double repeat = n < 2 ? Gauge.COVERAGE_FACTOR * scatter : student(n - 1) * scatter / Math.sqrt(n);
        return Math.hypot(repeat, Gauge.COVERAGE_FACTOR * rest());
    }

    /** Student's t, two-sided 95 %. */
    public static double student(int degrees) {
        return new TDistribution(degrees).inverseCumulativeProbability(CONFIDENCE);
    }

    /** The fewest repeats whose mean leaves at most this much open, if they scatter as they did; empty where no number does. */
    public OptionalInt repeatsFor(double distance) {
        if (repeats < 2) {
            return OptionalInt.empty();
        }
        for (int n = repeats + 1; n <= MOST_REPEATS; n++) {
            if (expanded(n) <= distance) {
                return OptionalInt.of(n);
            }
        }
        return OptionalInt.empty();
    }

    /** What would settle a verdict that lies this far from its limit: more repeats, or a better gauge; on the limit itself nothing. */
    public Reason settles(double distance, Unit unit) {
        if (distance <= 0) {
            return Reason.of(GaugeReason.SETTLES_NOTHING);
        }
        OptionalInt more = repeatsFor(distance);
        Quantity within = Quantity.of(BigDecimal.valueOf(distance).round(new MathContext(2, RoundingMode.DOWN)), unit);
        return more.isPresent() ? Reason.of(GaugeReason.SETTLES_REPEATS, more.getAsInt(), within)
                : Reason.of(GaugeReason.SETTLES_GAUGE, within);
    }
}
