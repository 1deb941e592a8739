package tallledger.core.survey;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.ByHand;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.family.MachinePart;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Verdict;
import tallledger.core.ledger.Payload;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.GrindingWheelMark;
import tallledger.core.measuring.Inspection;
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
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.supply.SupplyPlate;
import tallledger.core.unit.LengthUnit;

/** Every way of recording with good, bad, close and impossible values: what it comes to and why, or what is refused and where. */
class RecordsByHandTest {

    private final List<String> lines = new ArrayList<>();

    private void record(String what, Recording<?> recording, String... typed) {
        lines.add(what + ": " + recording.code() + (recording.decides() ? ", figures decide" : ", by eye")
                + (recording.isTimed() ? ", timed" : "") + recording.limit(Rules.shipped()).map(l -> ", limit " + written(l)).orElse("")
                + ", fields " + recording.fields().stream()
                        .map(f -> f.name() + " " + f.input() + " " + f.unit() + " '" + recording.start(f, Rules.shipped()) + "'"
                                + (f.must() ? "" : " may") + f.choices())
                        .toList());
        for (String text : typed) {
            LengthUnit unit = text.startsWith("in:") ? LengthUnit.INCH : LengthUnit.MM;
            lines.add("  " + text + " -> " + judged(recording, text.replace("in:", ""), unit));
        }
    }

    private static String judged(Recording<?> recording, String text, LengthUnit unit) {
        Map<String, String> values = new HashMap<>();
        for (String field : text.split("\\|")) {
            if (field.contains("=")) {
                values.put(field.substring(0, field.indexOf('=')), field.substring(field.indexOf('=') + 1).replace("/", "\n"));
            }
        }
        try {
            StepJudgement j = recording.weigh(new Values(values, unit), Rules.shipped());
            speaksOf(j, unit);
            return j.outcome() + j.grade().map(g -> " " + g).orElse("") + j.worse().map(w -> " worse " + w).orElse("") + " " + j.because()
                    .stream().map(RecordsByHandTest::said).toList() + j.figures().stream().map(RecordsByHandTest::figure).toList();
        } catch (Refused refused) {
            return "refused at " + refused.field().orElse("?") + ": " + refused.reason().code();
        }
    }

    private static String figure(Figure f) {
        return f.name() + " " + f.measured().value().round(new MathContext(6)).stripTrailingZeros().toPlainString()
                + String.format(Locale.ROOT, " U %.3g ", f.measured().expanded()) + f.unit().symbol()
                + f.per().map(p -> " over " + p.over().value().toPlainString() + " of " + p.stated().value().toPlainString()).orElse("")
                + f.against().map(a -> " " + a.verdict() + a.grade().map(g -> " " + g).orElse("") + " most "
                        + a.limits().most().round(new MathContext(4)).stripTrailingZeros().toPlainString() + " by "
                        + a.limits().source().code()).orElse("");
    }

    /** The figure that pages show is the one the sentences speak of, over the length its limit is stated for. */
    private static void speaksOf(StepJudgement judged, LengthUnit unit) {
        Optional<Object> said = Stream.of("scaled.per", "graded.reached", "graded.missed", "graded.near", "verdict.inside", "verdict.above",
                "verdict.below", "verdict.too-close", "travel.enough", "travel.short", "travel.close", "through.right", "through.wrong",
                "through.close")
                .flatMap(code -> judged.because().stream().filter(r -> r.code().equals(code))
                        .map(r -> r.arguments().get(code.equals("scaled.per") ? 2 : 0)))
                .findFirst();
        said.ifPresent(figure -> assertThat(judged.figure().map(f -> (Object) InUnit.of(f.overStated(), unit))).contains(figure));
        if (judged.figures().size() == 1 && judged.figure().isPresent()) {
            judged.figures().get(0).against().ifPresent(a -> assertThat(a.verdict() == Verdict.WITHIN).isEqualTo(
                    judged.outcome() == Outcome.PROVEN || judged.because().stream().anyMatch(r -> r.code().equals("hot.bends"))));
        }
    }

    private static String said(Object o) {
        return o instanceof Reason r ? r.code() + r.arguments().stream().map(RecordsByHandTest::said).toList()
                : o instanceof Double d
                        ? String.format(Locale.ROOT, "%.4f", d)
                        : o instanceof List<?> list ? list.stream().map(RecordsByHandTest::said).toList().toString() : String.valueOf(o);
    }

    private static String written(GradedLimit l) {
        return "GradedLimit[rebuilt=" + l.rebuilt() + ", sound=" + l.sound() + ", workable=" + l.workable() + ", unit=" + l.unit().symbol()
                + ", wanted=" + l.wanted() + "]";
    }

    @Test
    void everyRecordComesToWhatTheListSays() {
        record("look", new Inspection(), "");
        record("note", new PlateNote(PlateFigure.YEAR), "text=4711", "text= ", "text=4711|year=1978", "text=|year=1978",
                "text=4711|year=78", "text=4711|year=1978 or 1979");
        record("note of a motor", new PlateNote(PlateFigure.POWER), "text=230 V", "text=|power=5 hp", "text=x|power=four");
        record("count", new PieceCount(Optional.of(3)), "count=3", "count=2", "count=4", "count=2.5", "count=", "count=-1");
        record("count unclaimed", new PieceCount(Optional.empty()), "count=3");
        record("play", new SingleMeasurement(Rule.PLAY, Rule.INDICATOR, true), "value=0.005", "value=0.010", "value=0.020", "value=0.030",
                "value=0.060", "value=0.080", "value=0.090", "value=0.02", "value=0.1", "value=-0.01", "value=x", "in:value=.001",
                "in:value=.0005");
        record("nose", new SingleMeasurement(Rule.LATHE_NOSE, Rule.INDICATOR, true), "value=0.009", "value=0.012", "value=0.039",
                "value=0.05");
        record("parallel", new MeasurementOverLength(Rule.PARALLEL_300, BigDecimal.valueOf(300)), "value=0.010|over=300",
                "value=0.010|over=150", "value=0.002|over=600", "value=0.05|over=100", "value=0.01|over=0", "value=0.01|over=",
                "value=-0.01|over=300");
        record("rise", new BearingTemperature(Rule.BEARING_RISE), "cold=18.5|hot=30", "cold=18.5|hot=45", "cold=18.5|hot=60",
                "cold=20|hot=19",
                "cold=20|hot=90", "cold=20|hot=", "minutes=0 20;10 32;20 38;30 41", "minutes=0 20;10 32;20 38", "minutes=0 20;15 24;30 38",
                "minutes=0 20;20 60;40 70|ambient=18", "minutes=0 20;x", "minutes=0 20;10 20|cold=3");
        record("feed", new FeedRate(Axis.Per.REV, Optional.of(new BigDecimal("0.2")), FeedRate.Rate.SLOWEST),
                "distance=10.0|turns=50", "distance=11.5|turns=50", "distance=5 mm|turns=50", "distance=10|turns=0", "distance=|turns=3",
                "in:distance=.400|turns=50");
        record("feed by the minute", new FeedRate(Axis.Per.MIN, Optional.of(new BigDecimal("100")),
                FeedRate.Rate.FASTEST), "distance=100|seconds=60", "distance=100|seconds=66", "distance=10|seconds=6",
                "distance=100|seconds=50", "distance=5|seconds=0.6");
        record("rapid", new FeedRate(Axis.Per.MIN, Optional.of(new BigDecimal("3000")), FeedRate.Rate.RAPID),
                "distance=400|seconds=8.0", "distance=400|seconds=9", "distance=400|seconds=12", "distance=400|seconds=6");
        record("feed unpromised", new FeedRate(Axis.Per.MIN, Optional.empty(), FeedRate.Rate.SLOWEST),
                "distance=100|seconds=60");
        record("travel", new AxisTravel(Optional.of(TypedLength.parse("400", LengthUnit.MM))), "value=402", "value=400",
                "value=399.5", "value=398", "value=400.5", "value=400.50", "in:value=16");
        record("travel unclaimed", new AxisTravel(Optional.empty()), "value=402", "value=0", "value=-3");
        record("five trips", new TripRepeatability(), "stops=0.00 0.02 0.01 0.01 0.02", "stops=0.00 0.02 0.09 0.01 0.02",
                "stops=0.00 0.05 0.00 0.05 0.02", "stops=0 0.1 0 0", "stops=0.000 0.020 0.010 0.010 0.020");
        record("backlash", new ScrewBacklash("left", "right", false, false),
                "minus=0.10 0.12 0.14|middle=0.10 0.12 0.14|plus=0.10 0.12 0.14",
                "minus=0.10 0.10 0.10|middle=0.24 0.26 0.25|plus=0.12 0.11 0.13",
                "minus=0.20 0.20 0.20|middle=0.21 0.21 0.21|plus=0.20 0.20 0.20",
                "minus=0.16 0.16 0.16|middle=0.44 0.46 0.45|plus=0.16 0.16 0.16", "minus=0.1 0.1 0.1|middle=0.1 0.1 0.1|plus=0.1 0.1 0.1",
                "minus=0.14 0.14 0.14|middle=0.30 0.30 0.30|plus=0.31 0.31 0.31",
                "minus=0.1 0.1|middle=0.1 0.1 0.1|plus=0.1 0.1 0.1", "minus=0.1 0.1 -0.1|middle=0.1 0.1 0.1|plus=0.1 0.1 0.1");
        record("backlash behind a readout", new ScrewBacklash("left", "right", true, false),
                "minus=0.10 0.10 0.10|middle=0.10 0.10 0.10|plus=0.10 0.10 0.10");
        GearChart chart = GearChart.parse("6 mm", "1", "1 mm; 2 mm; 3 mm", "", "20-127", LengthUnit.MM);
        record("wheels", new ChangeWheelCount(Optional.of(chart)), "wheels=20 30 40 60", "wheels=20 40 60", "wheels=20 30 40 60 127",
                "wheels=20", "wheels=twenty");
        record("wheels unread", new ChangeWheelCount(Optional.empty()), "wheels=20 30 40");
        record("thread", new ThreadLead(), "pitch=2 mm|length=80.005 mm|turns=40", "pitch=2 mm|length=80.05 mm|turns=40",
                "pitch=2 mm|length=80.2 mm|turns=40", "pitch=2 mm|length=80|turns=0", "pitch=2 mm|length=80.02 mm|turns=40");
        record("to centre", new SpeedToCentre(), "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=80",
                "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=73",
                "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=71",
                "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=87",
                "outerRadius=300|outerSpeed=40|innerRadius=150|innerSpeed=89",
                "outerRadius=150|outerSpeed=40|innerRadius=300|innerSpeed=40", "outerRadius=300|outerSpeed=40|innerRadius=0|innerSpeed=40",
                "outerRadius=300|outerSpeed=0|innerRadius=150|innerSpeed=40");
        record("through-feed", new ThroughFeedRate(), "diameter=300|speed=30|angle=3|distance=1000|seconds=41.2",
                "diameter=300|speed=30|angle=3|distance=1000|seconds=43.4", "diameter=300|speed=30|angle=3|distance=1000|seconds=43.8",
                "diameter=300|speed=30|angle=3|distance=1000|seconds=39.8", "diameter=300|speed=30|angle=3|distance=1000|seconds=39.5",
                "diameter=300|speed=30|angle=30|distance=1000|seconds=41", "diameter=300|speed=30|angle=10|distance=1000|seconds=12.4",
                "diameter=0|speed=30|angle=3|distance=1000|seconds=41");
        record("wheel mark", new GrindingWheelMark(), "across=300|markedMs=35", "across=300|markedRpm=2200",
                "across=300|markedMs=35|markedRpm=2200", "across=300", "across=|markedMs=35", "across=300|markedMs=300",
                "across=300|markedMs=x");
        record("supply", new SupplyCheck(SupplyPlate.parse("400", "50", 3, "4", "8.6", true)),
                "source=MAINS|l12=400|l23=402|l31=398|hertz=50.0|measuredBy=E",
                "source=MAINS|l12=400|l23=380|l31=410|hertz=50|measuredBy=E", "source=MAINS|l12=400|l23=340|l31=410|hertz=50|measuredBy=E",
                "source=MAINS|l12=360|l23=360|l31=360|hertz=50|measuredBy=E", "source=MAINS|l12=400|l23=400|l31=400|hertz=60|measuredBy=E",
                "source=ROTARY_CONVERTER|l12=400|l23=400|l31=400|hertz=50|rating=5.5|measuredBy=E",
                "source=ROTARY_CONVERTER|l12=400|l23=400|l31=400|hertz=50|rating=9|measuredBy=E",
                "source=INVERTER|l12=400|l23=400|l31=400|hertz=50|rating=7|measuredBy=E",
                "source=INVERTER|l12=400|l23=400|l31=400|hertz=50|rating=9|measuredBy=E", "source=MAINS|l12=400|hertz=50|measuredBy=",
                "source=MAINS|l12=x|l23=400|l31=400|hertz=50|measuredBy=E",
                "source=STATIC_CONVERTER|l12=400|l23=400|l31=400|hertz=50|rating=5|measuredBy=E");
        record("supply of one phase", new SupplyCheck(SupplyPlate.parse("230", "50", 1, "0.75", "3.4", false)),
                "source=MAINS|l12=231|hertz=50.0|measuredBy=E", "source=MAINS|l12=200|hertz=50.0|measuredBy=E");
        record("supply unread", new SupplyCheck(SupplyPlate.UNREAD), "source=MAINS|l12=400|l23=402|l31=398|hertz=50.0|measuredBy=E");
        record("spark-out", new WatchedCycle("spark-out"), "passes=2|log=at-zero 0/pass 3/pass 6/chuck-stops 9/wheel-stops "
                + "10/table-parks 12", "passes=2|log=at-zero 0/pass 3/chuck-stops 9/wheel-stops 10/table-parks 12",
                "passes=2.5|log=at-zero 0", "passes=0|log=at-zero 0/chuck-stops 9/wheel-stops 10/table-parks 12", "passes=99|log=at-zero 0",
                "passes=2|log=");
        record("reversal", new WatchedCycle("table-reversal"),
                "dwell-left=2|dwell-right=2|log=left-dog 0/leaves-left 2/right-dog 8/leaves-right 10/left-dog 16",
                "dwell-left=2|dwell-right=2|log=left-dog 0/leaves-left 2/right-dog 8/runs-past-dog 9",
                "dwell-left=-1|dwell-right=2|log=left-dog 0", "dwell-left=20000|dwell-right=2|log=left-dog 0",
                "dwell-left=2|dwell-right=2|log=left-dog 0/leaves-left 5/right-dog 8/leaves-right 8.5/left-dog 16");
        record("guard", new WatchedCycle("guard"), "wait=3|stop=12|log=runs 0/guard-opened 3/stops 5/guard-closed 9/stays-stopped "
                + "10/started 16", "wait=3|stop=12|log=runs 0/guard-opened 3/stops 5");
        record("own", new WatchedCycle("own"), "title=vice|script=opens/holds 0-2 s/never slips|log=opens 0/holds 1.5",
                "title=vice|script=opens/holds 0-2 s/never slips|log=opens 0/slips 1", "title=vice|script=opens/holds 0-2 s|log=opens 0",
                "title=|script=opens|log=opens 0");
        ByHand.check("records", lines.stream());
    }

    @Test
    void everySystemIsNamed() {
        List<String> named = new ArrayList<>();
        var fitOut = tallledger.core.family.Family.LATHE.traits().usual();
        for (String system : List.of("lamp", "lead screw", "feed:cross-slide", "screw:carriage", "feed:gone", "own-cycle.2",
                "cycle.neutral", ":carriage")) {
            // As records of before an axis had a field of its own have it.
            MachinePart.System read = MachinePart.from(new Payload(Map.of("system", system))).system().orElseThrow();
            assertThat(MachinePart.from(new Payload(read.toPayload()))).isEqualTo(read);
            named.add(system + " -> " + said(read.words(fitOut)));
        }
        ByHand.check("systems", named.stream());
    }
}
