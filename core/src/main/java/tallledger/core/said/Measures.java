package tallledger.core.said;

import static tallledger.core.said.Forms.LENGTH;
import static tallledger.core.said.Forms.LONG;
import static tallledger.core.said.Forms.NUM;
import static tallledger.core.said.Forms.SIZE;
import static tallledger.core.said.Forms.TO;
import static tallledger.core.said.Forms.of;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.said.Vocabulary.Kind;

/** The rules for figures, in the order they are tried: what is no figure of the machine first, then what is most particular. */
final class Measures {

    private static final Pattern STRANGERS = of("\\b(?:adds?|adding|jog(?:s|ging)?|chang(?:es?|ing)[-"
            + " ]over|phone|tel|call|lift(?:ing)?|crane|hoist|"
            + "fork ?lift|trailer|asking|priced?|costs?|paid|offers?|new price|door|sheds?|postcode)\\b[^;.]*?\\d(?:(?! and )[^,;])*"
            + "|[£$€]\\s?\\d[\\d., ]*\\d?|" + LONG
            + "\\s*(?:pounds sterling|gbp|usd|eur|euros?|dollars|quid|%|percent|per cent|miles?|km|owners?)\\b"
            + "|\\bnot\\s+(?:a\\s+)?\\d[\\d.,]*|\\b(?:\\d+|one|a)\\s*(?:years?|months?|weeks?|days?|hours?"
            + " (?:away|notice|drive)|seconds?|shifts?)\\b[^,;]*|\\b(?:\\d+|one)\\s*minutes?\\b[^,;]*"
            + "|(?:^|(?<=[,;]))[^,;]*\\b(?:warranty|guaranteed?)\\b[^,;]*|\\b(?:since|until|till)\\s+(?:19|20)\\d\\d\\b"
            + "|\\b(?:moved|bought|rewired|overhauled|painted|last used|installed|refurbished|retired|came"
            + " here|acquired|purchased|stored)\\b[^,;]*?"
            + "\\b(?:19|20)\\d\\d\\b");
    private static final Pattern TABLE = of("(?:(?<!box )\\btable(?:'s)?|\\b(?:working|clamping) (?:surface|area))\\s*(?:size|surface|"
            + "top)?\\s*(?:of|is|:)?\\s*" + SIZE + "|" + SIZE
            + "\\s*(?:working )?(?:table|worktable)\\b");
    private static final Pattern WHEEL = of("(?<!regulating |control |reg )\\b(?:grinding )?wheel(?:'s)?\\s*(?:size)?\\s*(?:of|is|"
            + ":)?\\s*" + SIZE + "|" + SIZE
            + "\\s*(?:grinding )?wheel\\b");
    private static final Pattern LATHE_SIZE = of("(\\d+(?:[.,]\\d+)?)\\s*(?:mm|in(?:ch)?|[\"″”])?\\s*(?:x|×|by)\\s*(\\d+)\\s*(mm|"
            + "in(?:ch(?:es)?)?|[\"″”])?\\s*"
            + "(?:[a-z-]+\\s){0,2}lathe\\b");
    private static final Pattern TAPER = of("\\b(?:no\\.?|number|nr\\.?|#)\\s*\\d+\\s*(?:morse )?(?:spindle"
            + " )?(taper|nose|centre|center|arbor)\\b"
            + "|\\b(?:mt|mk|bt|nt|iso|int|cat|hsk|sk|jt)[- ]?\\d{1,3}\\b(?:\\s*(taper|spindle|nose))?|\\br[- ]?8\\b|\\bmorse(?:"
            + " taper)?\\s*(?:no\\.?\\s*)?\\d\\b"
            + "|\\btaper\\s*(?:no\\.?\\s*|number\\s*)?\\d{1,2}\\b|(?<![\\w.])\\d{1,2}\\s*(?:int|iso|nt|mt|morse)?\\s*(taper)\\b");
    private static final Pattern RATIO = of("(?:\\b(?:back gear|range [a-z]|low range|reduction|ratio)\\b[^,;\\d]{0,16})?" + NUM
            + "\\s*(?:to|:)\\s*(?:1|one)\\b(?![.,]\\d)(?!\\s*(?:mm|in\\b|inch|m\\b|rpm|thou|tonnes?|t\\b))(?:,?\\s*or\\s*(?:perhaps |"
            + "maybe )?\\d+(?:[.,]\\d+)?)?");
    private static final Pattern COLLETS = of("\\bcollets?,?\\s*(?:from\\s+)?(\\d[\\d.,]*\\s*(?:mm)?\\s*(?:to|-|"
            + "–)\\s*\\d[\\d.,]*\\s*(?:mm)?\\s*(?:by|in steps of|"
            + "every)\\s*\\d[\\d.,]*)|(?<![\\w.])(\\d+)\\s+collets\\b");
    private static final Pattern FRAGMENT = of(SIZE);

    private Measures() {
    }

    static void read(SaidSentence s, Vocabulary v) {
        if (v.plate()) {
            plateList(s);
        }
        s.each(STRANGERS, s::keep);
        s.each(COLLETS, m -> s.take(Topic.COLLETS, first(m), m));
        s.each(TAPER, m -> m.group().contains("centre") || m.group().contains("center") || m.group().contains("arbor") ? s.keep(m)
                : s.take(Topic.TAPER, m.group(), m));
        s.each(RATIO, m -> number(m.group(1)) > 1 && !s.clause(m).matches(".*\\b(?:feeds?|speeds?|pitch\\w*|scale)\\b.*")
                && s.takeExactly(Topic.RATIO, m.group(), m, ""));
        sizes(s, v);
        Speeds.read(s, v);
        Feeds.read(s, v);
        lengths(s, v);
        rest(s, v);
    }

    /** A row of a plate: its figures in their order. */
    private static void plateList(SaidSentence s) {
        s.each(of("(?<![\\w./])\\d+(?:\\.\\d+)?(?:[ ,/]+\\d+(?:\\.\\d+)?(?![\\w/])){2,}"), m -> s.take(Topic.SPEED_LIST,
                String.join(" ", Arrays.stream(m.group().split("[ ,/]+")).toList()), m));
    }

    private static void sizes(SaidSentence s, Vocabulary v) {
        s.each(TABLE, m -> s.take(Topic.TABLE_SIZE, first(m), m));
        s.each(WHEEL, m -> s.take(Topic.WHEEL_SIZE, first(m), m));
        if (v.kind() == Kind.LATHE) {
            s.each(LATHE_SIZE, m -> {
                String unit = m.group(3) == null ? "" : " " + m.group(3);
                s.take(Topic.SWING, m.group(1) + unit, m);
                return s.take(Topic.BETWEEN_CENTRES, m.group(2) + unit, m);
            });
        }
        Travels.together(s, v);
        // Any other size may be a table's, a wheel's, a room's: nobody says.
        s.each(FRAGMENT, m -> s.keep(m));
    }

    static String first(Matcher m) {
        for (int i = 1; i <= m.groupCount(); i++) {
            if (m.group(i) != null) {
                return m.group(i).strip();
            }
        }
        return m.group().strip();
    }

    private record NamedMeasure(Topic topic, String name, List<Kind> kinds) {
    }

    private static final List<Kind> ALL = List.of(Kind.values());
    private static final List<NamedMeasure> NAMED = List.of(
            new NamedMeasure(Topic.BETWEEN_CENTRES, "between (?:the )?cent(?:re|er)s", List.of(Kind.LATHE, Kind.GRINDER)),
            // What swings in the gap or over the slide is another size than what swings over the bed.
            new NamedMeasure(Topic.GAP_SWING, "(?:swings? in (?:the )?|in the )gap", List.of(Kind.LATHE)),
            new NamedMeasure(Topic.GAP_SWING, "gap swing", List.of(Kind.LATHE)),
            new NamedMeasure(Topic.SLIDE_SWING, "(?:swings? )?over (?:the )?(?:cross[- ]?slide|carriage|saddle)", List.of(Kind.LATHE)),
            new NamedMeasure(Topic.SWING, "swings?(?: over (?:the )?bed)?", ALL),
            new NamedMeasure(Topic.UNDER_SPINDLE, "(?:height )?under (?:the )?spindle", ALL),
            new NamedMeasure(Topic.ARM_RADIUS, "(?:arm(?: radius)?|radius)", List.of(Kind.DRILL)),
            new NamedMeasure(Topic.THROAT, "throat", ALL), new NamedMeasure(Topic.BORE, "(?:spindle )?bore", ALL),
            new NamedMeasure(Topic.CHUCK_SIZE, "(?:\\w+[- ]jaw |magnetic |independent |rotary )*chuck", ALL),
            new NamedMeasure(Topic.CHUCK_SIZE, "[346][- ]jaw", ALL),
            new NamedMeasure(Topic.REST_SIZE, "(?:fixed |travelling )?(?:steady(?: rest)?|rest)", List.of(Kind.LATHE)));

    private static void lengths(SaidSentence s, Vocabulary v) {
        String metal = "(?:\\s*in (?:steel|cast iron|mild steel|iron))?";
        s.each(of("\\bdrill(?:s|ing)?(?: capacity)?\\s*(?:up to|of|:)?\\s*" + LENGTH + metal + "|\\btakes (?:an? )?" + LENGTH + " drill\\b"
                + metal), m -> s.take(Topic.DRILLING_CAPACITY, first(m), m));
        if (v.kind() == Kind.DRILL) {
            s.each(of(LENGTH + "\\s*(?:drilling )?capacity\\b" + metal + "|\\bcapacity\\s*(?:of|is|:)?\\s*" + LENGTH + metal),
                    m -> s.take(Topic.DRILLING_CAPACITY, first(m), m));
        }
        if (v.kind() == Kind.LATHE) {
            s.each(of(LENGTH + "\\s*between\\s*(?=$|[,;.])"), m -> s.take(Topic.BETWEEN_CENTRES, m.group(1), m));
        }
        Travels.read(s, v);
        for (NamedMeasure named : NAMED) {
            if (named.kinds.contains(v.kind())) {
                s.each(of(LENGTH + "\\s*" + named.name + "\\b|\\b" + named.name + "\\s*(?:of|opens to|up to|:|is(?: an?)?)?\\s*" + LENGTH),
                        m -> isItsOwn(named.topic, first(m), s.clause(m)) && !s.before(m).endsWith("for the ") && s.take(named.topic,
                                first(m), m));
            }
        }
    }

    /** A bare figure beside a chuck may be anything's, and what an arm or a head travels is no radius. */
    private static boolean isItsOwn(Topic topic, String length, String clause) {
        return topic == Topic.CHUCK_SIZE ? !length.matches("\\d{1,2}")
                : topic != Topic.ARM_RADIUS || !clause.matches(".*\\b(?:travels?|stroke|moves|raises|lifts)\\b.*");
    }

    private static void rest(SaidSentence s, Vocabulary v) {
        String others = ".*\\b(?:pump|coolant|suds|feeds?|rapids?|elevat\\w+|rais\\w+|rise and fall|lift\\w*|clamp\\w*|hydraulics?|"
                + "travers\\w+|"
                + "work ?head|fan|blower|conveyor|vacuum|extract\\w+|dresser|dressing|table|lubricat\\w+|lighting|heater|axis|axes|"
                + "servo|knee|arm|"
                + "regulating|infeed|chuck|tool ?post|attachment|own motor|vertical head|total|connected|(?<!main )drive)\\b.*";
        String drive = "(?:inverter|vfd|vsd|converter|phase converter|(?:variable|vector|frequency|spindle|servo) drive|"
                + "drive (?:is )?rated)";
        String power = "(?<![\\w./-])((?:\\d+[- ])?\\d+/\\d+|\\d{1,3}(?:,\\d{3})+|\\d+(?:[.,]\\d+)?)\\s*(hp\\b|h\\.p\\.|kw\\b|"
                + "kilowatts?\\b|horse(?: ?power)?\\b|w\\b|watts?\\b)";
        s.each(of(power + "\\s*(?:\\w+\\s+)?" + drive + "\\b|\\b" + drive + "\\s*(?:is\\s*)?(?:rated|of|:)?\\s*(?:at\\s*|for\\s*)?"
                + power),
                m -> s.take(Topic.DRIVE_RATING, power(m), m));
        s.each(of(power
                + "\\s*(?:[\\w-]+\\s+){0,2}?(?:coolant|pump|feed|rapid|hydraulic|suds)\\b|\\b(?:pump|coolant|feed"
                + " motor|hydraulics?)\\s*(?:motor\\s*)?"
                + power), m -> s.keep(m));
        s.each(of("\\bone (?:horse ?power|horse|hp)\\b"), m -> s.take(Topic.MOTOR_POWER, "1 hp", m));
        // What stands behind an inverter alone is the inverter's; of other motors' power nothing is claimed.
        s.each(of(power), m -> s.clause(m).matches(others) || s.before(m).matches("(?s).*\\b" + drive + "\\s*,\\s*")
                || m.group(2).startsWith("w") && number(m.group(1)) < 90 || isTwo(m.group(1)) ? s.keep(m)
                        : s.take(Topic.MOTOR_POWER,
                                power(m), m));
        s.each(of("\\b(?:weighs?|weight|weighing|mass)\\s*(?:is|of|:|about|around|roughly|approx\\.?|some|circa|just over|just"
                + " under)*\\s*" + LONG
                + "(?:" + TO + NUM + ")?\\s*(kg|kgs|kilos?|t\\b|tonnes?|tons?|lbs?|pounds)?"), m -> s.take(Topic.WEIGHT, mass(m, v), m));
        s.each(of("(?<=^|[,;\\u0001])\\s*(?:about|approx\\.?|circa|roughly|around)?\\s*" + LONG + "(?:" + TO + NUM
                + ")?\\s*(kg|kgs|t|tonnes?|lbs?)\\.?\\s*(?:approx\\.?|or so|net|gross)?\\s*(?=$|[,;])"),
                m -> s.take(Topic.WEIGHT, mass(m, v), m));
        s.each(of("(?<![\\w.])([1-6]\\d\\d)\\s*(?:v(?:olts?)?)?,?\\s*(?:[13]|single|one)[- ]?ph(?:ase)?\\b|\\b(?:[13]|single|"
                + "one)[- ]?ph(?:ase)?,?\\s*"
                + "([1-6]\\d\\d(?:\\s*(?:or|/)\\s*[1-6]\\d\\d)?)\\s*(?:v(?:olts?)?\\b)?(?!\\s*(?:rpm|mm|kg|lb|[/\\d]))"),
                m -> s.take(Topic.SUPPLY, first(m).replaceAll("\\s*(?:or|/)\\s*", "/") + " V", m));
        s.each(of("(?<![\\w.])(\\d{3}(?:-\\d{3}(?=\\s*/))?)\\s*(?:v(?:olts?)?)?\\s*(or|/|-|–|to)\\s*(\\d{3})\\s*v(?:olts?|ac)?\\b|"
                + "(?<![\\w.])(\\d{3})\\s*v(?:olts?|ac)?\\b"),
                m -> !s.clause(m).matches(".*\\b(?:control|lamp|lights?|coils?|solenoids?|sockets?|was|were|used to|can be)\\b.*")
                        && s.take(Topic.SUPPLY, m.group(4) != null ? m.group(4) + " V"
                                : m.group(1) + (m.group(2).matches("or|/")
                                        ? "/"
                                        : "-")
                                        + m.group(3) + " V",
                                m));
        s.each(of(LONG + "\\s*(?:running |spindle |cutting |power[- ]on )?(?:hours|hrs)\\b"), m -> number(m.group(1)) >= 100
                && !s.clause(m).matches(".*\\b(?:head|motor|pump|kit|readout|battery|bought|got it|(?:new|replaced|rebuilt|done|"
                        + "changed)\\b.* at|on the (?!clock|meter|counter|machine|spindle|control|hour))\\b.*")
                && s.take(Topic.HOURS, m.group(1), m));
        s.each(of("\\b(?:built|made|manufactured|year(?: of (?:build|manufacture|construction))?|dated|new"
                + " in)\\s*:?\\s*(?:in\\s+)?(?:about\\s+|circa\\s+)?"
                + "((?:19|20)\\d\\d)\\b|\\b(?:it's|it is|this is|she's|dates?) (?:an?|from|back to) ((?:19|20)\\d\\d)\\b(?!\\s*(?:mm|"
                + "kg|lb|rpm))|\\b((?:19|20)\\d\\d)\\s+(?:build|model|machine|lathe|mill|drill|grinder)\\b|(?<=^|"
                + "[,;])\\s*(?:about |circa |c\\. ?)?"
                + "((?:19|20)\\d\\d)\\s*(?=$|[,;.])"), m -> s.take(Topic.YEAR, first(m), m));
        s.each(of("\\b(?:(?:turns|bores|grinds|mills) )?(?:accurate|true|holds|good|straight|all)?\\s*(?:to\\s+)?(?:within|accurate"
                + " to|true to)\\s+" + LENGTH),
                m -> m.group(1)
                        .matches(".*[a-z\"″”]\\s*\\.?") && s.take(Topic.ACCURACY, m.group(1), m));
        s.each(of("(?<![\\w.])(\\d{1,3})\\s+((?:(?!jaw)[a-z-]+\\s)?(?:steadies|steady rests|chucks|face ?plates|tool"
                + " ?holders|vices|vises|arbors|change ?wheels|"
                + "change gears|dogs|cutters|boring bars|drill chucks|sockets|sleeves|clamps|wheel flanges|mandrels|centres))\\b"),
                m -> s.takeExactly(Topic.KIT_COUNT, m.group(1), m, m.group(2)));
    }

    /** "11/15" is two ratings; a fraction of a horse is 1/2, 3/4 and the like. */
    private static boolean isTwo(String power) {
        return power.contains("/") && !power.matches(".*\\b\\d/(?:2|3|4|8|16)");
    }

    private static String power(Matcher m) {
        for (int i = 1; i < m.groupCount(); i++) {
            if (m.group(i) != null) {
                return m.group(i) + (m.group(i + 1).startsWith("k") ? " kW" : m.group(i + 1).startsWith("w") ? " W" : " hp");
            }
        }
        return m.group();
    }

    private static String mass(Matcher m, Vocabulary v) {
        String unit = m.group(3) == null ? v.inches() ? "lb" : "kg"
                : m.group(3).startsWith("k") ? "kg"
                        : m.group(3).startsWith("t")
                                ? "t"
                                : "lb";
        return m.group(1) + (m.group(2) == null ? "" : " to " + m.group(2)) + " " + unit;
    }

    static double number(String digits) {
        String plain = digits.replace(" ", "");
        return Double.parseDouble(plain.matches("\\d{1,3}(,\\d{3})+(\\.\\d+)?") ? plain.replace(",", "") : plain.replace(',', '.'));
    }
}
