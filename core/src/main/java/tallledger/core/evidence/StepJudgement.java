package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Uncertainty;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * What a step's record comes to.
 *
 * @param outcome proven, failed or undecided
 * @param grade   best grade proven within, where there are grades
 * @param because the comparisons that decided, with their numbers
 * @param worse   a severity worse than the step's own, where the record itself says so
 * @param budget  what its figure leaves open, part by part, where it has one
 * @param held    whether somebody looked, or there was something to hold it against; what was only read is neither good nor bad
 */
public record StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse,
        Optional<Budget> budget, boolean held) {

    /**
     * A judged figure's uncertainty part by part, in the unit of the figure.
     *
     * @param value    what was judged
     * @param workable its limit of the last grade
     * @param unit     canonical, of both
     */
    public record Budget(Uncertainty parts, BigDecimal value, BigDecimal workable, Unit unit) {

        /** How many times the last limit the figure is; nought where the limit is. */
        public double timesItsLimit() {
            return workable.signum() == 0 ? 0 : Math.abs(value.doubleValue()) / workable.doubleValue();
        }

        /** Each part as it goes into U: the digit, the gauge, the repeats, the temperature; those that add nothing are left out. */
        public Reason says(LengthUnit machine) {
            List<Object> says = new ArrayList<>();
            part(EvidenceReason.BUDGET_DIGIT, machine, Gauge.COVERAGE_FACTOR * parts.digit(), says);
            part(EvidenceReason.BUDGET_GAUGE, machine, Gauge.COVERAGE_FACTOR * parts.calibration(), says);
            part(parts.repeats() < 2 ? EvidenceReason.BUDGET_REPEATABILITY : EvidenceReason.BUDGET_REPEATS, machine,
                    Math.sqrt(Math.max(0, Math.pow(parts.expanded(), 2) - Math.pow(Gauge.COVERAGE_FACTOR * parts.rest(), 2))), says);
            part(EvidenceReason.BUDGET_TEMPERATURE, machine, Gauge.COVERAGE_FACTOR * parts.thermal(), says);
            return InUnit.of(Reason.of(EvidenceReason.BUDGET, figure(parts.expanded(), machine), says), machine);
        }

        private void part(EvidenceReason which, LengthUnit machine, double size, List<Object> says) {
            if (size > parts.expanded() / 1000) {
                says.add(Reason.of(which, figure(size, machine)));
            }
        }

        /** To two digits; what is shown in inches is rounded when it is, not in mm first. */
        private Quantity figure(double size, LengthUnit machine) {
            return Quantity.of(new BigDecimal(size).round(new MathContext(machine == LengthUnit.INCH ? 6 : 2)), unit);
        }
    }

    /** Of what was held against something. */
    public StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse, Optional<Budget> budget) {
        this(outcome, grade, because, worse, budget, true);
    }

    /** Of a record without a figure that was measured. */
    public StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse) {
        this(outcome, grade, because, worse, Optional.empty());
    }

    /** The same, saying this. */
    public StepJudgement saying(List<Reason> other) {
        return new StepJudgement(outcome, grade, other, worse, budget, held);
    }

    public StepJudgement {
        because = List.copyOf(because);
    }

    /** The same, its figures in the unit of the machine. */
    public StepJudgement in(LengthUnit unit) {
        return new StepJudgement(outcome, grade, InUnit.of(because, unit), worse, budget, held);
    }

    public static StepJudgement of(Outcome outcome, Reason... because) {
        return new StepJudgement(outcome, Optional.empty(), List.of(because), Optional.empty());
    }

    /** Of what was read, counted or measured with nothing to hold it against: done, and no more is said of it than the figure. */
    public static StepJudgement read(Reason... because) {
        return new StepJudgement(Outcome.PROVEN, Optional.empty(), List.of(because), Optional.empty(), Optional.empty(), false);
    }

    public static StepJudgement of(Judgement judgement) {
        Outcome outcome = switch (judgement.verdict()) {
            case WITHIN -> Outcome.PROVEN;
            case OUTSIDE -> Outcome.FAILED;
            case TOO_CLOSE_TO_CALL -> Outcome.UNDECIDED;
        };
        return of(outcome, judgement.because());
    }
}
