package tallledger.core.said;

import static tallledger.core.said.Forms.LENGTH;
import static tallledger.core.said.Forms.SIZE;
import static tallledger.core.said.Forms.of;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.said.Vocabulary.Kind;

/** The rules for how far the axes travel: several in one, by name, by letter. */
final class Travels {

    private static final String THREE = "(\\d{2,4}\\s*/\\s*\\d{2,4}(?:\\s*/\\s*\\d{2,4})?\\s*(?:mm\\b|in\\b|[\"″”])?)(?!\\s*/)";
    private static final String LETTERS = "x\\s*[/ ,]\\s*y(?:\\s*[/ ,]\\s*z)?";
    private static final Pattern TOGETHER = of("\\b(?:travels?|strokes?)\\s*(?:of|are|is|:)?\\s*(?:" + LETTERS + ")?\\s*:?\\s*(?:"
            + SIZE + "|" + THREE + ")|"
            + SIZE + "\\s*(?:of )?travels?\\b|(?<![\\w./])" + THREE + "\\s*travels?\\b|\\b" + LETTERS
            + "\\s*(?:travels?)?\\s*:?\\s*(?:" + SIZE + "|" + THREE + ")");
    private static final String OF = "\\s*(?:of|:|=|is|goes|moves)?\\s*";
    private static final String STROKE = "(?:travels?|moves|stroke|goes(?: up and down| in and out)?|does)";
    /** What a figure beside an axis may be instead; the last of these words before it tells. */
    private static final Pattern ELSE = of("\\b(travels?|strokes?|backlash|lost motion|play|wear|repeats?|rapids?|feeds?|scales?|"
            + "run-?out|square|"
            + "accura\\w+|within|readout|dro|screws?)\\b");

    private Travels() {
    }

    /** "travels 30 x 12 x 18 in", "X/Y/Z 1020/560/510": an axis each, in their order. */
    static void together(SaidSentence s, Vocabulary v) {
        s.each(TOGETHER, m -> {
            String[] parts = Measures.first(m).split("\\s*(?:x|×|by|/)\\s*");
            String unit = parts[parts.length - 1].replaceAll("[\\d.,/ -]", "").strip();
            boolean lettered = m.group().matches("(?:travels?|strokes?)?[\\s:]*x.*");
            for (int i = 0; i < parts.length && i < v.axes().size(); i++) {
                String axis = lettered ? v.axis("xyz".substring(i, i + 1)) : v.axes().get(i);
                s.take(Topic.TRAVEL, parts[i].replaceAll("[^\\d.,/ -]", "").strip() + (unit.isEmpty() ? "" : " " + unit), m, axis);
            }
            return true;
        });
    }

    static void read(SaidSentence s, Vocabulary v) {
        String axes = v.axisWords();
        String side = "(?:(?:vertical|cross|longitudinal|power|manual|auto)\\s+)?";
        s.each(of("\\b(" + axes + ")(?:\\s+(?:slide|table|axis))?\\s+" + side + STROKE + "(?: along the arm| on the arm)?" + OF + LENGTH),
                m -> take(s, v, m, 1, 2));
        s.each(of(LENGTH + "\\s*(?:of\\s+)?(" + axes + "|[xyz])[ -](?:axis )?" + side + "(?:travel|stroke)\\b"), m -> take(s, v, m, 2, 1));
        s.each(of(LENGTH + "\\s*(?:of\\s+)?" + side + "(?:travel|stroke)\\s+(?:in|on|of|for)\\s+(?:the\\s+)?(" + axes + "|[xyz])\\b"),
                m -> take(s, v, m, 2, 1));
        s.each(of("\\b(" + axes + ")\\s+(?:has\\s+)?(?:about\\s+|some\\s+|around\\s+|roughly\\s+)?" + LENGTH
                + "\\s*(?:of\\s+)?(?:travel|stroke)\\b"), m -> take(s, v, m, 1, 2));
        if (v.kind() == Kind.MILL || v.kind() == Kind.CENTRE) {
            s.each(of(LENGTH + "\\s*in\\s+([xyz])\\b"), m -> isTravel(s, m) && take(s, v, m, 2, 1));
        }
        boolean travels = s.holds("travels?|strokes?");
        boolean[] lettered = {false};
        if (travels || v.kind() == Kind.MILL || v.kind() == Kind.CENTRE) {
            s.each(of("(?<![\\w/-])([xyz])[- ]?\\s*(?:axis|travel)?\\s*(?:is\\b|[:=])?\\s*" + LENGTH), m -> {
                lettered[0] = true;
                return isTravel(s, m) && take(s, v, m, 1, 2);
            });
        }
        if (travels || lettered[0] || s.things().stream().anyMatch(t -> t.topic() == Topic.TRAVEL) || s.holds("longitudinal")
                && s.holds("cross")) {
            // What follows one travel is the next, but a spindle and a head have other sizes too.
            s.each(of("(?<=^|[,;\\u0001]|\\band)\\s*(" + axes + ")\\s*[:=]?\\s*" + LENGTH), m -> !m.group(1).matches("spindle|head|arm")
                    && isTravel(s, m) && take(s, v, m, 1, 2));
            s.each(of("(?<=^|[,;\\u0001]|\\band)\\s*" + LENGTH + "\\s*(?:in|on|of)\\s+(?:the\\s+)?(" + axes + "|[xyz])\\b"),
                    m -> isTravel(s, m) && take(s, v, m, 2, 1));
        }
    }

    private static boolean isTravel(SaidSentence s, Matcher m) {
        String last = "";
        Matcher words = ELSE.matcher(s.before(m));
        while (words.find()) {
            last = words.group();
        }
        return last.isEmpty() || last.startsWith("travel") || last.startsWith("stroke");
    }

    private static boolean take(SaidSentence s, Vocabulary v, Matcher m, int axis, int length) {
        String of = v.axis(m.group(axis));
        return !of.isEmpty() && s.take(Topic.TRAVEL, m.group(length), m, of);
    }
}
