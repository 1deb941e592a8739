package tallledger.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.measuring.ChartLine.Sense;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/** Each way of measuring a chart's line against figures worked out by hand, at its limits and past them. */
class ChartLineTest {

    private static final Rules RULES = Rules.shipped();
    private static final ChartLine<?> UP =
            ChartLine.per(new DirectionByTurnedBar(), Rule.SPINDLE_CARRIAGE_V_300, 300).only(Sense.FREE_END_UP);

    private static final List<MeasuringMethod<?>> METHODS = List.of(new SingleSwing(), new StraightnessByLevel(), new TwistByLevels(),
            new StraightnessByIndicator(), new ParallelismByIndicator(), new FlatnessByGrid(), new DirectionByTurnedBar(),
            new RunoutInTwoPlanes(), new RunoutByHalfTurn(), new RoundnessOfPiece(), new SquarenessBySweep(), new TaperByCollars(),
            new RepeatabilityOfPlace(), new SpreadOfPieces(), new StepResponse(), new AxisPositioning(), new CircularPath(),
            new ScaleByGaugeLengths(), new DipUnderThrust(), new SquarenessByTurnedSquare(), new InfeedByWork(), new TaperAgainstNominal());

    private static Values typed(String fields) {
        Map<String, String> typed = Arrays.stream(fields.split("\\|")).map(f -> f.split("=", 2))
                .collect(Collectors.toMap(f -> f[0].strip(), f -> f[1].strip()));
        return new Values(typed, LengthUnit.MM);
    }

    private static <V> StepJudgement judged(ChartLine<V> line, String fields) {
        return line.judge(line.read(typed(fields)), RULES);
    }

    private static String said(StepJudgement judged) {
        return judged.because().stream().map(Object::toString).collect(Collectors.joining(" "));
    }

    /** 0.02 / 0.03 / 0.06 per 300, free end up only; U of a mean of two differences read to a thousandth is 0.0006 and 1 %. */
    @ParameterizedTest
    @CsvSource({"0.010, 0.010, PROVEN, REBUILT", "0.025, 0.025, PROVEN, SOUND", "0.050, 0.050, PROVEN, WORKABLE", "0.062, 0.062, FAILED,",
            "-0.010, -0.010, FAILED,", "0.000, 0.000, UNDECIDED,",
            "0.0598, 0.0598, UNDECIDED,"})
    void aSignedLineRunsFromNoughtToItsFigure(String first, String turned, Outcome outcome, Grade grade) {
        StepJudgement judged = judged(UP, "nearFar=0 " + first + "|nearFarTurned=0 " + turned + "|between=300 mm");
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.grade().orElse(null)).isEqualTo(grade);
    }

    /** 0.040 and 0.000: the machine rises 0.020, the bar carries 0.020 round; over 150 mm the limits are half. */
    @Test
    void aBarTurnedHalfLosesItsOwnError() {
        StepJudgement judged = judged(UP, "nearFar=0 0.040|nearFarTurned=0 0.000|between=300");
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(said(judged)).contains(
                "bar.says[Quantity[value=0.020, expanded=0.0, unit=mm], Quantity[value=0.020, expanded=0.0, unit=mm]]");
        assertThat(judged(UP, "nearFar=0 0.035|nearFarTurned=0 0.035|between=150").outcome()).isEqualTo(Outcome.FAILED);
    }

    /** The result alone: over 150 mm, the other way, or nothing at all. */
    @ParameterizedTest
    @CsvSource({"value=0.010|over=150 mm, PROVEN", "value=0.010|over=150 mm|lies=THE_OTHER_WAY, FAILED", "value=0.028|over=150 mm, PROVEN",
            "value=0.033|over=150 mm, FAILED", "value=0.050, PROVEN"})
    void theResultAloneIsTaken(String fields, Outcome outcome) {
        assertThat(judged(UP, fields).outcome()).isEqualTo(outcome);
    }

    @ParameterizedTest
    @CsvSource({"over=300, nearFar, chart-line.nothing", "between=300, nearFar, number.missing",
            "nearFar=0 0.01|nearFarTurned=0 0.01|between=300|value=0.01, value, chart-line.both",
            "value=0.01|over=0, over, number.not-positive",
            "nearFar=0 0.01 0.02|nearFarTurned=0 0|between=300, nearFar, turned.two",
            "nearFar=0 x|nearFarTurned=0 0|between=300, nearFar, "})
    void whatIsMissingIsAskedForWhereItStands(String fields, String field, String code) {
        assertThatThrownBy(() -> UP.read(typed(fields))).isInstanceOfSatisfying(Refused.class, r -> {
            assertThat(r.field()).contains(field);
            if (code != null) {
                assertThat(r.reason().code()).isEqualTo(code);
            }
        });
    }

    /** The worked level run: 0.015 mm over 1.5 m against 0.080 per metre, that is 0.12 workable, 0.06 sound, 0.03 rebuilt. */
    @Test
    void aLevelRunIsJudgedOverItsLength() {
        ChartLine<?> bed = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000).only(Sense.HUMPED);
        StepJudgement judged = judged(bed, "sensitivity=0.02|feet=250|divisions=1 2 0 -1 -2 0");
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged.grade()).contains(Grade.REBUILT);
        assertThat(said(judged)).contains("run-along.forms.HUMPED");
        StepJudgement hollow = judged(bed, "sensitivity=0.02|feet=250|divisions=-1 -2 0 1 2 0");
        assertThat(hollow.outcome()).as("hollow never").isEqualTo(Outcome.FAILED);
        assertThat(said(hollow)).contains("chart-line.sense.HUMPED");
        ChartLine<?> either = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000);
        assertThat(judged(either, "sensitivity=0.02|feet=250|divisions=-1 -2 0 1 2 0").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged(either, "sensitivity=0.02|feet=250|divisions=10 20 0 -10 -20 0").outcome()).isEqualTo(Outcome.FAILED);
    }

    /** U of a level run by adding the rises up at random: read to half a division, its highest place in the middle. */
    @Test
    void whatALevelRunLeavesOpenIsWhatItsReadingsDo() {
        java.util.Random random = new java.util.Random(5);
        double digit = 0.02 * 0.5 * 250 / 1000;
        double[] off = IntStream.range(0, 20_000).mapToDouble(n -> {
            double[] h = new double[7];
            for (int i = 1; i < 7; i++) {
                h[i] = h[i - 1] + (random.nextDouble() - 0.5) * digit;
            }
            return h[3] - h[6] / 2;
        }).toArray();
        double s = Math.sqrt(Arrays.stream(off).map(v -> v * v).average().orElse(0));
        ChartLine<?> either = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000);
        StepJudgement judged = judged(either, "sensitivity=0.02|feet=250|divisions=1 1 1 -1 -1 -1");
        double expanded = judged.because().stream().flatMap(r -> r.arguments().stream())
                .filter(tallledger.core.unit.Quantity.class::isInstance)
                .map(tallledger.core.unit.Quantity.class::cast).filter(q -> q.expanded() > 0).skip(1).findFirst().orElseThrow()
                .expanded();
        assertThat(expanded).isEqualTo(Math.hypot(2 * s, 0.02 * 0.015), within(0.0002));
    }

    /** 0, 0.04 and 0.02 mm/m across: twist 0.04, which is the workable half. */
    @ParameterizedTest
    @CsvSource({"0 0.5 1, PROVEN", "0 2 1, PROVEN", "0 6 1, FAILED", "0 4 1, UNDECIDED"})
    void aBedsTwistIsTheSpreadOfItsCrossLevels(String divisions, Outcome outcome) {
        assertThat(judged(ChartLine.of(new TwistByLevels(), Rule.TWIST), "sensitivity=0.02|feet=300|levels=" + divisions).outcome())
                .isEqualTo(outcome);
    }

    /** Slope 0.0001 over 400 mm is 0.04, what it leaves 2 µm: each is judged by its own line. */
    @Test
    void slopeAndStraightnessAreJudgedApart() {
        String run = "spacing=100|along=0 0.012 0.020 0.032 0.040";
        StepJudgement parallel = judged(ChartLine.per(new ParallelismByIndicator(), Rule.TABLE_500, 500), run);
        StepJudgement straight = judged(ChartLine.per(new StraightnessByIndicator(), Rule.STRAIGHT_1000, 1000), run);
        assertThat(parallel.grade()).as("0.05 per 500 is over sound and under workable").contains(Grade.WORKABLE);
        assertThat(straight.grade()).as("2 µm over 400 mm, limit 8").contains(Grade.REBUILT);
        assertThat(said(parallel)).contains("run-along.apart[Quantity[value=0.04, ", "value=0.002");
    }

    /** A table hollow by 0.02 in its middle over 200 mm: 0.1 per metre and 0.02 limit here. */
    @ParameterizedTest
    @CsvSource({"0.005, PROVEN", "0.019, PROVEN", "0.020, UNDECIDED", "0.022, FAILED"})
    void aFaceIsJudgedOverItsLongerSide(String middle, Outcome outcome) {
        StepJudgement judged = judged(ChartLine.per(new FlatnessByGrid(), Rule.TABLE_FLAT_1000, 1000),
                "stepAcross=100|stepDown=50|heights=0 0 0\n0 " + middle + " 0\n0 0 0");
        assertThat(judged.outcome()).isEqualTo(outcome);
    }

    private static String round(double e, double degrees, int n) {
        return IntStream.range(0, n)
                .mapToObj(k -> String.format(java.util.Locale.ROOT, "%.4f",
                        0.1 + e * Math.cos(2 * Math.PI * k / n - Math.toRadians(degrees))))
                .collect(Collectors.joining(" "));
    }

    /** An arbor out by 0.05 in a spindle that is true: 0.1 TIR is the arbor's. Eight readings or nothing is said for certain. */
    @Test
    void anArborOutOfTrueIsNotTheSpindle() {
        ChartLine<?> arbor = ChartLine.of(new RunoutByHalfTurn(), Rule.MILL_300);
        StepJudgement judged = judged(arbor, "first=" + round(0.05, 30, 12) + "|turned=" + round(0.05, 210, 12));
        assertThat(judged.outcome()).isEqualTo(Outcome.FAILED);
        assertThat(said(judged)).contains("turned.arbors", "turned.rings").doesNotContain("turned.spindles");
        StepJudgement spindle = judged(arbor, "first=" + round(0.05, 30, 12) + "|turned=" + round(0.05, 30, 12));
        assertThat(said(spindle)).contains("turned.spindles");
        assertThat(spindle.outcome()).as("the arbor itself is true").isEqualTo(Outcome.PROVEN);
        assertThat(judged(arbor, "first=" + round(0.05, 30, 4) + "|turned=" + round(0.05, 210, 4)).outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThatThrownBy(() -> arbor.read(typed("first=0 1 2|turned=" + round(0.05, 210, 12)))).isInstanceOf(Refused.class);
    }

    @Test
    void twoPlanesSayHowTheBoreStands() {
        StepJudgement judged = judged(ChartLine.of(new RunoutInTwoPlanes(), Rule.LATHE_300), "near=" + round(0.0005, 0, 8) + "|far="
                + round(0.03, 0, 8) + "|apart=300");
        assertThat(said(judged)).contains("planes.stand.TILTED");
        assertThat(judged.outcome()).as("0.06 TIR far out").isEqualTo(Outcome.PROVEN);
        assertThat(judged.grade()).contains(Grade.WORKABLE);
    }

    /** Δ 0.04 at R 150 is 0.04 per 300; at R 75 twice that. Right high: towards the right. On bolts at 60 mm it is 0.016 across. */
    @Test
    void aSweepSaysWhichWayToTip() {
        ChartLine<?> tram = ChartLine.per(new SquarenessBySweep(), Rule.SQUARE_300, 300);
        StepJudgement judged = judged(tram, "radius=150|right=0.040|back=-0.010|bolts=60");
        assertThat(judged.grade()).contains(Grade.WORKABLE);
        assertThat(said(judged)).contains("tip.right[Quantity[value=0.04", "tip.front[Quantity[value=0.01",
                "tip.bolts[Quantity[value=0.016");
        assertThat(judged(tram, "radius=75|right=0.040").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(said(judged(tram, "radius=150|right=0"))).contains("tip.level");
        assertThat(said(judged(tram, "radius=150|right=0.001|back=0.060"))).as("the worse of the two decides").contains("graded.missed");
    }

    /** 40.02 and 40.00 over 150 mm: 0.04 per 300; between centres 600 apart the tailstock is off by 0.01 · 600/150 = 0.04. */
    @Test
    void collarsSayTheTaperAndWhichWayToMoveTheTailstock() {
        ChartLine<?> line = ChartLine.per(new TaperByCollars(), Rule.PARALLEL_300, 300);
        StepJudgement judged = judged(line, "head=40.020|tail=40.000|apart=150");
        assertThat(judged.grade()).contains(Grade.WORKABLE);
        assertThat(said(judged)).contains("collars.say[Quantity[value=0.04");
        assertThat(said(judged(line, "head=40.020|tail=40.000|apart=150|centres=600"))).contains("tailstock.away[Quantity[value=0.04");
        assertThat(said(judged(line, "head=40.000|tail=40.020|apart=150|centres=600"))).contains("tailstock.towards");
        assertThat(judged(line, "head=40.000|tail=40.030|apart=150").outcome()).isEqualTo(Outcome.FAILED);
        assertThatThrownBy(() -> line.read(typed("head=40|tail=40|apart=150|centres=100"))).isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource({"REPEATS, INFEED_REPEAT, repeats=0.010 0.011 0.010 0.011 0.010, PROVEN",
            "REPEATS, INFEED_REPEAT, repeats=0.010 0.017 0.010, FAILED",
            "PIECES, GROUND_SPREAD, pieces=20.001 20.003 20.005 20.007, PROVEN",
            "PIECES, GROUND_SPREAD, pieces=20.001 20.020 20.005, FAILED",
            "STEPS, INFEED_REPEAT, commanded=0.010|stood=0.000 0.010 0.021 0.030, PROVEN",
            "STEPS, INFEED_REPEAT, commanded=0.010|stood=0.000 0.000 0.010 0.020, FAILED"})
    void rowsAreJudgedByTheirRangeOrTheirWorstStep(String way, Rule rule, String fields, Outcome outcome) {
        MeasuringMethod<?> method = switch (way) {
            case "REPEATS" -> new RepeatabilityOfPlace();
            case "PIECES" -> new SpreadOfPieces();
            default -> new StepResponse();
        };
        assertThat(judged(ChartLine.of(method, rule), fields).outcome()).isEqualTo(outcome);
    }

    @Test
    void aTrendIsSaidWhereItIsMoreThanTheScatter() {
        ChartLine<?> pieces = ChartLine.of(new SpreadOfPieces(), Rule.GROUND_SPREAD);
        assertThat(said(judged(pieces, "pieces=20.000 20.001 20.002 20.003 20.004"))).contains("pieces.trend");
        assertThat(said(judged(pieces, "pieces=20.000 20.003 20.001 20.002 20.000 20.003"))).contains("pieces.even");
        assertThatThrownBy(() -> pieces.read(typed("pieces=20.000 20.001"))).isInstanceOf(Refused.class);
    }

    /** A of the hand-worked axis is 6 + 2·√2 − (2 − 2·√2) = 9.66 µm, R 9.66: A within rebuilt (10), R too close to sound (10). */
    @Test
    void anAxisIsJudgedByAccuracyAndRepeatability() {
        ChartLine<?> axis = ChartLine.of(new AxisPositioning(), Rule.AXIS_ACCURACY);
        StepJudgement judged = judged(axis, "targets=0: 1 3 / 5 7\n100: 0 0 / 0 0");
        assertThat(said(judged)).contains("axis-test.a", "axis-test.r", "axis-test.says[Quantity[value=4, ");
        assertThat(judged.outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judged.grade()).as("U is 0.8: A is sound (20), R only workable (20), and the machine is what the worse of them is")
                .contains(Grade.WORKABLE);
        assertThat(judged(axis, "targets=0: 1 30 / 5 7\n100: 0 0 / 0 0").outcome()).as("it scatters too much").isEqualTo(Outcome.FAILED);
        assertThatThrownBy(() -> axis.read(typed("targets=0: 1 3\n100: 0 0 / 0 0")))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("target.line"));
    }

    @Test
    void aCircleSaysWhatExplainsItTheLargestFirst() {
        String counter = IntStream.range(0, 180)
                .mapToObj(k -> 2 * k + " " + String.format(java.util.Locale.ROOT, "%.3f", 12 * Math.sin(Math.toRadians(4 * k))))
                .collect(Collectors.joining("\n"));
        StepJudgement judged = judged(ChartLine.of(new CircularPath(), Rule.CIRCLE_FORM), "nominal=100|counter=" + counter + "|clockwise="
                + counter);
        assertThat(judged.outcome()).as("24 µm, workable 40").isEqualTo(Outcome.PROVEN);
        assertThat(judged.grade()).contains(Grade.WORKABLE);
        assertThat(said(judged)).contains("circle.explained[[circle.square[100, Quantity[value=2.4E+2");
    }

    /**
     * A level of the house's own that shows 0.05 mm/m: 0.05/√12 over a foot of 0.25 m, where half a division of 0.02 would leave less open.
     * Up and down again, the highest is one rise from the lowest of two: √(1·(1 − 1/2)).
     */
    @Test
    void aCoarseLevelOfTheHousesOwnLeavesItsOwnDigitOpen() {
        Gauge coarse = new Gauge("old level", new BigDecimal("0.05"), BigDecimal.ZERO,
                Optional.of(new Gauge.Calibration(BigDecimal.ZERO, BigDecimal.ZERO, "", Optional.empty())));
        ChartLine<HeightsAlong> bed = ChartLine.per(new StraightnessByLevel(), Rule.STRAIGHT_1000, 1000);
        Map<String, String> fields = Map.of("sensitivity", "0.02", "feet", "250", "divisions", "1 -1");
        StepJudgement own = bed.weigh(new Values(fields, LengthUnit.MM, Optional.of(coarse)), RULES);
        assertThat(own.figures().get(0).parts().orElseThrow().digit())
                .isCloseTo(Math.sqrt(0.5) * 0.05 / Math.sqrt(12) * 0.25, within(1e-9));
        StepJudgement usual = bed.weigh(new Values(fields, LengthUnit.MM), RULES);
        assertThat(usual.figures().get(0).parts().orElseThrow().digit()).isLessThan(own.figures().get(0).parts().orElseThrow().digit());
    }

    /** The machine's own chart stands for the rebuilt grade of its line, and no limit is then stricter than it. */
    @Test
    void everyWayNamesItsRule() {
        assertThat(UP.limitRule()).contains(Rule.SPINDLE_CARRIAGE_V_300);
        assertThat(METHODS).hasSize(22).allSatisfy(method -> assertThat(ChartLine.of(method, Rule.TWIST).fields())
                .extracting(RecordField::name).contains("value").doesNotHaveDuplicates());
    }

    /** Three readings 0.10 0.12 0.14 to a hundredth: digit 2·0.00408, repeats 4.30·0.01155; the gauge a per cent of 0.12. */
    @Test
    void whatAFigureLeavesOpenIsSaidPartByPart() {
        StepJudgement judged = new ScrewBacklash("left", "right", false, false)
                .weigh(typed("minus=0.10 0.12 0.14|middle=0.10 0.10 0.10|plus=0.10 0.10 0.10"), RULES);
        String says = judged.leftOpen(LengthUnit.MM).orElseThrow().toString();
        assertThat(says).contains("budget.digit[figure.unit[0.0082, mm]]", "budget.gauge[figure.unit[0.0012, mm]]",
                "budget.repeats[figure.unit[0.05, mm]]").doesNotContain("budget.temperature");
        assertThat(judged(UP, "value=0.01").figures()).hasSize(1);
        assertThat(new Inspection().judge(NothingTyped.WRITTEN, RULES).figures()).isEmpty();
    }

    /** 3 µm of three lobes on a piece 20 µm out of centre: 6 µm out of round, 46 on the dial. */
    @Test
    void aPieceOutOfCentreIsNotOutOfRound() {
        String readings = IntStream.range(0, 12)
                .mapToObj(k -> String.format(java.util.Locale.ROOT, "%.4f", 0.05 + 0.020 * Math.cos(2 * Math.PI * k / 12 - 1)
                        + 0.003 * Math.cos(6 * Math.PI * k / 12)))
                .collect(Collectors.joining(" "));
        StepJudgement judged = judged(ChartLine.of(new RoundnessOfPiece(), Rule.GROUND_ROUND), "round=" + readings);
        assertThat(judged.outcome()).as("6 µm, workable 4").isEqualTo(Outcome.FAILED);
        assertThat(said(judged)).contains("value=0.006", "shape.says[Quantity[value=0, expanded=0.0, unit=µm], Quantity[value=3");
        assertThat(judged(ChartLine.of(new RoundnessOfPiece(), Rule.TURNED_ROUND), "round=" + readings).grade()).contains(Grade.REBUILT);
        assertThat(judged(ChartLine.of(new RoundnessOfPiece(), Rule.TURNED_ROUND), "round=0 1 2 1").outcome()).isEqualTo(Outcome.UNDECIDED);
    }
}
