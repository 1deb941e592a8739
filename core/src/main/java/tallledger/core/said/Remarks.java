package tallledger.core.said;

import static tallledger.core.said.Forms.of;

import java.util.regex.Pattern;
import tallledger.core.said.Vocabulary.Kind;

/** The rules for what is said in words: admissions, functions, work done on it, praise. The words are the value. */
final class Remarks {

    /** From where a clause begins; a comma within a number parts nothing. */
    private static final String CLAUSE_FROM = "(?:^|(?<=[;\\u0001])|(?<=,)(?!\\d))(?:[^,;\\u0001]|,(?=\\d))*";
    private static final Pattern ADMISSION = of(CLAUSE_FROM + "\\b(?:missing|broken|cracked|a crack|chipped|a chip|"
            + "(?:does|do|did)(?:"
            + " not|n't) (?:work|run|go|engage|turn|hold|start)|"
            + "not working|inoperative|faulty|needs? (?!no)|wants (?:a|an|new|some)\\b|worn\\b|leak(?:s|ing|y)?|a (?:bit|little|touch)"
            + " (?:of|slow|loose|low|rough|sloppy|tight)|(?:will not|won't) (?:stay|go|engage|hold|start|shift|lock|turn|"
            + "close|open|work|stop|move)|whin(?:es?|ing)|growl(?:s|ing)?|rattl(?:es?|ing)|squeal(?:s|ing)?|scream(?:s|ing)?|"
            + "rumbl(?:es?|ing)|click(?:s|ing)|seeps?|torn|lazy|bridged|bypassed|a little|a dent|dented|"
            + "waiting for|awaiting|on order|noisy|damaged|bent\\b|seized|stiff|sticks|jumps out|slips|rusty|some rust|some"
            + " play|backlash in|no (?:coolant pump|manuals?|motor|guards?|"
            + "chuck|tooling|change ?wheels|reverse)\\b)(?:[^,;\\u0001]|,(?=\\d))*");
    private static final Pattern DENIES = of("\\b(?:no|not|nothing|never|hardly|without|isn't)\\b[^,;]{0,14}\\b(?:worn|broken|missing|"
            + "damaged|cracked|noisy|bent|stiff|leak\\w*|rusty|whin\\w+|growl\\w*|rattl\\w+|squeal\\w*|scream\\w*|rumbl\\w+|click\\w*|"
            + "seep\\w*)\\b");
    private static final Pattern PRAISE = of(CLAUSE_FROM + "\\b(?:excellent|beautiful(?:ly)?|perfect(?:ly)?|immaculate|"
            + "lovely|mint|"
            + "superb|great|as new|like new|"
            + "can(?:'t|not) fault|no complaints|never let|well (?:kept|looked after|maintained)|very"
            + " (?:good|nice|tidy|clean|tight|smooth)|good (?:condition|order|nick|runner|machine)|"
            + "condition\\b|tidy|smooth|fine machine|nice machine|strong machine|better than|makes no odds|fond"
            + " of|good\\b|tight\\b|fair\\b|tired\\b)(?:[^,;\\u0001]|,(?=\\d))*");

    private static final Pattern OF_A_PART = of("\\b(?:hydraulics?|spindle|table|gear ?box|motor|electrics|wiring|chuck|pump|quill|"
            + "tailstock|"
            + "carriage|saddle|knee|headstock|guards?|paint|coolant|selector|clamp\\w*|clutch|brake|feeds?|bearings?|than the old)\\b");

    private Remarks() {
    }

    /** Before the figures: a clause that admits something is no claim of what stands in it. */
    static void admissions(SaidSentence s) {
        s.each(ADMISSION, m -> !DENIES.matcher(m.group()).find() && s.takeExactly(Topic.ADMISSION, s.original(m.start(), m.end()), m, ""));
    }

    static void read(SaidSentence s, Vocabulary v) {
        s.each(of("\\b((?:next to |almost |practically )?no (?:back\\s?lash|play))\\b"), m -> s.take(Topic.NO_BACKLASH, m.group(1), m));
        s.each(of("\\b(?:nearly |almost )?(?:all|every)\\s+(?:the\\s+)?functions?\\b(?:[^,;\\u0001]|,(?=\\d))*|\\b(?:nearly |almost"
                + " )?(?:all|everything)\\s+(?:is\\s+)?(?:works?|working|runs?|running)\\b"),
                m -> s.takeExactly(Topic.NEARLY_ALL_RUN, s.original(m.start(), m.end()), m, ""));
        s.each(of("\\brebuilt\\s+(?:completely\\s+|in (?:19|20)\\d\\d\\s+)*by\\s+[^,;\\u0001]+|\\b(?:re-?built|re-?conditioned|"
                + "refurbished)\\b"),
                m -> m.group().contains(" by ") || !OF_A_PART.matcher(s.clause(m)).find()
                        ? s.take(Topic.REBUILT_BY, s.original(m.start(), m.end()), m)
                        : s.keep(m));
        s.each(of("\\bnew\\s+(?:lead ?|ball ?|feed ?)?screws?\\b(?:\\s+and\\s+nuts?)?"), m -> s.take(Topic.SCREWS, s.original(m.start(),
                m.end()), m));
        s.each(of("\\b(?:ways?|bed|slides?|knee|column|table|saddle)\\b[^,;\\d\\u0001]{0,16}\\b(?:re-?ground|re-?scraped|scraped|"
                + "chromed)\\b(?:\\s+and\\s+\\w+)?"
                + "|\\b(?:re-?ground|re-?scraped)\\b(?:\\s+(?:ways?|bed|slides?))?"),
                m -> s.take(Topic.WAYS, s.original(m.start(),
                        m.end()), m));
        s.each(of("\\b(?:(?:just|fully|recently|regularly) )?(?:serviced|overhauled|tested)\\b"),
                m -> OF_A_PART.matcher(s.clause(m)).find() ? s.keep(m)
                        : s.take(Topic.SERVICED, s.original(m.start(), m.end()), m));
        s.each(of("\\b(?:added|modern|home-?made|later|replacement|rewired|replaced|new)\\s+(?:[\\p{L}-]+\\s+){0,2}?(?:pedal|panel|"
                + "trough|tray|"
                + "switch(?:gear|es)?|motor|guard|lamp|pump|wiring|handle|handwheel|feed drive)s?\\b"),
                m -> s.take(Topic.REDONE,
                        s.original(m.start(), m.end()), m));
        s.each(of("\\b(?:released |out )?(?:from|of|in) (?:long |dry )?storage\\b(?:[^,;\\u0001]|,(?=\\d))*"),
                m -> s.take(Topic.FROM_STORAGE,
                        s.original(m.start(), m.end()), m));
        functions(s, v);
        s.each(of("\\b(?:very |runs )?quiet(?:ly)?\\b"), m -> s.take(Topic.CONDITION, s.original(m.start(), m.end()), m));
        // Of one part, or beside another one, it says nothing of the machine: kept as words.
        s.each(PRAISE, m -> !OF_A_PART.matcher(s.before(m) + m.group()).find() && s.takeExactly(Topic.CONDITION, s.original(m.start(),
                m.end()), m, ""));
    }

    /** Things it has or does, each by the words for it. */
    private static void functions(SaidSentence s, Vocabulary v) {
        if (v.kind() == Kind.GRINDER) {
            s.each(of("\\bor (?:at )?both\\b|\\binner only\\b|\\bouter only\\b|\\bat both(?: ends)?\\b|\\b(?:it )?counts (?:the"
                    + " )?spark[- ]?outs?\\b"
                    + "|\\bparks\\b|\\bwheel and chuck stop\\b(?:[^,;\\u0001]|,(?=\\d))*"), m -> function(s, m));
        }
        if (v.kind() == Kind.CENTRE) {
            // An option that a centre was built with or without.
            s.each(of("\\bgear ?box\\b(?! (?:shifts|changes|jumps|was|is|has|had|open))"), m -> function(s, m));
        }
        String axes = String.join("|", v.axes().stream().map(Pattern::quote).toList());
        s.each(of("\\bfoot[- ]?brake\\b|\\bbrake\\b|\\bkick[- ]?bar\\b|\\bchuck guard\\b|\\bguard switch\\b|\\bgear cover"
                + " switch\\b|\\bemergency stop\\b|"
                + "\\bcoolant\\b|\\bwork light\\b|\\blamp\\b|\\b(?:central|one[- ]shot|auto(?:matic)?)"
                + " lubrication\\b|\\bpower clamping\\b|\\bpower (?:elevation|rise and fall)\\b"
                + "|\\b(?:digital )?readout(?: on \\w+ axes)?\\b|\\bdro\\b|\\bhalf[- ]?nut\\b|\\bthread dial\\b|\\bdead"
                + " stop\\b|\\b(?:power|air|pneumatic|hydraulic) drawbar\\b|\\btool ?changer\\b|"
                + "\\bchip conveyor\\b|\\bmagnetic chuck\\b|\\btapping reverse\\b|\\bdepth stop\\b|\\bfine feed\\b" + (axes.isEmpty() ? ""
                        : "|\\brapids?(?: on)?(?: the| all)? (?:" + axes + "|axes)\\b(?!\\s*\\d)")),
                m -> function(s, m));
    }

    private static boolean function(SaidSentence s, java.util.regex.Matcher m) {
        // "No coolant tank" claims no coolant.
        boolean aPart = m.group().equals("coolant") && s.after(m).matches("(?s)\\s+(?:pump|motor|tank|trough|tray|hose|separator)\\b.*");
        return !aPart && !s.before(m).matches("(?s).*\\b(?:no|not|without|lacks?|for|never had an?)\\s+(?:\\w+\\s+)?")
                && s.take(Topic.FUNCTION, m.group(), m);
    }
}
