package tallledger.core.measuring;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.evidence.FieldUnit;
import tallledger.core.evidence.InputKind;
import tallledger.core.evidence.Preset;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * One line of an acceptance chart: a way of measuring it, and its limit. Whoever has only the result types that; whoever has the readings
 * types those, and more is said.
 *
 * @param method how it is measured
 * @param graded rule of its limit
 * @param per   length the limit is stated for, mm; nought where it is stated as it is
 * @param sense which side of nought is allowed
 * @param nose  rule of the limit at the nose, where this one is that of a distance out from it
 */
public record ChartLine<V>(MeasuringMethod<V> method, Rule graded, BigDecimal per, Sense sense,
        Optional<Rule> nose) implements Recording<ChartReading<V>> {

    /** Which side of nought is allowed: a signed limit runs from nought to its figure. */
    public enum Sense {
        /** Either way alike. */
        EITHER,
        FREE_END_UP, TO_THE_TOOL, TAILSTOCK_HIGH,
        /** A face that is hollow, a bed that is humped: the other never. */
        HOLLOW, HUMPED
    }

    /** Which way a signed result lies. */
    public enum Lies { AS_IT_MAY, THE_OTHER_WAY }

    private static final String VALUE = "value";
    private static final String OVER = "over";
    private static final String NOSE = "noseSwing";
    private static final String OUT = "out";
    private static final String LIES = "lies";

    public static <V> ChartLine<V> of(MeasuringMethod<V> method, Rule graded) {
        return new ChartLine<>(method, graded, BigDecimal.ZERO, Sense.EITHER, Optional.empty());
    }

    public static <V> ChartLine<V> per(MeasuringMethod<V> method, Rule graded, int per) {
        return new ChartLine<>(method, graded, BigDecimal.valueOf(per), Sense.EITHER, Optional.empty());
    }

    /** The same at any distance from the nose, where that is always typed. */
    public ChartLine<V> from(Rule rule) {
        return new ChartLine<>(method, graded, per, sense, Optional.of(rule));
    }

    /** Runout at a distance from the nose, whose own limit is another. */
    public static <V> ChartLine<V> out(MeasuringMethod<V> method, Rule graded, Rule nose) {
        return new ChartLine<>(method, graded, BigDecimal.ZERO, Sense.EITHER, Optional.of(nose));
    }

    /** The same with one side of nought only. */
    public ChartLine<V> only(Sense one) {
        return new ChartLine<>(method, graded, per, one, nose);
    }

    /** The same with both sides of nought alike. */
    ChartLine<V> either() {
        return new ChartLine<>(method, graded, per, Sense.EITHER, nose);
    }

    boolean scales() {
        return per.signum() > 0;
    }

    boolean isSigned() {
        return sense != Sense.EITHER;
    }

    @Override
    public String code() {
        return "chart-line";
    }

    /** The readings of its way, then the result alone. */
    @Override
    public List<RecordField> fields() {
        List<RecordField> fields = new ArrayList<>(method.fields(this));
        boolean alone = fields.isEmpty();
        fields.add(new RecordField(VALUE, InputKind.LENGTH, valueUnit(), Preset.NONE, List.of(), alone, !alone));
        if (nose.isPresent()) {
            fields.add(RecordField.may(NOSE, InputKind.LENGTH, FieldUnit.DIAL));
        }
        if (nose.isPresent() && !scales()) {
            fields.add(RecordField.may(OUT, InputKind.LENGTH, FieldUnit.LENGTH));
        }
        if (scales()) {
            fields.add(new RecordField(OVER, InputKind.LENGTH, FieldUnit.LENGTH, alone ? Preset.length(per) : Preset.NONE, List.of(), alone,
                    !alone));
        }
        if (isSigned() && !method.isSigned()) {
            fields.add(new RecordField(LIES, InputKind.CHOICE, FieldUnit.NONE, Preset.text(Lies.AS_IT_MAY.name()), List.of(Lies.values()),
                    false));
        }
        return fields;
    }

    @Override
    public ChartReading<V> read(Values values) {
        List<RecordField> asked = method.fields(this);
        boolean readings = asked.stream().filter(RecordField::must)
                .anyMatch(f -> values.has(f.name()) && !values.text(f.name()).equals(f.start().in(values.bare())));
        if (!readings) {
            if (!values.has(VALUE)) {
                throw Refused.because(MeasuringReason.CHART_NOTHING).at(asked.isEmpty() ? VALUE : asked.get(0).name());
            }
            return plain(values);
        }
        if (values.has(VALUE)) {
            throw Refused.because(MeasuringReason.CHART_BOTH).at(VALUE);
        }
        return new ChartReading.Readings<>(method.read(values, this));
    }

    private ChartReading<V> plain(Values values) {
        // Where only one side of nought is allowed, a sign says which one it is.
        boolean below = isSigned() && values.text(VALUE).matches("[-\u2212\u2013].*");
        Values typed = below ? values.with(VALUE, values.text(VALUE).substring(1)) : values;
        TypedLength value = graded.unit() == Unit.MILLIMETRES_PER_METRE ? typed.slope(VALUE) : typed.length(VALUE);
        Optional<TypedLength> over = scales()
                ? Optional.of(values.has(OVER) ? values.length(OVER) : exactly(values.bare()))
                : Optional.empty();
        over.filter(o -> o.mm().signum() <= 0).ifPresent(o -> {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, o.typed()).at(OVER);
        });
        if (nose.isPresent()) {
            Optional<TypedLength> near = values.has(NOSE) ? Optional.of(values.length(NOSE)) : Optional.empty();
            return new ChartReading.AtDistance<>(new SwingAtDistance(value, near, scales() ? over
                    : values.has(OUT) ? Optional.of(TypedRows.positive(values, OUT))
                            : Optional.empty(),
                    values.readWith()));
        }
        boolean other = below || isSigned() && values.text(LIES).equals(Lies.THE_OTHER_WAY.name());
        return new ChartReading.ResultAlone<>(other ? value.mm().negate() : value.mm(), value.step(), over, values.readWith(),
                values.apart());
    }

    private FieldUnit valueUnit() {
        return graded.unit() == Unit.MILLIMETRES ? FieldUnit.DIAL : FieldUnit.of(graded.unit());
    }

    /** The length the limit is stated for, where nobody types another. */
    private TypedLength exactly(LengthUnit machine) {
        String stated = Preset.length(per).in(machine) + " " + machine.symbol();
        return new TypedLength(stated, TypedLength.parse(stated, machine).mm(), BigDecimal.ZERO);
    }

    @Override
    public StepJudgement judge(ChartReading<V> read, Rules rules) {
        if (read instanceof ChartReading.ResultAlone<V> alone) {
            return judge(alone, rules);
        }
        return read instanceof ChartReading.AtDistance<V> out ? out.swing().judge(this, rules)
                : method.judge(((ChartReading.Readings<V>) read).readings(), this, rules);
    }

    @Override
    public <T> T accept(RecordingVisitor<T> visitor) {
        return visitor.chartLine(this);
    }

    @Override
    public <T> T accept(ChartReading<V> value, RecordingVisitor.OfRecorded<T> visitor) {
        return visitor.chartLine(this, value);
    }

    private StepJudgement judge(ChartReading.ResultAlone<V> read, Rules rules) {
        Uncertainty u = read.by().orElseGet(() -> rules.gauge(method.gauge())).difference(read.value(), read.step());
        if (read.over().isEmpty()) {
            return judged(read.value(), u, BigDecimal.ZERO, rules);
        }
        TypedLength over = read.over().get();
        if (!(method instanceof ScaleByGaugeLengths)) {
            return judged(read.value(), u, over.mm(), rules);
        }
        // Only here a length of the machine is held against one of a gauge.
        return judged(read.value(), GaugeWarmth.warm(u, over.mm().doubleValue(), read.apart()), over.mm(), rules,
                GaugeWarmth.temperature(over.mm().doubleValue(), read.apart(), rules).toArray(Reason[]::new));
    }

    /** The verdict on a result over a length, with what it comes to over the length its limit is stated for. */
    StepJudgement judged(BigDecimal value, Uncertainty u, BigDecimal over, Rules rules, Reason... besides) {
        GradedLimit stated = rules.graded(graded);
        BigDecimal length = rules.length(per);
        GradedLimit here = scales() ? stated.over(over, length) : stated;
        StepJudgement judged = isSigned() ? signed(here, value, u) : LimitJudge.byGrade(here, value.abs(), u, value);
        List<Reason> because = new ArrayList<>();
        if (scales() && over.compareTo(length) != 0) {
            Quantity scaled = new Quantity(value.multiply(length).divide(over, MathContext.DECIMAL64),
                    u.scaled(length.doubleValue() / over.doubleValue()).expanded(), Unit.MILLIMETRES);
            because.add(
                    Reason.of(MeasuringReason.SCALED_PER, Quantity.of(value, Unit.MILLIMETRES), Quantity.of(over, Unit.MILLIMETRES), scaled,
                            Quantity.of(length, Unit.MILLIMETRES)));
        }
        because.addAll(judged.because());
        because.addAll(List.of(besides));
        StepJudgement said = judged.saying(because);
        return scales() ? said.per(Figure.StatedOver.mm(over, length)) : said;
    }

    /** From nought to its figure: what lies the other way by more than U is outside whatever the figure. */
    private StepJudgement signed(GradedLimit limit, BigDecimal value, Uncertainty u) {
        Optional<Grade> best = Optional.empty();
        for (Grade grade : Grade.values()) {
            boolean within = against(limit, grade, value, u).verdict() == Verdict.WITHIN;
            best = best.isEmpty() && within ? Optional.of(grade) : best;
        }
        Judgement wanted = against(limit, limit.wanted(), value, u);
        if (best.filter(grade -> grade.compareTo(limit.wanted()) <= 0).isPresent()) {
            Quantity read = new Quantity(value, u.expanded(), limit.unit());
            return StepJudgement.of(Figure.of(value, u, new Figure.Against(limit, Verdict.WITHIN, best)),
                    List.of(Reason.of(MeasuringReason.GRADED_WITHIN, read, best.get(), Quantity.of(limit.at(best.get()), limit.unit()))));
        }
        Verdict verdict = wanted.verdict() == Verdict.OUTSIDE ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL;
        return StepJudgement.of(Figure.of(value, u, new Figure.Against(limit, verdict, best)),
                List.of(wanted.because(), Reason.each(MeasuringReason.CHART_SENSE, sense)));
    }

    private static Judgement against(GradedLimit limit, Grade grade, BigDecimal value, Uncertainty u) {
        return Judgement.of(value, u,
                new Limit(BigDecimal.ZERO, limit.at(grade), limit.unit(),
                        Reason.of(MeasuringReason.LIMIT_CLAIM, Quantity.of(limit.at(grade), limit.unit()))));
    }

    @Override
    public Optional<GradedLimit> limit(Rules rules) {
        return Optional.of(rules.graded(graded));
    }

    @Override
    public Optional<BigDecimal> limitPer(Rules rules) {
        return scales() ? Optional.of(rules.length(per)) : Optional.empty();
    }

    @Override
    public Optional<Rule> limitRule() {
        return Optional.of(graded);
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(method.gauge());
    }
}
