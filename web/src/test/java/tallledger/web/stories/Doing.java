package tallledger.web.stories;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import tools.jackson.databind.JsonNode;

/** What somebody does at the machine, line by line of a story, each by the form that the run sheet opens for it. */
final class Doing {

    private final Visitor visitor;
    private final JsonNode story;
    private final Names names;
    private final long survey;
    private boolean ownTachometer;
    private final List<String> complaints = new ArrayList<>();
    /** Pages that answered what was done, by the story's name of the step, in order. */
    private final Map<String, List<Document>> answers = new LinkedHashMap<>();
    /** Each speed's key by where its levers stand. */
    private final Map<Set<String>, String> runs = new LinkedHashMap<>();

    Doing(Visitor visitor, JsonNode story, Names names, long survey) {
        this.visitor = visitor;
        this.story = story;
        this.names = names;
        this.survey = survey;
    }

    List<String> complaints() {
        return complaints;
    }

    Map<String, List<Document>> answers() {
        return answers;
    }

    private String at(String path) {
        return "/surveys/" + survey + path;
    }

    void all() {
        gauges();
        prices();
        findRuns();
        int line = 0;
        for (JsonNode act : story.get("did")) {
            line++;
            try {
                does(act);
            } catch (Visitor.Missing missing) {
                complaints.add("did " + line + " " + act.toString().substring(0, Math.min(90, act.toString().length())) + ": "
                        + missing.getMessage());
            }
        }
    }

    private void does(JsonNode act) {
        if (act.has("runs")) {
            List<String> levers = act.get("runs").get("levers").valueStream().map(JsonNode::asString).toList();
            act.get("runs").get("read").properties().forEach(read -> {
                String[] at = read.getKey().split(" ");
                run(act, IntStream.range(0, at.length).mapToObj(i -> levers.get(i) + "=" + at[i]).collect(Collectors.toSet()),
                        read.getValue().asString());
            });
        } else if (act.has("run")) {
            Set<String> stand = new HashSet<>(stand(act.get("run")));
            if (act.has("inverter")) {
                stand.add("inverter=" + act.get("inverter").asString().replace(" ", ""));
            }
            run(act, stand, act.get("reads").asString());
        } else if (act.has("cycle")) {
            cycle(act);
        } else if (act.has("putOff")) {
            putOff(act);
        } else if (act.has("repair") && act.has("part")) {
            repair(act);
        } else if (act.has("kit")) {
            kit(act);
        } else if (act.has("house")) {
            repairs(act);
        } else if (act.has("chooseRepair")) {
            choose(act);
        } else if (act.has("allOthers")) {
            allOthers();
        } else if (act.has("answer") && !act.has("step")) {
            answer(act);
        } else {
            step(act);
        }
    }

    /** Positions by their lever, where two levers have positions of one name; a commanded speed stands for its place in its range. */
    private Set<String> stand(JsonNode run) {
        return run.properties().stream().map(e -> e.getKey() + "=" + e.getValue().asString()).collect(Collectors.toSet());
    }

    /** Listed in House first: lengths in its millimetres. */
    private void gauges() {
        for (JsonNode gauge : story.get("gauges")) {
            String name = gauge.get("name").asString();
            if (name.contains("tachometer")) {
                tachometer(gauge);
                continue;
            }
            // What is compared against a block by an indicator is a micrometer's work here.
            list(gauge, name.contains("comparator") ? "MICROMETER" : name.equals("tape") ? "TAPE" : "INDICATOR");
            if (name.contains("indicator")) {
                list(gauge, "MICROMETER");
            }
        }
    }

    /** The house's usual one is good to half a per cent; another is listed, with no digit of its own: what it shows counts. */
    private void tachometer(JsonNode gauge) {
        ownTachometer = !gauge.get("uCal").asString().equals("0.5 %");
        if (ownTachometer) {
            Visitor.Filled form = Visitor.form(visitor.open("/house/gauges?gauge=new"), "/house/gauges").set("kind", "TACHOMETER")
                    .set("name", gauge.get("name").asString()).set("resolution", "0").set("calibration", gauge.get("uCal").asString());
            refused(visitor.press(form.has("reason") ? form.set("reason", "ours") : form, "act", "save"));
        }
    }

    private void list(JsonNode gauge, String kind) {
        String name = gauge.get("name").asString();
        Visitor.Filled form = Visitor.form(visitor.open("/house/gauges?gauge=new"), "/house/gauges");
        form.set("kind", kind).set("name", name).set("resolution", millimetres(gauge.get("resolution").asString()))
                .set("calibration", millimetres(gauge.get("uCal").asString()));
        if (form.has("reason")) {
            form.set("reason", "ours");
        }
        Document answer = visitor.press(form, "act", "save");
        if (!Visitor.wrong(answer).isEmpty()) {
            throw new Visitor.Missing("gauge " + name + ": " + Visitor.wrong(answer));
        }
    }

    private static String millimetres(String typed) {
        String[] parts = typed.split(" ");
        double value = parts[0].contains("/") ? Double.parseDouble(parts[0].split("/")[0]) / Double.parseDouble(parts[0].split("/")[1])
                : Double.parseDouble(parts[0]);
        return java.math.BigDecimal.valueOf(parts[1].equals("in") ? value * 25.4 : value).stripTrailingZeros().toPlainString();
    }

    private void prices() {
        JsonNode machine = story.get("machine");
        Visitor.Filled form = Visitor.form(visitor.open(at("/verdict/money")), "/verdict/prices");
        form.set("asking", machine.get("price").asString()).set("currency", machine.get("currency").asString())
                .set("mass", machine.get("mass").asString()).set("background", machine.get("background").asString());
        refused(visitor.press(form));
    }

    private void findRuns() {
        for (Map.Entry<String, String> run : Described.runs(visitor, survey).entrySet()) {
            Document page = ready(run.getKey());
            Set<String> stand = page.select(".lever figcaption").stream().map(f -> f.select("span").text() + "="
                    + f.select("b").text().replaceFirst("^to ", "")).collect(Collectors.toSet());
            runs.put(stand, run.getKey());
        }
    }

    /** The page of a step, past the start form where that stands before it. */
    private Document ready(String key) {
        Document page = visitor.open(at("/run?step=" + key));
        if (!page.select("form.start").isEmpty()) {
            Visitor.Filled start = Visitor.form(page, "/start").clear("safe").tick("safe").tick("known");
            if (start.has("mounted")) {
                String chuck = story.get("machine").path("chuck").asString("");
                start.set("mounted", chuck.isEmpty() ? "NOTHING" : "CHUCK");
                if (!chuck.isEmpty()) {
                    start.set("CHUCK.markedRpm", Described.numbers(chuck).get(0));
                }
                wheel(start);
            }
            page = visitor.press(start);
            if (!page.select("form.start").isEmpty()) {
                throw new Visitor.Missing("the start is refused: " + Visitor.wrong(page));
            }
            page = visitor.open(at("/run?step=" + key));
        }
        return page;
    }

    /** A grinder starts with its wheel on. */
    private void wheel(Visitor.Filled start) {
        for (JsonNode act : story.get("did")) {
            if (act.path("step").asString("").equals("wheel-mark") && start.has("WHEEL.diameter")) {
                start.set("mounted", "WHEEL").set("WHEEL.diameter", act.get("typed").get("across").asString())
                        .set("WHEEL.markedMs", act.get("typed").get("marked").asString());
            }
        }
    }

    private void run(JsonNode act, Set<String> stand, String reads) {
        String key = runs.entrySet().stream().filter(r -> stand.stream().allMatch(s -> standsSo(r.getKey(), s))).map(Map.Entry::getValue)
                .findFirst().orElseThrow(() -> new Visitor.Missing("no run with levers at " + stand + ", only " + runs));
        Document page = ready(key);
        Visitor.Filled form = Visitor.form(page, "/run");
        String press = "record";
        if (form.has("reading") && !act.has("typed")) {
            form.set("reading", reads);
            if (ownTachometer) {
                form.chooseFrom("method", "contact tachometer");
            }
            if (act.path("with").asString("").contains("display")) {
                form.choose("method", "the machine’s display");
            }
        } else if (form.has("turns") && act.has("typed")) {
            form.set("turns", act.get("typed").get("turns").asString()).set("seconds", act.get("typed").get("seconds").asString());
        } else {
            press = "swept";
        }
        act.path("symptoms").forEach(s -> form.tick("symptom", s.asString()));
        if (act.path("mark").asString("").equals("good") && !act.has("symptoms") && form.has("quiet")) {
            form.tick("quiet", "yes");
        }
        form.set("remark", act.path("remark").asString(""));
        Document answer = visitor.press(form, "do", press);
        answered("run " + stand, answer);
        if (!act.has("expectAskedBack")) {
            refused(answer);
        }
    }

    /** @param wanted "gate=4", "variator=slowest", "=fastest" */
    private boolean standsSo(Set<String> levers, String wanted) {
        if (wanted.startsWith("command=")) {
            return standsSo(levers, "=" + names.command(story.get("id").asString(), wanted.substring(8)));
        }
        String position = wanted.substring(wanted.indexOf('=') + 1);
        String today = position.startsWith("at ") ? names.position("sweep") : names.position(position);
        String lever = wanted.substring(0, wanted.indexOf('='));
        return levers.contains(lever + "=" + today) || lever.isEmpty() && levers.stream().anyMatch(l -> l.endsWith("=" + today))
                || levers.stream().anyMatch(l -> l.startsWith(lever) && l.endsWith("=" + today));
    }

    private Document answered(String name, Document page) {
        answers.computeIfAbsent(name, n -> new ArrayList<>()).add(page);
        return page;
    }

    private static void refused(Document answer) {
        List<String> wrong = Visitor.wrong(answer);
        if (!wrong.isEmpty()) {
            throw new Visitor.Missing("refused: " + wrong);
        }
    }

    private void step(JsonNode act) {
        String name = act.path("step").asString(act.path("newStep").asString(""));
        if (name.equals("lift")) {
            lift(act);
            return;
        }
        String key = ofPlate(act, names.step(name, act.path("of").asString("")));
        Document page = ready(key);
        Visitor.Filled form = Visitor.form(page, page.select("form[action$=/check]").isEmpty() ? "/step" : "/check");
        if (!form.value("step").equals(key)) {
            throw new Visitor.Missing("no step " + key + " on this machine");
        }
        if (form.has("confirmed")) {
            form.clear("confirmed").tick("confirmed");
        }
        act.path("typed").properties().forEach(t -> type(form, name, t.getKey(), typed(t.getValue())));
        if (act.has("set") && form.has("set")) {
            form.set("set", act.get("set").asString());
        }
        gauge(form, act);
        form.set("remark", act.path("remark").asString(""));
        Document answer = visitor.press(form, "do", act.path("mark").asString("").equals("not good") ? "bad" : "good");
        if (act.has("expectAskedBack")) {
            answer = askedBack(act, answer, key);
        }
        answered(name, answer);
        refused(answer);
        if (act.has("expectWarn")) {
            warned(act, key);
        }
    }

    /** A feed of the feed plate, by the figure that was set. */
    private String ofPlate(JsonNode act, String key) {
        if (!key.equals("feed-plate")) {
            return key;
        }
        List<String> set = Described.numbers(act.path("set").asString(""));
        List<String> feeds = Described.feeds(story.get("machine"));
        return feeds.stream().filter(set::contains).map(f -> "feed-plate." + (feeds.indexOf(f) + 1)).findFirst()
                .orElseThrow(() -> new Visitor.Missing("no feed of the plate is " + set));
    }

    private void lift(JsonNode act) {
        Visitor.Filled form = Visitor.form(visitor.open(at("/kit")), "/kit/lift");
        String[] weight = act.get("typed").get("weight").asString().split(" by the ");
        String[] carries = act.get("typed").get("carries").asString().split(" by the ");
        refused(visitor.press(form.set("machine", weight[0]).set("carries", carries[0]).set("saidBy", carries[1])));
    }

    private void gauge(Visitor.Filled form, JsonNode act) {
        if (act.has("gauge")) {
            // A step that is measured with a rule or tape asks for none.
            if (form.isChoice("gauge")) {
                form.chooseFrom("gauge", act.get("gauge").asString());
            }
        }
    }

    /** A field by today's name; several where one of the story's is several here. */
    private void type(Visitor.Filled form, String step, String field, String value) {
        List<String> several = names.fields(step, field);
        if (!several.isEmpty()) {
            List<String> numbers = Described.numbers(value);
            if (numbers.size() != several.size()) {
                throw new Visitor.Missing(several + " do not take “" + value + "”");
            }
            IntStream.range(0, several.size()).forEach(i -> form.set(several.get(i), numbers.get(i)));
            return;
        }
        String today = names.field(step, field, form.names());
        if (form.isChoice(today)) {
            form.choose(today, value);
        } else {
            form.set(today, value);
        }
    }

    private static String typed(JsonNode value) {
        if (value.has("sum_of_sines")) {
            return trace(value);
        } else if (value.has("points")) {
            return circle(value);
        }
        return value.asString();
    }

    /** The trace of a stylus: a sum of waves, one point each step, spacing before it. */
    private static String trace(JsonNode value) {
        double step = value.get("step_mm").asDouble();
        int points = (int) Math.round(value.get("length_mm").asDouble() / step) + 1;
        return IntStream.range(0, points).mapToObj(i -> {
            double z = 0;
            for (JsonNode wave : value.get("sum_of_sines")) {
                z += wave.get("amplitude_um").asDouble() * Math.sin(2 * Math.PI * i * step / wave.get("spacing_mm").asDouble());
            }
            return String.format(java.util.Locale.ROOT, "%.4f;%.5f", i * step, z);
        }).collect(Collectors.joining("\n"));
    }

    /** Nought but where the story says otherwise, a point each half degree. */
    private static String circle(JsonNode value) {
        int points = value.get("points").asInt();
        List<String> numbers = Described.numbers(value.get("value_thou").asString());
        return IntStream.range(0, points).mapToObj(i -> {
            double angle = 360.0 * i / points;
            boolean high = numbers.size() == 4 && angle >= Double.parseDouble(numbers.get(2))
                    && angle <= Double.parseDouble(numbers.get(3));
            // Bare deviations of an inch machine are tenths.
            return angle + " " + (high ? new java.math.BigDecimal(numbers.get(1)).movePointRight(1).toPlainString() : "0");
        }).collect(Collectors.joining("\n"));
    }

    private Document askedBack(JsonNode act, Document answer, String key) {
        String asked = act.get("expectAskedBack").asString();
        Element ask = answer.selectFirst(".ask-back");
        String wanted = act.get("answer").asString();
        if (ask == null) {
            complaints.add("not asked back “" + asked + "” at " + key + ": " + Visitor.wrong(answer));
            return answer;
        }
        Element meant = ask.select("button").stream().filter(b -> b.text().contains(wanted)).findFirst()
                .orElseThrow(() -> new Visitor.Missing("none of the keys says “" + wanted + "”: " + ask.select("button").eachText()));
        return visitor.press(Visitor.form(answer, "/step"), "do", meant.attr("value"));
    }

    /** What the page says while something is typed, and where it was recorded. */
    private void warned(JsonNode act, String key) {
        String warn = act.get("expectWarn").asString();
        Visitor.Filled form = Visitor.form(visitor.open(at("/run?step=" + key)), "/step");
        act.path("typed").properties().forEach(t -> type(form, act.get("step").asString(), t.getKey(), typed(t.getValue())));
        String weighed = visitor.weighed(form, at("/weigh"));
        if (!Names.hasFigures(weighed + answers.get(act.get("step").asString()), warn)) {
            complaints.add("nothing warns “" + warn + "” at " + key);
        }
    }

    private void cycle(JsonNode act) {
        String name = act.get("cycle").asString();
        String key = names.step(name, act.path("of").asString(""));
        Document page = ready(key);
        Visitor.Filled form = Visitor.form(page, "/step");
        if (!form.value("step").equals(key)) {
            throw new Visitor.Missing("no cycle " + key + " on this machine");
        }
        if (form.has("confirmed")) {
            form.clear("confirmed").tick("confirmed");
        }
        form.set("log", Stream.of(act.get("log")).flatMap(l -> l.valueStream()).map(JsonNode::asString).collect(Collectors.joining("\n")));
        act.path("set").properties().forEach(s -> type(form, name, s.getKey(), s.getValue().asString()));
        Document answer = visitor.press(form, "do", "good");
        answered(act.has("of") ? name + ", " + act.get("of").asString() : name, answer);
        refused(answer);
    }

    private void putOff(JsonNode act) {
        String what = act.get("putOff").asString();
        List<String> keys = what.equals("all runs") ? List.copyOf(runs.values()) : List.of(names.step(what, ""));
        for (String key : keys) {
            Visitor.Filled form = Visitor.form(ready(key), "/pass");
            form.set("reason", act.get("because").asString());
            refused(visitor.press(form));
        }
    }

    private void repair(JsonNode act) {
        Visitor.Filled form = Visitor.form(visitor.open(at("/faults")), "/faults/repair");
        String part = act.get("part").asString();
        form.choose("part", names.part(part)).set("what", act.get("repair").asString()).set("author", act.get("by").asString());
        refused(visitor.press(form));
    }

    private void kit(JsonNode act) {
        Visitor.Filled form = Visitor.form(visitor.open(at("/kit")), "/kit");
        String state = act.get("state").asString();
        form.set("name", act.get("kit").asString());
        boolean promised = state.equals("promised");
        form.set("state", promised ? "NOT_LOOKED_FOR" : state.toUpperCase(java.util.Locale.ROOT));
        form.set("promised", act.path("by").asString("")).set("cost", act.path("price").asString(""))
                .set("choice", act.path("choice").asString("").replaceFirst("one of two: ", ""))
                .set("count", act.path("count").asString("")).set("note", Stream.of("remark").map(f -> act.path(f)
                        .asString("")).filter(t -> !t.isEmpty())
                        .collect(Collectors.joining(", ")));
        if (act.has("warranty") && form.has("warranty")) {
            form.set("warranty", act.get("warranty").asString());
        }
        refused(visitor.press(form));
    }

    private void repairs(JsonNode act) {
        for (JsonNode row : act.get("rows")) {
            Visitor.Filled form = Visitor.form(visitor.open("/house/repairs?row=new"), "/house/repairs/row");
            String of = row.has("for") ? row.get("for").asString()
                    : Stream.of(story.get("did")).flatMap(JsonNode::valueStream)
                            .filter(c -> c.path("repair").asString("").equals(row.get("repair").asString()) && c.has("chooseRepair"))
                            .map(c -> c.get("chooseRepair").asString()).findFirst().orElse("");
            form = listed(names.subject(of), row.get("repair").asString()).orElse(form);
            form.set("about", names.subject(of)).set("what", row.get("repair").asString());
            String[] hours = row.get("hours").asString().split("/");
            String[] parts = row.get("parts").asString().split("/");
            String[] ends = {"Low", "Likely", "High"};
            for (int i = 0; i < 3; i++) {
                form.set("hours" + ends[i], hours[i]).set("parts" + ends[i], parts[i]);
            }
            if (form.has("reason")) {
                form.set("reason", "ours");
            }
            Document answer = visitor.press(form, "act", "save");
            refused(answer);
        }
        Document sheet = visitor.open(at("/run"));
        if (sheet.select("form[action$=adopt-rules]").isEmpty()) {
            throw new Visitor.Missing("the newer rules are not offered");
        }
        visitor.press(Visitor.form(sheet, "/adopt-rules"));
    }

    /** A row that the house has already: its figures are changed, not said a second time. */
    private Optional<Visitor.Filled> listed(String about, String what) {
        return visitor.open("/house/repairs").select("tr").stream().filter(r -> r.select("td").eachText().contains(what))
                .map(r -> Visitor.form(visitor.open("/house/repairs?" + r.select("a").attr("href").replaceFirst("^[^?]*\\?", "")
                        .replaceFirst("#.*", "")), "/house/repairs/row"))
                .filter(f -> f.value("about").equals(about)).findFirst();
    }

    private void choose(JsonNode act) {
        Document verdict = visitor.open(at("/verdict/findings"));
        String wanted = act.get("repair").asString();
        String entry = entryOf(act.get("chooseRepair").asString());
        Element form = verdict.select("form[action$=/verdict/finding]").stream()
                .filter(f -> f.select("[name=target]").attr("value").equals(entry)).findFirst()
                .orElseThrow(() -> new Visitor.Missing("no finding of entry " + entry + " to choose “" + wanted + "” for"));
        Visitor.Filled filled = Visitor.filled(form);
        filled.set("why", "it is the one that is needed").set("repair", verdict.select("#repairs option").eachAttr("value").stream()
                .filter(o -> o.startsWith(wanted)).findFirst().orElseThrow());
        refused(visitor.press(filled));
    }

    /** The entry a step was recorded as last. */
    private String entryOf(String step) {
        List<Document> pages = answers.getOrDefault(step, List.of());
        return pages.isEmpty() ? ""
                : pages.get(pages.size() - 1).select(".done a[href*=strike]").attr("href").replaceFirst(".*strike=",
                        "");
    }

    /** Every step that takes a mark only, and the checks of the spindle, as it should be. */
    private void allOthers() {
        Document sheet = visitor.open(at("/run"));
        for (Element link : sheet.select("nav.steps a[href*=step=]")) {
            String key = link.attr("href").replaceFirst(".*step=", "");
            if (key.matches("[\\d-]+") || !link.select(".is-proven, .is-failed, .is-close, .is-passed").isEmpty()) {
                continue;
            }
            Document page = ready(key);
            Element form = page.selectFirst("form[action$=" + (key.startsWith("check-") ? "/check" : "/step") + "]");
            if (form == null || !page.select(".measure .field, .cycle").isEmpty()) {
                continue;
            }
            Visitor.Filled filled = Visitor.filled(form);
            if (filled.has("confirmed")) {
                filled.clear("confirmed").tick("confirmed");
            }
            refused(visitor.press(filled, "do", "good"));
        }
    }

    /** A key on something the application offers: which one is named in the table. */
    private void answer(JsonNode act) {
        for (String[] key : names.answer(act.get("answer").asString())) {
            Document page = visitor.open(key[0].startsWith("/house") ? key[0] : at(key[0]));
            Element form = page.select("form[action$=" + key[1] + "]").stream().filter(f -> f.select("button").text().contains(key[2]))
                    .findFirst().orElseThrow(() -> new Visitor.Missing("nothing on " + key[0] + " offers “" + act.get("answer").asString()
                            + "”, only " + page.select("form[method=post]").eachAttr("action")));
            refused(visitor.press(Visitor.filled(form)));
        }
    }
}
