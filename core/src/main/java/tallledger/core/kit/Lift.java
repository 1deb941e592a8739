package tallledger.core.kit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import tallledger.core.ledger.Payload;
import tallledger.core.reading.Mass;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Unit;

/**
 * Weight on the hook against what the lift is said to carry: machine + skid + extras ≤ carries. A sum only; a competent rigger
 * decides, and looks at the slings, the points and the floor.
 *
 * <p>Worked: 1 850 + 120 + 90 = 2 060 kg on a lift said to carry 2 000: 60 kg too much.
 *
 * @param machine as typed, often between two figures
 * @param skid    likewise
 * @param extras  likewise
 * @param carries what the lift is said to carry
 * @param saidBy  who says so
 */
public record Lift(Mass machine, Mass skid, Mass extras, Mass carries, String saidBy) {

    private static final BigDecimal HEAVIEST = BigDecimal.valueOf(200_000);
    private static final BigDecimal HEAVIEST_LB = BigDecimal.valueOf(440_000);

    /** As typed; bare figures are kg. */
    public static Lift parse(String machine, String skid, String extras, String carries, String saidBy) {
        return parse(machine, skid, extras, carries, saidBy, LengthUnit.MM);
    }

    /**
     * As typed at a machine.
     *
     * @param of whose unit bare figures are in: kg, or lb
     * @throws Refused naming machine, skid, extras or carries
     */
    public static Lift parse(String machine, String skid, String extras, String carries, String saidBy, LengthUnit of) {
        return new Lift(mass(machine, "machine", false, of), mass(skid, "skid", true, of), mass(extras, "extras", true, of),
                mass(carries, "carries", false, of), saidBy.strip());
    }

    private static Mass mass(String typed, String field, boolean mayBeEmpty, LengthUnit of) {
        if (typed.isBlank() && mayBeEmpty) {
            return Mass.NONE;
        }
        try {
            Mass mass = Mass.parse(typed, of);
            if (!mayBeEmpty && mass.low().signum() == 0 || mass.high().compareTo(HEAVIEST) > 0) {
                boolean inches = of == LengthUnit.INCH;
                throw Refused.because(KitReason.LIFT_MASS, typed, inches ? HEAVIEST_LB : HEAVIEST, inches ? 1 : 0);
            }
            return mass;
        } catch (Refused refused) {
            throw refused.at(field);
        }
    }

    /** The most it may come to, kg. */
    public BigDecimal total() {
        return machine.high().add(skid.high()).add(extras.high());
    }

    /** The heaviest it may be against the least the lift may carry; where only that is too much, it is said that it may be. */
    public Reason says(Rules rules) {
        BigDecimal left = carries.low().subtract(total());
        if (left.signum() < 0) {
            BigDecimal least = machine.low().add(skid.low()).add(extras.low());
            boolean surely = least.compareTo(carries.high()) > 0;
            return Reason.of(surely ? KitReason.LIFT_TOO_MUCH : KitReason.LIFT_MAY_BE_TOO_MUCH, kg(surely ? least : total()),
                    kg(surely ? carries.high() : carries.low()), kg(surely ? least.subtract(carries.high()) : left.negate()));
        }
        boolean tight = left.divide(carries.low(), MathContext.DECIMAL64).compareTo(rules.share(Rule.LIFT_TIGHT)) < 0;
        return Reason.of(tight ? KitReason.LIFT_TIGHT : KitReason.LIFT_ENOUGH, kg(total()), kg(carries.low()), kg(left));
    }

    private static Quantity kg(BigDecimal mass) {
        return Quantity.of(mass, Unit.KILOGRAMS);
    }

    public Map<String, Object> toPayload() {
        return Map.of("machine", machine.typed(), "skid", skid.typed(), "extras", extras.typed(), "carries", carries.typed(),
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
