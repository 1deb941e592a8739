package tallledger.core.reading;

import tallledger.core.reason.CommonReason;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;

/**
 * A length as people write it at a machine: {@code 0.0005 in}, {@code 5 tenths}, {@code 2 thou}, {@code 1-9/16"},
 * {@code 0.02 mm}, {@code 8 µm}, and a thread as {@code 12 tpi} (its pitch, 25.4/12 mm). A bare number is in the
 * machine's own unit.
 *
 * @param typed exactly what was typed
 * @param mm    its worth in mm; exact wherever the decimal ends, else to 34 digits
 * @param step  worth of the last digit typed, mm; nought for a fraction or a thread, which leave nothing open
 */
public record TypedLength(String typed, BigDecimal mm, BigDecimal step) {

    private static final BigDecimal INCH = LengthUnit.INCH.millimetres();
    private static final Map<String, BigDecimal> WORTH = Map.ofEntries(
            Map.entry("mm", BigDecimal.ONE), Map.entry("cm", BigDecimal.TEN), Map.entry("m", new BigDecimal("1000")),
            Map.entry("µm", new BigDecimal("0.001")), Map.entry("um", new BigDecimal("0.001")),
            Map.entry("in", INCH), Map.entry("inch", INCH), Map.entry("\"", INCH), Map.entry("″", INCH),
            Map.entry("ft", INCH.multiply(new BigDecimal("12"))),
            Map.entry("thou", INCH.movePointLeft(3)), Map.entry("tenths", INCH.movePointLeft(4)),
            Map.entry("tenth", INCH.movePointLeft(4)));
    private static final Pattern WITH_UNIT = Pattern.compile("(.*?[\\d)])\\s*([a-zµμ\"″]*)");
    private static final Pattern FRACTION = Pattern.compile("(?:(\\d{1,5})[- ])?(\\d{1,5})/(\\d{1,5})");

    /** @throws Refused when the text is no length; the reason quotes it and gives the forms that work */
    public static TypedLength parse(String text, LengthUnit machineUnit) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        Matcher parts = WITH_UNIT.matcher(typed.toLowerCase(Locale.ROOT).replace('μ', 'µ'));
        if (!parts.matches()) {
            throw Refused.because(ReadingReason.LENGTH_NOT_ONE, shortened(typed));
        }
        String unit = parts.group(2);
        boolean fraction = FRACTION.matcher(parts.group(1).strip()).matches();
        BigDecimal number = number(parts.group(1), typed);
        if (unit.equals("tpi")) {
            return new TypedLength(typed, pitchOf(number, typed), BigDecimal.ZERO);
        }
        BigDecimal worth = unit.isEmpty() ? machineUnit.millimetres() : WORTH.get(unit);
        if (worth == null) {
            throw Refused.because(ReadingReason.LENGTH_UNKNOWN_UNIT, shortened(typed), unit);
        }
        return new TypedLength(typed, number.multiply(worth), fraction ? BigDecimal.ZERO : number.ulp().min(BigDecimal.ONE)
                .multiply(worth));
    }

    private static BigDecimal pitchOf(BigDecimal threadsPerInch, String typed) {
        if (threadsPerInch.signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, typed);
        }
        return INCH.divide(threadsPerInch, MathContext.DECIMAL128);
    }

    private static BigDecimal number(String digits, String typed) {
        Matcher fraction = FRACTION.matcher(digits.strip());
        if (!fraction.matches()) {
            return TypedNumber.parse(digits).value();
        }
        BigDecimal below = new BigDecimal(fraction.group(3));
        if (below.signum() == 0) {
            throw Refused.because(ReadingReason.LENGTH_OVER_NOUGHT, typed);
        }
        BigDecimal whole = fraction.group(1) == null ? BigDecimal.ZERO : new BigDecimal(fraction.group(1));
        return whole.add(new BigDecimal(fraction.group(2)).divide(below, MathContext.DECIMAL128));
    }

    private static String shortened(String typed) {
        return typed.length() > 24 ? typed.substring(0, 24) + "…" : typed;
    }
}
