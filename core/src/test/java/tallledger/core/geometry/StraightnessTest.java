package tallledger.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.geometry.Straightness.Form;
import tallledger.core.reason.Refused;

/** Level runs and indicator runs against figures worked out by hand, and the least zone against every pair of points. */
class StraightnessTest {

    private static final Offset<Double> NOTHING = within(1e-12);

    private static Straightness run(double spacing, String heights) {
        return Straightness.equallySpaced(spacing, Arrays.stream(heights.split(" ")).map(Double::valueOf).toList());
    }

    /** s = 0.02 mm/m, feet 250 mm, +1 +2 0 −1 −2 0. */
    @Test
    void theWorkedLevelRun() {
        Straightness run = Straightness.ofLevel(0.02, 250, List.of(1.0, 2.0, 0.0, -1.0, -2.0, 0.0));
        double[] heights = {0, .005, .015, .015, .010, 0, 0};
        IntStream.range(0, heights.length).forEach(i -> assertThat(run.h().get(i)).isEqualTo(heights[i], NOTHING));
        assertThat(run.straightness()).isEqualTo(0.015, NOTHING);
        assertThat(run.form()).isEqualTo(Form.HUMPED);
        assertThat(run.length()).isEqualTo(1500);
        // The top edge from 500 to 750 mm is level, so no two parallel lines lie closer than 0.015; the flank from 0 to 500 mm allows less.
        assertThat(run.leastZone()).isEqualTo(everyPair(run), NOTHING);
    }

    /** A tilted way is as straight as a level one; hollow, wavy and straight are told apart, a tenth on the other side is still humped. */
    @ParameterizedTest
    @CsvSource({"0 1 2 3 4, 0, STRAIGHT", "0 2 2 4, 1.3333333333333333, WAVY", "0 0 0 3, 2, HOLLOW", "0 9 -1 0, 10, HUMPED",
            "0 -9 1 0, 10, HOLLOW", "0 9 -1.1 0, 10.1, WAVY"})
    void itsForm(String heights, double straightness, Form form) {
        Straightness run = run(100, heights);
        assertThat(run.straightness()).isEqualTo(straightness, within(1e-9));
        assertThat(run.form()).isEqualTo(form);
    }

    /** 2 m with a step at the far end: the second metre is worse than the first, and no longer stretch is asked. */
    @Test
    void theWorstMetreIsTheStretchThatIsLeastStraightInItself() {
        Straightness run = run(250, "0 0 0 0 0 0 0 0.02 0");
        assertThat(run.worstMetre().orElseThrow().to() - run.worstMetre().orElseThrow().from()).isLessThanOrEqualTo(1000);
        assertThat(run.worstMetre().orElseThrow().straightness()).isEqualTo(0.02, NOTHING);
        assertThat(run.worstMetre().orElseThrow().to()).isEqualTo(2000);
        assertThat(run(250, "0 0.01 0").worstMetre().orElseThrow().straightness()).isEqualTo(0.01, NOTHING);
        // A long shallow bow: over a metre a quarter of it is left.
        List<Double> bow = IntStream.rangeClosed(0, 8).mapToObj(i -> 0.04 * (1 - Math.pow((i - 4) / 4.0, 2))).toList();
        assertThat(Straightness.equallySpaced(250, bow).worstMetre().orElseThrow().straightness()).isEqualTo(0.01, NOTHING);
    }

    @Test
    void slopeAndStraightnessOfAnIndicatorRunAreApart() {
        Straightness run = run(100, "0 0.012 0.020 0.032 0.040");
        assertThat(run.slope()).isEqualTo(0.0001, NOTHING);
        // Over 0.0001 a mm the five points leave 0, 2, 0, 2 and 0 µm.
        assertThat(run.rest()).isEqualTo(0.002, within(1e-9));
    }

    @Test
    void theLeastZoneIsThatOfEveryPairOfPoints() {
        Random random = new Random(7);
        for (int n = 0; n < 300; n++) {
            List<Double> x = new ArrayList<>(List.of(0.0));
            List<Double> h = new ArrayList<>(List.of(random.nextGaussian()));
            for (int i = 1; i < 3 + random.nextInt(20); i++) {
                x.add(x.get(i - 1) + 1 + random.nextInt(300));
                h.add(random.nextInt(4) == 0 ? h.get(i - 1) : random.nextGaussian());
            }
            Straightness run = new Straightness(x, h);
            assertThat(run.leastZone()).isEqualTo(everyPair(run), within(1e-9)).isLessThanOrEqualTo(run.straightness() + 1e-9);
        }
    }

    /** The least width of two parallel lines, one of them through two of the points: tried with every pair. */
    private static double everyPair(Straightness run) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < run.x().size(); i++) {
            for (int j = i + 1; j < run.x().size(); j++) {
                double slope = (run.h().get(j) - run.h().get(i)) / (run.x().get(j) - run.x().get(i));
                double[] off = IntStream.range(0, run.x().size()).mapToDouble(k -> run.h().get(k) - slope * run.x().get(k)).toArray();
                least = Math.min(least, Arrays.stream(off).max().orElse(0) - Arrays.stream(off).min().orElse(0));
            }
        }
        return least;
    }

    @Test
    void tooFewPointsOrPointsOutOfOrderAreRefused() {
        assertThatThrownBy(() -> run(100, "0 1")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Straightness(List.of(0.0, 5.0, 5.0), List.of(0.0, 1.0, 2.0))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Straightness(List.of(0.0, 5.0, Double.NaN), List.of(0.0, 1.0, 2.0))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> run(0, "0 1 2")).isInstanceOf(Refused.class);
    }
}
