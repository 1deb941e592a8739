package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.Severity;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Grade;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.MeasurementOverLength;
import tallledger.core.measuring.PieceCount;
import tallledger.core.measuring.PlateFigure;
import tallledger.core.measuring.PlateNote;
import tallledger.core.measuring.Recording;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SpeedToCentre;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.ThroughFeedRate;
import tallledger.core.measuring.TripRepeatability;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.motion.Axis;
import tallledger.core.motion.GearChart;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Shown;

/** What each kind of record makes of what was typed. */
class RecordingsTest {

    private static Values values(LengthUnit unit, String text) {
        Map<String, String> typed = new HashMap<>();
        for (String field : text.split("\\|")) {
            if (field.contains("=")) {
                typed.put(field.substring(0, field.indexOf('=')), field.substring(field.indexOf('=') + 1).replace("/", "\n"));
            }
        }
        return new Values(typed, unit);
    }

    private static StepJudgement judge(Recording<?> recording, String text) {
        return recording.weigh(values(LengthUnit.MM, text), Rules.shipped());
    }

    private static String refused(Recording<?> recording, String text) {
        try {
            judge(recording, text);
            return "taken";
        } catch (Refused refused) {
            return refused.field().orElse("?") + " " + refused.reason().code();
        }
    }

    /** 0 is where the dial was set; 0.0 was read to a tenth, and a tenth leaves the 0.05 open. */
    @Test
    void aPlainNoughtSaysNothingOfTheDigits() {
        Recording<?> trips = new TripRepeatability();
        assertThat(judge(trips, "stops=0 0.02 0.01 0.01 0.02").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judge(trips, "stops=0.0 0.02 0.01 0.01 0.02").outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judge(trips, "stops=0 0 0 0 0").outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judge(new ScrewBacklash("left", "right", false, false),
                "minus=0 0.02 0.02|middle=0.02 0.02 0.02|plus=0.02 0.02 0.02").outcome())
                .isEqualTo(Outcome.PROVEN);
    }

    private static final Recording<?> PLAY = new SingleMeasurement(Rule.PLAY, Rule.INDICATOR, true);

    @ParameterizedTest
    @CsvSource({"0.005, REBUILT", "0.020, SOUND", "0.060, WORKABLE"})
    void aMeasuredValueReachesTheBestGradeItIsProvenWithin(String typed, Grade grade) {
        assertThat(judge(PLAY, "value=" + typed).grade()).contains(grade);
    }

    @Test
    void aCoarseReadingProvesLess() {
        // 0.03 typed to a hundredth leaves U = 2·√2·0.01/√12 = 0.016: not within sound (0.03), within workable (0.08).
        assertThat(judge(PLAY, "value=0.03").grade()).contains(Grade.WORKABLE);
        assertThat(judge(PLAY, "value=0.028").grade()).contains(Grade.SOUND);
        assertThat(judge(PLAY, "value=0.08").outcome()).isEqualTo(Outcome.UNDECIDED);
        assertThat(judge(PLAY, "value=0.20").outcome()).isEqualTo(Outcome.FAILED);
    }

    @Test
    void anInchMachineIsReadInInches() {
        StepJudgement judged = PLAY.weigh(values(LengthUnit.INCH, "value=5 tenths"), Rules.shipped());
        // U = 2·√((√2·0.00254/√12)² + (0.01·0.0127/2)²) = 0.0021 mm: the last digit typed is a tenth.
        Reason halfAThou = Reason.named("figure.unit", new Shown(new BigDecimal("0.50"), new BigDecimal("0.09")), "thou");
        assertThat(judged.because().get(0).arguments().get(0)).isEqualTo(halfAThou);
        assertThat(PLAY.weigh(values(LengthUnit.INCH, "value=0.0005"), Rules.shipped()).because().get(0).arguments().get(0))
                .isEqualTo(halfAThou);
    }

    @ParameterizedTest
    @CsvSource({"'', value number.missing", "value=-0.02, value length.negative", "value=tight, value length.not-one",
            "value=3 furlong, value length.unknown-unit"})
    void whatIsNoLengthIsSaidAtItsField(String typed, String expected) {
        assertThat(refused(PLAY, typed)).isEqualTo(expected);
    }

    @Test
    void aBearingMayRiseSoMuch() {
        Recording<?> rise = new BearingTemperature(Rule.BEARING_RISE);
        assertThat(judge(rise, "cold=18.5|hot=38.0").grade()).contains(Grade.REBUILT);
        assertThat(judge(rise, "cold=18.5|hot=70.0").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(judge(rise, "cold=20.0|hot=19.5").grade()).as("colder is no rise").contains(Grade.REBUILT);
        assertThat(refused(rise, "cold=18.5|hot=warm")).isEqualTo("hot temperature.not-one");
    }

    @Test
    void aScaledLimitWantsALength() {
        Recording<?> tram = new MeasurementOverLength(Rule.SQUARE_300, BigDecimal.valueOf(300));
        assertThat(judge(tram, "value=0.020|over=600 mm").grade()).contains(Grade.REBUILT);
        assertThat(refused(tram, "value=0.020|over=0")).isEqualTo("over number.not-positive");
        assertThat(refused(tram, "value=0.020")).isEqualTo("over number.missing");
        assertThat(tram.fields().get(1).start()).isEqualTo(new Preset("300", "12"));
    }

    @Test
    void aCountIsHeldAgainstWhatIsClaimed() {
        Recording<?> three = new PieceCount(Optional.of(3));
        assertThat(judge(three, "count=3").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judge(three, "count=2").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(refused(three, "count=2.5")).isEqualTo("count value.whole");
        assertThat(refused(three, "count=-1")).isEqualTo("count value.whole");
        assertThat(judge(new PieceCount(Optional.empty()), "count=3").because().get(0).code()).isEqualTo("count.only");
    }

    @Test
    void aNoteMustSaySomething() {
        assertThat(refused(new PlateNote(PlateFigure.YEAR), "text= ")).isEqualTo("text note.missing");
        assertThat(judge(new PlateNote(PlateFigure.YEAR), "text=4711").outcome()).isEqualTo(Outcome.PROVEN);
    }

    @Test
    void aFeedWithoutAPlateIsMeasuredAndNotJudged() {
        Recording<?> feed = new FeedRate(Axis.Per.MIN, Optional.empty(), FeedRate.Rate.SLOWEST);
        assertThat(judge(feed, "distance=100|seconds=60").because().get(0).code()).isEqualTo("feed.measured");
        assertThat(feed.isTimed()).isTrue();
        Recording<?> perTurn = new FeedRate(Axis.Per.REV, Optional.of(new BigDecimal("0.2")),
                FeedRate.Rate.OF_PLATE);
        assertThat(judge(perTurn, "distance=20.0|turns=100").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judge(perTurn, "distance=28.0|turns=100").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(refused(perTurn, "distance=20|turns=0")).isEqualTo("turns number.not-positive");
        assertThat(refused(perTurn, "distance=0|turns=10")).isEqualTo("distance number.not-positive");
    }

    @ParameterizedTest
    @CsvSource({"760, PROVEN, travel.enough", "753, UNDECIDED, travel.close", "750, FAILED, travel.short"})
    void aTravelIsHeldAgainstItsClaim(String measured, Outcome outcome, String code) {
        StepJudgement judged = judge(new AxisTravel(Optional.of(TypedLength.parse("760", LengthUnit.MM))),
                "value=" + measured + " mm");
        assertThat(judged.outcome()).isEqualTo(outcome);
        assertThat(judged.because().get(0).code()).isEqualTo(code);
    }

    @Test
    void backlashOnAReadoutAxisSaysWhatTheReadoutDoesNotSee() {
        String text = "minus=0.10 0.10 0.11|middle=0.12 0.12 0.12|plus=0.10 0.11 0.10";
        assertThat(judge(new ScrewBacklash("left", "right", true, false), text).because()).extracting(r -> r.code())
                .contains("backlash.scale");
        assertThat(judge(new ScrewBacklash("left", "right", false, false), text).because()).extracting(r -> r.code())
                .doesNotContain("backlash.scale");
        assertThat(refused(new ScrewBacklash("left", "right", false, false),
                "minus=0.1 0.1|middle=0.1 0.1 0.1|plus=0.1 0.1 0.1"))
                .isEqualTo("minus backlash.readings");
    }

    @Test
    void aThreadIsHeldAgainstItsPitch() {
        Recording<?> thread = new ThreadLead();
        assertThat(judge(thread, "pitch=2 mm|length=80.005 mm|turns=40").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judge(thread, "pitch=2 mm|length=80.20 mm|turns=40").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(judge(thread, "pitch=12 tpi|length=50.800 mm|turns=24").outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(refused(thread, "pitch=2 mm|length=80 mm|turns=1.5")).isEqualTo("turns value.whole");
    }

    @Test
    void wheelsWithoutAChartAreCountedOnly() {
        assertThat(judge(new ChangeWheelCount(Optional.empty()), "wheels=20 30 40").held()).as("nothing to hold them against").isFalse();
        GearChart chart = GearChart.parse("6 mm", "", "3 mm; 4.5 mm", "", "20-60", LengthUnit.MM);
        assertThat(judge(new ChangeWheelCount(Optional.of(chart)), "wheels=20 40 60").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(judge(new ChangeWheelCount(Optional.of(chart)), "wheels=20 30 40 60")).satisfies(j -> {
            assertThat(j.outcome()).isEqualTo(Outcome.PROVEN);
            assertThat(j.held()).isTrue();
        });
    }

    private static Reason said(String figure, String unit) {
        return Reason.named("figure.unit", new BigDecimal(figure), unit);
    }

    @Test
    void aTableThatFollowsTurnsFasterTowardsItsCentre() {
        Recording<?> centre = new SpeedToCentre();
        assertThat(judge(centre, "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=80").because().get(0).arguments())
                .startsWith(said("75.4", "m/min"), said("75.4", "m/min"));
        assertThat(judge(centre, "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=40").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(refused(centre, "outerRadius=150|outerSpeed=40|innerRadius=300|innerSpeed=40")).isEqualTo("innerRadius centre.radii");
    }

    @Test
    void throughFeedIsReckonedFromWheelSpeedAndAngle() {
        Recording<?> through = new ThroughFeedRate();
        // π · 300 · 30 · sin 3° = 1 480 mm/min; 1 000 mm in 41.2 s is 1 456: 1.6 % slip.
        assertThat(judge(through, "diameter=300|speed=30|angle=3|distance=1000|seconds=41.2").because().get(0).arguments().subList(0, 2))
                .extracting(Object::toString).containsExactly("figure.unit[Shown[value=1456, expanded=8], mm/min]", said("1480",
                        "mm/min").toString());
        assertThat(judge(through, "diameter=300|speed=30|angle=3|distance=1000|seconds=55").outcome()).isEqualTo(Outcome.FAILED);
        assertThat(refused(through, "diameter=300|speed=30|angle=30|distance=1000|seconds=41")).isEqualTo("angle through.angle");
    }

    @Test
    void aSupplyIsJudgedAndTheElectricianNamed() {
        Recording<?> supply = new SupplyCheck(SupplyPlate.parse("400", "50", 3, "4", "8.6", true));
        assertThat(judge(supply, "source=MAINS|l12=401|l23=399|l31=400|hertz=50|measuredBy=E. Lect").outcome()).isEqualTo(Outcome.PROVEN);
        StepJudgement stops = judge(supply, "source=MAINS|l12=400|l23=430|l31=370|measuredBy=E. Lect");
        assertThat(stops.worse()).contains(Severity.STOP_USE);
        StepJudgement small = judge(supply, "source=ROTARY_CONVERTER|rating=5.5|l12=401|l23=399|l31=400|measuredBy=E. Lect");
        assertThat(small.worse()).as("too small a converter is put right before use").isEmpty();
        assertThat(small.because()).extracting(r -> r.code()).containsExactly("supply.size-small.HEAVY", "supply.electrician");
        assertThat(refused(supply, "source=MAINS|l12=400|l23=400|measuredBy=x")).isEqualTo("l31 supply.two-volts");
        assertThat(refused(supply, "source=WINDMILL|l12=400|measuredBy=x")).isEqualTo("source choice.unknown");
        assertThat(refused(supply, "source=MAINS|l12=40000|measuredBy=x")).isEqualTo("l12 supply.volts");
    }

    @Test
    void aCycleTakesItsSettingsFromTheMachine() {
        WatchedCycle spark = new WatchedCycle("spark-out");
        String log = "|log=at-zero 0/pass 3/pass 6/chuck-stops 8/wheel-stops 9/table-parks 12";
        assertThat(judge(spark, "passes=2" + log).outcome()).isEqualTo(Outcome.PROVEN);
        assertThat(judge(spark, "passes=4" + log).outcome()).isEqualTo(Outcome.FAILED);
        assertThat(refused(spark, "passes=200" + log)).isEqualTo("passes cycle.passes");
        assertThat(refused(spark, "passes=2|log=")).isEqualTo("log log.empty");
        assertThat(refused(new WatchedCycle("own"), "script=runs|log=runs 0")).isEqualTo("title cycle.title");
        assertThat(refused(new WatchedCycle("own"), "title=x|script=|log=runs 0")).isEqualTo("script script.events");
    }
}
