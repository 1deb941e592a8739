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

    /** @throws IllegalArgumentException where there are not as many values as the code has names for: a slip of ours */
    public static Reason of(ReasonCode code, Object... values) {
        if (values.length != code.arguments().size()) {
            throw new IllegalArgumentException(code.code() + " takes " + code.arguments() + ", not " + List.of(values));
        }
        return new Reason(code.code(), List.of(values));
    }

    /** One of a row of sentences, one for each constant: its key is the row's with the constant's name behind. */
    public static Reason each(ReasonCode row, Enum<?> which, Object... values) {
        if (!row.row().contains(which) || values.length != row.arguments().size()) {
            throw new IllegalArgumentException(row.code() + " is no sentence of " + which + " with " + List.of(values));
        }
        return new Reason(row.code() + "." + which.name(), List.of(values));
    }

    /** Words of data: a step of the catalogue, a system, an event; or those a record kept. */
    public static Reason named(String key, Object... values) {
        return new Reason(key, List.of(values));
    }

    public boolean is(ReasonCode of) {
        return code.equals(of.code());
    }

    @Override
    public String toString() {
        return code + arguments;
    }
}
