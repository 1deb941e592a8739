package tallledger.core.drive;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.reading.TypedNumber;
import tallledger.core.reason.Refused;

/**
 * A speed besides the spindle's that a machine must reach: of a work head, a rotary table, a regulating wheel, a jog. Typed one thing a
 * line: what turns, its speeds in min⁻¹ or two ends, and its own limit where it has one.
 *
 * <p>Worked: "work head 45 90 180" are three speeds; "table 10 to 40 ± 10 %" two, its slowest and its fastest.
 *
 * @param what      what turns, as typed
 * @param rpm       what it must turn at, min⁻¹
 * @param end       which end of a sliding range it is; empty for a set speed
 * @param tolerance ± share of it that is still good, where the line says one
 */
public record OtherSpeed(String what, BigDecimal rpm, Optional<End> end, Optional<BigDecimal> tolerance) {

    /** An end of a range. */
    public enum End { SLOWEST, FASTEST }

    /** Longest text, and most speeds in it: more is no list of one machine. */
    public static final int LONGEST = 1000;
    public static final int MOST = 40;
    private static final int LONGEST_LINE = 200;
    private static final Pattern BLANKS = Pattern.compile("\\s+");
    private static final Pattern LINE = Pattern.compile("(?<what>\\p{L}[^\\d:=]*?)\\s*[:=,]?\\s+(?<speeds>\\d[^±%+]*?)"
            + "\\s*(?:rpm|r/min|min-1)?\\s*(?:(?:±|\\+/?-)\\s*(?<limit>[\\d.,]+)\\s*%)?");
    private static final Pattern ENDS = Pattern.compile("(?<low>\\d[\\d.,]*)\\s*(?:to|-|–|…|\\.\\.\\.?)\\s*(?<high>\\d[\\d.,]*)");
    private static final BigDecimal MOST_LIMIT = new BigDecimal("50");

    /** @throws Refused quoting the line that cannot be read, with an example */
    public static List<OtherSpeed> parse(String text) {
        if (text.length() > LONGEST) {
            throw Refused.because(DriveReason.OTHER_SPEEDS_LONG, text.length(), LONGEST);
        }
        List<OtherSpeed> all = new ArrayList<>();
        text.lines().map(String::strip).filter(line -> !line.isEmpty()).forEach(line -> all.addAll(line(line)));
        if (all.size() > MOST) {
            throw Refused.because(DriveReason.OTHER_SPEEDS_MANY, all.size(), MOST);
        }
        for (OtherSpeed speed : all) {
            if (all.stream().filter(speed::isSame).count() > 1) {
                throw Refused.because(DriveReason.OTHER_SPEEDS_TWICE, speed.what, speed.rpm);
            }
        }
        return List.copyOf(all);
    }

    private boolean isSame(OtherSpeed other) {
        return what.equalsIgnoreCase(other.what) && rpm.compareTo(other.rpm) == 0;
    }

    private static List<OtherSpeed> line(String line) {
        // Blanks say no more for being many, and a pattern that may end at any of them would try each.
        Matcher m = LINE.matcher(BLANKS.matcher(line).replaceAll(" "));
        if (line.length() > LONGEST_LINE || !m.matches()) {
            throw Refused.because(DriveReason.OTHER_SPEEDS_LINE, line.length() > LONGEST_LINE
                    ? line.substring(0, LONGEST_LINE) + "…"
                    : line);
        }
        Optional<BigDecimal> tolerance = Optional.ofNullable(m.group("limit")).map(OtherSpeed::limit);
        String what = m.group("what").strip();
        Matcher ends = ENDS.matcher(m.group("speeds"));
        if (ends.matches()) {
            BigDecimal low = TypedNumber.parsePositive(ends.group("low")).value();
            BigDecimal high = TypedNumber.parsePositive(ends.group("high")).value();
            if (low.compareTo(high) >= 0) {
                throw Refused.because(DriveReason.OTHER_SPEEDS_ENDS, line);
            }
            return List.of(new OtherSpeed(what, low, Optional.of(End.SLOWEST), tolerance),
                    new OtherSpeed(what, high, Optional.of(End.FASTEST), tolerance));
        }
        List<OtherSpeed> set = new ArrayList<>();
        for (String one : m.group("speeds").split("[\\s;/]+")) {
            set.add(new OtherSpeed(what, TypedNumber.parsePositive(one).value(), Optional.empty(), tolerance));
        }
        return set;
    }

    private static BigDecimal limit(String typed) {
        BigDecimal percent = TypedNumber.parsePositive(typed).value();
        if (percent.compareTo(MOST_LIMIT) > 0) {
            throw Refused.because(DriveReason.OTHER_SPEEDS_LIMIT, typed, MOST_LIMIT);
        }
        return percent.movePointLeft(2);
    }
}
