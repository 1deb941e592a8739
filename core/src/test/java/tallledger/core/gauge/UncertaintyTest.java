package tallledger.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;

/** Worked figures reckoned by hand, each part of the uncertainty on its own. */
class UncertaintyTest {

    private static final Offset<Double> CLOSE = within(1e-9);
    private static final Gauge INDICATOR = Rules.shipped().gauge(Rule.INDICATOR);
    private static final Uncertainty BACKLASH = INDICATOR.difference(BigDecimal.ZERO, new BigDecimal("0.01"))
            .repeated(List.of(0.10, 0.12, 0.14));

    @Test
    void aReadingIsItsDigitAndItsCalibration() {
        Uncertainty one = new Gauge("g", new BigDecimal("0.1"), new BigDecimal("0.02"))
                .reading(new BigDecimal("50"), new BigDecimal("0.01"));
        assertThat(one.digit()).isCloseTo(0.1 / Math.sqrt(12), CLOSE);
        assertThat(one.calibration()).isCloseTo(0.5, CLOSE);
        assertThat(one.expanded()).isCloseTo(2 * Math.sqrt(0.01 / 12 + 0.25), CLOSE);
    }

    /** 0.1 typed where the gauge shows 0.001 is known to 0.1 only. */
    @Test
    void theCoarserOfDigitAndResolutionCounts() {
        assertThat(INDICATOR.reading(new BigDecimal("0.1"), new BigDecimal("0.1")).digit()).isCloseTo(0.1 / Math.sqrt(12), CLOSE);
        assertThat(INDICATOR.reading(new BigDecimal("0.1"), new BigDecimal("0.0001")).digit()).isCloseTo(0.001 / Math.sqrt(12), CLOSE);
    }

    @Test
    void aDifferenceOfTwoReadingsLeavesRootTwoOfTheDigitOpen() {
        Uncertainty difference = INDICATOR.difference(new BigDecimal("0.2"), new BigDecimal("0.01"));
        assertThat(difference.digit()).isCloseTo(Math.sqrt(2) * 0.01 / Math.sqrt(12), CLOSE);
        assertThat(difference.calibration()).isCloseTo(0.01 * 0.2 / 2, CLOSE);
    }

    @Test
    void threeRepeatsTakeStudentsT() {
        assertThat(BACKLASH.scatter()).isCloseTo(0.02, CLOSE);
        assertThat(BACKLASH.expanded()).isCloseTo(0.0503492, within(1e-6));
        assertThat(Uncertainty.of(0, 0).repeated(List.of(0.0, 2.0)).expanded()).isCloseTo(12.7062047, within(1e-6));
        assertThat(Uncertainty.of(0, 0).repeated(List.of(1.0, 2.0, 3.0, 4.0, 5.0)).expanded())
                .isCloseTo(2.7764451 * Math.sqrt(2.5) / Math.sqrt(5), within(1e-6));
    }

    @Test
    void oneReadingHasNoScatter() {
        Uncertainty one = Uncertainty.of(0.3, 0.4).repeated(List.of(7.0));
        assertThat(one.scatter()).isZero();
        assertThat(one.expanded()).isCloseTo(1.0, CLOSE);
        assertThat(one.repeatsFor(10)).isEmpty();
    }

    /** 1 000 mm of steel, 3 K apart: 1 000 · 11.5e-6 · 3/√3 = 0.0199 mm, whichever is the warmer. */
    @ParameterizedTest
    @CsvSource({"3", "-3"})
    void warmthCountsByLength(double kelvin) {
        Uncertainty warm = Uncertainty.of(0.03, 0.04).warm(1000, kelvin);
        assertThat(warm.thermal()).isCloseTo(0.0199186, within(1e-6));
        assertThat(warm.rest()).isCloseTo(Math.sqrt(0.0025 + 0.0199186 * 0.0199186), within(1e-6));
        assertThat(warm.digit()).isEqualTo(0.03);
    }

    @Test
    void aScaledFigureScalesAllOfIt() {
        Uncertainty scaled = Uncertainty.of(0.3, 0.4).warm(1000, 3).repeated(List.of(1.0, 3.0)).scaled(-2);
        assertThat(scaled.digit()).isCloseTo(0.6, CLOSE);
        assertThat(scaled.calibration()).isCloseTo(0.8, CLOSE);
        assertThat(scaled.scatter()).isCloseTo(2 * Math.sqrt(2), CLOSE);
        assertThat(scaled.thermal()).isCloseTo(2 * 0.0199186, within(1e-6));
        assertThat(scaled.repeats()).isEqualTo(2);
    }

    @Test
    void oneMoreOpenDigitAddsBySquares() {
        assertThat(Uncertainty.of(3, 0).withDigit(4).digit()).isCloseTo(5, CLOSE);
    }

    /** s = 0.02: ten repeats leave t(9)·0.02/√10 = 0.0143 and 0.0082 of the digit, together 0.0165. */
    @Test
    void soManyRepeatsWouldSettleIt() {
        assertThat(BACKLASH.repeatsFor(0.0165)).hasValue(10);
        assertThat(BACKLASH.repeatsFor(0.0164)).hasValue(11);
        assertThat(BACKLASH.repeatsFor(1)).as("one more at least").hasValue(4);
        assertThat(BACKLASH.repeatsFor(0.008)).as("the digit alone is more").isEmpty();
        double thirty = Math.hypot(2.0452296 * 0.02 / Math.sqrt(30), 2 * BACKLASH.rest());
        assertThat(BACKLASH.repeatsFor(thirty + 1e-6)).hasValue(30);
        assertThat(BACKLASH.repeatsFor(thirty - 1e-6)).as("nobody makes more than thirty").isEmpty();
    }

    @Test
    void whatWouldSettleItIsSaid() {
        assertThat(BACKLASH.settles(0.0165, Unit.MILLIMETRES))
                .isEqualTo(Reason.named("settles.repeats", 10, Quantity.of(new BigDecimal("0.016"), Unit.MILLIMETRES)));
        assertThat(BACKLASH.settles(0.008, Unit.MILLIMETRES))
                .isEqualTo(Reason.named("settles.gauge", Quantity.of(new BigDecimal("0.008"), Unit.MILLIMETRES)));
        assertThat(BACKLASH.settles(0, Unit.MILLIMETRES)).isEqualTo(Reason.named("settles.nothing"));
    }

    /** 0.12 ± 0.05: not proven below 0.15, proven below 0.40. */
    @Test
    void backlashOfThreeScatteringRepeatsIsWorkableNotSound() {
        assertThat(Rules.shipped().graded(Rule.BACKLASH).reached(new BigDecimal("0.12"), BACKLASH.expanded()).grade())
                .contains(Grade.WORKABLE);
        assertThat(Rules.shipped().graded(Rule.BACKLASH).reached(new BigDecimal("0.12"), 0.008).grade()).contains(Grade.SOUND);
    }

    @ParameterizedTest
    @CsvSource({"0.09, 0.0083, 0.090, 0.009", "253.2, 1.2662, 253.2, 1.3", "501, 58.9, 500, 60",
            "0.016933333333333334, 0.004, 0.017, 0.004", "1400, 7.1, 1400, 8", "31.52, 0.29, 31.52, 0.29",
            "31.52, 0.31, 31.5, 0.4", "5, 0, 5, 0", "0.12, 0.0503, 0.12, 0.06", "12345, 210, 12350, 210"})
    void aFigureEndsWhereItsUncertaintyDoes(BigDecimal value, double expanded, BigDecimal shown, BigDecimal u) {
        Shown as = Shown.of(value, expanded);
        assertThat(as.value()).isEqualByComparingTo(shown);
        assertThat(as.expanded()).isEqualByComparingTo(u);
    }
}
