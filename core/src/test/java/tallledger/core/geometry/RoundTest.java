package tallledger.core.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Grade;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class RoundTest {

    private static final double NOISE = 1e-9;

    /** N readings in mm of a radius given in µm over the angle in degrees. */
    private static Round round(int n, DoubleUnaryOperator micrometres) {
        return new Round(IntStream.range(0, n).mapToObj(k -> BigDecimal.valueOf(micrometres.applyAsDouble(360.0 * k / n) / 1000)
                .setScale(12, RoundingMode.HALF_UP)).toList());
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }

    /** r = 10 + 4 cos(θ − 90°) + 1 cos 2θ µm at 12 angles: e = 4, high spot 90°, oval 1, residual 0, TIR 8.0 (13.0 at 90°, 5.0 at 270°). */
    @Test
    void theWorkedRoundComesApart() {
        Round round = round(12, a -> 10 + 4 * cos(a - 90) + cos(2 * a));
        assertThat(round.eccentricity() * 1000).isCloseTo(4, offset(NOISE));
        assertThat(round.highSpot()).isCloseTo(90, offset(NOISE));
        assertThat(round.lobe(2) * 1000).isCloseTo(1, offset(NOISE));
        assertThat(round.lobe(3) * 1000).isCloseTo(0, offset(NOISE));
        assertThat(round.residual() * 1000).isCloseTo(0, offset(1e-6));
        assertThat(round.tir()).isEqualByComparingTo("0.008");
        assertThat(round.readings().get(3)).isEqualByComparingTo("0.013");
        assertThat(round.readings().get(9)).isEqualByComparingTo("0.005");
        assertThat(round.mean() * 1000).isCloseTo(10, offset(NOISE));
    }

    /** An eccentricity of e alone shows a TIR of 2e; the high spot is found in every quarter. */
    @ParameterizedTest
    @CsvSource({"0", "30", "120", "210", "330"})
    void theHighSpotIsWhereItIsHighest(double high) {
        Round round = round(12, a -> 3 * cos(a - high));
        assertThat(round.tir().doubleValue() * 1000).isCloseTo(6, offset(1e-6));
        assertThat(round.highSpot() % 360).isCloseTo(high, offset(1e-6));
        assertThat(round.angle(1)).isEqualTo(30);
    }

    /** Three lobes at four points look like eccentricity; from eight on they are told apart. A fourth harmonic is left over. */
    @Test
    void lobesAreToldApartWhereTheReadingsAreEnough() {
        assertThat(round(4, a -> 2 * cos(3 * a)).eccentricity() * 1000).isCloseTo(2, offset(NOISE));
        assertThat(round(8, a -> 2 * cos(3 * a)).eccentricity() * 1000).isCloseTo(0, offset(NOISE));
        assertThat(round(8, a -> 2 * cos(3 * a)).lobe(3) * 1000).isCloseTo(2, offset(NOISE));
        assertThat(round(6, a -> 2 * cos(3 * a)).lobe(3)).isZero();
        assertThat(round(12, a -> 2 * cos(4 * a)).residual() * 1000).isCloseTo(3, offset(1e-6));
    }

    @Test
    void tooFewAndTooManyReadingsAreRefused() {
        assertThatThrownBy(() -> round(3, a -> 1)).isInstanceOf(Refused.class).hasMessageContaining("round.count");
        assertThat(round(4, a -> 1).count()).isEqualTo(4);
        assertThat(round(72, a -> 1).tir()).isZero();
        assertThatThrownBy(() -> round(721, a -> 1)).isInstanceOf(Refused.class);
    }

    private static final RunoutRound NOSE = new RunoutRound(Rule.LATHE_NOSE);

    private static StepJudgement judged(String readings, String swept, LengthUnit unit) {
        return NOSE.weigh(new Values(Map.of("readings", readings, "swept", swept), unit), Rules.shipped());
    }

    /** House indicator: u = √((√2·0.001/√12)² + (0.01·TIR/2)²), U = 2u: 0.0008 at 0.008; within the 0.010 of a rebuilt nose. */
    @Test
    void eightReadingsAreJudgedByTheirTir() {
        StepJudgement good = judged("0.010 0.012 0.014 0.016 0.018 0.016 0.014 0.012", "", LengthUnit.MM);
        assertThat(good.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(good.grade()).contains(Grade.REBUILT);
        assertThat(good.because()).extracting(Reason::code).containsExactly("graded.reached", "round.shape");
        assertThat(good.because().get(1).arguments()).startsWith(Reason.named("figure.unit", new BigDecimal("3.4"), "µm"),
                BigDecimal.valueOf(180));
        assertThat(NOSE.read(new Values(Map.of("readings", "0 0 0 0 0 0 0 .008"), LengthUnit.MM)).uncertainty(Rules.shipped()).expanded())
                .isCloseTo(0.00082, offset(0.00001));
    }

    /** What the dial showed between the readings counts where it is more. */
    @Test
    void theSweepCountsWhereItIsLarger() {
        String readings = "0.010 0.012 0.014 0.016 0.018 0.016 0.014 0.012";
        assertThat(judged(readings, "0.030", LengthUnit.MM).grade()).contains(Grade.WORKABLE);
        assertThat(judged(readings, "0.002", LengthUnit.MM).grade()).contains(Grade.REBUILT);
        assertThat(judged(readings, "0.060", LengthUnit.MM).outcome()).isEqualTo(Outcome.FAILED);
    }

    @Test
    void fewerThanEightJudgeNothing() {
        StepJudgement few = judged("0.010 0.012 0.014 0.012", "", LengthUnit.MM);
        assertThat(few.outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(few.because()).extracting(Reason::code).containsExactly("round.too-few", "round.shape");
        assertThat(judged("0.01 0.01 0.01 0.01 0.01 0.01 0.01", "", LengthUnit.MM).outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judged("0.010 0.010 0.010 0.010 0.010 0.010 0.010 0.010", "", LengthUnit.MM).outcome()).isEqualTo(Outcome.PROVEN);
    }

    /** 0.0004 in is 0.01016 mm; one bad figure is said at its field. */
    @Test
    void inchReadingsAndSlipsOfThePen() {
        assertThat(NOSE.read(new Values(Map.of("readings", "0 0 .0004 0 0 0 0 0"), LengthUnit.INCH)).tir()).isEqualByComparingTo("0.01016");
        for (List<String> bad : List.of(List.of("readings", "0.01 x", ""), List.of("readings", "0.01 0.01", ""),
                List.of("swept", "0 0 0 0", "-1"))) {
            assertThatThrownBy(() -> judged(bad.get(1), bad.get(2), LengthUnit.MM))
                    .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.field()).contains(bad.get(0)));
        }
    }

    /** The answers of header and code are the same ones. */
    @Test
    void aReasonRoundsForTheReaderOnly() {
        assertThat(round(8, a -> 4 * cos(a)).lobe(4)).isZero();
    }
}
