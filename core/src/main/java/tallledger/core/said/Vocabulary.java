package tallledger.core.said;

import java.util.List;
import java.util.Locale;
import java.util.Map;

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

    public Vocabulary {
        axes = axes.stream().map(a -> a.toLowerCase(Locale.ROOT)).toList();
    }

    /** The axis of that name or letter; empty where this machine has none. */
    String axis(String said) {
        String name = said.toLowerCase(Locale.ROOT);
        return axes.contains(name) ? name : LETTERS.getOrDefault(name, List.of()).stream().filter(axes::contains).findFirst().orElse("");
    }
}
