package tallledger.core.kit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * Weight on the hook against what the lift is said to carry: machine + skid + extras ≤ carries. A sum only; a competent rigger
 * decides, and looks at the slings, the points and the floor.
 *
 * <p>Worked: 1 850 + 120 + 90 = 2 060 kg on a lift said to carry 2 000: 60 kg too much.
 *
 * @param machine kg
 * @param skid    kg
 * @param extras  kg
 * @param carries what the lift is said to carry, kg
 * @param saidBy  who says so
 */
public record Lift(BigDecimal machine, BigDecimal skid, BigDecimal extras, BigDecimal carries, String saidBy) {

    private static final BigDecimal HEAVIEST = BigDecimal.valueOf(200_000);

    public static Lift parse(String machine, String skid, String extras, String carries, String saidBy) {
        return new Lift(mass(machine, "machine", false), mass(skid, "skid", true), mass(extras, "extras", true), mass(carries, "carries", false), saidBy.strip());
    }

    private static BigDecimal mass(String typed, String field, boolean mayBeEmpty) {
        if (typed.isBlank() && mayBeEmpty) {
            return BigDecimal.ZERO;
        }
        try {
            BigDecimal mass = TypedNumber.parse(typed.replaceAll("(?i)\\s*kg$", "")).value();
            if (mass.signum() < 0 || !mayBeEmpty && mass.signum() == 0 || mass.compareTo(HEAVIEST) > 0) {
                throw Refused.because(KitReason.LIFT_MASS, typed, HEAVIEST);
            }
            return mass;
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    public BigDecimal total() {
        return machine.add(skid).add(extras);
    }

    public Reason says(Rules rules) {
        BigDecimal left = carries.subtract(total());
        if (left.signum() < 0) {
            return Reason.of(KitReason.LIFT_TOO_MUCH, total(), carries, left.negate());
        }
        boolean tight = left.divide(carries, MathContext.DECIMAL64).compareTo(rules.share(Rule.LIFT_TIGHT)) < 0;
        return Reason.of(tight ? KitReason.LIFT_TIGHT : KitReason.LIFT_ENOUGH, total(), carries, left);
    }

    public Map<String, Object> toPayload() {
        return Map.of("machine", machine.toPlainString(), "skid", skid.toPlainString(), "extras", extras.toPlainString(), "carries", carries.toPlainString(),
                "saidBy", saidBy);
    }

    public static Lift from(Payload p) {
        return parse(p.text("machine"), p.text("skid"), p.text("extras"), p.text("carries"), p.text("saidBy"));
    }

    /** Where it was recorded nothing is known, and nothing is lifted on a guess. */
    public static Reason unknown() {
        return Reason.of(KitReason.LIFT_UNKNOWN);
    }

}
