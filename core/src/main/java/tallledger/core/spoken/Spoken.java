package tallledger.core.spoken;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tallledger.core.drive.Route;
import tallledger.core.drive.Speed;
import tallledger.core.drive.SpeedTable;
import tallledger.core.family.Step;
import tallledger.core.machine.Claim;
import tallledger.core.machine.Claim.Attribute;
import tallledger.core.machine.Claim.Source;
import tallledger.core.machine.ClaimText;
import tallledger.core.machine.Identity;
import tallledger.core.machine.MachineDescription;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.spoken.Find.SaidOf;
import tallledger.core.spoken.Narration.SpokenSentence;

/**
 * Finds in a narration what is worth a look (W 4.8). Each sentence is read as it would be written; what is said of speeds, sizes, kit,
 * functions, faults, repairs is offered with its words and second, and a sentence that hedges says so. The same figure said twice is
 * offered once.
 */
public final class Spoken {

    private static final double NEAR = 0.015;
    private static final Pattern A_DIGIT = Pattern.compile("\\d");
    private static final String NUM = "(?<![\\w./-])(\\d{1,5}(?:\\.\\d+)?(?: \\d/\\d)?)";
    /** Behind a figure these make it no speed. */
    private static final String NO_SPEED =
            "(?!\\d|\\.\\d|\\s*(?:mm|cm|m\\b|in\\b(?! (?:first|second|third|fourth|the|low|high|top|bottom|range|gear|[a-f]\\b|"
                    + "here|reverse))|inch|inches|\"|ft|foot|feet|thou|tenths?|kg|lbs?|kw|hp|horse|v\\b|volts?|"
                    + "amps?|a\\b|hz|tons?|tonnes?|years?|months?|weeks?|days?|hours?|minutes?|seconds?|%|percent|per cent|"
                    + "quid|pounds?|dollars?|euros?|"
                    + "grand|speeds?|feeds?|jaws?|teeth|tooth|threads?|degrees?|per\\b|tpi|by \\d|x \\d|/|morse|mt\\b|int\\b|"
                    + "taper|or \\d|to \\d|-\\d|"
                    + "collets?|holders?|machines?|of (?:them|those|these)|phase|arbou?rs?|chucks?|drawers?|stead))";
    private static final Pattern FIGURE = Pattern.compile(NUM + "(\\s*rpm)?" + NO_SPEED);
    /** Right before a figure, with little between: it runs so fast now. */
    private static final Pattern RUNS =
            Pattern.compile("\\b(?:that's|that is|there's|there is|that'll be|this is|this one's|here's|here is|it's|it is|now|next|then|"
                    + "up|down|doing|running|runs|going|goes|turning|spinning|set|we're|at|into|in|try|on|through|for|and|"
                    + "show you|do|gives?(?: us| me| you)?|gets?|have|got|make it)"
                    + "(?: (?:it's|it|is|at|about|around|roughly|nearly|a|the|in|on|to|say|bottom|top|range|gear|speed|first|"
                    + "second|third|fourth|low|high|"
                    + "one|[a-f]|\\d))*[ ,]*$");
    /** A figure before it or behind it with this between is one end of a range. */
    private static final Pattern BEFORE_RANGE =
            Pattern.compile("(?:\\d|rpm) ?(?:to|up to|through|-|–) ?$|\\b(?:from|between|goes|up) (?:to )?$");
    private static final Pattern AFTER_RANGE = Pattern.compile("^ ?(?:rpm )?(?:to|up to|through|-|–) ?\\d");
    private static final int FEW_WORDS = 9;
    /** Of a sentence that goes on with what was begun to be listed. */
    private static final int MORE_WORDS = 14;
    private static final Pattern MOVES_ON =
            Pattern.compile("\\b(?:range|gear|speed|spindle|lever|bottom|top|low|high|first|second|third|fourth|"
                    + "rpm|back ?gear|belt|pulley)\\b");
    private static final Pattern OTHER =
            Pattern.compile("\\b(?:(?:the|that|my|our|his|her|another) (?:other|next|new|old|bigger|smaller|big|little)?"
                    + " ?(?:one|lathe|mill|drill|grinder|machine)s? (?:over there|behind|next to|next door|in the corner|we|"
                    + "i (?:had|have|sold|bought|kept)|"
                    + "is (?:sold|gone|staying))|the other (?:lathe|mill|drill|grinder|machine|one)|(?:unlike|compared (?:to|"
                    + "with)|better than|same as) (?:the|a|"
                    + "my|our|his) |another (?:lathe|mill|drill|grinder|machine)|its (?:brother|sister|bigger|smaller)|"
                    + "not this one)\\b");
    private static final Pattern NAMED =
            Pattern.compile("\\b(?:the|a|an|my|our) ([A-Z][a-z]{3,}(?: [A-Z][a-z]+)?) ([A-Z]{0,3}\\d{1,4}[A-Z]{0,2})\\b");
    private static final Pattern ENGLISH = Pattern.compile("\\b(?:the|and|it|is|that|this|of|to|in|a|with|you|we|for|on|so)\\b",
            Pattern.CASE_INSENSITIVE);
    private static final int ENOUGH_WORDS = 30;
    private static final double ENGLISH_SHARE = 0.08;

    private final MachineDescription machine;
    private final List<Step> steps;
    private final SpeedTable table;
    private final Map<String, Find> finds = new LinkedHashMap<>();
    private final Set<String> figures = new HashSet<>();
    /** What the sentence before it asked, and whether it named what goes with the machine. */
    private String asked = "";
    private boolean giving;

    private Spoken(MachineDescription machine, List<Step> steps) {
        this.machine = machine;
        this.steps = steps;
        this.table = machine.speeds();
    }

    /**
     * What was found, and what makes all of it doubtful.
     *
     * @param finds in the order they were said
     */
    public record Found(List<Find> finds, List<Reason> doubts) {
    }

    /** @param steps of the machine, some of which show what is said */
    public static Found in(Narration narration, MachineDescription machine, List<Step> steps) {
        Spoken spoken = new Spoken(machine, steps);
        narration.sentences().forEach(spoken::read);
        List<Reason> doubts = isEnglish(narration) ? List.of() : List.of(Reason.of(SpokenReason.LANGUAGE));
        return new Found(List.copyOf(spoken.finds.values()), doubts);
    }

    private static boolean isEnglish(Narration narration) {
        long words = 0;
        long english = 0;
        for (SpokenSentence s : narration.sentences()) {
            words += s.words().split("\\s+").length;
            english += ENGLISH.matcher(s.words()).results().count();
        }
        return words < ENOUGH_WORDS || english >= words * ENGLISH_SHARE;
    }

    private void read(SpokenSentence s) {
        if (s.words().endsWith("?") && !s.words().matches("(?i).*\\b(?:right|okay|eh)\\?$")) {
            asked = PlainSpeech.of(s.words());
            return;
        }
        String plain = answering(PlainSpeech.of(s.words()));
        asked = "";
        boolean hedged = SpokenWords.HEDGE.matcher(plain).find();
        List<Find> here = new ArrayList<>();
        boolean given = SpokenWords.GIVEN.matcher(plain).find();
        figures(s, plain, hedged, here);
        speeds(s, plain, hedged, here);
        kit(s, plain, hedged, here);
        functions(s, plain, hedged, here);
        words(s, plain, hedged, here);
        if (hedged) {
            Matcher m = SpokenWords.HEDGE.matcher(plain);
            if (m.find()) {
                here.add(find(SaidOf.HEDGE, s, m.group().replaceAll("[.\\d]+$", "").strip(), Optional.empty(), Optional.empty(), true));
            }
        }
        boolean other = OTHER.matcher(plain).find() || namesAnother(s.words());
        giving = given || giving && here.stream().anyMatch(f -> f.kind() == SaidOf.KIT);
        here.forEach(f -> finds.putIfAbsent(f.key(), other ? f.doubted(Reason.of(SpokenReason.OTHER_MACHINE)) : f));
    }

    private static final Map<Pattern, String> ASKED = Map.of(Pattern.compile("\\b(?:how heavy|weigh|weight)\\b"), "weighs ",
            Pattern.compile("\\bbore\\b"), "spindle bore ", Pattern.compile("\\b(?:what year|how old)\\b"), "year ",
            Pattern.compile("\\bswing\\b"), "swing ", Pattern.compile("\\btravel\\b"), "travel ",
            Pattern.compile("\\b(?:motor|horse|kw)\\b"), "motor ");
    private static final Pattern ANSWERS =
            Pattern.compile("^(?:yes|yeah|yep|sure|works?|it does|it is|all good|fine|no problem|i'm doing)\\b.*");
    private static final Pattern A_FIGURE = Pattern.compile("^(?:it's |about |around |roughly |oh |well |maybe |,|\\s)*\\d.*");

    /** A short answer speaks of what was asked. */
    private String answering(String plain) {
        if (asked.isEmpty() || plain.split(" ").length > FEW_WORDS) {
            return plain;
        }
        if (A_FIGURE.matcher(plain).matches()) {
            return ASKED.entrySet().stream().filter(e -> e.getKey().matcher(asked).find()).findFirst().map(e -> e.getValue() + plain)
                    .orElse(plain);
        }
        return ANSWERS.matcher(plain).matches()
                ? SpokenWords.FUNCTIONS.values().stream().map(f -> f.said().matcher(asked)).filter(Matcher::find).findFirst()
                        .map(m -> m.group() + ": " + plain).orElse(plain)
                : plain;
    }

    /** A name and a number that are not this machine's. */
    private boolean namesAnother(String words) {
        Matcher m = NAMED.matcher(words);
        while (m.find()) {
            if (!machine.identity().maker().equalsIgnoreCase(m.group(1)) && !machine.identity().model().equalsIgnoreCase(m.group(2))) {
                return true;
            }
        }
        return false;
    }

    private Find find(SaidOf kind, SpokenSentence s, String about, Optional<Claim> claim, Optional<String> task, boolean hedged) {
        return new Find(kind, s.from(), s.until(), s.words(), about, claim, task, hedged, Optional.empty());
    }

    private Optional<Claim> claim(Attribute attribute, String value, SpokenSentence s) {
        try {
            return Optional.of(Claim.checked(attribute, shortened(value, Identity.LONGEST), Source.SELLER,
                    shortened(s.words(), Claim.LONGEST_WORDING), Optional.empty(), machine.unit()));
        } catch (Refused notOne) {
            return attribute == Attribute.OTHER ? Optional.empty() : claim(Attribute.OTHER, value, s);
        }
    }

    private static String shortened(String text, int longest) {
        return text.length() > longest ? text.substring(0, longest) : text;
    }

    /** What a sales text would say: ranges, counts, figures with their units, by the rules for those. */
    private void figures(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        if (!A_DIGIT.matcher(plain).find()) {
            return;
        }
        for (Claim c : ClaimText.split(shortened(ofTheSpindle(plain), ClaimText.LONGEST), Source.SELLER, machine.family(), machine.unit(),
                machine.fitOut().axes())) {
            SaidOf kind = switch (c.attribute()) {
                case OTHER, CONDITION, ADMISSION, FUNCTION, SERVICED, REBUILT_BY, REDONE, WAYS, SCREWS, COLLETS, KIT_COUNT, REVERSES,
                        SPEED_LIST ->
                    null;
                case SPEED -> SaidOf.SPEED;
                default -> SaidOf.FIGURE;
            };
            boolean end = c.attribute() == Attribute.SLOWEST_SPEED || c.attribute() == Attribute.FASTEST_SPEED;
            boolean turns = end && !AN_END.matcher(plain).find() || c.attribute() == Attribute.YEAR
                    && (route(c.value()).isPresent() || isRound(c.value()) && sweep(c.value()).isPresent())
                    && !DATED.matcher(plain).find();
            if (kind == null || turns || !figures.add(c.attribute() + " " + c.axis() + " " + c.value())) {
                continue;
            }
            Claim heard = new Claim(c.attribute(), c.value(), Source.SELLER, shortened(s.words(), Claim.LONGEST_WORDING), c.axis());
            Find find = find(kind, s, c.attribute().name() + " " + c.value(), Optional.of(heard), kind == SaidOf.SPEED ? route(c.value())
                    : Optional.empty(), hedged);
            here.add(PlausibleFigure.doubt(heard, machine.unit()).map(find::doubted).orElse(find));
        }
    }

    /** Speeds that somebody sets steplessly and calls out are round; years seldom are. */
    private static boolean isRound(String typed) {
        return typed.matches("\\d+[05]0");
    }

    /** What makes a figure the least or the most of a range; else it runs so now. */
    private static final Pattern AN_END =
            Pattern.compile("\\b(?:to|from|between|slowest|fastest|lowest|highest|bottom|top|minimum|maximum|max|min|up to|"
                    + "down to|tops out|flat out|through|range)\\b");
    /** What makes a figure a year that may as well be a speed. */
    private static final Pattern DATED = Pattern.compile("\\b(?:year|built|made|since|from|dated?|new in|bought|in (?:19|20)\\d\\d)\\b");
    private static final Pattern FROM_TO =
            Pattern.compile("(\\d+(?:\\.\\d+)?) (?:to|up to|through) (\\d+(?:\\.\\d+)?)(?! ?(?:rpm|mm|inch|\\d|\\.\\d))");

    /** Two ends that are those of the plate are of its speeds, whatever was left out. */
    private String ofTheSpindle(String plain) {
        Matcher m = FROM_TO.matcher(plain);
        List<Double> all = table.counted().stream().flatMap(s -> s.expected().stream()).sorted().toList();
        return m.find() && !all.isEmpty() && Math.abs(number(m.group(1)) - all.get(0)) <= NEAR * all.get(0)
                && Math.abs(number(m.group(2)) - all.get(all.size() - 1)) <= NEAR * all.get(all.size() - 1)
                        ? plain.substring(0, m.end()) + " rpm" + plain.substring(m.end())
                        : plain;
    }

    /**
     * A speed that somebody says runs now: a figure of the plate behind words of running, beside lever positions, in a row of such
     * figures, or in a sentence that holds little else. An end of a range is none.
     */
    private void speeds(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        List<String> taken = here.stream().flatMap(f -> f.claim().stream()).map(c -> c.value().replaceAll("[^\\d.].*", "")).toList();
        List<String> said = new ArrayList<>();
        Matcher m = FIGURE.matcher(plain);
        boolean asRow = FIGURE.matcher(plain).results().filter(r -> route(r.group(1)).isPresent()).count() > 1;
        boolean brief = plain.split(" ").length <= FEW_WORDS;
        while (m.find()) {
            String before = plain.substring(0, m.start());
            boolean year =
                    plain.substring(0, m.start()).matches(".*\\b(?:in|since|by the makers in|from|"
                            + "until) $") && number(m.group(1)) >= 1900
                            && number(m.group(1)) < 2100;
            String after = plain.substring(m.end());
            year |= before.matches(".*\\bit's an? $") && number(m.group(1)) >= 40 && number(m.group(1)) <= 99;
            boolean never = NEVER_AFTER.matcher(after).find()
                    || before.matches(".*\\b(?:never|don't|wouldn't|won't|can't|not)\\b(?!.*\\b(?:but|so|then|now|here)\\b).*");
            boolean end = year || never || BEFORE_RANGE.matcher(before).find() && !TAKEN_TO.matcher(before).find()
                    || AFTER_RANGE.matcher(after).find();
            boolean first = FIRST.matcher(before).matches() && (after.isEmpty() || GOES_ON.matcher(after).find());
            boolean runs = m.group(2) != null || asRow || first || brief || RUNS.matcher(before).find() || MOVES_ON.matcher(plain).find();
            boolean model = machine.identity().model().replaceAll("\\D", "").equals(m.group(1)) && m.group(2) == null
                    && before.matches(
                            ".*(?:\\bthe |\\bthis |\\ban? |\\b" + model() + " ?|"
                                    + Pattern.quote(machine.identity().maker().toLowerCase(Locale.ROOT)) + " ?)$");
            if (!end && runs && !model && !taken.contains(m.group(1)) && !said.contains(m.group(1)) && number(m.group(1)) >= SLOWEST
                    && (route(m.group(1)).isPresent() || sweep(m.group(1)).isPresent() && turns(m, before, after, first, plain))) {
                said.add(m.group(1));
                here.add(find(SaidOf.SPEED, s, "SPEED " + m.group(1), claim(Attribute.SPEED, decimal(m.group(1)), s),
                        route(m.group(1)).or(() -> sweep(m.group(1))), hedged));
            }
        }
        levers(s, plain, hedged, here);
    }

    private static final double SLOWEST = 5;
    private static final Pattern NEVER_AFTER =
            Pattern.compile("^,? (?:(?:i've|i have|i) never|i (?:won't|don't|wouldn't|do not|will not|would not)|is not shown)\\b");
    /** What is taken up to a figure runs at it. */
    private static final Pattern TAKEN_TO =
            Pattern.compile(
                    "\\b(?:take|bring|wind|crank|run|turn|push|open|creep|coming|going|all the way|right|slowly|and)"
                            + "(?: it| this| her| them)?"
                            + "(?: back| right| all the way| slowly)? (?:up|down) (?:to )?$|\\b(?:all the way|right) to $");
    private static final Pattern FIRST = Pattern.compile("^(?:(?:then|and|now|next|okay|ok|so|right|yep|here),? )*");
    private static final Pattern GOES_ON = Pattern.compile("^(?:[,.;]| (?:the|and|you|it's|there's|that's)\\b)");
    private static final int ONLY_WORDS = 4;

    /** The letters of its own model, before whose number no speed is meant. */
    private String model() {
        String letters = machine.identity().model().replaceAll("\\P{L}", "").toLowerCase(Locale.ROOT);
        return letters.isEmpty() ? "\\x00" : Pattern.quote(letters);
    }

    /** A figure within a range that turns steplessly needs more to be a speed than one of the plate: words of running, or no other. */
    private static boolean turns(Matcher figure, String before, String after, boolean first, String plain) {
        return figure.group(2) != null || RUNS.matcher(before).find() && after.length() < ONLY_WORDS * ONLY_WORDS
                || first && plain.split(" ").length <= ONLY_WORDS || TAKEN_TO.matcher(before).find();
    }

    /** The range that a figure lies in, where one is set steplessly. */
    private Optional<String> sweep(String typed) {
        double rpm = number(typed.replaceAll("[^\\d. /]", "").strip());
        return table.speeds().stream().filter(Speed::isSweep)
                .filter(sp -> table.range(sp).filter(r -> r.low() <= rpm && rpm <= r.high()).isPresent()).findFirst()
                .map(sp -> sp.routes().get(0).key());
    }

    private static String decimal(String typed) {
        return typed.contains("/") ? BigDecimal.valueOf(number(typed)).stripTrailingZeros().toPlainString() : typed;
    }

    private static final Pattern LEVERS = Pattern.compile(
            "\\b(?:range |in )?([a-f])[ ,]+(?:gear |number )?([1-9])\\b|\\b(?:gear )?([1-9]|first|second|third|fourth) (?:gear )?in"
                    + " (?:range )?([a-f])\\b");

    /** Levers named by their positions: "range B, three". */
    private void levers(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        if (here.stream().anyMatch(f -> f.kind() == SaidOf.SPEED) || machine.choices().size() != 2) {
            return;
        }
        Matcher m = LEVERS.matcher(plain);
        while (m.find()) {
            String letter = (m.group(1) != null ? m.group(1) : m.group(4)).toUpperCase(Locale.ROOT);
            String digit = m.group(2) != null ? m.group(2)
                    : m.group(3).replace("first", "1").replace("second", "2").replace("third", "3")
                            .replace("fourth", "4");
            machine.train().routes().stream().filter(r -> !machine.train().isReverse(r))
                    .filter(r -> machine.train().settings(r).containsAll(List.of(letter, digit))).findFirst()
                    .ifPresent(r -> here.add(find(SaidOf.SPEED, s, letter + " " + digit, claim(Attribute.OTHER, letter + " " + digit, s),
                            Optional.of(r.key()), hedged)));
        }
    }

    private static double number(String typed) {
        String[] parts = typed.split(" ");
        double whole = Double.parseDouble(parts[0]);
        if (parts.length == 2) {
            String[] f = parts[1].split("/");
            whole += Double.parseDouble(f[0]) / Double.parseDouble(f[1]);
        }
        return whole;
    }

    /** The speed of the plate that is meant, by its figure. */
    private Optional<String> route(String typed) {
        String plain = typed.replaceAll("[^\\d. /]", "").strip();
        if (plain.isEmpty()) {
            return Optional.empty();
        }
        double rpm = number(plain);
        return table.counted().stream().filter(sp -> sp.expected().filter(n -> Math.abs(n - rpm) <= NEAR * n).isPresent())
                .findFirst().map(Speed::routes).map(r -> r.get(0)).map(Route::key);
    }

    /** Words that make a short sentence more than a piece named by itself. */
    private static final Pattern LISTED_NOT =
            Pattern.compile("\\b(?:is|are|was|were|turns?|runs?|spins?|going|on the|in the|off the|take|put|mount|now|then|"
                    + "up|down|works?|here we|change|look|see|works|speed|rpm)\\b");

    private static final Pattern NO_KIT = Pattern.compile("\\b(?:no|without|neither|nor|not the)(?: \\w+)? ?$");
    private static final Pattern KEPT =
            Pattern.compile("^(?: \\w+)? (?:(?:is|are|'s)(?: not|n't) (?:for sale|included|with it|going|part)|(?:is|are) mine|stays?\\b"
                    + "|(?:is|are) (?:staying|sold|gone))");

    /** The first word of a thing, where it is "no" or stands behind it. */
    private static String first(String thing) {
        return thing.startsWith("no ") ? "no " : "";
    }

    private void kit(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        boolean given = SpokenWords.GIVEN.matcher(plain).find();
        boolean awaited = SpokenWords.AWAITED.matcher(plain).find();
        boolean listed = plain.split(" ").length <= (giving ? MORE_WORDS : FEW_WORDS) && !LISTED_NOT.matcher(plain).find();
        if (!given && !awaited && !listed) {
            return;
        }
        SpokenWords.KIT.forEach((name, said) -> {
            Matcher m = said.counted().matcher(plain);
            if (!said.bare().matcher(plain).find() || !m.find()) {
                return;
            }
            boolean denied = (NO_KIT.matcher(plain.substring(0, m.start()) + first(m.group())).find()
                    || KEPT.matcher(plain.substring(m.end())).find());
            boolean not = awaited || denied;
            boolean longer = here.stream().anyMatch(f -> f.kind() == SaidOf.KIT && f.about().contains(" " + name));
            if (!longer && figures.add("KIT " + name + not)) {
                String count = Optional.ofNullable(m.group("count")).filter(c -> c.matches("\\d+")).orElse("1");
                Optional<Claim> claim = not ? claim(Attribute.ADMISSION, name + " missing or to come", s)
                        : claim(Attribute.KIT_COUNT, count, new SpokenSentence(s.from(), s.until(), count + " " + name));
                here.add(find(SaidOf.KIT, s, (not ? "not there: " : count + " ") + name, claim, Optional.empty(), hedged));
            }
        });
    }

    private void functions(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        SpokenWords.FUNCTIONS.forEach((name, shown) -> {
            Matcher m = shown.said().matcher(plain);
            if (m.find() && !SpokenWords.DENIES.matcher(plain.substring(0, m.start())).find() && figures.add("FUNCTION " + name)) {
                Optional<String> step = shown.steps().isEmpty() ? Optional.empty()
                        : steps.stream().filter(st -> st.code().matches(shown.steps())).findFirst().map(st -> st.id().written());
                here.add(find(SaidOf.FUNCTION, s, name, claim(Attribute.FUNCTION, name, s), step, hedged));
            }
        });
    }

    private void words(SpokenSentence s, String plain, boolean hedged, List<Find> here) {
        told(s, plain, SpokenWords.ADMITS, SaidOf.ADMISSION, Attribute.ADMISSION, hedged, here);
        told(s, plain, SpokenWords.REPAIR, SaidOf.REPAIR, Attribute.SERVICED, hedged, here);
        told(s, plain, SpokenWords.AWAITED, SaidOf.AWAITED, Attribute.ADMISSION, hedged, here);
        told(s, plain, SpokenWords.EITHER, SaidOf.EITHER, Attribute.OTHER, hedged, here);
        told(s, plain, SpokenWords.PRAISE, SaidOf.PRAISE, Attribute.CONDITION, hedged, here);
    }

    private void told(SpokenSentence s, String plain, Pattern pattern, SaidOf kind, Attribute attribute, boolean hedged, List<Find> here) {
        Matcher m = pattern.matcher(plain);
        while (m.find()) {
            boolean denied = kind == SaidOf.ADMISSION && SpokenWords.DENIES.matcher(plain.substring(0, m.start())).find()
                    && !m.group().matches("doesn't.*|does not.*|won't.*|will not.*|not .*");
            boolean praiseDenied =
                    kind == SaidOf.PRAISE && !m.group().startsWith("no") && SpokenWords.DENIES.matcher(plain.substring(0, m.start()))
                            .find();
            if (!denied && !praiseDenied) {
                here.add(find(kind, s, m.group().strip(), claim(attribute, s.words(), s), Optional.empty(), hedged));
                return;
            }
        }
    }

    /** Second of what a person types while listening, from text such as 1:23 or 83. @throws Refused where it is none */
    public static BigDecimal second(String typed) {
        Matcher m = Pattern.compile("(?:(\\d{1,2}):)?(\\d{1,2}):(\\d{2})(\\.\\d{1,3})?").matcher(typed.strip());
        if (m.matches()) {
            int whole = (m.group(1) == null ? 0 : Integer.parseInt(m.group(1)) * 3600) + Integer.parseInt(m.group(2)) * 60
                    + Integer.parseInt(m.group(3));
            return new BigDecimal(whole + (m.group(4) == null ? "" : m.group(4)));
        }
        if (typed.strip().matches("\\d{1,6}(?:\\.\\d{1,3})?")) {
            return new BigDecimal(typed.strip());
        }
        throw Refused.because(SpokenReason.TEXT_NO_TIMES).at("second");
    }
}
