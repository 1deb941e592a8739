package tallledger.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tallledger.core.family.Catalogue;
import tallledger.core.machine.MachineDescription;
import tallledger.core.rules.Rules;
import tallledger.core.spoken.Find;
import tallledger.core.spoken.Find.SaidOf;
import tallledger.core.spoken.Narration;
import tallledger.core.spoken.Spoken;
import tallledger.core.spoken.TimedText;

/**
 * Invented narrations, annotated before the rules were run on them: how many of the things said are found, and how many finds are none.
 * What a narration holds stands behind its text, a line each: what it is, and a word of what it is about.
 */
class NarrationsTest {

    private static final Path NARRATIONS = Path.of("src/test/resources/narrations");
    private static final int ALL_FOUND = 100;

    private record Tally(int said, int found) {
        Tally and(boolean is) {
            return new Tally(said + 1, found + (is ? 1 : 0));
        }

        int percent() {
            return said == 0 ? ALL_FOUND : found * 100 / said;
        }
    }

    private final Map<SaidOf, Tally> tallies = new EnumMap<>(SaidOf.class);
    private final Map<SaidOf, List<String>> missed = new EnumMap<>(SaidOf.class);
    private final Map<String, List<String>> none = new TreeMap<>();

    private static MachineDescription machine(String name) {
        return KestrelVale.shortlist().stream().map(SimulatedMachine::description)
                .filter(m -> name.equals(m.identity().maker().toLowerCase(Locale.ROOT) + m.identity().model())).findFirst().orElseThrow();
    }

    private void read(Path file) throws IOException {
        String[] parts = Files.readString(file).split("---\n");
        String name = file.getFileName().toString();
        MachineDescription machine = machine(name.substring(3, name.length() - 4));
        List<Find> finds = new ArrayList<>(Spoken.in(Narration.of(TimedText.parse(parts[0])), machine, Catalogue.of(machine,
                Rules.shipped())).finds());
        List<Find> taken = new ArrayList<>();
        for (String line : parts[1].strip().split("\n")) {
            SaidOf kind = SaidOf.valueOf(line.split(" ")[0]);
            String about = line.substring(kind.name().length() + 1).toLowerCase(Locale.ROOT);
            List<Find> matching = finds.stream().filter(f -> f.kind() == kind && is(f, about)).toList();
            tallies.merge(kind, new Tally(0, 0).and(!matching.isEmpty()), (a, b) -> a.and(!matching.isEmpty()));
            taken.addAll(matching);
            if (matching.isEmpty()) {
                missed.computeIfAbsent(kind, k -> new ArrayList<>()).add(name.substring(0, 2) + " " + about);
            }
        }
        none.put(name, finds.stream().filter(f -> !taken.contains(f) && f.kind() != SaidOf.HEDGE)
                .map(f -> f.kind() + " " + f.about() + " | " + f.words()).toList());
    }

    private static boolean is(Find find, String about) {
        return switch (find.kind()) {
            case SPEED -> find.claim().map(c -> c.value().replaceAll("\\s.*", "")).filter(about::equals).isPresent();
            case FIGURE -> find.about().toLowerCase(Locale.ROOT).startsWith(about + " ");
            case KIT, FUNCTION -> find.about().toLowerCase(Locale.ROOT).contains(about);
            default -> find.words().toLowerCase(Locale.ROOT).contains(about);
        };
    }

    @Test
    void mostOfWhatIsSaidIsFoundAndLittleElse() throws IOException {
        List<Path> all;
        try (Stream<Path> files = Files.list(NARRATIONS)) {
            all = files.sorted().toList();
        }
        for (Path file : all) {
            read(file);
        }
        int found = tallies.values().stream().mapToInt(Tally::found).sum();
        int said = tallies.values().stream().mapToInt(Tally::said).sum();
        int others = none.values().stream().mapToInt(List::size).sum();
        String tells = "found " + found + " of " + said + " " + tallies + "\nmissed " + missed + "\nnone: " + others + "\n"
                + String.join("\n", none.entrySet().stream().flatMap(e -> e.getValue().stream().map(w -> e.getKey() + " " + w)).toList());
        assertThat(tallies.get(SaidOf.SPEED).percent()).as(tells).isGreaterThanOrEqualTo(95);
        assertThat(found * 100 / said).as(tells).isGreaterThanOrEqualTo(96);
        assertThat(others).as(tells).isLessThanOrEqualTo(4 * all.size());
    }
}
