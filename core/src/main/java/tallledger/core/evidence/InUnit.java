package tallledger.core.evidence;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Shown;
import tallledger.core.reason.LengthUnit;
import tallledger.core.reason.Quantity;
import tallledger.core.reason.Reason;

/**
 * Figures of core in the unit of the machine they are of: an inch machine shows inches, thou under 0.1 in, feeds in inches. Only for
 * showing; what was typed and what it was judged against stay as they are.
 *
 * <p>Worked: 0.05 mm is 1.97 thou, 0.0127 mm is 0.5 thou, 760 mm is 29.9 in, 0.0508 mm/rev is 0.002 in/rev.
 */
public final class InUnit {

    private static final BigDecimal INCH = LengthUnit.INCH.millimetres();
    /** Below so many mm thou are said: a tenth of an inch. */
    private static final BigDecimal THOU_UNDER = new BigDecimal("2.54");
    /** What was typed in inches ends after a few digits; a limit of millimetres does not, and three say it. */
    private static final int EXACT = 6;
    /** Unit of a roughness in µm: µin on an inch machine, where other µm are thou. */
    public static final String ROUGHNESS = "Ra";
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
    public static Reason of(Quantity quantity, LengthUnit unit) {
        Optional<Scale> scale = unit == LengthUnit.INCH ? Scale.of(quantity) : Optional.empty();
        String written = scale.map(Scale::unit).orElse(quantity.unit().equals(ROUGHNESS) ? "µm" : quantity.unit());
        Object figure = quantity.expanded() > 0
                ? Shown.of(scale.map(s -> quantity.value().divide(s.worth, MathContext.DECIMAL64)).orElse(quantity.value()),
                        quantity.expanded() / scale.map(s -> s.worth.doubleValue()).orElse(1.0))
                : quantity.reckoned() ? reckoned(quantity, scale)
                        : scale.map(s -> figure(quantity.value(), s.worth)).orElseGet(() -> plain(quantity.value()));
        return written.isEmpty() ? Reason.of(EvidenceReason.FIGURE, figure) : Reason.of(EvidenceReason.FIGURE_UNIT, figure, written);
    }

    /** A length of so many mm, to be read in a unit; mm themselves as they are. */
    public static Reason length(BigDecimal mm, LengthUnit unit) {
        return of(Quantity.of(mm, "mm"), unit);
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
    private static BigDecimal reckoned(Quantity quantity, Optional<Scale> scale) {
        BigDecimal value = scale.map(s -> quantity.value().divide(s.worth, MathContext.DECIMAL64)).orElse(quantity.value());
        String unit = scale.map(Scale::unit).orElse(quantity.unit());
        return plain(switch (unit) {
            case "µm" -> value.setScale(1, RoundingMode.HALF_UP);
            case "thou" -> value.round(THREE).setScale(3, RoundingMode.HALF_UP);
            default -> value.round(FOUR);
        });
    }

    private static BigDecimal figure(BigDecimal value, BigDecimal worth) {
        return plain(value.divide(worth, MathContext.DECIMAL64));
    }

    private static BigDecimal plain(BigDecimal value) {
        BigDecimal exact = value.stripTrailingZeros();
        BigDecimal stripped = exact.precision() <= EXACT ? exact : exact.round(THREE).stripTrailingZeros();
        return stripped.scale() < 0 ? stripped.setScale(0) : stripped;
    }

    /** An inch unit and its worth in the canonical one. */
    private record Scale(String unit, BigDecimal worth) {

        static Optional<Scale> of(Quantity q) {
            return switch (q.unit()) {
                case "mm" -> Optional.of(q.value().abs().max(BigDecimal.valueOf(q.expanded())).compareTo(THOU_UNDER) < 0
                        ? new Scale("thou", INCH.movePointLeft(3))
                        : new Scale("in", INCH));
                case "µm" -> Optional.of(new Scale("thou", INCH));
                case "mm/rev" -> Optional.of(new Scale("in/rev", INCH));
                case "mm/min" -> Optional.of(new Scale("in/min", INCH));
                case "mm/m" -> Optional.of(new Scale("thou per 12 in", BigDecimal.ONE.divide(BigDecimal.valueOf(12),
                        MathContext.DECIMAL128)));
                case "µm/m" -> Optional.of(new Scale("µin/in", BigDecimal.ONE));
                case ROUGHNESS -> Optional.of(new Scale("µin", INCH.movePointLeft(3)));
                case "m/min" -> Optional.of(new Scale("ft/min", INCH.multiply(BigDecimal.valueOf(12)).movePointLeft(3)));
                // Wheels are marked by the minute where they are marked in feet.
                case "m/s" -> Optional.of(new Scale("ft/min", new BigDecimal("0.00508")));
                case "kN" -> Optional.of(new Scale("lbf", new BigDecimal("0.0044482216")));
                case "N/mm²" -> Optional.of(new Scale("hp per in³/min", BigDecimal.valueOf(2730)));
                case "kg" -> Optional.of(new Scale("lb", new BigDecimal("0.4536")));
                case "kW" -> Optional.of(new Scale("hp", new BigDecimal("0.7457")));
                // A rise or a fall, never a temperature: those are typed in either and kept as typed.
                case "K" -> Optional.of(new Scale("°F", new BigDecimal(5).divide(new BigDecimal(9), MathContext.DECIMAL64)));
                case "N·m" -> Optional.of(new Scale("lb·ft", new BigDecimal("1.3558")));
                default -> Optional.empty();
            };
        }
    }
}
