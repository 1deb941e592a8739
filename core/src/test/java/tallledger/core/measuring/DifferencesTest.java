package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Grade;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/** Each by hand: a readout against lengths, a dip by its thrust, a square turned round, infeeds against what came off. */
class DifferencesTest {

    private static final ChartLine<?> LENGTHS = ChartLine.per(new ScaleByGaugeLengths(), Rule.SCALE_300, 300);
    private static final ChartLine<?> THRUST = ChartLine.of(new DipUnderThrust(), Rule.THRUST_DIP);
    private static final ChartLine<?> SQUARE = ChartLine.per(new SquarenessByTurnedSquare(), Rule.XY_SQUARE_300, 300);
    private static final ChartLine<?> INFEED = ChartLine.of(new InfeedByWork(), Rule.INFEED_SUM);

    private static Values typed(String fields) {
        return new Values(Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0], f -> f[1].replace("/", "\n"))), LengthUnit.MM);
    }

    private static StepJudgement judged(ChartLine<?> line, String fields) {
        return line.weigh(typed(fields), Rules.shipped());
    }

    private static double expanded(StepJudgement judged) {
        return judged.figures().get(0).parts().orElseThrow().expanded();
    }

    /** 12 µm off at 150 of 300 mm; slope Σ L·e/Σ L² = (150·12 + 300·9)/(22500 + 90000) µm/mm = 40 µm a metre; the rest at 150: 12 − 6. */
    @Test
    void aReadoutIsHeldAgainstEachLength() {
        StepJudgement judged = judged(LENGTHS, "lengths=150 150.012/300 300.009");
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged.grade()).as("0.012 over 150 of its own, where 0.010 is sound").contains(Grade.WORKABLE);
        assertThat(judged.because()).filteredOn(b -> b.code().equals("lengths.say")).singleElement().hasToString(
                "lengths.say[2, figure.unit[150, mm], figure.unit[0.012, mm], figure.unit[0.04, mm/m], figure.unit[0.006, mm]]");
        assertThat(judged(LENGTHS, "value=0.012|over=300").grade()).as("the result alone is still taken").contains(Grade.SOUND);
    }

    /** 3 K between them over 300 mm: 300·11.5e-6·3/√3 mm = 5.98 µm, k = 2. */
    @Test
    void itsLengthMakesTheTemperatureMatter() {
        Values warm = new Values(Map.of("lengths", "300 300.010"), LengthUnit.MM, Optional.empty(), Optional.of(new BigDecimal("-3")));
        StepJudgement judged = LENGTHS.weigh(warm, Rules.shipped());
        assertThat(judged.figures().get(0).parts().orElseThrow().thermal()).isCloseTo(300 * 11.5e-6 * 3 / Math.sqrt(3), within(1e-12));
        assertThat(judged.because()).extracting(Reason::code).contains("temperature.apart");
        assertThat(judged(LENGTHS, "lengths=300 300.010").because()).extracting(Reason::code).contains("temperature.unread");
    }

    /**
     * 20 µm over 100 mm are worse than 10 over 300: the temperature that is told, and that is in U, is the one over 100 mm, in whatever
     * order they are typed. 100·11.5e-6·3 mm are 3.45 µm; over 300 they would be 10.35.
     */
    @ParameterizedTest
    @CsvSource({"100 100.020/300 300.010", "300 300.010/100 100.020", "50 50.001/100 100.020/300 300.010/500 500.012"})
    void theTemperatureIsToldOverTheLengthThatDecides(String lengths) {
        Values warm = new Values(Map.of("lengths", lengths.replace("/", "\n")), LengthUnit.MM, Optional.empty(),
                Optional.of(new BigDecimal("-3")));
        StepJudgement judged = LENGTHS.weigh(warm, Rules.shipped());
        assertThat(judged.because()).filteredOn(b -> b.code().equals("temperature.apart")).singleElement()
                .hasToString("temperature.apart[figure.unit[-3, K], figure.unit[-3.5, µm], figure.unit[100, mm]]");
        assertThat(judged.figures().get(0).parts().orElseThrow().thermal()).isCloseTo(100 * 11.5e-6 * 3 / Math.sqrt(3), within(1e-12));
    }

    /** 0.12 mm under 0.8 kN are 0.15 a kN; U of the dip by 1/0.8 and of the thrust's last digit 0.1: 0.15/0.8·0.1/√12. */
    @Test
    void aDipIsJudgedByTheKilonewton() {
        StepJudgement judged = judged(THRUST, "dip=0.12|thrust=0.8");
        assertThat(judged.grade()).contains(Grade.SOUND);
        double digit = Math.hypot(Math.sqrt(2) * 0.01 / Math.sqrt(12) / 0.8, 0.15 / 0.8 * 0.1 / Math.sqrt(12));
        double gauge = 0.01 * 0.12 / 2 / 0.8;
        assertThat(expanded(judged)).isCloseTo(2 * Math.hypot(digit, gauge), within(1e-9));
        assertThat(judged(THRUST, "dip=0.12|thrust=0.2").outcome()).isEqualTo(Outcome.FAILED);
    }

    /** +0.030 and −0.010 over 200 mm: the machine 0.010, the square 0.020; per 300 mm 0.015, rebuilt. */
    @Test
    void aSquaresOwnErrorDropsOut() {
        StepJudgement judged = judged(SQUARE, "square=0.030|squareTurned=-0.010|blade=200");
        assertThat(judged.grade()).contains(Grade.REBUILT);
        assertThat(judged.because()).filteredOn(b -> b.code().equals("square.says")).singleElement()
                .hasToString("square.says[figure.unit[0.01, mm], figure.unit[0.02, mm]]");
        StepJudgement mirrored = judged(SQUARE, "square=-0.030|squareTurned=0.010|blade=200");
        assertThat(mirrored.outcome()).isEqualTo(judged.outcome());
    }

    /**
     * Of 0.010 mm over a blade typed as 20 mm: the mean of two differences read to 0.001, √2·0.001/√12/√2, the gauge's 1 % of 0.010 halved,
     * and the blade's own last digit, 1 mm of 20: 0.010/20·1/√12.
     */
    @Test
    void theBladesOwnDigitIsInWhatASquareLeavesOpen() {
        StepJudgement judged = judged(SQUARE, "square=0.030|squareTurned=-0.010|blade=20");
        double digit = Math.hypot(Math.sqrt(2) * 0.001 / Math.sqrt(12) / Math.sqrt(2), 0.010 / 20 / Math.sqrt(12));
        assertThat(judged.figures().get(0).parts().orElseThrow().digit()).isCloseTo(digit, within(1e-12));
        assertThat(judged(SQUARE, "square=0.030|squareTurned=-0.010|blade=20.00").figures().get(0).parts().orElseThrow().digit())
                .as("a blade measured to a hundredth leaves next to nothing open").isLessThan(digit);
    }

    /** Five infeeds of 0.02 on the radius are 0.2 on the diameter; 0.192 came off until the last, 0.199 after sparking out. */
    @ParameterizedTest
    @CsvSource({"RADIUS, 40.200, 40.008, 40.001, REBUILT, 0.001", "DIAMETER, 40.100, 40.009, 40.004, REBUILT, 0.004",
            "HEIGHT, 40.100, 40.020, 40.013, WORKABLE, 0.013"})
    void whatCameOffIsHeldAgainstWhatWasFedIn(String counts, String before, String after, String sparked, Grade grade, BigDecimal off) {
        StepJudgement judged = judged(INFEED, "infeeds=0.020 0.020 0.020 0.020 0.020|counts=" + counts + "|before=" + before + "|after="
                + after + "|sparked=" + sparked);
        assertThat(judged.grade().orElse(Grade.WORKABLE)).isGreaterThanOrEqualTo(grade);
        Reason says = judged.because().stream().filter(b -> b.code().equals("infeed.says")).findFirst().orElseThrow();
        assertThat(says.arguments().get(3)).hasToString("figure.unit[-" + off + ", mm]");
        assertThat(judged.because()).extracting(Reason::code).contains("infeed.sparked");
    }

    @ParameterizedTest
    @CsvSource({"LENGTHS, lengths=150, lengths, lengths.line", "LENGTHS, lengths=0 1, lengths, number.not-positive",
            "LENGTHS, lengths=a b, lengths, length.not-one",
            "THRUST, dip=0.1|thrust=0, thrust, number.not-positive", "THRUST, dip=0.1, thrust, number.missing",
            "SQUARE, square=0.1|squareTurned=0.1|blade=-2, blade, length.negative",
            "INFEED, infeeds=0.01|before=40|after=41, after, infeed.sizes",
            "INFEED, infeeds=0.01|before=40|after=39|sparked=39.5, sparked, infeed.sizes",
            "INFEED, before=40|after=39, infeeds, number.missing"})
    void whatIsMistypedIsSaidAtItsField(String line, String fields, String field, String code) {
        ChartLine<?> by = switch (line) {
            case "LENGTHS" -> LENGTHS;
            case "THRUST" -> THRUST;
            case "SQUARE" -> SQUARE;
            default -> INFEED;
        };
        assertThatThrownBy(() -> by.read(typed(fields))).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.field()).contains(field);
            assertThat(r.reason().code()).isEqualTo(code);
        });
    }
}
