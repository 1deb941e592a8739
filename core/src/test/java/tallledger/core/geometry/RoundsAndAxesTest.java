package tallledger.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.geometry.AxisTest.Target;
import tallledger.core.geometry.CircleTest.CirclePoint;
import tallledger.core.geometry.HotRun.HotReading;
import tallledger.core.geometry.TwoRounds.Standing;
import tallledger.core.geometry.TwoRounds.Vector;
import tallledger.core.reason.Refused;

/** Two rounds, an axis at its targets, a circle both ways round, a hot run: worked figures and second computations. */
class RoundsAndAxesTest {

    private static Round round(double e, double degrees) {
        return new Round(IntStream.range(0, 12)
                .mapToObj(k -> BigDecimal.valueOf(0.05 + e * Math.cos(2 * Math.PI * k / 12 - Math.toRadians(degrees)))).toList());
    }

    @Test
    void anArborTurnedHalfPartsSpindleFromArbor() {
        TwoRounds turned = TwoRounds.of(round(0.030, 0), round(0.010, 180));
        assertThat(turned.spindle().size()).isEqualTo(0.010, within(1e-9));
        assertThat(turned.arbor().size()).isEqualTo(0.020, within(1e-9));
        assertThat(turned.arbor().degrees() % 360).isEqualTo(0, within(1e-6));
        assertThat(turned.isSpindles(0.001)).contains(false);
        assertThat(turned.isSpindles(0.011)).as("no clearer than the noise").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.0005, 0.0005, 0, TRUE", "0.02, 0.02, 0, OFFSET", "0.0005, 0.03, 0, TILTED", "0.02, 0.02, 90, BOTH"})
    void twoPlanesTellOffsetFromTilt(double near, double far, double turned, Standing standing) {
        TwoRounds planes = TwoRounds.of(round(near, 0), round(far, turned));
        assertThat(planes.standing(0.001)).isEqualTo(standing);
        assertThat(new TwoRounds(new Vector(0, 0), new Vector(0.03, 0.04)).tilt(250)).isEqualTo(0.0002, within(1e-12));
    }

    /** One target by hand: up 1 3, down 5 7 µm: means 2 and 6, s √2 each, B −4, R = 4·√2 + 4 = 9.66; a second target all nought. */
    @Test
    void anAxisAtItsTargets() {
        AxisTest test = new AxisTest(List.of(new Target(0, List.of(1.0, 3.0), List.of(5.0, 7.0)),
                new Target(100, List.of(0.0, 0.0), List.of(0.0, 0.0))));
        double s = Math.sqrt(2);
        assertThat(test.reversal()).isEqualTo(4, within(1e-12));
        assertThat(test.systematic()).isEqualTo(6, within(1e-12));
        assertThat(test.meanBidirectional()).isEqualTo(4, within(1e-12));
        assertThat(test.repeatability()).isEqualTo(4 * s + 4, within(1e-12));
        assertThat(test.accuracy()).isEqualTo(6 + 2 * s - Math.min(0, 2 - 2 * s), within(1e-12));
        assertThat(new Target(0, List.of(0.0, 10.0), List.of(5.0, 5.0)).repeatability()).as("one side scatters alone")
                .isEqualTo(4 * Math.sqrt(50), within(1e-9));
        assertThatThrownBy(() -> new AxisTest(List.of(new Target(0, List.of(1.0), List.of(1.0)),
                new Target(1, List.of(1.0), List.of(1.0))))).isInstanceOf(Refused.class);
    }

    private static CircleTest circle(double lostX, DoubleUnaryOperator besides) {
        List<CirclePoint> counter = new ArrayList<>();
        List<CirclePoint> clock = new ArrayList<>();
        for (int k = 0; k < 720; k++) {
            double degrees = k / 2.0;
            double t = Math.toRadians(degrees);
            double even = 2 * Math.cos(2 * t) + 2.5 * Math.sin(2 * t) + 1 + besides.applyAsDouble(t);
            double lost = lostX / 2 * Math.signum(Math.round(Math.sin(t) * 1e9)) * Math.cos(t);
            counter.add(new CirclePoint(degrees, even + lost));
            clock.add(new CirclePoint(degrees, even - lost));
        }
        return new CircleTest(100, counter, clock);
    }

    /** R = 100, β = 50 µm/m, e_x = 30, e_y = −10 µm/m. */
    @Test
    void theWorkedCircle() {
        CircleTest test = circle(0, t -> 0);
        CircleTest.CircleShares e = test.explained();
        assertThat(e.scale()).isEqualTo(2, within(1e-9));
        assertThat(e.square()).isEqualTo(2.5, within(1e-9));
        assertThat(e.mean()).isEqualTo(1, within(1e-9));
        assertThat(CircleTest.circular(test.counterClockwise())).isEqualTo(2 * Math.hypot(2, 2.5), within(0.001));
        assertThat(test.counterClockwise().stream().mapToDouble(CirclePoint::deviation).max().orElse(0)).isEqualTo(4.20, within(0.005));
        assertThat(test.counterClockwise().stream().mapToDouble(CirclePoint::deviation).min().orElse(0)).isEqualTo(-2.20, within(0.005));
        assertThat(e.shares().rest()).isEqualTo(0, within(1e-6));
        assertThat(e.shares().scale() + e.shares().square() + e.shares().lost() + e.shares().rest()).isEqualTo(100, within(1e-9));
        assertThat(e.shares().square() / e.shares().scale()).isEqualTo(6.25 / 4, within(0.01));
    }

    /** 4 µm of play in X besides: the two ways differ by 4 µm just beside 0° and 180°. A circle out of centre is centred first. */
    @Test
    void lostMotionIsTheDifferenceOfTheWays() {
        CircleTest test = circle(4, t -> 7 * Math.cos(t) - 3 * Math.sin(t));
        CircleTest.CircleShares e = test.explained();
        assertThat(e.lostX()).isEqualTo(4, within(1e-6));
        assertThat(e.lostY()).isEqualTo(0, within(1e-6));
        assertThat(e.centreX()).isEqualTo(7, within(1e-6));
        assertThat(e.centreY()).isEqualTo(-3, within(1e-6));
        assertThat(test.hysteresis().deviation()).isEqualTo(4, within(0.01));
        assertThat(test.hysteresis().degrees() % 180)
                .satisfiesAnyOf(d -> assertThat(d).isLessThan(1), d -> assertThat(d).isGreaterThan(179));
        assertThat(CircleTest.circular(test.centred().counterClockwise())).isLessThan(CircleTest.circular(test.counterClockwise()));
        assertThatThrownBy(() -> new CircleTest(100, test.clockwise().subList(0, 50), test.clockwise())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new CircleTest(0, test.clockwise(), test.clockwise())).isInstanceOf(Refused.class);
    }

    /** A quarter of the circle with ten times as many points pulls the fit no further: each weighs as its arc. */
    @Test
    void pointsWeighAsTheirArc() {
        List<CirclePoint> uneven = new ArrayList<>(circle(0, t -> 0.3 * Math.cos(5 * t)).counterClockwise());
        for (int k = 0; k < 2000; k++) {
            double t = Math.toRadians(1 + 43.0 * k / 2000);
            uneven.add(new CirclePoint(Math.toDegrees(t), 2 * Math.cos(2 * t) + 2.5 * Math.sin(2 * t) + 1 + 0.3 * Math.cos(5 * t)));
        }
        CircleTest.CircleShares e = new CircleTest(100, uneven, circle(0, t -> 0.3 * Math.cos(5 * t)).clockwise()).explained();
        assertThat(e.scale()).isEqualTo(2, within(0.01));
        assertThat(e.square()).isEqualTo(2.5, within(0.01));
    }

    /** 20, 32, 38 °C at 0, 10, 20 min. Differences 12 and 6: e^(−10/τ) = ½, so τ = 10/ln 2 and T∞ = 44. */
    @Test
    void theWorkedHotRunLevelsAt44() {
        HotRun run = new HotRun(List.of(new HotReading(0, 20), new HotReading(10, 32), new HotReading(20, 38)));
        HotRun.Curve curve = run.curve().orElseThrow();
        assertThat(curve.levels()).isEqualTo(44, within(0.001));
        assertThat(curve.tau()).isEqualTo(10 / Math.log(2), within(0.001));
        assertThat(curve.start()).isEqualTo(20, within(0.001));
        assertThat(run.level().orElseThrow().toCome()).isEqualTo(6, within(0.001));
        assertThat(run.atThirty()).as("nobody read it so late").isEmpty();
        assertThat(new HotRun(List.of(new HotReading(0, 20), new HotReading(25, 40), new HotReading(35, 42))).atThirty()).contains(41.0);
    }

    @Test
    void aCurveWithScatterIsFoundAgainAndOneThatBendsUpwardsDoesNotSettle() {
        Random random = new Random(3);
        List<HotReading> readings = IntStream.rangeClosed(0, 12)
                .mapToObj(i -> new HotReading(5 * i, 52 - 33 * Math.exp(-5 * i / 18.0) + 0.05 * random.nextGaussian())).toList();
        HotRun.Curve curve = new HotRun(readings).curve().orElseThrow();
        assertThat(curve.levels()).isEqualTo(52, within(0.2));
        assertThat(curve.tau()).isEqualTo(18, within(0.5));
        HotRun upwards = new HotRun(List.of(new HotReading(0, 20), new HotReading(10, 22), new HotReading(20, 28)));
        assertThat(upwards.bendsUpwards()).isTrue();
        assertThat(upwards.curve()).isEmpty();
        assertThat(new HotRun(List.of(new HotReading(0, 20), new HotReading(4, 22), new HotReading(9, 23))).curve()).as("under ten minutes")
                .isEmpty();
        assertThatThrownBy(() -> new HotRun(List.of(new HotReading(5, 20), new HotReading(5, 22)))).isInstanceOf(Refused.class);
    }
}
