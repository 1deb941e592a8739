package tallledger.web.stories;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import tools.jackson.databind.JsonNode;

/** A story's machine, put into the description form row by row; a story writes it as people do, "gate: 1 2 3 4, neutral between". */
final class Described {

    /** Thousands stand apart, "1 740"; two figures of three digits in a row are two. */
    private static final Pattern NUMBER = Pattern.compile("(?<!\\d)\\d{1,2} \\d{3}(?!\\d)(?:\\.\\d+)?|\\d+(?:\\.\\d+)?");
    private static final Pattern LABELLED = Pattern.compile("([A-Za-z]+) (\\d[\\d ]*) to (\\d[\\d ]*)");
    /** Words that say what an axis has, as the form's keys name it. */
    private static final Map<String, String> ABILITIES = Map.of("feed", "FEED", "rapid", "RAPID", "trip", "TRIP", "knock-off", "KNOCK_OFF",
            "lock", "LOCK", "hand wheel", "HAND_WHEEL", "screw", "HAND_WHEEL", "readout", "READOUT");

    private final JsonNode machine;
    private final JsonNode said;
    private final List<String> more;
    private final String id;
    private final String hertz;
    /** Where the story runs its inverter at the motor's plate frequency: that place, at which the speeds of its plate stand. */
    private final String atPlate;
    private long number;
    private final List<Lever> levers = new ArrayList<>();

    /** What is chosen on the machine: by a lever of this name, in these positions; a sliding one has its two ends. */
    record Lever(String name, List<String> positions, boolean slides) {
    }

    Described(JsonNode story, Names names) {
        id = story.get("id").asString();
        more = names.features(id);
        machine = story.get("machine");
        hertz = machine.get("drive").get("stages").get(0).asString().replaceFirst(".* at (\\d+) Hz.*", "$1");
        atPlate = story.get("did").valueStream().anyMatch(act -> act.path("inverter").asString("").equals(hertz + " Hz"))
                ? hertz + "Hz"
                : "";
        said = story.get("said");
    }

    /** Number of the machine, once it is described. */
    long id() {
        return number;
    }

    /** Describes it and opens a survey of the whole; its number. */
    long survey(Visitor visitor) {
        Visitor.Filled form = Visitor.form(visitor.open("/machines/new"), "/machines");
        form.set("family", machine.get("family").asString()).set("unit", machine.get("units").asString().equals("in") ? "INCH" : "MM")
                .set("name", machine.get("name").asString().replaceFirst(" \\(.*", ""));
        form = Visitor.form(visitor.pressTo(form, "/axes/usual"), "/machines");
        while (!form.has("stage" + (machine.get("drive").get("stages").size() - 1) + ".name")) {
            form = Visitor.form(visitor.pressTo(form, "/drive/rows"), "/machines");
        }
        drive(form);
        fitOut(form);
        form = Visitor.form(visitor.pressTo(form, "/speeds/layout"), "/machines");
        Document laid = plate(visitor, form);
        form = Visitor.form(laid, "/machines");
        for (JsonNode by : said) {
            form.set("said", by.get("words").asString()).set("saidBy", SOURCES.get(by.get("by").asString()));
            form = Visitor.form(visitor.pressTo(form, "/claims/split"), "/machines");
        }
        Document saved = visitor.press(form);
        String at = saved.location();
        if (!at.matches(".*/machines/\\d+")) {
            throw new Visitor.Missing("the machine was not saved: " + Visitor.wrong(saved));
        }
        number = Long.parseLong(at.replaceFirst(".*/", ""));
        Visitor.Filled open = Visitor.form(saved, "/surveys").choose("role", "buyer").set("scope", "WHOLE").set("judgedAs", "WORKABLE");
        Matcher id = Pattern.compile("/surveys/(\\d+)/").matcher(visitor.press(open).location());
        if (!id.find()) {
            throw new Visitor.Missing("the survey was not opened");
        }
        return Long.parseLong(id.group(1));
    }

    private static final Map<String, String> SOURCES = Map.of("seller", "SELLER", "advertisement", "ADVERTISEMENT", "plate", "PLATE",
            "operator", "FORMER_OPERATOR", "rebuilder", "SELLER");

    /** One row of the drive a stage, motor first. */
    private void drive(Visitor.Filled form) {
        int row = 0;
        for (JsonNode node : machine.get("drive").get("stages")) {
            String text = node.asString();
            String head = text.split("[:,(]|\\d")[0].strip();
            if (head.equals("direction")) {
                form.clear("reverses").tick("reverses", "yes");
                continue;
            }
            String at = "stage" + row++;
            String rest = text.substring(Math.min(text.length(), head.length())).strip().replaceFirst("^[:,]\\s*", "");
            String kind = kind(head, text);
            form.set(at + ".kind", kind);
            if (text.contains("stop to shift")) {
                form.set(at + ".shifting", "STOP_TO_SHIFT");
            }
            if (kind.equals("MOTOR")) {
                form.set(at + ".name", "motor").set(at + ".positions", "").set(at + ".values", numbers(rest).stream()
                        .findFirst().orElse(""));
            } else if (kind.equals("INVERTER") || kind.equals("VARIATOR")) {
                String own = kind.equals("INVERTER") ? atPlate : "";
                form.set(at + ".name", head).set(at + ".positions", own);
                List<String> ends = numbers(rest);
                form.set(at + ".values", rest.contains("Hz") ? ends.get(0) + " " + ends.get(1) + " " + hertz : "");
                levers.add(new Lever(head, own.isEmpty() ? List.of("lowest", "highest") : List.of("lowest", own, "highest"), true));
            } else {
                gear(form, at, head, rest);
            }
        }
    }

    private void gear(Visitor.Filled form, String at, String head, String rest) {
        List<String> labels = Arrays.stream(rest.replaceAll("\\([^)]*\\)", "").replaceAll(", neutral between.*", "").split("[\\s,]+"))
                .filter(label -> !label.isBlank()).toList();
        String first = head.split(" ")[0];
        if (labels.isEmpty()) {
            // "knob I II III": the labels stand behind the name.
            labels = Arrays.stream((head + " " + rest).split(" ")).skip(1).filter(label -> !label.isBlank()).toList();
        } else if (head.split(" ").length > 1 && rest.equals(String.join(" ", labels)) && !head.contains("lever") && !head.contains("by")) {
            labels = Arrays.stream((head + " " + rest).split(" ")).skip(1).toList();
        } else {
            first = head;
        }
        String wanted = first;
        long before = levers.stream().filter(l -> l.name().equals(wanted) || l.name().startsWith(wanted + " ")).count();
        String name = before == 0 ? wanted : wanted + " " + (before + 1);
        form.set(at + ".name", name).set(at + ".positions", String.join(" ", labels));
        if (rest.contains("neutral between")) {
            labels = Stream.concat(labels.stream(), Stream.of("N")).toList();
            form.set(at + ".positions", String.join(" ", labels));
        }
        if (labels.contains("N")) {
            form.set(at + ".values", labels.stream().map(l -> l.equals("N") ? "N" : "?").collect(Collectors.joining(" ")));
        } else if (rest.contains("(direct)")) {
            // What is direct is 1; the others nobody knows.
            List<String> parts = Arrays.stream(rest.split("\\),")).toList();
            form.set(at + ".values", parts.stream().map(p -> p.contains("direct") ? "1" : "?").collect(Collectors.joining(" ")));
        }
        levers.add(new Lever(name, labels.stream().filter(l -> !l.equals("N")).toList(), false));
    }

    private static String kind(String head, String text) {
        if (head.startsWith("motor")) {
            return "MOTOR";
        } else if (head.startsWith("inverter") || text.contains(": sliding")) {
            return "INVERTER";
        } else if (head.startsWith("variator")) {
            return "VARIATOR";
        } else if (text.contains("by command")) {
            return "COMMANDED";
        }
        return text.contains("belt") ? "BELT" : text.contains("(slower") ? "BACK_GEAR" : "GEAR";
    }

    static List<String> numbers(String text) {
        return NUMBER.matcher(text).results().map(m -> m.group().replace(" ", "")).toList();
    }

    /** Cell by cell: a row of the story's plate names some positions, its figures run through those of the others. */
    private Document plate(Visitor visitor, Visitor.Filled form) {
        List<List<String>> keys = keys(levers);
        Map<List<String>, String> cells = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> row : machine.get("drive").path("plate").properties()) {
            if (row.getKey().equals("by command")) {
                continue;
            }
            List<String> figures = Arrays.stream(row.getValue().asString().split("\\s+")).toList();
            if (row.getKey().contains(":")) {
                // "low: in/in, out/in": each figure names its own.
                String[] each = row.getKey().substring(row.getKey().indexOf(':') + 1).split(",");
                String of = row.getKey().substring(0, row.getKey().indexOf(':'));
                for (int i = 0; i < each.length; i++) {
                    List<String> key = new ArrayList<>(List.of(each[i].strip().split("/")));
                    key.add(of);
                    cells.put(key, figures.get(i));
                }
                continue;
            }
            Map<Integer, String> named = named(row.getKey());
            IntStream.range(0, levers.size()).filter(l -> levers.get(l).positions().contains(atPlate))
                    .forEach(l -> named.putIfAbsent(l, atPlate));
            List<List<String>> of = keys.stream().filter(key -> named.entrySet().stream().allMatch(n -> key.get(n.getKey())
                    .equals(n.getValue()))).toList();
            IntStream.range(0, Math.min(of.size(), figures.size())).filter(i -> NUMBER.matcher(figures.get(i)).matches()
                    || figures.get(i).equals("-")).forEach(i -> cells.put(of.get(i), figures.get(i)));
        }
        ranges(cells);
        List<String> feeds = feeds(machine);
        IntStream.range(0, feeds.size()).forEach(i -> form.set("feedcell" + i, feeds.get(i)));
        if (!feeds.isEmpty()) {
            form.set("feedPer", machine.get("axes").toString().contains("/rev") ? "REV" : "MIN");
        }
        for (int i = 0; i < keys.size(); i++) {
            if (form.has("cell" + i)) {
                form.set("cell" + i, cells.getOrDefault(keys.get(i), "?").replace("-", "x"));
            }
        }
        return visitor.pressTo(form, "/speeds/layout");
    }

    /** "pulley 2" is position 2 of the pulley; "L a" one position each of the first levers that have them. */
    private Map<Integer, String> named(String row) {
        Map<Integer, String> named = new LinkedHashMap<>();
        String[] words = row.split(" ");
        for (int w = 0; w < words.length; w++) {
            String word = words[w];
            String before = w == 0 ? "" : words[w - 1];
            IntStream.range(0, levers.size()).filter(l -> !named.containsKey(l) && levers.get(l).positions().contains(word))
                    .filter(l -> levers.stream().noneMatch(o -> o.name().equals(before)) || levers.get(l).name().equals(before))
                    .findFirst().ifPresent(l -> named.put(l, word));
        }
        return named;
    }

    /** Feeds that stand one by one on a plate, as an axis has them; none where only their ends are known. */
    static List<String> feeds(JsonNode machine) {
        return machine.get("axes").valueStream().map(axis -> RATES.matcher(axis.asString())).filter(Matcher::find)
                .map(feeds -> feeds.group(1).strip()).filter(feeds -> feeds.contains(" ")).map(feeds -> List.of(feeds.split(" ")))
                .findFirst().orElse(List.of());
    }

    /** "variator: low 62 to 480, high 520 to 4 300" says what the plate does; "by command: 60 to 8000" the ends of the whole. */
    private void ranges(Map<List<String>, String> cells) {
        for (JsonNode stage : machine.get("drive").get("stages")) {
            Matcher range = LABELLED.matcher(stage.asString());
            while (range.find()) {
                cells.put(List.of(range.group(1), "lowest"), range.group(2).replace(" ", "").strip());
                cells.put(List.of(range.group(1), "highest"), range.group(3).replace(" ", "").strip());
            }
        }
        JsonNode command = machine.get("drive").path("plate").path("by command");
        if (!command.isMissingNode()) {
            List<String> range = levers.get(0).positions();
            cells.put(List.of(range.get(0), "lowest"), numbers(command.asString()).get(0));
            cells.put(List.of(range.get(range.size() - 1), "highest"), numbers(command.asString()).get(1));
        }
    }

    static List<List<String>> keys(List<Lever> levers) {
        List<List<String>> keys = List.of(List.of());
        for (Lever lever : levers) {
            keys = keys.stream().flatMap(k -> lever.positions().stream().map(p -> {
                List<String> longer = new ArrayList<>(k);
                longer.add(p);
                return longer;
            })).toList();
        }
        return keys;
    }

    /** The axes of the story and no others, in the rows of what the family usually has where the names agree. */
    private void fitOut(Visitor.Filled form) {
        int rows = Integer.parseInt(form.value("axisRows"));
        List<String> usual = IntStream.range(0, rows).mapToObj(i -> form.value("axis" + i + ".name")).toList();
        List<String> left = new ArrayList<>(usual);
        int free = rows - 1;
        for (JsonNode node : machine.get("axes")) {
            String name = node.asString().split(" \\(")[0];
            String has = node.asString().substring(name.length());
            left.remove(name);
            int at = usual.contains(name) ? usual.indexOf(name) : free++;
            if (at >= rows) {
                throw new Visitor.Missing("no row for axis " + name);
            }
            String row = "axis" + at;
            if (!usual.contains(name)) {
                form.set(row + ".name", name).set(row + ".minus", "one way").set(row + ".plus", "the other way");
            }
            if (!has.isEmpty()) {
                boolean wheel = form.value(row + ".abilities").contains("HAND_WHEEL");
                form.clear(row + ".abilities");
                if (wheel) {
                    form.tick(row + ".abilities", "HAND_WHEEL");
                }
                ABILITIES.entrySet().stream().filter(a -> has.contains(a.getKey())).map(Map.Entry::getValue).distinct().sorted()
                        .forEach(a -> form.tick(row + ".abilities", a));
                rates(form, row, has);
            }
        }
        for (String gone : left) {
            if (!gone.isBlank()) {
                List.of("name", "minus", "plus", "travel", "slowest", "fastest", "rapid").forEach(f -> form.set("axis"
                        + usual.indexOf(gone) + "." + f, ""));
                form.clear("axis" + usual.indexOf(gone) + ".abilities");
            }
        }
        machine.get("features").forEach(f -> form.tick("feature", f.asString()));
        more.forEach(f -> form.tick("feature", f));
    }

    private static final Pattern RATES = Pattern.compile("(\\d[\\d. ]*?)(?: to (\\d[\\d.]*))? (mm|in)/(min|rev)");

    private static void rates(Visitor.Filled form, String row, String has) {
        Matcher rates = RATES.matcher(has);
        if (rates.find()) {
            String[] each = rates.group(1).strip().split(" ");
            if (each.length > 1) {
                form.set("feedLevers", "pulley: " + IntStream.rangeClosed(1, each.length).mapToObj(String::valueOf)
                        .collect(Collectors.joining(" ")));
            }
            form.set(row + ".slowest", each[0]).set(row + ".fastest", rates.group(2) != null ? rates.group(2) : each[each.length - 1])
                    .set(row + ".per", rates.group(4).equals("rev") ? "REV" : "MIN");
        } else if (!has.contains("feed")) {
            form.set(row + ".slowest", "").set(row + ".fastest", "");
        }
    }

    /** The keys that run a speed on the sheet, by what its levers stand at there. */
    static Map<String, String> runs(Visitor visitor, long survey) {
        Map<String, String> runs = new LinkedHashMap<>();
        Document sheet = visitor.open("/surveys/" + survey + "/run");
        for (Element link : sheet.select("nav.steps a[href*=step=]")) {
            String key = link.attr("href").replaceFirst(".*step=", "");
            if (key.matches("[\\d-]+")) {
                runs.put(key, link.select(".name").text());
            }
        }
        return runs;
    }
}
