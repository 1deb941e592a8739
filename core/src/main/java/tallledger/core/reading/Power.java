package tallledger.core.reading;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A power as a plate or a person says it: {@code 5.5}, {@code 5.5 kW}, {@code 7.5 hp}, {@code 750 W}. A bare number is kW.
 *
 * <p>Worked: 7.5 hp is 5.59275 kW.
 *
 * @param typed     exactly what was typed, trimmed
 * @param kilowatts its worth in kW
 */
public record Power(String typed, BigDecimal kilowatts) {

    private static final Map<String, BigDecimal> WORTH = Map.of("", BigDecimal.ONE, "kw", BigDecimal.ONE, "w", new BigDecimal("0.001"),
            "hp", new BigDecimal("0.7457"));
    private static final int LONGEST = 40;
    private static final Pattern FRACTION = Pattern.compile("(?:\\d{1,3}[ -])?\\d{1,3}/[1-9]\\d{0,2}");
    private static final Pattern FORM = Pattern.compile("(.*?\\d\\.?)\\s*([a-z.]*)");

    /** @throws Refused when it is no power above nought, or in a unit not known here */
    public static Power parse(String text) {
        return parse(text, LengthUnit.MM);
    }

    /**
     * The same, refused in the words of a machine's own units; a bare number stays kW.
     *
     * @throws Refused when it is no power above nought, or in a unit not known here
     */
    public static Power parse(String text, LengthUnit machine) {
        String typed = TypedNumber.shortEnough(text, LONGEST);
        Matcher parts = FORM.matcher(typed.toLowerCase(Locale.ROOT));
        BigDecimal worth = parts.matches() ? WORTH.get(parts.group(2).replace(".", "")) : null;
        if (worth == null) {
            throw Refused.because(ReadingReason.POWER_NOT_ONE, typed.length() > 24 ? typed.substring(0, 24) : typed,
                    machine == LengthUnit.INCH ? 1 : 0);
        }
        return new Power(typed, figure(parts.group(1)).multiply(worth).round(java.math.MathContext.DECIMAL64).stripTrailingZeros());
    }

    /** 5.5, or 1 1/2. */
    private static BigDecimal figure(String digits) {
        return FRACTION.matcher(digits.strip()).matches() ? TypedLength.parse(digits, LengthUnit.MM).mm()
                : TypedNumber.parsePositive(digits).value();
    }

    /** So many kW, as nobody typed it otherwise. */
    public static Power ofKilowatts(BigDecimal kilowatts) {
        return new Power(kilowatts.toPlainString(), kilowatts.stripTrailingZeros());
    }
}
