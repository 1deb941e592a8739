package tallledger.core.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import tallledger.core.reason.Refused;

/**
 * How straight points (x, h) along a way lie, h in mm over x in mm.
 *
 * <p>Straightness = max − min of the deviations from the line through the ends. The least possible is the least vertical width of two
 * parallel lines that hold every point; as a function of their slope that width is convex and bends only where the slope is that of an
 * edge of the convex hull, so the edges alone are tried. The worst metre is the window of up to 1 m with the greatest straightness from
 * its own end line. Humped or hollow where at most a tenth of the straightness lies on the other side of the end line, else wavy.
 *
 * <p>Worked: steps of 250 mm, heights 0, .005, .015, .015, .010, 0, 0 mm: straightness 0.015 mm, humped.
 *
 * @param x mm, ascending
 * @param h mm
 */
public record Straightness(List<Double> x, List<Double> h) {

    /** Longest run anybody measures by hand. */
    public static final int MOST = 400;
    private static final double METRE = 1000;
    private static final double OTHER_SIDE = 0.1;

    /** How a way lies against the line through its ends. */
    public enum Form { STRAIGHT, HUMPED, HOLLOW, WAVY }

    /** A stretch with its straightness, mm. */
    public record StraightWindow(double from, double to, double straightness) {
    }

    /** @throws Refused for fewer than three points, or more than anybody takes, or points out of order */
    public Straightness {
        x = List.copyOf(x);
        h = List.copyOf(h);
        if (x.size() < 3 || x.size() > MOST || x.size() != h.size()) {
            throw Refused.because(GeometryReason.RUN_COUNT, h.size(), 3, MOST);
        }
        for (int i = 1; i < x.size(); i++) {
            if (!(x.get(i) > x.get(i - 1))) {
                throw Refused.because(GeometryReason.RUN_ORDER);
            }
        }
    }

    /** Points at equal spacing, the first at nought. */
    public static Straightness equallySpaced(double spacing, List<Double> heights) {
        return new Straightness(IntStream.range(0, heights.size()).mapToObj(i -> i * spacing).toList(), heights);
    }

    /** Readings d_k of a level of sensitivity s, mm/m a division, on feet L mm apart: h_k = s·d_k·L/1000, summed up from nought. */
    public static Straightness ofLevel(double sensitivity, double feet, List<Double> divisions) {
        List<Double> heights = new ArrayList<>(List.of(0.0));
        for (double d : divisions) {
            heights.add(heights.get(heights.size() - 1) + sensitivity * d * feet / METRE);
        }
        return equallySpaced(feet, heights);
    }

    public double length() {
        return x.get(x.size() - 1) - x.get(0);
    }

    /** Deviations from the line through the ends, mm. */
    public List<Double> deviations() {
        return deviations(0, x.size() - 1);
    }

    private List<Double> deviations(int from, int to) {
        double slope = (h.get(to) - h.get(from)) / (x.get(to) - x.get(from));
        return IntStream.rangeClosed(from, to).mapToObj(i -> h.get(i) - h.get(from) - slope * (x.get(i) - x.get(from))).toList();
    }

    public double straightness() {
        return spread(deviations());
    }

    private static double spread(List<Double> values) {
        return values.stream().mapToDouble(v -> v).max().orElse(0) - values.stream().mapToDouble(v -> v).min().orElse(0);
    }

    /** Index of the highest and of the lowest deviation from the end line. */
    public int highest() {
        return extreme(1);
    }

    public int lowest() {
        return extreme(-1);
    }

    private int extreme(int sign) {
        List<Double> d = deviations();
        int best = 0;
        for (int i = 1; i < d.size(); i++) {
            best = sign * d.get(i) > sign * d.get(best) ? i : best;
        }
        return best;
    }

    /** The least vertical width of two parallel lines that hold every point, mm. */
    public double leastZone() {
        return DoubleStream.concat(hullSlopes(1), hullSlopes(-1)).map(this::width).min().orElse(0);
    }

    private double width(double slope) {
        return spread(IntStream.range(0, x.size()).mapToObj(i -> h.get(i) - slope * x.get(i)).toList());
    }

    /** Slopes of the edges of the upper (1) or lower (−1) hull. */
    private DoubleStream hullSlopes(int side) {
        List<Integer> hull = new ArrayList<>();
        for (int i = 0; i < x.size(); i++) {
            while (hull.size() > 1 && side * turn(hull.get(hull.size() - 2), hull.get(hull.size() - 1), i) >= 0) {
                hull.remove(hull.size() - 1);
            }
            hull.add(i);
        }
        return IntStream.range(1, hull.size())
                .mapToDouble(k -> (h.get(hull.get(k)) - h.get(hull.get(k - 1))) / (x.get(hull.get(k)) - x.get(hull.get(k - 1))));
    }

    private double turn(int a, int b, int c) {
        return (x.get(b) - x.get(a)) * (h.get(c) - h.get(a)) - (x.get(c) - x.get(a)) * (h.get(b) - h.get(a));
    }

    /** The stretch of up to a metre that is least straight in itself; empty where no metre holds three places. */
    public Optional<StraightWindow> worstMetre() {
        StraightWindow worst = null;
        for (int from = 0; from < x.size(); from++) {
            for (int to = from + 2; to < x.size() && x.get(to) - x.get(from) <= METRE + 1e-9; to++) {
                double here = spread(deviations(from, to));
                if (worst == null || here > worst.straightness) {
                    worst = new StraightWindow(x.get(from), x.get(to), here);
                }
            }
        }
        return Optional.ofNullable(worst);
    }

    public Form form() {
        List<Double> d = deviations();
        double up = d.stream().mapToDouble(v -> v).max().orElse(0);
        double down = -d.stream().mapToDouble(v -> v).min().orElse(0);
        if (up + down <= 1e-12) {
            return Form.STRAIGHT;
        }
        return down <= OTHER_SIDE * (up + down) ? Form.HUMPED : up <= OTHER_SIDE * (up + down) ? Form.HOLLOW : Form.WAVY;
    }

    /** Slope by least squares, mm a mm. */
    public double slope() {
        double mx = x.stream().mapToDouble(v -> v).average().orElse(0);
        double mh = h.stream().mapToDouble(v -> v).average().orElse(0);
        double top = IntStream.range(0, x.size()).mapToDouble(i -> (x.get(i) - mx) * (h.get(i) - mh)).sum();
        return top / x.stream().mapToDouble(v -> (v - mx) * (v - mx)).sum();
    }

    /** What the slope leaves: max − min of the residuals, mm. */
    public double rest() {
        return width(slope());
    }
}
