package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A force as read off a scale or load cell: {@code 1}, {@code 1 kN}, {@code 900 N}, {@code 100 kgf}, {@code 225 lbf}. A bare number is
 * kN, on
 * an inch machine lbf.
 *
 * <p>Worked: 225 lbf is 1.00085 kN.
 */
public final class TypedForce {

    private static final BigDecimal POUND = new BigDecimal("0.0044482216");
    private static final Map<String, BigDecimal> WORTH = Map.of("kn", BigDecimal.ONE, "n", new BigDecimal("0.001"), "kgf",
            new BigDecimal("0.00980665"), "kg", new BigDecimal("0.00980665"), "lbf", POUND, "lb", POUND, "lbs", POUND);
    private static final Pattern FORM = Pattern.compile("([^a-z]*\\d\\.?)\\s?([a-z]*)\\.?");

    private TypedForce() {
    }

    /**
     * In kN, above nought, with the worth of its last digit.
     *
     * @throws Refused when it is no force
     */
    public static TypedNumber parse(String text, LengthUnit machine) {
        if (text.isBlank()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        String typed = text.strip();
        Matcher parts = FORM.matcher(typed.toLowerCase(Locale.ROOT));
        BigDecimal worth = !parts.matches() ? BigDecimal.ONE
                : parts.group(2).isEmpty()
                        ? (machine == LengthUnit.INCH ? POUND : BigDecimal.ONE)
                        : WORTH.get(parts.group(2));
        if (worth == null) {
            throw Refused.because(ReadingReason.FORCE_NOT_ONE, typed.length() > 24 ? typed.substring(0, 24) + "…" : typed,
                    machine == LengthUnit.INCH ? 1 : 0);
        }
        TypedNumber number = TypedNumber.parsePositive(parts.matches() ? parts.group(1) : typed);
        return new TypedNumber(typed, number.value().multiply(worth).round(MathContext.DECIMAL64), number.step().multiply(worth));
    }
}
