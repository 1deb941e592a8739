package tallledger.core.blame;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum BlameReason implements ReasonCode {
    CAUSE_COMMON("cause.common", "factor"),
    CAUSE_ELSEWHERE("cause.elsewhere", "name", "other", "nominal"),
    CAUSE_FRACTION("cause.fraction", "name", "times"),
    CAUSE_GROOVE("cause.groove", "stage", "is", "should", "factor"),
    CAUSE_INVERTER("cause.inverter", "name", "factor"),
    CAUSE_LOW_UNLOADED("cause.low-unloaded", "factor"),
    CAUSE_MULTIPLE("cause.multiple", "name", "times"),
    CAUSE_NUMBERED("cause.numbered", "parts"),
    NUMBERED_LEVERS("cause.numbered-levers", "lever", "other"),
    NUMBERED_PAIRS("cause.numbered-pairs", "lever", "pairs"),
    NUMBERED_PAIR("cause.numbered-pair", "label", "other"),
    NUMBERED_ROUND("cause.numbered-round", "lever", "each"),
    NUMBERED_AS("cause.numbered-as", "label", "meant"),
    CAUSE_PLATE("cause.plate", "name", "predict"),
    CAUSE_POSITION("cause.position", "name", "label", "exp"),
    CAUSE_SLIP("cause.slip", "name", "exp"),
    CAUSE_SUPPLY_HIGH("cause.supply-high", "factor"),
    CAUSE_SUPPLY_LOW("cause.supply-low", "factor"),
    CAUSE_UNLOADED("cause.unloaded", "factor"),
    CHECK_COSTS("check.costs", "low", "likely", "high"),
    CHECK_ELEMENT("check.element", "element"),
    CHECK_WHAT("check.what", "longest");

    private final Sentence sentence;

    BlameReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
