package tallledger.web.stories;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import tools.jackson.databind.JsonNode;

/** Holds what a story expects against the pages, and says what is missing or said and should not be. */
final class Expecting {

    private static final List<String> SEVERITIES = List.of("note", "live with", "soon", "before use", "stop use");
    private static final Pattern FIGURE = Pattern.compile("([−-]?\\d+(?: \\d{3})*(?: \\d+/\\d+)?(?:\\.\\d+)?)(?: ?± ?([\\d.]+))?");
    private static final List<String> WORDS = List.of("nought", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine",
            "ten",
            "eleven", "twelve", "thirteen", "fourteen", "fifteen", "sixteen", "seventeen", "eighteen");

    private final JsonNode story;
    private final JsonNode common;
    private final Names names;
    private final Shown shown;
    private final Doing doing;
    private final List<String> complaints = new ArrayList<>();
    private final List<Claimed> claims = new ArrayList<>();

    /** A row of the verdict's claims, with the words it was split from. */
    private record Claimed(String attribute, String value, String by, String standing, String because, String words) {
    }

    Expecting(JsonNode story, JsonNode common, Names names, Shown shown, Doing doing) {
        this.story = story;
        this.common = common;
        this.names = names;
        this.shown = shown;
        this.doing = doing;
    }

    List<String> complaints() {
        readClaims();
        JsonNode expect = story.get("expect");
        expect.get("claims").forEach(this::claim);
        expect.get("notClaimed").forEach(this::notClaimed);
        expect.get("steps").forEach(this::step);
        expect.get("findings").forEach(this::finding);
        coverage(expect.get("coverage"));
        expect.get("says").forEach(says -> says(says.asString()));
        neverSays();
        money(expect.get("money"));
        next(expect.get("next"));
        return complaints;
    }

    private String id() {
        return story.get("id").asString();
    }

    private void readClaims() {
        List<Element> told = shown.page("machine").select("aside ul.claims li");
        for (Element row : shown.page("/verdict/claims").select("table.ruled tr:has(.standing)")) {
            String value = row.select("th b").text();
            String attribute = row.select("th span").first().text();
            String by = row.select("td").get(0).text();
            String words = told.stream().filter(li -> li.select("b").text().equals(value)
                    && li.select("span").first().text().equals(attribute)
                    && li.select(".sub").text().startsWith(by)).map(li -> li.select(".sub").text()).findFirst().orElse("");
            claims.add(new Claimed(attribute, value, by, row.select(".standing").text(), Shown.plain(row.select("td").get(2).text()),
                    plain(words.replaceFirst("^[^“]*", ""))));
        }
    }

    private static String plain(String text) {
        return Shown.plain(text).toLowerCase(Locale.ROOT).replaceAll("[“”.,;:!]+(?=\\s|$)|[“”]", "").replaceAll("\\s+", " ").strip();
    }

    /** Digits of a text, numbers in words among them. */
    private static Set<String> numbers(String text) {
        Set<String> numbers = Described.numbers(text.replaceAll("(\\d),(\\d{3})", "$1$2")).stream().map(Expecting::shortest)
                .collect(Collectors.toSet());
        for (String word : plain(text).split("[^a-z]+")) {
            if (WORDS.contains(word)) {
                numbers.add(String.valueOf(WORDS.indexOf(word)));
            }
        }
        if (plain(text).contains("twenty-four")) {
            numbers.add("24");
        }
        if (plain(text).contains("sixty")) {
            numbers.add("60");
        }
        return numbers;
    }

    private static String shortest(String number) {
        return new java.math.BigDecimal(number).stripTrailingZeros().toPlainString();
    }

    /** Claims that these words became. */
    private List<Claimed> became(String words) {
        String wanted = plain(words.replaceAll(" \\(.*\\)", ""));
        Set<String> figures = numbers(wanted);
        if (words.contains("plate)")) {
            // "271 (column plate)": which of those who speak of it.
            return claims.stream().filter(c -> c.by.equals("plate") && numbers(c.value).containsAll(figures)).toList();
        }
        List<Claimed> said = claims.stream().filter(c -> c.words.contains(wanted) || c.words.length() > 3
                && wanted.contains(c.words.replaceFirst("^(and|or) ", "")) || plain(c.value).equals(wanted)
                || wanted.matches("[\\d.]+") && numbers(c.value).contains(shortest(wanted))).toList();
        List<Claimed> exact = said.stream().filter(c -> !numbers(c.value).isEmpty() && figures.containsAll(numbers(c.value))
                || wanted.contains(plain(c.value))).toList();
        return exact.isEmpty() ? said.stream().filter(c -> numbers(c.value).isEmpty() || figures.isEmpty()).toList() : exact;
    }

    private void claim(JsonNode claim) {
        String words = claim.get("words").asString();
        List<String> allowed = Arrays.asList(claim.get("standing").asString().split("\\|"));
        List<Claimed> became = became(words);
        if (became.isEmpty()) {
            complaints.add("claim “" + words + "”: nothing of it stands on the verdict");
        }
        List<Claimed> wrong = became.stream().filter(c -> !allowed.contains(c.standing)).toList();
        if (!became.isEmpty() && wrong.size() == became.size()) {
            complaints.add("claim “" + words + "” (" + claim.get("standing").asString() + "): " + wrong);
        }
    }

    /** What must not become something else: which sort of claim that would be is said in the words. */
    private static final Map<String, String> SORTS = Map.ofEntries(Map.entry("travel", "travel"), Map.entry("fastest speed",
            "fastest speed"),
            Map.entry("slowest or fastest", "slowest speed|fastest speed"), Map.entry("swing", "swing"), Map.entry("ratio",
                    "ratio|radius.*"),
            Map.entry("year", "year"), Map.entry("mass", "weight"), Map.entry("weight", "weight"), Map.entry("motor", "motor.*"),
            Map.entry("condition", "condition.*"), Map.entry("feeds a minute", ".*feed a minute"), Map.entry("pieces", "number of.*|kit.*"),
            Map.entry("of anything", "number of.*|.*count.*"), Map.entry("five", "number of.*"), Map.entry("220 V", "supply"),
            Map.entry("fastest speeds", "fastest speed"), Map.entry("reground", "ways|what was redone"));

    private void notClaimed(JsonNode not) {
        String words = not.get("words").asString();
        String must = not.get("mustNotBecome").asString();
        String sort = SORTS.entrySet().stream().filter(s -> must.contains(s.getKey())).map(Map.Entry::getValue).collect(Collectors
                .joining("|"));
        Set<String> figures = numbers(words);
        for (Claimed c : claims) {
            boolean ofIt = c.words.contains(plain(words)) && (figures.isEmpty() || numbers(c.value).stream().anyMatch(figures::contains));
            if (ofIt && !sort.isEmpty() && c.attribute.matches("(?i)" + sort) && !must.equals("220 V alone")) {
                complaints.add("“" + words + "” must not become " + must + ": " + c);
            }
        }
    }

    private void step(JsonNode wanted) {
        String of = wanted.get("step").asString();
        String text;
        Optional<String> mark = Optional.empty();
        try {
            Optional<Found> found = find(of);
            if (found.isEmpty()) {
                complaints.add("step “" + of + "”: not found");
                return;
            }
            text = found.get().text;
            mark = Optional.of(found.get().mark);
        } catch (Visitor.Missing missing) {
            complaints.add("step “" + of + "”: " + missing.getMessage());
            return;
        }
        String verdict = wanted.get("verdict").asString();
        // Within as read, and does not settle: not good whatever the rise (W 3.14).
        String right = verdict.endsWith("does not settle") ? "failed"
                : verdict.startsWith("within") || verdict.equals("good") ? "proven"
                        : verdict.startsWith("outside") || verdict.equals("not good") ? "failed"
                                : verdict.equals("too close") ? "too close to call" : "";
        boolean settled = verdict.contains(" until ") || verdict.contains(" by the column");
        if (!right.isEmpty() && !mark.orElse("").equals(right) && !settled) {
            complaints.add("step “" + of + "” is " + mark.orElse("not done") + ", not " + verdict + ": " + text);
        }
        if (wanted.has("figure") && !hasFigure(text, wanted.get("figure").asString())) {
            complaints.add("step “" + of + "” does not say " + wanted.get("figure").asString() + ": " + text);
        }
        if (wanted.has("limit") && !hasLimit(text, wanted.get("limit").asString())) {
            complaints.add("step “" + of + "” does not say its limit " + wanted.get("limit").asString() + ": " + text);
        }
        if (wanted.has("grade") && !text.contains(wanted.get("grade").asString())) {
            complaints.add("step “" + of + "” does not reach " + wanted.get("grade").asString() + ": " + text);
        }
        if (wanted.has("names")) {
            substance("names of " + of, wanted.get("names").asString(), text);
        }
    }

    /** The figure of a limit: behind it stands in brackets which one it is. */
    private static List<String> limit(String limit) {
        return Described.numbers(limit.replaceAll("\\([^)]*\\)", "").replaceAll("[, ]*(per|over|at) .*", "")).stream().limit(1).toList();
    }

    /** "± 10 % of 1.5" may be shown by its ends; figures to the digits the story gives. */
    private static boolean hasLimit(String text, String limit) {
        Matcher share = Pattern.compile("± ([\\d.]+) % of ([\\d ]+(?:\\.\\d+)?)").matcher(limit);
        if (share.find()) {
            double of = value(share.group(2).strip());
            double part = of * Double.parseDouble(share.group(1)) / 100;
            return hasRounded(text, of - part, 4) && hasRounded(text, of + part, 4) || text.contains("± " + share.group(1) + " %")
                    || text.contains("±" + share.group(1) + " %");
        }
        if (limit.startsWith("± ")) {
            return true;
        }
        return limit(limit).stream().allMatch(n -> hasNumber(text, n) || hasRounded(text, Double.parseDouble(n),
                n.replaceFirst("^0*\\.?0*", "")
                        .replace(".", "").length()));
    }

    private static boolean hasRounded(String text, double value, int digits) {
        java.math.MathContext to = new java.math.MathContext(Math.max(digits, 1));
        java.math.BigDecimal wanted = new java.math.BigDecimal(value).round(to);
        Matcher in = FIGURE.matcher(text);
        while (in.find()) {
            if (new java.math.BigDecimal(Math.abs(value(in.group(1)))).round(to).compareTo(wanted) == 0) {
                return true;
            }
        }
        return false;
    }

    private record Found(String text, String mark) {
    }

    private Optional<Found> find(String of) {
        if (!names.page(of).isEmpty()) {
            return Optional.of(new Found(Shown.plain(shown.page(names.page(of)).text()), ""));
        }
        List<String[]> keys = names.stepOf(id(), of);
        String[] key = doing.answers().containsKey(of) ? new String[] {of, "-1"}
                : keys.isEmpty() ? new String[] {of.split(", ")[0],
                        of.endsWith("first") ? "0" : of.endsWith("second") ? "1" : "-1"}
                        : keys.get(0);
        List<Document> answers = doing.answers().get(key[0]);
        if (answers == null && of.startsWith("run ")) {
            answers = doing.answers().entrySet().stream().filter(a -> a.getKey().startsWith("run ") && isRun(of.substring(4), a.getKey()))
                    .map(Map.Entry::getValue).findFirst().orElse(null);
        }
        if (answers == null) {
            return Optional.empty();
        }
        int at = Integer.parseInt(key[1]);
        Document answer = answers.get(at < 0 ? answers.size() - 1 : Math.min(at, answers.size() - 1));
        String entry = answer.select(".done a[href*=strike]").stream().map(a -> a.attr("href").replaceFirst(".*strike=", "")).findFirst()
                .orElse("");
        Element row = shown.page("/entries").selectFirst("#entry-" + entry);
        String text = Shown.plain(answer.select(".done").text() + " | " + answer.select(".limit-here").text() + " | "
                + (row == null ? "" : row.text()));
        String recorded = answer.select("[data-recorded]").attr("data-recorded");
        Document now = shown.page("step " + recorded);
        String mark = answer.select(".done svg.mark").attr("aria-label");
        Element counts = shown.page("/run").select("nav.steps a").stream().filter(a -> a.attr("href").endsWith("step=" + recorded))
                .findFirst()
                .orElse(null);
        if (at < 0 && counts != null) {
            mark = counts.select("svg.mark").attr("aria-label");
            text += " | " + Shown.plain(now == null ? "" : now.select("aside.margin .plain, aside.margin .figure").text());
        }
        return Optional.of(new Found(text, mark));
    }

    /** "pulley 1, gate 4, after the repair", "low, slowest", "B 1" is the run "run [pulley=1, gate=4]". */
    private static boolean isRun(String wanted, String run) {
        List<String> tokens = Arrays.asList(wanted.replace(",", " ").split("\\s+"));
        return Stream.of(run.replaceFirst("^run \\[", "").replaceFirst("]$", "").split(", "))
                .filter(p -> !p.isBlank() && !p.startsWith("inverter=")).allMatch(p -> {
                    String lever = p.substring(0, p.indexOf('='));
                    String at = p.substring(p.indexOf('=') + 1);
                    return tokens.contains(lever) ? wanted.contains(lever + " " + at) : lever.isEmpty() || tokens.contains(at);
                }) && run.contains("=");
    }

    /** The first figure of what is expected, as it is shown: to a tenth of its uncertainty, that to its last digit. */
    private static boolean hasFigure(String text, String wanted) {
        Matcher figure = FIGURE.matcher(wanted);
        if (!figure.find()) {
            return true;
        }
        double value = value(figure.group(1));
        Matcher in = FIGURE.matcher(text);
        while (in.find()) {
            double there = value(in.group(1));
            if (figure.group(2) == null) {
                if (Math.abs(Math.abs(there) - Math.abs(value)) <= 0.01 * Math.abs(value)) {
                    return true;
                }
                continue;
            }
            double u = Double.parseDouble(figure.group(2));
            double digit = Math.pow(10, -figure.group(2).replaceFirst("^\\d*\\.?", "").length());
            if (in.group(2) != null && Math.abs(Math.abs(there) - Math.abs(value)) <= u / 10 + 1e-9
                    && Math.abs(Double.parseDouble(in.group(2)) - u) <= digit + 1e-9) {
                return true;
            }
        }
        return false;
    }

    private static double value(String figure) {
        String plain = figure.replace('−', '-');
        Matcher mixed = Pattern.compile("(-?\\d+) (\\d+)/(\\d+)").matcher(plain);
        if (mixed.matches()) {
            return Double.parseDouble(mixed.group(1)) + Double.parseDouble(mixed.group(2)) / Double.parseDouble(mixed.group(3));
        }
        return Double.parseDouble(plain.replace(" ", "").replaceFirst("/.*", ""));
    }

    private static boolean hasNumber(String text, String number) {
        double value = Double.parseDouble(number);
        Matcher in = FIGURE.matcher(text);
        while (in.find()) {
            if (Math.abs(Math.abs(value(in.group(1))) - value) < 1e-9) {
                return true;
            }
        }
        return false;
    }

    private void finding(JsonNode wanted) {
        String about = wanted.get("about").asString();
        Pattern pattern = Pattern.compile(names.substance(id(), "finding: " + about).stream().findFirst().orElse("(?i)"
                + Arrays.stream(about.split(" ")).filter(w -> w.length() > 3).map(w -> w.replaceAll("'.*|s$", "")).limit(2)
                        .collect(Collectors.joining(".*"))));
        List<Element> found = shown.page("/verdict/findings").select(".findings > li").stream()
                .filter(li -> pattern.matcher(Shown.plain(li.select("> span").not(".severity, .refs").text())).find()).toList();
        if (wanted.has("none") || wanted.path("state").asString("").startsWith("not open")) {
            found.forEach(li -> complaints.add("finding “" + about + "” should not be there: " + li.text()));
            return;
        }
        if (wanted.has("state") || !wanted.has("at least")) {
            return;
        }
        int least = SEVERITIES.indexOf(wanted.get("at least").asString());
        int most = SEVERITIES.indexOf(wanted.path("at most").asString("stop use"));
        boolean right = found.stream().map(li -> SEVERITIES.indexOf(li.select(".severity").first().text().toLowerCase(Locale.ROOT)))
                .anyMatch(s -> s >= least && s <= most);
        if (!right) {
            complaints.add("finding “" + about + "”, at least " + SEVERITIES.get(least) + ", at most " + SEVERITIES.get(most) + ": "
                    + (found.isEmpty()
                            ? "not there, only " + shown.page("/verdict/findings").select(".findings > li").stream()
                                    .map(li -> li.select("> .severity").text() + " "
                                            + li.select("> span:not(.severity):not(.refs):not(.sub)").text())
                                    .toList()
                            : found.get(0).text()));
        }
    }

    private static final Pattern COUNTED = Pattern.compile("(\\d+) (?:of (\\d+) )?(run|inferred|open|failed)");

    private void coverage(JsonNode wanted) {
        String says = wanted.get("says").asString();
        if (!names.substance(id(), "coverage").isEmpty()) {
            substance("coverage", says, shown.all());
            return;
        }
        String counts = Shown.plain(shown.page("/verdict/record").select(".counts").first().text());
        Matcher counted = COUNTED.matcher(says);
        while (counted.find()) {
            if (!counts.contains(counted.group()) && !(counted.group(1).equals("0") && !counts.contains(counted.group(3)))) {
                complaints.add("coverage should say " + says + ": " + counts);
                return;
            }
        }
    }

    private void says(String wanted) {
        substance("says", wanted, shown.whole() + shown.all());
    }

    /** Each of the words that carry a sentence, by the table; where it has none, the figures of the sentence. */
    private void substance(String what, String wanted, String text) {
        List<String> carry = names.substance(id(), wanted);
        List<String> missing = carry.isEmpty() ? Described.numbers(wanted).stream().filter(n -> !hasNumber(text, n)
                && !hasRounded(text, Double.parseDouble(n), n.replaceFirst("^0*\\.?0*", "").replace(".", "").length())).toList()
                : carry.stream().filter(c -> !Pattern.compile(c).matcher(text).find()).toList();
        if (!missing.isEmpty()) {
            complaints.add(what + " “" + wanted + "” is not said: " + missing);
        }
    }

    private void neverSays() {
        List<String> never = Stream.of(story.get("expect").get("neverSays"), common.get("all"),
                common.get(story.get("machine").get("units").asString().equals("in") ? "inch" : "mm")).flatMap(JsonNode::valueStream)
                .map(JsonNode::asString).toList();
        for (String pattern : never) {
            Pattern compiled = Pattern.compile(pattern);
            List<String> where = new ArrayList<>();
            shown.texts().forEach((page, text) -> {
                Matcher in = compiled.matcher(unsaid(text));
                if (in.find()) {
                    String whole = unsaid(text);
                    where.add(page + " “" + whole.substring(Math.max(0, in.start() - 40), Math.min(whole.length(), in.end() + 30))
                            .replaceAll("\\s+", " ") + "”");
                }
            });
            if (!where.isEmpty()) {
                complaints.add("says " + pattern + " on " + where.size() + " pages: " + where.subList(0, Math.min(3, where.size())));
            }
        }
    }

    /** Without what somebody typed as a remark or is quoted with. */
    private String unsaid(String text) {
        String plain = text;
        for (JsonNode act : story.get("did")) {
            for (String field : List.of("remark", "because", "set")) {
                String typed = act.path(field).asString("");
                if (!typed.isEmpty()) {
                    plain = plain.replace(typed, "");
                }
            }
        }
        return plain;
    }

    private void money(JsonNode money) {
        String offer = Shown.plain(shown.page("/verdict").select(".sums div:has(dt:contains(Offer)) dd").text());
        Matcher figure = Pattern.compile("\\d[\\d ]*").matcher(offer);
        if (!figure.find()) {
            complaints.add("no offer: " + offer);
            return;
        }
        double value = Double.parseDouble(figure.group().replace(" ", ""));
        double low = money.get("offer").get(0).asDouble();
        double high = money.get("offer").get(1).asDouble();
        if (value < low - 1 || value > high) {
            complaints.add("offer " + offer + ", not " + low + " to " + high + " " + money.path("reckoned").asString(""));
        }
        String unknown = Shown.plain(shown.page("/verdict").select(".sums div:has(dt:contains(Unknown)) dd").text());
        List<String> most = Described.numbers(money.get("unknown").asString());
        double figured = Described.numbers(unknown).stream().findFirst().map(Double::parseDouble).orElse(-1.0);
        if (figured < 0 || shown.page("/verdict/money").select("#untested tbody tr").isEmpty()) {
            complaints.add("what is unknown is not said with what it is made of: " + unknown);
        } else if (!most.isEmpty() && figured > Double.parseDouble(most.get(0))) {
            complaints.add("unknown " + unknown + ", not " + money.get("unknown").asString());
        }
        String put = Shown.plain(shown.page("/verdict").select(".sums div:has(dt:contains(To repair)) dd").text());
        if (money.has("putRight") && (money.get("putRight").isArray() || money.get("putRight").asString().matches("[\\d.]+"))) {
            double right = Double.parseDouble(Described.numbers(put).stream().findFirst().orElse("0"));
            boolean exact = !money.get("putRight").isArray();
            double from = exact ? money.get("putRight").asDouble() * 0.99 - 1 : money.get("putRight").get(0).asDouble();
            double to = exact ? money.get("putRight").asDouble() * 1.01 + 1 : money.get("putRight").get(1).asDouble();
            if (right < from || right > to) {
                complaints.add("put right " + put + ", not " + money.get("putRight") + ": " + money.path("reckoned").asString(""));
            }
        }
    }

    /** No first advice is a trifle: what a step leads to costs three in a hundred of the price asked at least. */
    private void trivial(List<String> coming) {
        double price = Double.parseDouble(story.get("machine").get("price").asString());
        for (String step : coming) {
            Element row = shown.page("/verdict/money").selectFirst("#untested tr:has(a[href$=step=" + step + "])");
            List<String> figures = row == null ? List.of() : row.select("td.figure").eachText();
            if (figures.size() > 1 && value(Described.numbers(Shown.plain(figures.get(1))).get(0)) < 0.03 * price) {
                complaints.add("advises a trifle first: " + step + ", whose repairs cost " + figures.get(1) + " of " + price);
            }
        }
    }

    private void next(JsonNode next) {
        List<String> coming = Stream.concat(shown.page("/verdict").select("section a[href*=step=]").stream().limit(3),
                shown.page("/verdict/money").select("h2 ~ ul a[href*=step=]").stream().limit(3))
                .map(a -> a.attr("href").replaceFirst(".*step=", "")).distinct().toList();
        trivial(coming);
        for (JsonNode wanted : next.path("runsOrStepsToCome")) {
            List<String> named = names.substance(id(), wanted.asString());
            String open = shown.page("/run").select("nav.steps a:has(svg[aria-label=open])").stream().map(a -> a.select(".name").text())
                    .collect(Collectors.joining("\n"));
            named.stream().filter(n -> !Pattern.compile(n, Pattern.MULTILINE).matcher(Shown.plain(open)).find())
                    .forEach(n -> complaints.add("to come “" + wanted.asString() + "”: no " + n + " among what is open: " + open));
            if (named.isEmpty()) {
                complaints.add("to come “" + wanted.asString() + "”: the table has no words for it");
            }
        }
        for (JsonNode not : next.get("notAmongFirstThree")) {
            if (coming.contains(not.asString())) {
                complaints.add("advises " + not.asString() + " among the first: " + coming);
            }
        }
    }
}
