package tallledger.core.finish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Refused;

/** Theoretical roughness and traces against closed forms and a convolution written out. */
class FinishTest {

    private static Trace trace(double spacing, double length, DoubleUnaryOperator z) {
        return new Trace(spacing, IntStream.rangeClosed(0, (int) Math.round(length / spacing)).mapToObj(i -> z.applyAsDouble(i * spacing))
                .toList());
    }

    @Test
    void theWorkedNoseLeavesOnePointSix() {
        Turned turned = new Turned(0.2, 0.8);
        assertThat(turned.rt()).isEqualTo(6.25, within(1e-9));
        assertThat(turned.ra()).isEqualTo(1.60, within(0.005));
        assertThatThrownBy(() -> new Turned(0.9, 0.8)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Turned(0, 0.8)).isInstanceOf(Refused.class);
    }

    /** Scallops of a parabola, height 6.25 µm every 0.2 mm: Ra of the parabola is f²/(18·√3·r). */
    @Test
    void scallopsHaveTheRaOfTheParabola() {
        Trace scallops = trace(0.002, 12, x -> {
            double in = (x + 1e-12) % 0.2 - 0.1;
            return 1000 * in * in / (2 * 0.8);
        });
        Trace.Roughness r = scallops.chosen(true, OptionalDouble.empty()).roughness();
        assertThat(r.cutOff()).as("mean spacing 0.2 mm").isEqualTo(0.8);
        assertThat(r.ra()).isEqualTo(new Turned(0.2, 0.8).ra(), within(0.02));
        assertThat(r.rz()).isEqualTo(6.25, within(0.1));
        assertThat(r.rsm()).isEqualTo(0.2, within(0.002));
        assertThat(r.lengths()).isEqualTo(5);
    }

    /** Ra of a sine is 2/π of its height, Rq 1/√2; it passes at an eighth of the cut-off and loses half at the cut-off. */
    @Test
    void aSinePassesOrIsHalved() {
        Trace.Roughness fine = trace(0.002, 8, x -> 2 * Math.sin(2 * Math.PI * x / 0.1)).at(0.8);
        assertThat(fine.ra()).isEqualTo(4 / Math.PI, within(0.01));
        assertThat(fine.rq()).isEqualTo(Math.sqrt(2), within(0.01));
        assertThat(fine.rz()).isEqualTo(4, within(0.02));
        assertThat(fine.rsk()).isEqualTo(0, within(0.01));
        assertThat(fine.rsm()).isEqualTo(0.1, within(0.001));
        Trace.Roughness coarse = trace(0.002, 20, x -> 2 * Math.sin(2 * Math.PI * x / 0.8)).at(0.8);
        assertThat(coarse.rt()).as("half of it is waviness").isEqualTo(2, within(0.1));
    }

    @Test
    void theFilterIsTheConvolutionWrittenOut() {
        Random random = new Random(4);
        Trace t = trace(0.01, 4, x -> random.nextGaussian());
        double[] w = t.waviness(0.25);
        double alpha = 0.46971863934982566;
        for (int i = 0; i < w.length; i += 7) {
            double sum = 0;
            double whole = 0;
            for (int j = 0; j < w.length; j++) {
                double x = (j - i) * 0.01;
                if (Math.abs(x) <= 0.25 + 1e-9) {
                    double weight = Math.exp(-Math.PI * x * x / (alpha * 0.25 * alpha * 0.25)) / (alpha * 0.25);
                    sum += weight * t.heights().get(j);
                    whole += weight;
                }
            }
            assertThat(w[i]).isEqualTo(sum / whole, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource({"0.025, 1", "0.026, 2", "1.6, 7", "1.61, 8", "50, 12", "51, 13"})
    void gradesAreTheSmallestNotBelow(double ra, int n) {
        assertThat(Trace.grade(ra)).isEqualTo(n);
    }

    @Test
    void aGroundSurfaceIsCutOffByItsOwnRa() {
        Random random = new Random(9);
        Trace ground = trace(0.002, 12, x -> 0.05 * random.nextGaussian());
        assertThat(ground.chosen(false, OptionalDouble.empty()).roughness().cutOff()).isEqualTo(0.25);
    }

    @Test
    void whatIsNoTraceIsRefused() {
        assertThatThrownBy(() -> new Trace(0.01, List.of(1.0, 2.0))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> trace(0, 1, x -> 0)).isInstanceOf(Exception.class);
        assertThatThrownBy(() -> trace(0.01, 2, x -> Double.NaN)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> trace(0.01, 1, x -> x).at(0.8)).as("two sampling lengths are wanted").isInstanceOf(Refused.class);
        assertThat(trace(0.01, 8, x -> 3).at(0.8).ra()).as("all equal").isEqualTo(0, within(1e-9));
    }

    /** Every height by both ways, kernels shorter and longer than the trace. */
    @ParameterizedTest
    @CsvSource({"50,3", "1000,40", "1000,900", "777,3000", "4096,4095"})
    void theTransformGivesTheConvolution(int n, int half) {
        Random random = new Random(n);
        double[] z = random.doubles(n, -500, 500).toArray();
        double[] kernel = IntStream.rangeClosed(0, half).mapToDouble(k -> Math.exp(-4.0 * k * k / half / half)).toArray();
        assertThat(Convolution.byTransform(z, kernel)).containsExactly(Convolution.writtenOut(z, kernel), within(1e-8));
    }

    /** A long trace goes by the transform, and stays the convolution. */
    @Test
    void aLongTraceIsFilteredAsAShortOne() {
        Random random = new Random(8);
        Trace t = trace(0.001, 12, x -> 3 * Math.sin(2 * Math.PI * x / 0.3) + random.nextGaussian());
        double[] w = t.waviness(0.8);
        double alpha = 0.46971863934982566;
        for (int i = 0; i < w.length; i += 501) {
            double sum = 0;
            double whole = 0;
            for (int j = 0; j < w.length; j++) {
                double x = (j - i) * 0.001;
                double weight = Math.abs(x) <= 0.8 + 1e-9 ? Math.exp(-Math.PI * x * x / (alpha * 0.8 * alpha * 0.8)) : 0;
                sum += weight * t.heights().get(j);
                whole += weight;
            }
            assertThat(w[i]).isEqualTo(sum / whole, within(1e-9));
        }
    }

    @Test
    void aSineIsFoundByItsSpacing() {
        Random random = new Random(2);
        Spacings.Peak pure = trace(0.002, 6, x -> 2 * Math.sin(2 * Math.PI * x / 0.05)).at(0.8).spacings().strongest().orElseThrow();
        assertThat(pure.spacing()).isEqualTo(0.05, within(0.0001));
        assertThat(pure.amplitude()).isEqualTo(2, within(0.3));
        assertThat(pure.share()).isGreaterThan(0.95);
        Spacings.Peak both = trace(0.002, 6, x -> 2 * Math.sin(2 * Math.PI * x / 0.0623) + 1.2 * random.nextGaussian()).at(0.8).spacings()
                .strongest().orElseThrow();
        assertThat(both.spacing()).isEqualTo(0.0623, within(0.0003));
        assertThat(both.share()).as("2 of 2 + 1.44 in squares").isBetween(0.4, 0.75);
        assertThat(trace(0.002, 6, x -> random.nextGaussian()).at(0.8).spacings().strongest().orElseThrow().share()).isLessThan(0.1);
        assertThat(trace(0.002, 6, x -> 1).at(0.8).spacings().strongest()).isEmpty();
    }

    /** 30° is 577 µm in a mm: levelled, the sine on it is what it was. */
    @Test
    void aSteepTraceIsLevelledFirst() {
        Trace flat = trace(0.002, 8, x -> 2 * Math.sin(2 * Math.PI * x / 0.1));
        Trace steep = trace(0.002, 8, x -> 577.35 * x + 2 * Math.sin(2 * Math.PI * x / 0.1));
        assertThat(steep.degrees()).isEqualTo(30, within(0.05));
        assertThat(flat.isSteep()).isFalse();
        assertThat(steep.at(0.8).ra()).isEqualTo(flat.at(0.8).ra(), within(0.002));
        assertThat(steep.waviness(0.8)[2000]).as("the waviness stays where the trace lay").isEqualTo(577.35 * 4, within(1.0));
    }

    @Test
    void aDropoutIsFoundAndScallopsAreNone() {
        Random random = new Random(3);
        List<Double> rough = new java.util.ArrayList<>(trace(0.002, 6, x -> random.nextGaussian()).heights());
        assertThat(new Trace(0.002, rough).dropout()).isEmpty();
        rough.set(811, -60.0);
        assertThat(new Trace(0.002, rough).dropout()).hasValue(811);
        assertThat(trace(0.004, 12, x -> 1000 * Math.pow((x + 1e-12) % 0.2 - 0.1, 2) / 1.6).dropout()).isEmpty();
        assertThat(trace(0.01, 8, x -> 3).dropout()).isEmpty();
    }

    /** As long as one may be, it is gone through a few times and not once for every point: 60 000 squared would take minutes. */
    @Test
    @org.junit.jupiter.api.Timeout(20)
    void theLongestTraceIsGoneThroughAFewTimes() {
        Trace longest = trace(0.0005, 29.99, x -> 2 * Math.sin(x * 120));
        assertThat(longest.heights()).hasSizeGreaterThan(59_000);
        assertThat(longest.dropout()).isEmpty();
        assertThat(longest.chosen(true, OptionalDouble.empty()).roughness().spacings().strongest()).isPresent();
    }
}
