package tallledger.practice;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.cycle.CycleScript;
import tallledger.core.cycle.CycleScripts;
import tallledger.core.machine.MachineDescription;
import tallledger.core.measuring.AxisTravel;
import tallledger.core.measuring.BearingTemperature;
import tallledger.core.measuring.ChangeWheelCount;
import tallledger.core.measuring.ChartLine;
import tallledger.core.measuring.FeedRate;
import tallledger.core.measuring.GrindingWheelMark;
import tallledger.core.measuring.Inspection;
import tallledger.core.measuring.MeasurementOverLength;
import tallledger.core.measuring.PanelCheck;
import tallledger.core.measuring.PieceCount;
import tallledger.core.measuring.PlateNote;
import tallledger.core.measuring.RecordingVisitor;
import tallledger.core.measuring.RunoutRound;
import tallledger.core.measuring.ScrewBacklash;
import tallledger.core.measuring.SeparateScreen;
import tallledger.core.measuring.SingleMeasurement;
import tallledger.core.measuring.SpeedRead;
import tallledger.core.measuring.SpeedToCentre;
import tallledger.core.measuring.SpindleCheck;
import tallledger.core.measuring.SupplyCheck;
import tallledger.core.measuring.SurfaceFinish;
import tallledger.core.measuring.ThreadLead;
import tallledger.core.measuring.ThroughFeedRate;
import tallledger.core.measuring.TrialSpeeds;
import tallledger.core.measuring.TripRepeatability;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.motion.Axis;
import tallledger.core.reading.TypedLength;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/**
 * What a surveyor would type at a step of a simulated machine. A sound step's figures lie well within its limits, with scatter;
 * where the machine hides a fault, its own figures stand instead.
 */
final class StepAnswers implements RecordingVisitor<Map<String, String>> {

    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private final MachineDescription machine;
    private final Rules rules;
    private final String code;
    private final RandomGenerator random;

    /** @param code of the step that is answered */
    StepAnswers(MachineDescription machine, Rules rules, String code, RandomGenerator random) {
        this.machine = machine;
        this.rules = rules;
        this.code = code;
        this.random = random;
    }

    @Override
    public Map<String, String> inspection(Inspection look) {
        return Map.of();
    }

    @Override
    public Map<String, String> plateNote(PlateNote note) {
        return Map.of("text", code.equals("serial") ? machine.identity().model() + "-" + (1000 + random.nextInt(9000))
                : "read, see the photograph");
    }

    @Override
    public Map<String, String> pieceCount(PieceCount count) {
        return Map.of("count", String.valueOf(count.claimed().orElse(3)));
    }

    @Override
    public Map<String, String> singleMeasurement(SingleMeasurement m) {
        return Map.of(m.graded().unit() == Unit.SECONDS ? "seconds" : "value", within(m.graded()));
    }

    @Override
    public Map<String, String> measurementOverLength(MeasurementOverLength s) {
        return Map.of("value", within(s.graded()), "over", s.per().toPlainString() + " mm");
    }

    @Override
    public Map<String, String> bearingTemperature(BearingTemperature rise) {
        double levels = 16 + random.nextInt(6);
        String read = IntStream.rangeClosed(0, 6)
                .mapToObj(i -> 5 * i + " " + BigDecimal.valueOf(18.5 + levels * (1 - Math.exp(-5 * i / 12.0)) + 0.1 * random.nextGaussian())
                        .setScale(1, RoundingMode.HALF_UP))
                .collect(Collectors.joining("\n"));
        return Map.of("minutes", read, "ambient", "18.0");
    }

    @Override
    public Map<String, String> speedRead(SpeedRead speed) {
        double rpm = speed.nominal().map(BigDecimal::doubleValue).orElse(100.0) * (1 + 0.02 * (random.nextDouble() - 0.5));
        return Map.of("reading", new BigDecimal(rpm).setScale(1, RoundingMode.HALF_UP).toPlainString());
    }

    @Override
    public Map<String, String> separateScreen(SeparateScreen elsewhere) {
        return Map.of();
    }

    @Override
    public Map<String, String> feedRate(FeedRate feed) {
        BigDecimal rate = feed.promised().orElse(feed.rapid() ? BigDecimal.valueOf(3000)
                : feed.per() == Axis.Per.REV
                        ? new BigDecimal("0.2")
                        : HUNDRED);
        double off = 1 + 0.02 * (random.nextDouble() - 0.5);
        if (feed.per() == Axis.Per.REV) {
            int turns = Math.max(20, (int) Math.ceil(60 / rate.doubleValue()));
            return Map.of("distance", new BigDecimal(rate.doubleValue() * turns * off).setScale(1, RoundingMode.HALF_UP) + " mm", "turns",
                    String.valueOf(turns));
        }
        double distance = feed.rapid() ? 400 : Math.min(200, Math.max(20, rate.doubleValue()));
        double seconds = distance / rate.doubleValue() * 60 * off;
        return Map.of("distance", new BigDecimal(distance).setScale(1, RoundingMode.HALF_UP) + " mm", "seconds",
                new BigDecimal(seconds).round(new MathContext(4)).toPlainString());
    }

    @Override
    public Map<String, String> axisTravel(AxisTravel travel) {
        return Map.of("value", travel.claimed().map(c -> c.mm().add(BigDecimal.valueOf(3))).orElse(BigDecimal.valueOf(150))
                .stripTrailingZeros().toPlainString() + " mm");
    }

    @Override
    public Map<String, String> tripRepeatability(TripRepeatability trips) {
        return Map.of("stops", hundredths(5, 0, 3));
    }

    @Override
    public Map<String, String> screwBacklash(ScrewBacklash backlash) {
        return Map.of("minus", hundredths(3, 6, 3), "middle", hundredths(3, 7, 3), "plus", hundredths(3, 6, 3));
    }

    @Override
    public Map<String, String> changeWheelCount(ChangeWheelCount wheels) {
        return Map.of("wheels", "24 28 30 32 36 40 44 48 52 56 60 63 127");
    }

    @Override
    public Map<String, String> threadLead(ThreadLead thread) {
        if (thread.marked().isEmpty()) {
            return Map.of("pitch", "2 mm", "length", "80.005 mm", "turns", "40");
        }
        double pitch = TypedLength.parse(thread.marked(), LengthUnit.MM).mm().doubleValue();
        return Map.of("pitch", thread.marked(), "length", new BigDecimal(pitch * 40).setScale(2, RoundingMode.HALF_UP) + " mm", "turns",
                "40");
    }

    @Override
    public Map<String, String> supplyCheck(SupplyCheck check) {
        double volts = check.plate().volts().map(v -> v.ways().get(v.ways().size() - 1).low().doubleValue()).orElse(400.0);
        Map<String, String> typed = new HashMap<>(Map.of("source", "MAINS", "measuredBy", "a licensed electrician", "l12", volt(volts),
                "hertz", "50.0"));
        if (check.plate().phases() == 3) {
            typed.put("l23", volt(volts));
            typed.put("l31", volt(volts));
        }
        return typed;
    }

    @Override
    public Map<String, String> watchedCycle(WatchedCycle cycle) {
        return Map.of("log", log(cycle.script()));
    }

    @Override
    public Map<String, String> grindingWheelMark(GrindingWheelMark mark) {
        return Map.of("across", "300 mm", "markedMs", "35");
    }

    @Override
    public Map<String, String> speedToCentre(SpeedToCentre table) {
        return Map.of("outerRadius", "300 mm", "outerSpeed", "40", "innerRadius", "150 mm", "innerSpeed", "79");
    }

    @Override
    public Map<String, String> throughFeedRate(ThroughFeedRate feed) {
        return Map.of("diameter", "300 mm", "speed", "30", "angle", "3", "distance", "1000 mm", "seconds", "41.2");
    }

    @Override
    public Map<String, String> spindleCheck(SpindleCheck check) {
        return Map.of();
    }

    @Override
    public <V> Map<String, String> chartLine(ChartLine<V> line) {
        return new ChartAnswers(line, rules, random).typed();
    }

    @Override
    public Map<String, String> surfaceFinish(SurfaceFinish finish) {
        double ra = switch (finish.process()) {
            case TURNED, MILLED -> 1.6;
            case GROUND -> 0.4;
            case DRILLED -> 3.2;
        };
        String read = BigDecimal.valueOf(ra * (0.9 + 0.4 * random.nextDouble())).setScale(2, RoundingMode.HALF_UP).toPlainString();
        return finish.process() == SurfaceFinish.Process.TURNED ? Map.of("ra", read, "feed", "0.2 mm", "nose", "0.8 mm")
                : Map.of("ra", read);
    }

    @Override
    public Map<String, String> panelCheck(PanelCheck panel) {
        String amps = panel.plate().map(BigDecimal::toPlainString).orElse("4.0");
        return Map.of("disconnect", PanelCheck.State.AS_IT_SHOULD.name(), "fuses", PanelCheck.State.AS_IT_SHOULD.name(), "motorAmps", amps,
                "overloadAmps", amps, "diagram", PanelCheck.Diagram.IN_THE_PANEL.name());
    }

    /** About a change-over at 1 800, up through it and down again. */
    @Override
    public Map<String, String> trialSpeeds(TrialSpeeds trials) {
        String made = IntStream.of(1600, 1780, 1820, 2000, 1820, 1780)
                .mapToObj(n -> n + " " + Math.round(n * (1 + 0.004 * (random.nextDouble() - 0.5)))).collect(Collectors.joining("\n"));
        return Map.of("changeOver", "1800", "trials", made);
    }

    /** Twelve readings of a spindle that runs out by a third to two thirds of the sound limit, with scatter. */
    @Override
    public Map<String, String> runoutRound(RunoutRound rounds) {
        double e = rules.graded(rounds.graded()).sound().doubleValue() * (0.16 + 0.16 * random.nextDouble());
        double high = 2 * Math.PI * random.nextDouble();
        String readings = IntStream.range(0, 12)
                .mapToObj(k -> 0.05 + e * Math.cos(2 * Math.PI * k / 12 - high) + 0.0003 * random.nextGaussian())
                .map(r -> BigDecimal.valueOf(r).setScale(3, RoundingMode.HALF_UP) + "mm").collect(Collectors.joining(" "));
        return Map.of("readings", readings);
    }

    /** Between a third and two thirds of the sound limit. */
    private String within(Rule limit) {
        BigDecimal value = rules.graded(limit).sound().multiply(BigDecimal.valueOf(0.33 + 0.33 * random.nextDouble()));
        return limit.unit() == Unit.MILLIMETRES ? value.setScale(3, RoundingMode.HALF_UP).toPlainString() + " mm"
                : value.setScale(1, RoundingMode.HALF_UP).toPlainString();
    }

    private String hundredths(int count, int from, int spread) {
        return IntStream.range(0, count)
                .mapToObj(i -> new BigDecimal(from + random.nextInt(spread)).movePointLeft(2).setScale(3, RoundingMode.UNNECESSARY) + "mm")
                .collect(Collectors.joining(" "));
    }

    private String volt(double about) {
        return String.valueOf(Math.round(about * (1 + 0.008 * (random.nextDouble() - 0.5))));
    }

    /** The script as it should go, as often as it must, a tap every second and a half, or in the middle of its window. */
    private String log(String code) {
        CycleScript script = CycleScripts.of(code, Map.of(), rules);
        List<CycleScript.Expected> row = new ArrayList<>();
        for (int round = 0; round < script.rounds().map(CycleScript.Rounds::least).orElse(1); round++) {
            row.addAll(script.expected());
        }
        if (script.rounds().filter(CycleScript.Rounds::closes).isPresent()) {
            row.add(script.expected().get(0));
        }
        StringBuilder log = new StringBuilder();
        BigDecimal at = BigDecimal.ZERO;
        for (CycleScript.Expected e : row) {
            for (int i = 0; i < e.least(); i++) {
                BigDecimal wait = e.window()
                        .map(w -> w.least().add(w.most().subtract(w.least()).min(BigDecimal.valueOf(4)).multiply(new BigDecimal("0.5"))))
                        .orElse(new BigDecimal("1.5"));
                at = log.isEmpty() ? BigDecimal.ZERO : at.add(wait).add(BigDecimal.valueOf(random.nextInt(20), 2));
                log.append(e.event()).append(' ').append(at.setScale(2, RoundingMode.HALF_UP)).append('\n');
            }
        }
        return log.toString();
    }
}
