package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/** A taper against the one it was set to, by hand. */
class TaperAgainstNominalTest {

    private static final ChartLine<TaperAgainstNominal.TaperReadings> TAPER = ChartLine.per(new TaperAgainstNominal(),
            Rule.GROUND_TAPER_100, 100);

    private static Values typed(String fields, LengthUnit unit) {
        return new Values(Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2)).collect(Collectors.toMap(f -> f[0], f -> f[1])),
                unit);
    }

    private static StepJudgement judged(String fields) {
        return TAPER.weigh(typed(fields, LengthUnit.MM), Rules.shipped().in(LengthUnit.MM));
    }

    /** 44.399 − 38.150 = 6.249, of 125 mm at 1:20 6.25: 1 µm too little; 4.9992 in 100 and 2·arctan(0.024996) = 2.864°. */
    @Test
    void theTaperIsHeldAgainstWhatItWasSetTo() {
        StepJudgement judged = judged("large=44.399|small=38.150|apart=125.00|nominalTaper=1:20");
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged.because()).filteredOn(r -> r.code().equals("taper.says")).singleElement()
                .hasToString("taper.says[figure.unit[4.999, mm], figure.unit[100, mm], 2.864, figure.unit[5, mm], 2.864]");
        Figure figure = judged.figure().orElseThrow();
        assertThat(figure.measured().value()).isEqualByComparingTo("0.001");
        assertThat(figure.overStated().value()).isEqualByComparingTo("0.0008");
    }

    /** Digit: √2·0.001/√12 of the diameters and 0.05·0.01/√12 of the length between; the micrometer's share of 6.249 beside it. */
    @Test
    void theLengthBetweenLeavesItsShareOpen() {
        double digit = Math.hypot(Math.sqrt(2) * 0.001 / Math.sqrt(12), 0.05 * 0.01 / Math.sqrt(12));
        assertThat(judged("large=44.399|small=38.150|apart=125.00|nominalTaper=1:20").figures().get(0).parts().orElseThrow().digit())
                .isCloseTo(digit, within(1e-12));
        assertThat(judged("large=44.399|small=38.150|apart=125|nominalTaper=1:20").figures().get(0).parts().orElseThrow().digit())
                .isCloseTo(Math.hypot(Math.sqrt(2) * 0.001 / Math.sqrt(12), 0.05 / Math.sqrt(12)), within(1e-12));
    }

    /** Limits per 100 mm 2, 4 and 8 µm: over 125 mm 10 µm is the last; too much and too little count alike. */
    @ParameterizedTest
    @CsvSource({"44.4000, PROVEN", "44.4200, FAILED", "44.3800, FAILED", "44.4040, PROVEN", "44.3960, PROVEN"})
    void tooMuchAndTooLittleCountAlike(String large, Outcome outcome) {
        assertThat(judged("large=" + large + "|small=38.1500|apart=125.000|nominalTaper=1:20").outcome()).isEqualTo(outcome);
    }

    /** 1:20 is 0.05; 7/24 is 0.291667 and 16.594°; 8.578° is 2·tan 4.289° = 0.149993. */
    @ParameterizedTest
    @CsvSource({"1:20, 0.05", "1 in 20, 0.05", "1/20, 0.05", "7/24, 0.2916667", "16.594°, 0.29166", "8.578 deg, 0.149993",
            "1:19.254, 0.0519373"})
    void aNominalTaperIsARatioOrAnAngle(String typed, double nominal) {
        assertThat(
                new TaperAgainstNominal().read(typed("large=44|small=38|apart=125|nominalTaper=" + typed, LengthUnit.MM), TAPER).nominal())
                .isCloseTo(nominal, within(5e-6));
    }

    /** 2.000 and 1.750 in, 5 in apart, at 1:20: exactly right; said over 4 in. */
    @Test
    void anInchMachineSaysItInInches() {
        StepJudgement judged = TAPER.weigh(typed("large=2.0000|small=1.7500|apart=5.000|nominalTaper=1:20", LengthUnit.INCH),
                Rules.shipped().in(LengthUnit.INCH));
        assertThat(judged.because()).filteredOn(r -> r.code().equals("taper.says")).singleElement()
                .hasToString("taper.says[figure.unit[0.2, in], figure.unit[4, in], 2.864, figure.unit[0.2, in], 2.864]");
    }

    /** On a sine bar set to the nominal angle the dial's own difference is the error: typed alone, over the length it was drawn. */
    @Test
    void aSineBarsDifferenceIsTheResultAlone() {
        assertThat(judged("value=0.003|over=100").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged("value=0.030|over=100").outcome()).isEqualTo(Outcome.FAILED);
    }

    @ParameterizedTest
    @CsvSource({"large=38|small=44|apart=125|nominalTaper=1:20, small, taper.order",
            "large=44|small=38|apart=0|nominalTaper=1:20, apart, number.not-positive",
            "large=44|small=38|apart=125|nominalTaper=steep, nominalTaper, taper.nominal",
            "large=44|small=38|apart=125|nominalTaper=1:0, nominalTaper, taper.nominal",
            "large=44|small=38|apart=125|nominalTaper=200°, nominalTaper, taper.nominal"})
    void whatIsMistypedIsSaidAtItsField(String fields, String field, String code) {
        assertThatThrownBy(() -> TAPER.read(typed(fields, LengthUnit.MM))).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.field()).contains(field);
            assertThat(r.reason().code()).isEqualTo(code);
        });
    }
}
