package tallledger.core.reading;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.Refused;

/**
 * How many of something, as people say it: {@code 31}, or as a row of sizes, {@code 1 to 16 by 0.5}.
 *
 * <p>Worked: 1 to 16 by 0.5 is 31.
 *
 * @param typed exactly what was typed, trimmed
 * @param count how many that is
 */
public record Series(String typed, int count) {

    private static final int MOST = 999;
    private static final int LONGEST = 80;
    private static final Pattern ROW = Pattern
            .compile("(?i)(\\S+)\\s*(?:to|-|–)\\s*(\\S+)\\s*(?:mm|in)?\\s*(?:by|in steps of|every)\\s*(\\S+)\\s*(?:mm|in)?");

    /** @throws Refused when it is neither a whole number above nought nor a row whose steps come out even */
    public static Series parse(String text) {
        String typed = TypedNumber.shortEnough(text, LONGEST);
        Matcher row = ROW.matcher(typed);
        if (!row.matches()) {
            return new Series(typed, whole(TypedNumber.parsePositive(typed).value(), typed));
        }
        BigDecimal from = TypedNumber.parsePositive(row.group(1)).value();
        BigDecimal to = TypedNumber.parsePositive(row.group(2)).value();
        BigDecimal by = TypedNumber.parsePositive(row.group(3)).value();
        if (from.compareTo(to) > 0) {
            throw Refused.because(ReadingReason.RANGE_CROSSED, row.group(1), row.group(2));
        }
        BigDecimal[] steps = to.subtract(from).divideAndRemainder(by);
        if (steps[1].signum() != 0) {
            throw Refused.because(ReadingReason.SERIES_UNEVEN, typed);
        }
        return new Series(typed, whole(steps[0].add(BigDecimal.ONE), typed));
    }

    private static int whole(BigDecimal count, String typed) {
        if (count.stripTrailingZeros().scale() > 0 || count.compareTo(BigDecimal.valueOf(MOST)) > 0) {
            throw Refused.because(ReadingReason.SERIES_COUNT, typed, MOST);
        }
        return count.intValue();
    }
}
