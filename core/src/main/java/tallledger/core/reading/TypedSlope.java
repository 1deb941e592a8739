package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A slope, or what a level's division is worth: {@code 0.02}, {@code 0.02 mm/m}, {@code 0.0005 in/ft}, {@code 0.5 thou per 12 in},
 * {@code 4 thou/ft}. A bare number is in mm/m, on an inch machine in thousandths of an inch per 12 in.
 *
 * <p>Worked: 0.0005 in/ft is 0.5 thou per 12 in, 0.5/12 = 0.0417 mm/m.
 */
public final class TypedSlope {

    private static final BigDecimal TWELVE = BigDecimal.valueOf(12);
    private static final BigDecimal THOUSAND = BigDecimal.valueOf(1000);
    private static final int LONGEST = 40;
    private static final Pattern FORM = Pattern.compile(
            "([^a-zµ\"/]*\\d\\.?)\\s?(mm|µm|um|in|inch|inches|\"|thou|tenths)?\\s?(?:(?:/|per|in)\\s?(12 ?in|12"
                    + " ?\"|ft|foot|m|metre|meter)?)?\\.?");

    private TypedSlope() {
    }

    /**
     * In mm/m, with the worth of its last digit.
     *
     * @throws Refused when it is no slope
     */
    public static TypedNumber parse(String text, LengthUnit machine) {
        if (text.isBlank()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        String typed = text.strip();
        Matcher parts = typed.length() > LONGEST ? null
                : FORM.matcher(typed.toLowerCase(Locale.ROOT).replace('μ', 'µ').replace('\u2212', '-').replaceAll("\\s+", " "));
        if (parts == null || !parts.matches() || parts.group(2) == null && parts.group(3) != null) {
            throw Refused.because(ReadingReason.SLOPE_NOT_ONE, typed.length() > 24 ? typed.substring(0, 24) + "…" : typed,
                    machine == LengthUnit.INCH ? 1 : 0);
        }
        TypedNumber number = TypedNumber.parse(parts.group(1));
        BigDecimal rise = parts.group(2) == null ? TypedLength.parse(machine == LengthUnit.INCH ? "1 thou" : "1 mm", machine).mm()
                : TypedLength.parse("1 " + parts.group(2), machine).mm();
        boolean metric = parts.group(2) == null ? machine == LengthUnit.MM : parts.group(2).endsWith("m");
        boolean foot = parts.group(3) == null ? !metric : !parts.group(3).startsWith("m");
        // 1 mm over 12 in of 25.4 mm; 1 mm over 1 000.
        BigDecimal over = foot ? TWELVE.multiply(LengthUnit.INCH.millimetres()) : THOUSAND;
        BigDecimal worth = rise.multiply(THOUSAND).divide(over, MathContext.DECIMAL128);
        return new TypedNumber(typed, number.value().multiply(worth).round(MathContext.DECIMAL64), number.step().multiply(worth)
                .round(MathContext.DECIMAL64));
    }
}
