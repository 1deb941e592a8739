package tallledger.core.unit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * A figure with its unit, in the canonical one of core, to be shown in the unit of the machine it is of. Judging is done before.
 *
 * @param value    in {@code unit}
 * @param expanded U, in the same; nought where nothing is left open
 * @param reckoned whether {@code value} is reckoned, with all its digits: how many are shown is settled in the unit it is shown in
 */
public record Quantity(BigDecimal value, double expanded, Unit unit, boolean reckoned) {

    private static final int NOISE = 6;
    private static final MathContext DIGITS = new MathContext(4);

    public Quantity(BigDecimal value, double expanded, Unit unit) {
        this(value, expanded, unit, false);
    }

    /** What was reckoned from readings, rounded to where binary noise begins and no more. */
    public static Quantity reckoned(double value, Unit unit) {
        return new Quantity(new BigDecimal(value).setScale(NOISE, RoundingMode.HALF_UP), 0, unit, true);
    }

    public static Quantity of(BigDecimal value, Unit unit) {
        return new Quantity(value, 0, unit);
    }

    /** A length, mm. */
    public static Quantity mm(BigDecimal value) {
        return of(value, Unit.MILLIMETRES);
    }

    /** To the few digits that matter where somebody reads it in a failed test. */
    @Override
    public String toString() {
        return "Quantity[value=" + (reckoned ? value.round(DIGITS).stripTrailingZeros().toPlainString() : value) + ", expanded=" + expanded
                + ", unit=" + unit.symbol() + "]";
    }
}
