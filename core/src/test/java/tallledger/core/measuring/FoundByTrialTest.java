package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Grade;
import tallledger.core.measuring.ChartLine.Sense;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/** What a second computation of the ways of measuring found wrong, each by its smallest case. */
class FoundByTrialTest {

    private static final ChartLine<?> CIRCLE = ChartLine.of(new CircularPath(), Rule.CIRCLE_FORM);
    private static final Rules RULES = Rules.shipped();
    private static final ChartLine<?> OUT = ChartLine.out(new RunoutInTwoPlanes(), Rule.LATHE_300, Rule.LATHE_NOSE);
    private static final BearingTemperature RISE = new BearingTemperature(Rule.BEARING_RISE);

    private static StepJudgement judged(Recording<?> recording, String fields) {
        return recording.weigh(typed(fields), RULES);
    }

    private static Values typed(String fields) {
        Map<String, String> typed = Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0].strip(), f -> f[1]));
        return new Values(typed, LengthUnit.MM);
    }

    private static String said(StepJudgement judged) {
        return judged.because().toString();
    }

    /** Steps of 0.01: 0, 0.010, 0, 0.010 stepped back once, short by 0.02. A dial that counts down is as good as one that counts up. */
    @ParameterizedTest
    @CsvSource({"0 0.010 0.000 0.010, FAILED", "0 0.010 0.020 0.030, PROVEN", "0.030 0.020 0.010 0, PROVEN", "0 -0.010 -0.020, PROVEN",
            "0 0.010 0.000, FAILED"})
    void aStepBackIsNoStep(String stood, Outcome outcome) {
        assertThat(judged(ChartLine.of(new StepResponse(), Rule.INFEED_REPEAT), "commanded=0.010|stood=" + stood).outcome())
                .isEqualTo(outcome);
    }

    /** 0.040 over 25 is 0.48 over 300, limit 0.05; a long length without error beside it changes nothing. */
    @ParameterizedTest
    @CsvSource({"25 25.040, FAILED", "'25 25.040\n1000 1000.000', FAILED", "'1000 1000.000\n25 25.040', FAILED",
            "'300 300.010\n1000 1000.030', PROVEN"})
    void everyLengthIsJudgedByItself(String lengths, Outcome outcome) {
        assertThat(judged(ChartLine.per(new ScaleByGaugeLengths(), Rule.SCALE_300, 300), "lengths=" + lengths).outcome())
                .isEqualTo(outcome);
    }

    /** Targets typed from the far end: 600 mm all the same, and the same U. */
    @Test
    void theOrderOfTargetsDoesNotMatter() {
        ChartLine<?> axis = ChartLine.of(new AxisPositioning(), Rule.AXIS_ACCURACY);
        String up = "0: 1 3 / 5 7\n600: 0 0 / 0 0";
        String down = "600: 0 0 / 0 0\n0: 1 3 / 5 7";
        assertThat(new AxisPositioning().read(typed("targets=" + down), axis).length()).isEqualTo(600);
        assertThat(said(judged(axis, "targets=" + down))).isEqualTo(said(judged(axis, "targets=" + up)));
    }

    /** Three pieces, 0, 1, 1.5 µm: b = 0.75, s_b = 0.144; t for one degree of freedom is 12.7: none. Five in a row: one. */
    @Test
    void aTrendOfThreeIsHeldToStudentsT() {
        ChartLine<?> pieces = ChartLine.of(new SpreadOfPieces(), Rule.GROUND_SPREAD);
        assertThat(said(judged(pieces, "pieces=20.0000 20.0010 20.0015"))).contains("pieces.even");
        assertThat(said(judged(pieces, "pieces=20.0000 20.0010 20.0019 20.0030 20.0041"))).contains("pieces.trend");
    }

    /**
     * 300 out: limits 0.01 / 0.02 / 0.04 at the nose, 0.02 / 0.04 / 0.08 at 300. 0.065 at 100 is over 0.0533; with 0.005 at the nose it is
     * 0.185 to 0.205 at 300. 0.030 at 150 with 0.010 at the nose is 0.050 to 0.070: workable. 0.030 at 150 with 0.025: 0.035 to 0.085.
     */
    @ParameterizedTest
    @CsvSource({"value=0.065|out=100, FAILED,", "value=0.065|noseSwing=0.005|out=100, FAILED,",
            "value=0.030|noseSwing=0.010|out=150, PROVEN, WORKABLE",
            "value=0.030|noseSwing=0.025|out=150, UNDECIDED,", "value=0.065, PROVEN, WORKABLE",
            "value=0.065|noseSwing=0.005|out=300, PROVEN, WORKABLE",
            "value=0.019|out=100, PROVEN, SOUND", "value=0.012|out=100, PROVEN, REBUILT"})
    void aSwingFarOutBelongsToItsDistance(String fields, Outcome outcome, Grade grade) {
        StepJudgement judged = judged(OUT, fields);
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.grade().orElse(null)).isEqualTo(grade);
    }

    private static String round(double e, double degrees) {
        return IntStream.range(0, 12).mapToObj(k -> String.format(Locale.ROOT, "%.4f",
                0.1 + e * Math.cos(2 * Math.PI * k / 12 - Math.toRadians(degrees)))).collect(Collectors.joining(" "));
    }

    /** Near 2e = 0.010 at 0°, far 0.020 at 180° 100 out: at 300 it is 0.010 − 3·0.030, 0.080; U √((2·U)² + (3·U)²). */
    @Test
    void withAnglesItIsReckonedByVectors() {
        StepJudgement judged = judged(OUT, "near=" + round(0.005, 0) + "|far=" + round(0.010, 180) + "|apart=100");
        assertThat(judged.figures().get(0).measured().value().doubleValue()).isEqualTo(0.080, within(0.0001));
        StepJudgement whole = judged(OUT, "near=" + round(0.005, 0) + "|far=" + round(0.010, 180) + "|apart=300");
        assertThat(whole.figures().get(0).measured().value().doubleValue()).isEqualTo(0.020, within(0.0001));
        double one = whole.figures().get(0).parts().orElseThrow().digit();
        assertThat(judged.figures().get(0).parts().orElseThrow().digit()).isEqualTo(one * Math.sqrt(13), within(1e-9));
    }

    /** A row of noughts on a level read to half a division: U is a quarter of 0.005 mm and more, not nought. */
    @Test
    void aRowOfNoughtsIsNotNought() {
        ChartLine<?> bed = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000);
        StepJudgement judged = judged(bed, "sensitivity=0.02|feet=250|divisions=0 0 0 0");
        assertThat(judged.figures().get(0).parts().orElseThrow().expanded()).isGreaterThan(0.02 * 0.5 * 250 / 1000 / 2);
        // p of n = 4: 2·(1 − 2/4) = 1; the gauge's own 0.01 mm/m over 250 is 0.0025/√12.
        assertThat(judged.figures().get(0).parts().orElseThrow().digit()).isEqualTo(0.0025 / Math.sqrt(12), within(1e-9));
    }

    /** 12 µm up and 10 hollow: "hollow never" is not met, whatever is humped more. */
    @Test
    void whatIsNeverHollowIsNotHollowByTenMicrometres() {
        ChartLine<?> bed = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000).only(Sense.HUMPED);
        String both = "sensitivity=0.02|feet=250|divisions=1.2 1.2 -2.4 -2.0 0 2.0";
        assertThat(judged(bed, both).outcome()).isEqualTo(Outcome.FAILED);
        assertThat(judged(bed.either(), both).outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged(bed, "sensitivity=0.02|feet=250|divisions=0 0 0 0").outcome()).as("as flat as it can be read").isEqualTo(
                Outcome.PROVEN);
    }

    @Test
    void feetLongerThanHalfAMetreSayNothingOfTheWorstMetre() {
        ChartLine<?> bed = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000);
        assertThat(said(judged(bed, "sensitivity=0.02|feet=600|divisions=2 1 -1 -2"))).contains("run-along.form-long-feet");
        assertThat(said(judged(bed, "sensitivity=0.02|feet=500|divisions=2 1 -1 -2"))).contains("run-along.form[");
    }

    /** −0.05 in 500 is −0.05 whether it was measured over 500 or over 300. */
    @Test
    void aSlopeKeepsItsSign() {
        ChartLine<?> table = ChartLine.per(new ParallelismByIndicator(), Rule.TABLE_500, 500);
        assertThat(said(judged(table, "spacing=250|along=0 -0.025 -0.050"))).contains("value=-0.05");
        assertThat(said(judged(table, "spacing=150|along=0 -0.015 -0.030"))).contains("value=-0.05", "value=-0.03");
    }

    private static String circle(double spike, double at) {
        return IntStream.range(0, 360).mapToObj(d -> String.format(Locale.ROOT, "%d %.2f", d, Math.abs(d - at) < 0.5 ? spike : 0))
                .collect(Collectors.joining("\n"));
    }

    /** 10 µm at 2° in the clockwise list alone, the counter-clockwise one read every 4°: H is 10. */
    @Test
    void hysteresisIsLookedForAtBothWaysPoints() {
        String counter = IntStream.range(0, 90).mapToObj(k -> 4 * k + " 0").collect(Collectors.joining("\n"));
        StepJudgement judged = judged(ChartLine.of(new CircularPath(), Rule.CIRCLE_FORM), "nominal=100|counter=" + counter + "|clockwise="
                + circle(10, 2));
        CircularPath.CircleReadings read =
                new CircularPath().read(typed("nominal=100|counter="
                        + counter + "|clockwise=" + circle(10, 2)), CIRCLE);
        assertThat(read.test().hysteresis().deviation()).isEqualTo(10, within(0.01));
        assertThat(read.test().hysteresis().degrees()).isEqualTo(2);
        assertThat(judged.outcome()).isNotNull();
    }

    /** Counter-clockwise 85.5° is before the reversal at 90°, 94.5° behind it; clockwise the other way round. */
    @ParameterizedTest
    @CsvSource({"true, 86, false", "true, 94, true", "false, 94, false", "false, 86, true"})
    void onlyASpikeBehindAReversalIsOne(boolean counter, double at, boolean isOne) {
        String spiked = circle(10, at);
        CircularPath.CircleReadings read =
                new CircularPath().read(typed("nominal=100|counter="
                        + (counter ? spiked : circle(0, 0)) + "|clockwise=" + (counter ? circle(0, 0) : spiked)), CIRCLE);
        assertThat(read.test().explained().spike() > 5).isEqualTo(isOne);
    }

    /** x and y in mm of a circle that is true: no deviation at all. */
    @Test
    void placesOnACircleAreNotAnglesAndDeviations() {
        String places = IntStream.range(0, 120).mapToObj(k -> String.format(Locale.ROOT, "%.6f %.6f",
                100 * Math.cos(Math.toRadians(3 * k)), 100 * Math.sin(Math.toRadians(3 * k)))).collect(Collectors.joining("\n"));
        StepJudgement judged = judged(ChartLine.of(new CircularPath(), Rule.CIRCLE_FORM), "nominal=100|counter=" + places + "|clockwise="
                + places);
        assertThat(judged.grade()).contains(Grade.REBUILT);
    }

    /** The feed 0.2 under noise: 1.6, not the 0.24 that a short cut-off leaves of it. */
    @Test
    void feedMarksAreNotFilteredAway() {
        java.util.Random random = new java.util.Random(3);
        String trace = IntStream.range(0, 4000).mapToObj(i -> {
            double in = (i * 0.002 + 1e-12) % 0.2 - 0.1;
            return String.format(Locale.ROOT, "%.3f", 1000 * in * in / 1.6 + 0.15 * random.nextGaussian());
        }).collect(Collectors.joining("\n"));
        SurfaceFinish turned = new SurfaceFinish(SurfaceFinish.Process.TURNED);
        SurfaceFinish.FinishRead read = turned.read(typed("feed=0.2|nose=0.8|spacing=0.002|trace=" + trace));
        assertThat(read.trace().orElseThrow().roughness().cutOff()).isEqualTo(0.8);
        assertThat(read.ra().doubleValue()).isEqualTo(1.6, within(0.05));
    }

    @ParameterizedTest
    @CsvSource({"cold=40.0|hot=20.0, UNDECIDED", "cold=20.0|hot=19.5, PROVEN", "'minutes=0 40;15 30;30 20', UNDECIDED",
            "'minutes=0 20;10 35;20 40;30 41;40 42;50 50', FAILED", "'minutes=0 21.0;10 21.0;20 21.0;30 21.1', PROVEN"})
    void nothingCoolsWhileItRuns(String fields, Outcome outcome) {
        assertThat(judged(RISE, fields).outcome()).isEqualTo(outcome);
    }

    @ParameterizedTest
    @CsvSource({"'0 21.0;10 21.0;20 21.0;30 21.1', hot.flat", "'0 20;10 26;20 32;30 38', hot.untold",
            "'0 20;10 35;20 40;30 41;40 42;50 50', hot.bends", "'0 20;10 32;20 38;30 41;40 42.5;60 43.6;90 44', hot.settled",
            "'0 55;10 49.5;20 46.2;30 44.2', hot.rising"})
    void whereItLevelsIsSaidOnlyWhereItIsKnown(String minutes, String code) {
        assertThat(said(judged(RISE, "minutes=" + minutes))).contains(code + "[").doesNotContain(
                code.equals("hot.settled") ? "hot.rising" : "hot.settled");
    }

    /** 23 mm in 1 s by hand: U is 15 %, and 93 to 102 % of 1 480 is not told by it. */
    @Test
    void aThroughFeedTimedForASecondProvesNothing() {
        ThroughFeedRate through = new ThroughFeedRate();
        assertThat(judged(through, "diameter=300|speed=30|angle=3|distance=23|seconds=1.0").outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judged(through, "diameter=300|speed=30|angle=3|distance=1200|seconds=50.0").outcome()).isEqualTo(Outcome.PROVEN);
        SpeedToCentre centre = new SpeedToCentre();
        assertThat(judged(centre, "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=80").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged(centre, "outerRadius=300|outerSpeed=4|innerRadius=150|innerSpeed=9").outcome()).as("12.5 % by whole turns")
                .isEqualTo(Outcome.UNDECIDED);
        assertThat(judged(centre, "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=60").outcome()).isEqualTo(Outcome.FAILED);
    }

    @Test
    void whatCannotBeALengthIsStillRefused() {
        assertThatThrownBy(() -> judged(OUT, "value=0.02|out=0")).isInstanceOf(Refused.class);
    }
}
