package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A temperature as read off a thermometer: {@code 21.5}, {@code 21.5 °C}, {@code 70 °F}. A bare number is °C, on an
 * inch machine °F.
 */
public final class Temperature {

    private static final int LONGEST = 40;
    private static final Pattern FORM = Pattern.compile("([^°cCfF]*\\d\\.?)\\s?°?\\s?([cCfF]?)");
    private static final BigDecimal FREEZING = BigDecimal.valueOf(32);
    private static final BigDecimal COLDEST = new BigDecimal("-273.15");
    private static final BigDecimal NINE_FIFTHS = new BigDecimal("1.8");

    private Temperature() {
    }

    /**
     * In °C, with the worth of its last digit. Worked: 70 °F is 21.11 °C, its last digit 0.56.
     *
     * @throws Refused when it is no temperature
     */
    public static TypedNumber parse(String text, LengthUnit machine) {
        if (text.isBlank()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        Matcher parts = FORM.matcher(TypedNumber.shortEnough(text, LONGEST));
        if (!parts.matches()) {
            throw Refused.because(ReadingReason.TEMPERATURE_NOT_ONE, text.strip().length() > 24 ? text.strip().substring(0, 24) + "…"
                    : text.strip(), machine == LengthUnit.INCH ? 1 : 0);
        }
        TypedNumber number = TypedNumber.parse(parts.group(1));
        boolean fahrenheit = parts.group(2).isEmpty() ? machine == LengthUnit.INCH : parts.group(2).equalsIgnoreCase("f");
        TypedNumber celsius = fahrenheit
                ? new TypedNumber(text.strip(), number.value().subtract(FREEZING).divide(NINE_FIFTHS, MathContext.DECIMAL64),
                        number.step().divide(NINE_FIFTHS, MathContext.DECIMAL64))
                : new TypedNumber(text.strip(), number.value(), number.step());
        if (celsius.value().compareTo(COLDEST) < 0) {
            throw Refused.because(ReadingReason.TEMPERATURE_IMPOSSIBLE, text.strip(), machine == LengthUnit.INCH ? 1 : 0);
        }
        return celsius;
    }
}
