package tallledger.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import tallledger.core.reason.Refused;

/**
 * Heights of a face over a grid, mm.
 *
 * <p>Flatness is the least distance between two parallel planes that hold all points. At slopes of under a hundredth the distance across
 * them and the height between them are the same to five parts in a hundred thousand, so what is sought is the plane z = a + b·x + c·y
 * over which the heights spread least. That spread is a convex function of b and c. For one c the least over b is exact: it lies at an edge
 * of the convex hull of (x, z − c·y), as with straightness; over c it is closed in on until nothing is left to a millionth of a µm.
 *
 * <p>Worked: heights 0, 0, 0, 1 mm at the corners of a square: zone 0.5 mm, an edge against an edge.
 *
 * @param points x, y, z, mm, columns and rows of a grid
 */
public record FlatFace(List<FacePoint> points) {

    /** Most points of a grid. */
    public static final int MOST = 2_000;
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;
    private static final double CLOSE = 1e-12;
    private static final int ROUNDS = 200;

    /** One point of the face, mm. */
    public record FacePoint(double x, double y, double z) {
    }

    /** z = a + b·x + c·y. */
    public record Plane(double a, double b, double c) {

        public double off(FacePoint p) {
            return p.z - a - b * p.x - c * p.y;
        }
    }

    /** @throws Refused for fewer than two by two, rows of unequal length, or more points than anybody takes */
    public static FlatFace grid(double across, double down, List<List<Double>> rows) {
        int columns = rows.isEmpty() ? 0 : rows.get(0).size();
        List<FacePoint> points = new ArrayList<>();
        for (int r = 0; r < rows.size(); r++) {
            if (rows.get(r).size() != columns) {
                throw Refused.because(GeometryReason.GRID_UNEQUAL, r + 1, rows.get(r).size(), columns);
            }
            for (int c = 0; c < columns; c++) {
                points.add(new FacePoint(c * across, r * down, rows.get(r).get(c)));
            }
        }
        if (rows.size() < 2 || columns < 2 || points.size() > MOST) {
            throw Refused.because(GeometryReason.GRID_SIZE, rows.size(), columns, MOST);
        }
        return new FlatFace(points);
    }

    public FlatFace {
        points = List.copyOf(points);
    }

    /** By least squares. */
    public Plane leastSquares() {
        double[][] m = new double[3][3];
        double[] v = new double[3];
        for (FacePoint p : points) {
            double[] row = {1, p.x, p.y};
            for (int i = 0; i < 3; i++) {
                v[i] += row[i] * p.z;
                for (int j = 0; j < 3; j++) {
                    m[i][j] += row[i] * row[j];
                }
            }
        }
        double[] s = new LUDecomposition(new Array2DRowRealMatrix(m, false)).getSolver().solve(new ArrayRealVector(v)).toArray();
        return new Plane(s[0], s[1], s[2]);
    }

    /** The plane in the middle of the least zone. */
    public Plane least() {
        double reach = spread(new Plane(0, 0, 0)) / height() * 2 + CLOSE;
        double low = -reach;
        double high = reach;
        Slope left = best(high - GOLDEN * (high - low));
        Slope right = best(low + GOLDEN * (high - low));
        for (int round = 0; round < ROUNDS && high - low > CLOSE; round++) {
            if (left.spread <= right.spread) {
                high = right.c;
                right = left;
                left = best(high - GOLDEN * (high - low));
            } else {
                low = left.c;
                left = right;
                right = best(low + GOLDEN * (high - low));
            }
        }
        Slope best = left.spread <= right.spread ? left : right;
        Plane through = new Plane(0, best.b, best.c);
        double most = points.stream().mapToDouble(through::off).max().orElse(0);
        double least = points.stream().mapToDouble(through::off).min().orElse(0);
        return new Plane((most + least) / 2, best.b, best.c);
    }

    /** Flatness: the height of the least zone, mm. */
    public double zone() {
        return spread(least());
    }

    public double spread(Plane plane) {
        double most = points.stream().mapToDouble(plane::off).max().orElse(0);
        return most - points.stream().mapToDouble(plane::off).min().orElse(0);
    }

    /** How far the grid goes in y, mm. */
    private double height() {
        return points.stream().mapToDouble(FacePoint::y).max().orElse(0) - points.stream().mapToDouble(FacePoint::y).min().orElse(0);
    }

    private record Slope(double b, double c, double spread) {
    }

    /** The least spread over b for one c. */
    private Slope best(double c) {
        double[] xs = points.stream().mapToDouble(FacePoint::x).distinct().sorted().toArray();
        double[] high = new double[xs.length];
        double[] low = new double[xs.length];
        Arrays.fill(high, Double.NEGATIVE_INFINITY);
        Arrays.fill(low, Double.POSITIVE_INFINITY);
        for (FacePoint p : points) {
            int at = Arrays.binarySearch(xs, p.x);
            double t = p.z - c * p.y;
            high[at] = Math.max(high[at], t);
            low[at] = Math.min(low[at], t);
        }
        Slope best = new Slope(0, c, Double.POSITIVE_INFINITY);
        List<Double> slopes = new ArrayList<>(edges(xs, high, 1));
        slopes.addAll(edges(xs, low, -1));
        for (double b : slopes) {
            double most = Double.NEGATIVE_INFINITY;
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < xs.length; i++) {
                most = Math.max(most, high[i] - b * xs[i]);
                least = Math.min(least, low[i] - b * xs[i]);
            }
            best = most - least < best.spread ? new Slope(b, c, most - least) : best;
        }
        return best;
    }

    /** Slopes of the edges of the upper (1) or lower (−1) hull. */
    private static List<Double> edges(double[] x, double[] t, int side) {
        int[] hull = new int[x.length];
        int size = 0;
        for (int i = 0; i < x.length; i++) {
            while (size > 1 && side * ((x[hull[size - 1]] - x[hull[size - 2]]) * (t[i] - t[hull[size - 2]])
                    - (x[i] - x[hull[size - 2]]) * (t[hull[size - 1]] - t[hull[size - 2]])) >= 0) {
                size--;
            }
            hull[size++] = i;
        }
        List<Double> slopes = new ArrayList<>();
        for (int k = 1; k < size; k++) {
            slopes.add((t[hull[k]] - t[hull[k - 1]]) / (x[hull[k]] - x[hull[k - 1]]));
        }
        return slopes;
    }
}
