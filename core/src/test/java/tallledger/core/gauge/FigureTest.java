package tallledger.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Reason;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** A judged figure, worked by hand: over the length its limit is stated for, and how many times its limit. */
class FigureTest {

    private static final Reason SOURCE = Reason.named("source");
    private static final GradedLimit GRADED = new GradedLimit(new BigDecimal("0.01"), new BigDecimal("0.02"), new BigDecimal("0.05"),
            Unit.MILLIMETRES, Grade.SOUND, SOURCE);

    private static Figure of(String value, double u) {
        BigDecimal v = new BigDecimal(value);
        return Figure.of(v, Uncertainty.of(u / Gauge.COVERAGE_FACTOR, 0), GRADED.reached(v.abs(), u));
    }

    /** −0.010 ± 0.001 over 150 mm are −0.020 ± 0.002 over 300; over 300 it stands as it is. */
    @ParameterizedTest
    @CsvSource({"150, -0.020, 0.002", "300, -0.010, 0.001", "600, -0.005, 0.0005"})
    void itScalesToTheLengthItsLimitIsStatedFor(BigDecimal over, BigDecimal value, double u) {
        Quantity stated = of("-0.010", 0.001).per(Figure.StatedOver.mm(over, new BigDecimal("300"))).overStated();
        assertThat(stated.value()).isEqualByComparingTo(value);
        assertThat(stated.expanded()).isEqualTo(u, within(1e-15));
        assertThat(stated.unit()).isEqualTo(Unit.MILLIMETRES);
    }

    /** Against 0.01/0.02/0.05, judged as sound, U 0.001; at the limit less U it is within, at the limit plus U not yet outside. */
    @ParameterizedTest
    @CsvSource({"0.009, WITHIN, REBUILT", "0.0091, WITHIN, SOUND", "0.019, WITHIN, SOUND", "0.0191, TOO_CLOSE_TO_CALL, WORKABLE",
            "0.021, TOO_CLOSE_TO_CALL, WORKABLE", "0.0211, OUTSIDE, WORKABLE", "0.049, OUTSIDE, WORKABLE", "0.0491, OUTSIDE,"})
    void itKeepsVerdictAndGrade(String value, Verdict verdict, Grade grade) {
        Figure.Against against = of(value, 0.001).against().orElseThrow();
        assertThat(against.verdict()).isEqualTo(verdict);
        assertThat(against.grade()).isEqualTo(Optional.ofNullable(grade));
        assertThat(against.limits().source()).isEqualTo(SOURCE);
    }

    /** Against the widest of the three, whatever grade is wanted, and by its size; two ends and no limit count for nothing. */
    @Test
    void howManyTimesItsLimitItIs() {
        assertThat(of("-0.5", 0.001).timesItsLimit()).isEqualTo(10, within(1e-12));
        Limit twoEnds = new Limit(new BigDecimal("90"), new BigDecimal("110"), Unit.RPM, SOURCE);
        assertThat(Judgement.of(new BigDecimal("5000"), 1, twoEnds).figure().timesItsLimit()).isZero();
        Limit upper = new Limit(BigDecimal.ZERO, new BigDecimal("3.2"), Unit.ROUGHNESS, SOURCE);
        assertThat(Judgement.of(new BigDecimal("6.4"), 1, upper).figure().timesItsLimit()).isEqualTo(2, within(1e-12));
        assertThat(
                Judgement.of(new BigDecimal("6.4"), 1, Limit.atLeast(BigDecimal.ZERO, Unit.MILLIMETRES, SOURCE)).figure().timesItsLimit())
                .isLessThan(1e-9);
        assertThat(Figure.alone(Quantity.mm(BigDecimal.TEN)).timesItsLimit()).isZero();
    }

    /** A claim of at least so much has no upper end, and nothing is said of one; two ends have. */
    @Test
    void atLeastSoMuchHasNoUpperEnd() {
        assertThat(Limit.atLeast(BigDecimal.TEN, Unit.MILLIMETRES, SOURCE).isEndless()).isTrue();
        assertThat(new Limit(BigDecimal.ZERO, BigDecimal.TEN, Unit.MILLIMETRES, SOURCE).isEndless()).isFalse();
    }

    /** The parts of U are known where they were put together, and not made up where only U is. */
    @Test
    void onlyWhatWasPutTogetherHasParts() {
        Limit limit = new Limit(new BigDecimal("94"), new BigDecimal("106"), Unit.RPM, SOURCE);
        assertThat(Judgement.of(new BigDecimal("100"), 1, limit).figure().parts()).isEmpty();
        assertThat(Judgement.of(new BigDecimal("100"), Uncertainty.of(0.3, 0.4), limit).figure().parts()).isPresent();
        assertThat(Judgement.of(new BigDecimal("100"), Uncertainty.of(0.3, 0.4), limit).figure().measured().expanded())
                .isEqualTo(1, within(1e-6));
    }
}
