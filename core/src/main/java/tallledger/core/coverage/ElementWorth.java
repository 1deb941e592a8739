package tallledger.core.coverage;

import tallledger.core.drive.StageKind;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * What knowing an element is worth: the chance p that it is bad times the cost c of finding out after the sale, in the user's own money.
 */
public final class ElementWorth {

    private ElementWorth() {
    }

    static double of(StageKind kind, Rules rules) {
        return rules.worth(rule(kind));
    }

    /**
     * p_e: the chance that an element is bad before anything is run. One table says it, by kind, for blame and money alike; what a house
     * once put down for all kinds together stands for it where it did.
     */
    public static double prior(StageKind kind, Rules rules) {
        boolean once = rules.figures(Rule.FAULTY).get(0).compareTo(Rule.FAULTY.shipped().get(0)) != 0;
        return once ? rules.value(Rule.FAULTY) : rules.figures(rule(kind)).get(0).doubleValue();
    }

    /** The rule with its chance and its cost. */
    public static Rule rule(StageKind kind) {
        return switch (kind) {
            case MOTOR -> Rule.WORTH_MOTOR;
            case BELT -> Rule.WORTH_BELT;
            case GEAR -> Rule.WORTH_GEAR;
            case CHANGE_WHEELS -> Rule.WORTH_CHANGE_WHEELS;
            case BACK_GEAR -> Rule.WORTH_BACK_GEAR;
            case VARIATOR -> Rule.WORTH_VARIATOR;
            case INVERTER -> Rule.WORTH_INVERTER;
            case COMMANDED -> Rule.WORTH_COMMANDED;
            case DIRECTION -> Rule.WORTH_DIRECTION;
        };
    }
}
