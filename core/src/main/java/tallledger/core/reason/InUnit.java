package tallledger.core.reason;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Quantity;
import tallledger.core.unit.Shown;
import tallledger.core.unit.Unit;

/**
 * Figures of core in the unit of the machine they are of: an inch machine shows inches, thou under 0.1 in, feeds in inches. Only for
 * showing; what was typed and what it was judged against stay as they are.
 *
 * <p>Worked: 0.05 mm is 1.97 thou, 0.0127 mm is 0.5 thou, 760 mm is 29.9 in, 0.0508 mm/rev is 0.002 in/rev.
 */
public final class InUnit {

    /** What was typed in inches ends after a few digits; a limit of millimetres does not, and three say it. */
    private static final int EXACT = 6;
    private static final MathContext THREE = new MathContext(3);
    private static final MathContext FOUR = new MathContext(4, RoundingMode.HALF_UP);

    private InUnit() {
    }

    /** The reason with every quantity in it as figure and unit. */
    public static Reason of(Reason reason, LengthUnit unit) {
        return new Reason(reason.code(), reason.arguments().stream().map(a -> argument(a, unit)).toList());
    }

    public static List<Reason> of(List<Reason> reasons, LengthUnit unit) {
        return reasons.stream().map(r -> of(r, unit)).toList();
    }

    /** One figure with its unit behind it. */
    public static Reason of(Quantity quantity, LengthUnit machine) {
        Unit unit = quantity.unit().shownIn(machine, quantity.value().abs().max(BigDecimal.valueOf(quantity.expanded())));
        BigDecimal value = quantity.unit().to(unit, quantity.value());
        Object figure = quantity.expanded() > 0
                ? Shown.of(value, quantity.unit().to(unit, BigDecimal.valueOf(quantity.expanded())).doubleValue())
                : quantity.reckoned() ? reckoned(value, unit) : plain(value);
        return unit.symbol().isEmpty() ? Reason.of(CommonReason.FIGURE, figure)
                : Reason.of(CommonReason.FIGURE_UNIT, figure, unit.symbol());
    }

    /** A length of so many mm, to be read in a unit; mm themselves as they are. */
    public static Reason length(BigDecimal mm, LengthUnit unit) {
        return of(Quantity.mm(mm), unit);
    }

    private static Object argument(Object argument, LengthUnit unit) {
        if (argument instanceof Quantity quantity) {
            return of(quantity, unit);
        } else if (argument instanceof Reason nested) {
            return of(nested, unit);
        }
        return argument instanceof List<?> list ? list.stream().map(a -> argument(a, unit)).toList() : argument;
    }

    /** To four digits; tenths of a micrometre and thousandths of a thou are as fine as anybody reckons with. */
    private static BigDecimal reckoned(BigDecimal value, Unit unit) {
        return plain(switch (unit) {
            case MICROMETRES -> value.setScale(1, RoundingMode.HALF_UP);
            case MILLIMETRES -> value.round(FOUR).setScale(4, RoundingMode.HALF_UP);
            case THOU -> value.round(THREE).setScale(3, RoundingMode.HALF_UP);
            default -> value.round(FOUR);
        });
    }

    private static BigDecimal plain(BigDecimal value) {
        BigDecimal exact = value.stripTrailingZeros();
        BigDecimal stripped = exact.precision() <= EXACT ? exact : exact.round(THREE).stripTrailingZeros();
        return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
    }
}
