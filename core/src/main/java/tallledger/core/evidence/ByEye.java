package tallledger.core.evidence;

import tallledger.core.coverage.Outcome;
import tallledger.core.reason.Reason;

/**
 * A step that can be measured, told by eye and ear alone: it does not do what it should, which anybody sees, or it does, where nobody said
 * how fast. No figure is judged by it and no claim of a figure rests on it.
 */
public record ByEye() {

    /** Of what was seen; whether it is as it should be is the surveyor's word. */
    public static final StepJudgement JUDGED = StepJudgement.of(Outcome.PROVEN, Reason.of(EvidenceReason.BY_EYE));
}
