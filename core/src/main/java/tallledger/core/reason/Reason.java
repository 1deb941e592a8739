package tallledger.core.reason;

import java.util.List;

/**
 * Why a computation came out as it did: a code and the numbers that belong in the sentence.
 * The page holds the words (one catalogue, {@code messages.properties}); core never writes prose, so a reason can be
 * tested by its numbers and worded in any language.
 *
 * @param code      dotted key of the sentence, such as {@code speed.over}
 * @param arguments values in the sentence's order: text, whole numbers, decimals as typed, or nested reasons
 */
public record Reason(String code, List<Object> arguments) {

    public Reason {
        arguments = List.copyOf(arguments);
    }

    public static Reason of(String code, Object... arguments) {
        return new Reason(code, List.of(arguments));
    }

    @Override
    public String toString() {
        return code + arguments;
    }
}
