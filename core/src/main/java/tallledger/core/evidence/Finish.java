package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.coverage.Outcome;
import tallledger.core.finish.Trace;
import tallledger.core.finish.Turned;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Limit;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.gauge.Verdict;
import tallledger.core.reading.TypedLength;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Quantity;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * How smooth a cut came out, against what feed and nose should leave (turned) or what the process usually leaves (house values): up to 1.5
 * times it is good, up to 3 times ordinary, over that something else writes on the surface.
 *
 * <p>Worked: f 0.2, r 0.8 should leave Ra 1.60: 2.0 is 1.25 times that, good; 6.3 is 3.9 times.
 *
 * @param process what made it
 */
public record Finish(Process process) implements Recording<Finish.Read> {

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
     * @param trace  where one was pasted, at the cut-off its own surface calls for
     */
    public record Read(BigDecimal ra, BigDecimal step, By how, Optional<Turned> turned, Optional<Trace.Roughness> trace, Optional<Gauge> by) {
    }

    private static final MathContext SHOWN = new MathContext(3);
    /** Half of what a grade leaves open either way, as a share. */
    private static final double BY_EYE = 0.5;

    @Override
    public <T> T tell(Kinds<T> kinds) {
        return kinds.finish(this);
    }

    @Override
    public String code() {
        return "finish";
    }

    @Override
    public List<Field> fields() {
        List<Field> fields = new ArrayList<>(List.of(Field.may("ra", Entry.NUMBER, "µm"), new Field("how", Entry.CHOICE, "", By.GAUGE.name(), List.of(By.values()), false)));
        if (process == Process.TURNED) {
            fields.add(Field.may("feed", Entry.LENGTH, "mm"));
            fields.add(Field.may("nose", Entry.LENGTH, "mm"));
        }
        fields.add(Field.may("spacing", Entry.LENGTH, "mm"));
        fields.add(Field.may("trace", Entry.LONG_TEXT, "µm"));
        return fields;
    }

    @Override
    public Read read(Values values) {
        Optional<Turned> turned = values.has("feed") && values.has("nose")
                ? Optional.of(values.at("feed", () -> new Turned(values.length("feed").mm().doubleValue(), values.length("nose").mm().doubleValue()))) : Optional.empty();
        By how = Stream.of(By.values()).filter(b -> b.name().equals(values.text("how"))).findFirst().orElse(By.GAUGE);
        if (values.has("trace")) {
            if (values.has("ra")) {
                throw Refused.because(EvidenceReason.FINISH_BOTH).at("ra");
            }
            Trace.Roughness rough = trace(values).chosen(process != Process.GROUND);
            return new Read(new BigDecimal(rough.ra()).round(SHOWN), BigDecimal.ZERO, By.GAUGE, turned, Optional.of(rough), values.readWith());
        }
        TypedNumber ra = values.at("ra", () -> TypedNumber.parsePositive(values.text("ra")));
        return new Read(ra.value(), ra.step(), how, turned, Optional.empty(), values.readWith());
    }

    /** One height after the other, or "x z" lines: then x gives the spacing, and it must be even. */
    private static Trace trace(Values values) {
        return values.at("trace", () -> {
            List<String[]> rows = values.text("trace").lines().map(String::strip).filter(l -> !l.isEmpty()).map(l -> l.split("[\\s;]+|,(?=\\s)")).toList();
            boolean pairs = rows.size() > 1 && rows.stream().allMatch(r -> r.length == 2);
            if (!pairs) {
                double spacing = values.has("spacing") ? values.length("spacing").mm().doubleValue() : 0;
                return new Trace(spacing, rows.stream().flatMap(Arrays::stream).map(z -> TypedNumber.parse(z).value().doubleValue()).toList());
            }
            List<Double> x = rows.stream().map(r -> TypedLength.parse(r[0], values.unit()).mm().doubleValue()).toList();
            double spacing = (x.get(x.size() - 1) - x.get(0)) / (x.size() - 1);
            for (int i = 1; i < x.size(); i++) {
                if (!(Math.abs(x.get(i) - x.get(i - 1) - spacing) <= 0.05 * Math.abs(spacing))) {
                    throw Refused.because(EvidenceReason.FINISH_UNEVEN, i + 1, x.get(i - 1), x.get(i));
                }
            }
            return new Trace(spacing, rows.stream().map(r -> TypedNumber.parse(r[1]).value().doubleValue()).toList());
        });
    }

    /** Ra that should be there, µm; empty for a turned surface of which nobody says feed and nose. */
    private Optional<BigDecimal> expected(Read read, Rules rules) {
        return switch (process) {
            case TURNED -> read.turned.map(t -> new BigDecimal(t.ra()).round(SHOWN));
            case MILLED -> Optional.of(rules.number(Rule.RA_MILLED));
            case GROUND -> Optional.of(rules.number(Rule.RA_GROUND));
            case DRILLED -> Optional.of(rules.number(Rule.RA_DRILLED));
        };
    }

    @Override
    public StepJudgement judge(Read read, Rules rules) {
        List<Reason> says = new ArrayList<>();
        Uncertainty u = read.how == By.PLATE ? Uncertainty.of(0, BY_EYE * read.ra.doubleValue() / Gauge.COVERAGE_FACTOR)
                : read.by.orElseGet(() -> rules.gauge(Rule.ROUGHNESS)).reading(read.ra, read.step);
        Quantity ra = new Quantity(read.ra, u.expanded(), "µm");
        read.trace.ifPresent(t -> says.add(Reason.of(EvidenceReason.FINISH_TRACE, BigDecimal.valueOf(t.cutOff()).stripTrailingZeros(), t.lengths(), shown(t.rz()), shown(t.rq()), shown(t.rt()),
                new BigDecimal(t.rsk()).round(new MathContext(2)), Quantity.of(new BigDecimal(t.rsm()).round(SHOWN), "mm"))));
        Optional<BigDecimal> expected = expected(read, rules);
        int grade = Trace.grade(read.ra.doubleValue());
        if (expected.isEmpty()) {
            says.add(0, Reason.of(EvidenceReason.FINISH_ALONE, ra, grade));
            return StepJudgement.of(Outcome.UNDECIDED, says.toArray(Reason[]::new));
        }
        BigDecimal most = expected.get().multiply(rules.figures(Rule.FINISH_RATIO).get(1));
        Judgement judged = Judgement.of(read.ra, u, new Limit(BigDecimal.ZERO, most, "µm", Reason.of(EvidenceReason.LIMIT_CLAIM, Quantity.of(most, "µm"))));
        BigDecimal times = read.ra.divide(expected.get(), new MathContext(2));
        boolean good = read.ra.compareTo(expected.get().multiply(rules.figures(Rule.FINISH_RATIO).get(0))) <= 0;
        EvidenceReason code = judged.verdict() == Verdict.OUTSIDE ? EvidenceReason.FINISH_ELSE : judged.verdict() == Verdict.TOO_CLOSE_TO_CALL ? EvidenceReason.FINISH_CLOSE
                : good ? EvidenceReason.FINISH_GOOD : EvidenceReason.FINISH_ORDINARY;
        says.add(0, Reason.of(code, ra, grade, times, Quantity.of(expected.get(), "µm")));
        Outcome outcome = StepJudgement.of(judged).outcome();
        return new StepJudgement(outcome, Optional.empty(), says, Optional.empty(), Optional.of(new StepJudgement.Budget(u, "µm")));
    }

    private static Quantity shown(double um) {
        return Quantity.of(new BigDecimal(um).round(SHOWN), "µm");
    }

    @Override
    public Optional<Rule> usualGauge() {
        return Optional.of(Rule.ROUGHNESS);
    }
}
