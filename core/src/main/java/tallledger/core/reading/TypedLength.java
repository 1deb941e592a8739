package tallledger.core.reading;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.unit.LengthUnit;

/**
 * A length as people write it at a machine: {@code 0.0005 in}, {@code 5 tenths}, {@code 2 thou}, {@code 1-9/16"}, {@code 35 5/8},
 * {@code 9 ft 11}, {@code 5 ft 6 1/2 in}, {@code 2 inches}, {@code 0.02 mm}, {@code 8 µm}, {@code 63 µin}, and a thread as {@code 12 tpi}
 * (its pitch, 25.4/12 mm). A bare number is in the machine's own unit, or in the one its field asks for.
 *
 * <p>Worked: {@code 9 ft 11} is 119 in, 3 022.6 mm.
 *
 * @param typed exactly what was typed
 * @param mm    its worth in mm; exact wherever the decimal ends, else to 34 digits
 * @param step  worth of the last digit typed, mm; nought for a fraction or a thread, which leave nothing open
 */
public record TypedLength(String typed, BigDecimal mm, BigDecimal step) {

    /** Longer texts are no length somebody read off a machine. */
    private static final int LONGEST = 60;
    private static final BigDecimal INCH = LengthUnit.INCH.millimetres();
    private static final BigDecimal FOOT = INCH.multiply(BigDecimal.valueOf(12));
    private static final BigDecimal THOU = INCH.movePointLeft(3);
    private static final BigDecimal TENTH = INCH.movePointLeft(4);
    private static final BigDecimal MICROINCH = INCH.movePointLeft(6);
    private static final BigDecimal MICROMETRE = new BigDecimal("0.001");
    private static final Map<String, BigDecimal> WORTH = Map.ofEntries(
            Map.entry("mm", BigDecimal.ONE), Map.entry("cm", BigDecimal.TEN), Map.entry("m", new BigDecimal("1000")),
            Map.entry("millimetre", BigDecimal.ONE), Map.entry("millimetres", BigDecimal.ONE), Map.entry("millimeters", BigDecimal.ONE),
            Map.entry("µm", MICROMETRE), Map.entry("um", MICROMETRE), Map.entry("micron", MICROMETRE), Map.entry("microns", MICROMETRE),
            Map.entry("in", INCH), Map.entry("inch", INCH), Map.entry("inches", INCH), Map.entry("\"", INCH), Map.entry("″", INCH),
            Map.entry("”", INCH), Map.entry("ft", FOOT), Map.entry("foot", FOOT), Map.entry("feet", FOOT), Map.entry("'", FOOT),
            Map.entry("′", FOOT), Map.entry("’", FOOT), Map.entry("thou", THOU), Map.entry("thous", THOU),
            Map.entry("tenths", TENTH), Map.entry("tenth", TENTH), Map.entry("µin", MICROINCH), Map.entry("uin", MICROINCH),
            Map.entry("µinch", MICROINCH), Map.entry("microinch", MICROINCH), Map.entry("microinches", MICROINCH));
    private static final Pattern WITH_UNIT = Pattern.compile("([^a-zµ\"″”'′’]*\\d\\.?)\\s?([a-zµ\"″”'′’]*)\\.?");
    private static final Pattern FEET = Pattern.compile("(\\d{1,4})\\s?(?:ft|foot|feet|['′’])\\.?[ -]?(\\d[\\d"
            + " ./-]*)\\s?(?:in|inch|inches|\"|″|”)?\\.?");
    private static final Pattern FRACTION = Pattern.compile("([+-]?)(?:(\\d{1,5})[- ])?(\\d{1,5})/(\\d{1,5})");
    /** One length in a row of them: a figure, a fraction after it, and the unit behind. */
    private static final Pattern ONE_OF_ROW = Pattern.compile("(?:[+-]?\\d{1,5} \\d{1,5}/\\d{1,5}|[^\\s;,a-zA-Zµμ\"″”]\\S*?)"
            + "(?:\\s?[a-zA-Zµμ\"″”]+\\.?)?(?=[\\s;,]|$)");
    private static final Pattern UNIT_BEHIND = Pattern.compile("[a-zA-Zµμ\"″”'′’]+\\.?$");
    private static final Pattern BETWEEN = Pattern.compile("[\\s;]+|,(?=\\s|$)");

    /** @throws Refused when the text is no length; the reason quotes it and gives the forms that work */
    public static TypedLength parse(String text, LengthUnit machineUnit) {
        return parse(text, machineUnit.millimetres());
    }

    /**
     * Where a bare number is in a unit of the field's own, such as µm of a deviation.
     *
     * @param bare worth of one of that unit, mm
     */
    public static TypedLength parse(String text, BigDecimal bare) {
        String typed = text == null ? "" : text.strip();
        if (typed.isEmpty()) {
            throw Refused.because(CommonReason.NUMBER_MISSING);
        }
        if (typed.length() > LONGEST) {
            throw Refused.because(ReadingReason.NUMBER_TOO_LONG, typed.length());
        }
        String plain = typed.toLowerCase(Locale.ROOT).replace('μ', 'µ').replace('\u2212', '-').replaceAll("\\s+", " ");
        Matcher feet = FEET.matcher(plain);
        if (feet.matches()) {
            TypedLength inches = one(feet.group(2).strip(), typed, INCH, INCH);
            return new TypedLength(typed, inches.mm.add(new BigDecimal(feet.group(1)).multiply(FOOT)), inches.step);
        }
        Matcher parts = WITH_UNIT.matcher(plain);
        if (!parts.matches()) {
            throw Refused.because(ReadingReason.LENGTH_NOT_ONE, shortened(typed), inches(bare));
        }
        String unit = parts.group(2);
        if (unit.equals("tpi")) {
            return new TypedLength(typed, pitchOf(number(parts.group(1), typed), typed), BigDecimal.ZERO);
        }
        BigDecimal worth = unit.isEmpty() ? bare : WORTH.get(unit);
        if (worth == null) {
            throw Refused.because(ReadingReason.LENGTH_UNKNOWN_UNIT, shortened(typed), unit, inches(bare));
        }
        return one(parts.group(1).strip(), typed, worth, worth);
    }

    /**
     * Several in one field, parted by blanks, semicolons, lines, or commas with a blank behind: {@code 5 tenths; 3 tenths},
     * {@code 0.01, 0.02}, {@code 0.01 0.02}. Empty where nothing is typed. A unit that stands behind the last alone is that of all:
     * {@code 0.2 1.6 2.0 thou}.
     *
     * @param bare worth of one of the unit of a bare number, mm
     */
    public static List<TypedLength> row(String text, BigDecimal bare) {
        List<String> pieces = new ArrayList<>();
        for (String piece : text.split("[;\\r\\n\\t]+|,(?=\\s|$)")) {
            if (!piece.isBlank()) {
                pieces.addAll(pieces(piece.strip(), bare));
            }
        }
        Matcher last = pieces.isEmpty() ? UNIT_BEHIND.matcher("") : UNIT_BEHIND.matcher(pieces.get(pieces.size() - 1));
        boolean ofAll = last.find() && pieces.stream().filter(p -> UNIT_BEHIND.matcher(p).find()).count() == 1;
        String unit = ofAll ? " " + last.group() : "";
        return pieces.stream().map(p -> parse(ofAll && !p.endsWith(last.group()) ? p + unit : p, bare)).toList();
    }

    /** 1 where a bare number is of an inch machine, whose refusals name inch units. */
    private static int inches(BigDecimal bare) {
        return bare.stripTrailingZeros().unscaledValue().equals(BigInteger.ONE) ? 0 : 1;
    }

    private static List<String> pieces(String row, BigDecimal bare) {
        for (String piece : BETWEEN.split(row)) {
            TypedNumber.shortEnough(piece, LONGEST);
        }
        if (row.chars().noneMatch(Character::isLetter) && row.indexOf('"') < 0 && row.indexOf('/') < 0) {
            return List.of(BETWEEN.split(row));
        }
        List<String> pieces = new ArrayList<>();
        Matcher one = ONE_OF_ROW.matcher(row);
        int end = 0;
        while (one.find() && row.substring(end, one.start()).isBlank()) {
            pieces.add(one.group());
            end = one.end();
        }
        if (end < row.length()) {
            throw Refused.because(ReadingReason.LENGTH_NOT_ONE, shortened(row.substring(end).strip()), inches(bare));
        }
        return pieces;
    }

    private static TypedLength one(String digits, String typed, BigDecimal worth, BigDecimal stepWorth) {
        BigDecimal number = number(digits, typed);
        boolean fraction = FRACTION.matcher(digits).matches();
        return new TypedLength(typed, number.multiply(worth), fraction ? BigDecimal.ZERO
                : number.ulp().min(BigDecimal.ONE)
                        .multiply(stepWorth));
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
        BigDecimal below = new BigDecimal(fraction.group(4));
        if (below.signum() == 0) {
            throw Refused.because(ReadingReason.LENGTH_OVER_NOUGHT, typed);
        }
        BigDecimal whole = fraction.group(2) == null ? BigDecimal.ZERO : new BigDecimal(fraction.group(2));
        BigDecimal size = whole.add(new BigDecimal(fraction.group(3)).divide(below, MathContext.DECIMAL128));
        return fraction.group(1).equals("-") ? size.negate() : size;
    }

    private static String shortened(String typed) {
        return typed.length() > 24 ? typed.substring(0, 24) + "…" : typed;
    }
}
