package tallledger.core.rules;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/** The house's limits on an inch machine: round inch figures over round inch lengths. */
class InchLimitsTest {

    private static final Rules INCHES = Rules.shipped().in(LengthUnit.INCH);

    private static String thou(BigDecimal mm) {
        return mm.divide(new BigDecimal("0.0254"), MathContext.DECIMAL64).round(new MathContext(6)).stripTrailingZeros().toPlainString();
    }

    /** In thou, by hand: 0.010 per 300 is 0.400 per 12 in; 0.08 per 1 000 is 3.2 per 40 in, in ln nearer to 3 than to 4. */
    @ParameterizedTest
    @CsvSource({"PARALLEL_300, 0.4, 0.8, 2", "SQUARE_300, 0.8, 1.2, 2", "MILL_NOSE, 0.4, 0.6, 1.2", "STRAIGHT_1000, 0.8, 1.5, 3",
            "SCALE_300, 0.4, 0.8, 2", "BACKLASH, 2, 6, 15", "LATHE_300, 0.8, 1.5, 3", "BLOCK_100, 0.4, 0.8, 1.5",
            "TOP_SLIDE_150, 1.2, 1.5, 3",
            "TABLE_500, 0.8, 1.5, 3", "GRINDER_NOSE, 0.2, 0.3, 0.6", "GROUND_ROUND, 0.04, 0.08, 0.15", "PLAY, 0.4, 1.2, 3"})
    void areRoundInThou(Rule rule, String rebuilt, String sound, String workable) {
        GradedLimit limit = INCHES.graded(rule);
        assertThat(Stream.of(limit.rebuilt(), limit.sound(), limit.workable()).map(InchLimitsTest::thou)).containsExactly(rebuilt, sound,
                workable);
    }

    /** 0.030 mm per 1 000 mm is 1.2 thou per 40 in. */
    @Test
    void everyLimitOfALengthIsWithinAStepOfTheMetricOne() {
        assertThat(thou(InchLimits.limit(new BigDecimal("0.030"), Rule.TABLE_FLAT_1000, false))).isEqualTo("1.2");
        for (Rule rule : Rule.values()) {
            if (rule.shape() == Shape.GRADED && rule.unit() == Unit.MILLIMETRES) {
                GradedLimit metric = Rules.shipped().graded(rule);
                GradedLimit inch = INCHES.graded(rule);
                double ratio = rule.per().signum() == 0 ? 1 : INCHES.length(rule.per()).doubleValue() / rule.per().doubleValue();
                assertThat(Math.abs(Math.log(inch.workable().doubleValue() / metric.workable().doubleValue() / ratio))).as(rule.name())
                        .isLessThan(Math.log(4.0 / 3) / 2 + 1e-9);
                assertThat(rule.per().signum() > 0).as(rule.name()).isEqualTo(rule.name().matches(".*_\\d+"));
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"100, 101.6", "150, 152.4", "300, 304.8", "500, 508", "1000, 1016", "200, 200"})
    void lengthsAreRoundInInches(BigDecimal mm, BigDecimal of) {
        assertThat(INCHES.length(mm)).isEqualByComparingTo(of);
        assertThat(Rules.shipped().length(mm)).isEqualByComparingTo(mm);
    }

    /** Twist 0.02 / 0.04 / 0.08 mm/m is 0.25 / 0.5 / 1 thou per 12 in; a thou per 12 in is 1/12 mm/m. */
    @Test
    void aSlopeIsThouPer12Inches() {
        GradedLimit twist = INCHES.graded(Rule.TWIST);
        assertThat(Stream.of(twist.rebuilt(), twist.sound(), twist.workable()).map(l -> l.doubleValue() * 12)).satisfiesExactly(
                l -> assertThat(l).isEqualTo(0.25, within(1e-12)), l -> assertThat(l).isEqualTo(0.5, within(1e-12)),
                l -> assertThat(l).isEqualTo(1, within(1e-12)));
    }

    /** What somebody typed is theirs: 0.0178 mm stays 0.7008 thou. */
    @Test
    void aChangedLimitIsTurnedIntoInchesAsItIs() {
        Rules changed = INCHES.with(Rule.MILL_NOSE, List.of(new BigDecimal("0.010"), new BigDecimal("0.0178"), new BigDecimal("0.030")));
        assertThat(changed.graded(Rule.MILL_NOSE).sound()).isEqualByComparingTo("0.0178");
    }

    /** The machine's own chart stands as it is printed, over the inch length. */
    @Test
    void theMachinesOwnChartStandsAsPrinted() {
        Rules own = INCHES.permitting(Rule.PARALLEL_300, new BigDecimal("0.0254"));
        GradedLimit limit = own.graded(Rule.PARALLEL_300);
        assertThat(Stream.of(limit.rebuilt(), limit.sound(), limit.workable()).map(InchLimitsTest::thou)).containsExactly("1", "1", "2");
    }

    @Test
    void roughnessIsTheTradesNumber() {
        assertThat(INCHES.roughness(Rule.RA_MILLED)).isEqualByComparingTo("1.6002");
        assertThat(INCHES.roughness(Rule.RA_GROUND)).isEqualByComparingTo("0.4064");
        assertThat(Rules.shipped().roughness(Rule.RA_MILLED)).isEqualByComparingTo("1.6");
    }
}
