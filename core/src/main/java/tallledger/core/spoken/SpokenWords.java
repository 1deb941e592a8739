package tallledger.core.spoken;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Pattern;

/** The words that finds are known by, in speech written plainly. */
final class SpokenWords {

    /** What leaves a sentence open. "About" and "around" do where a figure follows. */
    static final Pattern HEDGE = Pattern.compile("\\b(?:i (?:believe|think|reckon|guess|suppose|assume|expect|suspect|"
            + "understand|presume|was told|would say|would imagine|gather|couldn't (?:tell|say)|can't (?:remember|say)|"
            + "don't (?:know|remember))|i'd (?:say|guess|imagine)|i'm (?:told|not sure|guessing|pretty sure)|not (?:a "
            + "hundred percent|100 ?%|too|quite|entirely|really) sure|as far as (?:i|we) (?:know|can tell|remember)|to "
            + "the best of my|from memory|if i remember|supposed(?:ly)?(?: to)?|apparently|presumably|maybe|perhaps|"
            + "probably|possibly|more or less|something like that|give or take|or so\\b|or thereabouts|ish\\b|should "
            + "(?:be|do|run|work|go|hold|have|come|all)|ought to|must be|might (?:be|have|need)|could be|don't quote "
            + "me|somewhere (?:around|between|near|in)|in the region of|ball ?park|they (?:say|said|told me)|so i'm "
            + "told|seems? to|appears? to|looks like)\\b|(?:about|around|roughly|approximately|circa|nearly|getting on "
            + "for|something like) (?:a |an |the )?[.\\d]|\\d ?-?ish\\b");

    static final Pattern PRAISE = Pattern.compile("\\b(?:lovely|beautiful(?:ly)?|excellent|mint|perfect(?:ly)?|"
            + "immaculate|superb|fantastic|great (?:machine|lathe|mill|drill|grinder|condition|shape|little|runner|"
            + "nick|old)|like new|as new|first class|top notch|tip top|runs? (?:like a (?:dream|watch|sewing machine|"
            + "clock|top)|sweet(?:ly)?|nice(?:ly)?|true|great)|smooth(?:ly)?|quiet(?:ly)?|silent|(?:no|not a(?: bit of|"
            + " murmur)?|without any) (?:noise|sound|vibration)s?|sounds? (?:good|sweet|lovely|great|nice|healthy)|"
            + "(?:nice and |very |really |still |good and )(?:tight|solid|clean|tidy|straight|crisp|positive)|(?:very |"
            + "really )?nice (?:machine|condition|lathe|mill|drill|grinder|clean|tight)|(?:works?|runs?|going|cuts?) "
            + "(?:great|well|perfectly|beautifully|(?:really |real )?nice)|very good|real nice|precise\\b|(?:good |"
            + "very |nice )strong|good (?:condition|nick|order|runner|shape|clean machine|solid machine|honest)|well "
            + "(?:looked after|kept|maintained|cared for)|never (?:been )?(?:abused|crashed|let (?:us|me) down|missed "
            + "a beat|hammered)|no complaints|can(?:'t|not) fault|built like a tank|bullet ?proof|strong (?:machine|"
            + "as)|accurate as|a joy|honest machine|cracking|hardly (?:been )?used|very little (?:use|wear)|spot on|"
            + "bang on|dead true|a pleasure)\\b");

    /** Behind a refusal these make it what a safe machine does. */
    private static final String UNLESS = "(?! (?:on its own|by itself|until|unless|without|hot))";

    static final Pattern ADMITS =
            Pattern.compile("\\b(?:worn|wear (?:in|on|near|at)|leak(?:s|ing|y|ed)?|weep(?:s|ing)?|drips?|seep(?:s|"
                    + "ing)?|crack(?:ed|s)?|chipped|chip(?:s)? (?:out|on|off|in)|broken|bust(?:ed)?|bent|seized|stiff|"
                    + "sticks?\\b(?! (?:of|out|to the))|sticky|slack\\b|ticks?\\b(?! (?:over|box))|lost motion|buzz(?:y|es|"
                    + "ing)\\b|drill marks|don't (?:work|engage|hold|stop|seat)|doesn't (?:sit|seat|seal|fit|line up)|"
                    + "wobbl(?:es?|ing|y)|bell[- ]mouthed|dented|jerk(?:s|y|ing)?\\b|packed (?:up|in)|disconnected|is(?:n't| "
                    + "not) (?:connected|working|right|wired)|something not right|not (?:right|normal)\\b|cuts? in and out|"
                    + "loud\\b|fiddly|could (?:stand|use) (?:to|a|an|some|new)\\b|drilled into|holes? (?:drilled|in the table)|"
                    + "(?:slight|little) (?:bend|bow|twist|bump|jerk|click|crack|leak|chip|nick)|(?:oil )?com(?:es|ing) (?:out "
                    + ")?oil|stopped working|no longer works?|out of order|patched|a (?:little|touch) (?:slow|stiff|loud|rough|"
                    + "worn|loose|warm|hot|tight|sloppy|sticky|weak|bent|rusty|tired|heavy|temperamental|play|backlash|wear|"
                    + "slack|slop|noise)|slips?\\b|slipping|jumps? out|pops? out|knock(?:s|ing)?\\b(?! .{0,24}(?:off|quid|"
                    + "pounds|down|out|money))|rattl(?:es?|ing)|growl(?:s|ing)?|whin(?:es?|ing)|hums?\\b|squeal(?:s|ing)?|"
                    + "squeak(?:s|ing|y)?|grumbl(?:es?|ing)|rumbl(?:es?|ing)|nois(?:y|e)\\b|vibrat(?:es?|ion|ing)|backlash|"
                    + "slop(?:py)?\\b|play in|loose\\b|rust(?:y|ed)?\\b|pitt(?:ed|ing)|dents?\\b|dings?\\b|scor(?:ed|ing)|"
                    + "scratch(?:ed|es)?|gouge[ds]?|doesn't (?:work|run|go|engage|hold|turn|start|stop|read|light|pump|trip|"
                    + "always)" + UNLESS + "|does not (?:work|run|go|engage|hold|turn|start|stop)" + UNLESS + "|(?<!\\b(?:i|we|"
                    + "you) )won't (?:work|run|go|engage|hold|turn|start|stop|stay|shift|move)" + UNLESS + "|will not "
                    + "(?:engage|hold|start|stay|run)|not (?:working|hooked up|connected|wired)|(?<!you'll )(?<!you )(?<!you'd "
                    + ")(?<!would )needs? (?:a |an |some |new |to be |looking|doing|work|adjust|attention|replac|cleaning|tlc)|"
                    + "wants? (?:a new|looking|doing|adjusting|new|replacing)|could do with|(?:tooth|teeth) (?:missing|gone|"
                    + "broken|chipped)|missing (?:a )?(?:tooth|teeth)|runs? (?:hot|warm|rough)|gets (?:hot|warm)|burn(?:t|ed) "
                    + "out|blown|(?<!it )(?<!stops )dead\\b(?! (?:true|stop|centre|center|slow|easy|quiet|straight|man))|"
                    + "faulty|temperamental|intermittent|tired\\b|rough\\b|a bit (?:of|slow|loose|low|rough|sloppy|tight|stiff|"
                    + "noisy|tired)|been (?:crashed|dropped|hit)|bodged|bypassed|repair(?:ed)? (?:weld|tooth)|out of (?:true|"
                    + "square|level|tram|line)|the only (?:thing|problem|issue|fault)|one (?:thing|problem|issue|fault) "
                    + "(?:with|is)|(?:doesn't|don't|didn't|can't get \\w+(?: \\w+)? to) (?:want to |like to )?(?:go|engage|"
                    + "shift|stay|come)|can't get|hard to (?:get|engage|shift|turn)|weak\\b|lags?\\b|a bit (?!(?:more|less|"
                    + "later|longer|closer|further|faster|slower|about|like)\\b)\\w+)\\b");

    /** Where one of these stands a few words before, nothing is admitted. */
    static final Pattern DENIES = Pattern.compile("\\b(?:no|not|not any|isn't|aren't|never|without|nothing|none|hardly "
            + "any|doesn't|don't|hasn't|haven't|didn't|no real|zero|very little|virtually no|next to no|can't (?:hear|"
            + "see|feel|find))\\b[^,;.]{0,24}$");

    static final Pattern REPAIR =
            Pattern.compile(
                    "(?i)(?:was|were|been|is) (?:adjusted|scraped|brazed|ground)|exchanged\\b|(?:was|were|been|and) "
                            + "(?:drained|refilled|flushed|topped up)|fitted (?:new|another)|\\bbrazed\\b|fitted (?:it|that|one|"
                            + "them)\\b|(?:belts?|bearings?|motor|pump|seals?|clutch|nut|screws?|feed)(?: on the \\w+)?(?:'s| is| are) "
                            + "(?:all )?(?:brand )?new|\\b(?:re-?built|re-?conditioned|re-?furbished|re-?furb|re-?scraped|scraped in|"
                            + "re-?ground|re-?bored|re-?wired|re-?painted|overhaul(?:ed)?|serviced|replaced|repaired|re-?bushed|"
                            + "re-?metalled|welded up|fixed\\b(?! (?:steady|rest|centre|center|table))|fitted (?:a |an |some |new|it "
                            + "with)|put (?:a )?new|put (?:in )?(?:a )?new|new (?:bearings?|belts?|motor|clutch|brake|seals?|screws?|"
                            + "nuts?|wiring|contactors?|switch(?:gear)?|pump|inverter|vfd|gibs?|chuck jaws|bushes)|changed the (?:oil|"
                            + "bearings?|belts?|seals?)|(?:oil|bearings?|belts?) (?:was |were |has been |have been |been )?(?:changed|"
                            + "done|renewed)|swapped|renewed|stripped (?:it )?(?:down|right)|had (?:it|the \\w+|that) (?:re)?(?:done|"
                            + "built|ground|wound|made|fixed)|converted (?:it )?to|retrofitted|turned the \\w+ round|shimmed|trammed "
                            + "in|re-?wound|adjusted the (?:gibs?|clutch|brake|bearings?|nut))\\b");

    static final Pattern AWAITED =
            Pattern.compile("\\b(?:(?<!tooth )(?<!teeth )missing\\b(?! (?:a )?(?:tooth|teeth|a beat))|(?:gone|went) "
                    + "(?:missing|astray)|long gone|on loan|look out the|looking for (?:it|the|them)|have gone\\b|lost\\b(?! "
                    + "motion)|can't find|cannot find|couldn't find|to follow\\b|on order|on (?:its|their) way|waiting (?:for|"
                    + "on)|awaiting|still to come|(?:i|we)(?:'ll| will) (?:find|dig|look|get you|get hold|send|bring|try and "
                    + "find|sort|have a look for)|not here\\b|somewhere (?:here|about|around here|in the (?:shed|shop|barn|"
                    + "back|other|stores?|loft|yard|office))|haven't got|hasn't got|don't have|doesn't have|doesn't come with|"
                    + "didn't come with|never had (?:a|an|one|any)\\b|no longer (?:has|have|got|with)|\\bno (?:glass|drills|"
                    + "sleeves|keys|tools|legs|documents|paperwork)\\b|(?:comes?|goes|sold|supplied|is) without (?:the|its|a|"
                    + "any)|(?:there(?:'s| is| are) )?\\bno (?:manual|chuck|tooling|steady|steadies|tailstock|vice|change "
                    + "?wheels|guard|coolant|light|handle|key|face ?plate|centre|thread (?:chasing )?dial|cover|instruction "
                    + "book|tool ?post|collets)\\b(?! (?:needed|required|necessary))|isn't with it|not (?:included|supplied|"
                    + "with it|for sale)|stay(?:s|ing) with (?:me|us|here)|(?:ask|get it from) (?:him|her|them) for|(?:is|are) "
                    + "mine\\b|won't be (?:going|included|with))\\b");

    static final Pattern EITHER =
            Pattern.compile("\\beither (?!way|side|end|direction|hand).*\\bor\\b|\\bor without\\b|(?:collects?|"
                    + "collection),? or deliver|\\bor (?:i|we|you)\\b|(?:is|are) available\\b.*\\bor\\b|\\d without the |"
                    + "\\b(?:one or the other|whichever (?:you|suits|one)|your choice|take your pick|you can have (?:this|the|"
                    + "either|it)\\b.*\\bor\\b|or i'll|or we'll|if you(?:'d)? (?:want|prefer|rather|like)\\b.*\\b(?:instead|i "
                    + "can|i'll|we can|we'll|or)|choose between|instead of the|with or without|not both|swap (?:it|that) for)\\b");

    /** What gives a thing away with the machine. */
    static final Pattern GIVEN =
            Pattern.compile("\\b(?:comes? with|go(?:es)? with|going with|include[sd]?|including|you(?:'ll| will)? "
                    + "(?:also )?get|throw in|thrown in|supplied|supply|i(?:'ve| have) got|we(?:'ve| have) got|it(?:'s| has) "
                    + "(?:also )?got|it has|it(?:'s| is) (?:got )?fitted with|has got|there(?:'s| is| are)|with it\\b|along "
                    + "with|together with|plus|as well as|complete with|here(?:'s| is| are)|these are|comes? (?:a|the)|in the "
                    + "(?:box|drawer|cabinet|cupboard)|full set|set of|spare|all the|and (?:a|an|the|two|\\d)|part of the "
                    + "(?:deal|sale)|with \\d+\\b|have it with|(?:is|are|'s) (?:fitted|included)|on it\\b|chuck(?:ing)? in|"
                    + "leave (?:it|the|you)|sold with)\\b");

    /** Things that go with a machine: what they are called, by what is said. */
    static final Map<String, Thing> KIT = new LinkedHashMap<>();
    /** What a machine does: what it is called by what is said, and codes of steps that show it. */
    static final Map<String, Shown> FUNCTIONS = new LinkedHashMap<>();

    /**
     * A thing and how it is said.
     *
     * @param bare    tried first: the counted one is slow where it stands nowhere
     * @param counted with how many, where that is said
     */
    record Thing(Pattern bare, Pattern counted) {
    }

    /** @param steps codes of steps that show it, as a pattern */
    record Shown(Pattern said, String steps) {
    }

    private static void kit(String name, String said) {
        KIT.put(name, new Thing(Pattern.compile("\\b(?:" + said + ")\\b"),
                Pattern.compile("(?:(?<count>\\d{1,3}|one|a|an|the|some|several|both|its) )?(?:[\\w-]+ ){0,2}?\\b(?:" + said + ")\\b")));
    }

    private static void function(String name, String said, String steps) {
        FUNCTIONS.put(name, new Shown(Pattern.compile("\\b(?:" + said + ")\\b"), steps));
    }

    static {
        kit("3-jaw chuck", "(?:3|three)[- ]jaws?(?: chucks?)?");
        kit("4-jaw chuck", "(?:4|four)[- ]jaws?(?: (?:independent )?chucks?)?");
        kit("drill chuck", "drill chucks?");
        kit("magnetic chuck", "mag(?:netic)? chucks?");
        kit("chuck", "(?<!drill |magnetic |mag |jaw )chucks?(?! (?:is|was|guard|key|turns|spins|jaws|runs|speed|side))");
        kit("chuck key", "chuck keys?");
        kit("faceplate", "face ?plates?");
        kit("driving plate", "(?:catch|driving|drive) plates?");
        kit("steady", "(?:fixed |travelling |follow(?:er|ing)? )?(?:stead(?:y|ies)(?: rests?)?|follow rests?)(?! (?:speed|as|on))");
        kit("collets", "(?:set of )?collets?(?: chuck)?");
        kit("vice", "(?:machine )?vi[cs]es?");
        kit("tool post", "(?:quick[- ]change )?tool ?posts?(?! (?:grinder|slide))|quick[- ]change posts?");
        kit("tool holders", "(?:tool ?)?holders");
        kit("change wheels", "change ?(?:wheels|gears)");
        kit("centres", "(?:live|dead|revolving|rotating|half) (?:centres?|centers?)|(?<!between )(?:pair of |\\d )(?:centres|centers)");
        kit("arbors", "arbou?rs?(?! (?:runout|support))");
        kit("rotary table", "rotary tables?");
        kit("dividing head", "(?:dividing|indexing) heads?");
        kit("tooling", "(?:a (?:load|lot|bit|box) of |some |loads of |all the )tooling|box(?:es)? of (?:turning "
                + ")?(?:tools|cutters|bits)");
        kit("cutters", "(?:milling |end ?mill )?cutters|end ?mills");
        kit("boring bars", "boring (?:bars?|heads?)");
        kit("clamps", "clamp(?:ing)? (?:kit|set)s?|set of clamps|t-?nuts");
        kit("manual",
                "(?:original |operator's |instruction |parts )?manuals?(?! (?:feed|machine|lathe|pump|shift|change|"
                        + "gear|operation))|handbooks?|parts (?:list|book)s?");
        kit("readout", "(?:digital |axis )?read-?outs?|d\\.?r\\.?o\\.?s?");
        kit("taper attachment", "taper(?: turning)? attachments?(?:'s)?");
        kit("vertical head", "(?:vertical|slotting|milling) (?:heads?|attachments?)");
        kit("angle plate", "angle plates?");
        kit("grinding wheels", "(?:spare|grinding) wheels?(?! (?:is|was|guard|speed|spindle))");
        kit("wheel flanges", "(?:wheel )?flanges|balancing (?:arbor|mandrel|stand)s?");
        kit("dressers", "(?:diamond )?dressers?");
        kit("guards", "(?:chuck |splash )?guards?(?= (?:is|are)? ?(?:included|with it|here|there))|splash ?back");
        kit("converter", "(?:rotary|phase|static) (?:phase )?converters?");
        kit("work light", "(?:work|machine) lights?|lamps?(?= (?:with|included))");
        kit("coolant pump", "(?:suds|coolant) (?:pump|tank|tray)s?");
        kit("levelling feet", "levell?ing (?:feet|mounts|pads)|machine feet");
        kit("sleeves", "(?:morse )?(?:taper )?sleeves|drill sockets");
        kit("spanners", "spanners?|wrench(?:es)?|keys and spanners");
        function("reverse",
                "reverse[sd]?(?! (?:the plug|in))|reversing|backwards|(?:runs?|turns?|spindle) both (?:ways|"
                        + "directions)|forward and reverse|other way round",
                "direction|feed-reverse|quill-reverse");
        function("brake", "(?:foot |spindle )?brakes?(?! shoe)|kick[- ]?bar", "check-BRAKE|foot-brake|kick-bar");
        function("power feed",
                "power (?:cross[- ]?|long(?:itudinal)? |table |down ?|quill )?feeds?|(?:auto(?:matic)?|self[- ]?act) "
                        + "(?:cross )?feeds?|feeds? (?:is |are )?(?:engaged|in|on|work(?:s|ing)?)|(?:long|cross|down) feeds?,? "
                        + "(?:yes|works?|is|both)|feed(?:s|ing)? (?:along|across|down|both ways|in and out|the table)|under power",
                "feed");
        function("rapid", "rapids?(?: traverse)?|rapid(?:ing|s) (?:across|up|down|the)", "rapid");
        function("half-nut", "half[- ]?nuts?|lead ?screw nut (?:closes|engages|works|drops)", "half-nut");
        function("threads", "screw ?cutting|cuts? (?:a )?threads?|thread(?:ing)? (?:dial|lever|box)", "thread-.*");
        function("quill", "quill(?:'s)?(?: (?:feed|goes|comes|moves|lock|up|down|travel))?", "quill-rates|quill-.*");
        function("clamps",
                "(?:arm|column|head|table|knee|saddle|quill) (?:clamps?|locks?)|locks? (?:up|work|all)|clamping of the|"
                        + "clamp(?:s|ing)? (?:the|up)",
                "clamp-.*|clamps-together|lock");
        function("coolant", "coolant(?! (?:pump|tank|tray))|suds(?! (?:pump|tank|tray))", "coolant");
        function("changes of speed",
                "(?:changing|shift(?:s|ing)?|select(?:s|ing)?) (?:the )?(?:gears?|speeds?|range)|gear changes?|goes "
                        + "into (?:gear|range|low|high)|(?:gears?|lever) (?:engages?|drops? in|clicks? in)",
                "");
        function("clutch", "clutch(?:es)?", "feed-clutch");
        function("trips", "(?:feed )?trips?(?: out| off)?(?! hazard)|knocks?[- ]?off|auto(?:matic)? stops?|"
                + "(?:disengages|cuts out|switches off|stops) at (?:the|a)|dead stop|stops? (?:work|trip)",
                "trip|knock-off|dead-stop");
        function("emergency stop", "emergency stops?|e[- ]?stops?|big red button", "emergency-stop");
        function("guard switch", "guard (?:switch|interlock)|interlocks?|micro ?switch", "guard|cover-switch");
        function("jog", "jog(?:s|ging)?|inch(?:es|ing) button", "check-JOG");
        function("lubrication",
                "(?:one[- ]shot|auto(?:matic)?|central|way) (?:lube|lubrication|oiler)|oil(?:er)? (?:pump|sight glass)|splashing oil",
                "lubrication|oilers");
        function("lamp", "(?:work )?(?:light|lamp),? (?:works?|comes on)", "lamp");
        function("elevation", "elevat(?:es?|ion|ing)|arm,? (?:up|down)\\b|rise and fall|(?:arm|knee|head) (?:goes|"
                + "going|moves|comes) (?:up|down)",
                "table-raise|clamped-elevation|travel");
        function("swivel", "swivels?|head (?:tilts|nods|turns)|table (?:\\w+ ){0,9}tilts", "head-swivels|head-tilts|"
                + "table-tilts|grinder-table-swivels");
        function("tapping", "tapping|taps (?:a )?hole", "tapping");
        function("drawbar", "(?:power |air )?draw ?bars?", "tool-drawbar");
        function("tool changer", "tool ?chang(?:ers?|es?)|changes? tools", "tool-change");
        function("chip conveyor", "(?:chip|swarf) conveyor", "chip-conveyor");
        function("depth stop", "depth stops?", "depth-stop|quill-off-stops");
        function("fine feed", "fine feed", "fine-feed");
        function("readout", "(?:digital )?read-?outs?|d\\.?r\\.?o\\.?s?", "readout");
        function("infeed", "infeeds?|down[- ]?feed", "infeed-.*|down-feed-.*");
        function("spark-out", "spark(?:s|ing)?[- ]?out|dwell", "spark-out");
        function("tailstock", "tail ?stock (?:locks?|clamps?|moves|slides|comes|works?)", "tailstock-clamp|barrel-lock");
    }

    private SpokenWords() {
    }
}
