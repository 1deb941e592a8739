package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.GradedLimit;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.gauge.Grade;
import tallledger.core.reading.TypedLength;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Quantity;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * One line of an acceptance chart: a way of measuring it, and its limit. Whoever has only the result types that; whoever has the readings
 * types those, and more is said.
 *
 * @param way   how it is measured
 * @param graded rule of its limit
 * @param per   length the limit is stated for, mm; nought where it is stated as it is
 * @param sense which side of nought is allowed
 */
public record ChartLine(ChartWay way, Rule graded, BigDecimal per, Sense sense) implements Recording<Object> {

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
    private static final String LIES = "lies";

    public static ChartLine of(ChartWay way, Rule graded) {
        return new ChartLine(way, graded, BigDecimal.ZERO, Sense.EITHER);
    }

    public static ChartLine per(ChartWay way, Rule graded, int per) {
        return new ChartLine(way, graded, BigDecimal.valueOf(per), Sense.EITHER);
    }

    /** The same with one side of nought only. */
    public ChartLine only(Sense one) {
        return new ChartLine(way, graded, per, one);
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
        fields.add(new Field(VALUE, Entry.LENGTH, "mm", "", List.of(), alone));
        if (scales()) {
            fields.add(new Field(OVER, Entry.LENGTH, "mm", alone ? per.toPlainString() : "", List.of(), alone));
        }
        if (isSigned() && !way.taking().isSigned()) {
            fields.add(new Field(LIES, Entry.CHOICE, "", Lies.AS_IT_MAY.name(), List.of(Lies.values()), false));
        }
        return fields;
    }

    @Override
    public Object read(Values values) {
        List<Field> asked = way.taking().fields(this);
        boolean readings = asked.stream().filter(Field::must)
                .anyMatch(f -> values.has(f.name()) && !values.text(f.name()).equals(f.start()));
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

    private Plain plain(Values values) {
        TypedLength value = values.length(VALUE);
        Optional<TypedLength> over = scales()
                ? Optional.of(values.has(OVER) ? values.length(OVER) : TypedLength.parse(per + " mm", values.unit())) : Optional.empty();
        over.filter(o -> o.mm().signum() <= 0).ifPresent(o -> {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, o.typed()).at(OVER);
        });
        boolean other = isSigned() && values.text(LIES).equals(Lies.THE_OTHER_WAY.name());
        return new Plain(other ? value.mm().negate() : value.mm(), value.step(), over, values.readWith(), values.apart());
    }

    @Override
    public StepJudgement judge(Object read, Rules rules) {
        return read instanceof Plain plain ? judge(plain, rules) : way.taking().judge(read, this, rules);
    }

    private StepJudgement judge(Plain read, Rules rules) {
        Uncertainty u = read.by.orElseGet(() -> rules.gauge(way.gauge())).difference(read.value, read.step);
        if (read.over.isEmpty()) {
            return judged(read.value, u, BigDecimal.ZERO, rules);
        }
        TypedLength over = read.over.get();
        // The length's own last digit moves the limit; here it is laid to the value, which comes to the same.
        double ofLength = read.value.abs().doubleValue() / over.mm().doubleValue() * over.step().doubleValue() / Math.sqrt(12);
        if (way != ChartWay.LENGTHS) {
            return judged(read.value, u.withDigit(ofLength), over.mm(), rules);
        }
        // Only here a length of the machine is held against one of a gauge.
        return judged(read.value, Takings.warm(u.withDigit(ofLength), over.mm().doubleValue(), read.apart), over.mm(), rules,
                Takings.temperature(over.mm().doubleValue(), read.apart).toArray(Reason[]::new));
    }

    /** The verdict on a result over a length, with what it comes to over the length its limit is stated for. */
    StepJudgement judged(BigDecimal value, Uncertainty u, BigDecimal over, Rules rules, Reason... besides) {
        GradedLimit stated = rules.graded(graded);
        GradedLimit here = scales() ? stated.over(over, per) : stated;
        StepJudgement judged = isSigned() ? signed(here, value, u) : Recordings.byGrade(here, value.abs(), u);
        List<Reason> because = new ArrayList<>();
        if (scales() && over.compareTo(per) != 0) {
            Quantity scaled = new Quantity(value.multiply(per).divide(over, MathContext.DECIMAL64),
                    u.scaled(per.doubleValue() / over.doubleValue()).expanded(), "mm");
            because.add(Reason.of(EvidenceReason.SCALED_PER, Quantity.of(value, "mm"), Quantity.of(over, "mm"), scaled,
                            Quantity.of(per, "mm")));
        }
        because.addAll(judged.because());
        because.addAll(List.of(besides));
        return judged.saying(because);
    }

    /** From nought to its figure: what lies the other way by more than U is outside whatever the figure. */
    private StepJudgement signed(GradedLimit limit, BigDecimal value, Uncertainty u) {
        Optional<Grade> best = Optional.empty();
        for (Grade grade : Grade.values()) {
            boolean within = against(limit, grade, value, u).verdict() == Verdict.WITHIN;
            best = best.isEmpty() && within ? Optional.of(grade) : best;
        }
        Judgement wanted = against(limit, limit.wanted(), value, u);
        Optional<StepJudgement.Budget> budget = Optional.of(new StepJudgement.Budget(u, limit.unit()));
        if (best.filter(grade -> grade.compareTo(limit.wanted()) <= 0).isPresent()) {
            Quantity read = new Quantity(value, u.expanded(), limit.unit());
            return new StepJudgement(Outcome.PROVEN, best,
                    List.of(Reason.of(EvidenceReason.GRADED_WITHIN, read, best.get(), Quantity.of(limit.at(best.get()), limit.unit()))),
                    Optional.empty(), budget);
        }
        Outcome outcome = wanted.verdict() == Verdict.OUTSIDE ? Outcome.FAILED : Outcome.UNDECIDED;
        return new StepJudgement(outcome, best, List.of(wanted.because(), Reason.each(EvidenceReason.CHART_SENSE, sense)), Optional.empty(),
                budget);
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
    public Optional<BigDecimal> limitPer() {
        return scales() ? Optional.of(per) : Optional.empty();
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
