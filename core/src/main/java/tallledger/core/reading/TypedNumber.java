package tallledger.core.reading;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;

/**
 * A plain number as a person writes it: {@code 31.5}, {@code 31,5}, {@code 5.}, {@code .002}, {@code 1 400}, {@code 1,400}, {@code 1'400}.
 *
 * <p>Worked: "1,400" is 1400 with a last digit worth 1; "31,5" is 31.5 with a last digit worth 0.1.
 *
 * @param typed exactly what was typed, trimmed
 * @param value the number it means
 * @param step  worth of the last digit typed, so half of it is what the writer left open
 */
public record TypedNumber(String typed, BigDecimal value, BigDecimal step) {

    /** Longer texts are not a number somebody read off a machine. */
    private static final int LONGEST = 24;
    private static final Pattern GROUPED = Pattern.compile("[+-]?\\d{1,3}([ \\u00a0\\u202f\\u2009',]\\d{3})+(\\.\\d+)?");
    private static final Pattern PLAIN = Pattern.compile("[+-]?(\\d+([.,]\\d+|\\.)?|[.,]\\d+)");
    private static final Pattern LETTER_FOR_DIGIT = Pattern.compile("[\\dOolISB .,]*[OolISB][\\dOolISB .,]*");

    /**
     * A text that is short enough to be read at all, trimmed: patterns go back and forth over what they are given.
     *
     * @param most signs it may have
     * @throws Refused when it is longer
     */
    public static String shortEnough(String text, int most) {
        String typed = text.strip();
        if (typed.length() > most) {
            throw Refused.because(ReadingReason.NUMBER_TOO_LONG, typed.length());
        }
        return typed;
    }

    /** @throws Refused when the text is not one number; the reason quotes it and gives an example */
    public static TypedNumber parse(String text) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        if (typed.length() > LONGEST) {
            throw Refused.because(ReadingReason.NUMBER_TOO_LONG, typed.length());
        }
        String digits = typed.replace('\u2212', '-');
        if (GROUPED.matcher(digits).matches()) {
            return of(typed, digits.replaceAll("[ \\u00a0\\u202f\\u2009',]", ""));
        }
        if (PLAIN.matcher(digits).matches()) {
            return of(typed, digits.replace(',', '.'));
        }
        throw refusalFor(typed);
    }

    /** A number that must be above nought, such as a speed. */
    public static TypedNumber parsePositive(String text) {
        TypedNumber number = parse(text);
        if (number.value.signum() <= 0) {
            throw Refused.because(CommonReason.NUMBER_NOT_POSITIVE, number.typed);
        }
        return number;
    }

    private static TypedNumber of(String typed, String digits) {
        BigDecimal value = new BigDecimal(digits);
        return new TypedNumber(typed, value, BigDecimal.ONE.movePointLeft(Math.max(value.scale(), 0)));
    }

    private static Refused refusalFor(String typed) {
        if (LETTER_FOR_DIGIT.matcher(typed).matches() && typed.chars().anyMatch(Character::isDigit)) {
            String guess = typed.replaceAll("[Oo]", "0").replaceAll("[lI]", "1").replace('S', '5').replace('B', '8');
            return Refused.because(ReadingReason.NUMBER_LETTER_FOR_DIGIT, typed, guess);
        }
        Matcher two = Pattern.compile("(\\S*\\d\\S*)[\\s;/]+(\\S*\\d\\S*)").matcher(typed);
        if (two.matches()) {
            return Refused.because(ReadingReason.NUMBER_TWO, typed, two.group(1));
        }
        return Refused.because(ReadingReason.NUMBER_NOT_ONE, typed);
    }
}
