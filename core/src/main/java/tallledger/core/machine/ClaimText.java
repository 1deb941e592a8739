package tallledger.core.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.LinkedHashMap;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.motion.Axis;
import tallledger.core.motion.AxisId;
import tallledger.core.reading.LengthUnit;
import tallledger.core.reason.Refused;

/**
 * What people say of a machine, one thing a line or several, split into claims for a person to check. What is not recognised stays as it
 * was said, under "other": nothing is lost, nothing is guessed beyond the words.
 *
 * <p>Worked: "24 speeds, 20 to 1600 rpm" are three claims; "travels 30 x 12 x 18 in" three, an axis each; "collets 1 to 16 by 0.5" is 31.
 */
public final class ClaimText {

    /** Longer pastes are no description of one machine. */
    public static final int LONGEST = 8_000;
    private static final String NUMBER = "(\\d[\\d.,]*(?:[- ]\\d+/\\d+)?)";
    private static final String LENGTH = "(\\d[\\d.,/]*(?:[- ]\\d+/\\d+)?\\s*(?:mm|cm|m\\b|inch(?:es)?|in\\b|ft|[\"″])?)";
    private static final String MASS = "(\\d[\\d.,]*(?:\\s*(?:to|-|–)\\s*\\d[\\d.,]*)?\\s*(?:kg|t\\b|lbs?\\b))";
    private static final Pattern TRAVELS = Pattern.compile("(?i)" + NUMBER + "\\s*[x×*]\\s*" + NUMBER + "(?:\\s*[x×*]\\s*" + NUMBER
            + ")?\\s*(mm|cm|in(?:ch(?:es)?)?|[\"″])?");
    private static final Pattern RANGE = Pattern.compile("(?i)" + NUMBER + "\\s*(?:to|-|–)\\s*" + NUMBER
            + "\\s*(?:rpm|r/min|min-1|r\\.p\\.m\\.?)");
    private static final Pattern TOP = Pattern.compile("(?i)" + NUMBER + "\\s*(?:rpm|r/min|min-1|r\\.p\\.m\\.?)");

    private static final Map<Pattern, Attribute> VALUES = values();
    private static final Map<Pattern, Attribute> WORDS = words();

    private ClaimText() {
    }

    /** Things with a figure, each with where it stands. */
    private static Map<Pattern, Attribute> values() {
        Map<Pattern, Attribute> all = new LinkedHashMap<>();
        all.put(pattern("collets?,?\\s*(?:from\\s+)?(\\d[\\d.,]*\\s*(?:mm)?\\s*(?:to|-|–)\\s*\\d[\\d.,]*\\s*(?:mm)?\\s*(?:by|in steps "
                + "of|every)\\s*\\d[\\d.,]*)"), Attribute.COLLETS);
        all.put(pattern("(\\d+)\\s+collets"), Attribute.COLLETS);
        all.put(pattern("(\\d+)\\s+(?:spindle\\s+)?speeds?\\b"), Attribute.SPEED_COUNT);
        all.put(pattern("(\\d+)\\s+(?:\\w+\\s+)?feeds?\\b"), Attribute.FEED_COUNT);
        all.put(pattern("(\\d+)\\s+(?:\\w+\\s+)?threads?\\b"), Attribute.THREAD_COUNT);
        all.put(pattern("(?:accurate|true|holds|good|straight|all)?\\s*(?:to\\s+)?(?:within|accurate to|true "
                + "to)\\s+(\\d[\\d.,]*\\s*(?:mm|inch(?:es)?|in\\b|[\"″]))"), Attribute.ACCURACY);
        either(all, "between (?:the )?cent(?:re|er)s", Attribute.BETWEEN_CENTRES);
        either(all, "swings?", Attribute.SWING);
        either(all, "(?:height )?under (?:the )?spindle", Attribute.UNDER_SPINDLE);
        either(all, "arm(?: radius)?", Attribute.ARM_RADIUS);
        either(all, "throat", Attribute.THROAT);
        either(all, "(?:spindle )?bore", Attribute.BORE);
        either(all, "chuck", Attribute.CHUCK_SIZE);
        either(all, "(?:steady |fixed |travelling )?rest", Attribute.REST_SIZE);
        all.put(pattern("drill(?:s|ing capacity)?\\s*(?:up to|:)?\\s*" + LENGTH), Attribute.DRILLING_CAPACITY);
        all.put(pattern("(\\d[\\d.,]*\\s*(?:hp|kw))\\b"), Attribute.MOTOR_POWER);
        all.put(pattern(MASS), Attribute.WEIGHT);
        all.put(pattern("(\\d{3}(?:\\s*[-/]\\s*\\d{3})?\\s*v(?:olts?)?)\\b"), Attribute.SUPPLY);
        all.put(pattern("(\\d{1,3}(?:[ ,.]\\d{3})+|\\d+)\\s*hours"), Attribute.HOURS);
        all.put(pattern("(?:built|made|year|from|of)\\s*:?\\s*(?:in\\s+)?((?:19|20)\\d\\d)\\b"), Attribute.YEAR);
        all.put(pattern("((?:mt|mk|bt|nt|iso|int|r)\\s*\\d{1,2})\\b"), Attribute.TAPER);
        return all;
    }

    /** Things said in words; the words are the value. */
    private static Map<Pattern, Attribute> words() {
        Map<Pattern, Attribute> all = new LinkedHashMap<>();
        all.put(pattern("((?:next to |almost )?no (?:back\\s?lash|play))"), Attribute.NO_BACKLASH);
        all.put(pattern("rebuilt\\s+by\\s+([^,;.]+)"), Attribute.REBUILT_BY);
        all.put(pattern("\\b(re-?built|re-?conditioned|reground)\\b"), Attribute.REBUILT_BY);
        all.put(pattern("\\b((?:added|new|modern|home-made|homemade|later|replacement|rewired|replaced)"
                + "\\s+(?:[\\p{L}-]+\\s+){0,2}(?:pedal|panel|trough|tray|switch(?:gear|es)?"
                + "|motor|guard|lamp|pump|wiring|handle|handwheel)s?)\\b"), Attribute.REDONE);
        all.put(pattern("\\b((?:released |out )?(?:from|of|in) (?:long )?storage[^,;.]*)"), Attribute.FROM_STORAGE);
        all.put(pattern("\\b((?:nearly )?(?:all|everything|every function|all functions) (?:run|runs|works?|working))\\b"),
                Attribute.NEARLY_ALL_RUN);
        all.put(pattern("\\b(no reverse|does not reverse)\\b"), Attribute.REVERSES);
        all.put(pattern("\\b(reverses?|runs both ways|both directions)\\b"), Attribute.REVERSES);
        all.put(pattern("\\b((?:very |in )?(?:good|excellent|mint|fair|poor|worn|tight|quiet|as new|tired|immaculate|lovely)(?: "
                + "(?:condition|order|and tight|and quiet))?)\\b"), Attribute.CONDITION);
        return all;
    }

    private static Pattern pattern(String regex) {
        return Pattern.compile("(?i)" + regex);
    }

    /** The figure before its name, or behind it. */
    private static void either(Map<Pattern, Attribute> all, String name, Attribute attribute) {
        all.put(pattern(LENGTH + "\\s*" + name + "\\b"), attribute);
        all.put(pattern("\\b" + name + "\\s*(?:of|opens to|up to|:|is)?\\s*" + LENGTH), attribute);
    }

    /**
     * @param text   as pasted, lines or sentences
     * @param source who says so
     * @param axes   of the machine, in their order: several numbers in one are of the first of them
     * @throws Refused when the text is longer than any description
     */
    public static List<Claim> split(String text, Source source, LengthUnit unit, List<Axis> axes) {
        if (text.length() > LONGEST) {
            throw Refused.because(MachineReason.CLAIM_TEXT_LONG, text.length(), LONGEST);
        }
        List<Claim> claims = new ArrayList<>();
        for (String line : text.split("\\R|;|\\.\\s")) {
            String said = line.strip();
            if (!said.isEmpty()) {
                claims.addAll(ofLine(said, source, unit, axes));
            }
        }
        if (claims.size() > MachineDescription.MOST_CLAIMS) {
            throw Refused.because(MachineReason.CLAIMS_MANY, claims.size(), MachineDescription.MOST_CLAIMS);
        }
        return claims;
    }

    private static List<Claim> ofLine(String said, Source source, LengthUnit unit, List<Axis> axes) {
        Reader reader = new Reader(said, source, unit);
        reader.travels(axes);
        reader.named(axes);
        reader.speeds();
        VALUES.forEach((pattern, attribute) -> reader.each(pattern, attribute, true));
        WORDS.forEach((pattern, attribute) -> reader.each(pattern, attribute, false));
        return reader.claims();
    }

    /** One line, read thing by thing; what was read is not read again. */
    private static final class Reader {

        private final String wording;
        private final Source source;
        private final LengthUnit unit;
        private final List<Claim> found = new ArrayList<>();
        private String left;

        Reader(String said, Source source, LengthUnit unit) {
            this.wording = said.length() > Claim.LONGEST_WORDING ? said.substring(0, Claim.LONGEST_WORDING) : said;
            this.left = said;
            this.source = source;
            this.unit = unit;
        }

        private boolean take(Attribute attribute, String value, Optional<AxisId> axis) {
            try {
                found.add(Claim.checked(attribute, value.strip().replaceAll("[.,]$", ""), source, wording, axis, unit));
                return true;
            } catch (Refused not) {
                return false;
            }
        }

        private void done(Matcher m) {
            left = left.substring(0, m.start()) + " | " + left.substring(m.end());
        }

        void travels(List<Axis> axes) {
            Matcher m = TRAVELS.matcher(left);
            if (m.find() && axes.size() > 1) {
                String of = m.group(4) == null ? "" : " " + m.group(4);
                for (int i = 0; i < 3 && m.group(i + 1) != null; i++) {
                    take(Attribute.TRAVEL, m.group(i + 1) + of, i < axes.size() ? Optional.of(axes.get(i).id()) : Optional.empty());
                }
                done(m);
            }
        }

        void named(List<Axis> axes) {
            for (Axis axis : axes) {
                String name = Pattern.quote(axis.name());
                for (String form : List.of("\\b" + name + "\\s+(?:travels?|runs|moves)\\s*(?:of|:)?\\s*" + LENGTH,
                                LENGTH + "\\s*(?:of\\s+)?" + name + "\\s+travel")) {
                    Matcher m = pattern(form).matcher(left);
                    if (m.find() && take(Attribute.TRAVEL, m.group(1), Optional.of(axis.id()))) {
                        done(m);
                    }
                }
            }
        }

        void speeds() {
            Matcher range = RANGE.matcher(left);
            if (range.find() && take(Attribute.SLOWEST_SPEED, range.group(1), Optional.empty())) {
                take(Attribute.FASTEST_SPEED, range.group(2), Optional.empty());
                done(range);
                return;
            }
            Matcher top = TOP.matcher(left);
            if (top.find() && take(Attribute.FASTEST_SPEED, top.group(1), Optional.empty())) {
                done(top);
            }
        }

        void each(Pattern pattern, Attribute attribute, boolean isValue) {
            Matcher m = pattern.matcher(left);
            while (m.find()) {
                String value = attribute == Attribute.REVERSES ? m.group(1).toLowerCase(java.util.Locale.ROOT).contains("no") ? "no" : "yes"
                        : m.group(1);
                if (!take(attribute, value, Optional.empty()) && isValue) {
                    return;
                }
                done(m);
                m = pattern.matcher(left);
            }
        }

        /** What was read; the whole line where nothing was. */
        List<Claim> claims() {
            if (found.isEmpty()) {
                found.add(new Claim(Attribute.OTHER, wording.length() > Identity.LONGEST ? wording.substring(0, Identity.LONGEST) : wording,
                                source, wording));
            }
            return found;
        }
    }
}
