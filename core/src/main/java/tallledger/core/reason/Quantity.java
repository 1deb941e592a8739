package tallledger.core.reason;

import java.math.BigDecimal;

/**
 * A figure with its unit, in the canonical one of core, to be shown in the unit of the machine it is of. Judging is done before.
 *
 * @param value    in {@code unit}
 * @param expanded U, in the same; nought where nothing is left open
 * @param unit     mm, mm/rev, mm/min or µm where it can be shown in inches; any other stays
 */
public record Quantity(BigDecimal value, double expanded, String unit) {

    public static Quantity of(BigDecimal value, String unit) {
        return new Quantity(value, 0, unit);
    }
}
