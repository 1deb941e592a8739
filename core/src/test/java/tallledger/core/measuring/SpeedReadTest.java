package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

class SpeedReadTest {

    private static final SpeedRead AT_100 = new SpeedRead(Optional.of(new BigDecimal("100")), Optional.empty());
    private static final SpeedRead ALONE = new SpeedRead(Optional.empty(), Optional.empty());

    /** Fields as {@code name=value|name=value}. */
    private static Values typed(String fields) {
        Map<String, String> typed = Arrays.stream(fields.split("\\|")).map(f -> f.split("=")).filter(f -> f.length == 2)
                .collect(Collectors.toMap(f -> f[0], f -> f[1]));
        return new Values(typed, LengthUnit.MM);
    }

    private static Outcome outcome(SpeedRead recording, Rules rules, String typed) {
        return recording.weigh(typed(typed), rules).outcome();
    }

    @Test
    void theHousesShareCountsUnlessThePlateHasItsOwn() {
        Rules rules = Rules.shipped();
        assertThat(outcome(AT_100, rules, "reading=105.0")).isEqualTo(Outcome.PROVEN);
        assertThat(outcome(AT_100, rules, "reading=107.0")).isEqualTo(Outcome.FAILED);
        assertThat(outcome(AT_100, rules, "reading=106")).isEqualTo(Outcome.UNDECIDED);
        assertThat(outcome(new SpeedRead(AT_100.nominal(), Optional.of(new BigDecimal("0.1"))), rules, "reading=107.0"))
                .isEqualTo(Outcome.PROVEN);
        assertThat(outcome(AT_100, rules.with(Rule.SPEED_TOLERANCE, List.of(new BigDecimal("10"))), "reading=107.0"))
                .isEqualTo(Outcome.PROVEN);
    }

    @Test
    void withNothingToCompareItStandsWithItsUncertainty() {
        StepJudgement judged = ALONE.weigh(typed("turns=20|seconds=40.0"), Rules.shipped());
        assertThat(judged.outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judged.because()).singleElement().satisfies(why -> assertThat(why.code()).isEqualTo("speed-read.alone"));
        assertThat(ALONE.about(Rules.shipped())).isEmpty();
    }

    @Test
    void marksShareTheFigure() {
        assertThat(AT_100.read(typed("method=OPTICAL|reading=404|marks=4")).rpm()).isEqualByComparingTo("101");
        assertThat(SpeedRead.isThere(typed("method=OPTICAL|marks=4"))).isFalse();
    }

    /** 520 before 5.2:1 is 100; what the display leaves open goes down with it. */
    @Test
    void aDisplayBeforeTheBackGearShowsWhatTurnsThere() {
        var read = AT_100.read(typed("method=DISPLAY_BEFORE_GEAR|reading=520|factor=5.2:1"));
        assertThat(read.rpm().doubleValue()).isCloseTo(100, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(read.typed()).isEqualTo("520 × 5.2:1");
        double alone = AT_100.read(typed("method=DISPLAY|reading=520")).expanded(Rules.shipped());
        assertThat(read.expanded(Rules.shipped())).isCloseTo(alone / 5.2, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(AT_100.read(typed("method=DISPLAY_BEFORE_GEAR|reading=500|factor=24/125")).rpm()).isEqualByComparingTo("96");
    }

    @ParameterizedTest
    @CsvSource({"method=DISPLAY_BEFORE_GEAR|reading=100, factor factor.missing",
            "method=DISPLAY_BEFORE_GEAR|reading=100|factor=1/0, factor number.not-positive",
            "method=TAP_COUNT|reading=100, method choice.unknown", "method=by ear|reading=100, method choice.unknown",
            "reading=100|turns=20|seconds=12, reading speed-read.twice", "marks=4, reading number.missing",
            "turns=20, turns number.missing", "reading=70000, reading speed.impossible"})
    void whatCannotBeReadIsRefusedAtItsField(String fields, String expected) {
        Refused refused = org.assertj.core.api.Assertions.catchThrowableOfType(Refused.class, () -> AT_100.read(typed(fields)));
        assertThat(refused.field().orElse("") + " " + refused.reason().code()).isEqualTo(expected);
    }
}
