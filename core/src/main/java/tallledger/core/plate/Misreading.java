package tallledger.core.plate;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A value that would explain a suspect cell, and the slip that turns it into what is typed.
 *
 * <p>Worked: 280 where the rest predict 251.3 is explained by 250 with one digit misread.
 *
 * @param value what the plate may really say
 * @param slip  how it became what is typed
 */
public record Misreading(BigDecimal value, Slip slip) {

    /** The slips people make between a plate and a note pad. */
    public enum Slip {
        DIGITS_SWAPPED, DIGIT_MISREAD, ZERO_LOST_OR_GAINED, POINT_LOST_OR_GAINED, NEIGHBOUR_REPEATED, TEEN_FOR_TY
    }

    /** How near to the prediction an explanation must lie (house rule). */
    private static final double NEAR = 0.03;

    /** Readings within 3 % of the prediction, preferred (R20) numbers first, then the nearest. */
    static List<Misreading> explaining(BigDecimal typed, double predicted, Collection<BigDecimal> neighbours) {
        Map<BigDecimal, Slip> found = new LinkedHashMap<>();
        String digits = typed.toPlainString();
        swaps(digits, found);
        singleDigits(digits, found);
        zeros(digits, typed, found);
        points(digits, found);
        teens(digits, found);
        if (neighbours.stream().anyMatch(n -> n.compareTo(typed) == 0)) {
            put(PreferredNumbers.nearest(predicted).toPlainString(), Slip.NEIGHBOUR_REPEATED, found);
        }
        return found.entrySet().stream()
                .filter(e -> e.getKey().compareTo(typed) != 0 && off(e.getKey(), predicted) <= NEAR)
                .sorted(Comparator.comparing((Map.Entry<BigDecimal, Slip> e) -> !PreferredNumbers.isPreferred(e.getKey()))
                        .thenComparing(e -> off(e.getKey(), predicted)))
                .map(e -> new Misreading(e.getKey(), e.getValue())).toList();
    }

    private static double off(BigDecimal value, double predicted) {
        return Math.abs(value.doubleValue() / predicted - 1);
    }

    private static void swaps(String digits, Map<BigDecimal, Slip> found) {
        for (int i = 0; i + 1 < digits.length(); i++) {
            if (Character.isDigit(digits.charAt(i)) && Character.isDigit(digits.charAt(i + 1))) {
                put(digits.substring(0, i) + digits.charAt(i + 1) + digits.charAt(i) + digits.substring(i + 2),
                        Slip.DIGITS_SWAPPED, found);
            }
        }
    }

    private static void singleDigits(String digits, Map<BigDecimal, Slip> found) {
        for (int i = 0; i < digits.length(); i++) {
            for (char d = '0'; d <= '9' && Character.isDigit(digits.charAt(i)); d++) {
                put(digits.substring(0, i) + d + digits.substring(i + 1), Slip.DIGIT_MISREAD, found);
            }
        }
    }

    private static void zeros(String digits, BigDecimal typed, Map<BigDecimal, Slip> found) {
        put(typed.movePointRight(1).toPlainString(), Slip.ZERO_LOST_OR_GAINED, found);
        put(typed.movePointLeft(1).toPlainString(), Slip.ZERO_LOST_OR_GAINED, found);
        for (int i = 0; i <= digits.length(); i++) {
            put(digits.substring(0, i) + "0" + digits.substring(i), Slip.ZERO_LOST_OR_GAINED, found);
            if (i < digits.length() && digits.charAt(i) == '0') {
                put(digits.substring(0, i) + digits.substring(i + 1), Slip.ZERO_LOST_OR_GAINED, found);
            }
        }
    }

    /** 3 105 for 31.05, 1.25 for 125: the point anywhere else, or nowhere. */
    private static void points(String digits, Map<BigDecimal, Slip> found) {
        String bare = digits.replace(".", "");
        put(bare, Slip.POINT_LOST_OR_GAINED, found);
        for (int i = 1; i < bare.length(); i++) {
            put(bare.substring(0, i) + "." + bare.substring(i), Slip.POINT_LOST_OR_GAINED, found);
        }
    }

    /** "Fourteen" heard for "forty" and the reverse, on the last two digits: 114 for 140, 40 for 14. */
    private static void teens(String digits, Map<BigDecimal, Slip> found) {
        int n = digits.length();
        if (n < 2 || digits.contains(".")) {
            return;
        }
        char tens = digits.charAt(n - 2);
        char units = digits.charAt(n - 1);
        String head = digits.substring(0, n - 2);
        if (tens == '1' && units >= '3') {
            put(head + units + "0", Slip.TEEN_FOR_TY, found);
        } else if (units == '0' && tens >= '3') {
            put(head + "1" + tens, Slip.TEEN_FOR_TY, found);
        }
    }

    private static void put(String digits, Slip slip, Map<BigDecimal, Slip> found) {
        // Nobody writes a needless nought in front: 090 for 90 is a nought gained, not a reading.
        if (digits.matches("(0|[1-9]\\d*)(\\.\\d+)?")) {
            BigDecimal value = new BigDecimal(digits).round(MathContext.DECIMAL32);
            if (value.signum() > 0) {
                found.putIfAbsent(value.stripTrailingZeros(), slip);
            }
        }
    }
}
