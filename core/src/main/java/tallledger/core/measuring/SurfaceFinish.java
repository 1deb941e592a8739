package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.drive.DriveTrain;
import tallledger.core.drive.Route;
import tallledger.core.drive.Turning;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.finish.Spacings;
import tallledger.core.finish.Trace;
import tallledger.core.finish.Turned;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.plate.SpeedPlate;
import tallledger.core.reading.SurfaceSpeed;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * How smooth a cut came out, against what feed and nose should leave (turned) or what the process usually leaves (house values): up to 1.5
 * times it is good, up to 3 times ordinary, over that something else writes on the surface.
 *
 * <p>Worked: f 0.2, r 0.8 should leave Ra 1.60: 2.0 is 1.25 times that, good; 6.3 is 3.9 times.
 *
 * <p>A trace whose roughness has one spacing that stands out is held against what made it: its feed, or with the speed at which the
 * surface went past the tool, f = v/p, against what turns or meshes in this drive at that speed of the spindle.
 *
 * @param process what made it
 * @param drive   of the machine; empty where nobody knows it
 */
public record SurfaceFinish(Process process, Optional<TurningParts> drive) implements Recording<SurfaceFinish.FinishRead> {

    /** What turns in the machine. @param hertz of the supply, empty where nobody read it */
    public record TurningParts(DriveTrain train, SpeedPlate plate, Optional<BigDecimal> hertz) {
    }

    /** Of a machine whose drive nobody knows. */
    public SurfaceFinish(Process process) {
        this(process, Optional.empty());
    }

    /** λc, as the surface asks for it or as somebody chooses. */
    public enum CutOff {
        BY_THE_SURFACE, MM_0_08, MM_0_25, MM_0_8, MM_2_5, MM_8;

        private Optional<Double> mm() {
            return this == BY_THE_SURFACE ? Optional.empty() : Optional.of(Trace.CUT_OFFS.get(ordinal() - 1));
        }
    }

    /** How fast it was made. @param past the surface past the tool, m/min @param rpm of the spindle; empty where nobody read it */
    public record FinishMade(BigDecimal past, Optional<BigDecimal> rpm) {
    }

    /** What made a surface. */
    public enum Process { TURNED, MILLED, GROUND, DRILLED }

    /** How Ra was come by. */
    public enum By {
        GAUGE,
        /** Against a comparison plate, by eye and nail: to a grade, so half to twice. */
        PLATE
    }

    /**
     * What was read.
     *
     * @param ra     µm
     * @param step   worth of its last digit, µm
     * @param turned feed and nose, where both were typed
     * @param trace  where one was pasted
     * @param made   how fast, where somebody says
     */
    public record FinishRead(BigDecimal ra, BigDecimal step, By how, Optional<Turned> turned, Optional<Traced> trace,
            Optional<FinishMade> made,
            Optional<Gauge> by) {
    }

    /**
     * A trace and what it comes to at its cut-off.
     *
     * @param agrees whether it lies within the range that cut-off is for; one a person chose is theirs
     */
    public record Traced(Trace profile, Trace.Roughness roughness, boolean agrees) {
    }

    private static final MathContext SHOWN = new MathContext(3);
    /** µm in a microinch. */
    private static final BigDecimal MICROINCH = new BigDecimal("0.0254");
    /** A spacing this near to the feed is the feed. */
    private static final double SAME_FEED = 0.03;
    /** A spindle that turns this near to a speed of its plate turns at that. */
    private static final double NEAR = 0.12;
    /** Half of what a grade leaves open either way, as a share. */
    private static final double BY_EYE = 0.5;

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.surfaceFinish(this);
    }

    @Override
    public <T> T accept(SurfaceFinish.FinishRead value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.surfaceFinish(this, value);
    }

    @Override
    public String code() {
        return "finish";
    }

    @Override
    public List<RecordField> fields() {
        List<RecordField> fields = new ArrayList<>(List.of(RecordField.may("ra", InputKind.NUMBER, FieldUnit.ROUGHNESS),
                new RecordField("how", InputKind.CHOICE, FieldUnit.NONE, Preset.text(By.GAUGE.name()), List.of(By.values()), false)));
        if (process == Process.TURNED) {
            fields.add(RecordField.may("feed", InputKind.LENGTH, FieldUnit.LENGTH));
            fields.add(RecordField.may("nose", InputKind.LENGTH, FieldUnit.LENGTH));
        }
        fields.add(RecordField.may("spacing", InputKind.LENGTH, FieldUnit.LENGTH).ofAnotherWay());
        fields.add(RecordField.may("trace", InputKind.LONG_TEXT, FieldUnit.ROUGHNESS).ofAnotherWay());
        fields.add(new RecordField("cutOff", InputKind.CHOICE, FieldUnit.NONE, Preset.text(CutOff.BY_THE_SURFACE.name()),
                List.of(CutOff.values()), false).ofAnotherWay());
        fields.add(RecordField.may("past", InputKind.TEXT, FieldUnit.SURFACE).ofAnotherWay());
        fields.add(RecordField.may("spindle", InputKind.NUMBER, FieldUnit.SPEED).ofAnotherWay());
        return fields;
    }

    @Override
    public FinishRead read(Values values) {
        Optional<Turned> turned = values.has("feed") && values.has("nose")
                ? Optional.of(values.at("feed",
                        () -> new Turned(values.length("feed").mm().doubleValue(), values.length("nose").mm().doubleValue())))
                : Optional.empty();
        By how = Stream.of(By.values()).filter(b -> b.name().equals(values.text("how"))).findFirst().orElse(By.GAUGE);
        if (values.has("trace")) {
            if (values.has("ra")) {
                throw Refused.because(MeasuringReason.FINISH_BOTH).at("ra");
            }
            Trace trace = trace(values);
            CutOff cutOff = Stream.of(CutOff.values()).filter(c -> c.name().equals(values.text("cutOff"))).findFirst()
                    .orElse(CutOff.BY_THE_SURFACE);
            OptionalDouble feed = values.has("feed") && process != Process.GROUND
                    ? OptionalDouble.of(values.length("feed").mm().doubleValue())
                    : OptionalDouble.empty();
            Trace.Chosen chosen = values.at("cutOff", () -> cutOff.mm().map(mm -> new Trace.Chosen(trace.at(mm), true))
                    .orElseGet(() -> trace.chosen(process != Process.GROUND, feed)));
            return new FinishRead(new BigDecimal(chosen.roughness().ra()).round(SHOWN), BigDecimal.ZERO, By.GAUGE, turned,
                    Optional.of(new Traced(trace, chosen.roughness(), chosen.agrees())), made(values), values.readWith());
        }
        TypedNumber ra = values.roughness("ra");
        return new FinishRead(ra.value(), ra.step(), how, turned, Optional.empty(), made(values), values.readWith());
    }

    private static Optional<FinishMade> made(Values values) {
        Optional<BigDecimal> rpm = values.has("spindle") ? Optional.of(values.positive("spindle")) : Optional.empty();
        return values.has("past")
                ? Optional.of(new FinishMade(values.at("past", () -> SurfaceSpeed.parse(values.text("past"), values.bare())),
                        rpm))
                : Optional.empty();
    }

    /** One height after the other, or "x z" lines: then x gives the spacing, and it must be even. */
    private static Trace trace(Values values) {
        return values.at("trace", () -> {
            List<String[]> rows = values.text("trace").lines().map(String::strip).filter(l -> !l.isEmpty())
                    .map(l -> l.split("[\\s;]+|,(?=\\s)")).toList();
            boolean pairs = rows.size() > 1 && rows.stream().allMatch(r -> r.length == 2);
            if (!pairs) {
                double spacing = values.has("spacing") ? values.length("spacing").mm().doubleValue() : 0;
                return new Trace(spacing, rows.stream().flatMap(Arrays::stream).map(z -> height(z, values)).toList());
            }
            List<Double> x = rows.stream().map(r -> TypedLength.parse(r[0], values.unit()).mm().doubleValue()).toList();
            double spacing = (x.get(x.size() - 1) - x.get(0)) / (x.size() - 1);
            for (int i = 1; i < x.size(); i++) {
                if (!(Math.abs(x.get(i) - x.get(i - 1) - spacing) <= 0.05 * Math.abs(spacing))) {
                    throw Refused.because(MeasuringReason.FINISH_UNEVEN, i + 1, x.get(i - 1), x.get(i));
                }
            }
            return new Trace(spacing, rows.stream().map(r -> height(r[1], values)).toList());
        });
    }

    /** One height of a trace, µm. */
    private static double height(String typed, Values values) {
        return TypedLength.parse(typed, values.roughnessUnit()).mm().movePointRight(3).doubleValue();
    }

    /** Ra that should be there, µm; empty for a turned surface of which nobody says feed and nose. */
    private Optional<BigDecimal> expected(FinishRead read, Rules rules) {
        return switch (process) {
            case TURNED -> read.turned.map(t -> new BigDecimal(t.ra()).round(SHOWN));
            case MILLED -> Optional.of(rules.roughness(Rule.RA_MILLED));
            case GROUND -> Optional.of(rules.roughness(Rule.RA_GROUND));
            case DRILLED -> Optional.of(rules.roughness(Rule.RA_DRILLED));
        };
    }

    @Override
    public StepJudgement judge(FinishRead read, Rules rules) {
        List<Reason> says = new ArrayList<>();
        Uncertainty u = read.how == By.PLATE ? Uncertainty.of(0, BY_EYE * read.ra.doubleValue() / Gauge.COVERAGE_FACTOR)
                : read.by.orElseGet(() -> rules.gauge(Rule.ROUGHNESS)).reading(read.ra, read.step);
        Quantity ra = new Quantity(read.ra, u.expanded(), Unit.ROUGHNESS);
        read.trace.map(Traced::roughness)
                .ifPresent(t -> says.add(Reason.of(MeasuringReason.FINISH_TRACE,
                        Quantity.of(BigDecimal.valueOf(t.cutOff()).stripTrailingZeros(), Unit.MILLIMETRES), t.lengths(), shown(t.rz()),
                        shown(t.rq()),
                        shown(t.rt()),
                        new BigDecimal(t.rsk()).round(new MathContext(2)),
                        Quantity.of(new BigDecimal(t.rsm()).round(SHOWN), Unit.MILLIMETRES))));
        read.trace.ifPresent(t -> says.addAll(marks(t, read, rules)));
        Optional<BigDecimal> expected = expected(read, rules);
        Reason grade = grade(read.ra, rules.unit());
        if (expected.isEmpty()) {
            says.add(0, Reason.of(MeasuringReason.FINISH_ALONE, ra, grade));
            return new StepJudgement(Outcome.UNDECIDED, Optional.empty(), says, List.of(Figure.alone(ra)));
        }
        BigDecimal most = expected.get().multiply(rules.figures(Rule.FINISH_RATIO).get(1));
        Judgement judged = Judgement.of(read.ra, u,
                new Limit(BigDecimal.ZERO, most, Unit.ROUGHNESS, Reason.named("rule." + Rule.FINISH_RATIO + ".source")));
        BigDecimal times = read.ra.divide(expected.get(), new MathContext(2));
        boolean good = read.ra.compareTo(expected.get().multiply(rules.figures(Rule.FINISH_RATIO).get(0))) <= 0;
        MeasuringReason code = judged.verdict() == Verdict.OUTSIDE ? MeasuringReason.FINISH_ELSE
                : judged.verdict() == Verdict.TOO_CLOSE_TO_CALL ? MeasuringReason.FINISH_CLOSE
                        : good ? MeasuringReason.FINISH_GOOD : MeasuringReason.FINISH_ORDINARY;
        says.add(0, Reason.of(code, ra, grade, times, Quantity.of(expected.get(), Unit.ROUGHNESS)));
        boolean torn = read.trace.filter(t -> t.profile.dropout().isPresent()).isPresent();
        Outcome outcome = torn ? Outcome.UNDECIDED : StepJudgement.of(judged).outcome();
        return new StepJudgement(outcome, Optional.empty(), says, List.of(judged.figure()));
    }

    /** The roughness grade a reading lies in; on an inch machine with the trade's number in µin. */
    private static Reason grade(BigDecimal ra, LengthUnit machine) {
        int n = machine == LengthUnit.INCH ? Trace.gradeByNumber(ra.divide(MICROINCH, MathContext.DECIMAL64).doubleValue())
                : Trace.grade(ra.doubleValue());
        return n > Trace.GRADES_COUNT ? Reason.of(MeasuringReason.FINISH_ROUGHER, Trace.GRADES_COUNT)
                : machine == LengthUnit.INCH ? Reason.of(MeasuringReason.FINISH_NUMBER, Trace.NUMBERS.get(n - 1), n)
                        : Reason.of(MeasuringReason.FINISH_GRADE, n);
    }

    /** What a trace shows beside its figures: how it lay, where it is torn, which spacing stands out and what comes round so often. */
    private List<Reason> marks(Traced t, FinishRead read, Rules rules) {
        List<Reason> says = new ArrayList<>();
        if (!t.agrees) {
            says.add(Reason.of(MeasuringReason.FINISH_NO_CUT_OFF, Quantity.of(BigDecimal.valueOf(t.roughness.cutOff()).stripTrailingZeros(),
                    Unit.MILLIMETRES)));
        }
        if (t.profile.isSteep()) {
            says.add(Reason.of(MeasuringReason.FINISH_STEEP, new BigDecimal(t.profile.degrees()).round(new MathContext(2))));
        }
        t.profile.dropout().ifPresent(n -> says.add(Reason.of(MeasuringReason.FINISH_DROPOUT, n)));
        Spacings spacings = t.roughness.spacings();
        Optional<Spacings.Peak> peak = spacings.strongest().filter(p -> p.share() >= rules.share(Rule.DOMINANT_SPACING).doubleValue());
        if (peak.isEmpty()) {
            says.add(Reason.of(MeasuringReason.FINISH_NO_SPACING));
            return says;
        }
        Spacings.Peak p = peak.get();
        Quantity spacing = Quantity.of(new BigDecimal(p.spacing()).round(SHOWN), Unit.MILLIMETRES);
        says.add(Reason.of(MeasuringReason.FINISH_SPACING, spacing, shown(2 * p.amplitude()),
                BigDecimal.valueOf(Math.round(100 * p.share()))));
        if (read.turned.filter(f -> Math.abs(p.spacing() / f.feed() - 1) <= Math.max(SAME_FEED, p.open())).isPresent()) {
            says.add(Reason.of(MeasuringReason.FINISH_IS_FEED, spacing));
        } else if (read.made.isEmpty()) {
            says.add(Reason.of(MeasuringReason.FINISH_NO_SPEED));
        } else {
            says.add(comesRound(p, spacing, spacings.bin(), read.made.get()));
        }
        return says;
    }

    /** f = v/p, and what of the drive lies within a line or 1 % of it, nearest first. */
    private Reason comesRound(Spacings.Peak p, Quantity spacing, double line, FinishMade made) {
        double mmPerSecond = made.past.doubleValue() * 1000 / 60;
        double hertz = mmPerSecond / p.spacing();
        double reach = Math.max(mmPerSecond * line, 0.01 * hertz);
        Quantity f = Quantity.of(new BigDecimal(hertz).round(SHOWN), Unit.HERTZ);
        Quantity past = Quantity.of(made.past, Unit.METRES_PER_MINUTE);
        List<Turning> turning = made.rpm.map(rpm -> turning(rpm.doubleValue())).orElse(List.of());
        List<Object> near = new ArrayList<>(turning.stream().filter(t -> Math.abs(t.hertz() - hertz) <= reach)
                .sorted(Comparator.comparingDouble(t -> Math.abs(t.hertz() - hertz)))
                .map(t -> (Object) Reason.each(MeasuringReason.FINISH_TURNS, t.kind(), t.stage(), t.pair(),
                        Quantity.of(new BigDecimal(t.hertz()).round(SHOWN), Unit.HERTZ)))
                .toList());
        if (turning.isEmpty()) {
            return Reason.of(MeasuringReason.FINISH_FREQUENCY, spacing, past, f);
        }
        return near.isEmpty() ? Reason.of(MeasuringReason.FINISH_NOTHING_TURNS, spacing, past, f, turning.size())
                : Reason.of(MeasuringReason.FINISH_COMES_ROUND, spacing, past, f, near);
    }

    /** At the route whose speed is nearest to the one read, within the house's tolerance twice; nothing where none is. */
    private List<Turning> turning(double rpm) {
        return drive.flatMap(d -> d.train.routes().stream().filter(r -> !d.train.isReverse(r)).filter(r -> off(d, r, rpm) <= NEAR)
                .min(Comparator.comparingDouble(r -> off(d, r, rpm)))
                .map(r -> Turning.of(d.train, r, rpm, d.hertz.map(BigDecimal::doubleValue)))).orElse(List.of());
    }

    private static double off(TurningParts d, Route route, double rpm) {
        return d.plate.cell(d.train.plateKey(route)).value().map(BigDecimal::doubleValue).or(() -> d.train.speed(route).map(s -> s.low()))
                .map(n -> Math.abs(rpm / n - 1)).orElse(Double.MAX_VALUE);
    }

    private static Quantity shown(double um) {
        return Quantity.of(new BigDecimal(um).round(SHOWN), Unit.ROUGHNESS);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.ROUGHNESS);
    }
}
