package tallledger.core.machine;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum MachineReason implements ReasonCode {
    CLAIM_COUNT("claim.count", "value"),
    CLAIM_EMPTY("claim.empty"),
    CLAIM_TEXT_LONG("claim.text-long", "length", "most"),
    CLAIMS_MANY("claims.many", "count", "mostClaims"),
    MACHINE_NAME_MISSING("machine.name-missing"),
    PLATE_OTHER_LEVERS("plate.other-levers");

    private final Sentence sentence;

    MachineReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
