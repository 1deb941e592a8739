package tallledger.web.stories;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Today's names of what the stories name: steps, fields, positions, keys on what is offered. The table is names.json beside the test. */
final class Names {

    /** What every form has and no story fills in by itself. */
    private static final Set<String> EVERY = Set.of("submission", "seen", "step", "gauge", "remark", "author", "confirmed", "file", "do",
            "_csrf", "check");

    private final JsonNode table;

    Names() {
        try (InputStream in = Names.class.getResourceAsStream("names.json")) {
            table = JsonMapper.shared().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private String of(String kind, String name) {
        return table.path(kind).path(name).asString(name);
    }

    String position(String name) {
        return of("positions", name);
    }

    /** @param of tells two of a kind apart */
    String step(String name, String of) {
        return of("steps", of.isEmpty() ? name : name + " " + of);
    }

    String part(String name) {
        return of("parts", name);
    }

    String subject(String step) {
        return of("subjects", step);
    }

    /** @param names those of the form */
    String field(String step, String field, List<String> names) {
        String today = table.path("fields").path(step).path(field).asString(table.path("fields").path("any").path(field).asString(field));
        if (!names.contains(today) && field.equals("value")) {
            return names.stream().filter(n -> !EVERY.contains(n)).findFirst().orElse(today);
        }
        return today;
    }

    /** Today's fields, where one of the story's is several; else none. */
    List<String> fields(String step, String field) {
        return table.path("fields").path(step).path(field).isArray()
                ? table.path("fields").path(step).path(field).valueStream().map(JsonNode::asString).toList()
                : List.of();
    }

    /** Where in its range a commanded speed is. */
    String command(String story, String speed) {
        return table.path("commands").path(story).path(speed).asString("sweep");
    }
    /** The page that tells of something no step does; empty for a step. */
    String page(String of) {
        return table.path("pages").path(of).asString("");
    }

    /** What a story's machine has besides what it lists. */
    List<String> features(String story) {
        return table.path("features").path(story).valueStream().map(JsonNode::asString).toList();
    }

    /** Pages, forms and what stands on their key that an answer goes through, in order. */
    List<String[]> answer(String answer) {
        List<String[]> keys = new ArrayList<>();
        for (Map.Entry<String, JsonNode> one : table.path("answers").properties()) {
            if (answer.startsWith(one.getKey())) {
                one.getValue().forEach(k -> keys.add(new String[] {k.get(0).asString(), k.get(1).asString(),
                        k.get(2).asString()}));
            }
        }
        if (keys.isEmpty()) {
            throw new Visitor.Missing("nothing answers “" + answer + "”");
        }
        return keys;
    }

    /** What carries a sentence of a story, as patterns; empty where only its figures do. */
    List<String> substance(String story, String sentence) {
        return table.path("substance").path(story).path(sentence).valueStream().map(JsonNode::asString).toList();
    }

    /** The step of a story's expectation: what it was called when it was done, and which of several; -1 is the last. */
    List<String[]> stepOf(String story, String step) {
        JsonNode of = table.path("expected").path(story).path(step);
        return of.isMissingNode() ? List.of() : List.<String[]>of(new String[] {of.get(0).asString(), of.get(1).asString()});
    }

    /** Whether every figure of a sentence stands in a text. */
    static boolean hasFigures(String text, String sentence) {
        return Described.numbers(sentence).stream().allMatch(n -> Shown.plain(text).contains(n));
    }
}
