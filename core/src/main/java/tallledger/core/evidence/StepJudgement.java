package tallledger.core.evidence;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Judgement;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reason.Reason;

/**
 * What a step's record comes to.
 *
 * @param outcome proven, failed or undecided
 * @param grade   best grade proven within, where there are grades
 * @param because the comparisons that decided, with their numbers
 * @param worse   a severity worse than the step's own, where the record itself says so
 */
public record StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse) {

    public StepJudgement {
        because = List.copyOf(because);
    }

    /** The same, its figures in the unit of the machine. */
    public StepJudgement in(LengthUnit unit) {
        return new StepJudgement(outcome, grade, InUnit.of(because, unit), worse);
    }

    public static StepJudgement of(Outcome outcome, Reason... because) {
        return new StepJudgement(outcome, Optional.empty(), List.of(because), Optional.empty());
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
