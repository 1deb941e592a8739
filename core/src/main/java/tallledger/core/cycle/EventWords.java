package tallledger.core.cycle;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What an event is called on its key, where that is not its own name: a log may be typed in either. */
final class EventWords {

    private static final Map<String, String> ON_THE_KEY = Map.ofEntries(Map.entry("at-dead-stop", "at the dead stop"),
            Map.entry("both-in", "both in at once"), Map.entry("drives-against-brake", "drives against the brake"),
            Map.entry("feeds-on", "feeds on again"), Map.entry("hunts", "hunts to and fro"), Map.entry("infeeds-left", "infeeds at left"),
            Map.entry("infeeds-right", "infeeds at right"), Map.entry("jumps-speed", "speed jumps"),
            Map.entry("leaves-left", "leaves the left"), Map.entry("leaves-right", "leaves the right"),
            Map.entry("left-dog", "at the left dog"), Map.entry("right-dog", "at the right dog"), Map.entry("pass", "spark-out pass"),
            Map.entry("quill-feed-on", "feed on"), Map.entry("runs-past-dog", "runs past the dog"), Map.entry("set-above",
                    "speed set above"),
            Map.entry("set-below", "speed set below"), Map.entry("started", "started on purpose"), Map.entry("stop-released",
                    "stop let go"),
            Map.entry("turns-reverse", "turns in reverse"), Map.entry("wheel-back", "wheel slide back"),
            Map.entry("wheel-in", "wheel slide in"), Map.entry("wrong-way", "turns the wrong way"),
            Map.entry("another-clamps", "another clamps too"), Map.entry("stays-off", "stays off"));

    private EventWords() {
    }

    /** As it stands on the key. */
    static String of(String event) {
        return ON_THE_KEY.getOrDefault(event, event.replace('-', ' '));
    }

    /** "pedal-down", "pedal down" and "Pedal down" are one event; so are "started" and "started on purpose". */
    static Optional<String> event(String typed, List<String> events) {
        return events.stream().filter(e -> e.equals(typed)).findFirst()
                .or(() -> events.stream().filter(e -> plain(e).equals(plain(typed)) || plain(of(e)).equals(plain(typed))).findFirst());
    }

    private static String plain(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[\\s-]+", " ");
    }
}
