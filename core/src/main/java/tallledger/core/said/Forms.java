package tallledger.core.said;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/** Pieces that the rules are made of; all of them in lower case, numbers in digits. */
final class Forms {

    /** No number is cut short. */
    private static final String WHOLE = "(?!(?:,|\\.(?!\\.))?\\d)";
    /** 12, 12.5, 12,5, .0018, 11,000; never the tail of a word or of another number. */
    static final String NUM = "(?<![\\w./])(\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|\\d+(?:[.,]\\d+)?|\\.\\d+)" + WHOLE;
    /** The same with thousands parted by blanks, where a unit behind it says that it is one number. */
    static final String LONG = "(?<![\\w./])(\\d{1,3}(?: \\d{3})+|\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|\\d+(?:[.,]\\d+)?)" + WHOLE;
    /** Inches only where no word behind makes it "in steel", "in low". */
    private static final String IN = "in(?:ch(?:es)?)?\\b\\.?(?!\\s+(?:steel|cast|iron|mild|low|high|top|bottom|the|a|an|its?|this|"
            + "that|all|good|very|"
            + "excellent|order|back|middle|both|each|use|gear|reverse|[xyz]|(?:19|20)\\d\\d)\\b)";
    private static final String UNIT = "(?:mm\\b|cm\\b|m\\b|metres?\\b|" + IN + "|ft\\b|feet\\b|foot\\b|thou\\b|[\"″”])";
    /** 410 mm, 16", 5 ft 5, 35 5/8 in, 5.00. */
    static final String LENGTH = "((?<![\\w./])(?:\\d+\\s*(?:ft|feet|foot|['′’])\\s*\\d+(?:[- ]\\d+/\\d+)?(?:\\s*(?:in\\b|[\"″”]))?"
            + "|(?:\\d{1,3}(?:,\\d{3})+|\\d+(?:[.,]\\d+)?)(?:[- ]\\d+/\\d+)?\\s*" + UNIT + "?))";
    /** Two or three sizes: 30 x 12 x 18 in. */
    static final String SIZE = "((?<![\\w./])\\d+(?:[.,]\\d+)?(?:[-"
            + " ]\\d+/\\d+)?\\s*(?:mm|in(?:ch(?:es)?)?|[\"″”])?\\s*(?:x|×|by)\\s*\\d+(?:[.,]\\d+)?(?:[- ]\\d+/\\d+)?"
            + "(?:\\s*(?:mm|in(?:ch(?:es)?)?|[\"″”])?\\s*(?:x|×|by)\\s*\\d+(?:[.,]\\d+)?(?:[- ]\\d+/\\d+)?)?\\s*(?:mm\\b|cm\\b|" + IN
            + "|[\"″”])?)";
    static final String TO = "\\s*(?:to|up to|through|-|–|—|\\.\\.)\\s*";
    static final String RPM = "(?:rpm|r/min|rev/min|1/min|revs?(?: a| per)? min(?:ute)?|min-1|r\\.p\\.m\\.?|revs)";

    private static final int MOST_COMPILED = 400;
    private static final Map<String, Pattern> COMPILED = new ConcurrentHashMap<>();

    private Forms() {
    }

    /** Compiled once; the names of a machine's axes stand in some, so that only so many are kept. */
    static Pattern of(String regex) {
        if (COMPILED.size() > MOST_COMPILED) {
            COMPILED.clear();
        }
        return COMPILED.computeIfAbsent(regex, Pattern::compile);
    }
}
