package tallledger.core.evidence;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
public enum EvidenceReason implements ReasonCode {
    BY_EYE("step.by-eye"), BY_EYE_WHY("step.by-eye-why"),
    BUDGET("budget", "expanded", "parts"),
    BUDGET_DIGIT("budget.digit", "size"),
    BUDGET_GAUGE("budget.gauge", "size"),
    BUDGET_REPEATS("budget.repeats", "size"),
    BUDGET_REPEATABILITY("budget.repeatability", "size"),
    BUDGET_TEMPERATURE("budget.temperature", "size"),
    LENGTH_NEGATIVE("length.negative", "field");

    private final Sentence sentence;

    EvidenceReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
