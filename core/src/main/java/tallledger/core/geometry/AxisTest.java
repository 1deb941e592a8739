package tallledger.core.geometry;

import java.util.ArrayList;
import java.util.List;
import tallledger.core.reason.Refused;

/**
 * A controlled axis at n targets, approached m times from each side: deviations x_ij↑, x_ij↓, mm.
 *
 * <p>Per target the means and standard deviations s_i↑, s_i↓ (m − 1), reversal B_i = mean↑ − mean↓, x̄_i = (mean↑ + mean↓)/2. B = max
 * |B_i|; E = max − min of all means; M = max x̄_i − min x̄_i; R_i = max(2·s_i↑ + 2·s_i↓ + |B_i|, 4·s_i↑, 4·s_i↓), R = max R_i; A =
 * max(mean + 2·s) − min(mean − 2·s) over both directions. (The definitions of ISO 230-2.)
 *
 * @param targets positions, mm
 */
public record AxisTest(List<Target> targets) {

    public static final int MOST_TARGETS = 40;
    /** Fewest approaches from each side that give a standard deviation. */
    public static final int FEWEST = 2;

    /** One target with its deviations from either side, mm. */
    public record Target(double position, List<Double> up, List<Double> down) {

        public Target {
            up = List.copyOf(up);
            down = List.copyOf(down);
        }

        public double meanUp() {
            return mean(up);
        }

        public double meanDown() {
            return mean(down);
        }

        public double sUp() {
            return deviation(up);
        }

        public double sDown() {
            return deviation(down);
        }

        /** B_i. */
        public double reversal() {
            return meanUp() - meanDown();
        }

        public double middle() {
            return (meanUp() + meanDown()) / 2;
        }

        /** R_i. */
        public double repeatability() {
            return Math.max(2 * sUp() + 2 * sDown() + Math.abs(reversal()), Math.max(4 * sUp(), 4 * sDown()));
        }

        private static double mean(List<Double> values) {
            return values.stream().mapToDouble(v -> v).average().orElse(0);
        }

        private static double deviation(List<Double> values) {
            double mean = mean(values);
            return Math.sqrt(values.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum() / (values.size() - 1));
        }
    }

    /** @throws Refused for fewer than two targets or approaches, or sides approached unequally often */
    public AxisTest {
        targets = List.copyOf(targets);
        if (targets.size() < 2 || targets.size() > MOST_TARGETS) {
            throw Refused.because(GeometryReason.AXIS_TARGETS, targets.size(), 2, MOST_TARGETS);
        }
        int runs = targets.get(0).up.size();
        for (Target target : targets) {
            if (target.up.size() != runs || target.down.size() != runs || runs < FEWEST) {
                throw Refused.because(GeometryReason.AXIS_RUNS, FEWEST);
            }
        }
    }

    public int runs() {
        return targets.get(0).up.size();
    }

    /** B. */
    public double reversal() {
        return targets.stream().mapToDouble(t -> Math.abs(t.reversal())).max().orElse(0);
    }

    /** E. */
    public double systematic() {
        return spread(targets.stream().flatMap(t -> List.of(t.meanUp(), t.meanDown()).stream()).toList());
    }

    /** M. */
    public double meanBidirectional() {
        return spread(targets.stream().map(Target::middle).toList());
    }

    /** R. */
    public double repeatability() {
        return targets.stream().mapToDouble(Target::repeatability).max().orElse(0);
    }

    /** A. */
    public double accuracy() {
        List<Double> high = new ArrayList<>();
        List<Double> low = new ArrayList<>();
        targets.forEach(t -> {
            high.addAll(List.of(t.meanUp() + 2 * t.sUp(), t.meanDown() + 2 * t.sDown()));
            low.addAll(List.of(t.meanUp() - 2 * t.sUp(), t.meanDown() - 2 * t.sDown()));
        });
        return high.stream().mapToDouble(v -> v).max().orElse(0) - low.stream().mapToDouble(v -> v).min().orElse(0);
    }

    private static double spread(List<Double> values) {
        return values.stream().mapToDouble(v -> v).max().orElse(0) - values.stream().mapToDouble(v -> v).min().orElse(0);
    }
}
