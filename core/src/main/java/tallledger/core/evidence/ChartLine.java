package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Gauge;
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
 * @param way   how it is measured
 * @param graded rule of its limit
 * @param per   length the limit is stated for, mm; nought where it is stated as it is
 * @param sense which side of nought is allowed
 * @param nose  rule of the limit at the nose, where this one is that of a distance out from it
 */
public record ChartLine(ChartWay way, Rule graded, BigDecimal per, Sense sense, Optional<Rule> nose) implements Recording<Object> {

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

    /**
     * A result typed as it is.
     *
     * @param value mm, below nought where it lies the way it must not
     * @param over  length it was measured over; empty where the limit does not scale
     * @param apart machine less gauge, K; empty where nobody read it
     */
    public record Plain(BigDecimal value, BigDecimal step, Optional<TypedLength> over, Optional<Gauge> by, Optional<BigDecimal> apart) {
    }

    private static final String VALUE = "value";
    private static final String OVER = "over";
    private static final String NOSE = "noseSwing";
    private static final String OUT = "out";
    private static final String LIES = "lies";

    public static ChartLine of(ChartWay way, Rule graded) {
        return new ChartLine(way, graded, BigDecimal.ZERO, Sense.EITHER, Optional.empty());
    }

    public static ChartLine per(ChartWay way, Rule graded, int per) {
        return new ChartLine(way, graded, BigDecimal.valueOf(per), Sense.EITHER, Optional.empty());
    }

    /** The same at any distance from the nose, where that is always typed. */
    public ChartLine from(Rule rule) {
        return new ChartLine(way, graded, per, sense, Optional.of(rule));
    }

    /** Runout at a distance from the nose, whose own limit is another. */
    public static ChartLine out(ChartWay way, Rule graded, Rule nose) {
        return new ChartLine(way, graded, BigDecimal.ZERO, Sense.EITHER, Optional.of(nose));
    }

    /** The same with one side of nought only. */
    public ChartLine only(Sense one) {
        return new ChartLine(way, graded, per, one, nose);
    }

    /** The same with both sides of nought alike. */
    ChartLine either() {
        return new ChartLine(way, graded, per, Sense.EITHER, nose);
    }

    boolean scales() {
        return per.signum() > 0;
    }

    boolean isSigned() {
        return sense != Sense.EITHER;
    }

    @Override
    public <T> T tell(Kinds<T> kinds) {
        return kinds.chartLine(this);
    }

    @Override
    public String code() {
        return "chart-line";
    }

    /** The readings of its way, then the result alone. */
    @Override
    public List<Field> fields() {
        List<Field> fields = new ArrayList<>(way.taking().fields(this));
        boolean alone = fields.isEmpty();
        fields.add(new Field(VALUE, Entry.LENGTH, valueUnit(), Preset.NONE, List.of(), alone));
        if (nose.isPresent()) {
            fields.add(Field.may(NOSE, Entry.LENGTH, FieldUnit.DIAL));
        }
        if (nose.isPresent() && !scales()) {
            fields.add(Field.may(OUT, Entry.LENGTH, FieldUnit.LENGTH));
        }
        if (scales()) {
            fields.add(new Field(OVER, Entry.LENGTH, FieldUnit.LENGTH, alone ? Preset.length(per) : Preset.NONE, List.of(), alone));
        }
        if (isSigned() && !way.taking().isSigned()) {
            fields.add(new Field(LIES, Entry.CHOICE, FieldUnit.NONE, Preset.text(Lies.AS_IT_MAY.name()), List.of(Lies.values()), false));
        }
        return fields;
    }

    @Override
    public Object read(Values values) {
        List<Field> asked = way.taking().fields(this);
        boolean readings = asked.stream().filter(Field::must)
                .anyMatch(f -> values.has(f.name()) && !values.text(f.name()).equals(f.start().in(values.bare())));
        if (!readings) {
            if (!values.has(VALUE)) {
                throw Refused.because(EvidenceReason.CHART_NOTHING).at(asked.isEmpty() ? VALUE : asked.get(0).name());
            }
            return plain(values);
        }
        if (values.has(VALUE)) {
            throw Refused.because(EvidenceReason.CHART_BOTH).at(VALUE);
        }
        return way.taking().read(values, this);
    }

    private Object plain(Values values) {
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
            return new FarOut(value, near, scales() ? over
                    : values.has(OUT) ? Optional.of(Takings.positive(values, OUT))
                            : Optional.empty(),
                    values.readWith());
        }
        boolean other = below || isSigned() && values.text(LIES).equals(Lies.THE_OTHER_WAY.name());
        return new Plain(other ? value.mm().negate() : value.mm(), value.step(), over, values.readWith(), values.apart());
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
    public StepJudgement judge(Object read, Rules rules) {
        return read instanceof Plain plain ? judge(plain, rules)
                : read instanceof FarOut out ? out.judge(this, rules)
                        : way.taking().judge(read, this, rules);
    }

    private StepJudgement judge(Plain read, Rules rules) {
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(way.gauge())).difference(read.value, read.step);
        if (read.over.isEmpty()) {
            return judged(read.value, u, BigDecimal.ZERO, rules);
        }
        TypedLength over = read.over.get();
        if (way != ChartWay.LENGTHS) {
            return judged(read.value, u, over.mm(), rules);
        }
        // Only here a length of the machine is held against one of a gauge.
        return judged(read.value, Takings.warm(u, over.mm().doubleValue(), read.apart), over.mm(), rules,
                Takings.temperature(over.mm().doubleValue(), read.apart, rules).toArray(Reason[]::new));
    }

    /** The verdict on a result over a length, with what it comes to over the length its limit is stated for. */
    StepJudgement judged(BigDecimal value, Uncertainty u, BigDecimal over, Rules rules, Reason... besides) {
        GradedLimit stated = rules.graded(graded);
        BigDecimal length = rules.length(per);
        GradedLimit here = scales() ? stated.over(over, length) : stated;
        StepJudgement judged = isSigned() ? signed(here, value, u) : Recordings.byGrade(here, value.abs(), u, value);
        List<Reason> because = new ArrayList<>();
        if (scales() && over.compareTo(length) != 0) {
            Quantity scaled = new Quantity(value.multiply(length).divide(over, MathContext.DECIMAL64),
                    u.scaled(length.doubleValue() / over.doubleValue()).expanded(), Unit.MILLIMETRES);
            because.add(
                    Reason.of(EvidenceReason.SCALED_PER, Quantity.of(value, Unit.MILLIMETRES), Quantity.of(over, Unit.MILLIMETRES), scaled,
                            Quantity.of(length, Unit.MILLIMETRES)));
        }
        because.addAll(judged.because());
        because.addAll(List.of(besides));
        StepJudgement said = judged.saying(because);
        return scales() ? said.per(Figure.Per.mm(over, length)) : said;
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
                    List.of(Reason.of(EvidenceReason.GRADED_WITHIN, read, best.get(), Quantity.of(limit.at(best.get()), limit.unit()))));
        }
        Verdict verdict = wanted.verdict() == Verdict.OUTSIDE ? Verdict.OUTSIDE : Verdict.TOO_CLOSE_TO_CALL;
        return StepJudgement.of(Figure.of(value, u, new Figure.Against(limit, verdict, best)),
                List.of(wanted.because(), Reason.each(EvidenceReason.CHART_SENSE, sense)));
    }

    private static Judgement against(GradedLimit limit, Grade grade, BigDecimal value, Uncertainty u) {
        return Judgement.of(value, u,
                new Limit(BigDecimal.ZERO, limit.at(grade), limit.unit(),
                        Reason.of(EvidenceReason.LIMIT_CLAIM, Quantity.of(limit.at(grade), limit.unit()))));
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
        return Optional.of(way.gauge());
    }
}
