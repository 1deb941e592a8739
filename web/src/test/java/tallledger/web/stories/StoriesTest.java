package tallledger.web.stories;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tallledger.web.App;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whole visits through the real forms: what is said, done and read, and what the pages must and must never say of it. The folder is that
 * of the system property {@code stories}; by default the copies beside this test.
 */
class StoriesTest {

    @TestFactory
    Stream<DynamicTest> everyStoryHolds() throws IOException {
        Path folder = Path.of(System.getProperty("stories", "src/test/resources/stories"));
        JsonNode common = JsonMapper.shared().readTree(folder.resolve("common.json").toFile());
        List<Path> files;
        try (Stream<Path> all = Files.list(folder)) {
            files = all.filter(f -> f.getFileName().toString().matches("[A-Z]\\d+\\.json"))
                    .filter(f -> f.getFileName().toString().matches("(" + System.getProperty("story",
                            ".*") + ")\\.json"))
                    .sorted().toList();
        }
        assertThat(files).isNotEmpty();
        return files.stream().map(file -> {
            JsonNode story = JsonMapper.shared().readTree(file.toFile());
            return DynamicTest.dynamicTest(story.get("id").asString() + " " + story.get("title").asString(), () -> {
                List<String> complaints = new ArrayList<>(told(story, common));
                complaints.addAll(leftOut(story.get("id").asString(), complaints));
                System.out.println(story.get("id").asString() + (complaints.isEmpty() ? ": held"
                        : ":\n  " + String.join("\n  ",
                                complaints)));
                assertThat(complaints).isEmpty();
            });
        });
    }

    /**
     * Takes out what not-there.json names of a story with why, and says so; what stands there and holds by now is a complaint of its own.
     */
    private static List<String> leftOut(String id, List<String> complaints) {
        List<String> held = new ArrayList<>();
        try (InputStream in = StoriesTest.class.getResourceAsStream("not-there.json")) {
            for (JsonNode one : JsonMapper.shared().readTree(in).path(id)) {
                String begins = one.get("expected").asString();
                if (complaints.removeIf(c -> c.startsWith(begins))) {
                    System.out.println(id + " leaves out " + begins + ": " + one.get("why").asString());
                } else {
                    held.add("holds by now, take it out of not-there.json: " + begins);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return held;
    }

    /** By units, shared by the stories that leave the house's table as it is; opening one takes as long as a story. */
    private static final Map<String, App> SHARED = new HashMap<>();

    private static synchronized App house(JsonNode story) {
        boolean own = story.get("did").valueStream().anyMatch(act -> act.has("house"));
        if (own) {
            return App.empty();
        }
        return SHARED.computeIfAbsent(story.get("machine").get("units").asString(), units -> App.empty());
    }

    private static List<String> told(JsonNode story, JsonNode common) {
        List<String> complaints = new ArrayList<>();
        App app = house(story);
        try {
            Visitor visitor = new Visitor(app, "Q. Tester");
            Names names = new Names();
            Described described = new Described(story, names);
            long survey = described.survey(visitor);
            Doing doing = new Doing(visitor, story, names, survey);
            doing.all();
            complaints.addAll(doing.complaints());
            JsonNode machine = story.get("machine");
            Shown shown = new Shown(visitor, survey, described.id(), machine.get("units").asString());
            if (System.getProperty("look") != null) {
                System.out.println(Shown.visible(shown.page(System.getProperty("look"))));
            }
            complaints.addAll(new Expecting(story, common, names, shown, doing).complaints());
        } catch (Visitor.Missing missing) {
            complaints.add(missing.getMessage());
        } finally {
            if (!SHARED.containsValue(app)) {
                app.close();
            }
        }
        return complaints;
    }
}
