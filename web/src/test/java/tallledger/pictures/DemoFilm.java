package tallledger.pictures;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tallledger.practice.KestrelVale;
import tallledger.practice.SimulatedMachine;
import tallledger.web.App;
import tallledger.web.Browser;

/**
 * Makes the tramway's film of its lathe: drawn frame by frame from the simulated machine, whose true speeds turn its spindle, with the
 * narration as timed text and the truth beside it for the tests. One speed is said that is not the one that runs.
 */
public final class DemoFilm {

    private static final Path FILM = Path.of("web/src/main/resources/static/film");
    private static final Path TRUTH = Path.of("web/src/test/resources/film/aldwark-410-truth.csv");
    private static final int RATE = 30;

    /** What is seen for some seconds. */
    private record Scene(double from, double until, String range, String gear, double rpm, Map<String, Object> more) {

        Map<String, Object> drawn() {
            Map<String, Object> drawn = new HashMap<>(Map.of("from", from, "until", until, "range", range, "gear", gear, "rpm", rpm));
            drawn.putAll(more);
            return drawn;
        }
    }

    private final SimulatedMachine machine = KestrelVale.aldwark410();
    private final List<Scene> scenes = new ArrayList<>();

    private DemoFilm() {
    }

    public static void main(String[] none) {
        try {
            new DemoFilm().make();
            System.exit(0);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            System.exit(1);
        }
    }

    private void still(double seconds, String range, String gear, Map<String, Object> more) {
        double from = scenes.isEmpty() ? 0 : scenes.get(scenes.size() - 1).until;
        scenes.add(new Scene(from, from + seconds, range, gear, 0, more));
    }

    private void runs(double seconds, String range, String gear, Map<String, Object> more) {
        double from = scenes.get(scenes.size() - 1).until;
        scenes.add(new Scene(from, from + seconds, range, gear, truth(range, gear), more));
    }

    private double truth(String range, String gear) {
        return machine.description().train().routes().stream().filter(r -> !machine.description().train().isReverse(r))
                .filter(r -> machine.description().train().settings(r).containsAll(List.of(range, gear))).findFirst()
                .map(machine::trueSpeed).orElseThrow();
    }

    private void make() throws IOException {
        still(3, "A", "1", Map.of("card", List.of("Kestrel Vale Tramway", "Aldwark 410, film 1"), "ground", "#2b3a42"));
        still(2, "A", "1", Map.of("cut", true));
        runs(14, "A", "1", Map.of());
        still(2, "B", "1", Map.of());
        runs(9, "B", "1", Map.of());
        still(2, "B", "3", Map.of());
        runs(8, "B", "3", Map.of());
        runs(6, "C", "3", Map.of("cut", true, "ground", "#d8cdb8"));
        still(1, "C", "3", Map.of("ground", "#d8cdb8"));
        double feeds = scenes.get(scenes.size() - 1).until;
        runs(8, "A", "4", Map.of("ground", "#d8cdb8", "feed", 12.5, "start", 20, "dial", "0.4 mm a turn"));
        still(3, "A", "4", Map.of("ground", "#d8cdb8", "start", 120));
        Page page = Browser.open().page();
        page.navigate(App.demo().url("/house"));
        Object made = page.evaluate(Files.readString(Path.of("web/src/test/resources/film/draw-film.js")),
                Map.of("width", 480, "height", 270, "rate", RATE, "bitrate", 56_000, "scenes", scenes.stream().map(Scene::drawn).toList()));
        Files.createDirectories(FILM);
        Files.write(FILM.resolve("aldwark-410.webm"), Base64.getMimeDecoder().decode(((String) made).replace("=", "")));
        List<String> truth = new ArrayList<>(List.of("from,until,range,gear,rpm"));
        scenes.stream().filter(s -> s.rpm > 0).forEach(s -> truth.add(String.format(Locale.ROOT, "%.2f,%.2f,%s,%s,%.4f", s.from, s.until,
                s.range, s.gear, s.rpm)));
        Files.writeString(TRUTH, String.join("\n", truth) + "\n", StandardCharsets.UTF_8);
        System.out.println("film of " + scenes.get(scenes.size() - 1).until + " s, the feed from " + feeds);
    }
}
