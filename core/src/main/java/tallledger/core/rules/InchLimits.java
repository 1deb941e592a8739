package tallledger.core.rules;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import tallledger.core.unit.LengthUnit;
import tallledger.core.unit.Unit;

/**
 * What the house's limits are on a machine read in inches. They are conventions, and gauges are graduated in inches, so round inch
 * figures over round inch lengths stand for them (house rule).
 *
 * <p>With T the limit in mm over a length L, L' the inch length that stands for L: T·(L'/L)/25.4, rounded in ln to the nearest of
 * 1, 1.2, 1.5, 2, 2.5, 3, 4, 5, 6, 8 × 10^k in. L' is 4, 6, 12, 20, 40 in for 100, 150, 300, 500, 1 000 mm; a limit in mm/m is one over
 * 12 in. A limit the house changed is somebody's own figure and is turned into inches as it is.
 *
 * <p>Worked: 0.010 mm per 300 mm is 0.4 thou per 12 in, 0.04 mm per 300 mm 1.5 thou per 12 in, 0.030 mm per 1 000 mm 1.2 thou per 40 in,
 * 0.02 mm/m 0.25 thou per 12 in.
 */
public final class InchLimits {

    private static final BigDecimal INCH = LengthUnit.INCH.millimetres();
    private static final BigDecimal METRE = BigDecimal.valueOf(1000);
    private static final BigDecimal FOOT = BigDecimal.valueOf(12);
    private static final Map<Integer, Integer> INCHES = Map.of(100, 4, 150, 6, 300, 12, 500, 20, 1000, 40);
    private static final List<BigDecimal> ROUND = List.of("1", "1.2", "1.5", "2", "2.5", "3", "4", "5", "6", "8", "10").stream()
            .map(BigDecimal::new).toList();

    private static final List<Integer> NUMBERS = List.of(1, 2, 4, 8, 16, 32, 63, 125, 250, 500, 1000, 2000);

    private InchLimits() {
    }

    /** L' in mm; a length no limit is stated for is left as it is. */
    public static BigDecimal length(BigDecimal mm) {
        Integer inches = mm.stripTrailingZeros().scale() > 0 ? null : INCHES.get(mm.intValue());
        return inches == null ? mm : INCH.multiply(BigDecimal.valueOf(inches));
    }

    /** A figure of a rule in its canonical unit; what is no length stays as it is. */
    static BigDecimal limit(BigDecimal figure, Rule rule, boolean changed) {
        BigDecimal share = switch (rule.unit()) {
            case MILLIMETRES -> rule.per().signum() == 0 ? BigDecimal.ONE : length(rule.per()).divide(rule.per(), MathContext.DECIMAL128);
            case MILLIMETRES_PER_METRE -> FOOT.multiply(INCH).divide(METRE, MathContext.DECIMAL128);
            default -> BigDecimal.ZERO;
        };
        if (share.signum() == 0 || figure.signum() <= 0) {
            return figure;
        }
        BigDecimal inches = figure.multiply(share).divide(INCH, MathContext.DECIMAL128);
        BigDecimal shown = changed ? inches : round(inches);
        BigDecimal mm = shown.multiply(INCH);
        return rule.unit() == Unit.MILLIMETRES ? mm.round(MathContext.DECIMAL64) : mm.divide(share, MathContext.DECIMAL64);
    }

    /** In µm: the nearest roughness number in µin. Worked: 1.6 µm is 63 µin, 1.6002 µm. */
    static BigDecimal roughness(BigDecimal micrometres) {
        double ln = Math.log(micrometres.doubleValue() * 1000 / INCH.doubleValue());
        int number = NUMBERS.stream().min(Comparator.comparingDouble(n -> Math.abs(Math.log(n) - ln))).orElseThrow();
        return INCH.multiply(BigDecimal.valueOf(number)).movePointLeft(3);
    }

    private static BigDecimal round(BigDecimal inches) {
        double ln = Math.log(inches.doubleValue());
        int decade = inches.precision() - inches.scale() - 1;
        return IntStream.rangeClosed(decade - 1, decade + 1).boxed().flatMap(k -> ROUND.stream().map(r -> r.scaleByPowerOfTen(k)))
                .min(Comparator.comparingDouble(r -> Math.abs(Math.log(r.doubleValue()) - ln))).orElseThrow();
    }
}
