package tallledger.core.reading;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A mass as people say it, often between two figures: {@code 850}, {@code 1.2 t}, {@code 250 to 300 lb}, {@code 1 800-2 000 kg}. A bare
 * number is kg.
 *
 * <p>Worked: 250 to 300 lb is 113.4 to 136.08 kg.
 *
 * @param typed exactly what was typed, trimmed
 * @param low   kg
 * @param high  kg; the same where one figure was typed
 */
public record Mass(String typed, BigDecimal low, BigDecimal high) {

    public static final Mass NONE = new Mass("", BigDecimal.ZERO, BigDecimal.ZERO);
    private static final Map<String, BigDecimal> WORTH = Map.of("", BigDecimal.ONE, "kg", BigDecimal.ONE, "t", new BigDecimal("1000"), "lb",
            new BigDecimal("0.4536"), "lbs", new BigDecimal("0.4536"));
    private static final int LONGEST = 60;
    private static final Pattern BARE = Pattern.compile("\\d[\\d., ]*(?:(?:to|-|–|—) ?\\d[\\d., ]*)?");
    private static final Pattern FORM = Pattern.compile("(.*?\\d\\.?)(?:\\s*(?:kg|lbs?|t)?\\s*(?:to|-|–|—)\\s*(\\d.*?))?\\s*([a-z]*)");

    /** @throws Refused when it is no mass, is below nought, in a unit not known here, or a range the wrong way round */
    public static Mass parse(String text) {
        return parse(text, LengthUnit.MM);
    }

    /**
     * The same at a machine: a bare figure of an inch machine is in pounds, and so it is written down, since kg stand in the record where
     * nothing is said.
     *
     * @throws Refused as {@link #parse(String)}, in the machine's own units
     */
    public static Mass parse(String text, LengthUnit machine) {
        boolean inches = machine == LengthUnit.INCH;
        String said = TypedNumber.shortEnough(text, LONGEST);
        String typed = inches && BARE.matcher(said).matches() ? said + " lb" : said;
        Matcher parts = FORM.matcher(typed.toLowerCase(Locale.ROOT));
        BigDecimal worth = parts.matches() ? WORTH.get(parts.group(3)) : null;
        if (worth == null) {
            throw Refused.because(ReadingReason.MASS_NOT_ONE, typed.length() > 24 ? typed.substring(0, 24) : typed, inches ? 1 : 0);
        }
        BigDecimal low = figure(parts.group(1)).multiply(worth);
        BigDecimal high = parts.group(2) == null ? low : figure(parts.group(2)).multiply(worth);
        if (low.compareTo(high) > 0) {
            throw Refused.because(ReadingReason.RANGE_CROSSED, parts.group(1), parts.group(2));
        }
        return new Mass(typed, low, high);
    }

    private static BigDecimal figure(String digits) {
        TypedNumber number = TypedNumber.parse(digits);
        if (number.value().signum() < 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, number.typed());
        }
        return number.value();
    }
}
