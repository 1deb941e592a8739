package tallledger.core.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import tallledger.core.reason.Refused;

/**
 * Radial deviations ε(θ) of a circle driven both ways round, µm, angles from +X towards +Y.
 *
 * <p>One centre for both ways together, by least squares. Circular deviation G = max − min each way; radial deviation F = greatest and
 * least from the nominal radius; hysteresis H = the greatest difference between the two ways at one angle, interpolated. (Definitions
 * after ISO 230-4.) What explains it, by least squares on ε: scale difference R/2·(e_x − e_y)·cos 2θ; axes out of square by β,
 * R·β/2·sin 2θ; lost motion, counter-clockwise + B_x/2·sign(sin θ)·cos θ and − B_y/2·sign(cos θ)·sin θ, clockwise the opposite. Points
 * within 0.1° of a reversal are left out of the fit. Each point weighs as the arc it stands for.
 *
 * <p>Worked: R = 100, β = 50 µm/m, e_x = 30, e_y = −10 µm/m: sin part 2.50 µm, cos part 2.00, mean 1.00; G = 6.40, F = +4.20 / −2.20 µm.
 *
 * @param radius            nominal, mm
 * @param counterClockwise in the order of their angles
 * @param clockwise         likewise
 */
public record CircleTest(double radius, List<CirclePoint> counterClockwise, List<CirclePoint> clockwise) {

    public static final int FEWEST = 90;
    public static final int MOST = 100_000;
    private static final double REVERSAL = 0.1;
    private static final double SPIKE = 10;
    private static final double QUARTER = 90;
    private static final double TURN = 360;

    /** One point: degrees, µm from the nominal radius. */
    public record CirclePoint(double degrees, double deviation) {
    }

    /** @throws Refused for fewer points than tell, or a radius that is none */
    public CircleTest {
        if (counterClockwise.size() < FEWEST || clockwise.size() < FEWEST || counterClockwise.size() > MOST || clockwise.size() > MOST) {
            throw Refused.because(GeometryReason.CIRCLE_COUNT, counterClockwise.size(), clockwise.size(), FEWEST, MOST);
        }
        if (!(radius > 0)) {
            throw Refused.because(GeometryReason.CIRCLE_RADIUS);
        }
        counterClockwise = sorted(counterClockwise);
        clockwise = sorted(clockwise);
    }

    private static List<CirclePoint> sorted(List<CirclePoint> points) {
        return points.stream().map(p -> new CirclePoint(((p.degrees % TURN) + TURN) % TURN, p.deviation))
                .sorted(Comparator.comparingDouble(CirclePoint::degrees)).toList();
    }

    /** What the fit finds. @param shares of the sum of squares, % */
    public record CircleShares(double centreX, double centreY, double mean, double scale, double square, double lostX, double lostY,
            Shares shares, double spike) {
    }

    /** Of the sum of squares about centre and mean, %. */
    public record Shares(double scale, double square, double lost, double rest) {
    }

    /** The same points about the common centre. */
    public CircleTest centred() {
        CircleShares e = explained();
        return new CircleTest(radius, about(counterClockwise, e), about(clockwise, e));
    }

    private static List<CirclePoint> about(List<CirclePoint> points, CircleShares e) {
        return points.stream().map(p -> {
            double t = Math.toRadians(p.degrees);
            return new CirclePoint(p.degrees, p.deviation - e.centreX * Math.cos(t) - e.centreY * Math.sin(t));
        }).toList();
    }

    /** G of one way, µm. */
    public static double circular(List<CirclePoint> points) {
        return points.stream().mapToDouble(CirclePoint::deviation).max().orElse(0)
                - points.stream().mapToDouble(CirclePoint::deviation).min()
                        .orElse(0);
    }

    /** H: the greatest difference between the ways at one angle, with the angle. */
    public CirclePoint hysteresis() {
        CirclePoint most = new CirclePoint(0, 0);
        for (CirclePoint p : counterClockwise) {
            double difference = Math.abs(p.deviation - at(clockwise, p.degrees));
            most = difference > most.deviation ? new CirclePoint(p.degrees, difference) : most;
        }
        for (CirclePoint p : clockwise) {
            double difference = Math.abs(p.deviation - at(counterClockwise, p.degrees));
            most = difference > most.deviation ? new CirclePoint(p.degrees, difference) : most;
        }
        return most;
    }

    private static double at(List<CirclePoint> points, double degrees) {
        int low = 0;
        int high = points.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (points.get(middle).degrees < degrees) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        CirclePoint after = points.get(low % points.size());
        CirclePoint before = points.get((low + points.size() - 1) % points.size());
        double gap = (after.degrees - before.degrees + TURN) % TURN;
        return gap == 0 ? after.deviation
                : before.deviation + (after.deviation - before.deviation)
                        * ((degrees - before.degrees + TURN) % TURN) / gap;
    }

    public CircleShares explained() {
        List<double[]> rows = new ArrayList<>();
        List<Double> values = new ArrayList<>();
        List<Double> weights = new ArrayList<>();
        take(counterClockwise, 1, rows, values, weights);
        int counter = rows.size();
        take(clockwise, -1, rows, values, weights);
        double[][] weighted = new double[rows.size()][];
        double[] right = new double[rows.size()];
        for (int i = 0; i < weighted.length; i++) {
            double w = Math.sqrt(weights.get(i));
            weighted[i] = rows.get(i).clone();
            for (int k = 0; k < weighted[i].length; k++) {
                weighted[i][k] *= w;
            }
            right[i] = values.get(i) * w;
        }
        double[] s = new QRDecomposition(new Array2DRowRealMatrix(weighted, false)).getSolver().solve(new ArrayRealVector(right, false))
                .toArray();
        return shared(s, counter, rows, values, weights);
    }

    /** mean, centre x and y, cos 2θ, sin 2θ, lost motion in X and Y. */
    private static double[] terms(double degrees, int way) {
        double t = Math.toRadians(degrees);
        return new double[] {1, Math.cos(t), Math.sin(t), Math.cos(2 * t), Math.sin(2 * t),
                way * Math.signum(Math.sin(t)) * Math.cos(t) / 2, -way * Math.signum(Math.cos(t)) * Math.sin(t) / 2};
    }

    private static void take(List<CirclePoint> points, int way, List<double[]> rows, List<Double> values, List<Double> weights) {
        List<CirclePoint> taken =
                points.stream().filter(p -> Math.abs((p.degrees + QUARTER / 2) % QUARTER - QUARTER / 2) > REVERSAL).toList();
        int n = taken.size();
        for (int i = 0; i < n; i++) {
            rows.add(terms(taken.get(i).degrees, way));
            values.add(taken.get(i).deviation);
            weights.add(((taken.get((i + 1) % n).degrees - taken.get((i + n - 1) % n).degrees) % TURN + TURN) % TURN / 2);
        }
    }

    private CircleShares shared(double[] s, int counter, List<double[]> rows, List<Double> values, List<Double> weights) {
        double scale = 0;
        double square = 0;
        double lost = 0;
        double rest = 0;
        double spike = 0;
        for (int i = 0; i < rows.size(); i++) {
            double[] row = rows.get(i);
            double w = weights.get(i);
            double left = values.get(i);
            for (int k = 0; k < s.length; k++) {
                left -= s[k] * row[k];
            }
            scale += w * Math.pow(s[3] * row[3], 2);
            square += w * Math.pow(s[4] * row[4], 2);
            lost += w * Math.pow(s[5] * row[5] + s[6] * row[6], 2);
            rest += w * left * left;
            spike = isBehindReversal(row, i < counter) ? Math.max(spike, Math.abs(left)) : spike;
        }
        double all = scale + square + lost + rest;
        Shares shares = all <= 1e-24 ? new Shares(0, 0, 0, 0)
                : new Shares(100 * scale / all, 100 * square / all, 100 * lost / all,
                        100 * rest / all);
        return new CircleShares(s[1], s[2], s[0], s[3], s[4], s[5], s[6], shares, spike);
    }

    /** Within 10° of a reversal the axis has just passed: after it as the angles go counter-clockwise, before it clockwise. */
    private static boolean isBehindReversal(double[] row, boolean counter) {
        double degrees = (Math.toDegrees(Math.atan2(row[2], row[1])) + TURN) % QUARTER;
        return counter ? degrees <= SPIKE : degrees >= QUARTER - SPIKE;
    }
}
