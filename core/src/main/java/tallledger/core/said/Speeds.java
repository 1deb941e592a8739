package tallledger.core.said;

import static tallledger.core.said.Forms.LONG;
import static tallledger.core.said.Forms.NUM;
import static tallledger.core.said.Forms.RPM;
import static tallledger.core.said.Forms.TO;
import static tallledger.core.said.Forms.of;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The rules for speeds of the spindle. A range, a count and the ends of a list are claims of their own. */
final class Speeds {

    private static final Pattern AFTER_COUNT = of("\\bspeeds?\\b\\s*[,:]?\\s*(?:in \\w+"
            + " (?:ranges|steps)\\s*,?\\s*)?(?:from\\s+|of\\s+|ranging from\\s+|between\\s+)?"
            + LONG + "(?:\\s*(?:to|up to|through|-|–|—|and)\\s*)" + LONG + "(?:\\s*" + RPM + ")?(?!\\s*(?:mm|in\\b|kg|lb|v\\b|volts))");
    private static final Pattern RANGE = of(LONG + TO + LONG + "\\s*" + RPM);
    private static final Pattern IN_RANGE = of(NUM + TO + NUM + "\\s+in\\s+(low|high|(?:the )?(?:first|second|top|bottom)(?: range)?)\\b");
    private static final Pattern SLOW = of("\\b(?:low|slowest|bottom speed|lowest(?: speed)?|slow"
            + " end)\\b[^,;\\d]{0,18}?\\b(?:to|is|of|at)\\s+" + NUM
            + "(?:\\s*" + RPM + ")?");
    private static final Pattern FAST = of("\\b(?:high(?: range)?|top speed|fastest|highest(?: speed)?|max(?:imum)?(?:"
            + " speed)?|spindle)\\b[^,;\\d]{0,18}?\\b(?:to|is|of|at)\\s+"
            + NUM + "(?:\\s*" + RPM + ")?|\\b(?:up to|max(?:imum)?|top speed)\\s+" + LONG + "\\s*" + RPM);
    private static final Pattern ALL_WORK = of("\\b(?:all|every(?:"
            + " one)?|each)\\s+(?:of\\s+)?(?:the\\s+)?(?:(\\d+)\\s+)?(?:spindle\\s+|gear\\s+)?speeds?\\b[^,;.\\d]{0,16}\\b"
            + "(?:works?|working|runs?|running|perfect(?:ly)?|fine|ok|good|tested)\\b|\\b(?:about |nearly |almost )?every one of them(?:"
                    + " works?| runs?)?\\b"
            + "|\\b(?:she |it |he |they )?runs? them all\\b|\\ball of them (?:work|run)\\b");
    private static final Pattern COUNT = of("(?<![\\w.])(\\d{1,3})\\s+(?:distinct\\s+|spindle\\s+|gear(?:ed)?\\s+|forward\\s+|"
            + "different\\s+)*speeds?\\b(?!\\s*(?:motor|pump|box))"
            + "|(?<![\\w.])(\\d{1,2})[- ]speed\\b(?!\\s*(?:motor|pump|box))");

    private Speeds() {
    }

    static void read(Sentence s, Vocabulary v) {
        s.each(of("\\b(?:card|plate|chart|lid|list)\\b[^,;\\d]*\\bsays?\\s+" + NUM), m -> s.take(Topic.SPEED, m.group(1), m));
        s.each(ALL_WORK, m -> {
            if (m.group(1) != null) {
                s.take(Topic.SPEED_COUNT, m.group(1), m);
            }
            return s.take(Topic.SPEEDS_WORK, s.original(m.start(), m.end()), m);
        });
        s.each(AFTER_COUNT, m -> ends(s, m, 1, 2, m.start(1)));
        inRanges(s);
        s.each(RANGE, m -> ends(s, m, 1, 2, m.start(1)));
        s.each(SLOW, m -> s.take(Topic.SLOWEST_SPEED, m.group(1), m));
        s.each(FAST, m -> s.take(Topic.FASTEST_SPEED, Measures.first(m), m));
        s.each(COUNT, m -> s.take(Topic.SPEED_COUNT, Measures.first(m), m));
        s.each(of(LONG + "\\s*rpm\\s*(?:[\\w-]+\\s+)?motor\\b|\\bmotor\\b[^,;\\d]{0,12}" + LONG + "\\s*" + RPM), s::keep);
        s.each(of(LONG + "\\s*" + RPM), m -> s.take(Topic.SPEED, m.group(1), m));
        s.each(of("\\b(no reverse|does(?: not|n't) reverse)\\b|\\b(reverses|runs both ways|both directions|forward and reverse)\\b"),
                m -> s.take(Topic.REVERSES, m.group(1) != null ? "no" : "yes", m));
    }

    /** Both ends, where the first is the lesser; the figures alone are covered, so that a count before them is read. */
    private static boolean ends(Sentence s, Matcher m, int low, int high, int from) {
        if (Measures.number(m.group(low)) >= Measures.number(m.group(high))) {
            return false;
        }
        s.take(Topic.SLOWEST_SPEED, m.group(low), m);
        s.take(Topic.FASTEST_SPEED, m.group(high), m);
        s.cover(from, m.end());
        return false;
    }

    /**
     * "62 to 480 in low, 520 to 4300 in high": the low end of the lower and the high end of the higher; the other two are ends of ranges.
     */
    private static void inRanges(Sentence s) {
        List<String> low = new ArrayList<>();
        List<String> high = new ArrayList<>();
        s.each(IN_RANGE, m -> {
            boolean lower = m.group(3).matches(".*(?:low|first|bottom).*");
            return s.take(lower ? Topic.SLOWEST_SPEED : Topic.FASTEST_SPEED, m.group(lower ? 1 : 2), m)
                    && (lower ? low : high).add(m.group());
        });
    }
}
