package tallledger.core.plan;

import tallledger.core.reason.ReasonCode;
import tallledger.core.reason.Sentence;

/** Why, as this package says it: each with the names of what stands in its sentence. */
enum PlanReason implements ReasonCode {
    NEXT_BESIDE("next.beside"),
    NEXT_BESIDE_NONE("next.beside-none"),
    NEXT_BESIDE_TURNS("next.beside-turns", "why"),
    NEXT_LATER("next.later"),
    NEXT_NONE("next.none"),
    NEXT_PLAN("next.plan"),
    NEXT_REPEAT("next.repeat"),
    NEXT_TELLS("next.tells", "gain"),
    NEXT_TELLS_AGAIN("next.tells-again", "gain"),
    PLAN_BEYOND_FAILED("plan.beyond-failed", "elements"),
    PLAN_BEYOND_GATE("plan.beyond-gate", "elements"),
    PLAN_BEYOND_PASSED("plan.beyond-passed", "elements"),
    PLAN_BEYOND_STOP_USE("plan.beyond-stop-use", "elements"),
    PLAN_BEYOND_UNDECIDED("plan.beyond-undecided", "elements"),
    SOUND_BOTH("sound.tells-both", "parts"),
    SOUND_KNOCK("sound.tells-knock", "parts"),
    SOUND_NO_KNOCK("sound.tells-no-knock", "parts"),
    SOUND_NO_SIDEBANDS("sound.tells-no-sidebands", "parts"),
    SOUND_NOTHING("sound.tells-nothing", "parts"),
    SOUND_SIDEBANDS("sound.tells-sidebands", "parts");

    private final Sentence sentence;

    PlanReason(String code, String... arguments) {
        sentence = Sentence.of(code, arguments);
    }

    @Override
    public Sentence sentence() {
        return sentence;
    }
}
