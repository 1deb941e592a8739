package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.geometry.HotRun;
import tallledger.core.reading.Temperature;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/** Temperature cold and after running hot, or over the minutes at top speed; the rise, or that at 30 min as read, is judged. */
public record BearingTemperature(Rule graded) implements Recording<BearingTemperature.WarmingRead> {

    private static final MathContext FOUR = new MathContext(4);

    /** Two temperatures, °C. */
    public record ColdAndHot(TypedNumber cold, TypedNumber hot, Optional<Gauge> by) {
    }

    /**
     * How it warmed.
     *
     * @param ends    cold and hot, where only those were read
     * @param run     readings over minutes, where they were
     * @param ambient °C, where it was read; else the first reading stands for it
     * @param step    worth of the coarsest last digit, K
     */
    public record WarmingRead(Optional<ColdAndHot> ends, Optional<HotRun> run, Optional<TypedNumber> ambient, BigDecimal step,
            Optional<Gauge> by) {
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.bearingTemperature(this);
    }

    @Override
    public <T> T accept(WarmingRead value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.bearingTemperature(this, value);
    }

    @Override
    public String code() {
        return "rise";
    }

    @Override
    public List<RecordField> fields() {
        return List.of(RecordField.may("cold", InputKind.NUMBER, FieldUnit.TEMPERATURE),
                RecordField.may("hot", InputKind.NUMBER, FieldUnit.TEMPERATURE),
                RecordField.may("minutes", InputKind.LONG_TEXT, FieldUnit.MINUTES_AND_TEMPERATURE).ofAnotherWay(),
                RecordField.may("ambient", InputKind.NUMBER, FieldUnit.TEMPERATURE).ofAnotherWay());
    }

    @Override
    public WarmingRead read(Values values) {
        Optional<TypedNumber> ambient = values.has("ambient") ? Optional.of(values.temperature("ambient")) : Optional.empty();
        if (!values.has("minutes")) {
            ColdAndHot ends = new ColdAndHot(values.temperature("cold"), values.temperature("hot"), values.readWith());
            return new WarmingRead(Optional.of(ends), Optional.empty(), ambient, ends.hot.step().max(ends.cold.step()), values.readWith());
        }
        if (values.has("cold") || values.has("hot")) {
            throw Refused.because(MeasuringReason.HOT_BOTH).at("minutes");
        }
        List<HotRun.HotReading> readings = new ArrayList<>();
        List<BigDecimal> steps = new ArrayList<>(List.of(BigDecimal.ZERO));
        for (String line : values.text("minutes").split("[\\r\\n;]+")) {
            if (!line.isBlank()) {
                values.at("minutes", () -> readings.add(reading(line.strip(), steps, values.bare())));
            }
        }
        HotRun run = values.at("minutes", () -> new HotRun(readings));
        return new WarmingRead(Optional.empty(), Optional.of(run), ambient, steps.stream().reduce(BigDecimal.ZERO, BigDecimal::max),
                values.readWith());
    }

    private static HotRun.HotReading reading(String line, List<BigDecimal> steps, LengthUnit machine) {
        String[] two = line.split("\\s*:\\s*|\\s+", 2);
        if (two.length != 2) {
            throw Refused.because(MeasuringReason.HOT_LINE, line, FieldUnit.TEMPERATURE.in(machine));
        }
        TypedNumber celsius = Temperature.parse(two[1], machine);
        steps.add(celsius.step());
        return new HotRun.HotReading(TypedNumber.parse(two[0]).value().doubleValue(), celsius.value().doubleValue());
    }

    @Override
    public StepJudgement judge(WarmingRead read, Rules rules) {
        return read.run.map(run -> overMinutes(run, read, rules)).orElseGet(() -> {
            ColdAndHot ends = read.ends.orElseThrow();
            return risen(ends.hot.value().subtract(ends.cold.value()), read, rules);
        });
    }

    private StepJudgement risen(BigDecimal rise, WarmingRead read, Rules rules) {
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(Rule.THERMOMETER)).difference(rise, read.step);
        if (rise.doubleValue() < -2 * HotRun.U_OF_READING) {
            // NothingTyped cools while it runs: the two are swapped, or it ran before. Neither says how warm it gets.
            return new StepJudgement(Outcome.UNDECIDED, Optional.empty(), List.of(Reason.of(MeasuringReason.HOT_COOLED,
                    new Quantity(rise.negate(), u.expanded(), Unit.KELVIN))), Optional.empty());
        }
        return LimitJudge.byGrade(rules.graded(graded), rise, u);
    }

    private StepJudgement overMinutes(HotRun run, WarmingRead read, Rules rules) {
        double start = read.ambient.map(a -> a.value().doubleValue()).orElse(run.readings().get(0).celsius());
        List<Reason> says = new ArrayList<>();
        says.add(levels(run, start, rules));
        if (run.cooler().isPresent()) {
            says.add(0, Reason.of(MeasuringReason.HOT_COOLER, decimal(run.cooler().get().minutes())));
            return new StepJudgement(Outcome.UNDECIDED, Optional.empty(), says, Optional.empty());
        }
        if (run.atThirty().isEmpty()) {
            says.add(0, Reason.of(MeasuringReason.HOT_EARLY));
            return new StepJudgement(run.bendsUpwards() ? Outcome.FAILED : Outcome.UNDECIDED, Optional.empty(), says,
                    Optional.empty());
        }
        StepJudgement judged = risen(new BigDecimal(run.atThirty().get() - start).setScale(2, java.math.RoundingMode.HALF_UP)
                .stripTrailingZeros(), read, rules);
        says.addAll(0, judged.because());
        // What does not settle is no good however little it has risen yet.
        return run.bendsUpwards() ? new StepJudgement(Outcome.FAILED, Optional.empty(), says, judged.figures()) : judged.saying(says);
    }

    /** Where it levels, or that it is not to be told yet. */
    private static Reason levels(HotRun run, double start, Rules rules) {
        if (run.bendsUpwards()) {
            return Reason.of(MeasuringReason.HOT_BENDS);
        }
        Optional<HotRun.Level> level = run.level();
        double rise = level.map(l -> l.levels() - start).orElse(0.0);
        boolean flat = level.filter(l -> l.tau().isEmpty()).isPresent();
        if (level.isEmpty() || !flat && level.get().expanded() >= Math.abs(rise) / 2) {
            return Reason.of(MeasuringReason.HOT_UNTOLD);
        }
        HotRun.Level at = level.get();
        Quantity levelled = new Quantity(new BigDecimal(rise).round(FOUR), at.expanded(), Unit.KELVIN);
        if (flat) {
            return Reason.of(MeasuringReason.HOT_FLAT, levelled);
        }
        boolean settled = Math.abs(at.toCome()) + at.open() < rules.value(Rule.SETTLED);
        return Reason.of(settled ? MeasuringReason.HOT_SETTLED : MeasuringReason.HOT_RISING, levelled,
                new BigDecimal(at.tau().orElseThrow()).round(FOUR),
                new Quantity(new BigDecimal(at.toCome()).round(FOUR), at.open(), Unit.KELVIN));
    }

    private static BigDecimal decimal(double minutes) {
        return BigDecimal.valueOf(minutes).stripTrailingZeros();
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(graded));
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(graded);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.THERMOMETER);
    }
}
