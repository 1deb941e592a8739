package tallledger.core.said;

import java.util.regex.Pattern;

/** Pieces that the rules are made of; all of them in lower case, numbers in digits. */
final class Forms {

    /** 12, 12.5, 12,5, 11,000; never the tail of a word or of another number. */
    static final String NUM = "(?<![\\w./])(\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|\\d+(?:[.,]\\d+)?)";
    /** The same with thousands parted by blanks, where a unit behind it says that it is one number. */
    static final String LONG = "(?<![\\w./])(\\d{1,3}(?: \\d{3})+|\\d{1,3}(?:,\\d{3})+(?:\\.\\d+)?|\\d+(?:[.,]\\d+)?)";
    /** Inches only where no word behind makes it "in steel", "in low". */
    private static final String IN = "in(?:ch(?:es)?)?\\b\\.?(?!\\s+(?:steel|cast|iron|mild|low|high|top|bottom|the|a|an|its?|this|"
            + "that|all|good|very|"
            + "excellent|order|back|middle|both|each|use|gear|reverse|(?:19|20)\\d\\d)\\b)";
    private static final String UNIT = "(?:mm\\b|cm\\b|m\\b|metres?\\b|" + IN + "|ft\\b|feet\\b|thou\\b|[\"″”])";
    /** 410 mm, 16", 5 ft 5, 35 5/8 in, 5.00. */
    static final String LENGTH = "((?<![\\w./])(?:\\d+\\s*(?:ft|feet|['′’])\\s*\\d+(?:[- ]\\d+/\\d+)?(?:\\s*(?:in\\b|[\"″”]))?"
            + "|(?:\\d{1,3}(?:,\\d{3})+|\\d+(?:[.,]\\d+)?)(?:[- ]\\d+/\\d+)?\\s*" + UNIT + "?))";
    /** Two or three sizes: 30 x 12 x 18 in. */
    static final String SIZE = "((?<![\\w./])\\d+(?:[.,]\\d+)?(?:[-"
            + " ]\\d+/\\d+)?\\s*(?:mm|in|[\"″”])?\\s*(?:x|×|by)\\s*\\d+(?:[.,]\\d+)?(?:[- ]\\d+/\\d+)?"
            + "(?:\\s*(?:mm|in|[\"″”])?\\s*(?:x|×|by)\\s*\\d+(?:[.,]\\d+)?(?:[- ]\\d+/\\d+)?)?\\s*(?:mm\\b|cm\\b|" + IN + "|[\"″”])?)";
    static final String TO = "\\s*(?:to|up to|through|-|–|—)\\s*";
    static final String RPM = "(?:rpm|r/min|rev/min|revs?(?: a| per)? min(?:ute)?|min-1|r\\.p\\.m\\.?|revs)";

    private Forms() {
    }

    static Pattern of(String regex) {
        return Pattern.compile(regex);
    }
}
