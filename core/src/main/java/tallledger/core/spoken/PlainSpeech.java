package tallledger.core.spoken;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.said.SaidText;

/**
 * Speech as it would be written: numbers in digits, units by their signs, without the noises people make while they think.
 *
 * <p>Worked: "four fifty" is 450, "a hundred and twenty-five" 125, "twenty-five thirty-seconds" 25/32, "point oh four" 0.04, "eleven
 * twenty revs a minute" 1120 rpm, "half a thou" 0.5 thou.
 */
final class PlainSpeech {

    private static final String DIGIT = "(?:oh|zero|nought|one|two|three|four|five|six|seven|eight|nine)";
    private static final String SMALL =
            "(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen"
                    + "|seventeen|eighteen|nineteen)";
    private static final String TEEN = "(?:ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen)";
    private static final String TENS = "(?:twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)";
    /** Behind two words for numbers these make them a count and a size, not one number. */
    private static final String NOT_ONE = "(?![ -](?:inch|foot|jaw|jaws|tooth|teeth|ton|hp|horse|mil|mm|spline|station|speeds?|"
            + "feeds?|phase|axis)\\b)";
    private static final Pattern PAIR =
            Pattern.compile(
                    "(?<![\\w-])(?<!\\b(?:hundred|thousand) )(?<!\\b(?:hundred|thousand) and )(" + SMALL + "|twenty(?= " + TEEN + ")|"
                            + TENS + "-(?:one|two|three|four|five|six|seven|eight|nine))[ -](" + TEEN + "|" + TENS
                            + "(?:[ -](?:one|two|three|four|five|six|seven|eight|nine))?)(?![\\w-])" + NOT_ONE);
    private static final Pattern THOUSAND =
            Pattern.compile("\\bthousand (one|two|three|four|five|six|seven|eight|nine) (" + TEEN + "|" + TENS
                    + "(?:[ -](?:one|two|three|four|five|six|seven|eight|nine))?)\\b");
    private static final Pattern OH = Pattern.compile("\\b(" + SMALL + ") oh (one|two|three|four|five|six|seven|eight|nine)\\b");
    private static final Pattern POINT = Pattern.compile("\\bpoint((?:[ -]" + DIGIT + "\\b){1,5})(?![ -](?:teen|hundred))");
    private static final Map<Pattern, String> WRITTEN = new LinkedHashMap<>();

    static {
        written("\\b(?:uh|um|er|erm|ah|you know|i mean|sort of|kind of|obviously|basically)\\b,?\\s*", "");
        written("\\b(travel|swing|bore|motor|table|weight|wheel|capacity|spindle|top|bottom|plate)'s\\b", "$1 is");
        written("(?<=^|[.,] )(one|two|three|four|five|six|seven|eight|nine) (one|two|three|four|five|six|seven|eight|nine)"
                + " (oh|zero|five)(?=[.,]|$)", "$1-$2-$3");
        written("\\bspeeds (?:on|for|at|in) the spindle\\b", "speeds");
        written("\\ba (hundred|thousand)\\b", "one $1");
        written("(?<!\\b(?:" + SMALL + "|" + TENS
                + "|hundred|\\d{1,9}|few|couple of|several|many) )(?<!-(?:one|two|three|four|five|six|seven|"
                + "eight|nine) )(?<![\\w-])(hundred|thousand)\\b", "one $1");
        written("^(?:>+ ?)?(?:seller|buyer|vendor|owner|dealer|me|him|her|[a-z]\\w{1,9}): ", "");
        written("(?<!and a )\\bhalf (?:a )?thou\\b", "0.5 thou");
        written("(?<!and a )\\bhalf (?:a |of a )?(tenth|horse)", "1/2 $1");
        written("\\b(?:a )?half (?:an |of an )?inch\\b", "1/2 inch");
        written("\\b(?:a )?quarter(?: of an|-| )? ?inch\\b", "1/4 inch");
        written("\\b(?:a |one )?couple (?:of )?(?!years|weeks|days|months|times)", "2 ");
        written("\\b(?:a )?pair of\\b", "2");
        written("\\b(?:a )?dozen\\b", "12");
        written("\\ban? (met(?:re|er)|foot|ton|tonne|inch and)\\b(?! (?:steady|rest|brake|pedal|switch|of))", "1 $1");
        written("\\b(\\w+|\\d+) (?:of an|of a) (inch|thou)\\b", "$1 $2");
        written("\\bthousandths?(?: of an inch| inch)?\\b", "thou");
        written("\\bmil{1,2}i?met(?:re|er)s?\\b|\\bmills?(?= (?:travel|over|between|of|swing|bore|in))", "mm");
        written("\\bcentimet(?:re|er)s?\\b", "cm");
        written("\\bmet(?:re|er)s?\\b", "m");
        written("\\bkilo(?:gram(?:me)?s?|s)\\b", "kg");
        written("\\bkilowatts?\\b", "kw");
        written("\\bhorse ?power\\b", "hp");
        written("\\bnumber (\\w+) morse\\b(?! taper)", "number $1 morse taper");
        written("(?<!swing )\\bover the bed\\b", "swing over the bed");
        written("\\br\\.? ?p\\.? ?m\\.?s?\\b|\\brev(?:olution)?s? ?(?:per|a|/) ?min(?:ute)?\\b", "rpm");
        written("\\brevs\\b", "rpm");
    }

    /** How figures are turned round in speech, once they are in digits. */
    private static final Map<Pattern, String> FIGURES = new LinkedHashMap<>();

    private static void turned(String said, String as) {
        FIGURES.put(Pattern.compile(said), as);
    }

    static {
        turned("(?<!\\d )\\b(?:(?:an|1) )?inch and (?:a |1 )?(?:half|1/2)\\b", "1 1/2 inch");
        turned("(?<!\\d )\\b(?:(?:an|1) )?inch and (?:a |1 )?(?:quarter|1/4)\\b", "1 1/4 inch");
        turned("(?<!\\d )\\b(?:(?:an|1) )?inch and (\\d/\\d{1,2})\\b", "1 $1 inch");
        turned("(\\d(?: inch(?:es)?| mm)) through the (?:spindle|headstock|nose)", "$1 spindle bore");
        turned("\\b(?:wired|set up|connected) for (110|115|120|208|220|230|240|380|400|415|440|460|480)\\b(?! ?v)", "wired for $1 volts");
        turned("\\b(\\d+) inch(?:es)? x,? (\\d+)(?: inch(?:es)?)? y,? (?:and )?(\\d+)(?: inch(?:es)?)? z\\b",
                "x travel is $1 inches, y travel is $2 inches, z travel is $3 inches");
        turned("\\bhours (?:are|is|show|says?|read) (?:about |around )?(\\d{2,6})\\b", "$1 hours");
        turned("^((?:about |around |roughly |maybe )?\\d[\\d.]*) (lbs|pounds|kg|tons?|tonnes?)\\b", "weighs $1 $2");
        turned("\\b(feeds|speeds|threads)(?: are|,|:) (\\d{1,3})\\b(?: of (?:them|those))?(?! ?(?:to|mm|thou|rpm|per|\\.\\d))", "$2 $1");
        turned("\\b(\\d+(?:\\.\\d+)?) (?:slash|/) (\\d+(?:\\.\\d+)?) kw", "$2 kw");
    }

    private PlainSpeech() {
    }

    private static void written(String said, String as) {
        WRITTEN.put(Pattern.compile(said), as);
    }

    /** In lower case. */
    static String of(String spoken) {
        String text = spoken.toLowerCase(Locale.ROOT).replace('’', '\'').replaceAll("\\s+", " ");
        for (Map.Entry<Pattern, String> form : WRITTEN.entrySet()) {
            text = form.getKey().matcher(text).replaceAll(form.getValue());
        }
        text = OH.matcher(text).replaceAll("$1 hundred and $2");
        text = THOUSAND.matcher(text).replaceAll("thousand $1 hundred and $2");
        text = PAIR.matcher(text).replaceAll(m -> SaidText.inDigits(m.group(1) + " hundred and " + m.group(2)));
        text = points(text);
        text = SaidText.inDigits(text);
        // A point joins the digits before it; alone it stands behind a nought.
        text = text.replaceAll("(\\d) ?§(\\d+)", "$1.$2").replaceAll("\\bone §(\\d+)", "1.$1").replaceAll("§(\\d+)", "0.$1");
        text = text.replaceAll("(\\d) ?mils?\\b", "$1 mm").replaceAll("\\bneeds? (?=\\d{3})", "takes ")
                .replaceAll("(\\d+) by (\\d+) (?:mm )?between", "swing $1 mm, $2 mm between")
                .replaceAll("\\b(?:be|is|it's|about|around|probably|guess|roughly|maybe|at) ((?:about |around |maybe )?)"
                        + "(\\d+(?:\\.\\d+)?(?: \\d/\\d)?) (ton|tonne|pound|kg|lb)s?\\b(?! (?:press|crane|jack|a|off|sterling))",
                        "weighs $1$2 $3s")
                .replaceAll("(\\d) pounds", "$1 lbs").replaceAll("kgs", "kg");
        for (Map.Entry<Pattern, String> form : FIGURES.entrySet()) {
            text = form.getKey().matcher(text).replaceAll(form.getValue());
        }
        return text.replaceAll("(\\d) (and a half|and 1/2)\\b", "$1 1/2")
                .replaceAll("(\\d) 1/2(?! ?(?:in\\b|inch|\"|x|by|ft|foot|hp|horse|/))", "$1.5")
                .replaceAll("(\\d) (inch(?:es)?|mm) by (\\d+(?:\\.\\d+)?)(?! ?(?:inch|mm|by|x|/|\\d))", "$1 by $3 $2")
                .replaceAll("\\bpoint (\\d)", "0.$1")
                .replaceAll("(\\d),(\\d{3})\\b",
                        "$1$2")
                .replaceAll("\\s+", " ").strip();
    }

    private static String points(String text) {
        Matcher m = POINT.matcher(text);
        StringBuilder out = new StringBuilder();
        while (m.find()) {
            StringBuilder digits = new StringBuilder("§");
            for (String word : m.group(1).strip().split("[ -]")) {
                digits.append("oh zero nought one two three four five six seven eight nine".indexOf(word) < 0 ? ""
                        : Math.max(0,
                                java.util.List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine").indexOf(word)
                                        + 1));
            }
            m.appendReplacement(out, digits.toString());
        }
        return m.appendTail(out).toString();
    }
}
