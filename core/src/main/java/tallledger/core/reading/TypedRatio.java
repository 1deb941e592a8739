package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;

/**
 * A ratio as people say it, read as what comes out over what goes in: {@code 0.192} or {@code 24/125} as it stands; a colon always
 * states a reduction, so {@code 5.2:1} and {@code 1:5.2} are both 0.192.
 */
public final class TypedRatio {

    private static final int LONGEST = 60;
    private static final Pattern COLON = Pattern.compile("(.+?)\\s*:\\s*(.+)");
    private static final Pattern SLASH = Pattern.compile("(.+?)\\s*/\\s*(.+)");

    private TypedRatio() {
    }

    /** @throws Refused when it is no ratio above nought */
    public static BigDecimal parse(String text) {
        String typed = TypedNumber.shortEnough(text, LONGEST);
        Matcher colon = COLON.matcher(typed);
        if (colon.matches()) {
            BigDecimal one = TypedNumber.parsePositive(colon.group(1)).value();
            BigDecimal other = TypedNumber.parsePositive(colon.group(2)).value();
            return one.min(other).divide(one.max(other), MathContext.DECIMAL64);
        }
        Matcher slash = SLASH.matcher(typed);
        return slash.matches() ? TypedNumber.parsePositive(slash.group(1)).value().divide(TypedNumber.parsePositive(slash.group(2)).value(),
                MathContext.DECIMAL64)
                : TypedNumber.parsePositive(typed).value();
    }
}
