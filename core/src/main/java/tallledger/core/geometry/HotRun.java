package tallledger.core.geometry;

import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import tallledger.core.reason.Refused;

/**
 * Temperature over minutes at one speed, fitted by T(t) = T∞ − (T∞ − T_0)·e^(−t/τ), by least squares over T∞ and A = T∞ − T_0 for every τ,
 * and over τ by closing in on the least. Three or more readings that span at least 10 min.
 *
 * <p>Worked: 20, 32, 38 °C at 0, 10, 20 min: T∞ = 44, τ = 14.4 min.
 *
 * @param readings in the order of their minutes
 */
public record HotRun(List<Reading> readings) {

    /** Fewest readings that fit a curve, and the minutes they must span. */
    public static final int FEWEST = 3;
    public static final double LEAST_SPAN = 10;
    private static final double JUDGED_AT = 30;
    private static final double MOST_TAU = 1e4;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    /** One reading, min and °C. */
    public record Reading(double minutes, double celsius) {
    }

    /** The curve. @param tau min @param levels T∞, °C @param start T_0, °C @param off root mean square of what it leaves, K */
    public record Curve(double tau, double levels, double start, double off) {

        public double at(double minutes) {
            return levels - (levels - start) * Math.exp(-minutes / tau);
        }
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
            Reading after = readings.get(i);
            if (after.minutes == JUDGED_AT) {
                return Optional.of(after.celsius);
            }
            if (after.minutes > JUDGED_AT) {
                if (i == 0) {
                    return Optional.empty();
                }
                Reading before = readings.get(i - 1);
                return Optional.of(before.celsius + (after.celsius - before.celsius)
                        * (JUDGED_AT - before.minutes) / (after.minutes - before.minutes));
            }
        }
        return Optional.empty();
    }

    /** Whether it rises faster at the end than in the middle: it does not settle. */
    public boolean bendsUpwards() {
        int n = readings.size();
        if (n < FEWEST) {
            return false;
        }
        int middle = n / 2;
        return slope(middle, n - 1) > slope(0, middle) && slope(middle, n - 1) > 0;
    }

    private double slope(int from, int to) {
        return (readings.get(to).celsius - readings.get(from).celsius) / (readings.get(to).minutes - readings.get(from).minutes);
    }

    /** The levelling curve; empty where there are too few readings, they span too little, or they bend upwards. */
    public Optional<Curve> curve() {
        double span = readings.get(readings.size() - 1).minutes - readings.get(0).minutes;
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
        double my = readings.stream().mapToDouble(Reading::celsius).average().orElse(0);
        double top = 0;
        double under = 0;
        for (Reading r : readings) {
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

    /** What is still to come after the last reading, K. */
    public Optional<Double> toCome() {
        return curve().map(c -> c.levels - c.at(readings.get(readings.size() - 1).minutes));
    }
}
