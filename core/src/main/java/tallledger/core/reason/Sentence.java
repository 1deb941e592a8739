package tallledger.core.reason;

import java.util.List;

/**
 * A sentence's key with the names of what stands in it.
 *
 * @param code      dotted key of the words, such as {@code verdict.above}
 * @param arguments names of its arguments in order; their number is held at run time, the words' placeholders by a test
 * @param row       where it is a row of sentences with one key each, for which constants; see {@link Reason#each}
 */
public record Sentence(String code, List<String> arguments, List<Enum<?>> row) {

    public static Sentence of(String code, String... arguments) {
        return new Sentence(code, List.of(arguments), List.of());
    }

    public static Sentence row(List<Enum<?>> row, String code, String... arguments) {
        return new Sentence(code, List.of(arguments), row);
    }
}
