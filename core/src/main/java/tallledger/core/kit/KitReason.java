package tallledger.core.kit;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum KitReason implements ReasonCode {
    KIT_COST("kit.cost", "cost"),
    KIT_COUNTED("kit.counted", "typed"),
    KIT_NAME("kit.name"),
    KIT_PROMISED_MISSING("kit.promised-missing", "name", "promised"),
    KIT_UNTIL("kit.until", "typed"),
    LIFT_ENOUGH("lift.enough", "total", "carries", "left"),
    LIFT_MAY_BE_TOO_MUCH("lift.may-be-too-much", "total", "carries", "over"),
    LIFT_MASS("lift.mass", "typed", "heaviest", "inches"),
    LIFT_TIGHT("lift.tight", "total", "carries", "left"),
    LIFT_TOO_MUCH("lift.too-much", "total", "carries", "left"),
    LIFT_UNKNOWN("lift.unknown");

    private final Sentence sentence;

    KitReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
