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

    /** What turns as well and is no spindle: its figures are words, to the end of their row. */
    private static final Pattern OTHERS = of("\\b(?:internal(?: grinding)?|i\\.?d\\.?|work(?:piece)?(?: ?head| ?spindle)?|(?:rotary |"
            + "magnetic )?table|live|sub|"
            + "slotting|tool ?post|dividing|high[- ]speed|milling attachment|drilling|tapping|dresser|pump|fan|"
            + "chuck)(?:'s)?\\s+(?:[a-z]+\\s+){0,2}?"
            + "(?:speeds?|turns?|runs?|rotates?|revolves?|spindle|attachment)\\b[^,;\\d]{0,20}(?:" + LONG
            + "(?:\\s*(?:,|to|up to|-|–|/|and)\\s*" + LONG + ")+|(?<=(?:runs|turns|rotates|speed) (?:at|to|of) )" + LONG + ")(?:\\s*"
            + RPM + ")?");
    private static final Pattern OTHERS_AT = of("\\b(?:internal|i\\.?d\\.?|work(?:piece)?(?: ?head| ?spindle)?|(?:rotary |"
            + "magnetic )?table|chuck|live|sub|tool ?post|"
            + "dresser|motor|feed)\\s*:?\\s*(?:at\\s+)?" + LONG + "(?:" + TO + LONG + ")?\\s*" + RPM);
    /** Words that make a speed another's where they stand in its clause. */
    private static final Pattern NOT_THE_SPINDLE = of("\\b(?:work(?:piece)?(?: ?head| ?spindle|piece)? (?:speeds?|spindle)|work ?head|"
            + "internal|attachment|pump|fan|"
            + "sub ?spindle|live tool\\w*|tool ?post|dresser|feed (?:speeds?|motor|box)|rotary table|table (?:speeds?|turns|runs)|"
            + "motor speeds?|surface speeds?|"
            + "cutting speeds?|hoist)\\b");
    /** A unit behind a figure that makes it none of a speed. */
    private static final String NO_SPEED = "(?!\\s*(?:mm|m\\b|ft\\b|feet|foot|in\\b|inch|ipm|ipr|kg|lb|kw\\b|hp\\b|v\\b|volts|thou|hz|"
            + "(?:x|by|×)\\s*\\d|\\d+/\\d"
            + "|per (?:inch|rev)|tpi))";
    private static final Pattern COLON = of("\\bspeeds\\s*[:=]\\s*(\\d{1,2})\\b(?!\\s*(?:to\\b|-|–|up|rpm|[.,]?\\d|,|at\\b))|"
            + "\\bspeeds\\s*\\((\\d{1,2})\\)"
            + "|\\bspeeds\\s*[:=]\\s*(\\d{1,2})(?=\\s*,\\s*\\d+[\\d.,]*\\s*(?:to|-|–))");
    private static final Pattern BESIDE_COUNT = of("(?<=\\u0001)\\s*[(,]?\\s*(?:from\\s+)?" + LONG + TO + LONG + "\\s*(?:" + RPM
            + ")?\\s*\\)?" + NO_SPEED);
    private static final Pattern IN_STEPS = of("(?:(?<=^|[,;])|\\b(?:runs?|goes|spins|turns))\\s*(?:from\\s+)?(?:about\\s+|"
            + "around\\s+)?" + LONG + TO + LONG + "(?:\\s*" + RPM + ")?\\s+in\\s+(\\d{1,2})\\s+(?:steps|speeds|"
            + "gears|changes)\\b");
    private static final Pattern IT_RUNS = of("\\b(?:it|she|spindle|machine)(?:'ll| will)? (?:runs?|goes?|turns?|"
            + "spins?) (?:from )?(?:about |around )?" + LONG + TO + LONG
            + NO_SPEED + "|\\b(?:it|she)(?:'ll| will)? (?:runs?|goes?|turns?|spins?) (?:up )?to (?:about |around )?" + NUM + NO_SPEED);
    private static final Pattern SO_MANY = of("(?<![\\w.])(\\d{1,2})\\s+(?:of them|steps|in all|in total)\\b");
    private static final Pattern BESIDE_ENDS = of("(?<=\\u0001)\\s*\\((\\d{1,2})(?:\\s*(?:steps|speeds))?\\)");
    private static final Pattern AFTER_COUNT = of("\\bspeeds?\\b(?: they say| i am told| on the plate| in all| altogether| in total|"
            + " run| go| are)?\\s*[,:(]?\\s*(?:in \\w+"
            + " (?:ranges|steps)\\s*,?\\s*)?(?:from\\s+|of\\s+|ranging from\\s+|between\\s+)?"
            + LONG + "(?:\\s*(?:to|up to|through|-|–|—|and)\\s*)" + LONG + "(?:\\s*" + RPM + ")?" + NO_SPEED);
    private static final Pattern RANGE = of(LONG + TO + LONG + "\\s*" + RPM);
    private static final Pattern IN_RANGE = of(NUM + TO + NUM + "\\s+in\\s+(low|high|(?:the )?(?:first|second|top|bottom)(?: range)?)\\b");
    private static final Pattern RANGE_FIRST = of("\\b(low|high|first|bottom|top)(?: (?:range|gear|side))?\\s*(?:is|from|:)?\\s*"
            + NUM + TO + NUM + "(?:\\s*"
            + RPM + ")?" + NO_SPEED);
    private static final Pattern SLOW = of("\\b(?:low|slowest|bottom speed|lowest(?: speed)?|"
            + "slow end)\\b[^,;\\d]{0,18}?\\b(?:(?<!up )to|is|of|at)\\s+" + NUM
            + "(?:\\s*" + RPM + ")?" + NO_SPEED + "|\\b(?:slowest|lowest)(?: speed)?\\s+" + NUM + NO_SPEED);
    private static final Pattern FAST = of("\\b(?:high(?: range)?|top speed|fastest|highest(?: speed)?|max(?:imum)?(?: speed)?|"
            + "spindle(?= (?:speed|runs?|goes|"
            + "turns|spins|maxes|tops|revs|reaches|is|will|can|to|up)\\b))\\b[^,;\\d]{0,18}?\\b(?:to|is|of|at)\\s+" + NUM + "(?:\\s*"
            + RPM + ")?" + NO_SPEED
            + "|\\b(?:fastest|highest)(?: speed)?\\s+" + NUM + NO_SPEED + "|\\b(?:up to|max(?:imum)?|top speed)\\s+" + LONG + "\\s*"
            + RPM + "|\\btop(?: end)? (?:is|of)\\s+" + NUM + NO_SPEED);
    private static final Pattern ALL_WORK = of("\\b(?:all|every(?:"
            + " one)?|each)\\s+(?:of\\s+)?(?:the\\s+)?(?:(\\d+)\\s+)?(?:spindle\\s+|gear\\s+)?speeds?\\b[^,;.\\d]{0,16}\\b"
            + "(?:works?|working|runs?|running|perfect(?:ly)?|fine|ok|good|tested)\\b(?! (?:in|but|except|if|when)\\b)|\\b(?:about |"
            + "nearly |almost )?every one of them(?:"
            + " works?| runs?)?\\b"
            + "|\\b(?:she |it |he |they )?runs? them all\\b|\\ball of them (?:work|run)\\b");
    private static final Pattern COUNT = of("(?<![\\w.])(\\d{1,3})\\s+(?:distinct\\s+|spindle\\s+|gear(?:ed)?\\s+|forward\\s+|"
            + "different\\s+)*speeds?\\b(?!\\s*(?:motor|pump|box|(?:out )?of\\b))"
            + "|(?<![\\w.])(\\d{1,2})[- ]speed\\b(?!\\s*(?:motor|pump|box))");

    private Speeds() {
    }

    static void read(SaidSentence s, Vocabulary v) {
        s.each(of("\\b(?:card|plate|chart|lid|list)\\b[^,;\\d]*\\bsays?\\s+" + NUM + "(?!\\s*(?:\\w+ ){0,2}(?:speeds?|feeds?|threads?|"
                + "gears?|pitches)\\b)" + NO_SPEED), m -> s.take(Topic.SPEED, m.group(1), m));
        s.each(ALL_WORK, m -> {
            if (m.group(1) != null) {
                s.take(Topic.SPEED_COUNT, m.group(1), m);
            }
            return s.take(Topic.SPEEDS_WORK, s.original(m.start(), m.end()), m);
        });
        s.each(OTHERS, s::keep);
        s.each(OTHERS_AT, s::keep);
        s.each(COLON, m -> !s.before(m).matches("(?s).*\\d (?:\\w+ )?") && s.take(Topic.SPEED_COUNT, Measures.first(m), m));
        if (s.things().stream().anyMatch(t -> t.topic() == Topic.SPEED_COUNT)) {
            s.each(BESIDE_COUNT, m -> ends(s, m, 1, 2, m.start(1)));
        }
        s.each(AFTER_COUNT, m -> ends(s, m, 1, 2, m.start(1)));
        if (!s.holds("feeds?|threads?|pitch(?:es)?|travels?|tables?|hz|volts")) {
            s.each(IN_STEPS, m -> {
                ends(s, m, 1, 2, m.start(1));
                return s.take(Topic.SPEED_COUNT, m.group(3), m);
            });
        }
        inRanges(s);
        if (!s.holds("feeds?|threads?|pitch(?:es)?|tables?|hz|volts|clock|counter")) {
            s.each(IT_RUNS, m -> m.group(3) == null ? ends(s, m, 1, 2, m.start(1))
                    : Measures.number(m.group(3)) >= 300 && !isAnothers(s, m)
                            && s.take(Topic.FASTEST_SPEED, m.group(3), m));
        }
        s.each(RANGE, m -> ends(s, m, 1, 2, m.start(1)));
        s.each(SLOW, m -> !isAnothers(s, m) && s.take(Topic.SLOWEST_SPEED, Measures.first(m), m));
        s.each(FAST, m -> !isAnothers(s, m) && s.take(Topic.FASTEST_SPEED, Measures.first(m), m));
        s.each(COUNT, m -> !isAnothers(s, m) && !s.clause(m).contains("motor") && s.take(Topic.SPEED_COUNT, Measures.first(m), m));
        if (s.things().stream().anyMatch(t -> t.topic() == Topic.SLOWEST_SPEED)) {
            s.each(BESIDE_ENDS, m -> s.take(Topic.SPEED_COUNT, m.group(1), m));
        }
        if (s.things().stream().anyMatch(t -> t.topic() == Topic.SLOWEST_SPEED)
                && s.things().stream().noneMatch(t -> t.topic() == Topic.SPEED_COUNT)
                && !s.holds("feeds?|threads?|pitch(?:es)?|collets?")) {
            s.each(SO_MANY, m -> s.take(Topic.SPEED_COUNT, Measures.first(m), m));
        }
        s.each(of(LONG + "\\s*rpm\\s*(?:[\\w-]+\\s+)?motor\\b|\\bmotor\\b[^,;\\d]{0,12}" + LONG + "\\s*" + RPM), s::keep);
        s.each(of(LONG + "\\s*" + RPM), m -> s.clause(m).contains("motor") || isAnothers(s, m) ? s.keep(m)
                : s.take(Topic.SPEED,
                        m.group(1), m));
        s.each(of("\\b(no reverse|does(?: not|n't) reverse)\\b|\\b(reverses|runs both ways|both directions|forward and reverse)\\b"),
                m -> s.take(Topic.REVERSES, m.group(1) != null ? "no" : "yes", m));
    }

    private static boolean isAnothers(SaidSentence s, Matcher m) {
        return NOT_THE_SPINDLE.matcher(s.clause(m)).find();
    }

    /** Both ends, where the first is the lesser; the figures alone are covered, so that a count before them is read. */
    private static boolean ends(SaidSentence s, Matcher m, int low, int high, int from) {
        if (Measures.number(m.group(low)) >= Measures.number(m.group(high)) || isAnothers(s, m)) {
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
    private static void inRanges(SaidSentence s) {
        List<String> low = new ArrayList<>();
        List<String> high = new ArrayList<>();
        s.each(IN_RANGE, m -> {
            boolean lower = m.group(3).matches(".*(?:low|first|bottom).*");
            return s.take(lower ? Topic.SLOWEST_SPEED : Topic.FASTEST_SPEED, m.group(lower ? 1 : 2), m)
                    && (lower ? low : high).add(m.group());
        });
        s.each(RANGE_FIRST, m -> {
            boolean lower = m.group(1).matches("low|first|bottom");
            return s.take(lower ? Topic.SLOWEST_SPEED : Topic.FASTEST_SPEED, m.group(lower ? 2 : 3), m);
        });
    }
}
