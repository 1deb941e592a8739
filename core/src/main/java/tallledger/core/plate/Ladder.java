package tallledger.core.plate;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import tallledger.core.reason.Refused;

/**
 * The ladder of a plate's distinct speeds: φ = (n_max/n_min)^(1/(z−1)), φ without unit, z ≥ 2 the count of distinct values.
 *
 * <p>A single step over 1.5 × the median step (in ln) is a hole, under 0.5 × it a crowd. A ladder that breaks once, with
 * three or more steps each side, each within 15 % of its side's mean step and the means over 25 % apart, is common and no
 * fault: then no holes or crowds are reported.
 *
 * @param speeds       distinct values, ascending
 * @param phi          mean step ratio
 * @param standardStep nearest standard step of the R20 family (ISO 3)
 * @param holes        index of the lower speed of each step too wide
 * @param crowds       index of the lower speed of each step too narrow
 * @param breakAt      index of the speed at which a broken ladder changes its step
 */
record Ladder(List<BigDecimal> speeds, double phi, BigDecimal standardStep, List<Integer> holes,
        List<Integer> crowds, OptionalInt breakAt) {

    private static final double HOLE = 1.5;
    private static final double CROWD = 0.5;
    private static final int STEPS_A_SIDE = 3;
    private static final double EVEN = 0.15;
    private static final double APART = 0.25;

    /** One speed over the one before it, the least first. */
    List<Double> steps() {
        return IntStream.range(1, speeds.size()).mapToObj(i -> speeds.get(i).doubleValue() / speeds.get(i - 1)
                .doubleValue()).sorted().toList();
    }

    /** The middle one of the steps; of an even number the mean of the two middle ones. */
    double median() {
        List<Double> steps = steps();
        return (steps.get((steps.size() - 1) / 2) + steps.get(steps.size() / 2)) / 2;
    }

    /** @throws Refused for fewer than two distinct values */
    public static Ladder of(List<BigDecimal> values) {
        List<BigDecimal> speeds = distinct(values);
        int z = speeds.size();
        if (z < 2) {
            throw Refused.because(PlateReason.LADDER_SHORT, z);
        }
        double phi = Math.pow(speeds.get(z - 1).doubleValue() / speeds.get(0).doubleValue(), 1.0 / (z - 1));
        double[] steps = IntStream.range(0, z - 1)
                .mapToDouble(i -> Math.log(speeds.get(i + 1).doubleValue() / speeds.get(i).doubleValue())).toArray();
        OptionalInt breakAt = breakOf(steps);
        List<Integer> holes = new ArrayList<>();
        List<Integer> crowds = new ArrayList<>();
        if (breakAt.isEmpty() && steps.length >= STEPS_A_SIDE) {
            double median = median(steps);
            IntStream.range(0, steps.length).filter(i -> steps[i] > HOLE * median).forEach(holes::add);
            IntStream.range(0, steps.length).filter(i -> steps[i] < CROWD * median).forEach(crowds::add);
        }
        return new Ladder(speeds, phi, PreferredNumbers.nearestStep(phi), List.copyOf(holes), List.copyOf(crowds), breakAt);
    }

    private static List<BigDecimal> distinct(List<BigDecimal> values) {
        List<BigDecimal> speeds = new ArrayList<>();
        values.stream().sorted().forEach(value -> {
            if (speeds.isEmpty() || speeds.get(speeds.size() - 1).compareTo(value) != 0) {
                speeds.add(value);
            }
        });
        return List.copyOf(speeds);
    }

    /** Of several splits the one with least scatter inside its sides. */
    private static OptionalInt breakOf(double[] steps) {
        return IntStream.rangeClosed(STEPS_A_SIDE, steps.length - STEPS_A_SIDE).filter(at -> {
            double below = mean(steps, 0, at);
            double above = mean(steps, at, steps.length);
            boolean even = IntStream.range(0, steps.length)
                    .allMatch(i -> Math.abs(steps[i] / (i < at ? below : above) - 1) <= EVEN);
            return even && Math.max(below, above) / Math.min(below, above) > 1 + APART;
        }).boxed().min(java.util.Comparator.comparingDouble(at -> scatter(steps, 0, at) + scatter(steps, at, steps.length)))
                .map(OptionalInt::of).orElse(OptionalInt.empty());
    }

    private static double mean(double[] steps, int from, int to) {
        return IntStream.range(from, to).mapToDouble(i -> steps[i]).average().orElseThrow();
    }

    /** Sum of squares about the mean. */
    private static double scatter(double[] steps, int from, int to) {
        double mean = mean(steps, from, to);
        return IntStream.range(from, to).mapToDouble(i -> (steps[i] - mean) * (steps[i] - mean)).sum();
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        java.util.Arrays.sort(sorted);
        int middle = sorted.length / 2;
        return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
    }
}
