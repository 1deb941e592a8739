package tallledger.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealMatrix;
import tallledger.core.reason.Refused;

/**
 * Temperature over minutes at one speed, fitted by T(t) = T∞ − (T∞ − T_0)·e^(−t/τ), by least squares over T∞ and A = T∞ − T_0 for every τ,
 * and over τ by closing in on the least. Three or more readings that span at least 10 min.
 *
 * <p>What the fit leaves open is its covariance, with u of a reading the larger of 0.5 K and the root mean square of what the fit leaves.
 * Readings over at least 30 min that all lie within 0.5 K of one another are level, without a fit; with τ under 2 min the level is the mean
 * of all readings but the first.
 *
 * <p>Worked: 20, 32, 38 °C at 0, 10, 20 min: T∞ = 44, τ = 14.4 min, U of the level 5.7 K. 21.0 21.0 21.0 21.1 over 30 min: settled.
 *
 * @param readings in the order of their minutes
 */
public record HotRun(List<HotReading> readings) {

    /** Fewest readings that fit a curve, and the minutes they must span. */
    public static final int FEWEST = 3;
    public static final double LEAST_SPAN = 10;
    /** u of one reading of a temperature, K. */
    public static final double U_OF_READING = 0.5;
    private static final double JUDGED_AT = 30;
    private static final double MOST_TAU = 1e4;
    private static final double QUICK_TAU = 2;
    /** Readings of the last stretch lie at least so many minutes apart. */
    private static final double APART = 5;
    /** What rises no faster than this at the end is not running away, K/min. */
    private static final double RUNS_AWAY = 0.5;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /** One reading, min and °C. */
    public record HotReading(double minutes, double celsius) {
    }

    /** The curve. @param tau min @param levels T∞, °C @param start T_0, °C @param off root mean square of what it leaves, K */
    public record Curve(double tau, double levels, double start, double off) {

        public double at(double minutes) {
            return levels - (levels - start) * Math.exp(-minutes / tau);
        }
    }

    /**
     * Where it levels.
     *
     * @param tau      min; empty where no curve was fitted
     * @param levels   °C
     * @param expanded U of it, K
     * @param toCome   after the last reading, K; below nought where it cools
     * @param open     U of what is to come, K
     */
    public record Level(Optional<Double> tau, double levels, double expanded, double toCome, double open) {
    }

    /** @throws Refused for readings out of order, two at one minute, or more than anybody takes */
    public HotRun {
        readings = List.copyOf(readings);
        if (readings.size() < 2 || readings.size() > 200) {
            throw Refused.because(GeometryReason.HOT_COUNT, readings.size());
        }
        for (int i = 1; i < readings.size(); i++) {
            if (!(readings.get(i).minutes > readings.get(i - 1).minutes)) {
                throw Refused.because(GeometryReason.HOT_ORDER);
            }
        }
    }

    /** The temperature at 30 min as read, straight between the readings on either side; empty where none is at or after it. */
    public Optional<Double> atThirty() {
        for (int i = 0; i < readings.size(); i++) {
            HotReading after = readings.get(i);
            if (after.minutes == JUDGED_AT) {
                return Optional.of(after.celsius);
            }
            if (after.minutes > JUDGED_AT) {
                if (i == 0) {
                    return Optional.empty();
                }
                HotReading before = readings.get(i - 1);
                return Optional.of(before.celsius + (after.celsius - before.celsius)
                        * (JUDGED_AT - before.minutes) / (after.minutes - before.minutes));
            }
        }
        return Optional.empty();
    }

    /** The first reading more than 2 u colder than the first or than one before it: a machine does not cool while it runs. */
    public Optional<HotReading> cooler() {
        double highest = Double.NEGATIVE_INFINITY;
        for (HotReading r : readings) {
            if (r.celsius < highest - 2 * U_OF_READING) {
                return Optional.of(r);
            }
            highest = Math.max(highest, r.celsius);
        }
        return Optional.empty();
    }

    /**
     * Whether it does not settle: the quadratic term of all readings, or of the last three that lie at least 5 min apart, is positive by
     * more
     * than twice its uncertainty, and the last two readings rise by more than 0.5 K/min.
     */
    public boolean bendsUpwards() {
        int n = readings.size();
        if (n < FEWEST || slope(n - 2, n - 1) <= RUNS_AWAY) {
            return false;
        }
        return bends(readings) || bends(lastThree());
    }

    private double slope(int from, int to) {
        return (readings.get(to).celsius - readings.get(from).celsius) / (readings.get(to).minutes - readings.get(from).minutes);
    }

    private List<HotReading> lastThree() {
        List<HotReading> three = new ArrayList<>();
        for (int i = readings.size() - 1; i >= 0 && three.size() < FEWEST; i--) {
            if (three.isEmpty() || three.get(three.size() - 1).minutes - readings.get(i).minutes >= APART) {
                three.add(readings.get(i));
            }
        }
        return three;
    }

    /** c of T = a + b·t + c·t² by least squares against twice its u. */
    private static boolean bends(List<HotReading> of) {
        if (of.size() < FEWEST) {
            return false;
        }
        double middle = of.stream().mapToDouble(HotReading::minutes).average().orElse(0);
        double[][] rows = of.stream().map(r -> new double[] {1, r.minutes - middle, (r.minutes - middle) * (r.minutes - middle)})
                .toArray(double[][]::new);
        Optional<RealMatrix> inverse = inverse(rows);
        if (inverse.isEmpty()) {
            return false;
        }
        double[] right = new double[3];
        for (int i = 0; i < rows.length; i++) {
            for (int k = 0; k < 3; k++) {
                right[k] += rows[i][k] * of.get(i).celsius;
            }
        }
        double c = inverse.get().operate(right)[2];
        return c > 2 * U_OF_READING * Math.sqrt(inverse.get().getEntry(2, 2));
    }

    /** (JᵀJ)⁻¹; empty where the columns cannot be told apart. */
    private static Optional<RealMatrix> inverse(double[][] rows) {
        RealMatrix j = new Array2DRowRealMatrix(rows, false);
        try {
            return Optional.of(new LUDecomposition(j.transposeMultiply(j), 1e-14).getSolver().getInverse());
        } catch (MathRuntimeException alike) {
            return Optional.empty();
        }
    }

    private double span() {
        return readings.get(readings.size() - 1).minutes - readings.get(0).minutes;
    }

    /** The levelling curve; empty where there are too few readings, they span too little, or they bend upwards. */
    public Optional<Curve> curve() {
        double span = span();
        if (readings.size() < FEWEST || span < LEAST_SPAN || bendsUpwards()) {
            return Optional.empty();
        }
        UnivariateFunction left = logTau -> fitted(Math.exp(logTau)).off;
        double low = Math.log(span / 100);
        double high = Math.log(MOST_TAU);
        // The sum of squares has one valley over τ for a curve that levels; a coarse walk finds it, closing in settles it.
        double best = low;
        for (double at = low; at <= high; at += 0.05) {
            best = left.value(at) < left.value(best) ? at : best;
        }
        low = best - 0.05;
        high = best + 0.05;
        while (high - low > 1e-10) {
            double a = high - GOLDEN * (high - low);
            double b = low + GOLDEN * (high - low);
            if (left.value(a) <= left.value(b)) {
                high = b;
            } else {
                low = a;
            }
        }
        return Optional.of(fitted(Math.exp((low + high) / 2)));
    }

    /** T = T∞ − A·e^(−t/τ) for one τ, straight in e^(−t/τ). */
    private Curve fitted(double tau) {
        double first = readings.get(0).minutes;
        double mx = readings.stream().mapToDouble(r -> Math.exp(-(r.minutes - first) / tau)).average().orElse(0);
        double my = readings.stream().mapToDouble(HotReading::celsius).average().orElse(0);
        double top = 0;
        double under = 0;
        for (HotReading r : readings) {
            double x = Math.exp(-(r.minutes - first) / tau) - mx;
            top += x * (r.celsius - my);
            under += x * x;
        }
        double slope = under == 0 ? 0 : top / under;
        double levels = my - slope * mx;
        double atNought = levels + slope * Math.exp(first / tau);
        double squares = readings.stream().mapToDouble(r -> Math.pow(r.celsius - levels - slope * Math.exp(-(r.minutes - first) / tau), 2))
                .sum();
        return new Curve(tau, levels, atNought, Math.sqrt(squares / readings.size()));
    }

    /**
     * Where it levels, with what that leaves open; empty where it bends upwards, where there are too few readings, or where they do not
     * tell
     * it apart from a straight line: τ over twice the span.
     */
    public Optional<Level> level() {
        double least = readings.stream().mapToDouble(HotReading::celsius).min().orElse(0);
        double most = readings.stream().mapToDouble(HotReading::celsius).max().orElse(0);
        double mean = readings.stream().mapToDouble(HotReading::celsius).average().orElse(0);
        if (span() >= JUDGED_AT && most - least <= U_OF_READING + 1e-9) {
            return Optional.of(new Level(Optional.empty(), mean, 2 * U_OF_READING / Math.sqrt(readings.size()), 0, 0));
        }
        return curve().filter(c -> c.tau <= 2 * span()).flatMap(this::level);
    }

    private Optional<Level> level(Curve curve) {
        double u = Math.max(U_OF_READING, curve.off);
        int n = readings.size();
        if (curve.tau < QUICK_TAU) {
            double mean = readings.stream().skip(1).mapToDouble(HotReading::celsius).average().orElse(0);
            return Optional.of(new Level(Optional.of(curve.tau), mean, 2 * u / Math.sqrt(n - 1), 0, 0));
        }
        double first = readings.get(0).minutes;
        double a = curve.levels - curve.at(first);
        double[][] rows = readings.stream().map(r -> {
            double s = r.minutes - first;
            double e = Math.exp(-s / curve.tau);
            return new double[] {1, -e, -a * e * s / (curve.tau * curve.tau)};
        }).toArray(double[][]::new);
        double left = span();
        double e = Math.exp(-left / curve.tau);
        double[] ofCome = {0, e, a * e * left / (curve.tau * curve.tau)};
        return inverse(rows).map(cov -> new Level(Optional.of(curve.tau), curve.levels, 2 * u * Math.sqrt(cov.getEntry(0, 0)), a * e,
                2 * u * Math.sqrt(new Array2DRowRealMatrix(ofCome).transposeMultiply(cov.multiply(new Array2DRowRealMatrix(ofCome)))
                        .getEntry(0, 0))));
    }
}
