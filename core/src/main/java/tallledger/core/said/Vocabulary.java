package tallledger.core.said;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What words mean on this machine.
 *
 * @param kind   of machine
 * @param axes   names of its axes in their order, as its description has them
 * @param inches whether bare lengths are inches
 * @param plate  whether the words are read off a plate
 */
public record Vocabulary(Kind kind, List<String> axes, boolean inches, boolean plate) {

    /** Kinds that use a word each in their own way. */
    public enum Kind { LATHE, MILL, DRILL, GRINDER, CENTRE }

    /** Letters people give axes, by the names families start from. */
    private static final Map<String, List<String>> LETTERS = Map.of("x", List.of("x", "table"), "y", List.of("y", "saddle", "cross slide"),
            "z", List.of("z", "knee", "head", "carriage"));
    /** Other words for them. */
    private static final Map<String, List<String>> WORDS = Map.of("longitudinal", List.of("x", "table", "carriage"), "long", List.of("x",
            "table", "carriage"), "cross", List.of("y", "saddle", "cross slide"), "vertical", List.of("z", "knee"), "quill",
            List.of("quill", "spindle"));

    public Vocabulary {
        axes = axes.stream().map(a -> a.toLowerCase(Locale.ROOT)).toList();
    }

    /** What this machine's axes are called in words, as one choice of a pattern; matches nothing where there are none. */
    String axisWords() {
        return Stream.concat(axes.stream(), WORDS.keySet().stream().filter(w -> !axes.contains(w) && !axis(w).isEmpty()).sorted())
                .map(Pattern::quote).collect(Collectors.collectingAndThen(Collectors.joining("|"), all -> all.isEmpty() ? "(?!)"
                        : "(?:" + all + ")"));
    }

    /** The axis of that name or letter; empty where this machine has none. */
    String axis(String said) {
        String name = said.toLowerCase(Locale.ROOT);
        List<String> meant = LETTERS.getOrDefault(name, WORDS.getOrDefault(name, List.of()));
        return axes.contains(name) ? name : meant.stream().filter(axes::contains).findFirst().orElse("");
    }
}
